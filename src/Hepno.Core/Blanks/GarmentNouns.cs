namespace Hepno.Core.Blanks;

/// <summary>What a kind of garment is called in a sentence.</summary>
public static class GarmentNouns
{
    /// <summary>One or several of a kind: "tee", "zip hoodies", "pairs of socks".</summary>
    public static string Of(GarmentKind kind, int pieces)
    {
        var one = pieces == 1;
        return kind switch
        {
            GarmentKind.LongSleeve => one ? "long-sleeved tee" : "long-sleeved tees",
            GarmentKind.ZipHoodie => one ? "zip hoodie" : "zip hoodies",
            GarmentKind.DrawstringBag => one ? "drawstring bag" : "drawstring bags",
            GarmentKind.Joggers => one ? "pair of joggers" : "pairs of joggers",
            GarmentKind.Socks => one ? "pair of socks" : "pairs of socks",
            _ => kind.ToString().ToLowerInvariant() + (one ? "" : "s"),
        };
    }
}
