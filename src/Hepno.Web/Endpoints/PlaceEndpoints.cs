using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>A place of a print as the shop has it: a usual one with its own figures, or one of its own.</summary>
/// <param name="Name">On screen and on the quote.</param>
/// <param name="Widths">The widest print customary there, by group of sizes, in.</param>
/// <param name="HeightIn">The tallest on adult sizes, in; smaller sizes have less in the proportion of the
/// widths.</param>
/// <param name="FromSeamIn">From its seam to the print on adult sizes, in.</param>
/// <param name="FromSeamYouthIn">The same on youth and toddler sizes; null for the same.</param>
/// <param name="FromSeamInfantIn">The same on infant sizes; null for the same.</param>
/// <param name="AsideIn">From the garment's middle line to the print's, towards the wearer's left, in; below 0 towards
/// the right.</param>
/// <param name="Like">For a place of the shop's own: the usual place whose seam, side and garments it has; null for a
/// usual one.</param>
/// <param name="Retired">True to offer it no longer.</param>
internal sealed record PlaceBody(
    string Name,
    PlaceWidths Widths,
    double HeightIn,
    double FromSeamIn,
    double? FromSeamYouthIn = null,
    double? FromSeamInfantIn = null,
    double AsideIn = 0,
    string? Like = null,
    bool Retired = false
)
{
    /// <summary>The place; seam and opening are those of the usual one it is or lies like.</summary>
    public Place ToCore(string id)
    {
        var seam = Places.Find(Like ?? id);
        return new(id, Name.Trim(), seam?.Where ?? "", FromSeamIn, HeightIn, Widths)
        {
            OpeningIn = seam?.OpeningIn,
            FromSeamYouthIn = FromSeamYouthIn,
            FromSeamInfantIn = FromSeamInfantIn,
            AsideIn = AsideIn,
            Like = Like,
            Retired = Retired,
        };
    }
}

/// <summary>Where the shop prints, how large and how far from a seam.</summary>
internal static class PlaceEndpoints
{
    // a usual place stands as if it had been kept once, so that its first change can be taken back
    private const long AsUsual = 1;

    public static void MapPlaces(this IEndpointRouteBuilder api)
    {
        var places = api.MapGroup("/places").WithTags("places");
        places.MapGet("", All).WithName("placesAll");
        places.MapPut("{id}", Keep).WithName("save-places");
    }

    /// <summary>All places with their versions, in the order they are offered; those no longer offered too.</summary>
    internal static List<Versioned<Place>> All(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var kept = Aggregates.Places.All(c).ToDictionary(p => p.Value.Id);
            return new PlaceBook(kept.Values.Select(p => p.Value))
                .All.Select(p => kept.GetValueOrDefault(p.Id) ?? new Versioned<Place>(p, AsUsual))
                .ToList();
        });

    /// <summary>Keeps a place; a new one needs no If-Match. Quotes that were sent keep the place they were sent
    /// with.</summary>
    internal static Views.Written Keep(string id, PlaceBody body, OpenShop shop, HttpRequest request)
    {
        var place = body.ToCore(id);
        RefusedException.IfAny(place.Problems());
        return shop.Db.Write(c =>
        {
            if (Places.Find(id) is { } usual && Aggregates.Places.Get(c, id) is null)
            {
                Aggregates.Places.Put(
                    c,
                    usual,
                    0,
                    request.Deed(shop.Clock, "place as usual") with
                    {
                        Undoable = false,
                    }
                );
            }
            return ShopEndpoints.Save(c, shop, request, Aggregates.Places, id, place);
        });
    }
}
