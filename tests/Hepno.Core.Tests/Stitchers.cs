using Hepno.Core.Methods;

namespace Hepno.Core.Tests;

/// <summary>Embroidery machines for tests.</summary>
internal static class Stitchers
{
    /// <summary>700 stitches a minute, one head, a thousand stitches of thread 0.20, backing 0.12, a design 24; its hour
    /// costs nothing.</summary>
    public static StitchMachine Bittern { get; } =
        new("bittern", "Bittern", 700, 1, 6, 12, 8, true, 0.20m, 0.12m, 24m, new(0, 0, 1, 1, 0, 0, 0), "");

    /// <summary>The same with an hour of 3.60, a thousandth of it a second, and film to applique with at 0.02 an
    /// in².</summary>
    public static StitchMachine BitternPaid { get; } =
        Bittern with
        {
            Equipment = new(3600, 0, 1, 1000, 0, 0, 0),
            AppliqueFilmPerIn2 = 0.02m,
        };
}
