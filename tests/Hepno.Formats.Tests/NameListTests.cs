using Hepno.Core.Orders;

namespace Hepno.Formats.Tests;

/// <summary>Lists of names and numbers, as they come out of spreadsheets and messages.</summary>
public class NameListTests
{
    private static readonly string[] Sizes = ["S", "M", "L", "XL", "2XL"];

    public static TheoryData<string, string> Lists()
    {
        var data = new TheoryData<string, string>();
        foreach (var row in File.ReadAllLines(Tree.Case("own-pieces.csv")).Skip(1))
        {
            var cut = row.LastIndexOf('|');
            data.Add(
                row[..cut]
                    .Replace("\\n", "\n", StringComparison.Ordinal)
                    .Replace("\\t", "\t", StringComparison.Ordinal),
                row[(cut + 1)..]
            );
        }
        return data;
    }

    [Theory]
    [MemberData(nameof(Lists))]
    public void A_list_is_read_whole_or_refused_by_row(string text, string expected)
    {
        var reading = OwnPieces.Read(CsvTable.Cells(text), Sizes);
        var got =
            reading.Problems.Count > 0
                ? "!" + string.Join('+', reading.Problems.Select(p => p.Code))
                : string.Join(';', reading.Pieces.Select(p => $"{p.Size} {p.Says()}"));
        Assert.Equal(expected, got);
        Assert.True(reading.Problems.Count == 0 || reading.Pieces.Count == 0);
        Assert.All(reading.Problems, p => Assert.True(p.Sentence.Length > 5 && p.Remedy.Length > 5));
    }

    [Fact]
    public void The_row_of_a_problem_is_the_row_of_the_file_blank_ones_counted()
    {
        var reading = OwnPieces.Read(CsvTable.Cells("size,name,number\nM,ASH,1\n\n\nQ,FENNER,2\n"), Sizes);
        Assert.Equal("Row 5: \"Q\" is not a size of this style.", Assert.Single(reading.Problems).Sentence);
    }

    [Fact]
    public void A_list_longer_than_a_line_holds_is_refused() =>
        Assert.Equal(
            "huge",
            Assert
                .Single(
                    OwnPieces
                        .Read(
                            CsvTable.Cells(string.Concat(Enumerable.Range(1, 2001).Select(n => $"M,N{n},1\n"))),
                            Sizes
                        )
                        .Problems
                )
                .Code
        );
}
