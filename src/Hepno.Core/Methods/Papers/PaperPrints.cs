using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>How prints on transfer paper are laid out, printed and trimmed, whatever the paper is for (docs/trade
/// 2).</summary>
/// <param name="MethodId">The method's key.</param>
/// <param name="Kind">Which papers.</param>
/// <param name="Prior">Share of attempts assumed to spoil the piece.</param>
internal sealed record PaperPrints(MethodId MethodId, PaperKind Kind, double Prior)
{
    private const double CutOutlinePt = 3;
    private const double LeastCottonPercent = 35;
    private const double DryMinutes = 15;

    /// <summary>Whether and how an ask is done on any paper of the kind, printer, and by a cutter or
    /// scissors.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="cloth">What the method itself says of the cloth.</param>
    public MethodAnswer Answer(AskInHand ask, ShopBook book, IReadOnlyList<Reason> cloth)
    {
        var papers = book.Of<TransferPaper>().Where(p => p.Kind == Kind).ToList();
        if (papers.Count == 0 || book.Of<PaperPrinter>().Count == 0)
        {
            return MethodAnswer.No([
                .. cloth,
                papers.Count == 0
                    ? new(
                        "no-prices",
                        VerdictKind.No,
                        $"no {Word} transfer paper on the Shelf",
                        WouldWork: "a paper with its price, entered on the Shelf"
                    )
                    : new(
                        "no-paper-printer",
                        VerdictKind.No,
                        "no inkjet printer for paper on the Floor",
                        WouldWork: "an inkjet printer, added on the Floor"
                    ),
            ]);
        }
        return MethodAnswer.BestOf(
            [
                .. papers.SelectMany(paper =>
                    book.Of<PaperPrinter>()
                        .Select(printer =>
                            Answer(ask, book, cloth, paper, printer, CutterFor(paper, ask, book)) with
                            {
                                Of = $"{paper.Product}, {paper.Supplier}",
                            }
                        )
                ),
            ],
            ask
        );
    }

    /// <summary>Sheets they are laid on: each print is cut out round its outline anyway.</summary>
    public LaidOn LaidOn(AskInHand part, ShopBook book) =>
        new(
            [
                .. book.Of<TransferPaper>()
                    .Where(p => p.Kind == Kind)
                    .Select(p => ListOf(p, CutterFor(p, part, book) is not null)),
            ],
            SpareChance.In(book, Failure(part, book)),
            part,
            true
        );

    /// <summary>The cutter that cuts a line's prints out of a paper; null for scissors: where its marks leave too
    /// little room, and for light paper, which is printed mirrored.</summary>
    public static Cutter? CutterFor(TransferPaper paper, AskInHand ask, ShopBook book)
    {
        var (width, length) = Usable(paper, true);
        if (paper.Kind == PaperKind.Light || Verdicts.Largest(ask.Prints, width, length, "", book.Numbers.Format).Any())
        {
            return null;
        }
        return book.Of<Cutter>() is { Count: > 0 } cutters ? cutters[0] : null;
    }

    /// <summary>A paper's sheets as prints are laid on them.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="byCutter">True where a cutter cuts between its marks.</param>
    public static TransferPriceList ListOf(TransferPaper paper, bool byCutter)
    {
        var inside = paper.Region(byCutter).Inside();
        return new(paper.Id, paper.Supplier, paper.Product, [], paper.FreightPerOrder, paper.LeadDays)
        {
            ByLayout = new(
                inside.GapIn,
                inside.MarginIn,
                null,
                [new("sheet", inside.WidthIn, inside.LengthIn!.Value, [new(1, paper.SheetPrice)])]
            ),
        };
    }

    /// <summary>The share of attempts expected to spoil a piece.</summary>
    public double Failure(AskInHand ask, ShopBook book) => SpoilageChance.Reckon(MethodId, Prior, ask, book);

    private static (double WidthIn, double LengthIn) Usable(TransferPaper paper, bool byCutter) =>
        paper.Region(byCutter).Inside() is var inside
            ? (inside.WidthIn - (2 * inside.MarginIn), inside.LengthIn!.Value - (2 * inside.MarginIn))
            : default;

    private string Word => Kind == PaperKind.Light ? "light" : "opaque";

    private MethodAnswer Answer(
        AskInHand ask,
        ShopBook book,
        IReadOnlyList<Reason> cloth,
        TransferPaper paper,
        PaperPrinter printer,
        Cutter? cutter
    )
    {
        var recipe = book.RecipeFor(paper.Id, ask);
        var on = ListOf(paper, cutter is not null).Grounds()[0];
        var prints = LaidPrint.All(ask, SpareChance.In(book, Failure(ask, book)), paper.Id);
        List<Reason> reasons = [.. Reasons(ask, book, cloth, paper, printer, cutter, recipe)];
        var verdict = Verdict.From(reasons);
        if (verdict.Kind == VerdictKind.No)
        {
            return new(verdict, "", []);
        }
        if (
            LaidFilm.Of(prints, on, ask.Laid is { } laid && laid.FilmId == paper.Id ? laid : null, book.LayingFor(ask))
            is not { } film
        )
        {
            return MethodAnswer.No([
                .. reasons,
                new Reason(
                    "layout",
                    VerdictKind.No,
                    $"its prints do not go on sheets of {paper.Product}",
                    WouldWork: "a smaller print, or fewer pieces at once"
                ),
            ]);
        }
        var decorations = ask
            .Placements.Select(
                (asked, i) =>
                    DecorationPlan.Of(ask, asked, book.Numbers.Floor.Standards(), sized =>
                        Decoration(
                            ask,
                            sized,
                            i,
                            paper,
                            printer,
                            cutter,
                            recipe!,
                            film,
                            prints.First(p =>
                                p.Print.Print.Id == sized.Print.Id && p.Print.Sizes.SequenceEqual(sized.Sizes)
                            ),
                            book
                        )
                    )
            )
            .ToList();
        return new(
            verdict,
            $"{paper.Product}, printed on {printer.Name}, "
                + $"{(cutter is null ? "trimmed by scissors" : $"cut on {cutter.Name}")}",
            [decorations[0] with { Purchases = [Sheets(ask, paper, on, film, prints)] }, .. decorations.Skip(1)]
        );
    }

    private IEnumerable<Reason> Reasons(
        AskInHand ask,
        ShopBook book,
        IReadOnlyList<Reason> cloth,
        TransferPaper paper,
        PaperPrinter printer,
        Cutter? cutter,
        Recipe? recipe
    )
    {
        var f = book.Numbers.Format;
        var (width, length) = Usable(paper, cutter is not null);
        return
        [
            .. cloth,
            .. Fabric(ask),
            .. Verdicts.Loaded(printer.Id, printer: printer.Name, book),
            .. Verdicts.Artwork(ask, ask.Prints, Kind == PaperKind.Light ? PrintHold.Paper : PrintHold.OpaquePaper, f),
            .. HeatVerdicts.Of(ask, recipe, book, paper.Product),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask),
            .. TooWide(paper, printer, f),
            .. Verdicts.Largest(
                ask.Prints,
                width,
                length,
                $"{paper.Product}{(cutter is null ? "" : " between the cutter's marks")}",
                f
            ),
            .. ask
                .Prints.Where(p => Kind == PaperKind.Opaque && p.ThinnestLinePt < CutOutlinePt)
                .Select(p => new Reason(
                    "cut-outline",
                    VerdictKind.WithCare,
                    $"{p.At().Name}: lines of {p.ThinnestLinePt:0.##} pt are too thin to cut round",
                    WouldWork: "leave its ground round it, or a box"
                )),
        ];
    }

    private static IEnumerable<Reason> TooWide(TransferPaper paper, PaperPrinter printer, FigureFormat f)
    {
        if (paper.SheetWidthIn > printer.WidestIn + 1e-9)
        {
            yield return new(
                "mismatch",
                VerdictKind.No,
                $"{paper.Product} is {Shown.Length(paper.SheetWidthIn, f)} wide; "
                    + $"{printer.Name} takes {Shown.Length(printer.WidestIn, f)}",
                WouldWork: "a narrower paper, or a wider printer"
            );
        }
    }

    private static IEnumerable<Reason> Fabric(AskInHand ask)
    {
        if (ask.Style.Kind == GarmentKind.Cap)
        {
            yield return new(
                "flat-only",
                VerdictKind.No,
                "paper does not follow the round front of a cap",
                WouldWork: "stitching, or film under the cap press"
            );
        }
        var cotton = ask.Style.PercentOf(Fibre.Cotton) + ask.Style.PercentOf(Fibre.Viscose);
        if (cotton < LeastCottonPercent)
        {
            yield return new(
                "fabric",
                VerdictKind.No,
                $"{cotton:0}% cotton: paper prints hold on cotton and its blends",
                WouldWork: "a blank of at least a third cotton, or another method"
            );
        }
    }

    private static Purchase Sheets(
        AskInHand ask,
        TransferPaper paper,
        FilmGround on,
        LaidFilm film,
        IReadOnlyList<LaidPrint> prints
    ) =>
        new(
            $"paper-{ask.Placements[0].Id}",
            Text: $"{film.Bill.Sheets} sheets of {paper.Product}, {prints.Sum(p => p.Count)} prints",
            paper.Supplier,
            paper.LeadDays,
            film.Bill.Sheets,
            "sheets",
            film.Bill.Cost,
            null,
            null
        )
        {
            Laid = new LaidPurchase(
                paper.Id,
                On: on.Key,
                on.Ground,
                [.. film.Prints.Select(p => p.Design)],
                film.Bill,
                film.Found.UsedLengthIn,
                film.Found.Sheets,
                film.Found.OverFloor,
                film.IsSettled,
                film.Bill.Sheets,
                on.Sheets
            ),
        };

    private DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        int index,
        TransferPaper paper,
        PaperPrinter printer,
        Cutter? cutter,
        Recipe recipe,
        LaidFilm film,
        LaidPrint laid,
        ShopBook book
    )
    {
        var (p, steps) = (sized.Print, book.Numbers.Floor.Standards());
        var (source, outline) = ($"Floor: {printer.Name}", 2 * (p.WidthIn + p.HeightIn));
        var (tariff, print) = (
            book.Numbers.Rates.TariffPerKwh,
            StepStandards.Print(p.AreaIn2, printer.SpeedIn2PerMinute)
        );
        var painted = p.AreaIn2 * p.CoveragePercent / 100;
        var cutSeconds = cutter is null ? 0 : p.AreaIn2 / cutter.SpeedIn2PerMinute * 60;
        List<Figure> parts =
        [
            film.Shares.FirstOrDefault(s => s.DesignId == laid.Key) is { } share
                ? laid.Each(share.ByArea with { Code = "paper", Label = "Its part of the paper" })
                : Figure.Input("paper", "From the drawer", 0, FigureUnit.Money, "it lies here already"),
            Figure.Of(
                "ink",
                "Ink",
                Money.Times(painted * printer.InkMlPerIn2, printer.InkPricePerMl),
                "painted × ml an in² × price",
                Figure.Input("painted", "Painted", painted, FigureUnit.SquareInches, "the ask: box × coverage"),
                Figure.Input("per", "ml an in²", printer.InkMlPerIn2, FigureUnit.Count, source),
                Figure.Input("price", "A ml", printer.InkPricePerMl, FigureUnit.Money, source)
            ),
            FreightShare.Reckon("Paper freight", paper.FreightPerOrder, $"Shelf: {paper.Supplier}", ask),
            MachineTime.Reckon(
                printer.Equipment,
                print.Seconds,
                tariff,
                source,
                book.TendingOf(printer.Id, printer.Equipment)
            ),
        ];
        if (cutter is not null)
        {
            parts.Add(MachineTime.Cutting(cutter, cutSeconds, book));
        }
        List<WorkStep> preparation =
        [
            print,
            cutter is null ? steps.Trim(outline) : new("cut", "Cut out", cutSeconds, false, Press: false, true),
        ];
        if (Kind == PaperKind.Opaque)
        {
            preparation.Add(steps.LiftBacking);
        }
        return new DecorationPlan(
            p,
            Figure.Sum("material", $"{p.At().Name} paper print", parts),
            laid.Count + laid.Lying,
            Failure(ask, book),
            recipe,
            steps.Transfer(recipe, index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind)),
            preparation,
            [],
            Prepare: cutter is null ? "Print, let dry and trim" : "Print, let dry and cut out",
            SetUp: null,
            BenchId: default
        )
        {
            WaitMinutes = DryMinutes,
            Machine = new(printer.Id, printer.Name),
        };
    }
}
