using Hepno.Core.Artwork;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Full-colour film printed, powdered and cured in house.</summary>
public sealed class DtfMade : IDecorationMethod
{
    private const string Key = "dtf-made";
    private const double FailurePrior = 0.03;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Film, made here";

    /// <inheritdoc/>
    public string Said => "a thin film print in full colour";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public int Order => 20;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "a thin film",
            Wear: "as good as its cure",
            "stretches a little with the cloth",
            Look: "full colour, a slight shine"
        );

    /// <inheritdoc/>
    public bool IsFilm => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("film-printer", "A film printer", 3400, book.Of<FilmPrinter>()),
            StartUpItem.Machine("oven", "A curing oven", 650, book.Ovens),
            StartUpItem.Thing("ventilation", "Ventilation and masks", 180),
            StartUpItem.Thing("stock", "First ink, film and powder", 320),
        ];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) =>
        new([.. book.Of<FilmPrinter>().Select(ListOf)], SpareChance.In(book, Failure(part, book)), part);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        return book.Of<FilmPrinter>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-film-printer",
                    VerdictKind.No,
                    "no film printer on the Floor",
                    WouldWork: "a film printer, added on the Floor, or film bought in"
                )
            )
            : MethodAnswer.BestOf(
                [.. book.Of<FilmPrinter>().Select(printer => Answer(ask, book, printer) with { Of = printer.Name })],
                ask
            );
    }

    /// <summary>Ink, white, powder, film, cleaning ink and machine time of one print (docs/trade 2).</summary>
    /// <param name="p">The artwork.</param>
    /// <param name="printer">The printer and what it takes.</param>
    /// <param name="white">True when white lies under all of it.</param>
    /// <param name="film">Its part of the film.</param>
    /// <param name="tariffPerKwh">Price of a kilowatt-hour, for the machine's hour.</param>
    /// <param name="tending">Its upkeep for an hour; null while none is listed.</param>
    public static Figure Print(
        Placement p,
        FilmPrinter printer,
        bool white,
        Figure film,
        decimal tariffPerKwh,
        Figure? tending = null
    )
    {
        var source = $"Floor: {printer.Name}";
        var painted = p.AreaIn2 * p.CoveragePercent / 100;
        var paintedFigure = Figure.Input(
            "painted",
            "Painted",
            painted,
            FigureUnit.SquareInches,
            "the ask: box × coverage"
        );
        Figure Spent(string code, string label, double per, decimal price, string unit) =>
            Figure.Of(
                code,
                label,
                Money.Times(painted * per, price),
                $"painted × {unit} an in² × price",
                paintedFigure,
                Figure.Input("per", $"{unit} an in²", per, FigureUnit.Count, source),
                Figure.Input("price", $"A {unit}", price, FigureUnit.Money, source)
            );
        List<Figure> parts =
        [
            Spent("colour-ink", "Colour ink", printer.ColourMlPerIn2, printer.ColourPricePerMl, "ml"),
        ];
        if (white)
        {
            parts.Add(Spent("white-ink", "White ink", printer.WhiteMlPerIn2, printer.WhitePricePerMl, "ml"));
        }
        parts.Add(Spent("powder", "Powder", printer.PowderGPerIn2, printer.PowderPricePerG, "g"));
        parts.Add(film);
        parts.Add(
            Figure.Of(
                "cleaning",
                "Cleaning ink",
                Money.Times(printer.CleaningMlPerDay / printer.PrintsPerDay, printer.CleaningPricePerMl),
                "ml a day × price ÷ prints a day",
                Figure.Input("ml", "ml a day", printer.CleaningMlPerDay, FigureUnit.Count, source),
                Figure.Input("price", "A ml", printer.CleaningPricePerMl, FigureUnit.Money, source),
                Figure.Input("prints", "Prints a day", printer.PrintsPerDay, FigureUnit.Count, source)
            )
        );
        parts.Add(
            MachineTime.Reckon(
                printer.Equipment,
                StepStandards.Print(p.AreaIn2, printer.SpeedIn2PerMinute).Seconds,
                tariffPerKwh,
                source,
                tending
            )
        );
        return Figure.Sum("material", $"{p.At().Name} film", parts);
    }

    /// <summary>The share of attempts expected to spoil a piece.</summary>
    private static double Failure(AskInHand ask, ShopBook book) => SpoilageChance.Reckon(Key, FailurePrior, ask, book);

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, FilmPrinter printer)
    {
        var f = book.Numbers.Format;
        var recipe = book.RecipeFor(printer.Id, ask);
        List<Reason> reasons =
        [
            .. Verdicts.Loaded(printer.Id, printer: printer.Name, book),
            .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Film, book.Numbers.Format),
            .. HeatVerdicts.Of(ask, recipe, book, $"film of {printer.Name}"),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask),
        ];
        reasons.AddRange(
            ask.Prints.Where(p =>
                    RollRows.Lay(p.WidthIn, p.HeightIn, printer.GapIn / 2, printer.RollWidthIn, 1) is null
                )
                .Select(p => new Reason(
                    "roll-width",
                    VerdictKind.No,
                    $"{p.At().Name} {Shown.Size(p.WidthIn, p.HeightIn, f)} is wider than the "
                        + $"{Shown.Length(printer.RollWidthIn, f)} of {printer.Name}",
                    WouldWork: "a smaller print, or film bought in"
                ))
        );
        var verdict = Verdict.From(reasons);
        if (verdict.Kind == VerdictKind.No)
        {
            return new(verdict, "", []);
        }
        var white = printer.HasWhiteOn(ask.Colourway);
        var prints = LaidPrint.All(ask, SpareChance.In(book, Failure(ask, book)), printer.Id);
        var film = LaidFilm.Of(
            prints,
            ListOf(printer).Grounds()[0],
            ask.Laid is { } laid && laid.FilmId == printer.Id ? laid : null,
            book.LayingFor(ask)
        );
        List<DecorationPlan> decorations =
        [
            .. ask.Placements.Select(
                (p, i) =>
                    DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                        Decoration(
                            ask,
                            i,
                            printer,
                            white,
                            recipe!,
                            film,
                            prints.First(l =>
                                l.Print.Print.Id == sized.Print.Id && l.Print.Sizes.SequenceEqual(sized.Sizes)
                            ),
                            book
                        )
                    )
            ),
        ];
        return new(
            verdict,
            $"printed on {printer.Name}, cured {(printer.Cure == FilmCure.Oven ? "in the oven" : "under the press")}",
            film is null
                ? decorations
                :
                [
                    decorations[0] with
                    {
                        Purchases = [.. decorations[0].Purchases, Laid(ask, printer, film)],
                    },
                    .. decorations.Skip(1),
                ]
        );
    }

    /// <summary>A printer's own roll as prints are laid on it: what is used is paid for.</summary>
    public static TransferPriceList ListOf(FilmPrinter printer) =>
        new(printer.Id, printer.Name, Product: "Film", [], 0, 0)
        {
            ByLayout = new(
                printer.GapIn,
                printer.GapIn / 2,
                new(printer.RollWidthIn, 0, [new(1, Money.Times(printer.RollWidthIn, printer.FilmPricePerIn2))], []),
                []
            ),
        };

    private static Purchase Laid(AskInHand ask, FilmPrinter printer, LaidFilm film) =>
        new(
            $"own-film-{ask.Placements[0].Id}",
            Text: $"{film.Prints.Sum(p => p.Count)} prints on the film of {printer.Name}",
            "",
            0,
            film.Bill.BilledIn,
            "in",
            film.Bill.Cost,
            null,
            null
        )
        {
            Laid = new LaidPurchase(
                printer.Id,
                On: film.On.Key,
                film.On.Ground,
                [.. film.Prints.Select(p => p.Design)],
                film.Bill,
                film.Found.UsedLengthIn,
                film.Found.Sheets,
                film.Found.OverFloor,
                film.IsSettled,
                0,
                []
            ),
        };

    private static DecorationPlan Decoration(
        AskInHand ask,
        int index,
        FilmPrinter printer,
        bool white,
        Recipe recipe,
        LaidFilm? film,
        LaidPrint laid,
        ShopBook book
    )
    {
        var (p, steps) = (laid.Print.Print, book.Numbers.Floor.Standards());
        var place = p.At().Name;
        // more prints than one layout holds are laid in rows, each kind by itself
        var rows =
            film is null && laid.Count > 0
                ? RollRows.Lay(p.WidthIn, p.HeightIn, printer.GapIn / 2, printer.RollWidthIn, laid.Count)!
                : null;
        var mine = film?.Shares.FirstOrDefault(s => s.DesignId == laid.Key) is { } share
            ? share.ByArea with
            {
                Code = "film",
                Label = "Its part of the film",
            }
            : InRows(rows, printer);
        var print = mine is null
            ? Figure.Input("material", $"{place} film", 0, FigureUnit.Money, "from the drawer: it lies here already")
            : Print(
                p,
                printer,
                white,
                mine,
                book.Numbers.Rates.TariffPerKwh,
                book.TendingOf(printer.Id, printer.Equipment)
            );
        return new(
            p,
            mine is null ? print : laid.Each(print),
            laid.Count + laid.Lying,
            Failure(ask, book),
            recipe,
            steps.Transfer(recipe, index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind)),
            mine is null
                ? []
                :
                [
                    StepStandards.Print(p.AreaIn2, printer.SpeedIn2PerMinute),
                    .. steps.PowderAndCure(
                        printer.Cure,
                        laid.Count,
                        steps.CutOut(p.WidthIn, p.HeightIn, film?.CutRound.GetValueOrDefault(laid.Key) ?? 0)
                    ),
                ],
            rows is null ? [] : [InRowsOf(rows, p, laid.Count, mine!, book)],
            Prepare: mine is null ? "" : "Print, powder and cure",
            SetUp: null,
            BenchId: default
        )
        {
            OneMore = mine is null ? print : laid.Each(DecorationPlan.Bare(print)),
            Machine = mine is null ? null : new(printer.Id, printer.Name),
        };
    }

    private static Purchase InRowsOf(RollRows rows, Placement p, int count, Figure mine, ShopBook book)
    {
        var place = p.At().Name;
        return new(
            $"own-film-{p.Id}",
            Text: $"{count} × {place.ToLowerInvariant()} {Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)} on own "
                + "film",
            "",
            0,
            rows.LengthIn,
            "in",
            mine with
            {
                Label = $"{place} film",
                Value = mine.Value * count,
                How = "length × width × price",
            },
            rows,
            null
        );
    }

    private static Figure? InRows(RollRows? rows, FilmPrinter printer) =>
        rows is null
            ? null
            : Figure.Of(
                "film",
                "Film",
                Money.Times(rows.LengthIn * rows.RollWidthIn / rows.Count, printer.FilmPricePerIn2),
                "length × width × price ÷ prints",
                Figure.Input(
                    "length",
                    "Length",
                    rows.LengthIn,
                    FigureUnit.Inches,
                    $"{rows.Rows} rows of {rows.Across}"
                ),
                Figure.Input(
                    "width",
                    "Width of the roll",
                    rows.RollWidthIn,
                    FigureUnit.Inches,
                    $"Floor: {printer.Name}"
                ),
                Figure.Input(
                    "price",
                    "An in² of film",
                    printer.FilmPricePerIn2,
                    FigureUnit.Money,
                    $"Floor: {printer.Name}"
                ),
                Figure.Input("prints", "Prints", rows.Count, FigureUnit.Count, "with spares")
            );
}
