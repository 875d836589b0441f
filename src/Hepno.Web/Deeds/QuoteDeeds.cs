using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Laid out, the quote sent and withdrawn, the yes and the deposit.</summary>
internal static class QuoteDeeds
{
    /// <summary>Settles what is bought.</summary>
    public static long LayOut(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.Before(c, c.Lines.FirstOrDefault(l => l.InHand is null) ?? c.Lines[0], "lay it out");
        var quoted = shop.Quoted(c, shop.Book(connection), connection);
        // what is quoted rests on a searched layout; one that somebody settled stays as it is
        var layouts = quoted
            .Lines.Select(l =>
                LayoutDeeds.Searched(connection, shop, id, l.LineId, l.Band.MethodId, l.Band.Decorations)
            )
            .OfType<LineLayout>()
            .ToList();
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Layout = f.Layout.With(layouts) with { At = deed.At },
            }
        );
    }

    /// <summary>Sends the quote: from here its figures are frozen.</summary>
    public static long Send(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        if (c.Standing.Station != Station.Quote)
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Quote is not null
                    ? $"The quote of {c.Order.Code} is already sent."
                    : $"{c.Order.Code} cannot be quoted yet: {c.Standing.Missing[0].Text}.",
                remedy: c.Quote is not null ? "Withdraw it to send another." : "Finish that first."
            );
        }
        var frozen = shop.Quoted(c, book, connection);
        if (
            frozen.Lines.Any(l =>
                LayoutDeeds.ToSearch(c.Line(l.LineId), l.Band.MethodId, book, l.Band.Decorations) is not null
            )
        )
        {
            throw new RefusedException(
                409,
                "not-laid-out",
                $"{c.Order.Code} is not laid out as its prints are now.",
                remedy: "Lay it out again: the quote rests on what is bought."
            );
        }
        var version = OrderDeeds.Put(connection, c, seen, deed with { Undoable = false }, f => f);
        QuoteStore.Send(
            connection,
            new StoredQuote(new QuoteId($"{id}-{version}"), id, deed.At, null),
            frozen,
            QuotePdf.Print(frozen.Document)
        );
        MadeStore.Put(connection, new QuoteId($"{id}-{version}"), frozen.Designs());
        return version;
    }

    /// <summary>Withdraws a sent quote, before anything is ordered on it.</summary>
    public static long Withdraw(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (
            c.Quote is null
            || c.Standing.Station != Station.Gather
            || c.Order.Facts.Gathering.Items.Any(i => i.DoneAt is not null)
        )
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Quote is null ? "No quote is sent." : $"{c.Order.Code} is already being made.",
                remedy: "Only a sent quote with nothing gathered on it can be withdrawn."
            );
        }
        if (
            c.Order.Facts.Layout.Joined is { Count: > 0 }
            || c.Order.Facts.Layout.Layouts.Any(l => l.Designs.Any(d => !d.For.IsNone))
        )
        {
            throw new RefusedException(
                409,
                "together",
                $"The film of {c.Order.Code} is bought together with another order's.",
                remedy: "Buy them apart first, under Lay out."
            );
        }
        QuoteStore.Withdraw(connection, c.Quote.Id, deed.At);
        return OrderDeeds.Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Gathering = f.Gathering with { Approval = null, Deposit = null, Items = [] },
                Pressing = f.Pressing with { Moves = [] },
            }
        );
    }

    /// <summary>The customer's yes; with the deposit it makes the list of what to buy and prepare.</summary>
    public static long Approve(SqliteConnection connection, OpenShop shop, OrderId id, string by, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.At(c, Station.Gather, "take the yes");
        var name = OrderDeeds.Named(by, "by", "Who said yes");
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            Listed(c, f with { Gathering = f.Gathering with { Approval = new(name, deed.At) } }, connection, shop)
        );
    }

    /// <summary>The deposit, or the owner's word that the order goes on without.</summary>
    public static long NoteDeposit(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        decimal amount,
        string? overrideReason,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.At(c, Station.Gather, "note the deposit");
        var wanted = c.Frozen!.Deposit;
        var f = c.Frozen.Numbers.Format;
        if (amount < 0 || amount > c.Frozen.Total)
        {
            throw new RefusedException(
                400,
                "range",
                $"A deposit of {Shown.Money(amount, f)} is outside 0 to {Shown.Money(c.Frozen.Total, f)}.",
                remedy: "Type what was paid.",
                "amount"
            );
        }
        if (amount < wanted && string.IsNullOrWhiteSpace(overrideReason))
        {
            throw new RefusedException(
                400,
                "short",
                $"{Shown.Money(amount, f)} is less than the {Shown.Money(wanted, f)} asked.",
                remedy: "Say why the order goes on without, or wait for the rest.",
                "overrideReason"
            );
        }
        var reason = amount < wanted ? OrderDeeds.Named(overrideReason!, "overrideReason", "The reason") : null;
        return OrderDeeds.Put(connection, c, seen, deed, facts =>
            Listed(
                c,
                facts with
                {
                    Gathering = facts.Gathering with { Deposit = new(amount, reason, deed.At) },
                },
                connection,
                shop
            )
        );
    }

    private static OrderFacts Listed(OrderCase c, OrderFacts facts, SqliteConnection connection, OpenShop shop)
    {
        if (
            facts.Gathering.Items.Count > 0
            || facts.Gathering.Approval is null
            || (c.Frozen!.Deposit > 0 && facts.Gathering.Deposit is null)
        )
        {
            return facts;
        }
        var numbers = OpenShop.Numbers(connection);
        var hours = new OpenHours(numbers.Week.Days);
        var wall = shop.Clock.Wall(numbers.Identity.TimeZone);
        var book = shop.Book(connection);
        var listed = facts with
        {
            Gathering = facts.Gathering with
            {
                Items = [.. c.Frozen!.Lines.SelectMany(l => GatherList.Items(c, l, hours, wall, numbers.Format, book))],
            },
        };
        // film may have been laid better since the quote was sent
        foreach (var layout in facts.Layout.Layouts)
        {
            if (
                c.Lines.FirstOrDefault(l => l.Asked.Id == layout.LineId) is { } line
                && BoughtFilm.ItemOf(listed, line.Asked) is not null
                && LaidOn
                    .Find(LineLayouts.MethodOf(line), line.InHand ?? c.Frozen!.InHand(line.Frozen!), book)
                    .Lists.Any(f => f.Id == layout.FilmId && f.Grounds().Any(g => g.Key == layout.On) == true)
            )
            {
                listed = FilmTogether.Settled(
                    listed,
                    LineLayouts.Film(connection, shop, c.Order.Id, line.Asked.Id, layout.FilmId, layout.On),
                    layout,
                    book
                );
            }
        }
        return listed;
    }
}
