using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>A recipe held against the cloth and the presses (docs/trade 3).</summary>
internal static class HeatVerdicts
{
    /// <summary>Above this, dark polyester lets its own dye rise through the print, °F.</summary>
    private const double MigrationF = 275;

    /// <summary>The recipe against the cloth: heat ceiling, dye migration, what the shop's own tests say, source of the
    /// recipe.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="recipe">How it is pressed; null where the shop has none.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="product">What is pressed.</param>
    /// <param name="blocks">True where the product keeps a cloth's own dye back.</param>
    public static IEnumerable<Reason> Of(
        AskInHand ask,
        Recipe? recipe,
        ShopBook book,
        string product,
        bool blocks = false
    )
    {
        var (style, presses) = (ask.Style, book.PressesFor(ask.Style.Kind));
        if (recipe is null)
        {
            yield return new(
                "no-recipe",
                VerdictKind.No,
                $"no recipe for {product} on {RecipeChoice.FabricOf(style).ToString().ToLowerInvariant()}",
                WouldWork: "the maker's sheet, entered on the Floor"
            );
            yield break;
        }
        if (presses.Count == 0)
        {
            yield return new(
                "no-press",
                VerdictKind.No,
                style.Kind == GarmentKind.Cap ? "no cap press on the Floor" : "no press on the Floor",
                WouldWork: style.Kind == GarmentKind.Cap
                    ? "a press of the kind cap, added on the Floor"
                    : "a press, added on the Floor"
            );
            yield break;
        }
        foreach (var reason in OfPresses(ask, presses))
        {
            yield return reason;
        }
        var tooHot = TooHot(ask, recipe, book, product, Even(ask, presses));
        if (tooHot is not null)
        {
            yield return tooHot;
        }
        foreach (var reason in OnCloth(ask, recipe, book, product, bleeds: tooHot is null && !blocks))
        {
            yield return reason;
        }
    }

    // those that are hot all over where the prints would lie
    private static List<Press> Even(AskInHand ask, IReadOnlyList<Press> presses) =>
        [
            .. presses.Where(p =>
                !p.IsSetAside() && ask.Prints.All(print => p.ColdUnder(print.WidthIn, print.HeightIn).Count == 0)
            ),
        ];

    private static IEnumerable<Reason> OfPresses(AskInHand ask, IReadOnlyList<Press> presses)
    {
        if (presses.All(p => p.IsSetAside()))
        {
            yield return new(
                "press-set-aside",
                VerdictKind.No,
                $"{presses[0].Name} is off by {Math.Abs(presses[0].OffsetF!.Value):0} °F and set aside",
                WouldWork: "the press mended and measured again"
            );
        }
        if (presses.FirstOrDefault(p => !p.IsSetAside()) is { } sound && Even(ask, presses).Count == 0)
        {
            var cold = sound.ColdUnder(ask.Prints.Max(p => p.WidthIn), ask.Prints.Max(p => p.HeightIn));
            yield return new(
                "cold-spot",
                VerdictKind.No,
                $"{sound.Name} is over {sound.ColdBelowF:0} °F colder "
                    + $"{string.Join(", ", cold.Select(i => PlatenMap.Names[i]))} than its mean, where this print would lie",
                WouldWork: "the press mended and measured again, a smaller print, or another press"
            );
        }
    }

    private static Reason? TooHot(AskInHand ask, Recipe recipe, ShopBook book, string product, List<Press> even)
    {
        var (style, f) = (ask.Style, book.Numbers.Format);
        if (recipe.TemperatureF > style.HeatCeilingF)
        {
            return new(
                "heat-ceiling",
                VerdictKind.No,
                $"{product} wants {Shown.Temperature(recipe.TemperatureF, f)}; {style.Name} takes "
                    + $"{Shown.Temperature(style.HeatCeilingF, f)}",
                WouldWork: $"a product pressed at {Shown.Temperature(style.HeatCeilingF, f)} or less{Nearest(style, book)}"
            );
        }
        if (
            even is { Count: > 0 }
            && even.MinBy(p => p.HottestF(recipe.TemperatureF)) is { } coolest
            && coolest.HottestF(recipe.TemperatureF) > style.HeatCeilingF
        )
        {
            return new(
                "hot-spot",
                VerdictKind.No,
                $"{coolest.Name}'s hottest point reaches "
                    + $"{Shown.Temperature(coolest.HottestF(recipe.TemperatureF), f)}; {style.Name} takes "
                    + $"{Shown.Temperature(style.HeatCeilingF, f)}",
                WouldWork: "a press with an even platen, or a product pressed cooler"
            );
        }
        return null;
    }

    private static IEnumerable<Reason> OnCloth(AskInHand ask, Recipe recipe, ShopBook book, string product, bool bleeds)
    {
        var (style, f) = (ask.Style, book.Numbers.Format);
        var test = SpotTest.Find(recipe, style, ask.Colourway, book.Of<SpotTest>());
        // what was tested here is known better than any rule
        if (bleeds && test is null && Bleeding(style, ask.Colourway, recipe, product, f) is { } bleeding)
        {
            yield return bleeding;
        }
        if (test is null && style.Has(Feature.Coated))
        {
            yield return new(
                "coated",
                VerdictKind.WithCare,
                $"{style.Name} is coated: {product} may not stick, or the coat may scorch",
                WouldWork: "a spot test on one, looked at again after a day"
            );
        }
        if (test is not null)
        {
            foreach (var reason in Tested(test, style, product, f))
            {
                yield return reason;
            }
        }
        else if (recipe.Source == RecipeSource.Assumed)
        {
            yield return new(
                "spot-test",
                VerdictKind.WithCare,
                $"the recipe for {product} is assumed",
                WouldWork: "spot-test first"
            );
        }
    }

    private static Reason? Bleeding(Style style, Colourway colour, Recipe recipe, string product, FigureFormat f)
    {
        if (style.Cloth?.Migration == Migration.High)
        {
            return new(
                "dye-migration",
                VerdictKind.WithCare,
                $"{style.Name} is known to bleed, and {product}, pressed at "
                    + $"{Shown.Temperature(recipe.TemperatureF, f)}, does not keep its dye back",
                WouldWork: "a film that blocks it; or spot-test it, and look again after a day"
            );
        }
        if (
            style.Cloth?.Migration != Migration.None
            && style.PercentOf(Fibre.Polyester) >= 35
            && colour.Class == ColourClass.Dark
            && recipe.TemperatureF > MigrationF
        )
        {
            return new(
                "dye-migration",
                VerdictKind.WithCare,
                $"{colour.Name} with {style.PercentOf(Fibre.Polyester):0}% polyester may bleed at "
                    + $"{Shown.Temperature(recipe.TemperatureF, f)}",
                WouldWork: "spot-test it, and look again after a day"
            );
        }
        return null;
    }

    private static string Nearest(Style style, ShopBook book) =>
        book.SafeFor(style, style.HeatCeilingF) is { } recipe
            ? $": {book.ProductName(recipe.ProductId)} wants "
                + $"{Shown.Temperature(recipe.TemperatureF, book.Numbers.Format)}"
            : "";

    private static IEnumerable<Reason> Tested(SpotTest test, Style style, string product, FigureFormat f)
    {
        if (test.Verdict() == TestVerdict.Failed)
        {
            yield return new(
                "test-failed",
                VerdictKind.No,
                $"{product} failed your test on {style.Name} of {Shown.Day(test.Day, f)}: {test.Fault()}",
                WouldWork: "another setting, tested again, or another product"
            );
        }
        else if (test.Verdict() == TestVerdict.LookAgain)
        {
            yield return new(
                "look-again",
                VerdictKind.WithCare,
                $"your test on {style.Name} of {Shown.Day(test.Day, f)} was not looked at after a day",
                WouldWork: "look whether the cloth's dye came through, and note it on the Floor"
            );
        }
    }
}
