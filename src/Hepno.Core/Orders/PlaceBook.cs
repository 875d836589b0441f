using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>The places a shop prints at: the usual ones with its own figures, and places of its own that lie like one
/// of them.</summary>
public sealed class PlaceBook
{
    private readonly Dictionary<string, Place> byId;

    /// <summary>A shop's places.</summary>
    /// <param name="kept">What the shop keeps; a usual place that is not among them is as usual.</param>
    public PlaceBook(IEnumerable<Place> kept)
    {
        var all = kept.ToList();
        All =
        [
            .. Places.All.Select(u => all.FirstOrDefault(p => p.Id == u.Id) ?? u),
            .. all.Where(p => Places.Find(p.Id) is null).OrderBy(p => p.Name, StringComparer.Ordinal),
        ];
        byId = All.ToDictionary(p => p.Id);
    }

    /// <summary>A shop that changed nothing.</summary>
    public static PlaceBook Usual { get; } = new([]);

    /// <summary>All places, those no longer offered too, in the order they are listed.</summary>
    public IReadOnlyList<Place> All { get; }

    /// <summary>A place by its key, or null.</summary>
    public Place? Find(string id) => byId.GetValueOrDefault(id);

    /// <summary>The places offered for a garment; all that are offered where none is said.</summary>
    public IReadOnlyList<Place> Offered(GarmentKind? kind) =>
        [.. All.Where(p => !p.Retired && (kind is not { } k || IsOn(p, k)))];

    /// <summary>True where a garment has the place.</summary>
    public static bool IsOn(Place place, GarmentKind kind) => Places.On(kind).Contains(place.Seam().Id);

    /// <summary>A place as a placement carries it: null where it is the usual one.</summary>
    public Place? Carried(string id) => Find(id) is { } place && place != Places.Find(id) ? place : null;

    /// <summary>An ask with its places as the shop keeps them now.</summary>
    public Ask Settled(Ask ask) => ask with { Lines = Settled(ask.Lines) };

    /// <summary>Lines with their places as the shop keeps them now.</summary>
    public IReadOnlyList<AskLine> Settled(IReadOnlyList<AskLine> lines) =>
        [
            .. lines.Select(l =>
                l with
                {
                    Placements = [.. l.Placements.Select(p => p with { ShopPlace = Carried(p.Place) })],
                }
            ),
        ];
}
