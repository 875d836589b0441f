using Hepno.Core.Blanks;
using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>A template as it is made: a name, and the order whose lines it keeps.</summary>
internal sealed record TemplateBody(string Name, OrderId OrderId);

/// <summary>Which template an ask begins from.</summary>
internal sealed record BeginBody(TemplateId TemplateId);

/// <summary>A template to choose.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Version">Its version.</param>
/// <param name="Name">Name.</param>
/// <param name="What">Its lines in words.</param>
internal sealed record TemplateView(TemplateId Id, long Version, string Name, IReadOnlyList<string> What);

/// <summary>Asks to begin from.</summary>
internal static class TemplateEndpoints
{
    private const int LongestId = 64;

    public static void MapTemplates(this IEndpointRouteBuilder api)
    {
        var templates = api.MapGroup("/templates").WithTags("templates");
        templates.MapGet("", All).WithName("templates");
        templates.MapPut("{id}", Keep).WithName("saveTemplate");
        templates.MapPost("{id}/retire", Retire).WithName("retireTemplate");
        // a deed of the order: it stands under its address, like all that follow each other on one thing
        api.MapPost("/orders/{id}/begin", Begin).WithName("beginFromTemplate").WithTags("orders");
    }

    /// <summary>All templates that are offered, by name.</summary>
    internal static List<TemplateView> All(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var styles = shop.Book(c).Of<Style>();
            return Aggregates
                .Templates.All(c)
                .Where(t => !t.Value.Retired)
                .Select(t => new TemplateView(
                    t.Value.Id,
                    t.Version,
                    t.Value.Name,
                    [
                        .. t.Value.Lines.Select(l =>
                        {
                            var garment = styles.FirstOrDefault(s => s.Id == l.StyleId)?.Name ?? "a garment to be said";
                            var places = l.Placements.Select(p => $", {p.At().Name.ToLowerInvariant()}");
                            return $"{l.Pieces} × {garment}{string.Concat(places)}";
                        }),
                    ]
                ))
                .ToList();
        });

    /// <summary>Keeps an order's lines as a template.</summary>
    internal static Written Keep(string id, TemplateBody body, OpenShop shop, HttpRequest request)
    {
        RefusedException.IfAny(
            id.Length is 0 or > LongestId
                ?
                [
                    new Core.Measures.Problem(
                        "bad-id",
                        $"An id of {id.Length} characters.",
                        Where: "id",
                        $"Between 1 and {LongestId}, made by the device."
                    ),
                ]
                : []
        );
        return shop.Db.Write(c =>
        {
            var order = Aggregates.Orders.Get(c, body.OrderId)?.Value
                ?? throw RefusedException.NoSuch("order", body.OrderId);
            var template = AskTemplate.From(id, body.Name, order.Ask);
            RefusedException.IfAny(template.Problems());
            return new Written(
                id,
                Aggregates.Templates.Put(
                    c,
                    template,
                    request.SeenOrNew(Aggregates.Templates.Get(c, id) is not null),
                    request.Deed(shop.Clock, "template kept")
                )
            );
        });
    }

    /// <summary>No longer offers a template.</summary>
    internal static Written Retire(string id, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c =>
        {
            var kept = Aggregates.Templates.Get(c, id) ?? throw RefusedException.NoSuch("template", id);
            return new Written(
                id,
                Aggregates.Templates.Put(
                    c,
                    kept.Value with
                    {
                        Retired = true,
                    },
                    request.Seen(),
                    request.Deed(shop.Clock, "template taken out")
                )
            );
        });

    /// <summary>Puts a template's lines into an ask of which nothing is said yet, at today's shelf; a garment that is
    /// no longer offered is left to be said.</summary>
    internal static Written Begin(OrderId id, BeginBody body, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c =>
        {
            var template = Aggregates.Templates.Get(c, body.TemplateId)?.Value
                ?? throw RefusedException.NoSuch("template", body.TemplateId);
            var order = Aggregates.Orders.Get(c, id) ?? throw RefusedException.NoSuch("order", id);
            if (order.Value.Ask.Lines.Any(l => l.StyleId is not null || l.Sizes.Count > 0 || l.Placements.Count > 0))
            {
                throw new RefusedException(
                    409,
                    "begun",
                    $"{order.Value.Code} says something already.",
                    remedy: "Begin a new ask, then take the template."
                );
            }
            var styles = shop.Book(c).Of<Style>();
            var ask = order.Value.Ask with
            {
                Lines =
                [
                    .. template.Lines.Select(l =>
                        OrderAgain.Today(l, styles.FirstOrDefault(s => s.Id == l.StyleId && !s.Retired))
                    ),
                ],
            };
            return new Written(
                id.Text,
                SaveAsk.Do(c, shop, id, ask, request.Seen(), request.Deed(shop.Clock, "begun from a template")).Version
            );
        });
}
