using Hepno.Core.Blanks;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Begins an order from an old one: the same ask made the same way, at today's prices, without its date and
/// its mark.</summary>
internal static class OrderAgain
{
    /// <summary>Makes the new order; sent again with the same id it is the same order. A blank that is no longer
    /// offered is left to be said, and so is a way that cannot do it any more.</summary>
    public static Versioned<Order> Do(
        SqliteConnection connection,
        OpenShop shop,
        OrderId oldId,
        OrderId newId,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var old = shop.Case(connection, oldId, book);
        if (Aggregates.Orders.Get(connection, newId) is { } made)
        {
            return made;
        }
        var ask = old.Order.Ask with
        {
            DueDate = null,
            DueTime = null,
            Lines =
            [
                .. old.Order.Ask.Lines.Select(l =>
                    Today(l, book.Of<Style>().FirstOrDefault(s => s.Id == l.StyleId && !s.Retired))
                ),
            ],
        };
        var last = (old.Frozen?.Lines ?? [])
            .Select(l => new LastTime(
                l.LineId,
                old.Order.Code,
                l.Band.MethodId,
                l.Band.Outcome.Price,
                old.Quote!.SentAt
            ))
            .ToList();
        return SaveAsk.Do(connection, shop, newId, ask, 0, deed, order =>
            order.Facts with
            {
                Choice = order.Facts.Choice with
                {
                    LastTimes = last,
                    Decisions =
                    [
                        .. last.Where(t => StillDoes(shop.Draft(connection, order, book).Line(t.LineId), t, book))
                            .Select(t => new Decision(
                                t.LineId,
                                t.MethodId,
                                deed.At,
                                Why: $"As last time, in {t.Code}."
                            )),
                    ],
                },
            }
        );
    }

    private static bool StillDoes(LineCase line, LastTime last, ShopBook book) =>
        line.InHand is { } ask
        && book.Presses.Count > 0
        && DecorationMethods.Find(last.MethodId)?.Answer(ask, book) is { Decorations.Count: > 0 };

    /// <summary>A line at today's shelf: what is no longer offered is left to be said.</summary>
    public static AskLine Today(AskLine line, Style? style) =>
        style is null
            ? line with
            {
                StyleId = null,
                ColourwayId = null,
                Sizes = [],
                Mark = null,
            }
            : line with
            {
                ColourwayId = style.Colourways.Any(c => c.Id == line.ColourwayId) ? line.ColourwayId : null,
                Sizes = [.. line.Sizes.Where(s => style.Sizes.Any(z => z.Name == s.Size))],
                Mark = null,
                Given = 0,
                DueDate = null,
            };
}
