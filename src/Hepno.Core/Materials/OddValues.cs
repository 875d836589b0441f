using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>Values that can be but hardly are: a roll's price typed as a foot's, grams for ounces. They are asked about
/// once and kept when the owner says that it is so (docs/trade 15.9).</summary>
public static class OddValues
{
    private const decimal CheapIn2 = 0.004m;
    private const decimal DearIn2 = 0.60m;

    /// <summary>What of a film's prices is asked about.</summary>
    public static IEnumerable<Problem> In(TransferPriceList list) =>
        list
            .Sizes.SelectMany(s => OfSize(s.Name, s.WidthIn * s.HeightIn, s.Breaks))
            .Concat(list.ByLayout is { } by ? OfLayout(by) : []);

    private static IEnumerable<Problem> OfSize(string name, double areaIn2, IReadOnlyList<PriceBreak> breaks)
    {
        foreach (var b in breaks.Where(b => b.Price / (decimal)areaIn2 is < CheapIn2 or > DearIn2))
        {
            yield return Doubt(
                "sizes",
                $"{b.Price:0.00} for one transfer {name}: "
                    + $"{(b.Price / (decimal)areaIn2 > DearIn2 ? "is that a whole sheet of them?" : "is that right?")}",
                "Type what one transfer of that size costs."
            );
        }
    }

    private static IEnumerable<Problem> OfLayout(FilmByLayout by) =>
        (
            by.Roll is { StepIn: > 0 } roll
                ? roll.Steps.Select(b =>
                    (What: $"a step of {roll.StepIn:0.##} in", b.Price, Area: roll.WidthIn * roll.StepIn)
                )
                : []
        )
            .Concat(
                by.Sheets.SelectMany(s =>
                    s.Breaks.Select(b => (What: $"a sheet {s.Name}", b.Price, Area: s.WidthIn * s.LengthIn))
                )
            )
            .Where(x => x.Price / (decimal)x.Area is < CheapIn2 or > DearIn2)
            .Select(x =>
                Doubt(
                    "byLayout",
                    $"{x.Price:0.00} for {x.What}: "
                        + $"{(x.Price / (decimal)x.Area > DearIn2 ? "is that the price of a whole roll?" : "is that an inch, or a very long one?")}",
                    "Type what one step or sheet costs."
                )
            );

    internal static Problem Doubt(string where, string sentence, string remedy) =>
        new("doubt", sentence, where, remedy);
}
