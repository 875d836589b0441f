using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Formats;

namespace Hepno.Web.Views;

/// <summary>Where prints lie, for paper.</summary>
internal static class PlacementViews
{
    /// <summary>An order's placement sheets: a page for every print and the sizes that lie alike.</summary>
    public static PlacementSheet Sheet(OrderCase c, ShopNumbers n) =>
        new(
            n.Identity.Paper,
            n.Identity.Name,
            Number: c.Order.Code,
            c.Customer?.Name ?? "",
            n.Format.Metric,
            [.. c.Lines.Select(l => (l.What, Prints(l, n.Format)))]
        );

    private static IReadOnlyList<PlacementPrinted> Prints(LineCase line, FigureFormat f)
    {
        if (line.Style is null || line.Asked.Pieces == 0)
        {
            return [];
        }
        // sizes whose print, distance and offset are the same share a page
        return
        [
            .. SizeDrawn
                .Draw(line.Asked, line.Style.Kind)
                .SelectMany(d => d.Prints.Select(p => (Size: d, Print: p)))
                .GroupBy(x =>
                    (x.Print.PlacementId, x.Print.Print.Width, x.Print.Print.Height, x.Print.FromSeamIn, Aside(x.Print))
                )
                .Select(g =>
                    Printed(
                        line,
                        g.First().Print,
                        string.Join(", ", g.Select(x => $"{x.Size.Size} {x.Size.Pieces}")),
                        f
                    )
                ),
        ];
    }

    // a chest print's offset goes with the garment; the middle of a sleeve is its own fold
    private static double Aside(LyingPrint p) => p.SeamX == 0 ? Math.Round(p.Print.X + (p.Print.Width / 2), 2) : 0;

    private static PlacementPrinted Printed(LineCase line, LyingPrint p, string sizes, FigureFormat f)
    {
        var place = line.Asked.Placements.First(x => x.Id == p.PlacementId).At();
        return new(
            $"{place.Name} {Shown.Size(p.Print.Width, p.Print.Height, f)}",
            sizes,
            Shown.Length(p.FromSeamIn, f),
            Fingers: $"about {Shown.Number(p.Fingers, 1, f)} {(p.Fingers == 1 ? "finger" : "fingers")}",
            Aside(p) != 0
                ? $"its middle {Shown.Length(Math.Abs(Aside(p)), f)} from the garment's, to the wearer's "
                    + $"{(Aside(p) > 0 ? "left" : "right")}"
                : "",
            Seam: p.Where,
            place.IsAbove,
            p.FromSeamIn,
            Aside(p),
            WidthIn: p.Print.Width,
            p.Print.Height
        );
    }
}
