using Hepno.Web.Archive;
using Hepno.Web.Held;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>The whole shop as one open file, out and into an empty shop.</summary>
internal static class ArchiveEndpoints
{
    private const string Zip = "application/zip";
    private const long LargestArchive = 64L << 30;

    public static void MapArchive(this IEndpointRouteBuilder api)
    {
        api.MapGet("/archive", Take).WithTags("archive").WithName("archive").Produces(200, contentType: Zip);
        api.MapPut("/archive", Bring)
            .WithTags("archive")
            .WithName("bringArchive")
            .Accepts<byte[]>(Zip)
            .WithMetadata(new BodyLimit(LargestArchive));
    }

    /// <summary>Everything the shop keeps, as one ZIP of JSON with pictures, attachments and sent pages
    /// beside.</summary>
    internal static FileStreamHttpResult Take(OpenShop shop)
    {
        // written aside first: a slow reader would hold the database's past for as long as it reads
        var file = Aside(shop);
        shop.Db.Read(c =>
        {
            ShopArchive.Write(c, shop.Db.Folder, file);
            return 0;
        });
        return TypedResults.File(
            new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.Read, 1 << 16, FileOptions.DeleteOnClose),
            Zip,
            "hepno-shop.zip"
        );
    }

    /// <summary>Brings such a file into a shop that has no orders, customers or styles yet; all of it or
    /// nothing.</summary>
    internal static async Task<ArchiveView> Bring(HttpRequest request, OpenShop shop)
    {
        var file = Aside(shop);
        try
        {
            await using (var to = File.Create(file))
            {
                await request.Body.CopyToAsync(to, request.HttpContext.RequestAborted);
            }
            return await Task.Run(() => ShopArchive.Bring(shop, file, request.Deed(shop.Clock, "archive brought")));
        }
        finally
        {
            File.Delete(file);
        }
    }

    private static string Aside(OpenShop shop) => Path.Combine(shop.Db.Folder, "tmp", $"shop-{Guid.NewGuid():N}");
}
