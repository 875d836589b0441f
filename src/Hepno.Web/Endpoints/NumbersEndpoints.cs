using Hepno.Core.Measures;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>The shop's numbers, read and written.</summary>
internal static class NumbersEndpoints
{
    public static void MapNumbers(IEndpointRouteBuilder api)
    {
        api.MapGet("/numbers", GetNumbers).WithTags("numbers").WithName("numbers");
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
        api.MapPut("/numbers", PutNumbers).WithTags("numbers").WithName("saveNumbers");
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
        return ShopEndpoints.Save(shop, request, Aggregates.Numbers, "1", n.Settled(), NumbersBody.From);
    }
}
