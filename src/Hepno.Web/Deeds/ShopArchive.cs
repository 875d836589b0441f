using System.Text.Json;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Curing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;
using Hepno.Core.Stock;
using Hepno.Store;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>A sent quote with its page.</summary>
internal sealed record ArchivedQuote(string Id, string OrderId, DateTime SentAt, DateTime? WithdrawnAt, JsonElement Frozen, byte[] Pdf);

/// <summary>A verdict of a run.</summary>
internal sealed record ArchivedEvent(string OrderId, DateTime ReceivedAt, RunEvent Event);

/// <summary>How many of each were brought.</summary>
internal sealed record ArchiveView(int Customers, int Styles, int Orders, int Quotes, int Events);

/// <summary>A whole shop as one open JSON file. What was done when (history and undo) stays with the data folder; versions begin anew.</summary>
internal sealed record ShopArchive(int Format, ShopNumbers Numbers, IReadOnlyList<Customer> Customers, IReadOnlyList<Style> Styles, IReadOnlyList<TransferPriceList> Films, IReadOnlyList<VinylFilm> Vinyls, IReadOnlyList<ScreenTransferList> Screens,
    IReadOnlyList<FilmPrinter> FilmPrinters, IReadOnlyList<DyePrinter> DyePrinters, IReadOnlyList<Cutter> Cutters, IReadOnlyList<Press> Presses, IReadOnlyList<Recipe> Recipes, IReadOnlyList<Order> Orders, IReadOnlyList<ArchivedQuote> Quotes, IReadOnlyList<ArchivedEvent> Events,
    IReadOnlyList<Design>? Designs = null, IReadOnlyList<byte[]>? Files = null, IReadOnlyList<AskTemplate>? Templates = null, IReadOnlyList<SpotTest>? SpotTests = null, IReadOnlyList<MachineUpkeep>? Upkeep = null,
    IReadOnlyList<PrinterSupplies>? Supplies = null, IReadOnlyList<CureBatch>? Cures = null, IReadOnlyList<TestGarment>? TestGarments = null, IReadOnlyList<KeptPrint>? KeptPrints = null, IReadOnlyList<VinylRemnant>? Remnants = null,
    IReadOnlyList<PaperPrinter>? PaperPrinters = null, IReadOnlyList<GarmentPrinter>? GarmentPrinters = null, IReadOnlyList<StitchMachine>? Stitchers = null, IReadOnlyList<TransferPaper>? Papers = null, IReadOnlyList<OutsidePrinter>? OutsidePrinters = null, IReadOnlyList<PodService>? PodServices = null,
    IReadOnlyList<Calender>? Calenders = null, IReadOnlyList<RollCloth>? Cloths = null)
{
    public const int Known = 2;

    // the database's word for a value it does not take
    private const int Unfit = 19;

    /// <summary>Reads everything in one transaction.</summary>
    public static ShopArchive Of(SqliteConnection c, string folder) => new(Known, Desk.Numbers(c), All(c, Aggregates.Customers), All(c, Aggregates.Styles), All(c, Aggregates.Films), All(c, Aggregates.Vinyls), All(c, Aggregates.Screens),
        All(c, Aggregates.FilmPrinters), All(c, Aggregates.DyePrinters), All(c, Aggregates.Cutters), All(c, Aggregates.Presses), All(c, Aggregates.Recipes), All(c, Aggregates.Orders),
        [.. QuoteStore.All(c).Select(q => new ArchivedQuote(q.Quote.Id, q.Quote.OrderId, q.Quote.SentAt, q.Quote.WithdrawnAt, JsonDocument.Parse(q.Json).RootElement, q.Pdf))],
        [.. RunStore.All(c).Select(e => new ArchivedEvent(e.OrderId, e.ReceivedAt, e.Event))], All(c, Aggregates.Designs),
        [.. Aggregates.Designs.All(c).SelectMany(d => new[] { d.Value.Hash, d.Value.CameAs }).OfType<string>().Concat(Aggregates.Orders.All(c).SelectMany(o => o.Value.Facts.Attached ?? []).Select(a => a.Hash)).Concat(Aggregates.SpotTests.All(c).SelectMany(t => t.Value.Photos ?? []).Select(p => p.Hash)).Distinct().Order(StringComparer.Ordinal).Select(h => KeptFiles.Read(folder, h))], All(c, Aggregates.Templates), All(c, Aggregates.SpotTests), All(c, Aggregates.Upkeep),
        All(c, Aggregates.Supplies), All(c, Aggregates.Cures), All(c, Aggregates.TestGarments), All(c, Aggregates.KeptPrints), All(c, Aggregates.Remnants),
        All(c, Aggregates.PaperPrinters), All(c, Aggregates.GarmentPrinters), All(c, Aggregates.Stitchers), All(c, Aggregates.Papers), All(c, Aggregates.OutsidePrinters), All(c, Aggregates.PodServices), All(c, Aggregates.Calenders), All(c, Aggregates.Cloths));

    /// <summary>Brings an archive into a shop that has nothing yet; refused whole when one thing in it cannot be kept.</summary>
    public static ArchiveView Bring(SqliteConnection c, ShopArchive a, string folder, Deed deed)
    {
        if (Aggregates.Orders.All(c).Count + Aggregates.Customers.All(c).Count + Aggregates.Styles.All(c).Count > 0)
        {
            throw new RefusedException(409, "not-empty", "This shop already has orders, customers or styles.", "Bring an archive into a new, empty shop: start it with another --data folder.");
        }
        RefusedException.IfAny(a.Problems());
        var final = deed with { Undoable = false };
        Aggregates.Numbers.Put(c, a.Numbers, Aggregates.Numbers.Get(c, "1")?.Version ?? 0, final);
        Put(c, Aggregates.Customers, a.Customers, final);
        Put(c, Aggregates.Styles, a.Styles, final);
        Put(c, Aggregates.Films, a.Films, final);
        Put(c, Aggregates.Vinyls, a.Vinyls, final);
        Put(c, Aggregates.Screens, a.Screens, final);
        Put(c, Aggregates.FilmPrinters, a.FilmPrinters, final);
        Put(c, Aggregates.DyePrinters, a.DyePrinters, final);
        Put(c, Aggregates.Cutters, a.Cutters, final);
        // the first day may have set up a press already: the archive's presses take its place
        Put(c, Aggregates.Presses, [.. a.Presses.Where(p => Aggregates.Presses.Get(c, p.Id) is null)], final);
        Put(c, Aggregates.Recipes, a.Recipes, final);
        Put(c, Aggregates.SpotTests, a.SpotTests ?? [], final);
        Put(c, Aggregates.Upkeep, a.Upkeep ?? [], final);
        Put(c, Aggregates.Supplies, a.Supplies ?? [], final);
        Put(c, Aggregates.Cures, a.Cures ?? [], final);
        Put(c, Aggregates.TestGarments, a.TestGarments ?? [], final);
        Put(c, Aggregates.KeptPrints, a.KeptPrints ?? [], final);
        Put(c, Aggregates.Remnants, a.Remnants ?? [], final);
        Put(c, Aggregates.PaperPrinters, a.PaperPrinters ?? [], final);
        Put(c, Aggregates.GarmentPrinters, a.GarmentPrinters ?? [], final);
        Put(c, Aggregates.Stitchers, a.Stitchers ?? [], final);
        Put(c, Aggregates.Papers, a.Papers ?? [], final);
        Put(c, Aggregates.OutsidePrinters, a.OutsidePrinters ?? [], final);
        Put(c, Aggregates.PodServices, a.PodServices ?? [], final);
        Put(c, Aggregates.Calenders, a.Calenders ?? [], final);
        Put(c, Aggregates.Cloths, a.Cloths ?? [], final);
        var here = (a.Files ?? []).Select(f => KeptFiles.Keep(folder, f)).ToHashSet();
        RefusedException.IfAny((a.Designs ?? []).Where(d => !here.Contains(d.Hash)).Select(d => new Problem("lost", $"The picture of {d.Name} is not in the archive.", "files", "Bring the file as it was exported.")));
        Put(c, Aggregates.Designs, a.Designs ?? [], final);
        RefusedException.IfAny(a.Orders.SelectMany(o => (o.Facts.Attached ?? []).Where(f => !here.Contains(f.Hash)).Select(f => new Problem("lost", $"The file {f.Name} of {o.Code} is not in the archive.", "files", "Bring the file as it was exported."))));
        RefusedException.IfAny((a.SpotTests ?? []).SelectMany(t => (t.Photos ?? []).Where(p => !here.Contains(p.Hash)).Select(_ => new Problem("lost", $"A photograph of the test of {t.Day:yyyy-MM-dd} is not in the archive.", "files", "Bring the file as it was exported."))));
        Put(c, Aggregates.Templates, a.Templates ?? [], final);
        Put(c, Aggregates.Orders, a.Orders, final);
        foreach (var q in a.Quotes)
        {
            var frozen = FrozenOf(q);
            QuoteStore.Send(c, new StoredQuote(q.Id, q.OrderId, q.SentAt, null), q.Frozen.GetRawText(), q.Pdf, frozen.Figures());
            MadeStore.Put(c, q.Id, frozen.Designs());
            if (q.WithdrawnAt is { } at)
            {
                QuoteStore.Withdraw(c, q.Id, at);
            }
        }
        foreach (var e in a.Events)
        {
            RunStore.Add(c, e.OrderId, e.Event, e.ReceivedAt);
        }
        return new(a.Customers.Count, a.Styles.Count, a.Orders.Count, a.Quotes.Count, a.Events.Count);
    }

    private static IReadOnlyList<T> All<T>(SqliteConnection c, Aggregate<T> aggregate)
        where T : class => [.. aggregate.All(c).Select(v => v.Value)];

    private static void Put<T>(SqliteConnection c, Aggregate<T> aggregate, IReadOnlyList<T> values, Deed deed)
        where T : class
    {
        foreach (var (value, i) in values.Select((v, i) => (v, i)))
        {
            try
            {
                aggregate.Put(c, value, 0, deed);
            }
            catch (SqliteException unfit) when (unfit.SqliteErrorCode == Unfit)
            {
                // what no screen lets through may stand in a file that was changed by hand
                throw new RefusedException(400, "unfit", $"The archive's {aggregate.Kind} {i + 1} holds a value that cannot be kept.", "Bring the file as it was exported.", $"{aggregate.Kind} {i + 1}");
            }
        }
    }

    private static FrozenQuote FrozenOf(ArchivedQuote q)
    {
        try
        {
            return q.Frozen.Deserialize<FrozenQuote>(Json.Frozen)!;
        }
        catch (JsonException unreadable)
        {
            throw new RefusedException(400, "unreadable", $"The quote {q.Id} cannot be read: {unreadable.Path ?? "its figures"} is missing or another kind.", "Bring the file as it was exported.", "quotes");
        }
    }


    private IEnumerable<Problem> Problems()
    {
        if (Format != Known)
        {
            return [new("format", $"This archive is of format {Format}; this program knows {Known}.", "format", Format > Known ? "Install the newer program." : "Open that shop's data folder with this program, and export it again.")];
        }
        static IEnumerable<Problem> Of<T>(string noun, IReadOnlyList<T> all, Func<T, IEnumerable<Problem>> problems) =>
            all.SelectMany((value, i) => problems(value).Select(p => p with { Where = $"{noun}[{i}].{p.Where}" }));
        var customers = Customers.Select(x => x.Id).ToHashSet();
        var styles = Styles.Select(x => x.Id).ToHashSet();
        var orders = Orders.Select(x => x.Id).ToHashSet();
        var numbers = Orders.GroupBy(o => o.Number).Where(g => g.Count() > 1).Select(g => new Problem("twice", $"T-{g.Key} stands twice.", "orders", "Give each order a number of its own."));
        var lost = Orders.Where(o => (o.Ask.CustomerId is { } who && !customers.Contains(who)) || o.Ask.Lines.Any(l => l.StyleId is { } what && !styles.Contains(what))).Select(o => new Problem("lost", $"{o.Code} names a customer or style that is not in the archive.", "orders", "Bring the file as it was exported."))
            .Concat(Quotes.Where(q => !orders.Contains(q.OrderId)).Select(q => new Problem("lost", $"The quote {q.Id} is of an order that is not in the archive.", "quotes", "Bring the file as it was exported.")))
            .Concat(Events.Where(e => !orders.Contains(e.OrderId)).Select(e => new Problem("lost", "A verdict is of an order that is not in the archive.", "events", "Bring the file as it was exported.")).Take(1));
        return Numbers.Problems().Select(p => p with { Where = $"numbers.{p.Where}" }).Concat(Of("styles", Styles, s => s.Problems())).Concat(Of("films", Films, x => x.Problems())).Concat(Of("vinyls", Vinyls, x => x.Problems()))
            .Concat(Of("screens", Screens, x => x.Problems())).Concat(Of("filmPrinters", FilmPrinters, x => x.Problems())).Concat(Of("dyePrinters", DyePrinters, x => x.Problems())).Concat(Of("cutters", Cutters, x => x.Problems())).Concat(Of("presses", Presses, x => x.Problems()))
            .Concat(Of("paperPrinters", PaperPrinters ?? [], x => x.Problems())).Concat(Of("garmentPrinters", GarmentPrinters ?? [], x => x.Problems())).Concat(Of("stitchers", Stitchers ?? [], x => x.Problems())).Concat(Of("papers", Papers ?? [], x => x.Problems())).Concat(Of("outsidePrinters", OutsidePrinters ?? [], x => x.Problems())).Concat(Of("podServices", PodServices ?? [], x => x.Problems())).Concat(Of("calenders", Calenders ?? [], x => x.Problems())).Concat(Of("cloths", Cloths ?? [], x => x.Problems()))
            .Concat(Of("recipes", Recipes, x => x.Problems())).Concat(Of("spotTests", SpotTests ?? [], x => x.Problems())).Concat(Of("upkeep", Upkeep ?? [], x => x.Problems())).Concat(Of("supplies", Supplies ?? [], x => x.Problems())).Concat(Of("cures", Cures ?? [], x => x.Problems())).Concat(Of("testGarments", TestGarments ?? [], x => x.Problems())).Concat(Of("keptPrints", KeptPrints ?? [], x => x.Problems())).Concat(Of("remnants", Remnants ?? [], x => x.Problems())).Concat(numbers).Concat(lost);
    }
}
