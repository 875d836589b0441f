using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Orders;

/// <summary>What is said of an order beside its lines and its day, each described once: what its form asks, which
/// papers say it and what finds the order follow from here.</summary>
/// <remarks>Every member begins empty, so that an order of before it was kept has none.</remarks>
public sealed record AskDetails
{
    /// <summary>Nothing is said.</summary>
    public static AskDetails None { get; } = new();

    /// <summary>The number the customer's own books know the order by.</summary>
    public string TheirNumber { get; init; } = "";

    /// <summary>Anything else, in the owner's words.</summary>
    public string Note { get; init; } = "";

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<AskDetails> Fields { get; } =
        new FieldList<AskDetails>()
            .Text(x => x.TheirNumber, "Their order number")
            .AtMost(60, "customer's order number")
            .OnPapers("Your order number")
            .Found()
            .Text(x => x.Note, "Anything else", lines: 3)
            .AtMost(2000, "note");

    /// <summary>As it is kept of what was typed: without blanks around it.</summary>
    public AskDetails Settled() => this with { TheirNumber = TheirNumber.Trim(), Note = Note.Trim() };

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        Fields.Problems(this, "order").Select(p => p with { Where = $"details.{p.Where}" });

    /// <summary>True while nothing is said.</summary>
    public bool IsEmpty() => Fields.All(f => Word(f).Length == 0);

    /// <summary>What stands beside the customer's name on what they get, each with what it is.</summary>
    public IEnumerable<string> OnTheirPapers() =>
        from f in Fields
        where f.OnPapers.Length > 0 && Word(f).Length > 0
        select $"{f.OnPapers} {Word(f)}";

    /// <summary>What the order is found by beside its number and its customer.</summary>
    public IEnumerable<string> FoundBy() => Fields.Where(f => f.Finds).Select(Word).Where(w => w.Length > 0);

    /// <summary>All of it for who makes it: what is typed in several lines speaks for itself, the rest with what it
    /// is.</summary>
    public IEnumerable<string> ForTheShop() =>
        from f in Fields
        where Word(f).Length > 0
        select f.Lines > 1 ? Word(f) : $"{f.Name}: {Word(f)}";

    private string Word(Field<AskDetails> field) => field.Value(this) as string ?? "";
}
