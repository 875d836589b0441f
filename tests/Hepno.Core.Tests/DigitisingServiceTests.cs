using Hepno.Core.Methods;
using Hepno.Core.Things;

namespace Hepno.Core.Tests;

/// <summary>Services that digitise: which row a design is paid by, what is beyond every list, and which lists are
/// refused.</summary>
public class DigitisingServiceTests
{
    private static readonly StitchMachine Bittern = Stitchers.BitternPaid;
    private static readonly DigitisingService Loom = new(
        "loom",
        "Loom & Lea",
        [new(5000, 12m), new(10_000, 18.5m), new(20_000, 30m)],
        [new(8000, 22m)]
    );
    private static readonly DigitisingService Thrift = new("thrift", "Thrift", [new(4000, 9m), new(12_000, 26m)], []);

    // two lists: 3,600 and 4,000 by Thrift's first row, 4,001 by Loom's first (12 under Thrift's 26), 9,000 by Loom's
    // second, 12,000 by Thrift's 26 under Loom's 30; 20,001 is beyond both and costs as the dearest. Caps are Loom's
    // alone
    [Theory]
    [InlineData(3600, false, 9, "Shelf: Thrift, up to 4,000 stitches")]
    [InlineData(4000, false, 9, "Shelf: Thrift, up to 4,000 stitches")]
    [InlineData(4000.5, false, 12, "Shelf: Loom & Lea, up to 5,000 stitches")]
    [InlineData(9000, false, 18.5, "Shelf: Loom & Lea, up to 10,000 stitches")]
    [InlineData(12_000, false, 26, "Shelf: Thrift, up to 12,000 stitches")]
    [InlineData(20_001, false, 30, "Shelf: Loom & Lea, up to 20,000 stitches; this is more: ask for its price")]
    [InlineData(8000, true, 22, "Shelf: Loom & Lea, up to 8,000 stitches")]
    [InlineData(9000, true, 24, "Floor: Bittern")]
    public void The_service_that_asks_the_least_for_so_many_is_taken(
        double stitches,
        bool isForCaps,
        decimal price,
        string source
    ) =>
        Assert.Equal(
            (price, source),
            DigitisingService.Asked(
                [Loom, Thrift],
                stitches,
                isForCaps,
                (24m, "Floor: Bittern"),
                MethodTests.Book.Numbers.Format
            )
        );

    [Fact]
    public void Without_one_that_takes_its_cloth_the_machine_says()
    {
        var own = (24m, "Floor: Bittern");
        var f = MethodTests.Book.Numbers.Format;
        Assert.Equal(own, DigitisingService.Asked([], 100, isForCaps: false, own, f));
        Assert.Equal(own, DigitisingService.Asked([Thrift], 100, isForCaps: true, own, f));
    }

    [Theory]
    [InlineData("embroidery", 9000, "Shelf: Loom & Lea, up to 10,000 stitches; once for the design of about 9,000")]
    [InlineData("applique", 3600, "Shelf: Thrift, up to 4,000 stitches; once for the design of about 3,600")]
    public void Stitching_and_applique_pay_it(string method, double stitches, string source)
    {
        var book = MethodTests.Book.With<StitchMachine>([Bittern]).With<DigitisingService>([Loom, Thrift]);
        // 1,800 × 3.47… in² + 120 × 22 in is 9,000 stitched; 120 × 30 in is 3,600 round the applique
        var print =
            method == "applique"
                ? MethodTests.Front(10, 5, 1, line: 20) with
                {
                    CoveragePercent = 80,
                }
                : MethodTests.Front(6, 5, 2) with
                {
                    CoveragePercent = (9000 - (120 * 22)) / 1800.0 / 30 * 100,
                };
        var plan = DecorationMethods
            .Find(new(method))!
            .Answer(MethodTests.Ask(20, print), book)
            .Decorations.First(d => d.SetUp is not null);
        Assert.Contains(source, plan.SetUp!.Source, StringComparison.Ordinal);
        Assert.Equal(stitches < 4000 ? 9m : 18.5m, plan.SetUp.Value);
        var dearer = book.With<DigitisingService>([
            DigitisingService.Described.AtPrices(Loom, new PriceLevels(1, 1, 1, SentOut: 2)),
        ]);
        Assert.Equal(
            stitches < 4000 ? 24m : 37m,
            DecorationMethods
                .Find(new(method))!
                .Answer(MethodTests.Ask(20, print), dearer)
                .Decorations.First(d => d.SetUp is not null)
                .SetUp!.Value
        );
    }

    [Theory]
    [InlineData("", "5000 12", "", "supplier", "The digitising service has no name.")]
    [InlineData("Loom", "", "", "flat", "Loom has no price.")]
    [InlineData("Loom", "5000 12;5000 9", "", "flat[1].mostStitches", "Two prices for up to 5,000 stitches.")]
    [InlineData("Loom", "0 12", "", "flat[0].mostStitches", "A design of 0 is outside 1 to 1,000,000.")]
    [InlineData("Loom", "5000 12", "8000 -1", "caps[0].price", "A price of -1 is outside 0 to 2,000.")]
    public void A_list_that_cannot_be_is_refused_by_field(
        string supplier,
        string flat,
        string caps,
        string where,
        string sentence
    )
    {
        var problem = Assert.Single(DigitisingService.Described.Problems(new("x", supplier, Rows(flat), Rows(caps))));
        Assert.Equal((where, sentence), (problem.Where, problem.Sentence));
    }

    [Fact]
    public void Rows_are_kept_fewest_stitches_first_and_every_price_is_watched()
    {
        var kept = DigitisingService.Described.Settled(
            new("x", "Loom", [new(10_000, 18m), new(5000, 12m)], [new(8000, 22m)])
        );
        Assert.Equal([5000, 10_000], kept.Flat.Select(p => p.MostStitches));
        Assert.Equal(
            [("up to 5,000 stitches", 12m), ("up to 10,000 stitches", 18m), ("caps, up to 8,000 stitches", 22m)],
            DigitisingService.Described.Prices(kept)
        );
    }

    private static List<DigitisingPrice> Rows(string typed) =>
        [
            .. typed
                .Split(';', StringSplitOptions.RemoveEmptyEntries)
                .Select(row => row.Split(' '))
                .Select(c => new DigitisingPrice(int.Parse(c[0], null), decimal.Parse(c[1], null))),
        ];
}
