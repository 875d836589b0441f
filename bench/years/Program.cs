using System.Globalization;
using Hepno.Store;
using Microsoft.Data.Sqlite;

// Years of work in a data folder that nobody has open: its pressed orders again and again, with quotes, verdicts, history and pictures.
// Usage: dotnet run --project bench/years -- FOLDER ORDERS; or -- FOLDER first CUSTOMERS for a shop as the first version of Hepno kept it.
if (args[1] == "first")
{
    FirstVersion.Make(args[0], int.Parse(args[2], CultureInfo.InvariantCulture));
    return;
}
var (folder, many) = (args[0], int.Parse(args[1], CultureInfo.InvariantCulture));
const int Customers = 2000;
const int Pictured = 20;
const int PictureBytes = 200_000;

using var connection = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False;Foreign Keys=False");
connection.Open();
var sources = Texts("SELECT id FROM orders WHERE handed_at IS NOT NULL ORDER BY number");
var now = DateTime.UtcNow;
using (var transaction = connection.BeginTransaction())
{
    var customer = Texts("SELECT customer_id FROM orders WHERE handed_at IS NOT NULL LIMIT 1")[0];
    for (var i = 0; i < Customers; i++)
    {
        Copy(
            "customer",
            $"id = '{customer}'",
            new()
            {
                ["id"] = $"'c{i}'",
                ["name"] = $"'Customer {i} of Quay {i % 97}'",
                ["search"] = $"'customer {i} of quay {i % 97}'",
            }
        );
    }
    var number = (long)Scalar("SELECT max(number) FROM orders")!;
    var dice = new Random(1);
    for (var i = 0; i < many; i++)
    {
        var (source, id) = (sources[i % sources.Count], $"y{i}");
        // three years, evenly
        var at = $"'{now.AddDays(-1 - (1095.0 * i / many)):yyyy-MM-dd'T'HH:mm:ss.fff'Z'}'";
        Copy(
            "orders",
            $"id = '{source}'",
            new()
            {
                ["id"] = $"'{id}'",
                ["number"] = $"{++number}",
                ["customer_id"] = $"'c{i % Customers}'",
                ["created_at"] = at,
                ["handed_at"] = at,
                ["closed_at"] = at,
            }
        );
        foreach (
            var table in Texts(
                    "SELECT m.name FROM sqlite_schema m JOIN pragma_table_info(m.name) t ON t.name = 'order_id' WHERE m.type = 'table'"
                )
                .Where(t => t is not ("quote" or "run_event" or "learned_order" or "learned_part"))
        )
        {
            Copy(table, $"order_id = '{source}'", new() { ["order_id"] = $"'{id}'" });
        }
        Copy(
            "quote",
            $"order_id = '{source}' AND withdrawn_at IS NULL",
            new()
            {
                ["id"] = $"'{id}-q'",
                ["order_id"] = $"'{id}'",
                ["sent_at"] = at,
            }
        );
        foreach (var table in (string[])["quote_line", "quote_design"])
        {
            Copy(
                table,
                $"quote_id = (SELECT id FROM quote WHERE order_id = '{source}' AND withdrawn_at IS NULL)",
                new() { ["quote_id"] = $"'{id}-q'" }
            );
        }
        Copy(
            "run_event",
            $"order_id = '{source}'",
            new()
            {
                ["seq"] = "NULL",
                ["order_id"] = $"'{id}'",
                ["event_id"] = $"'{id}-' || event_id",
                ["takes_back"] = $"'{id}-' || takes_back",
                ["received_at"] = at,
            }
        );
        Copy(
            "run_lap",
            $"event_id IN (SELECT event_id FROM run_event WHERE order_id = '{source}')",
            new() { ["event_id"] = $"'{id}-' || event_id" }
        );
        Copy(
            "history",
            $"kind = 'order' AND id = '{source}'",
            new()
            {
                ["seq"] = "NULL",
                ["id"] = $"'{id}'",
                ["at"] = at,
            }
        );
        if (i % Pictured == 0)
        {
            var picture = new byte[PictureBytes];
            dice.NextBytes(picture);
            var hash = KeptFiles.Keep(folder, picture);
            Run(
                $"INSERT INTO order_attachment (order_id, position, id, name, hash, bytes, at) VALUES ('{id}', 90, 'a', 'picture.bin', '{hash}', {PictureBytes}, {at})"
            );
        }
    }
    transaction.Commit();
}
Console.WriteLine(
    $"{Scalar("SELECT count(*) FROM orders")} orders, {Scalar("SELECT count(*) FROM quote")} quotes, {Scalar("SELECT count(*) FROM run_event")} verdicts, {Scalar("SELECT count(*) FROM history")} states, {new FileInfo(Db.File(folder)).Length / 1_000_000} MB"
);

void Copy(string table, string where, Dictionary<string, string> with)
{
    var columns = Columns(table);
    Run(
        $"INSERT INTO {table} ({string.Join(", ", columns)}) SELECT {string.Join(", ", columns.Select(c => with.GetValueOrDefault(c, c)))} FROM {table} WHERE {where}"
    );
}

List<string> Columns(string table)
{
    if (!Known.Of.TryGetValue(table, out var columns))
    {
        Known.Of[table] = columns = Texts($"SELECT name FROM pragma_table_info('{table}')");
    }
    return columns;
}

List<string> Texts(string sql)
{
    using var command = connection.CreateCommand();
    command.CommandText = sql;
    using var reader = command.ExecuteReader();
    var texts = new List<string>();
    while (reader.Read())
    {
        texts.Add(reader.GetString(0));
    }
    return texts;
}

object? Scalar(string sql)
{
    using var command = connection.CreateCommand();
    command.CommandText = sql;
    return command.ExecuteScalar();
}

void Run(string sql)
{
    using var command = connection.CreateCommand();
    command.CommandText = sql;
    command.ExecuteNonQuery();
}

/// <summary>Columns of tables, looked up once.</summary>
internal static class Known
{
    public static Dictionary<string, List<string>> Of { get; } = [];
}

/// <summary>A shop as the first version of Hepno kept it.</summary>
internal static class FirstVersion
{
    public static void Make(string folder, int customers)
    {
        using var connection = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        var rows = string.Join(
            ", ",
            Enumerable.Range(0, customers).Select(i => $"('c{i}', 1, 'Customer {i}', '', 'customer {i}')")
        );
        command.CommandText =
            $"PRAGMA journal_mode = WAL; {File.ReadAllText("src/Hepno.Store/Migrations/0001-first.sql")}; PRAGMA user_version = 1; INSERT INTO customer (id, version, name, contact, search) VALUES {rows}";
        command.ExecuteNonQuery();
    }
}
