namespace Hepno.Core.Gang;

/// <summary>A design to be laid on film, a sheet or a roll.</summary>
/// <param name="Id">Identity within the layout.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
/// <param name="Copies">How many, 1 or more.</param>
/// <param name="MayTurn">True when it may lie turned by a quarter.</param>
/// <param name="Group">Designs of one group stay together on one sheet, in one orientation; empty for none.</param>
/// <param name="Cover">Share of its box that it takes, 0 to 1: less than all where it is laid by its own outline
/// (<see cref="GangShapes"/>).</param>
public sealed record GangDesign(
    string Id,
    double WidthIn,
    double HeightIn,
    int Copies,
    bool MayTurn = true,
    string Group = "",
    double Cover = 1
)
{
    /// <summary>Area of one copy, in².</summary>
    public double AreaIn2 => WidthIn * HeightIn;
}

/// <summary>A copy where it lies.</summary>
/// <param name="DesignId">Which design.</param>
/// <param name="Sheet">On which sheet, from 0; always 0 on a roll.</param>
/// <param name="X">Left edge from the sheet's left edge, in.</param>
/// <param name="Y">Top edge from its beginning, in.</param>
/// <param name="WidthIn">Extent across as it lies, in.</param>
/// <param name="HeightIn">Extent along as it lies, in.</param>
/// <param name="Turned">True when it lies turned by a quarter.</param>
public sealed record GangPlaced(
    string DesignId,
    int Sheet,
    double X,
    double Y,
    double WidthIn,
    double HeightIn,
    bool Turned
);

/// <summary>What designs are laid on.</summary>
/// <param name="WidthIn">Printable width, in.</param>
/// <param name="LengthIn">Length of a sheet, in; null for a roll as long as needed.</param>
/// <param name="GapIn">At least this apart, across or along, in.</param>
/// <param name="MarginIn">Kept free on all four sides, in.</param>
public sealed record GangGround(double WidthIn, double? LengthIn, double GapIn, double MarginIn)
{
    /// <summary>True where the last sheet may be bought shorter: a roll in set lengths.</summary>
    public bool IsCutShorter { get; init; }
}
