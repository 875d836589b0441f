namespace Hepno.Core.Costing;

/// <summary>When an hour of hands is worth more than its wage.</summary>
public enum HandsWorth
{
    /// <summary>Beyond the hands that are free up to the order's date: as much as hours earn here otherwise.</summary>
    ByPlan,

    /// <summary>Always: as much as hours earn here otherwise.</summary>
    Always,

    /// <summary>Always: a sum the owner typed.</summary>
    Typed,
}

/// <summary>What orders that were handed over have earned.</summary>
/// <param name="Profit">Wages paid.</param>
/// <param name="Hours">Of hands.</param>
public sealed record EarnedByHands(decimal Profit, decimal Hours)
{
    /// <summary>Nothing is handed over yet.</summary>
    public static EarnedByHands Nothing { get; } = new(0, Hours: 0);
}
