using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What is done to a line's layout.</summary>
internal static class LayoutDeeds
{
    // chance begins alike each time: the same order is laid the same
    private const int FirstSeed = 1;

    // of the two seconds of a search that is asked for: this one nobody asked for
    private const int PartOfUsual = 8;
    private const int FewestSteps = 300;

    /// <summary>Settles a layout for a line: from here estimate, quote and what is bought use it. One that is not sound
    /// is refused, with every fault.</summary>
    public static long Settle(
        SqliteConnection connection,
        LineOnFilm l,
        LineLayout layout,
        ShopBook book,
        long seen,
        Deed deed
    )
    {
        if (!BoughtFilm.IsOpen(l.Case, l.Line.Asked))
        {
            throw new RefusedException(
                409,
                "not-there",
                l.Case.Order.Facts.JoinedOf(l.Line.Asked.Id) is { } joined
                    ? $"The film of {l.Case.Order.Code} is bought on the layout of {joined.WithCode}."
                    : $"The film of {l.Case.Order.Code} is here, or it is made otherwise: its layout stands.",
                remedy: "Look at where the order stands."
            );
        }
        RefusedException.IfAny(LineLayouts.Faults(l, layout));
        return OrderDeeds.Put(connection, l.Case, seen, deed, f =>
            FilmTogether.Settled(f, l, layout with { Copies = Packed(layout.Copies) }, book)
        );
    }

    /// <summary>What a plan of a line is laid on, searched as long as somebody waits who chose it: the quote rests on
    /// that. Null where nothing is laid, and where it is settled.</summary>
    public static LineLayout? Searched(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId lineId,
        MethodId methodId,
        IEnumerable<DecorationPlan> plan
    )
    {
        if (
            ToSearch(
                shop.Case(connection, id, shop.Book(connection)).Line(lineId),
                methodId,
                shop.Book(connection),
                plan
            )
            is not { } laid
        )
        {
            return null;
        }
        var l = LineLayouts.Film(connection, shop, id, lineId, laid.FilmId, laid.On, methodId: methodId);
        return LineSearch.Searched(
            l,
            l.Layout,
            FirstSeed,
            Math.Max(FewestSteps, GangNest.UsualSteps(l.Layout.Copies.Count) / PartOfUsual),
            (_, _) => true
        );
    }

    /// <summary>What of a plan is laid and not settled; a line has one layout: of a mix of two films, of the one it is
    /// laid on.</summary>
    public static LaidPurchase? ToSearch(
        LineCase line,
        MethodId methodId,
        ShopBook book,
        IEnumerable<DecorationPlan> plan
    ) =>
        line.InHand is { } inHand
        && plan.SelectMany(d => d.Purchases)
            .Select(p => p.Laid)
            .OfType<LaidPurchase>()
            .FirstOrDefault(p => LaidOn.Find(methodId, inHand, book).Lists.Any(x => x.Id == p.FilmId))
            is { IsSettled: false } laid
            ? laid
            : null;

    /// <summary>Whether every layout that is settled for a line is still for the prints its way needs.</summary>
    public static bool Hold(OrderCase c, ShopBook book) =>
        c.Lines.All(line =>
            c.Order.Facts.LayoutOf(line.Asked.Id) is not { } layout
            || line.InHand is not { } inHand
            || Holds(layout, LaidOn.Find(LineLayouts.MethodOf(line), inHand, book))
        );

    private static bool Holds(LineLayout layout, LaidOn on) =>
        on.Lists.All(x => x.Id != layout.FilmId)
        || layout.IsFor([.. LayoutRooms.PrintsOn(layout.FilmId, on.Part, on).Select(p => p.Design)]);

    /// <summary>Forgets a line's layout: the usual orders are reckoned with again.</summary>
    public static long Forget(SqliteConnection connection, LineOnFilm l, long seen, Deed deed) =>
        l.Case.Standing.Station >= Station.Gather
            ? throw new RefusedException(
                409,
                "not-there",
                $"The quote of {l.Case.Order.Code} is sent: its film is bought as it is laid.",
                remedy: "Lay it otherwise instead."
            )
            : OrderDeeds.Put(connection, l.Case, seen, deed, f =>
                f with
                {
                    Layout = f.Layout with { Layouts = [.. f.Layout.Layouts.Where(x => x.LineId != l.Line.Asked.Id)] },
                }
            );

    /// <summary>Uses transfers of the drawer for a print of a line instead of new ones; none gives them back.</summary>
    public static long UseFromDrawer(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId lineId,
        string key,
        KeptPrintId keptId,
        int count,
        long seen,
        Deed deed
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        if (c.Standing.Station >= Station.Gather || line.InHand is not { } inHand)
        {
            throw new RefusedException(
                409,
                "not-there",
                c.Standing.Station >= Station.Gather
                    ? $"The quote of {c.Order.Code} is sent: what is bought stands."
                    : $"{c.Order.Code} is not complete yet.",
                remedy: c.Standing.Station >= Station.Gather ? "Withdraw the quote first." : "Finish the ask first."
            );
        }
        var kept = DrawerStore.All(connection).FirstOrDefault(k => k.Id == keptId)
            ?? throw RefusedException.NoSuch("transfer in the drawer", keptId);
        var on = LaidOn.Find(LineLayouts.MethodOf(line), inHand, book);
        var print = LaidPrint.All(on.Part, on.Spares, kept.ProductId).FirstOrDefault(p => p.Key == key)
            ?? throw RefusedException.NoSuch("print", id: key);
        if (!kept.Is(print.Print.Print.DesignId, print.Print.Print.WidthIn, print.Print.Print.HeightIn, kept.ProductId))
        {
            throw new RefusedException(
                409,
                "another-print",
                $"{kept.Name} is another print than this.",
                remedy: "Only the same artwork in the same size can be used.",
                "keptId"
            );
        }
        var most = Math.Min(
            print.Count + print.Lying,
            kept.OnHand() - DrawerStore.SpokenFor(connection, id, line.Asked.Id).GetValueOrDefault(keptId)
        );
        RefusedException.IfAny(
            count < 0 || count > most
                ?
                [
                    new Problem(
                        "range",
                        $"{count} of {kept.Name} is outside 0 to {Math.Max(0, most)}: so many are needed and free.",
                        Where: "count",
                        "Use fewer, or print new ones."
                    ),
                ]
                : []
        );
        return OrderDeeds.Put(connection, c, seen, deed, f =>
        {
            var rest = f.Layout.Drawer.Where(d => d.LineId != line.Asked.Id || d.Key != key).ToList();
            List<FromDrawer> all = count > 0 ? [.. rest, new(line.Asked.Id, key, keptId, count, kept.ProductId)] : rest;
            return f with { Layout = f.Layout with { Drawer = all } };
        });
    }

    /// <summary>Cuts a colour of a print from a piece on the Shelf before the roll; an empty id puts it back.</summary>
    public static long UseRemnant(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId lineId,
        PlacementId placementId,
        int layer,
        RemnantId remnantId,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        var line = c.Line(lineId);
        CutFromVinyl(c, line);
        var print = line.Asked.Placements.FirstOrDefault(p => p.Id == placementId)
            ?? throw RefusedException.NoSuch("print", placementId);
        RefusedException.IfAny(OfOneSize(print, layer, line.Asked));
        var piece = remnantId.IsNone ? null : Free(connection, id, remnantId);
        return OrderDeeds.Put(connection, c, seen, deed, f =>
        {
            // a piece is cut once, and a colour from one piece
            var rest = f
                .Layout.Remnants.Where(r =>
                    (r.LineId != line.Asked.Id || r.PlacementId != placementId || r.Layer != layer)
                    && r.RemnantId != remnantId
                )
                .ToList();
            List<FromRemnant> all = piece is null
                ? rest
                :
                [
                    .. rest,
                    new(line.Asked.Id, placementId, layer, piece.Id, piece.VinylId, piece.WidthIn, piece.LengthIn),
                ];
            return f with { Layout = f.Layout with { Remnants = all } };
        });
    }

    private static void CutFromVinyl(OrderCase c, LineCase line)
    {
        if (c.Standing.Station >= Station.Gather)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"The quote of {c.Order.Code} is sent: what is bought stands.",
                remedy: "Withdraw the quote first."
            );
        }
        if (!DecorationMethods.Uses(line.Decision?.MethodId, m => m.UsesPieces))
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} is not cut from vinyl.",
                remedy: "Choose vinyl under Compare first."
            );
        }
    }

    private static IEnumerable<Problem> OfOneSize(Placement print, int layer, AskLine line)
    {
        if (layer < 0 || layer >= print.Colours)
        {
            yield return new(
                "range",
                $"Colour {layer + 1} of {print.Colours} is not there.",
                Where: "layer",
                $"A colour from 0 to {print.Colours - 1}."
            );
        }
        else if (SizedPrints.Of(print, line.Sizes, line.Names).Count > 1)
        {
            yield return new(
                "by-size",
                "It is cut in several sizes: a piece would be for one of them.",
                Where: "placementId",
                "Cut it from the roll."
            );
        }
    }

    private static VinylRemnant Free(SqliteConnection connection, OrderId id, RemnantId remnantId) =>
        Views.VinylPiecesView.Free(connection, id).FirstOrDefault(r => r.Id == remnantId)
        ?? throw new RefusedException(
            409,
            "not-free",
            "That piece is gone, or another order uses it.",
            remedy: "Choose another.",
            "remnantId"
        );

    /// <summary>The layout that copies as sent make: designs the line needs, with the extra copies among them, by their
    /// outlines or as boxes.</summary>
    public static LineLayout Of(LineOnFilm l, IReadOnlyList<LaidCopy> copies, int seed, int steps, bool byOutline)
    {
        RefusedException.IfAny(Unlaid(copies));
        var laid = copies.GroupBy(c => c.Key).ToDictionary(g => g.Key, g => g.Count());
        var filling = l
            .Drawer.Select(k => k.Filling())
            .Where(d => laid.ContainsKey(d.Key))
            .Select(d => d with { Extra = laid[d.Key] });
        LaidDesign[] designs =
        [
            .. l.Prints.Select(p => p.Design with { Extra = Math.Max(0, laid.GetValueOrDefault(p.Key) - p.Count) }),
            .. filling,
            .. l.Layout.Designs.Where(d => !d.For.IsNone),
        ];
        return new(
            l.Line.Asked.Id,
            l.Film.Id,
            On: l.On.Key,
            [.. designs.Select(d => l.By(d, byOutline))],
            copies,
            seed,
            steps
        );
    }

    private static IEnumerable<Problem> Unlaid(IReadOnlyList<LaidCopy> copies)
    {
        if (copies.Count > GangNest.MostCopies)
        {
            yield return new(
                "many",
                $"{copies.Count} copies are more than the {GangNest.MostCopies} of one layout.",
                Where: "copies",
                "Lay large numbers as several layouts."
            );
        }
        else if (
            copies.Any(c => !double.IsFinite(c.X) || !double.IsFinite(c.Y) || c.Sheet is < 0 or > GangNest.MostCopies)
        )
        {
            yield return new(
                "range",
                "A copy lies at no place or sheet there is.",
                Where: "copies",
                "Send x, y and the sheet in inches and numbers."
            );
        }
    }

    // sheets that were emptied by hand are not bought
    private static IReadOnlyList<LaidCopy> Packed(IReadOnlyList<LaidCopy> copies)
    {
        var used = copies.Select(c => c.Sheet).Distinct().Order().ToList();
        return [.. copies.Select(c => c with { Sheet = used.IndexOf(c.Sheet) })];
    }
}
