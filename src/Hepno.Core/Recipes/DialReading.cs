using Hepno.Core.Blanks;

namespace Hepno.Core.Recipes;

/// <summary>What a press's dial says for a pressure: it is a setting, not a pressure, and changes with how thick the
/// garment lies with the lower platen and with what lies under the print (docs/trade 5).</summary>
/// <param name="Pressure">The word: light, medium, firm or heavy.</param>
/// <param name="Thickness">How thick the garment lies.</param>
/// <param name="Lower">Name of the lower platen; empty for the press's own.</param>
/// <param name="Dial">What the dial says, in its own numbers.</param>
/// <param name="Pillow">Name of the pillow or foam under the print; empty for none.</param>
public sealed record DialReading(string Pressure, Thickness Thickness, string Lower, double Dial, string Pillow = "")
{
    /// <summary>The words there are, lightest first.</summary>
    public static IReadOnlyList<string> Words { get; } = ["light", "medium", "firm", "heavy"];
}
