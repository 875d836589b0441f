using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Curing;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using Hepno.Core.Things;

namespace Hepno.Store;

/// <summary>Everything a person edits as one.</summary>
public static class Aggregates
{
    public static Aggregate<ShopNumbers> Numbers { get; } = SettingsStore.Aggregate();

    public static Aggregate<Customer> Customers { get; } = CustomerStore.Aggregate();

    public static Aggregate<Style> Styles { get; } = StyleStore.Aggregate();

    public static Aggregate<Place> Places { get; } = PlaceStore.Aggregate();

    public static Aggregate<CureBatch> Cures { get; } = CureStore.Aggregate();

    public static Aggregate<Order> Orders { get; } = OrderStore.Aggregate();

    public static Aggregate<Design> Designs { get; } = DesignStore.Aggregate();

    public static Aggregate<AskTemplate> Templates { get; } = TemplateStore.Aggregate();

    // columns of their own have what orders refer to, what is looked for by its words, and what grows by rows
    private static readonly Dictionary<string, IAggregate> Own = new IAggregate[]
    {
        Numbers,
        Customers,
        Styles,
        Places,
        Cures,
        Orders,
        Designs,
        Templates,
    }.ToDictionary(a => a.Kind);

    private static readonly Dictionary<string, IAggregate> ByKind = ThingKinds
        .All.Where(k => !Own.ContainsKey(k.Name))
        .Select(k => k.Accept(new OfKind()))
        .Concat(Own.Values)
        .ToDictionary(a => a.Kind);

    /// <summary>All of them.</summary>
    public static IReadOnlyCollection<IAggregate> All => ByKind.Values;

    /// <summary>The things of one kind the shop keeps.</summary>
    public static Aggregate<T> Of<T>()
        where T : class, IKept<T> => Of(T.Described);

    /// <inheritdoc cref="Of{T}()"/>
    public static Aggregate<T> Of<T>(ThingKind<T> kind)
        where T : class => (Aggregate<T>)ByKind[kind.Name];

    /// <summary>Those of a word of history.</summary>
    internal static IAggregate Find(string kind) =>
        ByKind.GetValueOrDefault(kind)
        ?? throw new ArgumentOutOfRangeException(nameof(kind), kind, "No such kind of thing.");

    private sealed class OfKind : IForEachKind<IAggregate>
    {
        public IAggregate Of<T>(ThingKind<T> kind)
            where T : class => ThingStore.Aggregate(kind);
    }
}
