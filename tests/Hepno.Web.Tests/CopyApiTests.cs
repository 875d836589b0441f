using System.Diagnostics;
using System.Net.Http.Headers;
using System.Text.Json;
using Hepno.Store;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Tests;

/// <summary>Copies made, tried and put back while the shop is open; one that fails is told on every screen and stops
/// nothing.</summary>
public sealed class CopyApiTests : IDisposable
{
    private readonly Shop shop = new(demo: false);

    public void Dispose() => shop.Dispose();

    private async Task Customer(string id) =>
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Put, $"/api/customers/{id}", """{"name":"A","contact":""}""")).Status
        );

    private async Task<int> Customers() => (await shop.Get("/api/customers")).GetArrayLength();

    private async Task<string[]> Notices() =>
        [
            .. (await shop.Get("/api/line"))
                .GetProperty("notices")
                .EnumerateArray()
                .Select(n => n.GetProperty("sentence").GetString()!),
        ];

    [Fact]
    public async Task A_copy_is_made_checked_and_put_back_and_everything_read_before_is_read_anew()
    {
        await Customer("first");
        var (status, view) = await shop.Send(HttpMethod.Post, "/api/copies");
        Assert.Equal(200, status);
        var name = view.GetProperty("copies")[0].GetProperty("name").GetString()!;
        var numbers = await shop.Get("/api/numbers");
        await Customer("second");
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    numbers
                        .GetProperty("value")
                        .GetRawText()
                        .Replace("\"wage\":18,", "\"wage\":21,", StringComparison.Ordinal),
                    numbers.GetProperty("version").ValueKind == JsonValueKind.Number
                        ? numbers.GetProperty("version").GetRawText()
                        : null
                )
            ).Status
        );
        Assert.Equal(
            21,
            (await shop.Get("/api/numbers")).GetProperty("value").GetProperty("rates").GetProperty("wage").GetDecimal()
        );
        var seq = (await shop.Get("/api/line")).GetProperty("seq").GetInt64();

        var checkedCopy = await shop.Send(HttpMethod.Post, $"/api/copies/{name}/check");
        Assert.Equal(
            (200, "0 orders, 1 customers, 0 files"),
            (checkedCopy.Status, checkedCopy.Body.GetProperty("said").GetString())
        );
        Assert.Equal(2, await Customers());
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, $"/api/copies/{name}/restore")).Status);
        Assert.Equal(1, await Customers());
        Assert.Equal(
            18,
            (await shop.Get("/api/numbers")).GetProperty("value").GetProperty("rates").GetProperty("wage").GetDecimal()
        );
        var line = await shop.Get("/api/line");
        Assert.True(line.GetProperty("seq").GetInt64() > seq);
        Assert.True(line.GetProperty("newShop").GetBoolean());
        // what stood there was copied first
        var before = (await shop.Get("/api/copies"))
            .GetProperty("copies")
            .EnumerateArray()
            .Single(c => c.GetProperty("name").GetString()!.StartsWith("before-restore", StringComparison.Ordinal))
            .GetProperty("name")
            .GetString();
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, $"/api/copies/{before}/restore")).Status);
        Assert.Equal(2, await Customers());
        Assert.Equal(409, (await shop.Send(HttpMethod.Post, "/api/copies/none/restore")).Status);
        Assert.Equal(409, (await shop.Send(HttpMethod.Post, "/api/copies/..%2fhepno.db/restore")).Status);
    }

    [Fact]
    public async Task An_archive_goes_out_and_comes_back_and_a_damaged_one_is_refused()
    {
        await Customer("first");
        using var client = shop.CreateClient();
        var archive = await client.GetByteArrayAsync("/api/copies/archive");
        // it goes as soon as it was sent
        while (Directory.EnumerateFiles(Path.Combine(shop.Folder, "tmp")).Any())
        {
            await Task.Delay(20);
        }
        await Customer("second");
        async Task<(int Status, JsonElement Body)> Upload(byte[] bytes)
        {
            using var content = new ByteArrayContent(bytes);
            content.Headers.ContentType = new MediaTypeHeaderValue("application/gzip");
            using var answer = await client.PostAsync("/api/copies/archive", content);
            return ((int)answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
        }
        var (status, sent) = await Upload(archive);
        Assert.Equal(
            (200, 0, 0),
            (status, sent.GetProperty("orders").GetInt32(), sent.GetProperty("ordersNow").GetInt32())
        );
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Post, $"/api/copies/{sent.GetProperty("name").GetString()}/restore")).Status
        );
        Assert.Equal(1, await Customers());
        archive[archive.Length / 2] ^= 1;
        var (refused, why) = await Upload(archive);
        Assert.Equal(409, refused);
        Assert.Contains("This copy is not put back", why.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(1, await Customers());
    }

    [Fact]
    public async Task A_copy_that_cannot_be_made_stops_nothing_and_is_told_until_one_succeeds()
    {
        var backups = Path.Combine(shop.Folder, "backups");
        await File.WriteAllTextAsync(backups, "a file where the folder is to be");
        await Customer("first");
        string[] notices;
        while ((notices = await Notices()).Length == 0)
        {
            await Task.Delay(100);
        }
        Assert.StartsWith("No good copy of the shop's data since", Assert.Single(notices), StringComparison.Ordinal);
        await Customer("second");
        var (status, body) = await shop.Send(HttpMethod.Post, "/api/copies");
        Assert.Equal(507, status);
        Assert.NotEmpty(body.GetProperty("problems")[0].GetProperty("remedy").GetString()!);
        File.Delete(backups);
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/copies")).Status);
        Assert.Empty(await Notices());
    }

    [Fact]
    public async Task A_second_folder_gets_copies_too_and_says_when_it_is_not_there()
    {
        await Customer("first");
        var stick = Directory.CreateTempSubdirectory("hepno-stick-").FullName;
        var (status, view) = await shop.Send(
            HttpMethod.Put,
            "/api/copies/second-folder",
            $$"""{"folder":"{{stick}}"}"""
        );
        Assert.Equal((200, stick), (status, view.GetProperty("secondFolder").GetString()));
        Assert.Single(Directory.EnumerateDirectories(stick), d => File.Exists(Path.Combine(d, "copy.json")));
        Directory.Delete(stick, recursive: true);
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/copies")).Status);
        Assert.Contains($"{stick} is not there.", Assert.Single(await Notices()), StringComparison.Ordinal);
        Assert.False(Directory.Exists(stick));
        foreach (
            var (folder, sentence) in new[]
            {
                ("backups", "There is no folder backups"),
                ("/nowhere/at/all", "There is no folder /nowhere/at/all"),
                (Path.Combine(shop.Folder, "files"), "is inside the data folder"),
            }
        )
        {
            var (refused, why) = await shop.Send(
                HttpMethod.Put,
                "/api/copies/second-folder",
                $$"""{"folder":"{{folder}}"}"""
            );
            Assert.Equal(400, refused);
            Assert.Contains(sentence, why.GetRawText(), StringComparison.Ordinal);
        }
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/copies/second-folder", """{"folder":null}""")).Status);
        Assert.Empty(await Notices());
    }

    [Fact]
    public async Task Once_a_month_a_copy_is_put_back_aside_and_what_came_of_it_is_told()
    {
        await Customer("first");
        JsonElement view;
        while ((view = await shop.Get("/api/copies")).GetProperty("trial").GetString()!.Length == 0)
        {
            await Task.Delay(100);
        }
        Assert.True(view.GetProperty("trialWell").GetBoolean());
        // the first copy may be of before the customer: it is made five seconds after the start
        Assert.Matches(
            "was put back aside: 0 orders, [01] customers, 0 files, every row as it was copied",
            view.GetProperty("trial").GetString()!
        );
        Assert.Empty(Directory.EnumerateFileSystemEntries(Path.Combine(shop.Folder, "tmp")));
    }

    [Fact]
    public void One_command_goes_back_to_the_data_of_the_version_before()
    {
        var folder = Directory.CreateTempSubdirectory("hepno-back-").FullName;
        var first = File.ReadAllText(Path.Combine(Tree.Root, "src", "Hepno.Store", "Migrations", "0001-first.sql"));
        Sql(
            folder,
            $"{first}; PRAGMA user_version = 1; INSERT INTO customer (id, version, name, contact, search) VALUES "
                + "('a', 1, 'Ansel', '', 'ansel')"
        );
        using (var db = new Db(folder))
        {
            db.Open(SystemClock.Instance.GetCurrentInstant());
            Assert.Equal("Ansel", Assert.Single(db.Read(c => Aggregates.Customers.All(c))).Value.Name);
        }
        SqliteConnection.ClearAllPools();
        Assert.NotEqual(1L, Sql(folder, "PRAGMA user_version"));
        using var back = Process.Start(
            new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location, "back", "--data", folder, "--yes"])
            {
                RedirectStandardOutput = true,
            }
        )!;
        var said = back.StandardOutput.ReadToEnd();
        back.WaitForExit();
        Assert.Equal(0, back.ExitCode);
        Assert.Contains("This would put back 0 orders, 1 customers and 0 files", said, StringComparison.Ordinal);
        Assert.Contains("Its data is of version 1: start the Hepno that wrote it.", said, StringComparison.Ordinal);
        Assert.Equal(1L, Sql(folder, "PRAGMA user_version"));
        Assert.Equal(1L, Sql(folder, "SELECT count(*) FROM customer"));
        foreach (var left in Directory.GetParent(folder)!.EnumerateDirectories($"{Path.GetFileName(folder)}*"))
        {
            left.Delete(recursive: true);
        }
    }

    private static object? Sql(string folder, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }
}
