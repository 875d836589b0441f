using Hepno.Core.Blanks;
using Hepno.Core.Materials;
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
    public ShopBook Of(ShopBook book) => Sent(Sewn(Printed(Bought(Rated(book)))));

    private ShopBook Rated(ShopBook book) =>
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
        };

    // films, vinyls and papers that come ready
    private ShopBook Bought(ShopBook book)
    {
        var film = Of(WhatIfInput.Film);
        return book with
        {
            Films =
            [
                .. book.Films.Select(x =>
                    x with
                    {
                        Sizes = [.. x.Sizes.Select(s => s with { Breaks = Dearer(s.Breaks, film) })],
                        FreightPerOrder = x.FreightPerOrder * film,
                        ByLayout = Dearer(x.ByLayout, film),
                    }
                ),
            ],
            Screens =
            [
                .. book.Screens.Select(x =>
                    x with
                    {
                        Sheets = [.. x.Sheets.Select(s => s with { Prices = Dearer(s.Prices, film) })],
                        SetUpPerColour = x.SetUpPerColour * film,
                        FreightPerOrder = x.FreightPerOrder * film,
                    }
                ),
            ],
            Vinyls =
            [
                .. book.Vinyls.Select(x =>
                    x with
                    {
                        PricePerFoot = x.PricePerFoot * film,
                        FreightPerOrder = x.FreightPerOrder * film,
                    }
                ),
            ],
            Papers =
            [
                .. book.Papers.Select(x =>
                    x with
                    {
                        SheetPrice = x.SheetPrice * film,
                        FreightPerOrder = x.FreightPerOrder * film,
                    }
                ),
            ],
        };
    }

    // what is printed here: its ink, and what it is printed on
    private ShopBook Printed(ShopBook book)
    {
        var film = Of(WhatIfInput.Film);
        var ink = Of(WhatIfInput.Ink);
        return book with
        {
            FilmPrinters =
            [
                .. book.FilmPrinters.Select(x =>
                    x with
                    {
                        FilmPricePerIn2 = x.FilmPricePerIn2 * film,
                        ColourPricePerMl = x.ColourPricePerMl * ink,
                        WhitePricePerMl = x.WhitePricePerMl * ink,
                        PowderPricePerG = x.PowderPricePerG * ink,
                        CleaningPricePerMl = x.CleaningPricePerMl * ink,
                    }
                ),
            ],
            DyePrinters =
            [
                .. book.DyePrinters.Select(x =>
                    x with
                    {
                        InkPricePerMl = x.InkPricePerMl * ink,
                        SheetPrice = x.SheetPrice * film,
                        ProtectionPrice = x.ProtectionPrice * film,
                    }
                ),
            ],
            GarmentPrinters =
            [
                .. book.GarmentPrinters.Select(x =>
                    x with
                    {
                        ColourPricePerMl = x.ColourPricePerMl * ink,
                        WhitePricePerMl = x.WhitePricePerMl * ink,
                        PretreatPricePerMl = x.PretreatPricePerMl * ink,
                    }
                ),
            ],
            PaperPrinters = [.. book.PaperPrinters.Select(x => x with { InkPricePerMl = x.InkPricePerMl * ink })],
            Calenders =
            [
                .. book.Calenders.Select(x =>
                    x with
                    {
                        InkPricePerMl = x.InkPricePerMl * ink,
                        PaperPricePerFoot = x.PaperPricePerFoot * film,
                    }
                ),
            ],
        };
    }

    // what is stitched and sewn; what is sewn is made of its blank
    private ShopBook Sewn(ShopBook book)
    {
        var blank = Of(WhatIfInput.Blank);
        var film = Of(WhatIfInput.Film);
        var ink = Of(WhatIfInput.Ink);
        return book with
        {
            Stitchers =
            [
                .. book.Stitchers.Select(x =>
                    x with
                    {
                        ThreadPerThousand = x.ThreadPerThousand * ink,
                        BackingPerPiece = x.BackingPerPiece * ink,
                        AppliqueFilmPerIn2 = x.AppliqueFilmPerIn2 * film,
                    }
                ),
            ],
            Cloths =
            [
                .. book.Cloths.Select(x =>
                    x with
                    {
                        PricePerFoot = x.PricePerFoot * blank,
                        FreightPerOrder = x.FreightPerOrder * blank,
                    }
                ),
            ],
        };
    }

    // what is sent out, and what is made elsewhere
    private ShopBook Sent(ShopBook book)
    {
        var sent = Of(WhatIfInput.SentOut);
        return book with
        {
            OutsidePrinters =
            [
                .. book.OutsidePrinters.Select(x =>
                    x with
                    {
                        SetUpPerScreen = x.SetUpPerScreen * sent,
                        RepeatPerScreen = x.RepeatPerScreen * sent,
                        Blanks = x.Blanks.Select(b => b with { Price = b.Price * sent }).ToList(),
                        Prices = Dearer(x.Prices, sent),
                        FreightThere = x.FreightThere * sent,
                        FreightBack = x.FreightBack * sent,
                    }
                ),
            ],
            PodServices =
            [
                .. book.PodServices.Select(x =>
                    x with
                    {
                        Prices = [.. x.Prices.Select(p => p with { Price = p.Price * sent })],
                        FurtherPlacement = x.FurtherPlacement * sent,
                        PostageFirst = x.PostageFirst * sent,
                        PostageFurther = x.PostageFurther * sent,
                    }
                ),
            ],
        };
    }

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

    private static IReadOnlyList<PriceBreak> Dearer(IReadOnlyList<PriceBreak> breaks, decimal f) =>
        [.. breaks.Select(b => b with { Price = b.Price * f })];

    private static IReadOnlyList<ColourPrices> Dearer(IReadOnlyList<ColourPrices> prices, decimal f) =>
        [.. prices.Select(p => p with { Breaks = Dearer(p.Breaks, f) })];

    private static FilmByLayout? Dearer(FilmByLayout? laid, decimal f) =>
        laid is null
            ? null
            : laid with
            {
                Roll = laid.Roll is { } roll
                    ? roll with
                    {
                        Steps = Dearer(roll.Steps, f),
                        Lengths = [.. roll.Lengths.Select(l => l with { Price = l.Price * f })],
                    }
                    : null,
                Sheets = [.. laid.Sheets.Select(s => s with { Breaks = Dearer(s.Breaks, f) })],
            };
}
