using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Shop;

/// <summary>Everything the shop keeps that prices and verdicts use.</summary>
/// <param name="Numbers">Rates and rules.</param>
public sealed record ShopBook(ShopNumbers Numbers)
{
    /// <summary>Its Shelf and Floor: what a way needs it asks for by kind.</summary>
    public ThingsKept Things { get; init; } = ThingsKept.None;

    /// <summary>Presses that are pressed with.</summary>
    public IReadOnlyList<Press> Presses => [.. Of<Press>().Where(p => !p.OnlyCures())];

    /// <summary>Ovens and conveyors, which only cure.</summary>
    public IReadOnlyList<Press> Ovens => [.. Of<Press>().Where(p => p.OnlyCures())];

    /// <summary>Rates of the carrier; null for none.</summary>
    public CarrierRates? Carrier { get; init; }

    /// <summary>Last day a quote made now may still be bought for; null leaves code prices out.</summary>
    public LocalDate? BuyBy { get; init; }

    /// <summary>What jobs on the press floor took before; null to find it anew.</summary>
    public FloorMemo? Memo { get; init; }

    /// <summary>What orders handed over have earned.</summary>
    public EarnedByHands Earned { get; init; } = EarnedByHands.Nothing;

    /// <summary>Where it prints.</summary>
    public PlaceBook Places { get; init; } = PlaceBook.Usual;

    /// <summary>Layouts laid before.</summary>
    public LayoutMemo Layouts { get; init; } = new();

    /// <summary>How many times as many attempts spoil as the shop assumes or has learned; 1 but where another level is
    /// tried.</summary>
    public double SpoilageFactor { get; init; } = 1;

    /// <summary>Those of a kind; none where the shop keeps none.</summary>
    public IReadOnlyList<T> Of<T>()
        where T : class, IKept<T> => Things.Of<T>();

    /// <summary>The same with these of a kind in the place of all it had of it.</summary>
    public ShopBook With<T>(IReadOnlyList<T> things)
        where T : class, IKept<T> => this with { Things = Things.With(things) };

    /// <summary>How a line's prints are laid where no layout is settled: about, where many quantities are
    /// compared.</summary>
    internal Func<GangGround, IReadOnlyList<GangDesign>, GangFound> LayingFor(AskInHand ask) =>
        ask.Sketch is { } sketch ? sketch.Lay : Layouts.Lay;

    /// <summary>The recipe of a product on a line's cloth as this shop presses it, or null when it has none.</summary>
    public Recipe? RecipeFor(ThingId productId, AskInHand ask) =>
        RecipeChoice.For(productId, ask.Style, ask.Colourway, Of<Recipe>(), Of<SpotTest>()) is { } recipe
            ? Numbers.Floor.Habits.Of(recipe)
            : null;

    /// <summary>The recipe nearest to a heat that a cloth takes: the hottest at or under it, or null; what to try
    /// instead of one that is too hot.</summary>
    public Recipe? SafeFor(Style style, double mostF) =>
        Of<Recipe>()
            .Where(r => r.Fabric == RecipeChoice.FabricOf(style) && r.TemperatureF <= mostF)
            .MaxBy(r => r.TemperatureF);

    /// <summary>What a recipe's product is called.</summary>
    public string ProductName(ThingId productId) =>
        Things.All<IRecipeProduct>().FirstOrDefault(x => x.Id == productId)?.ProductName ?? "a product no longer kept";

    /// <summary>Every machine.</summary>
    public IReadOnlyList<IMachine> Machines() => [.. Things.All<IMachine>()];

    /// <summary>What tending a machine costs for an hour of it; null while nothing is listed for it.</summary>
    public Figure? TendingOf(ThingId machineId, EquipmentHour equipment) =>
        Of<MachineUpkeep>().FirstOrDefault(u => u.Id == machineId) is { Tasks.Count: > 0 } u
            ? u.PerHour(Numbers.Rates.Wage, Numbers.Week.OpenDays(), equipment.ProductiveHoursAYear)
            : null;

    /// <summary>A press, oven or conveyor; null for none of that name.</summary>
    public Press? Heater(PressId id) => Presses.Concat(Ovens).FirstOrDefault(p => p.Id == id);

    /// <summary>Places of work without heat: the table, and those that come with a machine.</summary>
    public IReadOnlyList<Press> Benches() =>
        [Workbench.Table, .. Machines().Select(m => m.Workbench).OfType<Press>().DistinctBy(b => b.Id)];

    /// <summary>A press or a place of work without heat; null for none of that name.</summary>
    public Press? Workplace(PressId id) => Presses.Concat(Benches()).FirstOrDefault(p => p.Id == id);

    /// <summary>Presses that take a kind of garment, those set aside too.</summary>
    public IReadOnlyList<Press> PressesFor(GarmentKind kind) => [.. Presses.Where(p => p.Takes(kind))];
}
