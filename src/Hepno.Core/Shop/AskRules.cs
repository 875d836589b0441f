using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using NodaTime;

namespace Hepno.Core.Shop;

/// <summary>What cannot be kept of an ask. What is not said yet is never wrong: drafts are kept.</summary>
public static class AskRules
{
    /// <summary>Most lines of an order.</summary>
    public const int MostLines = 60;

    private const int MostYearsAhead = 2;

    /// <summary>What is wrong with an ask.</summary>
    /// <param name="ask">The ask.</param>
    /// <param name="before">As it was kept before, or null: what was past or retired then may stay.</param>
    /// <param name="book">What the shop keeps.</param>
    /// <param name="wall">Now, wall clock.</param>
    public static IEnumerable<Problem> Refusals(Ask ask, Ask? before, ShopBook book, LocalDateTime wall) =>
        [
            .. Lines(ask),
            .. ask.Lines.SelectMany(
                (line, i) =>
                    AskLineRules.Refusals(
                        ask,
                        line,
                        $"lines[{i}]",
                        before?.Lines.FirstOrDefault(l => l.Id == line.Id),
                        book,
                        wall
                    )
            ),
            .. Twice("line", ask.Lines.Select(l => l.Id)),
            .. Twice("placement", ask.Lines.SelectMany(l => l.Placements).Select(p => p.Id)),
            .. Sent(ask, book),
            .. Due(ask, before, book, wall),
            .. ask.Details.Problems(),
        ];

    private static IEnumerable<Problem> Lines(Ask ask)
    {
        if (ask.Lines.Count is 0 or > MostLines)
        {
            yield return new(
                "lines",
                $"{ask.Lines.Count} lines.",
                Where: "lines",
                $"An order has 1 to {MostLines} lines."
            );
        }
    }

    private static IEnumerable<Problem> Twice<TId>(string what, IEnumerable<TId> ids)
        where TId : struct, IId<TId> =>
        ids.GroupBy(id => id)
            .Where(g => g.Count() > 1)
            .Select(g => new Problem(
                "twice",
                $"Two {what}s are called \"{g.Key}\".",
                Where: "lines",
                $"Give each {what} an id of its own."
            ));

    private static IEnumerable<Problem> Sent(Ask ask, ShopBook book)
    {
        if (ask.Shipping is { } shipping && book.Carrier?.Find(shipping.Zone) is null)
        {
            yield return new(
                "unknown-zone",
                $"There is no zone \"{shipping.Zone}\".",
                Where: "shipping.zone",
                $"Use one of {string.Join(", ", book.Carrier?.Zones.Select(z => z.Id) ?? [])}."
            );
        }
    }

    private static IEnumerable<Problem> Due(Ask ask, Ask? before, ShopBook book, LocalDateTime wall)
    {
        if (ask.DueAt is { } due && due < wall && ask.DueAt != before?.DueAt)
        {
            yield return new(
                "past-due",
                $"{Shown.Moment(due, book.Numbers.Format)} is past.",
                Where: "dueDate",
                "Type a day that is still to come."
            );
        }
        if (ask.DueDate is { } far && far > wall.Date.PlusYears(MostYearsAhead))
        {
            yield return new(
                "far-due",
                $"{Shown.DayAndYear(far, book.Numbers.Format)} is more than two years away.",
                Where: "dueDate",
                "Look at the year again."
            );
        }
        if (ask.DueTime is not null && ask.DueDate is null)
        {
            yield return new("hour-alone", "An hour stands without a day.", Where: "dueTime", "Say the day too.");
        }
    }
}
