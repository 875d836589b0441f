using Hepno.Web.Held;

namespace Hepno.Web.Tests;

/// <summary>Whose hands a piece is in.</summary>
public class PiecesInHandTests(Shop shop) : IClassFixture<Shop>
{
    private sealed class Clock : TimeProvider
    {
        public TimeSpan Passed { get; set; }

        public override long TimestampFrequency => TimeSpan.TicksPerSecond;

        public override long GetTimestamp() => Passed.Ticks;
    }

    [Fact]
    public void A_piece_is_given_once_and_is_free_when_it_is_let_go_of_or_its_device_falls_silent()
    {
        var time = new Clock();
        var hands = new PiecesInHand(time);
        Assert.Empty(hands.Take("run", "one", ["1.1.1", "2.1.1"]));
        Assert.Equal(["1.1.1", "2.1.1"], hands.Take("run", "two", ["1.1.1", "2.1.1"]));
        Assert.Empty(hands.Take("another run", "two", ["1.1.1"]));
        Assert.Empty(hands.Take("run", "one", ["2.1.1", "3.1.1"]));
        Assert.Equal(["2.1.1", "3.1.1"], hands.Take("run", "two", ["1.1.1", "2.1.1"]).Order());
        Assert.Equal(["1.1.1"], hands.Take("run", "one", []));
        Assert.Empty(hands.Take("run", "two", ["1.1.1", "2.1.1"]));
        time.Passed = PiecesInHand.Lasts;
        Assert.Equal(["1.1.1", "2.1.1"], hands.Take("run", "one", ["1.1.1"]).Order());
        time.Passed += TimeSpan.FromSeconds(1);
        Assert.Empty(hands.Take("run", "one", ["1.1.1"]));
    }

    [Theory]
    [InlineData("nothing", """{"pieces":["1.1.1"]}""", 404)]
    [InlineData("demo-202", """{"pieces":[""]}""", 400)]
    [InlineData("demo-202", """{"pieces":null}""", 400)]
    [InlineData("demo-202", """{"pieces":["1.1.1"]}""", 200)]
    public async Task Pieces_are_asked_for_by_run(string run, string body, int status) =>
        Assert.Equal(status, (await shop.Send(HttpMethod.Put, $"/api/runs/{run}/in-hand", body)).Status);
}
