using Hepno.Core.Artwork;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Film made on a direct-to-garment printer: small sheets, colour and white in two passes between which the
/// sheet is fed back, powdered by hand and cured (docs/trade 2).</summary>
public sealed class FilmOnGarmentPrinter : IDecorationMethod
{
    private const string Key = "film-garment-printer";

    // by hand: more of it fails than on a printer made for film (assumed)
    private const double FailurePrior = 0.05;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Film, on the garment printer";

    /// <inheritdoc/>
    public string Said => "a thin film print in full colour";

    /// <inheritdoc/>
    public int Order => 25;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "a thin film",
            Wear: "as good as its cure",
            "stretches a little with the cloth",
            Look: "full colour, a slight shine"
        );

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public bool IsFilm => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("garment-printer", "A garment printer", 13_500, book.Of<GarmentPrinter>()),
            StartUpItem.Thing("ventilation", "Ventilation and masks", 180),
            StartUpItem.Thing("stock", "First film, powder and ink", 260),
        ];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) =>
        new([.. book.Of<GarmentFilm>().Select(f => f.List())], SpareChance.In(book, Failure(part, book)), part);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        if (book.Of<GarmentPrinter>().Count == 0)
        {
            return MethodAnswer.No(
                new Reason(
                    "no-garment-printer",
                    VerdictKind.No,
                    "no direct-to-garment printer on the Floor",
                    WouldWork: "such a printer, added on the Floor"
                )
            );
        }
        return book.Of<GarmentFilm>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-garment-film",
                    VerdictKind.No,
                    "no film for the garment printer on the Floor",
                    WouldWork: "film for a garment printer, added on the Floor"
                )
            )
            : MethodAnswer.BestOf(
                [
                    .. book.Of<GarmentFilm>()
                        .SelectMany(film =>
                            book.Of<GarmentPrinter>()
                                .Select(printer => new Pair(film, printer).Answer(ask, book) with { Of = film.Name })
                        ),
                ],
                ask
            );
    }

    private static double Failure(AskInHand ask, ShopBook book) => SpoilageChance.Reckon(Key, FailurePrior, ask, book);

    /// <summary>One film on one printer.</summary>
    private sealed record Pair(GarmentFilm Film, GarmentPrinter Printer)
    {
        private string Source => $"Floor: {Film.Name}";

        public MethodAnswer Answer(AskInHand ask, ShopBook book)
        {
            var recipe = book.RecipeFor(Film.Id, ask);
            List<Reason> reasons = [.. Reasons(ask, recipe, book)];
            if (Verdict.From(reasons).Kind == VerdictKind.No)
            {
                return new(Verdict.From(reasons), "", []);
            }
            var prints = LaidPrint.All(ask, SpareChance.In(book, Failure(ask, book)), Film.Id);
            var settled = ask.Laid is { } laid && laid.FilmId == Film.Id ? laid : null;
            var on = LaidFilm.Of(prints, Film.List().Grounds()[0], settled, book.LayingFor(ask));
            if (on is null && prints.Any(p => p.Count > 0))
            {
                return MethodAnswer.No([
                    .. reasons,
                    new(
                        "layout",
                        VerdictKind.No,
                        $"its prints are too many for sheets of {Film.Name} at once",
                        WouldWork: "fewer pieces at once, or film bought in"
                    ),
                ]);
            }
            List<DecorationPlan> plans =
            [
                .. ask.Placements.Select(
                    (asked, i) =>
                        DecorationPlan.Of(ask, asked, book.Numbers.Floor.Standards(), sized =>
                            Plan(
                                ask,
                                sized.Print,
                                i,
                                recipe!,
                                on,
                                prints.First(l =>
                                    l.Print.Print.Id == sized.Print.Id && l.Print.Sizes.SequenceEqual(sized.Sizes)
                                ),
                                book
                            )
                        )
                ),
            ];
            return new(
                Verdict.From(reasons),
                $"printed on {Printer.Name}, powdered by hand, "
                    + $"cured {(Film.Cure == FilmCure.Oven ? "in the oven" : "under the press")}",
                on is null
                    ? plans
                    : [plans[0] with { Purchases = [.. plans[0].Purchases, Sheets(ask, on)] }, .. plans.Skip(1)]
            );
        }

        private IEnumerable<Reason> Reasons(AskInHand ask, Recipe? recipe, ShopBook book)
        {
            var f = book.Numbers.Format;
            var (across, along) = (Film.SheetWidthIn - (2 * Film.EdgeIn), Film.SheetHeightIn - (2 * Film.EdgeIn));
            return
            [
                .. TooLarge(f),
                .. Verdicts.Loaded(Printer.Id, printer: Printer.Name, book),
                .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Film, f),
                .. HeatVerdicts.Of(ask, recipe, book, $"film {Film.Name}"),
                .. Verdicts.Largest(ask.Prints, across, along, $"a sheet of {Film.Name}", f),
                .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
                .. Verdicts.Make(ask),
            ];
        }

        // a sheet lies on the platen either way round
        private IEnumerable<Reason> TooLarge(FigureFormat f)
        {
            var (longer, shorter) = (
                Math.Max(Film.SheetWidthIn, Film.SheetHeightIn),
                Math.Min(Film.SheetWidthIn, Film.SheetHeightIn)
            );
            if (
                longer > Math.Max(Printer.MostWidthIn, Printer.MostHeightIn) + 1e-9
                || shorter > Math.Min(Printer.MostWidthIn, Printer.MostHeightIn) + 1e-9
            )
            {
                yield return new(
                    "mismatch",
                    VerdictKind.No,
                    $"a sheet of {Film.Name} is {Shown.Size(Film.SheetWidthIn, Film.SheetHeightIn, f)}; "
                        + $"{Printer.Name} prints {Shown.Size(Printer.MostWidthIn, Printer.MostHeightIn, f)}",
                    WouldWork: "smaller sheets"
                );
            }
        }

        private Purchase Sheets(AskInHand ask, LaidFilm on) =>
            new(
                $"own-film-{ask.Placements[0].Id}",
                Text: $"{on.Bill.Sheets} sheets of {Film.Name}, {on.Prints.Sum(p => p.Count)} prints",
                "",
                0,
                on.Bill.Sheets,
                "sheets",
                on.Bill.Cost,
                null,
                null
            )
            {
                Laid = new LaidPurchase(
                    Film.Id,
                    On: on.On.Key,
                    on.On.Ground,
                    [.. on.Prints.Select(p => p.Design)],
                    on.Bill,
                    on.Found.UsedLengthIn,
                    on.Found.Sheets,
                    on.Found.OverFloor,
                    on.IsSettled,
                    on.Bill.Sheets,
                    on.On.Sheets
                ),
            };

        private DecorationPlan Plan(
            AskInHand ask,
            Placement p,
            int index,
            Recipe recipe,
            LaidFilm? on,
            LaidPrint laid,
            ShopBook book
        )
        {
            var steps = book.Numbers.Floor.Standards();
            var white = Film.HasWhiteOn(ask.Colourway);
            var share = on?.Shares.FirstOrDefault(s => s.DesignId == laid.Key);
            var material = share is null
                ? Figure.Input(
                    "material",
                    $"{p.At().Name} film",
                    0,
                    FigureUnit.Money,
                    "from the drawer: it lies here already"
                )
                : Print(p, white, share.ByArea with { Code = "film", Label = "Its part of the film" }, book);
            return new(
                p,
                share is null ? material : laid.Each(material),
                laid.Count + laid.Lying,
                Failure(ask, book),
                recipe,
                steps.Transfer(recipe, index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind)),
                share is null ? [] : [.. Preparation(p, white, on!, laid, steps)],
                [],
                Prepare: share is null ? "" : "Print, powder and cure",
                SetUp: null,
                BenchId: default
            )
            {
                OneMore = share is null ? material : laid.Each(DecorationPlan.Bare(material)),
                Machine = share is null ? null : new(Printer.Id, Printer.Name),
            };
        }

        private Figure Print(Placement p, bool white, Figure film, ShopBook book)
        {
            var painted = Figure.Input(
                "painted",
                "Painted",
                p.AreaIn2 * p.CoveragePercent / 100,
                FigureUnit.SquareInches,
                "the ask: box × coverage"
            );
            Figure Spent(string code, string label, double per, decimal price, string unit, string priced) =>
                Figure.Of(
                    code,
                    label,
                    Money.Times((double)painted.Value * per, price),
                    $"painted × {unit} an in² × price",
                    painted,
                    Figure.Input("per", $"{unit} an in²", per, FigureUnit.Count, Source),
                    Figure.Input("price", $"A {unit}", price, FigureUnit.Money, priced)
                );
            var ink = $"Floor: {Printer.Name}";
            List<Figure> parts =
            [
                Spent("colour-ink", "Colour ink", Film.ColourMlPerIn2, Printer.ColourPricePerMl, "ml", ink),
            ];
            if (white)
            {
                parts.Add(Spent("white-ink", "White ink", Film.WhiteMlPerIn2, Printer.WhitePricePerMl, "ml", ink));
            }
            parts.Add(Spent("powder", "Powder", Film.PowderGPerIn2, Film.PowderPricePerG, "g", Source));
            parts.Add(film);
            parts.Add(
                MachineTime.Reckon(
                    Printer.Equipment,
                    Passes(p, white).Sum(s => s.Seconds),
                    book.Numbers.Rates.TariffPerKwh,
                    ink,
                    book.TendingOf(Printer.Id, Printer.Equipment)
                )
            );
            return Figure.Sum("material", $"{p.At().Name} film", parts);
        }

        private IEnumerable<WorkStep> Passes(Placement p, bool white)
        {
            yield return StepStandards.Print(p.AreaIn2, Film.ColourIn2PerMinute);
            if (white)
            {
                yield return StepStandards.Print(p.AreaIn2, Film.WhiteIn2PerMinute) with
                {
                    Code = "print-white",
                    Label = "Print the white",
                };
            }
        }

        // what is done to a sheet is shared by the prints on it, and the clean-up by all of them
        private IEnumerable<WorkStep> Preparation(
            Placement p,
            bool white,
            LaidFilm on,
            LaidPrint laid,
            StepStandards steps
        )
        {
            var all = on.Prints.Sum(x => x.Count);
            var sheets = (double)on.Bill.Sheets / all;
            var passes = Passes(p, white).ToList();
            yield return new(
                "load-film",
                "Lay the sheet on the platen, glossy side down; take it off",
                Film.LoadSeconds * sheets,
                true,
                Press: false
            );
            yield return passes[0];
            if (white)
            {
                yield return new(
                    "feed-back",
                    "Take the sheet out and lay it to the same edge, or feed it back",
                    Film.FeedBackSeconds * sheets,
                    true,
                    Press: false
                );
                yield return passes[1];
            }
            var cut = steps.CutOut(p.WidthIn, p.HeightIn, on.CutRound.GetValueOrDefault(laid.Key));
            foreach (var step in steps.PowderAndCure(Film.Cure, all, cut))
            {
                yield return step.Code is "powder" or "cure" ? step with { Seconds = step.Seconds * sheets } : step;
            }
            yield return new(
                "clean-up",
                "Clean the platen, take up the powder",
                Film.CleanUpMinutes * 60 / all,
                true,
                Press: false
            );
        }
    }
}
