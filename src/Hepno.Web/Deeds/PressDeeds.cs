using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Deeds;

/// <summary>What is gathered, moved on the plan, and begun at the press.</summary>
internal static class PressDeeds
{
    /// <summary>Ticks a gathered thing off, or on again.</summary>
    public static long Tick(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        string itemId,
        bool done,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Order.Facts.Gathering.Items.All(i => i.Id != itemId))
        {
            throw RefusedException.NoSuch("thing to gather", itemId);
        }
        if (c.Order.Facts.Pressing.StartedAt is not null)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is already being pressed.",
                remedy: "What was gathered stays as it was."
            );
        }
        var book = shop.Book(connection);
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
                $"No passed test of {book.ProductName(plan.Recipe.ProductId)} at "
                    + $"{Shown.Temperature(plan.Recipe.TemperatureF, c.Frozen.Numbers.Format)} on "
                    + $"{tested.Line.Style.Name} is noted.",
                remedy: "Press a test piece and note it on the Floor, under Spot tests; or have untested recipes only "
                    + "warned of, under Numbers."
            );
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Gathering = f.Gathering.With(itemId, i => i with { DoneAt = done ? deed.At : null }),
            }
        );
    }

    /// <summary>Puts a line somewhere on the press day, or leaves it to the plan again (no press).</summary>
    public static long Move(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId lineId,
        PressId? pressId,
        LocalDateTime from,
        long seen,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        if (
            c.Frozen is null
            || c.Order.Facts.Gathering.Approval is null
            || c.Order.Facts.Pressing.StartedAt is not null
            || c.Standing.Station > Station.Press
        )
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Order.Facts.Pressing.StartedAt is not null
                    ? $"{c.Order.Code} is being pressed: it stays where it is."
                    : $"{c.Order.Code} is not on the press day.",
                remedy: "Only planned work can be moved."
            );
        }
        var rest = c.Order.Facts.Pressing.Moves.Where(m => m.LineId != line.Asked.Id).ToList();
        if (pressId is null)
        {
            return OrderDeeds.Put(connection, c, seen, deed, f =>
                f with
                {
                    Pressing = f.Pressing with { Moves = rest },
                }
            );
        }
        var press = book.Presses.FirstOrDefault(p => p.Id == pressId)
            ?? throw RefusedException.NoSuch("press", pressId ?? default);
        if (line.Frozen is { } quoted && LineFloor.BenchOf(quoted.Band.Decorations) is var bench && !bench.IsNone)
        {
            throw new RefusedException(
                409,
                "press",
                $"{c.Order.Code} is not pressed: it is done at {book.Workplace(bench)?.Name ?? "the table"}.",
                remedy: "Leave it to the plan.",
                "pressId"
            );
        }
        if (!press.Takes(line.Style!.Kind))
        {
            throw new RefusedException(
                409,
                "press",
                $"{press.Name} does not take {GarmentNouns.For(line.Style.Kind, 2)}.",
                remedy: "Choose a press that does.",
                "pressId"
            );
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Pressing = f.Pressing with { Moves = [.. rest, new(line.Asked.Id, press.Id, from)] },
            }
        );
    }

    /// <summary>Begins pressing; again it is the same run.</summary>
    public static long StartRun(SqliteConnection connection, OpenShop shop, OrderId id, Deed deed)
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Order.Facts.Pressing.StartedAt is not null)
        {
            return c.Version;
        }
        OrderDeeds.At(c, Station.Press, "begin pressing");
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
                $"White prints of {c.Order.Code} lie in {held.Code()}, whose colour patches are not both pressed "
                    + "and holding.",
                remedy: "Press and pull the patches before and after them, and note it on the Floor."
            );
        }
        // which press it is goes with the pieces: should it be found wrong, they are listed
        var book = shop.Book(connection);
        var placed = PlacedOrder.Find(
            ShopFloor.Plan(shop.Open(connection, book), book, shop.Clock.Wall(book.Numbers.Identity.TimeZone)).Placed,
            id
        );
        IReadOnlyList<PressedOn> pressed =
            book.Presses.Count == 0
                ? []
                :
                [
                    .. c.Frozen!.Lines.Select(l => new PressedOn(
                        l.LineId,
                        placed?.PressOf(l.LineId)
                            ?? LineFloor.WorkplaceOf(c.Frozen.InHand(l), l.Band.Decorations, book).Id
                    )),
                ];
        return OrderDeeds.Put(connection, c, c.Version, deed with { Undoable = false }, f =>
            f with
            {
                Pressing = f.Pressing with { StartedAt = deed.At, On = pressed },
            }
        );
    }
}
