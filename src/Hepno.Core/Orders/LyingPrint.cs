using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>A box on a garment that lies flat, in inches as in <see cref="OutlineSide"/>.</summary>
/// <param name="X">Left edge.</param>
/// <param name="Y">Upper edge.</param>
/// <param name="Width">Width.</param>
/// <param name="Height">Height.</param>
public sealed record FlatBox(double X, double Y, double Width, double Height);

/// <summary>Where a print lies on one size of a garment.</summary>
/// <param name="PlacementId">Which placement.</param>
/// <param name="OnBack">True on the back.</param>
/// <param name="Print">The print.</param>
/// <param name="Zone">What the place takes on this size at most.</param>
/// <param name="SeamX">The point of the seam it hangs from, across.</param>
/// <param name="SeamY">And down.</param>
/// <param name="FromSeamIn">From that seam to its nearest edge, in.</param>
/// <param name="Fingers">The same in fingers, to the half.</param>
/// <param name="Where">From which seam, in words.</param>
public sealed record LyingPrint(
    PlacementId PlacementId,
    bool OnBack,
    FlatBox Print,
    FlatBox Zone,
    double SeamX,
    double SeamY,
    double FromSeamIn,
    double Fingers,
    string Where
)
{
    /// <summary>Where a placement lies on a size; null where the garment has no such place.</summary>
    /// <param name="p">The placement as asked.</param>
    /// <param name="size">The size.</param>
    /// <param name="kind">The garment.</param>
    /// <param name="names">Names and numbers, where each piece has its own.</param>
    public static LyingPrint? Lay(Placement p, string size, GarmentKind kind, IReadOnlyList<OwnPiece>? names = null)
    {
        var outline = Outline.For(kind);
        var onBack = outline.Back.Anchors.ContainsKey(p.Seam());
        if (!(onBack ? outline.Back : outline.Front).Anchors.TryGetValue(p.Seam(), out var anchor))
        {
            return null;
        }
        var place = p.At();
        var scale = GarmentScale.For(kind, size);
        if (p.Place == Places.AllOver)
        {
            var flat = new FlatBox(
                outline.Box[0] * scale,
                outline.Box[1] * scale,
                outline.Box[2] * scale,
                outline.Box[3] * scale
            );
            return new(p.Id, false, flat, flat, 0, SeamY: flat.Y, 0, Fingers: 0, place.WhereOn(kind));
        }
        var print = SizedPrints.Of(p, [new SizeCount(size, 1)], names)[0].Print;
        var (middle, seam, from) = ((anchor[0] + place.AsideIn) * scale, anchor[1] * scale, place.FromSeam(size));
        FlatBox Box(double width, double height) =>
            new(middle - (width / 2), place.IsAbove ? seam - from - height : seam + from, width, height);
        return new(
            p.Id,
            onBack,
            Box(print.WidthIn, print.HeightIn),
            Box(place.WidthOn(size), place.HeightOn(size)),
            anchor[0] * scale,
            SeamY: seam,
            from,
            Places.Fingers(from),
            place.WhereOn(kind)
        );
    }

    /// <summary>The same print in the middle of the one beneath.</summary>
    internal LyingPrint CentredOn(LyingPrint under, Place place)
    {
        var y = under.Print.Y + ((under.Print.Height - Print.Height) / 2);
        var from = place.IsAbove ? SeamY - y - Print.Height : y - SeamY;
        return this with
        {
            Print = Print with { X = under.Print.X + ((under.Print.Width - Print.Width) / 2), Y = y },
            FromSeamIn = from,
            Fingers = Places.Fingers(from),
        };
    }
}

/// <summary>A line's prints on one size.</summary>
/// <param name="Size">Which size.</param>
/// <param name="Pieces">Pieces of it; 0 while no sizes are said.</param>
/// <param name="Scale">How much larger it is than its outline.</param>
/// <param name="Prints">Where each print lies.</param>
public sealed record SizeDrawn(string Size, int Pieces, double Scale, IReadOnlyList<LyingPrint> Prints)
{
    /// <summary>Every size of a line's run, as the style has them; a middle size while none is said.</summary>
    public static IReadOnlyList<SizeDrawn> Draw(AskLine line, GarmentKind kind)
    {
        IReadOnlyList<SizeCount> sizes = line.Sizes.Count > 0 ? line.Sizes : [new(Outline.For(kind).Size, 0)];
        return
        [
            .. sizes.Select(s => new SizeDrawn(
                s.Size,
                s.Pieces,
                GarmentScale.For(kind, s.Size),
                Lying(line, s.Size, kind)
            )),
        ];
    }

    // what lies on another lies in its middle
    private static List<LyingPrint> Lying(AskLine line, string size, GarmentKind kind)
    {
        List<LyingPrint> lying = [];
        foreach (
            var (p, lies) in line
                .Placements.Select(p => (p, LyingPrint.Lay(p, size, kind, line.Names)))
                .Where(x => x.Item2 is not null)
        )
        {
            lying.Add(
                p.OnTopOf is not null && lying.FirstOrDefault(u => u.PlacementId == p.OnTopOf) is { } under
                    ? lies!.CentredOn(under, p.At())
                    : lies!
            );
        }
        return lying;
    }
}
