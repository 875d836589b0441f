namespace Hepno.Core.Quoting;

/// <summary>A design of a quote.</summary>
/// <param name="DesignId">Which artwork.</param>
/// <param name="MakerId">By whom.</param>
/// <param name="WidthIn">How wide, in.</param>
/// <param name="HeightIn">How tall, in.</param>
/// <param name="Screens">Screens it takes; 0 for stitches.</param>
public sealed record QuotedDesign(DesignId DesignId, ThingId MakerId, double WidthIn, double HeightIn, int Screens);
