using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>The words and printed figures of a quote, and of the confirmation that follows it.</summary>
public static class QuoteWords
{
    private const int MostTiers = 5;
    private const string TotalSaid = "Total";

    /// <summary>The quote's document.</summary>
    /// <param name="c">The order.</param>
    /// <param name="q">Its figures.</param>
    /// <param name="offered">Lines by other methods that are offered beside them.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="wall">Now, the shop's wall clock.</param>
    /// <param name="version">From 1: how many quotes of this order there are with it.</param>
    public static QuoteDocument Write(
        OrderCase c,
        FrozenQuote q,
        IReadOnlyList<(LineCase Line, Band Band)> offered,
        ShopBook book,
        LocalDateTime wall,
        int version
    )
    {
        var n = q.Numbers;
        var f = n.Format;
        var zone = q.Ask.Shipping is { } s ? book.Carrier?.Find(s.Zone) : null;
        var totals = Totals(q, zone);
        var single = q.Lines.Count == 1 ? q.Lines[0] : null;
        return new(
            "Quote",
            n.Identity.Paper,
            n.Identity.Name,
            ShopLine: n.Identity.Address,
            n.Identity.Contact,
            version == 1 ? c.Order.Code : $"{c.Order.Code}, version {version}",
            Dates: $"{Shown.DayAndYear(wall.Date, f)}, good until {Shown.DayAndYear(q.ValidUntil, f)}",
            c.Customer?.Name ?? "",
            CustomerContact: Beside(c),
            Title(q),
            Heads(q, single),
            [.. q.Lines.Select(l => Line(q, l, f))],
            totals,
            totals.FindIndex(t => t.Label == TotalSaid),
            [
                new("When", Value: Days(q, zone)),
                new("Terms", Value: Terms(c, q)),
                new("Looking after it", Value: MakeQuote.Care),
            ], // a price somebody said holds for these pieces alone, and lines are not scaled apart from each other
            single is null || c.Lines[0].Decision?.TypedPrice is not null
                ? []
                : Tiers(single.Band, c.Lines[0].InHand!, book)
        )
        {
            Others = offered.Count == 0 ? null : Others(q, offered),
        };
    }

    /// <summary>What stands beside the customer's name on a paper: whom to ask for, and what is said of the order that
    /// they look for.</summary>
    public static string Beside(OrderCase c) =>
        string.Join(
            ", ",
            new[] { c.Customer?.Contact ?? "" }.Concat(c.Order.Ask.Details.OnTheirPapers()).Where(w => w.Length > 0)
        );

    private static string Ready(FrozenQuote q) =>
        q.ReadyAt is { } at ? Shown.Moment(at, q.Numbers.Format) : "to be agreed";

    private static List<Stated> Totals(FrozenQuote q, RateZone? zone)
    {
        var (f, tax) = (q.Numbers.Format, q.Numbers.Fees.TaxShare);
        List<Stated> totals = [new(q.Postage > 0 ? "Goods" : "Before tax", Value: Shown.Money(q.Goods, f))];
        if (q.Postage > 0)
        {
            totals.Add(new($"Postage, {zone!.Name.ToLowerInvariant()}", Value: Shown.Money(q.Postage, f)));
        }
        if (tax.Part > 0)
        {
            totals.Add(new($"Sales tax, {Shown.Number((double)tax.Percent, 2, f)}%", Value: Shown.Money(q.Tax, f)));
        }
        totals.Add(new(TotalSaid, Value: Shown.Money(q.Total, f)));
        if (q.Deposit > 0)
        {
            totals.Add(new("Deposit to begin", Value: Shown.Money(q.Deposit, f)));
        }
        return totals;
    }

    private static string Days(FrozenQuote q, RateZone? zone) =>
        $"Ready {Ready(q)} if you say yes{(q.Deposit > 0 ? " and the deposit is here" : "")} by the end of "
        + "today; a later yes moves it by as many working days."
        + (zone is null ? "" : $" Then {zone.Days} working {(zone.Days == 1 ? "day" : "days")} on the way.");

    private static string Terms(OrderCase c, FrozenQuote q)
    {
        var exempt = c.Customer is { TaxExempt.Length: > 0 } free
            ? $"No sales tax is charged: {free.TaxExempt}, as you told us. "
            : "";
        return exempt
            + Payment(c, q)
            + "Counts and sizes may change until the prints are ordered. "
            + (q.Ask.Lines.All(l => l.Theirs) ? "" : "We replace any piece we spoil. ")
            + (
                q.Ask.Lines.Any(l => l.Theirs)
                    ? "Garments you bring: we take care, and cannot replace one that is spoiled."
                    : ""
            );
    }

    private static string Payment(OrderCase c, FrozenQuote q)
    {
        if (c.Customer is { AccountDays: > 0 } on)
        {
            return $"Paid within {on.AccountDays} days of the invoice. ";
        }
        var (balance, f) = (Balance(q), q.Numbers.Format);
        return q.Deposit > 0
            ? $"{Shown.Money(q.Deposit, f)} to begin, {Shown.Money(q.Total - q.Deposit, f)} {balance}. "
            : $"Paid {balance}. ";
    }

    private static string Balance(FrozenQuote q) => q.Ask.Shipping is null ? "when you collect" : "before it is sent";

    private static List<Stated> Heads(FrozenQuote q, FrozenLine? single)
    {
        var f = q.Numbers.Format;
        return
        [
            single is null
                ? new("pieces", Value: q.Ask.Pieces.ToString(CultureInfo.InvariantCulture))
                : new(
                    single.Band.Surcharges is { Count: > 0 } ? "each, dearer sizes on top" : "each",
                    Value: Shown.Money(single.Band.Outcome.Price, f)
                ),
            new("in all, before tax", Value: Shown.Money(q.Goods + q.Postage, f)),
            new($"ready to {(q.Ask.Shipping is null ? "collect" : "send")}", Value: Ready(q)),
        ];
    }

    /// <summary>The confirmation of an order after their yes: the same lines and figures, what is paid and what is
    /// left.</summary>
    public static QuoteDocument Confirmation(OrderCase c, LocalDateTime wall)
    {
        var q = c.Frozen!;
        var f = q.Numbers.Format;
        var facts = c.Order.Facts;
        var paid = facts.Gathering.Deposit?.Amount ?? 0;
        var upTo = q.Document.TotalIndex + 1;
        List<Stated> totals = [.. q.Document.Totals.Take(upTo)];
        if (paid > 0)
        {
            totals.Add(new("Deposit, received", Value: Shown.Money(paid, f)));
        }
        var by = c.Customer is { AccountDays: > 0 } on ? $"within {on.AccountDays} days" : Balance(q);
        totals.Add(new($"Left to pay {by}", Value: Shown.Money(q.Total - paid, f)));
        var yes = facts.Gathering.Approval!;
        var said =
            $"{yes.By} said yes on {Shown.DayAndYear(WallClock.Day(yes.At, q.Numbers.Identity.TimeZone), f)} to "
            + $"quote {c.Order.Code}.";
        return q.Document with
        {
            Kind = "Order confirmation",
            Dates = Shown.DayAndYear(wall.Date, f),
            CustomerContact = Beside(c),
            Totals = totals,
            Tiers = [],
            Others = null,
            Columns =
            [
                new("Agreed", Value: q.ReadyAt is { } at ? $"{said} Ready {Shown.Moment(at, f)}." : said),
                .. q.Document.Columns.Where(x => x.Label == "Looking after it"),
            ],
        };
    }

    private static string Title(FrozenQuote q)
    {
        if (q.Lines.Count > 1)
        {
            return $"{q.Ask.Pieces} pieces in {q.Lines.Count} lines";
        }
        var line = q.Ask.Lines[0];
        return $"{line.Pieces} {MakeQuote.Garment(q.Lines[0].Style, q.Lines[0].Colourway, line.Pieces)}, printed "
            + $"{string.Join(" and ", line.Placements.Select(p => p.At().Name.ToLowerInvariant()))}";
    }

    private static LinePrinted Line(FrozenQuote q, FrozenLine l, FigureFormat f)
    {
        var asked = q.AskOf(l);
        var fabric = string.Join(
            ", ",
            l.Style.Fabric.Select(x =>
                $"{x.Percent.ToString("0.#", CultureInfo.InvariantCulture)}% {x.Fibre.ToString().ToLowerInvariant()}"
            )
        );
        var price = l.Band.Outcome.Price;
        return new(
            asked.Theirs
                ? $"Your own {GarmentNouns.For(l.Style.Kind, asked.Pieces)}, {l.Colourway.Name.ToLowerInvariant()}"
                : $"{l.Style.Name}, {l.Colourway.Name.ToLowerInvariant()}, {fabric}",
            [
                .. asked.Placements.Select(p => MakeQuote.Printed(p, f)),
                .. asked.Given > 0 ? new[] { $"{asked.Pieces - asked.Given} asked for, {asked.Given} given" } : [],
                .. asked.DueDate is { } day ? new[] { $"wanted {Shown.Day(day, f)}" } : [],
            ],
            [.. asked.Sizes.Select(s => new SizePrinted(s.Size, s.Pieces))],
            asked.Pieces.ToString(CultureInfo.InvariantCulture),
            Each: Shown.Bare(price, f),
            Shown.Bare(Money.Charged(price * asked.Pieces, f.MinorDigits), f),
            [
                .. (l.Band.Surcharges ?? []).Select(z => new ExtraPrinted(
                    $"{z.Size}, on top",
                    Pieces: z.Pieces.ToString(CultureInfo.InvariantCulture),
                    Shown.Bare(z.Each, f),
                    Amount: Shown.Bare(Money.Charged(z.Each * z.Pieces, f.MinorDigits), f)
                )),
            ]
        );
    }

    // each line that is offered another way too: first as quoted, then the others
    private static List<OtherPrinted> Others(FrozenQuote q, IReadOnlyList<(LineCase Line, Band Band)> offered)
    {
        var f = q.Numbers.Format;
        OtherPrinted Write(LineCase line, Band band, bool quoted) =>
            new(
                $"{(q.Lines.Count == 1 ? "" : $"{line.What}: ")}{DecorationMethods.Find(band.MethodId)!.Said}",
                Each: Shown.Bare(band.Outcome.Price, f),
                Shown.Bare(MakeQuote.Goods(band, line.Asked.Pieces, f.MinorDigits), f),
                Ready: band.Promise is { } promise ? Shown.Moment(promise.At, f) : "to be agreed",
                quoted
            );
        return
        [
            .. offered
                .GroupBy(o => o.Line.Asked.Id)
                .SelectMany(g =>
                    g.Select(o => Write(o.Line, o.Band, false))
                        .Prepend(Write(g.First().Line, q.Lines.First(l => l.LineId == g.Key).Band, true))
                ),
        ];
    }

    private static List<TierPrinted> Tiers(Band band, AskInHand ask, ShopBook book)
    {
        var f = book.Numbers.Format;
        var method = DecorationMethods.Find(band.MethodId)!;
        var steps = book.Numbers.Prices.TierSteps.Append(ask.Pieces).Distinct().Order().ToList();
        var mine = steps.IndexOf(ask.Pieces);
        var from = Math.Clamp(mine - 2, 0, Math.Max(0, steps.Count - MostTiers));
        var tiers = new List<TierPrinted>();
        foreach (var q in steps.Skip(from).Take(MostTiers))
        {
            var at = ask.At(q);
            var answer = method.Answer(at, book);
            if (answer.Decorations.Count > 0)
            {
                // other counts are taken to be of the same mix of sizes
                var price =
                    q == ask.Pieces
                        ? new(band.Outcome.Price, band.Surcharges ?? [], "")
                        : GuardedPrice
                            .Reckon(
                                method,
                                at,
                                answer.Decorations,
                                LineCost.Reckon(at, answer.Decorations, book),
                                book,
                                null
                            )
                            .Line;
                tiers.Add(
                    new(
                        q.ToString(CultureInfo.InvariantCulture),
                        Each: Shown.Bare(price.Each, f),
                        Shown.Bare(price.InAll(q), f),
                        q == ask.Pieces
                    )
                );
            }
        }
        return tiers;
    }
}
