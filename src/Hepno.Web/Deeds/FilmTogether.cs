using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Film of two orders bought as one: what it would save each, and doing it once both have said yes.</summary>
internal static class FilmTogether
{
    /// <summary>Buys two lines' film as one, on the first one's layout. Both orders change; it is taken back by buying
    /// apart again, not by undo.</summary>
    public static long Join(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId lineId,
        OrderId otherId,
        LineId otherLineId,
        long seen,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var l = LineLayouts.Film(connection, shop, id, lineId, null, on: null);
        var other = LineLayouts.Film(connection, shop, otherId, otherLineId, l.Film.Id, on: l.On.Key);
        foreach (var x in new[] { l, other })
        {
            if (
                FilmOffers.Waits(x.Case.Order, x.Line.Asked) is { Length: > 0 } waits
                || x.Layout.Designs.Any(d => !d.For.IsNone)
                || !BoughtFilm.IsOpen(x.Case, x.Line.Asked)
            )
            {
                throw new RefusedException(
                    409,
                    "not-together",
                    $"The film of {x.Case.Order.Code} cannot be bought with another's "
                        + $"now{(FilmOffers.Waits(x.Case.Order, x.Line.Asked) is { Length: > 0 } why ? $": it waits for {why}" : "")}.",
                    remedy: "Buy them apart, or finish that first."
                );
            }
        }
        var joined = FilmOffers.Laid(l, other.Case.Order.Id, other.Layout)
            ?? throw new RefusedException(
                409,
                "many",
                "Both together are more than one layout holds.",
                remedy: "Buy them apart."
            );
        deed = deed with { Undoable = false };
        var version = OrderDeeds.Put(connection, l.Case, seen, deed, f => Settled(f, l, joined, book));
        OrderDeeds.Put(connection, other.Case, other.Case.Version, deed, f =>
            f with
            {
                Layout = f.Layout with
                {
                    Joined = [.. f.Layout.Joined, new(other.Line.Asked.Id, l.Case.Order.Id, l.Case.Order.Code)],
                },
                Gathering = f.Gathering.With(BoughtFilm.ItemOf(f, other.Line.Asked)!.Id, i =>
                    i with
                    {
                        Text = $"{other.Layout.Copies.Count} prints, on the film of {l.Case.Order.Code}",
                        Quantity = 0,
                        Cost = SharedFilm.CostOf(joined, l.On, other.Case.Order.Id),
                    }
                ),
            }
        );
        return version;
    }

    /// <summary>Buys each line's film apart again: both are laid by themselves.</summary>
    public static long Part(SqliteConnection connection, OpenShop shop, OrderId id, LineId lineId, long seen, Deed deed)
    {
        var book = shop.Book(connection);
        var l = LineLayouts.Film(connection, shop, id, lineId, null, on: null);
        var others = l.Layout.Designs.Where(d => !d.For.IsNone).Select(d => d.For).Distinct().ToList();
        if (others.Count == 0 || !BoughtFilm.IsOpen(l.Case, l.Line.Asked))
        {
            throw new RefusedException(
                409,
                "not-together",
                others.Count == 0
                    ? $"The film of {l.Case.Order.Code} is bought by itself."
                    : $"The film of {l.Case.Order.Code} is here already.",
                remedy: "Look at the layout again."
            );
        }
        deed = deed with { Undoable = false };
        foreach (var other in others)
        {
            var c = shop.Case(connection, other, book);
            var mine = c.Order.Facts.Layout.Joined.First(j => j.WithOrder == id);
            var line = c.Line(mine.LineId);
            var item = BoughtFilm.ItemOf(c.Order.Facts, line.Asked)!;
            var layout = c.Order.Facts.LayoutOf(mine.LineId)!;
            OrderDeeds.Put(connection, c, c.Version, deed, f =>
                f with
                {
                    Layout = f.Layout with { Joined = [.. f.Layout.Joined.Where(j => j != mine)] },
                    Gathering = Bought(f.Gathering, item, l, layout, book),
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
            Layout = f.Layout.With([layout]),
            Gathering = BoughtFilm.ItemOf(f, l.Line.Asked) is { } item
                ? Bought(f.Gathering, item, l, layout, book)
                : f.Gathering,
        };

    // what is bought for a line, as a layout has it
    private static GatheringFacts Bought(
        GatheringFacts gathering,
        GatherItem item,
        LineOnFilm l,
        LineLayout layout,
        ShopBook book
    ) =>
        gathering.With(item.Id, i =>
            BoughtFilm.Item(i, layout, l.On, l.Film.Product.ToLowerInvariant(), book.Numbers.Format)
        );

    private static LineLayout Alone(LineOnFilm l) =>
        LineLayouts.Laid(
            l.Line.Asked.Id,
            l.Film,
            l.On,
            l.Prints,
            GangNest.OnePass,
            seed: 1,
            null,
            [.. l.Layout.Designs.Where(d => d.For.IsNone).Select(d => d with { Cover = 1 })]
        );
}
