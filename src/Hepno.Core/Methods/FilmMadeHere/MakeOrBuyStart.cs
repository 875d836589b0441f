using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Purchasing;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Where weighing a film printer against bought film begins: the shop's own figures as far as it has
/// them.</summary>
/// <param name="Case">What to weigh.</param>
/// <param name="From">Where each figure comes from, in words.</param>
public sealed record MakeOrBuyStart(MakeOrBuyCase Case, IReadOnlyList<string> From)
{
    private const int OrderOf = 36;
    private const int DaysAMonth = 21;
    private const decimal AssumedPrinter = 3400m;
    private const decimal AssumedMade = 0.55m;
    private const double AssumedMinutes = 2;
    private const decimal AssumedUpkeep = 20m;
    private const double LearningPrints = 50;
    private const double LearningShare = 0.2;

    // a front as most shops print it, where no order says more
    private static readonly Placement Usual = new("front", "front", 10.5, 8, CoveragePercent: 60, 4, true, 3);

    /// <summary>The case of film: a printer on the Floor or an assumed one, against the list that makes a front of 10½
    /// × 8 in cheapest.</summary>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="printsAMonth">Film prints of a month, as the orders have it.</param>
    /// <returns>Null while there is no blank to print on.</returns>
    public static MakeOrBuyStart? Suggest(ShopBook book, double printsAMonth)
    {
        if (
            book.Of<Style>().FirstOrDefault(s => !s.Retired && s.Kind == GarmentKind.Tee) is not { } style
            || book.Presses.Count == 0
        )
        {
            return null;
        }
        var ask = new AskInHand(style, style.Colourways[0], [new(style.Sizes[0].Name, OrderOf)], [Usual]);
        static DecorationPlan? Plan(MethodAnswer answer) => answer.Decorations.Count > 0 ? answer.Decorations[0] : null;
        var (bought, made) = (Plan(new DtfBought().Answer(ask, book)), Plan(new DtfMade().Answer(ask, book)));
        var printer = book.Of<FilmPrinter>().Count > 0 ? book.Of<FilmPrinter>()[0] : null;
        double Minutes(DecorationPlan? d) =>
            d is null ? 0 : WorkSteps.Attended(d.Preparation) * book.Numbers.Floor.HandsFactor / 60;
        // its wear is what is to be paid back
        var material = made?.Material.Parts.Where(p => p.Code != "machine").Sum(p => p.Value) ?? AssumedMade;
        var cleaning = printer is null
            ? 0
            : (decimal)printer.CleaningMlPerDay * printer.CleaningPricePerMl * DaysAMonth;
        return new(
            new(
                printer?.Equipment.PriceNew ?? AssumedPrinter,
                Math.Round(printsAMonth),
                bought?.Material.Value ?? 0,
                MadeEach: material,
                made is null ? AssumedMinutes : Math.Max(0, Minutes(made) - Minutes(bought)),
                book.Numbers.Rates.Wage,
                AssumedUpkeep + cleaning,
                SpaceAMonth: 0,
                LearningPrints,
                LearningShare,
                material + LandedBlank.Reckon(ask).Value
            ),
            [
                $"a front of 10.5 × 8 in on {style.Name}, {OrderOf} of them",
                bought is null
                    ? "no film list on the Shelf holds it: type what one costs"
                    : "bought as the Shelf has it",
                printer is null
                    ? "the printer, its material and minutes are assumed"
                    : $"made on {printer.Name} as the Floor has it, its wear left out: that is the machine to pay back",
                "prints a month as your orders of the last three months",
            ]
        );
    }
}
