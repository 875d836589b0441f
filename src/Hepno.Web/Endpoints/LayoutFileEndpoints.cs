using System.Text;
using Hepno.Core.Measures;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>A layout made elsewhere: the text of an SVG or a table; by outline where prints may lie in one another's
/// empty corners.</summary>
internal sealed record BroughtLayoutBody(ThingId FilmId, string On, string Text, bool ByOutline = false);

/// <summary>Layouts as files, out and in.</summary>
internal static class LayoutFileEndpoints
{
    public static void MapLayoutFiles(this IEndpointRouteBuilder api)
    {
        var lines = api.MapGroup("/orders/{id}/lines/{line}/layout").WithTags("layouts");
        lines.MapGet("layout.pdf", Pdf).WithName("layoutPdf").Produces(200, contentType: "application/pdf");
        lines.MapGet("layout.svg", Svg).WithName("layoutSvg").Produces(200, contentType: "image/svg+xml");
        lines.MapGet("layout.png", Png).WithName("layoutPng").Produces(200, contentType: "image/png");
        lines.MapGet("layout.csv", Csv).WithName("layoutCsv").Produces(200, contentType: "text/csv");
        lines.MapGet("order-text", OrderText).WithName("layoutOrderText");
        lines.MapPost("bring", Bring).WithName("bringLayout");
    }

    /// <summary>The layout at true size, a page for each sheet, with names and cut marks.</summary>
    internal static FileContentHttpResult Pdf(
        OrderId id,
        LineId line,
        OpenShop shop,
        ThingId? filmId,
        string? on,
        bool? byOutline
    )
    {
        var (l, f) = Read(shop, id, line, filmId, on, byOutline);
        return TypedResults.File(
            LayoutPdf.Print([.. Enumerable.Range(0, Sheets(l)).Select(i => Sheet(l, i))], Pictures(shop, l)),
            "application/pdf",
            $"{FileName(l, f)}.pdf"
        );
    }

    /// <summary>One sheet of the layout, or the roll, as a drawing at true size.</summary>
    internal static FileContentHttpResult Svg(
        OrderId id,
        LineId line,
        OpenShop shop,
        ThingId? filmId,
        string? on,
        int? sheet,
        bool? byOutline
    )
    {
        var (l, f) = Read(shop, id, line, filmId, on, byOutline);
        return TypedResults.File(
            LayoutSvg.Write(Sheet(l, Known(l, sheet)), Pictures(shop, l)),
            "image/svg+xml",
            $"{FileName(l, f)}.svg"
        );
    }

    /// <summary>One sheet of the layout, or the roll, as it is printed: 300 pixels an inch, written band by
    /// band.</summary>
    internal static IResult Png(
        OrderId id,
        LineId line,
        OpenShop shop,
        HttpContext context,
        ThingId? filmId,
        string? on,
        int? sheet,
        bool? byOutline
    )
    {
        var (l, f) = Read(shop, id, line, filmId, on, byOutline);
        var (drawn, pictures) = (Sheet(l, Known(l, sheet)), Pictures(shop, l));
        RefusedException.IfAny([
            .. drawn
                .Copies.DistinctBy(c => c.Key)
                .Where(c => pictures[c.Key] is null)
                .Select(c => new Problem(
                    "no-picture",
                    $"{c.Name} has no picture: the PNG is what is printed.",
                    Where: "placements",
                    "Drop its artwork on it under Ask, or take the PDF."
                )),
        ]);
        // pixels go out as they are packed: nothing of the picture is kept
        context.Features.Get<IHttpBodyControlFeature>()!.AllowSynchronousIO = true;
        return Results.Stream(
            to =>
            {
                LayoutPng.Write(to, drawn, pictures, context.RequestAborted);
                return Task.CompletedTask;
            },
            "image/png",
            $"{FileName(l, f)}.png"
        );
    }

    /// <summary>Every copy of the layout, a row each, in inches.</summary>
    internal static FileContentHttpResult Csv(
        OrderId id,
        LineId line,
        OpenShop shop,
        ThingId? filmId,
        string? on,
        bool? byOutline
    )
    {
        var (l, f) = Read(shop, id, line, filmId, on, byOutline);
        return TypedResults.File(
            Encoding.UTF8.GetBytes(LayoutTable.Write([.. Enumerable.Range(0, Sheets(l)).Select(i => Sheet(l, i))])),
            "text/csv",
            $"{FileName(l, f)}.csv"
        );
    }

    /// <summary>What to write to the supplier.</summary>
    internal static string OrderText(
        OrderId id,
        LineId line,
        OpenShop shop,
        ThingId? filmId,
        string? on,
        bool? byOutline
    ) =>
        shop.Db.Read(c =>
        {
            var l = LineLayouts.Film(c, shop, id, line, filmId, on, byOutline);
            if (l.On.Roll is { IsOwn: true })
            {
                throw new RefusedException(
                    409,
                    "own-film",
                    $"The film of {l.Film.Supplier} lies here: nothing of {l.Case.Order.Code} is ordered on it.",
                    remedy: "Take the PNG and print it."
                );
            }
            var (n, figures) = (shop.Book(c).Numbers, LineLayouts.Tried(l, l.Layout, shop.Book(c)).Figures);
            var f = n.Format;
            var what =
                figures.Bought > 0
                    ? $"{figures.Bought} {(figures.Bought == 1 ? "sheet" : "sheets")} of "
                        + $"{Shown.Size(l.On.Ground.WidthIn, l.On.Ground.LengthIn!.Value, f)}"
                    : $"{Shown.Roll(figures.BilledIn, f)} of the {Shown.Length(l.On.Ground.WidthIn, f)} roll";
            var prints = l.Layout.Designs.Select(d =>
                $"{d.Needed + d.Extra} × {LineLayouts.NameOf(l, d.Key).ToLowerInvariant()}, "
                + $"{Shown.Size(d.WidthIn, d.HeightIn, f)}"
            );
            return $"{l.Film.Supplier}: {l.Film.Product}\n{what}, order "
                + $"{l.Case.Order.Code}\n{string.Join("\n", prints)}\nat least {Shown.Length(l.On.Ground.GapIn, f)} "
                + $"between prints, {Shown.Length(l.On.Ground.MarginIn, f)} at the edges; "
                + $"{figures.Cost?.Value.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture)} and "
                + $"freight {l.Film.FreightPerOrder:0.00}\n{n.Identity.Name}\n";
        });

    /// <summary>Reads a layout made elsewhere and says what it costs and what is wrong with it; it is kept only by
    /// settling it.</summary>
    internal static TriedLayout Bring(OrderId id, LineId line, BroughtLayoutBody body, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var l = LineLayouts.Film(c, shop, id, line, body.FilmId, body.On);
            try
            {
                return LineLayouts.Tried(
                    l,
                    LayoutDeeds.Of(
                        l,
                        LayoutTable.Read(body.Text, [.. l.Prints.Select(p => p.Design)], key =>
                            LineLayouts.NameOf(l, key)
                        ),
                        0,
                        steps: 0,
                        body.ByOutline
                    ),
                    shop.Book(c)
                );
            }
            catch (NotATableException not)
            {
                throw new RefusedException(
                    400,
                    "not-a-layout",
                    not.Message,
                    remedy: "Send the SVG or the table that Hepno writes, with the same columns, moved as you like.",
                    "text"
                );
            }
        });

    private static (LineOnFilm Line, FigureFormat F) Read(
        OpenShop shop,
        OrderId id,
        LineId line,
        ThingId? filmId,
        string? on,
        bool? byOutline
    ) => shop.Db.Read(c => (LineLayouts.Film(c, shop, id, line, filmId, on, byOutline), OpenShop.Numbers(c).Format));

    private static int Sheets(LineOnFilm l) => l.Layout.Copies.Max(x => x.Sheet) + 1;

    private static int Known(LineOnFilm l, int? sheet) =>
        sheet is null or >= 0 && (sheet ?? 0) < Sheets(l)
            ? sheet ?? 0
            : throw RefusedException.NoSuch("sheet", id: $"{sheet}");

    private static LaidSheet Sheet(LineOnFilm l, int sheet)
    {
        var found = l.Layout.Found(l.On.Ground);
        var bill = l.On.Bill(found);
        var length = l.On.Ground.LengthIn ?? (bill is { BilledIn: > 0 } ? bill.BilledIn : found.UsedLengthIn);
        return new(
            $"{l.Case.Order.Code}{(Sheets(l) > 1 ? $", sheet {sheet + 1} of {Sheets(l)}" : "")}",
            l.On.Ground.WidthIn,
            length,
            [
                .. found
                    .Placed.Where(p => p.Sheet == sheet)
                    .Select(p => new LaidBox(
                        p.DesignId,
                        Name: LineLayouts.NameOf(l, p.DesignId),
                        p.X,
                        p.Y,
                        p.WidthIn,
                        p.HeightIn,
                        p.Turned
                    )),
            ]
        );
    }

    private static LaidPictures Pictures(OpenShop shop, LineOnFilm l) =>
        new(key =>
        {
            if (
                LineLayouts.ArtworkOf(l, key) is not { } designId
                || shop.Db.Read(c => Aggregates.Designs.Get(c, designId)?.Value) is not { } design
            )
            {
                return null;
            }
            return PictureFile
                .Read(KeptFiles.Read(shop.Db.Folder, design.Hash), design.WidthIn)
                .Part(design.Report.Box);
        });

    private static string FileName(LineOnFilm l, FigureFormat f) =>
        $"{l.Case.Order.Code} {Shown.Length(l.On.Ground.WidthIn, f)}";
}
