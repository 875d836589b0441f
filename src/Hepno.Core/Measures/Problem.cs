namespace Hepno.Core.Measures;

/// <summary>Something the owner can put right, in words the owner reads.</summary>
/// <param name="Code">Stable word for programs, kebab-case.</param>
/// <param name="Sentence">What is wrong; names the field and the value.</param>
/// <param name="Where">The field, in the API's own name (for example <c>placements[0].widthIn</c>).</param>
/// <param name="Remedy">What would put it right.</param>
public sealed record Problem(string Code, string Sentence, string Where, string Remedy);
