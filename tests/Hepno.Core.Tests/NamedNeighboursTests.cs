using System.Collections.Immutable;
using Hepno.Analyzers;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Hepno.Core.Tests;

/// <summary>The rule of the build that neighbours of one primitive type are not told apart by place alone.</summary>
public class NamedNeighboursTests
{
    private const string Shapes = """
        public record Said(string Sentence, string Remedy);
        public record Coded(string Code, string Text);
        public record Costs(decimal Wage, decimal? Tariff, int Minutes);
        public record Box(double Left, double Top, double WidthIn, double HeightIn);
        public record Platen(double PlatenWidthIn, double PlatenHeightIn, double WarmUpMinutes);
        public static class Shop
        {
            public static void Run(bool hot, bool closed) { }
            internal static void Inside(bool hot, bool closed) { }
        }
        """;

    private static readonly ImmutableArray<MetadataReference> Known =
    [
        .. ((string)AppContext.GetData("TRUSTED_PLATFORM_ASSEMBLIES")!)
            .Split(Path.PathSeparator)
            .Where(p => Path.GetFileName(p).StartsWith("System.", StringComparison.Ordinal))
            .Select(p => MetadataReference.CreateFromFile(p)),
    ];

    [Theory]
    [InlineData("new Said(\"too hot\", \"let it cool\")", "'Sentence' and 'Remedy' of Said")]
    [InlineData("new Said(\"too hot\", Remedy: \"let it cool\")", "")]
    [InlineData("new Said(Sentence: \"too hot\", \"let it cool\")", "")]
    [InlineData("new Said(sentence, other)", "")]
    [InlineData("new Said(other, sentence)", "'Sentence' and 'Remedy' of Said")]
    [InlineData("new Said(other, shopRemedy)", "")]
    [InlineData("new Coded(\"too-hot\", \"Too hot\")", "")]
    [InlineData("new Coded(\"Too hot\", \"too-hot\")", "'Code' and 'Text' of Coded")]
    [InlineData("new Costs(18m, 0.21m, 5)", "'Wage' and 'Tariff' of Costs")]
    [InlineData("new Costs(18m, Tariff: 0.21m, 5)", "")]
    [InlineData("new Box(1, 2, 3, 4)", "")]
    [InlineData("new Platen(15, 16, 20)", "'PlatenHeightIn' and 'WarmUpMinutes' of Platen")]
    [InlineData("Do(() => Shop.Run(true, false))", "'hot' and 'closed' of Run")]
    [InlineData("Do(() => Shop.Inside(true, false))", "")]
    [InlineData("string.Concat(other, \"b\")", "")]
    public async Task What_could_be_exchanged_unseen_is_found(string call, string found)
    {
        var source = $$"""
            {{Shapes}}
            public static class Caller
            {
                static object Do(System.Action deed) => deed;
                static object Call(string sentence, string other, string shopRemedy) => {{call}};
            }
            """;
        var compilation = CSharpCompilation.Create(
            "Hepno.Sample",
            [CSharpSyntaxTree.ParseText(source)],
            Known,
            new(OutputKind.DynamicallyLinkedLibrary)
        );
        Assert.Empty(compilation.GetDiagnostics().Where(d => d.Severity == DiagnosticSeverity.Error));
        var all = await compilation.WithAnalyzers([new NamedNeighbours()]).GetAnalyzerDiagnosticsAsync();
        Assert.Equal(
            found.Length == 0 ? [] : [$"{NamedNeighbours.Id} {found} could be exchanged: name one of them"],
            all.Select(d => $"{d.Id} {d.GetMessage(System.Globalization.CultureInfo.InvariantCulture)}")
        );
    }
}
