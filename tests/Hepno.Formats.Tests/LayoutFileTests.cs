using System.Text;
using System.Xml.Linq;
using Hepno.Core.Artwork;
using SkiaSharp;
using UglyToad.PdfPig;

namespace Hepno.Formats.Tests;

/// <summary>Layouts as files, measured back: the sizes are true and every copy is where the layout says.</summary>
public class LayoutFileTests
{
    private const double TenthOfMm = 0.1 / 25.4;

    // red at the top, blue below: which way round it lies can be seen
    private static readonly Raster Flag = Painted(120, 60, (_, y) =>
        y < 20 ? ((byte)230, (byte)20, (byte)20) : ((byte)20, (byte)20, (byte)230)
    );

    private static readonly LaidSheet Sheet = new(
        "T-1",
        10,
        6.5,
        [new("flag", "Front", 0.5, 0.25, 4, 2, false), new("flag", "Front", 5.13, 1.07, 2, 4, true)]
    );

    private static Raster Painted(int w, int h, Func<int, int, (byte R, byte G, byte B)> at)
    {
        var rgba = new byte[w * h * 4];
        for (var y = 0; y < h; y++)
        {
            for (var x = 0; x < w; x++)
            {
                (rgba[((y * w) + x) * 4], rgba[(((y * w) + x) * 4) + 1], rgba[(((y * w) + x) * 4) + 2]) = at(x, y);
                rgba[(((y * w) + x) * 4) + 3] = 255;
            }
        }
        return new(w, h, rgba);
    }

    private static LaidPictures Pictures(Raster? raster) => new(_ => raster);

    private static byte[] Png(LaidSheet sheet, Raster raster)
    {
        using var to = new MemoryStream();
        LayoutPng.Write(to, sheet, Pictures(raster), CancellationToken.None);
        return to.ToArray();
    }

    [Fact]
    public void The_png_is_true_to_a_tenth_of_a_millimetre_and_its_designs_lie_where_the_layout_says()
    {
        using var picture = SKBitmap.Decode(Png(Sheet, Flag));
        Assert.Equal((3000, 1950), (picture.Width, picture.Height));
        foreach (var c in Sheet.Copies)
        {
            var (left, top, right, bottom) = Painted(
                picture,
                (int)((c.X - 0.2) * 300),
                (int)((c.Y - 0.2) * 300),
                (int)((c.X + c.WidthIn + 0.2) * 300),
                (int)((c.Y + c.HeightIn + 0.2) * 300)
            );
            Assert.Equal(c.X, left / 300.0, TenthOfMm);
            Assert.Equal(c.Y, top / 300.0, TenthOfMm);
            Assert.Equal(c.X + c.WidthIn, right / 300.0, TenthOfMm);
            Assert.Equal(c.Y + c.HeightIn, bottom / 300.0, TenthOfMm);
        }
        // upright its top is red; turned by a quarter its top lies to the right
        Assert.True(picture.GetPixel(900, 100) is { Red: > 200, Blue: < 60 });
        Assert.True(picture.GetPixel(900, 600) is { Blue: > 200 });
        Assert.True(picture.GetPixel((int)(7.0 * 300), 900) is { Red: > 200, Blue: < 60 });
        Assert.True(picture.GetPixel((int)(5.4 * 300), 900) is { Blue: > 200 });
        // between them it is clear
        Assert.Equal(0, picture.GetPixel(1420, 400).Alpha);
    }

    // laid by outline the box of one reaches over the other: where it is clear it takes nothing away
    [Fact]
    public void A_print_in_the_gate_of_another_is_printed_whole()
    {
        var gate = Painted(120, 90, (_, _) => (20, 160, 20));
        for (var i = 0; i < 120 * 90; i++)
        {
            gate.Rgba[(i * 4) + 3] = (byte)(i / 120 >= 22 && i % 120 is >= 30 and < 90 ? 0 : 255);
        }
        using var to = new MemoryStream();
        LayoutPng.Write(
            to,
            new(
                "T-2",
                5,
                4,
                [new("flag", "Sleeve", 1.75, 1.5, 1.5, 0.75, false), new("gate", "Front", 0.5, 0.25, 4, 3, false)]
            ),
            new(key => key == "gate" ? gate : Flag),
            CancellationToken.None
        );
        using var picture = SKBitmap.Decode(to.ToArray());
        Assert.True(picture.GetPixel(300, 600) is { Green: > 120, Blue: < 60, Alpha: 255 });
        Assert.True(picture.GetPixel(750, 480) is { Red: > 200, Blue: < 60, Alpha: 255 });
        Assert.True(picture.GetPixel(750, 640) is { Blue: > 200, Red: < 60, Alpha: 255 });
        Assert.Equal(0, picture.GetPixel(750, 800).Alpha);
    }

    private static (int Left, int Top, int Right, int Bottom) Painted(SKBitmap picture, int x0, int y0, int x1, int y1)
    {
        var (left, top, right, bottom) = (int.MaxValue, int.MaxValue, 0, 0);
        for (var y = Math.Max(0, y0); y < Math.Min(picture.Height, y1); y++)
        {
            for (var x = Math.Max(0, x0); x < Math.Min(picture.Width, x1); x++)
            {
                if (picture.GetPixel(x, y).Alpha > 127)
                {
                    (left, top, right, bottom) = (
                        Math.Min(left, x),
                        Math.Min(top, y),
                        Math.Max(right, x + 1),
                        Math.Max(bottom, y + 1)
                    );
                }
            }
        }
        return (left, top, right, bottom);
    }

    [Fact]
    public void A_long_roll_goes_out_in_bands_with_its_scale_in_the_file()
    {
        // 22 × 240 in would be two gigabytes at once; its length by a tenth of the width is enough to see that nothing
        // is
        var roll = new LaidSheet("T-2", 2.2, 240, [new("flag", "Front", 0.1, 239.75, 0.4, 0.2, false)]);
        var before = GC.GetAllocatedBytesForCurrentThread();
        using var to = new Counted();
        LayoutPng.Write(to, roll, Pictures(Flag), CancellationToken.None);
        Assert.True(GC.GetAllocatedBytesForCurrentThread() - before < 20_000_000);
        Assert.InRange(to.Length, 1_000, 4_000_000);
        // width, height and pixels a metre as the header has them
        Assert.Equal((660, 72_000), (BigEndian(to.First, 16), BigEndian(to.First, 20)));
        var at = Encoding.ASCII.GetString(to.First).IndexOf("pHYs", StringComparison.Ordinal);
        Assert.Equal(
            (11811, 11811, 1),
            (BigEndian(to.First, at + 4), BigEndian(to.First, at + 8), (int)to.First[at + 12])
        );
    }

    [Fact]
    public void A_picture_that_is_stopped_is_not_written_to_its_end()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() =>
            LayoutPng.Write(Stream.Null, Sheet, Pictures(Flag), stop.Token)
        );
    }

    [Fact]
    public void The_pdf_is_as_large_as_the_sheet_with_pictures_and_names_in_their_places()
    {
        using var pdf = PdfDocument.Open(
            LayoutPdf.Print([Sheet, Sheet with { Title = "T-1, sheet 2" }], Pictures(Flag))
        );
        Assert.Equal(2, pdf.NumberOfPages);
        var page = pdf.GetPage(1);
        Assert.Equal((10.0, 6.5), (page.Width / 72, page.Height / 72));
        var images = page.GetImages().Select(i => i.BoundingBox).ToList();
        Assert.Equal(2, images.Count);
        foreach (var (c, box) in Sheet.Copies.Zip(images))
        {
            Assert.Equal(c.X, Math.Min(box.BottomLeft.X, box.TopRight.X) / 72, TenthOfMm);
            Assert.Equal(c.WidthIn, Math.Abs(box.TopRight.X - box.BottomLeft.X) / 72, TenthOfMm);
            Assert.Equal(c.HeightIn, Math.Abs(box.TopRight.Y - box.BottomLeft.Y) / 72, TenthOfMm);
            Assert.Equal(6.5 - c.Y - c.HeightIn, Math.Min(box.BottomLeft.Y, box.TopRight.Y) / 72, TenthOfMm);
        }
        Assert.Equal(2, page.GetWords().Count(w => w.Text == "Front"));
    }

    [Fact]
    public void A_page_longer_than_a_pdf_may_be_counts_in_larger_units()
    {
        using var pdf = PdfDocument.Open(
            LayoutPdf.Print([new("T-3", 22, 240, [new("flag", "Front", 1, 230, 4, 2, false)])], Pictures(null))
        );
        var unit = ((UglyToad.PdfPig.Tokens.NumericToken)pdf.GetPage(1).Dictionary.Data["UserUnit"]).Double;
        Assert.Equal(
            (22.0, 240.0),
            (Math.Round(pdf.GetPage(1).Width * unit / 72, 6), Math.Round(pdf.GetPage(1).Height * unit / 72, 6))
        );
        Assert.True(pdf.GetPage(1).Height <= 14_400);
    }

    [Fact]
    public void The_drawing_reads_back_as_it_was_written_and_says_how_large_it_is()
    {
        var svg = Encoding.UTF8.GetString(LayoutSvg.Write(Sheet, Pictures(Flag)));
        Assert.Equal(
            ("10in", "6.5in"),
            ((string?)XElement.Parse(svg).Attribute("width"), (string?)XElement.Parse(svg).Attribute("height"))
        );
        // one picture, laid twice
        Assert.Single(XElement.Parse(svg).Descendants(), e => e.Name.LocalName == "image");
        Assert.Equal(
            [new("flag", 0.5, 0.25, 4.0, 2.0, false), new("flag", 5.13, 1.07, 2.0, 4.0, true)],
            LayoutDrawing.Read(svg)
        );
        // without a picture the boxes are there
        Assert.Equal(2, LayoutDrawing.Read(Encoding.UTF8.GetString(LayoutSvg.Write(Sheet, Pictures(null)))).Count);
    }

    [Theory]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='254mm' viewBox='5 5 100 50'><rect id='flag' x='15' y='5' width='20' height='10'/></svg>",
        1,
        0,
        2,
        1
    )]
    [InlineData(
        "<svg width='960px' viewBox='0 0 10 5'><g data-design='flag'><rect x='1' width='2' height='1'/></g></svg>",
        1,
        0,
        2,
        1
    )]
    [InlineData(
        "<svg width='10in' viewBox='0 0 1000 500'><g transform='translate(50,-20) scale(2)'><image id='flag' x='25' y='10' width='100' height='50'/></g></svg>",
        1,
        0,
        2,
        1
    )]
    [InlineData(
        "<svg width='10in' viewBox='0 0 10 5'><g id='flag' transform='matrix(.5 0 0 .5 1 0)'>"
            + "<rect width='10' height='10' transform='scale(0.4, 0.2)'/></g></svg>",
        1,
        0,
        2,
        1
    )]
    [InlineData(
        "<svg width='10in' viewBox='0 0 960 480'><rect width='960' height='480'/><image id='flag' x='1in' width='50.8mm' height='1in'/></svg>",
        1,
        0,
        2,
        1
    )]
    [InlineData(
        "<svg width='10in' viewBox='0 0 10 5' xmlns:xlink='x'><defs><symbol id='s'>"
            + "<image width='2' height='1'/></symbol></defs><use id='flag' xlink:href='#s' x='1'/><rect x='1' width='2' height='1.01'/></svg>",
        1,
        0,
        2,
        1.01
    )]
    public void Drawings_of_other_programs_are_read_at_their_own_scale(
        string svg,
        double x,
        double y,
        double w,
        double h
    )
    {
        var box = Assert.Single(LayoutDrawing.Read(svg));
        Assert.Equal(
            ("flag", x, y, w, h),
            (
                box.Key,
                Math.Round(box.X, 9),
                Math.Round(box.Y, 9),
                Math.Round(box.WidthIn, 9),
                Math.Round(box.HeightIn, 9)
            )
        );
    }

    [Theory]
    [InlineData("rotate(90)", 2, 1, "-1 0 1 2")]
    [InlineData("translate(5 0) rotate(90)", 2, 1, "4 0 1 2")]
    [InlineData("rotate(-90 1 1)", 2, 1, "0 0 1 2")]
    [InlineData("rotate(450, 1, 1)", 2, 1, "1 0 1 2")]
    public void What_is_turned_by_a_quarter_lies_turned(string transform, double w, double h, string box)
    {
        var read = LayoutDrawing.Read(
            FormattableString.Invariant(
                $"<svg width='10in' viewBox='0 0 10 5'><image id='flag' width='{w}' height='{h}' transform='{transform}'/></svg>"
            )
        );
        Assert.True(read[0].Turned);
        Assert.Equal(box, FormattableString.Invariant($"{read[0].X} {read[0].Y} {read[0].WidthIn} {read[0].HeightIn}"));
    }

    [Theory]
    [InlineData("no drawing")]
    [InlineData("<svg")]
    [InlineData("<html/>")]
    [InlineData("<svg width='10' viewBox='0 0 10 5'/>")]
    [InlineData("<svg width='10in'/>")]
    [InlineData("<svg width='10in' viewBox='0 0 0 5'/>")]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><rect x='wide' width='1' height='1'/></svg>")]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><rect width='1' height='1' transform='rotate(12)'/></svg>")]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><rect width='1' height='1' transform='skewX(5)'/></svg>")]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><rect width='1' height='1' transform='translate(one)'/></svg>")]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><rect width='1' height='1' transform='push(1)'/></svg>")]
    [InlineData(
        "<svg width='10in' viewBox='0 0 10 5'><rect width='1' height='1' transform='translate(1) and so on'/></svg>"
    )]
    [InlineData("<svg width='10in' viewBox='0 0 10 5'><g id='a'><use href='#a'/><use href='#a'/></g></svg>")]
    [InlineData("<!DOCTYPE svg [<!ENTITY a 'b'>]><svg width='10in' viewBox='0 0 10 5'/>")]
    public void What_is_no_drawing_is_refused_in_a_sentence(string text) =>
        Assert.EndsWith(
            ".",
            Assert.Throws<NotATableException>(() => LayoutDrawing.Read(text)).Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void Bands_make_a_picture_that_is_read_as_any_other()
    {
        using var to = new MemoryStream();
        using (var png = new PngBands(to, 3, 4, 300))
        {
            png.Write([1, 2, 3, 255, 4, 5, 6, 255, 7, 8, 9, 255]);
            png.Write(Enumerable.Range(0, 36).Select(i => (byte)(i % 4 == 3 ? 255 : i)).ToArray());
        }
        using var picture = SKBitmap.Decode(to.ToArray());
        Assert.Equal((3, 4), (picture.Width, picture.Height));
        Assert.Equal(new SKColor(7, 8, 9), picture.GetPixel(2, 0));
        Assert.Equal(new SKColor(32, 33, 34), picture.GetPixel(2, 3));
    }

    private static int BigEndian(byte[] bytes, int at) =>
        (bytes[at] << 24) | (bytes[at + 1] << 16) | (bytes[at + 2] << 8) | bytes[at + 3];

    /// <summary>Keeps the beginning of what is written, and counts.</summary>
    private sealed class Counted : Stream
    {
        private long written;

        public byte[] First { get; } = new byte[256];

        public override long Length => written;

        public override bool CanRead => false;

        public override bool CanSeek => false;

        public override bool CanWrite => true;

        public override long Position
        {
            get => written;
            set => throw new NotSupportedException();
        }

        public override void Write(byte[] buffer, int offset, int count)
        {
            for (var i = 0; i < count && written + i < First.Length; i++)
            {
                First[written + i] = buffer[offset + i];
            }
            written += count;
        }

        public override void Flush() { }

        public override int Read(byte[] buffer, int offset, int count) => throw new NotSupportedException();

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();
    }
}
