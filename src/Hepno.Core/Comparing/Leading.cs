using Hepno.Core.Methods;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>A way as it is weighed against others that fit mark and date.</summary>
/// <param name="Left">What the order leaves, hands beyond the free paid for at their worth.</param>
/// <param name="Cost">What it costs in all.</param>
/// <param name="Ready">Its day; null when no day is known.</param>
/// <param name="Kind">Its verdict.</param>
public readonly record struct Weighed(decimal Left, decimal Cost, LocalDate? Ready, VerdictKind Kind);

/// <summary>Which of the ways that fit is the best for the shop: of the plain ones, or where there is none of those
/// with care, what leaves most; among those that leave as good as the same, the soonest (docs/trade 8).</summary>
public static class Leading
{
    /// <summary>The best of them.</summary>
    /// <param name="fitting">At least one.</param>
    /// <param name="weighed">How each weighs.</param>
    public static T Best<T>(IReadOnlyList<T> fitting, Func<T, Weighed> weighed)
    {
        // what goes wrong for want of care costs more than any figure here holds
        var ways = fitting.Select(w => (Way: w, Is: weighed(w))).GroupBy(w => w.Is.Kind).MinBy(g => g.Key)!.ToList();
        var most = ways.MaxBy(w => w.Is.Left).Is;
        return ways.Where(w => AsGood(w.Is, most))
            .OrderBy(w => w.Is.Ready ?? LocalDate.MaxIsoValue)
            .ThenByDescending(w => w.Is.Left)
            .First()
            .Way;
    }

    /// <summary>True where two leave as good as the same: apart by less than tells two costs apart.</summary>
    public static bool AsGood(Weighed a, Weighed b) =>
        Math.Abs(a.Left - b.Left) <= Advice.CloseShare * Math.Min(a.Cost, b.Cost);
}
