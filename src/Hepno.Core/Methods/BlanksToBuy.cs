using Hepno.Core.Blanks;

namespace Hepno.Core.Methods;

/// <summary>Blanks that are bought for a line: those wanted, and what may be spoiled where they are sent out
/// (docs/trade 2).</summary>
public static class BlanksToBuy
{
    /// <summary>Blanks by size, the allowance in the same mix.</summary>
    /// <param name="sizes">Pieces wanted by size, at least one.</param>
    /// <param name="decorations">How they are decorated.</param>
    public static IReadOnlyList<SizeCount> Count(
        IReadOnlyList<SizeCount> sizes,
        IReadOnlyList<DecorationPlan> decorations
    )
    {
        var sent = decorations.Count == 0 ? 0 : decorations.Max(d => d.BlanksSent);
        return sent <= SizeRun.Total(sizes) ? sizes : SizeRun.ScaledTo(sizes, sent);
    }
}
