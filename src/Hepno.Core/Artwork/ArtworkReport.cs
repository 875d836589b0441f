using Hepno.Core.Gang;
using Hepno.Core.Orders;

namespace Hepno.Core.Artwork;

/// <summary>A square code found in a picture.</summary>
/// <param name="Text">What it says when it is read.</param>
/// <param name="ModulePx">Side of one of its squares, px.</param>
/// <param name="Box">Where it is.</param>
/// <param name="HasGround">True when its light squares and a border of them are painted in the picture; false too where
/// it was measured before Hepno looked.</param>
public sealed record FoundCode(string Text, double ModulePx, PixelBox Box, bool HasGround = false)
{
    /// <summary>True when it is drawn the wrong way round.</summary>
    public bool Mirrored { get; init; }

    // four squares of light are to lie round it; the marks it is found by are known to about half a square
    private const double BorderSquares = 3.5;
    private const byte Opaque = 250;

    /// <summary>Whether what is light of a code is painted: everything within its border.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="modulePx">Side of one of its squares, px.</param>
    /// <param name="box">Where it is.</param>
    public static bool IsOnGround(Raster raster, double modulePx, PixelBox box)
    {
        var border = (int)Math.Floor(BorderSquares * modulePx);
        var (left, top, right, bottom) = (
            box.Left - border,
            box.Top - border,
            box.Left + box.Width + border,
            box.Top + box.Height + border
        );
        return left >= 0
            && top >= 0
            && right <= raster.Width
            && bottom <= raster.Height
            && Enumerable
                .Range(top, bottom - top)
                .All(y => Enumerable.Range(left, right - left).All(x => raster.Alpha(x, y) >= Opaque));
    }
}

/// <summary>Everything measured on a picture at one print width; other widths follow from it.</summary>
/// <param name="WidthPx">Pixels across.</param>
/// <param name="HeightPx">Pixels down.</param>
/// <param name="Vector">True when it is drawn in lines: no size is too large for it.</param>
/// <param name="Clear">True when something of it is see-through; a photograph format never is.</param>
/// <param name="Box">The box round everything painted.</param>
/// <param name="PaintedPixels">Pixels painted, half-clear ones by their share.</param>
/// <param name="Colours">What it is made of.</param>
/// <param name="Soft">Soft edges, glows and shadows.</param>
/// <param name="ThinnestLine">The thinnest line, or null when none is thinner than <see cref="LookedForPt"/>.</param>
/// <param name="ThinnestGap">The thinnest gap, or null.</param>
/// <param name="Ground">Colour of a flat ground that could be knocked out, or null.</param>
public sealed record ArtworkReport(
    int WidthPx,
    int HeightPx,
    bool Vector,
    bool Clear,
    PixelBox Box,
    double PaintedPixels,
    Colours Colours,
    SoftAlpha Soft,
    ThinFeature? ThinnestLine,
    ThinFeature? ThinnestGap,
    string? Ground
)
{
    /// <summary>A square code in it, or null.</summary>
    public FoundCode? Code { get; init; }

    /// <summary>How much of each ink it takes; null where it was measured before Hepno looked.</summary>
    public InkSplit? Ink { get; init; }

    /// <summary>What its own outline encloses; null where it fills its box, and where it was measured before
    /// Hepno looked.</summary>
    public IReadOnlyList<OutlinePart>? Outline { get; init; }

    /// <summary>True when it was measured at half its pixels each way, because it has more than
    /// <see cref="MostMeasured"/>; its figures are of the whole all the same.</summary>
    public bool Halved { get; init; }

    /// <summary>Pixels up to which a picture is measured as it is: more take too long, and at print size tell nothing
    /// more.</summary>
    public const int MostMeasured = 40_000_000;

    /// <summary>How wide lines and gaps were looked for at the width it was measured at, pt; less in reports of
    /// before.</summary>
    public double LookedForPt { get; init; } = 6;

    /// <summary>True when lettering in its drawing runs backwards; told of drawings that keep their letters as text,
    /// and of no other.</summary>
    public bool MirroredText { get; init; }

    /// <summary>What was measured at half the pixels each way, in pixels of the whole picture.</summary>
    /// <param name="widthPx">Pixels across of the whole.</param>
    /// <param name="heightPx">Pixels down of the whole.</param>
    public ArtworkReport Doubled(int widthPx, int heightPx) =>
        this with
        {
            WidthPx = widthPx,
            HeightPx = heightPx,
            Box = Box.Doubled(),
            PaintedPixels = PaintedPixels * 4,
            Colours = Colours with { Spots = [.. Colours.Spots.Select(s => s with { Box = s.Box?.Doubled() })] },
            Soft = Soft with
            {
                Largest = Soft.Largest?.Doubled(),
                LargestPixels = Soft.LargestPixels * 4,
                Marks = [.. Soft.Marks.Select(m => m.Doubled())],
            },
            ThinnestLine = Doubled(ThinnestLine),
            ThinnestGap = Doubled(ThinnestGap),
            Code = Code is null ? null : Code with { ModulePx = Code.ModulePx * 2, Box = Code.Box.Doubled() },
            Halved = true,
        };

    private static ThinFeature? Doubled(ThinFeature? thin) =>
        thin is null ? null : new(thin.WidthPx * 2, [.. thin.Marks.Select(m => m.Doubled())]);

    /// <summary>Share of the painted box that is painted, 0 to 1.</summary>
    public double Coverage() => PaintedPixels / ((double)Box.Width * Box.Height);

    /// <summary>Height of the print at a width, in.</summary>
    public double HeightIn(double widthIn) => widthIn * Box.Height / Box.Width;

    /// <summary>Pixels an inch at a width.</summary>
    public double Dpi(double widthIn) => Resolution.Dpi(Box.Width, widthIn);

    /// <summary>A width of its own pixels as points at a print width.</summary>
    public double Pt(double px, double widthIn) => px / Dpi(widthIn) * 72;

    /// <summary>Its flat colours as they are cut from film; null for a gradient, and where it was measured before Hepno
    /// looked for each colour's own box.</summary>
    public ColourCuts? Cuts()
    {
        var spots = Colours.Spots.Where(s => !s.Stray).ToList();
        var paint = spots.Sum(s => s.Share);
        return Colours.LooksGradient || spots.Count == 0 || spots.Any(s => s.Box is null)
            ? null
            : new([
                .. spots.Select(s => new ColourCut(
                    s.Hex,
                    Math.Min(1, (double)s.Box!.Width / Box.Width),
                    HeightShare: Math.Min(1, (double)s.Box.Height / Box.Height),
                    s.Share / paint
                )),
            ]);
    }

    /// <summary>Measures a picture; null when nothing of it is painted.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="widthIn">Print width of what is painted, in.</param>
    /// <param name="vector">True when it was drawn in lines.</param>
    /// <param name="progress">Told the share done, 0 to 1.</param>
    public static ArtworkReport? Measure(Raster raster, double widthIn, bool vector, Action<double>? progress = null)
    {
        var painted = Painted.Measure(raster);
        if (painted.Box is not { } box)
        {
            return null;
        }
        var dpi = Resolution.Dpi(box.Width, widthIn);
        progress?.Invoke(0.1);
        var colours = Colours.Measure(raster, painted, dpi);
        progress?.Invoke(0.3);
        var soft = SoftAlpha.Measure(raster, painted.PaintedPixels);
        progress?.Invoke(0.5);
        var line = ThinFeature.Line(raster, box, dpi);
        progress?.Invoke(0.8);
        var gap = ThinFeature.Gap(raster, box, dpi);
        progress?.Invoke(1);
        return new(
            raster.Width,
            HeightPx: raster.Height,
            vector,
            painted.Clear,
            box,
            painted.PaintedPixels,
            colours,
            soft,
            line,
            gap,
            painted.Clear ? null : FlatGround.Find(raster)
        )
        {
            Ink = InkSplit.Measure(raster),
            Outline = PrintOutline.Trace(raster, box),
            LookedForPt = ThinFeature.WidestPt,
        };
    }
}
