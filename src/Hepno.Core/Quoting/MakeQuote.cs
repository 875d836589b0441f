using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>Writes the quote of an order: the preview and the sent one are made by the same function.</summary>
public static class MakeQuote
{
    /// <summary>How a print is looked after, on every paper.</summary>
    public static readonly IReadOnlyList<string> CareRules =
    [
        "Wait a day before the first wash",
        "Wash inside out and cold, dry low or on the line",
        "Never iron on the print",
    ];

    /// <summary>The same as one text.</summary>
    public static readonly string Care = $"{string.Join(". ", CareRules)}.";

    /// <summary>Why an order cannot be quoted as it is to be sent; null where it can.</summary>
    /// <param name="c">A complete order.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    public static Problem? NotSent(OrderCase c, ShopBook book) =>
        c.Order.Ask.Shipping is null || LineCost.Packed(c.Lines[0].InHand!, book) is not null
            ? null
            : new(
                "no-parcel",
                $"Nothing the shop packs in carries {c.What} to that zone.",
                Where: "shipping",
                "Add a box under Numbers, or let them collect it."
            );

    /// <summary>Writes it.</summary>
    /// <param name="c">The order: it can be sent as it is to be (see <see cref="NotSent"/>).</param>
    /// <param name="chosen">Its lines by their chosen methods.</param>
    /// <param name="offered">Lines by other methods that are offered beside them.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="wall">Now, the shop's wall clock.</param>
    /// <param name="version">From 1: how many quotes of this order there are with it.</param>
    public static FrozenQuote Write(
        OrderCase c,
        IReadOnlyList<(LineCase Line, Band Band)> chosen,
        IReadOnlyList<(LineCase Line, Band Band)> offered,
        ShopBook book,
        LocalDateTime wall,
        int version
    )
    {
        var n = book.Numbers;
        var digits = n.Format.MinorDigits;
        // what is printed adds up: every amount is rounded once, and sums are sums of printed amounts
        var lines = chosen
            .Select(x => new FrozenLine(
                x.Line.Asked.Id,
                x.Line.Style!,
                x.Line.Colourway!,
                x.Band,
                LineWork.PressingSeconds(x.Line.InHand!, x.Band.Decorations, book),
                Goods(x.Band, x.Line.Asked.Pieces, digits)
            ))
            .ToList();
        var goods = lines.Sum(l => l.Goods);
        var shipping = c.Order.Ask.Shipping;
        var packed = shipping is null ? null : LineCost.Packed(c.Lines[0].InHand!, book);
        var postage = shipping is { InThePrice: false } ? Money.Charged(packed!.Postage.Value, digits) : 0;
        var (tax, total) = Charged(goods, postage, n);
        var deposit = Money.Charged(total * n.Terms.DepositShare, digits);
        var ready = chosen.All(x => x.Band.Promise is not null)
            ? chosen.Max(x => x.Band.Promise!.At)
            : (LocalDateTime?)null;
        var validUntil = wall.Date.PlusDays(n.Terms.ValidityDays);
        var quote = new FrozenQuote(
            c.Order.Ask,
            lines,
            n,
            null!,
            goods,
            postage,
            tax,
            total,
            deposit,
            ready,
            validUntil,
            typeof(Comparer).Assembly.GetName().Version!.ToString()
        )
        {
            Packed = packed,
        };
        return quote with { Document = QuoteWords.Write(c, quote, offered, book, wall, version) };
    }

    /// <summary>The tax on goods, and what the customer pays with it and the postage.</summary>
    public static (decimal Tax, decimal Total) Charged(decimal goods, decimal postage, ShopNumbers n)
    {
        var tax = Money.Charged(goods * n.Fees.TaxShare, n.Format.MinorDigits);
        return (tax, goods + postage + tax);
    }

    /// <summary>What a line comes to before tax: the sum of its printed amounts.</summary>
    public static decimal Goods(Band band, int pieces, int digits) =>
        Money.Charged(band.Outcome.Price * pieces, digits)
        + (band.Surcharges ?? []).Sum(z => Money.Charged(z.Each * z.Pieces, digits));

    /// <summary>The garment in the customer's words: "Navy tee".</summary>
    public static string Garment(Style style, Colourway colourway, int pieces) =>
        $"{colourway.Name.ToLowerInvariant()} {GarmentNouns.For(style.Kind, pieces)}";

    /// <summary>What is printed where: "Front 10 × 11 in, five colours, 3 in below the collar seam".</summary>
    public static string Printed(Placement p, FigureFormat f)
    {
        var place = p.At();
        if (p.Place == Places.AllOver)
        {
            return $"{place.Name}, front and back from edge to edge, "
                + $"{(p.Gradient ? "full colour" : $"{p.Colours} colours")}";
        }
        var size =
            $"{place.Name} {(p.BySize || p.Own != OwnText.None ? "up to " : "")}{Shown.Size(p.WidthIn, p.HeightIn, f)}";
        string inks;
        if (p.Gradient)
        {
            inks = "full colour";
        }
        else if (p.Colours == 1)
        {
            inks = "one colour";
        }
        else
        {
            inks = $"{p.Colours} colours";
        }

        var own = p.Own switch
        {
            OwnText.Name => ", each piece its own name",
            OwnText.Number => ", each piece its own number",
            OwnText.NameAndNumber => ", each piece its own name and number",
            _ => "",
        };
        return $"{size}, "
            + $"{inks}{(p.Finish == VinylFinish.Plain ? "" : $", {p.Finish.Named()}")}{own}{(p.BySize ? ", smaller on smaller sizes" : "")}, "
            + $"{Shown.Length(place.FromSeamIn, f)} {place.Where}";
    }
}
