using Hepno.Core.Artwork;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>Makes the views of line layouts.</summary>
internal static class LineLayouts
{
    /// <summary>A line on the film asked for, else on the one settled, else on the cheapest; by its prints' outlines or
    /// boxes as said, else as settled; by its own way, or by another that is chosen. Refused where nothing is sold for
    /// layouts or its prints do not go on it.</summary>
    public static LineOnFilm Film(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        LineId? lineId,
        ThingId? filmId,
        string? on,
        bool? byOutline = null,
        MethodId? methodId = null
    )
    {
        var book = shop.Book(connection);
        var c = shop.Case(connection, id, book);
        var line = c.Line(lineId);
        var inHand = InHand(c, line);
        var laidOn = LaidOn.Find(methodId ?? MethodOf(line), inHand, book);
        inHand = laidOn.Part;
        var settled = c.Order.Facts.LayoutOf(line.Asked.Id);
        // what was settled on is taken while the Shelf has it
        var kept =
            settled is not null
            && laidOn.Lists.FirstOrDefault(x => x.Id == settled.FilmId)?.Grounds().Any(g => g.Key == settled.On) == true
                ? settled
                : null;
        IReadOnlyList<LaidPrint> On(ThingId film) => LayoutRooms.PrintsOn(film, inHand, laidOn);
        SomethingNew(c, (filmId ?? kept?.FilmId) is { } chosen ? [chosen] : laidOn.Lists.Select(x => x.Id), On);
        var (film, ground) = Ground(
            laidOn,
            On,
            filmId ?? kept?.FilmId,
            filmId is null ? kept?.On : on ?? FilmGround.RollKey
        );
        var prints = On(film.Id);
        var holds = settled?.IsFor([.. prints.Select(p => p.Design)]) == true;
        var isHere = holds && settled!.FilmId == film.Id && settled.On == ground.Key;
        // what is settled by outline is not shown as boxes: they would lie one on another
        var shown = isHere && !(byOutline == false && settled!.IsByOutline) ? settled : null;
        var drawer = DrawerStore.All(connection).Where(k => k.ProductId == film.Id).ToList();
        var l = new LineOnFilm(
            c,
            line,
            inHand,
            film,
            ground,
            prints,
            shown ?? Laid(line.Asked.Id, film, ground, prints, GangNest.OnePass, seed: 1, null),
            shown is not null,
            settled is not null && !holds
                ? "The layout that was settled was for other prints or another number: this is a new one."
                : "",
            drawer,
            shown is null ? new Dictionary<string, (string, DesignId?)>() : OthersOn(connection, shown),
            new Dictionary<string, Design>(),
            laidOn.IsTrimmed
        );
        l = l with { Artworks = Artworks(connection, l) };
        if (byOutline == true && !l.Layout.IsByOutline && l.Layout.Designs.Any(d => l.OutlineOf(d.Key) is not null))
        {
            // boxes lie apart, so outlines do
            return l with
            {
                Layout = l.Layout with { Designs = [.. l.Layout.Designs.Select(d => l.By(d, true))] },
                IsSettled = false,
            };
        }
        // an artwork that was changed since may have another outline, a film another gap
        return l.IsSettled && Faults(l, l.Layout) is [var fault, ..]
            ? l with
            {
                Stale = $"Its artwork or its film was changed since it was settled: {fault.Sentence} Lay it again.",
            }
            : l;
    }

    private static AskInHand InHand(OrderCase c, LineCase line)
    {
        var inHand = line.Frozen is null
            ? line.InHand
            : c.Frozen!.InHand(line.Frozen) with
            {
                Drawer = c.Order.Facts.Layout.Drawer.Where(d => d.LineId == line.Asked.Id).ToList(),
            };
        return inHand
            ?? throw new RefusedException(
                409,
                "incomplete",
                $"{c.Order.Code} cannot be laid out yet: {c.Standing.Missing[0].Text}.",
                remedy: "Finish the ask first."
            );
    }

    private static void SomethingNew(
        OrderCase c,
        IEnumerable<ThingId> films,
        Func<ThingId, IReadOnlyList<LaidPrint>> printsOn
    )
    {
        if (films.Any(film => printsOn(film).Count == 0))
        {
            throw new RefusedException(
                409,
                "nothing-new",
                $"Every print of {c.Order.Code} lies in the drawer: nothing is laid out.",
                remedy: "Use fewer of the drawer's to print some new."
            );
        }
    }

    private static Dictionary<string, Design> Artworks(SqliteConnection connection, LineOnFilm l) =>
        LayoutRooms
            .Fillable(l)
            .Select(d =>
                (
                    d.Key,
                    Design: ArtworkOf(l, d.Key) is { } artwork
                        ? Aggregates.Designs.Get(connection, artwork)?.Value
                        : null
                )
            )
            .Where(x => x.Design is not null)
            .ToDictionary(x => x.Key, x => x.Design!);

    /// <summary>Lays a line's prints, and extra ones, anew.</summary>
    public static LineLayout Laid(
        LineId lineId,
        TransferPriceList film,
        FilmGround on,
        IReadOnlyList<LaidPrint> prints,
        int steps,
        int seed,
        Func<int, double, bool>? go,
        IReadOnlyList<LaidDesign>? designs = null
    )
    {
        designs ??= [.. prints.Select(p => p.Design)];
        List<GangDesign> laid = [.. designs.Select(d => d.Laid())];
        RefusedException.IfAny(GangProblems.Of(on.Ground, laid, GangNest.MostInAll));
        var found = GangNest.Lay(on.Ground, laid, seed, steps, go);
        RefusedException.IfAny(found.LeftOut);
        return new(lineId, film.Id, On: on.Key, designs, Copies(found.Placed), seed, found.Steps);
    }

    /// <summary>Copies as they are left lying, none pinned.</summary>
    public static IReadOnlyList<LaidCopy> Copies(IEnumerable<GangPlaced> placed) =>
        [.. placed.Select(p => new LaidCopy(p.DesignId, p.Sheet, p.X, p.Y, p.Turned))];

    public static LineLayoutView View(SqliteConnection connection, LineOnFilm l, ShopBook book, LocalDate today)
    {
        var f = book.Numbers.Format;
        var (found, needed) = (l.Layout.Found(l.On.Ground), l.Layout.FoundNeeded(l.On.Ground));
        var figures = LayoutFigures.Reckon(l.On, found, needed);
        List<GangDesign> ordered =
        [
            .. l.Layout.Designs.Where(d => d.Needed > 0).Select(d => d.Laid() with { Copies = d.Needed }),
        ];
        List<LayoutShare> shares =
        [
            .. (l.On.Bill(needed) is { } bill ? GangBills.Shares(ordered, bill) : []).Zip(ordered, (s, d) =>
                Share(NameOf(l, s.DesignId), s, d.Copies)
            ),
        ];
        var next = LayoutRooms.Next(l.On, figures, f);
        return new(
            l.Line.Asked.Id,
            l.Film.Id,
            On: l.On.Key,
            Text(l.Film, l.On, f),
            l.On.DrawnOn(found.Sheets),
            [.. LayoutRooms.Fillable(l).Select(d => Drawn(l, d))],
            l.Layout.Copies,
            figures,
            shares,
            Caution(l, ordered, shares, f),
            LayoutRooms.Room(l, figures, next),
            LayoutRooms.Lying(connection, l, today),
            next,
            LayoutRooms.Choices(book, l),
            l.IsSettled,
            l.Stale,
            !BoughtFilm.IsOpen(l.Case, l.Line.Asked),
            l.Case.Order.Facts.JoinedOf(l.Line.Asked.Id)?.WithCode ?? "",
            [
                .. l
                    .Layout.Designs.Where(d => !d.For.IsNone)
                    .Select(d => d.For)
                    .Distinct()
                    .Select(o => FilmOffers.CodeOf(connection, o)),
            ],
            FilmOffers.Offers(connection, l),
            l.On.Roll is { IsOwn: true },
            l.Layout.IsByOutline,
            l.Layout.Designs.Any(d => l.OutlineOf(d.Key) is not null),
            Cutting(l, l.Layout, book)
        );
    }

    /// <summary>What a layout comes to and what is wrong with it.</summary>
    public static TriedLayout Tried(LineOnFilm l, LineLayout layout, ShopBook book)
    {
        var figures = LayoutFigures.Reckon(l.On, layout.Found(l.On.Ground), layout.FoundNeeded(l.On.Ground));
        var (more, cutting) = (
            figures.Cost?.Value - l.On.Bill(l.Layout.Found(l.On.Ground))?.Cost.Value,
            Cutting(l, layout, book)
        );
        return new(
            layout.Copies,
            figures,
            Faults(l, layout),
            more,
            cutting,
            more + (cutting?.Value ?? 0) - (Cutting(l, l.Layout, book)?.Value ?? 0)
        );
    }

    /// <summary>What is wrong with a layout, its designs called by their names.</summary>
    public static IReadOnlyList<Problem> Faults(LineOnFilm l, LineLayout layout) =>
        [
            .. GangCheck.Faults(
                l.On.Ground,
                [.. layout.Designs.Select(d => d.Laid())],
                layout.Placed(),
                key => NameOf(l, key),
                l.Shapes(layout.Designs)
            ),
        ];

    private static Figure? Cutting(LineOnFilm l, LineLayout layout, ShopBook book) =>
        l.IsTrimmed
            ? null
            : CutRound.Reckon(
                layout,
                l.On.Ground.GapIn,
                book.Numbers.Floor.Standards(),
                book.Numbers.Rates.Wage,
                book.Numbers.Rates.OverheadPerHour,
                key => NameOf(l, key)
            );

    public static string Text(TransferPriceList film, FilmGround on, FigureFormat f) =>
        $"{film.Supplier} {film.Product.ToLowerInvariant()}, "
        + $"{(on is { Roll: null, Ground.LengthIn: { } length } ? $"sheets {Shown.Size(on.Ground.WidthIn, length, f)}" : Shown.Length(on.Ground.WidthIn, f))}";

    /// <summary>A design's name: its place, and its sizes where it is not the same on all.</summary>
    public static string NameOf(LineOnFilm l, string key) =>
        l.Prints.FirstOrDefault(p => p.Key == key) is not { } print
            ? l.Kept(key)?.Name ?? (l.Others.TryGetValue(key, out var other) ? other.Name : key)
            : print.Print.Print.At().Name
                + (
                    new PlacementId(key) == print.Print.Print.Id
                        ? ""
                        : $" {string.Join(", ", print.Print.Sizes.Select(s => s.Size))}"
                );

    /// <summary>A design's artwork, or null.</summary>
    public static DesignId? ArtworkOf(LineOnFilm l, string key) =>
        l.Prints.FirstOrDefault(p => p.Key == key)?.Print.Print.DesignId
        ?? l.Kept(key)?.DesignId
        ?? (l.Others.TryGetValue(key, out var other) ? other.DesignId : null);

    // a key of another order begins with its id; what follows begins with its placement's
    private static Dictionary<string, (string Name, DesignId? DesignId)> OthersOn(
        SqliteConnection connection,
        LineLayout layout
    )
    {
        var names = new Dictionary<string, (string, DesignId?)>();
        foreach (var d in layout.Designs.Where(d => !d.For.IsNone))
        {
            var order = Aggregates.Orders.Get(connection, d.For)?.Value;
            var key = d.Key[(d.For.Text.Length + 1)..];
            var placement = order
                ?.Ask.Lines.SelectMany(l => l.Placements)
                .FirstOrDefault(p =>
                    new PlacementId(key) == p.Id || key.StartsWith($"{p.Id} ", StringComparison.Ordinal)
                );
            names[d.Key] = (
                $"{order?.Code} {(placement is null ? "print" : placement.At().Name.ToLowerInvariant())}",
                placement?.DesignId
            );
        }
        return names;
    }

    /// <summary>A line's method: as quoted, else as chosen.</summary>
    public static MethodId? MethodOf(LineCase line) => line.Frozen?.Band.MethodId ?? line.Decision?.MethodId;

    private static (TransferPriceList Film, FilmGround On) Ground(
        LaidOn laidOn,
        Func<ThingId, IReadOnlyList<LaidPrint>> prints,
        ThingId? filmId,
        string? on
    )
    {
        if (filmId is { } chosen)
        {
            var film = laidOn.Lists.FirstOrDefault(x => x.Id == chosen)
                ?? throw RefusedException.NoSuch("film", chosen);
            return (
                film,
                film.Grounds().FirstOrDefault(g => g.Key == on)
                    ?? throw RefusedException.NoSuch("roll or sheet", id: on ?? "")
            );
        }
        var all = laidOn.Lists.SelectMany(x => x.Grounds().Select(g => (Film: x, On: g))).ToList();
        return all.Select(x => (x.Film, x.On, Laid: LaidFilm.Of(prints(x.Film.Id), x.On, null)))
            .Where(x => x.Laid is not null)
            .OrderBy(x => x.Laid!.Bill.Cost.Value)
            .Select(x => (x.Film, x.On))
            .Cast<(TransferPriceList, FilmGround)?>()
            .FirstOrDefault()
            ?? throw new RefusedException(
                409,
                "no-ground",
                all.Count == 0
                    ? "No film is sold for layouts: no price list on the Shelf has a roll or a sheet."
                    : "Its prints go on no roll or sheet of the Shelf.",
                remedy: all.Count == 0
                    ? "Add the roll or the sheets to the film's price list on the Shelf."
                    : "Make them smaller, or add a wider roll on the Shelf."
            );
    }

    private static LayoutShare Share(string name, GangShare share, int copies) =>
        new(
            share.DesignId,
            name,
            share.ByArea with
            {
                Label = $"{name}, by area",
            },
            share.ByArea.Value * copies,
            share.Equally with
            {
                Label = $"{name}, equally",
            },
            share.Equally.Value * copies
        );

    // an equal share makes a small print dear and a large one cheap
    private static string Caution(LineOnFilm l, List<GangDesign> designs, List<LayoutShare> shares, FigureFormat f)
    {
        const double Third = 1.0 / 3;
        var small = designs.MinBy(d => d.AreaIn2);
        return small is null || shares.Count == 0 || small.AreaIn2 >= designs.Max(d => d.AreaIn2) * Third
            ? ""
            : $"Never price {NameOf(l, small.Id).ToLowerInvariant()} alone from equal shares: "
                + $"{Shown.Money(shares.First(s => s.Key == small.Id).Equally.Value, f)} for "
                + $"{Shown.Size(small.WidthIn, small.HeightIn, f)}.";
    }

    private static LaidDesignView Drawn(LineOnFilm l, LaidDesign d)
    {
        var design = l.Artworks.GetValueOrDefault(d.Key);
        return new(
            d.Key,
            NameOf(l, d.Key),
            design?.Id,
            design?.Hash ?? "",
            d.WidthIn,
            d.HeightIn,
            d.Needed,
            d.Extra,
            d.MayTurn,
            l.Prints.FirstOrDefault(p => p.Key == d.Key)?.Why ?? "",
            l.OutlineOf(d.Key)
        );
    }
}
