using Hepno.Core.Gang;
using Hepno.Web.Background;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>A copy where it lies, in inches.</summary>
internal sealed record LaidCopyBody(string Key, int Sheet, double X, double Y, bool Turned, bool Pinned = false)
{
    public LaidCopy ToCore() => new(Key, Sheet, X, Y, Turned, Pinned);
}

/// <summary>A layout to be settled: every copy the line needs, extra ones among them; by outline where prints may lie
/// in one another's empty corners.</summary>
internal sealed record SettleBody(
    ThingId FilmId,
    string On,
    IReadOnlyList<LaidCopyBody> Copies,
    int Seed = 0,
    int Steps = 0,
    bool ByOutline = false
);

/// <summary>A layout tried, or one copy of it moved by hand; nothing is kept.</summary>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet.</param>
/// <param name="Copies">Where every copy lies.</param>
/// <param name="Moved">Which copy the hand holds, from 0; null for none.</param>
/// <param name="ReachIn">It is pulled to edges and neighbours from no farther, in; 0 for not at all.</param>
/// <param name="ByOutline">True when prints may lie in one another's empty corners.</param>
internal sealed record TryBody(
    ThingId FilmId,
    string On,
    IReadOnlyList<LaidCopyBody> Copies,
    int? Moved = null,
    double ReachIn = 0.3,
    bool ByOutline = false
);

/// <summary>More copies of a design into the room there is.</summary>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet.</param>
/// <param name="Copies">Where every copy lies.</param>
/// <param name="Key">Which design.</param>
/// <param name="Most">At most so many.</param>
/// <param name="NextStep">True to fill the next step or sheet too.</param>
/// <param name="ByOutline">True when prints may lie in one another's empty corners.</param>
internal sealed record FillBody(
    ThingId FilmId,
    string On,
    IReadOnlyList<LaidCopyBody> Copies,
    string Key,
    int Most = 200,
    bool NextStep = false,
    bool ByOutline = false
);

/// <summary>Another order's line whose film is bought with this one's.</summary>
internal sealed record JoinBody(OrderId OrderId, LineId LineId);

/// <summary>Transfers of the drawer for a print.</summary>
internal sealed record DrawerBody(string Key, KeptPrintId KeptId, int Count);

/// <summary>A piece of vinyl on the Shelf for one colour of a print, from 0; an empty id puts it back.</summary>
internal sealed record RemnantUseBody(PlacementId PlacementId, int Layer, RemnantId RemnantId);

/// <summary>A search; pinned copies stay where they are, the rest is laid anew.</summary>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet.</param>
/// <param name="Copies">The layout it begins from.</param>
/// <param name="Seed">Where chance begins.</param>
/// <param name="Seconds">About so long on one core of the machine the steps were measured on: counted in steps, the
/// same seed and steps give the same layout.</param>
/// <param name="ByOutline">True when prints may lie in one another's empty corners.</param>
internal sealed record SearchBody(
    ThingId FilmId,
    string On,
    IReadOnlyList<LaidCopyBody> Copies,
    int Seed = 1,
    double Seconds = 2,
    bool ByOutline = false
);

/// <summary>Layouts of a line's prints on a roll or sheets.</summary>
internal static class LineLayoutEndpoints
{
    private const double LongestSeconds = 60;
    private const double FarthestReachIn = 4;

    public static void MapLineLayouts(this IEndpointRouteBuilder api)
    {
        var lines = api.MapGroup("/orders/{id}/lines/{line}/layout").WithTags("layouts");
        lines.MapGet("", Get).WithName("lineLayout");
        lines.MapPut("", Settle).WithName("settleLayout");
        lines.MapDelete("", Forget).WithName("forgetLayout");
        lines.MapPost("try", Try).WithName("tryLayout");
        lines.MapPost("fill", Fill).WithName("fillLayout");
        lines.MapPost("join", Join).WithName("joinLayout");
        lines.MapPost("part", Part).WithName("partLayout");
        lines.MapPost("drawer", Drawer).WithName("useFromDrawer");
        lines.MapPost("remnant", Remnant).WithName("useRemnant");
        lines.MapPost("search", Search).WithName("searchLayout");
        var searches = api.MapGroup("/layout-searches").WithTags("layouts");
        searches
            .MapGet("{id}", (string id, LayoutSearches all) => all.Look(id))
            .WithName("layoutSearch")
            .WithSummary("How far a search has come; what it found once it is done.");
        searches
            .MapPost("{id}/stop", (string id, LayoutSearches all) => all.Stop(id))
            .WithName("stopLayoutSearch")
            .WithSummary("Stops a search; the best it found is its result.");
    }

    /// <summary>The layout of a line: as settled, else by the usual orders; on the film asked for, else on the
    /// cheapest; by its prints' own outlines or their boxes, as settled when not said.</summary>
    internal static LineLayoutView Get(
        OrderId id,
        LineId line,
        OpenShop shop,
        ThingId? filmId,
        string? on,
        bool? byOutline
    ) =>
        shop.Db.Read(c =>
            LineLayouts.View(
                c,
                LineLayouts.Film(c, shop, id, line, filmId, on, byOutline),
                shop.Book(c),
                shop.Clock.Today(OpenShop.Numbers(c).Identity.TimeZone)
            )
        );

    /// <summary>Settles a layout for the line; the whole of it is looked over first.</summary>
    internal static Written Settle(OrderId id, LineId line, SettleBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c =>
        {
            var l = LineLayouts.Film(c, shop, id, line, body.FilmId, body.On);
            return new Written(
                id.Text,
                LayoutDeeds.Settle(
                    c,
                    l,
                    LayoutDeeds.Of(l, Core(body.Copies), body.Seed, body.Steps, body.ByOutline),
                    shop.Book(c),
                    seen,
                    request.Deed(shop.Clock, "layout settled")
                )
            );
        });
    }

    /// <summary>Forgets the line's layout: the usual orders are reckoned with again.</summary>
    internal static Written Forget(OrderId id, LineId line, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id.Text,
            LayoutDeeds.Forget(
                c,
                LineLayouts.Film(c, shop, id, line, null, on: null),
                seen,
                request.Deed(shop.Clock, "layout forgotten")
            )
        ));
    }

    /// <summary>Tries a layout: where a moved copy snaps to, what it comes to, what is wrong with it.</summary>
    internal static TriedLayout Try(OrderId id, LineId line, TryBody body, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var l = LineLayouts.Film(c, shop, id, line, body.FilmId, body.On);
            var layout = LayoutDeeds.Of(l, Core(body.Copies), 0, steps: 0, body.ByOutline);
            if (body.Moved is { } moved)
            {
                RefusedException.IfAny(
                    moved < 0 || moved >= layout.Copies.Count || body.ReachIn is not (>= 0 and <= FarthestReachIn)
                        ?
                        [
                            new Core.Measures.Problem(
                                "range",
                                $"Copy {moved} of {layout.Copies.Count}, or a reach of {body.ReachIn:0.##} in, "
                                    + "is not there.",
                                Where: "moved",
                                $"A copy from 0 on, a reach of 0 to {FarthestReachIn:0} in."
                            ),
                        ]
                        : []
                );
                var placed = layout.Placed();
                var shapes = l.Shapes(layout.Designs) ?? GangShapes.Boxes;
                var at = GangSnap.To(
                    l.On.Ground,
                    [.. placed.Where((_, i) => i != moved).SelectMany(shapes.Parts)],
                    placed[moved],
                    body.ReachIn
                );
                layout = layout with
                {
                    Copies = [.. layout.Copies.Select((x, i) => i == moved ? x with { X = at.X, Y = at.Y } : x)],
                };
            }
            return LineLayouts.Tried(l, layout, shop.Book(c));
        });

    /// <summary>Lays more copies of a design into the room that is paid for, or into the next step; nothing that lies
    /// is moved and nothing is kept.</summary>
    internal static TriedLayout Fill(OrderId id, LineId line, FillBody body, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var l = LineLayouts.Film(c, shop, id, line, body.FilmId, body.On);
            var kept = l.Kept(body.Key);
            var design = l.Prints.FirstOrDefault(p => p.Key == body.Key)?.Design
                ?? kept?.Filling()
                ?? throw RefusedException.NoSuch("design", id: body.Key);
            var (layout, book) = (LayoutDeeds.Of(l, Core(body.Copies), 0, steps: 0, body.ByOutline), shop.Book(c));
            var (sheets, length) = LineSearch.Filled(l.On, layout, body.NextStep, book.Numbers.Format);
            var shapes = l.Shapes([.. layout.Designs.Where(d => d.Key != body.Key), l.By(design, body.ByOutline)]);
            var more = GangRoom.Fill(
                l.On.Ground,
                layout.Placed(),
                design.Laid(),
                sheets,
                length,
                Math.Clamp(
                    kept is null ? body.Most : Math.Min(body.Most, kept.Wanted()),
                    0,
                    GangNest.MostCopies - layout.Copies.Count
                ),
                shapes
            );
            return LineLayouts.Tried(
                l,
                LayoutDeeds.Of(l, [.. layout.Copies, .. LineLayouts.Copies(more)], 0, steps: 0, body.ByOutline),
                book
            );
        });

    /// <summary>Buys the line's film as one with another order's, on this line's layout; both must wait for
    /// it.</summary>
    internal static Written Join(OrderId id, LineId line, JoinBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id.Text,
            FilmTogether.Join(
                c,
                shop,
                id,
                line,
                body.OrderId,
                body.LineId,
                seen,
                request.Deed(shop.Clock, "film bought together")
            )
        ));
    }

    /// <summary>Buys the film of the line and of those on its layout apart again.</summary>
    internal static Written Part(OrderId id, LineId line, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id.Text,
            FilmTogether.Part(c, shop, id, line, seen, request.Deed(shop.Clock, "film bought apart"))
        ));
    }

    /// <summary>Uses transfers of the drawer for a print of the line, or fewer, or none: so many fewer are printed
    /// new.</summary>
    internal static Written Drawer(OrderId id, LineId line, DrawerBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id.Text,
            LayoutDeeds.UseFromDrawer(
                c,
                shop,
                id,
                line,
                body.Key,
                body.KeptId,
                body.Count,
                seen,
                request.Deed(shop.Clock, "from the drawer")
            )
        ));
    }

    /// <summary>Cuts a colour of the line's print from a piece of vinyl on the Shelf before the roll, or puts the piece
    /// back.</summary>
    internal static Written Remnant(OrderId id, LineId line, RemnantUseBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id.Text,
            LayoutDeeds.UseRemnant(
                c,
                shop,
                id,
                line,
                body.PlacementId,
                body.Layer,
                body.RemnantId,
                seen,
                request.Deed(shop.Clock, "from a piece")
            )
        ));
    }

    /// <summary>Begins a search for a better layout; it is looked at and stopped by its id. What it finds is kept only
    /// by settling it.</summary>
    internal static LayoutSearchView Search(
        OrderId id,
        LineId line,
        SearchBody body,
        OpenShop shop,
        LayoutSearches searches
    )
    {
        RefusedException.IfAny(
            body.Seconds is not (> 0 and <= LongestSeconds)
                ?
                [
                    new Core.Measures.Problem(
                        "range",
                        $"A search of {body.Seconds:0.##} seconds is outside 0 to {LongestSeconds:0}.",
                        Where: "seconds",
                        "Two seconds are usual; search again with another seed."
                    ),
                ]
                : []
        );
        var (l, book) = shop.Db.Read(c => (LineLayouts.Film(c, shop, id, line, body.FilmId, body.On), shop.Book(c)));
        var layout = LayoutDeeds.Of(l, Core(body.Copies), 0, steps: 0, body.ByOutline);
        var steps = (int)Math.Min(int.MaxValue / 2, GangNest.UsualSteps(layout.Copies.Count) * body.Seconds / 2);
        return searches.Begin(
            steps,
            TimeSpan.FromSeconds(body.Seconds),
            go => LineSearch.Searched(l, layout, body.Seed, steps, go),
            found => LineLayouts.Tried(l, found, book),
            LineLayouts.Tried(l, layout, book).Figures.Length()
        );
    }

    private static IReadOnlyList<LaidCopy> Core(IReadOnlyList<LaidCopyBody> copies) =>
        [.. copies.Select(c => c.ToCore())];
}
