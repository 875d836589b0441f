using Hepno.Core.Measures;

namespace Hepno.Core.Artwork;

/// <summary>What a way of printing makes of half-clear paint: soft edges, glows, shadows.</summary>
public enum HalfClear
{
    /// <summary>It prints as it is drawn: nothing lies under the paint.</summary>
    Holds,

    /// <summary>A white or opaque ground lies under it and shows.</summary>
    Rims,

    /// <summary>It is cut, stitched or screened with a hard edge.</summary>
    Hardens,
}

/// <summary>The finest of an artwork that a way of printing holds (docs/trade 3): one table for the panel beside an ask
/// and for every method's verdict.</summary>
/// <param name="Way">What holds it, in words.</param>
/// <param name="LinePt">Thinnest line, pt.</param>
/// <param name="GapPt">Thinnest gap it keeps open, pt.</param>
/// <param name="LeastSquareMm">Smallest square of a scan code that stays apart, mm.</param>
/// <param name="SafeSquareMm">From here a code is safe without a scan on the cloth, mm.</param>
/// <param name="HalfClear">What becomes of half-clear paint.</param>
public sealed record PrintHold(
    string Way,
    double LinePt,
    double GapPt,
    double LeastSquareMm,
    double SafeSquareMm,
    HalfClear HalfClear
)
{
    private const double MmPerPt = Units.MmPerInch / 72;

    /// <summary>Dye in the cloth.</summary>
    public static PrintHold Dye { get; } =
        new("dye", 0.5, GapPt: 0.5, CodeSquares.Least, SafeSquareMm: CodeSquares.SafeOnFilm, HalfClear.Holds);

    /// <summary>Film, own or bought.</summary>
    public static PrintHold Film { get; } =
        new("film", 1, GapPt: 1.5, CodeSquares.Least, SafeSquareMm: CodeSquares.SafeOnFilm, HalfClear.Rims);

    /// <summary>Digital transfers: as fine as film, on an even ground of their own.</summary>
    public static PrintHold Digital { get; } = Film with { Way = "a digital transfer", HalfClear = HalfClear.Holds };

    /// <summary>Screened transfers and screens elsewhere.</summary>
    public static PrintHold Screened { get; } =
        new(
            "a screen",
            1,
            GapPt: 1.5,
            CodeSquares.LeastScreened,
            SafeSquareMm: CodeSquares.SafeScreened,
            HalfClear.Hardens
        );

    /// <summary>Cut film: a code's squares are cut one by one (assumed).</summary>
    public static PrintHold Vinyl { get; } =
        new("vinyl", 4.5, GapPt: 3, 4.5 * MmPerPt, SafeSquareMm: 9 * MmPerPt, HalfClear.Hardens);

    /// <summary>Flock, glitter, puff: thicker, and coarser to cut.</summary>
    public static PrintHold CoarseVinyl { get; } =
        new("vinyl of this finish", 7, GapPt: 6, 7 * MmPerPt, SafeSquareMm: 14 * MmPerPt, HalfClear.Hardens);

    /// <summary>Transfer paper for light cloth.</summary>
    public static PrintHold Paper { get; } =
        new("paper", 1, GapPt: 1, CodeSquares.Least, SafeSquareMm: CodeSquares.SafeOnFilm, HalfClear.Holds);

    /// <summary>Opaque transfer paper: its own white lies under all of it.</summary>
    public static PrintHold OpaquePaper { get; } = Paper with { HalfClear = HalfClear.Rims };

    /// <summary>Direct to garment with white under the colour.</summary>
    public static PrintHold DirectOnWhite { get; } =
        new(
            "white under the colour",
            1,
            GapPt: 1,
            CodeSquares.Least,
            SafeSquareMm: CodeSquares.SafeOnFilm,
            HalfClear.Rims
        );

    /// <summary>Direct to garment on light cloth.</summary>
    public static PrintHold Direct { get; } =
        new("ink", 0, GapPt: 0, CodeSquares.Least, SafeSquareMm: CodeSquares.SafeOnFilm, HalfClear.Holds);

    /// <summary>Stitches: two columns make a square (assumed).</summary>
    public static PrintHold Stitched { get; } =
        new("a stitched column", 3, GapPt: 3, 6 * MmPerPt, SafeSquareMm: 12 * MmPerPt, HalfClear.Hardens);

    /// <summary>Shapes cut out of film and sewn on.</summary>
    public static PrintHold Applique { get; } =
        new("a shape cut out of film", 7, GapPt: 7, 7 * MmPerPt, SafeSquareMm: 14 * MmPerPt, HalfClear.Hardens);

    /// <summary>What prints fine, finest first: what these lose is said beside the ask; that the coarse ways lose more
    /// is said where they are compared.</summary>
    public static IReadOnlyList<PrintHold> Fine { get; } = [Dye, Film, Screened];
}
