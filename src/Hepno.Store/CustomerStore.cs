using Hepno.Core.Orders;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Customers, found by any part of name or contact, accents and case aside.</summary>
public static class CustomerStore
{
    // the base letter first, then the letters that are found by it
    private static readonly string[] Bases =
    [
        "aàáâãäåāăą",
        "cçćĉċč",
        "dďđð",
        "eèéêëēĕėęě",
        "gĝğġģ",
        "hĥħ",
        "iìíîïĩīĭįı",
        "jĵ",
        "kķ",
        "lĺļľŀł",
        "nñńņňŉ",
        "oòóôõöøōŏő",
        "rŕŗř",
        "sśŝşšș",
        "tţťŧț",
        "uùúûüũūŭůűų",
        "wŵ",
        "yýÿŷ",
        "zźżž",
    ];

    internal static Aggregate<Customer> Aggregate() =>
        new(
            "customer",
            "customer",
            (connection, id) =>
                connection.Query(
                    $"SELECT * FROM customer WHERE {Rows.Only(id, "id")} ORDER BY search",
                    r => new Versioned<Customer>(Of(r), r.Long("version")),
                    ("@id", id)
                ),
            c => c.Id.Text,
            (connection, c, version) =>
                connection.Put(
                    "customer",
                    1,
                    ("id", c.Id),
                    ("version", version),
                    ("name", c.Name),
                    ("contact", c.Contact),
                    ("address", c.Address),
                    ("tax_exempt", c.TaxExempt),
                    ("account_days", c.AccountDays),
                    ("search", Folded($"{c.Name} {c.Contact}"))
                )
        );

    public static List<Customer> Find(SqliteConnection connection, string text, int most) =>
        connection.Query(
            "SELECT * FROM customer WHERE instr(search, @text) > 0 ORDER BY search LIMIT @most",
            Of,
            ("@text", Folded(text)),
            ("@most", most)
        );

    /// <summary>Base letters in lower case: ő finds o, Ł finds l.</summary>
    public static string Folded(string text)
    {
        // the program runs without the system's language data, so the letters are folded by a table
        return string.Concat(
            text.Select(char.ToLowerInvariant)
                .Select(c => Bases.FirstOrDefault(b => b.Contains(c, StringComparison.Ordinal)) is { } b ? b[0] : c)
        );
    }

    private static Customer Of(Rows.Row r) =>
        new(
            r.Id<CustomerId>("id"),
            r.Text("name"),
            Contact: r.Text("contact"),
            r.Text("address"),
            TaxExempt: r.Text("tax_exempt"),
            r.Int("account_days")
        );
}
