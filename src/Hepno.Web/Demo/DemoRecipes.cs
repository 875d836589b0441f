using Hepno.Core.Recipes;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>Recipes of the demo shop.</summary>
internal static class DemoRecipes
{
    private const string Up = "film up, right-reading";
    private const string Mirrored = "carrier up, cut mirrored";

    public static void Put(SqliteConnection c, OpenShop shop, Deed deed)
    {
        var day = DemoData.Today(c, shop).PlusDays(-60);
        Recipe[] recipes =
        [
            FilmCotton(day),
            FilmPolyester(day),
            VinylCotton(day),
            LowCotton(day),
            OwnCotton(day),
            DyePolyester(day),
            ScreenCotton(day),
            LowPolyester(day),
            LightCotton(day),
            OpaqueCotton(day),
            BlockedCotton(day),
            AppliqueCotton(day),
        ];
        foreach (var recipe in recipes)
        {
            Aggregates.Of<Recipe>().Put(c, recipe, 0, deed);
        }
    }

    private static Recipe FilmCotton(LocalDate day) =>
        new(
            "film-cotton",
            "ferrow",
            Revision: "rev 3",
            RecipeFabric.Cotton,
            310,
            DwellSeconds: 15,
            3,
            "medium",
            5,
            Peel.Cold,
            60,
            SecondPressSeconds: 8,
            Up,
            RecipeSource.OwnTest,
            day,
            "Peel only when it is cold: warm film lifts the edges."
        )
        {
            Parameters = [new("peel", RecipeSource.Learned, day.PlusDays(20), "45 s lifted twice")],
        };

    private static Recipe FilmPolyester(LocalDate day) =>
        new(
            "film-polyester",
            "ferrow",
            Revision: "rev 3",
            RecipeFabric.Polyester,
            275,
            DwellSeconds: 12,
            2,
            "medium",
            5,
            Peel.Cold,
            60,
            SecondPressSeconds: 5,
            Up,
            RecipeSource.Maker,
            day,
            "Above 275 °F dark polyester bleeds."
        );

    private static Recipe VinylCotton(LocalDate day) =>
        new(
            "vinyl-cotton",
            "tidewell",
            Revision: "2025",
            RecipeFabric.Cotton,
            310,
            DwellSeconds: 14,
            3,
            "medium",
            5,
            Peel.Warm,
            8,
            SecondPressSeconds: 4,
            Mirrored,
            RecipeSource.Maker,
            day,
            "Lower layers three seconds only: a layer pressed twice shrinks."
        );

    private static Recipe LowCotton(LocalDate day) =>
        new(
            "low-cotton",
            "tidewell-low",
            Revision: "2025",
            RecipeFabric.Cotton,
            278,
            DwellSeconds: 12,
            2,
            "medium",
            5,
            Peel.Cold,
            15,
            SecondPressSeconds: 3,
            Mirrored,
            RecipeSource.Maker,
            day,
            ""
        );

    private static Recipe OwnCotton(LocalDate day) =>
        new(
            "own-cotton",
            "skua",
            Revision: "our 14th",
            RecipeFabric.Cotton,
            305,
            DwellSeconds: 15,
            3,
            "medium",
            5,
            Peel.Cold,
            60,
            SecondPressSeconds: 8,
            Up,
            RecipeSource.OwnTest,
            day,
            "Glossy all over when it came out of the heat: dull or grainy powder was not cured."
        );

    private static Recipe DyePolyester(LocalDate day) =>
        new(
            "dye-polyester",
            "plover",
            Revision: "our 3rd",
            RecipeFabric.Polyester,
            390,
            DwellSeconds: 60,
            2,
            "light",
            5,
            Peel.Hot,
            0,
            SecondPressSeconds: 0,
            "print down, mirrored",
            RecipeSource.OwnTest,
            day,
            "Fumes: extraction on. Fresh protection paper under and over every piece."
        );

    private static Recipe ScreenCotton(LocalDate day) =>
        new(
            "screen-cotton",
            "marram",
            Revision: "2026",
            RecipeFabric.Cotton,
            365,
            DwellSeconds: 6,
            2,
            "firm",
            5,
            Peel.Hot,
            0,
            SecondPressSeconds: 0,
            "print down, right-reading",
            RecipeSource.Maker,
            day,
            "Peel in one pull while it is hot."
        );

    private static Recipe LowPolyester(LocalDate day) =>
        new(
            "low-polyester",
            "tidewell-low",
            Revision: "2025",
            RecipeFabric.Polyester,
            278,
            DwellSeconds: 12,
            2,
            "medium",
            5,
            Peel.Cold,
            15,
            SecondPressSeconds: 3,
            Mirrored,
            RecipeSource.Assumed,
            day,
            "Spot-test first. Its grey back keeps the cloth's dye down: never hotter."
        );

    private static Recipe LightCotton(LocalDate day) =>
        new(
            "light-cotton",
            "linden-light",
            Revision: "2026",
            RecipeFabric.Cotton,
            355,
            DwellSeconds: 18,
            3,
            "firm",
            5,
            Peel.Hot,
            0,
            SecondPressSeconds: 7,
            "print down, mirrored",
            RecipeSource.Maker,
            day,
            "Trim close: what is left round it shows as a shine."
        );

    private static Recipe OpaqueCotton(LocalDate day) =>
        new(
            "opaque-cotton",
            "linden-opaque",
            Revision: "2026",
            RecipeFabric.Cotton,
            340,
            DwellSeconds: 24,
            3,
            "firm",
            5,
            Peel.Cold,
            60,
            SecondPressSeconds: 0,
            "print up, right-reading, its backing off",
            RecipeSource.Maker,
            day,
            "Never an iron on it without the parchment."
        )
        {
            Cover = Cover.Parchment,
        };

    private static Recipe BlockedCotton(LocalDate day) =>
        new(
            "blocked-cotton",
            "brent",
            Revision: "rev 2",
            RecipeFabric.Cotton,
            305,
            DwellSeconds: 12,
            3,
            "medium",
            5,
            Peel.Cold,
            60,
            SecondPressSeconds: 0,
            "print down, right-reading",
            RecipeSource.Maker,
            day,
            ""
        )
        {
            Cover = Cover.ReleaseSheet,
        };

    private static Recipe AppliqueCotton(LocalDate day) =>
        new(
            "applique-cotton",
            "bittern",
            Revision: "our 2nd",
            RecipeFabric.Cotton,
            320,
            DwellSeconds: 10,
            3,
            "medium",
            0,
            Peel.Hot,
            0,
            SecondPressSeconds: 0,
            "film down, the stitched edge up",
            RecipeSource.OwnTest,
            day,
            "Always covered: bare thread scorches."
        )
        {
            Cover = Cover.Sheet,
        };
}
