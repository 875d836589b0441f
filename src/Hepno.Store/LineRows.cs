using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The lines of orders with all that is asked of them; a line's decision stands in its row.</summary>
internal sealed class LineRows
{
    private static readonly OrderTable<OfLine<SizeCount>> Sizes = new(
        "order_size",
        r => new(r.Id<LineId>("line_id"), new(r.Text("size"), r.Int("pieces"))),
        x => [("line_id", x.LineId), ("size", x.Value.Size), ("pieces", x.Value.Pieces)]
    );

    private static readonly OrderTable<OfLine<OwnPiece>> Names = new(
        "order_own",
        r => new(r.Id<LineId>("line_id"), new(r.Text("size"), Name: r.Text("name"), r.Text("number"))),
        x => [("line_id", x.LineId), ("size", x.Value.Size), ("name", x.Value.Name), ("number", x.Value.Number)]
    );

    private static readonly OrderTable<OfLine<(PlacementId PlacementId, ColourCut Cut)>> Cuts = new(
        "placement_cut",
        r =>
            new(
                r.Id<LineId>("line_id"),
                (
                    r.Id<PlacementId>("placement_id"),
                    new(
                        r.Text("hex"),
                        r.Real("width_share"),
                        HeightShare: r.Real("height_share"),
                        r.Real("paint_share")
                    )
                )
            ),
        x =>
            [
                ("line_id", x.LineId),
                ("placement_id", x.Value.PlacementId),
                ("hex", x.Value.Cut.Hex),
                ("width_share", x.Value.Cut.WidthShare),
                ("height_share", x.Value.Cut.HeightShare),
                ("paint_share", x.Value.Cut.PaintShare),
            ]
    );

    // without the cuts, which have rows of their own
    private static readonly OrderTable<OfLine<Placement>> Placements = new(
        "placement",
        r =>
            new(
                r.Id<LineId>("line_id"),
                new(
                    r.Id<PlacementId>("id"),
                    r.Text("place"),
                    r.Real("width_in"),
                    r.Real("height_in"),
                    CoveragePercent: r.Real("coverage_percent"),
                    r.Int("colours"),
                    r.Flag("gradient"),
                    r.Real("thinnest_line_pt")
                )
                {
                    DesignId = r.IdOrNull<DesignId>("design_id"),
                    BySize = r.Flag("by_size"),
                    Own = r.Word<OwnText>("own"),
                    Stitches = r.IntOrNull("stitches"),
                    OnTopOf = r.IdOrNull<PlacementId>("on_top_of"),
                    Finish = r.Word<VinylFinish>("finish"),
                }
            ),
        x =>
            [
                ("line_id", x.LineId),
                ("id", x.Value.Id),
                ("place", x.Value.Place),
                ("width_in", x.Value.WidthIn),
                ("height_in", x.Value.HeightIn),
                ("coverage_percent", x.Value.CoveragePercent),
                ("colours", x.Value.Colours),
                ("gradient", x.Value.Gradient),
                ("thinnest_line_pt", x.Value.ThinnestLinePt),
                ("design_id", x.Value.DesignId),
                ("by_size", x.Value.BySize),
                ("own", x.Value.Own),
                ("stitches", x.Value.Stitches),
                ("on_top_of", x.Value.OnTopOf),
                ("finish", x.Value.Finish),
            ]
    );

    // without what hangs on the line in rows of its own
    private static readonly OrderTable<(AskLine Line, Decision? Decision)> Lines = new(
        "order_line",
        r =>
            (
                new(
                    r.Id<LineId>("id"),
                    r.IdOrNull<StyleId>("style_id"),
                    r.IdOrNull<ColourwayId>("colourway_id"),
                    [],
                    []
                )
                {
                    Mark = r.MoneyOrNull("mark_micros"),
                    Given = r.Int("given"),
                    Theirs = r.Flag("theirs"),
                    DueDate = r.DayOrNull("due_date"),
                },
                r.TextOrNull("decision_method") is { } method
                    ? new(
                        r.Id<LineId>("id"),
                        new MethodId(method),
                        r.Utc("decision_at"),
                        r.MoneyOrNull("decision_price_micros"),
                        r.Text("decision_why")
                    )
                    : null
            ),
        x =>
            [
                ("id", x.Line.Id),
                ("style_id", x.Line.StyleId),
                ("colourway_id", x.Line.ColourwayId),
                ("mark_micros", x.Line.Mark),
                ("given", x.Line.Given),
                ("theirs", x.Line.Theirs),
                ("due_date", x.Line.DueDate),
                ("decision_method", x.Decision?.MethodId),
                ("decision_at", x.Decision?.At),
                ("decision_price_micros", x.Decision?.TypedPrice),
                ("decision_why", x.Decision?.Why ?? ""),
            ]
    );

    private readonly ILookup<OrderId, (AskLine Line, Decision? Decision)> lines;
    private readonly ILookup<(OrderId, LineId), OfLine<SizeCount>> sizes;
    private readonly ILookup<(OrderId, LineId), OfLine<OwnPiece>> names;
    private readonly ILookup<(OrderId, LineId), OfLine<Placement>> placements;
    private readonly ILookup<(OrderId, LineId, PlacementId), OfLine<(PlacementId PlacementId, ColourCut Cut)>> cuts;
    private readonly PlaceBook places;

    /// <summary>Reads them.</summary>
    public LineRows(OrderRows rows)
    {
        static (OrderId, LineId) Line(Rows.Row r) => (r.Id<OrderId>("order_id"), r.Id<LineId>("line_id"));
        lines = rows.Of(Lines);
        sizes = rows.By(Sizes, Line);
        names = rows.By(Names, Line);
        placements = rows.By(Placements, Line);
        cuts = rows.By(Cuts, r =>
            (r.Id<OrderId>("order_id"), r.Id<LineId>("line_id"), r.Id<PlacementId>("placement_id"))
        );
        places = PlaceStore.Book(rows.Connection);
    }

    /// <summary>An order's lines.</summary>
    public IReadOnlyList<AskLine> Of(OrderId orderId) => [.. lines[orderId].Select(l => Whole(orderId, l.Line))];

    /// <summary>What was decided for an order's lines.</summary>
    public IReadOnlyList<Decision> DecisionsOf(OrderId orderId) =>
        [.. lines[orderId].Select(l => l.Decision).OfType<Decision>()];

    /// <summary>Replaces an order's lines.</summary>
    public static void Write(SqliteConnection connection, Order o)
    {
        var lines = o.Ask.Lines;
        Lines.Write(connection, o.Id, [.. lines.Select(l => (l, o.Facts.DecisionOf(l.Id)))]);
        Sizes.Write(connection, o.Id, OfLines(lines, l => l.Sizes));
        Placements.Write(connection, o.Id, OfLines(lines, l => l.Placements));
        Cuts.Write(
            connection,
            o.Id,
            OfLines(lines, l => l.Placements.SelectMany(p => (p.Cuts?.Colours ?? []).Select(c => (p.Id, c))))
        );
        Names.Write(connection, o.Id, OfLines(lines, l => l.Names));
    }

    private static List<OfLine<T>> OfLines<T>(IReadOnlyList<AskLine> lines, Func<AskLine, IEnumerable<T>> of) =>
        [.. lines.SelectMany(l => of(l).Select(value => new OfLine<T>(l.Id, value)))];

    private AskLine Whole(OrderId orderId, AskLine line)
    {
        var own = names[(orderId, line.Id)].Select(n => n.Value).ToList();
        return line with
        {
            Sizes = [.. sizes[(orderId, line.Id)].Select(s => s.Value)],
            Placements = [.. placements[(orderId, line.Id)].Select(p => Whole(orderId, line.Id, p.Value))],
            Names = own,
        };
    }

    private Placement Whole(OrderId orderId, LineId lineId, Placement placement)
    {
        var colours = cuts[(orderId, lineId, placement.Id)].Select(c => c.Value.Cut).ToList();
        return placement with
        {
            Cuts = colours.Count > 0 ? new(colours) : null,
            ShopPlace = places.Carried(placement.Place),
        };
    }

    /// <summary>A value that hangs on a line.</summary>
    private sealed record OfLine<T>(LineId LineId, T Value);
}
