using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Files that hang on an order.</summary>
internal static class AttachmentDeeds
{
    /// <summary>Largest file that is kept with an order.</summary>
    public const int LargestAttachment = 20 << 20;

    private const int MostAttachments = 20;
    private const int LongestName = 200;

    /// <summary>Keeps a file with the order; sent again under the same id it takes the first one's place.</summary>
    public static long Attach(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        string attachmentId,
        string name,
        byte[] bytes,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        var bare = Path.GetFileName(name.Trim().Replace('\\', '/'));
        RefusedException.IfAny([
            .. bare.Length is 0 or > LongestName
                ?
                [
                    new Problem(
                        "name",
                        bare.Length == 0 ? "The file has no name." : $"A name of {bare.Length} characters.",
                        Where: "name",
                        $"Between 1 and {LongestName} letters."
                    ),
                ]
                : Array.Empty<Problem>(),
            .. bytes.Length == 0
                ? [new Problem("empty", $"{bare} is empty.", Where: "file", "Choose it again: nothing was in it.")]
                : Array.Empty<Problem>(),
            .. attachmentId.Length is 0 or > 64
                ?
                [
                    new Problem(
                        "bad-id",
                        $"An id of {attachmentId.Length} characters.",
                        Where: "attachmentId",
                        "Between 1 and 64, made by the device."
                    ),
                ]
                : Array.Empty<Problem>(),
            .. c.Order.Facts.Attached.Count(a => a.Id != attachmentId) >= MostAttachments
                ?
                [
                    new Problem(
                        "many",
                        $"{MostAttachments} files hang on {c.Order.Code} already.",
                        Where: "file",
                        "Take one off first."
                    ),
                ]
                : Array.Empty<Problem>(),
        ]);
        var kept = new Attachment(
            attachmentId,
            bare,
            Hash: KeptFiles.Keep(shop.Db.Folder, bytes),
            bytes.Length,
            deed.At
        );
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Attached = [.. f.Attached.Where(a => a.Id != attachmentId), kept],
            }
        );
    }

    /// <summary>Takes a file off the order; what is in it stays for taking back.</summary>
    public static long Detach(
        SqliteConnection connection,
        OpenShop shop,
        OrderId id,
        string attachmentId,
        long seen,
        Deed deed
    )
    {
        var c = shop.Case(connection, id, shop.Book(connection));
        if (c.Order.Facts.Attached.All(a => a.Id != attachmentId))
        {
            throw RefusedException.NoSuch("attachment", attachmentId);
        }
        return OrderDeeds.Put(connection, c, seen, deed, f =>
            f with
            {
                Attached = [.. f.Attached.Where(a => a.Id != attachmentId)],
            }
        );
    }
}
