using Hepno.Core.Artwork;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Makes the view of a run: what is pressed, how, and with which care.</summary>
internal static class RunViews
{
    public static RunView Run(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        if (c.Frozen is null || c.Standing.Station < Station.Press)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is not ready to press: {c.Standing.Missing[0].Text}.",
                remedy: "Finish that first."
            );
        }
        var f = book.Numbers.Format;
        var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
        var placed = PlacedOrder.Find(ShopFloor.Plan(shop.Open(connection, book), book, wall).Placed, id);
        var lines = c
            .Frozen.Lines.Select(l =>
            {
                // the one it was begun on; before that the planned one
                var pressId = c.Order.Facts.Pressing.On.FirstOrDefault(x => x.LineId == l.LineId)?.PressId
                    ?? placed?.PressOf(l.LineId);
                var press = (pressId is { } at ? book.Workplace(at) : null)
                    ?? (
                        book.Presses.Count > 0
                            ? LineFloor.WorkplaceOf(c.Frozen.InHand(l), l.Band.Decorations, book)
                            : null
                    );
                return new RunLineView(
                    l.LineId,
                    c.Line(l.LineId).What,
                    press?.Name ?? "",
                    PressCautions: press is null ? "" : Cautions(press),
                    [
                        .. l.Band.Decorations.Select(
                            (d, i) =>
                                Pass(
                                    d,
                                    i,
                                    LineFloor.FirstPressed(l.Band.Decorations),
                                    l.Style,
                                    c.Frozen.AskOf(l),
                                    press,
                                    book,
                                    Warned(d.Recipe, l.Style, l.Colourway, book),
                                    Checks(connection, l.Band.Verdict, d.Placement)
                                )
                        ),
                    ]
                );
            })
            .ToList();
        return new(
            id,
            c.Order.Code,
            c.Customer?.Name ?? "",
            Ends: placed?.End is { } end ? Shown.Clock(end.TimeOfDay, f) : "",
            c.Order.Ask.Pieces,
            c.Order.Facts.Pressing.StartedAt is not null,
            lines,
            Core.Runs.RunEvent.Reasons,
            c.Run!
        );
    }

    // a cold spot is said before what the maker warns of: it spoils prints quietly
    private static string Cautions(Press press) =>
        press.Maps is { Count: > 0 } maps && maps[^1].ColdSpots(press.ColdBelowF) is { Count: > 0 } cold
            ? $"Cold spot {string.Join(", ", cold.Select(i => PlatenMap.Names[i]))}: keep prints off it. "
                + $"{press.Cautions}"
            : press.Cautions;

    // a test, or that there is none, is said before what the recipe warns of
    private static string Warned(Recipe recipe, Core.Blanks.Style style, Core.Blanks.Colourway colour, ShopBook book) =>
        SpotTest.Find(recipe, style, colour, book.Of<SpotTest>()) switch
        {
            { } test when test.Verdict() == TestVerdict.Failed => $"Your test failed on this cloth: {test.Fault()}. ",
            null
                when recipe.Source == RecipeSource.Assumed
                    && !recipe.Caution.StartsWith("Spot-test", StringComparison.Ordinal) =>
                "Spot-test first: not tested on this cloth. ",
            _ => "",
        };

    // what the picture was doubted for when the quote was sent, at the place it is printed
    private static IReadOnlyList<string> Checks(SqliteConnection connection, Verdict verdict, Placement p)
    {
        var place = $"{p.At().Name}: ";
        var code = p.DesignId is { } id && Aggregates.Designs.Get(connection, id)?.Value.Report.Code is not null;
        return
        [
            .. code ? ["scan the code with a telephone"] : Array.Empty<string>(),
            .. verdict
                .Reasons.Where(r =>
                    DesignFaults.Codes.Contains(r.Code) && r.Sentence.StartsWith(place, StringComparison.Ordinal)
                )
                .Select(r => r.Sentence[place.Length..]),
        ];
    }

    private static RunPassView Pass(
        DecorationPlan d,
        int index,
        int firstPressed,
        Core.Blanks.Style style,
        AskLine asked,
        Press? press,
        ShopBook book,
        string warned,
        IReadOnlyList<string> checks
    )
    {
        var (f, standards) = (book.Numbers.Format, book.Numbers.Floor.Standards());
        // of several places of work each pass names its own
        var at = "";
        if (!d.BenchId.IsNone && d.BenchId != press?.Id)
        {
            press = LineFloor.Bench(d.BenchId, book);
            at = press.Name;
        }
        var steps =
            index == firstPressed
                ? [.. LineFloor.Before(style.Kind, [d], standards), .. d.Steps, standards.After[0]]
                : d.Steps.Append(standards.After[0]).ToList();
        var place = d.Placement.At();
        var placement = asked.Placements.FirstOrDefault(p => p.Id == d.Placement.Id) ?? d.Placement;
        var pillow =
            press is null || press.IsBench()
                ? null
                : PillowChoice.For(press, style, d.Placement.Seam(), d.Placement.WidthIn, d.Placement.HeightIn);
        var pressed = d.Recipe.IsPressed();
        var setPoint = press?.OffsetFor(d.Recipe.TemperatureF) is null
            ? ""
            : Shown.Temperature(press.SetPointF(d.Recipe.TemperatureF), f);
        return new(
            index + 1,
            $"{place.Name.ToLowerInvariant()}{(d.Finishes.IsNone ? "" : ", finishing")}",
            Shown.Size(d.Placement.WidthIn, d.Placement.HeightIn, f),
            pressed ? Shown.Temperature(d.Recipe.TemperatureF, f) : "",
            TemperatureOther: pressed ? Shown.Temperature(d.Recipe.TemperatureF, f with { Celsius = !f.Celsius }) : "",
            setPoint,
            d.Recipe.DwellSeconds,
            d.Recipe.DwellSlackSeconds,
            d.Recipe.Pressure,
            d.Recipe.Peel,
            d.Recipe.PeelAfterSeconds,
            d.Recipe.Side,
            $"{warned}{d.Recipe.Caution}",
            steps,
            d.Recipe.SecondPressSeconds,
            index == firstPressed ? d.Recipe.PrePressSeconds : 0,
            $"{Shown.Length(place.FromSeamIn, f)} {place.WhereOn(style.Kind)}",
            OnSizes(placement, place, asked, style, f),
            placement.Own != OwnText.None,
            press?.DialFor(
                d.Recipe.Pressure,
                style.Lies(),
                press.LowerFor(d.Placement.WidthIn, d.Placement.HeightIn, place.OpeningIn),
                pillow
            )
                is { } dial
                ? Shown.Number(dial, 1, f)
                : "",
            Under(d, style, pillow),
            Work(d),
            at,
            checks
        );
    }

    private static string Work(DecorationPlan d)
    {
        if (d.Recipe.IsPressed())
        {
            return "";
        }
        if (d.BenchId == Workbench.Table.Id)
        {
            return "Count";
        }
        return d.BenchId == Workbench.Sewing.Id ? "Sew" : "Stitch";
    }

    private static string Under(DecorationPlan d, Core.Blanks.Style style, Accessory? pillow)
    {
        if (!d.Recipe.IsPressed() || PillowChoice.Why(style, d.Placement.Seam()) is not { Length: > 0 } why)
        {
            return "";
        }
        return pillow is null ? $"lifted clear of {why}" : $"{pillow.Name} under it, for {why}";
    }

    private static List<OnSizeView> OnSizes(
        Placement placement,
        Place place,
        AskLine asked,
        Core.Blanks.Style style,
        FigureFormat f
    )
    {
        return
        [
            .. SizedPrints
                .Of(placement, asked.Sizes, asked.Names)
                .SelectMany(p =>
                    p.Sizes.Select(s => new OnSizeView(
                        s.Size,
                        Shown.Size(p.Print.WidthIn, p.Print.HeightIn, f),
                        placement.OnTopOf is not null
                            ? "in the middle of the print beneath"
                            : $"{Shown.Length(place.FromSeam(s.Size), f)} {place.WhereOn(style.Kind)}"
                    ))
                ),
        ];
    }
}
