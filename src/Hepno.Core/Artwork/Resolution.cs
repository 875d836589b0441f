namespace Hepno.Core.Artwork;

/// <summary>How well a picture's pixels fill its print.</summary>
public enum Sharpness
{
    /// <summary>300 pixels an inch or more, or drawn in lines.</summary>
    Good,

    /// <summary>200 to 299.</summary>
    Usable,

    /// <summary>150 to 199: ask the customer.</summary>
    Soft,

    /// <summary>Under 150.</summary>
    Poor,
}

/// <summary>Pixels an inch at a print size (docs/trade 4).</summary>
public static class Resolution
{
    /// <summary>Pixels an inch.</summary>
    /// <param name="pixels">Pixels across.</param>
    /// <param name="widthIn">Print width, in.</param>
    public static double Dpi(int pixels, double widthIn) => pixels / widthIn;

    /// <summary>The word for it.</summary>
    public static Sharpness Judge(double dpi) =>
        Math.Round(dpi) switch
        {
            >= 300 => Sharpness.Good,
            >= 200 => Sharpness.Usable,
            >= 150 => Sharpness.Soft,
            _ => Sharpness.Poor,
        };

    /// <summary>The widest print at which a picture still is of some sharpness, in.</summary>
    /// <param name="pixels">Pixels across.</param>
    /// <param name="sharpness">Good, usable or soft.</param>
    public static double WidestIn(int pixels, Sharpness sharpness) =>
        pixels
        / (
            sharpness switch
            {
                Sharpness.Good => 300.0,
                Sharpness.Usable => 200.0,
                _ => 150.0,
            }
        );
}
