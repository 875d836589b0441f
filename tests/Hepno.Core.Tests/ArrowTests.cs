using System.Text.RegularExpressions;

namespace Hepno.Core.Tests;

/// <summary>Which folder may know which: the order stands in docs/architecture.md, from what knows nothing of the
/// others upwards. An unused using does not compile, so the usings are the arrows.</summary>
public partial class ArrowTests
{
    [Theory]
    [InlineData("Hepno.Core", "In the core, from what knows nothing of the others upwards:")]
    [InlineData("Hepno.Web", "In `Hepno.Web`, from what knows nothing of the others upwards:")]
    public void No_folder_knows_one_that_stands_over_it(string project, string said)
    {
        var root = Path.Combine(Tree.Root, "src", project);
        var order = OrderSaid(said);
        var folders = Directory
            .GetDirectories(root)
            .Where(d => Directory.EnumerateFiles(d, "*.cs").Any())
            .Select(d => Path.GetFileName(d)!);
        Assert.Equal(folders.Order(StringComparer.Ordinal), order.Order(StringComparer.Ordinal));
        var back =
            from folder in order
            from file in Directory.GetFiles(Path.Combine(root, folder), "*.cs", SearchOption.AllDirectories)
            from Match known in Using(project).Matches(File.ReadAllText(file))
            where order.IndexOf(known.Groups[1].Value) > order.IndexOf(folder)
            select $"{folder}/{Path.GetFileName(file)} knows {known.Groups[1].Value}";
        Assert.Empty(back);
    }

    [Fact]
    public void Every_file_the_map_of_the_house_names_is_there()
    {
        List<string> files =
        [
            .. new[] { "src", "tests" }.SelectMany(d =>
                Directory.EnumerateFiles(Path.Combine(Tree.Root, d), "*", SearchOption.AllDirectories)
            ),
        ];
        var named = NamedFile().Matches(File.ReadAllText(Map)).Select(m => m.Groups[1].Value).ToList();
        Assert.True(named.Count > 20);
        Assert.All(named, n => Assert.Contains(files, f => f.EndsWith($"/{n}", StringComparison.Ordinal)));
    }

    private static string Map => Path.Combine(Tree.Root, "docs", "architecture.md");

    private static List<string> OrderSaid(string said)
    {
        // names of classes stand in brackets
        var line = File.ReadLines(Map).Single(l => l.StartsWith(said, StringComparison.Ordinal));
        return [.. Named().Matches(Aside().Replace(line[said.Length..], "")).Select(m => m.Groups[1].Value)];
    }

    [GeneratedRegex(@"`([A-Za-z/.-]+\.(?:cs|vue|ts|csv|txt))`")]
    private static partial Regex NamedFile();

    // a name in code that begins with a capital is a folder
    [GeneratedRegex("`([A-Z][A-Za-z]*)`")]
    private static partial Regex Named();

    [GeneratedRegex(@"\([^)]*\)")]
    private static partial Regex Aside();

    // by using, or by name from the root
    private static Regex Using(string project) => new($@"\b{Regex.Escape(project)}\.([A-Z]\w*)(?=[.;])");
}
