using Hepno.Core.Measures;

namespace Hepno.Core.Costing;

/// <summary>Something paid every month whatever is made: rent, software, insurance.</summary>
/// <param name="Name">What it is.</param>
/// <param name="PerMonth">Money a month.</param>
public sealed record FixedCost(string Name, decimal PerMonth);

/// <summary>The two rates of an hour of hands, from people and fixed costs (docs/trade 8).</summary>
public static class HourRate
{
    private const double WeeksAMonth = 52.0 / 12;

    /// <summary>Money for an hour of hands: each person's wage with on-costs, weighed by their hours.</summary>
    /// <param name="rates">The typed wage, for a shop without people.</param>
    /// <param name="week">Who works.</param>
    public static Figure Labour(CostRates rates, WorkWeek week)
    {
        var people = week.People;
        if (people.Sum(p => p.HoursAWeek()) <= 0)
        {
            return Figure.Input("labour-rate", "An hour of hands", rates.Wage, FigureUnit.MoneyAnHour, "Numbers: wage");
        }
        var hours = people.Sum(p => p.HoursAWeek());
        return new(
            "labour-rate",
            "An hour of hands",
            people.Sum(p => Money.Times(p.HoursAWeek() / hours, p.LabourRate())),
            FigureUnit.MoneyAnHour,
            "wage with on-costs, weighed by hours a week",
            Source: "",
            [
                .. people.SelectMany(p =>
                    new[]
                    {
                        new Figure(
                            $"rate-{p.Id}",
                            Label: p.Name,
                            p.LabourRate(),
                            FigureUnit.MoneyAnHour,
                            "wage × (1 + on-costs)",
                            Source: "",
                            [
                                Figure.Input("wage", "Wage", p.Wage, FigureUnit.MoneyAnHour, "Numbers: people"),
                                Figure.Input(
                                    "on-costs",
                                    "On-costs",
                                    p.OnCostsShare.Part,
                                    FigureUnit.Share,
                                    "Numbers: people"
                                ),
                            ]
                        ),
                        Figure.Input(
                            $"hours-{p.Id}",
                            label: $"{p.Name}, hours a week",
                            p.HoursAWeek(),
                            FigureUnit.Count,
                            "Numbers: people"
                        ),
                    }
                ),
            ]
        );
    }

    /// <summary>Money for rent and the rest for an hour of hands: fixed costs a month ÷ productive hours a
    /// month.</summary>
    /// <param name="rates">Fixed costs, or the typed overhead.</param>
    /// <param name="week">How many hours there are.</param>
    public static Figure Overhead(CostRates rates, WorkWeek week)
    {
        var hours = week.HoursAWeek() * WeeksAMonth * rates.ProductiveShare;
        if (rates.FixedCosts.Count == 0 || hours <= 0)
        {
            return Figure.Input(
                "overhead-rate",
                "Rent and the rest",
                rates.OverheadPerHour,
                FigureUnit.MoneyAnHour,
                "Numbers: overhead"
            );
        }
        var month = Figure.Sum(
            "month",
            "A month",
            [
                .. rates.FixedCosts.Select(
                    (c, i) =>
                        Figure.Input(
                            $"cost-{i + 1}",
                            label: c.Name,
                            c.PerMonth,
                            FigureUnit.Money,
                            "Numbers: fixed costs"
                        )
                ),
            ]
        );
        return new(
            "overhead-rate",
            "Rent and the rest",
            month.Value / (decimal)hours,
            FigureUnit.MoneyAnHour,
            "fixed costs ÷ productive hours",
            Source: "",
            [
                month,
                new(
                    "productive-hours",
                    "Productive hours a month",
                    (decimal)hours,
                    FigureUnit.Count,
                    "hours a week × 52 ÷ 12 × productive share",
                    Source: "",
                    [
                        Figure.Input(
                            "week",
                            "Hours a week",
                            week.HoursAWeek(),
                            FigureUnit.Count,
                            week.People.Count > 0 ? "Numbers: people" : "Numbers: open hours"
                        ),
                        Figure.Input(
                            "share",
                            "Productive",
                            rates.ProductiveShare,
                            FigureUnit.Share,
                            "Numbers: productive share"
                        ),
                    ]
                ),
            ]
        );
    }
}
