using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Rules of feasibility that several methods share (docs/trade 3); each says the input that decided.</summary>
internal static class Verdicts
{
    /// <summary>Wider than this a straight line bends on a cap's round front, in (assumed).</summary>
    private const double StraightOnCapIn = 3.5;

    /// <summary>What of its artwork the way does not hold: typed figures, and everything that was measured where a
    /// picture is kept (docs/trade 3 and 4).</summary>
    /// <param name="ask">The line.</param>
    /// <param name="prints">As they are made.</param>
    /// <param name="hold">What the way holds.</param>
    /// <param name="f">How figures are written.</param>
    public static IEnumerable<Reason> Artwork(
        AskInHand ask,
        IEnumerable<Placement> prints,
        PrintHold hold,
        FigureFormat f
    ) =>
        prints
            .SelectMany(p =>
                p.Finish.IsSpecial() && hold != PrintHold.Vinyl && hold != PrintHold.CoarseVinyl
                    ?
                    [
                        new Reason(
                            "finish",
                            VerdictKind.No,
                            $"{p.At().Name} is to be {p.Finish.Named()}, which is a vinyl",
                            WouldWork: "vinyl, or a plain print"
                        ),
                    ]
                : p.Own == OwnText.None && p.DesignId is { } id && ask.Artworks.TryGetValue(id, out var report)
                    ? Measured(ask, p, report, hold, f)
                : Typed(ask, p, hold)
            )
            .OrderByDescending(r => r.Kind)
            // a print smaller on smaller sizes is said once, at its worst
            .DistinctBy(r => (r.Code, r.Sentence.Split(':')[0]));

    private static IEnumerable<Reason> Measured(
        AskInHand ask,
        Placement p,
        ArtworkReport report,
        PrintHold hold,
        FigureFormat f
    ) =>
        DesignFaults
            .On(hold, report, p.WidthIn, ask.Colourway, f)
            .Select(x => new Reason(
                x.Code,
                x.Kind == FaultKind.Bad
                && (x.Code is "code-small" || x.Code.StartsWith("thin-", StringComparison.Ordinal))
                    ? VerdictKind.No
                    : VerdictKind.WithCare,
                $"{p.At().Name}: {x.Sentence}",
                WouldWork: x.Remedy
            ));

    private static IEnumerable<Reason> Typed(AskInHand ask, Placement p, PrintHold hold)
    {
        if (p.ThinnestLinePt < hold.LinePt)
        {
            yield return new(
                "thin-line",
                VerdictKind.No,
                $"{p.At().Name}: a line of {p.ThinnestLinePt:0.##} pt; {hold.Way} holds {hold.LinePt:0.##} pt",
                WouldWork: $"lines of {hold.LinePt:0.##} pt, or the artwork "
                    + $"{p.WidthIn * hold.LinePt / p.ThinnestLinePt:0.#} in wide"
            );
        }
        // a typed gradient may be a photograph with hard edges: film alone, which prints any softness as a rim, is
        // doubted for it
        if (p.Gradient && hold == PrintHold.Film && ask.Colourway.Class is ColourClass.Dark or ColourClass.Mid)
        {
            yield return new(
                "soft-edge",
                VerdictKind.WithCare,
                $"{p.At().Name}: a gradient on {ask.Colourway.Name} may show a white edge",
                WouldWork: "cut soft edges hard before printing"
            );
        }
    }

    /// <summary>Prints larger than a machine or supplier takes, in either orientation.</summary>
    /// <param name="prints">As they are made.</param>
    /// <param name="mostWidthIn">Widest, in.</param>
    /// <param name="mostHeightIn">Tallest, in.</param>
    /// <param name="who">Whose limit it is.</param>
    /// <param name="f">How figures are written.</param>
    public static IEnumerable<Reason> Largest(
        IEnumerable<Placement> prints,
        double mostWidthIn,
        double mostHeightIn,
        string who,
        FigureFormat f
    ) =>
        prints
            .Where(p =>
                !(
                    (p.WidthIn <= mostWidthIn + 1e-9 && p.HeightIn <= mostHeightIn + 1e-9)
                    || (p.HeightIn <= mostWidthIn + 1e-9 && p.WidthIn <= mostHeightIn + 1e-9)
                )
            )
            .Select(p => new Reason(
                "too-large",
                VerdictKind.No,
                $"{p.At().Name} {Shown.Size(p.WidthIn, p.HeightIn, f)}; {who} takes "
                    + $"{Shown.Size(mostWidthIn, mostHeightIn, f)}",
                WouldWork: "a smaller print, or another method"
            ));

    /// <summary>A screen prints one design: no names.</summary>
    public static Reason OneDesignAScreen(string place) =>
        new(
            "own-text",
            VerdictKind.No,
            $"{place}: each piece has its own name, and a screen prints one design",
            WouldWork: "vinyl or film for the names, on a line of their own"
        );

    /// <summary>Screens print flat colours: no gradients.</summary>
    public static Reason FlatColours(string place) =>
        new(
            "gradient",
            VerdictKind.No,
            $"{place} has gradients; screens print flat colours",
            WouldWork: "flat spot colours, or a film"
        );

    /// <summary>A whole garment is one print: none of it is each piece's own.</summary>
    public static IEnumerable<Reason> OnePrint(AskInHand ask)
    {
        if (ask.Placements.Any(p => p.Own != OwnText.None))
        {
            yield return new(
                "own-text",
                VerdictKind.No,
                "each piece has its own text, and the whole garment is one print",
                WouldWork: "names by vinyl or film, on a print of their own"
            );
        }
    }

    /// <summary>Cloth with a coat that lets nothing through: what decorates it may not hold, or breaks the
    /// coat.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="what">What may go wrong there, as a clause.</param>
    public static IEnumerable<Reason> Coated(AskInHand ask, string what)
    {
        if (ask.Style.Has(Feature.Coated))
        {
            yield return new(
                "coated",
                VerdictKind.WithCare,
                $"{ask.Style.Name} is coated: {what}",
                WouldWork: "one piece tried first, and the customer told"
            );
        }
    }

    /// <summary>What lies in a printer against what it takes (docs/trade 2): ink, film, powder and paper must
    /// match.</summary>
    public static IEnumerable<Reason> Loaded(ThingId printerId, string printer, ShopBook book) =>
        (book.Of<PrinterSupplies>().FirstOrDefault(s => s.Id == printerId)?.Mismatches() ?? []).Select(x => new Reason(
            "mismatch",
            VerdictKind.No,
            $"{printer} has {x.Loaded.Product} in it as {PrinterSupplies.NameOf(x.Slot.Supply)}, which it does not take",
            WouldWork: $"{string.Join(" or ", x.Slot.Takes)} as {PrinterSupplies.NameOf(x.Slot.Supply)}, noted on the Floor"
        ));

    /// <summary>What the garment has that a print must mind: a zip, a pocket, a sewn label, eyelets.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="dye">True for dye, which lies in the cloth and not on it.</param>
    /// <param name="edgeToEdge">True for what prints a whole garment.</param>
    public static IEnumerable<Reason> Make(AskInHand ask, bool dye = false, bool edgeToEdge = false)
    {
        bool Prints(params string[] places) => ask.Placements.Any(p => places.Contains(p.Seam()));
        if (Prints(Places.AllOver) && !edgeToEdge)
        {
            yield return new(
                "edge-to-edge",
                VerdictKind.No,
                "it is to be printed from edge to edge, over seams and sleeves",
                WouldWork: "dye all over on white polyester, or a print on a part of it"
            );
        }
        if (ask.Style.Kind == GarmentKind.Socks && !dye)
        {
            yield return new(
                "socks",
                VerdictKind.No,
                "a sock is stretched over the foot: what lies on it cracks or rubs",
                WouldWork: "dye, on a polyester sock"
            );
        }
        if (ask.Theirs)
        {
            yield return new(
                "theirs",
                VerdictKind.WithCare,
                $"their own garments, taken to be like {ask.Style.Name}: none is to spare",
                WouldWork: "a spot test, or their word that a spoiled one is theirs"
            );
        }
        if (ask.Placements.FirstOrDefault(p => p.Seam() == "cap-front" && p.WidthIn > StraightOnCapIn) is { } wide)
        {
            yield return new(
                "cap-bend",
                VerdictKind.WithCare,
                $"{wide.WidthIn:0.##} in on a round cap front: straight lettering will bend",
                WouldWork: $"a mark of {StraightOnCapIn:0.##} in or less, or lettering drawn on an arch"
            );
        }
        if (ask.Style.Has(Feature.Zip) && Prints("front"))
        {
            yield return new(
                "zip",
                VerdictKind.No,
                $"{ask.Style.Name} has a zip down the front",
                WouldWork: "the left chest, the back or a sleeve"
            );
        }
        if (ask.Style.Has(Feature.Pocket) && Prints("left-chest"))
        {
            yield return new(
                "pocket",
                VerdictKind.WithCare,
                $"{ask.Style.Name} has a chest pocket: its seams keep the heat away",
                WouldWork: "press above it, or with a pillow inside it"
            );
        }
        if (Prints("neck-label") && !ask.Style.Has(Feature.TearAwayLabel))
        {
            yield return new(
                "sewn-label",
                VerdictKind.WithCare,
                $"the sewn label of {ask.Style.Name} does not tear away: it says size, fibre and care",
                WouldWork: "a blank whose label tears away, or leave the sewn one in"
            );
        }
        if (ask.Style.Has(Feature.Grommets) && Prints("bag-face"))
        {
            yield return new(
                "grommets",
                VerdictKind.WithCare,
                $"the eyelets of {ask.Style.Name} hold the platen open",
                WouldWork: "keep them over the platen's edge"
            );
        }
    }

    /// <summary>Prints larger than the shop customarily puts there (docs/trade 16): the cloth holds them, the eye may
    /// not.</summary>
    public static IEnumerable<Reason> Customary(AskInHand ask, FigureFormat f) =>
        ask
            .Placements.Select(p => PlacementRules.BeyondCustomary(p, ask.Sizes, f))
            .OfType<string>()
            .Select(beyond => new Reason(
                "beyond-customary",
                VerdictKind.WithCare,
                beyond,
                WouldWork: "a piece laid out and looked at before it is promised, or a smaller print"
            ));

    /// <summary>The print against the platen.</summary>
    public static IEnumerable<Reason> Platen(IEnumerable<Placement> placements, IReadOnlyList<Press> presses)
    {
        foreach (var p in placements)
        {
            if (presses.Count > 0 && !presses.Any(m => m.Covers(p.WidthIn, p.HeightIn)))
            {
                var largest = presses.MaxBy(m => m.PlatenWidthIn * m.PlatenHeightIn)!;
                yield return new(
                    "platen",
                    VerdictKind.No,
                    $"{p.At().Name} {p.WidthIn:0.##} × {p.HeightIn:0.##} in; the platen of {largest.Name} is "
                        + $"{largest.PlatenWidthIn:0.##} × {largest.PlatenHeightIn:0.##} in",
                    WouldWork: $"{(PressNeeded.For(p.WidthIn, p.HeightIn) is var (w, h) ? $"a press of {w:0} × {h:0} in" : "no usual press")}, "
                        + "or a smaller print"
                );
            }
        }
    }
}
