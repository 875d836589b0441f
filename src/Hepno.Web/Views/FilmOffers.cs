using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>What buying the film of two orders as one would save each.</summary>
internal static class FilmOffers
{
    private const int MostOffers = 2;

    /// <summary>An order's number as written.</summary>
    public static string CodeOf(SqliteConnection connection, OrderId orderId) =>
        Aggregates.Orders.Get(connection, orderId)?.Value.Code ?? orderId.Text;

    /// <summary>Waiting orders with a settled layout on the same film, the most saving first.</summary>
    public static IReadOnlyList<LayoutJoin> Offers(SqliteConnection connection, LineOnFilm l)
    {
        if (
            l.On.Roll is { IsOwn: true }
            || !BoughtFilm.IsOpen(l.Case, l.Line.Asked)
            || l.Layout.Designs.Any(d => !d.For.IsNone)
        )
        {
            return [];
        }
        return
        [
            .. OrderStore
                .Open(connection)
                .Where(o => o.Value.Id != l.Case.Order.Id)
                .SelectMany(o =>
                    o.Value.Ask.Lines.Select(line =>
                        (Order: o.Value, Line: line, Layout: o.Value.Facts.LayoutOf(line.Id))
                    )
                )
                .Where(x =>
                    x.Layout is { } y
                    && y.FilmId == l.Film.Id
                    && y.On == l.On.Key
                    && IsWaiting(x.Order, x.Line)
                    && y.Designs.All(d => d.For.IsNone)
                )
                .Select(x => Offer(connection, l, x.Order, x.Line, x.Layout!))
                .OfType<LayoutJoin>()
                .Where(j => j.Saves.Value > 0)
                .OrderByDescending(j => j.Saves.Value)
                .Take(MostOffers),
        ];
    }

    private static LayoutJoin? Offer(
        SqliteConnection connection,
        LineOnFilm l,
        Order other,
        AskLine line,
        LineLayout theirs
    )
    {
        if (
            Laid(l, other.Id, theirs) is not { } joined
            || SharedFilm.Reckon(l.On, l.Film, (l.Layout, l.Case.Order.Code), (theirs, other.Code), joined, other.Id)
                is not { } shared
        )
        {
            return null;
        }
        string waits;
        if (Waits(l.Case.Order, l.Line.Asked) is { Length: > 0 } mine)
        {
            waits = $"{l.Case.Order.Code}: {mine}";
        }
        else if (Waits(other, line) is { Length: > 0 } its)
        {
            waits = $"{other.Code}: {its}";
        }
        else
        {
            waits = "";
        }

        return new(
            other.Id,
            line.Id,
            other.Code,
            other.Ask.CustomerId is { } who ? Aggregates.Customers.Get(connection, who)?.Value.Name ?? "" : "",
            theirs.Copies.Count,
            shared.Apart.Value,
            AsOne: shared.AsOne.Value,
            shared.Saves,
            shared.Mine,
            shared.Theirs,
            waits
        );
    }

    /// <summary>Both lines' prints laid anew on one ground; null where they are more than one layout holds.</summary>
    public static LineLayout? Laid(LineOnFilm l, OrderId otherId, LineLayout theirs)
    {
        List<LaidDesign> designs =
        [
            .. l.Layout.Designs.Select(d => d with { Cover = 1 }),
            .. theirs.Designs.Select(d => d with { Key = $"{otherId}/{d.Key}", For = otherId, Cover = 1 }),
        ];
        return GangProblems.Of(l.On.Ground, [.. designs.Select(d => d.Laid())]).Any()
            ? null
            : LineLayouts.Laid(l.Line.Asked.Id, l.Film, l.On, l.Prints, GangNest.OnePass, seed: 1, null, designs);
    }

    // laid out, its film not here and not bought with another's
    private static bool IsWaiting(Order order, AskLine line) =>
        order.Facts.Layout.At is not null
        && order.Facts.Pressing.StartedAt is null
        && order.Facts.JoinedOf(line.Id) is null
        && BoughtFilm.ItemOf(order.Facts, line) is null or { DoneAt: null };

    /// <summary>What a line's film waits for before it is bought; empty for nothing.</summary>
    public static string Waits(Order order, AskLine line)
    {
        if (BoughtFilm.ItemOf(order.Facts, line) is { DoneAt: null })
        {
            return "";
        }
        if (order.Facts.Gathering.Approval is null)
        {
            return "the customer's yes";
        }
        return order.Facts.Gathering.Deposit is null ? "the deposit" : "its list of what to buy";
    }
}
