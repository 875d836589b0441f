using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>A price and since when.</summary>
/// <param name="Since">The day, as shown.</param>
/// <param name="Price">The price.</param>
/// <param name="Now">True for the one that holds.</param>
internal sealed record PriceSince(string Since, decimal Price, bool Now);

/// <summary>What one price of a thing has been.</summary>
/// <param name="What">Of what: "a piece", "11 × 11 from 24".</param>
/// <param name="Steps">Oldest first.</param>
internal sealed record PriceLine(string What, IReadOnlyList<PriceSince> Steps)
{
    /// <summary>Every price of a thing as it stands, with what each was before.</summary>
    public static List<PriceLine> Lines<T>(
        SqliteConnection c,
        OpenShop shop,
        Aggregate<T> aggregate,
        string id,
        Func<T, IEnumerable<(string What, decimal Price)>> prices
    )
        where T : class
    {
        var n = OpenShop.Numbers(c);
        var states = aggregate
            .States(c, id)
            .Select(s =>
                (s.From, Prices: prices(s.Value).DistinctBy(p => p.What).ToDictionary(p => p.What, p => p.Price))
            )
            .ToList();
        return states.Count == 0
            ? throw RefusedException.NoSuch("thing with a price", id)
            :
            [
                .. states[^1]
                    .Prices.Keys.Select(what =>
                    {
                        var held = states
                            .Where(s => s.Prices.ContainsKey(what))
                            .Select(s => (s.From, Price: s.Prices[what]))
                            .ToList();
                        var steps = held.Where((s, i) => i == 0 || s.Price != held[i - 1].Price).ToList();
                        return new PriceLine(
                            what,
                            [
                                .. steps.Select(
                                    (s, i) =>
                                        new PriceSince(
                                            Shown.DayAndYear(WallClock.Day(s.From, n.Identity.TimeZone), n.Format),
                                            s.Price,
                                            i == steps.Count - 1
                                        )
                                ),
                            ]
                        );
                    }),
            ];
    }
}
