using System.Text.Json;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store.Tests;

/// <summary>What is kept for years is read in every form it was ever written in, and no form changes under its
/// number.</summary>
public class DocumentTests
{
    // tests/cases/documents/kept-N.jsonl: kind and document of every kind that has a version N, as that version wrote
    // it; the same things in each
    private static readonly Dictionary<string, Kept> All = Kinds().ToDictionary(k => k.Name);

    public static TheoryData<string> Names => [.. All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_form_is_never_changed_under_its_number(string name)
    {
        var kept = All[name];
        var file = Tree.Case("documents", "forms", $"{name}-{kept.Version}.txt");
        var now = string.Join('\n', DocumentForm.Lines(kept.Form)) + "\n";
        var pinned = File.Exists(file) ? File.ReadAllText(file) : "";
        Assert.True(
            pinned == now,
            $"A {name} is kept otherwise than version {kept.Version} says. Older ones must still be read: give "
                + "its Document a lift to the next version, keep this form's file and its fixtures, and add "
                + $"{Path.GetFileName(file)} of the next version:\n{now}"
        );
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_version_ever_written_is_read_to_what_is_written_now(string name)
    {
        // a kind that is described since was never written in the first
        var versions = Enumerable
            .Range(1, All[name].Version)
            .Select(v => Fixture(name, v))
            .SkipWhile(written => written.Count == 0)
            .ToList();
        var now = versions[^1];
        Assert.NotEmpty(now);
        Assert.All(versions, written => Assert.Equal(now, written.Select(All[name].Rewritten)));
    }

    [Fact]
    public void Lifts_are_run_from_the_version_a_document_has_and_a_newer_one_is_refused()
    {
        var thing = new Document<Thing>(
            d => d["count"] = 1,
            d => d["count"] = d["count"]!.GetValue<int>() + 10,
            d =>
            {
                d["many"] = d["count"]!.DeepClone();
                d.Remove("count");
            }
        );
        Assert.Equal(4, thing.Version);
        Assert.Equal(11, thing.Read("""{"name":"a"}""").Many);
        Assert.Equal(17, thing.Read("""{"v":2,"name":"a","count":7}""").Many);
        Assert.Equal(7, thing.Read("""{"v":3,"name":"a","count":7}""").Many);
        Assert.Equal("""{"v":4,"name":"a","many":7}""", thing.Written(new("a", 7)));
        Assert.Equal(new("a", 7), thing.Read(thing.Written(new("a", 7))));
        var newer = Assert.Throws<JsonException>(() => thing.Read("""{"v":5,"name":"a","many":7}"""));
        Assert.Contains("version 5; this program knows 4", newer.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("null")]
    [InlineData("[]")]
    [InlineData("{}")]
    [InlineData("")]
    [InlineData("""{"v":2}""")]
    [InlineData("""{"v":2,"name":null,"many":1}""")]
    [InlineData("""{"v":2,"name":"a","many":"1"}""")]
    [InlineData("""{"v":"2","name":"a","many":1}""")]
    [InlineData("""{"v":0,"name":"a","many":1}""")]
    [InlineData("""{"name":"a","Name":"b","many":1}""")]
    public void What_is_damaged_is_refused(string text) =>
        Assert.ThrowsAny<JsonException>(() => new Document<Thing>().Read(text));

    [Fact]
    public void What_is_null_is_left_out_and_comes_back_as_null()
    {
        var document = new Document<Loose>();
        Assert.Equal("""{"v":2}""", document.Written(new(null, null)));
        Assert.Equal(new Loose(null, null), document.Read("""{"v":2}"""));
    }

    // a shop of the release before keeps its earlier states and sent quotes: packed now, to the last sign the same
    [Fact]
    public void What_was_kept_before_is_packed_as_it_stood()
    {
        var folder = Directory.CreateTempSubdirectory("hepno");
        try
        {
            const string quote = """{"goods":11.095534545967298146114086294,"who":"Åse & Søn"}""";
            using (var old = new SqliteConnection($"Data Source={Db.File(folder.FullName)};Pooling=False"))
            {
                old.Open();
                Run(
                    old,
                    "CREATE TABLE history (seq INTEGER PRIMARY KEY, json TEXT) STRICT; INSERT INTO history "
                        + "VALUES (1, '{\"Name\":\"ä\"}'), (2, NULL)"
                );
                Run(
                    old,
                    $"CREATE TABLE quote (id TEXT, json TEXT NOT NULL) STRICT; INSERT INTO quote VALUES ('q', '{quote}')"
                );
                old.CreateFunction<string, byte[]>(Packing.SqlName, Packing.Pack);
                Run(
                    old,
                    File.ReadAllText(Path.Combine(Tree.Root, "src/Hepno.Store/Migrations/0056-packed-documents.sql"))
                );
                Assert.Equal(
                    """{"Name":"ä"}""",
                    Packing.Unpack(Bytes(old, "SELECT document FROM history WHERE seq = 1")!)
                );
                Assert.Null(Bytes(old, "SELECT document FROM history WHERE seq = 2"));
                Assert.Equal(quote, Packing.Unpack(Bytes(old, "SELECT document FROM quote")!));
            }
        }
        finally
        {
            folder.Delete(true);
        }
    }

    private static void Run(SqliteConnection c, string sql)
    {
        using var command = c.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    private static byte[]? Bytes(SqliteConnection c, string sql)
    {
        using var command = c.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar() as byte[];
    }

    private static List<string> Fixture(string name, int version) =>
        [
            .. File.ReadLines(Tree.Case("documents", $"kept-{version}.jsonl"))
                .Select(l => l.Split('\t', 2))
                .Where(l => l[0] == name)
                .Select(l => l[1]),
        ];

    private static IEnumerable<Kept> Kinds()
    {
        foreach (var aggregate in Aggregates.All)
        {
            yield return OfThing((dynamic)aggregate);
        }
        yield return Of("quote", KnownDocuments.SentQuote);
        yield return Of("artwork-report", KnownDocuments.MeasuredArtwork);
        yield return Of("template-lines", KnownDocuments.TemplateLines);
        yield return Of("archive-head", KnownDocuments.ArchiveHead);
        yield return Of("archived-quote", KnownDocuments.ArchivedQuote);
        yield return Of("archived-event", KnownDocuments.ArchivedEvent);
    }

    private static Kept OfThing<T>(Aggregate<T> aggregate)
        where T : class => Of(aggregate.Kind, aggregate.Document);

    private static Kept Of<T>(string name, Document<T> document) =>
        new(name, document.Version, document.Form, text => document.Written(document.Read(text)));

    private sealed record Kept(
        string Name,
        int Version,
        System.Text.Json.Serialization.Metadata.JsonTypeInfo Form,
        Func<string, string> Rewritten
    );

    private sealed record Thing(string Name, int Many);

    private sealed record Loose(string? Name, int? Many);
}
