using System.IO.Compression;
using System.Text.Json;
using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Store.Documents;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Archive;

/// <summary>An archive on its way into a shop: where it is written and what of it is there so far.</summary>
/// <param name="Connection">The one transaction all of it goes into.</param>
/// <param name="Zip">The archive.</param>
/// <param name="Folder">The data folder.</param>
/// <param name="Deed">Who brings it.</param>
internal sealed record Bringing(SqliteConnection Connection, ZipArchive Zip, string Folder, Deed Deed)
{
    // the database's word for a value it does not take
    private const int Unfit = 19;

    /// <summary>Hashes of the files that are here.</summary>
    public HashSet<string> Files { get; } = new(StringComparer.Ordinal);

    /// <summary>Files that were not here before: gone again when it is refused.</summary>
    public List<string> NewFiles { get; init; } = [];

    /// <summary>Customers that are here.</summary>
    public HashSet<CustomerId> Customers { get; } = [];

    /// <summary>Styles that are here.</summary>
    public HashSet<StyleId> Styles { get; } = [];

    /// <summary>Orders that are here.</summary>
    public HashSet<OrderId> Orders { get; } = [];

    /// <summary>Order numbers that are taken.</summary>
    public HashSet<int> Numbers { get; } = [];

    /// <summary>A part of it by its name.</summary>
    public ZipArchiveEntry Part(string name) =>
        Zip.GetEntry(name) ?? throw Refused("lost", $"{name} is not in the archive.", where: name);

    /// <summary>The things of one of its JSON arrays, one by one.</summary>
    public IEnumerable<T> Each<T>(string kind, Document<T> document)
    {
        using var stream = Part($"{kind}.json").Open();
        using var all = JsonSerializer
            .DeserializeAsyncEnumerable<JsonElement>(stream)
            .ToBlockingEnumerable()
            .GetEnumerator();
        for (var place = 0; Readable(kind, "", all.MoveNext); place++)
        {
            yield return all.Current.ValueKind == JsonValueKind.Null
                ? throw Refused("nothing", $"\"{kind}\" holds nothing at one of its places.", where: kind)
                : Readable(kind, $"[{place}]", () => document.Read(all.Current.GetRawText()));
        }
    }

    /// <summary>Keeps one of a kind, or refuses the whole archive.</summary>
    public void Put<T>(string kind, int place, Aggregate<T> aggregate, T value, IEnumerable<Problem> problems)
        where T : class
    {
        RefusedException.IfAny(problems.Select(p => p with { Where = $"{kind}[{place}].{p.Where}" }));
        try
        {
            aggregate.Put(Connection, value, 0, Deed);
        }
        catch (SqliteException unfit) when (unfit.SqliteErrorCode == Unfit)
        {
            // what no screen lets through may stand in a file that was changed by hand
            throw new RefusedException(
                400,
                "unfit",
                $"The archive's {aggregate.Kind} {place + 1} holds a value that cannot be kept.",
                remedy: "Bring the file as it was exported.",
                $"{aggregate.Kind} {place + 1}"
            );
        }
    }

    /// <summary>Refuses all of it.</summary>
    public static RefusedException Refused(string code, string sentence, string where) =>
        new(400, code, sentence, "Bring the file as it was exported.", where);

    private static T Readable<T>(string kind, string place, Func<T> read)
    {
        try
        {
            return read();
        }
        catch (JsonException unreadable)
        {
            // the refusal then names the field, as for every other body
            throw new BadHttpRequestException(
                "The archive cannot be read.",
                StatusCodes.Status400BadRequest,
                new JsonException(unreadable.Message, $"$.{kind}{place}{unreadable.Path?.TrimStart('$')}", null, null)
            );
        }
    }
}
