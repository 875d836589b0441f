using Hepno.Core.Comparing;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Quoting;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>What an offered setting does to an order that is not sent off yet.</summary>
/// <param name="Code">Order.</param>
/// <param name="Cost">Cost a piece now.</param>
/// <param name="CostThen">Cost a piece with the setting.</param>
/// <param name="MarginShare">Margin at its price now.</param>
/// <param name="MarginThen">Margin at the same price with the setting.</param>
/// <param name="Sent">True when its quote is sent: its price stands whatever is learned.</param>
public sealed record EffectView(
    string Code,
    decimal Cost,
    decimal CostThen,
    Share MarginShare,
    decimal MarginThen,
    bool Sent
);

/// <summary>One setting offered to change.</summary>
/// <param name="Key">hands or spoilage.</param>
/// <param name="MethodId">Method; empty for hands.</param>
/// <param name="Sentence">What would change, from what to what, on how many pieces.</param>
/// <param name="Value">The value it would get.</param>
/// <param name="Effects">Open orders it touches, the most touched first.</param>
public sealed record OfferView(
    string Key,
    MethodId MethodId,
    string Sentence,
    double Value,
    IReadOnlyList<EffectView> Effects
);

/// <summary>Everything the shop's own work has taught.</summary>
/// <param name="Seconds">Hands by method and place.</param>
/// <param name="Steps">Seconds by method and step.</param>
/// <param name="Spoilage">Spoilage by method and place.</param>
/// <param name="Offer">The setting that changes most, or null when none does.</param>
/// <param name="Version">Version of the numbers it would change.</param>
/// <param name="ReadSoFar">Orders read so far while all are read anew; 0 when all are.</param>
/// <param name="ReadOf">Of so many; 0 when all are.</param>
internal sealed record LearningView(
    IReadOnlyList<SecondsLearned> Seconds,
    IReadOnlyList<StepLearned> Steps,
    IReadOnlyList<SpoiledLearned> Spoilage,
    OfferView? Offer,
    long Version,
    int ReadSoFar,
    int ReadOf
)
{
    // so many are read while somebody waits; more are read in the background, and said
    private const int MostAtOnce = 20;

    /// <summary>What the shop's own work has taught; read again while past orders are still being read.</summary>
    public static LearningView Kept(OpenShop shop, SqliteConnection connection) =>
        shop.OfToday(connection, () => Read(connection, shop), view => view.ReadOf == 0);

    /// <summary>Everything learned so far, and what it would change on open orders.</summary>
    public static LearningView Read(SqliteConnection connection, OpenShop shop)
    {
        var book = shop.Book(connection);
        var missing = LearnedStore.Missing(connection, ShopLearning.Rule, MostAtOnce + 1);
        var parts = LearnedStore.Totals(connection, ShopLearning.Rule, missing.Select(m => m.OrderId.Text));
        var (done, of) = (0, 0);
        if (missing.Count > MostAtOnce)
        {
            (of, var left) = LearnedStore.Count(connection, ShopLearning.Rule);
            done = of - left;
        }
        else if (missing.Count > 0)
        {
            parts = [.. LearnedPart.Sum(parts.Concat(missing.SelectMany(m => PartsOf(connection, shop, m.OrderId))))];
        }
        var spoilage = DecorationMethods.All.ToDictionary(
            m => m.Id,
            m => (m.SpoilageAssumed, book.Numbers.Rates.SpoilageOf(m.Id, m.SpoilageAssumed))
        );
        var open = shop.Open(connection, book).Where(c => c.Standing.Station < Station.Press).ToList();
        var offers = ShopLearning
            .Candidates(parts, book.Numbers.Floor.HandsFactor, spoilage)
            .Select(c => Offered(c, open, book))
            .OrderByDescending(o => o.Effects.Sum(e => Math.Abs(e.CostThen - e.Cost)))
            .ToList();
        return new(
            ShopLearning.Seconds(parts),
            ShopLearning.Steps(parts),
            ShopLearning.Spoilage(parts),
            offers.Count > 0 ? offers[0] : null,
            Aggregates.Numbers.Get(connection, "1")?.Version ?? 0,
            done,
            ReadOf: of
        );
    }

    /// <summary>What one order that was handed over taught.</summary>
    public static IReadOnlyList<LearnedPart> PartsOf(SqliteConnection connection, OpenShop shop, OrderId orderId)
    {
        var c = shop.Case(connection, orderId, shop.Book(connection));
        return c.Frozen is null ? [] : [.. ShopLearning.Parts([.. Recorded(c)]), .. Earned(c)];
    }

    private static IEnumerable<LearnedPart> Earned(OrderCase c) =>
        LearnViews.HeldOf(c) is { } held
            ?
            [
                new(
                    LearnedKind.Earned,
                    "",
                    "",
                    (double)held.Earned.Value,
                    Recorded: held.Lines.Sum(l => l.Held.HandsSeconds) / 3600,
                    1,
                    Spoiled: 0
                ),
            ]
            : [];

    /// <summary>The numbers with a setting taken.</summary>
    public static ShopNumbers With(ShopNumbers n, string key, MethodId methodId, double value) =>
        key == "hands"
            ? n with
            {
                Floor = n.Floor with { HandsFactor = value },
            }
            : n with
            {
                Rates = n.Rates.WithSpoilage(new(methodId, value)),
            };

    private static IEnumerable<LineRecorded> Recorded(OrderCase c) =>
        c.Frozen!.Lines.Select(l => new LineRecorded(
            [.. l.Band.Decorations.Select(l.Band.WayOf)],
            [.. l.Band.Decorations.Select(d => d.Placement.At().Name)],
            l.PressingSeconds / c.Frozen.Numbers.Floor.HandsFactor,
            RunReplay.OfLine(c.RunLines, l.LineId, c.Events),
            [.. Passes(l, c.Frozen.Numbers.Floor.Standards()).Select(LapStandards.Seconds)],
            [.. l.Band.Decorations.Select((d, i) => (d, i)).Where(x => !x.d.Finishes.IsNone).Select(x => x.i + 1)]
        ));

    // what is done before the first decoration belongs to its pass, looking at the piece to the last
    private static IEnumerable<IReadOnlyList<WorkStep>> Passes(FrozenLine l, StepStandards standards) =>
        l.Band.Decorations.Select(
            (d, i) =>
                (IReadOnlyList<WorkStep>)
                    [
                        .. i == LineFloor.FirstPressed(l.Band.Decorations)
                            ? LineFloor.Before(l.Style.Kind, l.Band.Decorations, standards)
                            : [],
                        .. d.Steps,
                        .. i == l.Band.Decorations.Count - 1 ? standards.After.Take(1) : [],
                    ]
        );

    private static OfferView Offered(Candidate c, IReadOnlyList<OrderCase> open, ShopBook book)
    {
        var f = book.Numbers.Format;
        var then = book with { Numbers = With(book.Numbers, c.Key, c.MethodId, c.Learned) };
        var effects = open.SelectMany(o =>
                o.Lines.Where(l => l.InHand is not null && l.Decision is not null).Select(l => Effect(o, l, book, then))
            )
            .OfType<EffectView>()
            .Where(e => e.Cost != e.CostThen)
            .OrderByDescending(e => Math.Abs(e.CostThen - e.Cost))
            .ToList();
        var sentence =
            c.Key == "hands"
                ? $"Your hands take {Shown.Number(c.Learned * 100, 0, f)}% of the standard at the press; "
                    + $"{Shown.Number(c.Now * 100, 0, f)}% is set. {c.Seen} timings."
                : $"{DecorationMethods.Find(c.MethodId)!.Name}: {Shown.Number(c.Learned * 100, 1, f)} in 100 "
                    + $"attempts are spoiled; {Shown.Number(c.Now * 100, 1, f)} is set. {c.Seen} attempts.";
        return new(c.Key, c.MethodId, sentence, c.Learned, effects);
    }

    private static EffectView? Effect(OrderCase o, LineCase l, ShopBook now, ShopBook then)
    {
        var method = DecorationMethods.Find(l.Decision!.MethodId)!;
        var (a, b) = (method.Answer(l.InHand!, now).Decorations, method.Answer(l.InHand!, then).Decorations);
        if (a.Count == 0 || b.Count == 0)
        {
            return null;
        }
        var (before, after) = (LineCost.Reckon(l.InHand!, a, now), LineCost.Reckon(l.InHand!, b, then));
        var price = l.Frozen?.Band.Outcome.Price
            ?? LinePrice.Reckon(l.InHand!, a, before, now, l.Decision.TypedPrice).Each;
        var fees = LineCost.Fees(l.InHand!, now).On(price);
        return new(
            o.CodeOf(l.Asked.Id),
            before.Cost.Value,
            CostThen: after.Cost.Value,
            new((price - fees - before.Cost.Value) / price),
            (price - fees - after.Cost.Value) / price,
            o.Quote is not null
        );
    }
}
