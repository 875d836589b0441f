using System.Runtime.CompilerServices;
using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Hepno.Store;

/// <summary>Reading and writing rows by column name, with the conversions of the database in one place.</summary>
internal static class Rows
{
    private static readonly InstantPattern Instants = InstantPattern.CreateWithInvariantCulture(
        "uuuu-MM-dd'T'HH:mm:ss.fff'Z'"
    );

    private static readonly LocalDateTimePattern Walls = LocalDateTimePattern.CreateWithInvariantCulture(
        "uuuu-MM-dd'T'HH:mm"
    );

    private static readonly LocalTimePattern Hours = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    private static readonly ConditionalWeakTable<SqliteConnection, Dictionary<string, SqliteCommand>> Compiled = [];

    public static void Execute(
        this SqliteConnection connection,
        string sql,
        params ReadOnlySpan<(string Name, object? Value)> values
    )
    {
        var command = Command(connection, sql, values);
        command.ExecuteNonQuery();
        GiveBack(connection, command);
    }

    public static int Changed(
        this SqliteConnection connection,
        string sql,
        params ReadOnlySpan<(string Name, object? Value)> values
    )
    {
        var command = Command(connection, sql, values);
        var changed = command.ExecuteNonQuery();
        GiveBack(connection, command);
        return changed;
    }

    public static long Scalar(
        this SqliteConnection connection,
        string sql,
        params ReadOnlySpan<(string Name, object? Value)> values
    )
    {
        var command = Command(connection, sql, values);
        var value = command.ExecuteScalar() is long n ? n : 0;
        GiveBack(connection, command);
        return value;
    }

    public static List<T> Query<T>(
        this SqliteConnection connection,
        string sql,
        Func<Row, T> map,
        params ReadOnlySpan<(string Name, object? Value)> values
    )
    {
        var command = Command(connection, sql, values);
        var rows = new List<T>();
        using (var reader = command.ExecuteReader())
        {
            var row = new Row(reader);
            while (reader.Read())
            {
                rows.Add(map(row));
            }
        }
        GiveBack(connection, command);
        return rows;
    }

    /// <summary>Inserts or updates the row with the given key columns (the first <paramref name="keys"/> of
    /// them).</summary>
    public static void Put(
        this SqliteConnection connection,
        string table,
        int keys,
        params ReadOnlySpan<(string Column, object? Value)> values
    )
    {
        var columns = new string[values.Length];
        for (var i = 0; i < values.Length; i++)
        {
            columns[i] = values[i].Column;
        }
        var sets = string.Join(", ", columns.Skip(keys).Select(c => $"{c} = excluded.{c}"));
        var conflict = sets.Length == 0 ? "DO NOTHING" : $"DO UPDATE SET {sets}";
        Execute(
            connection,
            $"INSERT INTO {table} ({string.Join(", ", columns)}) VALUES "
                + $"({string.Join(", ", columns.Select(c => "@" + c))}) ON "
                + $"CONFLICT({string.Join(", ", columns.Take(keys))}) {conflict}",
            values
        );
    }

    /// <summary>Replaces the child rows of one thing.</summary>
    public static void Replace<T>(
        this SqliteConnection connection,
        string table,
        string owner,
        object id,
        IReadOnlyList<T> items,
        Func<T, (string, object?)[]> columns
    )
    {
        connection.Execute($"DELETE FROM {table} WHERE {owner} = @id", ("@id", id));
        for (var i = 0; i < items.Count; i++)
        {
            connection.Put(table, 2, [(owner, id), ("position", i), .. columns(items[i])]);
        }
    }

    /// <summary>The condition for one thing, or for all of them when <paramref name="id"/> is null: said apart, because
    /// one condition for both would read every row.</summary>
    public static string Only(string? id, string column) => id is null ? "1" : $"{column} = @id";

    // a long write says the same few statements thousands of times: each is compiled once a connection. One in use is
    // not in the shelf, so a nested query gets its own
    private static SqliteCommand Command(
        SqliteConnection connection,
        string sql,
        ReadOnlySpan<(string Name, object? Value)> values
    )
    {
        if (Compiled.GetOrCreateValue(connection).Remove(sql, out var known) && known.Parameters.Count == values.Length)
        {
            for (var i = 0; i < values.Length; i++)
            {
                // SQLite tells kinds of values apart by the parameter: it is made anew where the kind may change
                known.Parameters[i].ResetSqliteType();
                known.Parameters[i].Value = Stored(values[i].Value);
            }
            return known;
        }
        var command = connection.CreateCommand();
        command.CommandText = sql;
        foreach (var (name, value) in values)
        {
            command.Parameters.AddWithValue(name.StartsWith('@') ? name : "@" + name, Stored(value));
        }
        return command;
    }

    private static void GiveBack(SqliteConnection connection, SqliteCommand command) =>
        Compiled.GetOrCreateValue(connection)[command.CommandText] = command;

    private static object Stored(object? value) =>
        value switch
        {
            null => DBNull.Value,
            decimal money => Micros(money),
            Share share => Micros(share.Part),
            Instant at => Instants.Format(at),
            LocalDateTime wall => Walls.Format(wall),
            LocalDate day => LocalDatePattern.Iso.Format(day),
            LocalTime time => Hours.Format(time),
            Enum word => word.ToString(),
            IId id => id.Text,
            bool flag => flag ? 1L : 0L,
            _ => value,
        };

    private static long Micros(decimal money) => (long)Math.Round(money * 1_000_000m, MidpointRounding.AwayFromZero);

    /// <summary>The row now under the reader.</summary>
    internal sealed class Row(SqliteDataReader reader)
    {
        public string Text(string column) => reader.GetString(reader.GetOrdinal(column));

        public string? TextOrNull(string column) => At(column) is { } i ? reader.GetString(i) : null;

        public TId Id<TId>(string column)
            where TId : struct, IId<TId> => TId.From(Text(column));

        public TId? IdOrNull<TId>(string column)
            where TId : struct, IId<TId> => TextOrNull(column) is { } t ? TId.From(t) : null;

        public int Int(string column) => reader.GetInt32(reader.GetOrdinal(column));

        public int? IntOrNull(string column) => At(column) is { } i ? reader.GetInt32(i) : null;

        public long Long(string column) => reader.GetInt64(reader.GetOrdinal(column));

        public double Real(string column) => reader.GetDouble(reader.GetOrdinal(column));

        public double? RealOrNull(string column) => At(column) is { } i ? reader.GetDouble(i) : null;

        public bool Flag(string column) => Int(column) != 0;

        public decimal Money(string column) => reader.GetInt64(reader.GetOrdinal(column)) / 1_000_000m;

        public Share Share(string column) => new(Money(column));

        public decimal? MoneyOrNull(string column) => At(column) is { } i ? reader.GetInt64(i) / 1_000_000m : null;

        public Instant Utc(string column) => Instants.Parse(Text(column)).Value;

        public Instant? UtcOrNull(string column) => At(column) is null ? null : Utc(column);

        public LocalDateTime Wall(string column) => Walls.Parse(Text(column)).Value;

        public LocalDate Day(string column) => LocalDatePattern.Iso.Parse(Text(column)).Value;

        public LocalDate? DayOrNull(string column) => At(column) is null ? null : Day(column);

        public LocalTime? TimeOrNull(string column) => At(column) is null ? null : Hours.Parse(Text(column)).Value;

        public T Word<T>(string column)
            where T : struct, Enum => Enum.Parse<T>(Text(column));

        public byte[] Bytes(string column) => reader.GetFieldValue<byte[]>(reader.GetOrdinal(column));

        public byte[]? BytesOrNull(string column) => At(column) is { } i ? reader.GetFieldValue<byte[]>(i) : null;

        private int? At(string column) => reader.GetOrdinal(column) is var i && reader.IsDBNull(i) ? null : i;
    }
}
