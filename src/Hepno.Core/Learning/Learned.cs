namespace Hepno.Core.Learning;

/// <summary>Standards and spoilage as the shop's own work teaches them (docs/trade 14).</summary>
public static class Learned
{
    /// <summary>How many pieces an assumed standard is worth.</summary>
    public const double StandardWeight = 20;

    /// <summary>How many pieces an assumed spoilage is worth.</summary>
    public const double SpoilageWeight = 30;

    /// <summary>(k·standard + n·observed)/(k + n), s.</summary>
    /// <param name="standardSeconds">Standard so far.</param>
    /// <param name="observedMeanSeconds">Mean of the pieces observed.</param>
    /// <param name="pieces">How many were observed, 0 or more.</param>
    public static double StandardSeconds(double standardSeconds, double observedMeanSeconds, int pieces) =>
        ((StandardWeight * standardSeconds) + (pieces * observedMeanSeconds)) / (StandardWeight + pieces);

    /// <summary>Mean of the Beta posterior over the prior Beta(30·s0, 30·(1−s0)).</summary>
    /// <param name="prior">s0, 0 to 1.</param>
    /// <param name="spoiled">Spoiled pieces seen.</param>
    /// <param name="pieces">Pieces seen.</param>
    public static double SpoiledShare(double prior, int spoiled, int pieces) =>
        ((SpoilageWeight * prior) + spoiled) / (SpoilageWeight + pieces);
}
