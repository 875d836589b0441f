using Hepno.Core.Measures;

namespace Hepno.Core.Costing;

/// <summary>What ruined pieces add to the cost of a good one (docs/trade 8).</summary>
public static class Spoilage
{
    /// <summary>Money lost with one attempt at a decoration: material, hands, overhead and press (r_i).</summary>
    public static decimal AttemptCost(Attempt d, PieceInputs inputs) =>
        d.Material.Value
        + Money.Times(d.AttendedSeconds / 3600, inputs.Wage + inputs.OverheadPerHour)
        + Money.Times(d.PressSeconds / 3600, (d.Hour ?? inputs.PressHour).Value);

    /// <summary>Money lost with the piece itself: blank, sundries and preparation (B).</summary>
    public static decimal StartCost(PieceInputs inputs) =>
        inputs.Blank.Value
        + inputs.Consumables.Value
        + Money.Times(inputs.PrepAttendedSeconds / 3600, inputs.Wage + inputs.OverheadPerHour)
        + Money.Times(inputs.PrepPressSeconds / 3600, inputs.PressHour.Value);

    /// <summary>Decorations so that the expected cost is least: falling chance of failure over cost of an attempt,
    /// within each stage; where some lie on others, the best of the orders in which what lies below comes
    /// first.</summary>
    /// <param name="decorations">Each with the cost of one attempt, above 0.</param>
    public static IReadOnlyList<Attempt> CheapestOrder(IReadOnlyList<(Attempt Decoration, decimal Cost)> decorations) =>
        decorations.Any(d => d.Decoration.Over is not null)
            ?
            [
                .. Layered([], decorations)
                    .MinBy(order => SeenAtOnce(0, [.. order.Select(d => (d.Cost, d.Decoration.FailureChance))]))!
                    .Select(d => d.Decoration),
            ]
            :
            [
                .. decorations
                    .OrderBy(d => d.Decoration.Stage)
                    .ThenByDescending(d =>
                        d.Cost == 0 ? double.PositiveInfinity : d.Decoration.FailureChance / (double)d.Cost
                    )
                    .Select(d => d.Decoration),
            ];

    // every order that stages and layers allow; six prints a line at most
    private static IEnumerable<IReadOnlyList<(Attempt Decoration, decimal Cost)>> Layered(
        IReadOnlyList<(Attempt Decoration, decimal Cost)> done,
        IReadOnlyList<(Attempt Decoration, decimal Cost)> left
    ) =>
        left.Count == 0
            ? [done]
            : left.Where(d =>
                    d.Decoration.Stage == left.Min(x => x.Decoration.Stage)
                    && left.All(x => x.Decoration.Id != d.Decoration.Over)
                )
                .SelectMany(d => Layered([.. done, d], [.. left.Where(x => x != d)]));

    /// <summary>Expected cost of one good piece when each fault is seen right after its press: [B + Σ
    /// r_i·Π_{j&lt;i}(1−s_j)] / Π(1−s_j).</summary>
    /// <param name="start">B.</param>
    /// <param name="attempts">r_i and s_i in the order of pressing.</param>
    public static decimal SeenAtOnce(decimal start, IReadOnlyList<(decimal Cost, double Failure)> attempts)
    {
        var alive = 1.0;
        var sum = start;
        foreach (var (cost, failure) in attempts)
        {
            sum += Money.Times(alive, cost);
            alive *= 1 - failure;
        }
        return Money.Times(1 / alive, sum);
    }

    /// <summary>Expected cost of one good piece when faults are seen only at the last inspection: (B + Σ r_i) /
    /// Π(1−s_j).</summary>
    public static decimal SeenAtTheEnd(decimal start, IReadOnlyList<(decimal Cost, double Failure)> attempts) =>
        Money.Times(1 / attempts.Aggregate(1.0, (a, d) => a * (1 - d.Failure)), start + attempts.Sum(d => d.Cost));

    /// <summary>The spoilage stratum: expected cost of ruined attempts, and bought transfers that are left
    /// over.</summary>
    internal static Figure Stratum(PieceInputs inputs, IReadOnlyList<Attempt> sequence, double[] attemptsPerGood)
    {
        var start = StartCost(inputs);
        var costs = sequence.Select(d => (Cost: AttemptCost(d, inputs), d.FailureChance)).ToList();
        var expected = SeenAtOnce(start, costs) - start - costs.Sum(c => c.Cost);
        var ruined = Figure.Of(
            "ruined",
            "Ruined pieces",
            expected,
            "expected cost of a good piece − cost of one that cannot fail",
            [
                Figure.Input(
                    "start",
                    "A piece before its first print",
                    start,
                    FigureUnit.Money,
                    "blank, sundries and preparation above"
                ),
                .. sequence.SelectMany(
                    (d, i) =>
                        new[]
                        {
                            Figure.Input(
                                $"attempt-{d.Id}",
                                label: $"{d.Label}, one attempt",
                                costs[i].Cost,
                                FigureUnit.Money,
                                "print, hands and press above"
                            ),
                            Figure.Input(
                                $"failure-{d.Id}",
                                label: $"{d.Label}, spoiled",
                                d.FailureChance,
                                FigureUnit.Share,
                                "assumed for this method until learned"
                            ),
                        }
                ),
            ]
        );
        // a left-over is worth what buying more of it costs: the freight came once, and the used ones have paid it
        var leftovers = sequence
            .Select((d, i) => (d, Left: Math.Max(0, d.Bought - (inputs.Quantity * attemptsPerGood[i]))))
            .Where(l => l.d.Bought > 0)
            .Select(l =>
                Figure.Of(
                    $"left-{l.d.Id}",
                    label: $"{l.d.Label}, spares left over",
                    Money.Times(l.Left / inputs.Quantity, (l.d.OneMore ?? l.d.Material).Value),
                    "spares left ÷ pieces × one more",
                    Figure.Input("left", "Spares left, expected", l.Left, FigureUnit.Count, $"{l.d.Bought} bought"),
                    l.d.OneMore ?? l.d.Material
                )
            )
            .ToList();
        return Figure.Sum("spoilage", "Spoilage", [ruined, .. leftovers, .. BlanksLeft(inputs, attemptsPerGood)]);
    }

    // a printed blank beyond the need is worth nothing more
    private static IEnumerable<Figure> BlanksLeft(PieceInputs inputs, double[] attemptsPerGood)
    {
        var left = inputs.BlanksBought - (inputs.Quantity * attemptsPerGood.Max());
        if (left > 0)
        {
            yield return Figure.Of(
                "left-blank",
                "Blanks beyond the need",
                Money.Times(left / inputs.Quantity, inputs.Blank.Value),
                "blanks left ÷ pieces × a blank",
                Figure.Input(
                    "left",
                    "Blanks left, expected",
                    left,
                    FigureUnit.Count,
                    $"{inputs.BlanksBought} bought, for what may be spoiled where they are sent"
                ),
                inputs.Blank
            );
        }
    }
}
