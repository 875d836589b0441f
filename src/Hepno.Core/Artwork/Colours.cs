using Hepno.Core.Measures;

namespace Hepno.Core.Artwork;

/// <summary>A flat colour of a picture.</summary>
/// <param name="Hex">#rrggbb, the mean of its pixels.</param>
/// <param name="Share">Its flat pixels ÷ all painted pixels.</param>
/// <param name="Stray">True when it is so small that it is probably left over from drawing.</param>
/// <param name="Box">The box round it; null where it was measured before Hepno looked.</param>
public sealed record SpotColour(string Hex, double Share, bool Stray, PixelBox? Box = null);

/// <summary>The colours a picture is made of (docs/trade 4).</summary>
/// <param name="Spots">Flat colours, largest first, stray ones last.</param>
/// <param name="GradientShare">Share of the solid pixels that differ a little from their neighbours: gradients,
/// photographs, noise.</param>
/// <param name="LooksGradient">True when it is rather a gradient or photograph than flat colours.</param>
public sealed record Colours(IReadOnlyList<SpotColour> Spots, double GradientShare, bool LooksGradient)
{
    /// <summary>As near to white as this is white ink alone, ΔE.</summary>
    private const double NearWhite = 8;

    private const byte Solid = 243;
    private const int Bits = 5;
    private const double SameColour = 9;
    private const double LeastShare = 0.0005;
    private const double GradientFrom = 0.12;
    private const int MostSpots = 12;
    private const int SmallStep = 40;

    /// <summary>How many colours that are not stray.</summary>
    public int Count => Spots.Count(s => !s.Stray);

    /// <summary>True when all of it is white: printed in white ink alone, it shows no colour when it is
    /// cured.</summary>
    public bool WhiteAlone() =>
        !LooksGradient
        && Count > 0
        && Spots.Where(s => !s.Stray).All(s => Lab.Of(s.Hex).DistanceTo(Lab.Of("#ffffff")) <= NearWhite);

    /// <summary>Clusters the flat regions: pixels equal to the ones right of and below them, so edges are left
    /// out.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="painted">What of it is painted.</param>
    /// <param name="dpi">Pixels an inch at print size: a region of 4 mm² counts however small its share.</param>
    public static Colours Measure(Raster raster, Painted painted, double dpi)
    {
        var bins = new Bin[1 << (3 * Bits)];
        var (flat, slight, solid) = Counted(raster, bins);
        var clusters = Clustered(bins);
        var large = 4 / (Units.MmPerInch * Units.MmPerInch) * dpi * dpi;
        var spots = clusters
            .Select(c => (Colour: c, Share: c.Pixels / Math.Max(1, painted.PaintedPixels)))
            .Select(c => new SpotColour(
                c.Colour.Hex,
                c.Share,
                c.Share < LeastShare && LargestRegion(raster, c.Colour) < large,
                c.Colour.Box
            ))
            .OrderBy(s => s.Stray)
            .ThenByDescending(s => s.Share)
            .ToList();
        var gradient = solid == 0 ? 0 : (double)slight / solid;
        return new(
            spots,
            gradient,
            gradient > GradientFrom
                || spots.Count(s => !s.Stray) > MostSpots
                || (solid > 0 && flat < solid * 0.3 && slight > solid * 0.05)
        );
    }

    private static (long Flat, long Slight, long Solid) Counted(Raster raster, Bin[] bins)
    {
        var (w, h, rgba) = raster;
        var (flat, slight, solid) = (0L, 0L, 0L);
        for (var y = 0; y < h - 1; y++)
        {
            var i = y * w * 4;
            for (var x = 0; x < w - 1; x++, i += 4)
            {
                if (rgba[i + 3] < Solid)
                {
                    continue;
                }
                solid++;
                var step = Math.Max(Step(rgba, i, i + 4), Step(rgba, i, i + (w * 4)));
                if (step <= 2)
                {
                    flat++;
                    var (r, g, b) = (rgba[i], rgba[i + 1], rgba[i + 2]);
                    ref var bin = ref bins[
                        (r >> (8 - Bits) << (2 * Bits)) | (g >> (8 - Bits) << Bits) | (b >> (8 - Bits))
                    ];
                    bin.Take(x, y, r, g, b);
                }
                // a gradient steps a little from pixel to pixel, an edge a lot
                slight += step is > 0 and < SmallStep ? 1 : 0;
            }
        }
        return (flat, slight, solid);
    }

    private static int Step(byte[] rgba, int i, int j) =>
        rgba[j + 3] < Solid
            ? SmallStep
            : Math.Abs(rgba[i] - rgba[j]) + Math.Abs(rgba[i + 1] - rgba[j + 1]) + Math.Abs(rgba[i + 2] - rgba[j + 2]);

    private static List<Cluster> Clustered(Bin[] bins)
    {
        var clusters = new List<Cluster>();
        foreach (var bin in bins.Where(b => b.Pixels > 0).OrderByDescending(b => b.Pixels).Take(4000))
        {
            var colour = Lab.Of(bin.R / (double)bin.Pixels, bin.G / (double)bin.Pixels, bin.B / (double)bin.Pixels);
            var near = clusters
                .Where(c => c.Seed.DistanceTo(colour) < SameColour)
                .MinBy(c => c.Seed.DistanceTo(colour));
            if (near is null)
            {
                clusters.Add(near = new(colour));
            }
            near.Take(bin);
        }
        return clusters;
    }

    private static int LargestRegion(Raster raster, Cluster cluster)
    {
        var (w, h, rgba) = raster;
        var regions = new Regions();
        bool Is(int i) =>
            rgba[i + 3] >= Solid
            && Math.Abs(rgba[i] - cluster.R) + Math.Abs(rgba[i + 1] - cluster.G) + Math.Abs(rgba[i + 2] - cluster.B)
                <= 24;
        for (var y = 0; y < h; y++)
        {
            regions.NextRow();
            var start = -1;
            for (var x = 0; x <= w; x++)
            {
                var inside = x < w && Is(((y * w) + x) * 4);
                if (inside && start < 0)
                {
                    start = x;
                }
                else if (!inside && start >= 0)
                {
                    regions.Add(start, x - 1);
                    start = -1;
                }
            }
        }
        return regions.Parts() is { Count: > 0 } parts ? parts[0].Pixels : 0;
    }

    /// <summary>Flat pixels of nearly one colour, with the box round them.</summary>
    private struct Bin
    {
        public int Pixels;
        public long R;
        public long G;
        public long B;
        public int Left;
        public int Top;
        public int Right;
        public int Bottom;

        public void Take(int x, int y, byte r, byte g, byte b)
        {
            // rows come one below the other: the first is the topmost
            (Left, Right) = Pixels == 0 ? (x, x) : (Math.Min(Left, x), Math.Max(Right, x));
            (Top, Bottom) = (Pixels == 0 ? y : Top, y);
            (Pixels, R, G, B) = (Pixels + 1, R + r, G + g, B + b);
        }
    }

    private sealed class Cluster(Lab seed)
    {
        private long r;
        private long g;
        private long b;
        private int left = int.MaxValue;
        private int top = int.MaxValue;
        private int right;
        private int bottom;

        public Lab Seed { get; } = seed;

        public long Pixels { get; private set; }

        /// <summary>Round its flat pixels, and the one right of and below each that it is equal to.</summary>
        public PixelBox Box => new(left, top, right - left + 2, bottom - top + 2);

        public int R => (int)Math.Round(r / (double)Pixels);

        public int G => (int)Math.Round(g / (double)Pixels);

        public int B => (int)Math.Round(b / (double)Pixels);

        public string Hex => $"#{R:x2}{G:x2}{B:x2}";

        public void Take(in Bin bin)
        {
            (Pixels, r, g, b) = (Pixels + bin.Pixels, r + bin.R, g + bin.G, b + bin.B);
            (left, top, right, bottom) = (
                Math.Min(left, bin.Left),
                Math.Min(top, bin.Top),
                Math.Max(right, bin.Right),
                Math.Max(bottom, bin.Bottom)
            );
        }
    }
}
