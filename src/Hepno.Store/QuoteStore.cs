using Hepno.Core.Quoting;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>Sent quotes with the bytes of their PDF.</summary>
public static class QuoteStore
{
    private const string Columns = "id, order_id, sent_at, withdrawn_at";

    /// <param name="connection">Database.</param>
    /// <param name="quote">The quote.</param>
    /// <param name="frozen">Every figure and text, the inputs and the core's version.</param>
    /// <param name="pdf">The page as sent.</param>
    public static void Send(SqliteConnection connection, StoredQuote quote, FrozenQuote frozen, byte[] pdf)
    {
        connection.Put(
            "quote",
            1,
            ("id", quote.Id),
            ("order_id", quote.OrderId),
            ("sent_at", quote.SentAt),
            ("withdrawn_at", null),
            ("document", KnownDocuments.SentQuote.Packed(frozen)),
            ("pdf", pdf)
        );
        foreach (var l in frozen.Figures())
        {
            connection.Put(
                "quote_line",
                2,
                ("quote_id", quote.Id),
                ("line_id", l.LineId),
                ("method_id", l.MethodId),
                ("price_micros", l.Price),
                ("cost_micros", l.Cost)
            );
        }
        ChangeStore.Add(connection, "quote", quote.Id.Text, 1, quote.SentAt);
    }

    /// <summary>Lines of the quotes that stand for orders not handed over, by order.</summary>
    public static ILookup<OrderId, QuotedLine> StandingLines(SqliteConnection connection) =>
        connection
            .Query(
                """
                SELECT q.order_id, l.* FROM quote_line l JOIN quote q ON q.id = l.quote_id
                WHERE q.withdrawn_at IS NULL AND q.order_id IN (SELECT id FROM orders WHERE closed_at IS NULL AND handed_at IS NULL)
                """,
                r =>
                    (
                        Of: r.Id<OrderId>("order_id"),
                        Line: new QuotedLine(
                            r.Id<LineId>("line_id"),
                            r.Id<MethodId>("method_id"),
                            r.Money("price_micros"),
                            Cost: r.Money("cost_micros")
                        )
                    )
            )
            .ToLookup(x => x.Of, x => x.Line);

    public static void Withdraw(SqliteConnection connection, QuoteId id, Instant at)
    {
        connection.Execute(
            "UPDATE quote SET withdrawn_at = @at WHERE id = @id AND withdrawn_at IS NULL",
            ("@at", at),
            ("@id", id)
        );
        ChangeStore.Add(connection, "quote", id.Text, 2, at);
    }

    /// <summary>All quotes of an order, withdrawn ones too, oldest first.</summary>
    public static List<StoredQuote> OfOrder(SqliteConnection connection, OrderId orderId) =>
        connection.Query($"SELECT {Columns} FROM quote WHERE order_id = @id ORDER BY sent_at", Map, ("@id", orderId));

    /// <summary>Ids of all quotes of the shop, oldest first.</summary>
    public static List<QuoteId> Ids(SqliteConnection connection) =>
        connection.Query("SELECT id FROM quote ORDER BY sent_at, id", r => r.Id<QuoteId>("id"));

    /// <summary>A quote, or null.</summary>
    public static StoredQuote? Get(SqliteConnection connection, QuoteId id) =>
        connection.Query($"SELECT {Columns} FROM quote WHERE id = @id", Map, ("@id", id)).FirstOrDefault();

    /// <summary>The page of a quote as it was sent.</summary>
    public static byte[] PdfOf(SqliteConnection connection, QuoteId id) =>
        connection.Query("SELECT pdf FROM quote WHERE id = @id", r => r.Bytes("pdf"), ("@id", id))[0];

    /// <summary>Puts a copy without the person in a quote's place: the only change a sent quote ever takes.</summary>
    public static void Replace(SqliteConnection connection, QuoteId id, FrozenQuote frozen, byte[] pdf) =>
        connection.Execute(
            "UPDATE quote SET document = @document, pdf = @pdf WHERE id = @id",
            ("@document", KnownDocuments.SentQuote.Packed(frozen)),
            ("@pdf", pdf),
            ("@id", id)
        );

    /// <summary>The quote that stands for an order, or null.</summary>
    public static StoredQuote? Standing(SqliteConnection connection, OrderId orderId) =>
        connection
            .Query(
                $"SELECT {Columns} FROM quote WHERE order_id = @id AND withdrawn_at IS NULL ORDER BY sent_at "
                    + "DESC LIMIT 1",
                Map,
                ("@id", orderId)
            )
            .FirstOrDefault();

    /// <summary>The quotes that stand, by order.</summary>
    public static Dictionary<OrderId, StoredQuote> AllStanding(SqliteConnection connection) =>
        connection
            .Query(
                $"SELECT {Columns} FROM quote WHERE withdrawn_at IS NULL AND order_id IN (SELECT id FROM orders "
                    + "WHERE closed_at IS NULL) ORDER BY sent_at",
                Map
            )
            .GroupBy(q => q.OrderId)
            .ToDictionary(g => g.Key, g => g.Last());

    /// <summary>A quote's figures and texts as frozen.</summary>
    public static FrozenQuote Frozen(SqliteConnection connection, QuoteId id) =>
        KnownDocuments.SentQuote.Unpacked(
            connection.Query("SELECT document FROM quote WHERE id = @id", r => r.Bytes("document"), ("@id", id))[0]
        );

    public static byte[]? Pdf(SqliteConnection connection, OrderId orderId) =>
        connection
            .Query(
                "SELECT pdf FROM quote WHERE order_id = @id AND withdrawn_at IS NULL ORDER BY sent_at DESC LIMIT 1",
                r => r.Bytes("pdf"),
                ("@id", orderId)
            )
            .FirstOrDefault();

    private static StoredQuote Map(Rows.Row r) =>
        new(r.Id<QuoteId>("id"), r.Id<OrderId>("order_id"), r.Utc("sent_at"), r.UtcOrNull("withdrawn_at"));
}
