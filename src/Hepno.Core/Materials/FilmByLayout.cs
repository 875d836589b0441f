using Hepno.Core.Gang;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>Film that is bought with a layout of one's own on it: many prints on a roll or a sheet.</summary>
/// <param name="GapIn">At least this apart, in.</param>
/// <param name="MarginIn">Kept free on all sides, in.</param>
/// <param name="Roll">Sold by length; null where it is not.</param>
/// <param name="Sheets">Sold by sheets; empty where it is not.</param>
public sealed record FilmByLayout(double GapIn, double MarginIn, FilmRoll? Roll, IReadOnlyList<FilmSheet> Sheets)
{
    /// <summary>Everything prints can be laid on, the roll first.</summary>
    /// <param name="soldBelow">True where fewer steps or sheets than the first break are sold, at its price.</param>
    public IReadOnlyList<FilmGround> Grounds(bool soldBelow = false) =>
        [
            .. Roll is null
                ? []
                : new[]
                {
                    new FilmGround(
                        FilmGround.RollKey,
                        new(Roll.WidthIn, Roll.LongestIn(), GapIn, MarginIn) { IsCutShorter = Roll.Lengths.Count > 0 },
                        new(Roll.StepIn, Roll.Steps, Roll.Lengths.Count == 0 ? null : Roll.Lengths)
                        {
                            Least = soldBelow || Roll.Steps.Count == 0 ? 1 : Roll.Steps.Min(b => b.From),
                        },
                        []
                    ),
                },
            .. Sheets.Select(s => new FilmGround(s.Name, new(s.WidthIn, s.LengthIn, GapIn, MarginIn), null, s.Breaks)
            {
                Least = soldBelow ? 1 : s.Breaks.Min(b => b.From),
            }),
        ];

    /// <summary>The same with every price so many times as much.</summary>
    public FilmByLayout Times(decimal factor) =>
        this with
        {
            Roll = Roll is null
                ? null
                : Roll with
                {
                    Steps = Roll.Steps.Times(factor),
                    Lengths = [.. Roll.Lengths.Select(l => l with { Price = l.Price * factor })],
                },
            Sheets = [.. Sheets.Select(s => s with { Breaks = s.Breaks.Times(factor) })],
        };

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() => [.. OfGap(), .. OfRoll(), .. OfSheets()];

    private IEnumerable<Problem> OfGap()
    {
        if (GapIn is not (>= 0 and <= 4) || MarginIn is not (>= 0 and <= 4))
        {
            yield return new(
                "range",
                $"A gap of {GapIn:0.###} in or an edge of {MarginIn:0.###} in is outside 0 to 4.",
                Where: "byLayout.gapIn",
                "A quarter of an inch is usual for both."
            );
        }
    }

    private IEnumerable<Problem> OfRoll()
    {
        if (Roll is { } roll)
        {
            if (roll.WidthIn is not (> 0 and <= 80) || 2 * MarginIn >= roll.WidthIn)
            {
                yield return new(
                    "range",
                    $"A roll {roll.WidthIn:0.##} in wide is outside 0 to 80, or its edges leave nothing of it.",
                    Where: "byLayout.roll.widthIn",
                    "Type the width that can be printed."
                );
            }
            if (roll.Lengths.Count == 0 && (roll.StepIn is not (> 0 and <= 1200) || !Priced(roll.Steps)))
            {
                yield return new(
                    "price",
                    $"The roll is billed by steps of {roll.StepIn:0.##} in without a price from 1 on.",
                    Where: "byLayout.roll.steps",
                    "Type the step and what one costs, for example 12 in at 4.60."
                );
            }
            if (roll.Lengths.Any(l => l.LengthIn is not (> 0 and <= 10_000) || l.Price <= 0))
            {
                yield return new(
                    "range",
                    "A set length is not longer than 0, or has no price.",
                    Where: "byLayout.roll.lengths",
                    "Type lengths and prices as the list has them."
                );
            }
        }
    }

    private IEnumerable<Problem> OfSheets()
    {
        for (var i = 0; i < Sheets.Count; i++)
        {
            var sheet = Sheets[i];
            if (
                sheet.Name.Length == 0
                || sheet.Name == FilmGround.RollKey
                || Sheets.Take(i).Any(s => s.Name == sheet.Name)
            )
            {
                yield return new(
                    "name",
                    $"\"{sheet.Name}\" cannot be a sheet's name here.",
                    Where: $"byLayout.sheets[{i}].name",
                    "Give each sheet a name of its own."
                );
            }
            if (
                sheet.WidthIn is not (> 0 and <= 80)
                || sheet.LengthIn is not (> 0 and <= 1200)
                || 2 * MarginIn >= Math.Min(sheet.WidthIn, sheet.LengthIn)
            )
            {
                yield return new(
                    "range",
                    $"The sheet {sheet.Name} of {sheet.WidthIn:0.##} × {sheet.LengthIn:0.##} in is out of range, "
                        + "or its edges leave nothing of it.",
                    Where: $"byLayout.sheets[{i}].widthIn",
                    "Type the size that can be printed."
                );
            }
            if (!Priced(sheet.Breaks))
            {
                yield return new(
                    "price",
                    $"The sheet {sheet.Name} has a price that is not above 0.",
                    Where: $"byLayout.sheets[{i}].breaks",
                    "Type the price of one, from 1 on."
                );
            }
        }
    }

    private static bool Priced(IReadOnlyList<PriceBreak> breaks) =>
        breaks.Count > 0 && breaks.All(b => b.Price > 0 && b.From >= 1);
}

/// <summary>Film sold by length.</summary>
/// <param name="WidthIn">Width that can be printed, in.</param>
/// <param name="StepIn">Every begun step is billed, in; 0 where there are set lengths.</param>
/// <param name="Steps">Money for a step, by how many are bought.</param>
/// <param name="Lengths">Set lengths with set prices; empty where it is billed by steps.</param>
public sealed record FilmRoll(
    double WidthIn,
    double StepIn,
    IReadOnlyList<PriceBreak> Steps,
    IReadOnlyList<SetLength> Lengths
)
{
    /// <summary>The longest that is sold in one, in; null where any length is.</summary>
    public double? LongestIn() => Lengths.Count == 0 ? null : Lengths.Max(l => l.LengthIn);
}

/// <summary>A sheet of film sold at one size.</summary>
/// <param name="Name">The supplier's name for it.</param>
/// <param name="WidthIn">Width that can be printed, in.</param>
/// <param name="LengthIn">Length that can be printed, in.</param>
/// <param name="Breaks">Money for a sheet, by how many are bought.</param>
public sealed record FilmSheet(string Name, double WidthIn, double LengthIn, IReadOnlyList<PriceBreak> Breaks);

/// <summary>One thing of a price list that prints can be laid on, with how it is billed.</summary>
/// <param name="Key"><see cref="RollKey"/>, or the sheet's name.</param>
/// <param name="Ground">Its measures.</param>
/// <param name="Roll">How its length is billed; null for a sheet.</param>
/// <param name="Sheets">What its sheets cost; empty for a roll.</param>
public sealed record FilmGround(string Key, GangGround Ground, RollPrice? Roll, IReadOnlyList<PriceBreak> Sheets)
{
    /// <summary>The roll's key.</summary>
    public const string RollKey = "roll";

    /// <summary>Fewest sheets that are sold.</summary>
    public int Least { get; init; } = 1;

    /// <summary>What a layout on it is billed; null where nothing is laid.</summary>
    public GangBill? Bill(GangFound found)
    {
        if (found.Placed.Count == 0)
        {
            return null;
        }
        return Roll is { } roll ? GangBills.Roll(found, Ground, roll) : GangBills.Sheets(found, Ground, Sheets, Least);
    }

    /// <summary>It as it is drawn with so many sheets: one set length is a roll as long as what is bought.</summary>
    public GangGround DrawnOn(int sheets) =>
        Ground.IsCutShorter && sheets == 1 ? Ground with { LengthIn = null } : Ground;

    /// <summary>Steps or sheets that a bill buys; 0 for a set length.</summary>
    public int Units(GangBill bill)
    {
        if (Roll is null)
        {
            return bill.Sheets;
        }
        return Roll.StepIn > 0 ? (int)Math.Round(bill.BilledIn / Roll.StepIn) : 0;
    }
}
