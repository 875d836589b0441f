using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>How a screen-printed transfer releases and what cloth it is made for.</summary>
public enum ScreenFormula
{
    /// <summary>Standard, peeled hot.</summary>
    HotPeel,

    /// <summary>Splits in the film, softer to the touch.</summary>
    SoftSplit,

    /// <summary>For elastic cloth, and against cracking.</summary>
    Stretch,
}

/// <summary>Prices of a sheet printed in so many colours.</summary>
/// <param name="Colours">Spot colours, 1 or more.</param>
/// <param name="Breaks">Price of a sheet, by how many sheets of the design are bought.</param>
public sealed record ColourPrices(int Colours, IReadOnlyList<PriceBreak> Breaks)
{
    /// <summary>The same with every price so many times as much.</summary>
    public ColourPrices Times(decimal factor) => this with { Breaks = Breaks.Times(factor) };
}

/// <summary>A sheet that holds one design.</summary>
/// <param name="Name">The supplier's name for it.</param>
/// <param name="WidthIn">Largest artwork width, in.</param>
/// <param name="HeightIn">Largest artwork height, in.</param>
/// <param name="Prices">By colours.</param>
public sealed record ScreenSheet(string Name, double WidthIn, double HeightIn, IReadOnlyList<ColourPrices> Prices);

/// <summary>What one supplier asks for screen-printed transfers, one design a sheet (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who prints them.</param>
/// <param name="Product">Which transfer.</param>
/// <param name="Formula">How it is made.</param>
/// <param name="Sheets">Sheet sizes.</param>
/// <param name="SetUpPerColour">Once for each colour of a design.</param>
/// <param name="CountsWhite">True when a white base on mid and dark cloth is counted as a colour.</param>
/// <param name="LeastSheets">Fewest sheets of a design.</param>
/// <param name="FreightPerOrder">Freight for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
public sealed record ScreenTransferList(
    ThingId Id,
    string Supplier,
    string Product,
    ScreenFormula Formula,
    IReadOnlyList<ScreenSheet> Sheets,
    decimal SetUpPerColour,
    bool CountsWhite,
    int LeastSheets,
    decimal FreightPerOrder,
    int LeadDays
) : IKept<ScreenTransferList>, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<ScreenTransferList> Described { get; } =
        new("screen", noun: "screens", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    Sheets =
                    [
                        .. x.Sheets.Select(s => s with { Prices = [.. s.Prices.Select(p => p.Times(levels.Film))] }),
                    ],
                    SetUpPerColour = x.SetUpPerColour * levels.Film,
                    FreightPerOrder = x.FreightPerOrder * levels.Film,
                },
            Order = ListedBy.Text<ScreenTransferList>(x => x.Product),
            FurtherPrices = x =>
                [
                    ("set-up, a colour", x.SetUpPerColour),
                    .. x.Sheets.SelectMany(z =>
                        z.Prices.SelectMany(p =>
                            p.Breaks.Select(b => ($"{z.Name} in {p.Colours} from {b.From}", b.Price))
                        )
                    ),
                ],
        };

    /// <summary>Most colours any sheet is offered in.</summary>
    public int MostColours() => Sheets.SelectMany(s => s.Prices).Max(p => p.Colours);

    /// <summary>The smallest sheet that holds the artwork in either orientation and is offered in so many colours, with
    /// its prices; null when none is.</summary>
    public (ScreenSheet Sheet, ColourPrices Prices)? Smallest(double widthIn, double heightIn, int colours)
    {
        foreach (
            var sheet in Sheets
                .Where(s =>
                    (widthIn <= s.WidthIn && heightIn <= s.HeightIn) || (heightIn <= s.WidthIn && widthIn <= s.HeightIn)
                )
                .OrderBy(s => s.WidthIn * s.HeightIn)
        )
        {
            if (sheet.Prices.Where(p => p.Colours >= colours).MinBy(p => p.Colours) is { } prices)
            {
                return (sheet, prices);
            }
        }
        return null;
    }

    /// <summary>What the owner must put right before the list can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Supplier) || string.IsNullOrWhiteSpace(Product))
        {
            yield return new(
                "empty",
                "The transfer has no supplier or no name.",
                Where: "product",
                "Name both: they are on the list of what to buy."
            );
        }
        if (Sheets.Count == 0)
        {
            yield return new(
                "empty",
                $"{Product} has no sheet.",
                Where: "sheets",
                "Add the sheets of the supplier's price list."
            );
        }
        for (var i = 0; i < Sheets.Count; i++)
        {
            var sheet = Sheets[i];
            if (sheet.WidthIn is <= 0 or > 60 || sheet.HeightIn is <= 0 or > 60)
            {
                yield return new(
                    "range",
                    $"The sheet {sheet.Name} of {sheet.WidthIn:0.##} × {sheet.HeightIn:0.##} in is outside 0 to 60 in.",
                    Where: $"sheets[{i}].widthIn",
                    "Type the largest artwork it holds."
                );
            }
            if (
                sheet.Prices.Count == 0
                || sheet.Prices.Any(p =>
                    p.Colours is < 1 or > 12 || p.Breaks.Count == 0 || p.Breaks.Any(b => b.Price <= 0 || b.From < 1)
                )
            )
            {
                yield return new(
                    "price",
                    $"The sheet {sheet.Name} has a price that is not above 0, or colours outside 1 to 12.",
                    Where: $"sheets[{i}].prices",
                    "Type a price from 1 sheet on for each number of colours."
                );
            }
        }
        if (SetUpPerColour is < 0 or > 10_000 || LeastSheets is < 1 or > 10_000)
        {
            yield return new(
                "range",
                $"A set-up of {SetUpPerColour:0.00} a colour or {LeastSheets} sheets at least is out of range.",
                Where: "setUpPerColour",
                "Set-up is 0 or more, the fewest sheets 1 or more."
            );
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
