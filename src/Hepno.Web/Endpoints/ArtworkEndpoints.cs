using System.Collections.Concurrent;
using Hepno.Core.Artwork;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Whose an artwork is.</summary>
internal sealed record RightsBody(
    string Whose,
    string SaidBy,
    LocalDate? SaidOn,
    string Proof,
    RightsKind Kind = RightsKind.Unsaid,
    LocalDate? Until = null,
    int? Seats = null,
    bool SoldGoods = false
);

/// <summary>What of an artwork is typed.</summary>
internal sealed record DesignBody(string Name, RightsBody Rights, string NextTime = "");

/// <summary>Share of the measuring that is done, 0 to 1; null when nothing is being measured.</summary>
internal sealed record ArtworkProgress(double? Share);

/// <summary>Artworks: pictures in, what was measured on them out.</summary>
internal static class ArtworkEndpoints
{
    private const int LongestId = 64;
    private const double UsualWidthIn = 10;
    private const int LongestPreview = 2000;
    private const int MostPreviews = 40;

    // a preview follows from its file, and the same one is asked for again and again
    private static readonly ConcurrentDictionary<(string Hash, int Side, bool Painted), byte[]> Previews = new();

    public static void MapArtwork(this IEndpointRouteBuilder api)
    {
        var art = api.MapGroup("/artwork").WithTags("artwork");
        art.MapGet("", (OpenShop shop) =>
                shop.Db.Read(c => Aggregates.Designs.All(c).Select(d => DesignView.From(d.Value, d.Version)).ToList())
            )
            .WithName("artworks")
            .WithSummary("All artworks, by name.");
        art.MapGet("{id}", Get).WithName("artwork");
        art.MapGet("{id}/progress", (string id) => new ArtworkProgress(ArtworkDeeds.Progress(id)))
            .WithName("artworkProgress")
            .WithSummary("How far the measuring of a picture that was sent has come.");
        art.MapDelete("{id}/progress", StopMeasuring).WithName("stopMeasuring");
        art.MapGet("{id}/memory", (string id, OpenShop shop) =>
                shop.Db.Read(c => DesignMemory.Read(c, shop, Kept(c, id).Value.Id))
            )
            .WithName("artworkMemory")
            .WithSummary("Its pictures through time, and when, on what and with which settings it was pressed.");
        art.MapPut("{id}", Change).WithName("saveArtwork");
        art.MapPut("{id}/file", Send)
            .WithName("sendArtwork")
            .Accepts<byte[]>("image/png", "image/jpeg", "image/svg+xml")
            .WithMetadata(new BodyLimit(PictureFile.LargestBytes));
        art.MapGet("{id}/picture.png", Picture)
            .WithName("artworkPicture")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "image/png");
        art.MapPost("{id}/knock-out", KnockOut).WithName("knockOut");
    }

    /// <summary>One artwork.</summary>
    internal static DesignView Get(string id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var kept = Kept(c, id);
            return DesignView.From(kept.Value, kept.Version);
        });

    /// <summary>Takes a picture in and measures it; sent to an artwork that is there, it takes the place of its
    /// picture.</summary>
    internal static async Task<DesignView> Send(
        string id,
        OpenShop shop,
        HttpRequest request,
        string? name,
        double? widthIn
    )
    {
        if (id.Length is 0 or > LongestId)
        {
            throw new RefusedException(
                400,
                "bad-id",
                $"An id of {id.Length} characters.",
                remedy: $"Between 1 and {LongestId}, made by the device.",
                "id"
            );
        }
        if (request.ContentLength > PictureFile.LargestBytes)
        {
            throw new RefusedException(
                413,
                "too-large",
                $"The picture has {request.ContentLength / 1_000_000} MB: more than the "
                    + $"{PictureFile.LargestBytes >> 20} that are taken.",
                remedy: "Save it at print size with 300 pixels an inch.",
                "file"
            );
        }
        var wide = widthIn ?? UsualWidthIn;
        RefuseWidth(wide);
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        var file = body.ToArray();
        var before = shop.Db.Read(c => Aggregates.Designs.Get(c, id));
        var seen = request.SeenOrNew(before is not null);
        var design = await ArtworkDeeds.Measured(
            shop,
            id,
            name?.Trim() is { Length: > 0 } said ? said : before?.Value.Name ?? "artwork",
            wide,
            file,
            request.HttpContext.RequestAborted
        );
        design = design with
        {
            Rights = before?.Value.Rights ?? Rights.Unsaid,
            NextTime = before?.Value.NextTime ?? "",
        };
        var version = shop.Db.Write(c =>
            ArtworkDeeds.Keep(
                c,
                design,
                seen,
                request.Deed(shop.Clock, before is null ? "artwork taken in" : "artwork changed")
            )
        );
        return DesignView.From(design, version);
    }

    /// <summary>Stops measuring a picture that is being sent; nothing of it is kept.</summary>
    internal static NoContent StopMeasuring(string id) =>
        ArtworkDeeds.Stop(id) ? TypedResults.NoContent() : throw RefusedException.NoSuch("picture being measured", id);

    /// <summary>Changes its name and whose it is.</summary>
    internal static Written Change(string id, DesignBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c => new Written(
            id,
            ArtworkDeeds.Keep(
                c,
                Kept(c, id).Value with
                {
                    Name = body.Name.Trim(),
                    Rights = new(
                        body.Rights.Whose.Trim(),
                        SaidBy: body.Rights.SaidBy.Trim(),
                        body.Rights.SaidOn,
                        body.Rights.Proof.Trim(),
                        body.Rights.Kind,
                        body.Rights.Until,
                        body.Rights.Seats,
                        body.Rights.SoldGoods
                    ),
                    NextTime = body.NextTime.Trim(),
                },
                seen,
                request.Deed(shop.Clock, "artwork changed")
            )
        ));
    }

    /// <summary>Its picture as it is printed, whole or what of it is painted, the longer side no longer than asked
    /// for.</summary>
    internal static async Task<FileContentHttpResult> Picture(string id, OpenShop shop, int? side, bool? painted)
    {
        var longest = Math.Clamp(side ?? 800, 16, LongestPreview);
        var design = shop.Db.Read(c => Kept(c, id).Value);
        var key = (design.Hash, longest, painted == true);
        if (!Previews.TryGetValue(key, out var png))
        {
            png = await Task.Run(() =>
            {
                // what is painted is a part of the picture as it was measured
                var file = KeptFiles.Read(shop.Db.Folder, design.Hash);
                var raster = painted == true ? PictureFile.Read(file, design.WidthIn) : PictureFile.Read(file, longest);
                return PngPicture.Write(painted == true ? raster.Part(design.Report.Box) : raster, longest);
            });
            if (Previews.Count >= MostPreviews)
            {
                Previews.Clear();
            }
            Previews[key] = png;
        }
        return TypedResults.File(png, "image/png");
    }

    /// <summary>Makes its flat ground clear; the file as it came is kept.</summary>
    internal static async Task<Written> KnockOut(string id, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        var before = shop.Db.Read(c => Kept(c, id));
        var design = await ArtworkDeeds.KnockedOut(shop, before.Value);
        return shop.Db.Write(c => new Written(
            id,
            ArtworkDeeds.Keep(c, design, seen, request.Deed(shop.Clock, "ground knocked out"))
        ));
    }

    /// <summary>Refuses a print width that cannot be.</summary>
    internal static void RefuseWidth(double widthIn)
    {
        RefusedException.IfAny(
            widthIn is > 0 and <= Places.Absurd
                ? []
                :
                [
                    new Problem(
                        "range",
                        $"A print width of {widthIn:0.##} in is outside 0 to {Places.Absurd:0}.",
                        Where: "widthIn",
                        "Say how wide it is printed."
                    ),
                ]
        );
    }

    internal static Versioned<Design> Kept(Microsoft.Data.Sqlite.SqliteConnection c, string id) =>
        Aggregates.Designs.Get(c, id) ?? throw RefusedException.NoSuch("artwork", id);
}
