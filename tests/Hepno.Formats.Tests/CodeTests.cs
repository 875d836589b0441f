using System.Text;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Formats.Tests;

/// <summary>Square codes in pictures: made, drawn, found again, and judged by the size of their squares.</summary>
public class CodeTests
{
    private const string Link = "https://ternandtallow.example/boat/2026?crew=24";

    // the code alone, black on clear, its quiet zone with it
    private static byte[] Drawing()
    {
        var code = QrCode.Of(Link);
        return Encoding.UTF8.GetBytes(
            $"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {code.Size} {code.Size}"><path d="{code.Path}"/></svg>"""
        );
    }

    private static Design At(Raster raster, double widthIn) =>
        new(
            "d",
            "Code",
            "svg",
            "",
            0,
            widthIn,
            ArtworkReport.Measure(raster, widthIn, true)! with
            {
                Code = CodeReader.Find(raster),
            },
            Rights.Unsaid
        );

    [Theory]
    [InlineData(300)]
    [InlineData(1000)]
    [InlineData(3000)]
    public void A_code_is_read_back_with_the_side_of_its_squares(int pixels)
    {
        var raster = PictureFile.Read(Drawing(), pixels);
        var found = CodeReader.Find(raster)!;
        Assert.Equal(Link, found.Text);
        var module = pixels / (double)QrCode.Of(Link).Size;
        Assert.InRange(found.ModulePx, module * 0.93, module * 1.07);
        // four squares of light lie round it
        Assert.InRange(found.Box.Left, (4 * module) - (2 * module), (4 * module) + (2 * module));
    }

    [Theory]
    [InlineData("", false)]
    [InlineData("rotate(90 {0} {0})", false)]
    [InlineData("matrix(-1 0 0 1 {1} 0)", true)]
    [InlineData("matrix(1 0 0 -1 0 {1})", true)]
    public void A_code_drawn_the_wrong_way_round_is_known(string transform, bool mirrored)
    {
        var code = QrCode.Of(Link);
        var turned = string.Format(
            System.Globalization.CultureInfo.InvariantCulture,
            transform,
            code.Size / 2.0,
            code.Size
        );
        var drawing =
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {code.Size} {code.Size}\"><path "
            + $"transform=\"{turned}\" d=\"{code.Path}\"/></svg>";
        var found = CodeReader.Find(PictureFile.Read(Encoding.UTF8.GetBytes(drawing), 1000))!;
        Assert.Equal((Link, mirrored), (found.Text, found.Mirrored));
        Assert.Equal(
            mirrored,
            DesignFaults
                .Find(
                    At(PictureFile.Read(Encoding.UTF8.GetBytes(drawing), 1000), 3).Report,
                    3,
                    null,
                    FigureFormat.Default
                )
                .Any(f => f.Code == "mirrored")
        );
    }

    [Theory]
    [InlineData("<text>Slack Tide</text>", false)]
    [InlineData("<g transform=\"scale(-1 1)\"><text>Slack Tide</text></g>", true)]
    [InlineData("<g transform=\"scale(-1,1)\"><rect width=\"3\" height=\"3\"/></g><text>Slack Tide</text>", false)]
    [InlineData(
        "<g transform=\"scale(-1 1)\"><g transform=\"translate(4) scale(-1 1)\"><text>Slack Tide</text></g></g>",
        false
    )]
    [InlineData("<text transform=\"matrix(-1 0 0 1 40 0)\">Slack Tide</text>", true)]
    [InlineData("<text transform=\"rotate(180)\">Slack Tide</text>", false)]
    [InlineData("<text transform=\"scale(of the boat)\">Slack Tide</text>", false)]
    public void Lettering_that_runs_backwards_is_known_while_it_is_text(string inside, bool backwards) =>
        Assert.Equal(
            backwards,
            SvgLettering.RunsBackwards(
                Encoding.UTF8.GetBytes(
                    $"<!DOCTYPE svg><svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 40 10\">{inside}</svg>"
                )
            )
        );

    [Fact]
    public void A_picture_without_one_has_none() =>
        Assert.Null(
            CodeReader.Find(
                PictureFile.Read(
                    Encoding.UTF8.GetBytes(
                        """<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle cx="4" cy="4" r="3"/></svg>"""
                    ),
                    600
                )
            )
        );

    [Theory]
    [InlineData(0.4, "code-small", FaultKind.Bad)]
    [InlineData(0.9, "code-small", FaultKind.Caution)]
    [InlineData(3, "", FaultKind.Caution)]
    public void Its_squares_say_how_small_it_may_be(double widthIn, string code, FaultKind kind)
    {
        var design = At(PictureFile.Read(Drawing(), 3.0), 3);
        var faults = DesignFaults
            .Find(design.Report, widthIn, new("white", "White", "#fcfaf5", ColourClass.White), FigureFormat.Default)
            .Where(f => f.Code == "code-small")
            .ToList();
        Assert.Equal(code.Length == 0 ? [] : [(code, kind)], faults.Select(f => (f.Code, f.Kind)));
        Assert.Contains(
            DesignFaults.Find(design.Report, 3, new("navy", "Navy", "#2b3b5e", ColourClass.Dark), FigureFormat.Default),
            f => f.Code == "code-ground"
        );
    }

    // the first has its light squares painted and nothing round it; the second a clear margin beyond its border
    [Theory]
    [InlineData(0, 0, true)]
    [InlineData(0, 12, true)]
    [InlineData(3, 12, false)]
    public void A_code_that_brings_its_light_lacks_none(int without, int margin, bool has)
    {
        var code = QrCode.Of(Link);
        var side = code.Size - (2 * without);
        var drawing =
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"{-margin} {-margin} {code.Size + (2 * margin)} "
            + $"{code.Size + (2 * margin)}\"><path d=\"M{without} {without}h{side}v{side}h-{side}z\" "
            + $"fill=\"#fff\"/><path d=\"{code.Path}\"/></svg>";
        var faults = DesignFaults.Find(
            At(PictureFile.Read(Encoding.UTF8.GetBytes(drawing), 1000), 3).Report,
            3,
            new("navy", "Navy", "#2b3b5e", ColourClass.Dark),
            FigureFormat.Default
        );
        Assert.Equal(has, faults.All(f => f.Code != "code-ground"));
    }

    [Fact]
    public void It_is_read_until_its_edges_run_into_each_other()
    {
        var raster = PictureFile.Read(Drawing(), 1000.0 / 300);
        var module = CodeReader.Find(raster)!.ModulePx;
        Assert.Equal(Link, CodeReader.ReadsBlurred(raster, module, 0));
        Assert.Equal(Link, CodeReader.ReadsBlurred(raster, module, module * 0.25));
        Assert.Null(CodeReader.ReadsBlurred(raster, module, module * 2));
    }
}
