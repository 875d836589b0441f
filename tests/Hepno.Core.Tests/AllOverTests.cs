using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Dye from edge to edge: sheets and presses of a garment, its cost and steps by hand, and what cannot be
/// printed so.</summary>
public class AllOverTests
{
    private static readonly EquipmentHour Free = new(0, 0, 1, 1, 0, 0, 0);

    // 13 × 19 in of paper with 0.25 in not printed all round: 12.5 × 18.5
    private static readonly DyePrinter Plover = new(
        "plover",
        "Plover",
        100,
        0.01,
        0.20m,
        13,
        19,
        0.25,
        0.30m,
        12,
        0.01m,
        0.05m,
        Free,
        ""
    );
    private static readonly ShopBook Book = MethodTests
        .Book.With<DyePrinter>([Plover])
        .With<Press>([MethodTests.Book.Presses[0] with { PlatenWidthIn = 16, PlatenHeightIn = 20 }])
        .With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            MethodTests.FilmOnCotton with
            {
                Id = "dye",
                ProductId = "plover",
                Fabric = RecipeFabric.Polyester,
                TemperatureF = 390,
                DwellSeconds = 60,
            },
        ]);

    private static readonly Placement Whole = new("w", "all-over", 29, 29, 80, 6, true, 2);

    private static AskInHand Ask(int pieces, string size = "M", Placement? p = null) =>
        MethodTests.Ask(pieces, p ?? Whole) with
        {
            Style = MethodTests.Tee(0) with { HeatCeilingF = 400 },
            Colourway = new("white", "White", "#ffffff", ColourClass.White),
            Sizes = [new(size, pieces)],
        };

    private static DecorationPlan Plan(AskInHand ask)
    {
        var answer = new SublimationAllOver().Answer(ask, Book);
        Assert.True(answer.Decorations.Count > 0, string.Join("; ", answer.Verdict.Reasons.Select(r => r.Sentence)));
        return answer.Decorations[0];
    }

    // a tee of M lies 34 × 29 in, with bleed 36 × 31. Sheets upright: ⌈35.75 ÷ 12.25⌉ × ⌈30.75 ÷ 18.25⌉ = 3 × 2; turned
    // 2 × 3. XL is 1.14 of it: 40.76 × 35.06, 4 × 2 or 3 × 3
    [Theory]
    [InlineData("M", 6)]
    [InlineData("XL", 8)]
    public void Sheets_of_a_side_overlap_a_quarter(string size, int sheets) =>
        Assert.Equal(sheets, SublimationAllOver.Sheets(Ask(10, size), Plover).Sheets());

    // platen 16 × 20 with an inch over: ⌈35 ÷ 15⌉ × ⌈30 ÷ 19⌉ = 3 × 2, turned ⌈35 ÷ 19⌉ × ⌈30 ÷ 15⌉ = 2 × 2
    [Fact]
    public void The_press_is_set_down_with_an_inch_over() =>
        Assert.Equal(4, SublimationAllOver.Positions(Ask(10), Book.Presses[0]).Sheets());

    // the largest size of the run decides for all
    [Fact]
    public void One_set_of_sheets_is_for_the_largest_size() =>
        Assert.Equal(
            8,
            SublimationAllOver.Sheets(Ask(10) with { Sizes = [new("S", 9), new("XL", 1)] }, Plover).Sheets()
        );

    // M, 80% painted on both sides: 36 × 31 × 2 × 0.8 = 1,785.6 in² × 0.01 × 0.20 = 3.5712; 12 sheets 3.60; tape 12 ×
    // 12 × 0.01 = 1.44; 8 presses, paper above and below each: 16 × 0.05 = 0.80
    [Fact]
    public void Ink_paper_tape_and_protection_are_of_both_sides()
    {
        var plan = Plan(Ask(10));
        Assert.Equal([3.5712m, 3.60m, 1.44m, 0.80m, 0m], plan.Material.Parts.Select(p => Math.Round(p.Value, 6)));
        Assert.Equal(plan.Bought * 12, plan.Purchases[0].Quantity);
        Assert.Equal(0.10, plan.FailureChance);
        // 5 seams a side at 45 s; 2,232 in² at 100 a minute
        Assert.Equal(
            (450.0, 1339.2),
            (
                plan.Preparation.Single(s => s.Code == "join").Seconds,
                plan.Preparation.Single(s => s.Code == "print").Seconds
            )
        );
        // eight presses of a minute, three times moved on a side, turned over once
        Assert.Equal(
            (8, 480.0, 6, 1),
            (
                plan.Steps.Count(s => s.Code == "press"),
                plan.Steps.Where(s => s.Code == "press").Sum(s => s.Seconds),
                plan.Steps.Count(s => s.Code == "reload"),
                plan.Steps.Count(s => s.Code == "thread")
            )
        );
    }

    [Fact]
    public void It_is_planned_on_a_press_that_takes_a_part_of_it_at_once()
    {
        var ask = Ask(10);
        var work = LineWork.Of("o", "l", "T", ask, [Plan(ask)], new(2026, 3, 9, 9, 0, 0), "", null, Book);
        Assert.Equal((16, 20), (work.WidthIn, work.HeightIn));
        Assert.NotNull(
            PressPlanner.PromiseFor(
                work,
                new(new LocalDateTime(2026, 3, 9, 9, 0, 0), new OpenHours(Book.Numbers.Week.Days), Book.Presses, [])
            )
        );
    }

    [Theory]
    [InlineData("cotton", "fabric")]
    [InlineData("dark", "colour")]
    [InlineData("part", "not-all-over")]
    [InlineData("own", "own-text")]
    public void What_cannot_be_dyed_all_over_says_why(string what, string code)
    {
        var ask = what switch
        {
            "cotton" => Ask(10) with { Style = MethodTests.Tee(100) },
            "dark" => Ask(10) with { Colourway = new("navy", "Navy", "#101840", ColourClass.Dark) },
            "part" => Ask(10, p: Whole with { Place = "front", WidthIn = 9, HeightIn = 9 }),
            _ => Ask(10, p: Whole with { Own = OwnText.Name }),
        };
        Assert.Contains(new SublimationAllOver().Answer(ask, Book).Verdict.Reasons, r =>
            r.Code == code && r.Kind == VerdictKind.No && r.WouldWork.Length > 0
        );
    }

    [Fact]
    public void Nothing_else_prints_from_edge_to_edge_and_creases_are_said()
    {
        foreach (var method in DecorationMethods.All.Where(m => m is not SublimationAllOver))
        {
            Assert.Empty(
                method
                    .Answer(
                        Ask(10, p: Whole with { WidthIn = 8, HeightIn = 8 }),
                        OwnPrintTests.Book.With<DyePrinter>([Plover])
                    )
                    .Decorations
            );
        }
        var care = new SublimationAllOver().Answer(Ask(10), Book).Verdict;
        Assert.Equal(
            (VerdictKind.WithCare, "creases", "pressed-twice"),
            (care.Kind, care.Reasons[0].Code, care.Reasons[1].Code)
        );
        var large = Book.With<Press>([Book.Presses[0] with { PlatenWidthIn = 40, PlatenHeightIn = 50 }]);
        Assert.Equal("creases", Assert.Single(new SublimationAllOver().Answer(Ask(10), large).Verdict.Reasons).Code);
    }

    [Fact]
    public void It_lies_over_the_whole_garment_of_each_size()
    {
        var lies = LyingPrint.Lay(Whole, "M", GarmentKind.Tee)!;
        Assert.Equal((34, 29), (lies.Print.Width, lies.Print.Height));
        Assert.Equal((34 * 1.14, 29 * 1.14), GarmentScale.Flat(GarmentKind.Tee, "XL"));
    }
}
