namespace Hepno.Core.Runs;

/// <summary>What an event of a run says.</summary>
public enum RunVerdict
{
    /// <summary>The piece is good after this pass.</summary>
    Good,

    /// <summary>The piece is spoiled.</summary>
    Spoiled,

    /// <summary>An earlier event is taken back.</summary>
    TakenBack,
}

/// <summary>One event of a run; events are only ever added.</summary>
/// <param name="EventId">Made by the device: sending it again is the same event.</param>
/// <param name="Device">Which device.</param>
/// <param name="PieceNo">Piece, from 1.</param>
/// <param name="Attempt">1 for the first blank of that piece, 2 when it replaces a spoiled one, and so on.</param>
/// <param name="Pass">Which decoration, from 1, in the order of pressing.</param>
/// <param name="Size">Size of the piece.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="Reason">Why it is spoiled; null when not said.</param>
/// <param name="TakesBack">The event taken back, for <see cref="RunVerdict.TakenBack"/>.</param>
/// <param name="SecondsOnPiece">Seconds of hands since the device's verdict before, holds left out.</param>
public sealed record RunEvent(
    string EventId,
    string Device,
    int PieceNo,
    int Attempt,
    int Pass,
    string Size,
    RunVerdict Verdict,
    string? Reason,
    string? TakesBack,
    double SecondsOnPiece
)
{
    /// <summary>Seconds of the steps within, as the screen saw them begin and end; none where it did not.</summary>
    public IReadOnlyList<StepLap> Laps { get; init; } = [];

    /// <summary>Reasons a piece may be spoiled for; the screen's keys 1 to 9 follow this order.</summary>
    public static IReadOnlyList<string> Reasons { get; } =
    [
        "crooked",
        "wrong side",
        "scorch",
        "under-cured",
        "peeled early",
        "lint",
        "dye migration",
        "blank fault",
        "size mix-up",
    ];
}
