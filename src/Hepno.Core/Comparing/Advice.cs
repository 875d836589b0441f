using Hepno.Core.Measures;
using Hepno.Core.Methods;

namespace Hepno.Core.Comparing;

/// <summary>Which method is recommended, why, and what is given up by it.</summary>
/// <param name="MethodId">Which.</param>
/// <param name="Sentence">The recommendation with its reason.</param>
/// <param name="GivesUp">What another that fits would have been better at; empty where it is best at all.</param>
public sealed record Advice(MethodId MethodId, string Sentence, IReadOnlyList<string> GivesUp)
{
    /// <summary>Two costs are told apart from here on, as a share (docs/trade 8: within it time and feel
    /// decide).</summary>
    public static readonly Share CloseShare = new(0.03m);

    private const double LeastSeconds = 60;

    /// <summary>The advice on a comparison; null where nothing fits mark and date.</summary>
    /// <param name="bands">In their order: the first is recommended.</param>
    /// <param name="atPrice">The one price at which their profit is compared.</param>
    /// <param name="worth">What hours of hands are worth.</param>
    /// <param name="f">How figures are written.</param>
    public static Advice? Give(IReadOnlyList<Band> bands, decimal atPrice, WorthOfHands worth, FigureFormat f)
    {
        var fitting = bands.Where(b => b.Fits).ToList();
        if (fitting.Count == 0)
        {
            return null;
        }
        var best = fitting[0];
        var rivals = fitting.Skip(1).ToList();
        // only a rival of the same verdict is close: care is never a matter of three in a hundred
        var close = rivals.FirstOrDefault(r =>
            r.Verdict.Kind == best.Verdict.Kind
            && Math.Abs(r.Cost.Value - best.Cost.Value) <= CloseShare * Math.Min(r.Cost.Value, best.Cost.Value)
        );
        var reason = rivals.OrderBy(r => r.Verdict.Kind).ThenByDescending(r => r.LeftInAll!.Left.Value).FirstOrDefault()
            is { } next
            ? Against(best, next, atPrice, worth, f)
            : "the only one that fits";
        var alone =
            best.Verdict.Kind == VerdictKind.Yes
            && rivals.Count > 0
            && rivals.All(r => r.Verdict.Kind == VerdictKind.WithCare)
                ? "; the only plain yes"
                : "";
        return new(
            best.MethodId,
            $"{best.Name}{(best.Verdict.Kind == VerdictKind.WithCare ? ", with care" : "")}: {reason}{alone}.",
            [
                .. GivenUp(best, rivals, f),
                .. close is null
                    ? []
                    : new[] { $"{close.Name.ToLowerInvariant()} costs within 3% of it: time and feel decide" },
            ]
        );
    }

    /// <summary>What is kept with the order of a choice: against what, at which figures, and the owner's own
    /// words.</summary>
    /// <param name="comparison">What was compared.</param>
    /// <param name="methodId">What was chosen.</param>
    /// <param name="own">The owner's words; may be empty.</param>
    /// <param name="f">How figures are written.</param>
    public static string Kept(Comparison comparison, MethodId methodId, string own, FigureFormat f)
    {
        if (comparison.Bands.FirstOrDefault(b => b.MethodId == methodId) is not { } chosen)
        {
            return own;
        }
        string Figures(Band b) =>
            $"{b.Name.ToLowerInvariant()} at {Shown.Money(b.Outcome.Price, f)}, cost {Shown.Money(b.CostShown, f)}";
        var others = comparison.Bands.Where(b => b.MethodId != methodId).Take(2).Select(Figures).ToList();
        var against = others.Count == 0 ? ", the only way that can" : $" against {string.Join(" and ", others)}";
        string advised;
        if (comparison.Advice is { } a)
        {
            advised =
                a.MethodId == methodId
                    ? " As recommended."
                    : $" Recommended was {comparison.Bands.First(b => b.MethodId == a.MethodId).Name.ToLowerInvariant()}.";
        }
        else
        {
            advised = "";
        }

        return $"{char.ToUpperInvariant(chosen.Name[0])}{Figures(chosen)[1..]}{against}.{advised}{(own.Length > 0 ? $" {own}" : "")}";
    }

    // money and hours both: an owner with a free afternoon and one with none read the same sentence
    private static string Against(Band best, Band next, decimal atPrice, WorthOfHands worth, FigureFormat f)
    {
        var (mine, theirs) = (best.LeftInAll!, next.LeftInAll!);
        var (money, seconds) = (mine.Profit - theirs.Profit, (double)(mine.Hours - theirs.Hours) * 3600);
        var hands =
            Math.Abs(seconds) < LeastSeconds
                ? ""
                : $", {(money < 0 && seconds < 0 ? "but" : "and")} {Shown.Duration(Math.Abs(seconds))} "
                    + $"{MoreOrLess(seconds > 0)} of your hands";
        return $"at {Shown.Money(atPrice, f)} it {(mine.Profit < 0 ? "loses" : "earns")} "
            + $"{Shown.Money(Math.Abs(mine.Profit), f)}, {Shown.Money(Math.Abs(money), f)} {MoreOrLess(money >= 0)} "
            + "than "
            + $"{next.Name.ToLowerInvariant()}{hands}{Judged(best, next, hands.Length > 0 && seconds > 0, worth, f)}";
    }

    private static string MoreOrLess(bool more) => more ? "more" : "less";

    private static string Judged(Band best, Band next, bool moreHands, WorthOfHands worth, FigureFormat f)
    {
        var (mine, theirs) = (best.Weighed(), next.Weighed());
        if (mine.Left < theirs.Left)
        {
            return mine.Kind != theirs.Kind || mine.Ready is null
                ? ""
                : $"; as good as the same, and ready {Shown.Day(mine.Ready.Value, f)}";
        }
        var counted = worth.AnHour > 0 && worth.Beyond(best.LeftInAll!.Hours) != worth.Beyond(next.LeftInAll!.Hours);
        if (counted)
        {
            return $"; beyond the free ones an hour of them earns {Shown.AnHour(worth.AnHour, f)} here otherwise";
        }
        return moreHands && mine.Left > theirs.Left ? "; worth it while you have the time" : "";
    }

    private static IEnumerable<string> GivenUp(Band best, List<Band> rivals, FigureFormat f)
    {
        if (rivals.MinBy(r => r.CostShown) is { } cheapest && cheapest.CostShown < best.CostShown)
        {
            yield return $"{cheapest.Name.ToLowerInvariant()} costs {Shown.Money(best.CostShown - cheapest.CostShown, f)} a "
                + $"piece less{(cheapest.Verdict.Kind == VerdictKind.WithCare ? ", with care" : "")}";
        }
        if (
            rivals.MaxBy(r => r.LeftInAll!.Left.Value) is { } careful
            && careful.Verdict.Kind > best.Verdict.Kind
            && careful.LeftInAll!.Left.Value > best.LeftInAll!.Left.Value
            && !Leading.AsGood(careful.Weighed(), best.Weighed())
        )
        {
            yield return $"{careful.Name.ToLowerInvariant()} would leave "
                + $"{Shown.Money(careful.LeftInAll.Left.Value - best.LeftInAll.Left.Value, f)} more in all, with care";
        }
        if (
            rivals.Where(r => r.Promise is not null).MinBy(r => r.Promise!.At) is { } soonest
            && best.Promise is { } mine
            && soonest.Promise!.At < mine.At
        )
        {
            yield return $"{soonest.Name.ToLowerInvariant()} would be ready {Shown.Moment(soonest.Promise.At, f)} instead of "
                + $"{Shown.Moment(mine.At, f)}";
        }
    }
}
