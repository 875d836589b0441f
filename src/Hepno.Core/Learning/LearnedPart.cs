namespace Hepno.Core.Learning;

/// <summary>What a part of what was learned is of.</summary>
public enum LearnedKind
{
    /// <summary>Hands at one print of one method, s.</summary>
    Hands,

    /// <summary>One step of one method, s.</summary>
    Step,

    /// <summary>Attempts at one print of one method.</summary>
    Spoilage,

    /// <summary>What an order earned: its profit where a standard stands, its hours of hands where what was recorded
    /// stands.</summary>
    Earned,
}

/// <summary>What the record of some orders says of one thing, as sums: those of two orders added are those of
/// both.</summary>
/// <param name="Kind">Of what.</param>
/// <param name="MethodId">Method.</param>
/// <param name="What">Where the print is, or which step.</param>
/// <param name="Standard">Sum of the standards, s; money for what was earned; 0 for attempts.</param>
/// <param name="Recorded">Sum of what was recorded, each at most three times its standard, s; h for what was earned; 0
/// for attempts.</param>
/// <param name="Seen">How many timings, attempts or orders.</param>
/// <param name="Spoiled">Spoiled of them; 0 for timings.</param>
public sealed record LearnedPart(
    LearnedKind Kind,
    MethodId MethodId,
    string What,
    double Standard,
    double Recorded,
    int Seen,
    int Spoiled
)
{
    /// <summary>Parts of the same thing added up.</summary>
    public static IReadOnlyList<LearnedPart> Sum(IEnumerable<LearnedPart> parts) =>
        [
            .. parts
                .GroupBy(p => (p.Kind, p.MethodId, p.What))
                .Select(g => new LearnedPart(
                    g.Key.Kind,
                    g.Key.MethodId,
                    g.Key.What,
                    g.Sum(p => p.Standard),
                    Recorded: g.Sum(p => p.Recorded),
                    g.Sum(p => p.Seen),
                    Spoiled: g.Sum(p => p.Spoiled)
                )),
        ];
}
