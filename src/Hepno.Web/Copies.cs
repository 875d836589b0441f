using Hepno.Store;

namespace Hepno.Web;

/// <summary>The verbs backup and restore: they work on the data folder itself, also while a server runs on it (backup) or only while none does (restore).</summary>
internal static class Copies
{
    public static int Run(string[] args)
    {
        var data = After(args, "--data") ?? Shell.DefaultData;
        var file = args.Skip(1).FirstOrDefault(a => !a.StartsWith("--", StringComparison.Ordinal) && a != After(args, "--data"));
        try
        {
            if (args[0] == "backup")
            {
                file ??= $"hepno-{DateTime.Now:yyyy-MM-dd-HHmmss}.tar.gz";
                Backup.Archive(data, file);
                Console.WriteLine($"Backup made: {Path.GetFullPath(file)}");
                return 0;
            }
            if (file is null)
            {
                Console.Error.WriteLine("Name the archive: ./hepno restore FILE.");
                return 2;
            }
            var old = Backup.Restore(data, file, DateTime.Now);
            Console.WriteLine($"Restored into {data}." + (old is null ? "" : $" What was there before is kept in {old}."));
            return 0;
        }
        catch (Exception refused) when (refused is UnfitArchiveException or IOException or UnauthorizedAccessException)
        {
            Console.Error.WriteLine(refused.Message);
            return 2;
        }
    }

    private static string? After(string[] args, string flag) => Array.IndexOf(args, flag) is var i && i >= 0 && i + 1 < args.Length ? args[i + 1] : null;
}
