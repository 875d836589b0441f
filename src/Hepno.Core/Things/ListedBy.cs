namespace Hepno.Core.Things;

/// <summary>Orders things are listed in.</summary>
public static class ListedBy
{
    /// <summary>By a text, sign by sign.</summary>
    public static Comparison<T> Text<T>(Func<T, string> text) => (a, b) => string.CompareOrdinal(text(a), text(b));

    /// <summary>By one order, and of equals by another.</summary>
    public static Comparison<T> Then<T>(this Comparison<T> first, Comparison<T> then) =>
        (a, b) => first(a, b) is var byFirst and not 0 ? byFirst : then(a, b);
}
