using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Orders recomputed by hand (tests/cases/orders-by-hand.csv): what the blanks and the prints of the whole
/// order come to when nothing is spoiled.</summary>
public class OrdersByHandTests
{
    private static readonly EquipmentHour Nothing = new(0, 0, 1, 1, 0, 0, 0);

    private static readonly ShopBook Book = MethodTests
        .Book.With<TransferPriceList>([
            new(
                "film",
                "Ferrow",
                "Film",
                [
                    new("4 × 4", 4, 4, Breaks((1, 0.95m), (25, 0.84m), (75, 0.74m))),
                    new("11 × 11", 11, 11, Breaks((1, 3.10m), (25, 2.73m), (75, 2.42m))),
                ],
                9m,
                2
            )
            {
                ByLayout = new(
                    0.5,
                    0.25,
                    new(22, 12, Breaks((1, 4.60m), (30, 4.30m)), []),
                    [new("11 × 15", 11, 15, Breaks((1, 4.10m), (10, 3.40m), (40, 2.90m)))]
                ),
            },
        ])
        .With<ScreenTransferList>([
            new(
                "screened",
                "Marram",
                "Hot peel",
                ScreenFormula.HotPeel,
                [
                    new(
                        "11 × 13",
                        11,
                        13,
                        [
                            new(1, Breaks((12, 2.10m), (36, 1.51m), (72, 1.16m))),
                            new(2, Breaks((12, 2.80m), (36, 2.02m), (72, 1.54m))),
                        ]
                    ),
                ],
                14m,
                true,
                12,
                10m,
                6
            ),
        ])
        .With<OutsidePrinter>([
            new(
                "quayside",
                "Quayside",
                28m,
                [new(1, Breaks((24, 2.30m), (72, 1.43m))), new(2, Breaks((24, 2.90m), (72, 1.80m)))],
                24,
                0.02,
                12m,
                12m,
                7,
                14,
                16
            ),
        ])
        .With<StitchMachine>([new("bittern", "Bittern", 700, 1, 12, 12, 8, true, 0.20m, 0.12m, 24m, Nothing, "")])
        .With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            MethodTests.FilmOnCotton with
            {
                Id = "screened",
                ProductId = "screened",
            },
        ]) with
    {
        SpoilageFactor = 0,
    };

    public static TheoryData<string> Called => [.. Cases.Rows("orders-by-hand.csv").Select(r => r[0])];

    [Theory]
    [MemberData(nameof(Called))]
    public void The_order_comes_to_what_it_does_by_hand(string called)
    {
        var row = Cases.Rows("orders-by-hand.csv").Single(r => r[0] == called);
        var ask = Ask(row);
        var method = DecorationMethods.Find(new MethodId(row[1]))!;
        var answer = method.Answer(ask, Book);
        Assert.True(answer.Decorations.Count > 0, string.Join("; ", answer.Verdict.Reasons.Select(r => r.Sentence)));
        var cost = LineCost.Reckon(ask, answer.Decorations, Book).Cost;
        decimal InAll(params string[] codes) =>
            cost.Parts.Where(p => codes.Contains(p.Code)).Sum(p => p.Value) * ask.Pieces;
        Assert.Equal((row[12], row[13]), (Shown(InAll("blank")), Shown(InAll("decoration", "spoilage"))));
    }

    private static AskInHand Ask(string[] row)
    {
        var tiers =
            row[11].Length == 0
                ? Array.Empty<PriceTier>()
                : [new((int)Number(row[9]), (decimal)Number(row[10]), (decimal)Number(row[11]))];
        var style = MethodTests.Tee(100) with
        {
            Buying = new(tiers, row[8].Length == 0 ? null : (decimal)Number(row[8])),
        };
        var print = MethodTests.Front(Number(row[4]), Number(row[5]), (int)Number(row[6])) with
        {
            Stitches = row[7].Length == 0 ? null : (int)Number(row[7]),
        };
        List<SizeCount> sizes = [.. row[3].Split(' ').Chunk(2).Select(s => new SizeCount(s[0], (int)Number(s[1])))];
        return new(style, style.Colourways.Single(c => c.Id == new ColourwayId(row[2])), sizes, [print]);
    }

    private static IReadOnlyList<PriceBreak> Breaks(params (int From, decimal Price)[] of) =>
        [.. of.Select(b => new PriceBreak(b.From, b.Price))];

    private static double Number(string cell) =>
        cell.Length == 0 ? 0 : double.Parse(cell, CultureInfo.InvariantCulture);

    private static string Shown(decimal money) => Math.Round(money, 4).ToString("0.00##", CultureInfo.InvariantCulture);
}
