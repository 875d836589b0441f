using Hepno.Core.Artwork;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Core.Stock;

namespace Hepno.Web.Views;

/// <summary>A line's prints on one roll or sheet: what screens, deeds and exports of layouts work at.</summary>
/// <param name="Case">The order.</param>
/// <param name="Line">Its line.</param>
/// <param name="InHand">The line with what of the drawer it uses.</param>
/// <param name="Film">The price list.</param>
/// <param name="On">The roll or sheet.</param>
/// <param name="Prints">What the line needs.</param>
/// <param name="Layout">Where it lies.</param>
/// <param name="IsSettled">True when that is settled for the line.</param>
/// <param name="Stale">Why a settled layout holds no longer; empty while it does.</param>
/// <param name="Drawer">Transfers on hand that are printed on this film.</param>
/// <param name="Others">Designs of other orders on it, by key: what they are called, and their artwork.</param>
/// <param name="Artworks">The artwork of each print that has one, by key.</param>
/// <param name="IsTrimmed">True where each print is cut out round its outline anyway.</param>
internal sealed record LineOnFilm(
    OrderCase Case,
    LineCase Line,
    AskInHand InHand,
    TransferPriceList Film,
    FilmGround On,
    IReadOnlyList<LaidPrint> Prints,
    LineLayout Layout,
    bool IsSettled,
    string Stale,
    IReadOnlyList<KeptPrint> Drawer,
    IReadOnlyDictionary<string, (string Name, DesignId? DesignId)> Others,
    IReadOnlyDictionary<string, Design> Artworks,
    bool IsTrimmed
)
{
    /// <summary>A print's own outline; null where it fills its box, where only figures were typed, and where each piece
    /// has its own text.</summary>
    public IReadOnlyList<OutlinePart>? OutlineOf(string key) =>
        Prints.FirstOrDefault(p => p.Key == key) is { Print.Print.Own: not OwnText.None }
            ? null
            : Artworks.GetValueOrDefault(key)?.Report.Outline;

    /// <summary>A design as it is laid: by its outline, or as a box.</summary>
    public LaidDesign By(LaidDesign design, bool outline) =>
        design with
        {
            Cover = outline ? PrintOutline.Share(OutlineOf(design.Key)) : 1,
        };

    /// <summary>The outlines designs are laid by; null where all are boxes.</summary>
    public GangShapes? Shapes(IEnumerable<LaidDesign> designs) =>
        designs.Where(d => d.Cover < 1 && OutlineOf(d.Key) is not null).ToDictionary(d => d.Key, d => OutlineOf(d.Key)!)
            is { Count: > 0 } outlines
            ? new(outlines)
            : null;

    /// <summary>A print of the drawer by its key on a layout, or null.</summary>
    public KeptPrint? Kept(string key) => Drawer.FirstOrDefault(k => KeptPrint.KeyOf(k.Id) == key);
}
