using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Recipes;

/// <summary>A heat press.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="Kind">clamshell, swing-away, drawer, auto-open or cap.</param>
/// <param name="PlatenWidthIn">Width of the platen, in.</param>
/// <param name="PlatenHeightIn">Depth of the platen, in.</param>
/// <param name="WarmUpMinutes">Minutes from cold to 300 °F.</param>
/// <param name="RiseFPerMinute">How fast it heats between jobs, °F a minute.</param>
/// <param name="DropFPerMinute">How fast it cools between jobs, °F a minute.</param>
/// <param name="OffsetF">Measured mean less set-point, °F; null when not yet tested.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What the maker's manual warns of, shown where it is used.</param>
/// <param name="Lowers">Lower platens it takes besides its own; null for none.</param>
public sealed record Press(string Id, string Name, string Kind, double PlatenWidthIn, double PlatenHeightIn, double WarmUpMinutes, double RiseFPerMinute, double DropFPerMinute,
    double? OffsetF, EquipmentHour Equipment, string Cautions, IReadOnlyList<LowerPlaten>? Lowers = null)
{
    /// <summary>Beyond this offset a press is set aside, °F.</summary>
    public const double LargestOffsetF = 20;

    /// <summary>Room temperature that warm-up starts from, °F.</summary>
    public const double RoomF = 70;

    private const string CapPress = "cap";

    private static readonly string[] Kinds = ["clamshell", "swing-away", "drawer", "auto-open", CapPress];

    /// <summary>True when a kind of garment goes onto it: caps onto a curved platen only, everything else onto a flat one.</summary>
    public bool Takes(GarmentKind kind) => (Kind == CapPress) == (kind == GarmentKind.Cap);

    /// <summary>The lower platen a print is pressed on: the smallest that holds it and goes into the opening; null for the press's own.</summary>
    /// <param name="widthIn">Width of the print, in.</param>
    /// <param name="heightIn">Height of the print, in.</param>
    /// <param name="openingIn">Width of the part that goes over it, in; null where the whole garment does.</param>
    public LowerPlaten? LowerFor(double widthIn, double heightIn, double? openingIn) => openingIn is not { } opening ? null
        : (Lowers ?? []).Where(l => l.WidthIn <= opening && l.WidthIn >= widthIn && l.HeightIn >= heightIn).MinBy(l => l.WidthIn * l.HeightIn);

    /// <summary>True when the offset is too large to correct.</summary>
    public bool IsSetAside() => OffsetF is { } offset && Math.Abs(offset) > LargestOffsetF;

    /// <summary>What to set so that the cloth gets the recipe's temperature: recipe less offset.</summary>
    public double SetPointF(double recipeF) => recipeF - (OffsetF ?? 0);

    /// <summary>Minutes to get from one platen temperature to another; from cold when <paramref name="fromF"/> is null.</summary>
    public double HeatMinutes(double? fromF, double toF) => fromF switch
    {
        null => WarmUpMinutes * Math.Max(0, toF - RoomF) / (300 - RoomF),
        { } from when toF >= from => (toF - from) / RiseFPerMinute,
        { } from => (from - toF) / DropFPerMinute,
    };

    /// <summary>What the owner must put right before the press can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new("empty", "The press has no name.", "name", "Give it a name you would call across the room.");
        }
        if (!Kinds.Contains(Kind))
        {
            yield return new("unknown-word", $"\"{Kind}\" is not a kind of press.", "kind", $"Use one of {string.Join(", ", Kinds)}.");
        }
        foreach (var (value, field, what) in new[] { (PlatenWidthIn, "platenWidthIn", "width"), (PlatenHeightIn, "platenHeightIn", "depth") })
        {
            if (value is < 2 or > 60)
            {
                yield return new("range", $"A platen {what} of {value:0.##} in is outside 2 to 60.", field, "Measure the heated platen.");
            }
        }
        if (WarmUpMinutes is < 0 or > 120 || RiseFPerMinute is <= 0 or > 200 || DropFPerMinute is <= 0 or > 200)
        {
            yield return new("range", "Warm-up is 0 to 120 minutes, rising and cooling 0 to 200 °F a minute.", "warmUpMinutes", "15 minutes, 20 and 5 are usual.");
        }
        foreach (var (lower, i) in (Lowers ?? []).Select((l, i) => (l, i)))
        {
            if (lower.Name.Trim().Length is 0 or > 30 || (Lowers ?? []).Take(i).Any(l => l.Name == lower.Name))
            {
                yield return new("name", $"A lower platen is called \"{lower.Name}\".", $"lowers[{i}].name", "Give each a name of its own, up to 30 letters.");
            }
            if (lower.WidthIn is not (>= 1 and <= 60) || lower.HeightIn is not (>= 1 and <= 60))
            {
                yield return new("range", $"A lower platen of {lower.WidthIn:0.##} × {lower.HeightIn:0.##} in is outside 1 to 60.", $"lowers[{i}]", "Measure it.");
            }
        }
        foreach (var problem in Equipment.Problems())
        {
            yield return problem;
        }
    }
}
