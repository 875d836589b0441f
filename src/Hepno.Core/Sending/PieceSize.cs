using Hepno.Core.Blanks;

namespace Hepno.Core.Sending;

/// <summary>What one folded piece weighs and how much room it takes, for parcels (assumed: cloth area and bulk by kind of garment).</summary>
public static class PieceSize
{
    /// <summary>Weight, g: cloth weight × m² of cloth in a middle size.</summary>
    public static double Grams(Style style) => style.WeightGsm * style.Kind switch
    {
        GarmentKind.Hoodie => 1.9,
        GarmentKind.Sweatshirt => 1.6,
        GarmentKind.Tote => 0.4,
        GarmentKind.Apron => 0.8,
        GarmentKind.Cap => 0.45,
        _ => 1.0,
    };

    /// <summary>Room, in folded tees.</summary>
    public static double Tees(GarmentKind kind) => kind switch
    {
        GarmentKind.Hoodie => 3,
        GarmentKind.Sweatshirt => 2.5,
        GarmentKind.Tote => 0.5,
        GarmentKind.Cap => 1.5,
        _ => 1,
    };
}
