namespace Hepno.Core.Recipes;

/// <summary>A lower platen that can be put on a press instead of its own.</summary>
/// <param name="Name">What the shop calls it: "sleeve".</param>
/// <param name="WidthIn">Width, in: the part of the garment that goes over it is wider.</param>
/// <param name="HeightIn">Depth, in.</param>
public sealed record LowerPlaten(string Name, double WidthIn, double HeightIn);
