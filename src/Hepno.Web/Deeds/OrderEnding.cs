using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Takes an order off the line that is not handed over, and brings it back.</summary>
internal static class OrderEnding
{
    /// <summary>Ends it. What was set aside for it is free from then on; what it teaches is counted.</summary>
    public static long End(SqliteConnection connection, OpenShop shop, OrderId id, Ending ending, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (Ending.Hindrance(ending.Kind, c.Order) is { } hindrance)
        {
            throw new RefusedException(409, [hindrance]);
        }
        RefusedException.IfAny([.. ending.Problems()]);
        if (
            c.Order.Facts.Gathering.Items.Any(i => i.Kind == GatherKind.Buy && i.DoneAt is null)
            && Together(connection, c.Order) is { Length: > 0 } other
        )
        {
            throw new RefusedException(
                409,
                "film-together",
                $"The film of {c.Order.Code} is bought together with {other} and is not here yet.",
                remedy: "Part them under Lay out first."
            );
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                End = f.End with { Ending = ending, ClosedAt = ending.At },
            }
        );
    }

    /// <summary>Brings it back: it stands where it stood.</summary>
    public static long BringBack(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Order.Facts.End.Ending is null)
        {
            throw new RefusedException(
                409,
                "not-ended",
                $"{c.Order.Code} was not declined, lost or cancelled.",
                remedy: c.Order.Facts.End.ClosedAt is null ? "It stands on the line." : "It was handed over and closed."
            );
        }
        var kept = DrawerStore.All(connection);
        var spoken = DrawerStore.SpokenFor(connection, id, default);
        var waiting = c.Order.Facts.Layout.Drawer.Where(d =>
            c.Order.Facts.Gathering.Items.All(i => i.Id != $"drawer-{d.Key}" || i.DoneAt is null)
        );
        // several prints of an order may take from the same transfers
        foreach (var (keptId, count) in waiting.GroupBy(d => d.KeptId).Select(g => (g.Key, g.Sum(d => d.Count))))
        {
            var left = (kept.FirstOrDefault(k => k.Id == keptId)?.OnHand() ?? 0) - spoken.GetValueOrDefault(keptId);
            if (left < count)
            {
                throw new RefusedException(
                    409,
                    "drawer-taken",
                    $"{c.Order.Code} used {count} transfers of the drawer; another order has taken them since, "
                        + $"{Math.Max(0, left)} are left.",
                    remedy: "Begin it again from the customer's card: the same again."
                );
            }
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                End = f.End with { Ending = null, ClosedAt = null },
            }
        );
    }

    private static string Together(SqliteConnection connection, Order order)
    {
        if (order.Facts.Layout.Joined is { Count: > 0 } joined)
        {
            return joined[0].WithCode;
        }
        return OrderStore.JoinedWith(connection, order.Id) is { } other ? $"T-{other}" : "";
    }
}
