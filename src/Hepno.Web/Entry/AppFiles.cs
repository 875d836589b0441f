using Microsoft.Extensions.FileProviders;

namespace Hepno.Web.Entry;

/// <summary>The program's own pages, scripts and fonts: they hold nothing of the shop, so that a device may see them
/// before it is let in.</summary>
internal sealed class AppFiles
{
    private static readonly HashSet<string> Kinds = [".html", ".js", ".css", ".woff2", ".svg", ".png", ".ico", ".webm"];

    private readonly HashSet<string> paths = [];

    public AppFiles(IWebHostEnvironment environment) => Add(environment.WebRootFileProvider, "");

    /// <summary>Whether a call is for one of them, spelled as it lies there.</summary>
    public bool Holds(HttpRequest request) =>
        (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        && request.Path.Value is { } path
        && paths.Contains(path);

    private void Add(IFileProvider files, string folder)
    {
        foreach (var entry in files.GetDirectoryContents(folder))
        {
            var path = $"{folder}/{entry.Name}";
            if (entry.IsDirectory)
            {
                Add(files, path);
            }
            else if (Kinds.Contains(Path.GetExtension(entry.Name)))
            {
                paths.Add(path);
            }
        }
    }
}
