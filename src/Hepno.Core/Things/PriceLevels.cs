namespace Hepno.Core.Things;

/// <summary>How many times as much as now is tried for what things cost; 1 is as now.</summary>
/// <param name="Blank">Garments and cloth, their surcharges and freight.</param>
/// <param name="Film">Bought transfers, film, vinyl and paper.</param>
/// <param name="Ink">Ink, powder and thread of one's own machines.</param>
/// <param name="SentOut">What screen printers and services charge.</param>
public sealed record PriceLevels(decimal Blank, decimal Film, decimal Ink, decimal SentOut);
