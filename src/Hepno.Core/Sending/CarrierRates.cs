namespace Hepno.Core.Sending;

/// <summary>Up to a weight, a price.</summary>
/// <param name="MostGrams">Weight it holds up to, g.</param>
/// <param name="Price">Money for one parcel.</param>
public sealed record RateStep(double MostGrams, decimal Price);

/// <summary>A zone of a carrier.</summary>
/// <param name="Name">On screen.</param>
/// <param name="Days">Working days on the way.</param>
/// <param name="Steps">Prices by weight, lightest first.</param>
/// <param name="Id">Key that orders name it by; left out, it is the name's letters.</param>
public sealed record RateZone(string Name, int Days, IReadOnlyList<RateStep> Steps, string Id = "")
{
    /// <summary>Price of one parcel, or null when it is too heavy.</summary>
    public decimal? Price(double grams) => Steps.FirstOrDefault(s => grams <= s.MostGrams)?.Price;

    /// <summary>As it is kept: with a key, which stays where the name is changed later.</summary>
    public RateZone Settled() => this with { Id = Key(Id.Length > 0 ? Id : Name) };

    /// <summary>True where weights rise, from the first on, and no price is below 0.</summary>
    public bool Ascends() =>
        Steps.Count > 0
        && Steps.All(s => s.Price >= 0 && s.MostGrams > 0)
        && Steps.Zip(Steps.Skip(1)).All(s => s.First.MostGrams < s.Second.MostGrams);

    private static string Key(string name) =>
        string.Join(
            '-',
            name.ToLowerInvariant()
                .Split([.. name.ToLowerInvariant().Where(c => !char.IsLetterOrDigit(c)).Distinct(), ' '])
                .Where(w => w.Length > 0)
        );
}

/// <summary>What the shop's parcels cost by zone and weight.</summary>
/// <param name="Carrier">Who takes them; says when it is simulated.</param>
/// <param name="Zones">Zones, nearest first.</param>
public sealed record CarrierRates(string Carrier, IReadOnlyList<RateZone> Zones)
{
    /// <summary>A made-up table that ships with the program and says so on every figure (assumed): what holds until the
    /// shop keeps rates of its own.</summary>
    public static CarrierRates Usual { get; } =
        new(
            "Simulated carrier",
            [
                Made("near", name: "Near", 1, 4.20m, slope: 1m),
                Made("country", name: "In the country", 2, 5.60m, slope: 1.35m),
                Made("abroad", name: "Abroad", 6, 13.50m, slope: 2.1m),
            ]
        );

    /// <summary>The rates that hold: of the services the shop keeps, one or several; where it keeps none the usual
    /// ones. Of two zones with one key the later is named with who takes it.</summary>
    public static CarrierRates Of(IReadOnlyList<ParcelService> services) =>
        services.Count == 0
            ? Usual
            : new(
                string.Join(", ", services.Select(s => s.Name)),
                [
                    .. services.SelectMany(
                        (s, i) =>
                            s.Zones.Select(z =>
                                services.Take(i).Any(before => before.Zones.Any(other => other.Id == z.Id))
                                    ? z with
                                    {
                                        Id = $"{s.Id}/{z.Id}",
                                        Name = $"{z.Name}, {s.Name}",
                                    }
                                    : z
                            )
                    ),
                ]
            );

    /// <summary>A zone by its key, or null.</summary>
    public RateZone? Find(string id) => Zones.FirstOrDefault(z => z.Id == id);

    private static RateZone Made(string id, string name, int days, decimal lightest, decimal slope) =>
        new(
            name,
            days,
            [
                .. new (double Grams, decimal More)[]
                {
                    (250, 0),
                    (1000, 1.80m),
                    (2000, 3.60m),
                    (5000, 7.90m),
                    (10_000, 13.40m),
                    (20_000, 22.50m),
                }.Select(s => new RateStep(s.Grams, lightest + (s.More * slope))),
            ],
            id
        );
}
