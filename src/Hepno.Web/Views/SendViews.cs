using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Core.Sending;
using Hepno.Formats;
using Hepno.Web.Wire;

namespace Hepno.Web.Views;

/// <summary>Packing and sending of an order.</summary>
/// <param name="Choices">How to pack what is counted, else the whole order: the best first.</param>
/// <param name="Minutes">Hands to pack the best way.</param>
/// <param name="Address">Where it goes; empty when it is collected or no address is known.</param>
/// <param name="Message">Words to send the customer.</param>
/// <param name="Waits">What the message waits for; empty when it may be sent.</param>
/// <param name="Balance">What is paid with what is counted, and what with the rest.</param>
/// <param name="Parts">Parts delivered, in words.</param>
public sealed record SendView(
    IReadOnlyList<PackingChoice> Choices,
    double Minutes,
    string Address,
    string Message,
    string Waits,
    PartBalance Balance,
    IReadOnlyList<string> Parts
);

/// <summary>Makes what Send shows and prints.</summary>
internal static class SendViews
{
    /// <summary>Packing, message and balances; refused before the quote is sent.</summary>
    public static SendView Of(OrderCase c, CarrierRates rates)
    {
        var q = c.Frozen
            ?? throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is not quoted yet.",
                remedy: "Send its quote first."
            );
        var f = q.Numbers.Format;
        var facts = c.Order.Facts;
        var choices = Choices(c, rates);
        var left = q.Ask.Pieces - facts.Delivered();
        var counted = facts.Sending.Counted.Sum(x => x.Pieces);
        var balance = OrderBalance.Reckon(c);
        var due = OrderBalance.Left(c);
        var ready = q.Ask.Shipping is null ? "is ready to collect" : "is packed and leaves with the carrier";
        var pay = due > 0 ? $"{Shown.Money(due, f)} {HowPaid(c, q)}." : "Everything is paid.";
        var whom = c.Customer?.Contact is { Length: > 0 } who ? who.Split(',')[0] : c.Customer?.Name;
        var message =
            $"Hello {whom}, your order {c.Order.Code} ({c.What}) {ready}. {pay} "
            + $"{q.Numbers.Identity.Name}, {q.Numbers.Identity.Contact}";
        return new(
            choices,
            choices.Count == 0 ? 0 : choices[0].Parcels * q.Numbers.Packing.ParcelMinutes,
            q.Ask.Shipping is null ? "" : c.Customer?.Address ?? "",
            message,
            counted < left ? $"{left - counted} {(left - counted == 1 ? "piece" : "pieces")} still to count" : "",
            balance,
            [
                .. facts.Sending.Parts.Select(
                    (p, i) =>
                        $"{c.Order.Code}, part {i + 1}: {p.Pieces.Sum(x => x.Pieces)} "
                        + $"{(p.Pieces.Sum(x => x.Pieces) == 1 ? "piece" : "pieces")} to {p.To}, "
                        + $"{Shown.Moment(WallClock.Local(p.At, q.Numbers.Identity.TimeZone), f)}, "
                        + $"{Shown.Money(p.Taken, f)} taken"
                ),
            ]
        );
    }

    private static string HowPaid(OrderCase c, FrozenQuote q)
    {
        if (c.Customer is { AccountDays: > 0 } on)
        {
            return $"goes on your account, {on.AccountDays} days";
        }
        return q.Ask.Shipping is null ? "is left to pay when you collect it" : "is left to pay before it leaves";
    }

    /// <summary>A label for each parcel; refused when it is collected or there is no address.</summary>
    public static IReadOnlyList<AddressLabel> Labels(OrderCase c, CarrierRates rates)
    {
        var q = c.Frozen;
        if (q?.Ask.Shipping is null)
        {
            throw new RefusedException(
                409,
                "collected",
                $"{c.Order.Code} is collected: it needs no label.",
                remedy: "Say under Ask that it is sent."
            );
        }
        if (c.Customer?.Address is not { Length: > 0 } address)
        {
            throw new RefusedException(
                409,
                "no-address",
                $"No address is known for {c.Customer?.Name}.",
                remedy: "Type it on the customer's card: C."
            );
        }
        var choices = Choices(c, rates);
        var parcels = choices.Count == 0 ? 1 : choices[0].Parcels;
        return
        [
            .. Enumerable
                .Range(1, parcels)
                .Select(n => new AddressLabel(
                    q.Numbers.Identity.Name,
                    FromLine: q.Numbers.Identity.Address,
                    c.Customer.Name,
                    [.. address.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)],
                    c.Order.Code,
                    Parcel: $"{n} of {parcels}",
                    choices.Count == 0 ? "" : $"{choices[0].GramsEach / 1000:0.0} kg"
                )),
        ];
    }

    private static IReadOnlyList<PackingChoice> Choices(OrderCase c, CarrierRates rates)
    {
        var q = c.Frozen!;
        var counted = c.Order.Facts.Sending.Counted;
        var pieces = q
            .Lines.Select(l =>
                (
                    l.Style,
                    Pieces: counted.Count > 0
                        ? counted.Where(x => x.LineId == l.LineId).Sum(x => x.Pieces)
                        : q.AskOf(l).Pieces
                )
            )
            .Where(p => p.Pieces > 0)
            .ToList();
        return pieces.Count == 0
            ? []
            : Parcels.Choices(
                pieces,
                q.Numbers.Packing.Packagings,
                rates.Carrier,
                q.Ask.Shipping is { } s ? rates.Find(s.Zone) : null
            );
    }
}
