namespace Hepno.Store.Copies;

/// <summary>What was named cannot be put back; nothing was changed.</summary>
/// <param name="why">Why, as the rest of a sentence.</param>
public sealed class UnfitCopyException(string why) : Exception($"This copy is not put back: {why} Nothing was changed.")
{
    /// <summary>Why, as the rest of a sentence.</summary>
    public string Why { get; } = why;
}
