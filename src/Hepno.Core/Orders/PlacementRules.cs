using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>What speaks against a print at its place.</summary>
public static class PlacementRules
{
    private const double Rounding = 1e-9;

    /// <summary>What is wrong with a placement by itself; such a one is never kept.</summary>
    /// <param name="p">The placement.</param>
    /// <param name="where">Where it stands in the ask, for the problem's field: "lines[0].placements[1]".</param>
    /// <param name="places">The shop's places.</param>
    public static IEnumerable<Problem> Refusals(Placement p, string where, PlaceBook places)
    {
        string At(string field) => $"{where}.{field}";
        if (places.Find(p.Place) is not { } place)
        {
            yield return new(
                "unknown-place",
                $"\"{p.Place}\" is not a place on a garment.",
                Where: At("place"),
                $"Use one of {string.Join(", ", places.Offered(null).Select(a => a.Id))}."
            );
            yield break;
        }
        foreach (
            var (value, name, field) in new[] { (p.WidthIn, "width", "widthIn"), (p.HeightIn, "height", "heightIn") }
        )
        {
            if (value <= 0)
            {
                yield return new(
                    "not-positive",
                    $"{place.Name}: a {name} of {value:0.###} in is not above 0.",
                    Where: At(field),
                    $"Type the {name} of the artwork."
                );
            }
            else if (value > Places.Absurd)
            {
                yield return new(
                    "larger-than-garment",
                    $"{place.Name}: a {name} of {value:0.##} in is larger than the garment.",
                    Where: At(field),
                    "The largest print there is customarily "
                        + $"{(field == "widthIn" ? place.Widths.Extended : place.HeightLimitIn):0.##} in."
                );
            }
        }
        if (p.CoveragePercent is <= 0 or > 100)
        {
            yield return new(
                "range",
                $"{place.Name}: {p.CoveragePercent:0.##}% coverage is outside 1 to 100.",
                Where: At("coveragePercent"),
                "Type the share of the box that is painted."
            );
        }
        if (p.Colours is < 1 or > 20)
        {
            yield return new(
                "range",
                $"{place.Name}: {p.Colours} colours is outside 1 to 20.",
                Where: At("colours"),
                "Count the flat colours; say gradient for photographs."
            );
        }
        if (p.Stitches is < 100 or > Places.MostStitches)
        {
            yield return new(
                "range",
                $"{place.Name}: {p.Stitches} stitches is outside 100 to {Places.MostStitches}.",
                Where: At("stitches"),
                "Type the count the stitch file says, or leave it out."
            );
        }
        if (p.ThinnestLinePt is <= 0 or > 100)
        {
            yield return new(
                "range",
                $"{place.Name}: a thinnest line of {p.ThinnestLinePt:0.##} pt is outside 0 to 100.",
                Where: At("thinnestLinePt"),
                "Type the thinnest line at print size, in points."
            );
        }
    }

    /// <summary>What is wrong with how a line's prints share their places: each takes one on the cloth, and a layer
    /// lies on an earlier print of the same place.</summary>
    public static IEnumerable<Problem> Sharing(IReadOnlyList<Placement> placements, string where)
    {
        foreach (var twice in placements.Where(p => p.OnTopOf is null).GroupBy(p => p.Place).Where(g => g.Count() > 1))
        {
            yield return new(
                "twice",
                $"{twice.First().At().Name} stands twice.",
                where,
                "Each place takes one print on the cloth; say that the other lies on it."
            );
        }
        for (var i = 0; i < placements.Count; i++)
        {
            var p = placements[i];
            if (
                p.OnTopOf is not null
                && placements.Take(i).FirstOrDefault(u => u.Id == p.OnTopOf) is var under
                && under?.Place != p.Place
            )
            {
                var instead = under is null ? "not there before it" : $"on the {under.At().Name.ToLowerInvariant()}";
                yield return new(
                    "layer",
                    $"{p.At().Name}: the print it is to lie on is {instead}.",
                    Where: $"{where}[{i}].onTopOf",
                    "Choose an earlier print of the same place, or lay it on the cloth."
                );
            }
            else if (p.OnTopOf is not null && !Places.TakesLayers(p.Place))
            {
                yield return new(
                    "layer",
                    $"{p.At().Name} takes one print alone.",
                    Where: $"{where}[{i}].onTopOf",
                    "Lay it on the cloth, at another place."
                );
            }
        }
    }

    /// <summary>The print against what the garment has and holds: it blocks the next station until the owner changes
    /// it.</summary>
    /// <param name="p">The print.</param>
    /// <param name="where">Where it stands in the ask.</param>
    /// <param name="sizes">The run.</param>
    /// <param name="kind">The garment.</param>
    /// <param name="places">The shop's places.</param>
    public static IEnumerable<Problem> Blocks(
        Placement p,
        string where,
        IReadOnlyList<SizeCount> sizes,
        GarmentKind kind,
        PlaceBook places
    )
    {
        var place = p.At();
        if (!PlaceBook.IsOn(place, kind))
        {
            yield return new(
                "no-such-place",
                $"{place.Name} is not a place on a {GarmentNouns.For(kind, 1)}.",
                Where: $"{where}.place",
                $"Use one of {string.Join(", ", places.Offered(kind).Select(k => k.Name.ToLowerInvariant()))}."
            );
            yield break;
        }
        var held = sizes
            .Where(s => s.Pieces > 0)
            .Select(s => (s.Size, Print: SizedPrints.On(p, s.Size), Most: GarmentHold.Reckon(place, kind, s.Size)))
            .ToList();
        foreach (
            var h in held.Where(h => h.Print.WidthIn > h.Most.WidthIn + Rounding).OrderBy(h => h.Most.WidthIn).Take(1)
        )
        {
            yield return new(
                "too-wide",
                $"{place.Name} {h.Print.WidthIn:0.##} in is wider than the {Math.Max(0, h.Most.WidthIn):0.##} in "
                    + $"of cloth that {h.Size} has there.",
                Where: $"{where}.widthIn",
                Smaller(h.Most.WidthIn)
            );
        }
        foreach (
            var h in held.Where(h => h.Print.HeightIn > h.Most.HeightIn + Rounding)
                .OrderBy(h => h.Most.HeightIn)
                .Take(1)
        )
        {
            yield return new(
                "too-tall",
                $"{place.Name} {h.Print.HeightIn:0.##} in is taller than the {Math.Max(0, h.Most.HeightIn):0.##} "
                    + $"in of cloth that {h.Size} has there.",
                Where: $"{where}.heightIn",
                Smaller(h.Most.HeightIn)
            );
        }
    }

    private static string Smaller(double most) =>
        most > 0
            ? $"Make it {most:0.##} in or less, or smaller on the smaller sizes alone."
            : "Move the place: it lies off this garment.";

    /// <summary>How much larger a print is than the shop customarily puts there on the smallest size it is made for;
    /// null where it is not.</summary>
    /// <param name="p">The print.</param>
    /// <param name="sizes">The run.</param>
    /// <param name="f">How lengths are written.</param>
    public static string? BeyondCustomary(Placement p, IReadOnlyList<SizeCount> sizes, FigureFormat f)
    {
        var place = p.At();
        bool Within(string size) =>
            p.WidthIn <= place.WidthOn(size) + Rounding && p.HeightIn <= place.HeightOn(size) + Rounding;
        if (p.BySize || p.Place == Places.AllOver || sizes.All(s => s.Pieces == 0 || Within(s.Size)))
        {
            return null;
        }
        var run = sizes.Where(s => s.Pieces > 0).ToList();
        var (wide, tall) = (run.MinBy(s => place.WidthOn(s.Size))!, run.MinBy(s => place.HeightOn(s.Size))!);
        return p.WidthIn > place.WidthOn(wide.Size) + Rounding
            ? $"{place.Name} {Shown.Length(p.WidthIn, f)} wide; customary on {wide.Size} is "
                + $"{Shown.Length(place.WidthOn(wide.Size), f)} at most"
            : $"{place.Name} {Shown.Length(p.HeightIn, f)} tall; customary on {tall.Size} is "
                + $"{Shown.Length(place.HeightOn(tall.Size), f)} at most";
    }
}
