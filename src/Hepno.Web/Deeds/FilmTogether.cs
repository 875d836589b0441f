using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Film of two orders bought as one: what it would save each, and doing it once both have said yes.</summary>
internal static class FilmTogether
{
    private const int MostOffers = 2;

    /// <summary>An order's number as written.</summary>
    public static string CodeOf(SqliteConnection connection, string orderId) =>
        Aggregates.Orders.Get(connection, orderId)?.Value.Code ?? orderId;

    /// <summary>Waiting orders with a settled layout on the same film, the most saving first.</summary>
    public static IReadOnlyList<LayoutJoin> Offers(SqliteConnection connection, LineOnFilm l)
    {
        if (
            l.On.Roll is { IsOwn: true }
            || !BoughtFilm.IsOpen(l.Case, l.Line.Asked)
            || l.Layout.Designs.Any(d => d.For.Length > 0)
        )
        {
            return [];
        }
        return
        [
            .. OrderStore
                .Open(connection)
                .Where(o => o.Value.Id != l.Case.Order.Id)
                .SelectMany(o =>
                    o.Value.Ask.Lines.Select(line =>
                        (Order: o.Value, Line: line, Layout: o.Value.Facts.LayoutOf(line.Id))
                    )
                )
                .Where(x =>
                    x.Layout is { } y
                    && y.FilmId == l.Film.Id
                    && y.On == l.On.Key
                    && IsWaiting(x.Order, x.Line)
                    && y.Designs.All(d => d.For.Length == 0)
                )
                .Select(x => Offer(connection, l, x.Order, x.Line, x.Layout!))
                .OfType<LayoutJoin>()
                .Where(j => j.Saves.Value > 0)
                .OrderByDescending(j => j.Saves.Value)
                .Take(MostOffers),
        ];
    }

    /// <summary>Buys two lines' film as one, on the first one's layout. Both orders change; it is taken back by buying apart again, not by undo.</summary>
    public static long Join(
        SqliteConnection connection,
        Desk desk,
        string id,
        string lineId,
        string otherId,
        string otherLineId,
        long seen,
        Deed deed
    )
    {
        var book = desk.Book(connection);
        var l = LineLayouts.Of(connection, desk, id, lineId, null, null);
        var other = LineLayouts.Of(connection, desk, otherId, otherLineId, l.Film.Id, l.On.Key);
        foreach (var x in new[] { l, other })
        {
            if (
                Waits(x.Case.Order, x.Line.Asked) is { Length: > 0 } waits
                || x.Layout.Designs.Any(d => d.For.Length > 0)
                || !BoughtFilm.IsOpen(x.Case, x.Line.Asked)
            )
            {
                throw new RefusedException(
                    409,
                    "not-together",
                    $"The film of {x.Case.Order.Code} cannot be bought with another's now{(Waits(x.Case.Order, x.Line.Asked) is { Length: > 0 } why ? $": it waits for {why}" : "")}.",
                    "Buy them apart, or finish that first."
                );
            }
        }
        var joined = Laid(l, other.Case.Order.Id, other.Layout)
            ?? throw new RefusedException(
                409,
                "many",
                "Both together are more than one layout holds.",
                "Buy them apart."
            );
        deed = deed with { Undoable = false };
        var version = OrderDeeds.Put(connection, l.Case, seen, deed, f => Settled(f, l, joined, book));
        OrderDeeds.Put(connection, other.Case, other.Case.Version, deed, f =>
            f with
            {
                Joined = [.. f.Joined ?? [], new(other.Line.Asked.Id, l.Case.Order.Id, l.Case.Order.Code)],
                Items =
                [
                    .. f.Items.Select(i =>
                        i.Id == BoughtFilm.ItemOf(f, other.Line.Asked)!.Id
                            ? i with
                            {
                                Text = $"{other.Layout.Copies.Count} prints, on the film of {l.Case.Order.Code}",
                                Quantity = 0,
                                Cost = SharedFilm.CostOf(joined, l.On, other.Case.Order.Id),
                            }
                            : i
                    ),
                ],
            }
        );
        return version;
    }

    /// <summary>Buys each line's film apart again: both are laid by themselves.</summary>
    public static long Part(SqliteConnection connection, Desk desk, string id, string lineId, long seen, Deed deed)
    {
        var book = desk.Book(connection);
        var l = LineLayouts.Of(connection, desk, id, lineId, null, null);
        var others = l.Layout.Designs.Where(d => d.For.Length > 0).Select(d => d.For).Distinct().ToList();
        if (others.Count == 0 || !BoughtFilm.IsOpen(l.Case, l.Line.Asked))
        {
            throw new RefusedException(
                409,
                "not-together",
                others.Count == 0
                    ? $"The film of {l.Case.Order.Code} is bought by itself."
                    : $"The film of {l.Case.Order.Code} is here already.",
                "Look at the layout again."
            );
        }
        deed = deed with { Undoable = false };
        foreach (var other in others)
        {
            var c = desk.Case(connection, other, book);
            var mine = c.Order.Facts.Joined!.First(j => j.WithOrder == id);
            var line = c.Line(mine.LineId);
            var item = BoughtFilm.ItemOf(c.Order.Facts, line.Asked)!;
            var layout = c.Order.Facts.LayoutOf(mine.LineId)!;
            OrderDeeds.Put(connection, c, c.Version, deed, f =>
                f with
                {
                    Joined = f.Joined!.Where(j => j != mine).ToList() is { Count: > 0 } rest ? rest : null,
                    Items =
                    [
                        .. f.Items.Select(i =>
                            i.Id == item.Id
                                ? BoughtFilm.Item(
                                    i,
                                    layout,
                                    l.On,
                                    l.Film.Product.ToLowerInvariant(),
                                    book.Numbers.Format
                                )
                                : i
                        ),
                    ],
                }
            );
        }
        var alone = Alone(l);
        return OrderDeeds.Put(connection, l.Case, seen, deed, f => Settled(f, l, alone, book));
    }

    /// <summary>Facts with a layout settled, and what is bought for it as it has it.</summary>
    public static OrderFacts Settled(OrderFacts f, LineOnFilm l, LineLayout layout, ShopBook book) =>
        f with
        {
            Layouts = [.. (f.Layouts ?? []).Where(x => x.LineId != layout.LineId), layout],
            Items = BoughtFilm.ItemOf(f, l.Line.Asked) is not { } item
                ? f.Items
                :
                [
                    .. f.Items.Select(i =>
                        i.Id == item.Id
                            ? BoughtFilm.Item(i, layout, l.On, l.Film.Product.ToLowerInvariant(), book.Numbers.Format)
                            : i
                    ),
                ],
        };

    private static LayoutJoin? Offer(
        SqliteConnection connection,
        LineOnFilm l,
        Order other,
        AskLine line,
        LineLayout theirs
    )
    {
        if (
            Laid(l, other.Id, theirs) is not { } joined
            || SharedFilm.Of(l.On, l.Film, (l.Layout, l.Case.Order.Code), (theirs, other.Code), joined, other.Id)
                is not { } shared
        )
        {
            return null;
        }
        var waits =
            Waits(l.Case.Order, l.Line.Asked) is { Length: > 0 } mine ? $"{l.Case.Order.Code}: {mine}"
            : Waits(other, line) is { Length: > 0 } its ? $"{other.Code}: {its}"
            : "";
        return new(
            other.Id,
            line.Id,
            other.Code,
            other.Ask.CustomerId is { } who ? Aggregates.Customers.Get(connection, who)?.Value.Name ?? "" : "",
            theirs.Copies.Count,
            shared.Apart.Value,
            shared.AsOne.Value,
            shared.Saves,
            shared.Mine,
            shared.Theirs,
            waits
        );
    }

    // both lines' prints laid anew on one ground; null where they are more than one layout holds
    private static LineLayout? Laid(LineOnFilm l, string otherId, LineLayout theirs)
    {
        List<LaidDesign> designs =
        [
            .. l.Layout.Designs.Select(d => d with { Cover = 1 }),
            .. theirs.Designs.Select(d => d with { Key = $"{otherId}/{d.Key}", For = otherId, Cover = 1 }),
        ];
        return GangNest.Problems(l.On.Ground, [.. designs.Select(d => d.Laid())]).Any()
            ? null
            : LineLayouts.Laid(l.Line.Asked.Id, l.Film, l.On, l.Prints, GangNest.OnePass, 1, null, designs);
    }

    private static LineLayout Alone(LineOnFilm l) =>
        LineLayouts.Laid(
            l.Line.Asked.Id,
            l.Film,
            l.On,
            l.Prints,
            GangNest.OnePass,
            1,
            null,
            [.. l.Layout.Designs.Where(d => d.For.Length == 0).Select(d => d with { Cover = 1 })]
        );

    // laid out, its film not here and not bought with another's
    private static bool IsWaiting(Order order, AskLine line) =>
        order.Facts.LaidOutAt is not null
        && order.Facts.RunStartedAt is null
        && order.Facts.JoinedOf(line.Id) is null
        && BoughtFilm.ItemOf(order.Facts, line) is null or { DoneAt: null };

    private static string Waits(Order order, AskLine line) =>
        BoughtFilm.ItemOf(order.Facts, line) is { DoneAt: null } ? ""
        : order.Facts.Approval is null ? "the customer's yes"
        : order.Facts.Deposit is null ? "the deposit"
        : "its list of what to buy";
}
