using Hepno.Core.Artwork;

namespace Hepno.Web.Views;

/// <summary>An artwork as the screens need it.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Version">Its version.</param>
/// <param name="Name">Name.</param>
/// <param name="Kind">png, jpeg or svg.</param>
/// <param name="WidthPx">Pixels across.</param>
/// <param name="HeightPx">Pixels down.</param>
/// <param name="WidthIn">Print width it was measured at, in.</param>
/// <param name="Box">The box round everything painted.</param>
/// <param name="CoveragePercent">Share of the box that is painted.</param>
/// <param name="Colours">What it is made of.</param>
/// <param name="SoftPercent">Share of the paint that is half clear.</param>
/// <param name="Ground">Colour of a flat ground, or null.</param>
/// <param name="Code">What a square code in it says, or null.</param>
/// <param name="Rights">Whose it is.</param>
/// <param name="Mended">True when it is printed otherwise than it came.</param>
/// <param name="NextTime">What to do otherwise when it is printed again.</param>
/// <param name="Print">Hash of the file that is printed: another picture has another.</param>
/// <param name="Halved">True when it was measured at half its pixels each way, because it has so many.</param>
internal sealed record DesignView(
    string Id,
    long Version,
    string Name,
    string Kind,
    int WidthPx,
    int HeightPx,
    double WidthIn,
    PixelBox Box,
    double CoveragePercent,
    Colours Colours,
    double SoftPercent,
    string? Ground,
    string? Code,
    Rights Rights,
    bool Mended,
    string NextTime,
    string Print,
    bool Halved
)
{
    public static DesignView From(Design d, long version) =>
        new(
            d.Id.Text,
            version,
            d.Name,
            d.Kind,
            d.Report.WidthPx,
            d.Report.HeightPx,
            d.WidthIn,
            d.Report.Box,
            Math.Round(d.Report.Coverage() * 100, 1),
            d.Report.Colours,
            Math.Round(d.Report.Soft.Share * 100, 2),
            d.Report.Ground,
            d.Report.Code?.Text,
            d.Rights,
            d.CameAs is not null,
            d.NextTime,
            d.Hash,
            d.Report.Halved
        );
}

/// <summary>An artwork at a print width on a cloth.</summary>
/// <param name="HeightIn">Height of the print, in.</param>
/// <param name="Dpi">Pixels an inch.</param>
/// <param name="ThinnestLinePt">Thinnest line, pt; null when none is thinner than 6.</param>
/// <param name="ThinnestGapPt">Thinnest gap, pt; null likewise.</param>
/// <param name="Faults">What would spoil the print or speaks against it, the worst first.</param>
/// <param name="Ink">Ink of one print on the shop's film printer, ml; null where there is none.</param>
/// <param name="Printer">Which printer that is.</param>
/// <param name="CodeReads">Whether a square code in it is still read as each way of printing blurs it.</param>
internal sealed record DesignLooked(
    double HeightIn,
    double Dpi,
    double? ThinnestLinePt,
    double? ThinnestGapPt,
    IReadOnlyList<DesignFault> Faults,
    InkUse? Ink,
    string Printer,
    IReadOnlyList<CodeRead> CodeReads
);

/// <summary>Whether a code is read once it is printed some way.</summary>
internal sealed record CodeRead(string Way, bool Reads);
