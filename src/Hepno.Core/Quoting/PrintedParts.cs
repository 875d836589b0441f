namespace Hepno.Core.Quoting;

/// <summary>A figure and what it is, as it stands on a document.</summary>
public sealed record Stated(string Label, string Value);

/// <summary>Pieces of one size, as printed.</summary>
public sealed record SizePrinted(string Size, int Pieces);

/// <summary>An amount on top of a line: a dearer size.</summary>
public sealed record ExtraPrinted(string Label, string Pieces, string Each, string Amount);

/// <summary>One line of a document.</summary>
/// <param name="What">The garment.</param>
/// <param name="Details">Its prints.</param>
/// <param name="Sizes">Pieces by size.</param>
/// <param name="Pieces">Pieces.</param>
/// <param name="Each">Price each.</param>
/// <param name="Amount">Pieces × price each.</param>
/// <param name="Extras">What dearer sizes add, each an amount of its own.</param>
public sealed record LinePrinted(
    string What,
    IReadOnlyList<string> Details,
    IReadOnlyList<SizePrinted> Sizes,
    string Pieces,
    string Each,
    string Amount,
    IReadOnlyList<ExtraPrinted> Extras
);

/// <summary>One other quantity on offer.</summary>
public sealed record TierPrinted(string Pieces, string Each, string InAll, bool Yours);

/// <summary>One way a line can be made.</summary>
/// <param name="How">In the customer's words.</param>
/// <param name="Each">Price each.</param>
/// <param name="InAll">Before tax.</param>
/// <param name="Ready">When.</param>
/// <param name="Quoted">True for the way the quote is for.</param>
public sealed record OtherPrinted(string How, string Each, string InAll, string Ready, bool Quoted);
