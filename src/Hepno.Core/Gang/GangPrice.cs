using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>How a roll is billed: by steps of length, in set lengths with set prices, or one's own by what is used of
/// it.</summary>
/// <param name="StepIn">Every begun step is billed, in; 0 where there are set lengths, and for one's own.</param>
/// <param name="Steps">Money for a step, by how many are bought; for one's own, for an inch; empty where there are set
/// lengths.</param>
/// <param name="Lengths">Set lengths with what each costs; null for steps.</param>
public sealed record RollPrice(double StepIn, IReadOnlyList<PriceBreak> Steps, IReadOnlyList<SetLength>? Lengths = null)
{
    /// <summary>Fewest steps that are sold.</summary>
    public int Least { get; init; } = 1;

    /// <summary>True for one's own roll: what is used is paid for, to the end of the last print.</summary>
    public bool IsOwn => StepIn == 0 && Lengths is null;
}

/// <summary>A roll sold at one length.</summary>
/// <param name="LengthIn">Length, in.</param>
/// <param name="Price">Money for all of it.</param>
public sealed record SetLength(double LengthIn, decimal Price);

/// <summary>What a layout is billed.</summary>
/// <param name="BilledIn">Length billed, in; 0 for sheets.</param>
/// <param name="Sheets">Sheets bought: more than needed where a price break makes them cheaper; lengths where a roll
/// takes several set ones; 0 for a roll else.</param>
/// <param name="Cost">Money, opened.</param>
/// <param name="Waste">Of it, what no design lies on.</param>
public sealed record GangBill(double BilledIn, int Sheets, Figure Cost, decimal Waste);

/// <summary>A design's part of what a layout costs.</summary>
/// <param name="DesignId">Which design.</param>
/// <param name="ByArea">One copy, by its bounding area.</param>
/// <param name="Equally">One copy, every copy alike.</param>
public sealed record GangShare(string DesignId, Figure ByArea, Figure Equally);

/// <summary>Bills a layout and shares the cost out (docs/trade 7).</summary>
public static class GangBills
{
    private const double Eps = 1e-6;

    /// <summary>A roll: the used length up to the next step, more where a break of the price makes that cheaper, or the
    /// cheapest set length that holds it and several of the longest before it, null when none does; of one's own the
    /// used length.</summary>
    public static GangBill? Roll(GangFound found, GangGround ground, RollPrice price)
    {
        if (price.Lengths is { Count: > 0 } lengths)
        {
            return InLengths(found, ground, lengths);
        }
        if (price.IsOwn)
        {
            return Billed(
                found,
                ground.WidthIn * found.UsedLengthIn,
                found.UsedLengthIn,
                0,
                Figure.Of(
                    "length",
                    "Length",
                    Money.Times(found.UsedLengthIn, price.Steps[0].Price),
                    "used × an inch of the roll",
                    Figure.Input("used", "Used", found.UsedLengthIn, FigureUnit.Inches, "the layout"),
                    Figure.Input(
                        "inch",
                        "An inch of the roll",
                        price.Steps[0].Price,
                        FigureUnit.Money,
                        "Floor: width × an in² of film"
                    )
                )
            );
        }
        var begun = Math.Max(1, (int)Math.Ceiling((found.UsedLengthIn / price.StepIn) - Eps));
        var (steps, at) = PriceBreaks.Cheapest(price.Steps, Math.Max(price.Least, begun));
        return Billed(
            found,
            ground.WidthIn * steps * price.StepIn,
            steps * price.StepIn,
            0,
            Figure.Of(
                "length",
                "Length",
                steps * at.Price,
                steps > begun ? "steps bought × a step" : "steps begun × a step",
                Figure.Input("used", "Used", found.UsedLengthIn, FigureUnit.Inches, "the layout"),
                Figure.Input(
                    "steps",
                    $"Steps of {price.StepIn:0.##} in",
                    steps,
                    FigureUnit.Count,
                    steps > begun
                        ? $"{begun} are needed: "
                            + $"{(begun < price.Least ? "no fewer are sold" : "more cost less from the next break")}"
                        : "used ÷ step, rounded up"
                ),
                Figure.Input(
                    "step",
                    at.From > 1 ? $"A step from {at.From}" : "A step",
                    at.Price,
                    FigureUnit.Money,
                    "the price list"
                )
            )
        );
    }

    // several of the longest where one does not hold it, the last as short as holds the rest
    private static GangBill? InLengths(GangFound found, GangGround ground, IReadOnlyList<SetLength> lengths)
    {
        if (
            lengths
                .Where(l => l.LengthIn >= found.UsedLengthIn - Eps)
                .OrderBy(l => l.Price)
                .ThenBy(l => l.LengthIn)
                .FirstOrDefault()
            is not { } last
        )
        {
            return null;
        }
        var (longest, whole) = (
            lengths.OrderByDescending(l => l.LengthIn).ThenBy(l => l.Price).First(),
            found.Sheets - 1
        );
        var end = Figure.Input(
            "length",
            $"A length of {last.LengthIn:0.##} in",
            last.Price,
            FigureUnit.Money,
            "the price list"
        );
        var billed = (whole * longest.LengthIn) + last.LengthIn;
        return whole == 0
            ? Billed(found, ground.WidthIn * billed, billed, 0, end)
            : Billed(
                found,
                ground.WidthIn * billed,
                billed,
                found.Sheets,
                Figure.Sum(
                    "length",
                    "Lengths",
                    Figure.Of(
                        "whole",
                        $"Lengths of {longest.LengthIn:0.##} in",
                        whole * longest.Price,
                        "lengths × a length",
                        Figure.Input("count", "Lengths", whole, FigureUnit.Count, "the layout: no longer one is sold"),
                        Figure.Input("each", "A length", longest.Price, FigureUnit.Money, "the price list")
                    ),
                    end
                )
            );
    }

    /// <summary>Sheets: all at the price of the highest break reached, more than needed where that costs
    /// less.</summary>
    /// <param name="found">The layout.</param>
    /// <param name="ground">A sheet.</param>
    /// <param name="breaks">Money for a sheet, by how many are bought.</param>
    /// <param name="least">Fewest that are sold.</param>
    public static GangBill Sheets(GangFound found, GangGround ground, IReadOnlyList<PriceBreak> breaks, int least = 1)
    {
        var (count, at) = PriceBreaks.Cheapest(breaks, Math.Max(least, found.Sheets));
        return Billed(
            found,
            ground.WidthIn * ground.LengthIn!.Value * count,
            0,
            count,
            Figure.Of(
                "sheets",
                "Sheets",
                count * at.Price,
                "sheets × a sheet",
                Figure.Input(
                    "count",
                    count > found.Sheets ? $"Sheets, {found.Sheets} needed" : "Sheets",
                    count,
                    FigureUnit.Count,
                    count > found.Sheets
                        ? found.Sheets < least
                            ? "no fewer are sold"
                            : "more cost less from the next break"
                        : "the layout"
                ),
                Figure.Input("price", $"A sheet from {at.From}", at.Price, FigureUnit.Money, "the price list")
            )
        );
    }

    /// <summary>Each design's part, both ways.</summary>
    public static IReadOnlyList<GangShare> Shares(IReadOnlyList<GangDesign> designs, GangBill bill)
    {
        var (area, copies) = (designs.Sum(d => d.AreaIn2 * d.Copies), designs.Sum(d => d.Copies));
        return
        [
            .. designs.Select(d => new GangShare(
                d.Id,
                Figure.Of(
                    "share",
                    $"{d.Id}, by area",
                    bill.Cost.Value * (decimal)(d.AreaIn2 / area),
                    "cost × its area ÷ all areas",
                    bill.Cost,
                    Figure.Input("area", "Its area", d.AreaIn2, FigureUnit.SquareInches, "the design"),
                    Figure.Input("areas", "All areas", area, FigureUnit.SquareInches, "every copy")
                ),
                Figure.Of(
                    "share",
                    $"{d.Id}, equally",
                    bill.Cost.Value / copies,
                    "cost ÷ copies",
                    bill.Cost,
                    Figure.Input("copies", "Copies", copies, FigureUnit.Count, "the layout")
                )
            )),
        ];
    }

    private static GangBill Billed(GangFound found, double area, double length, int sheets, Figure cost) =>
        new(length, sheets, cost, cost.Value * (decimal)Math.Max(0, 1 - (found.CoveredIn2 / area)));
}
