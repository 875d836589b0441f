using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Materials;

/// <summary>A size class that bought transfers are priced by.</summary>
/// <param name="Name">The supplier's name for it.</param>
/// <param name="WidthIn">Largest width it holds, in.</param>
/// <param name="HeightIn">Largest height it holds, in.</param>
/// <param name="Breaks">Prices each, by how many of this class are bought together.</param>
public sealed record TransferSize(string Name, double WidthIn, double HeightIn, IReadOnlyList<PriceBreak> Breaks)
{
    /// <summary>Count of its first break.</summary>
    internal int Least => Breaks.Min(b => b.From);
}

/// <summary>What kind of full-colour transfer a list prices.</summary>
public enum TransferKind
{
    /// <summary>Film with powdered adhesive.</summary>
    Film,

    /// <summary>Printed and blocked on paper: not film.</summary>
    Digital,
}

/// <summary>What one supplier asks for full-colour film transfers, by size or with a layout of one's own.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who prints them.</param>
/// <param name="Product">Which film.</param>
/// <param name="Sizes">Size classes; empty where they are sold by layout alone.</param>
/// <param name="FreightPerOrder">Freight for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
public sealed record TransferPriceList(
    ThingId Id,
    string Supplier,
    string Product,
    IReadOnlyList<TransferSize> Sizes,
    decimal FreightPerOrder,
    int LeadDays
) : IKept<TransferPriceList>, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<TransferPriceList> Described { get; } =
        new("film", noun: "films", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            OddValues = Materials.OddValues.In,
            AtPrices = (x, levels) =>
                x with
                {
                    Sizes = [.. x.Sizes.Select(s => s with { Breaks = s.Breaks.Times(levels.Film) })],
                    FreightPerOrder = x.FreightPerOrder * levels.Film,
                    ByLayout = x.ByLayout?.Times(levels.Film),
                },
            Order = ListedBy.Text<TransferPriceList>(x => x.Product),
            FurtherPrices = x =>
                [
                    .. x.Sizes.SelectMany(z => z.Breaks.Select(b => ($"{z.Name} from {b.From}", b.Price))),
                    .. (x.ByLayout?.Roll?.Steps ?? []).Select(b => ($"roll, a step from {b.From}", b.Price)),
                    .. (x.ByLayout?.Roll?.Lengths ?? []).Select(s => ($"roll of {s.LengthIn:0.##} in", s.Price)),
                    .. (x.ByLayout?.Sheets ?? []).SelectMany(z =>
                        z.Breaks.Select(b => ($"sheet {z.Name} from {b.From}", b.Price))
                    ),
                ],
        };

    /// <summary>The roll and sheets it sells for layouts; null for none.</summary>
    public FilmByLayout? ByLayout { get; init; }

    /// <summary>What kind of transfer it is.</summary>
    public TransferKind Kind { get; init; } = TransferKind.Film;

    /// <summary>True where fewer than the first break of a size, a roll or a sheet are sold, at its price;
    /// false where that many is the least one buys.</summary>
    public bool SoldBelow { get; init; }

    /// <summary>The smallest class that holds the artwork in either orientation, or null when none does.</summary>
    public TransferSize? SmallestHolding(double widthIn, double heightIn) =>
        Sizes
            .Where(s =>
                (widthIn <= s.WidthIn && heightIn <= s.HeightIn) || (heightIn <= s.WidthIn && widthIn <= s.HeightIn)
            )
            .OrderBy(s => s.WidthIn * s.HeightIn)
            .FirstOrDefault();

    /// <summary>Everything prints can be laid on, the roll first; of each no fewer steps or sheets are bought than the
    /// supplier sells.</summary>
    public IReadOnlyList<FilmGround> Grounds() => ByLayout?.Grounds(SoldBelow) ?? [];

    /// <summary>How many of a size to buy so that enough are here for the least money, and at which price: never fewer
    /// than the supplier sells, more where the next break makes that cheaper.</summary>
    /// <param name="size">One of its sizes.</param>
    /// <param name="needed">Needed, 1 or more.</param>
    public (int Count, PriceBreak Break) ToBuy(TransferSize size, int needed) =>
        PriceBreaks.Cheapest(size.Breaks, SoldBelow ? needed : Math.Max(needed, size.Least));

    /// <summary>What the owner must put right before the list can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Supplier) || string.IsNullOrWhiteSpace(Product))
        {
            yield return new(
                "empty",
                "The film has no supplier or no name.",
                Where: "product",
                "Name both: they are on the list of what to buy."
            );
        }
        if (Sizes.Count == 0 && Grounds().Count == 0)
        {
            yield return new(
                "empty",
                $"{Product} has no size, no roll and no sheet.",
                Where: "sizes",
                "Add what the supplier's price list has."
            );
        }
        for (var i = 0; i < Sizes.Count; i++)
        {
            var size = Sizes[i];
            if (size.WidthIn is <= 0 or > 60 || size.HeightIn is <= 0 or > 60)
            {
                yield return new(
                    "range",
                    $"The size {size.Name} of {size.WidthIn:0.##} × {size.HeightIn:0.##} in is outside 0 to 60 in.",
                    Where: $"sizes[{i}].widthIn",
                    "Type the largest artwork it holds."
                );
            }
            if (size.Breaks.Count == 0 || size.Breaks.Any(b => b.Price <= 0 || b.From < 1))
            {
                yield return new(
                    "price",
                    $"The size {size.Name} has a price that is not above 0.",
                    Where: $"sizes[{i}].breaks",
                    "Type the price of one, from 1 on."
                );
            }
        }
        foreach (var problem in ByLayout?.Problems() ?? [])
        {
            yield return problem;
        }
        if (FreightPerOrder < 0 || LeadDays is < 0 or > 120)
        {
            yield return new(
                "range",
                $"Freight {FreightPerOrder:0.00} or {LeadDays} days of delivery is out of range.",
                Where: "freightPerOrder",
                "Freight is 0 or more, days are 0 to 120."
            );
        }
    }

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"{Supplier} {Product}";
}
