using System.Collections.Concurrent;
using System.Text.Json;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Runs;
using Hepno.Store;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;

namespace Hepno.Web;

/// <summary>An order with everything that says where it stands.</summary>
internal sealed record OrderCase(Order Order, long Version, Customer? Customer, AskInHand? InHand, IReadOnlyList<Problem> AskProblems, StoredQuote? Quote, FrozenQuote? Frozen, IReadOnlyList<RunEvent> Events, RunState? Run, Standing Standing);

/// <summary>What the endpoints and deeds work at: the database, the clock, and how orders are read.</summary>
internal sealed class Desk(Db db, ShopClock clock)
{
    // a sent quote never changes, so its figures are read from JSON once
    private readonly ConcurrentDictionary<string, FrozenQuote> frozen = new();
    private volatile KeptBook? kept;

    private static IReadOnlyList<string> BookKinds { get; } = [Aggregates.Numbers.Kind, Aggregates.Styles.Kind, Aggregates.Films.Kind, Aggregates.Vinyls.Kind, Aggregates.Presses.Kind, Aggregates.Recipes.Kind,
        Aggregates.Screens.Kind, Aggregates.FilmPrinters.Kind, Aggregates.DyePrinters.Kind];

    public Db Db { get; } = db;

    public ShopClock Clock { get; } = clock;

    public static ShopNumbers Numbers(SqliteConnection connection) => Aggregates.Numbers.Get(connection, "1")?.Value ?? ShopNumbers.Default with { TimeZone = ShopClock.MachineZone };

    /// <summary>The shop's Shelf, Floor and Numbers as they stand in this transaction; read again only after one of them changed.</summary>
    public ShopBook Book(SqliteConnection connection)
    {
        var seq = ChangeStore.LastOf(connection, BookKinds);
        if (kept is { } k && k.Seq == seq)
        {
            return k.Book;
        }
        var book = new ShopBook(Numbers(connection), Values(Aggregates.Styles.All(connection)), Values(Aggregates.Films.All(connection)), Values(Aggregates.Vinyls.All(connection)),
            Values(Aggregates.Presses.All(connection)), Values(Aggregates.Recipes.All(connection)), Values(Aggregates.Screens.All(connection)), Values(Aggregates.FilmPrinters.All(connection)), Values(Aggregates.DyePrinters.All(connection)));
        if (!Db.Writing)
        {
            kept = new(seq, book);
        }
        return book;
    }

    /// <summary>The order, or refused with 404.</summary>
    public OrderCase Case(SqliteConnection connection, string id, ShopBook book)
    {
        var order = Aggregates.Orders.Get(connection, id) ?? throw RefusedException.NoSuch("order", id);
        return Case(connection, order, Customer(connection, order.Value), QuoteStore.Standing(connection, id), RunStore.Of(connection, id), book);
    }

    /// <summary>Says that a quote's frozen figures were put in place anew.</summary>
    public void ReadAgain(string quoteId) => frozen.TryRemove(quoteId, out _);

    /// <summary>All orders on the work line.</summary>
    public List<OrderCase> Open(SqliteConnection connection, ShopBook book)
    {
        var customers = Aggregates.Customers.All(connection).ToDictionary(c => c.Value.Id, c => c.Value);
        var quotes = QuoteStore.AllStanding(connection);
        var events = RunStore.OfOpen(connection);
        return [.. OrderStore.Open(connection).Select(o => Case(connection, o, o.Value.Ask.CustomerId is { } c ? customers.GetValueOrDefault(c) : null, quotes.GetValueOrDefault(o.Value.Id), [.. events[o.Value.Id]], book))];
    }

    /// <summary>What is on the presses: orders with their yes, not yet pressed.</summary>
    public static FloorPlan Floor(IReadOnlyList<OrderCase> open, ShopBook book, DateTime wall)
    {
        var empty = new FloorPlan(wall, new OpenHours(book.Numbers.Week), book.Presses, []);
        var works = open.Where(c => c.Frozen is not null && c.Order.Facts.Approval is not null && c.Standing.Station is Station.Gather or Station.Press).Select(c => Work(c, book, wall)).ToList();
        return book.Presses.Count == 0 ? empty : empty with { Placed = PressPlanner.Plan(works, empty) };
    }

    /// <summary>Holds every method against a case's ask; null while the ask is not complete or there is no press.</summary>
    public Comparison? Compare(OrderCase c, int? quantity, ShopBook book, IReadOnlyList<OrderCase> open)
    {
        if (c.InHand is null || book.Presses.Count == 0)
        {
            return null;
        }
        var wall = Clock.Wall(book.Numbers.TimeZone);
        return Comparer.Compare(c.InHand, c.Order.Ask.Mark, c.Order.Ask.DueAt, quantity, book, Floor([.. open.Where(o => o.Order.Id != c.Order.Id)], book, wall), c.Order.Facts.Decision);
    }

    private OrderCase Case(SqliteConnection connection, Versioned<Order> order, Customer? customer, StoredQuote? quote, IReadOnlyList<RunEvent> events, ShopBook book)
    {
        var ask = order.Value.Ask;
        var style = book.Styles.FirstOrDefault(s => s.Id == ask.StyleId);
        var colour = style?.Colourways.FirstOrDefault(c => c.Id == ask.ColourwayId);
        var problems = style is null ? [] : ask.Placements.SelectMany((p, i) => Places.Oversize(p, i, ask.Sizes, style.Kind)).ToList();
        var inHand = style is not null && colour is not null && ask.Pieces > 0 && ask.Placements.Count > 0 && problems.Count == 0 ? new AskInHand(style, colour, ask.Sizes, ask.Placements, ask.Channel) : null;
        var sent = quote is null ? null : frozen.GetOrAdd(quote.Id, _ => JsonSerializer.Deserialize<FrozenQuote>(QuoteStore.Json(connection, quote.Id), Json.Frozen)!);
        var run = sent is null ? null : RunFold.Of(ask.Sizes, sent.Band.Decorations.Count, events);
        return new(order.Value, order.Version, customer, inHand, problems, quote, sent, events, run, Stations.Of(order.Value, problems, quote is not null, sent?.Deposit ?? 0, run?.Good ?? 0));
    }

    private static PressWork Work(OrderCase c, ShopBook book, DateTime wall)
    {
        var q = c.Frozen!;
        var ask = new AskInHand(q.Style, q.Colourway, q.Ask.Sizes, q.Ask.Placements);
        var last = c.Order.Facts.Items.Where(i => i.DoneAt is null).OrderByDescending(i => i.Expected).FirstOrDefault();
        var arrives = last is null || last.Expected < wall ? wall : last.Expected;
        var work = Comparer.WorkOf(c.Order.Id, c.Order.Code, ask, q.Band.Decorations, arrives, last is null ? "everything is here" : $"{last.Text} comes", c.Order.Ask.DueAt, book.Numbers.SlowTenthShare);
        return work with { StartedAt = c.Order.Facts.RunStartedAt is { } started ? ShopClock.Wall(started, book.Numbers.TimeZone) : null };
    }

    private static Customer? Customer(SqliteConnection connection, Order order) => order.Ask.CustomerId is { } id ? Aggregates.Customers.Get(connection, id)?.Value : null;

    private static List<T> Values<T>(IEnumerable<Versioned<T>> all)
        where T : class => [.. all.Select(v => v.Value)];

    private sealed record KeptBook(long Seq, ShopBook Book);
}
