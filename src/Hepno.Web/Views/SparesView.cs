using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using Hepno.Web.Devices;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>What spare blanks would do for a line, what lies in the shop and what its supplier lacks, in
/// words.</summary>
internal static class SparesView
{
    /// <summary>The sentences of a line.</summary>
    /// <param name="ask">The line in hand.</param>
    /// <param name="bought">Blanks bought of each of its sizes: more than its pieces where some may be spoiled
    /// elsewhere.</param>
    /// <param name="spoiled">How often a piece is spoiled, and how often all are to come out.</param>
    /// <param name="today">The shop's day.</param>
    /// <param name="f">How figures are written.</param>
    public static string Said(
        AskInHand ask,
        IReadOnlyList<SizeCount> bought,
        SpareChance spoiled,
        LocalDate today,
        FigureFormat f
    )
    {
        var (style, sizes) = (ask.Style, ask.Sizes);
        var needs = sizes.Select(s => new SpareNeed(s.Pieces, style.UnitPrice + style.SurchargeOf(s.Size))).ToList();
        string InAHundred(IReadOnlyList<int> spares) =>
            $"{Shown.Number(Overage.ChanceToComplete(needs, spares, spoiled.Failure) * 100, 0, f)} times in 100";
        var chance = $"{InAHundred([.. needs.Select(_ => 0)])} all come out";
        if (ask.Theirs)
        {
            return $"Their own garments, none to spare: {chance}. Ask for a spare of each size.";
        }
        var more = SizeRun.Total(bought) - ask.Pieces;
        List<string> said =
            more > 0
                ?
                [
                    $"{more} of them may be spoiled where they are sent: "
                        + $"{InAHundred([.. bought.Zip(sizes, (b, s) => b.Pieces - s.Pieces)])} enough come back.",
                ]
                : Without(needs, sizes, chance, spoiled, f);
        var lying = bought
            .Select(s => (s.Size, On: style.OnHandOf(ask.Colourway.Id, s.Size)))
            .Where(s => s.On > 0)
            .ToList();
        if (lying.Count > 0)
        {
            said.Add($"On hand: {string.Join(", ", lying.Select(s => $"{s.Size} {s.On}"))}.");
        }
        // the feed knows what its supplier lacks today
        var lacks =
            style.Supplier == SimulatedSupplier.Name
                ? bought
                    .Where(s =>
                        SimulatedSupplier.StockOf(style.Name, colour: ask.Colourway.Name, s.Size, today) < s.Pieces
                    )
                    .ToList()
                : [];
        if (lacks.Count > 0)
        {
            said.Add($"{style.Supplier} has too few of {string.Join(", ", lacks.Select(s => s.Size))} today.");
        }
        return string.Join(' ', said);
    }

    private static List<string> Without(
        IReadOnlyList<SpareNeed> needs,
        IReadOnlyList<SizeCount> sizes,
        string chance,
        SpareChance spoiled,
        FigureFormat f
    )
    {
        var spares = Overage.Cheapest(needs, spoiled.Failure, spoiled.Complete);
        var cost = needs.Zip(spares).Sum(p => p.First.Price * p.Second);
        return
        [
            $"No spare blanks: {chance}.",
            spares.Sum() == 0
                ? "That is enough."
                : $"{string.Join(", ", sizes.Zip(spares).Where(p => p.Second > 0).Select(p => $"{p.First.Size} {p.Second}"))} "
                    + $"more, {Shown.Money(cost, f)}, would make it {spoiled.Complete * 100:0.##}.",
        ];
    }
}
