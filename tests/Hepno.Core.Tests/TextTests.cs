using System.Globalization;
using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Tests;

public class TextTests
{
    private static readonly string[] Known = ["XS", "S", "M", "L", "XL", "2XL"];

    public static TheoryData<string, string> SizeRuns => Table("size-runs.csv");

    public static TheoryData<string, string, string, string> Figures
    {
        get
        {
            var data = new TheoryData<string, string, string, string>();
            foreach (var row in Cases.Rows("shown.csv"))
            {
                data.Add(row[0], row[1], row[2], row[3]);
            }
            return data;
        }
    }

    private static TheoryData<string, string> Table(string name)
    {
        var data = new TheoryData<string, string>();
        foreach (var row in Cases.Rows(name))
        {
            data.Add(
                row[0].Replace("\\t", "\t", StringComparison.Ordinal).Replace("\\n", "\n", StringComparison.Ordinal),
                row[1]
            );
        }
        return data;
    }

    [Theory]
    [MemberData(nameof(SizeRuns))]
    public void Size_runs_as_typed_and_pasted(string text, string read)
    {
        var reading = SizeRun.Parse(text, Known);
        var said = reading.Problem is { } problem
            ? $"!{problem.Code}"
            : string.Join("|", reading.Sizes.Select(s => $"{s.Size} {s.Pieces}"));
        Assert.Equal(read, said);
        if (reading.Problem is not null)
        {
            Assert.NotEmpty(reading.Problem.Remedy);
        }
    }

    [Theory]
    [MemberData(nameof(Figures))]
    public void Figures_as_documents_show_them(string kind, string value, string format, string text)
    {
        var f = format switch
        {
            "continental" => new FigureFormat("€", true, ",", ".", 2, true, false, true, true),
            "american" => FigureFormat.Default with { DayFirst = false, TwelveHours = true },
            "german" => FigureFormat.Default with { Language = "de" },
            "french" => FigureFormat.Default with { Language = "fr" },
            _ => FigureFormat.Default,
        };
        decimal D() => decimal.Parse(value, CultureInfo.InvariantCulture);
        var shown = kind switch
        {
            "money" => Shown.Money(D(), f),
            "bare" => Shown.Bare(D(), f),
            "anHour" => Shown.AnHour(D(), f),
            "number" => Shown.Number((double)D(), 2, f),
            "length" => Shown.Length((double)D(), f),
            "roll" => Shown.Roll((double)D(), f),
            "duration" => Shown.Duration((double)D()),
            "day" => Shown.Day(Times.Day(value), f),
            _ => Shown.Moment(Times.Wall(value), f),
        };
        Assert.Equal(text, shown);
    }

    [Fact]
    public void Shown_parts_add_up_to_the_rounded_total() =>
        Gen.Long[0, 50_000_000]
            .Array[1, 9]
            .Sample(micros =>
            {
                decimal[] parts = [.. micros.Select(m => m / 1_000_000m)];
                var shown = Money.Shown(parts, 2);
                Assert.Equal(Money.Charged(parts.Sum(), 2), shown.Sum());
                Assert.All(shown.Zip(parts), p => Assert.True(Math.Abs(p.First - p.Second) < 0.01m));
            });

    [Fact]
    public void A_scaled_run_keeps_its_total() =>
        Gen.Select(Gen.Int[1, 60].Array[1, 6], Gen.Int[1, 500])
            .Sample(
                (pieces, total) =>
                    Assert.Equal(
                        total,
                        SizeRun.Total(SizeRun.ScaledTo([.. pieces.Select((p, i) => new SizeCount(Known[i], p))], total))
                    )
            );

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    [InlineData(1e13)]
    public void Money_refuses_what_is_no_quantity(double quantity) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Money.Times(quantity, 1m));
}
