using Hepno.Core.Artwork;

namespace Hepno.Formats;

/// <summary>A layout as it is given away: one sheet, or the whole roll.</summary>
/// <param name="Title">Order and number of the sheet: "T-214, sheet 2 of 3".</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="LengthIn">Length, in.</param>
/// <param name="Copies">What lies on it.</param>
public sealed record LaidSheet(string Title, double WidthIn, double LengthIn, IReadOnlyList<LaidBox> Copies);

/// <summary>A copy where it lies.</summary>
/// <param name="Key">Which design of the layout.</param>
/// <param name="Name">As it is written beside it.</param>
/// <param name="X">Left edge, in.</param>
/// <param name="Y">Top edge, in.</param>
/// <param name="WidthIn">Extent across as it lies, in.</param>
/// <param name="HeightIn">Extent along as it lies, in.</param>
/// <param name="Turned">True when its top is to the right.</param>
public sealed record LaidBox(string Key, string Name, double X, double Y, double WidthIn, double HeightIn, bool Turned);

/// <summary>Pictures of a layout's designs, each read when it is first drawn.</summary>
/// <param name="read">The painted part of a design's picture; null where the design has none.</param>
public sealed class LaidPictures(Func<string, Raster?> read)
{
    private readonly Dictionary<string, Raster?> known = [];

    /// <summary>A design's picture, or null.</summary>
    public Raster? this[string key] => known.TryGetValue(key, out var raster) ? raster : known[key] = read(key);
}
