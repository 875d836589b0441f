using System.Globalization;
using Hepno.Core.Measures;

namespace Hepno.Formats;

/// <summary>A row's cells, and what in them cannot be read.</summary>
public sealed class CsvCells(CsvRow row)
{
    // dividing by it drops trailing zeros: 4.00 and 4 are the same price
    private const decimal Unscaled = 1.0000000000000000000000000000m;

    /// <summary>An amount without trailing zeros, as it is read from the database.</summary>
    public static decimal Plain(decimal amount) => amount / Unscaled;

    public List<Problem> Problems { get; } = [];

    /// <summary>A figure as a table has it.</summary>
    public static string Say(IFormattable value) =>
        value.ToString(value is decimal ? "0.######" : null, CultureInfo.InvariantCulture);

    public string Text(string column) => row.Text(column);

    public string[] List(string column) =>
        row.Text(column).Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    public double Real(string column) =>
        double.TryParse(Number(column), CultureInfo.InvariantCulture, out var n) && double.IsFinite(n)
            ? n
            : Missing(column);

    public decimal Money(string column) =>
        decimal.TryParse(Number(column), NumberStyles.Number, CultureInfo.InvariantCulture, out var n)
            ? Plain(n)
            : (decimal)Missing(column);

    public T? Wrong<T>(string column, string value, string like)
    {
        Problems.Add(
            new(
                "cell",
                $"Row {row.Number}, {column}: \"{(value.Length > 40 ? value[..40] + "..." : value)}\" cannot be read.",
                Where: $"row {row.Number}, {column}",
                $"Write it like {like}."
            )
        );
        return default;
    }

    // a decimal comma is read where it cannot be a thousands mark
    private string Number(string column) =>
        row.Text(column) is var t
        && t.Contains(',', StringComparison.Ordinal)
        && !t.Contains('.', StringComparison.Ordinal)
            ? t.Replace(',', '.')
            : row.Text(column);

    private double Missing(string column)
    {
        Wrong<object>(column, row.Text(column), like: "12.50");
        return 0;
    }
}
