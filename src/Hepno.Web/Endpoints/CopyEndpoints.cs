using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Store.Copies;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>A copy in the data folder.</summary>
/// <param name="Name">Its name.</param>
/// <param name="MadeAt">When, as shown; empty for one that does not hold together.</param>
/// <param name="Said">What it holds, in words.</param>
/// <param name="IsWhole">False where its list of contents is not the one it was made with: it does not count, and is
/// made again.</param>
/// <param name="Bytes">What it takes on the disk, without the files that copies share.</param>
internal sealed record CopyView(string Name, string MadeAt, string Said, bool IsWhole, long Bytes);

/// <summary>The shop's copies.</summary>
/// <param name="Copies">Those in the data folder, the newest first.</param>
/// <param name="SecondFolder">Another folder that gets copies too; empty for none.</param>
/// <param name="SecondTrouble">What keeps copies from it; empty when nothing does.</param>
/// <param name="Trouble">What keeps copies from being made; empty when nothing does.</param>
/// <param name="Trial">What came of the last one put back aside.</param>
/// <param name="TrialWell">Whether that went well.</param>
/// <param name="HistoryMonths">Months that earlier states of orders are kept; 0 for ever.</param>
internal sealed record CopiesView(
    IReadOnlyList<CopyView> Copies,
    string SecondFolder,
    string SecondTrouble,
    string Trouble,
    string Trial,
    bool TrialWell,
    int HistoryMonths
);

/// <summary>Months that earlier states of orders are kept; 0 for ever.</summary>
internal sealed record HistoryBody(int Months);

/// <summary>A folder on this machine, or null for none.</summary>
internal sealed record SecondFolderBody(string? Folder);

/// <summary>What a copy would put back; every part of it was checked.</summary>
/// <param name="Name">The copy.</param>
/// <param name="Said">What it holds, in words.</param>
/// <param name="Orders">Orders in it.</param>
/// <param name="OrdersNow">Orders in the shop now.</param>
/// <param name="LastDay">When something in it was last changed, as shown.</param>
internal sealed record CopyChecked(string Name, string Said, int Orders, int OrdersNow, string LastDay);

/// <summary>Copies: made, looked at, put back.</summary>
internal static class CopyEndpoints
{
    private const long LargestArchive = 64L << 30;
    private const int MostMonths = 600;

    public static void MapCopies(this IEndpointRouteBuilder api)
    {
        var copies = api.MapGroup("/copies").WithTags("copies");
        copies.MapGet("", All).WithName("copies");
        copies.MapPost("", Make).WithName("makeCopy");
        copies.MapPut("second-folder", SecondFolder).WithName("setSecondFolder").OpenTo(Caller.Machine);
        copies.MapPut("history", History).WithName("keepHistory");
        copies.MapGet("archive", Archive).WithName("copyArchive").Produces(200, contentType: "application/gzip");
        copies
            .MapPost("archive", Upload)
            .WithName("sendCopyArchive")
            .Accepts<byte[]>("application/gzip")
            .WithMetadata(new BodyLimit(LargestArchive))
            .OpenTo(Caller.Machine);
        copies.MapPost("{name}/check", Check).WithName("checkCopy").OpenTo(Caller.Machine);
        copies.MapPost("{name}/restore", PutBack).WithName("restoreCopy").OpenTo(Caller.Machine);
    }

    /// <summary>Every copy in the data folder, and how copying goes.</summary>
    internal static CopiesView All(OpenShop shop, Copying copying) => View(shop, copying);

    /// <summary>Makes a copy now.</summary>
    internal static CopiesView Make(OpenShop shop, Copying copying)
    {
        return copying.Now() is { } trouble
            ? throw new RefusedException(507, "no-copy", trouble.Why, trouble.Remedy)
            : View(shop, copying);
    }

    /// <summary>Names another folder of this machine that gets copies too, a stick or a drive of the network; its first
    /// copy is made at once. Only at the machine itself.</summary>
    internal static CopiesView SecondFolder(SecondFolderBody body, OpenShop shop, Copying copying)
    {
        var folder = body.Folder?.Trim() is { Length: > 0 } named ? Path.TrimEndingDirectorySeparator(named) : null;
        if (folder is not null)
        {
            RefusedException.IfAny(
                !Path.IsPathFullyQualified(folder) || !Directory.Exists(folder)
                    ?
                    [
                        new Problem(
                            "no-folder",
                            $"There is no folder {folder} on this machine.",
                            Where: "folder",
                            "Type its whole path, from the first /."
                        ),
                    ]
                : Path.GetFullPath(folder + "/")
                    .StartsWith(Path.GetFullPath(shop.Db.Folder + "/"), StringComparison.Ordinal)
                    ?
                    [
                        new Problem(
                            "same-folder",
                            $"{folder} is inside the data folder: what befalls that befalls it.",
                            Where: "folder",
                            "Name one on another disk, a stick or the network."
                        ),
                    ]
                : []
            );
        }
        copying.NameSecond(folder);
        return View(shop, copying);
    }

    /// <summary>Says how many months earlier states of orders are kept. Quotes, what happened and when stay for
    /// ever.</summary>
    internal static CopiesView History(HistoryBody body, OpenShop shop, Copying copying)
    {
        RefusedException.IfAny(
            body.Months is >= 0 and <= MostMonths
                ? []
                :
                [
                    new Problem(
                        "range",
                        $"{body.Months} months is outside 0 to {MostMonths}.",
                        Where: "months",
                        "36 is usual; 0 keeps them for ever."
                    ),
                ]
        );
        copying.KeepHistory(body.Months);
        return View(shop, copying);
    }

    /// <summary>One archive of everything, as ./hepno backup makes it.</summary>
    internal static FileStreamHttpResult Archive(OpenShop shop)
    {
        var file = Path.Combine(shop.Db.Folder, "tmp", $"archive-{Guid.NewGuid():N}");
        CopyArchive.Write(shop.Db.Folder, file, shop.Clock.Utc);
        return TypedResults.File(
            new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.Read, 1 << 16, FileOptions.DeleteOnClose),
            "application/gzip",
            $"hepno-{shop.Clock.Utc:yyyy-MM-dd}.tar.gz"
        );
    }

    /// <summary>Takes an archive in and says what it would put back. Only at the machine itself.</summary>
    internal static async Task<CopyChecked> Upload(HttpRequest request, OpenShop shop, Copying copying) =>
        Check(await copying.Upload(request.Body, request.HttpContext.RequestAborted), shop, copying);

    /// <summary>Checks every part of a copy and says what it would put back. Only at the machine itself.</summary>
    internal static CopyChecked Check(string name, OpenShop shop, Copying copying)
    {
        var manifest = Fit(() => copying.Checked(name));
        var identity = shop.Db.Read(OpenShop.Numbers).Identity;
        return new(
            name,
            Said(manifest),
            manifest.Data.Orders,
            shop.Db.Read(OrderStore.Count),
            manifest.Data.LastAt is { } at ? Shown.Day(WallClock.Day(at, identity.TimeZone), identity.Format) : ""
        );
    }

    /// <summary>Puts a copy in place of what is there; what is there is copied first. Only at the machine
    /// itself.</summary>
    internal static CopiesView PutBack(string name, OpenShop shop, Copying copying)
    {
        Fit(() => copying.PutBack(name));
        return View(shop, copying);
    }

    private static CopyManifest Fit(Func<CopyManifest> work)
    {
        try
        {
            return work();
        }
        catch (UnfitCopyException unfit)
        {
            throw new RefusedException(409, "unfit-copy", unfit.Message, remedy: "Choose another copy.", "name");
        }
    }

    private static CopiesView View(OpenShop shop, Copying copying)
    {
        var n = shop.Db.Read(OpenShop.Numbers);
        var settings = copying.Settings();
        string At(Instant utc) => Shown.Moment(WallClock.Local(utc, n.Identity.TimeZone), n.Format);
        return new(
            [
                .. shop
                    .Db.Backups.All()
                    .Select(c => new CopyView(
                        c.Name,
                        c.Manifest is { } m ? At(m.MadeAt) : "",
                        Said: c.Manifest is { } held ? Said(held) : "does not hold together",
                        c.Manifest is not null,
                        c.Bytes
                    )),
            ],
            settings.SecondFolder ?? "",
            copying.SecondTrouble?.Why ?? "",
            Trouble: copying.Trouble?.Why ?? "",
            settings.TrialAt is { } at ? $"{At(at)}: {settings.TrialSaid}" : "",
            settings.TrialWell,
            settings.HistoryMonths
        );
    }

    private static string Said(CopyManifest m) =>
        $"{m.Data.Orders} orders, {m.Data.Customers} customers, {m.Files.Count} files"
        + (m.Lost.Count > 0 ? $", {m.Lost.Count} lost before" : "");
}
