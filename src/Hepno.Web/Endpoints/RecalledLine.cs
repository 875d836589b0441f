using Hepno.Core.Curing;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>What a cure batch calls back of one print of a line, and whom to tell.</summary>
internal static class RecalledLine
{
    /// <summary>Counts it: what was pressed since, what others made, what is with the customer.</summary>
    public static RecalledView Of(
        SqliteConnection c,
        OpenShop shop,
        ShopBook book,
        CureBatch batch,
        CuredPrints p,
        Instant from
    )
    {
        if (FilmPrints.Find(c, shop, book, batch.PrinterId, p.OrderId, p.LineId, p.PlacementId) is not { } film)
        {
            return new(
                p.OrderId,
                "An order quoted otherwise since",
                Customer: "",
                $"{p.Prints} prints were made for it: look where they are",
                Tell: "",
                Figure.Sum("recall", "Made anew", [])
            );
        }
        var (order, f) = (film.Order, book.Numbers.Format);
        var after = RunStore.Since(c, p.OrderId, from);
        var pressed = RunReplay
            .OfLine(order.RunLines, p.LineId, order.Events)
            .Where(e => e.Verdict == RunVerdict.Good && after.Contains(e.EventId))
            .Select(e => e.PieceNo)
            .Distinct()
            .Count();
        var others = CureStore
            .OfOrder(c, p.OrderId)
            .Where(b => b.Value.Id != batch.Id)
            .SelectMany(b => b.Value.Prints)
            .Where(o => (o.LineId, o.PlacementId) == (p.LineId, p.PlacementId))
            .Sum(o => o.Prints);
        var r = Recall.Of(
            new(
                p,
                others,
                pressed,
                WithThem(order, p.LineId),
                film.Plan.Material with
                {
                    Label = "One print",
                },
                film.Line.Band.Cost with
                {
                    Label = "One piece",
                }
            )
        );
        return new(
            p.OrderId,
            film.Name,
            Customer(order.Customer),
            Said: $"{Pieces(r)}{Thrown(r)}; make {p.Prints} prints anew"
                + (r.PiecesAtMost > 0 ? $" and up to {r.PiecesAtMost} pieces" : ""),
            Tell(r, order, f),
            r.Cost
        );
    }

    private static int WithThem(OrderCase order, LineId lineId) =>
        order.Order.Facts.Sending.HandOver is not null
            ? order.Line(lineId).Asked.Pieces
            : order
                .Order.Facts.Sending.Parts.SelectMany(x => x.Pieces)
                .Where(x => x.LineId == lineId)
                .Sum(x => x.Pieces);

    private static string Customer(Customer? customer)
    {
        if (customer is null)
        {
            return "no customer";
        }
        return customer.Contact.Length > 0 ? $"{customer.Name}, {customer.Contact}" : customer.Name;
    }

    private static string Pieces(RecallLine r)
    {
        if (r.LookAt == 0)
        {
            return "none pressed yet";
        }
        return r.PiecesAtLeast == r.PiecesAtMost
            ? $"{r.PiecesAtMost} pieces carry its prints"
            : $"{r.PiecesAtLeast} to {r.PiecesAtMost} of {r.LookAt} pieces carry its prints: pull and stretch each";
    }

    private static string Thrown(RecallLine r) =>
        r.PrintsWaiting > 0 ? $"; throw {r.PrintsWaiting} {(r.PrintsWaiting == 1 ? "print" : "prints")} away" : "";

    private static string Tell(RecallLine r, OrderCase order, FigureFormat f)
    {
        if (r.Out > 0)
        {
            return $"tell them: up to {Math.Min(r.Out, r.PiecesAtMost)} of their pieces may fail in the wash";
        }
        return order.Order.Ask.DueAt is { } due
            ? $"nothing is with them; wanted {Shown.Moment(due, f)}"
            : "nothing is with them";
    }
}
