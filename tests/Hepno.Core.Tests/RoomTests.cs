using System.Text.RegularExpressions;
using Hepno.Core.Methods;

namespace Hepno.Core.Tests;

/// <summary>A method is known by what it says of itself: nothing outside the methods' folders names one.</summary>
public class RoomTests
{
    private static readonly string Core = Path.Combine(Tree.Root, "src", "Hepno.Core");

    [Fact]
    public void Every_method_has_a_folder_and_a_place_of_its_own()
    {
        Assert.True(DecorationMethods.All.Count >= 15);
        Assert.Distinct(DecorationMethods.All.Select(m => m.Id));
        Assert.Distinct(DecorationMethods.All.Select(m => m.Order));
        Assert.All(DecorationMethods.All, m =>
            Assert.Single(Directory.GetDirectories(Path.Combine(Core, "Methods")), room =>
                File.Exists(Path.Combine(room, $"{m.GetType().Name}.cs"))
            )
        );
    }

    [Fact]
    public void Nothing_outside_them_names_one()
    {
        var sources = new[] { "*.cs", "*.ts", "*.vue" }
            .SelectMany(kind =>
                Directory.EnumerateFiles(Path.Combine(Tree.Root, "src"), kind, SearchOption.AllDirectories)
            )
            // the demo shop has what its owner chose
            .Where(f => !Regex.IsMatch(f, "/(obj|bin|node_modules|Demo|Methods/[A-Za-z]+)/|schema\\.d\\.ts$"))
            .SelectMany(f => File.ReadLines(f).Select(line => (File: Path.GetFileName(f), Line: line.Trim())))
            .Where(x => !x.Line.StartsWith("//", StringComparison.Ordinal))
            .ToList();
        Assert.True(sources.Count > 20_000);
        Assert.All(DecorationMethods.All, m =>
        {
            var name = m.GetType().Name;
            // its key as a text, or its class where code uses it
            var named = new Regex(
                $@"[""'`]{m.Id}[""'`@]|\bnew {name}\(|\b{name}\.[A-Z]|\b(is|or) {name}\b|\b{name} =>"
            );
            Assert.Empty(sources.Where(x => named.IsMatch(x.Line)).Select(x => $"{x.File}: {x.Line}"));
        });
    }
}
