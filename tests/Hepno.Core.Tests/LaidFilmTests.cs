using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Film bought with a layout of one's own: when it is taken, what each print bears, and the layout the owner
/// settled.</summary>
public class LaidFilmTests
{
    private static readonly FilmByLayout Sold = new(
        0.5,
        0.25,
        new(22, 12, [new(1, 4.60m), new(30, 4.30m)], []),
        [new("11 × 15", 11, 15, [new(1, 4.10m), new(10, 3.40m)])]
    );
    private static readonly Placement Front = MethodTests.Front(10, 10);
    private static readonly Placement Sleeve = MethodTests.Front(3, 3) with { Id = "sleeve", Place = "left-sleeve" };

    private static ShopBook Book(FilmByLayout? sold, bool bySize = true) =>
        MethodTests.Book.With<TransferPriceList>([
            MethodTests.Book.Of<TransferPriceList>()[0] with
            {
                Sizes = bySize ? MethodTests.Book.Of<TransferPriceList>()[0].Sizes : [],
                ByLayout = sold,
            },
        ]);

    private static MethodAnswer Answer(AskInHand ask, ShopBook book) => new DtfBought().Answer(ask, book);

    private static AskInHand Ask(int pieces = 36) => MethodTests.Ask(pieces, Front, Sleeve);

    private static LineLayout Settled(AskInHand ask, int extra = 0, double later = 0)
    {
        List<LaidDesign> designs =
        [
            .. LaidPrint
                .All(ask, new(new DtfBought().LaidOn(ask, MethodTests.Book)!.Spares.Failure, 0.95), "film")
                .Select((p, i) => p.Design with { Extra = i == 1 ? extra : 0 }),
        ];
        var found = GangNest.Lay(Sold.Grounds()[0].Ground, [.. designs.Select(d => d.Laid())], 1, GangNest.OnePass);
        return new(
            "1",
            "film",
            FilmGround.RollKey,
            designs,
            [.. found.Placed.Select(p => new LaidCopy(p.DesignId, p.Sheet, p.X, p.Y + later, p.Turned))],
            1,
            0
        );
    }

    [Fact]
    public void A_roll_is_taken_where_it_costs_less_and_each_print_bears_its_area()
    {
        var answer = Answer(Ask(), Book(Sold));
        // 38 fronts of 10 × 10 in and 38 sleeves of 3 × 3 in: 19 feet at 4.60
        var laid = Assert.Single(answer.Decorations.SelectMany(d => d.Purchases)).Laid!;
        Assert.Equal(
            (FilmGround.RollKey, 228.0, 87.40m, false),
            (laid.On, laid.Bill.BilledIn, laid.Bill.Cost.Value, laid.IsSettled)
        );
        var material = answer
            .Decorations.Select(d => d.Material.Parts.Single(p => p.Code == "transfer-price").Value)
            .ToList();
        // 87.40 × 100 ÷ (38 × 109)
        Assert.Equal((2.110092m, 0.189908m), (decimal.Round(material[0], 6), decimal.Round(material[1], 6)));
        Assert.Equal(87.40m, decimal.Round((material[0] * 38) + (material[1] * 38), 4));
        // what comes on a roll is cut apart first
        Assert.All(answer.Decorations, d => Assert.Equal("cut-apart", Assert.Single(d.Preparation).Code));
        Assert.Contains("on a roll", answer.Made, StringComparison.Ordinal);
    }

    [Fact]
    public void One_piece_is_bought_by_size_and_a_list_without_sizes_still_sells_sheets()
    {
        Assert.NotNull(
            Answer(MethodTests.Ask(1, Sleeve), Book(Sold with { Sheets = [] })).Decorations[0].Purchases[0].SizeClass
        );
        var sheets = Answer(MethodTests.Ask(3, Sleeve), Book(Sold with { Roll = null }, bySize: false))
            .Decorations[0]
            .Purchases[0];
        Assert.Equal((1.0, "sheets", 4.10m), (sheets.Quantity, sheets.Unit, sheets.Cost.Value));
    }

    [Fact]
    public void What_goes_on_no_roll_sheet_or_size_is_refused_with_each_reason()
    {
        var answer = Answer(
            MethodTests.Ask(4, MethodTests.Front(12, 13) with { Place = "back" }),
            Book(Sold with { Roll = null })
        );
        Assert.Equal(VerdictKind.No, answer.Verdict.Kind);
        Assert.Equal(
            VerdictKind.No,
            Answer(
                MethodTests.Ask(4, MethodTests.Front(12, 13) with { Place = "back" }),
                Book(Sold with { Roll = null }, bySize: false)
            ).Verdict.Kind
        );
        // over a thousand prints are laid as those below are; over twenty thousand are bought by size
        Assert.Equal("in", Answer(Ask(600), Book(Sold)).Decorations[0].Purchases[0].Unit);
        Assert.NotNull(Answer(Ask(10_000), Book(Sold)).Decorations[0].Purchases[0].SizeClass);
    }

    [Fact]
    public void The_settled_layout_is_reckoned_with_as_long_as_the_line_needs_the_same_prints()
    {
        // laid a foot later than it need be: a foot dearer, and it is the owner's word
        var ask = Ask() with { Laid = Settled(Ask(), later: 12) };
        var laid = Answer(ask, Book(Sold)).Decorations[0].Purchases[0].Laid!;
        Assert.Equal((true, 240.0, 92.00m), (laid.IsSettled, laid.Bill.BilledIn, laid.Bill.Cost.Value));
        Assert.False(Answer(ask.At(40), Book(Sold)).Decorations[0].Purchases[0].Laid!.IsSettled);
        Assert.Null(Answer(ask, Book(null)).Decorations[0].Purchases[0].Laid);
        // at a print that the cloth does not take a layout helps nothing
        Assert.Equal(VerdictKind.No, Answer(ask with { Style = MethodTests.Tee(100, 250) }, Book(Sold)).Verdict.Kind);
    }

    [Fact]
    public void Extra_copies_in_paid_room_cost_the_order_nothing()
    {
        var ask = Ask();
        var (plain, more) = (Settled(ask), Settled(ask, extra: 30));
        var ground = Sold.Grounds()[0];
        Assert.True(more.Found(ground.Ground).UsedLengthIn > plain.Found(ground.Ground).UsedLengthIn);
        var needed = more.FoundNeeded(ground.Ground);
        Assert.Equal(76, needed.Placed.Count);
        Assert.True(ground.Bill(needed)!.Cost.Value <= ground.Bill(more.Found(ground.Ground))!.Cost.Value);
        Assert.Equal(
            needed.UsedLengthIn,
            Answer(ask with { Laid = more }, Book(Sold)).Decorations[0].Purchases[0].Laid!.UsedLengthIn
        );
    }

    [Theory]
    [InlineData(-1, 22, 12, "byLayout.gapIn")]
    [InlineData(0.5, 0, 12, "byLayout.roll.widthIn")]
    [InlineData(0.5, 0.4, 12, "byLayout.roll.widthIn")]
    [InlineData(0.5, 22, 0, "byLayout.roll.steps")]
    public void A_list_that_cannot_be_billed_is_not_kept(double gap, double width, double step, string where)
    {
        var sold = Sold with { GapIn = gap, Roll = new(width, step, [new(1, 4m)], []) };
        Assert.Contains(Book(sold).Of<TransferPriceList>()[0].Problems(), p => p.Where == where && p.Remedy.Length > 0);
        Assert.Empty(Book(Sold).Of<TransferPriceList>()[0].Problems());
        Assert.Empty((Book(Sold).Of<TransferPriceList>()[0] with { Sizes = [] }).Problems());
        Assert.Contains((Book(null).Of<TransferPriceList>()[0] with { Sizes = [] }).Problems(), p =>
            p.Where == "sizes"
        );
    }

    [Fact]
    public void Sheets_have_names_sizes_and_prices_of_their_own()
    {
        FilmSheet good = new("a", 11, 15, [new(1, 4m)]);
        string[] Wrong(params FilmSheet[] sheets) =>
            [.. (Sold with { Sheets = sheets }).Problems().Select(p => p.Where)];
        Assert.Equal(["byLayout.sheets[1].name"], Wrong(good, good));
        Assert.Equal(["byLayout.sheets[0].name"], Wrong(good with { Name = FilmGround.RollKey }));
        Assert.Equal(["byLayout.sheets[0].widthIn"], Wrong(good with { LengthIn = 0.5 }));
        Assert.Equal(["byLayout.sheets[0].breaks"], Wrong(good with { Breaks = [new(1, 0)] }));
        Assert.Contains((Sold with { Roll = new(22, 0, [], [new(0, 4m)]) }).Problems(), p =>
            p.Where == "byLayout.roll.lengths"
        );
    }

    [Fact]
    public void Odd_prices_of_a_roll_or_sheet_are_asked_about()
    {
        Assert.Empty(OddValues.In(Book(Sold).Of<TransferPriceList>()[0]));
        Assert.Contains(
            OddValues.In(Book(Sold with { Roll = new(22, 12, [new(1, 460m)], []) }).Of<TransferPriceList>()[0]),
            p => p.Where == "byLayout"
        );
        Assert.Contains(
            OddValues.In(Book(Sold with { Sheets = [new("a", 11, 15, [new(1, 0.1m)])] }).Of<TransferPriceList>()[0]),
            p => p.Where == "byLayout"
        );
    }

    [Fact]
    public void The_next_step_costs_what_its_break_says_and_set_lengths_have_none()
    {
        var (roll, sheet) = (Sold.Grounds()[0], Sold.Grounds()[1]);
        Assert.Equal(
            (240, 20, 92.00m),
            FilmStep.After(roll, 228, 0, Book(Sold).Numbers.Format) is { } more
                ? (more.LengthIn, more.Units, more.Cost.Value)
                : default
        );
        // the thirtieth foot makes all of them cheaper: 129.00 instead of 133.40 for 29
        Assert.Equal(129.00m, FilmStep.After(roll, 348, 0, Book(Sold).Numbers.Format)!.Cost.Value);
        Assert.Equal(
            (0, 10, 34.00m),
            FilmStep.After(sheet, 0, 9, Book(Sold).Numbers.Format) is { } tenth
                ? (tenth.LengthIn, tenth.Units, tenth.Cost.Value)
                : default
        );
        Assert.Null(
            FilmStep.After(
                roll with
                {
                    Roll = roll.Roll! with { Lengths = [new(120, 50m)] },
                },
                60,
                0,
                Book(Sold).Numbers.Format
            )
        );
    }

    [Fact]
    public void Film_bought_as_one_is_shared_by_area_with_one_freight()
    {
        var on = Sold.Grounds()[0];
        LineLayout Of(string line, params LaidDesign[] designs) =>
            new(
                new LineId(line),
                "film",
                FilmGround.RollKey,
                designs,
                [
                    .. GangNest
                        .Lay(on.Ground, [.. designs.Select(d => d.Laid())], 1, GangNest.OnePass)
                        .Placed.Select(p => new LaidCopy(p.DesignId, p.Sheet, p.X, p.Y, p.Turned)),
                ],
                1,
                0
            );
        // 2 × 10.5 + 0.25 in a row: three rows of 10 in each are 31.5 in, so 3 feet, 13.80; both together take 63 in, 6
        // feet, 27.60
        var (mine, theirs) = (Of("1", new LaidDesign("a", 10, 10, 6)), Of("1", new LaidDesign("b", 10, 10, 6)));
        var shared = SharedFilm.Reckon(
            on,
            Book(Sold).Of<TransferPriceList>()[0],
            (mine, "T-1"),
            (theirs, "T-2"),
            Of("1", new LaidDesign("a", 10, 10, 6), new LaidDesign("b", 10, 10, 6) { For = "other" }),
            "other"
        )!;
        Assert.Equal(
            (45.60m, 36.60m, 9.00m, 4.50m, 4.50m),
            (shared.Apart.Value, shared.AsOne.Value, shared.Saves.Value, shared.Mine, shared.Theirs)
        );
        // a quarter of the area bears a quarter
        Assert.Equal(
            SharedFilm.CostOf(
                Of("1", new LaidDesign("a", 10, 10, 3), new LaidDesign("b", 10, 10, 1) { For = "other" }),
                on,
                "other"
            ) * 3,
            SharedFilm.CostOf(
                Of("1", new LaidDesign("a", 10, 10, 3), new LaidDesign("b", 10, 10, 1) { For = "other" }),
                on,
                ""
            ),
            9
        );
    }
}
