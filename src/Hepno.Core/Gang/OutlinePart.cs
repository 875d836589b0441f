namespace Hepno.Core.Gang;

/// <summary>A part of what a print's outline encloses, in shares of the print's own box as it stands upright, 0 to
/// 1.</summary>
/// <param name="X">Left edge.</param>
/// <param name="Y">Top edge.</param>
/// <param name="Width">Width.</param>
/// <param name="Height">Height.</param>
public sealed record OutlinePart(double X, double Y, double Width, double Height);
