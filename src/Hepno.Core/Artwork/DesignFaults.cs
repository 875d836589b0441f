using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Artwork;

/// <summary>How bad a fault is.</summary>
public enum FaultKind
{
    /// <summary>It prints badly.</summary>
    Caution,

    /// <summary>It should not be printed like this.</summary>
    Bad,
}

/// <summary>Something about a picture that would spoil its print.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Kind">How bad.</param>
/// <param name="Sentence">What is wrong.</param>
/// <param name="Remedy">What would help.</param>
/// <param name="Marks">Where, in its own pixels; empty when it is the whole picture.</param>
public sealed record DesignFault(string Code, FaultKind Kind, string Sentence, string Remedy, IReadOnlyList<PixelBox> Marks);

/// <summary>The least line and gap of a way of printing, pt (docs/trade.md 3).</summary>
/// <param name="Ways">The ways, in words.</param>
/// <param name="LinePt">Thinnest line it holds.</param>
/// <param name="GapPt">Thinnest gap it keeps open.</param>
public sealed record Holds(string Ways, double LinePt, double GapPt)
{
    /// <summary>By how fine they are, finest first.</summary>
    public static IReadOnlyList<Holds> All { get; } = [new("dye", 0.5, 0.5), new("film, screened transfers", 1, 1.5), new("vinyl", 4.5, 3)];

    /// <summary>Cut film: it holds least.</summary>
    public static Holds Coarsest => All[^1];
}

/// <summary>Looks at an artwork at a print width on a cloth, as somebody who prints would (docs/trade.md 3 and 4).</summary>
public static class DesignFaults
{
    private const double SoftFrom = 0.005;
    private const double HardlyShows = 12;
    private const double MostOfIt = 0.05;

    /// <summary>Faults, the worst first.</summary>
    /// <param name="design">The artwork.</param>
    /// <param name="widthIn">Print width, in.</param>
    /// <param name="cloth">Colour of the blank, or null while it is not chosen.</param>
    /// <param name="f">How figures are written.</param>
    public static IReadOnlyList<DesignFault> Of(Design design, double widthIn, Colourway? cloth, FigureFormat f) =>
        [.. Sharp(design.Report, widthIn, f).Concat(Soft(design.Report, cloth, f)).Concat(Thin(design.Report, widthIn, f)).Concat(Ground(design.Report, cloth)).Concat(Shows(design.Report, cloth, f)).Concat(Code(design.Report, widthIn, cloth, f)).Concat(Stray(design.Report)).OrderByDescending(x => x.Kind)];

    private static IEnumerable<DesignFault> Sharp(ArtworkReport r, double widthIn, FigureFormat f)
    {
        var dpi = r.Dpi(widthIn);
        if (r.Vector || Resolution.Of(dpi) is Sharpness.Good or Sharpness.Usable)
        {
            yield break;
        }
        var poor = Resolution.Of(dpi) == Sharpness.Poor;
        yield return new("resolution", poor ? FaultKind.Bad : FaultKind.Caution, $"{Shown.Number(dpi, 0, f)} pixels an inch at {Shown.Length(widthIn, f)} wide: {(poor ? "it prints in steps" : "it prints soft")}",
            $"a file of {Shown.Number(widthIn * 300, 0, f)} pixels across, or no wider than {Shown.Length(Resolution.WidestIn(r.Box.Width, Sharpness.Usable), f)}", []);
    }

    private static IEnumerable<DesignFault> Soft(ArtworkReport r, Colourway? cloth, FigureFormat f)
    {
        if (r.Soft.Share < SoftFrom)
        {
            yield break;
        }
        var onDark = cloth?.Class is ColourClass.Dark or ColourClass.Mid;
        yield return new("soft-edge", onDark ? FaultKind.Bad : FaultKind.Caution, $"{Shown.Number(r.Soft.Share * 100, 1, f)}% of the paint is half clear: film leaves {(onDark ? $"a white rim on {cloth!.Name.ToLowerInvariant()}" : "a grainy rim")}",
            "cut it hard, or flatten it onto the colour of the cloth", r.Soft.Marks);
    }

    private static IEnumerable<DesignFault> Thin(ArtworkReport r, double widthIn, FigureFormat f)
    {
        foreach (var (feature, least, what) in new[] { (r.ThinnestLine, (Func<Holds, double>)(h => h.LinePt), "line"), (r.ThinnestGap, h => h.GapPt, "gap") })
        {
            if (feature is null)
            {
                continue;
            }
            var pt = r.Pt(feature.WidthPx, widthIn);
            // vinyl alone is too coarse for much that is printed well: the comparison says so there
            var printed = Holds.All.Where(h => h != Holds.Coarsest && pt < least(h) - 0.005).ToList();
            if (printed.Count > 0)
            {
                var wanted = printed.Max(least);
                yield return new($"thin-{what}", printed.Count == Holds.All.Count - 1 ? FaultKind.Bad : FaultKind.Caution, $"a {what} of {Shown.Number(pt, 2, f)} pt: {string.Join(", ", printed.Select(h => h.Ways))} and {Holds.Coarsest.Ways} {(what == "line" ? "lose it" : "close it")}",
                    $"{what}s of {Shown.Number(wanted, 1, f)} pt, or {Shown.Length(widthIn * wanted / pt, f)} wide", feature.Marks);
            }
        }
    }

    private static IEnumerable<DesignFault> Ground(ArtworkReport r, Colourway? cloth)
    {
        // a code is meant to lie on its light ground
        if (r.Code is null && r.Ground is { } ground && (cloth is null || Lab.Of(cloth.Hex).DistanceTo(Lab.Of(ground)) > WhiteNeeded.Matches))
        {
            yield return new("ground", FaultKind.Caution, $"the file has no clear parts: its ground of {ground} would be printed as a box", "knock the ground out, or ask for a PNG with a clear ground", []);
        }
    }

    private static IEnumerable<DesignFault> Shows(ArtworkReport r, Colourway? cloth, FigureFormat f)
    {
        if (cloth is null || r.Ground is not null)
        {
            yield break;
        }
        var on = Lab.Of(cloth.Hex);
        foreach (var spot in r.Colours.Spots.Where(s => s.Share >= MostOfIt && Lab.Of(s.Hex).DistanceTo(on) < HardlyShows))
        {
            yield return new("contrast", FaultKind.Caution, $"{spot.Hex}, {Shown.Number(spot.Share * 100, 0, f)}% of the paint, hardly shows on {cloth.Name.ToLowerInvariant()}", "leave it out so that the cloth shows through, or choose another colour", []);
        }
    }

    private static IEnumerable<DesignFault> Code(ArtworkReport r, double widthIn, Colourway? cloth, FigureFormat f)
    {
        if (r.Code is not { } code)
        {
            yield break;
        }
        var mm = code.ModulePx / r.Dpi(widthIn) * Units.MmPerInch;
        string Mm(double v) => $"{Shown.Number(v, 2, f)} mm";
        string Wide(double least) => $"{Shown.Length(widthIn * least / mm, f)} wide makes its squares {Mm(least)}";
        if (mm < CodeSquares.Least)
        {
            yield return new("code-small", FaultKind.Bad, $"the squares of the code are {Mm(mm)}: no way of printing keeps them apart", Wide(CodeSquares.SafeOnFilm), [code.Box]);
        }
        else if (mm < CodeSquares.LeastScreened)
        {
            yield return new("code-small", FaultKind.Caution, $"the squares of the code are {Mm(mm)}: screened they run together{(mm < CodeSquares.SafeOnFilm ? ", and film wants a scan on the cloth itself" : "")}", $"film, or {Wide(CodeSquares.SafeScreened)}", [code.Box]);
        }
        // a code is dark on light: what is clear between its squares takes the colour of the cloth
        if (cloth?.Class is ColourClass.Dark or ColourClass.Mid && r.Clear && !code.HasGround)
        {
            yield return new("code-ground", FaultKind.Caution, $"the code needs a light ground and four squares of light round it: on {cloth.Name.ToLowerInvariant()} it has none where it is clear", "put it on a printed white ground, and scan it on the cloth", [code.Box]);
        }
    }

    private static IEnumerable<DesignFault> Stray(ArtworkReport r)
    {
        var stray = r.Colours.Spots.Where(s => s.Stray).ToList();
        if (!r.Colours.LooksGradient && stray.Count > 0)
        {
            yield return new("stray-colours", FaultKind.Caution, $"{stray.Count} specks in colours of their own: {string.Join(", ", stray.Take(3).Select(s => s.Hex))}{(stray.Count > 3 ? " and more" : "")}", "clean them out, or count them as colours", []);
        }
    }
}
