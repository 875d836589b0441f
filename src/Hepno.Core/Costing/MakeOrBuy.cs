using Hepno.Core.Measures;

namespace Hepno.Core.Costing;

/// <summary>A machine that makes what is bought now, at a month's own volume.</summary>
/// <param name="MachinePrice">Bought for.</param>
/// <param name="PrintsAMonth">Prints of a month.</param>
/// <param name="BoughtEach">A print bought, freight in it.</param>
/// <param name="MadeEach">Material of a print made here: ink, film, powder, cleaning.</param>
/// <param name="MinutesEach">Attended minutes a print made here takes more than one bought.</param>
/// <param name="Wage">Money for an hour of hands.</param>
/// <param name="UpkeepAMonth">Upkeep and cleaning that is paid whether it prints or not.</param>
/// <param name="SpaceAMonth">Rent of the room it takes.</param>
/// <param name="LearningPrints">Prints until it is mastered.</param>
/// <param name="LearningShare">Share of those that are spoiled on top, 0 to 1.</param>
/// <param name="LostEach">Money lost with one: its material, and the garment where it is seen too late.</param>
public sealed record MakeOrBuyCase(
    decimal MachinePrice,
    double PrintsAMonth,
    decimal BoughtEach,
    decimal MadeEach,
    double MinutesEach,
    decimal Wage,
    decimal UpkeepAMonth,
    decimal SpaceAMonth,
    double LearningPrints,
    double LearningShare,
    decimal LostEach
)
{
    /// <summary>What cannot be weighed.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (
            var (value, field, what) in new[]
            {
                (MachinePrice, "machinePrice", "A machine"),
                (BoughtEach, "boughtEach", "A bought print"),
                (MadeEach, "madeEach", "A print made here"),
                (Wage, "wage", "A wage"),
                (UpkeepAMonth, "upkeepAMonth", "Upkeep"),
                (SpaceAMonth, "spaceAMonth", "Room"),
                (LostEach, "lostEach", "A spoiled print"),
            }
        )
        {
            if (value is < 0 or > 1_000_000)
            {
                yield return new(
                    "range",
                    $"{what} of {value:0.00} is outside 0 to 1,000,000.",
                    Where: field,
                    "Type 0 or more."
                );
            }
        }
        if (!(PrintsAMonth >= 0 && PrintsAMonth <= 1_000_000) || !(LearningPrints >= 0 && LearningPrints <= 1_000_000))
        {
            yield return new(
                "range",
                "Prints are 0 to 1,000,000.",
                Where: PrintsAMonth is >= 0 and <= 1_000_000 ? "learningPrints" : "printsAMonth",
                "Type a number of prints."
            );
        }
        if (!(MinutesEach >= 0 && MinutesEach <= 1440))
        {
            yield return new(
                "range",
                $"{MinutesEach:0.##} minutes a print is outside 0 to 1,440.",
                Where: "minutesEach",
                "Time ten prints and divide."
            );
        }
        if (!(LearningShare >= 0 && LearningShare <= 1))
        {
            yield return new(
                "range",
                $"{LearningShare * 100:0.##}% spoiled is outside 0 to 100%.",
                Where: "learningShare",
                "A fifth is not too much for the first prints."
            );
        }
    }
}

/// <summary>When making pays more than buying (docs/trade 14).</summary>
/// <param name="BreakEvenMinutes">Attended minutes a print at which making costs as much as buying: (bought − made) ×
/// 60 ÷ wage; 0 where the material alone costs more, and for a wage of 0.</param>
/// <param name="SavingEach">Saved by a print made here, hands paid.</param>
/// <param name="SavingAMonth">Saved in a month, upkeep and room paid.</param>
/// <param name="ToPayBack">The machine and what is spoiled while it is learned.</param>
/// <param name="PrintsToPayBack">Prints that pay the machine alone: ⌈price ÷ saving⌉; null where each loses.</param>
/// <param name="LeastPrintsAMonth">Fewest prints of a month at which it pays at all; null where each loses.</param>
/// <param name="Months">Months until it has paid; null where it never does.</param>
/// <param name="Sentence">The answer.</param>
public sealed record MakeOrBuy(
    double BreakEvenMinutes,
    Figure SavingEach,
    Figure SavingAMonth,
    Figure ToPayBack,
    int? PrintsToPayBack,
    int? LeastPrintsAMonth,
    double? Months,
    string Sentence
)
{
    /// <summary>Weighs a machine against buying.</summary>
    /// <param name="c">A case without problems.</param>
    /// <param name="f">How figures are written.</param>
    public static MakeOrBuy Reckon(MakeOrBuyCase c, FigureFormat f)
    {
        const string Typed = "as typed";
        var hands = Figure.Time("hands", "Hands at it", c.MinutesEach * 60, Typed, c.Wage, Typed);
        var each = Figure.Of(
            "saving-each",
            "Saved by a print",
            c.BoughtEach - c.MadeEach - hands.Value,
            "bought − made − hands",
            Figure.Input("bought", "A print bought", c.BoughtEach, FigureUnit.Money, Typed),
            Figure.Input("made", "Its material made here", c.MadeEach, FigureUnit.Money, Typed),
            hands
        );
        var month = Figure.Of(
            "saving-a-month",
            "Saved in a month",
            ((decimal)c.PrintsAMonth * each.Value) - c.UpkeepAMonth - c.SpaceAMonth,
            "prints × saving − upkeep − room",
            Figure.Input("prints", "Prints a month", c.PrintsAMonth, FigureUnit.Count, Typed),
            each.Named(),
            Figure.Input("upkeep", "Upkeep and cleaning", c.UpkeepAMonth, FigureUnit.Money, Typed),
            Figure.Input("room", "Room", c.SpaceAMonth, FigureUnit.Money, Typed)
        );
        var learning = Figure.Of(
            "learning",
            "Spoiled while it is learned",
            Money.Times(c.LearningPrints * c.LearningShare, c.LostEach),
            "prints × share × lost each",
            Figure.Input("prints", "Prints until it is mastered", c.LearningPrints, FigureUnit.Count, Typed),
            Figure.Input("share", "Spoiled on top", c.LearningShare, FigureUnit.Share, Typed),
            Figure.Input("lost", "Lost with one", c.LostEach, FigureUnit.Money, Typed)
        );
        var pay = Figure.Sum(
            "to-pay-back",
            "To pay back",
            Figure.Input("machine", "The machine", c.MachinePrice, FigureUnit.Money, Typed),
            learning
        );
        var breakEven = c.Wage == 0 ? 0 : Math.Max(0, (double)((c.BoughtEach - c.MadeEach) * 60 / c.Wage));
        int? Prints(decimal money)
        {
            if (each.Value <= 0)
            {
                return null;
            }
            return money / each.Value > int.MaxValue ? null : (int)Math.Ceiling(money / each.Value);
        }
        double? months = month.Value <= 0 ? null : (double)(pay.Value / month.Value);
        // the first that leaves more than upkeep and room take
        var kept = c.UpkeepAMonth + c.SpaceAMonth;
        int? least =
            each.Value <= 0 || kept / each.Value >= int.MaxValue ? null : (int)Math.Floor(kept / each.Value) + 1;
        string sentence;
        if (each.Value <= 0)
        {
            sentence =
                $"Never: a print made here costs {Shown.Money(-each.Value, f)} more than one bought. It would "
                + $"have to take under {Shown.Number(breakEven, 2, f)} minutes.";
        }
        else if (months is not { } m)
        {
            sentence =
                $"Never at {Shown.Number(c.PrintsAMonth, 0, f)} prints a month: upkeep and room eat the saving. "
                + $"{(least is { } l ? $"From {l} a month on it begins to pay." : "No number of prints pays for them.")}";
        }
        else
        {
            sentence =
                $"Paid back in {Shown.Number(m, 1, f)} months at {Shown.Number(c.PrintsAMonth, 0, f)} prints a "
                + $"month: {Shown.Money(month.Value, f)} saved in each.";
        }

        return new(breakEven, each, month, pay, Prints(c.MachinePrice), LeastPrintsAMonth: least, months, sentence);
    }
}
