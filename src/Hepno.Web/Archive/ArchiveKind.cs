using System.Text;
using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Archive;

/// <summary>A kind of thing in an archive: a JSON array in a file of its own, written and read one by one, so that it
/// may be of any length.</summary>
/// <param name="Name">The file's name without its ending.</param>
/// <param name="Write">Writes all of the shop's.</param>
/// <param name="Bring">Brings all of the archive's, and says how many.</param>
internal sealed record ArchiveKind(string Name, Action<SqliteConnection, Stream> Write, Func<Bringing, int> Bring)
{
    /// <summary>The first format that has it: an older archive holds none.</summary>
    public int Since { get; init; } = ShopArchive.Oldest;

    /// <summary>True where an archive without it holds none: kinds are added without another format.</summary>
    public bool MayBeMissing { get; init; }

    /// <summary>False where an archive of a format holds none.</summary>
    public bool IsIn(Bringing archive, int format) =>
        format >= Since && (!MayBeMissing || archive.Zip.GetEntry($"{Name}.json") is not null);

    /// <summary>What the shop keeps of one kind, in the order it is listed in.</summary>
    /// <param name="name">Its name.</param>
    /// <param name="aggregate">Where it is kept.</param>
    /// <param name="problems">What speaks against one.</param>
    public static ArchiveKind Kind<T>(string name, Aggregate<T> aggregate, Func<T, IEnumerable<Problem>> problems)
        where T : class =>
        Kind(name, aggregate, (_, value) => problems(value), c => aggregate.All(c).Select(v => v.Value));

    /// <summary>What there may be very many of: read by its ids.</summary>
    public static ArchiveKind Many<T>(
        string name,
        Aggregate<T> aggregate,
        Func<Bringing, T, IEnumerable<Problem>> problems
    )
        where T : class =>
        Kind(name, aggregate, problems, c => aggregate.Ids(c).Select(id => aggregate.Get(c, id)!.Value));

    /// <summary>Any array.</summary>
    public static ArchiveKind Kind<T>(
        string name,
        Document<T> document,
        Func<SqliteConnection, IEnumerable<T>> all,
        Action<Bringing, T, int> keep
    ) =>
        new(
            name,
            (c, to) => Array(to, all(c).Select(document.Written)),
            into =>
            {
                var place = 0;
                foreach (var value in into.Each(name, document))
                {
                    keep(into, value, place++);
                }
                return place;
            }
        );

    private static ArchiveKind Kind<T>(
        string name,
        Aggregate<T> aggregate,
        Func<Bringing, T, IEnumerable<Problem>> problems,
        Func<SqliteConnection, IEnumerable<T>> all
    )
        where T : class =>
        Kind(name, aggregate.Document, all, (into, value, place) =>
            into.Put(name, place, aggregate, value, problems(into, value))
        );

    private static void Array(Stream to, IEnumerable<string> all)
    {
        to.Write("["u8);
        var begun = false;
        foreach (var written in all)
        {
            to.Write(begun ? ",\n"u8 : "\n"u8);
            to.Write(Encoding.UTF8.GetBytes(written));
            begun = true;
        }
        to.Write("\n]\n"u8);
    }
}
