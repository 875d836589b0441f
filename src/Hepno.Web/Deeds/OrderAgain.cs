using Hepno.Core.Orders;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Begins an order from an old one: the same ask at today's prices, without its date and its mark.</summary>
internal static class OrderAgain
{
    /// <summary>Makes the new order; sent again with the same id it is the same order. A blank that is no longer offered is left to be said.</summary>
    public static Versioned<Order> Do(SqliteConnection connection, Desk desk, string oldId, string newId, Deed deed)
    {
        var old = Aggregates.Orders.Get(connection, oldId) ?? throw RefusedException.NoSuch("order", oldId);
        if (Aggregates.Orders.Get(connection, newId) is { } made)
        {
            return made;
        }
        var ask = old.Value.Ask with { DueDate = null, DueTime = null, Mark = null };
        var style = desk.Book(connection).Styles.FirstOrDefault(s => s.Id == ask.StyleId && !s.Retired);
        if (style is null)
        {
            ask = ask with { StyleId = null, ColourwayId = null, Sizes = [] };
        }
        else
        {
            ask = ask with { ColourwayId = style.Colourways.Any(c => c.Id == ask.ColourwayId) ? ask.ColourwayId : null, Sizes = [.. ask.Sizes.Where(s => style.Sizes.Any(z => z.Name == s.Size))] };
        }
        return SaveAsk.Do(connection, desk, newId, ask, 0, deed);
    }
}
