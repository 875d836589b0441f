using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Things;
using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>What recipes are kept for.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">As shown where a recipe is for it.</param>
/// <param name="IsCuredHere">True for film that is powdered and cured here, in batches.</param>
internal sealed record RecipeProduct(ThingId Id, string Name, bool IsCuredHere);

/// <summary>A machine of the Floor, of any kind.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
internal sealed record MachineName(ThingId Id, string Name);

/// <summary>What the shop keeps: every kind of it by the same calls, which follow from how it is described.</summary>
internal static class ThingEndpoints
{
    public static void MapThings(IEndpointRouteBuilder api)
    {
        api.MapGet("/things", Kinds)
            .WithTags("things")
            .WithName("things")
            .WithSummary("Every kind of thing the shop keeps: its words, its fields, and what a new one begins with.")
            .OpenTo(Caller.Press);
        api.MapGet("/recipe-products", Products)
            .WithTags("things")
            .WithName("recipeProducts")
            .WithSummary("What recipes are kept for, and whether it is film that is cured here.")
            .OpenTo(Caller.Press);
        api.MapGet("/machines", (OpenShop shop) => Machines(shop))
            .WithTags("things")
            .WithName("machines")
            .WithSummary("Every machine of the Floor by its name: what a field that names one may be.")
            .OpenTo(Caller.Press);
        foreach (var kind in ThingKinds.All)
        {
            kind.Accept(new Calls(api));
        }
    }

    private static List<Views.KindView> Kinds() => [.. ThingKinds.All.Select(Views.KindView.From)];

    private static List<RecipeProduct> Products(OpenShop shop) =>
        shop.Db.Read(c =>
            shop.Book(c)
                .Things.All<IRecipeProduct>()
                .Select(p => new RecipeProduct(p.Id, p.ProductName, p is IFilmMaker))
                .ToList()
        );

    private static List<MachineName> Machines(OpenShop shop) =>
        shop.Db.Read(c =>
            shop.Book(c)
                .Machines()
                .Select(m => new MachineName(m.Id, Name: m.Name))
                .OrderBy(m => m.Name, StringComparer.Ordinal)
                .ToList()
        );

    // fields that name a machine name one that is there
    private static IEnumerable<Problem> MachineProblems<T>(ThingKind<T> kind, T value, OpenShop shop)
        where T : class
    {
        var fields = kind.Fields.Where(f => f.Shape == FieldShape.Machine).ToList();
        var machines = fields.Count == 0 ? [] : Machines(shop);
        return fields
            .Where(f => machines.TrueForAll(m => m.Id.Text != (string?)f.Value(value)))
            .Select(f => new Problem(
                "no-such",
                $"{f.Name}: the Floor has no machine \"{f.Value(value)}\".",
                Where: f.Key,
                machines.Count == 0
                    ? "Add the machine on the Floor first."
                    : $"{f.Help} There are {string.Join(", ", machines.Select(m => m.Name))}."
            ));
    }

    /// <summary>Keeps one as it was typed, once the owner was asked about what can hardly be.</summary>
    private static Views.Written Keep<T>(ThingKind<T> kind, string id, T typed, OpenShop shop, HttpRequest request)
        where T : class
    {
        if (kind.IdOf(typed) is { Length: > 0 } said && said != id)
        {
            throw new RefusedException(
                400,
                "id",
                $"The call is for {id}, and what it sends is {said}.",
                remedy: "Name the same, or leave the id out of what is sent.",
                "id"
            );
        }
        var value = kind.Settled(kind.WithId(typed, id));
        RefusedException.IfAny(kind.Problems(value).Concat(MachineProblems(kind, value, shop)));
        if (!request.IsSure())
        {
            RefusedException.IfAny(kind.OddValues(value));
        }
        return ShopEndpoints.Save(shop, request, Aggregates.Of(kind), id, value);
    }

    private sealed class Calls(IEndpointRouteBuilder api) : IForEachKind<IEndpointRouteBuilder>
    {
        public IEndpointRouteBuilder Of<T>(ThingKind<T> kind)
            where T : class
        {
            var aggregate = Aggregates.Of(kind);
            var things = api.MapGroup($"/{kind.Noun}").WithTags(kind.Noun);
            Delegate all = (OpenShop shop) => shop.Db.Read(aggregate.All);
            Delegate keep = (string id, T body, OpenShop shop, HttpRequest request) =>
                Keep(kind, id, body, shop, request);
            things
                .MapGet("", all)
                .WithName($"{kind.Noun}All")
                .WithSummary($"All {kind.Noun} with their versions.")
                .OpenTo(kind.IsReadAtPress ? Caller.Press : Caller.Counter);
            things
                .MapPut("{id}", keep)
                .WithName($"save-{kind.Noun}")
                .WithSummary($"Keeps one of the {kind.Noun}; a new one needs no If-Match, and the body no id.");
            if (kind.HasPrices)
            {
                things
                    .MapGet("{id}/prices", (string id, OpenShop shop) =>
                        shop.Db.Read(c => Views.PriceLine.Lines(c, shop, aggregate, id, kind.Prices))
                    )
                    .WithName($"{kind.Noun}-prices")
                    .WithSummary("Every price of it with the days it has held from, oldest first.");
            }
            return things;
        }
    }
}
