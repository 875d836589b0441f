using Hepno.Core.Methods;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>What a figure leaves out, said beside it: what nobody reckons with, and what the shop's own numbers say is
/// nothing.</summary>
public static class LeavesOut
{
    // a layout so near what nothing goes under has nothing to be searched
    private const double Nearly = 1e-6;

    /// <summary>Every such thing in words.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static IReadOnlyList<string> Sentences(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book
    ) =>
        [
            Sending(ask, book),
            Spares(ask, decorations),
            "artwork drawn or mended by you",
            book.Numbers.Floor.HandsFactor == 1
                ? "minutes are simulated from standards: no run of yours is in them yet"
                : "minutes are simulated from standards at the pace of your own runs",
            .. Nothing(ask, decorations, book),
            .. Unmeasured(ask, decorations, book),
        ];

    private static string Sending(AskInHand ask, ShopBook book)
    {
        if (ask.Shipping is null)
        {
            return "postage: the customer collects";
        }
        return LineCost.Packed(ask, book) is null
            ? "postage: no parcel of the shop's carries it there"
            : "the way to the carrier";
    }

    // a spare costs what the others cost, its share of one parcel with it; the parcel it would really come in is more
    private static string Spares(AskInHand ask, IReadOnlyList<DecorationPlan> decorations)
    {
        if (decorations.Any(d => d.BenchId == Workbench.Sewing.Id))
        {
            return "patterns drawn and graded, and the piece sewn to try them";
        }
        if (decorations.Any(d => d.BringsBlank))
        {
            return "what comes back wrong: they make it again, the delay is not counted";
        }
        return ask.Theirs
            ? "spoiled pieces: the customer's own garments, none to spare"
            : "spare blanks: one is counted as if it came in the same parcel; a parcel of its own and the delay are not";
    }

    // a figure of 0 is the owner's to say, and nobody else sees that it was said
    private static IEnumerable<string> Nothing(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book)
    {
        var n = book.Numbers;
        foreach (
            var (isNothing, what) in new[]
            {
                (n.Rates.Wage == 0, "your hands: Numbers says that an hour costs nothing"),
                (n.Rates.OverheadPerHour == 0, "rent and the rest: Numbers says that there is none"),
                (n.Fees.Share.Part == 0 && n.Fees.Fixed == 0, "card fees: Numbers says that there are none"),
                (
                    n.Rates.TariffPerKwh == 0 && decorations.Any(d => d.BenchId != Workbench.Table.Id),
                    "power: Numbers has no price for it"
                ),
                (
                    !ask.Theirs && decorations.All(d => d.FailureChance == 0 && !d.IsOnTheirBlank()),
                    "spoiled pieces: none are reckoned with"
                ),
            }
        )
        {
            if (isNothing)
            {
                yield return what;
            }
        }
    }

    private static IEnumerable<string> Unmeasured(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book
    )
    {
        if (decorations.Any(d => d.Purchases.Any(p => p.Laid is { IsSettled: false, OverFloor: > Nearly })))
        {
            yield return "what a search saves: the prints lie as they were first laid, and are searched when the way is chosen";
        }
        if (
            decorations.Any(d =>
                d.Placement.Stitches is null && book.Of<StitchMachine>().Any(m => m.BenchId() == d.BenchId)
            )
        )
        {
            yield return "the stitch file's own count: stitches are guessed from the painted area";
        }
        if (
            decorations.Any(d => d.Recipe.IsPressed())
            && book.PressesFor(ask.Style.Kind).FirstOrDefault(p => p.OffsetF is null) is { } untested
        )
        {
            yield return $"{untested.Name} has no temperature test: it is taken at its dial's word";
        }
    }
}
