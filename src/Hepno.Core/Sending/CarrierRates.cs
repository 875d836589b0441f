namespace Hepno.Core.Sending;

/// <summary>Up to a weight, a price.</summary>
/// <param name="MostGrams">Weight it holds up to, g.</param>
/// <param name="Price">Money for one parcel.</param>
public sealed record RateStep(double MostGrams, decimal Price);

/// <summary>A zone of a carrier.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Days">Working days on the way.</param>
/// <param name="Steps">Prices by weight, lightest first.</param>
public sealed record RateZone(string Id, string Name, int Days, IReadOnlyList<RateStep> Steps)
{
    /// <summary>Price of one parcel, or null when it is too heavy.</summary>
    public decimal? Price(double grams) => Steps.FirstOrDefault(s => grams <= s.MostGrams)?.Price;
}

/// <summary>A carrier's table of prices by zone and weight.</summary>
/// <param name="Carrier">Its name; says when it is simulated.</param>
/// <param name="Zones">Zones, nearest first.</param>
public sealed record CarrierRates(string Carrier, IReadOnlyList<RateZone> Zones)
{
    /// <summary>No carrier: everything is collected.</summary>
    public static CarrierRates None { get; } = new("", []);

    /// <summary>A zone by its key, or null.</summary>
    public RateZone? Find(string id) => Zones.FirstOrDefault(z => z.Id == id);
}
