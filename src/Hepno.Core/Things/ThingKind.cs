using Hepno.Core.Measures;

namespace Hepno.Core.Things;

/// <summary>Which screen a kind of thing is shown on.</summary>
public enum ThingArea
{
    /// <summary>Beside something else; it has no board of its own.</summary>
    Beside,

    /// <summary>The Shelf: what is bought, and who sells or makes it.</summary>
    Shelf,

    /// <summary>The Floor: what work is done with.</summary>
    Floor,
}

/// <summary>What a board of things says.</summary>
/// <param name="One">One of them within a sentence.</param>
/// <param name="Many">Its heading.</param>
/// <param name="Add">What adds one.</param>
/// <param name="None">What stands there while there is none.</param>
public sealed record BoardWords(string One, string Many, string Add, string None);

/// <summary>A kind of thing the shop keeps, described once, beside its record: how it is kept, called, sorted, looked
/// at and shown follows from here.</summary>
/// <param name="name">Its word where changes and history name it: "film-printer".</param>
/// <param name="noun">Its plural where calls name it: "film-printers".</param>
public abstract class ThingKind(string name, string noun)
{
    /// <summary>Its word where changes and history name it, in lower case with hyphens. Never changed: history holds
    /// it.</summary>
    public string Name { get; } = name;

    /// <summary>Its plural where calls name it, in lower case with hyphens.</summary>
    public string Noun { get; } = noun;

    /// <summary>Its part of an archive, without the ending. Never changed: archives hold it.</summary>
    public string ArchivedAs { get; init; } = Camel(noun);

    /// <summary>True where whoever stands at the press may read it.</summary>
    public bool IsReadAtPress { get; init; }

    /// <summary>Which screen it is shown on.</summary>
    public ThingArea Area { get; init; }

    /// <summary>What its board says; null where it has none.</summary>
    public BoardWords? Words { get; init; }

    /// <summary>Its fields in the order of its form, as screens and calls need to know them; none where the screen has
    /// a form of its own.</summary>
    public abstract IReadOnlyList<Field> Form { get; }

    /// <summary>True where prices of it are watched.</summary>
    public abstract bool HasPrices { get; }

    /// <summary>Does something that needs the kind's record as a type.</summary>
    public abstract TResult Accept<TResult>(IForEachKind<TResult> with);

    private static string Camel(string noun) =>
        string.Concat(noun.Split('-').Select((w, i) => i == 0 ? w : $"{char.ToUpperInvariant(w[0])}{w[1..]}"));
}

/// <summary>What is done with a kind, whichever it is.</summary>
/// <typeparam name="TResult">What it comes to.</typeparam>
public interface IForEachKind<out TResult>
{
    /// <summary>Done with one kind.</summary>
    TResult Of<T>(ThingKind<T> kind)
        where T : class;
}

/// <inheritdoc cref="ThingKind"/>
/// <typeparam name="T">Its record.</typeparam>
/// <param name="name">Its word where changes and history name it: "film-printer".</param>
/// <param name="noun">Its plural where calls name it: "film-printers".</param>
/// <param name="idOf">The id of one.</param>
/// <param name="withId">The same under another id.</param>
public sealed class ThingKind<T>(string name, string noun, Func<T, string> idOf, Func<T, string, T> withId)
    : ThingKind(name, noun)
    where T : class
{
    /// <summary>The id of one.</summary>
    public Func<T, string> IdOf { get; } = idOf;

    /// <summary>The same under another id.</summary>
    public Func<T, string, T> WithId { get; } = withId;

    /// <summary>Its fields, in the order of its form.</summary>
    public FieldList<T> Fields { get; init; } = [];

    /// <inheritdoc/>
    public override IReadOnlyList<Field> Form => Fields;

    /// <summary>What no field says by itself: what two of them say together.</summary>
    public Func<T, IEnumerable<Problem>> Rules { get; init; } = _ => [];

    /// <summary>What can be but hardly is, asked about once and kept when the owner says that it is so.</summary>
    public Func<T, IEnumerable<Problem>> OddValues { get; init; } = _ => [];

    /// <summary>As it is kept, of what was typed: lists in their order, words in one spelling.</summary>
    public Func<T, T> Settled { get; init; } = x => x;

    /// <summary>Prices that are watched and stand in rows or parts, by what they are of.</summary>
    public Func<T, IEnumerable<(string What, decimal Price)>>? FurtherPrices { get; init; }

    /// <inheritdoc/>
    public override bool HasPrices => FurtherPrices is not null || Fields.Any(f => f.PriceOf is not null);

    /// <summary>The same with what it costs at other levels, for what is tried and not kept.</summary>
    public Func<T, PriceLevels, T> AtPrices { get; init; } = (x, _) => x;

    /// <summary>Hashes of the kept files it names.</summary>
    public Func<T, IEnumerable<string>> Files { get; init; } = _ => [];

    /// <summary>In which order they are listed; of equals the one with the lower id is first.</summary>
    public required Comparison<T> Order { get; init; }

    /// <summary>What the owner must put right before one can be kept.</summary>
    public IEnumerable<Problem> Problems(T thing) => Fields.Problems(thing, Words?.One ?? Name).Concat(Rules(thing));

    /// <summary>Every price of it that is watched, by what it is of, as it stands.</summary>
    public IEnumerable<(string What, decimal Price)> Prices(T thing) =>
        Fields
            .Where(f => f.PriceOf is not null)
            .Select(f => (What: f.PriceOf!, Price: (decimal?)f.Value(thing)))
            .Where(p => p.Price is not null)
            .Select(p => (p.What, p.Price!.Value))
            .Concat(FurtherPrices?.Invoke(thing) ?? []);

    /// <inheritdoc/>
    public override TResult Accept<TResult>(IForEachKind<TResult> with) => with.Of(this);
}
