using Hepno.Core.Curing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Prints of one place of an order on a film printer.</summary>
/// <param name="Order">The order.</param>
/// <param name="Line">The line as quoted.</param>
/// <param name="Plan">How the place is decorated.</param>
/// <param name="Cured">Prints of it in batches that are not bad.</param>
internal sealed record FilmPrints(OrderCase Order, FrozenLine Line, DecorationPlan Plan, int Cured)
{
    /// <summary>Prints in no batch yet.</summary>
    public int Waiting => Math.Max(0, Plan.Bought - Cured);

    /// <summary>True when they are ticked off as made: they wait for no printer any more, only for their batch to be
    /// noted.</summary>
    public bool Made =>
        Order.Order.Facts.Gathering.Items.FirstOrDefault(i => i.Id == $"prepare-{Plan.Placement.Id}")?.DoneAt
            is not null;

    /// <summary>"T-214 front".</summary>
    public string Name => $"{Order.CodeOf(Line.LineId)} {Plan.Placement.At().Name.ToLowerInvariant()}";

    /// <summary>What a number of them takes.</summary>
    public CureUse Use(IFilmMaker maker, int prints) => maker.Use(Plan.Placement, Line.Colourway, prints);

    /// <summary>True when the artwork is white alone.</summary>
    public bool WhiteOnly(SqliteConnection c) =>
        Plan.Placement.DesignId is { } id
        && Aggregates.Designs.Get(c, id) is { } design
        && design.Value.Report.Colours.WhiteAlone();

    /// <summary>Everything the open orders want of a printer, the earliest wanted first.</summary>
    public static IReadOnlyList<FilmPrints> Of(SqliteConnection c, OpenShop shop, ShopBook book, ThingId printerId)
    {
        var cured = CureStore
            .OfPrinter(c, printerId)
            .Where(b => b.Value.Verdict != CureVerdict.Bad)
            .SelectMany(b => b.Value.Prints)
            .ToLookup(p => (p.OrderId, p.LineId, p.PlacementId), p => p.Prints);
        return
        [
            .. shop.Open(c, book)
                .Where(o =>
                    o.Frozen is not null
                    && o.Order.Facts.Gathering.Approval is not null
                    && o.Standing.Station is Station.Gather or Station.Press
                )
                .OrderBy(o => o.Order.Ask.DueAt ?? WallClock.Never)
                .SelectMany(o =>
                    o.Frozen!.Lines.SelectMany(l =>
                        l.Band.Decorations.Where(d => d.Recipe.ProductId == printerId)
                            .Select(d => new FilmPrints(o, l, d, cured[(o.Order.Id, l.LineId, d.Placement.Id)].Sum()))
                    )
                ),
        ];
    }

    /// <summary>One place of an order, whatever station it stands at; null when the order, as quoted now, has no such
    /// film.</summary>
    public static FilmPrints? Find(
        SqliteConnection c,
        OpenShop shop,
        ShopBook book,
        ThingId printerId,
        OrderId orderId,
        LineId lineId,
        PlacementId placementId
    )
    {
        var o = Aggregates.Orders.Get(c, orderId) is null ? null : shop.Case(c, orderId, book);
        var line = o?.Frozen?.Lines.FirstOrDefault(l => l.LineId == lineId);
        var plan = line?.Band.Decorations.FirstOrDefault(d =>
            d.Placement.Id == placementId && d.Recipe.ProductId == printerId
        );
        return plan is null ? null : new(o!, line!, plan, 0);
    }

    /// <summary>The same, or refused.</summary>
    public static FilmPrints Must(
        SqliteConnection c,
        OpenShop shop,
        ShopBook book,
        ThingId printerId,
        OrderId orderId,
        LineId lineId,
        PlacementId placementId
    ) =>
        Find(c, shop, book, printerId, orderId, lineId, placementId)
        ?? throw new RefusedException(
            400,
            "no-film",
            $"{Aggregates.Orders.Get(c, orderId)?.Value.Code ?? "This order"} has no film of this printer there.",
            remedy: "Choose from the prints that wait for it.",
            "prints"
        );
}
