using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Sending;

/// <summary>One choice of how to pack an order: so many of one packaging, with postage when it is sent.</summary>
/// <param name="Packaging">What it goes into.</param>
/// <param name="Parcels">How many.</param>
/// <param name="GramsEach">Weight of the heaviest, packaging included, g.</param>
/// <param name="Material">Money for the packaging.</param>
/// <param name="Postage">Money for the carrier; 0 when collected.</param>
public sealed record PackingChoice(Packaging Packaging, int Parcels, double GramsEach, Figure Material, Figure Postage)
{
    /// <summary>Both.</summary>
    public decimal Cost => Material.Value + Postage.Value;
}

/// <summary>Packs pieces by count and weight (docs/trade 13).</summary>
public static class Parcels
{
    /// <summary>Everything that can carry the pieces, the best first: fewest parcels, then least money.</summary>
    /// <param name="pieces">Styles with how many of each; at least one piece.</param>
    /// <param name="packagings">What the shop has.</param>
    /// <param name="carrier">Whose rates.</param>
    /// <param name="zone">Where to, or null when it is collected.</param>
    public static IReadOnlyList<PackingChoice> Choices(
        IReadOnlyList<(Style Style, int Pieces)> pieces,
        IReadOnlyList<Packaging> packagings,
        string carrier,
        RateZone? zone
    )
    {
        var tees = pieces.Sum(p => PieceSize.Tees(p.Style.Kind) * p.Pieces);
        var grams = pieces.Sum(p => PieceSize.Grams(p.Style) * p.Pieces);
        var choices = new List<PackingChoice>();
        foreach (var p in packagings)
        {
            var count = (int)
                Math.Max(
                    1,
                    Math.Max(Math.Ceiling((tees / p.MostTees) - 1e-9), Math.Ceiling((grams / p.MostGrams) - 1e-9))
                );
            var each = (grams / count) + p.OwnGrams;
            if (zone is not null && zone.Price(each) is null)
            {
                continue;
            }
            var parcels = Figure.Input(
                "parcels",
                "Parcels",
                count,
                FigureUnit.Count,
                $"{tees.ToString("0.#", CultureInfo.InvariantCulture)} folded tees and "
                    + $"{grams.ToString("0", CultureInfo.InvariantCulture)} g; {p.Name} holds {p.MostTees:0.#} and "
                    + $"{p.MostGrams:0} g"
            );
            var material = Figure.Of(
                "packaging",
                p.Name,
                count * p.Price,
                "parcels × price",
                parcels,
                Figure.Input("packaging-price", p.Name, p.Price, FigureUnit.Money, "Numbers: packing")
            );
            var postage = zone is null
                ? Figure.Input("postage", "Postage", 0m, FigureUnit.Money, "they collect it")
                : Figure.Of(
                    "postage",
                    "Postage",
                    count * zone.Price(each)!.Value,
                    "parcels × rate",
                    parcels,
                    Figure.Input(
                        "rate",
                        $"{zone.Name}, up to {each.ToString("0", CultureInfo.InvariantCulture)} g",
                        zone.Price(each)!.Value,
                        FigureUnit.Money,
                        carrier
                    )
                );
            choices.Add(new(p, count, each, material, postage));
        }
        return [.. choices.OrderBy(w => w.Parcels).ThenBy(w => w.Cost).ThenBy(w => w.Packaging.MostTees)];
    }
}
