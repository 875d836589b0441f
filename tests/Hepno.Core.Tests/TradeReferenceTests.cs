using System.Globalization;
using System.Text.RegularExpressions;

namespace Hepno.Core.Tests;

/// <summary>What comments say of the trade's rules is there: "docs/trade 8" is the page 08 of docs/trade, "docs/trade
/// 15.3" the third point of its list.</summary>
public partial class TradeReferenceTests
{
    private static readonly string Pages = Path.Combine(Tree.Root, "docs", "trade");

    [Fact]
    public void Every_section_named_in_the_sources_is_a_page()
    {
        var named = new[] { "src", "tests", "bench" }
            .SelectMany(d => Directory.EnumerateFiles(Path.Combine(Tree.Root, d), "*.cs", SearchOption.AllDirectories))
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal))
            .SelectMany(f => Named().Matches(File.ReadAllText(f)).Select(m => (File: f, m)))
            .ToList();
        Assert.True(named.Count > 100);
        Assert.All(named, x => Assert.True(Holds(x.m.Groups[1].Value, x.m.Groups[2].Value), $"{x.File}: {x.m.Value}"));
    }

    [Fact]
    public void Every_page_is_in_the_list_of_pages()
    {
        var list = File.ReadAllText(Path.Combine(Pages, "README.md"));
        Assert.All(Directory.GetFiles(Pages, "*-*.md"), p =>
            Assert.Contains($"({Path.GetFileName(p)})", list, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Every_page_ends_with_the_files_its_rules_are_in()
    {
        var named = Directory
            .EnumerateFiles(Path.Combine(Tree.Root, "src"), "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal))
            .SelectMany(f => Named().Matches(File.ReadAllText(f)).Select(m => (Section: m.Groups[1].Value, File: f)))
            .ToLookup(x => int.Parse(x.Section, CultureInfo.InvariantCulture), x => InSource(x.File));
        Assert.All(named, page =>
            Assert.Equal(
                $"_In the code:_ {string.Join(", ", page.Distinct().Order(StringComparer.Ordinal))}.",
                File.ReadLines(Directory.GetFiles(Pages, $"{page.Key:00}-*.md")[0]).Last()
            )
        );
    }

    private static string InSource(string file) =>
        $"`{string.Join('/', Path.GetRelativePath(Path.Combine(Tree.Root, "src"), file).Split('/').Skip(1))}`";

    private static bool Holds(string section, string point)
    {
        var number = int.Parse(section, CultureInfo.InvariantCulture);
        var pages = Directory.GetFiles(Pages, $"{number:00}-*.md");
        return pages.Length == 1
            && (
                point.Length == 0
                || File.ReadLines(pages[0]).Any(l => l.StartsWith($"{point}. ", StringComparison.Ordinal))
            );
    }

    [GeneratedRegex(@"docs/trade (\d+)(?:\.(\d+))?")]
    private static partial Regex Named();
}
