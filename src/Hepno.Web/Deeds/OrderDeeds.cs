using System.Text.Json;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Quoting;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What is done to an order after its ask, each deed one function: its endpoint and the demo data call the same.</summary>
internal static class OrderDeeds
{
    private const int MostWhy = 300;
    private const int LongestName = 200;
    private const int MostOffered = 3;
    private const decimal MostEach = 100_000;

    /// <summary>Chooses a line's method, and lays out what it buys.</summary>
    public static long Choose(
        SqliteConnection connection,
        Desk desk,
        string id,
        string? lineId,
        string methodId,
        long seen,
        Deed deed,
        string why = ""
    )
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var line = c.Line(lineId);
        Before(c, line, "choose a method");
        var method = DecorationMethods.Find(methodId) ?? throw RefusedException.NoSuch("method", methodId);
        if (book.Presses.Count == 0)
        {
            throw new RefusedException(
                409,
                "incomplete",
                "There is no press on the Floor.",
                "Add a press on the Floor."
            );
        }
        var answer = method.Answer(line.InHand!, book);
        if (answer.Decorations.Count == 0)
        {
            var reason = answer.Verdict.Reasons.First(r => r.Kind == VerdictKind.No);
            throw new RefusedException(
                409,
                "method-unfit",
                $"{method.Name}: {reason.Sentence}.",
                $"Would work: {reason.WouldWork}.",
                "methodId"
            );
        }
        if (why.Length > MostWhy)
        {
            throw new RefusedException(
                400,
                "too-long",
                $"A reason of {why.Length} characters.",
                $"At most {MostWhy}.",
                "why"
            );
        }
        // what it was held against is kept as it stood then: prices change
        var kept = desk.Compare(c, line, null, book, desk.Open(connection, book), false, method as Mixed)
            is { } comparison
            ? Advice.Kept(comparison, method.Id, why.Trim(), book.Numbers.Format)
            : why.Trim();
        var searched = LayoutDeeds.Searched(connection, desk, id, line.Asked.Id, method.Id, answer.Decorations);
        return Put(connection, c, seen, deed, f =>
            With(f, searched is null ? [] : [searched]) with
            {
                Decisions =
                [
                    .. f.Decisions.Where(d => d.LineId != line.Asked.Id),
                    new(line.Asked.Id, method.Id, deed.At, Why: kept),
                ],
                LaidOutAt = line.Decision?.MethodId == method.Id ? f.LaidOutAt : null,
            }
        );
    }

    /// <summary>Says the price of a piece of a line, or leaves it to the policy again (null).</summary>
    public static long SayPrice(
        SqliteConnection connection,
        Desk desk,
        string id,
        string? lineId,
        decimal? each,
        long seen,
        Deed deed
    )
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        var line = c.Line(lineId);
        Before(c, line, "take a price");
        if (line.Decision is null)
        {
            throw new RefusedException(409, "no-method", "No method is chosen yet.", "Choose one under Compare.");
        }
        if (each is <= 0 or > MostEach)
        {
            throw new RefusedException(
                400,
                "range",
                $"A price of {Shown.Money(each.Value, Desk.Numbers(connection).Format)} is outside 0.01 to 100,000.",
                "Type what a piece is sold at, before tax.",
                "each"
            );
        }
        return Put(connection, c, seen, deed, f =>
            f with
            {
                Decisions = [.. f.Decisions.Select(d => d.LineId == line.Asked.Id ? d with { TypedPrice = each } : d)],
            }
        );
    }

    /// <summary>Takes the larger quantity of a price break for a line; by the shop's rule its pieces more are given.</summary>
    public static long TakeLarger(
        SqliteConnection connection,
        Desk desk,
        string id,
        string? lineId,
        int pieces,
        long seen,
        Deed deed
    )
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var line = c.Line(lineId);
        Before(c, line, "take more pieces");
        // as the comparison has it, the customer's own terms in it
        if (
            desk.Planned(c, book, desk.Open(connection, book))
                .First(p => p.Line.Asked.Id == line.Asked.Id)
                .Band?.Cliff?.Pieces != pieces
        )
        {
            throw new RefusedException(
                409,
                "no-break",
                $"{pieces} pieces are no price break of {line.What} now.",
                "Look at the comparison again.",
                "pieces"
            );
        }
        var given =
            book.Numbers.Prices.Inversion == InversionRule.GivePiece
                ? line.Asked.Given + pieces - line.Asked.Pieces
                : line.Asked.Given;
        var larger = line.Asked with { Sizes = line.InHand!.At(pieces).Sizes, Given = given };
        var order = c.Order with
        {
            Ask = c.Order.Ask with { Lines = [.. c.Order.Ask.Lines.Select(l => l.Id == larger.Id ? larger : l)] },
        };
        return Aggregates.Orders.Put(
            connection,
            order with
            {
                Facts = order.Facts with { LaidOutAt = null },
            },
            seen,
            deed
        );
    }

    /// <summary>Offers another method of a line to the customer beside the quoted one, or does not any more.</summary>
    public static long Offer(
        SqliteConnection connection,
        Desk desk,
        string id,
        string? lineId,
        string methodId,
        bool offered,
        long seen,
        Deed deed
    )
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var line = c.Line(lineId);
        Before(c, line, "offer another way");
        var method = DecorationMethods.Find(methodId) ?? throw RefusedException.NoSuch("method", methodId);
        if (offered && method.Answer(line.InHand!, book) is { Decorations.Count: 0 } cannot)
        {
            throw new RefusedException(
                409,
                "method-unfit",
                $"{method.Name}: {cannot.Verdict.Reasons.First(r => r.Kind == VerdictKind.No).Sentence}.",
                "Offer one that can do it.",
                "methodId"
            );
        }
        var rest = (c.Order.Facts.Offered ?? [])
            .Where(w => w.LineId != line.Asked.Id || w.MethodId != method.Id)
            .ToList();
        List<OfferedWay> all = offered ? [.. rest, new(line.Asked.Id, method.Id)] : rest;
        if (all.Count(w => w.LineId == line.Asked.Id) > MostOffered)
        {
            throw new RefusedException(
                409,
                "many",
                $"{MostOffered} other ways are offered already.",
                "Take one back first.",
                "methodId"
            );
        }
        return Put(connection, c, seen, deed, f => f with { Offered = all.Count == 0 ? null : all });
    }

    /// <summary>Settles what is bought.</summary>
    public static long LayOut(SqliteConnection connection, Desk desk, string id, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        Before(c, c.Lines.FirstOrDefault(l => l.InHand is null) ?? c.Lines[0], "lay it out");
        var quoted = desk.Quoted(c, desk.Book(connection), connection);
        // what is quoted rests on a searched layout; one that somebody settled stays as it is
        var layouts = quoted
            .Lines.Select(l =>
                LayoutDeeds.Searched(connection, desk, id, l.LineId, l.Band.MethodId, l.Band.Decorations)
            )
            .OfType<LineLayout>()
            .ToList();
        return Put(connection, c, seen, deed, f => With(f, layouts) with { LaidOutAt = deed.At });
    }

    private static OrderFacts With(OrderFacts f, List<LineLayout> layouts) =>
        layouts.Count == 0
            ? f
            : f with
            {
                Layouts = [.. (f.Layouts ?? []).Where(x => layouts.All(n => n.LineId != x.LineId)), .. layouts],
            };

    /// <summary>Sends the quote: from here its figures are frozen.</summary>
    public static long Send(SqliteConnection connection, Desk desk, string id, long seen, Deed deed)
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        if (c.Standing.Station != Station.Quote)
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Quote is not null
                    ? $"The quote of {c.Order.Code} is already sent."
                    : $"{c.Order.Code} cannot be quoted yet: {c.Standing.Missing[0].Text}.",
                c.Quote is not null ? "Withdraw it to send another." : "Finish that first."
            );
        }
        var frozen = desk.Quoted(c, book, connection);
        if (
            frozen.Lines.Any(l =>
                LayoutDeeds.ToSearch(c.Line(l.LineId), l.Band.MethodId, book, l.Band.Decorations) is not null
            )
        )
        {
            throw new RefusedException(
                409,
                "not-laid-out",
                $"{c.Order.Code} is not laid out as its prints are now.",
                "Lay it out again: the quote rests on what is bought."
            );
        }
        var version = Put(connection, c, seen, deed with { Undoable = false }, f => f);
        QuoteStore.Send(
            connection,
            new StoredQuote($"{id}-{version}", id, deed.At, null),
            JsonSerializer.Serialize(frozen, Json.Frozen),
            QuotePdf.Print(frozen.Document),
            frozen.Figures()
        );
        MadeStore.Put(connection, $"{id}-{version}", frozen.Designs());
        return version;
    }

    /// <summary>Withdraws a sent quote, before anything is ordered on it.</summary>
    public static long Withdraw(SqliteConnection connection, Desk desk, string id, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        if (
            c.Quote is null
            || c.Standing.Station != Station.Gather
            || c.Order.Facts.Items.Any(i => i.DoneAt is not null)
        )
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Quote is null ? "No quote is sent." : $"{c.Order.Code} is already being made.",
                "Only a sent quote with nothing gathered on it can be withdrawn."
            );
        }
        if (
            c.Order.Facts.Joined is { Count: > 0 }
            || (c.Order.Facts.Layouts ?? []).Any(l => l.Designs.Any(d => d.For.Length > 0))
        )
        {
            throw new RefusedException(
                409,
                "together",
                $"The film of {c.Order.Code} is bought together with another order's.",
                "Buy them apart first, under Lay out."
            );
        }
        QuoteStore.Withdraw(connection, c.Quote.Id, deed.At);
        return Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Approval = null,
                Deposit = null,
                Items = [],
                Moves = null,
            }
        );
    }

    /// <summary>The customer's yes; with the deposit it makes the list of what to buy and prepare.</summary>
    public static long Approve(SqliteConnection connection, Desk desk, string id, string by, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        At(c, Station.Gather, "take the yes");
        var name = Named(by, "by", "Who said yes");
        return Put(connection, c, seen, deed, f =>
            Listed(c, f with { Approval = new(name, deed.At) }, connection, desk)
        );
    }

    /// <summary>The deposit, or the owner's word that the order goes on without.</summary>
    public static long NoteDeposit(
        SqliteConnection connection,
        Desk desk,
        string id,
        decimal amount,
        string? overrideReason,
        long seen,
        Deed deed
    )
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        At(c, Station.Gather, "note the deposit");
        var wanted = c.Frozen!.Deposit;
        var f = c.Frozen.Numbers.Format;
        if (amount < 0 || amount > c.Frozen.Total)
        {
            throw new RefusedException(
                400,
                "range",
                $"A deposit of {Shown.Money(amount, f)} is outside 0 to {Shown.Money(c.Frozen.Total, f)}.",
                "Type what was paid.",
                "amount"
            );
        }
        if (amount < wanted && string.IsNullOrWhiteSpace(overrideReason))
        {
            throw new RefusedException(
                400,
                "short",
                $"{Shown.Money(amount, f)} is less than the {Shown.Money(wanted, f)} asked.",
                "Say why the order goes on without, or wait for the rest.",
                "overrideReason"
            );
        }
        var reason = amount < wanted ? Named(overrideReason!, "overrideReason", "The reason") : null;
        return Put(connection, c, seen, deed, facts =>
            Listed(c, facts with { Deposit = new(amount, reason, deed.At) }, connection, desk)
        );
    }

    /// <summary>Ticks a gathered thing off, or on again.</summary>
    public static long Tick(
        SqliteConnection connection,
        Desk desk,
        string id,
        string itemId,
        bool done,
        long seen,
        Deed deed
    )
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        if (c.Order.Facts.Items.All(i => i.Id != itemId))
        {
            throw RefusedException.NoSuch("thing to gather", itemId);
        }
        if (c.Order.Facts.RunStartedAt is not null)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is already being pressed.",
                "What was gathered stays as it was."
            );
        }
        var book = desk.Book(connection);
        var tested = c.Frozen!.Lines.SelectMany(l => l.Band.Decorations.Select(d => (Line: l, Plan: d)))
            .FirstOrDefault(x => GatherList.TestItem + x.Plan.Placement.Id == itemId);
        if (
            done
            && tested.Plan is { } plan
            && book.Numbers.Floor.Habits.TestFirst
            && !GatherList.IsTested(plan, tested.Line, book)
        )
        {
            throw new RefusedException(
                409,
                "not-tested",
                $"No passed test of {book.ProductName(plan.Recipe.ProductId)} at {Shown.Temperature(plan.Recipe.TemperatureF, c.Frozen.Numbers.Format)} on {tested.Line.Style.Name} is noted.",
                "Press a test piece and note it on the Floor, under Spot tests; or have untested recipes only warned of, under Numbers."
            );
        }
        return Put(connection, c, seen, deed, f =>
            f with
            {
                Items = [.. f.Items.Select(i => i.Id == itemId ? i with { DoneAt = done ? deed.At : null } : i)],
            }
        );
    }

    /// <summary>Puts a line somewhere on the press day, or leaves it to the plan again (no press).</summary>
    public static long Move(
        SqliteConnection connection,
        Desk desk,
        string id,
        string lineId,
        string? pressId,
        DateTime from,
        long seen,
        Deed deed
    )
    {
        var book = desk.Book(connection);
        var c = desk.Case(connection, id, book);
        var line = c.Line(lineId);
        if (
            c.Frozen is null
            || c.Order.Facts.Approval is null
            || c.Order.Facts.RunStartedAt is not null
            || c.Standing.Station > Station.Press
        )
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Order.Facts.RunStartedAt is not null
                    ? $"{c.Order.Code} is being pressed: it stays where it is."
                    : $"{c.Order.Code} is not on the press day.",
                "Only planned work can be moved."
            );
        }
        var rest = (c.Order.Facts.Moves ?? []).Where(m => m.LineId != line.Asked.Id).ToList();
        if (pressId is null)
        {
            return Put(connection, c, seen, deed, f => f with { Moves = rest.Count == 0 ? null : rest });
        }
        var press = book.Presses.FirstOrDefault(p => p.Id == pressId)
            ?? throw RefusedException.NoSuch("press", pressId);
        if (line.Frozen is { } quoted && LineFloor.BenchOf(quoted.Band.Decorations) is { Length: > 0 } bench)
        {
            throw new RefusedException(
                409,
                "press",
                $"{c.Order.Code} is not pressed: it is done at {book.Workplace(bench)?.Name ?? "the table"}.",
                "Leave it to the plan.",
                "pressId"
            );
        }
        if (!press.Takes(line.Style!.Kind))
        {
            throw new RefusedException(
                409,
                "press",
                $"{press.Name} does not take {GarmentNouns.Of(line.Style.Kind, 2)}.",
                "Choose a press that does.",
                "pressId"
            );
        }
        return Put(connection, c, seen, deed, f => f with { Moves = [.. rest, new(line.Asked.Id, press.Id, from)] });
    }

    /// <summary>Begins pressing; again it is the same run.</summary>
    public static long StartRun(SqliteConnection connection, Desk desk, string id, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        if (c.Order.Facts.RunStartedAt is not null)
        {
            return c.Version;
        }
        At(c, Station.Press, "begin pressing");
        if (
            CureStore
                .OfOrder(connection, id)
                .Select(b => b.Value)
                .FirstOrDefault(b => b.Holds() && b.Prints.Any(p => p.OrderId == id && p.WhiteOnly)) is
            { } held
        )
        {
            throw new RefusedException(
                409,
                "cure-held",
                $"White prints of {c.Order.Code} lie in {held.Code()}, whose colour patches are not both pressed and holding.",
                "Press and pull the patches before and after them, and note it on the Floor."
            );
        }
        // which press it is goes with the pieces: should it be found wrong, they are listed
        var book = desk.Book(connection);
        var placed = PlacedOrder.Of(
            ShopFloor.Of(desk.Open(connection, book), book, desk.Clock.Wall(book.Numbers.Identity.TimeZone)).Placed,
            id
        );
        var pressed =
            book.Presses.Count == 0
                ? null
                : c.Frozen!.Lines.Select(l => new PressedOn(
                        l.LineId,
                        placed?.PressOf(l.LineId)
                            ?? LineFloor.WorkplaceOf(c.Frozen.InHand(l), l.Band.Decorations, book).Id
                    ))
                    .ToList();
        return Put(connection, c, c.Version, deed with { Undoable = false }, f =>
            f with
            {
                RunStartedAt = deed.At,
                Pressed = pressed,
            }
        );
    }

    /// <summary>Pieces counted into the box, by line and size; never more than came out good and is still here.</summary>
    public static long Count(
        SqliteConnection connection,
        Desk desk,
        string id,
        IReadOnlyList<CountedSize> counted,
        long seen,
        Deed deed
    )
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        if (c.Standing.Station is not (Station.Press or Station.Send) || c.Run is null)
        {
            At(c, Station.Send, "count");
        }
        for (var i = 0; i < counted.Count; i++)
        {
            var one = counted[i];
            var sizes = c.Line(one.LineId).Asked.Sizes;
            if (sizes.All(s => s.Size != one.Size))
            {
                throw new RefusedException(
                    400,
                    "unknown-size",
                    $"\"{one.Size}\" is not in this order.",
                    $"Its sizes are {string.Join(", ", sizes.Select(s => s.Size))}.",
                    $"sizes[{i}].size"
                );
            }
            var good =
                c.Run!.Sizes.First(s => s.LineId == one.LineId && s.Size == one.Size).Good
                - c.Order.Facts.DeliveredOf(one.LineId, one.Size);
            if (one.Pieces < 0 || one.Pieces > good)
            {
                throw new RefusedException(
                    400,
                    "range",
                    $"{one.Pieces} of {one.Size} is outside 0 to {good}.",
                    "Count the good pieces that are here; a spare stays outside the box.",
                    $"sizes[{i}].pieces"
                );
            }
        }
        return Put(connection, c, seen, deed, f => f with { Counted = [.. counted.Where(s => s.Pieces > 0)] });
    }

    /// <summary>Gives what is counted to the customer and keeps the rest of the order on the line.</summary>
    public static long DeliverPart(SqliteConnection connection, Desk desk, string id, string to, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        var counted = c.Order.Facts.Counted;
        if (c.Frozen is null || c.Standing.Station is not (Station.Press or Station.Send) || counted.Count == 0)
        {
            throw new RefusedException(
                409,
                "uncounted",
                $"Nothing of {c.Order.Code} is counted into a box.",
                "Count what goes out first."
            );
        }
        if (counted.Sum(x => x.Pieces) + c.Order.Facts.Delivered() >= c.Order.Ask.Pieces)
        {
            throw new RefusedException(
                409,
                "whole",
                "Everything that is left is in the box.",
                "Hand it over: that is the whole order."
            );
        }
        var name = Named(to, "to", "Who took it");
        var taken = OrderBalance.Of(c).Now;
        return Put(connection, c, seen, deed with { Undoable = false }, f =>
            f with
            {
                Counted = [],
                Parts = [.. f.Parts ?? [], new(name, deed.At, taken, counted)],
            }
        );
    }

    /// <summary>Gives the pieces to the customer, once all are counted.</summary>
    public static long HandOver(SqliteConnection connection, Desk desk, string id, string to, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        At(c, Station.Send, "hand it over");
        var (counted, wanted) = (
            c.Order.Facts.Counted.Sum(x => x.Pieces),
            c.Order.Ask.Pieces - c.Order.Facts.Delivered()
        );
        if (counted < wanted)
        {
            throw new RefusedException(
                409,
                "uncounted",
                $"{counted} of {wanted} pieces are counted.",
                "Count the rest into the box first."
            );
        }
        var name = Named(to, "to", "Who took it");
        return Put(connection, c, seen, deed with { Undoable = false }, f => f with { HandOver = new(name, deed.At) });
    }

    /// <summary>Takes a hand-over back that did not happen.</summary>
    public static long TakeBack(SqliteConnection connection, Desk desk, string id, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        At(c, Station.Learn, "take the hand-over back");
        return Put(connection, c, seen, deed with { Undoable = false }, f => f with { HandOver = null });
    }

    /// <summary>Closes the order: it leaves the line.</summary>
    public static long Close(SqliteConnection connection, Desk desk, string id, long seen, Deed deed)
    {
        var c = desk.Case(connection, id, desk.Book(connection));
        At(c, Station.Learn, "close it");
        return Put(connection, c, seen, deed, f => f with { ClosedAt = deed.At });
    }

    private static OrderFacts Listed(OrderCase c, OrderFacts facts, SqliteConnection connection, Desk desk)
    {
        if (facts.Items.Count > 0 || facts.Approval is null || (c.Frozen!.Deposit > 0 && facts.Deposit is null))
        {
            return facts;
        }
        var numbers = Desk.Numbers(connection);
        var hours = new OpenHours(numbers.Week.Days);
        var wall = desk.Clock.Wall(numbers.Identity.TimeZone);
        var book = desk.Book(connection);
        var listed = facts with
        {
            Items = [.. c.Frozen!.Lines.SelectMany(l => GatherList.Of(c, l, hours, wall, numbers.Format, book))],
        };
        // film may have been laid better since the quote was sent
        foreach (var layout in facts.Layouts ?? [])
        {
            if (
                c.Lines.FirstOrDefault(l => l.Asked.Id == layout.LineId) is { } line
                && BoughtFilm.ItemOf(listed, line.Asked) is not null
                && LaidOn
                    .Of(LineLayouts.MethodOf(line), line.InHand ?? c.Frozen!.InHand(line.Frozen!), book)
                    .Lists.Any(f => f.Id == layout.FilmId && f.Grounds().Any(g => g.Key == layout.On) == true)
            )
            {
                listed = FilmTogether.Settled(
                    listed,
                    LineLayouts.Of(connection, desk, c.Order.Id, line.Asked.Id, layout.FilmId, layout.On),
                    layout,
                    book
                );
            }
        }
        return listed;
    }

    /// <summary>Changes what has happened to an order, from the version that was seen.</summary>
    public static long Put(
        SqliteConnection connection,
        OrderCase c,
        long seen,
        Deed deed,
        Func<OrderFacts, OrderFacts> change
    ) => Aggregates.Orders.Put(connection, c.Order with { Facts = change(c.Order.Facts) }, seen, deed);

    private static void At(OrderCase c, Station station, string what)
    {
        if (c.Standing.Station != station)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} stands at {c.Standing.Station}: it cannot {what} there.",
                c.Standing.Missing.Count > 0
                    ? $"It still waits for: {c.Standing.Missing[0].Text.TrimEnd('.')}."
                    : "Look at where it stands."
            );
        }
    }

    // before the quote is sent, on a line that is complete
    private static void Before(OrderCase c, LineCase line, string what)
    {
        if (c.Standing.Station >= Station.Gather)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"The quote of {c.Order.Code} is sent: it cannot {what} now.",
                "Withdraw the quote first."
            );
        }
        if (line.InHand is null)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} cannot {what} yet: {c.Standing.Missing[0].Text.TrimEnd('.')}.",
                "Finish the ask first."
            );
        }
    }

    private static string Named(string value, string field, string what)
    {
        var name = value.Trim();
        return name.Length switch
        {
            0 => throw new RefusedException(400, "empty", $"{what} is not said.", "Type it.", field),
            > LongestName => throw new RefusedException(
                400,
                "too-long",
                $"{what} has {name.Length} characters.",
                $"At most {LongestName}.",
                field
            ),
            _ => name,
        };
    }
}
