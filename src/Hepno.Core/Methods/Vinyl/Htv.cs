using Hepno.Core.Artwork;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Heat-transfer vinyl: cut, weeded and pressed, one layer a colour.</summary>
public sealed class Htv : IDecorationMethod
{
    private const string Key = "htv";
    private const double FailurePrior = 0.015;
    private const double FailureALayer = 0.015;
    private const int MostLayers = 4;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Layered vinyl";

    /// <inheritdoc/>
    public string Said => "cut vinyl, a film for each colour";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public int Order => 50;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "thick where layers lie",
            Wear: "long; corners lift when underpressed",
            "only stretch films go along",
            Look: "flat colours, sharp edges"
        );

    /// <inheritdoc/>
    public bool UsesPieces => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("cutter", "A cutter", 380, book.Of<Cutter>()),
            StartUpItem.Thing("tools", "Weeding tools", 20),
            StartUpItem.Thing("stock", "First rolls", 90),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        // among the rolls the low-heat one wins where the cloth does not take the standard one's heat
        if (book.Of<Cutter>() is not { Count: > 0 } cutters)
        {
            return MethodAnswer.No(
                new Reason(
                    "no-cutter",
                    VerdictKind.No,
                    "no cutter on the Floor",
                    WouldWork: "a cutter, added on the Floor"
                )
            );
        }
        return book.Of<VinylFilm>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-prices",
                    VerdictKind.No,
                    "no vinyl on the Shelf",
                    WouldWork: "a roll with its price, entered on the Shelf"
                )
            )
            : MethodAnswer.BestOf(
                [
                    .. book.Of<VinylFilm>()
                        .SelectMany(v =>
                            cutters.Select(c => Answer(ask, book, v, c) with { Of = $"{v.Product}, {v.Supplier}" })
                        ),
                ],
                ask
            );
    }

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, VinylFilm film, Cutter cutter)
    {
        var recipe = book.RecipeFor(film.Id, ask);
        List<Reason> reasons =
        [
            .. ask.Prints.SelectMany(p => Colours(p).Concat(OnRoll(p, film, cutter, book.Numbers.Format))),
            .. OfFinish(ask, film),
            .. Verdicts.Artwork(
                ask,
                ask.Prints,
                film.Finish.IsCoarse() ? PrintHold.CoarseVinyl : PrintHold.Vinyl,
                book.Numbers.Format
            ),
            .. HeatVerdicts.Of(ask, recipe, book, film.Product, film.Blocks),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask),
        ];
        var verdict = Verdict.From(reasons);
        if (verdict.Kind == VerdictKind.No)
        {
            return new(verdict, "", []);
        }
        var decorations = ask
            .Placements.Select(
                (p, i) =>
                    DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                        Decoration(
                            ask,
                            sized,
                            film,
                            cutter,
                            book,
                            recipe!,
                            i == 0 ? 0 : book.Numbers.Floor.Standards().Rethread(p.Seam(), ask.Style.Kind)
                        )
                    )
            )
            .ToList();
        var cuts = ask.Placements.Sum(p => p.Colours);
        return new(verdict, $"{film.Product}, {cuts} {(cuts == 1 ? "cut" : "cuts")} a piece", decorations);
    }

    private static IEnumerable<Reason> Colours(Placement p)
    {
        var place = p.At().Name;
        if (p.Gradient)
        {
            yield return new(
                "gradient",
                VerdictKind.No,
                $"{place} has gradients; vinyl is flat colours",
                WouldWork: "flat artwork in at most four colours"
            );
        }
        else if (p.Colours > MostLayers)
        {
            yield return new(
                "layers",
                VerdictKind.No,
                $"{place} has {p.Colours} colours, one layer each",
                WouldWork: $"{MostLayers} colours or fewer"
            );
        }
        else if (p.Colours > 2)
        {
            yield return new(
                "thick",
                VerdictKind.WithCare,
                $"{place}: {p.Colours} layers feel thick",
                WouldWork: "say so to the customer, or knock layers out"
            );
        }
    }

    private static IEnumerable<Reason> OnRoll(Placement p, VinylFilm film, Cutter cutter, FigureFormat f)
    {
        var width = CutWidth(film, cutter);
        if (RollRows.Lay(p.WidthIn, p.HeightIn, film.WeedingMarginIn, width, 1, film.SharedMargin) is null)
        {
            yield return new(
                "roll-width",
                VerdictKind.No,
                $"{p.At().Name} {Shown.Size(p.WidthIn, p.HeightIn, f)} is wider than the {Shown.Length(width, f)} that "
                    + $"{(width < film.UsableWidthIn ? cutter.Name : "the roll")} takes",
                WouldWork: "a smaller print or a wider roll"
            );
        }
    }

    private static IEnumerable<Reason> OfFinish(AskInHand ask, VinylFilm film) =>
        ask
            .Placements.Where(p => !film.Finish.Serves(p.Finish))
            .Select(p => new Reason(
                "finish",
                VerdictKind.No,
                $"{p.At().Name} is to be {p.Finish.Named()}; {film.Product} is {film.Finish.Named()}",
                WouldWork: $"a roll of {p.Finish.Named()} vinyl on the Shelf, or {film.Finish.Named()} wanted on the ask"
            ))
            .Take(1);

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        VinylFilm film,
        Cutter cutter,
        ShopBook book,
        Recipe recipe,
        double rethread
    )
    {
        var (p, standards) = (sized.Print, book.Numbers.Floor.Standards());
        var failure =
            SpoilageChance.Reckon(Key, FailurePrior, ask, book)
            + (FailureALayer * (p.Colours - 1) * book.SpoilageFactor);
        var (count, why) = DecorationPlan.Needed(sized, SpareChance.In(book, failure));
        var cutting = VinylCutting.Cheaper(
            p,
            sized.Pieces,
            film,
            CutWidth(film, cutter),
            count,
            standards["close-layer"],
            book.Numbers.Rates.Wage
        )!;
        var cutSeconds = p.AreaIn2 / cutter.SpeedIn2PerMinute * 60 * p.Colours;
        var price = Figure.Input("foot", "A foot", film.PricePerFoot, FigureUnit.Money, Source(film));
        var layers = cutting
            .Layers.Select(
                (l, i) =>
                    Layer(
                        l,
                        i,
                        count,
                        ask.RemnantFor(sized, i) is { } piece && piece.VinylId == film.Id ? piece : null,
                        price
                    )
            )
            .ToList();
        var material = Figure.Sum(
            "material",
            $"{p.At().Name} vinyl",
            Figure.Of(
                "vinyl",
                "Vinyl",
                layers.Sum(l => l.Cost.Value) / count,
                "colours ÷ cuts",
                [
                    .. layers.Select(l => l.Cost),
                    Figure.Input("cuts", "Cuts of each colour", count, FigureUnit.Count, why),
                ]
            ),
            FreightShare.Reckon("Vinyl freight", film.FreightPerOrder, Source(film), ask),
            MachineTime.Cutting(cutter, cutSeconds, book)
        );
        return new DecorationPlan(
            p,
            material,
            count,
            failure,
            recipe,
            standards.Layers(recipe, p.Colours, rethread, cutting.IsClose),
            [
                new("cut", "Cut", cutSeconds, false, Press: false, true),
                .. cutting.Layers.Select(
                    (l, i) =>
                        standards.Weed(l.PaintIn2, p.ThinnestLinePt) with
                        {
                            Label = $"Weed the {VinylLayer.NameOf(i)}",
                        }
                ),
            ],
            [.. Purchases(p, film, cutting, layers, book.Numbers.Format)],
            Prepare: "Cut and weed",
            SetUp: null,
            BenchId: default
        )
        {
            Machine = new(cutter.Id, cutter.Name),
        };
    }

    private static IEnumerable<Purchase> Purchases(
        Placement p,
        VinylFilm film,
        VinylCutting cutting,
        IReadOnlyList<(Figure Cost, RollRows? Rows)> layers,
        FigureFormat f
    ) =>
        layers
            .Select((l, i) => (l.Cost, l.Rows, Layer: i))
            .Where(l => l.Rows is not null)
            .Select(
                (l, at) =>
                    new Purchase(
                        $"vinyl-{p.Id}-{l.Layer + 1}",
                        Text: $"{film.Product}, {p.At().Name.ToLowerInvariant()}, {VinylLayer.NameOf(l.Layer)}",
                        film.Supplier,
                        film.LeadDays,
                        l.Rows!.LengthIn,
                        "in",
                        l.Cost,
                        l.Rows,
                        null
                    )
                    {
                        Hex = cutting.Layers[l.Layer].Hex,
                        Note = at == 0 ? cutting.Said(f) : "",
                        MaterialId = film.Id,
                        Layer = l.Layer,
                    }
            );

    private static string Source(VinylFilm film) => $"Shelf: {film.Supplier}";

    // what a piece on the Shelf takes is not bought: the order that left it has paid for it
    private static (Figure Cost, RollRows? Rows) Layer(
        VinylLayer layer,
        int index,
        int count,
        FromRemnant? piece,
        Figure price
    )
    {
        var lying = piece is null ? 0 : Math.Min(count, layer.Rows.RoomOn(piece.WidthIn, piece.LengthIn));
        var rows = lying == 0 ? layer.Rows : layer.Rows.With(count - lying);
        List<Figure> parts =
        [
            Figure.Input(
                "length",
                "Length",
                rows?.LengthIn ?? 0,
                FigureUnit.Inches,
                rows is null
                    ? "all of it from the piece"
                    : $"{rows.Rows} rows of {rows.Across}, {rows.BoxHeightIn:0.##} in each"
            ),
            price,
        ];
        if (lying > 0)
        {
            parts.Add(
                Figure.Input(
                    "lying",
                    "Cut from a piece that lies here",
                    lying,
                    FigureUnit.Count,
                    $"Shelf: {piece!.WidthIn:0.##} × {piece.LengthIn:0.##} in, paid before"
                )
            );
        }
        return (
            Figure.Of(
                $"layer-{index + 1}",
                label: VinylLayer.NameOf(index),
                Money.Times((rows?.LengthIn ?? 0) / Units.InchesPerFoot, price.Value),
                "length ÷ 12 × price a foot",
                [.. parts]
            ),
            rows
        );
    }

    private static double CutWidth(VinylFilm film, Cutter cutter) => Math.Min(film.UsableWidthIn, cutter.CutWidthIn);
}
