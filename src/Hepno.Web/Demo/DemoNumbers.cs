using Hepno.Core.Costing;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Demo;

/// <summary>The demo shop's numbers: its hours, its two people, what it pays every month.</summary>
internal static class DemoNumbers
{
    public static void Put(SqliteConnection c, Deed deed)
    {
        var week = new[] { (0, 0), (8, 18), (8, 18), (8, 18), (8, 18), (8, 18), (9, 14) }
            .Select(h => h.Item1 == 0 ? new DayHours(null, null) : new DayHours(new(h.Item1, 0), new(h.Item2, 0)))
            .ToList();
        var helperWeek = week.Select(
                (d, day) => day is >= 2 and <= 5 ? new DayHours(new(10, 0), new(16, 0)) : new DayHours(null, null)
            )
            .ToList();
        Aggregates.Numbers.Put(
            c,
            (
                ShopNumbers.Default with
                {
                    Identity = ShopIdentity.Default with
                    {
                        Name = "Tern & Tallow",
                        Address = "Cloth, decorated. 4 Net Row, Skerry Quay",
                        Contact = "hello@ternandtallow.example",
                        TimeZone = ShopClock.MachineZone,
                    },
                    Fees = FeeRules.Default with { TaxShare = new(0.08m) },
                    Week = new(
                        week,
                        [
                            new("wren", "Wren", 18.50m, default, week, new(12, 30), 45, []),
                            new("ines", "Ines", 14.00m, new(0.13m), helperWeek, new(13, 15), 30, []),
                        ]
                    ),
                    Rates = CostRates.Default with
                    {
                        FixedCosts =
                        [
                            new("Rent of the workshop", 780),
                            new("Power base and water", 95),
                            new("Software and telephone", 64),
                            new("Insurance", 48),
                        ],
                    },
                }
            ).Settled(),
            0,
            deed
        );
    }
}
