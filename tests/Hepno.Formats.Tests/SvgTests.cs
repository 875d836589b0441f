using System.Text;
using Hepno.Core.Artwork;

namespace Hepno.Formats.Tests;

/// <summary>Drawings in lines: what is allowed is drawn as it stands, what could do anything else never gets to be
/// drawn.</summary>
public class SvgTests
{
    private static byte[] Svg(string inner, string head = "") =>
        Encoding.UTF8.GetBytes(
            $"""{head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" """
                + $"""viewBox="0 0 100 50" width="100" height="50">{inner}</svg>"""
        );

    // the head of a PNG of some size, and no pixel of it
    private static byte[] Header(int width, int height)
    {
        var png = PngPicture.Write(new Raster(1, 1, [1, 2, 3, 255]));
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(16), width);
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(20), height);
        System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(
            png.AsSpan(29),
            System.IO.Hashing.Crc32.HashToUInt32(png.AsSpan(12, 17))
        );
        return png;
    }

    [Fact]
    public void A_drawing_is_drawn_for_its_print_at_six_hundred_pixels_an_inch()
    {
        var raster = PictureFile.Read(
            Svg(
                """<rect x="10" y="10" width="40" height="20" fill="#c8281e"/><path fill-rule="evenodd" d="M60 10H90V40H60ZM70 20H80V30H70Z"/>"""
            ),
            2.0
        );
        Assert.Equal((1200, 600), (raster.Width, raster.Height));
        // 40 × 20 and a square of 30 with a hole of 10, twelve pixels a unit
        Assert.Equal(((40 * 20) + 900 - 100) * 144, Painted.Measure(raster).PaintedPixels, 200.0);
        Assert.Equal(
            [0xc8, 0x28, 0x1e, 0xff],
            raster.Rgba.AsSpan(((240 * 1200) + 240) * 4, 4).ToArray().Select(b => (int)b)
        );
        Assert.Equal("svg", PictureFile.Look(Svg("<circle r=\"9\" cx=\"20\" cy=\"20\"/>")).Kind);
        Assert.Equal(400, PictureFile.Read(Svg("<circle r=\"9\" cx=\"20\" cy=\"20\"/>"), 400).Width);
    }

    [Theory]
    [InlineData("<script>alert(1)</script>", "script")]
    [InlineData("""<image href="file:///etc/passwd" width="9" height="9"/>""", "passwd")]
    [InlineData("""<image xlink:href="http://example.test/a.png" width="9" height="9"/>""", "example.test")]
    [InlineData("""<rect width="9" height="9" onclick="x()"/>""", "onclick")]
    [InlineData("""<rect width="9" height="9" fill="url(http://example.test/p)"/>""", "example.test")]
    [InlineData("""<rect width="9" height="9" style="fill:url('file:///etc/passwd#a')"/>""", "passwd")]
    [InlineData("<style>@import url(http://example.test/x.css);</style>", "import")]
    [InlineData(
        """<foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><iframe src="http://example.test"/></body></foreignObject>""",
        "iframe"
    )]
    [InlineData("""<rect width="9" height="9"><animate attributeName="x" to="9"/></rect>""", "animate")]
    [InlineData("""<use href="other.svg#a"/>""", "other.svg")]
    [InlineData("""<a href="javascript:x()"><rect width="9" height="9"/></a>""", "javascript")]
    public void What_runs_moves_or_reaches_out_is_left_behind(string inner, string trace)
    {
        var rebuilt = SvgRebuilt.Of(Svg($"{inner}<rect x=\"20\" y=\"20\" width=\"5\" height=\"5\"/>"));
        Assert.DoesNotContain(trace, rebuilt, StringComparison.OrdinalIgnoreCase);
        Assert.Contains("width=\"5\"", rebuilt, StringComparison.Ordinal);
        Assert.Equal(100, PictureFile.Read(Svg($"{inner}<rect width=\"5\" height=\"5\"/>"), 100).Width);
    }

    [Fact]
    public void What_would_never_end_or_hide_anything_is_refused_in_a_sentence()
    {
        static string Refused(byte[] file) => Assert.Throws<NotAPictureException>(() => PictureFile.Look(file)).Message;
        Assert.Equal(
            "The drawing carries a document type of its own, which may hide anything.",
            Refused(Svg("<rect/>", """<!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/passwd">]>"""))
        );
        Assert.Equal(
            "The drawing is nested more than 64 deep.",
            Refused(Svg(string.Concat(Enumerable.Repeat("<g>", 80)) + string.Concat(Enumerable.Repeat("</g>", 80))))
        );
        // ten copies of ten copies, six times over
        var bomb = string.Concat(
            Enumerable
                .Range(1, 6)
                .Select(n => $"<g id=\"g{n}\">{string.Concat(Enumerable.Repeat($"<use href=\"#g{n - 1}\"/>", 10))}</g>")
        );
        Assert.Equal(
            "The drawing has more than 50000 parts, copies counted.",
            Refused(Svg($"<defs><rect id=\"g0\" width=\"1\" height=\"1\"/>{bomb}</defs><use href=\"#g6\"/>"))
        );
        Assert.Equal(
            "The drawing has a part that contains itself.",
            Refused(Svg("<g id=\"a\"><use href=\"#a\"/></g>"))
        );
        Assert.StartsWith(
            "The drawing holds live text",
            Refused(Svg("<text x=\"4\" y=\"20\">Rowing</text>")),
            StringComparison.Ordinal
        );
        Assert.StartsWith("The drawing is damaged in line", Refused(Svg("<g>")), StringComparison.Ordinal);
        // a picture inside is known by its header: 30,000 squared, of a hundred bytes
        var huge = $"data:image/png;base64,{Convert.ToBase64String(Header(30_000, 30_000))}";
        Assert.StartsWith(
            "A picture inside the drawing says it is 30000 × 30000 pixels",
            Refused(Svg($"<image href=\"{huge}\" width=\"9\" height=\"9\"/>")),
            StringComparison.Ordinal
        );
        var large = $"data:image/png;base64,{Convert.ToBase64String(Header(7000, 7000))}";
        Assert.StartsWith(
            "The pictures inside the drawing have more than 100 million pixels together",
            Refused(
                Svg(
                    $"<defs><image id=\"i\" href=\"{large}\" width=\"9\" height=\"9\"/></defs><use "
                        + "href=\"#i\"/><use href=\"#i\"/>"
                )
            ),
            StringComparison.Ordinal
        );
        // each group that is laid down half clear takes a whole picture's memory
        Assert.StartsWith(
            "The drawing lays 20 half-clear or masked groups into one another",
            Refused(
                Svg(
                    string.Concat(Enumerable.Repeat("<g opacity=\"0.9\">", 20))
                        + "<rect width=\"9\" height=\"9\"/>"
                        + string.Concat(Enumerable.Repeat("</g>", 20))
                )
            ),
            StringComparison.Ordinal
        );
        Assert.StartsWith(
            "The drawing lays 20 half-clear",
            Refused(
                Svg(
                    "<style>.a{opacity:.5}</style>"
                        + string.Concat(Enumerable.Repeat("<g class=\"a\">", 20))
                        + "<rect width=\"9\" height=\"9\"/>"
                        + string.Concat(Enumerable.Repeat("</g>", 20))
                )
            ),
            StringComparison.Ordinal
        );
        Assert.Equal(
            "The file is XML, but a <note> and no drawing.",
            Refused(Encoding.UTF8.GetBytes("<?xml version=\"1.0\"?><note/>"))
        );
    }
}
