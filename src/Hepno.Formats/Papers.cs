namespace Hepno.Formats;

/// <summary>A paper in PDF points.</summary>
/// <param name="Width">Points.</param>
/// <param name="Height">Points.</param>
public sealed record PaperSize(double Width, double Height)
{
    /// <summary>letter, else a4.</summary>
    public static PaperSize Of(string name) => name == "letter" ? new(612, 792) : new(595.28, 841.89);
}
