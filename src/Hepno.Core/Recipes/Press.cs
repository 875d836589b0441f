using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Recipes;

/// <summary>A heat press.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="Kind">clamshell, swing-away, drawer, auto-open, cap, handheld; oven and conveyor cure and do not
/// press.</param>
/// <param name="PlatenWidthIn">Width of the platen, in.</param>
/// <param name="PlatenHeightIn">Depth of the platen, in.</param>
/// <param name="WarmUpMinutes">Minutes from cold to 300 °F.</param>
/// <param name="RiseFPerMinute">How fast it heats between jobs, °F a minute.</param>
/// <param name="DropFPerMinute">How fast it cools between jobs, °F a minute.</param>
/// <param name="OffsetF">Measured mean less set-point, °F: by the newest sound map, as typed while there is none; null
/// when not yet tested.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What the maker's manual warns of, shown where it is used.</param>
public sealed record Press(
    PressId Id,
    string Name,
    string Kind,
    double PlatenWidthIn,
    double PlatenHeightIn,
    double WarmUpMinutes,
    double RiseFPerMinute,
    double DropFPerMinute,
    double? OffsetF,
    EquipmentHour Equipment,
    string Cautions
) : IKept<Press>, IMachine
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Press> Described { get; } =
        new("press", noun: "presses", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            Settled = x =>
                (
                    x with
                    {
                        Dials = [.. x.Dials.Select(d => d with { Pressure = d.Pressure.ToLowerInvariant() })],
                    }
                ).Settled(),
            Order = ListedBy.Text<Press>(x => x.Name),
        };

    /// <summary>Its id among all machines.</summary>
    ThingId IThing.Id => new(Id.Text);

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("pads", "Look at pad and platen, wipe both cold", UpkeepEvery.Week, 5, 0),
            new("nine", "Measure the platen", UpkeepEvery.AsNeeded, 20, 0, 4),
            new("pad", "New pad", UpkeepEvery.AsNeeded, 15, 18, 0.5),
        ];

    /// <summary>Lower platens it takes besides its own.</summary>
    public IReadOnlyList<LowerPlaten> Lowers { get; init; } = [];

    /// <summary>Its platen as it was measured, oldest first.</summary>
    public IReadOnlyList<PlatenMap> Maps { get; init; } = [];

    /// <summary>What its dial says for each pressure, thickness and lower platen; none while nothing was
    /// noted.</summary>
    public IReadOnlyList<DialReading> Dials { get; init; } = [];

    /// <summary>True when the next piece is laid on a second lower platen, a shuttle or a stand
    /// meanwhile.</summary>
    public bool LoadsBeside { get; init; }

    /// <summary>Its pillows, foams and cover sheets.</summary>
    public IReadOnlyList<Accessory> Accessories { get; init; } = [];

    /// <summary>A point of its platen further below the mean than this is a cold spot, °F.</summary>
    public double ColdBelowF { get; init; } = PlatenMap.ColdBelowF;

    /// <summary>Beyond this offset a press is set aside, °F.</summary>
    public const double LargestOffsetF = 20;

    /// <summary>Room temperature that warm-up starts from, °F.</summary>
    public const double RoomF = 70;

    // 60 °C: nobody keeps a hand there
    private const double HotF = 140;
    private const string BenchKind = "bench";
    private const string CapPress = "cap";
    private const string AutoOpen = "auto-open";
    private const string Handheld = "handheld";

    private static readonly string[] Stations = ["oven", "conveyor"];

    private static readonly string[] Kinds =
    [
        "clamshell",
        "swing-away",
        "drawer",
        AutoOpen,
        CapPress,
        Handheld,
        .. Stations,
    ];

    /// <summary>A place of work without heat, planned like a press: a stitching machine, or the table.</summary>
    /// <param name="id">Identity.</param>
    /// <param name="name">The shop's name for it.</param>
    /// <param name="equipment">What an hour of it costs.</param>
    /// <param name="cautions">What its maker's manual warns of.</param>
    public static Press Bench(PressId id, string name, EquipmentHour equipment, string cautions) =>
        new(
            id,
            name,
            BenchKind,
            double.PositiveInfinity,
            double.PositiveInfinity,
            WarmUpMinutes: 0,
            1,
            DropFPerMinute: 1,
            null,
            equipment,
            cautions
        );

    /// <summary>True for a place of work without heat.</summary>
    public bool IsBench() => Kind == BenchKind;

    /// <summary>True when nobody is needed at its opening.</summary>
    public bool OpensItself() => Kind is AutoOpen or BenchKind;

    /// <summary>True for an oven or conveyor: it cures film and is never pressed with.</summary>
    public bool OnlyCures() => Stations.Contains(Kind);

    /// <summary>True for an iron held by hand: hands are bound as long as it presses, and its pressure is a
    /// guess.</summary>
    public bool HeldByHand() => Kind == Handheld;

    /// <summary>True when a kind of garment goes onto it: caps onto a curved platen only, everything else onto a flat
    /// one; an iron goes onto anything.</summary>
    public bool Takes(GarmentKind kind) =>
        !OnlyCures() && !IsBench() && (HeldByHand() || (Kind == CapPress) == (kind == GarmentKind.Cap));

    /// <summary>True when a print of this size lies wholly under its platen, straight or turned.</summary>
    public bool Covers(double widthIn, double heightIn) =>
        (widthIn <= PlatenWidthIn && heightIn <= PlatenHeightIn)
        || (heightIn <= PlatenWidthIn && widthIn <= PlatenHeightIn);

    /// <summary>The lower platen a print is pressed on: the smallest that holds it and goes into the opening; null for
    /// the press's own.</summary>
    /// <param name="widthIn">Width of the print, in.</param>
    /// <param name="heightIn">Height of the print, in.</param>
    /// <param name="openingIn">Width of the part that goes over it, in; null where the whole garment does.</param>
    public LowerPlaten? LowerFor(double widthIn, double heightIn, double? openingIn) =>
        openingIn is not { } opening
            ? null
            : Lowers
                .Where(l => l.WidthIn <= opening && l.WidthIn >= widthIn && l.HeightIn >= heightIn)
                .MinBy(l => l.WidthIn * l.HeightIn);

    /// <summary>The press with another map.</summary>
    public Press Measured(PlatenMap map) => (this with { Maps = [.. Maps, map] }).Settled();

    /// <summary>The press with the offset its newest sound map says, so that the two never differ.</summary>
    public Press Settled() =>
        Maps.LastOrDefault(m => !m.Doubtful) is { PointsF.Count: PlatenMap.Points } map
            ? this with
            {
                OffsetF = map.OffsetF(),
            }
            : this;

    /// <summary>The newest map that says something of a recipe's heat, or null.</summary>
    public PlatenMap? MapFor(double recipeF) => Maps.LastOrDefault(m => !m.Doubtful && m.Reaches(recipeF));

    /// <summary>When it was last found right: the newest sound map within what can be corrected and without a cold
    /// spot; null for never.</summary>
    public LocalDate? LastGoodCheck() =>
        Maps.LastOrDefault(m =>
            !m.Doubtful && Math.Abs(m.OffsetF()) <= LargestOffsetF && m.ColdSpots(ColdBelowF).Count == 0
        )?.Day;

    /// <summary>Offset at a recipe's heat, °F: by the newest map near it; as typed while there is no map at all; null
    /// when it is not yet tested there.</summary>
    public double? OffsetFor(double recipeF) => Maps is { Count: > 0 } ? MapFor(recipeF)?.OffsetF() : OffsetF;

    /// <summary>True for a platen that is to be shown as hot.</summary>
    /// <param name="heatF">Its heat, °F.</param>
    public static bool IsHot(double heatF) => heatF > HotF;

    /// <summary>True when the offset is too large to correct.</summary>
    public bool IsSetAside() => OffsetF is { } offset && Math.Abs(offset) > LargestOffsetF;

    /// <summary>Cold spots that a print in the middle would lie on, turned where that leaves fewer: for such prints the
    /// press is set aside.</summary>
    /// <param name="widthIn">Width of the print, in.</param>
    /// <param name="heightIn">Height of the print, in.</param>
    public IReadOnlyList<int> ColdUnder(double widthIn, double heightIn)
    {
        var cold = Maps.LastOrDefault(m => !m.Doubtful) is { PointsF.Count: PlatenMap.Points } map
            ? map.ColdSpots(ColdBelowF)
            : [];
        if (cold.Count == 0)
        {
            return cold;
        }
        List<int> Under(double width, double height) =>
            [.. PlatenMap.Under(PlatenWidthIn, PlatenHeightIn, width, height).Intersect(cold)];
        return new[] { (Width: widthIn, Height: heightIn), (Width: heightIn, Height: widthIn) }
            .Select(p => (Fits: p.Width <= PlatenWidthIn && p.Height <= PlatenHeightIn, Cold: Under(p.Width, p.Height)))
            .OrderBy(p => !p.Fits)
            .ThenBy(p => p.Cold.Count)
            .First()
            .Cold;
    }

    /// <summary>What to set so that the cloth gets the recipe's temperature: recipe less offset; the recipe's own where
    /// it is not tested.</summary>
    public double SetPointF(double recipeF) => recipeF - (OffsetFor(recipeF) ?? 0);

    /// <summary>The platen's hottest point when it is set for a recipe, °F; the recipe's own where it was not
    /// measured.</summary>
    public double HottestF(double recipeF) => MapFor(recipeF)?.HottestF(SetPointF(recipeF)) ?? recipeF;

    /// <summary>What to set the dial to, or null while it was not noted for just this: another thickness, platen or
    /// pillow says nothing of it.</summary>
    /// <param name="pressure">The recipe's word.</param>
    /// <param name="thickness">How thick the garment lies.</param>
    /// <param name="lower">The lower platen, or null for the press's own.</param>
    /// <param name="pillow">What lies under the print, or null for nothing.</param>
    public double? DialFor(string pressure, Thickness thickness, LowerPlaten? lower, Accessory? pillow = null) =>
        Dials
            .FirstOrDefault(d =>
                d.Pressure == pressure
                && d.Thickness == thickness
                && d.Lower == (lower?.Name ?? "")
                && d.Pillow == (pillow?.Name ?? "")
            )
            ?.Dial;

    /// <summary>Minutes to get from one platen temperature to another; from cold when <paramref name="fromF"/> is
    /// null.</summary>
    public double HeatMinutes(double? fromF, double toF) =>
        fromF switch
        {
            null => WarmUpMinutes * Math.Max(0, toF - RoomF) / (300 - RoomF),
            { } from when toF >= from => (toF - from) / RiseFPerMinute,
            { } from => (from - toF) / DropFPerMinute,
        };

    /// <summary>What the owner must put right before the press can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. OwnProblems(),
            .. LowerProblems(),
            .. DialProblems(),
            .. AccessoryProblems(),
            .. Maps.SelectMany((m, i) => m.Problems().Select(p => p with { Where = $"maps[{i}].{p.Where}" })),
            .. Equipment.Problems(),
        ];

    private IEnumerable<Problem> OwnProblems()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new(
                "empty",
                "The press has no name.",
                Where: "name",
                "Give it a name you would call across the room."
            );
        }
        if (!Kinds.Contains(Kind))
        {
            yield return new(
                "unknown-word",
                $"\"{Kind}\" is not a kind of press.",
                Where: "kind",
                $"Use one of {string.Join(", ", Kinds)}."
            );
        }
        foreach (
            var (value, field, what) in new[]
            {
                (PlatenWidthIn, "platenWidthIn", "width"),
                (PlatenHeightIn, "platenHeightIn", "depth"),
            }
        )
        {
            if (value is < 2 or > 60)
            {
                yield return new(
                    "range",
                    $"A platen {what} of {value:0.##} in is outside 2 to 60.",
                    Where: field,
                    "Measure the heated platen."
                );
            }
        }
        if (WarmUpMinutes is < 0 or > 120 || RiseFPerMinute is <= 0 or > 200 || DropFPerMinute is <= 0 or > 200)
        {
            yield return new(
                "range",
                "Warm-up is 0 to 120 minutes, rising and cooling 0 to 200 °F a minute.",
                Where: "warmUpMinutes",
                "15 minutes, 20 and 5 are usual."
            );
        }
        if (ColdBelowF is not (>= 1 and <= 50))
        {
            yield return new(
                "range",
                $"A cold spot from {ColdBelowF:0.#} °F below the mean is outside 1 to 50.",
                Where: "coldBelowF",
                "10 is usual."
            );
        }
    }

    private IEnumerable<Problem> LowerProblems()
    {
        foreach (var (lower, i) in Lowers.Select((l, i) => (l, i)))
        {
            if (lower.Name.Trim().Length is 0 or > 30 || Lowers.Take(i).Any(l => l.Name == lower.Name))
            {
                yield return new(
                    "name",
                    $"A lower platen is called \"{lower.Name}\".",
                    Where: $"lowers[{i}].name",
                    "Give each a name of its own, up to 30 letters."
                );
            }
            if (lower.WidthIn is not (>= 1 and <= 60) || lower.HeightIn is not (>= 1 and <= 60))
            {
                yield return new(
                    "range",
                    $"A lower platen of {lower.WidthIn:0.##} × {lower.HeightIn:0.##} in is outside 1 to 60.",
                    Where: $"lowers[{i}]",
                    "Measure it."
                );
            }
        }
    }

    private IEnumerable<Problem> DialProblems()
    {
        foreach (var (d, i) in Dials.Select((d, i) => (d, i)))
        {
            if (!DialReading.Words.Contains(d.Pressure))
            {
                yield return new(
                    "unknown-word",
                    $"\"{d.Pressure}\" is not a pressure.",
                    Where: $"dials[{i}].pressure",
                    $"Use one of {string.Join(", ", DialReading.Words)}."
                );
            }
            if (d.Lower.Length > 0 && Lowers.All(l => l.Name != d.Lower))
            {
                yield return new(
                    "unknown-platen",
                    $"{Name} has no lower platen \"{d.Lower}\".",
                    Where: $"dials[{i}].lower",
                    "Add the lower platen first, or leave it out for the press's own."
                );
            }
            if (d.Pillow.Length > 0 && Accessories.All(a => !a.Lifts() || a.Name != d.Pillow))
            {
                yield return new(
                    "unknown-pillow",
                    $"{Name} has no pillow \"{d.Pillow}\".",
                    Where: $"dials[{i}].pillow",
                    "Add the pillow first, or leave it out for nothing under the print."
                );
            }
            if (d.Dial is not (>= 0 and <= 200))
            {
                yield return new(
                    "range",
                    $"A dial of {d.Dial:0.#} is outside 0 to 200.",
                    Where: $"dials[{i}].dial",
                    "Type what the dial or the readout says."
                );
            }
            if (Dials.Take(i).Any(o => o with { Dial = d.Dial } == d))
            {
                yield return new(
                    "twice",
                    $"{d.Pressure} on {d.Thickness.ToString().ToLowerInvariant()} stands twice.",
                    Where: $"dials[{i}]",
                    "Keep one of them."
                );
            }
        }
    }

    private IEnumerable<Problem> AccessoryProblems()
    {
        foreach (var (accessory, i) in Accessories.Select((a, i) => (a, i)))
        {
            foreach (var problem in accessory.Problems())
            {
                yield return problem with
                {
                    Where = $"accessories[{i}].{problem.Where}",
                };
            }
            if (Accessories.Take(i).Any(a => a.Name == accessory.Name))
            {
                yield return new(
                    "twice",
                    $"Two things of {Name} are called \"{accessory.Name}\".",
                    Where: $"accessories[{i}].name",
                    "Give each a name of its own."
                );
            }
        }
    }
}
