using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Keeps what was asked, as it is typed: drafts too.</summary>
internal static class SaveAsk
{
    private const int LongestNote = 2000;
    private const int MostPlacements = 6;
    private const int MostLines = 60;
    private const int LongestId = 64;
    private const int FirstNumber = 201;

    /// <summary>Keeps the ask; a new order gets its number here, and what is known of it from the first.</summary>
    public static Versioned<Order> Do(
        SqliteConnection connection,
        Desk desk,
        string id,
        Ask ask,
        long seen,
        Deed deed,
        Func<Order, OrderFacts>? known = null
    )
    {
        var before = Aggregates.Orders.Get(connection, id);
        var book = desk.Book(connection);
        ask = book.Places.Settled(Measured(connection, ask));
        RefusedException.IfAny(
            Problems(ask, before?.Value.Ask, book, connection, desk.Clock.Wall(book.Numbers.Identity.TimeZone))
        );
        if (before is not null && QuoteStore.Standing(connection, id) is not null)
        {
            throw new RefusedException(
                409,
                "quote-sent",
                $"The quote of {before.Value.Code} is sent: its ask stands as quoted.",
                "Withdraw the quote first, then change the ask and send it again."
            );
        }
        var order = before is null
            ? new Order(id, OrderStore.NextNumber(connection, FirstNumber), ask, OrderFacts.None, desk.Clock.Utc)
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
            order.Facts is { LaidOutAt: not null, Layouts: not null }
            && !LayoutDeeds.Hold(desk.Draft(connection, order, book), book)
        )
        {
            // other prints are bought now: they are looked at before they are quoted
            order = order with { Facts = order.Facts with { LaidOutAt = null } };
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
                                                    "Send the picture first.",
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
        var offered = (before.Facts.Offered ?? []).Where(w => ask.Lines.Any(l => l.Id == w.LineId)).ToList();
        var decisions = before.Facts.Decisions.Where(d => ask.Lines.Any(l => l.Id == d.LineId)).ToList();
        var more = ask.Lines.Any(l => before.Ask.Lines.All(b => b.Id != l.Id));
        var last = (before.Facts.LastTimes ?? []).Where(t => ask.Lines.Any(l => l.Id == t.LineId)).ToList();
        return before.Facts with
        {
            LastTimes = last.Count == 0 ? null : last,
            Decisions = decisions,
            Offered = offered.Count == 0 ? null : offered,
            LaidOutAt = more ? null : before.Facts.LaidOutAt,
        };
    }

    /// <summary>What is wrong with an ask; unsaid parts are not wrong.</summary>
    public static IEnumerable<Problem> Problems(
        Ask ask,
        Ask? before,
        ShopBook book,
        SqliteConnection connection,
        DateTime wall
    )
    {
        if (ask.CustomerId is { } customer && Aggregates.Customers.Get(connection, customer) is null)
        {
            yield return new(
                "unknown-customer",
                $"There is no customer \"{customer}\".",
                "customerId",
                "Type the name again, or add the customer."
            );
        }
        if (ask.Lines.Count is 0 or > MostLines)
        {
            yield return new("lines", $"{ask.Lines.Count} lines.", "lines", $"An order has 1 to {MostLines} lines.");
        }
        for (var i = 0; i < ask.Lines.Count; i++)
        {
            foreach (
                var problem in LineProblems(
                    ask,
                    ask.Lines[i],
                    $"lines[{i}]",
                    before?.Lines.FirstOrDefault(l => l.Id == ask.Lines[i].Id),
                    book,
                    wall
                )
            )
            {
                yield return problem;
            }
        }
        foreach (var twice in ask.Lines.GroupBy(l => l.Id).Where(g => g.Count() > 1))
        {
            yield return new(
                "twice",
                $"Two lines are called \"{twice.Key}\".",
                "lines",
                "Give each line an id of its own."
            );
        }
        foreach (var twice in ask.Lines.SelectMany(l => l.Placements).GroupBy(p => p.Id).Where(g => g.Count() > 1))
        {
            yield return new(
                "twice",
                $"Two placements are called \"{twice.Key}\".",
                "lines",
                "Give each placement an id of its own."
            );
        }
        if (ask.Shipping is { } shipping && book.Carrier?.Find(shipping.Zone) is null)
        {
            yield return new(
                "unknown-zone",
                $"There is no zone \"{shipping.Zone}\".",
                "shipping.zone",
                $"Use one of {string.Join(", ", book.Carrier?.Zones.Select(z => z.Id) ?? [])}."
            );
        }
        if (ask.DueAt is { } due && due < wall && ask.DueAt != before?.DueAt)
        {
            yield return new(
                "past-due",
                $"{Shown.Moment(due, book.Numbers.Format)} is past.",
                "dueDate",
                "Type a day that is still to come."
            );
        }
        if (ask.DueDate is { } far && far > DateOnly.FromDateTime(wall).AddYears(2))
        {
            yield return new(
                "far-due",
                $"{Shown.DayAndYear(far, book.Numbers.Format)} is more than two years away.",
                "dueDate",
                "Look at the year again."
            );
        }
        if (ask.DueTime is not null && ask.DueDate is null)
        {
            yield return new("hour-alone", "An hour stands without a day.", "dueTime", "Say the day too.");
        }
        if (ask.Note?.Length > LongestNote)
        {
            yield return new(
                "too-long",
                $"The note has {ask.Note.Length} characters.",
                "note",
                $"At most {LongestNote}."
            );
        }
    }

    private static IEnumerable<Problem> LineProblems(
        Ask ask,
        AskLine line,
        string where,
        AskLine? before,
        ShopBook book,
        DateTime wall
    )
    {
        if (line.Id.Length is 0 or > LongestId)
        {
            yield return new(
                "bad-id",
                $"A line id of {line.Id.Length} characters.",
                $"{where}.id",
                $"Between 1 and {LongestId}, made by the device."
            );
        }
        var style = book.Styles.FirstOrDefault(s => s.Id == line.StyleId);
        if (line.StyleId is not null && style is null)
        {
            yield return new(
                "unknown-style",
                $"There is no style \"{line.StyleId}\" on the Shelf.",
                $"{where}.styleId",
                "Choose one that is there, or add it."
            );
        }
        else if (style is { Retired: true } && before?.StyleId != style.Id)
        {
            yield return new(
                "retired-style",
                $"{style.Name} is no longer offered.",
                $"{where}.styleId",
                "Choose another style."
            );
        }
        if (line.ColourwayId is not null && style?.Colourways.Any(c => c.Id == line.ColourwayId) != true)
        {
            yield return new(
                "unknown-colour",
                $"{style?.Name ?? "The style"} has no colour \"{line.ColourwayId}\".",
                $"{where}.colourwayId",
                style is null
                    ? "Choose a style first."
                    : $"Its colours are {string.Join(", ", style.Colourways.Select(c => c.Name))}."
            );
        }
        for (var i = 0; i < line.Sizes.Count; i++)
        {
            var size = line.Sizes[i];
            if (size.Pieces is < 1 or > SizeRun.MostPieces)
            {
                yield return new(
                    "range",
                    $"{size.Pieces} pieces of {size.Size} is outside 1 to {SizeRun.MostPieces}.",
                    $"{where}.sizes[{i}].pieces",
                    "Type whole pieces; leave a size out for none."
                );
            }
            if (style is not null && style.Sizes.All(s => s.Name != size.Size))
            {
                yield return new(
                    "unknown-size",
                    $"\"{size.Size}\" is not a size of {style.Name}.",
                    $"{where}.sizes[{i}].size",
                    $"Its sizes are {string.Join(", ", style.Sizes.Select(s => s.Name))}."
                );
            }
        }
        foreach (var twice in line.Sizes.GroupBy(s => s.Size).Where(g => g.Count() > 1))
        {
            yield return new(
                "twice",
                $"The size {twice.Key} stands twice.",
                $"{where}.sizes",
                "Add them up and write it once."
            );
        }
        if (line.Sizes.Sum(s => (long)s.Pieces) > SizeRun.MostPieces)
        {
            yield return new(
                "huge",
                $"{line.Sizes.Sum(s => (long)s.Pieces)} pieces is more than one line can hold.",
                $"{where}.sizes",
                $"At most {SizeRun.MostPieces} pieces a line."
            );
        }
        if (line.Placements.Count > MostPlacements)
        {
            yield return new(
                "placements",
                $"{line.Placements.Count} placements is more than Hepno takes yet.",
                $"{where}.placements",
                $"At most {MostPlacements}."
            );
        }
        foreach (
            var problem in line.Placements.SelectMany(
                (p, i) => PlacementRules.Refusals(p, $"{where}.placements[{i}]", book.Places)
            )
        )
        {
            yield return problem;
        }
        foreach (var problem in PlacementRules.Sharing(line.Placements, $"{where}.placements"))
        {
            yield return problem;
        }
        var names = line.Names ?? [];
        for (var i = 0; i < names.Count; i++)
        {
            if (names[i].Problem($"Row {i + 1} of the names", $"{where}.names[{i}]") is { } problem)
            {
                yield return problem;
            }
        }
        if (names.Count > SizeRun.MostPieces)
        {
            yield return new(
                "huge",
                $"{names.Count} names is more than one line can hold.",
                $"{where}.names",
                $"At most {SizeRun.MostPieces} pieces a line."
            );
        }
        if (line.Given < 0 || line.Given > Math.Max(0, line.Pieces - 1))
        {
            yield return new(
                "range",
                $"{line.Given} of {line.Pieces} pieces given.",
                $"{where}.given",
                "Fewer than all of them, or 0."
            );
        }
        if (line.DueDate is { } own && ask.DueDate is { } due && own > due)
        {
            yield return new(
                "later-than-order",
                $"A line wanted on {own:yyyy-MM-dd} is after the order's {due:yyyy-MM-dd}.",
                $"{where}.dueDate",
                "The order's day is its last one: move that, or take the line's own day out."
            );
        }
        if (line.DueDate is not null && ask.DueDate is null)
        {
            yield return new(
                "day-alone",
                "A line has a day and the order has none.",
                $"{where}.dueDate",
                "Say the order's day too: its last one."
            );
        }
        if (line.DueDate is { } day && day < DateOnly.FromDateTime(wall) && before?.DueDate != day)
        {
            yield return new(
                "past-due",
                $"{day:yyyy-MM-dd} is past.",
                $"{where}.dueDate",
                "Type a day that is still to come."
            );
        }
        if (line.Mark is <= 0 or > 100_000)
        {
            yield return new(
                "range",
                $"A mark of {line.Mark:0.00} a piece is outside 0 to 100,000.",
                $"{where}.mark",
                "Type the most they would pay for a piece, or leave it out."
            );
        }
    }
}
