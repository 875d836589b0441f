namespace Hepno.Core.PressFloor;

/// <summary>What one part of the work takes in all.</summary>
/// <param name="Name">The pass; empty for what belongs to none: threading, pre-pressing, inspecting.</param>
/// <param name="HandsOnSeconds">Hands busy, s.</param>
/// <param name="AttendedSeconds">Hands-on and the short waits before its steps, s.</param>
/// <param name="HeldSeconds">Time it holds a press, s.</param>
public sealed record FloorPart(string Name, double HandsOnSeconds, double AttendedSeconds, double HeldSeconds);

/// <summary>How pieces go over the floor (docs/trade 6).</summary>
/// <param name="Pieces">How many.</param>
/// <param name="MakespanSeconds">From the first touch to the last piece through, s.</param>
/// <param name="HandsOnSeconds">Hands busy, all pieces, s.</param>
/// <param name="AttendedSeconds">Hands-on and every wait under half a minute in which nothing else can be done, all
/// pieces, s.</param>
/// <param name="HeldSeconds">Presses held, all pieces, s.</param>
/// <param name="Parts">The passes in order, then what belongs to none.</param>
/// <param name="OverDwellLargest">Most a piece was pressed too long because hands came late, s.</param>
/// <param name="OverDwellSum">All of that together, s.</param>
/// <param name="LargestRack">Most pieces cooling at once.</param>
/// <param name="PressesUsed">Which of the job's presses are used, by their place in it: one that helps nothing is left
/// out.</param>
/// <param name="OperatorsUsed">Pairs of hands used.</param>
/// <param name="ByPlacement">True when one decoration of all pieces comes before the next of any.</param>
/// <param name="Batch">True when second presses come after all first ones.</param>
/// <param name="Trace">Everything that happens, in order; empty when it was not asked for.</param>
public sealed record FloorResult(
    int Pieces,
    double MakespanSeconds,
    double HandsOnSeconds,
    double AttendedSeconds,
    double HeldSeconds,
    IReadOnlyList<FloorPart> Parts,
    double OverDwellLargest,
    double OverDwellSum,
    int LargestRack,
    IReadOnlyList<int> PressesUsed,
    int OperatorsUsed,
    bool ByPlacement,
    bool Batch,
    IReadOnlyList<FloorEvent> Trace
)
{
    /// <summary>True where presses that open themselves are opened by hand all the same, which is quicker.</summary>
    public bool OpenedByHand { get; init; }

    /// <summary>Share of the time the used presses are held, 0 to 1.</summary>
    public double PressShare => MakespanSeconds <= 0 ? 0 : HeldSeconds / (MakespanSeconds * PressesUsed.Count);

    /// <summary>Share of the time the used hands are busy, 0 to 1.</summary>
    public double HandsShare => MakespanSeconds <= 0 ? 0 : HandsOnSeconds / (MakespanSeconds * OperatorsUsed);
}
