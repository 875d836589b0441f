using Hepno.Analyzers;

namespace Hepno.Core.Tests;

/// <summary>The rule of the build that a text becomes an id by <c>new</c>.</summary>
public class IdsMadeOfTextsTests
{
    [Theory]
    [InlineData("\"front\"", false)]
    [InlineData("Known", false)]
    [InlineData("new(said)", false)]
    [InlineData("new Id<Line>(said)", false)]
    [InlineData("default", false)]
    [InlineData("said", true)]
    [InlineData("$\"{said}-finish\"", true)]
    [InlineData("other.Text", true)]
    [InlineData("(string)null", true)]
    public async Task A_text_that_is_not_written_out_is_found(string made, bool found)
    {
        var source = $$"""
            namespace Hepno.Core.Ids
            {
                public readonly struct Id<T>(string text)
                {
                    public string Text => text;
                    public static implicit operator Id<T>(string text) => new(text);
                }
            }
            public class Line;
            public class Order;
            public static class Caller
            {
                const string Known = "front";
                static Hepno.Core.Ids.Id<Line> Make(string said, Hepno.Core.Ids.Id<Order> other) => {{made.Replace(
                    "Id<Line>",
                    "Hepno.Core.Ids.Id<Line>",
                    StringComparison.Ordinal
                )}};
            }
            """;
        Assert.Equal(
            found ? [$"{IdsMadeOfTexts.Id} this text becomes the id of Line unsaid: write new and the kind"] : [],
            await Samples.Found(new IdsMadeOfTexts(), source)
        );
    }
}
