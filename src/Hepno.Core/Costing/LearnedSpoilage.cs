namespace Hepno.Core.Costing;

/// <summary>A share of spoiled attempts the shop has learned.</summary>
/// <param name="MethodId">Of which method.</param>
/// <param name="Share">0 to under 1.</param>
public sealed record LearnedSpoilage(MethodId MethodId, double Share);
