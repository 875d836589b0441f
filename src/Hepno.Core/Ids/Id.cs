using System.Diagnostics.CodeAnalysis;

namespace Hepno.Core.Ids;

/// <summary>The id of one thing.</summary>
/// <remarks>
/// An order cannot be looked up by the id of a line. A text written out becomes an id where one is wanted,
/// any other by <c>new</c> (<c>HEP002</c>); an id becomes a text again only by being asked for it. The kinds have names
/// of their own, <c>OrderId</c> to <c>TemplateId</c>, in Directory.Build.props.
/// </remarks>
/// <typeparam name="T">What it names.</typeparam>
public readonly record struct Id<T> : IId<Id<T>>, IComparable<Id<T>>
{
    // none for empty: the default names nothing too, and equals it
    private readonly string? text;

    /// <summary>The id that is written so.</summary>
    /// <param name="text">As it is written; empty for none.</param>
    public Id(string text) => this.text = text.Length == 0 ? null : text;

    /// <inheritdoc/>
    public string Text => text ?? "";

    /// <summary>True where it names nothing.</summary>
    public bool IsNone => text is null;

    static Id<T> IId<Id<T>>.From(string text) => new(text);

    /// <summary>The id that is written so where it stands.</summary>
    public static implicit operator Id<T>(string text) => new(text);

    /// <summary>Ids in the order of their texts, sign by sign.</summary>
    public int CompareTo(Id<T> other) => string.CompareOrdinal(text, other.text);

    /// <inheritdoc cref="Text"/>
    public override string ToString() => Text;

    /// <summary>Stands before.</summary>
    public static bool operator <(Id<T> one, Id<T> other) => one.CompareTo(other) < 0;

    /// <summary>Stands behind.</summary>
    public static bool operator >(Id<T> one, Id<T> other) => other < one;

    /// <summary>Does not stand behind.</summary>
    public static bool operator <=(Id<T> one, Id<T> other) => !(other < one);

    /// <summary>Does not stand before.</summary>
    public static bool operator >=(Id<T> one, Id<T> other) => !(one < other);

    /// <summary>Reads a part of an address: any text is an id.</summary>
    [SuppressMessage("Design", "CA1000", Justification = "The server looks for it on the type.")]
    public static bool TryParse(string? text, out Id<T> id)
    {
        id = new(text ?? "");
        return true;
    }
}
