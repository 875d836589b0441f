using Hepno.Core.Blanks;
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
        var styles = desk.Book(connection).Styles;
        var ask = old.Value.Ask with { DueDate = null, DueTime = null, Lines = [.. old.Value.Ask.Lines.Select(l => Today(l, styles.FirstOrDefault(s => s.Id == l.StyleId && !s.Retired)))] };
        return SaveAsk.Do(connection, desk, newId, ask, 0, deed);
    }

    /// <summary>A line at today's shelf: what is no longer offered is left to be said.</summary>
    public static AskLine Today(AskLine line, Style? style) => style is null ? line with { StyleId = null, ColourwayId = null, Sizes = [], Mark = null } : line with
    {
        ColourwayId = style.Colourways.Any(c => c.Id == line.ColourwayId) ? line.ColourwayId : null,
        Sizes = [.. line.Sizes.Where(s => style.Sizes.Any(z => z.Name == s.Size))],
        Mark = null,
        Given = 0,
        DueDate = null,
    };
}
