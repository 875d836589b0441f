using System.Security.Cryptography;
using System.Text;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using Hepno.Store.Copies;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Tests;

public sealed class StoreTests : IDisposable
{
    private static readonly Deed Deed = new("test", "device", Instant.FromUtc(2026, 6, 1, 10, 0, 0));

    private readonly string folder = Directory.CreateTempSubdirectory("hepno-store-").FullName;

    public void Dispose()
    {
        foreach (var left in Directory.GetParent(folder)!.EnumerateDirectories($"{Path.GetFileName(folder)}*"))
        {
            left.Delete(recursive: true);
        }
    }

    private Db Open()
    {
        var db = new Db(folder);
        db.Open(Deed.At);
        return db;
    }

    [Fact]
    public void An_order_of_several_lines_with_all_its_facts_comes_back_as_it_was_kept()
    {
        using var db = Open();
        db.Write(c => Aggregates.Customers.Put(c, new("c", "C", "x", "2 Slip Road"), 0, Deed));
        Placement Print(string id, string place) => new(new PlacementId(id), place, 9, 8, 50, 2, true, 5.5);
        var ask = new Ask(
            "c",
            [
                new("a", null, null, [new("M", 3), new("L", 1)], [Print("p1", "front"), Print("p2", "back")])
                {
                    Mark = 21.5m,
                },
                new("b", null, null, [new("One size", 4)], [Print("p3", "cap-front")]),
            ],
            new(2026, 7, 1),
            new(16, 30),
            Channel.Wholesale,
            new("near", true)
        )
        {
            Details = new() { Note = "ring" },
        };
        var facts = new OrderFacts(
            new(
                [new("a", "htv", Deed.At), new("b", "dtf-bought", Deed.At, 17.25m)],
                [new("a", "dtf-made")],
                [new("b", "T-5", "htv", 16.5m, Deed.At)]
            ),
            new(
                Deed.At,
                [],
                [new("a", "front", "kept-1", 3, "film")],
                [new("b", "other", "T-6")],
                [new("a", "p", 1, "bit", "vinyl", 9.5, 12.25)]
            ),
            new(
                new("me", Deed.At),
                new(10, null, Deed.At),
                [new("a", "Mara", false, Deed.At)],
                [new("i", GatherKind.Buy, "film", "f", 2.5, "in", 1.5m, new(2026, 6, 2, 12, 0, 0), Deed.At)]
            ),
            new(Deed.At, [new("a", "gannet")], [new("b", "puffin", new(2026, 6, 3, 10, 15, 0))]),
            new(
                [new("b", "One size", 2)],
                [
                    new("Mara", Deed.At, 33.34m, [new("a", "M", 2), new("b", "One size", 1)]),
                    new("Odo", Deed.At, 0, [new("a", "L", 1)]),
                ],
                new("you", Deed.At)
            ),
            new(Deed.At, new(EndKind.Cancelled, "too late", "nobody", 9.5m, 4.25m, Deed.At)),
            [new("x", "letter.txt", "00", 18, Deed.At)]
        );
        var order = new Order("o", 7, ask, facts, Deed.At);
        db.Write(c => Aggregates.Orders.Put(c, order, 0, Deed));
        static string Text(Order o) =>
            System
                .Text.Json.JsonSerializer.Serialize(o)
                .Replace("000000", "", StringComparison.Ordinal)
                .Replace(".00", "", StringComparison.Ordinal);
        Assert.Equal(Text(order), Text(db.Read(c => Aggregates.Orders.Get(c, "o"))!.Value));
        Assert.Equal((2, 4), (order.Facts.DeliveredOf("a", "M"), order.Facts.Delivered()));
    }

    private static Order SomeOrder(string id, int number) =>
        new(
            new OrderId(id),
            number,
            new Ask(null, [new("1", null, null, [], []) { Mark = 12.34m }], null, null),
            OrderFacts.None,
            Deed.At
        );

    [Fact]
    public void Migrations_once_merged_are_never_edited()
    {
        // change nothing here: a new migration gets a new line
        var known = File.ReadAllLines(Path.Combine(Tree.Root, "tests", "cases", "migrations.txt"));
        Assert.Equal(
            known,
            Directory
                .EnumerateFiles(Path.Combine(Tree.Root, "src", "Hepno.Store", "Migrations"), "*.sql")
                .Order(StringComparer.Ordinal)
                .Select(f => $"{Path.GetFileName(f)} {Convert.ToHexStringLower(SHA256.HashData(File.ReadAllBytes(f)))}")
        );
    }

    [Fact]
    public void One_server_a_folder()
    {
        using var db = Open();
        Assert.Throws<DataInUseException>(() => Open());
    }

    [Fact]
    public void Newer_data_is_refused_in_a_sentence_and_left_alone()
    {
        Open().Dispose();
        using (var raw = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False"))
        {
            raw.Open();
            using var command = raw.CreateCommand();
            command.CommandText = "PRAGMA user_version = 999";
            command.ExecuteNonQuery();
        }
        Assert.Contains(
            "newer Hepno",
            Assert.Throws<NewerDataException>(() => Open()).Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Money_goes_through_micro_units_exactly_and_a_failed_write_leaves_nothing()
    {
        using var db = Open();
        db.Write(c =>
            Aggregates.Numbers.Put(
                c,
                ShopNumbers.Default with
                {
                    Rates = ShopNumbers.Default.Rates with { Wage = 18.123456m },
                },
                0,
                Deed
            )
        );
        Assert.Equal(18.123456m, db.Read(c => Aggregates.Numbers.Get(c, "1"))!.Value.Rates.Wage);
        Assert.Throws<InvalidOperationException>(() =>
            db.Write<int>(c =>
            {
                Aggregates.Customers.Put(c, new("a", "A", ""), 0, Deed);
                throw new InvalidOperationException();
            })
        );
        Assert.Empty(db.Read(c => Aggregates.Customers.All(c)));
        Assert.Throws<StaleException>(() => db.Write(c => Aggregates.Numbers.Put(c, ShopNumbers.Default, 7, Deed)));
    }

    [Fact]
    public void Names_are_found_without_accents_or_case()
    {
        using var db = Open();
        db.Write(c => Aggregates.Customers.Put(c, new("a", "Isaura Łőwe", "Øst"), 0, Deed));
        Assert.Single(db.Read(c => CustomerStore.Find(c, "lowe OST".Split(' ')[0], 5)));
        Assert.Single(db.Read(c => CustomerStore.Find(c, "öst", 5)));
    }

    [Fact]
    public void A_full_disk_refuses_the_write_and_reading_goes_on()
    {
        using var db = Open();
        db.Write(c => Aggregates.Customers.Put(c, new("a", "A", ""), 0, Deed));
        var full = Assert.Throws<SqliteException>(() =>
            db.Write(c =>
            {
                using var limit = c.CreateCommand();
                limit.CommandText = "PRAGMA page_count";
                var pages = (long)limit.ExecuteScalar()!;
                limit.CommandText = $"PRAGMA max_page_count = {pages}";
                limit.ExecuteScalar();
                return Aggregates.Customers.Put(c, new("b", new string('x', 5_000_000), ""), 0, Deed);
            })
        );
        Assert.Equal(13, full.SqliteErrorCode);
        Assert.Equal("a", db.Read(c => Aggregates.Customers.All(c)).Single().Value.Id);
    }

    [Fact]
    public async Task A_backup_taken_while_200_writes_run_is_whole_and_restores_row_by_row()
    {
        using (var db = Open())
        {
            var bytes = Encoding.UTF8.GetBytes("a kept file");
            var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
            Directory.CreateDirectory(Path.Combine(folder, "files", hash[..2]));
            await File.WriteAllBytesAsync(Path.Combine(folder, "files", hash[..2], hash), bytes);
            db.Write(c => Aggregates.Orders.Put(c, SomeOrder("o", 1), 0, Deed));
            var during = Path.Combine(folder, "during.tar.gz");
            var archived = false;
            var writing = Task.Run(() =>
            {
                for (var i = 1; i <= 200; i++)
                {
                    // the last of them after it, however slow it is
                    SpinWait.SpinUntil(() => i < 180 || Volatile.Read(ref archived));
                    db.Write(c =>
                        RunStore.Add(
                            c,
                            "o",
                            new RunEvent($"event-{i:000}", "d", i, 1, 1, "M", RunVerdict.Good, null, null, i),
                            Deed.At
                        )
                    );
                }
            });
            SpinWait.SpinUntil(() => db.Read(c => RunStore.Of(c, "o").Count) > 20);
            CopyArchive.Write(folder, during, Deed.At);
            Volatile.Write(ref archived, true);
            await writing;
            CopyArchive.Write(folder, Path.Combine(folder, "after.tar.gz"), Deed.At);
            Assert.Equal(200, db.Read(c => RunStore.Of(c, "o")).Count);
        }
        var live = Dump(folder);
        foreach (var (name, whole) in new[] { ("during", false), ("after", true) })
        {
            var target = folder + "-" + name;
            Assert.Null(PutBack(target, Path.Combine(folder, name + ".tar.gz")));
            var restored = Dump(target);
            Assert.Equal(live.Keys, restored.Keys);
            foreach (var (table, rows) in live)
            {
                // a backup in between holds a prefix of what accrues, and everything else as it was
                Assert.Equal(whole ? rows : rows[..restored[table].Length], restored[table]);
            }
            Assert.Equal(whole, restored["run_event"].Length == 200);
            Assert.True(restored["run_event"].Length >= 20);
            Assert.Equal(Files(folder), Files(target));
        }
    }

    private static string? PutBack(string target, string source)
    {
        using var copy = Restoring.Unpack(source, target, Path.GetDirectoryName(target)!);
        return Restoring.Put(copy, target, new(1970, 1, 1, 0, 0));
    }

    internal static SortedDictionary<string, string[]> Dump(string folder)
    {
        using var connection = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False");
        connection.Open();
        List<string> Lines(string sql)
        {
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            using var reader = command.ExecuteReader();
            var lines = new List<string>();
            while (reader.Read())
            {
                lines.Add(
                    string.Join('|', Enumerable.Range(0, reader.FieldCount).Select(i => reader.GetValue(i).ToString()))
                );
            }
            return lines;
        }
        return new(
            Lines("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
                .ToDictionary(t => t, t => Lines($"SELECT * FROM {t} ORDER BY rowid").ToArray()),
            StringComparer.Ordinal
        );
    }

    internal static string[] Files(string folder) =>
        [
            .. Directory
                .EnumerateFiles(Path.Combine(folder, "files"), "*", SearchOption.AllDirectories)
                .Select(f =>
                    $"{Path.GetRelativePath(folder, f)} "
                    + $"{Convert.ToHexStringLower(SHA256.HashData(File.ReadAllBytes(f)))}"
                )
                .Order(StringComparer.Ordinal),
        ];
}
