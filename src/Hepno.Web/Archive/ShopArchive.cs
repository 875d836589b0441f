using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Core.Things;
using Hepno.Store;
using Hepno.Store.Documents;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Archive;

/// <summary>How many of each were brought.</summary>
internal sealed record ArchiveView(int Customers, int Styles, int Orders, int Quotes, int Events);

/// <summary>
/// A whole shop as one open file: a ZIP with a JSON array a kind, artwork and attachments by their hash, sent pages by
/// their quote, and the hash of each part. Written and read one thing at a time. What was done when (history and undo)
/// stays with the data folder; versions begin anew.
/// </summary>
internal static class ShopArchive
{
    public const int Known = 6;

    /// <summary>The oldest format that is still read.</summary>
    public const int Oldest = 3;

    private const string Head = "shop.json";
    private const string Sums = "sums.txt";

    // in the order they are brought: what is named comes before what names it
    private static readonly ArchiveKind[] Kinds =
    [
        ArchiveKind.Many("customers", Aggregates.Customers, (into, c) => Noted(into.Customers.Add(c.Id))),
        ArchiveKind.Many("styles", Aggregates.Styles, (into, s) => Noted(into.Styles.Add(s.Id)).Concat(s.Problems())),
        .. ThingKinds
            .All.Where(k => k != Customer.Described && k != Style.Described)
            .Select(k => k.Accept(new OfKind())),
        ArchiveKind.Kind("places", Aggregates.Places, x => x.Problems()) with
        {
            Since = 4,
        },
        ArchiveKind.Many("cures", Aggregates.Cures, (_, x) => x.Problems()),
        ArchiveKind.Many("designs", Aggregates.Designs, (into, d) => Lost(into, [d.Hash], $"The picture of {d.Name}")),
        ArchiveKind.Kind("templates", Aggregates.Templates, _ => []),
        ArchiveKind.Many("orders", Aggregates.Orders, Order),
        ArchiveKind.Kind(
            "quotes",
            KnownDocuments.ArchivedQuote,
            c => QuoteStore.Ids(c).Select(id => Archived(QuoteStore.Get(c, id)!, QuoteStore.Frozen(c, id))),
            Quote
        ),
        ArchiveKind.Kind(
            "events",
            KnownDocuments.ArchivedEvent,
            c =>
                Aggregates
                    .Orders.Ids(c)
                    .SelectMany(id =>
                        RunStore
                            .Received(c, new OrderId(id))
                            .Select(e => new ArchivedEvent(new OrderId(id), e.ReceivedAt, e.Event))
                    ),
            Event
        ),
    ];

    /// <summary>Writes a shop to a new file.</summary>
    public static void Write(SqliteConnection c, string folder, string target)
    {
        using var zip = new ZipArchive(File.Create(target), ZipArchiveMode.Create);
        var sums = new StringBuilder();
        void Part(string name, CompressionLevel level, Action<Stream> write)
        {
            using var hash = SHA256.Create();
            using (var hashed = new CryptoStream(zip.CreateEntry(name, level).Open(), hash, CryptoStreamMode.Write))
            {
                write(hashed);
            }
            sums.Append(Convert.ToHexStringLower(hash.Hash!)).Append("  ").Append(name).Append('\n');
        }
        Part(Head, CompressionLevel.Fastest, to =>
            to.Write(Encoding.UTF8.GetBytes(KnownDocuments.ArchiveHead.Written(new(Known, OpenShop.Numbers(c)))))
        );
        foreach (var kind in Kinds)
        {
            Part($"{kind.Name}.json", CompressionLevel.Fastest, to => kind.Write(c, to));
        }
        foreach (var id in QuoteStore.Ids(c))
        {
            Part($"quotes/{id}.pdf", CompressionLevel.NoCompression, to => to.Write(QuoteStore.PdfOf(c, id)));
        }
        foreach (var hash in FileNames.Named(c).Where(h => KeptFiles.Has(folder, h)))
        {
            Part($"files/{hash}", CompressionLevel.NoCompression, to =>
            {
                using var from = File.OpenRead(KeptFiles.Where(folder, hash));
                from.CopyTo(to);
            });
        }
        using var list = zip.CreateEntry(Sums, CompressionLevel.Fastest).Open();
        list.Write(Encoding.UTF8.GetBytes(sums.ToString()));
    }

    /// <summary>Brings an archive into a shop that has nothing yet; refused whole when one thing in it cannot be
    /// kept.</summary>
    public static ArchiveView Bring(OpenShop shop, string archive, Deed deed)
    {
        try
        {
            using var zip = ZipFile.OpenRead(archive);
            List<string> newFiles = [];
            try
            {
                return shop.Db.Write(c =>
                {
                    var into = new Bringing(c, zip, shop.Db.Folder, deed with { Undoable = false })
                    {
                        NewFiles = newFiles,
                    };
                    return Bring(into);
                });
            }
            catch
            {
                newFiles.ForEach(hash => KeptFiles.Drop(shop.Db.Folder, hash));
                throw;
            }
        }
        catch (InvalidDataException)
        {
            throw Bringing.Refused("not-an-archive", "This is no archive of a shop, or it is damaged.", where: "");
        }
    }

    private static ArchiveView Bring(Bringing into)
    {
        var c = into.Connection;
        if (OrderStore.Count(c) + Aggregates.Customers.Ids(c).Count + Aggregates.Styles.Ids(c).Count > 0)
        {
            throw new RefusedException(
                409,
                "not-empty",
                "This shop already has orders, customers or styles.",
                remedy: "Bring an archive into a new, empty shop. The guide says how one is begun."
            );
        }
        Whole(into);
        var head = HeadOf(into);
        RefusedException.IfAny(head.Numbers.Problems().Select(p => p with { Where = $"numbers.{p.Where}" }));
        Aggregates.Numbers.Put(c, head.Numbers, Aggregates.Numbers.Get(c, "1")?.Version ?? 0, into.Deed);
        Files(into);
        var brought = Kinds.ToDictionary(k => k.Name, k => k.IsIn(into, head.Format) ? k.Bring(into) : 0);
        return new(
            brought["customers"],
            Styles: brought["styles"],
            brought["orders"],
            Quotes: brought["quotes"],
            brought["events"]
        );
    }

    // who changes an archive by hand takes the sums out; as it was exported not one bit of it may be another
    private static void Whole(Bringing into)
    {
        var known = Kinds.Select(k => $"{k.Name}.json").Append(Head).Append(Sums).ToHashSet();
        if (
            into.Zip.Entries.FirstOrDefault(e =>
                !known.Contains(e.FullName)
                && !e.FullName.StartsWith("files/", StringComparison.Ordinal)
                && !e.FullName.StartsWith("quotes/", StringComparison.Ordinal)
            ) is
            { } other
        )
        {
            throw Bringing.Refused(
                "unknown",
                $"The archive holds {other.FullName}, which no archive of a shop holds.",
                where: other.FullName
            );
        }
        if (into.Zip.GetEntry(Sums) is not { } list)
        {
            return;
        }
        using var lines = new StreamReader(list.Open());
        var sums = lines
            .ReadToEnd()
            .Split('\n', StringSplitOptions.RemoveEmptyEntries)
            .Select(l => l.Split("  ", 2))
            .Where(l => l.Length == 2)
            .DistinctBy(l => l[1])
            .ToDictionary(l => l[1], l => l[0], StringComparer.Ordinal);
        foreach (var part in into.Zip.Entries.Where(e => e.FullName != Sums))
        {
            using var from = part.Open();
            if (!sums.Remove(part.FullName, out var sum) || sum != Convert.ToHexStringLower(SHA256.HashData(from)))
            {
                throw Bringing.Refused("damaged", $"{part.FullName} in the archive is damaged.", where: part.FullName);
            }
        }
        if (sums.Count > 0)
        {
            throw Bringing.Refused("lost", $"{sums.Keys.First()} is not in the archive.", where: sums.Keys.First());
        }
    }

    private static ArchiveHead HeadOf(Bringing into)
    {
        using var part = into.Part(Head).Open();
        try
        {
            // what another format calls its fields may be anything: the format is looked at first
            using var json = JsonDocument.Parse(part);
            var format = json.RootElement.TryGetProperty("format", out var f) && f.TryGetInt32(out var n) ? n : 0;
            return format is >= Oldest and <= Known
                ? KnownDocuments.ArchiveHead.Read(json.RootElement.GetRawText())
                : throw new RefusedException(
                    400,
                    "format",
                    $"This archive is of format {format}; this program knows {Known}.",
                    remedy: format > Known
                        ? "Install the newer program."
                        : "Open that shop's data folder with this program, and export it again.",
                    "format"
                );
        }
        catch (JsonException unreadable)
        {
            throw new BadHttpRequestException(
                "The archive cannot be read.",
                StatusCodes.Status400BadRequest,
                unreadable
            );
        }
    }

    private static void Files(Bringing into)
    {
        foreach (var part in into.Zip.Entries.Where(e => e.FullName.StartsWith("files/", StringComparison.Ordinal)))
        {
            using var from = part.Open();
            var (hash, isNew) = KeptFiles.Keep(into.Folder, from);
            if (isNew)
            {
                into.NewFiles.Add(hash);
            }
            if (part.FullName != $"files/{hash}")
            {
                throw Bringing.Refused(
                    "damaged",
                    $"The file {part.Name} in the archive is damaged.",
                    where: part.FullName
                );
            }
            into.Files.Add(hash);
        }
    }

    private static IEnumerable<Problem> Noted(bool isNew) =>
        isNew
            ? []
            :
            [
                new Problem(
                    "twice",
                    "It stands twice in the archive.",
                    Where: "id",
                    "Bring the file as it was exported."
                ),
            ];

    private static IEnumerable<Problem> Lost(Bringing into, IEnumerable<string> hashes, string what) =>
        hashes
            .Where(h => !into.Files.Contains(h))
            .Select(_ => new Problem(
                "lost",
                $"{what} is not in the archive.",
                Where: "files",
                "Bring the file as it was exported."
            ));

    private static IEnumerable<Problem> Order(Bringing into, Order o)
    {
        if (!into.Numbers.Add(o.Number))
        {
            yield return new(
                "twice",
                $"T-{o.Number} stands twice.",
                Where: "number",
                "Give each order a number of its own."
            );
        }
        if (
            (o.Ask.CustomerId is { } who && !into.Customers.Contains(who))
            || o.Ask.Lines.Any(l => l.StyleId is { } what && !into.Styles.Contains(what))
        )
        {
            yield return new(
                "lost",
                $"{o.Code} names a customer or style that is not in the archive.",
                Where: "ask",
                "Bring the file as it was exported."
            );
        }
        foreach (var file in o.Facts.Attached.Where(f => !into.Files.Contains(f.Hash)))
        {
            yield return new(
                "lost",
                $"The file {file.Name} of {o.Code} is not in the archive.",
                Where: "facts.attached",
                "Bring the file as it was exported."
            );
        }
        into.Orders.Add(o.Id);
    }

    private static ArchivedQuote Archived(StoredQuote q, FrozenQuote frozen) =>
        new(q.Id.Text, q.OrderId, q.SentAt, q.WithdrawnAt, JsonElement.Parse(KnownDocuments.SentQuote.Written(frozen)));

    private static void Quote(Bringing into, ArchivedQuote q, int place)
    {
        if (!into.Orders.Contains(q.OrderId))
        {
            throw Bringing.Refused(
                "lost",
                $"The quote {q.Id} is of an order that is not in the archive.",
                where: $"quotes[{place}].orderId"
            );
        }
        FrozenQuote frozen;
        try
        {
            frozen = KnownDocuments.SentQuote.Read(q.Frozen.GetRawText());
        }
        catch (JsonException unreadable)
        {
            throw Bringing.Refused(
                "unreadable",
                $"The quote {q.Id} cannot be read: {unreadable.Path ?? "its figures"} is missing or another kind.",
                where: $"quotes[{place}]"
            );
        }
        using var page = into.Part($"quotes/{q.Id}.pdf").Open();
        using var pdf = new MemoryStream();
        page.CopyTo(pdf);
        QuoteStore.Send(
            into.Connection,
            new StoredQuote(new QuoteId(q.Id), q.OrderId, q.SentAt, null),
            frozen,
            pdf.ToArray()
        );
        MadeStore.Put(into.Connection, new QuoteId(q.Id), frozen.Designs());
        if (q.WithdrawnAt is { } at)
        {
            QuoteStore.Withdraw(into.Connection, new QuoteId(q.Id), at);
        }
    }

    private static void Event(Bringing into, ArchivedEvent e, int place)
    {
        if (!into.Orders.Contains(e.OrderId))
        {
            throw Bringing.Refused(
                "lost",
                "A verdict is of an order that is not in the archive.",
                where: $"events[{place}].orderId"
            );
        }
        RunStore.Add(into.Connection, e.OrderId, e.Event, e.ReceivedAt);
    }

    private sealed class OfKind : IForEachKind<ArchiveKind>
    {
        public ArchiveKind Of<T>(ThingKind<T> kind)
            where T : class
        {
            var things = Aggregates.Of(kind);
            return ArchiveKind.Kind(
                kind.ArchivedAs,
                things.Document,
                c => things.All(c).Select(v => v.Value),
                (into, value, place) => Bring(kind, into, value, place)
            ) with
            {
                MayBeMissing = true,
            };
        }

        // the first day may have set up a press already: it stands
        private static void Bring<T>(ThingKind<T> kind, Bringing into, T value, int place)
            where T : class
        {
            var things = Aggregates.Of(kind);
            if (things.Get(into.Connection, kind.IdOf(value)) is null)
            {
                var lost = Lost(into, kind.Files(value), $"A file of a {kind.Name}");
                into.Put(kind.ArchivedAs, place, things, value, kind.Problems(value).Concat(lost));
            }
        }
    }
}
