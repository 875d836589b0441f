using Hepno.Core.Recipes;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Demo;

/// <summary>Spot tests of the demo shop, and what they are pressed on.</summary>
internal static class DemoTests
{
    public static void Put(SqliteConnection c, OpenShop shop, Deed deed)
    {
        var day = DemoData.Today(c, shop).PlusDays(-60);
        Aggregates
            .Of<TestGarment>()
            .Put(
                c,
                new("misprints", "Black and white tees, misprinted", Fabric: "100% cotton", 14, "box under the sink"),
                0,
                deed
            );
        Aggregates
            .Of<TestGarment>()
            .Put(c, new("sports", "Sports tees, samples", Fabric: "100% polyester", 3, ""), 0, deed);
        Aggregates
            .Of<SpotTest>()
            .Put(
                c,
                new(
                    "test-brae",
                    "ferrow",
                    "brae",
                    "",
                    310,
                    DwellSeconds: 15,
                    "medium",
                    day,
                    "Wren",
                    true,
                    Scorched: false,
                    Bleeding.Clean,
                    "soft, thin",
                    Note: ""
                )
                {
                    Washes = [new(day.PlusDays(9), 5, WashVerdict.Holds), new(day.PlusDays(48), 25, WashVerdict.Holds)],
                    GarmentId = "misprints",
                },
                0,
                deed
            );
        Aggregates
            .Of<SpotTest>()
            .Put(
                c,
                new(
                    "test-vinyl",
                    "tidewell",
                    "brae",
                    "black",
                    310,
                    DwellSeconds: 14,
                    "medium",
                    day.PlusDays(3),
                    "Wren",
                    true,
                    Scorched: false,
                    Bleeding.Clean,
                    "firm",
                    Note: ""
                )
                {
                    Washes = [new(day.PlusDays(20), 12, WashVerdict.Holds)],
                },
                0,
                deed
            );
        Aggregates
            .Of<SpotTest>()
            .Put(
                c,
                new(
                    "test-jersey",
                    "tidewell-low",
                    "fulmar",
                    "navy",
                    278,
                    DwellSeconds: 12,
                    "medium",
                    day.PlusDays(8),
                    "Wren",
                    true,
                    Scorched: false,
                    Bleeding.Clean,
                    "thin, a little stiff",
                    Note: "Nothing came through after a day."
                ),
                0,
                deed
            );
        Aggregates
            .Of<SpotTest>()
            .Put(
                c,
                new(
                    "test-apron",
                    "marram",
                    "galley",
                    "",
                    365,
                    DwellSeconds: 6,
                    "firm",
                    day.PlusDays(11),
                    "Ines",
                    true,
                    Scorched: true,
                    Bleeding.NotLooked,
                    "",
                    Note: "Shines where the platen's edge lay. Not on this apron."
                ),
                0,
                deed
            );
    }
}
