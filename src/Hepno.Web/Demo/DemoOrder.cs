using Hepno.Core.Curing;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Runs;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Endpoints;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>An order of the demo shop, told deed by deed; hours are before now.</summary>
internal sealed class DemoOrder(SqliteConnection c, OpenShop shop, OrderId id)
{
    private SqliteConnection Connection => c;

    private OrderId Id => id;

    public DemoOrder Asked(Ask ask, double hoursAgo)
    {
        SaveAsk.Do(c, shop, id, ask, 0, At("new ask", hoursAgo));
        return this;
    }

    public DemoOrder Chosen(LineId? line, MethodId method, double hoursAgo)
    {
        ChooseDeeds.Choose(c, shop, id, line, method, Version(), At("method chosen", hoursAgo));
        return this;
    }

    public DemoOrder LaidOut(double hoursAgo)
    {
        QuoteDeeds.LayOut(c, shop, id, Version(), At("laid out", hoursAgo));
        return this;
    }

    /// <summary>Asked, its one way chosen, laid out: a quote to send.</summary>
    public DemoOrder LaidOut(Ask ask, MethodId method, double hoursAgo) =>
        Asked(ask, hoursAgo).Chosen(null, method, hoursAgo - 0.5).LaidOut(hoursAgo - 0.6);

    /// <summary>All up to its quote, which is sent.</summary>
    public DemoOrder Quoted(Ask ask, MethodId method, double hoursAgo)
    {
        LaidOut(ask, method, hoursAgo);
        QuoteDeeds.Send(c, shop, id, Version(), At("quote sent", hoursAgo - 1));
        return this;
    }

    public DemoOrder Approved(string by, double hoursAgo)
    {
        QuoteDeeds.Approve(c, shop, id, by, Version(), At("yes taken", hoursAgo));
        return this;
    }

    /// <summary>Without a deposit, and why.</summary>
    public DemoOrder GoesOnWithout(string why, double hoursAgo) => Deposited(0, why, hoursAgo);

    /// <summary>Said yes to, the deposit there or waived, everything come.</summary>
    public DemoOrder Gathered(string by, double hoursAgo, string? without = null)
    {
        Approved(by, hoursAgo);
        Deposited(without is null ? shop.Case(c, id, shop.Book(c)).Frozen!.Deposit : 0, without, hoursAgo - 1);
        foreach (var item in Aggregates.Orders.Get(c, id)!.Value.Facts.Gathering.Items)
        {
            PressDeeds.Tick(c, shop, id, item.Id, true, Version(), At("it came", hoursAgo - 10));
        }
        return this;
    }

    /// <summary>A batch of its film out of the oven; of one not seen, only the patch before was pressed.</summary>
    public DemoOrder Cured(int number, PlacementId placement, int prints, double hoursAgo, bool seen)
    {
        var deed = At("cure noted", hoursAgo);
        Aggregates.Cures.Put(
            c,
            new(
                $"cure-{number}",
                number,
                "skua",
                SupplyEndpoints.Minute(WallClock.Local(deed.At, OpenShop.Numbers(c).Identity.TimeZone)),
                "ember",
                248,
                Minutes: 2,
                "Wren",
                CureSign.Glossy,
                ControlPrint.Holds,
                seen ? ControlPrint.Holds : ControlPrint.NotYet,
                [new(id, "1", placement, prints, seen)],
                [
                    "colour ink: Skerry pigment, lot 0526-C",
                    "white ink: Skerry white, lot 0526-W",
                    "powder: Marl fine, lot P-31",
                ],
                FilmPrints
                    .Find(c, shop, shop.Book(c), "skua", id, "1", placement)!
                    .Use(SupplyEndpoints.PrinterOf(c, "skua"), prints),
                CureVerdict.Open,
                ""
            ),
            0,
            deed
        );
        return this;
    }

    /// <summary>Begun, and so many pieces dealt with; a spoiled one is made again once all are.</summary>
    public DemoOrder Pressed(int pieces, int upTo, Dictionary<int, string> spoiled, double hoursAgo)
    {
        PressDeeds.StartRun(c, shop, id, At("pressing begun", hoursAgo));
        var run = new Run(this, shop.Clock.Utc - Duration.FromHours(hoursAgo));
        for (var piece = 1; piece <= upTo; piece++)
        {
            if (spoiled.TryGetValue(piece, out var reason))
            {
                run.Say(piece, 1, RunVerdict.Spoiled, reason);
            }
            if (reason is null || upTo == pieces)
            {
                run.Say(piece, reason is null ? 1 : 2, RunVerdict.Good, null);
            }
        }
        return this;
    }

    public DemoOrder Counted(double hoursAgo, params IReadOnlyList<CountedSize> sizes)
    {
        HandOverDeeds.Count(c, shop, id, sizes, Version(), At("counted", hoursAgo));
        return this;
    }

    public DemoOrder HandedOver(string to, double hoursAgo)
    {
        HandOverDeeds.HandOver(c, shop, id, to, Version(), At("handed over", hoursAgo));
        return this;
    }

    public DemoOrder Closed(double hoursAgo)
    {
        HandOverDeeds.Close(c, shop, id, Version(), At("closed", hoursAgo));
        return this;
    }

    public void AskedForAgain(OrderId newId, double hoursAgo) =>
        OrderAgain.Do(c, shop, id, newId, At("ordered again", hoursAgo));

    private DemoOrder Deposited(decimal amount, string? without, double hoursAgo)
    {
        QuoteDeeds.NoteDeposit(c, shop, id, amount, without, Version(), At("deposit noted", hoursAgo));
        return this;
    }

    private Deed At(string name, double hoursAgo) => DemoData.At(shop, name, hoursAgo);

    private long Version() => Aggregates.Orders.Get(c, id)!.Version;

    /// <summary>Verdicts one after the other, each a minute and a half after the one before.</summary>
    private sealed class Run(DemoOrder of, Instant at)
    {
        private readonly List<string> sizes =
        [
            .. Aggregates
                .Orders.Get(of.Connection, of.Id)!
                .Value.Ask.Lines.SelectMany(l => l.Sizes)
                .SelectMany(s => Enumerable.Repeat(s.Size, s.Pieces)),
        ];

        public void Say(int piece, int attempt, RunVerdict verdict, string? reason)
        {
            var seconds = 88 + (piece * 7 % 19);
            at += Duration.FromSeconds(seconds);
            RunStore.Add(
                of.Connection,
                of.Id,
                new RunEvent(
                    $"{of.Id}-{piece}-{attempt}",
                    Device: "demo",
                    piece,
                    attempt,
                    1,
                    sizes[piece - 1],
                    verdict,
                    reason,
                    null,
                    seconds
                )
                {
                    Laps =
                    [
                        new(StepLap.Lay, Math.Round(seconds * 0.42, 1)),
                        new(StepLap.Press, 20.5),
                        new(StepLap.Peel, Math.Round((seconds * 0.58) - 33, 1)),
                        new(StepLap.Again, 12.5),
                    ],
                },
                at
            );
        }
    }
}
