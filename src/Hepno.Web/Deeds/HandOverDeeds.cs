using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What is counted, handed over in parts or whole, and closed.</summary>
internal static class HandOverDeeds
{
    /// <summary>Pieces counted into the box, by line and size; never more than came out good and is still
    /// here.</summary>
    public static long Count(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        IReadOnlyList<CountedSize> counted,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Standing.Station is not (Station.Press or Station.Send) || c.Run is null)
        {
            OrderDeeds.At(c, Station.Send, "count");
        }
        for (var i = 0; i < counted.Count; i++)
        {
            var one = counted[i];
            var sizes = c.Line(one.LineId).Asked.Sizes;
            if (sizes.All(s => s.Size != one.Size))
            {
                throw new RefusedException(
                    400,
                    "unknown-size",
                    $"\"{one.Size}\" is not in this order.",
                    remedy: $"Its sizes are {string.Join(", ", sizes.Select(s => s.Size))}.",
                    $"sizes[{i}].size"
                );
            }
            var good =
                c.Run!.Sizes.First(s => s.LineId == one.LineId && s.Size == one.Size).Good
                - c.Order.Facts.DeliveredOf(one.LineId, one.Size);
            if (one.Pieces < 0 || one.Pieces > good)
            {
                throw new RefusedException(
                    400,
                    "range",
                    $"{one.Pieces} of {one.Size} is outside 0 to {good}.",
                    remedy: "Count the good pieces that are here; a spare stays outside the box.",
                    $"sizes[{i}].pieces"
                );
            }
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Sending = f.Sending with { Counted = [.. counted.Where(s => s.Pieces > 0)] },
            }
        );
    }

    /// <summary>Gives what is counted to the customer and keeps the rest of the order on the line.</summary>
    public static long DeliverPart(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        string to,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        var counted = c.Order.Facts.Sending.Counted;
        if (c.Frozen is null || c.Standing.Station is not (Station.Press or Station.Send) || counted.Count == 0)
        {
            throw new RefusedException(
                409,
                "uncounted",
                $"Nothing of {c.Order.Code} is counted into a box.",
                remedy: "Count what goes out first."
            );
        }
        if (counted.Sum(x => x.Pieces) + c.Order.Facts.Delivered() >= c.Order.Ask.Pieces)
        {
            throw new RefusedException(
                409,
                "whole",
                "Everything that is left is in the box.",
                remedy: "Hand it over: that is the whole order."
            );
        }
        var name = OrderDeeds.Named(to, "to", "Who took it");
        var taken = OrderBalance.Reckon(c).Now;
        return OrderDeeds.Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Sending = f.Sending with
                {
                    Counted = [],
                    Parts = [.. f.Sending.Parts, new(name, deed.At, taken, counted)],
                },
            }
        );
    }

    /// <summary>Gives the pieces to the customer, once all are counted.</summary>
    public static long HandOver(SqliteConnection connection, OpenShop shop, OrderId id, string to, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.At(c, Station.Send, "hand it over");
        var (counted, wanted) = (
            c.Order.Facts.Sending.Counted.Sum(x => x.Pieces),
            c.Order.Ask.Pieces - c.Order.Facts.Delivered()
        );
        if (counted < wanted)
        {
            throw new RefusedException(
                409,
                "uncounted",
                $"{counted} of {wanted} pieces are counted.",
                remedy: "Count the rest into the box first."
            );
        }
        var name = OrderDeeds.Named(to, "to", "Who took it");
        return OrderDeeds.Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Sending = f.Sending with { HandOver = new(name, deed.At) },
            }
        );
    }

    /// <summary>Takes a hand-over back that did not happen.</summary>
    public static long TakeBack(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.At(c, Station.Learn, "take the hand-over back");
        return OrderDeeds.Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Sending = f.Sending with { HandOver = null },
            }
        );
    }

    /// <summary>Closes the order: it leaves the line.</summary>
    public static long Close(SqliteConnection connection, OpenShop shop, OrderId id, long seen, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        OrderDeeds.At(c, Station.Learn, "close it");
        return OrderDeeds.Put(connection, c, seen, deed, f => f with { End = f.End with { ClosedAt = deed.At } });
    }
}
