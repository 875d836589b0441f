using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;

namespace Hepno.Core.Methods;

/// <summary>What laying prints by their outlines costs in cutting: those whose corners hold others are cut out round,
/// not straight. It stands against the film that is saved.</summary>
public static class CutRound
{
    /// <summary>Money for cutting round instead of straight, for the whole layout; null where nothing is cut
    /// round.</summary>
    /// <param name="layout">The layout.</param>
    /// <param name="gapIn">Kept between boxes, in.</param>
    /// <param name="steps">The shop's times.</param>
    /// <param name="wage">Money for an hour of hands.</param>
    /// <param name="overhead">Rent and the rest for it, which the estimate has too.</param>
    /// <param name="nameOf">What a design is called.</param>
    public static Figure? Reckon(
        LineLayout layout,
        double gapIn,
        StepStandards steps,
        decimal wage,
        decimal overhead,
        Func<string, string> nameOf
    )
    {
        var round = layout.CutRound(gapIn);
        List<Figure> parts =
        [
            .. layout
                .Designs.Where(d => round.ContainsKey(d.Key))
                .Select(d =>
                {
                    var each = steps.CutOut(d.WidthIn, d.HeightIn, 1).Seconds - steps.CutApart.Seconds;
                    var copies = round[d.Key];
                    return Figure.Of(
                        "cut-round-one",
                        nameOf(d.Key),
                        Money.Times(copies * each / 3600, wage + overhead),
                        "copies × seconds more × an hour",
                        Figure.Input("copies", "Cut round", copies, FigureUnit.Count, "the layout"),
                        Figure.Input(
                            "seconds",
                            "More than straight",
                            each,
                            FigureUnit.Seconds,
                            "Floor: trimming an in of outline, cutting straight"
                        ),
                        Figure.Input("wage", "An hour of hands", wage, FigureUnit.MoneyAnHour, "Numbers: wage"),
                        Figure.Input(
                            "overhead",
                            "Its rent and the rest",
                            overhead,
                            FigureUnit.MoneyAnHour,
                            "Numbers: overhead"
                        )
                    );
                }),
        ];
        return parts.Count == 0 ? null : Figure.Sum("cut-round", "Cutting round", parts);
    }
}
