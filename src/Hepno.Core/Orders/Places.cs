using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>The usual places of a print with their customary sizes and distances (assumed, docs/trade 16): what a shop
/// begins with.</summary>
public static class Places
{
    /// <summary>Largest width or height of any artwork, in: more is never a garment.</summary>
    public const double Absurd = 40;

    /// <summary>The place that is printed from edge to edge, both sides.</summary>
    public const string AllOver = "all-over";

    /// <summary>Most stitches of one print: more is a slip of the pen.</summary>
    public const int MostStitches = 1_000_000;

    /// <summary>A finger's breadth, in: how placements are checked at the press (assumed, docs/trade 15.4).</summary>
    public const double FingerIn = 0.75;

    /// <summary>A distance in fingers, to the half.</summary>
    public static double Fingers(double inches) => Math.Round(inches / FingerIn * 2, MidpointRounding.AwayFromZero) / 2;

    private static readonly PlaceWidths Small = new(3, Large: 3, 3, Youth: 2.25, 1.75, Infant: 1.5);
    private static readonly PlaceWidths Along = new(2.5, Large: 2.5, 2.5, Youth: 2, 1.5, Infant: 1.25);

    private static readonly string[] OfTee =
    [
        "front",
        "left-chest",
        "back",
        "left-sleeve",
        "right-sleeve",
        "nape",
        "neck-label",
    ];
    private static readonly string[] OfLongSleeve =
    [
        "front",
        "left-chest",
        "back",
        "left-sleeve",
        "right-sleeve",
        "left-long-sleeve",
        "right-long-sleeve",
        "nape",
        "neck-label",
    ];

    /// <summary>All of them, in the order they are offered.</summary>
    public static IReadOnlyList<Place> All { get; } =
    [
        new(
            "front",
            "Front",
            Where: "below the collar seam",
            3,
            HeightLimitIn: 14,
            new(10.5, Large: 11.5, 12.5, Youth: 8.5, 6, Infant: 4.5)
        )
        {
            FromSeamYouthIn = 2,
            FromSeamInfantIn = 1,
        },
        new(
            "left-chest",
            "Left chest",
            Where: "below the collar seam",
            3.5,
            HeightLimitIn: 4.5,
            new(3.5, Large: 3.5, 3.5, Youth: 2.75, 2, Infant: 1.75)
        )
        {
            FromSeamYouthIn = 2.5,
            FromSeamInfantIn = 1.5,
            AsideIn = 4,
        },
        new(
            "back",
            "Back",
            Where: "below the collar seam",
            4,
            HeightLimitIn: 15,
            new(12, Large: 12, 12, Youth: 9, 6.5, Infant: 5)
        )
        {
            FromSeamYouthIn = 3,
            FromSeamInfantIn = 2,
        },
        new("left-sleeve", "Left sleeve", Where: "above the hem", 1, HeightLimitIn: 3, Small) { OpeningIn = 6.5 },
        new("right-sleeve", "Right sleeve", Where: "above the hem", 1, HeightLimitIn: 3, Small) { OpeningIn = 6.5 },
        new("left-long-sleeve", "Along the left sleeve", Where: "above the cuff", 2, HeightLimitIn: 12, Along)
        {
            OpeningIn = 5.5,
        },
        new("right-long-sleeve", "Along the right sleeve", Where: "above the cuff", 2, HeightLimitIn: 12, Along)
        {
            OpeningIn = 5.5,
        },
        new("nape", "Nape", Where: "below the collar seam", 1.5, HeightLimitIn: 1.5, Small)
        {
            FromSeamYouthIn = 1,
            FromSeamInfantIn = 0.75,
        },
        new(
            "neck-label",
            "Neck label",
            Where: "below the binding, inside",
            0.5,
            HeightLimitIn: 2.5,
            PlaceWidths.Same(2.5)
        ),
        new("left-leg", "Left leg", Where: "below the pocket", 3, HeightLimitIn: 12, Small) { OpeningIn = 7 },
        new("right-leg", "Right leg", Where: "below the pocket", 3, HeightLimitIn: 12, Small) { OpeningIn = 7 },
        new("cap-front", "Cap front", Where: "above the brim", 0.5, HeightLimitIn: 2.25, PlaceWidths.Same(4.25)),
        new("bag-face", "Bag face", Where: "below the top edge", 3, HeightLimitIn: 10, PlaceWidths.Same(9)),
        new("sock-side", "Sock side", Where: "below the cuff", 1, HeightLimitIn: 6, PlaceWidths.Same(2.5))
        {
            OpeningIn = 3.5,
        },
        new("sock-side-b", "Sock, other side", Where: "below the cuff", 1, HeightLimitIn: 6, PlaceWidths.Same(2.5))
        {
            OpeningIn = 3.5,
        },
        // as wide as the smallest of each group lies flat; what is printed goes by the garment itself
        new(
            AllOver,
            Name: "All over",
            "from the top edge",
            0,
            HeightLimitIn: 29,
            new(29, Large: 36, 40, Youth: 22, 17.5, Infant: 12)
        ),
    ];

    /// <summary>A usual place by its key, or null.</summary>
    public static Place? Find(string id) => All.FirstOrDefault(p => p.Id == id);

    /// <summary>The usual places a kind of garment has, in the order they are offered.</summary>
    public static IReadOnlyList<string> On(GarmentKind kind) =>
        kind switch
        {
            GarmentKind.Cap => ["cap-front"],
            GarmentKind.Tote or GarmentKind.DrawstringBag => ["bag-face"],
            GarmentKind.Socks => ["sock-side", "sock-side-b"],
            GarmentKind.Tee => [.. OfTee, AllOver],
            GarmentKind.Joggers => ["left-leg", "right-leg"],
            GarmentKind.Apron => ["front", "left-chest"],
            GarmentKind.Tank => ["front", "left-chest", "back", "nape", "neck-label"],
            // a zip and a button placket run down the middle of the front
            GarmentKind.ZipHoodie or GarmentKind.Jacket => [.. OfLongSleeve.Where(p => p != "front")],
            GarmentKind.Polo => [.. OfTee.Where(p => p != "front")],
            GarmentKind.LongSleeve or GarmentKind.Sweatshirt or GarmentKind.Hoodie => OfLongSleeve,
            _ => OfTee,
        };

    /// <summary>True where one print may lie on another: a whole garment and a neck label take one alone.</summary>
    public static bool TakesLayers(string place) => place is not (AllOver or NeckLabel.PlaceId);
}
