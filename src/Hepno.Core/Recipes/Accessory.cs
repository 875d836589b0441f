using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Recipes;

/// <summary>What lies in or on a press besides its platens.</summary>
public enum AccessoryKind
{
    /// <summary>Lifts the print over seams, zips and pockets, so that they do not keep the heat away.</summary>
    Pillow,

    /// <summary>The same, cut to the print.</summary>
    Foam,

    /// <summary>Lies on the print under the heat; wears out.</summary>
    CoverSheet,

    /// <summary>A form that a sock or a bag is pulled over for the press: it gets as hot as the platen.</summary>
    Jig,
}

/// <summary>A pillow, a foam or a cover sheet of a press.</summary>
/// <param name="Name">What the shop calls it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Depth, in.</param>
/// <param name="ThicknessIn">How thick, in: it changes what the dial means.</param>
/// <param name="Uses">Presses it lasts; 0 while nobody counts.</param>
/// <param name="Since">The day it was new.</param>
public sealed record Accessory(
    string Name,
    AccessoryKind Kind,
    double WidthIn,
    double HeightIn,
    double ThicknessIn,
    int Uses,
    LocalDate Since
)
{
    private const double NearlyWornShare = 0.9;

    /// <summary>True for what goes under the print.</summary>
    public bool Lifts() => Kind is AccessoryKind.Pillow or AccessoryKind.Foam;

    /// <summary>Presses it has left after some pieces; null while nobody counts.</summary>
    public int? Left(int pressed) => Uses == 0 ? null : Math.Max(0, Uses - pressed);

    /// <summary>True when it should be replaced soon: nine tenths of its presses are done.</summary>
    public bool IsNearlyWorn(int pressed) => Uses > 0 && pressed >= NearlyWornShare * Uses;

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Trim().Length is 0 or > 30)
        {
            yield return new(
                "name",
                $"A pillow, foam or cover sheet is called \"{Name}\".",
                Where: "name",
                "Give it a name of its own, up to 30 letters."
            );
        }
        if (WidthIn is not (>= 1 and <= 60) || HeightIn is not (>= 1 and <= 60) || ThicknessIn is not (>= 0 and <= 3))
        {
            yield return new(
                "range",
                $"{Name} of {WidthIn:0.##} × {HeightIn:0.##} × {ThicknessIn:0.##} in is outside 1 to 60 and 0 to 3.",
                Where: "widthIn",
                "Measure it, thickness last."
            );
        }
        if (Uses is < 0 or > 100_000)
        {
            yield return new(
                "range",
                $"{Name}: {Uses} uses is outside 0 to 100,000.",
                Where: "uses",
                "How many presses it lasts; 0 not to count."
            );
        }
    }
}

/// <summary>Which pillow a print wants (docs/trade 5: pressure is remembered for press, thickness, lower platen and
/// pillow).</summary>
public static class PillowChoice
{
    /// <summary>Why a print wants to be lifted; empty when it lies flat.</summary>
    /// <param name="style">The garment.</param>
    /// <param name="seam">At which seam it sits, a usual place.</param>
    public static string Why(Style style, string seam) =>
        seam switch
        {
            "left-chest" when style.Has(Feature.Pocket) => "the pocket's seams",
            "left-chest" or "front" when style.Has(Feature.Zip) => "the zip and its tape",
            "left-chest" or "front" when style.Kind == GarmentKind.Polo => "the placket and its buttons",
            "back" or "nape" when style.Has(Feature.Hood) => "the hood and its seam",
            "left-leg" or "right-leg" => "the seams of the leg",
            "bag-face" when style.Has(Feature.Grommets) => "the eyelets",
            _ => "",
        };

    /// <summary>The smallest pillow or foam of a press that the print lies wholly on; null when it lies flat or there
    /// is none.</summary>
    public static Accessory? For(Press press, Style style, string seam, double widthIn, double heightIn) =>
        Why(style, seam).Length == 0
            ? null
            : press
                .Accessories.Where(a =>
                    a.Lifts()
                    && (
                        (a.WidthIn >= widthIn && a.HeightIn >= heightIn)
                        || (a.WidthIn >= heightIn && a.HeightIn >= widthIn)
                    )
                )
                .MinBy(a => a.WidthIn * a.HeightIn);
}
