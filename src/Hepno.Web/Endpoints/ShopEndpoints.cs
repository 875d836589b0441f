using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Endpoints;

/// <summary>A piece of vinyl that an order uses.</summary>
internal sealed record RemnantUseView(RemnantId RemnantId, string Order);

/// <summary>What is asked of the shop besides its things: who uses a piece of vinyl, what lies in the drawer.</summary>
internal static class ShopEndpoints
{
    public static void MapShop(this IEndpointRouteBuilder api)
    {
        ThingEndpoints.MapThings(api);
        api.MapDelete("/styles/{id}", RetireStyle).WithTags("styles").WithName("retireStyle");
        MapStock(api);
        CustomerEndpoints.MapCustomers(api);
        NumbersEndpoints.MapNumbers(api);
    }

    private static void MapStock(IEndpointRouteBuilder api)
    {
        api.MapGet("/remnant-uses", (OpenShop shop) =>
                shop.Db.Read(c =>
                    RemnantUses.Of(c).Select(u => new RemnantUseView(u.RemnantId, $"T-{u.Number}")).ToList()
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
