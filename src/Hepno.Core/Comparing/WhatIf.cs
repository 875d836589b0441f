using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>An input of a price that may be tried at another level.</summary>
public enum WhatIfInput
{
    /// <summary>Garments, their surcharges and freight.</summary>
    Blank,

    /// <summary>Bought transfers, film, vinyl and paper.</summary>
    Film,

    /// <summary>Ink, powder and thread of one's own machines.</summary>
    Ink,

    /// <summary>What screen printers and services charge.</summary>
    SentOut,

    /// <summary>The wage.</summary>
    Wage,

    /// <summary>Rent and the rest.</summary>
    Overhead,

    /// <summary>Attempts that spoil a piece.</summary>
    Spoilage,
}

/// <summary>Prices and rates tried at other levels: nothing of it is kept.</summary>
/// <param name="Factors">How many times as much as now; what is not named stays.</param>
public sealed record WhatIf(IReadOnlyDictionary<WhatIfInput, double> Factors)
{
    /// <summary>The furthest that may be tried, as a factor either way.</summary>
    public const double Furthest = 10;

    /// <summary>What an input is called.</summary>
    public static string NameOf(WhatIfInput input) =>
        input switch
        {
            WhatIfInput.Blank => "Blanks",
            WhatIfInput.Film => "Film, transfers, vinyl, paper",
            WhatIfInput.Ink => "Ink, powder, thread",
            WhatIfInput.SentOut => "What is sent out",
            WhatIfInput.Wage => "Wage",
            WhatIfInput.Overhead => "Rent and the rest",
            _ => "Spoilage",
        };

    /// <summary>One input alone at another level.</summary>
    public static WhatIf Only(WhatIfInput input, double factor) =>
        new(new Dictionary<WhatIfInput, double> { [input] = factor });

    /// <summary>The line with its blanks, and those of its order, at the prices tried.</summary>
    public AskInHand Of(AskInHand ask)
    {
        var f = Of(WhatIfInput.Blank);
        AskInHand One(AskInHand line) => line with { Style = Dearer(line.Style, f) };
        return f == 1 ? ask : One(ask) with { Others = [.. ask.Others.Select(One)] };
    }

    /// <summary>The shop's shelf and numbers at the prices and rates tried.</summary>
    public ShopBook Of(ShopBook book) =>
        book with
        {
            Numbers = book.Numbers with
            {
                Rates = book.Numbers.Rates with
                {
                    Wage = book.Numbers.Rates.Wage * Of(WhatIfInput.Wage),
                    OverheadPerHour = book.Numbers.Rates.OverheadPerHour * Of(WhatIfInput.Overhead),
                },
            },
            SpoilageFactor = book.SpoilageFactor * (double)Of(WhatIfInput.Spoilage),
            Things = book.Things.At(
                new(
                    Of(WhatIfInput.Blank),
                    Film: Of(WhatIfInput.Film),
                    Ink: Of(WhatIfInput.Ink),
                    SentOut: Of(WhatIfInput.SentOut)
                )
            ),
        };

    /// <summary>What cannot be tried.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (
            var (input, factor) in Factors.Where(x =>
                !(x.Value >= (x.Key == WhatIfInput.Spoilage ? 0 : 1 / Furthest) && x.Value <= Furthest)
            )
        )
        {
            yield return new(
                "range",
                $"{NameOf(input)} at {factor:0.##} times as much cannot be tried.",
                Where: input.ToString().ToLowerInvariant(),
                $"A factor from {(input == WhatIfInput.Spoilage ? 0 : 1 / Furthest)} to {Furthest}; 1 is as now."
            );
        }
    }

    private decimal Of(WhatIfInput input) => (decimal)Factors.GetValueOrDefault(input, 1);

    private static Style Dearer(Style style, decimal f) =>
        style with
        {
            UnitPrice = style.UnitPrice * f,
            FreightPerOrder = style.FreightPerOrder * f,
            Sizes = [.. style.Sizes.Select(s => s with { Surcharge = s.Surcharge * f })],
            Buying = style.Buying?.Dearer(f),
        };
}
