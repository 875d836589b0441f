using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Prints that lie on prints (docs/trade 1): each by its own recipe, pressed in order; says when the one
/// beneath must be cut out so that its edge does not show.</summary>
public static class Layers
{
    // so much hotter than what lies beneath was made for, it may soften again, °F (assumed)
    private const double HotterF = 15;

    /// <summary>Whether and how a method would do an ask, with what lies on what.</summary>
    public static MethodAnswer Answer(this IDecorationMethod method, AskInHand ask, ShopBook book) =>
        Over(method, method.OnCloth(ask, book), ask, book);

    /// <summary>A method's answer with what lies on what and how large it is for its place, from its answer with each
    /// print lying on the cloth.</summary>
    internal static MethodAnswer Over(IDecorationMethod method, MethodAnswer flat, AskInHand ask, ShopBook book)
    {
        if (flat.Decorations.Count == 0)
        {
            return flat;
        }
        if (Verdicts.Customary(ask, book.Numbers.Format).ToList() is { Count: > 0 } beyond)
        {
            flat = flat with { Verdict = Verdict.From([.. flat.Verdict.Reasons, .. beyond]) };
        }
        if (ask.Placements.All(p => p.OnTopOf is null))
        {
            return flat;
        }
        var pairs = flat
            .Decorations.Select(d =>
                (Upper: d, Under: flat.Decorations.FirstOrDefault(u => u.Placement.Id == d.Placement.OnTopOf))
            )
            .Where(x => x.Under is not null)
            .Select(x => (x.Upper, Under: x.Under!))
            .ToList();
        IDecorationMethod WayOf(DecorationPlan d) => d.MethodId.IsNone ? method : DecorationMethods.Find(d.MethodId)!;
        var verdict = Verdict.From([
            .. flat.Verdict.Reasons,
            .. pairs.SelectMany(x => Reasons(x.Upper, WayOf(x.Upper), x.Under, WayOf(x.Under), book.Numbers.Format)),
        ]);
        var standards = book.Numbers.Floor.Standards();
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : flat with
            {
                Verdict = verdict,
                Decorations =
                [
                    .. flat.Decorations.Select(d =>
                        d.Recipe.IsPressed() && pairs.Any(x => x.Upper == d)
                            ? d with
                            {
                                Steps = standards.OnTop(d.Steps),
                            }
                            : d
                    ),
                ],
            };
    }

    /// <summary>True where the edge of a print would show through the one that lies on it, centred: it is not covered
    /// whole, or reaches past it.</summary>
    public static bool ShowsThrough(Placement upper, Placement under, IDecorationMethod underWay) =>
        underWay.HasEdge
        && (
            under.CoveragePercent < 100
            || upper.WidthIn > under.WidthIn + 1e-9
            || upper.HeightIn > under.HeightIn + 1e-9
        );

    private static IEnumerable<Reason> Reasons(
        DecorationPlan upper,
        IDecorationMethod way,
        DecorationPlan under,
        IDecorationMethod underWay,
        FigureFormat f
    )
    {
        var place = upper.Placement.At().Name;
        var (top, beneath) = (way.Name.ToLowerInvariant(), underWay.Name.ToLowerInvariant());
        if (!way.HoldsOnPrint)
        {
            yield return new(
                "layer-holds",
                VerdictKind.No,
                $"{place}: {top} takes to cloth, not to the {beneath} beneath",
                WouldWork: "film, vinyl or a screen transfer on top"
            );
        }
        else if (Mixed.Stage(upper) < Mixed.Stage(under))
        {
            yield return new(
                "layer-turn",
                VerdictKind.No,
                $"{place}: {top} is done before {beneath} is there to lie on",
                WouldWork: "the two the other way round, or one way for both"
            );
        }
        else if (upper.Recipe.IsPressed() && underWay.StandsUp)
        {
            yield return new(
                "layer-thread",
                VerdictKind.No,
                $"{place}: what is stitched stands up and keeps the platen off, and {top} does not hold",
                WouldWork: "the stitches on top of a print that came before, or beside it"
            );
        }
        if (
            upper.Recipe.IsPressed()
            && under.Recipe.IsPressed()
            && upper.Recipe.TemperatureF > under.Recipe.TemperatureF + HotterF
        )
        {
            yield return new(
                "pressed-again",
                VerdictKind.WithCare,
                $"{place}: {beneath} is pressed again at {Shown.Temperature(upper.Recipe.TemperatureF, f)}, made "
                    + $"for {Shown.Temperature(under.Recipe.TemperatureF, f)}",
                WouldWork: "one piece pressed and washed first, or a cooler product on top"
            );
        }
        if (ShowsThrough(upper.Placement, under.Placement, underWay))
        {
            var past =
                upper.Placement.WidthIn > under.Placement.WidthIn + 1e-9
                || upper.Placement.HeightIn > under.Placement.HeightIn + 1e-9;
            yield return new(
                "knock-out",
                VerdictKind.WithCare,
                past
                    ? $"{place}: what lies on top reaches past the {beneath} beneath: its edge would show"
                    : $"{place}: the {beneath} beneath, {under.Placement.CoveragePercent:0}% painted, has edges "
                        + "that would show through",
                WouldWork: "knock the shape on top out of the layer beneath, a hair smaller all round, or lay it on a "
                    + "ground that is painted whole"
            );
        }
    }
}
