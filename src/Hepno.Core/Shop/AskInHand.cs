using System.Collections.ObjectModel;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Gang;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Core.Shop;

/// <summary>A complete line of an ask with its style looked up.</summary>
/// <param name="Style">The blank.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="Sizes">Pieces by size, at least one.</param>
/// <param name="Placements">Decorations, at least one.</param>
/// <param name="Channel">Whose policy makes the price.</param>
public sealed record AskInHand(
    Style Style,
    Colourway Colourway,
    IReadOnlyList<SizeCount> Sizes,
    IReadOnlyList<Placement> Placements,
    Channel Channel = Channel.Retail
)
{
    /// <summary>The order's other complete lines, with which it shares what is paid once.</summary>
    public IReadOnlyList<AskInHand> Others { get; init; } = [];

    /// <summary>How the order is sent, or null when it is collected.</summary>
    public Shipping? Shipping { get; init; }

    /// <summary>Names and numbers of its pieces; none when all are alike.</summary>
    public IReadOnlyList<OwnPiece> Names { get; init; } = [];

    /// <summary>Last day its blanks may be bought on; null leaves code prices out.</summary>
    public LocalDate? BuyBy { get; init; }

    /// <summary>True when the customer brings the garments.</summary>
    public bool Theirs { get; init; }

    /// <summary>The layout settled for it, or null.</summary>
    public LineLayout? Laid { get; init; }

    /// <summary>Transfers that lie here and are used for it.</summary>
    public IReadOnlyList<FromDrawer> Drawer { get; init; } = [];

    /// <summary>Pieces of vinyl that lie here and are used for it.</summary>
    public IReadOnlyList<FromRemnant> Remnants { get; init; } = [];

    /// <summary>Every print as it is made: one for each placement, or several where it is smaller on smaller
    /// sizes.</summary>
    public IReadOnlyList<Placement> Prints =>
        [.. Placements.SelectMany(p => SizedPrints.Of(p, Sizes, Names)).Select(s => s.Print)];

    /// <summary>What its artwork was made of before by ways that keep their set-up.</summary>
    public IReadOnlyList<MadeBefore> Made { get; init; } = [];

    /// <summary>What was measured on the pictures of its prints, by artwork; a print with typed figures has
    /// none.</summary>
    public IReadOnlyDictionary<DesignId, ArtworkReport> Artworks { get; init; } =
        ReadOnlyDictionary<DesignId, ArtworkReport>.Empty;

    /// <summary>Lays it about, where many quantities are compared; null to lay it whole.</summary>
    public LayoutSketch? Sketch { get; init; }

    /// <summary>Pieces of all sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);

    /// <summary>This line and the others of its order.</summary>
    public IReadOnlyList<AskInHand> Order => [this, .. Others];

    /// <summary>Pieces of the whole order.</summary>
    public int OrderPieces => Order.Sum(l => l.Pieces);

    /// <summary>Pieces of the whole order whose blanks come from this line's supplier: they share its
    /// freight.</summary>
    public int PiecesOfSupplier => Order.Where(l => !l.Theirs && l.Style.Supplier == Style.Supplier).Sum(l => l.Pieces);

    /// <summary>True where a piece is reckoned as if every size cost the same: the dearer ones are charged on top. What
    /// the supplier invoices stays as it is.</summary>
    public bool AsBaseSizes { get; init; }

    /// <summary>Pieces of this style in the whole order: they reach its price tiers together.</summary>
    public int PiecesOfStyle => Order.Where(l => !l.Theirs && l.Style.Id == Style.Id).Sum(l => l.Pieces);

    /// <summary>Transfers of the drawer that are used for a print of it.</summary>
    /// <param name="key">The print as its layout calls it.</param>
    /// <param name="filmId">Printed on which film.</param>
    public int FromDrawer(string key, ThingId filmId) =>
        Drawer.Where(d => d.Key == key && d.FilmId == filmId).Sum(d => d.Count);

    /// <summary>The piece of vinyl a colour of a print is cut from first, or null; null too where the sizes have prints
    /// of their own, for a piece is cut once.</summary>
    public FromRemnant? RemnantFor(SizedPrint sized, int layer) =>
        sized.Pieces == Pieces
            ? Remnants.FirstOrDefault(r => r.PlacementId == sized.Print.Id && r.Layer == layer)
            : null;

    /// <summary>The same line at another total, its mix of sizes kept.</summary>
    public AskInHand At(int pieces) => this with { Sizes = SizeRun.ScaledTo(Sizes, pieces) };
}
