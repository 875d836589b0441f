using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>A label with its figure and a quiet line under it.</summary>
public sealed record SlipRow(string Label, string Figure, string Note);

/// <summary>The one action of the slip.</summary>
/// <param name="Code">Deed or station to go to.</param>
/// <param name="Label">Its result in words.</param>
/// <param name="Waits">Why it cannot act yet; empty when it can.</param>
public sealed record SlipAction(string Code, string Label, string Waits);

/// <summary>The slip of the order in hand, in its fixed order.</summary>
/// <param name="Code">Number.</param>
/// <param name="Customer">Who.</param>
/// <param name="Kind">Garment to draw, or null.</param>
/// <param name="Hex">Its colour.</param>
/// <param name="Sizes">Size run; empty with several lines.</param>
/// <param name="Rows">Pieces, due, price, profit.</param>
/// <param name="Hero">The large figure.</param>
/// <param name="HeroNote">What it is.</param>
/// <param name="Missing">At most five, then one that counts the rest.</param>
/// <param name="MissingTitle">Head of the list.</param>
/// <param name="Action">What to do next.</param>
public sealed record SlipView(
    string Code,
    string Customer,
    GarmentKind? Kind,
    string Hex,
    IReadOnlyList<SizeCount> Sizes,
    IReadOnlyList<SlipRow> Rows,
    string Hero,
    string HeroNote,
    IReadOnlyList<Missing> Missing,
    string MissingTitle,
    SlipAction Action
)
{
    private const int MostMissing = 5;
    private const string Price = "Price";
    private const string Profit = "Profit";

    /// <summary>As a device of the press shows it: no price, no profit, and only what is done there.</summary>
    internal SlipView AtThePress() =>
        this with
        {
            Rows = [.. Rows.Where(r => r.Label is not (Price or Profit))],
            Hero = "",
            HeroNote = "",
            Action =
                Action.Code is "tick" or "run" || Action.Waits.Length > 0
                    ? Action
                    : Action with
                    {
                        Waits = "the counter",
                    },
        };

    /// <summary>Writes the slip.</summary>
    internal static SlipView From(
        OrderCase c,
        IReadOnlyList<Band?> bands,
        ShopBook book,
        LocalDateTime wall,
        PlacedOrder? placed
    )
    {
        var f = (c.Frozen?.Numbers ?? book.Numbers).Format;
        var order = c.Order;
        var (style, colour) = (c.Lines[0].Style, c.Lines[0].Colourway);
        // figures of the whole order are shown once every line has them
        var whole =
            bands.All(b => b is not null) && bands.Count > 0
                ? bands.Select((b, i) => (Band: b!, c.Lines[i].Asked.Pieces)).ToList()
                : null;
        var pieces = order.Ask.Pieces;
        List<SlipRow> rows =
        [
            new(
                "Pieces",
                Figure: pieces > 0 ? pieces.ToString(System.Globalization.CultureInfo.InvariantCulture) : "",
                PiecesNote(c)
            ),
        ];
        if (order.Ask.DueAt is not null || whole is not null)
        {
            var day = order.Ask.DueAt is { } due ? Shown.Day(due.Date, f) : "no day";
            rows.Add(
                new(
                    "Due",
                    Figure: day,
                    DueNote(
                        c,
                        whole?.Select(w => w.Band.Promise).Where(p => p is not null).MaxBy(p => p!.At),
                        placed,
                        f,
                        wall
                    )
                )
            );
        }
        var (hero, heroNote) = ("", "");
        if (order.Facts.End.Ending is { } ending)
        {
            rows.Add(Ended(ending, f));
        }
        if (whole is not null)
        {
            (var money, hero, heroNote) = OfMoney(c, whole, book, f);
            rows.AddRange(money);
        }
        var missing = c.Standing.Missing;
        IReadOnlyList<Missing> shown =
            missing.Count <= MostMissing
                ? missing
                : [.. missing.Take(MostMissing), new("more", $"and {missing.Count - MostMissing} more", false)];
        return new(
            order.Code,
            c.Customer?.Name ?? "",
            style?.Kind,
            colour?.Hex ?? "#FCFAF5",
            order.Ask.Lines.Count == 1 ? order.Ask.Lines[0].Sizes : [],
            rows,
            hero,
            heroNote,
            shown,
            c.Standing.Station == Station.Learn ? "Still to write down" : "Still missing",
            Next(c, whole?.Select(w => w.Band).ToList(), book, f)
        );
    }

    // figures of the whole order, and the largest of them with what it says
    private static (IReadOnlyList<SlipRow> Rows, string Hero, string Note) OfMoney(
        OrderCase c,
        List<(Band Band, int Pieces)> whole,
        ShopBook book,
        FigureFormat f
    )
    {
        var goods = c.Frozen?.Goods ?? whole.Sum(w => w.Band.Total);
        var price = new SlipRow(Price, Figure: Shown.Money(goods, f), Each(c, whole, book, f));
        if (c.Standing.Station == Station.Send)
        {
            return ToTake(c, price.Note, f);
        }
        if (LearnViews.HeldOf(c) is { } held)
        {
            // what it came to, not what the quote hoped for
            var earned = new SlipRow(
                Profit,
                Figure: Shown.Money(held.Earned.Value, f),
                $"as it came out; the quote said {Shown.AnHour(held.PlannedAnHour, f)} an hour"
            );
            return (
                [price, earned],
                Hero: Shown.AnHour(held.RecordedAnHour, f),
                "profit for each hour of hands, as it came out"
            );
        }
        var profit = whole.Sum(w => w.Band.Outcome.Profit.Value * w.Pieces);
        var hands = whole.Sum(w => w.Band.Hands.Value * w.Pieces);
        var hoped = new SlipRow(
            Profit,
            Figure: Shown.Money(profit, f),
            $"{Shown.Number((double)(goods == 0 ? 0 : profit / goods) * 100, 0, f)}% of price, "
                + $"{Shown.Duration((double)hands)} of hands"
        );
        return (
            [price, hoped],
            Hero: Shown.AnHour(hands == 0 ? 0 : profit / hands * 3600, f),
            "profit for each hour of hands"
        );
    }

    private static (IReadOnlyList<SlipRow> Rows, string Hero, string Note) ToTake(
        OrderCase c,
        string each,
        FigureFormat f
    )
    {
        var q = c.Frozen!;
        var taxed = q.Tax > 0 ? "with tax" : each;
        return (
            [new(Price, Figure: Shown.Money(q.Total, f), q.Postage > 0 ? "with postage and tax" : taxed)],
            Hero: Shown.Money(OrderBalance.Left(c), f),
            "to take before handing over; profit is on the back"
        );
    }

    private static string Each(OrderCase c, List<(Band Band, int Pieces)> whole, ShopBook book, FigureFormat f)
    {
        var postage = c.Frozen?.Postage ?? PostageOnTop(c, book);
        var onTop = postage > 0 ? $", {Shown.Money(postage, f)} postage on top" : "";
        if (whole is not [var (band, _)])
        {
            return $"{whole.Count} lines{onTop}";
        }
        var sizes = band.Surcharges is { Count: > 0 } ? " and sizes" : "";
        return $"{c.Order.Ask.Pieces} × {Shown.Money(band.Outcome.Price, f)}{sizes}{onTop}";
    }

    // before the quote is sent; as the quote would charge it
    private static decimal PostageOnTop(OrderCase c, ShopBook book) =>
        c.Order.Ask.Shipping is { InThePrice: false }
        && c.Lines[0].InHand is { } ask
        && LineCost.Packed(ask, book) is { } way
            ? Money.Charged(way.Postage.Value, book.Numbers.Format.MinorDigits)
            : 0;

    // what the customer will read on the quote
    private static decimal WithTax(OrderCase c, List<Band> bands, ShopBook book)
    {
        var n = book.For(c.Customer).Numbers;
        return MakeQuote
            .Charged(
                bands.Zip(c.Lines).Sum(x => MakeQuote.Goods(x.First, x.Second.Asked.Pieces, n.Format.MinorDigits)),
                postage: PostageOnTop(c, book),
                n
            )
            .Total;
    }

    private static SlipRow Ended(Ending e, FigureFormat f) =>
        e.Kind switch
        {
            EndKind.ThrownAway => new("Thrown away", Figure: "", e.Why),
            EndKind.Declined => new("Declined", Figure: "", e.Why),
            EndKind.Lost => new(
                "Lost",
                Figure: e.TheirPrice is { } price ? Shown.Money(price, f) : "",
                e.ToWhom.Length > 0 ? $"to {e.ToWhom}: {e.Why}" : e.Why
            ),
            _ => new(
                "Cancelled",
                Figure: e.Settled == 0 ? "" : Shown.Money(Math.Abs(e.Settled), f),
                $"{(e.Settled > 0 ? "still to be paid: " : e.Settled < 0 ? "to be given back: " : "")}{e.Why}"
            ),
        };

    private static string PiecesNote(OrderCase c) =>
        c.Run is { Counted: > 0 } run ? $"{run.Good} good, {run.Spoiled} spoiled" : "";

    private static string DueNote(
        OrderCase c,
        Promise? promise,
        PlacedOrder? placed,
        FigureFormat f,
        LocalDateTime wall
    )
    {
        var due = c.Order.Ask.DueAt;
        if (c.Order.Facts.Sending.HandOver is { } handed)
        {
            return $"handed over to {handed.To}";
        }
        if (placed is { HasPlace: true, LateMinutes: > 0 })
        {
            return $"{Shown.Duration(placed.LateMinutes * 60)} late as planned";
        }
        if (due < wall && c.Standing.Station < Station.Send)
        {
            return "past, and not pressed";
        }
        if (c.Frozen?.ReadyAt is { } promised)
        {
            return $"promised {Shown.Moment(promised, f)}";
        }
        if (promise is not null)
        {
            return $"ready {(promise.At > due ? "only " : "")}{Shown.Moment(promise.At, f)}";
        }
        return due is { } at ? Shown.Clock(at.TimeOfDay, f) : "none asked for";
    }

    private static SlipAction Next(OrderCase c, List<Band>? bands, ShopBook book, FigureFormat f)
    {
        var facts = c.Order.Facts;
        var first = c.Standing.Missing.Count > 0 ? c.Standing.Missing[0].Text : "";
        const string Unfit = "the chosen method cannot do it any more";
        string How() =>
            bands!.Select(b => b.MethodId).Distinct().Count() == 1
                ? $"{char.ToLowerInvariant(bands![0].Name[0])}{bands[0].Name[1..]}"
                : "it";
        switch (c.Standing.Station)
        {
            case Station.Ask:
                return new("compare", "Compare the ways", Waits: first);
            case Station.Compare:
                if (c.Lines.Count > 1)
                {
                    var open = c.Lines.Count(l => l.Decision is null);
                    return new("choose", $"Choose for {open} of {c.Lines.Count} lines", Waits: "");
                }
                return bands is null
                    ? new("choose", "Choose a method", Waits: "no method can do it as asked")
                    : new("choose", $"Take {How()}", Waits: "");
            case Station.Layout:
                return new(
                    "lay-out",
                    bands is null ? "Quote it" : $"Quote on {How()}",
                    Waits: bands is null ? Unfit : ""
                );
            case Station.Quote:
                return new(
                    "send",
                    bands is null ? "Send the quote" : $"Send {Shown.Money(WithTax(c, bands, book), f)}",
                    Waits: bands is null ? Unfit : ""
                );
            case Station.Gather:
                var waiting = facts.Gathering.Items.Count(i => i.DoneAt is null);
                return facts.Gathering.Approval is null ? new("approve", "Take their yes", Waits: "")
                    : c.Frozen!.Deposit > 0 && facts.Gathering.Deposit is null
                        ? new("deposit", $"Note {Shown.Money(c.Frozen.Deposit, f)}", Waits: "")
                    : new("tick", $"Tick off the next of {waiting}", Waits: "");
            case Station.Press:
                return new(
                    "run",
                    facts.Pressing.StartedAt is null
                        ? $"Press {c.Order.Ask.Pieces} "
                            + $"{(c.Lines.Count == 1 ? GarmentNouns.For(c.Lines[0].Style!.Kind, c.Order.Ask.Pieces) : "pieces")}"
                        : "Back to the run",
                    Waits: ""
                );
            case Station.Send:
                var left = c.Order.Ask.Pieces - facts.Delivered() - facts.Sending.Counted.Sum(x => x.Pieces);
                return new("hand-over", "Hand it over", Waits: left > 0 ? $"{left} pieces to count" : "");
            case Station.Learn:
                return new("close", $"Close {c.Order.Code}", Waits: "");
            default:
                return c.Order.Facts.End.Ending is null
                    ? new("none", "Closed", Waits: "off the line")
                    : new("bring-back", $"Bring {c.Order.Code} back", Waits: "");
        }
    }
}
