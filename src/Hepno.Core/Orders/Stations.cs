using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>Where on the work line an order stands.</summary>
public enum Station
{
    /// <summary>The ask is not complete.</summary>
    Ask,

    /// <summary>No method is chosen.</summary>
    Compare,

    /// <summary>What to buy is not settled.</summary>
    Layout,

    /// <summary>No quote is sent.</summary>
    Quote,

    /// <summary>A yes, a deposit or something bought is waited for.</summary>
    Gather,

    /// <summary>Pieces are still to be pressed.</summary>
    Press,

    /// <summary>Pieces are to be counted and handed over.</summary>
    Send,

    /// <summary>Handed over; quoted is to be held against real.</summary>
    Learn,

    /// <summary>Off the line.</summary>
    Closed,
}

/// <summary>Something the order still waits for.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Text">A short line for the slip.</param>
/// <param name="Blocks">True when it must be mended, not merely waited for.</param>
public sealed record Missing(string Code, string Text, bool Blocks);

/// <summary>Where an order stands and what it lacks.</summary>
/// <param name="Station">Where.</param>
/// <param name="Missing">What is missing for the next station, most important first.</param>
public sealed record Standing(Station Station, IReadOnlyList<Missing> Missing);

/// <summary>The one place that says where an order stands; it is never stored.</summary>
public static class Stations
{
    /// <summary>Where an order stands.</summary>
    /// <param name="order">The order.</param>
    /// <param name="askProblems">Problems of the ask that block comparing.</param>
    /// <param name="quoteSent">True while a sent quote stands.</param>
    /// <param name="deposit">The deposit the quote asks for; 0 for none.</param>
    /// <param name="good">Good pieces so far, folded from the run's events.</param>
    public static Standing Where(
        Order order,
        IReadOnlyList<Problem> askProblems,
        bool quoteSent,
        decimal deposit,
        int good
    )
    {
        var facts = order.Facts;
        if (facts.End.ClosedAt is not null)
        {
            return new(Station.Closed, []);
        }
        if (facts.Sending.HandOver is not null)
        {
            return new(Station.Learn, []);
        }
        if (!quoteSent)
        {
            var missing = AskMissing(order.Ask, askProblems);
            if (missing.Count > 0)
            {
                return new(Station.Ask, missing);
            }
            if (Undecided(order) is { Count: > 0 } undecided)
            {
                return new(Station.Compare, undecided);
            }
            return facts.Layout.At is null
                ? new(Station.Layout, [new("layout", "What to buy, settled", false)])
                : new(Station.Quote, [new("quote", "The quote, sent", false)]);
        }
        var gather = GatherMissing(order, deposit);
        if (gather.Count > 0)
        {
            return new(Station.Gather, gather);
        }
        var pieces = order.Ask.Pieces;
        if (good < pieces)
        {
            return new(Station.Press, [new("press", $"{pieces - good} of {pieces} pieces to press", false)]);
        }
        var counted = facts.Sending.Counted.Sum(c => c.Pieces);
        pieces -= facts.Delivered();
        return new(
            Station.Send,
            counted < pieces
                ?
                [
                    new("count", $"{pieces - counted} of {pieces} pieces to count", false),
                    new("hand-over", "Handed over", false),
                ]
                : [new("hand-over", "Handed over", false)]
        );
    }

    private static List<Missing> Undecided(Order order) =>
        [
            .. order
                .Ask.Lines.Select((line, i) => (line, i))
                .Where(l => order.Facts.DecisionOf(l.line.Id) is null)
                .Select(l => new Missing(
                    "method",
                    order.Ask.Lines.Count == 1 ? "A method, chosen" : $"A method for line {l.i + 1}, chosen",
                    false
                )),
        ];

    private static List<Missing> AskMissing(Ask ask, IReadOnlyList<Problem> problems)
    {
        var missing = new List<Missing>();
        missing.AddRange(problems.Select(p => new Missing(p.Code, p.Sentence, true)));
        void Need(bool has, string code, string text)
        {
            if (!has)
            {
                missing.Add(new(code, text, false));
            }
        }
        Need(ask.CustomerId is not null, "customer", "Who is asking");
        for (var i = 0; i < ask.Lines.Count; i++)
        {
            var line = ask.Lines[i];
            var which = ask.Lines.Count == 1 ? "" : $", line {i + 1}";
            Need(
                line.StyleId is not null && line.ColourwayId is not null,
                "style",
                $"Which garment, in which colour{which}"
            );
            Need(line.Pieces > 0, "sizes", $"How many of each size{which}");
            Need(line.Placements.Count > 0, "placements", $"Where the print goes, how large{which}");
        }
        return missing;
    }

    private static List<Missing> GatherMissing(Order order, decimal deposit)
    {
        var (facts, missing) = (order.Facts, new List<Missing>());
        if (facts.Gathering.Approval is null)
        {
            missing.Add(new("approval", "Their yes to the proof", false));
        }
        if (deposit > 0 && facts.Gathering.Deposit is null)
        {
            missing.Add(new("deposit", "The deposit", false));
        }
        // a garment of theirs that is spoiled cannot be bought again: somebody takes that risk, or the cloth is tested
        // (docs/trade 15.6)
        missing.AddRange(
            order
                .Ask.Lines.Where(l => l.Theirs && facts.Gathering.Risks.All(r => r.LineId != l.Id))
                .Select(l => new Missing("risk", $"Their word for {l.Pieces} own garments, or a spot test", false))
        );
        missing.AddRange(
            facts.Gathering.Items.Where(i => i.DoneAt is null).Select(i => new Missing("item", i.Text, false))
        );
        return missing;
    }
}
