using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>A table whose rows hang on an order, each at its position: how a row is read and what is written, side by
/// side.</summary>
/// <param name="Table">Its name; it has order_id and position.</param>
/// <param name="Read">A row's value.</param>
/// <param name="Columns">A value's columns.</param>
internal sealed record OrderTable<T>(string Table, Func<Rows.Row, T> Read, Func<T, (string, object?)[]> Columns)
{
    /// <summary>Replaces an order's rows.</summary>
    public void Write(SqliteConnection connection, OrderId orderId, IReadOnlyList<T> values) =>
        connection.Replace(Table, "order_id", orderId, values, Columns);
}

/// <summary>Reads what hangs on some orders, a table at a time.</summary>
/// <param name="connection">Database.</param>
/// <param name="where">Which orders: a condition on the table of orders.</param>
/// <param name="values">Its values.</param>
internal sealed class OrderRows(SqliteConnection connection, string where, (string, object?)[] values)
{
    /// <summary>Database.</summary>
    public SqliteConnection Connection => connection;

    /// <summary>A table's values by order.</summary>
    public ILookup<OrderId, T> Of<T>(OrderTable<T> table) => By(table, r => r.Id<OrderId>("order_id"));

    /// <summary>A table's values by what they hang on.</summary>
    public ILookup<TKey, T> By<TKey, T>(OrderTable<T> table, Func<Rows.Row, TKey> key) =>
        connection
            .Query(
                $"SELECT * FROM {table.Table} WHERE {Inside} ORDER BY order_id, position",
                r => (Key: key(r), Value: table.Read(r)),
                values
            )
            .ToLookup(x => x.Key, x => x.Value);

    /// <summary>Layouts by order.</summary>
    public ILookup<OrderId, Core.Gang.LineLayout> Layouts() => LayoutStore.Of(connection, Inside, values);

    private string Inside => $"order_id IN (SELECT id FROM orders WHERE {where})";
}
