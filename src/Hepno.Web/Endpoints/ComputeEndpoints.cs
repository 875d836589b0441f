using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Pure computations: nothing is kept and nothing changes.</summary>
internal static class ComputeEndpoints
{
    private const int LongestText = 2000;
    private const int LongestList = 200_000;
    private const int MostSteps = 100;
    private const int MostWorks = 200;
    private const double LongestIn = 10_000;
    private const int MostSearch = 20_000;
    private const double HottestF = 1000;

    public static void MapCompute(this IEndpointRouteBuilder api)
    {
        var compute = api.MapGroup("/compute").WithTags("compute");
        compute.MapPost("size-run", SizeRunOf).WithName("readSizeRun");
        compute.MapPost("names", NamesOf).WithName("readNames");
        compute.MapPost("compare", Compare).WithName("computeCompare");
        compute.MapPost("quote", Quote).WithName("computeQuote");
        compute.MapPost("rows", Rows).WithName("computeRows");
        compute.MapPost("press-floor", PressFloor).WithName("computePressFloor");
        compute.MapPost("schedule", Schedule).WithName("computeSchedule");
    }

    /// <summary>Reads a size run as typed or pasted.</summary>
    internal static SizeRunView SizeRunOf(SizeRunBody body, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var style = Aggregates.Styles.Get(connection, body.StyleId)?.Value
                ?? throw RefusedException.NoSuch("style", body.StyleId);
            var reading = SizeRun.Parse(
                body.Text.Length > LongestText ? body.Text[..LongestText] : body.Text,
                [.. style.Sizes.Select(s => s.Name)]
            );
            RefusedException.IfAny(reading.Problem is { } problem ? [problem] : []);
            return new SizeRunView(reading.Sizes, SizeRun.Total(reading.Sizes));
        });

    /// <summary>Reads a list of names and numbers, a piece a row: size, name and number in any order, or in columns as
    /// a heading row says. All or nothing.</summary>
    internal static OwnPiecesView NamesOf(NamesBody body, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var style = Aggregates.Styles.Get(connection, body.StyleId)?.Value
                ?? throw RefusedException.NoSuch("style", body.StyleId);
            if (body.Text.Length > LongestList)
            {
                throw new RefusedException(
                    400,
                    "too-long",
                    $"The list has {body.Text.Length} characters.",
                    remedy: $"At most {LongestList}: split it over two lines.",
                    "text"
                );
            }
            List<string> known = [.. style.Sizes.Select(s => s.Name)];
            var reading = OwnPieces.Read(CsvTable.Cells(body.Text), known);
            RefusedException.IfAny(reading.Problems);
            return new OwnPiecesView(reading.Pieces, OwnPieces.Sizes(reading.Pieces, known));
        });

    /// <summary>Compares the first line of an ask that is kept nowhere, at the shop's own prices and with its other
    /// lines beside it.</summary>
    internal static Comparison Compare(AskBody body, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
            var ask = Sound(body, book, connection, wall);
            var line = Whole(book, [AsksInHand.Of(ask, book)[0]])[0];
            return Comparer.Compare(
                line.InHand!,
                ask.Lines[0].Mark,
                ask.DueAt,
                null,
                book,
                ShopFloor.Plan(shop.Open(connection, book), book, wall)
            );
        });

    /// <summary>Quotes an ask that is kept nowhere: every figure, tax, postage, deposit, date and word as it would be
    /// sent now.</summary>
    internal static FrozenQuote Quote(QuoteBody body, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var ask = Sound(body.Ask, book, connection, shop.Clock.Wall(book.Numbers.Identity.TimeZone));
            var now = shop.Clock.Utc;
            _ = Whole(book, AsksInHand.Of(ask, book));
            var decisions = ChosenWays.Decisions(body.Ways, ask, book.Numbers.Format, now);
            var order = new Order(
                "",
                0,
                ask,
                OrderFacts.None with
                {
                    Choice = OrderFacts.None.Choice with { Decisions = decisions },
                },
                now
            );
            var quote = shop.Quoted(shop.Draft(connection, order, book), book, connection);
            return quote with { Document = quote.Document with { Number = "" } };
        });

    // lines that can be compared, or refused with what the first of them lacks
    private static IReadOnlyList<LineLookedUp> Whole(ShopBook book, IReadOnlyList<LineLookedUp> lines)
    {
        var lacking = lines.FirstOrDefault(l => l.InHand is null);
        if (lacking is null && book.Presses.Count > 0)
        {
            return lines;
        }
        var said = lacking!.Problems is [var first, ..]
            ? first.Sentence
            : "A style, a colour, sizes and a placement are needed.";
        throw new RefusedException(
            400,
            "incomplete",
            book.Presses.Count == 0 ? "There is no press on the Floor." : said,
            remedy: "Say them in the body."
        );
    }

    private static Ask Sound(AskBody body, ShopBook book, SqliteConnection connection, LocalDateTime wall)
    {
        var ask = book.Places.Settled(body.ToCore());
        RefusedException.IfAny(SaveAsk.Refusals(connection, ask, null, book, wall));
        return ask;
    }

    /// <summary>Equal boxes in rows across a roll, the shorter way round.</summary>
    internal static RollRows Rows(RowsBody b)
    {
        RefusedException.IfAny([
            .. Within(b.WidthIn, 0.05, Places.Absurd, "widthIn", "in"),
            .. Within(b.HeightIn, 0.05, Places.Absurd, "heightIn", "in"),
            .. Within(b.MarginIn, 0, 5, "marginIn", "in"),
            .. Within(b.RollWidthIn, 1, LongestIn, "rollWidthIn", "in"),
            .. Within(b.Count, 1, 100_000, "count", "boxes"),
        ]);
        return RollRows.Lay(b.WidthIn, b.HeightIn, b.MarginIn, b.RollWidthIn, b.Count)
            ?? throw new RefusedException(
                400,
                "too-wide",
                $"{b.WidthIn:0.##} × {b.HeightIn:0.##} in with its margin is wider than the roll's "
                    + $"{b.RollWidthIn:0.##} in, either way round.",
                remedy: "A smaller box or a wider roll.",
                "rollWidthIn"
            );
    }

    /// <summary>Simulates pieces on a press floor: makespan, hands, presses, what holds it up and what would
    /// help.</summary>
    internal static PressFloorView PressFloor(PressFloorBody b)
    {
        static IReadOnlyList<WorkStep> Steps(IReadOnlyList<StepBody> steps) =>
            [.. steps.Select(s => new WorkStep(s.Code, s.Label ?? s.Code, s.Seconds, s.Hands, s.Press, s.ByItself))];
        var job = new FloorJob(
            b.Pieces,
            Steps(b.Before),
            [
                .. b.Passes.Select(p => new FloorPass(
                    p.Name,
                    p.TemperatureF,
                    p.SlackSeconds,
                    p.PeelWindowSeconds,
                    Steps(p.Steps)
                )),
            ],
            Steps(b.After),
            [
                .. b.Presses.Select(p => new FloorPress(
                    p.Name,
                    p.OpensItself,
                    p.LoadsBeside,
                    p.RiseFPerMinute,
                    p.DropFPerMinute,
                    p.AtF
                )),
            ]
        )
        {
            Operators = b.Operators,
            RackPlaces = b.RackPlaces,
            Policy = b.Policy,
            FirstPiece = b.FirstPiece,
            MaxInWork = b.MaxInWork,
        };
        RefusedException.IfAny([
            .. job.Problems(),
            .. Within(job.Chain.Count(), 1, MostSteps, "steps", "steps"),
            .. Within(b.SearchSteps, 0, MostSearch, "searchSteps", "runs"),
            .. Within(
                (double)b.Pieces * Math.Max(1, b.SearchSteps),
                1,
                MostSearch * 24,
                "searchSteps",
                "runs × pieces"
            ),
        ]);
        var found = PressFloorSimulation.Run(job, b.SearchSteps, b.Trace);
        return new(
            found,
            PressFloorSimulation.SteadySeconds(job),
            found.HandsOnSeconds / b.Pieces,
            AttendedSecondsAPiece: found.AttendedSeconds / b.Pieces,
            found.HeldSeconds / b.Pieces,
            FloorHelp.NarrowOf(job, found),
            PressFloorSimulation.ZeroOverDwellCosts(job, found),
            FloorHelp.Changes(job, found)
        );
    }

    /// <summary>Places work on the shop's presses from a moment on, as if nothing else stood there.</summary>
    internal static IReadOnlyList<PlacedWork> Schedule(ScheduleBody b, OpenShop shop)
    {
        RefusedException.IfAny(Unplannable(b));
        var presses = shop.Db.Read(shop.Book).Presses;
        if (presses.Count == 0)
        {
            throw new RefusedException(
                409,
                "no-press",
                "There is no press on the Floor.",
                remedy: "Add a press on the Floor."
            );
        }
        return PressPlanner.Plan(
            [
                .. b.Works.Select(w => new PressWork(
                    new OrderId(w.Id),
                    "",
                    w.Id,
                    w.Pieces,
                    w.MinutesPerPiece,
                    w.TemperatureF,
                    w.ReadyAt,
                    "as sent",
                    w.DueAt,
                    w.TailMinutes,
                    0,
                    null,
                    w.WidthIn,
                    w.HeightIn
                )),
            ],
            new FloorPlan(b.From, new OpenHours(b.Week), presses, [], null, new(WhileHeating: b.Overlap))
        );
    }

    private static IEnumerable<Problem> Unplannable(ScheduleBody b) =>
        [
            .. b.Week.Count == 7 && b.Week.Any(d => d.Open is not null)
                ? []
                : new[]
                {
                    new Problem(
                        "week",
                        $"{b.Week.Count} days are not a week with an open day.",
                        Where: "week",
                        "Send seven days, Sunday first; null when closed."
                    ),
                },
            .. b.Week.SelectMany(
                (d, i) =>
                    d.Open is null == d.Close is null && !(d.Close <= d.Open)
                        ? []
                        : new[]
                        {
                            new Problem(
                                "hours",
                                $"Day {i}: {d.Open} to {d.Close} is not a day.",
                                Where: $"week[{i}]",
                                "Opening before closing, or both null."
                            ),
                        }
            ),
            .. Within(b.Works.Count, 0, MostWorks, "works", "works"),
            .. b.Works.SelectMany(
                (w, i) =>
                    Within(w.Pieces, 1, SizeRun.MostPieces, $"works[{i}].pieces", "pieces")
                        .Concat(Within(w.MinutesPerPiece, 0.01, 600, $"works[{i}].minutesPerPiece", "min"))
                        .Concat(Within(w.TemperatureF, 0, HottestF, $"works[{i}].temperatureF", "°F"))
                        .Concat(Within(w.TailMinutes, 0, 10_000, $"works[{i}].tailMinutes", "min"))
                        .Concat(Within(w.WidthIn, 0, Places.Absurd, $"works[{i}].widthIn", "in"))
                        .Concat(Within(w.HeightIn, 0, Places.Absurd, $"works[{i}].heightIn", "in"))
            ),
        ];

    private static IEnumerable<Problem> Within(double value, double least, double most, string field, string unit) =>
        value >= least && value <= most
            ? []
            :
            [
                new(
                    "range",
                    $"{value:0.###} {unit} is outside {least:0.##} to {most:0.##}.",
                    Where: field,
                    "Send a value between."
                ),
            ];
}
