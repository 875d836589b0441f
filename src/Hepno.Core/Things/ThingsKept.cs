using System.Collections.Immutable;

namespace Hepno.Core.Things;

/// <summary>What the shop keeps, by kind: whoever needs a kind asks for it, and nothing lists them all.</summary>
public sealed class ThingsKept
{
    private readonly ImmutableSortedDictionary<string, Kept> byKind;

    private ThingsKept(ImmutableSortedDictionary<string, Kept> byKind) => this.byKind = byKind;

    /// <summary>A shop that keeps nothing.</summary>
    public static ThingsKept None { get; } =
        new(ImmutableSortedDictionary.Create<string, Kept>(StringComparer.Ordinal));

    /// <summary>Those of a kind, in its order; none where it keeps none.</summary>
    public IReadOnlyList<T> Of<T>()
        where T : class, IKept<T> => byKind.GetValueOrDefault(T.Described.Name) is KeptOf<T> kept ? kept.Things : [];

    /// <summary>Those of every kind that play a part, in the order of the kinds' names: machines, what recipes are
    /// for.</summary>
    public IEnumerable<TPart> All<TPart>() => byKind.Values.SelectMany(k => k.All).OfType<TPart>();

    /// <summary>The same with these of a kind in the place of all it had of it.</summary>
    public ThingsKept With<T>(IReadOnlyList<T> things)
        where T : class, IKept<T> => With(T.Described, things);

    /// <inheritdoc cref="With{T}(IReadOnlyList{T})"/>
    public ThingsKept With<T>(ThingKind<T> kind, IReadOnlyList<T> things)
        where T : class => new(byKind.SetItem(kind.Name, new KeptOf<T>(kind, things)));

    /// <summary>The same with everything at other prices.</summary>
    public ThingsKept At(PriceLevels levels) =>
        new(byKind.ToImmutableSortedDictionary(k => k.Key, k => k.Value.At(levels), StringComparer.Ordinal));

    private abstract record Kept
    {
        public abstract IEnumerable<object> All { get; }

        public abstract Kept At(PriceLevels levels);
    }

    private sealed record KeptOf<T>(ThingKind<T> Kind, IReadOnlyList<T> Things) : Kept
        where T : class
    {
        public override IEnumerable<object> All => Things;

        public override Kept At(PriceLevels levels) =>
            this with
            {
                Things = [.. Things.Select(x => Kind.AtPrices(x, levels))],
            };
    }
}
