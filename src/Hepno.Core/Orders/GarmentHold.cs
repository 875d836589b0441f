using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>The largest print that the cloth itself has room for: what is larger would run over a seam or off the
/// garment (cloth measured on the outlines, assumed).</summary>
public static class GarmentHold
{
    /// <summary>The largest print at a place on a size, in.</summary>
    /// <param name="place">The place; the garment has it.</param>
    /// <param name="kind">The garment.</param>
    /// <param name="size">The size.</param>
    public static (double WidthIn, double HeightIn) Reckon(Place place, GarmentKind kind, string size)
    {
        var seam = place.Seam().Id;
        if (seam == Places.AllOver)
        {
            return GarmentScale.Flat(kind, size);
        }
        var outline = Outline.For(kind);
        var cloth = (outline.Back.Cloth.GetValueOrDefault(seam) ?? outline.Front.Cloth[seam]) is [var width, var height]
            ? (Width: width, Height: height)
            : throw new InvalidDataException($"No cloth for {seam} of {kind}.");
        var scale = GarmentScale.For(kind, size);
        // a small garment has small seams
        var free = Place.SeamIn * Math.Min(1, scale);
        var (wide, tall) = (
            (cloth.Width * scale) - (2 * free) - (2 * Math.Abs(place.AsideIn) * scale),
            (cloth.Height * scale) - place.FromSeam(size) - free
        );
        // what is usual, no farther off than usual, was pressed often enough, whatever the outlines say
        var usual = place.Seam();
        return (
            Math.Max(wide, Math.Abs(place.AsideIn) <= Math.Abs(usual.AsideIn) ? usual.WidthOn(size) : 0),
            Math.Max(tall, place.FromSeam(size) <= usual.FromSeam(size) ? usual.HeightOn(size) : 0)
        );
    }
}
