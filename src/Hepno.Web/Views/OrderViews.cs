using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Stock;
using Hepno.Web.Deeds;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Makes the views of one order.</summary>
internal static class OrderViews
{
    public static OrderView Order(SqliteConnection connection, Desk desk, string id)
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var open = desk.Open(connection, book);
        var wall = desk.Clock.Wall(book.Numbers.TimeZone);
        var band = Band(desk, c, book, open);
        var placed = c.Standing.Station is Station.Gather or Station.Press ? Desk.Floor(open, book, wall).Placed.FirstOrDefault(p => p.Work.OrderId == id) : null;
        var style = c.Frozen?.Style ?? book.Styles.FirstOrDefault(s => s.Id == c.Order.Ask.StyleId);
        return new(id, c.Version, c.Order.Code, c.Standing.Station, c.Order.Ask, c.Order.Facts, c.Customer, style, style?.Colourways.FirstOrDefault(x => x.Id == c.Order.Ask.ColourwayId), c.AskProblems,
            SlipView.Of(c, band, book, wall, placed), c.Quote?.SentAt, c.Frozen?.Deposit ?? 0);
    }

    /// <summary>The figures the order stands on: as quoted, else of the chosen method, else of the best.</summary>
    public static Band? Band(Desk desk, OrderCase c, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (c.Frozen is not null)
        {
            return c.Frozen.Band;
        }
        var comparison = desk.Compare(c, null, book, open);
        return c.Order.Facts.Decision is { } decision ? comparison?.Bands.FirstOrDefault(b => b.MethodId == decision.MethodId) : comparison?.Bands.Count > 0 ? comparison.Bands[0] : null;
    }

    public static LayoutView Layout(SqliteConnection connection, Desk desk, string id)
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var band = c.Order.Facts.Decision is null && c.Frozen is null ? null : Band(desk, c, book, desk.Open(connection, book));
        if (band is null)
        {
            throw new RefusedException(409, "no-method", $"Nothing to lay out: {c.Order.Code} has no method yet.", "Choose one under Compare.");
        }
        var f = book.Numbers.Format;
        var sizes = c.Order.Ask.Sizes;
        var style = c.Frozen?.Style ?? c.InHand!.Style;
        var landed = LandedBlank.Of(style, sizes);
        var failure = 1 - band.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var needs = sizes.Select(s => new SpareNeed(s.Pieces, style.UnitPrice + (style.Sizes.FirstOrDefault(z => z.Name == s.Size)?.Surcharge ?? 0))).ToList();
        var spares = Overage.Cheapest(needs, failure, 0.95);
        var cost = needs.Zip(spares).Sum(p => p.First.Price * p.Second);
        var none = Overage.ChanceToComplete(needs, [.. needs.Select(_ => 0)], failure);
        var spoken = $"No spare blanks: {Shown.Number(none * 100, 0, f)} times in 100 all come out. " + (spares.Sum() == 0 ? "That is enough." :
            $"{string.Join(", ", sizes.Zip(spares).Where(p => p.Second > 0).Select(p => $"{p.First.Size} {p.Second}"))} more, {Shown.Money(cost, f)}, would make it 95.");
        var sentence = $"{string.Join(" and ", band.Decorations.Select(d => $"{d.Bought} × {Places.Find(d.Placement.Place)!.Name.ToLowerInvariant()}"))}: {band.Made}";
        return new(band, sentence, sizes, Figure.Of("blanks", "Blanks", landed.Value * SizeRun.Total(sizes), "landed blank × pieces", landed, Figure.Input("pieces", "Pieces", SizeRun.Total(sizes), FigureUnit.Count, "the ask")),
            Figure.Sum("prints", "Prints", [.. band.Decorations.SelectMany(d => d.Purchases).Select(p => p.Cost)]), spoken);
    }

    public static QuoteView Quote(SqliteConnection connection, Desk desk, string id)
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        if (c.Frozen is not null)
        {
            return new(ShopClock.Wall(c.Quote!.SentAt, book.Numbers.TimeZone), c.Frozen, Notes(c.Frozen));
        }
        var comparison = desk.Compare(c, null, book, desk.Open(connection, book)) ?? throw new RefusedException(409, "incomplete", book.Presses.Count == 0 ? "There is no press on the Floor." : $"{c.Order.Code} cannot be quoted yet: {c.Standing.Missing[0].Text}.", "Finish that first.");
        var preview = MakeQuote.Of(c, comparison, book, desk.Clock.Wall(book.Numbers.TimeZone));
        return new(null, preview, Notes(preview));
    }

    public static RunView Run(SqliteConnection connection, Desk desk, string id)
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        if (c.Frozen is null || c.Standing.Station < Station.Press)
        {
            throw new RefusedException(409, "not-there", $"{c.Order.Code} is not ready to press: {c.Standing.Missing[0].Text}.", "Finish that first.");
        }
        var f = book.Numbers.Format;
        var wall = desk.Clock.Wall(book.Numbers.TimeZone);
        var placed = Desk.Floor(desk.Open(connection, book), book, wall).Placed.FirstOrDefault(p => p.Work.OrderId == id);
        var press = book.Presses.FirstOrDefault(p => p.Id == placed?.PressId) ?? (book.Presses.Count > 0 ? book.Presses[0] : null);
        var passes = c.Frozen.Band.Decorations.Select((d, i) => Pass(d, i, c.Frozen.Style, press, f)).ToList();
        return new(id, c.Order.Code, c.Customer?.Name ?? "", press?.Name ?? "", press?.Cautions ?? "", placed is { Parts.Count: > 0 } ? Shown.Clock(TimeOnly.FromDateTime(placed.Parts[^1].End), f) : "", c.Order.Ask.Pieces, c.Order.Facts.RunStartedAt is not null, passes, Core.Runs.RunEvent.Reasons, c.Run!);
    }

    public static LearnView Learned(SqliteConnection connection, Desk desk, string id)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        if (c.Frozen is null || c.Run is null || c.Order.Facts.HandOver is null)
        {
            throw new RefusedException(409, "not-there", $"{c.Order.Code} is not handed over yet.", "Learning begins when the pieces are with the customer.");
        }
        var f = c.Frozen.Numbers.Format;
        var held = Held(c)!;
        return new(held, c.Frozen.Band.Outcome.Price, $"{c.Order.Code} made {Shown.AnHour(held.RecordedAnHour.Value, f)} an hour. The quote said {Shown.AnHour(held.PlannedAnHour.Value, f)}.");
    }

    /// <summary>What an order came to; null before it is handed over.</summary>
    public static Held? Held(OrderCase c) => c.Frozen is null || c.Run is null || c.Order.Facts.HandOver is null ? null
        : QuotedAgainstReal.Of(c.Frozen.Band, c.Order.Ask.Pieces, c.Run, c.Events, c.Frozen.Numbers, c.Frozen.PressingSeconds);

    private static RunPassView Pass(DecorationPlan d, int index, Core.Blanks.Style style, Press? press, FigureFormat f)
    {
        var steps = index == 0 ? [.. StepStandards.Before(style.Kind, d.Recipe.PrePressSeconds), .. d.Steps, StepStandards.After[0]] : d.Steps.Append(StepStandards.After[0]).ToList();
        var setPoint = press?.OffsetF is null ? "" : Shown.Temperature(press.SetPointF(d.Recipe.TemperatureF), f);
        return new(index + 1, Places.Find(d.Placement.Place)!.Name.ToLowerInvariant(), Shown.Size(d.Placement.WidthIn, d.Placement.HeightIn, f), Shown.Temperature(d.Recipe.TemperatureF, f), Shown.Temperature(d.Recipe.TemperatureF, f with { Celsius = !f.Celsius }), setPoint,
            d.Recipe.DwellSeconds, d.Recipe.DwellSlackSeconds, d.Recipe.Pressure, d.Recipe.Peel, d.Recipe.PeelAfterSeconds, d.Recipe.Side, d.Recipe.Caution, steps);
    }

    private static List<MarginNote> Notes(FrozenQuote q)
    {
        var f = q.Numbers.Format;
        var b = q.Band;
        List<MarginNote> notes = [new(Shown.AnHour(b.Outcome.ProfitAnHour.Value, f), $"an hour at this price; {Shown.AnHour(b.Outcome.TakeHomeAnHour.Value, f)} with your own wage."), new(Shown.Money(b.CostShown, f), $"cost a piece; {Shown.Money(b.CostLow, f)} if nothing is spoiled, {Shown.Money(b.CostHigh, f)} at six in a hundred.")];
        var extended = q.Style.Sizes.Where(s => s.Surcharge > 0 && q.Ask.Sizes.Any(a => a.Size == s.Name)).ToList();
        if (extended.Count > 0)
        {
            notes.Add(new(string.Join(", ", extended.Select(s => s.Name)), $"blanks cost up to {Shown.Money(extended.Max(s => s.Surcharge), f)} more; carried in the {Shown.Money(b.Outcome.Price, f)}."));
        }
        if (b.Cliff is { } cliff)
        {
            notes.Add(new($"{cliff.Pieces} cost less", $"{Shown.Money(cliff.Total, f)} in all, {Shown.Money(cliff.Saves, f)} less than {q.Ask.Pieces}: a price break. {(q.Numbers.Inversion == InversionRule.OfferLarger ? "Offer them." : "Charged no dearer.")}"));
        }
        if (b.OverMark > 0)
        {
            notes.Add(new($"{Shown.Money(b.OverMark, f)} over", "their mark a piece."));
        }
        if (b.LateMinutes > 0)
        {
            notes.Add(new("Late", $"ready {Shown.Duration(b.LateMinutes * 60)} after they want it."));
        }
        notes.AddRange(b.Verdict.Reasons.Select(r => new MarginNote("With care", $"{r.Sentence}: {r.WouldWork}.")));
        return notes;
    }
}
