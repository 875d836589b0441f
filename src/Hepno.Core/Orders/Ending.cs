using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Orders;

/// <summary>How an order left the work line without being handed over.</summary>
public enum EndKind
{
    /// <summary>Nothing was asked: an empty ask, thrown away.</summary>
    ThrownAway,

    /// <summary>The shop said no.</summary>
    Declined,

    /// <summary>The customer did not take it, or went elsewhere.</summary>
    Lost,

    /// <summary>Called off after the customer's yes.</summary>
    Cancelled,
}

/// <summary>The end of an order that is not handed over. It can be taken back; the order then stands where it
/// stood.</summary>
/// <param name="Kind">How.</param>
/// <param name="Why">Why, in the owner's words.</param>
/// <param name="ToWhom">For a lost one: to whom; may be empty.</param>
/// <param name="TheirPrice">For a lost one: what it cost there, for the whole order, where that is known.</param>
/// <param name="Settled">For a cancelled one: what was agreed between the shop and the customer beyond what is paid;
/// above 0 the customer pays it, under 0 the shop gives it back.</param>
/// <param name="At">When (UTC).</param>
public sealed record Ending(EndKind Kind, string Why, string ToWhom, decimal? TheirPrice, decimal Settled, Instant At)
{
    private const int LongestWhy = 300;
    private const int LongestName = 200;
    private const decimal Most = 1_000_000;

    /// <summary>How, in words.</summary>
    public string Word =>
        Kind switch
        {
            EndKind.ThrownAway => "thrown away",
            EndKind.Declined => "declined",
            EndKind.Lost => "lost",
            _ => "cancelled",
        };

    /// <summary>What cannot be kept of it.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Kind != EndKind.ThrownAway && Why.Length == 0)
        {
            yield return new(
                "empty",
                "No reason is said.",
                Where: "why",
                "Say in a few words why: it is what you learn from."
            );
        }
        if (Why.Length > LongestWhy)
        {
            yield return new(
                "too-long",
                $"A reason of {Why.Length} characters.",
                Where: "why",
                $"At most {LongestWhy}."
            );
        }
        if (ToWhom.Length > LongestName)
        {
            yield return new(
                "too-long",
                $"To whom: {ToWhom.Length} characters.",
                Where: "toWhom",
                $"At most {LongestName}."
            );
        }
        if (TheirPrice is < 0 or > Most)
        {
            yield return new(
                "range",
                $"Their price of {TheirPrice} is outside 0 to {Most:#,0}.",
                Where: "theirPrice",
                "Type what the whole order cost there, or leave it empty."
            );
        }
        if (Math.Abs(Settled) > Most)
        {
            yield return new(
                "range",
                $"{Settled} to settle is outside {-Most:#,0} to {Most:#,0}.",
                Where: "settled",
                "Type what the customer still pays, or with a minus what you give back."
            );
        }
        if (Kind != EndKind.Lost && (ToWhom.Length > 0 || TheirPrice is not null))
        {
            yield return new(
                "not-lost",
                "To whom and at which price is said of a lost order alone.",
                Where: ToWhom.Length > 0 ? "toWhom" : "theirPrice",
                "Leave it empty, or say that the order is lost."
            );
        }
        if (Kind != EndKind.Cancelled && Settled != 0)
        {
            yield return new(
                "not-cancelled",
                $"{Settled} to settle is said of a cancelled order alone.",
                Where: "settled",
                "Leave it at 0, or say that the order is cancelled."
            );
        }
    }

    /// <summary>Why an order cannot end so; null when it can.</summary>
    /// <param name="kind">How it would end.</param>
    /// <param name="order">The order.</param>
    public static Problem? Hindrance(EndKind kind, Order order)
    {
        var facts = order.Facts;
        Problem No(string sentence, string remedy) => new("cannot-end", sentence, "kind", remedy);
        if (facts.End.ClosedAt is not null)
        {
            return No($"{order.Code} is off the line already.", "Bring it back first.");
        }
        if (facts.Sending.HandOver is not null)
        {
            return No($"{order.Code} is handed over.", "Take the hand-over back first, or close it.");
        }
        return kind switch
        {
            EndKind.ThrownAway when !IsEmpty(order) => No(
                $"{order.Code} is not empty.",
                "Say that it is declined or lost: what was asked is then still found."
            ),
            EndKind.Declined or EndKind.Lost when facts.Gathering.Approval is not null => No(
                $"They have said yes to {order.Code}.",
                "Cancel it: what was bought and paid is then told."
            ),
            EndKind.Declined or EndKind.Lost when IsEmpty(order) => No(
                $"Nothing is asked in {order.Code}.",
                "Throw it away."
            ),
            EndKind.Cancelled when facts.Gathering.Approval is null => No(
                $"Nobody has said yes to {order.Code}.",
                "Say that it is declined or lost."
            ),
            _ => null,
        };
    }

    /// <summary>True while an ask says no garment, size, print, detail or file.</summary>
    public static bool IsEmpty(Order order) =>
        order.Ask.Details.IsEmpty()
        && order.Facts.Attached.Count == 0
        && order.Ask.Lines.All(l =>
            l.StyleId is null && l.Sizes.Count == 0 && l.Placements.Count == 0 && l.Names.Count == 0
        );
}

/// <summary>What a cancelled order leaves behind: the owner decides what of it is charged.</summary>
/// <param name="Spent">What was bought or prepared and is here, a part for each.</param>
/// <param name="OnTheWay">What was bought and has not come: it may still be stopped.</param>
/// <param name="Paid">Deposit and what was taken with parts.</param>
/// <param name="Left">What was spent beyond what is paid; under 0 the customer has paid more than was spent.</param>
public sealed record CancelledBill(Figure Spent, Figure OnTheWay, Figure Paid, decimal Left)
{
    /// <summary>Reckons it. What was pressed is in it as its blanks and transfers; hands are the owner's to
    /// add.</summary>
    public static CancelledBill Reckon(OrderFacts facts)
    {
        Figure Item(GatherItem i) =>
            Figure.Input(
                i.Id,
                label: i.Text,
                i.Cost,
                FigureUnit.Money,
                i.Supplier.Length > 0 ? i.Supplier : "our own work"
            );
        var spent = Figure.Sum(
            "spent",
            "Bought or prepared",
            [.. facts.Gathering.Items.Where(i => i.DoneAt is not null).Select(Item)]
        );
        var coming = Figure.Sum(
            "coming",
            "Bought, not here yet",
            [.. facts.Gathering.Items.Where(i => i.DoneAt is null && i.Kind == GatherKind.Buy).Select(Item)]
        );
        var paid = Figure.Sum(
            "paid",
            "Paid",
            [
                Figure.Input(
                    "deposit",
                    "Deposit",
                    facts.Gathering.Deposit?.Amount ?? 0,
                    FigureUnit.Money,
                    "noted at Gather"
                ),
                .. facts.Sending.Parts.Select(
                    (p, i) =>
                        Figure.Input(
                            $"part-{i}",
                            label: $"With the part to {p.To}",
                            p.Taken,
                            FigureUnit.Money,
                            "taken at Send"
                        )
                ),
            ]
        );
        return new(spent, coming, paid, spent.Value - paid.Value);
    }
}
