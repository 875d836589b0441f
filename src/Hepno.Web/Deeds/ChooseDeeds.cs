using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>By which way a line is made, at which price, and what is offered beside it.</summary>
internal static class ChooseDeeds
{
    private const int MostWhy = 300;

    /// <summary>Chooses a line's method, and lays out what it buys.</summary>
    public static long Choose(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId? lineId,
        MethodId methodId,
        long seen,
        Deed deed,
        string why = ""
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        OrderDeeds.Before(c, line, "choose a method");
        var method = DecorationMethods.Find(methodId) ?? throw RefusedException.NoSuch("method", methodId);
        if (book.Presses.Count == 0)
        {
            throw new RefusedException(
                409,
                "incomplete",
                "There is no press on the Floor.",
                remedy: "Add a press on the Floor."
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
                remedy: $"Would work: {reason.WouldWork}.",
                "methodId"
            );
        }
        if (why.Length > MostWhy)
        {
            throw new RefusedException(
                400,
                "too-long",
                $"A reason of {why.Length} characters.",
                remedy: $"At most {MostWhy}.",
                "why"
            );
        }
        // what it was held against is kept as it stood then: prices change
        var kept = shop.Compare(c, line, null, book, shop.Open(connection, book), false, method as Mixed)
            is { } comparison
            ? Advice.Kept(comparison, method.Id, why.Trim(), book.Numbers.Format)
            : why.Trim();
        var searched = LayoutDeeds.Searched(connection, shop, id, line.Asked.Id, method.Id, answer.Decorations);
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Choice = f.Choice with
                {
                    Decisions =
                    [
                        .. f.Choice.Decisions.Where(d => d.LineId != line.Asked.Id),
                        new(line.Asked.Id, method.Id, deed.At, Why: kept),
                    ],
                },
                Layout = f.Layout.With(searched is null ? [] : [searched]) with
                {
                    At = line.Decision?.MethodId == method.Id ? f.Layout.At : null,
                },
            }
        );
    }

    /// <summary>Says the price of a piece of a line, or leaves it to the policy again (null).</summary>
    public static long SayPrice(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId? lineId,
        decimal? each,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        var line = c.Line(lineId);
        OrderDeeds.Before(c, line, "take a price");
        if (line.Decision is null)
        {
            throw new RefusedException(
                409,
                "no-method",
                "No method is chosen yet.",
                remedy: "Choose one under Compare."
            );
        }
        ChosenWays.InRange(each, OpenShop.Numbers(connection).Format, "each");
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Choice = f.Choice with
                {
                    Decisions =
                    [
                        .. f.Choice.Decisions.Select(d => d.LineId == line.Asked.Id ? d with { TypedPrice = each } : d),
                    ],
                },
            }
        );
    }

    /// <summary>Takes the larger quantity of a price break for a line; by the shop's rule its pieces more are
    /// given.</summary>
    public static long TakeLarger(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId? lineId,
        int pieces,
        long seen,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        OrderDeeds.Before(c, line, "take more pieces");
        // as the comparison has it, the customer's own terms in it
        if (
            shop.Planned(c, book, shop.Open(connection, book))
                .First(p => p.Line.Asked.Id == line.Asked.Id)
                .Band?.Cliff?.Pieces != pieces
        )
        {
            throw new RefusedException(
                409,
                "no-break",
                $"{pieces} pieces are no price break of {line.What} now.",
                remedy: "Look at the comparison again.",
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
                Facts = order.Facts with { Layout = order.Facts.Layout with { At = null } },
            },
            seen,
            deed
        );
    }

    /// <summary>Offers another method of a line to the customer beside the quoted one, or does not any more.</summary>
    public static long Offer(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId? lineId,
        MethodId methodId,
        bool offered,
        long seen,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        OrderDeeds.Before(c, line, "offer another way");
        var method = DecorationMethods.Find(methodId) ?? throw RefusedException.NoSuch("method", methodId);
        if (offered && method.Answer(line.InHand!, book) is { Decorations.Count: 0 } cannot)
        {
            throw new RefusedException(
                409,
                "method-unfit",
                $"{method.Name}: {cannot.Verdict.Reasons.First(r => r.Kind == VerdictKind.No).Sentence}.",
                remedy: "Offer one that can do it.",
                "methodId"
            );
        }
        var rest = c
            .Order.Facts.Choice.Offered.Where(w => w.LineId != line.Asked.Id || w.MethodId != method.Id)
            .ToList();
        List<OfferedWay> all = offered ? [.. rest, new(line.Asked.Id, method.Id)] : rest;
        if (all.Count(w => w.LineId == line.Asked.Id) > OfferedWay.Most)
        {
            throw new RefusedException(
                409,
                "many",
                $"{OfferedWay.Most} other ways are offered already.",
                remedy: "Take one back first.",
                "methodId"
            );
        }
        return OrderDeeds.Put(connection, c, seen, deed, f => f with { Choice = f.Choice with { Offered = all } });
    }
}
