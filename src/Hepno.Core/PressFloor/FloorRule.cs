namespace Hepno.Core.PressFloor;

/// <summary>What hands that are free do first when several things wait; lower ranks first. An opening and a peel that
/// cannot wait come before all.</summary>
/// <param name="OnPress">A piece on a press is taken on.</param>
/// <param name="Load">A piece comes to a press for its first press of a pass.</param>
/// <param name="Second">A piece comes to a press for its second press.</param>
/// <param name="Peel">A cold piece is peeled.</param>
/// <param name="Off">Everything else away from the press.</param>
internal readonly record struct FloorRule(int OnPress, int Load, int Second, int Peel, int Off)
{
    /// <summary>Among presses: the one that closes soonest first, else the one that waits longest.</summary>
    public bool Nearest { get; init; } = true;

    /// <summary>Second presses when every piece had its first.</summary>
    public bool Batch { get; init; }

    /// <summary>One decoration of all pieces before the next of any.</summary>
    public bool ByPlacement { get; init; }

    /// <summary>Nothing is begun that would keep an opening waiting, slack or not: the other dwells have time
    /// for it.</summary>
    public bool Punctual { get; init; }

    /// <summary>The last free press is kept for a piece that is cold within half a minute and has a second
    /// press to come.</summary>
    public bool Patient { get; init; }

    /// <summary>Hands are there when a press opens by itself, as they must be where they open it: nothing
    /// is begun that would leave it standing open past its slack.</summary>
    public bool AwaitsOpen { get; init; }

    /// <summary>The order in which a search counts what is possible.</summary>
    public static FloorRule Lead { get; } = new(0, Load: 1, 2, Peel: 3, 4);

    /// <summary>Orders worth trying; which is quickest depends on the dwell, the cooling and the number of
    /// presses.</summary>
    public static IReadOnlyList<FloorRule> Orders { get; } =
    [
        new(0, Load: 2, 1, Peel: 3, 4) { Punctual = true },
        new(2, Load: 3, 4, Peel: 0, 1) { Punctual = true },
        new(0, Load: 1, 2, Peel: 3, 4),
        new(0, Load: 4, 3, Peel: 1, 2),
        new(0, Load: 2, 1, Peel: 3, 4),
        new(2, Load: 3, 4, Peel: 0, 1),
        new(1, Load: 2, 3, Peel: 0, 4),
        new(2, Load: 3, 4, Peel: 1, 0),
        new(1, Load: 3, 2, Peel: 0, 4) { Nearest = false },
        new(0, Load: 2, 1, Peel: 3, 4) { Patient = true },
        new(2, Load: 4, 3, Peel: 0, 1) { Patient = true },
    ];
}
