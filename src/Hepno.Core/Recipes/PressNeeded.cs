namespace Hepno.Core.Recipes;

/// <summary>The press a print would need.</summary>
public static class PressNeeded
{
    // platens that presses are sold with (assumed), in
    private static readonly (double W, double H)[] Usual =
    [
        (9, 12),
        (11, 15),
        (15, 15),
        (16, 20),
        (16, 24),
        (20, 25),
        (24, 32),
        (32, 40),
    ];

    /// <summary>The smallest usual platen that covers a print, either way round; null where none does.</summary>
    /// <param name="widthIn">Width of the print, in.</param>
    /// <param name="heightIn">Height, in.</param>
    public static (double WidthIn, double HeightIn)? For(double widthIn, double heightIn) =>
        Usual
            .Where(p => (widthIn <= p.W && heightIn <= p.H) || (heightIn <= p.W && widthIn <= p.H))
            .Select(p => ((double, double)?)p)
            .FirstOrDefault();
}
