using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Costing;

/// <summary>What a machine costs for each hour it is held (docs/trade 2).</summary>
/// <param name="PriceNew">Bought for.</param>
/// <param name="Resale">Worth at the end.</param>
/// <param name="UsefulYears">Years it lasts.</param>
/// <param name="ProductiveHoursAYear">Hours held a year.</param>
/// <param name="PowerKw">Power while heating, kW.</param>
/// <param name="DutyShare">Share of the time it heats, 0 to 1.</param>
/// <param name="UpkeepPerHour">Upkeep for each held hour.</param>
public sealed record EquipmentHour(
    decimal PriceNew,
    decimal Resale,
    double UsefulYears,
    double ProductiveHoursAYear,
    double PowerKw,
    double DutyShare,
    decimal UpkeepPerHour
)
{
    /// <summary>What is asked of every machine.</summary>
    public static FieldList<EquipmentHour> Fields { get; } =
        new FieldList<EquipmentHour>()
            .Money(x => x.PriceNew, "Bought for", Unit.None)
            .Money(x => x.Resale, "Resale", Unit.None)
            .Number(x => x.UsefulYears, "Years", Unit.None, 5)
            .Number(x => x.ProductiveHoursAYear, "Hours a year", Unit.None, 600)
            .Number(x => x.PowerKw, "Power", Unit.Kw, 1)
            .Number(x => x.DutyShare, "Heats, % of the time", new("", ShownTimes: 100), 0.5)
            .Money(x => x.UpkeepPerHour, "Upkeep an hour", Unit.None);

    /// <summary>Money for one held hour: (price - resale)/(years × hours) + power × duty × tariff + upkeep.</summary>
    /// <param name="tariffPerKwh">Price of a kilowatt-hour.</param>
    /// <param name="source">Where the machine's figures stand.</param>
    /// <param name="tending">Its upkeep by task for an hour; null while none is listed.</param>
    public Figure Cost(decimal tariffPerKwh, string source = "Floor: press", Figure? tending = null)
    {
        List<Figure> parts =
        [
            Figure.Of(
                "wear",
                "Wear",
                (PriceNew - Resale) / (decimal)(UsefulYears * ProductiveHoursAYear),
                "(price − resale) ÷ (years × hours a year)",
                Figure.Input("price-new", "Bought for", PriceNew, FigureUnit.Money, source),
                Figure.Input("resale", "Resale", Resale, FigureUnit.Money, source),
                Figure.Input("years", "Years", UsefulYears, FigureUnit.Count, source),
                Figure.Input("hours", "Hours a year", ProductiveHoursAYear, FigureUnit.Count, source)
            ),
            Figure.Of(
                "power",
                "Power",
                Money.Times(PowerKw * DutyShare, tariffPerKwh),
                "kW × duty × tariff",
                Figure.Input("kw", "kW", PowerKw, FigureUnit.Count, source),
                Figure.Input("duty", "Duty", DutyShare, FigureUnit.Share, source),
                Figure.Input("tariff", "A kWh", tariffPerKwh, FigureUnit.Money, "Numbers: power")
            ),
            Figure.Input("upkeep", "Upkeep", UpkeepPerHour, FigureUnit.Money, source),
        ];
        return Figure.Sum("press-hour", "An hour of the press", tending is null ? parts : [.. parts, tending]);
    }

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (PriceNew < 0 || Resale < 0 || Resale > PriceNew)
        {
            yield return new(
                "range",
                $"A resale of {Resale:0.00} of a price of {PriceNew:0.00} cannot be.",
                Where: "equipment.resale",
                "Resale lies between 0 and the price."
            );
        }
        if (UsefulYears is <= 0 or > 50 || ProductiveHoursAYear is <= 0 or > 8784)
        {
            yield return new(
                "range",
                "Years are above 0 and at most 50, hours a year at most 8,784.",
                Where: "equipment.usefulYears",
                "5 years and 600 hours are usual."
            );
        }
        if (PowerKw is < 0 or > 50 || DutyShare is < 0 or > 1 || UpkeepPerHour < 0)
        {
            yield return new(
                "range",
                "Power is 0 to 50 kW, duty 0 to 1, upkeep 0 or more.",
                Where: "equipment.powerKw",
                "1.8 kW at 0.35 is usual."
            );
        }
    }
}
