using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>A design that comes again: screens a printer keeps, a stitch file that serves; and printers with blanks of
/// their own.</summary>
public class MadeBeforeTests
{
    private static readonly OutsidePrinter Quayside = new(
        "quayside",
        "Quayside",
        28m,
        [new(1, [new(24, 2.30m)]), new(3, [new(24, 3.40m)])],
        24,
        0.02,
        12m,
        10m,
        7,
        14,
        16
    )
    {
        RepeatPerScreen = 9m,
    };
    private static readonly StitchMachine Bittern = Stitchers.Bittern;
    private static readonly ShopBook Book = MethodTests
        .Book.With<OutsidePrinter>([Quayside])
        .With<StitchMachine>([Bittern]);
    private static readonly LocalDate By = new(2026, 6, 1);
    private static readonly MadeBefore Screened = new("crest", "quayside", 9, 8, 3, new(2025, 11, 1));

    private static AskInHand Ask(
        MadeBefore? made,
        double w = 9,
        double h = 8,
        string? design = "crest",
        bool dark = true
    ) =>
        MethodTests.Ask(
            50,
            MethodTests.Front(w, h, 2) with
            {
                DesignId = design is null ? (DesignId?)null : new DesignId(design),
            }
        ) with
        {
            Colourway = dark
                ? new("black", "Black", "#22252b", ColourClass.Dark)
                : new("white", "White", "#ffffff", ColourClass.White),
            BuyBy = By,
            Made = made is null ? [] : [made],
        };

    private static DecorationPlan Plan(IDecorationMethod method, AskInHand ask, ShopBook? book = null) =>
        method.Answer(ask, book ?? Book).Decorations[0];

    // on black 2 colours and a base are 3 screens: 3 × 9 kept, 3 × 28 new, or 2 × 9 and a new base of 28 where it was
    // on white before
    public static TheoryData<string, decimal> SetUps =>
        new()
        {
            { "kept", 27 },
            { "none", 84 },
            { "was-white", 46 },
            { "now-white", 18 },
            { "other-design", 84 },
            { "other-size", 84 },
            { "other-printer", 84 },
            { "too-old", 84 },
            { "last-day", 27 },
            { "no-artwork", 84 },
            { "no-repeat-price", 84 },
            { "keeps-none", 84 },
        };

    [Theory]
    [MemberData(nameof(SetUps))]
    public void Screens_that_are_kept_cost_their_repeat_price(string what, decimal setUp)
    {
        var (ask, printer) = what switch
        {
            "kept" => (Ask(Screened), Quayside),
            "none" => (Ask(null), Quayside),
            "was-white" => (Ask(Screened with { Screens = 2 }), Quayside),
            "now-white" => (Ask(Screened, dark: false), Quayside),
            "other-design" => (Ask(Screened with { DesignId = "flag" }), Quayside),
            "other-size" => (Ask(Screened, w: 8.5), Quayside),
            "other-printer" => (Ask(Screened with { MakerId = "other" }), Quayside),
            "too-old" => (Ask(Screened with { On = By.PlusMonths(-12).PlusDays(-1) }), Quayside),
            "last-day" => (Ask(Screened with { On = By.PlusMonths(-12) }), Quayside),
            "no-artwork" => (Ask(Screened, design: null), Quayside),
            "no-repeat-price" => (Ask(Screened), Quayside with { RepeatPerScreen = null }),
            _ => (Ask(Screened), Quayside with { KeepsMonths = 0 }),
        };
        var plan = Plan(new ScreenOut(), ask, Book.With<OutsidePrinter>([printer]));
        Assert.Equal(setUp, plan.SetUp!.Value);
        Assert.Equal(
            setUp,
            plan.SetUp.Parts.Count == 2 && plan.SetUp.Parts[0].Code == "screens"
                ? plan.SetUp.Parts[0].Value * plan.SetUp.Parts[1].Value
                : plan.SetUp.Parts.Sum(p => p.Value)
        );
        Assert.Equal((51 * plan.Material.Parts[0].Value) + setUp, plan.Purchases[0].Cost.Value);
    }

    [Fact]
    public void What_is_kept_is_said()
    {
        Assert.Equal("Quayside prints it, 3 screens, kept there", new ScreenOut().Answer(Ask(Screened), Book).Made);
        Assert.Equal(
            "Quayside prints it, 3 screens, 2 kept there",
            new ScreenOut().Answer(Ask(Screened with { Screens = 2 }), Book).Made
        );
    }

    // a tenth larger or smaller is the same file
    [Theory]
    [InlineData(3.5, 2, true)]
    [InlineData(3.85, 2.2, true)]
    [InlineData(3.9, 2.2, false)]
    [InlineData(3.5, 1.7, false)]
    public void A_design_that_was_stitched_here_is_not_digitised_again(double w, double h, bool again)
    {
        var stitched = new MadeBefore("crest", "bittern", 3.5, 2, 0, new(2020, 1, 1));
        Assert.Equal(again, Plan(new Embroidery(), Ask(stitched, w, h)).SetUp is null);
        Assert.NotNull(Plan(new Embroidery(), Ask(stitched with { MakerId = "quayside" }, w, h)).SetUp);
    }

    // 50 of its tees at 3.35 and 51 prints at 3.40 in 3 screens; freight one way
    [Fact]
    public void On_blanks_of_its_own_nothing_is_sent_there()
    {
        var own = Quayside with { Blanks = [new(GarmentKind.Tee, 3.35m)] };
        var (ask, book) = (Ask(null), Book.With<OutsidePrinter>([own]));
        var answer = new ScreenOut().Answer(ask, book);
        var plan = answer.Decorations[0];
        Assert.Equal(3.40m + 3.35m + (10m / 50), plan.Material.Value);
        Assert.Equal((51 * 3.40m) + 84m + (50 * 3.35m), plan.Purchases[0].Cost.Value);
        Assert.Equal(
            (7, true, 0, "their-blank"),
            (
                plan.Purchases[0].LeadDays,
                plan.BringsBlank,
                plan.Preparation.Count,
                Assert.Single(answer.Verdict.Reasons).Code
            )
        );
        Assert.Equal(0, LineCost.Reckon(ask, answer.Decorations, book).Cost.Parts.Single(p => p.Code == "blank").Value);
        Assert.Contains(new ScreenOut().Answer(ask with { Theirs = true }, book).Verdict.Reasons, r =>
            r.Code == "theirs-out"
        );
        Assert.Contains(
            new ScreenOut()
                .Answer(ask, book.With<OutsidePrinter>([own with { Blanks = [new(GarmentKind.Tote, 2m)] }]))
                .Verdict.Reasons,
            r => r.Code == "not-listed"
        );
        Assert.Equal(
            ["repeatPerScreen", "keepsMonths", "blanks", "blanks"],
            (
                own with
                {
                    Blanks = [new(GarmentKind.Tee, 0), new(GarmentKind.Tee, 2)],
                    RepeatPerScreen = -1,
                    KeepsMonths = 400,
                }
            )
                .Problems()
                .Select(p => p.Where)
        );
    }

    // both with care, on a coated blank: the one with its own blanks is the cheaper only while ours costs more than
    // theirs
    [Theory]
    [InlineData(2.00, "Quayside")]
    [InlineData(9.00, "Stoneway")]
    public void Ways_that_bring_their_blank_are_held_against_the_line_s_own(double unit, string won)
    {
        var ask = Ask(null);
        ask = ask with
        {
            Style = ask.Style with { UnitPrice = (decimal)unit, Cloth = new(null, Migration.None, [Feature.Coated]) },
        };
        var stoneway = Quayside with { Id = "stoneway", Supplier = "Stoneway", Blanks = [new(GarmentKind.Tee, 3.35m)] };
        Assert.StartsWith(
            won,
            new ScreenOut().Answer(ask, Book.With<OutsidePrinter>([Quayside, stoneway])).Made,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_if_reaches_repeats_and_their_blanks()
    {
        var dearer = new WhatIf(new Dictionary<WhatIfInput, double> { [WhatIfInput.SentOut] = 2 })
            .Of(
                Book.With<OutsidePrinter>([
                    Quayside with
                    {
                        Blanks = [new(GarmentKind.Tee, 3m)],
                    },
                    Quayside with
                    {
                        RepeatPerScreen = null,
                    },
                ])
            )
            .Of<OutsidePrinter>();
        Assert.Equal(
            (18m, 6m, null),
            (dearer[0].RepeatPerScreen, dearer[0].Blanks[0].Price, dearer[1].RepeatPerScreen)
        );
        Assert.Empty(dearer[1].Blanks);
    }
}
