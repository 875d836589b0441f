using Hepno.Core.Measures;

namespace Hepno.Core.Artwork;

/// <summary>How small the squares of a square code may be printed, mm (docs/trade 3).</summary>
public static class CodeSquares
{
    /// <summary>Under one point no way of printing keeps them apart.</summary>
    public const double Least = 0.353;

    /// <summary>From here film is safe without a scan on the cloth.</summary>
    public const double SafeOnFilm = 0.5;

    /// <summary>Under this screened ink runs together.</summary>
    public const double LeastScreened = 1.0;

    /// <summary>From here screened ink is safe.</summary>
    public const double SafeScreened = 1.2;

    /// <summary>How many times its side away a code is still read.</summary>
    public const double ReadFrom = 10;

    /// <summary>Side of a whole code, its light border with it, in.</summary>
    /// <param name="squares">Squares a side, the border with them.</param>
    /// <param name="squareMm">Side of one, mm.</param>
    public static double SideIn(int squares, double squareMm) => squares * squareMm / Units.MmPerInch;
}
