using Hepno.Core.Measures;
using Hepno.Core.Pricing;
using Hepno.Core.Quoting;

namespace Hepno.Web.Views;

/// <summary>What is written in the margin of a quote, for the shop alone.</summary>
internal static class MarginNotes
{
    public static List<MarginNote> Notes(FrozenQuote q)
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
