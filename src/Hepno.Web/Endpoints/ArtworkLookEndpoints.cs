using System.Collections.Concurrent;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>One measured print: ml used for so many prints of an artwork.</summary>
internal sealed record CalibrateBody(DesignId DesignId, double WidthIn, int Prints, double ColourMl, double WhiteMl);

/// <summary>What a square code is to say.</summary>
internal sealed record CodeBody(string Text);

/// <summary>A square code made as an artwork.</summary>
/// <param name="Design">The artwork.</param>
/// <param name="SmallestFilmIn">Smallest width that is safe on film, in.</param>
/// <param name="SmallestScreenedIn">Smallest width that is safe screened, in.</param>
/// <param name="Sentence">Both, and from how far it is read, in words.</param>
internal sealed record CodeMade(DesignView Design, double SmallestFilmIn, double SmallestScreenedIn, string Sentence);

/// <summary>An artwork looked at as it would be printed: what would spoil it, its ink, square codes.</summary>
internal static class ArtworkLookEndpoints
{
    private const int MostRead = 40;
    private const int LongestCode = 300;

    private static readonly ConcurrentDictionary<(string Hash, double WidthIn), IReadOnlyList<CodeRead>> ReadBack =
        new();

    public static void MapArtworkLooks(this IEndpointRouteBuilder api)
    {
        var art = api.MapGroup("/artwork").WithTags("artwork");
        art.MapGet("{id}/look", Look).WithName("lookAtArtwork");
        art.MapPost("{id}/code", Code).WithName("makeCode");
        api.MapPost("/film-printers/{id}/calibrate", Calibrate).WithTags("film-printers").WithName("calibratePrinter");
    }

    /// <summary>Looks at it at a print width on a cloth: what would spoil the print, and where.</summary>
    internal static DesignLooked Look(
        string id,
        OpenShop shop,
        double? widthIn,
        StyleId? styleId,
        ColourwayId? colourwayId
    ) =>
        shop.Db.Read(c =>
        {
            var design = ArtworkEndpoints.Kept(c, id).Value;
            var wide = widthIn ?? design.WidthIn;
            ArtworkEndpoints.RefuseWidth(wide);
            var book = shop.Book(c);
            var cloth = book.Of<Style>()
                .FirstOrDefault(s => s.Id == styleId)
                ?.Colourways.FirstOrDefault(w => w.Id == colourwayId);
            var r = design.Report;
            var f = book.Numbers.Format;
            var doubts = design.Rights.Doubts(shop.Clock.Today(book.Numbers.Identity.TimeZone), f);
            var printer = book.Of<FilmPrinter>().Count > 0 ? book.Of<FilmPrinter>()[0] : null;
            var painted = wide * r.HeightIn(wide) * r.Coverage();
            var white = cloth?.Class is ColourClass.Mid or ColourClass.Dark || printer?.WhiteOnLight == true;
            var ink =
                r.Ink is null || printer is null
                    ? null
                    : InkUse.Reckon(
                        r.Ink,
                        painted,
                        whiteIn2: white ? painted : 0,
                        printer.ColourMlPerIn2,
                        printer.WhiteMlPerIn2
                    );
            return new DesignLooked(
                r.HeightIn(wide),
                r.Dpi(wide),
                r.ThinnestLine is { } line ? r.Pt(line.WidthPx, wide) : null,
                ThinnestGapPt: r.ThinnestGap is { } gap ? r.Pt(gap.WidthPx, wide) : null,
                [.. doubts.Concat(DesignFaults.Find(r, wide, cloth, f)).OrderByDescending(x => x.Kind)],
                ink,
                ink is null ? "" : printer!.Name,
                CodeReads(shop, design, wide)
            );
        });

    // read as each way of printing blurs it; the same file at the same width is read once
    private static IReadOnlyList<CodeRead> CodeReads(OpenShop shop, Design design, double widthIn)
    {
        if (design.Report.Code is not { } code)
        {
            return [];
        }
        if (ReadBack.Count >= MostRead)
        {
            ReadBack.Clear();
        }
        return ReadBack.GetOrAdd((design.Hash, widthIn), _ =>
        {
            var raster = PictureFile.Read(KeptFiles.Read(shop.Db.Folder, design.Hash), design.WidthIn);
            var dpi = design.Report.Dpi(widthIn);
            return
            [
                .. CodeReader.Spreads.Select(s => new CodeRead(
                    s.Way,
                    CodeReader.ReadsBlurred(raster, code.ModulePx, s.Mm / Units.MmPerInch * dpi) == code.Text
                )),
            ];
        });
    }

    /// <summary>Sets a film printer's ink by one measured print: ml used for so many prints of an artwork at a
    /// width.</summary>
    internal static Written Calibrate(string id, CalibrateBody body, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c =>
        {
            var printer = Aggregates.Of<FilmPrinter>().Get(c, id) ?? throw RefusedException.NoSuch("film printer", id);
            var report = ArtworkEndpoints.Kept(c, body.DesignId.Text).Value.Report;
            RefusedException.IfAny([
                .. body.WidthIn is > 0 and <= Places.Absurd
                    ? Array.Empty<Problem>()
                    :
                    [
                        new Problem(
                            "range",
                            $"A print width of {body.WidthIn:0.##} in is outside 0 to {Places.Absurd:0}.",
                            Where: "widthIn",
                            "Say how wide it was printed."
                        ),
                    ],
                .. body.Prints is >= 1 and <= 10_000
                    ? Array.Empty<Problem>()
                    :
                    [
                        new Problem(
                            "range",
                            $"{body.Prints} prints.",
                            Where: "prints",
                            "Say how many were printed, 1 or more."
                        ),
                    ],
                .. body.ColourMl is > 0 and <= 10_000
                    ? Array.Empty<Problem>()
                    :
                    [
                        new Problem(
                            "range",
                            $"{body.ColourMl:0.##} ml of colour.",
                            Where: "colourMl",
                            "Read the ink used off the printer, above 0."
                        ),
                    ],
                .. body.WhiteMl is >= 0 and <= 10_000
                    ? Array.Empty<Problem>()
                    :
                    [
                        new Problem(
                            "range",
                            $"{body.WhiteMl:0.##} ml of white.",
                            Where: "whiteMl",
                            "Read the ink used off the printer; 0 when no white was laid."
                        ),
                    ],
            ]);
            var area = body.WidthIn * report.HeightIn(body.WidthIn) * report.Coverage() * body.Prints;
            var measured = printer.Value with
            {
                ColourMlPerIn2 = body.ColourMl / area,
                WhiteMlPerIn2 = body.WhiteMl > 0 ? body.WhiteMl / area : printer.Value.WhiteMlPerIn2,
            };
            RefusedException.IfAny(measured.Problems());
            return new Written(
                id,
                Aggregates.Of<FilmPrinter>().Put(c, measured, request.Seen(), request.Deed(shop.Clock, "ink measured"))
            );
        });

    /// <summary>Makes a new artwork of a link or text: a square code on its light ground, and how small it may be
    /// printed.</summary>
    internal static async Task<CodeMade> Code(string id, CodeBody body, OpenShop shop, HttpRequest request)
    {
        var text = body.Text.Trim();
        RefusedException.IfAny(
            text.Length is 0 or > LongestCode
                ?
                [
                    new Problem(
                        "text",
                        text.Length == 0
                            ? "The code is to say nothing."
                            : $"The code is to say {text.Length} characters.",
                        Where: "text",
                        $"A link of 1 to {LongestCode} characters: the shorter, the larger its squares."
                    ),
                ]
                : []
        );
        var code = QrCode.Of(text);
        var (film, screened) = (
            CodeSquares.SideIn(code.Size, CodeSquares.SafeOnFilm),
            CodeSquares.SideIn(code.Size, CodeSquares.SafeScreened)
        );
        var design = await ArtworkDeeds.Measured(
            shop,
            id,
            text.Length > 60 ? $"{text[..57]}..." : text,
            Math.Max(1, screened),
            System.Text.Encoding.UTF8.GetBytes(code.Svg)
        );
        return shop.Db.Write(c =>
        {
            var f = OpenShop.Numbers(c).Format;
            var version = ArtworkDeeds.Keep(
                c,
                design,
                request.SeenOrNew(Aggregates.Designs.Get(c, id) is not null),
                request.Deed(shop.Clock, "code made")
            );
            return new CodeMade(
                DesignView.From(design, version),
                film,
                SmallestScreenedIn: screened,
                $"Safe from {Shown.Length(film, f)} wide on film, {Shown.Length(screened, f)} screened; at "
                    + $"{Shown.Length(screened, f)} it is read from about "
                    + $"{Shown.Length(screened * CodeSquares.ReadFrom, f)} away."
            );
        });
    }
}
