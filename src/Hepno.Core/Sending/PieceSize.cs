using Hepno.Core.Blanks;

namespace Hepno.Core.Sending;

/// <summary>What one folded piece weighs and how much room it takes, for parcels (assumed: cloth area and bulk by kind
/// of garment).</summary>
public static class PieceSize
{
    /// <summary>Weight, g: cloth weight × m² of cloth in a middle size.</summary>
    public static double Grams(Style style) =>
        style.WeightGsm
        * style.Kind switch
        {
            GarmentKind.Hoodie or GarmentKind.ZipHoodie or GarmentKind.Jacket => 1.9,
            GarmentKind.Sweatshirt or GarmentKind.Joggers => 1.6,
            GarmentKind.LongSleeve => 1.3,
            GarmentKind.Tote or GarmentKind.DrawstringBag => 0.4,
            GarmentKind.Apron => 0.8,
            GarmentKind.Cap => 0.45,
            GarmentKind.Tank => 0.8,
            GarmentKind.Bodysuit => 0.35,
            GarmentKind.Socks => 0.25,
            _ => 1.0,
        };

    /// <summary>Room, in folded tees.</summary>
    public static double Tees(GarmentKind kind) =>
        kind switch
        {
            GarmentKind.Hoodie or GarmentKind.ZipHoodie or GarmentKind.Jacket => 3,
            GarmentKind.Sweatshirt or GarmentKind.Joggers => 2.5,
            GarmentKind.Tote or GarmentKind.DrawstringBag or GarmentKind.Socks or GarmentKind.Bodysuit => 0.5,
            GarmentKind.Cap => 1.5,
            _ => 1,
        };
}
