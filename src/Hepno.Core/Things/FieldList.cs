using System.Collections;
using System.Runtime.CompilerServices;
using System.Text.Json;
using Hepno.Core.Measures;

namespace Hepno.Core.Things;

/// <summary>The fields of a record, in the order of its form.</summary>
/// <remarks>A field's key is what its value is read by: <c>x => x.Equipment.PriceNew</c> is "equipment.priceNew", so
/// that the two cannot differ.</remarks>
/// <typeparam name="T">The record.</typeparam>
public sealed class FieldList<T> : IReadOnlyList<Field<T>>
    where T : class
{
    private readonly List<Field<T>> fields = [];

    /// <inheritdoc/>
    public int Count => fields.Count;

    /// <inheritdoc/>
    public Field<T> this[int index] => fields[index];

    /// <summary>Words that must be there.</summary>
    /// <param name="value">The words.</param>
    /// <param name="name">What they are called.</param>
    /// <param name="help">What to do where there are none.</param>
    /// <param name="word">What a thing without them lacks.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Named(
        Func<T, string> value,
        string name,
        string help,
        string word = "name",
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Text)
            {
                Value = value,
                Start = "",
                Help = help,
                Word = word,
            }
        );

    /// <summary>Words that may be empty.</summary>
    public FieldList<T> Text(
        Func<T, string> value,
        string name,
        string start = "",
        int lines = 1,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Text)
            {
                Value = value,
                Start = start,
                Lines = lines,
                MayBeEmpty = true,
            }
        );

    /// <summary>The last field's words are at most so long.</summary>
    /// <param name="characters">How long.</param>
    /// <param name="word">What it is called in the sentence that refuses.</param>
    public FieldList<T> AtMost(int characters, string word) => Last(f => f with { Longest = characters, Word = word });

    /// <summary>The last field stands on the customer's papers.</summary>
    /// <param name="said">What goes before it there.</param>
    public FieldList<T> OnPapers(string said) => Last(f => f with { OnPapers = said });

    /// <summary>By the last field the thing is found.</summary>
    public FieldList<T> Found() => Last(f => f with { Finds = true });

    /// <summary>A number.</summary>
    /// <param name="value">The number.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="unit">What it is in.</param>
    /// <param name="start">What a new one begins with.</param>
    /// <param name="within">The least and the most it may be.</param>
    /// <param name="help">What to do where it is wrong.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Number(
        Func<T, double> value,
        string name,
        Unit unit,
        double start,
        (double Least, double Most)? within = null,
        string help = "",
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Number)
            {
                Value = x => value(x),
                Unit = unit,
                Start = start,
                Least = within?.Least,
                Most = within?.Most,
                Help = help,
            }
        );

    /// <summary>Money.</summary>
    /// <param name="value">How much.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="unit">For what.</param>
    /// <param name="within">The least and the most it may be.</param>
    /// <param name="help">What to do where it is wrong.</param>
    /// <param name="priceOf">What it is the price of, where that is watched; null where it is not.</param>
    /// <param name="mayBeEmpty">True where it may be left empty: a new one is.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Money(
        Func<T, decimal?> value,
        string name,
        Unit unit,
        (double Least, double Most)? within = null,
        string help = "",
        string? priceOf = null,
        bool mayBeEmpty = false,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Number)
            {
                Value = x => value(x),
                Unit = unit,
                Start = mayBeEmpty ? null : 0m,
                Least = within?.Least,
                Most = within?.Most,
                Help = help,
                PriceOf = priceOf,
                MayBeEmpty = mayBeEmpty,
            }
        );

    /// <summary>An amount of money of the shop's numbers, up to 100,000.</summary>
    public FieldList<T> Amount(
        Func<T, decimal> value,
        string name,
        Unit unit,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) => Money(x => value(x), name, unit, (0, 100_000), "Type 0 or more.", said: said);

    /// <summary>A share, typed in percent.</summary>
    /// <param name="value">The share.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="within">The least and the most it may be, of 1.</param>
    /// <param name="help">What to do where it is wrong.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Share(
        Func<T, Share> value,
        string name,
        (double Least, double Most) within,
        string help = "Type a share between 0 and 100%.",
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Number)
            {
                Value = x => value(x).Part,
                Unit = Unit.Share,
                Start = 0m,
                Least = within.Least,
                Most = within.Most,
                Help = help,
            }
        );

    /// <summary>A value of another shape, with nothing more to say of it.</summary>
    /// <param name="value">The value: of <see cref="FieldShape.Counts"/> whole numbers, of
    /// <see cref="FieldShape.Time"/> a time or nothing, of <see cref="FieldShape.Days"/> days, of
    /// <see cref="FieldShape.Day"/> one.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="shape">How it is written.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Shaped(
        Func<T, object?> value,
        string name,
        FieldShape shape,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) => Add(new(Key(said), name, shape) { Value = value });

    /// <summary>One of the shop's machines.</summary>
    /// <param name="value">Its id.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="help">What to do where none is named.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Machine(
        Func<T, ThingId> value,
        string name,
        string help,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Machine)
            {
                Value = x => value(x).Text,
                Start = "",
                Help = help,
            }
        );

    /// <summary>Hours of every weekday, Monday first, as a week begins at work.</summary>
    /// <param name="week">Seven of them, Sunday first.</param>
    /// <param name="none">What a day without hours is called: "closed".</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Week(
        Func<T, IReadOnlyList<object>> week,
        string none,
        [CallerArgumentExpression(nameof(week))] string said = ""
    )
    {
        foreach (var day in Enumerable.Range(1, 7).Select(d => d % 7))
        {
            Add(
                new($"{Key(said)}.{day}", Name: $"{(DayOfWeek)day}", FieldShape.Hours)
                {
                    Value = x => week(x)[day],
                    Options = [new("", Label: none)],
                }
            );
        }
        return this;
    }

    /// <summary>The last field follows from a list, and is typed only while that has no rows.</summary>
    /// <param name="list">The list's key in the whole.</param>
    public FieldList<T> TypedWithout(string list) => Last(f => f with { TypedWithout = list });

    /// <summary>Yes or no, each in its words.</summary>
    public FieldList<T> Flag(
        Func<T, bool> value,
        string name,
        bool start,
        string yes,
        string no,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Flag)
            {
                Value = x => value(x),
                Start = start,
                Options = [new("false", Label: no), new("true", Label: yes)],
            }
        );

    /// <summary>One of an enumeration.</summary>
    public FieldList<T> Choice<TWord>(
        Func<T, TWord> value,
        string name,
        TWord start,
        IReadOnlyList<(TWord Word, string Label)> options,
        [CallerArgumentExpression(nameof(value))] string said = ""
    )
        where TWord : struct, Enum =>
        Add(
            new(Key(said), name, FieldShape.Choice)
            {
                Value = x => Words.Of(value(x)),
                Start = Words.Of(start),
                Options = [.. options.Select(o => new FieldOption(Words.Of(o.Word), Label: o.Label))],
            }
        );

    /// <summary>One of some words.</summary>
    public FieldList<T> Choice(
        Func<T, string> value,
        string name,
        IReadOnlyList<FieldOption> options,
        string start,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Choice)
            {
                Value = value,
                Start = start,
                Options = options,
            }
        );

    /// <summary>Rows, none to begin with where nothing is said.</summary>
    public FieldList<T> Rows(
        Func<T, object?> value,
        string name,
        RowForm form,
        int lines,
        object? start = null,
        [CallerArgumentExpression(nameof(value))] string said = ""
    ) =>
        Add(
            new(Key(said), name, FieldShape.Rows)
            {
                Value = value,
                Rows = form,
                Lines = lines,
                Start = start ?? Array.Empty<object>(),
            }
        );

    /// <summary>The fields of a record within, under its name.</summary>
    /// <param name="value">The record within.</param>
    /// <param name="of">Its fields.</param>
    /// <param name="start">What a new one begins with.</param>
    /// <param name="said">Left to the compiler.</param>
    public FieldList<T> Part<TPart>(
        Func<T, TPart> value,
        FieldList<TPart> of,
        TPart start,
        [CallerArgumentExpression(nameof(value))] string said = ""
    )
        where TPart : class
    {
        foreach (var f in of)
        {
            Add(f.In(value, Key(said), start));
        }
        return this;
    }

    /// <summary>What is wrong with each of them in a record.</summary>
    /// <param name="record">The record.</param>
    /// <param name="one">What one of its kind is called.</param>
    public IEnumerable<Problem> Problems(T record, string one) => fields.SelectMany(f => f.Problems(record, one));

    /// <inheritdoc/>
    public IEnumerator<Field<T>> GetEnumerator() => fields.GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    private FieldList<T> Add(Field<T> field)
    {
        fields.Add(field);
        return this;
    }

    private FieldList<T> Last(Func<Field<T>, Field<T>> change)
    {
        fields[^1] = change(fields[^1]);
        return this;
    }

    private static string Key(string said) =>
        string.Join('.', said[(said.IndexOf('.') + 1)..].Split('.').Select(JsonNamingPolicy.CamelCase.ConvertName));
}
