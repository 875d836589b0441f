using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Purchasing;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Makes the views of one order.</summary>
internal static class OrderViews
{
    public static OrderView Order(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var open = shop.Open(connection, book);
        var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
        var placed = c.Standing.Station is Station.Gather or Station.Press
            ? PlacedOrder.Find(ShopFloor.Plan(open, book, wall).Placed, id)
            : null;
        return new(
            id.Text,
            c.Version,
            c.Order.Code,
            c.Standing.Station,
            c.Order.Ask,
            c.Order.Facts with
            {
                Layout = c.Order.Facts.Layout with { Layouts = [] },
                Choice = c.Order.Facts.Choice with { LastTimes = [] },
            },
            c.Customer,
            [
                .. c.Lines.Select(l =>
                    OrderLineView.From(
                        l,
                        c.Order.Facts.Choice.LastTimes.FirstOrDefault(t => t.LineId == l.Asked.Id),
                        book
                    )
                ),
            ],
            SlipView.From(c, Bands(shop, c, book, open), book, wall, placed),
            c.Quote?.SentAt,
            c.Frozen?.Deposit ?? 0,
            c.Order.Facts.Gathering.Items.Count == 0 || c.Frozen is null
                ? []
                : PrepareCautions.Sentences(c.Frozen.Lines.SelectMany(l => l.Band.Decorations), book)
        );
    }

    // with several lines the whole order has figures once every line has its method
    private static IReadOnlyList<Band?> Bands(OpenShop shop, OrderCase c, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (
            c.Frozen is null
            && c.Lines.Count > 1
            && (!c.IsComplete || c.Lines.Any(l => l.Decision is null) || book.Presses.Count == 0)
        )
        {
            return [null];
        }
        return c.Frozen is null && c.Lines.Count > 1
            ? [.. shop.Planned(c, book, open).Select(p => p.Band)]
            : [.. c.Lines.Select(l => Band(shop, c, l, book, open))];
    }

    /// <summary>The figures a line stands on: as quoted, else of the chosen method, else of the best.</summary>
    public static Band? Band(OpenShop shop, OrderCase c, LineCase line, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (line.Frozen is not null)
        {
            return line.Frozen.Band;
        }
        var comparison = shop.Compare(c, line, null, book, open, curve: false);
        if (line.Decision is { } decision)
        {
            return comparison?.Bands.FirstOrDefault(b => b.MethodId == decision.MethodId);
        }
        return comparison?.Bands.Count > 0 ? comparison.Bands[0] : null;
    }

    public static LayoutView Layout(SqliteConnection connection, OpenShop shop, OrderId id, LineId? lineId)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        var band =
            line.Decision is null && line.Frozen is null
                ? null
                : Band(shop, c, line, book, shop.Open(connection, book));
        if (band is null)
        {
            throw new RefusedException(
                409,
                "no-method",
                $"Nothing to lay out: {(c.Lines.Count == 1 ? c.Order.Code : line.What)} has no method yet.",
                remedy: "Choose one under Compare."
            );
        }
        var f = book.Numbers.Format;
        var sizes = BlanksToBuy.Count(line.Asked.Sizes, band.Decorations);
        var asked = line.Frozen is null ? line.InHand! : c.Frozen!.InHand(line.Frozen);
        var inHand = asked with { Sizes = sizes };
        var counted =
            SizeRun.Total(sizes) == line.Asked.Pieces
                ? "the ask"
                : "the ask, and what may be spoiled where they are sent";
        var landed = LandedBlank.Reckon(inHand, counted);
        var failure = 1 - band.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var prints = band
            .Decorations.Where(d => d.Finishes.IsNone)
            .Select(d => $"{d.Prints(line.Asked.Pieces)} × {d.Placement.At().Name.ToLowerInvariant()}");
        var sentence = $"{string.Join(" and ", prints)}: {band.Made}";
        return new(
            line.Asked.Id,
            band,
            sentence,
            sizes,
            Figure.Of(
                "blanks",
                "Blanks",
                landed.Value * SizeRun.Total(sizes),
                "landed blank × pieces",
                landed,
                Figure.Input("pieces", "Pieces", SizeRun.Total(sizes), FigureUnit.Count, counted)
            ),
            Figure.Sum("prints", "Prints", [.. band.Decorations.SelectMany(d => d.Purchases).Select(p => p.Cost)]),
            SparesView.Said(
                asked,
                sizes,
                SpareChance.In(book, failure),
                shop.Clock.Today(book.Numbers.Identity.TimeZone),
                f
            ),
            BuyingChoices.All(inHand, book, ShopFloor.Plan([], book, shop.Clock.Wall(book.Numbers.Identity.TimeZone))),
            VinylPiecesView.For(connection, c, line, band, f)
        );
    }

    public static QuoteView Quote(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        if (c.Frozen is not null)
        {
            return new(
                WallClock.Local(c.Quote!.SentAt, book.Numbers.Identity.TimeZone),
                c.Frozen,
                MarginNotes.Notes(c.Frozen),
                QuoteVersions.Before(connection, shop, id, c.Frozen, c.Quote.Id)
            );
        }
        var preview = shop.Quoted(c, book, connection);
        return new(
            null,
            preview,
            MarginNotes.Notes(preview),
            QuoteVersions.Before(connection, shop, id, preview, null)
        );
    }
}
