using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace Hepno.Formats;

/// <summary>Text that is not a table with these columns.</summary>
public sealed class NotATableException(string message) : Exception(message);

/// <summary>One row of a table, read by the names of its columns.</summary>
/// <param name="Number">Its line in the file, the head being 1.</param>
/// <param name="Cells">Cells by column.</param>
public sealed record CsvRow(int Number, IReadOnlyDictionary<string, string> Cells)
{
    /// <summary>A cell without its surrounding blanks; empty when the column is not there.</summary>
    public string Text(string column) => Cells.GetValueOrDefault(column, "").Trim();
}

/// <summary>Reads and writes comma-separated tables: comma, semicolon or tab, with a head.</summary>
public static class CsvTable
{
    private const int MostRows = 20_000;

    private static readonly string[] Delimiters = [";", "\t", ","];

    /// <summary>Reads a table; further columns are let be.</summary>
    /// <param name="text">The file's text.</param>
    /// <param name="needed">Columns that must be there.</param>
    /// <exception cref="NotATableException">A column is missing, or a row cannot be read.</exception>
    public static IReadOnlyList<CsvRow> Read(string text, IReadOnlyList<string> needed)
    {
        var head = text.TrimStart('\uFEFF').Split('\n', 2)[0];
        var delimiter = Delimiters.MaxBy(d => head.Split(d).Length)!;
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), new CsvConfiguration(CultureInfo.InvariantCulture) { Delimiter = delimiter, BadDataFound = null, MissingFieldFound = null, PrepareHeaderForMatch = a => Key(a.Header) });
        if (!csv.Read() || !csv.ReadHeader())
        {
            throw new NotATableException("The file is empty.");
        }
        var columns = csv.HeaderRecord!.Select(Key).ToList();
        if (needed.Where(n => !columns.Contains(n)).ToList() is { Count: > 0 } missing)
        {
            throw new NotATableException($"The column {string.Join(", ", missing)} is missing; the head has {string.Join(", ", columns)}.");
        }
        var rows = new List<CsvRow>();
        while (csv.Read())
        {
            if (rows.Count == MostRows)
            {
                throw new NotATableException($"More than {MostRows} rows.");
            }
            var cells = columns.Select((c, i) => (c, csv.TryGetField<string>(i, out var v) ? v ?? "" : "")).DistinctBy(x => x.c).ToDictionary(x => x.c, x => x.Item2);
            if (cells.Values.Any(v => v.Trim().Length > 0))
            {
                rows.Add(new(csv.Parser.RawRow, cells));
            }
        }
        return rows;
    }

    /// <summary>Writes a table with its head.</summary>
    public static string Write(IReadOnlyList<string> columns, IEnumerable<IReadOnlyList<string>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        // a cell that a spreadsheet would run as a formula is written as text
        using var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape });
        foreach (var row in rows.Prepend(columns))
        {
            foreach (var cell in row)
            {
                csv.WriteField(cell);
            }
            csv.NextRecord();
        }
        csv.Flush();
        return text.ToString();
    }

    private static string Key(string header) => header.Trim().ToLowerInvariant().Replace(' ', '_');
}
