using Hepno.Analyzers;

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
        Assert.Equal(
            found.Length == 0 ? [] : [$"{NamedNeighbours.Id} {found} could be exchanged: name one of them"],
            await Samples.Found(new NamedNeighbours(), source)
        );
    }
}
