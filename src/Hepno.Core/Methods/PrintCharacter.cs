namespace Hepno.Core.Methods;

/// <summary>What a decoration is like on the garment (docs/trade 1), in words to say to a customer.</summary>
/// <param name="Feel">How it feels.</param>
/// <param name="Wear">How it lasts; the maker's claim until the shop's own wash log says more.</param>
/// <param name="Stretch">What it does on cloth that stretches.</param>
/// <param name="Look">How it looks.</param>
public sealed record PrintCharacter(string Feel, string Wear, string Stretch, string Look)
{
    /// <summary>What a piece is like that has several of them.</summary>
    public static PrintCharacter Together(IEnumerable<PrintCharacter> each)
    {
        List<PrintCharacter> all = [.. each];
        string All(Func<PrintCharacter, string> of) => string.Join("; ", all.Select(of).Distinct());
        return new(All(c => c.Feel), Wear: All(c => c.Wear), All(c => c.Stretch), Look: All(c => c.Look));
    }
}
