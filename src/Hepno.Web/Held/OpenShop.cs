using System.Collections.Concurrent;
using System.Collections.ObjectModel;
using Hepno.Core.Artwork;
using Hepno.Core.Comparing;
using Hepno.Core.Gang;
using Hepno.Core.Learning;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Quoting;
using Hepno.Core.Runs;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using Hepno.Core.Things;
using Hepno.Store;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Held;

/// <summary>The shop as the program has it open: its database, its clock, and what is kept while nothing
/// changed.</summary>
internal sealed partial class OpenShop(Db db, ShopClock clock)
{
    private const int MostFrozen = 500;

    // a sent quote never changes, so its figures are read from JSON once
    private readonly ConcurrentDictionary<QuoteId, FrozenQuote> frozen = new();

    // what the press floor takes is asked for again and again, and never changes for the same job
    private readonly FloorMemo memo = new();
    private readonly LayoutMemo layouts = new();
    private volatile KeptBook? kept;
    private volatile KeptOpen? open;
    private volatile KeptRibbon? ribbon;
    private volatile KeptCurves? curves;
    private volatile KeptArtworks? artworks;
    private readonly ConcurrentDictionary<PressId, KeptPressed> pressed = new();
    private readonly ConcurrentDictionary<Type, ((long Seq, LocalDate Day) Key, object Value)> ofToday = new();

    private static IReadOnlyList<string> BookKinds { get; } =
    [Aggregates.Numbers.Kind, Aggregates.Places.Kind, .. BookThings.Select(kind => kind.Name)];

    // who buys is in no price
    private static IReadOnlyList<ThingKind> BookThings =>
        [.. ThingKinds.All.Where(kind => kind.Name != Aggregates.Customers.Kind)];

    public Db Db { get; } = db;

    public ShopClock Clock { get; } = clock;

    public static ShopNumbers Numbers(SqliteConnection connection) =>
        Aggregates.Numbers.Get(connection, "1")?.Value
        ?? ShopNumbers.Default with
        {
            Identity = ShopIdentity.Default with { TimeZone = ShopClock.MachineZone },
        };

    /// <summary>The shop's Shelf, Floor and Numbers as they stand in this transaction; read again only after one of
    /// them changed.</summary>
    public ShopBook Book(SqliteConnection connection)
    {
        var seq = (ChangeStore.LastOf(connection, BookKinds), LearnedStore.Stamp(connection));
        if (kept is { } k && k.Seq == seq && k.Day == Clock.Today(k.Book.Numbers.Identity.TimeZone))
        {
            return k.Book;
        }
        var numbers = Numbers(connection);
        var today = Clock.Today(numbers.Identity.TimeZone);
        var things = BookThings.Aggregate(ThingsKept.None, (kept, kind) => kind.Accept(new AddTo(kept, connection)));
        var book = new ShopBook(numbers)
        {
            Things = things,
            Carrier = CarrierRates.Of(things.Of<ParcelService>()),
            BuyBy = today.PlusDays(numbers.Terms.ValidityDays),
            Memo = memo,
            Places = new(Values(Aggregates.Places.All(connection))),
            Layouts = layouts,
            Earned = LearnedStore.Earned(connection, ShopLearning.Rule),
        };
        if (!Db.Writing)
        {
            kept = new(seq, today, book);
        }
        return book;
    }

    /// <summary>The order, or refused with 404.</summary>
    public OrderCase Case(SqliteConnection connection, OrderId id, ShopBook book)
    {
        var order = Aggregates.Orders.Get(connection, id) ?? throw RefusedException.NoSuch("order", id);
        return Case(
            connection,
            order,
            Customer(connection, order.Value),
            QuoteStore.Standing(connection, id),
            RunStore.Of(connection, id),
            book
        );
    }

    /// <summary>An order that is not kept yet.</summary>
    public OrderCase Draft(SqliteConnection connection, Order order, ShopBook book) =>
        Case(connection, new Versioned<Order>(order, 0), Customer(connection, order), null, [], book);

    /// <summary>A sent quote's figures and texts.</summary>
    public FrozenQuote Frozen(SqliteConnection connection, QuoteId quoteId)
    {
        // many years of quotes take more memory than is worth it
        if (frozen.Count > MostFrozen)
        {
            frozen.Clear();
        }
        return frozen.GetOrAdd(quoteId, _ => QuoteStore.Frozen(connection, quoteId));
    }

    /// <summary>Says that a quote's frozen figures were put in place anew.</summary>
    public void ReadAgain(QuoteId quoteId)
    {
        frozen.TryRemove(quoteId, out _);
        open = null;
    }

    /// <summary>Forgets everything that was read: another day's data is in its place.</summary>
    public void Forget()
    {
        frozen.Clear();
        pressed.Clear();
        ofToday.Clear();
        (kept, open, ribbon, curves, artworks) = (null, null, null, null, null);
    }

    /// <summary>Something read from the whole shop on one day; read again only after anything of the shop's
    /// changed.</summary>
    /// <param name="connection">The transaction.</param>
    /// <param name="read">Reads it.</param>
    /// <param name="isWhole">False while it is not all there yet: then it is read again the next time.</param>
    public T OfToday<T>(SqliteConnection connection, Func<T> read, Func<T, bool> isWhole)
        where T : class
    {
        var key = (ChangeStore.Last(connection), Clock.Today(Book(connection).Numbers.Identity.TimeZone));
        if (!Db.Writing && ofToday.TryGetValue(typeof(T), out var k) && k.Key == key)
        {
            return (T)k.Value;
        }
        var found = read();
        if (!Db.Writing && isWhole(found))
        {
            ofToday[typeof(T)] = (key, found);
        }
        return found;
    }

    /// <summary>Good pieces over a press from a moment on, by order and line; counted again only after something of the
    /// shop's changed: of a press never measured that is every piece it ever pressed.</summary>
    public IReadOnlyList<(OrderId OrderId, LineId LineId, int Pieces)> PressedSince(
        SqliteConnection connection,
        PressId pressId,
        Instant utc
    )
    {
        var key = (ChangeStore.Last(connection), utc);
        if (pressed.TryGetValue(pressId, out var k) && k.Key == key && !Db.Writing)
        {
            return k.Lines;
        }
        var lines = RunStore.PressedSince(connection, pressId, utc);
        if (!Db.Writing)
        {
            pressed[pressId] = new(key, lines);
        }
        return lines;
    }

    /// <summary>All orders on the work line; read again only after something of the shop's changed.</summary>
    public IReadOnlyList<OrderCase> Open(SqliteConnection connection, ShopBook book)
    {
        var seq = ChangeStore.Last(connection);
        if (open is { } k && k.Seq == seq && ReferenceEquals(k.Book, book) && !Db.Writing)
        {
            return k.Cases;
        }
        var customers = Aggregates.Customers.All(connection).ToDictionary(c => c.Value.Id, c => c.Value);
        var quotes = QuoteStore.AllStanding(connection);
        var events = RunStore.OfOpen(connection);
        List<OrderCase> cases =
        [
            .. OrderStore
                .Open(connection)
                .Select(o =>
                    Case(
                        connection,
                        o,
                        o.Value.Ask.CustomerId is { } c ? customers.GetValueOrDefault(c) : null,
                        quotes.GetValueOrDefault(o.Value.Id),
                        [.. events[o.Value.Id]],
                        book
                    )
                ),
        ];
        if (!Db.Writing)
        {
            open = new(seq, book, cases);
        }
        return cases;
    }

    private OrderCase Case(
        SqliteConnection connection,
        Versioned<Order> order,
        Customer? customer,
        StoredQuote? quote,
        IReadOnlyList<RunEvent> events,
        ShopBook book
    )
    {
        var ask = order.Value.Ask;
        var sent = quote is null ? null : Frozen(connection, quote.Id);
        var made = sent is null && ask.HasArtwork() ? MadeStore.Before(connection, order.Value.Id) : [];
        var lines = Lines(order.Value, sent, book, made, sent is null ? Artworks(connection, ask) : null);
        var c = new OrderCase(order.Value, order.Version, customer, lines, quote, sent, events, null, null!);
        var run = sent is null ? null : RunReplay.After(c.RunLines, events);
        return c with
        {
            Run = run,
            Standing = Stations.Where(
                order.Value,
                [.. lines.SelectMany(l => l.Problems)],
                quote is not null,
                sent?.Deposit ?? 0,
                run?.Good ?? 0
            ),
        };
    }

    // measured reports are read from JSON once, until an artwork changes
    private IReadOnlyDictionary<DesignId, ArtworkReport> Artworks(SqliteConnection connection, Ask ask)
    {
        var ids = ask
            .Lines.SelectMany(l => l.Placements)
            .Select(p => p.DesignId)
            .OfType<DesignId>()
            .Distinct()
            .ToList();
        if (ids.Count == 0)
        {
            return ReadOnlyDictionary<DesignId, ArtworkReport>.Empty;
        }
        var seq = ChangeStore.LastOf(connection, [Aggregates.Designs.Kind]);
        var all = artworks is { } k && k.Seq == seq && !Db.Writing ? k : new(seq, new());
        artworks = Db.Writing ? artworks : all;
        return ids.Select(id =>
                (Id: id, Report: all.Reports.GetOrAdd(id, _ => Aggregates.Designs.Get(connection, id)?.Value.Report))
            )
            .Where(x => x.Report is not null)
            .ToDictionary(x => x.Id, x => x.Report!);
    }

    private static List<LineCase> Lines(
        Order order,
        FrozenQuote? sent,
        ShopBook book,
        IReadOnlyList<Core.Stock.MadeBefore> made,
        IReadOnlyDictionary<DesignId, ArtworkReport>? artworks
    )
    {
        var cases = AsksInHand
            .Of(order.Ask, book, order.Facts, made, artworks)
            .Select(
                (l, i) =>
                    new LineCase(
                        order.Ask.Lines[i],
                        l.Style,
                        l.Colourway,
                        l.InHand,
                        l.Problems,
                        order.Facts.DecisionOf(order.Ask.Lines[i].Id),
                        null
                    )
            );
        return
        [
            .. sent is null
                ? cases
                : cases.Select(l =>
                    sent.Lines.FirstOrDefault(f => f.LineId == l.Asked.Id) is { } f
                        ? l with
                        {
                            Style = f.Style,
                            Colourway = f.Colourway,
                            Frozen = f,
                        }
                        : l
                ),
        ];
    }

    private static Customer? Customer(SqliteConnection connection, Order order) =>
        order.Ask.CustomerId is { } id ? Aggregates.Customers.Get(connection, id)?.Value : null;

    private static List<T> Values<T>(IEnumerable<Versioned<T>> all)
        where T : class => [.. all.Select(v => v.Value)];

    private sealed record AddTo(ThingsKept Kept, SqliteConnection Connection) : IForEachKind<ThingsKept>
    {
        public ThingsKept Of<T>(ThingKind<T> kind)
            where T : class => Kept.With(kind, Values(Aggregates.Of(kind).All(Connection)));
    }

    private sealed record KeptBook((long Book, long Learned) Seq, LocalDate Day, ShopBook Book);

    private sealed record KeptOpen(long Seq, ShopBook Book, IReadOnlyList<OrderCase> Cases);

    private sealed record KeptCurves(
        (OrderId OrderId, LineId LineId, long Version, Customer? Customer, ShopBook Book) Key,
        CurveMemo Curves
    );

    private sealed record KeptArtworks(long Seq, ConcurrentDictionary<DesignId, ArtworkReport?> Reports);

    private sealed record KeptPressed(
        (long Seq, Instant From) Key,
        IReadOnlyList<(OrderId OrderId, LineId LineId, int Pieces)> Lines
    );

    private sealed record KeptRibbon(
        (OrderId OrderId, LineId LineId, long Version, Customer? Customer, ShopBook Book, WorthOfHands Worth) Key,
        QuantityRibbon Ribbon
    );
}
