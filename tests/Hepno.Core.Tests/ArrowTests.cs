using System.Text.RegularExpressions;

namespace Hepno.Core.Tests;

/// <summary>Which folder may know which: the order stands in docs/architecture.md, from what knows nothing of the others upwards. An unused using does not compile, so the usings are the arrows.</summary>
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
            from file in Directory.GetFiles(Path.Combine(root, folder), "*.cs")
            from Match known in Using(project).Matches(File.ReadAllText(file))
            where order.IndexOf(known.Groups[1].Value) > order.IndexOf(folder)
            select $"{folder}/{Path.GetFileName(file)} knows {known.Groups[1].Value}";
        Assert.Empty(back);
    }

    private static List<string> OrderSaid(string said)
    {
        // names of classes stand in brackets
        var line = File.ReadLines(Path.Combine(Tree.Root, "docs", "architecture.md"))
            .Single(l => l.StartsWith(said, StringComparison.Ordinal));
        return [.. Named().Matches(Aside().Replace(line[said.Length..], "")).Select(m => m.Groups[1].Value)];
    }

    // a name in code that begins with a capital is a folder
    [GeneratedRegex("`([A-Z][A-Za-z]*)`")]
    private static partial Regex Named();

    [GeneratedRegex(@"\([^)]*\)")]
    private static partial Regex Aside();

    // by using, or by name from the root
    private static Regex Using(string project) => new($@"\b{Regex.Escape(project)}\.([A-Z]\w*)(?=[.;])");
}
