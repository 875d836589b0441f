using Hepno.Core.Recipes;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Recipes.</summary>
internal static class RecipeStore
{
    public static Aggregate<Recipe> Aggregate() => new("recipe", "recipe", Load, r => r.Id.Text, Write);

    private static List<Versioned<Recipe>> Load(SqliteConnection connection, string? id)
    {
        var parameters = Parameters(connection, id);
        return connection.Query(
            $"SELECT * FROM recipe WHERE {Rows.Only(id, "id")} ORDER BY product_id, fabric",
            r => new Versioned<Recipe>(
                new(
                    r.Id<RecipeId>("id"),
                    ProductId: r.Id<ThingId>("product_id"),
                    r.Text("revision"),
                    r.Word<RecipeFabric>("fabric"),
                    r.Real("temperature_f"),
                    DwellSeconds: r.Real("dwell_seconds"),
                    r.Real("dwell_slack_seconds"),
                    r.Text("pressure"),
                    r.Real("pre_press_seconds"),
                    r.Word<Peel>("peel"),
                    r.Real("peel_after_seconds"),
                    SecondPressSeconds: r.Real("second_press_seconds"),
                    r.Text("side"),
                    r.Word<RecipeSource>("source"),
                    r.Day("as_of"),
                    r.Text("caution")
                )
                {
                    Cover = r.Word<Cover>("cover"),
                    NeverAgain = r.Flag("never_again"),
                    PeelWindowSeconds = r.RealOrNull("peel_window_seconds"),
                    Parameters = [.. parameters[r.Text("id")]],
                },
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, RecipeParameter> Parameters(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM recipe_parameter WHERE {Rows.Only(id, "recipe_id")} ORDER BY recipe_id, position",
                r =>
                    (
                        Of: r.Text("recipe_id"),
                        Value: new RecipeParameter(
                            r.Text("parameter"),
                            r.Word<RecipeSource>("source"),
                            r.Day("as_of"),
                            r.Text("note")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(p => p.Of, p => p.Value);

    private static void Write(SqliteConnection connection, Recipe r, long version)
    {
        connection.Put(
            "recipe",
            1,
            ("id", r.Id),
            ("version", version),
            ("product_id", r.ProductId),
            ("revision", r.Revision),
            ("fabric", r.Fabric),
            ("temperature_f", r.TemperatureF),
            ("dwell_seconds", r.DwellSeconds),
            ("dwell_slack_seconds", r.DwellSlackSeconds),
            ("pressure", r.Pressure),
            ("pre_press_seconds", r.PrePressSeconds),
            ("peel", r.Peel),
            ("peel_after_seconds", r.PeelAfterSeconds),
            ("second_press_seconds", r.SecondPressSeconds),
            ("side", r.Side),
            ("source", r.Source),
            ("as_of", r.AsOf),
            ("caution", r.Caution),
            ("cover", r.Cover),
            ("never_again", r.NeverAgain),
            ("peel_window_seconds", r.PeelWindowSeconds)
        );
        connection.Replace("recipe_parameter", "recipe_id", r.Id, r.Parameters, p =>
            [("parameter", p.Name), ("source", p.Source), ("as_of", p.AsOf), ("note", p.Note)]
        );
    }
}
