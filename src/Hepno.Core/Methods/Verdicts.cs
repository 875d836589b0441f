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
    /// <summary>Above this, dark polyester lets its own dye rise through the print, °F.</summary>
    private const double MigrationF = 275;

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
    public static IEnumerable<Reason> Loaded(string printerId, string printer, ShopBook book) =>
        (book.Supplies?.FirstOrDefault(s => s.Id == printerId)?.Mismatches() ?? []).Select(x => new Reason(
            "mismatch",
            VerdictKind.No,
            $"{printer} has {x.Loaded.Product} in it as {PrinterSupplies.NameOf(x.Slot.Supply)}, which it does not take",
            WouldWork: $"{string.Join(" or ", x.Slot.Takes)} as {PrinterSupplies.NameOf(x.Slot.Supply)}, noted on the Floor"
        ));

    /// <summary>The recipe against the cloth: heat ceiling, dye migration, what the shop's own tests say, source of the
    /// recipe.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="recipe">How it is pressed; null where the shop has none.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="product">What is pressed.</param>
    /// <param name="blocks">True where the product keeps a cloth's own dye back.</param>
    public static IEnumerable<Reason> Heat(
        AskInHand ask,
        Recipe? recipe,
        ShopBook book,
        string product,
        bool blocks = false
    )
    {
        var (style, presses) = (ask.Style, book.PressesFor(ask.Style.Kind));
        if (recipe is null)
        {
            yield return new(
                "no-recipe",
                VerdictKind.No,
                $"no recipe for {product} on {RecipeChoice.FabricOf(style).ToString().ToLowerInvariant()}",
                WouldWork: "the maker's sheet, entered on the Floor"
            );
            yield break;
        }
        if (presses.Count == 0)
        {
            yield return new(
                "no-press",
                VerdictKind.No,
                style.Kind == GarmentKind.Cap ? "no cap press on the Floor" : "no press on the Floor",
                WouldWork: style.Kind == GarmentKind.Cap
                    ? "a press of the kind cap, added on the Floor"
                    : "a press, added on the Floor"
            );
            yield break;
        }
        foreach (var reason in OfPresses(ask, presses))
        {
            yield return reason;
        }
        var tooHot = TooHot(ask, recipe, book, product, Even(ask, presses));
        if (tooHot is not null)
        {
            yield return tooHot;
        }
        foreach (var reason in OnCloth(ask, recipe, book, product, bleeds: tooHot is null && !blocks))
        {
            yield return reason;
        }
    }

    // those that are hot all over where the prints would lie
    private static List<Press> Even(AskInHand ask, IReadOnlyList<Press> presses) =>
        [
            .. presses.Where(p =>
                !p.IsSetAside() && ask.Prints.All(print => p.ColdUnder(print.WidthIn, print.HeightIn).Count == 0)
            ),
        ];

    private static IEnumerable<Reason> OfPresses(AskInHand ask, IReadOnlyList<Press> presses)
    {
        if (presses.All(p => p.IsSetAside()))
        {
            yield return new(
                "press-set-aside",
                VerdictKind.No,
                $"{presses[0].Name} is off by {Math.Abs(presses[0].OffsetF!.Value):0} °F and set aside",
                WouldWork: "the press mended and measured again"
            );
        }
        if (presses.FirstOrDefault(p => !p.IsSetAside()) is { } sound && Even(ask, presses).Count == 0)
        {
            var cold = sound.ColdUnder(ask.Prints.Max(p => p.WidthIn), ask.Prints.Max(p => p.HeightIn));
            yield return new(
                "cold-spot",
                VerdictKind.No,
                $"{sound.Name} is over {sound.ColdBelowF:0} °F colder "
                    + $"{string.Join(", ", cold.Select(i => PlatenMap.Names[i]))} than its mean, where this print would lie",
                WouldWork: "the press mended and measured again, a smaller print, or another press"
            );
        }
    }

    private static Reason? TooHot(AskInHand ask, Recipe recipe, ShopBook book, string product, List<Press> even)
    {
        var (style, f) = (ask.Style, book.Numbers.Format);
        if (recipe.TemperatureF > style.HeatCeilingF)
        {
            return new(
                "heat-ceiling",
                VerdictKind.No,
                $"{product} wants {Shown.Temperature(recipe.TemperatureF, f)}; {style.Name} takes "
                    + $"{Shown.Temperature(style.HeatCeilingF, f)}",
                WouldWork: $"a product pressed at {Shown.Temperature(style.HeatCeilingF, f)} or less{Nearest(style, book)}"
            );
        }
        if (
            even is { Count: > 0 }
            && even.MinBy(p => p.HottestF(recipe.TemperatureF)) is { } coolest
            && coolest.HottestF(recipe.TemperatureF) > style.HeatCeilingF
        )
        {
            return new(
                "hot-spot",
                VerdictKind.No,
                $"{coolest.Name}'s hottest point reaches "
                    + $"{Shown.Temperature(coolest.HottestF(recipe.TemperatureF), f)}; {style.Name} takes "
                    + $"{Shown.Temperature(style.HeatCeilingF, f)}",
                WouldWork: "a press with an even platen, or a product pressed cooler"
            );
        }
        return null;
    }

    private static IEnumerable<Reason> OnCloth(AskInHand ask, Recipe recipe, ShopBook book, string product, bool bleeds)
    {
        var (style, f) = (ask.Style, book.Numbers.Format);
        var test = SpotTest.Find(recipe, style, ask.Colourway, book.Tests ?? []);
        // what was tested here is known better than any rule
        if (bleeds && test is null && Bleeding(style, ask.Colourway, recipe, product, f) is { } bleeding)
        {
            yield return bleeding;
        }
        if (test is null && style.Has(Feature.Coated))
        {
            yield return new(
                "coated",
                VerdictKind.WithCare,
                $"{style.Name} is coated: {product} may not stick, or the coat may scorch",
                WouldWork: "a spot test on one, looked at again after a day"
            );
        }
        if (test is not null)
        {
            foreach (var reason in Tested(test, style, product, f))
            {
                yield return reason;
            }
        }
        else if (recipe.Source == RecipeSource.Assumed)
        {
            yield return new(
                "spot-test",
                VerdictKind.WithCare,
                $"the recipe for {product} is assumed",
                WouldWork: "spot-test first"
            );
        }
    }

    private static Reason? Bleeding(Style style, Colourway colour, Recipe recipe, string product, FigureFormat f)
    {
        if (style.Cloth?.Migration == Migration.High)
        {
            return new(
                "dye-migration",
                VerdictKind.WithCare,
                $"{style.Name} is known to bleed, and {product}, pressed at "
                    + $"{Shown.Temperature(recipe.TemperatureF, f)}, does not keep its dye back",
                WouldWork: "a film that blocks it; or spot-test it, and look again after a day"
            );
        }
        if (
            style.Cloth?.Migration != Migration.None
            && style.PercentOf(Fibre.Polyester) >= 35
            && colour.Class == ColourClass.Dark
            && recipe.TemperatureF > MigrationF
        )
        {
            return new(
                "dye-migration",
                VerdictKind.WithCare,
                $"{colour.Name} with {style.PercentOf(Fibre.Polyester):0}% polyester may bleed at "
                    + $"{Shown.Temperature(recipe.TemperatureF, f)}",
                WouldWork: "spot-test it, and look again after a day"
            );
        }
        return null;
    }

    private static string Nearest(Style style, ShopBook book) =>
        book.SafeFor(style, style.HeatCeilingF) is { } recipe
            ? $": {book.ProductName(recipe.ProductId)} wants "
                + $"{Shown.Temperature(recipe.TemperatureF, book.Numbers.Format)}"
            : "";

    private static IEnumerable<Reason> Tested(SpotTest test, Style style, string product, FigureFormat f)
    {
        if (test.Verdict() == TestVerdict.Failed)
        {
            yield return new(
                "test-failed",
                VerdictKind.No,
                $"{product} failed your test on {style.Name} of {Shown.Day(test.Day, f)}: {test.Fault()}",
                WouldWork: "another setting, tested again, or another product"
            );
        }
        else if (test.Verdict() == TestVerdict.LookAgain)
        {
            yield return new(
                "look-again",
                VerdictKind.WithCare,
                $"your test on {style.Name} of {Shown.Day(test.Day, f)} was not looked at after a day",
                WouldWork: "look whether the cloth's dye came through, and note it on the Floor"
            );
        }
    }

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
