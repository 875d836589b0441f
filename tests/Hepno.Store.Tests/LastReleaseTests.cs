using System.Globalization;
using System.Text.Json.Nodes;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Tests;

/// <summary>A shop as another release left it opens with everything in it, compared row by row.</summary>
public sealed class LastReleaseTests : IDisposable
{
    // tests/cases/documents/data-N.sql: a shop whose database stood at migration N, as that release wrote it
    private const string Data = "data-55.sql";

    private readonly string folder = Directory.CreateTempSubdirectory("hepno-release-").FullName;
    private readonly Dictionary<string, List<Row>> before;
    private readonly Db db;

    public LastReleaseTests()
    {
        using (var old = Left(folder, Data))
        {
            before = Tables(old).ToDictionary(t => t, t => Rows(old, t));
        }
        db = Opened(folder);
    }

    // a database as the last release left it
    private static SqliteConnection Left(string folder, params string[] written)
    {
        var old = new SqliteConnection($"Data Source={Db.File(folder)};Foreign Keys=False;Pooling=False");
        old.Open();
        using var command = old.CreateCommand();
        command.CommandText = string.Concat(written.Select(f => File.ReadAllText(Tree.Case("documents", f))));
        command.ExecuteNonQuery();
        return old;
    }

    private static Db Opened(string folder)
    {
        var db = new Db(folder);
        db.Open(Instant.FromUtc(2026, 12, 1, 9, 0, 0));
        return db;
    }

    public void Dispose()
    {
        db.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public void Every_row_is_there_with_every_value()
    {
        Assert.InRange(before.Values.Sum(rows => rows.Count), 500, int.MaxValue);
        using var now = new SqliteConnection($"Data Source={Db.File(folder)};Mode=ReadOnly;Pooling=False");
        now.Open();
        // what the shop keeps was rows of its own tables then: see below
        foreach (var (table, rows) in before.Where(t => Tables(now).Contains(t.Key)))
        {
            var after = Rows(now, table);
            Assert.True(rows.Count == after.Count, $"{table}: {rows.Count} rows were, {after.Count} are");
            foreach (var (was, isNow) in rows.Zip(after))
            {
                foreach (var (column, value) in was)
                {
                    var kept = column switch
                    {
                        // documents are packed since, word for word
                        "json" => Unpacked(isNow["document"]),
                        // one of what is said of an order beside
                        "note" => JsonNode.Parse(isNow["details"])!["note"]?.GetValue<string>() ?? "",
                        _ => isNow[column],
                    };
                    Assert.True(value == kept, $"{table}.{column}: {value} was, {kept} is");
                }
            }
        }
    }

    // tests/cases/documents/things-55.jsonl: kind and document of everything the shop kept, as the last release that had
    // it in columns read it from this very data
    [Fact]
    public void What_was_kept_in_columns_is_kept_in_documents_to_the_last_digit()
    {
        var kept = File.ReadLines(Tree.Case("documents", "things-55.jsonl")).Select(l => l.Split('\t')).ToList();
        var kinds = kept.Select(l => l[0]).Distinct().ToList();
        Assert.Equal(22, kinds.Count);
        db.Read(c =>
        {
            var now = kinds.SelectMany(k =>
                (List<string[]>)Written((dynamic)Aggregates.All.Single(a => a.Kind == k), c)
            );
            Assert.Equal(kept, now);
            return 0;
        });
    }

    // numbers-55.sql puts something into every list of the shop's numbers, and another word than the usual into every
    // choice; numbers-55.json is what the last release that had them in columns made of it
    [Fact]
    public void The_shops_numbers_are_kept_in_a_document_to_the_last_digit()
    {
        var beside = Path.Combine(folder, "beside");
        Directory.CreateDirectory(beside);
        Left(beside, Data, "numbers-55.sql").Dispose();
        using var shop = Opened(beside);
        var numbers = shop.Read(c => Aggregates.Numbers.Get(c, "1"))!;
        Assert.Equal(7, numbers.Version);
        Assert.Equal(
            File.ReadAllText(Tree.Case("documents", "numbers-55.json")).TrimEnd(),
            Aggregates.Numbers.Document.Written(numbers.Value)
        );
    }

    private static List<string[]> Written<T>(Aggregate<T> things, SqliteConnection c)
        where T : class =>
        [.. things.Ids(c).Select(id => new[] { things.Kind, things.Document.Written(things.Get(c, id)!.Value) })];

    [Fact]
    public void Every_thing_every_earlier_state_and_every_sent_quote_can_be_read()
    {
        var kinds = Aggregates.All.ToDictionary(a => a.Kind);
        var past = before["history"].Where(r => r["json"].Length > 0).ToList();
        Assert.InRange(past.Count, 20, int.MaxValue);
        Assert.All(past, r => Assert.NotNull(Read((dynamic)kinds[r["kind"]], r["json"])));
        db.Read(c =>
        {
            foreach (var aggregate in kinds.Values)
            {
                AllAreRead((dynamic)aggregate, c);
            }
            foreach (var quote in before["quote"])
            {
                Assert.NotEmpty(QuoteStore.Frozen(c, new QuoteId(quote["id"])).Lines);
                Assert.Equal(quote["pdf"], Convert.ToHexString(QuoteStore.PdfOf(c, new QuoteId(quote["id"]))));
            }
            return 0;
        });
    }

    private static object Read<T>(Aggregate<T> kind, string text)
        where T : class => kind.Document.Read(text);

    private static void AllAreRead<T>(Aggregate<T> kind, SqliteConnection c)
        where T : class => Assert.Equal(kind.Ids(c).Count, kind.All(c).Count);

    private static List<string> Tables(SqliteConnection c)
    {
        using var command = c.CreateCommand();
        command.CommandText = "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'";
        using var reader = command.ExecuteReader();
        var names = new List<string>();
        while (reader.Read())
        {
            names.Add(reader.GetString(0));
        }
        return names;
    }

    private static List<Row> Rows(SqliteConnection c, string table)
    {
        using var command = c.CreateCommand();
        command.CommandText = $"SELECT * FROM \"{table}\" ORDER BY rowid";
        using var reader = command.ExecuteReader();
        var rows = new List<Row>();
        while (reader.Read())
        {
            var row = new Row();
            for (var i = 0; i < reader.FieldCount; i++)
            {
                row[reader.GetName(i)] = reader.GetValue(i) is byte[] bytes
                    ? Convert.ToHexString(bytes)
                    : Convert.ToString(reader.GetValue(i), CultureInfo.InvariantCulture)!;
            }
            rows.Add(row);
        }
        return rows;
    }

    private static string Unpacked(string hex) => hex.Length == 0 ? "" : Packing.Unpack(Convert.FromHexString(hex));

    private sealed class Row : Dictionary<string, string>;
}
