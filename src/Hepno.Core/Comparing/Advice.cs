using Hepno.Core.Measures;
using Hepno.Core.Methods;

namespace Hepno.Core.Comparing;

/// <summary>Which method is recommended, why, and what is given up by it.</summary>
/// <param name="MethodId">Which.</param>
/// <param name="Sentence">The recommendation with its reason.</param>
/// <param name="GivesUp">What another that fits would have been better at; empty where it is best at all.</param>
public sealed record Advice(string MethodId, string Sentence, IReadOnlyList<string> GivesUp)
{
    /// <summary>Two costs are told apart from here on, as a share (docs/trade.md 8: within it time and feel decide).</summary>
    public const decimal CloseShare = 0.03m;

    /// <summary>The advice on a comparison; null where nothing fits mark and date.</summary>
    /// <param name="bands">In their order: the first is recommended.</param>
    /// <param name="atPrice">The one price at which their profit is compared.</param>
    /// <param name="f">How figures are written.</param>
    public static Advice? Of(IReadOnlyList<Band> bands, decimal atPrice, FigureFormat f)
    {
        var fitting = bands.Where(b => b.Fits).ToList();
        if (fitting.Count == 0)
        {
            return null;
        }
        var best = fitting[0];
        var rivals = fitting.Skip(1).ToList();
        // only a rival of the same verdict is close: care is never a matter of three in a hundred
        var close = rivals.FirstOrDefault(r => r.Verdict.Kind == best.Verdict.Kind && Math.Abs(r.Cost.Value - best.Cost.Value) <= CloseShare * Math.Min(r.Cost.Value, best.Cost.Value));
        var reason = rivals.Count == 0 ? "the only one that fits"
            : best.Verdict.Kind == VerdictKind.Yes && rivals.All(r => r.Verdict.Kind == VerdictKind.WithCare) ? "the only plain yes that fits"
            : Earns(best, rivals.Where(r => r.Verdict.Kind == best.Verdict.Kind).MaxBy(r => r.AtOnePrice)!, atPrice, f);
        return new(best.MethodId, $"{best.Name}: {reason}{(best.Verdict.Kind == VerdictKind.WithCare ? ", with care" : "")}.", [.. GivenUp(best, rivals, f), .. close is null ? [] : new[] { $"{close.Name.ToLowerInvariant()} costs within 3% of it: time and feel decide" }]);
    }

    /// <summary>What is kept with the order of a choice: against what, at which figures, and the owner's own words.</summary>
    /// <param name="comparison">What was compared.</param>
    /// <param name="methodId">What was chosen.</param>
    /// <param name="own">The owner's words; may be empty.</param>
    /// <param name="f">How figures are written.</param>
    public static string Kept(Comparison comparison, string methodId, string own, FigureFormat f)
    {
        if (comparison.Bands.FirstOrDefault(b => b.MethodId == methodId) is not { } chosen)
        {
            return own;
        }
        string Figures(Band b) => $"{b.Name.ToLowerInvariant()} at {Shown.Money(b.Outcome.Price, f)}, cost {Shown.Money(b.CostShown, f)}";
        var others = comparison.Bands.Where(b => b.MethodId != methodId).Take(2).Select(Figures).ToList();
        var against = others.Count == 0 ? ", the only way that can" : $" against {string.Join(" and ", others)}";
        var advised = comparison.Advice is { } a ? a.MethodId == methodId ? " As recommended." : $" Recommended was {comparison.Bands.First(b => b.MethodId == a.MethodId).Name.ToLowerInvariant()}." : "";
        return $"{char.ToUpperInvariant(chosen.Name[0])}{Figures(chosen)[1..]}{against}.{advised}{(own.Length > 0 ? $" {own}" : "")}";
    }

    private static string Earns(Band best, Band next, decimal atPrice, FigureFormat f) => $"at {Shown.Money(atPrice, f)} it earns {Shown.AnHour(best.AtOnePrice, f)} an hour; next, {next.Name.ToLowerInvariant()}, {Shown.AnHour(next.AtOnePrice, f)}";

    private static IEnumerable<string> GivenUp(Band best, List<Band> rivals, FigureFormat f)
    {
        if (rivals.MinBy(r => r.CostShown) is { } cheapest && cheapest.CostShown < best.CostShown)
        {
            yield return $"{cheapest.Name.ToLowerInvariant()} costs {Shown.Money(best.CostShown - cheapest.CostShown, f)} a piece less{(cheapest.Verdict.Kind == VerdictKind.WithCare ? ", with care" : "")}";
        }
        if (rivals.Where(r => r.Promise is not null).MinBy(r => r.Promise!.At) is { } soonest && best.Promise is { } mine && soonest.Promise!.At < mine.At)
        {
            yield return $"{soonest.Name.ToLowerInvariant()} would be ready {Shown.Moment(soonest.Promise.At, f)} instead of {Shown.Moment(mine.At, f)}";
        }
    }
}
