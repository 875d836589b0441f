using System.Globalization;
using Hepno.Core.Measures;

namespace Hepno.Core.Tests;

/// <summary>Parts of a whole.</summary>
public class ShareTests
{
    [Fact]
    public void Money_times_a_share_is_money_and_shares_add_up()
    {
        var share = new Share(0.35m);
        Assert.Equal((7.00m, 7.00m), (20m * share, share * 20m));
        Assert.Equal((0.65m, 1.35m, 35m), (share.Rest, share.OnTop, share.Percent));
        Assert.Equal(new Share(0.64m), share + new Share(0.29m));
        Assert.Equal(0m, 20m * default(Share));
    }

    [Fact]
    public void In_a_sentence_it_is_written_as_its_number() =>
        Assert.Equal(
            "0.03, 3%, 3.5%",
            string.Create(
                CultureInfo.InvariantCulture,
                $"{new Share(0.03m)}, {new Share(0.03m):0%}, {new Share(0.035m):0.0%}"
            )
        );
}
