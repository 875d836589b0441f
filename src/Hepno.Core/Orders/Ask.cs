using Hepno.Core.Blanks;
using Hepno.Core.Pricing;
using NodaTime;

namespace Hepno.Core.Orders;

/// <summary>What the customer asks for; parts not yet said are null or empty.</summary>
/// <param name="CustomerId">Who asks.</param>
/// <param name="Lines">What they want, a garment in a colour a line; at least one.</param>
/// <param name="DueDate">Local date it is wanted.</param>
/// <param name="DueTime">Local hour it is wanted.</param>
/// <param name="Channel">Whose policy makes the price.</param>
/// <param name="Shipping">How it is sent, or null when they collect it.</param>
public sealed record Ask(
    CustomerId? CustomerId,
    IReadOnlyList<AskLine> Lines,
    LocalDate? DueDate,
    LocalTime? DueTime,
    Channel Channel = Channel.Retail,
    Shipping? Shipping = null
)
{
    /// <summary>What is said of it beside.</summary>
    public AskDetails Details { get; init; } = AskDetails.None;

    /// <summary>Pieces of all lines.</summary>
    public int Pieces => Lines.Sum(l => l.Pieces);

    /// <summary>True where a print is of an artwork the shop keeps.</summary>
    public bool HasArtwork() => Lines.Any(l => l.Placements.Any(p => p.DesignId is not null));

    /// <summary>When a line is wanted: its own day, else the order's; at the order's hour.</summary>
    public LocalDateTime? DueOf(AskLine line) => line.DueDate is { } own ? own.At(DueTime ?? LocalTime.Noon) : DueAt;

    /// <summary>When it is wanted, in the shop's wall clock; noon when no hour is said.</summary>
    public LocalDateTime? DueAt => DueDate?.At(DueTime ?? LocalTime.Noon);
}

/// <summary>One line of an ask: a garment in a colour with its sizes and decorations.</summary>
/// <param name="Id">Identity within the order.</param>
/// <param name="StyleId">Which garment.</param>
/// <param name="ColourwayId">Which colour of it.</param>
/// <param name="Sizes">Pieces by size.</param>
/// <param name="Placements">Decorations, up to six.</param>
public sealed record AskLine(
    LineId Id,
    StyleId? StyleId,
    ColourwayId? ColourwayId,
    IReadOnlyList<SizeCount> Sizes,
    IReadOnlyList<Placement> Placements
)
{
    /// <summary>The most they would pay a piece, or null.</summary>
    public decimal? Mark { get; init; }

    /// <summary>How many of them are given: a price break made the larger quantity come to less.</summary>
    public int Given { get; init; }

    /// <summary>Names and numbers, a piece each; none when all pieces are alike.</summary>
    public IReadOnlyList<OwnPiece> Names { get; init; } = [];

    /// <summary>True when the customer brings the garments: they cost nothing, none is to spare, and
    /// its style says which of ours they are like.</summary>
    public bool Theirs { get; init; }

    /// <summary>Local date this line is wanted when it is another than the order's; null for the same.</summary>
    public LocalDate? DueDate { get; init; }

    /// <summary>Pieces of all sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);
}

/// <summary>An order that is sent instead of collected.</summary>
/// <param name="Zone">Zone of the carrier's rates.</param>
/// <param name="InThePrice">True when postage is absorbed in the price ("free"), false when it is charged beside
/// it.</param>
public sealed record Shipping(string Zone, bool InThePrice);
