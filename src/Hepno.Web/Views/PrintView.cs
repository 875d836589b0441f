using Hepno.Core.Blanks;
using Hepno.Core.Orders;

namespace Hepno.Web.Views;

/// <summary>A print as it is made for some sizes.</summary>
/// <param name="PlacementId">Of which placement.</param>
/// <param name="Sizes">On which sizes.</param>
/// <param name="Pieces">On how many pieces.</param>
/// <param name="WidthIn">Width there, in.</param>
/// <param name="HeightIn">Height there, in.</param>
/// <param name="FromSeamIn">From the seam to its nearest edge, in.</param>
/// <param name="Fingers">The same in fingers.</param>
/// <param name="Where">From which seam, in words.</param>
public sealed record PrintView(
    PlacementId PlacementId,
    IReadOnlyList<string> Sizes,
    int Pieces,
    double WidthIn,
    double HeightIn,
    double FromSeamIn,
    double Fingers,
    string Where
)
{
    internal static IReadOnlyList<PrintView> Prints(AskLine line, Style? style) =>
        line.Pieces == 0
            ? []
            :
            [
                .. line.Placements.SelectMany(p =>
                    SizedPrints.Of(p, line.Sizes, line.Names).SelectMany(s => Prints(line, p, s, style))
                ),
            ];

    // sizes that take the same print may still hang it at another distance
    private static IEnumerable<PrintView> Prints(AskLine line, Placement p, SizedPrint s, Style? style)
    {
        var place = p.At();
        if (p.Place == Core.Orders.Places.AllOver && style is not null)
        {
            return s
                .Sizes.Select(z => (z, Flat: GarmentScale.Flat(style.Kind, z.Size)))
                .Select(x => new PrintView(
                    p.Id,
                    [x.z.Size],
                    x.z.Pieces,
                    x.Flat.WidthIn,
                    x.Flat.HeightIn,
                    0,
                    Fingers: 0,
                    place.Where
                ));
        }
        if (p.OnTopOf is not null && style is not null)
        {
            return SizeDrawn
                .Draw(line, style.Kind)
                .Where(d => s.Sizes.Any(z => z.Size == d.Size))
                .SelectMany(d =>
                    d.Prints.Where(x => x.PlacementId == p.Id).Select(x => (d.Size, d.Pieces, x.FromSeamIn))
                )
                .GroupBy(x => x.FromSeamIn)
                .Select(g => new PrintView(
                    p.Id,
                    [.. g.Select(x => x.Size)],
                    g.Sum(x => x.Pieces),
                    s.Print.WidthIn,
                    s.Print.HeightIn,
                    g.Key,
                    Core.Orders.Places.Fingers(g.Key),
                    place.WhereOn(style.Kind)
                ));
        }
        return s
            .Sizes.GroupBy(z => place.FromSeam(z.Size))
            .Select(g => new PrintView(
                p.Id,
                [.. g.Select(z => z.Size)],
                g.Sum(z => z.Pieces),
                s.Print.WidthIn,
                s.Print.HeightIn,
                g.Key,
                Core.Orders.Places.Fingers(g.Key),
                style is null ? place.Where : place.WhereOn(style.Kind)
            ));
    }
}

/// <summary>A place a garment can be printed at.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="WidthIn">The widest that every size of the run takes, in.</param>
/// <param name="WidestIn">The widest that its largest size takes, in.</param>
/// <param name="HeightIn">A customary height for the widest, in.</param>
/// <param name="TakesLayers">True where one print may lie on another.</param>
/// <param name="Offered">False where it is not offered for this garment, and a print is asked there all the
/// same.</param>
public sealed record PlaceView(
    string Id,
    string Name,
    double WidthIn,
    double WidestIn,
    double HeightIn,
    bool TakesLayers,
    bool Offered
)
{
    internal static IReadOnlyList<PlaceView> Places(AskLine line, Style? style, PlaceBook places)
    {
        var sizes = line.Sizes.Select(s => s.Size).DefaultIfEmpty("M").ToList();
        PlaceView View(Place p, bool offered) =>
            new(
                p.Id,
                p.Name,
                sizes.Min(p.WidthOn),
                WidestIn: sizes.Max(p.WidthOn),
                Math.Min(sizes.Max(p.HeightOn), sizes.Max(p.WidthOn)),
                Core.Orders.Places.TakesLayers(p.Id),
                offered
            );
        var offered = places.Offered(style?.Kind);
        return
        [
            .. offered.Select(p => View(p, true)),
            .. line
                .Placements.Select(p => p.At())
                .DistinctBy(p => p.Id)
                .Where(p => offered.All(o => o.Id != p.Id))
                .Select(p => View(p, false)),
        ];
    }
}
