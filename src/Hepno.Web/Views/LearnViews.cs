using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Core.Runs;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Makes the view of what an order taught, once it is handed over.</summary>
internal static class LearnViews
{
    public static LearnView Learned(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (HeldOf(c) is not var (lines, earned, recorded, planned))
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is not handed over yet.",
                remedy: "Learning begins when the pieces are with the customer."
            );
        }
        var f = c.Frozen!.Numbers.Format;
        return new(
            lines,
            earned,
            $"{c.Order.Code} made {Shown.AnHour(recorded, f)} an hour. The quote said {Shown.AnHour(planned, f)}."
        );
    }

    /// <summary>What an order came to, with what an hour of hands earned and should have; null before it is handed
    /// over.</summary>
    public static (IReadOnlyList<LineHeld> Lines, Figure Earned, decimal RecordedAnHour, decimal PlannedAnHour)? HeldOf(
        OrderCase c
    )
    {
        if (c.Frozen is null || c.Run is null || c.Order.Facts.Sending.HandOver is null)
        {
            return null;
        }
        var lines = c
            .Frozen.Lines.Select(l =>
            {
                var pieces = c.Frozen.AskOf(l).Pieces;
                var outcome = l.Band.Outcome;
                return new LineHeld(
                    l.LineId,
                    c.Line(l.LineId).What,
                    QuotedAgainstReal.Of(
                        l.Band,
                        pieces,
                        RunReplay.OfLine(c.RunLines, l.LineId, c.Events),
                        c.Frozen.Numbers,
                        l.PressingSeconds
                    ),
                    outcome.Price + outcome.Surcharges
                );
            })
            .ToList();
        var earned = Figure.Sum("earned", "Earned", [.. lines.Select(l => l.Held.Earned with { Label = l.What })]);
        var hours = (decimal)lines.Sum(l => l.Held.HandsSeconds) / 3600;
        var plannedHours = c.Frozen.Lines.Sum(l => l.Band.Hands.Value * c.Frozen.AskOf(l).Pieces) / 3600;
        var plannedProfit = c.Frozen.Lines.Sum(l => l.Band.Outcome.Profit.Value * c.Frozen.AskOf(l).Pieces);
        return (
            lines,
            lines.Count == 1 ? lines[0].Held.Earned : earned,
            hours == 0 ? 0 : earned.Value / hours,
            plannedHours == 0 ? 0 : plannedProfit / plannedHours
        );
    }
}
