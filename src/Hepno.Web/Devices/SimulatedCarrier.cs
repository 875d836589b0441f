using Hepno.Core.Sending;

namespace Hepno.Web.Devices;

/// <summary>A made-up carrier that ships with the program and says so on every figure; a real one would answer the same
/// table.</summary>
internal static class SimulatedCarrier
{
    public static CarrierRates Rates { get; } =
        new(
            "Simulated carrier",
            [
                Zone("near", "Near", 1, 4.20m, 1m),
                Zone("country", "In the country", 2, 5.60m, 1.35m),
                Zone("abroad", "Abroad", 6, 13.50m, 2.1m),
            ]
        );

    private static RateZone Zone(string id, string name, int days, decimal lightest, decimal slope) =>
        new(
            id,
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
            ]
        );
}
