using Hepno.Core.Things;

namespace Hepno.Core.Blanks;

/// <summary>What a kind of garment is called in a sentence.</summary>
public static class GarmentNouns
{
    /// <summary>One or several of a kind: "tee", "zip hoodies", "pairs of socks".</summary>
    public static string For(GarmentKind kind, int pieces)
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

    /// <summary>Every kind, as it stands in a list: "Tee", "Joggers".</summary>
    public static IReadOnlyList<FieldOption> Options { get; } =
    [.. Enum.GetValues<GarmentKind>().Select(k => new FieldOption(Words.Of(k), Label: Listed(k)))];

    private static string Listed(GarmentKind kind)
    {
        var noun = kind is GarmentKind.Joggers or GarmentKind.Socks ? kind.ToString() : For(kind, 1);
        return $"{char.ToUpperInvariant(noun[0])}{noun[1..]}";
    }

    /// <summary>A style by its name, as one or several pieces: "Hollin 150 tees", "Kittiwake caps" where its name says
    /// the kind already.</summary>
    public static string Named(string name, GarmentKind kind, int pieces)
    {
        // what is worn in pairs is named after the name as it is: "12 Brae joggers"
        var noun = kind is GarmentKind.Joggers or GarmentKind.Socks ? kind.ToString().ToLowerInvariant() : For(kind, 1);
        var last = noun.Split(' ')[^1];
        var said =
            name.EndsWith($" {last}", StringComparison.OrdinalIgnoreCase)
            || name.Equals(last, StringComparison.OrdinalIgnoreCase);
        var several =
            name.EndsWith($" {last}s", StringComparison.OrdinalIgnoreCase)
            || name.Equals($"{last}s", StringComparison.OrdinalIgnoreCase);
        var named = said || several ? name : $"{name} {noun}";
        return pieces == 1 || several || noun.EndsWith('s') ? named : named + "s";
    }
}
