using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Deeds;

/// <summary>Keeps what was asked, as it is typed: drafts too.</summary>
internal static class SaveAsk
{
    private const int FirstNumber = 201;

    /// <summary>Keeps the ask; a new order gets its number here, and what is known of it from the first.</summary>
    public static Versioned<Order> Do(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        Ask ask,
        long seen,
        Deed deed,
        Func<Order, OrderFacts>? known = null
    )
    {
        var before = Aggregates.Orders.Get(connection, id);
        var book = shop.Book(connection);
        ask = book.Places.Settled(Measured(connection, ask));
        if (before is { Value: var stands } && Same(stands.Ask, ask with { Details = stands.Ask.Details }))
        {
            // what is said of it beside is no part of what was quoted or laid out, and may come with their yes
            RefusedException.IfAny(ask.Details.Problems());
            var said = stands with { Ask = stands.Ask with { Details = ask.Details } };
            return new(said, Aggregates.Orders.Put(connection, said, seen, deed));
        }
        var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
        RefusedException.IfAny(Refusals(connection, ask, before?.Value.Ask, book, wall));
        if (before is not null && QuoteStore.Standing(connection, id) is not null)
        {
            throw new RefusedException(
                409,
                "quote-sent",
                $"The quote of {before.Value.Code} is sent: its ask stands as quoted.",
                remedy: "Withdraw the quote first, then change the ask and send it again."
            );
        }
        var order = before is null
            ? new Order(id, OrderStore.NextNumber(connection, FirstNumber), ask, OrderFacts.None, shop.Clock.Utc)
            : before.Value with
            {
                Ask = Counted(before.Value.Ask, ask),
                Facts = Kept(before.Value, ask),
            };
        if (before is null && known is not null)
        {
            order = order with { Facts = known(order) };
        }
        if (
            order.Facts is { Layout.At: not null, Layout.Layouts.Count: > 0 }
            && !LayoutDeeds.Hold(shop.Draft(connection, order, book), book)
        )
        {
            // other prints are bought now: they are looked at before they are quoted
            order = order with { Facts = order.Facts with { Layout = order.Facts.Layout with { At = null } } };
        }
        var version = Aggregates.Orders.Put(connection, order, seen, deed);
        return new(order, version);
    }

    // a placement with an artwork is described by its picture
    private static Ask Measured(SqliteConnection connection, Ask ask) =>
        ask with
        {
            Lines =
            [
                .. ask.Lines.Select(
                    (l, i) =>
                        l with
                        {
                            Placements =
                            [
                                .. l.Placements.Select(
                                    (p, n) =>
                                        p.DesignId is not { } design
                                            ? p
                                            : Aggregates.Designs.Get(connection, design)?.Value.Described(p)
                                                ?? throw new RefusedException(
                                                    400,
                                                    "unknown-artwork",
                                                    $"There is no artwork \"{design}\".",
                                                    remedy: "Send the picture first.",
                                                    $"lines[{i}].placements[{n}].designId"
                                                )
                                ),
                            ],
                        }
                ),
            ],
        };

    // pieces were given on top of a quantity: another quantity gives none
    private static Ask Counted(Ask before, Ask ask) =>
        ask with
        {
            Lines =
            [
                .. ask.Lines.Select(l =>
                    before.Lines.FirstOrDefault(b => b.Id == l.Id) is { } b
                    && b.Given == l.Given
                    && b.Pieces != l.Pieces
                        ? l with
                        {
                            Given = 0,
                        }
                        : l
                ),
            ],
        };

    // a line that is gone takes its method with it; a new one has none, so nothing is laid out for it yet
    private static OrderFacts Kept(Order before, Ask ask)
    {
        var offered = before.Facts.Choice.Offered.Where(w => ask.Lines.Any(l => l.Id == w.LineId)).ToList();
        var decisions = before.Facts.Choice.Decisions.Where(d => ask.Lines.Any(l => l.Id == d.LineId)).ToList();
        var more = ask.Lines.Any(l => before.Ask.Lines.All(b => b.Id != l.Id));
        var last = before.Facts.Choice.LastTimes.Where(t => ask.Lines.Any(l => l.Id == t.LineId)).ToList();
        return before.Facts with
        {
            Choice = before.Facts.Choice with { LastTimes = last, Decisions = decisions, Offered = offered },
            Layout = before.Facts.Layout with { At = more ? null : before.Facts.Layout.At },
        };
    }

    /// <summary>True where two asks say the same.</summary>
    public static bool Same(Ask a, Ask b) =>
        a with { Lines = b.Lines } == b
        && a.Lines.Count == b.Lines.Count
        && a.Lines.Zip(b.Lines).All(l => Same(l.First, l.Second));

    private static bool Same(AskLine a, AskLine b) =>
        a with { Sizes = b.Sizes, Placements = b.Placements, Names = b.Names } == b
        && a.Sizes.SequenceEqual(b.Sizes)
        && a.Placements.SequenceEqual(b.Placements)
        && a.Names.SequenceEqual(b.Names);

    /// <summary>What is wrong with an ask, by the rules and by who the shop's customers are.</summary>
    public static IEnumerable<Problem> Refusals(
        SqliteConnection connection,
        Ask ask,
        Ask? before,
        ShopBook book,
        LocalDateTime wall
    ) => Customer(connection, ask).Concat(AskRules.Refusals(ask, before, book, wall));

    private static IEnumerable<Problem> Customer(SqliteConnection connection, Ask ask)
    {
        if (ask.CustomerId is { } customer && Aggregates.Customers.Get(connection, customer) is null)
        {
            yield return new(
                "unknown-customer",
                $"There is no customer \"{customer}\".",
                Where: "customerId",
                "Type the name again, or add the customer."
            );
        }
    }
}
