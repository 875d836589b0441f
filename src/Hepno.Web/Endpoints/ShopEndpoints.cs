using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Endpoints;

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
        CustomerEndpoints.MapCustomers(api);
        MapAllPrices(api);
        NumbersEndpoints.MapNumbers(api);
    }

    private static void MapShelf(IEndpointRouteBuilder api)
    {
        api.MapDelete("/styles/{id}", RetireStyle).WithTags("styles").WithName("retireStyle");
        Map(
            api,
            "customers",
            Aggregates.Customers,
            (string id, CustomerBody b) => b.ToCore(id),
            CustomerEndpoints.Named
        );
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

    /// <summary>Takes a style off the Shelf; one that open orders use stays.</summary>
    internal static Views.Written RetireStyle(string id, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(connection =>
        {
            var style = Aggregates.Styles.Get(connection, id) ?? throw RefusedException.NoSuch("style", id);
            if (StyleStore.OpenOrdersOf(connection, new StyleId(id)) is { Count: > 0 } used)
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

    internal static void Map<TBody, T>(
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

    internal static Views.Written Save<T>(
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
}
