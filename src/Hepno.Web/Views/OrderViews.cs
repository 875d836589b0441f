using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Purchasing;
using Hepno.Core.Quoting;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Makes the views of one order.</summary>
internal static class OrderViews
{
    public static OrderView Order(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var open = shop.Open(connection, book);
        var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
        var placed = c.Standing.Station is Station.Gather or Station.Press
            ? PlacedOrder.Find(ShopFloor.Plan(open, book, wall).Placed, id)
            : null;
        return new(
            id.Text,
            c.Version,
            c.Order.Code,
            c.Standing.Station,
            c.Order.Ask,
            c.Order.Facts with
            {
                Layout = c.Order.Facts.Layout with { Layouts = [] },
                Choice = c.Order.Facts.Choice with { LastTimes = [] },
            },
            c.Customer,
            [
                .. c.Lines.Select(l =>
                    OrderLineView.From(
                        l,
                        c.Order.Facts.Choice.LastTimes.FirstOrDefault(t => t.LineId == l.Asked.Id),
                        book
                    )
                ),
            ],
            SlipView.From(c, Bands(shop, c, book, open), book, wall, placed),
            c.Quote?.SentAt,
            c.Frozen?.Deposit ?? 0,
            c.Order.Facts.Gathering.Items.Count == 0 || c.Frozen is null
                ? []
                : PrepareCautions.Sentences(c.Frozen.Lines.SelectMany(l => l.Band.Decorations), book)
        );
    }

    // with several lines the whole order has figures once every line has its method
    private static IReadOnlyList<Band?> Bands(OpenShop shop, OrderCase c, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (
            c.Frozen is null
            && c.Lines.Count > 1
            && (!c.IsComplete || c.Lines.Any(l => l.Decision is null) || book.Presses.Count == 0)
        )
        {
            return [null];
        }
        return c.Frozen is null && c.Lines.Count > 1
            ? [.. shop.Planned(c, book, open).Select(p => p.Band)]
            : [.. c.Lines.Select(l => Band(shop, c, l, book, open))];
    }

    /// <summary>The figures a line stands on: as quoted, else of the chosen method, else of the best.</summary>
    public static Band? Band(OpenShop shop, OrderCase c, LineCase line, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (line.Frozen is not null)
        {
            return line.Frozen.Band;
        }
        var comparison = shop.Compare(c, line, null, book, open, curve: false);
        if (line.Decision is { } decision)
        {
            return comparison?.Bands.FirstOrDefault(b => b.MethodId == decision.MethodId);
        }
        return comparison?.Bands.Count > 0 ? comparison.Bands[0] : null;
    }

    public static LayoutView Layout(SqliteConnection connection, OpenShop shop, OrderId id, LineId? lineId)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        var band =
            line.Decision is null && line.Frozen is null
                ? null
                : Band(shop, c, line, book, shop.Open(connection, book));
        if (band is null)
        {
            throw new RefusedException(
                409,
                "no-method",
                $"Nothing to lay out: {(c.Lines.Count == 1 ? c.Order.Code : line.What)} has no method yet.",
                remedy: "Choose one under Compare."
            );
        }
        var f = book.Numbers.Format;
        var sizes = BlanksToBuy.Count(line.Asked.Sizes, band.Decorations);
        var asked = line.Frozen is null ? line.InHand! : c.Frozen!.InHand(line.Frozen);
        var inHand = asked with { Sizes = sizes };
        var counted =
            SizeRun.Total(sizes) == line.Asked.Pieces
                ? "the ask"
                : "the ask, and what may be spoiled where they are sent";
        var landed = LandedBlank.Reckon(inHand, counted);
        var failure = 1 - band.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var prints = band
            .Decorations.Where(d => d.Finishes.IsNone)
            .Select(d => $"{d.Prints(line.Asked.Pieces)} × {d.Placement.At().Name.ToLowerInvariant()}");
        var sentence = $"{string.Join(" and ", prints)}: {band.Made}";
        return new(
            line.Asked.Id,
            band,
            sentence,
            sizes,
            Figure.Of(
                "blanks",
                "Blanks",
                landed.Value * SizeRun.Total(sizes),
                "landed blank × pieces",
                landed,
                Figure.Input("pieces", "Pieces", SizeRun.Total(sizes), FigureUnit.Count, counted)
            ),
            Figure.Sum("prints", "Prints", [.. band.Decorations.SelectMany(d => d.Purchases).Select(p => p.Cost)]),
            SparesView.Said(
                asked,
                sizes,
                SpareChance.In(book, failure),
                shop.Clock.Today(book.Numbers.Identity.TimeZone),
                f
            ),
            BuyingWays.All(inHand, book, ShopFloor.Plan([], book, shop.Clock.Wall(book.Numbers.Identity.TimeZone))),
            VinylPiecesView.For(connection, c, line, band, f)
        );
    }

    public static QuoteView Quote(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        if (c.Frozen is not null)
        {
            return new(
                WallClock.Local(c.Quote!.SentAt, book.Numbers.Identity.TimeZone),
                c.Frozen,
                Notes(c.Frozen),
                QuoteVersions.Before(connection, shop, id, c.Frozen, c.Quote.Id)
            );
        }
        var preview = shop.Quoted(c, book, connection);
        return new(null, preview, Notes(preview), QuoteVersions.Before(connection, shop, id, preview, null));
    }

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

    public static LearnView Learned(SqliteConnection connection, OpenShop shop, OrderId id)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Frozen is null || c.Run is null || c.Order.Facts.Sending.HandOver is null)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is not handed over yet.",
                remedy: "Learning begins when the pieces are with the customer."
            );
        }
        var f = c.Frozen.Numbers.Format;
        var (lines, earned, recorded, planned) = HeldOf(c)!.Value;
        return new(
            lines,
            earned,
            $"{c.Order.Code} made {Shown.AnHour(recorded, f)} an hour. The quote said {Shown.AnHour(planned, f)}."
        );
    }

    /// <summary>What an order came to, with what an hour of hands earned and should have; null before it is handed
    /// over.</summary>
    public static (IReadOnlyList<LineHeld> Lines, Figure Earned, decimal RecordedAnHour, decimal PlannedAnHour)? HeldOf(
        OrderCase c
    )
    {
        if (c.Frozen is null || c.Run is null || c.Order.Facts.Sending.HandOver is null)
        {
            return null;
        }
        var lines = c
            .Frozen.Lines.Select(l =>
            {
                var pieces = c.Frozen.AskOf(l).Pieces;
                var outcome = l.Band.Outcome;
                return new LineHeld(
                    l.LineId,
                    c.Line(l.LineId).What,
                    QuotedAgainstReal.Of(
                        l.Band,
                        pieces,
                        RunFold.OfLine(c.RunLines, l.LineId, c.Events),
                        c.Frozen.Numbers,
                        l.PressingSeconds
                    ),
                    outcome.Price + outcome.Surcharges
                );
            })
            .ToList();
        var earned = Figure.Sum("earned", "Earned", [.. lines.Select(l => l.Held.Earned with { Label = l.What })]);
        var hours = (decimal)lines.Sum(l => l.Held.HandsSeconds) / 3600;
        var plannedHours = c.Frozen.Lines.Sum(l => l.Band.Hands.Value * c.Frozen.AskOf(l).Pieces) / 3600;
        var plannedProfit = c.Frozen.Lines.Sum(l => l.Band.Outcome.Profit.Value * c.Frozen.AskOf(l).Pieces);
        return (
            lines,
            lines.Count == 1 ? lines[0].Held.Earned : earned,
            hours == 0 ? 0 : earned.Value / hours,
            plannedHours == 0 ? 0 : plannedProfit / plannedHours
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
        SpotTest.Find(recipe, style, colour, book.Tests ?? []) switch
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
        string work;
        if (d.Recipe.IsPressed())
        {
            work = "";
        }
        else if (d.BenchId == ShopBook.Table.Id)
        {
            work = "Count";
        }
        else if (d.BenchId == ShopBook.SewingTable.Id)
        {
            work = "Sew";
        }
        else
        {
            work = "Stitch";
        }

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
        var onSizes = SizedPrints
            .Of(placement, asked.Sizes, asked.Names)
            .SelectMany(p =>
                p.Sizes.Select(s => new OnSizeView(
                    s.Size,
                    Shown.Size(p.Print.WidthIn, p.Print.HeightIn, f),
                    placement.OnTopOf is not null
                        ? "in the middle of the print beneath"
                        : $"{Shown.Length(place.FromSeam(s.Size), f)} {place.WhereOn(style.Kind)}"
                ))
            )
            .ToList();
        var pillow =
            press is null || press.IsBench()
                ? null
                : PillowChoice.For(press, style, d.Placement.Seam(), d.Placement.WidthIn, d.Placement.HeightIn);
        string under;
        if (d.Recipe.IsPressed() && PillowChoice.Why(style, d.Placement.Seam()) is { Length: > 0 } why)
        {
            under = pillow is null ? $"lifted clear of {why}" : $"{pillow.Name} under it, for {why}";
        }
        else
        {
            under = "";
        }

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
            onSizes,
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
            under,
            work,
            at,
            checks
        );
    }

    private static List<MarginNote> Notes(FrozenQuote q)
    {
        var f = q.Numbers.Format;
        var notes = new List<MarginNote>();
        if (q.Lines.Count > 1)
        {
            var profit = q.Lines.Sum(l => l.Band.Outcome.Profit.Value * q.AskOf(l).Pieces);
            var hours = q.Lines.Sum(l => l.Band.Hands.Value * q.AskOf(l).Pieces) / 3600;
            notes.Add(
                new(
                    Shown.AnHour(hours == 0 ? 0 : profit / hours, f),
                    Text: $"an hour over all lines; {Shown.Money(profit, f)} in all."
                )
            );
        }
        if (q.Packed is { } way)
        {
            notes.Add(
                new(
                    $"{way.Parcels} × {way.Packaging.Name.ToLowerInvariant()}",
                    Text: $"{Shown.Money(way.Material.Value, f)} and {Shown.Money(way.Postage.Value, f)} postage, "
                        + $"{way.GramsEach / 1000:0.0} kg each{(q.Postage == 0 ? "; carried in the price" : "")}."
                )
            );
        }
        foreach (var line in q.Lines)
        {
            notes.AddRange(Notes(q, line, f).Select(n => n with { LineId = line.LineId }));
        }
        return notes;
    }

    private static IEnumerable<MarginNote> Notes(FrozenQuote q, FrozenLine line, FigureFormat f)
    {
        var b = line.Band;
        yield return new(
            Shown.AnHour(b.Outcome.ProfitAnHour.Value, f),
            Text: $"an hour at this price; {Shown.AnHour(b.Outcome.TakeHomeAnHour.Value, f)} with your own wage."
        );
        yield return new(
            Shown.Money(b.CostShown, f),
            Text: $"cost a piece; {Shown.Money(b.CostLow, f)} if nothing is spoiled, {Shown.Money(b.CostHigh, f)} at "
                + "six in a hundred."
        );
        var extended = line
            .Style.Sizes.Where(s => s.Surcharge > 0 && q.AskOf(line).Sizes.Any(a => a.Size == s.Name))
            .ToList();
        if (extended.Count > 0)
        {
            yield return new(
                string.Join(", ", extended.Select(s => s.Name)),
                Text: $"blanks cost up to {Shown.Money(extended.Max(s => s.Surcharge), f)} more; "
                    + $"{(b.Surcharges is { Count: > 0 } ? "charged on top" : $"carried in the {Shown.Money(b.Outcome.Price, f)}")}."
            );
        }
        if (b.Cliff is { } cliff)
        {
            var advice = q.Numbers.Prices.Inversion switch
            {
                InversionRule.OfferLarger => "Offer them.",
                InversionRule.GivePiece => "Give them, or charge no dearer.",
                _ => "Charged no dearer.",
            };
            yield return new(
                $"{cliff.Pieces} cost less",
                Text: $"{Shown.Money(cliff.Total, f)} in all, {Shown.Money(cliff.Saves, f)} less than "
                    + $"{q.AskOf(line).Pieces}: a price break. {advice}"
            );
        }
        if (b.OverMark > 0)
        {
            yield return new($"{Shown.Money(b.OverMark, f)} over", Text: "their mark a piece.");
        }
        if (b.LateMinutes > 0)
        {
            yield return new("Late", Text: $"ready {Shown.Duration(b.LateMinutes * 60)} after they want it.");
        }
        foreach (var r in b.Verdict.Reasons)
        {
            yield return new("With care", Text: $"{r.Sentence}: {r.WouldWork}.");
        }
    }
}
