using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Things;
using Hepno.Web.Wire;

namespace Hepno.Web.Views;

/// <summary>A field of a form.</summary>
/// <param name="Key">Its name in the thing's JSON, its parts joined by points.</param>
/// <param name="Label">What stands beside it, with its unit.</param>
/// <param name="Shape">How it is written.</param>
/// <param name="ShownTimes">Shown as so many times what is kept: 100 for a share in percent.</param>
/// <param name="Least">The least a number may be, or null.</param>
/// <param name="Most">The most a number may be, or null.</param>
/// <param name="Help">What to do where it is wrong, or what is usual.</param>
/// <param name="MayBeEmpty">True where it may be left empty.</param>
/// <param name="Lines">Lines of its box.</param>
/// <param name="Longest">The most characters it may have, or null.</param>
/// <param name="Options">What it may be.</param>
/// <param name="Rows">How its rows are typed, or null.</param>
/// <param name="TypedWithout">The key of a list it follows from where that has rows; empty where it is always
/// typed.</param>
internal sealed record FieldView(
    string Key,
    string Label,
    FieldShape Shape,
    double ShownTimes,
    double? Least,
    double? Most,
    string Help,
    bool MayBeEmpty,
    int Lines,
    int? Longest,
    IReadOnlyList<FieldOption> Options,
    RowForm? Rows,
    string TypedWithout
)
{
    public static FieldView From(Field f) =>
        new(
            f.Key,
            Label: f.Label,
            f.Shape,
            f.Unit.ShownTimes,
            f.Least,
            f.Most,
            f.Help,
            f.MayBeEmpty,
            f.Lines,
            f.Longest,
            f.Options,
            f.Rows,
            TypedWithout: f.TypedWithout
        );
}

/// <summary>A kind of thing the shop keeps: its words, its form, and what a new one begins with.</summary>
/// <param name="Name">As changes and history name it.</param>
/// <param name="Noun">As calls name it.</param>
/// <param name="Area">The screen its board is on.</param>
/// <param name="Words">What the board says, or null.</param>
/// <param name="Fields">In the order of its form; none where the screen has a form of its own.</param>
/// <param name="Start">A new one without its id.</param>
/// <param name="HasPrices">True where its prices are watched.</param>
internal sealed record KindView(
    string Name,
    string Noun,
    ThingArea Area,
    BoardWords? Words,
    IReadOnlyList<FieldView> Fields,
    JsonObject Start,
    bool HasPrices
)
{
    public static KindView From(ThingKind kind) =>
        new(
            kind.Name,
            Noun: kind.Noun,
            kind.Area,
            kind.Words,
            [.. kind.Form.Select(FieldView.From)],
            Begun(kind.Form),
            kind.HasPrices
        );

    private static JsonObject Begun(IReadOnlyList<Field> form)
    {
        var begun = new JsonObject();
        foreach (var field in form)
        {
            var way = field.Key.Split('.');
            var at = begun;
            foreach (var part in way[..^1])
            {
                at = (JsonObject)(at[part] ??= new JsonObject());
            }
            at[way[^1]] = JsonSerializer.SerializeToNode(field.Start, Json.Exact);
        }
        return begun;
    }
}
