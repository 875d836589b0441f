using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using Hepno.Store;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>What a layout has room for, what lies in the drawer for it, and which rolls and sheets it may go on.</summary>
internal static class LayoutRooms
{
    // rooms are counted for the owner's eye: more than this is "plenty"
    private const int MostRoom = 200;
    private const double Rounding = 1e-6;

    public static LayoutStep? Next(FilmGround on, LayoutFigures now, FigureFormat f) =>
        now.Cost is not { } cost || FilmStep.After(on, now.BilledIn, now.Bought, f) is not { } next
            ? null
            : new(
                next.Cost.Label,
                next.LengthIn,
                Figure.Of("more", "More than now", next.Cost.Value - cost.Value, "next − now", next.Cost, cost)
            );

    // what lies on it, and what the shop keeps on hand and has too few of
    public static IEnumerable<LaidDesign> Fillable(LineOnFilm l) =>
        l.Layout.Designs.Concat(
            l.Drawer.Where(k => k.Wanted() > 0 && l.Layout.Designs.All(d => d.Key != KeptPrint.KeyOf(k.Id)))
                .Select(k => k.Filling())
        );

    public static IReadOnlyList<LayoutRoom> Room(LineOnFilm l, LayoutFigures now, LayoutStep? next)
    {
        var (placed, sheets, length) = (l.Layout.Placed(), Math.Max(1, now.Bought), l.On.DrawnOn(now.Sheets).LengthIn);
        // what fills is laid by its outline too
        var shapes = l.Shapes(Fillable(l).Select(d => l.By(d, l.Layout.IsByOutline)));
        return
        [
            .. Fillable(l)
                .Select(d =>
                {
                    var mine = l.Kept(d.Key);
                    // what goes before the next step is laid first: it is what goes into this one
                    var all = GangRoom.Fill(
                        l.On.Ground,
                        placed,
                        d.Laid(),
                        sheets + (next is not null && l.On.Roll is null ? 1 : 0),
                        length ?? next?.BilledIn ?? now.BilledIn,
                        MostRoom,
                        shapes
                    );
                    var free = all.Count(p =>
                        p.Sheet < sheets
                        && p.Y + p.HeightIn + l.On.Ground.MarginIn <= (length ?? now.BilledIn) + Rounding
                    );
                    return new LayoutRoom(
                        d.Key,
                        LineLayouts.NameOf(l, d.Key),
                        free,
                        all.Count,
                        mine?.Wanted(),
                        mine?.OnHand() ?? 0,
                        mine is null ? free : Math.Min(free, mine.Wanted())
                    );
                }),
        ];
    }

    // what lies there of the line's own designs, what other orders have spoken for off
    public static IReadOnlyList<LyingPrints> Lying(SqliteConnection connection, LineOnFilm l, LocalDate today)
    {
        var spoken = DrawerStore.SpokenFor(connection, l.Case.Order.Id, l.Line.Asked.Id);
        return
        [
            .. l
                .Prints.SelectMany(p =>
                    l.Drawer.Where(k =>
                            k.Is(p.Print.Print.DesignId, p.Print.Print.WidthIn, p.Print.Print.HeightIn, l.Film.Id)
                        )
                        .Select(k =>
                        {
                            var free = Math.Max(0, k.OnHand() - spoken.GetValueOrDefault(k.Id));
                            return new LyingPrints(
                                k.Id,
                                p.Key,
                                k.Name,
                                free,
                                Used: p.Lying,
                                Math.Min(free, p.Count + p.Lying),
                                k.Oldest(),
                                k.IsOld(today)
                            );
                        })
                )
                .Where(x => x.Count > 0),
        ];
    }

    // transfers of the drawer are used on their own film alone, so each film has its own number of new prints
    public static List<LayoutChoice> Choices(ShopBook book, LineOnFilm l)
    {
        var laidOn = LaidOn.Find(LineLayouts.MethodOf(l.Line), l.InHand, book);
        return
        [
            .. laidOn
                .Lists.SelectMany(film =>
                    film.Grounds()
                        .Select(g =>
                            Choice(
                                film,
                                g,
                                LaidFilm.Of(PrintsOn(film.Id, l.InHand, laidOn), g, null)?.Bill.Cost,
                                book.Numbers.Format
                            )
                        )
                )
                .OrderBy(x => x.Cost?.Value ?? decimal.MaxValue),
        ];
    }

    /// <summary>What a line needs of a film.</summary>
    public static IReadOnlyList<LaidPrint> PrintsOn(ThingId filmId, AskInHand inHand, LaidOn on) =>
        [.. LaidPrint.All(inHand, on.Spares, filmId).Where(p => p.Count > 0)];

    private static LayoutChoice Choice(TransferPriceList film, FilmGround on, Figure? cost, FigureFormat f) =>
        new(
            film.Id,
            On: on.Key,
            LineLayouts.Text(film, on, f),
            cost,
            cost is null ? "a print does not go on it, or there are more than one layout holds" : ""
        );
}
