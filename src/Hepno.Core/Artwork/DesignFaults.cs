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
public sealed record DesignFault(
    string Code,
    FaultKind Kind,
    string Sentence,
    string Remedy,
    IReadOnlyList<PixelBox> Marks
);

/// <summary>Looks at an artwork at a print width on a cloth, as somebody who prints would (docs/trade 3 and
/// 4).</summary>
public static class DesignFaults
{
    /// <summary>Codes of what may be wrong with a picture: what is looked at on the first piece.</summary>
    public static IReadOnlyList<string> Codes { get; } =
    [
        "resolution",
        "soft-edge",
        "thin-line",
        "thin-gap",
        "ground",
        "contrast",
        "code-small",
        "code-ground",
        "mirrored",
        "stray-colours",
    ];

    private const double SoftFrom = 0.005;
    private const double HardlyShows = 12;
    private const double MostOfIt = 0.05;

    // a gap of less than half of what a way keeps open is closed for certain (assumed)
    private const double ClosesUnder = 0.5;

    /// <summary>Faults whatever the way of printing, the worst first; a fault of some ways names them.</summary>
    /// <param name="report">What was measured.</param>
    /// <param name="widthIn">Print width, in.</param>
    /// <param name="cloth">Colour of the blank, or null while it is not chosen.</param>
    /// <param name="f">How figures are written.</param>
    public static IReadOnlyList<DesignFault> Find(
        ArtworkReport report,
        double widthIn,
        Colourway? cloth,
        FigureFormat f
    ) =>
        [
            .. Whole(report, widthIn, cloth, f)
                .Concat(Soft(report, cloth, f))
                .Concat(Thin(report, widthIn, f))
                .Concat(Code(report, widthIn, f))
                .OrderByDescending(x => x.Kind),
        ];

    /// <summary>Faults of one way of printing, the worst first: what <c>Find</c> says of the picture, as far as it
    /// touches this way.</summary>
    /// <param name="hold">What the way holds.</param>
    /// <param name="report">What was measured.</param>
    /// <param name="widthIn">Print width, in.</param>
    /// <param name="cloth">Colour of the blank.</param>
    /// <param name="f">How figures are written.</param>
    public static IReadOnlyList<DesignFault> On(
        PrintHold hold,
        ArtworkReport report,
        double widthIn,
        Colourway cloth,
        FigureFormat f
    ) =>
        [
            .. Whole(report, widthIn, cloth, f)
                .Concat(SoftOn(hold, report, cloth, f))
                .Concat(ThinOn(hold, report, widthIn, f))
                .Concat(CodeOn(hold, report, widthIn, f))
                .OrderByDescending(x => x.Kind),
        ];

    // what spoils it by any way
    private static IEnumerable<DesignFault> Whole(ArtworkReport r, double widthIn, Colourway? cloth, FigureFormat f) =>
        Sharp(r, widthIn, f)
            .Concat(Ground(r, cloth))
            .Concat(Shows(r, cloth, f))
            .Concat(CodeGround(r, cloth))
            .Concat(Stray(r))
            .Concat(Mirrored(r));

    private static IEnumerable<DesignFault> Sharp(ArtworkReport r, double widthIn, FigureFormat f)
    {
        var dpi = r.Dpi(widthIn);
        if (r.Vector || Resolution.Judge(dpi) is Sharpness.Good or Sharpness.Usable)
        {
            yield break;
        }
        var poor = Resolution.Judge(dpi) == Sharpness.Poor;
        yield return new(
            "resolution",
            poor ? FaultKind.Bad : FaultKind.Caution,
            $"{Shown.Number(dpi, 0, f)} pixels an inch at {Shown.Length(widthIn, f)} wide: "
                + $"{(poor ? "it prints in steps" : "it prints soft")}",
            Remedy: $"a file of {Shown.Number(widthIn * 300, 0, f)} pixels across, or no wider than "
                + $"{Shown.Length(Resolution.WidestIn(r.Box.Width, Sharpness.Usable), f)}",
            []
        );
    }

    private static IEnumerable<DesignFault> Soft(ArtworkReport r, Colourway? cloth, FigureFormat f) =>
        SoftOn(PrintHold.Film, r, cloth, f);

    private static IEnumerable<DesignFault> SoftOn(PrintHold hold, ArtworkReport r, Colourway? cloth, FigureFormat f)
    {
        if (r.Soft.Share < SoftFrom || hold.HalfClear == HalfClear.Holds)
        {
            yield break;
        }
        var (share, onDark) = (
            Shown.Number(r.Soft.Share * 100, 1, f),
            cloth?.Class is ColourClass.Dark or ColourClass.Mid
        );
        yield return hold.HalfClear == HalfClear.Hardens
            ? new(
                "soft-edge",
                FaultKind.Caution,
                $"{share}% of the paint is half clear: {hold.Way} makes a hard edge of it",
                Remedy: "cut it hard as it is to be, or a way that prints shades",
                r.Soft.Marks
            )
            : new(
                "soft-edge",
                onDark ? FaultKind.Bad : FaultKind.Caution,
                $"{share}% of the paint is half clear: {hold.Way} leaves "
                    + $"{(onDark ? $"a white rim on {cloth!.Name.ToLowerInvariant()}" : "a grainy rim")}",
                Remedy: "cut it hard, or flatten it onto the colour of the cloth",
                r.Soft.Marks
            );
    }

    private static IEnumerable<DesignFault> Thin(ArtworkReport r, double widthIn, FigureFormat f)
    {
        foreach (var (what, feature, least) in Features(r))
        {
            var pt = r.Pt(feature.WidthPx, widthIn);
            var lost = PrintHold.Fine.Where(h => TooThin(pt, least(h))).ToList();
            if (lost.Count > 0)
            {
                var wanted = lost.Max(least);
                yield return new(
                    $"thin-{what}",
                    lost.Count == PrintHold.Fine.Count ? FaultKind.Bad : FaultKind.Caution,
                    $"a {what} of {Shown.Number(pt, 2, f)} pt: {string.Join(", ", lost.Select(h => h.Way))} and "
                        + $"{PrintHold.Vinyl.Way} {(what == "line" ? "lose it" : "close it")}",
                    Remedy: Wider(what, pt, wanted, widthIn, f),
                    feature.Marks
                );
            }
        }
    }

    private static IEnumerable<DesignFault> ThinOn(PrintHold hold, ArtworkReport r, double widthIn, FigureFormat f) =>
        Features(r)
            .Select(x => (x.What, x.Feature, Pt: r.Pt(x.Feature.WidthPx, widthIn), Least: x.Least(hold)))
            .Where(x => TooThin(x.Pt, x.Least))
            .Select(x => new DesignFault(
                $"thin-{x.What}",
                x.What == "line" || x.Pt < x.Least * ClosesUnder ? FaultKind.Bad : FaultKind.Caution,
                $"a {x.What} of {Shown.Number(x.Pt, 2, f)} pt; {hold.Way} "
                    + $"{(x.What == "line" ? "holds" : "keeps open")} {Shown.Number(x.Least, 2, f)} pt",
                Remedy: Wider(x.What, x.Pt, x.Least, widthIn, f),
                x.Feature.Marks
            ));

    private static IEnumerable<(string What, ThinFeature Feature, Func<PrintHold, double> Least)> Features(
        ArtworkReport r
    ) =>
        new (string What, ThinFeature? Feature, Func<PrintHold, double> Least)[]
        {
            ("line", r.ThinnestLine, h => h.LinePt),
            ("gap", r.ThinnestGap, h => h.GapPt),
        }
            .Where(x => x.Feature is not null)
            .Select(x => (x.What, x.Feature!, x.Least));

    // half a hundredth of a point is not measured
    private static bool TooThin(double pt, double least) => pt < least - 0.005;

    private static string Wider(string what, double pt, double wanted, double widthIn, FigureFormat f) =>
        $"{what}s of {Shown.Number(wanted, 2, f)} pt, or {Shown.Length(widthIn * wanted / pt, f)} wide";

    private static IEnumerable<DesignFault> Ground(ArtworkReport r, Colourway? cloth)
    {
        // a code is meant to lie on its light ground
        if (
            r.Code is null
            && r.Ground is { } ground
            && (cloth is null || Lab.Of(cloth.Hex).DistanceTo(Lab.Of(ground)) > WhiteNeeded.Matches)
        )
        {
            yield return new(
                "ground",
                FaultKind.Caution,
                $"the file has no clear parts: its ground of {ground} would be printed as a box",
                Remedy: "knock the ground out, or ask for a PNG with a clear ground",
                []
            );
        }
    }

    private static IEnumerable<DesignFault> Shows(ArtworkReport r, Colourway? cloth, FigureFormat f)
    {
        if (cloth is null || r.Ground is not null)
        {
            yield break;
        }
        var on = Lab.Of(cloth.Hex);
        foreach (
            var spot in r.Colours.Spots.Where(s => s.Share >= MostOfIt && Lab.Of(s.Hex).DistanceTo(on) < HardlyShows)
        )
        {
            yield return new(
                "contrast",
                FaultKind.Caution,
                $"{spot.Hex}, {Shown.Number(spot.Share * 100, 0, f)}% of the paint, hardly shows on "
                    + $"{cloth.Name.ToLowerInvariant()}",
                Remedy: "leave it out so that the cloth shows through, or choose another colour",
                []
            );
        }
    }

    private static IEnumerable<DesignFault> Code(ArtworkReport r, double widthIn, FigureFormat f)
    {
        if (r.Code is not { } code)
        {
            yield break;
        }
        var mm = SquareMm(code, r, widthIn);
        if (mm < CodeSquares.Least)
        {
            yield return new(
                "code-small",
                FaultKind.Bad,
                $"the squares of the code are {Mm(mm, f)}: no way of printing keeps them apart",
                Remedy: CodeWide(mm, CodeSquares.SafeOnFilm, widthIn, f),
                [code.Box]
            );
        }
        else if (mm < CodeSquares.SafeScreened)
        {
            var screened = mm < CodeSquares.LeastScreened ? "run together" : "want a scan on the cloth itself";
            var onFilm = mm < CodeSquares.SafeOnFilm ? ", and film wants a scan on the cloth itself" : "";
            yield return new(
                "code-small",
                FaultKind.Caution,
                $"the squares of the code are {Mm(mm, f)}: screened they {screened}{onFilm}",
                Remedy: $"film, or {CodeWide(mm, CodeSquares.SafeScreened, widthIn, f)}",
                [code.Box]
            );
        }
    }

    private static IEnumerable<DesignFault> CodeOn(PrintHold hold, ArtworkReport r, double widthIn, FigureFormat f)
    {
        if (r.Code is { } code && SquareMm(code, r, widthIn) is var mm && mm < hold.SafeSquareMm)
        {
            yield return mm < hold.LeastSquareMm
                ? new(
                    "code-small",
                    FaultKind.Bad,
                    $"the squares of the code are {Mm(mm, f)}; {hold.Way} keeps them apart from "
                        + $"{Mm(hold.LeastSquareMm, f)}",
                    Remedy: CodeWide(mm, hold.SafeSquareMm, widthIn, f),
                    [code.Box]
                )
                : new(
                    "code-small",
                    FaultKind.Caution,
                    $"the squares of the code are {Mm(mm, f)}, near what {hold.Way} keeps apart",
                    Remedy: $"scan it on the cloth itself, or {CodeWide(mm, hold.SafeSquareMm, widthIn, f)}",
                    [code.Box]
                );
        }
    }

    private static double SquareMm(FoundCode code, ArtworkReport r, double widthIn) =>
        code.ModulePx / r.Dpi(widthIn) * Units.MmPerInch;

    private static string Mm(double mm, FigureFormat f) => $"{Shown.Number(mm, 2, f)} mm";

    private static string CodeWide(double mm, double least, double widthIn, FigureFormat f) =>
        $"{Shown.Length(widthIn * least / mm, f)} wide makes its squares {Mm(least, f)}";

    // a code is dark on light: what is clear between its squares takes the colour of the cloth
    private static IEnumerable<DesignFault> CodeGround(ArtworkReport r, Colourway? cloth)
    {
        if (r.Code is { HasGround: false } code && cloth?.Class is ColourClass.Dark or ColourClass.Mid && r.Clear)
        {
            yield return new(
                "code-ground",
                FaultKind.Caution,
                "the code needs a light ground and four squares of light round it: on "
                    + $"{cloth.Name.ToLowerInvariant()} it has none where it is clear",
                Remedy: "put it on a printed white ground, and scan it on the cloth",
                [code.Box]
            );
        }
    }

    private static IEnumerable<DesignFault> Mirrored(ArtworkReport r)
    {
        if (r.Code is { Mirrored: true } code)
        {
            yield return new(
                "mirrored",
                FaultKind.Bad,
                "the code is drawn mirrored: the file may have been turned for a way that turns it itself, and "
                    + "many readers do not read it",
                Remedy: "turn the file over",
                [code.Box]
            );
        }
        else if (r.MirroredText)
        {
            yield return new(
                "mirrored",
                FaultKind.Bad,
                "lettering in it runs backwards: the file may have been turned for a way that turns it itself",
                Remedy: "turn the file over",
                []
            );
        }
    }

    private static IEnumerable<DesignFault> Stray(ArtworkReport r)
    {
        var stray = r.Colours.Spots.Where(s => s.Stray).ToList();
        if (!r.Colours.LooksGradient && stray.Count > 0)
        {
            yield return new(
                "stray-colours",
                FaultKind.Caution,
                $"{stray.Count} specks in colours of their own: "
                    + $"{string.Join(", ", stray.Take(3).Select(s => s.Hex))}{(stray.Count > 3 ? " and more" : "")}",
                Remedy: "clean them out, or count them as colours",
                []
            );
        }
    }
}
