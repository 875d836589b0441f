using Hepno.Core.Measures;

namespace Hepno.Core.Things;

/// <summary>How a field is written and read.</summary>
public enum FieldShape
{
    /// <summary>Words.</summary>
    Text,

    /// <summary>A number in a unit.</summary>
    Number,

    /// <summary>Yes or no, each in words of its own.</summary>
    Flag,

    /// <summary>One of some.</summary>
    Choice,

    /// <summary>Rows of cells, typed a line each.</summary>
    Rows,

    /// <summary>Whole numbers one behind the other: "12, 24, 36".</summary>
    Counts,

    /// <summary>A time of the day.</summary>
    Time,

    /// <summary>Hours of a weekday, from and to, or a word for none.</summary>
    Hours,

    /// <summary>Days one behind the other.</summary>
    Days,

    /// <summary>A day.</summary>
    Day,

    /// <summary>One of the shop's machines, by its id.</summary>
    Machine,
}

/// <summary>One of some that a field may be.</summary>
/// <param name="Value">As it is kept.</param>
/// <param name="Label">As it is read.</param>
public sealed record FieldOption(string Value, string Label);

/// <summary>A field of a thing, as screens and calls need to know it.</summary>
/// <param name="Key">Its name in JSON, its parts joined by points: "equipment.priceNew".</param>
/// <param name="Name">What it is called, without its unit.</param>
/// <param name="Shape">How it is written.</param>
public record Field(string Key, string Name, FieldShape Shape)
{
    /// <summary>The unit of a number.</summary>
    public Unit Unit { get; init; } = Unit.None;

    /// <summary>The least a number may be; null where nothing is said.</summary>
    public double? Least { get; init; }

    /// <summary>The most a number may be; null where nothing is said.</summary>
    public double? Most { get; init; }

    /// <summary>What to do where it is wrong, or what is usual.</summary>
    public string Help { get; init; } = "";

    /// <summary>True where it may be left empty.</summary>
    public bool MayBeEmpty { get; init; }

    /// <summary>Lines of its box; 1 for a single line.</summary>
    public int Lines { get; init; } = 1;

    /// <summary>The most characters words may have; null where nothing is said.</summary>
    public int? Longest { get; init; }

    /// <summary>What goes before it on the customer's papers: "Your order number"; empty where they do not say
    /// it.</summary>
    public string OnPapers { get; init; } = "";

    /// <summary>True where what it is a field of is found by it.</summary>
    public bool Finds { get; init; }

    /// <summary>What it may be.</summary>
    public IReadOnlyList<FieldOption> Options { get; init; } = [];

    /// <summary>How its rows are typed; null where it has none.</summary>
    public RowForm? Rows { get; init; }

    /// <summary>The key of a list it follows from where that has rows, and is typed only while it has none; empty where
    /// it is always typed.</summary>
    public string TypedWithout { get; init; } = "";

    /// <summary>What a new thing begins with: assumed, the shop's own figure is better.</summary>
    public object? Start { get; init; }

    /// <summary>What stands beside it on a form: its name, and its unit.</summary>
    public string Label => Unit.Word.Length == 0 ? Name : $"{Name}, {Unit.Word}";
}

/// <inheritdoc cref="Field"/>
/// <typeparam name="T">The record it is a field of.</typeparam>
public sealed record Field<T>(string Key, string Name, FieldShape Shape) : Field(Key, Name, Shape)
    where T : class
{
    /// <summary>Its value in one.</summary>
    public required Func<T, object?> Value { get; init; }

    /// <summary>What its price is called where prices are watched; null where it is no price.</summary>
    public string? PriceOf { get; init; }

    /// <summary>What it is called within a sentence: what a thing lacks where it is empty, or what is too long.</summary>
    public string Word { get; init; } = "";

    /// <summary>The same as a field of what has the record within it.</summary>
    /// <typeparam name="TWhole">What has it.</typeparam>
    /// <param name="part">The record within.</param>
    /// <param name="key">Its name there.</param>
    /// <param name="start">What a new one begins with.</param>
    public Field<TWhole> In<TWhole>(Func<TWhole, T> part, string key, T start)
        where TWhole : class =>
        new($"{key}.{Key}", Name, Shape)
        {
            Value = x => Value(part(x)),
            Unit = Unit,
            Least = Least,
            Most = Most,
            Help = Help,
            MayBeEmpty = MayBeEmpty,
            Lines = Lines,
            Longest = Longest,
            Options = Options,
            Rows = Rows,
            Word = Word,
            PriceOf = PriceOf,
            TypedWithout = TypedWithout,
            Start = Value(start),
        };

    /// <summary>What is wrong with it in one.</summary>
    /// <param name="thing">The thing.</param>
    /// <param name="one">What one of its kind is called.</param>
    public IEnumerable<Problem> Problems(T thing, string one)
    {
        var value = Value(thing);
        if (Shape == FieldShape.Text && !MayBeEmpty && string.IsNullOrWhiteSpace((string?)value))
        {
            yield return new("empty", $"The {one} has no {Word}.", Where: Key, Help);
        }
        if (value is string { Length: var length } && length > Longest)
        {
            yield return new("too-long", $"The {Word} has {length} characters.", Where: Key, $"At most {Longest}.");
        }
        if (value is not null && (Least is not null || Most is not null) && !IsWithin(Convert.ToDouble(value, null)))
        {
            yield return new("range", Outside(Convert.ToDouble(value, null)), Where: Key, Help);
        }
    }

    private bool IsWithin(double value) =>
        value >= (Least ?? double.NegativeInfinity) && value <= (Most ?? double.PositiveInfinity);

    private string Outside(double value) =>
        $"{Label}: {value * Unit.ShownTimes:0.####} is outside {Least * Unit.ShownTimes:0.####} to "
        + $"{Most * Unit.ShownTimes:#,0.##}.";
}
