using System.Globalization;
using CsCheck;
using Hepno.Core.Costing;
using Hepno.Core.Curing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>What lies in printers, cure batches, and what a bad one calls back.</summary>
public class CureTests
{
    private static readonly LocalDateTime Monday = new(2026, 3, 9, 9, 0, 0);

    private static readonly PrinterSupplies Supplies = new(
        "skua",
        [
            new(Supply.ColourInk, ["Skerry pigment"], 800, 100),
            new(Supply.WhiteInk, [], 500, 100),
            new(Supply.Film, [], 3900, 200),
            new(Supply.Powder, ["Marl fine", "Marl coarse"], 1000, 150),
        ],
        [
            new(Supply.Powder, "marl FINE", "P-7", Monday, 1000, "Wren"),
            new(Supply.WhiteInk, "Skerry white", "", Monday.PlusHours(1), 400, ""),
        ]
    );

    internal static readonly FilmPrinter Skua = new(
        "skua",
        "Skua",
        13,
        0.25,
        11,
        0.011,
        0.16m,
        0.014,
        0.14m,
        true,
        0.0042m,
        0.016,
        0.028m,
        18,
        0.05m,
        35,
        FilmCure.Oven,
        new EquipmentHour(0, 0, 1, 1, 0, 0, 0),
        ""
    );

    private static readonly CureBatch Batch = new(
        "b",
        31,
        "skua",
        Monday,
        "",
        250,
        2,
        "",
        CureSign.Glossy,
        ControlPrint.NotYet,
        ControlPrint.NotYet,
        [new("o", "1", "f", 12, false)],
        [],
        CureUse.None,
        CureVerdict.Open,
        ""
    );

    [Fact]
    public void A_product_the_printer_does_not_take_refuses_the_method_until_it_is_changed()
    {
        Assert.Empty(Supplies.Mismatches());
        var wrong = Supplies with
        {
            Loadings = [.. Supplies.Loadings, new(Supply.Powder, "Other gloss", "", Monday.PlusDays(1), 900, "")],
        };
        Assert.Equal(Supply.Powder, Assert.Single(wrong.Mismatches()).Slot.Supply);
        var book = MethodTests
            .Book.With<FilmPrinter>([Skua])
            .With<Recipe>([MethodTests.FilmOnCotton with { ProductId = "skua" }]);
        Assert.NotEqual(
            VerdictKind.No,
            new DtfMade().Answer(MethodTests.Ask(10), book.With<PrinterSupplies>([Supplies])).Verdict.Kind
        );
        var refused = new DtfMade().Answer(MethodTests.Ask(10), book.With<PrinterSupplies>([wrong])).Verdict;
        Assert.Equal(VerdictKind.No, refused.Kind);
        Assert.Contains(refused.Reasons, r =>
            r.Code == "mismatch"
            && r.Sentence == "Skua has Other gloss in it as powder, which it does not take"
            && r.WouldWork.StartsWith("Marl fine or Marl coarse", StringComparison.Ordinal)
        );
        // another printer's powder is not its matter
        Assert.NotEqual(
            VerdictKind.No,
            new DtfMade()
                .Answer(MethodTests.Ask(10), book.With<PrinterSupplies>([wrong with { Id = "other" }]))
                .Verdict.Kind
        );
    }

    [Fact]
    public void A_level_is_what_was_loaded_less_what_was_used_since_and_lots_are_those_of_the_time()
    {
        Assert.Equal(1000 - 30, Supplies.Left(Supply.Powder, from => from == Monday ? 30 : 0));
        Assert.Equal(0, Supplies.Left(Supply.Powder, _ => 5000));
        Assert.Null(Supplies.Left(Supply.ColourInk, _ => 0));
        Assert.Equal(["marl FINE, lot P-7"], Supplies.InAt(Monday).Select(l => l.Named()));
        Assert.Equal(
            ["Skerry white, no lot noted", "marl FINE, lot P-7"],
            Supplies.InAt(Monday.PlusHours(2)).Select(l => l.Named())
        );
    }

    [Fact]
    public void Use_follows_the_painted_area_and_the_rows_on_the_roll()
    {
        // 9 × 4 in at 50 %: 18 painted in² × 10; boxes 9.25 × 4.25 turned lie three across, four rows of 9.25
        var use = Skua.Use(MethodTests.Front(), MethodTests.Black, 10);
        Assert.Equal(
            (1.98, 2.52, 37.0, 2.88),
            (Math.Round(use.ColourMl, 6), Math.Round(use.WhiteMl, 6), use.FilmIn, Math.Round(use.PowderG, 6))
        );
        Assert.Equal(0, (Skua with { WhiteOnLight = false }).Use(MethodTests.Front(), MethodTests.White, 10).WhiteMl);
    }

    [Fact]
    public void What_is_left_says_how_far_it_goes_and_what_ends_first()
    {
        var each = Skua.Use(MethodTests.Front(), MethodTests.Black, 10);
        Assert.Equal((20, null), WorkLeft.Reckon(_ => null, [(10, each), (10, each)]));
        Assert.Equal((20, null), WorkLeft.Reckon(s => s == Supply.WhiteInk ? 5.04 : null, [(10, each), (10, each)]));
        // 0.252 ml of white a print: 4 ml are 15 prints
        Assert.Equal(
            (15, Supply.WhiteInk),
            WorkLeft.Reckon(s => s == Supply.WhiteInk ? 4 : 1e6, [(10, each), (10, each)])
        );
        // powder for 3 prints ends before the white for 5
        Assert.Equal(
            (3, Supply.Powder),
            WorkLeft.Reckon(
                s =>
                    s switch
                    {
                        Supply.WhiteInk => 0.252 * 5.5,
                        Supply.Powder => 0.288 * 3.5,
                        _ => null,
                    },
                [(10, each)]
            )
        );
    }

    [Fact]
    public void White_prints_wait_for_both_patches_and_coloured_ones_do_not()
    {
        Assert.False(Batch.Holds());
        var white = Batch with { Prints = [.. Batch.Prints, new("o", "1", "b", 6, true)] };
        Assert.True(white.Holds());
        Assert.True((white with { Before = ControlPrint.Holds }).Holds());
        Assert.True((white with { Before = ControlPrint.Holds, After = ControlPrint.Lifts }).Holds());
        Assert.False((white with { Before = ControlPrint.Holds, After = ControlPrint.Holds }).Holds());
        Assert.Equal("the powder was dull", (Batch with { Sign = CureSign.Dull }).Doubt(250, FigureFormat.Default));
        Assert.Equal("", (Batch with { Sign = CureSign.Glossy, TemperatureF = 230 }).Doubt(250, FigureFormat.Default));
        Assert.Equal(
            "229 °F is far below the 250 °F its powder is cured at",
            (Batch with { Sign = CureSign.Glossy, TemperatureF = 229 }).Doubt(250, FigureFormat.Default)
        );
        Assert.Equal(
            "the last patch lifts",
            (Batch with { After = ControlPrint.Lifts, Sign = CureSign.Dull }).Doubt(250, FigureFormat.Default)
        );
    }

    [Theory]
    [MemberData(nameof(Recalls))]
    public void A_bad_batch_calls_back(
        int prints,
        int others,
        int pressed,
        int handed,
        int least,
        int most,
        int lookAt,
        int out_,
        int waiting,
        decimal cost
    )
    {
        var r = Recall.Of(
            new(
                new("o", "1", "f", prints, false),
                others,
                pressed,
                handed,
                Figure.Input("print", "One print", 2m, FigureUnit.Money, "the quote"),
                Figure.Input("piece", "One piece", 10m, FigureUnit.Money, "the quote")
            )
        );
        Assert.Equal(
            (least, most, lookAt, out_, waiting, cost),
            (r.PiecesAtLeast, r.PiecesAtMost, r.LookAt, r.Out, r.PrintsWaiting, r.Cost.Value)
        );
    }

    public static TheoryData<int, int, int, int, int, int, int, int, int, decimal> Recalls()
    {
        var data = new TheoryData<int, int, int, int, int, int, int, int, int, decimal>();
        foreach (var c in Cases.Rows("recalls.csv"))
        {
            var n = c.Take(9).Select(x => int.Parse(x, CultureInfo.InvariantCulture)).ToList();
            data.Add(
                n[0],
                n[1],
                n[2],
                n[3],
                n[4],
                n[5],
                n[6],
                n[7],
                n[8],
                decimal.Parse(c[9], CultureInfo.InvariantCulture)
            );
        }
        return data;
    }

    [Fact]
    public void However_the_pieces_lie_the_true_count_is_between_least_and_most() =>
        Gen.Select(Gen.Int[1, 60], Gen.Int[0, 60], Gen.Int[0, 120], Gen.Double[0, 1])
            .Sample(
                (prints, others, wished, share) =>
                {
                    var pressed = Math.Min(wished, prints + others);
                    // any mixture of the two heaps may have been pressed
                    var (few, many) = (Math.Max(0, pressed - others), Math.Min(prints, pressed));
                    var ours = few + (int)Math.Round(share * (many - few));
                    var r = Recall.Of(
                        new(
                            new("o", "1", "f", prints, false),
                            others,
                            pressed,
                            0,
                            Figure.Input("print", "One print", 2m, FigureUnit.Money, ""),
                            Figure.Input("piece", "One piece", 10m, FigureUnit.Money, "")
                        )
                    );
                    Assert.InRange(ours, r.PiecesAtLeast, r.PiecesAtMost);
                    Assert.Equal(prints, r.PiecesAtMost + r.PrintsWaiting);
                }
            );

    [Theory]
    [InlineData("heat", "temperatureF")]
    [InlineData("long", "minutes")]
    [InlineData("none", "prints")]
    [InlineData("twice", "prints[1]")]
    [InlineData("bad", "why")]
    [InlineData("zero", "prints[0].prints")]
    [InlineData("nan", "use")]
    public void A_batch_that_cannot_be_is_refused(string what, string where)
    {
        var batch = what switch
        {
            "heat" => Batch with { TemperatureF = 90 },
            "long" => Batch with { Minutes = 0 },
            "none" => Batch with { Prints = [] },
            "twice" => Batch with { Prints = [.. Batch.Prints, .. Batch.Prints] },
            "zero" => Batch with { Prints = [Batch.Prints[0] with { Prints = 0 }] },
            "nan" => Batch with { Use = new(double.NaN, 0, 0, 0) },
            _ => Batch with { Verdict = CureVerdict.Bad },
        };
        Assert.Equal(where, Assert.Single(batch.Problems()).Where);
        Assert.Empty(Batch.Problems());
    }

    [Theory]
    [InlineData("twice", "slots[4].supply")]
    [InlineData("low", "slots[0]")]
    [InlineData("over", "loadings[2].level")]
    [InlineData("place", "loadings[2].supply")]
    [InlineData("name", "loadings[2].product")]
    public void Supplies_that_cannot_be_are_refused(string what, string where)
    {
        PrinterSupplies Loaded(Loading l) => Supplies with { Loadings = [.. Supplies.Loadings, l] };
        var s = what switch
        {
            "twice" => Supplies with { Slots = [.. Supplies.Slots, Supplies.Slots[0]] },
            "low" => Supplies with { Slots = [Supplies.Slots[0] with { LowAt = 900 }, .. Supplies.Slots.Skip(1)] },
            "over" => Loaded(new(Supply.Film, "Film", "", Monday, 4000, "")),
            "place" => Loaded(new(Supply.Paper, "Paper", "", Monday, 4, "")),
            _ => Loaded(new(Supply.Film, " ", "", Monday, 400, "")),
        };
        Assert.Equal(where, Assert.Single(s.Problems()).Where);
    }
}
