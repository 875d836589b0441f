using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;

namespace Hepno.Web.Views;

/// <summary>A line of an order as the screens need it.</summary>
/// <param name="Id">Which line of the ask.</param>
/// <param name="What">Pieces and garment, in words.</param>
/// <param name="Garment">Its style by name, as so many pieces; empty while none is said.</param>
/// <param name="Style">Which garment, or null.</param>
/// <param name="Colourway">Its colour, or null.</param>
/// <param name="Problems">What in it blocks comparing.</param>
/// <param name="MethodId">The method chosen, or null.</param>
/// <param name="Prints">Every print as it is made on the sizes of the run; empty while garment or sizes are not
/// said.</param>
/// <param name="Drawn">Where its prints lie, size by size; empty while no garment is said.</param>
/// <param name="Notices">Prints larger than customary, what may be a slip of the pen in its list of names, and what its
/// neck label lacks.</param>
/// <param name="Labels">Its neck labels, size by size; empty for none.</param>
/// <param name="Places">Where its garment can be printed, the customary size of each; all places while no garment is
/// said; and those where a print is asked.</param>
/// <param name="Last">How it was made and sold before, when it is asked for again; else null.</param>
public sealed record OrderLineView(
    string Id,
    string What,
    string Garment,
    Style? Style,
    Colourway? Colourway,
    IReadOnlyList<Problem> Problems,
    MethodId? MethodId,
    IReadOnlyList<PrintView> Prints,
    IReadOnlyList<SizeDrawn> Drawn,
    IReadOnlyList<string> Notices,
    IReadOnlyList<NeckLabel> Labels,
    IReadOnlyList<PlaceView> Places,
    LastTimeView? Last
)
{
    internal static OrderLineView From(LineCase l, LastTime? last, ShopBook book) =>
        new(
            l.Asked.Id.Text,
            l.What,
            l.Style is null ? "" : GarmentNouns.Named(l.Style.Name, l.Style.Kind, l.Asked.Pieces),
            l.Style,
            l.Colourway,
            l.Problems,
            l.Decision?.MethodId,
            PrintView.Prints(l.Asked, l.Style),
            l.Style is null ? [] : SizeDrawn.Draw(l.Asked, l.Style.Kind),
            [
                .. l
                    .Asked.Placements.Select(p => PlacementRules.BeyondCustomary(p, l.Asked.Sizes, book.Numbers.Format))
                    .OfType<string>(),
                .. OwnPieces.Notices(l.Asked),
                .. l.Style is null ? [] : NeckLabel.Lacking(l.Asked, l.Style),
            ],
            l.Style is null ? [] : NeckLabel.Labels(l.Asked, l.Style, book.Numbers.Identity.Name, MakeQuote.Care),
            PlaceView.Places(l.Asked, l.Style, book.Places),
            last is null ? null : LastTimeView.From(last, book.Numbers)
        );
}

/// <summary>How a line was made and sold in the order it is asked for again from.</summary>
/// <param name="Each">What a piece was sold at, before tax.</param>
/// <param name="Said">Where, when, how and at what, in words.</param>
public sealed record LastTimeView(decimal Each, string Said)
{
    internal static LastTimeView From(LastTime t, ShopNumbers n)
    {
        var how = DecorationMethods.Find(t.MethodId)?.Name ?? t.MethodId.Text;
        return new(
            t.Each,
            $"Last time, in {t.Code} of {Shown.DayAndYear(WallClock.Day(t.At, n.Identity.TimeZone), n.Format)}: "
                + $"{char.ToLowerInvariant(how[0])}{how[1..]}, at {Shown.Money(t.Each, n.Format)} a piece"
        );
    }
}

/// <summary>A list of names and numbers as read, with the size run it makes.</summary>
public sealed record OwnPiecesView(IReadOnlyList<OwnPiece> Names, IReadOnlyList<SizeCount> Sizes);

/// <summary>A size run as read.</summary>
public sealed record SizeRunView(IReadOnlyList<SizeCount> Sizes, int Pieces);
