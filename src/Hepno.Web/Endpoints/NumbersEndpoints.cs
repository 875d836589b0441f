using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>The two rates of an hour of hands.</summary>
internal sealed record RatesView(Figure Labour, Figure Overhead)
{
    public static RatesView From(ShopNumbers n) =>
        new(HourRate.Labour(n.Rates, n.Week), HourRate.Overhead(n.Rates, n.Week));
}

/// <summary>The shop's numbers, read and written.</summary>
internal static class NumbersEndpoints
{
    public static void MapNumbers(IEndpointRouteBuilder api)
    {
        api.MapGet("/numbers", GetNumbers)
            .WithTags("numbers")
            .WithName("numbers")
            .WithSummary("The shop's numbers by their sections; version 0 while they are the starting values.");
        api.MapGet("/numbers/form", Form)
            .WithTags("numbers")
            .WithName("numbersForm")
            .WithSummary("How the numbers are typed: their sections and fields, a person's fields, and somebody new.");
        api.MapGet("/numbers/rates", (OpenShop shop) => shop.Db.Read(c => RatesView.From(OpenShop.Numbers(c))))
            .WithTags("numbers")
            .WithName("rates")
            .WithSummary("The two rates of an hour of hands, opened to people and fixed costs.");
        api.MapGet("/carrier", (OpenShop shop) => shop.Db.Read(c => shop.Book(c).Carrier!))
            .WithTags("numbers")
            .WithName("carrier")
            .WithSummary(
                "Zones and rates of who takes the shop's parcels; a simulated carrier's until it keeps its own."
            );
        api.MapPut("/numbers", PutNumbers)
            .WithTags("numbers")
            .WithName("saveNumbers")
            .WithSummary("Changes the shop's numbers, all effective at once.");
    }

    private static Versioned<ShopNumbers> GetNumbers(OpenShop shop) =>
        shop.Db.Read(c => new Versioned<ShopNumbers>(
            OpenShop.Numbers(c),
            Aggregates.Numbers.Get(c, "1")?.Version ?? 0
        ));

    private static NumbersForm Form(OpenShop shop) => NumbersForm.Of(shop.Db.Read(OpenShop.Numbers));

    private static Written PutNumbers(ShopNumbers n, OpenShop shop, HttpRequest request)
    {
        RefusedException.IfAny(n.Problems().Concat(ZoneProblems(n.Identity.TimeZone)));
        return ShopEndpoints.Save(shop, request, Aggregates.Numbers, "1", n.Settled());
    }

    private static IEnumerable<Problem> ZoneProblems(string zone) =>
        WallClock.Knows(zone)
            ? []
            :
            [
                new(
                    "unknown-zone",
                    $"\"{zone}\" is not a time zone.",
                    Where: "identity.timeZone",
                    "Write it like Europe/London."
                ),
            ];
}
