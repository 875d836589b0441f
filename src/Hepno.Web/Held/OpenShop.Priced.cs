using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Held;

/// <content>Comparisons, ribbons and quotes, with what of them is kept.</content>
internal sealed partial class OpenShop
{
    /// <summary>Holds every method against a line; null while it is not complete or there is no press.</summary>
    /// <param name="c">The order.</param>
    /// <param name="line">Which line of it.</param>
    /// <param name="quantity">Pieces to compare at, or null for its own.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="open">All orders on the line.</param>
    /// <param name="curve">False leaves the figures at other quantities out.</param>
    /// <param name="own">A mix of ways the owner wants to see beside the rest, or null.</param>
    /// <param name="whatIf">Prices and rates tried at other levels, or null.</param>
    public Comparison? Compare(
        OrderCase c,
        LineCase line,
        int? quantity,
        ShopBook book,
        IReadOnlyList<OrderCase> open,
        bool curve = true,
        Mixed? own = null,
        WhatIf? whatIf = null
    )
    {
        if (line.InHand is null || book.Presses.Count == 0)
        {
            return null;
        }
        var whole = book;
        book = book.For(c.Customer);
        var floor = ShopFloor.Beside(c, line, book, FloorWithout(c, book, open));
        if (whatIf is not null)
        {
            return Comparer.Compare(
                whatIf.Of(line.InHand),
                line.Asked.Mark,
                c.Order.Ask.DueOf(line.Asked),
                quantity,
                whatIf.Of(book),
                floor,
                line.Decision,
                false,
                own
            );
        }
        return Comparer.Compare(
            line.InHand,
            line.Asked.Mark,
            c.Order.Ask.DueOf(line.Asked),
            quantity,
            book,
            floor,
            line.Decision,
            curve,
            own,
            Curves(c, line, whole)
        );
    }

    // the scale is dragged over many counts of one line
    private CurveMemo Curves(OrderCase c, LineCase line, ShopBook book)
    {
        var key = (c.Order.Id, line.Asked.Id, c.Version, c.Customer, book);
        if (curves is { } k && k.Key == key)
        {
            return k.Curves;
        }
        return (curves = new(key, new())).Curves;
    }

    /// <summary>Every way at every quantity of a line; found anew only after the order, the shop's figures or what
    /// hours are worth changed.</summary>
    public QuantityRibbon Ribbon(OrderCase c, LineCase line, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        var theirs = book.For(c.Customer);
        var worth = WorthOfHands.Reckon(
            line.InHand!,
            c.Order.Ask.DueOf(line.Asked),
            theirs,
            ShopFloor.Beside(c, line, theirs, FloorWithout(c, theirs, open))
        );
        var key = (c.Order.Id, line.Asked.Id, c.Version, c.Customer, book, worth);
        if (ribbon is { } r && r.Key == key)
        {
            return r.Ribbon;
        }
        var found = QuantityRibbon.Reckon(line.InHand!, line.Asked.Mark, theirs, worth);
        ribbon = new(key, found);
        return found;
    }

    /// <summary>Every line by its chosen method, planned one after the other; refused when one has no method or its
    /// method cannot do it any more.</summary>
    public IReadOnlyList<(LineCase Line, Band Band)> Chosen(OrderCase c, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (!c.IsComplete || book.Presses.Count == 0)
        {
            throw new RefusedException(
                409,
                "incomplete",
                book.Presses.Count == 0
                    ? "There is no press on the Floor."
                    : $"{c.Order.Code} cannot be quoted yet: {c.Standing.Missing[0].Text}.",
                remedy: book.Presses.Count == 0 ? "Add a press on the Floor." : "Finish the ask first."
            );
        }
        return
        [
            .. Planned(c, book, open)
                .Select(p =>
                    (
                        p.Line,
                        p.Band
                            ?? throw new RefusedException(
                                409,
                                p.Line.Decision is null ? "no-method" : "method-unfit",
                                sentence: p.Line.Decision is null
                                    ? c.Lines.Count == 1
                                        ? "No method is chosen yet."
                                        : $"No method is chosen yet for {p.Line.What}."
                                    : $"{p.Fold!.Name} cannot do it any more: {p.Fold.Reasons[0].Sentence}.",
                                p.Line.Decision is null
                                    ? "Choose one under Compare."
                                    : $"Would work: {p.Fold!.Reasons[0].WouldWork}. Or choose another method under Compare."
                            )
                    )
                ),
        ];
    }

    /// <summary>Every complete line by its chosen method, planned one after the other: each with its figures, or why
    /// the method cannot.</summary>
    public IReadOnlyList<(LineCase Line, Band? Band, Fold? Fold)> Planned(
        OrderCase c,
        ShopBook book,
        IReadOnlyList<OrderCase> open
    )
    {
        book = book.For(c.Customer);
        return ShopFloor.Planned(c, book, FloorWithout(c, book, open));
    }

    /// <summary>The quote of an order as it would be sent now.</summary>
    public FrozenQuote Quoted(OrderCase c, ShopBook book, SqliteConnection connection)
    {
        book = book.For(c.Customer);
        var open = Open(connection, book);
        var floor = FloorWithout(c, book, open);
        var offered = c
            .Order.Facts.Choice.Offered.Select(w =>
                (
                    Way: w,
                    Line: c.Lines.FirstOrDefault(l =>
                        l.Asked.Id == w.LineId && l.InHand is not null && l.Decision?.MethodId != w.MethodId
                    )
                )
            )
            .Where(o => o.Line is not null)
            .Select(o =>
                (
                    Line: o.Line!,
                    Comparer
                        .Chosen(
                            o.Line!.InHand!,
                            o.Line.Asked.Mark,
                            c.Order.Ask.DueOf(o.Line.Asked),
                            book,
                            floor,
                            new(o.Way.LineId, o.Way.MethodId, default)
                        )
                        .Band
                )
            )
            .Where(o => o.Band is not null)
            .Select(o => (o.Line, o.Band!))
            .ToList();
        var chosen = Chosen(c, book, open);
        if (MakeQuote.NotSent(c, book) is { } problem)
        {
            throw new RefusedException(409, problem.Code, problem.Sentence, problem.Remedy);
        }
        return MakeQuote.Write(
            c,
            chosen,
            offered,
            book,
            Clock.Wall(book.Numbers.Identity.TimeZone),
            QuoteStore.OfOrder(connection, c.Order.Id).Count + 1
        );
    }

    private FloorPlan FloorWithout(OrderCase c, ShopBook book, IReadOnlyList<OrderCase> open) =>
        ShopFloor.Without(c, open, book, Clock.Wall(book.Numbers.Identity.TimeZone));
}
