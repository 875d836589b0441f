using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Devices;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>A customer as typed.</summary>
internal sealed record CustomerBody(
    string Name,
    string Contact,
    string Address = "",
    string TaxExempt = "",
    int AccountDays = 0
)
{
    public Customer ToCore(string id) =>
        new Customer(
            id,
            Name.Trim(),
            Contact: Contact.Trim(),
            Address.Trim(),
            TaxExempt: TaxExempt.Trim(),
            AccountDays
        );
}

/// <summary>Everything known of a customer.</summary>
internal sealed record CustomerExport(Customer Customer, IReadOnlyList<OrderExport> Orders);

/// <summary>One of their orders.</summary>
internal sealed record OrderExport(
    string Code,
    Instant CreatedAt,
    Ask Ask,
    OrderFacts Facts,
    IReadOnlyList<QuoteExport> Quotes
);

/// <summary>A quote they were sent.</summary>
internal sealed record QuoteExport(Instant SentAt, Instant? WithdrawnAt, QuoteDocument Document);

/// <summary>What the shop keeps: customers, the Shelf, the Floor and the Numbers.</summary>
internal static class ShopEndpoints
{
    // the machines, what is in them and how they are set; not who buys, nor what the shop sells
    private static readonly HashSet<string> ReadAtThePress =
    [
        "presses",
        "recipes",
        "upkeep",
        "supplies",
        "spot-tests",
        "test-garments",
        "films",
        "vinyls",
        "screens",
        "papers",
        "film-printers",
        "dye-printers",
        "paper-printers",
        "garment-printers",
        "stitch-machines",
        "cutters",
        "calenders",
    ];

    public static void MapShop(this IEndpointRouteBuilder api)
    {
        MapShelf(api);
        MapMachines(api);
        MapPresses(api);
        MapStock(api);
        MapRecipes(api);
        MapCustomers(api);
        MapAllPrices(api);
        MapNumbers(api);
    }

    private static void MapShelf(IEndpointRouteBuilder api)
    {
        Map(api, "customers", Aggregates.Customers, (string id, CustomerBody b) => b.ToCore(id), Named);
        Map(api, "styles", Aggregates.Styles, (string id, StyleBody b) => b.ToCore(id), s => s.Problems());
        Map(api, "films", Aggregates.Films, (string id, FilmBody b) => b.ToCore(id), l => l.Problems());
        Map(api, "vinyls", Aggregates.Vinyls, (string id, VinylBody b) => b.ToCore(id), v => v.Problems());
        Map(api, "screens", Aggregates.Screens, (string id, ScreenBody b) => b.ToCore(id), l => l.Problems());
    }

    private static void MapMachines(IEndpointRouteBuilder api)
    {
        Map(
            api,
            "film-printers",
            Aggregates.FilmPrinters,
            (string id, FilmPrinterBody b) => b.ToCore(id),
            p => p.Problems()
        );
        Map(
            api,
            "dye-printers",
            Aggregates.DyePrinters,
            (string id, DyePrinterBody b) => b.ToCore(id),
            p => p.Problems()
        );
        Map(
            api,
            "paper-printers",
            Aggregates.PaperPrinters,
            (string id, PaperPrinterBody b) => b.ToCore(id),
            x => x.Problems()
        );
        Map(
            api,
            "garment-printers",
            Aggregates.GarmentPrinters,
            (string id, GarmentPrinterBody b) => b.ToCore(id),
            x => x.Problems()
        );
        Map(
            api,
            "stitch-machines",
            Aggregates.Stitchers,
            (string id, StitchMachineBody b) => b.ToCore(id),
            x => x.Problems()
        );
        Map(api, "papers", Aggregates.Papers, (string id, PaperBody b) => b.ToCore(id), x => x.Problems());
        Map(
            api,
            "outside-printers",
            Aggregates.OutsidePrinters,
            (string id, OutsidePrinterBody b) => b.ToCore(id),
            x => x.Problems()
        );
        Map(
            api,
            "pod-services",
            Aggregates.PodServices,
            (string id, PodServiceBody b) => b.ToCore(id),
            x => x.Problems()
        );
        Map(api, "cloths", Aggregates.Cloths, (string id, RollClothBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "calenders", Aggregates.Calenders, (string id, CalenderBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "cutters", Aggregates.Cutters, (string id, CutterBody b) => b.ToCore(id), c => c.Problems());
    }

    private static void MapPresses(IEndpointRouteBuilder api)
    {
        Map(api, "presses", Aggregates.Presses, (string id, PressBody b) => b.ToCore(id), p => p.Problems());
        Map(api, "upkeep", Aggregates.Upkeep, (string id, UpkeepBody b) => b.ToCore(id), u => u.Problems());
    }

    private static void MapStock(IEndpointRouteBuilder api)
    {
        Map(api, "kept-prints", Aggregates.KeptPrints, (string id, KeptPrintBody b) => b.ToCore(id), k => k.Problems());
        Map(api, "remnants", Aggregates.Remnants, (string id, RemnantBody b) => b.ToCore(id), r => r.Problems());
        api.MapGet("/remnant-uses", (OpenShop shop) =>
                shop.Db.Read(c =>
                    RemnantStore.Uses(c).Select(u => new RemnantUseView(u.RemnantId, $"T-{u.Number}")).ToList()
                )
            )
            .WithTags("remnants")
            .WithName("remnantUses")
            .WithSummary("Which pieces of vinyl orders use.");
        api.MapGet("/drawer", (OpenShop shop) =>
                shop.Db.Read(c =>
                    DrawerStore
                        .All(c)
                        .Select(k => Views.DrawerView.From(k, shop.Clock.Today(OpenShop.Numbers(c).Identity.TimeZone)))
                        .ToList()
                )
            )
            .WithTags("kept-prints")
            .WithName("drawer")
            .WithSummary(
                "Every transfer that lies in the drawer: what the shop counted in and copies left over of "
                    + "orders, less what orders took out."
            );
    }

    private static void MapRecipes(IEndpointRouteBuilder api)
    {
        Map(
            api,
            "test-garments",
            Aggregates.TestGarments,
            (string id, TestGarmentBody b) => b.ToCore(id),
            g => g.Problems()
        );
        Map(api, "supplies", Aggregates.Supplies, (string id, SuppliesBody b) => b.ToCore(id), s => s.Problems());
        Map(api, "spot-tests", Aggregates.SpotTests, (string id, SpotTestBody b) => b.ToCore(id), t => t.Problems());
        Map(api, "recipes", Aggregates.Recipes, (string id, RecipeBody b) => b.ToCore(id), r => r.Problems());
    }

    private static void MapCustomers(IEndpointRouteBuilder api)
    {
        api.MapGet("/customers/find", FindCustomers).WithTags("customers").WithName("findCustomers");
        api.MapGet("/customers/{id}/record", (string id, OpenShop shop) =>
                shop.Db.Read(c => Views.CustomerRecord.Read(c, shop, id))
            )
            .WithTags("customers")
            .WithName("customerRecord")
            .WithSummary("A customer with past orders and what they earned.");
        api.MapGet("/customers/{id}/export", ExportCustomer).WithTags("customers").WithName("exportCustomer");
        api.MapPost("/customers/{id}/erase", EraseCustomer).WithTags("customers").WithName("eraseCustomer");
    }

    private static void MapAllPrices(IEndpointRouteBuilder api)
    {
        MapPrices(api, "styles", Aggregates.Styles, ThingPrices.Prices);
        MapPrices(api, "films", Aggregates.Films, ThingPrices.Prices);
        MapPrices(api, "vinyls", Aggregates.Vinyls, ThingPrices.Prices);
        MapPrices(api, "screens", Aggregates.Screens, ThingPrices.Prices);
        MapPrices(api, "film-printers", Aggregates.FilmPrinters, p =>
            [
                ("colour, a ml", p.ColourPricePerMl),
                ("white, a ml", p.WhitePricePerMl),
                ("film, an in²", p.FilmPricePerIn2),
                ("powder, a g", p.PowderPricePerG),
                ("cleaning, a ml", p.CleaningPricePerMl),
            ]
        );
        MapPrices(api, "dye-printers", Aggregates.DyePrinters, p =>
            [
                ("ink, a ml", p.InkPricePerMl),
                ("a sheet", p.SheetPrice),
                ("tape, an in", p.TapePricePerIn),
                ("protection paper, a sheet", p.ProtectionPrice),
            ]
        );
        MapPrices(api, "paper-printers", Aggregates.PaperPrinters, ThingPrices.Prices);
        MapPrices(api, "garment-printers", Aggregates.GarmentPrinters, ThingPrices.Prices);
        MapPrices(api, "stitch-machines", Aggregates.Stitchers, ThingPrices.Prices);
        MapPrices(api, "papers", Aggregates.Papers, ThingPrices.Prices);
        MapPrices(api, "outside-printers", Aggregates.OutsidePrinters, ThingPrices.Prices);
        MapPrices(api, "pod-services", Aggregates.PodServices, ThingPrices.Prices);
        MapPrices(api, "cloths", Aggregates.Cloths, ThingPrices.Prices);
        MapPrices(api, "calenders", Aggregates.Calenders, ThingPrices.Prices);
    }

    private static void MapNumbers(IEndpointRouteBuilder api)
    {
        api.MapDelete("/styles/{id}", RetireStyle).WithTags("styles").WithName("retireStyle");
        api.MapGet("/numbers", GetNumbers).WithTags("numbers").WithName("numbers");
        api.MapGet("/numbers/rates", (OpenShop shop) => shop.Db.Read(c => RatesView.From(OpenShop.Numbers(c))))
            .WithTags("numbers")
            .WithName("rates")
            .WithSummary("The two rates of an hour of hands, opened to people and fixed costs.");
        api.MapGet("/carrier", () => SimulatedCarrier.Rates)
            .WithTags("numbers")
            .WithName("carrier")
            .WithSummary("The carrier's zones and rates: a simulated carrier that ships with the program.");
        api.MapPut("/numbers", PutNumbers).WithTags("numbers").WithName("saveNumbers");
    }

    /// <summary>Customers whose name or contact holds the text, accents and case aside.</summary>
    internal static List<Customer> FindCustomers(OpenShop shop, string? text) =>
        shop.Db.Read(c => CustomerStore.Find(c, text ?? "", 8));

    /// <summary>Everything Hepno knows of a customer, for the customer.</summary>
    internal static CustomerExport ExportCustomer(string id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var customer = Aggregates.Customers.Get(c, id) ?? throw RefusedException.NoSuch("customer", id);
            return new CustomerExport(
                customer.Value,
                [
                    .. OrderStore
                        .OfCustomer(c, id)
                        .Select(o => new OrderExport(
                            o.Value.Code,
                            o.Value.CreatedAt,
                            o.Value.Ask,
                            o.Value.Facts,
                            [
                                .. QuoteStore
                                    .OfOrder(c, o.Value.Id)
                                    .Select(q => new QuoteExport(
                                        q.SentAt,
                                        q.WithdrawnAt,
                                        QuoteStore.Frozen(c, q.Id).Document
                                    )),
                            ]
                        )),
                ]
            );
        });

    /// <summary>Forgets the person for good; orders and quotes keep their figures. Daily copies still hold the name
    /// until they are thirteen months old.</summary>
    internal static Views.Written EraseCustomer(string id, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        var (done, files) = shop.Db.Write(c =>
        {
            var theirs = ForgetCustomer.FilesOf(c, id);
            return (
                new Views.Written(
                    id,
                    ForgetCustomer.Do(c, shop, id, seen, request.Deed(shop.Clock, "customer erased"))
                ),
                theirs
            );
        });
        // only once the orders no longer name them
        foreach (var hash in files)
        {
            KeptFiles.Drop(shop.Db.Folder, hash);
        }
        return done;
    }

    /// <summary>Takes a style off the Shelf; one that open orders use stays.</summary>
    internal static Views.Written RetireStyle(string id, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(connection =>
        {
            var style = Aggregates.Styles.Get(connection, id) ?? throw RefusedException.NoSuch("style", id);
            if (StyleStore.OpenOrdersOf(connection, id) is { Count: > 0 } used)
            {
                throw new RefusedException(
                    409,
                    "in-use",
                    $"{style.Value.Name} is in use by {string.Join(", ", used.Select(n => $"T-{n}"))}.",
                    remedy: "Close those orders or change their style first."
                );
            }
            return new Views.Written(
                id,
                Aggregates.Styles.Put(
                    connection,
                    style.Value with
                    {
                        Retired = true,
                    },
                    seen,
                    request.Deed(shop.Clock, "style retired")
                )
            );
        });
    }

    /// <summary>The shop's numbers; version 0 while they are the starting values.</summary>
    internal static Versioned<NumbersBody> GetNumbers(OpenShop shop) =>
        shop.Db.Read(c => new Versioned<NumbersBody>(
            NumbersBody.From(OpenShop.Numbers(c)),
            Aggregates.Numbers.Get(c, "1")?.Version ?? 0
        ));

    /// <summary>Changes the shop's numbers, all effective at once.</summary>
    internal static Views.Written PutNumbers(NumbersBody b, OpenShop shop, HttpRequest request)
    {
        var n = b.ToCore();
        RefusedException.IfAny(
            n.Problems()
                .Concat(
                    WallClock.Knows(n.Identity.TimeZone)
                        ? []
                        :
                        [
                            new Problem(
                                "unknown-zone",
                                $"\"{n.Identity.TimeZone}\" is not a time zone.",
                                Where: "timeZone",
                                "Write it like Europe/London."
                            ),
                        ]
                )
        );
        return Save(shop, request, Aggregates.Numbers, "1", n.Settled(), NumbersBody.From);
    }

    private static void MapPrices<T>(
        IEndpointRouteBuilder api,
        string noun,
        Aggregate<T> aggregate,
        Func<T, IEnumerable<(string What, decimal Price)>> prices
    )
        where T : class =>
        api.MapGet($"/{noun}/{{id}}/prices", (string id, OpenShop shop) =>
                shop.Db.Read(c => Views.PriceLine.Lines(c, shop, aggregate, id, prices))
            )
            .WithTags(noun)
            .WithName($"{noun}-prices")
            .WithSummary("Every price of it with the days it has held from, oldest first.");

    private static void Map<TBody, T>(
        IEndpointRouteBuilder api,
        string noun,
        Aggregate<T> aggregate,
        Func<string, TBody, T> toCore,
        Func<T, IEnumerable<Problem>> problems
    )
        where T : class
    {
        var group = api.MapGroup($"/{noun}").WithTags(noun);
        Delegate all = (OpenShop shop) => shop.Db.Read(aggregate.All);
        Delegate keep = (string id, TBody body, OpenShop shop, HttpRequest request) =>
        {
            var value = toCore(id, body);
            RefusedException.IfAny(problems(value));
            if (!request.IsSure())
            {
                RefusedException.IfAny(OddValues.In(value));
            }
            return Save(shop, request, aggregate, id, value);
        };
        group
            .MapGet("", all)
            .WithName($"{noun}All")
            .WithSummary($"All {noun} with their versions.")
            .OpenTo(ReadAtThePress.Contains(noun) ? Caller.Press : Caller.Counter);
        group
            .MapPut("{id}", keep)
            .WithName($"save-{noun}")
            .WithSummary($"Keeps one of the {noun}; a new one needs no If-Match.");
    }

    private static Views.Written Save<T>(
        OpenShop shop,
        HttpRequest request,
        Aggregate<T> aggregate,
        string id,
        T value,
        Func<T, object>? said = null
    )
        where T : class => shop.Db.Write(connection => Save(connection, shop, request, aggregate, id, value, said));

    internal static Views.Written Save<T>(
        SqliteConnection connection,
        OpenShop shop,
        HttpRequest request,
        Aggregate<T> aggregate,
        string id,
        T value,
        Func<T, object>? said = null
    )
        where T : class
    {
        said ??= v => v;
        var before = aggregate.Get(connection, id);
        var seen = request.SeenOrNew(before is not null);
        if (before is not null && before.Version != seen)
        {
            // in the shape the caller sent it in
            var from = aggregate.At(connection, id, seen);
            throw Collision.Refusal(said(value), said(before.Value), from is null ? null : said(from), before.Version);
        }
        return new Views.Written(
            id,
            aggregate.Put(connection, value, seen, request.Deed(shop.Clock, $"{aggregate.Kind} changed"))
        );
    }

    private static IEnumerable<Problem> Named(Customer customer)
    {
        if (customer.Name.Length is 0 or > 200)
        {
            yield return new(
                "empty",
                customer.Name.Length == 0
                    ? "The customer has no name."
                    : $"A name of {customer.Name.Length} characters.",
                Where: "name",
                "Type a name of at most 200 characters."
            );
        }
        if (customer.Contact.Length > 500)
        {
            yield return new(
                "too-long",
                $"A contact of {customer.Contact.Length} characters.",
                Where: "contact",
                "At most 500."
            );
        }
        if (customer.Address.Length > 500)
        {
            yield return new(
                "too-long",
                $"An address of {customer.Address.Length} characters.",
                Where: "address",
                "At most 500."
            );
        }
        if (customer.TaxExempt.Length > 200)
        {
            yield return new(
                "too-long",
                $"A proof of {customer.TaxExempt.Length} characters.",
                Where: "taxExempt",
                "Name the certificate and its number, at most 200."
            );
        }
        if (customer.AccountDays is < 0 or > 365)
        {
            yield return new(
                "range",
                $"{customer.AccountDays} days to pay is outside 0 to 365.",
                Where: "accountDays",
                "30 is usual; 0 where they have no account."
            );
        }
    }
}
