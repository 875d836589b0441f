namespace Hepno.Core.Gang;

/// <summary>How much a layout takes: what layouts of the same prints are told apart by.</summary>
/// <param name="UsedIn">Length of roll it uses, in; 0 on sheets.</param>
/// <param name="Sheets">Sheets it uses; 0 on a roll.</param>
public readonly record struct LaidLength(double UsedIn, int Sheets)
{
    // less than anybody cuts
    private const double AlikeIn = 1e-6;

    /// <summary>True when it takes less than another.</summary>
    public bool IsLessThan(LaidLength other) => UsedIn < other.UsedIn - AlikeIn || Sheets < other.Sheets;
}
