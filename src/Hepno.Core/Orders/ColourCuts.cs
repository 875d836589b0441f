namespace Hepno.Core.Orders;

/// <summary>One flat colour of an artwork as it is cut from film of its own.</summary>
/// <param name="Hex">#rrggbb.</param>
/// <param name="WidthShare">Width of its own box ÷ width of the whole, 0 to 1.</param>
/// <param name="HeightShare">Height of its own box ÷ height of the whole, 0 to 1.</param>
/// <param name="PaintShare">Its paint ÷ all paint, 0 to 1.</param>
public sealed record ColourCut(string Hex, double WidthShare, double HeightShare, double PaintShare);

/// <summary>The colours of an artwork as they were measured on its picture, the one with most paint first. Two with the
/// same colours are equal.</summary>
/// <param name="Colours">At least one.</param>
public sealed record ColourCuts(IReadOnlyList<ColourCut> Colours)
{
    /// <inheritdoc/>
    public bool Equals(ColourCuts? other) => other is not null && Colours.SequenceEqual(other.Colours);

    /// <inheritdoc/>
    public override int GetHashCode() => Colours.Aggregate(Colours.Count, HashCode.Combine);
}
