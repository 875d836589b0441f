using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Keeps what was asked, as it is typed: drafts too.</summary>
internal static class SaveAsk
{
    private const int LongestNote = 2000;
    private const int MostPlacements = 6;
    private const int FirstNumber = 201;

    /// <summary>Keeps the ask; a new order gets its number here.</summary>
    public static Versioned<Order> Do(SqliteConnection connection, Desk desk, string id, Ask ask, long seen, Deed deed)
    {
        var before = Aggregates.Orders.Get(connection, id);
        var book = desk.Book(connection);
        RefusedException.IfAny(Problems(ask, before?.Value.Ask, book, connection, desk.Clock.Wall(book.Numbers.TimeZone)));
        if (before is not null && QuoteStore.Standing(connection, id) is not null)
        {
            throw new RefusedException(409, "quote-sent", $"The quote of {before.Value.Code} is sent: its ask stands as quoted.", "Withdraw the quote first, then change the ask and send it again.");
        }
        var order = before is null
            ? new Order(id, OrderStore.NextNumber(connection, FirstNumber), ask, OrderFacts.None, desk.Clock.Utc)
            : before.Value with { Ask = ask };
        var version = Aggregates.Orders.Put(connection, order, seen, deed);
        return new(order, version);
    }

    /// <summary>What is wrong with an ask; unsaid parts are not wrong.</summary>
    public static IEnumerable<Problem> Problems(Ask ask, Ask? before, ShopBook book, SqliteConnection connection, DateTime wall)
    {
        if (ask.CustomerId is { } customer && Aggregates.Customers.Get(connection, customer) is null)
        {
            yield return new("unknown-customer", $"There is no customer \"{customer}\".", "customerId", "Type the name again, or add the customer.");
        }
        var style = book.Styles.FirstOrDefault(s => s.Id == ask.StyleId);
        if (ask.StyleId is not null && style is null)
        {
            yield return new("unknown-style", $"There is no style \"{ask.StyleId}\" on the Shelf.", "styleId", "Choose one that is there, or add it.");
        }
        else if (style is { Retired: true } && before?.StyleId != style.Id)
        {
            yield return new("retired-style", $"{style.Name} is no longer offered.", "styleId", "Choose another style.");
        }
        if (ask.ColourwayId is not null && style?.Colourways.Any(c => c.Id == ask.ColourwayId) != true)
        {
            yield return new("unknown-colour", $"{style?.Name ?? "The style"} has no colour \"{ask.ColourwayId}\".", "colourwayId", style is null ? "Choose a style first." : $"Its colours are {string.Join(", ", style.Colourways.Select(c => c.Name))}.");
        }
        for (var i = 0; i < ask.Sizes.Count; i++)
        {
            var size = ask.Sizes[i];
            if (size.Pieces is < 1 or > SizeRun.MostPieces)
            {
                yield return new("range", $"{size.Pieces} pieces of {size.Size} is outside 1 to {SizeRun.MostPieces}.", $"sizes[{i}].pieces", "Type whole pieces; leave a size out for none.");
            }
            if (style is not null && style.Sizes.All(s => s.Name != size.Size))
            {
                yield return new("unknown-size", $"\"{size.Size}\" is not a size of {style.Name}.", $"sizes[{i}].size", $"Its sizes are {string.Join(", ", style.Sizes.Select(s => s.Name))}.");
            }
        }
        foreach (var twice in ask.Sizes.GroupBy(s => s.Size).Where(g => g.Count() > 1))
        {
            yield return new("twice", $"The size {twice.Key} stands twice.", "sizes", "Add them up and write it once.");
        }
        if (ask.Sizes.Sum(s => (long)s.Pieces) > SizeRun.MostPieces)
        {
            yield return new("huge", $"{ask.Sizes.Sum(s => (long)s.Pieces)} pieces is more than one line can hold.", "sizes", $"At most {SizeRun.MostPieces} pieces a line.");
        }
        if (ask.Placements.Count > MostPlacements)
        {
            yield return new("placements", $"{ask.Placements.Count} placements is more than Hepno takes yet.", "placements", $"At most {MostPlacements}.");
        }
        foreach (var problem in ask.Placements.SelectMany(Places.Refusals))
        {
            yield return problem;
        }
        foreach (var twice in ask.Placements.GroupBy(p => p.Place).Where(g => g.Count() > 1))
        {
            yield return new("twice", $"{Places.Find(twice.Key)?.Name ?? twice.Key} stands twice.", "placements", "Each place takes one print.");
        }
        if (ask.DueAt is { } due && due < wall && ask.DueAt != before?.DueAt)
        {
            yield return new("past-due", $"{Shown.Moment(due, book.Numbers.Format)} is past.", "dueDate", "Type a day that is still to come.");
        }
        if (ask.DueDate is { } far && far > DateOnly.FromDateTime(wall).AddYears(2))
        {
            yield return new("far-due", $"{Shown.DayAndYear(far, book.Numbers.Format)} is more than two years away.", "dueDate", "Look at the year again.");
        }
        if (ask.DueTime is not null && ask.DueDate is null)
        {
            yield return new("hour-alone", "An hour stands without a day.", "dueTime", "Say the day too.");
        }
        if (ask.Mark is <= 0 or > 100_000)
        {
            yield return new("range", $"A mark of {ask.Mark:0.00} a piece is outside 0 to 100,000.", "mark", "Type the most they would pay for a piece, or leave it out.");
        }
        if (ask.Note?.Length > LongestNote)
        {
            yield return new("too-long", $"The note has {ask.Note.Length} characters.", "note", $"At most {LongestNote}.");
        }
    }
}
