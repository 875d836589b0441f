using System.Text.Json;
using Hepno.Web.Deeds;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>The whole shop as one JSON file, out and into an empty shop.</summary>
internal static class ArchiveEndpoints
{
    private const long LargestArchive = 256_000_000;

    public static void MapArchive(this IEndpointRouteBuilder api)
    {
        api.MapGet("/archive", Take).WithTags("archive").WithName("archive").Produces(200, contentType: "application/json");
        api.MapPut("/archive", Bring).WithTags("archive").WithName("bringArchive").WithMetadata(new BodyLimit(LargestArchive));
    }

    /// <summary>Everything the shop keeps, as one file.</summary>
    internal static FileContentHttpResult Take(Desk desk) => TypedResults.File(JsonSerializer.SerializeToUtf8Bytes(desk.Db.Read(c => ShopArchive.Of(c, desk.Db.Folder)), Json.Frozen), "application/json", "hepno-archive.json");

    /// <summary>Brings such a file into a shop that has no orders, customers or styles yet; all of it or nothing.</summary>
    internal static async Task<ArchiveView> Bring(HttpRequest request, Desk desk)
    {
        if (!request.HasJsonContentType())
        {
            throw new RefusedException(415, "media-type", "This content type is not taken here.", "Send JSON (application/json).");
        }
        try
        {
            var archive = await JsonSerializer.DeserializeAsync<ShopArchive>(request.Body, Json.Frozen, request.HttpContext.RequestAborted) ?? throw new JsonException();
            return desk.Db.Write(c => ShopArchive.Bring(c, archive, desk.Db.Folder, request.Deed(desk.Clock, "archive brought")));
        }
        catch (JsonException unreadable)
        {
            // the refusal then names the field, as for every other body
            throw new BadHttpRequestException("The archive cannot be read.", StatusCodes.Status400BadRequest, unreadable);
        }
    }
}
