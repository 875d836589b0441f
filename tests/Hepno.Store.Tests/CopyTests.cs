using System.Formats.Tar;
using System.IO.Compression;
using System.Text;
using Hepno.Store.Copies;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Tests;

/// <summary>Copies: whole or not counted, equal row by row when they are put back, refused for one bit.</summary>
public sealed class CopyTests : IDisposable
{
    private static readonly Deed Deed = new("test", "device", Instant.FromUtc(2026, 6, 1, 10, 0, 0));

    private readonly string root = Directory.CreateTempSubdirectory("hepno-copies-").FullName;

    private string Folder => Path.Combine(root, "shop");

    private CopyFolder Copies => new(Path.Combine(Folder, "backups"));

    public void Dispose() => Directory.Delete(root, recursive: true);

    private Db Open()
    {
        Directory.CreateDirectory(Folder);
        var db = new Db(Folder);
        db.Open(Deed.At);
        return db;
    }

    // a shop of one customer, one order with an attachment, and its file
    private string Fill(Db db)
    {
        var hash = KeptFiles.Keep(Folder, Encoding.UTF8.GetBytes("a letter of theirs"));
        db.Write(c => Aggregates.Customers.Put(c, new("a", "Ansel", ""), 0, Deed));
        var facts = Core.Orders.OrderFacts.None with { Attached = [new("x", "letter.txt", hash, 18, Deed.At)] };
        db.Write(c =>
            Aggregates.Orders.Put(
                c,
                new("o", 7, new("a", [new("1", null, null, [], [])], null, null), facts, Deed.At),
                0,
                Deed
            )
        );
        return hash;
    }

    private void Lies(string where)
    {
        Assert.Equal(StoreTests.Dump(Folder), StoreTests.Dump(where));
        Assert.Equal(StoreTests.Files(Folder), StoreTests.Files(where));
    }

    private string Archive()
    {
        var file = Path.Combine(root, "shop.tar.gz");
        CopyArchive.Write(Folder, file, Deed.At);
        return file;
    }

    private string Fresh() => Directory.CreateDirectory(Path.Combine(root, $"fresh-{Guid.NewGuid():N}")).FullName;

    private string Refused(string source) =>
        Assert.Throws<UnfitCopyException>(() => Restoring.Unpack(source, Folder, root).Dispose()).Message;

    [Fact]
    public void A_days_copy_is_packed_holds_each_file_once_and_comes_back_row_by_row()
    {
        using var db = Open();
        var hash = Fill(db);
        Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        var shared = new FileInfo(Path.Combine(Folder, "backups", "files", hash[..2], hash));
        var written = shared.LastWriteTimeUtc;
        Copies.Make(Folder, "2026-06-02", "daily", Deed.At + Duration.FromDays(1));
        shared.Refresh();
        Assert.Equal(written, shared.LastWriteTimeUtc);
        var listed = Copies.All();
        Assert.Equal(["2026-06-02", "2026-06-01"], listed.Select(c => c.Name));
        Assert.All(listed, c =>
            Assert.Equal((1, 1, 1), (c.Manifest!.Data.Orders, c.Manifest.Data.Customers, c.Manifest.Files.Count))
        );
        Assert.True(listed[0].Bytes < new FileInfo(Db.File(Folder)).Length / 2);
        using var copy = Restoring.Unpack(Path.Combine(Folder, "backups", "2026-06-01"), Folder, root);
        Lies(copy.Folder);
    }

    [Theory]
    [InlineData("2026-06-01/hepno.db.gz")]
    [InlineData("2026-06-01/copy.json")]
    [InlineData("2026-06-01/copy.sha256")]
    [InlineData("files")]
    public void A_copy_with_one_flipped_bit_is_not_whole_and_is_made_again(string part)
    {
        using var db = Open();
        Fill(db);
        Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        var path = Path.Combine(Folder, "backups", part);
        var file = Directory.Exists(path)
            ? Directory.EnumerateFiles(path, "*", SearchOption.AllDirectories).Single()
            : path;
        var bytes = File.ReadAllBytes(file);
        bytes[bytes.Length / 2] ^= 4;
        File.WriteAllBytes(file, bytes);
        Assert.False(Copies.IsWhole("2026-06-01"));
        Assert.StartsWith(
            "This copy is not put back",
            Refused(Path.Combine(Folder, "backups", "2026-06-01")),
            StringComparison.Ordinal
        );
        if (part == "files")
        {
            File.Delete(file);
            Assert.False(Copies.IsWhole("2026-06-01"));
        }
        Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        Assert.True(Copies.IsWhole("2026-06-01"));
    }

    [Fact]
    public void What_was_left_half_made_is_swept_away_and_never_listed()
    {
        using var db = Open();
        Fill(db);
        Directory.CreateDirectory(Path.Combine(Folder, "backups", ".making-half"));
        File.WriteAllText(Path.Combine(Folder, "backups", ".making-half", "hepno.db"), "half");
        Directory.CreateDirectory(Path.Combine(Folder, "backups", "2026-05-31"));
        Assert.Null(Assert.Single(Copies.All()).Manifest);
        Copies.Make(Folder, "2026-05-31", "daily", Deed.At);
        Assert.NotNull(Assert.Single(Copies.All()).Manifest);
        Assert.Empty(Directory.EnumerateFileSystemEntries(Path.Combine(Folder, "backups"), ".making-*"));
    }

    [Fact]
    public void The_last_of_each_day_week_and_month_stay_and_files_that_none_names_go()
    {
        using var db = Open();
        Fill(db);
        var day = new LocalDate(2025, 1, 1);
        // thinned out of old, then a day each
        foreach (var n in Enumerable.Range(0, 40).Select(n => n * 10).Concat(Enumerable.Range(400, 20)))
        {
            Copies.Make(Folder, CopyFolder.OfDay(day.PlusDays(n)), "daily", Deed.At + Duration.FromDays(n - 500));
            if (n == 300)
            {
                db.Write(c =>
                    Aggregates.Orders.Put(
                        c,
                        Aggregates.Orders.Get(c, "o")!.Value with
                        {
                            Facts = Core.Orders.OrderFacts.None,
                        },
                        1,
                        Deed
                    )
                );
                Directory.Delete(Path.Combine(Folder, "files"), recursive: true);
                Directory.CreateDirectory(Path.Combine(Folder, "files"));
            }
        }
        Copies.Make(Folder, "before-0099-x", "before-0099", Deed.At);
        Copies.Thin();
        var left = Copies.All().Select(c => c.Name).ToList();
        Assert.Contains("before-0099-x", left);
        // fourteen days, the weeks they leave out, and the last of each month
        Assert.InRange(left.Count, 14 + 8, 14 + 8 + 12 + 1);
        Assert.Contains("2025-03-22", left);
        Assert.DoesNotContain("2025-01-01", left);
        Assert.True(left.Where(n => n[0] == '2').All(Copies.IsWhole));
        foreach (var old in left.Where(n => n[0] == '2' && string.CompareOrdinal(n, "2025-11-01") < 0))
        {
            Directory.Delete(Path.Combine(Folder, "backups", old), recursive: true);
        }
        Copies.Thin();
        Assert.Empty(
            Directory.EnumerateFiles(Path.Combine(Folder, "backups", "files"), "*", SearchOption.AllDirectories)
        );
    }

    [Fact]
    public void Two_hundred_archives_with_one_flipped_bit_each_are_refused_and_the_data_is_untouched()
    {
        using var db = Open();
        Fill(db);
        var whole = File.ReadAllBytes(Archive());
        var before = StoreTests.Dump(Folder);
        var dice = new Random(29);
        var bad = Path.Combine(root, "bad.tar.gz");
        // the first and last bytes too: what ordinary tools do not look at
        foreach (
            var bit in Enumerable
                .Range(0, 40)
                .Concat(Enumerable.Range(0, 40).Select(n => (whole.Length * 8) - 1 - n))
                .Concat(Enumerable.Range(0, 120).Select(_ => dice.Next(whole.Length * 8)))
        )
        {
            var bytes = (byte[])whole.Clone();
            bytes[bit / 8] ^= (byte)(1 << (bit % 8));
            File.WriteAllBytes(bad, bytes);
            Assert.StartsWith("This copy is not put back", Refused(bad), StringComparison.Ordinal);
        }
        Assert.Equal(before, StoreTests.Dump(Folder));
        Assert.Empty(Directory.EnumerateDirectories(root, ".hepno-restore-*"));
    }

    [Fact]
    public void An_archive_comes_back_row_by_row_and_ordinary_tools_unpack_it()
    {
        using (var db = Open())
        {
            Fill(db);
            Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
            var archive = Archive();
            Assert.Contains(
                "running Hepno",
                Assert.Throws<UnfitCopyException>(() => PutBack(archive)).Message,
                StringComparison.Ordinal
            );
        }
        using var tar = System.Diagnostics.Process.Start(
            "tar",
            ["-xzf", Path.Combine(root, "shop.tar.gz"), "-C", Fresh()]
        )!;
        tar.WaitForExit();
        Assert.Equal(0, tar.ExitCode);
        var old = PutBack(Path.Combine(root, "shop.tar.gz"))!;
        Assert.Equal(StoreTests.Dump(old), StoreTests.Dump(Folder));
        Assert.Equal(StoreTests.Files(old), StoreTests.Files(Folder));
        // the copies made so far are still there
        Assert.Equal("2026-06-01", Assert.Single(Copies.All()).Name);
    }

    [Fact]
    public void A_copy_says_when_it_was_made_as_every_release_wrote_it()
    {
        using var db = Open();
        Fill(db);
        var made = Copies.Make(Folder, "said", "asked", Deed.At);
        var text = Encoding.UTF8.GetString(made.Written());
        Assert.Contains("\"madeAt\": \"2026-06-01T10:00:00Z\"", text, StringComparison.Ordinal);
        Assert.Contains("\"lastAt\": \"2026-06-01T10:00:00Z\"", text, StringComparison.Ordinal);
        Assert.Equal(Deed.At, CopyManifest.Read(made.Written()).MadeAt);
    }

    private string? PutBack(string source)
    {
        using var copy = Restoring.Unpack(source, Folder, root);
        return Restoring.Put(copy, Folder, new(1970, 1, 1, 0, 0));
    }

    [Fact]
    public void What_is_no_copy_of_a_shop_is_refused_in_a_sentence()
    {
        using var db = Open();
        Fill(db);
        string Plain(string name, byte[] bytes)
        {
            File.WriteAllBytes(Path.Combine(root, name), bytes);
            return Path.Combine(root, name);
        }
        string Tar(Action<TarWriter> write)
        {
            var file = Path.Combine(root, $"{Guid.NewGuid():N}.tar.gz");
            using var zip = new GZipStream(File.Create(file), CompressionLevel.Fastest);
            using var tar = new TarWriter(zip);
            write(tar);
            return file;
        }
        PaxTarEntry Entry(TarEntryType type, string name, string link = "")
        {
            var entry = new PaxTarEntry(type, name);
            if (link.Length > 0)
            {
                entry.LinkName = link;
            }
            return entry;
        }
        Assert.Contains("there is no file", Refused(Path.Combine(root, "none")), StringComparison.Ordinal);
        Assert.Contains("it is empty, or no plain file", Refused(Plain("empty", [])), StringComparison.Ordinal);
        Assert.Contains("it is empty, or no plain file", Refused("/dev/zero"), StringComparison.Ordinal);
        Assert.Contains(
            "not a Hepno archive",
            Refused(Plain("text", "not an archive"u8.ToArray())),
            StringComparison.Ordinal
        );
        File.CreateSymbolicLink(Path.Combine(root, "link"), Archive());
        Assert.Contains("it is a link", Refused(Path.Combine(root, "link")), StringComparison.Ordinal);
        Assert.Contains(
            "which no archive of a shop holds",
            Refused(Tar(t => t.WriteEntry(Entry(TarEntryType.SymbolicLink, "hepno.db", "/etc/passwd")))),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "which no archive of a shop holds",
            Refused(Tar(t => t.WriteEntry(Entry(TarEntryType.RegularFile, "../out")))),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "which no archive of a shop holds",
            Refused(Tar(t => t.WriteEntry(Entry(TarEntryType.Fifo, "hepno.db")))),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "it holds no shop",
            Refused(Tar(t => t.WriteEntry(Entry(TarEntryType.RegularFile, $"files/ab/ab{new string('0', 62)}")))),
            StringComparison.Ordinal
        );
        Assert.Contains("its list of contents", Refused(root), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("CREATE TABLE recipe (id INTEGER); PRAGMA user_version = 3", "another program's data")]
    [InlineData("PRAGMA user_version = 3", "its data is empty")]
    [InlineData(
        "PRAGMA user_version = 0; CREATE TABLE orders (id); CREATE TABLE customer (id); CREATE TABLE history (at); CREATE TABLE change (seq)",
        "another program's data"
    )]
    public void An_empty_or_foreign_database_is_refused(string sql, string sentence)
    {
        Directory.CreateDirectory(Folder);
        var file = Path.Combine(root, "foreign.db");
        using (var connection = new SqliteConnection($"Data Source={file};Pooling=False"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            command.ExecuteNonQuery();
        }
        Assert.Contains(sentence, Refused(file), StringComparison.Ordinal);
    }

    [Fact]
    public void A_bare_database_of_earlier_days_takes_its_files_from_where_they_lie_and_is_refused_without_them()
    {
        string hash;
        using (var db = Open())
        {
            hash = Fill(db);
        }
        SqliteConnection.ClearAllPools();
        var bare = Path.Combine(root, "2026-05-01.db");
        File.Copy(Db.File(Folder), bare);
        using (var copy = Restoring.Unpack(bare, Folder, root))
        {
            Lies(copy.Folder);
        }
        File.Delete(Path.Combine(Folder, "files", hash[..2], hash));
        Assert.Contains(
            $"the file {hash[..12]} that its data names is missing",
            Refused(bare),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void An_artworks_picture_and_the_one_it_came_as_are_the_shops_files()
    {
        using var db = Open();
        var report = Core.Artwork.ArtworkReport.Measure(new(2, 1, [200, 30, 30, 255, 0, 0, 0, 0]), 3, false)!;
        db.Write(c =>
            Aggregates.Designs.Put(
                c,
                new("d", "Crest", "png", new string('a', 64), 10, 3, report, Core.Artwork.Rights.Unsaid)
                {
                    CameAs = new string('b', 64),
                },
                0,
                Deed
            )
        );
        Assert.Equal([new string('a', 64), new string('b', 64)], db.Read(FileNames.Named));
        Assert.Equal(
            [new string('a', 64), new string('b', 64)],
            Copies.Make(Folder, "2026-06-01", "daily", Deed.At).Lost
        );
    }

    [Fact]
    public void A_file_that_is_gone_is_named_and_does_not_keep_the_rest_from_being_copied()
    {
        using var db = Open();
        var hash = Fill(db);
        File.WriteAllText(Path.Combine(Folder, "files", hash[..2], hash), "something else");
        var manifest = Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        Assert.Equal([hash], manifest.Lost);
        Assert.True(Copies.IsWhole("2026-06-01"));
        using var copy = Restoring.Unpack(Path.Combine(Folder, "backups", "2026-06-01"), Folder, root);
        Assert.Equal(StoreTests.Dump(Folder), StoreTests.Dump(copy.Folder));
    }

    [Fact]
    public void A_copy_is_put_back_while_the_shop_is_open_and_changes_go_on_from_where_they_were()
    {
        using var db = Open();
        var hash = Fill(db);
        Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        db.Write(c => Aggregates.Customers.Put(c, new("b", "Brina", ""), 0, Deed));
        // who was let in since stays in, and where copies go stays said: they are the machine's
        db.Write(c =>
        {
            PairedDeviceStore.Add(c, new("t", "Tablet", Deed.At, true, DeviceRole.Press), "hash");
            CopyingStore.Put(c, CopyingStore.Get(c) with { SecondFolder = "/stick" });
            return 0;
        });
        File.Delete(Path.Combine(Folder, "files", hash[..2], hash));
        var last = db.Read(ChangeStore.Last);
        using (
            var copy = Restoring.Unpack(
                Path.Combine(Folder, "backups", "2026-06-01"),
                Folder,
                Path.Combine(Folder, "tmp")
            )
        )
        {
            db.Replace(copy, Deed.At);
        }
        Assert.Equal(["a"], db.Read(c => Aggregates.Customers.All(c)).Select(c => c.Value.Id));
        Assert.True(KeptFiles.Has(Folder, hash));
        Assert.True(Assert.Single(db.Read(PairedDeviceStore.All)).ShutOut);
        Assert.Equal("/stick", db.Read(CopyingStore.Get).SecondFolder);
        Assert.Equal(
            new Change(last + 1, "restored", "1", 1),
            Assert.Single(db.Read(c => ChangeStore.Since(c, last, 10)))
        );
        db.Write(c => Aggregates.Customers.Put(c, new("c", "Cora", ""), 0, Deed));
        Assert.Equal(2, db.Read(c => Aggregates.Customers.All(c)).Count);
    }

    [Fact]
    public void A_shop_that_is_gone_beside_its_copies_is_never_silently_a_new_one()
    {
        using (var db = Open())
        {
            Fill(db);
            Copies.Make(Folder, "2026-06-01", "daily", Deed.At);
        }
        foreach (var made in new[] { true, false })
        {
            SqliteConnection.ClearAllPools();
            foreach (var file in Directory.EnumerateFiles(Folder, "hepno.db*"))
            {
                File.Delete(file);
            }
            if (made)
            {
                File.WriteAllBytes(Db.File(Folder), []);
            }
            var gone = Assert.Throws<DataTroubleException>(() => Open());
            Assert.Contains(
                "there are copies of one: the last, 2026-06-01, holds 1 orders",
                gone.Message,
                StringComparison.Ordinal
            );
        }
        Assert.NotNull(PutBack(Path.Combine(Folder, "backups", "2026-06-01")));
        using var again = Open();
        Assert.Single(again.Read(c => Aggregates.Customers.All(c)));
        Assert.NotEmpty(again.Backups.All());
    }

    [Theory]
    [InlineData("", false)]
    [InlineData("-wal", false)]
    [InlineData("", true)]
    public void A_data_file_that_is_taken_away_is_noticed_before_a_write_is_acknowledged(string which, bool replaced)
    {
        using var db = Open();
        Fill(db);
        if (replaced)
        {
            CopyArchive.Write(Folder, Path.Combine(root, "other.tar.gz"), Deed.At);
            File.Copy(Db.File(Folder), Path.Combine(root, "other.db"));
            File.Move(Path.Combine(root, "other.db"), Db.File(Folder), overwrite: true);
        }
        else
        {
            File.Delete(Db.File(Folder) + which);
        }
        var moved = Assert.Throws<DataTroubleException>(() =>
            db.Write(c => Aggregates.Customers.Put(c, new("b", "B", ""), 0, Deed))
        );
        Assert.Contains("was removed or replaced while Hepno ran", moved.Message, StringComparison.Ordinal);
        Assert.Throws<DataTroubleException>(() => db.Read(c => Aggregates.Customers.All(c)));
        Assert.Equal(which.Length > 0 || replaced, File.Exists(Db.File(Folder)));
    }

    [Fact]
    public void What_is_wrong_with_a_folder_has_its_own_sentence()
    {
        Directory.CreateDirectory(Folder);
        File.WriteAllText(Db.File(Folder), new string('x', 5000));
        Assert.Equal("damaged", Assert.Throws<DataTroubleException>(() => Open()).Code);
        File.Delete(Db.File(Folder));
        Open().Dispose();
        SqliteConnection.ClearAllPools();
        using (var held = new SqliteConnection($"Data Source={Db.File(Folder)};Pooling=False"))
        {
            held.Open();
            using var command = held.CreateCommand();
            command.CommandText =
                "PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE; UPDATE copying SET trial_said = 'x'";
            command.ExecuteNonQuery();
            Assert.Equal("busy", Assert.Throws<DataTroubleException>(() => Open()).Code);
        }
        foreach (
            var (trouble, code) in new (Exception, string)[]
            {
                (new SqliteException("", 13), "disk-full"),
                (new SqliteException("", 8), "read-only"),
                (new SqliteException("", 14), "read-only"),
                (new UnauthorizedAccessException(), "read-only"),
                (new SqliteException("", 11), "damaged"),
                (new IOException("", 28), "disk-full"),
                (new IOException("", 30), "read-only"),
                (new SqliteException("", 10), "disk-error"),
            }
        )
        {
            Assert.Equal(code, DataTrouble.Of(trouble, Folder)!.Code);
        }
        Assert.Null(DataTrouble.Of(new InvalidOperationException(), Folder));
    }
}
