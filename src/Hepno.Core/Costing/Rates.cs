using Hepno.Core.Measures;

namespace Hepno.Core.Costing;

/// <summary>Something paid every month whatever is made: rent, software, insurance.</summary>
/// <param name="Name">What it is.</param>
/// <param name="PerMonth">Money a month.</param>
public sealed record FixedCost(string Name, decimal PerMonth);

/// <summary>The two rates of an hour of hands, from people and fixed costs (docs/trade.md 8).</summary>
public static class Rates
{
    private const double WeeksAMonth = 52.0 / 12;

    /// <summary>Money for an hour of hands: each person's wage with on-costs, weighed by their hours.</summary>
    public static Figure Labour(ShopNumbers n)
    {
        if (n.People is not { Count: > 0 } people || people.Sum(p => p.HoursAWeek()) <= 0)
        {
            return Figure.Input("labour-rate", "An hour of hands", n.Wage, FigureUnit.MoneyAnHour, "Numbers: wage");
        }
        var hours = people.Sum(p => p.HoursAWeek());
        return new(
            "labour-rate",
            "An hour of hands",
            people.Sum(p => Money.Times(p.HoursAWeek() / hours, p.LabourRate())),
            FigureUnit.MoneyAnHour,
            "wage with on-costs, weighed by hours a week",
            "",
            [
                .. people.SelectMany(p =>
                    new[]
                    {
                        new Figure(
                            $"rate-{p.Id}",
                            p.Name,
                            p.LabourRate(),
                            FigureUnit.MoneyAnHour,
                            "wage × (1 + on-costs)",
                            "",
                            [
                                Figure.Input("wage", "Wage", p.Wage, FigureUnit.MoneyAnHour, "Numbers: people"),
                                Figure.Input(
                                    "on-costs",
                                    "On-costs",
                                    p.OnCostsShare,
                                    FigureUnit.Share,
                                    "Numbers: people"
                                ),
                            ]
                        ),
                        Figure.Input(
                            $"hours-{p.Id}",
                            $"{p.Name}, hours a week",
                            p.HoursAWeek(),
                            FigureUnit.Count,
                            "Numbers: people"
                        ),
                    }
                ),
            ]
        );
    }

    /// <summary>Money for rent and the rest for an hour of hands: fixed costs a month ÷ productive hours a month.</summary>
    public static Figure Overhead(ShopNumbers n)
    {
        var week = n.People is { Count: > 0 } people
            ? people.Sum(p => p.HoursAWeek())
            : n.Week.Where(d => d.Open is not null).Sum(d => (d.Close!.Value - d.Open!.Value).TotalHours);
        var hours = week * WeeksAMonth * n.ProductiveShare;
        if (n.FixedCosts is not { Count: > 0 } costs || hours <= 0)
        {
            return Figure.Input(
                "overhead-rate",
                "Rent and the rest",
                n.OverheadPerHour,
                FigureUnit.MoneyAnHour,
                "Numbers: overhead"
            );
        }
        var month = Figure.Sum(
            "month",
            "A month",
            [
                .. costs.Select(
                    (c, i) =>
                        Figure.Input($"cost-{i + 1}", c.Name, c.PerMonth, FigureUnit.Money, "Numbers: fixed costs")
                ),
            ]
        );
        return new(
            "overhead-rate",
            "Rent and the rest",
            month.Value / (decimal)hours,
            FigureUnit.MoneyAnHour,
            "fixed costs ÷ productive hours",
            "",
            [
                month,
                new(
                    "productive-hours",
                    "Productive hours a month",
                    (decimal)hours,
                    FigureUnit.Count,
                    "hours a week × 52 ÷ 12 × productive share",
                    "",
                    [
                        Figure.Input(
                            "week",
                            "Hours a week",
                            week,
                            FigureUnit.Count,
                            n.People is { Count: > 0 } ? "Numbers: people" : "Numbers: open hours"
                        ),
                        Figure.Input(
                            "share",
                            "Productive",
                            n.ProductiveShare,
                            FigureUnit.Share,
                            "Numbers: productive share"
                        ),
                    ]
                ),
            ]
        );
    }
}
