using System.Collections.Concurrent;
using Hepno.Core.Comparing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using Hepno.Store;
using Hepno.Web.Wire;

namespace Hepno.Web.Held;

/// <summary>A sent line that today's prices move.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Its number as written, with its line.</param>
/// <param name="Price">Sold at, a piece.</param>
/// <param name="CostThen">Cost a piece when it was sent.</param>
/// <param name="CostNow">Cost a piece now; null where its way cannot do it any more.</param>
/// <param name="MarginThen">Profit as a share of the price then.</param>
/// <param name="MarginNow">Profit as a share of the price now.</param>
/// <param name="FellUnder">True where it fell under the floor, or its way cannot.</param>
public sealed record RecostedView(
    OrderId OrderId,
    string Code,
    decimal Price,
    decimal CostThen,
    decimal? CostNow,
    Share MarginThen,
    Share MarginNow,
    bool FellUnder
);

/// <summary>How far re-costing has come; once it is done, what it found.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Done">Quotes looked at.</param>
/// <param name="Of">Of so many.</param>
/// <param name="IsDone">True when it is over.</param>
/// <param name="Fell">Lines that fell under the floor.</param>
/// <param name="Moved">Lines whose cost moved by more than a hundredth of a unit.</param>
/// <param name="FloorShare">The floor: the least margin under Numbers.</param>
/// <param name="Lines">Those that moved most, what fell under the floor first; at most two hundred.</param>
/// <param name="Trouble">Why it ended before the last; empty when it did not.</param>
public sealed record RecostView(
    string Id,
    int Done,
    int Of,
    bool IsDone,
    int Fell,
    int Moved,
    Share FloorShare,
    IReadOnlyList<RecostedView> Lines,
    string Trouble = ""
);

/// <summary>Re-costs the quotes that stand at the prices of today while the owner does something else. Nothing is
/// changed by it.</summary>
internal sealed partial class Recosting(OpenShop shop, ILogger<Recosting> log)
{
    private const int MostShown = 200;
    private const int MostKept = 5;
    private readonly ConcurrentDictionary<string, RecostView> views = new();

    /// <summary>Begins one; a second asked for while one runs is the same.</summary>
    public RecostView Begin()
    {
        if (views.Values.FirstOrDefault(v => !v.IsDone) is { } running)
        {
            return running;
        }
        foreach (var old in views.Keys.Take(Math.Max(0, views.Count - MostKept)))
        {
            views.TryRemove(old, out _);
        }
        var id = Guid.NewGuid().ToString("N");
        var view = views[id] = new(id, 0, Of: 0, false, 0, Moved: 0, default, []);
        _ = Task.Run(() => Run(id));
        return view;
    }

    public RecostView Look(string id) => views.GetValueOrDefault(id) ?? throw RefusedException.NoSuch("re-costing", id);

    private void Run(string id)
    {
        try
        {
            var (book, orders, quoted, customers, made) = shop.Db.Read(connection =>
            {
                var standing = OrderStore.Quoted(connection);
                return (
                    shop.Book(connection),
                    standing,
                    QuoteStore.StandingLines(connection),
                    Aggregates.Customers.All(connection).ToDictionary(c => c.Value.Id, c => c.Value),
                    standing
                        .Where(o => o.Value.Ask.HasArtwork())
                        .ToDictionary(o => o.Value.Id, o => MadeStore.Before(connection, o.Value.Id))
                );
            });
            var sketch = new LayoutSketch(book.Layouts);
            var moved = new List<RecostedView>();
            for (var i = 0; i < orders.Count; i++)
            {
                var order = orders[i].Value;
                moved.AddRange(
                    Lines(
                        order,
                        quoted,
                        book.For(order.Ask.CustomerId is { } who ? customers.GetValueOrDefault(who) : null),
                        sketch,
                        made.GetValueOrDefault(order.Id)
                    )
                );
                if (i % 50 == 49)
                {
                    views[id] = views[id] with { Done = i + 1, Of = orders.Count };
                }
            }
            views[id] = new(
                id,
                orders.Count,
                Of: orders.Count,
                true,
                moved.Count(l => l.FellUnder),
                Moved: moved.Count,
                book.Numbers.Prices.LeastMarginShare,
                [
                    .. moved
                        .OrderByDescending(l => l.FellUnder)
                        .ThenByDescending(l => Math.Abs((l.CostNow ?? 0) - l.CostThen))
                        .Take(MostShown),
                ]
            );
        }
        catch (Exception broken)
        {
            // nobody waits for one that is over, and nobody takes it for whole
            EndedEarly(log, broken);
            views[id] = views[id] with { IsDone = true, Trouble = "It could not be finished; the log says why." };
        }
    }

    [LoggerMessage(LogLevel.Error, "Re-costing ended before the last quote.")]
    private static partial void EndedEarly(ILogger log, Exception broken);

    private static IEnumerable<RecostedView> Lines(
        Order order,
        ILookup<OrderId, QuotedLine> quoted,
        ShopBook book,
        LayoutSketch sketch,
        IReadOnlyList<MadeBefore>? made
    )
    {
        var inHand = AsksInHand.Of(order.Ask, book, order.Facts, made);
        foreach (var line in quoted[order.Id])
        {
            var at = order.Ask.Lines.ToList().FindIndex(l => l.Id == line.LineId);
            // what is given away has no margin to fall under
            if (at < 0 || line.Price <= 0 || inHand[at].InHand is not { } ask)
            {
                continue;
            }
            var now = Recosted.Reckon(ask, line.MethodId, line.Price, line.Cost, book, sketch);
            if (
                now.CostNow is null
                || Money.Charged(now.CostNow.Value - line.Cost, book.Numbers.Format.MinorDigits) != 0
            )
            {
                yield return new(
                    order.Id,
                    $"{order.Code}{(order.Ask.Lines.Count > 1 ? $" line {at + 1}" : "")}",
                    line.Price,
                    line.Cost,
                    now.CostNow,
                    now.MarginThen,
                    now.MarginNow,
                    now.FellUnder
                );
            }
        }
    }
}
