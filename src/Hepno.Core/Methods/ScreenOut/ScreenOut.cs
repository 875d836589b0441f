using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Screen printing sent out: the shop's blanks go to a printer and come back printed.</summary>
public sealed class ScreenOut : IDecorationMethod
{
    private const string Key = "screen-out";
    private const string KeptSaid = "Kept from the last time";
    private const double FailurePrior = 0.02;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Screens, sent out";

    /// <inheritdoc/>
    public string Said => "a soft screen print in flat colours";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool KeepsSetUp => true;

    /// <summary>Screens of a print: its colours, and a white base on mid and dark cloth (docs/trade 2).</summary>
    public static int Screens(Placement p, Colourway colour) =>
        p.Colours + (colour.Class is ColourClass.Mid or ColourClass.Dark ? 1 : 0);

    /// <summary>Screens of a print that a printer has from before and still keeps on the last day it may be ordered:
    /// same artwork, same size (docs/trade 2).</summary>
    /// <param name="ask">The line, with what its artwork was made of before.</param>
    /// <param name="p">The print as it is made.</param>
    /// <param name="printer">Who prints.</param>
    public static int Kept(AskInHand ask, Placement p, OutsidePrinter printer) =>
        p.DesignId is null || printer.RepeatPerScreen is null || ask.BuyBy is not { } by
            ? 0
            : Math.Min(
                Screens(p, ask.Colourway),
                ask.Made.Where(m =>
                        m.MakerId == printer.Id
                        && m.DesignId == p.DesignId
                        && m.SameScreen(p.WidthIn, p.HeightIn)
                        && m.On.PlusMonths(printer.KeepsMonths) >= by
                    )
                    .Select(m => m.Screens)
                    .DefaultIfEmpty(0)
                    .Max()
            );

    /// <inheritdoc/>
    public int Order => 140;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new("soft", Wear: "the longest of all prints", "goes along with the cloth", Look: "flat colours, solid");

    /// <inheritdoc/>
    public bool IsSentOut => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [StartUpItem.Thing("samples", "Samples of their work", 60)];

    /// <inheritdoc/>
    int IDecorationMethod.Screens(Placement print, Colourway colourway) => Screens(print, colourway);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        book.Of<OutsidePrinter>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-printer",
                    VerdictKind.No,
                    "no screen printer on the Shelf",
                    WouldWork: "a printer's price list, entered on the Shelf"
                )
            )
            : MethodAnswer.BestOf(
                [
                    .. book.Of<OutsidePrinter>()
                        .Select(printer => Answer(ask, book, printer) with { Of = printer.Supplier }),
                ],
                ask
            );

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, OutsidePrinter printer)
    {
        List<Reason> reasons =
        [
            .. LiesFlat(ask.Style.Kind),
            // a print that is smaller on smaller sizes is a design of its own: it has its own screens and its own
            // least number
            .. ask
                .Placements.SelectMany(p => SizedPrints.Of(p, ask.Sizes, ask.Names))
                .SelectMany(p => OnScreens(p, ask.Colourway, printer)),
            .. printer.HasOwnBlanks() ? OnItsBlanks(ask, printer) : [],
            .. Verdicts.Largest(
                ask.Prints,
                printer.MostWidthIn,
                printer.MostHeightIn,
                printer.Supplier,
                book.Numbers.Format
            ),
            .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Screened, book.Numbers.Format),
            .. Verdicts.Make(ask),
            .. Verdicts.Coated(ask, "ink may not hold on the coat"),
        ];
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                Made(ask, printer),
                [
                    .. ask.Placements.Select(
                        (p, i) =>
                            DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                                Decoration(ask, sized, i, printer, book)
                            )
                    ),
                ]
            );
    }

    private static IEnumerable<Reason> LiesFlat(GarmentKind kind)
    {
        if (kind is GarmentKind.Cap or GarmentKind.Socks)
        {
            yield return new(
                "flat-only",
                VerdictKind.No,
                $"{GarmentNouns.For(kind, 2)} do not lie flat under a screen",
                WouldWork: "stitching, or a transfer"
            );
        }
    }

    private static IEnumerable<Reason> OnScreens(SizedPrint p, Colourway colour, OutsidePrinter printer)
    {
        var (place, screens, colours) = (p.Print.At().Name, Screens(p.Print, colour), p.Print.Colours);
        if (p.Print.Own != OwnText.None)
        {
            yield return Verdicts.OneDesignAScreen(place);
        }
        else if (p.Print.Gradient)
        {
            yield return Verdicts.FlatColours(place);
        }
        else if (screens > printer.MostScreens())
        {
            yield return new(
                "colours",
                VerdictKind.No,
                $"{place} has {colours} colours{(screens > colours ? " and a white base" : "")}; {printer.Supplier} "
                    + $"prints at most {printer.MostScreens()}",
                WouldWork: $"{printer.MostScreens() - (screens - colours)} colours or fewer"
            );
        }
        if (p.Pieces < printer.LeastPieces)
        {
            yield return new(
                "minimum",
                VerdictKind.No,
                $"{p.Pieces} pieces of {place.ToLowerInvariant()}; {printer.Supplier} prints "
                    + $"{printer.LeastPieces} or more of a design",
                WouldWork: $"{printer.LeastPieces} pieces or more"
            );
        }
    }

    private static string Made(AskInHand ask, OutsidePrinter printer)
    {
        var (screens, kept) = (
            ask.Prints.Sum(p => Screens(p, ask.Colourway)),
            ask.Prints.Sum(p => Kept(ask, p, printer))
        );
        var there = kept == screens ? ", kept there" : $", {kept} kept there";
        return $"{printer.Supplier} prints it{(printer.HasOwnBlanks() ? " on its own blanks" : "")}, {Counted(screens)}"
            + (kept == 0 ? "" : there);
    }

    private static string Counted(int screens) => $"{screens} {(screens == 1 ? "screen" : "screens")}";

    // what it prints on is not what was asked for
    private static IEnumerable<Reason> OnItsBlanks(AskInHand ask, OutsidePrinter printer)
    {
        if (ask.Theirs)
        {
            yield return new(
                "theirs-out",
                VerdictKind.No,
                $"their own garments; {printer.Supplier} prints on its own",
                WouldWork: "a printer that takes their garments, or a method of the shop's"
            );
        }
        if (printer.BlankOf(ask.Style.Kind) is null)
        {
            yield return new(
                "not-listed",
                VerdictKind.No,
                $"{printer.Supplier} has no {GarmentNouns.For(ask.Style.Kind, 2)} of its own",
                WouldWork: $"{string.Join(", ", printer.Blanks.Select(b => GarmentNouns.For(b.Kind, 2)))}, or a printer "
                    + "that takes ours"
            );
        }
        yield return new(
            "their-blank",
            VerdictKind.WithCare,
            $"{printer.Supplier} prints on a blank of its own, not on {ask.Style.Name}",
            WouldWork: "a piece of theirs seen before it is promised"
        );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        int index,
        OutsidePrinter printer,
        ShopBook book
    )
    {
        var (p, source, steps) = (sized.Print, $"Shelf: {printer.Supplier}", book.Numbers.Floor.Standards());
        var (place, screens) = (p.At().Name, Screens(p, ask.Colourway));
        // who brings the garments has none to spare
        var printed = ask.Theirs ? sized.Pieces : (int)Math.Ceiling((sized.Pieces * (1 + printer.SpareShare)) - 1e-9);
        var breaks = printer.Prices.Where(x => x.Colours >= screens).MinBy(x => x.Colours)!.Breaks;
        var held = PriceBreaks.At(breaks, printed);
        var price = Figure.Input(
            "print-price",
            $"{Counted(screens)}, from {held.From}",
            held.Price,
            FigureUnit.Money,
            source
        );
        // its own blank is in the price of the piece once, whatever is printed on it
        var blank = index == 0 ? TheirBlank(ask.Style.Kind, printer, source) : null;
        var material = Figure.Sum(
            "material",
            $"{place} print",
            [price, .. blank is null ? Array.Empty<Figure>() : [blank], Freight(ask, printer, source)]
        );
        var setUp = SetUp(ask, p, place, screens, printer, source);
        // a piece goes out and comes back once, whatever is printed on it
        var sends = index == 0 && !printer.HasOwnBlanks();
        var count = Figure.Input(
            "count",
            "Prints",
            printed,
            FigureUnit.Count,
            ask.Theirs
                ? "the ask: their garments, none to spare"
                : $"{sized.Pieces} and {printer.SpareShare:0.#%} it may spoil"
        );
        List<Figure> bought =
        [
            Figure.Of("prints", "Prints", printed * held.Price, "prints × price", count, price),
            setUp,
            .. blank is null ? [] : TheirBlanks(sized.Pieces, blank),
        ];
        return new(
            p,
            material,
            printed,
            SpoilageChance.Reckon(Key, FailurePrior, ask, book),
            Recipe.NoHeat(
                printer.Id,
                side: "right-reading, printed elsewhere",
                "Count sizes and look at the first of each before the rest goes on."
            ),
            index == 0 ? steps.CameBack : [steps.CameBack[0] with { Seconds = 0 }],
            sends ? [steps.SentOut] : [],
            [PrintedOut(ask, p, printer, printed, screens: screens, Figure.Sum("buy", place, bought), breaks, book)],
            setUp,
            sends ? "Count the blanks out and send them" : "",
            Workbench.Table.Id
        )
        {
            BringsBlank = printer.HasOwnBlanks(),
            BlanksSent = printer.HasOwnBlanks() ? 0 : printed,
        };
    }

    private static Purchase PrintedOut(
        AskInHand ask,
        Placement p,
        OutsidePrinter printer,
        int printed,
        int screens,
        Figure cost,
        IReadOnlyList<PriceBreak> breaks,
        ShopBook book
    ) =>
        new(
            $"sent-out-{p.Id}",
            Text: $"{printed} printed, {p.At().Name.ToLowerInvariant()} "
                + $"{Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)}, {Counted(screens)}: "
                + (printer.HasOwnBlanks() ? "on their blanks" : "send them the blanks"),
            printer.Supplier,
            Days(ask, printer),
            printed,
            "prints",
            cost,
            null,
            null
        )
        {
            Breaks = breaks,
        };

    private static Figure? TheirBlank(GarmentKind kind, OutsidePrinter printer, string source) =>
        printer.BlankOf(kind) is { } own
            ? Figure.Input("their-blank", $"Their {GarmentNouns.For(kind, 1)}", own, FigureUnit.Money, source)
            : null;

    private static IEnumerable<Figure> TheirBlanks(int pieces, Figure blank) =>
        [
            Figure.Of(
                "their-blanks",
                "Their blanks",
                pieces * blank.Value,
                "pieces × price",
                Figure.Input("pieces", "Pieces", pieces, FigureUnit.Count, "the ask"),
                blank
            ),
        ];

    // ours come here first and go on to the printer
    private static int Days(AskInHand ask, OutsidePrinter printer)
    {
        if (printer.HasOwnBlanks())
        {
            return printer.LeadDays;
        }
        return (ask.Theirs ? 1 : ask.Style.LeadDays) + printer.LeadDays;
    }

    private static Figure Freight(AskInHand ask, OutsidePrinter printer, string source)
    {
        var decorations = Figure.Input(
            "decorations",
            "Decorations",
            ask.Pieces * ask.Placements.Count,
            FigureUnit.Count,
            "the ask"
        );
        var back = Figure.Input("back", "Back", printer.FreightBack, FigureUnit.Money, source);
        return printer.HasOwnBlanks()
            ? Figure.Of(
                "freight-share",
                "Freight from them",
                printer.FreightBack / decorations.Value,
                "freight ÷ decorations",
                back,
                decorations
            )
            : Figure.Of(
                "freight-share",
                "Freight there and back",
                (printer.FreightThere + printer.FreightBack) / decorations.Value,
                "both ways ÷ decorations",
                Figure.Input("there", "There", printer.FreightThere, FigureUnit.Money, source),
                back,
                decorations
            );
    }

    private static Figure SetUp(
        AskInHand ask,
        Placement p,
        string place,
        int screens,
        OutsidePrinter printer,
        string source
    )
    {
        var kept = Kept(ask, p, printer);
        var counted = screens > p.Colours ? "the ask, and a white base" : "the ask";
        Figure Of(string code, string label, int count, decimal each, string why) =>
            Figure.Of(
                code,
                label,
                count * each,
                "screens × set-up",
                Figure.Input("screens", "Screens", count, FigureUnit.Count, why),
                Figure.Input("each", "A screen", each, FigureUnit.Money, source)
            );
        return kept == 0
            ? Of("set-up", label: $"{place} screens", screens, printer.SetUpPerScreen, counted)
            : Figure.Sum(
                "set-up",
                $"{place} screens",
                [
                    Of("kept", label: KeptSaid, kept, printer.RepeatPerScreen!.Value, KeptSaid),
                    .. kept == screens
                        ? Array.Empty<Figure>()
                        : [Of("new", label: "New screens", screens - kept, printer.SetUpPerScreen, counted)],
                ]
            );
    }
}
