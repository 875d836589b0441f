namespace Hepno.Core.Quoting;

/// <summary>A line of a sent quote in figures alone.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="MethodId">By which way.</param>
/// <param name="Price">Sold at, a piece, what dearer sizes add averaged in.</param>
/// <param name="Cost">Cost a piece as it was then.</param>
public sealed record QuotedLine(LineId LineId, MethodId MethodId, decimal Price, decimal Cost);
