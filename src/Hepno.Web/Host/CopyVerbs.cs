using System.Globalization;
using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Store.Copies;
using Hepno.Web.Held;
using NodaTime;

namespace Hepno.Web.Host;

/// <summary>The verbs backup, restore and back: they work on the data folder itself, also while a server runs on it
/// (backup) or only while none does.</summary>
internal static class CopyVerbs
{
    private const string Yes = "--yes";

    /// <summary>Whether arguments begin with one of them.</summary>
    public static bool Knows(string[] args) => args is ["backup" or "restore" or "back", ..];

    public static int Run(string[] args)
    {
        var data = After(args, "--data") ?? Shell.DefaultData;
        var file = args.Skip(1)
            .FirstOrDefault(a => !a.StartsWith("--", StringComparison.Ordinal) && a != After(args, "--data"));
        try
        {
            return args[0] switch
            {
                "backup" => Backup(data, file ?? $"hepno-{Now():yyyy-MM-dd-HHmmss}.tar.gz"),
                "back" => Back(data, args.Contains(Yes)),
                _ when file is null => Refused("Name the archive, or the folder of a copy: ./hepno restore FILE."),
                _ => Restore(data, file, args.Contains(Yes)),
            };
        }
        catch (Exception trouble)
            when (trouble is UnfitCopyException or DataTroubleException
                || DataTrouble.Of(trouble, data) is not null
                || trouble is IOException
            )
        {
            return Refused(DataTrouble.Of(trouble, data)?.Message ?? trouble.Message);
        }
    }

    // as the machine's clock shows it: whoever typed the verb looks for it by that
    private static LocalDateTime Now() =>
        WallClock.Local(SystemClock.Instance.GetCurrentInstant(), ShopClock.MachineZone);

    private static int Backup(string data, string file)
    {
        var manifest = CopyArchive.Write(data, target: file, SystemClock.Instance.GetCurrentInstant());
        Console.WriteLine($"Backup made: {Path.GetFullPath(file)}, {Said(manifest)}.");
        if (manifest.Lost.Count > 0)
        {
            Console.WriteLine($"{manifest.Lost.Count} kept files were gone or damaged already and are not in it.");
        }
        return 0;
    }

    // the data as it was before this version of Hepno first opened it
    private static int Back(string data, bool sure)
    {
        var backups = new CopyFolder(Path.Combine(data, "backups"));
        var before = backups
            .All()
            .FirstOrDefault(c =>
                c.Manifest?.Why is { } why
                && why.StartsWith("before-", StringComparison.Ordinal)
                && why.Length > 7
                && char.IsAsciiDigit(why[7])
            );
        if (before is null)
        {
            return Refused(
                $"No newer version of Hepno has changed the data in {data}: there is nothing to go back to."
            );
        }
        var code = Restore(data, Path.Combine(backups.Root, before.Name), sure);
        if (code == 0)
        {
            Console.WriteLine(
                $"Its data is of version {before.Manifest!.Data.Version}: start the Hepno that wrote it. This "
                    + "one would bring it up again."
            );
        }
        return code;
    }

    private static int Restore(string data, string source, bool sure)
    {
        using var copy = Restoring.Unpack(source, data, beside: Path.GetDirectoryName(Path.GetFullPath(data))!);
        Console.WriteLine(
            $"This would put back {Said(copy.Manifest)}; made "
                + $"{copy.Manifest.MadeAt.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture)} UTC. Every part "
                + "of it was checked."
        );
        if (File.Exists(Db.File(data)) && !sure && !Asked($"Put it in place of what is in {data}? Type yes: "))
        {
            return Refused($"Nothing was changed. To go on, say {Yes}.");
        }
        var old = Restoring.Put(copy, data, Now());
        Console.WriteLine($"Restored into {data}." + (old is null ? "" : $" What was there before is kept in {old}."));
        return 0;
    }

    private static string Said(CopyManifest m) =>
        $"{m.Data.Orders} orders, {m.Data.Customers} customers and {m.Files.Count} files"
        + (
            m.Data.LastAt is { } last
                ? $", last changed {last.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}"
                : ""
        );

    private static bool Asked(string question)
    {
        if (Console.IsInputRedirected)
        {
            return false;
        }
        Console.Write(question);
        return Console.ReadLine()?.Trim() == "yes";
    }

    private static int Refused(string sentence)
    {
        Console.Error.WriteLine(sentence);
        return 2;
    }

    private static string? After(string[] args, string flag) =>
        Array.IndexOf(args, flag) is var i && i >= 0 && i + 1 < args.Length ? args[i + 1] : null;
}
