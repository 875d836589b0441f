using System.Globalization;
using System.Text;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Customers, found by any part of name or contact, accents and case aside.</summary>
public static class CustomerStore
{
    internal static Aggregate<Customer> Aggregate() => new("customer", "customer",
        (connection, id) => connection.Query("SELECT * FROM customer WHERE @id IS NULL OR id = @id ORDER BY search", r => new Versioned<Customer>(new(r.Text("id"), r.Text("name"), r.Text("contact")), r.Long("version")), ("@id", id)),
        c => c.Id,
        (connection, c, version) => connection.Put("customer", 1, ("id", c.Id), ("version", version), ("name", c.Name), ("contact", c.Contact), ("search", Folded($"{c.Name} {c.Contact}"))));

    public static List<Customer> Find(SqliteConnection connection, string text, int most) => connection.Query(
        "SELECT id, name, contact FROM customer WHERE instr(search, @text) > 0 ORDER BY search LIMIT @most", r => new Customer(r.Text("id"), r.Text("name"), r.Text("contact")), ("@text", Folded(text)), ("@most", most));

    /// <summary>Base letters in lower case: ő finds o, Ł finds l.</summary>
    public static string Folded(string text)
    {
        var folded = new StringBuilder();
        foreach (var c in text.Normalize(NormalizationForm.FormD))
        {
            if (CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
            {
                folded.Append(char.ToLowerInvariant(c) switch { 'ł' => 'l', 'ø' => 'o', 'đ' => 'd', 'ı' => 'i', var plain => plain });
            }
        }
        return folded.ToString();
    }
}
