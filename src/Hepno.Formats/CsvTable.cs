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

    /// <summary>The columns of a table as its head writes them; empty for an empty file.</summary>
    public static IReadOnlyList<string> Head(string text)
    {
        using var csv = Open(text);
        return csv.Read() && csv.ReadHeader()
            ? [.. csv.HeaderRecord!.Select(h => h.Trim()).Where(h => h.Length > 0)]
            : [];
    }

    /// <summary>Reads a table; further columns are let be.</summary>
    /// <param name="text">The file's text.</param>
    /// <param name="needed">Columns that must be there.</param>
    /// <param name="called">What the file calls a column, where it is another name; null for nothing.</param>
    /// <exception cref="NotATableException">A column is missing, or a row cannot be read.</exception>
    public static IReadOnlyList<CsvRow> Read(
        string text,
        IReadOnlyList<string> needed,
        IReadOnlyDictionary<string, string>? called = null
    )
    {
        using var csv = Open(text);
        if (!csv.Read() || !csv.ReadHeader())
        {
            throw new NotATableException("The file is empty.");
        }
        var ours = (called ?? new Dictionary<string, string>()).ToDictionary(c => Key(c.Value), c => c.Key);
        // a column that stands for another is not read under its own name
        var columns = csv.HeaderRecord!.Select(Key)
            .Select(k => ours.GetValueOrDefault(k) ?? (ours.ContainsValue(k) ? $"({k})" : k))
            .ToList();
        if (needed.Where(n => !columns.Contains(n)).ToList() is { Count: > 0 } missing)
        {
            throw new NotATableException(
                $"The column {string.Join(", ", missing)} is missing; the head has {string.Join(", ", columns)}."
            );
        }
        var rows = new List<CsvRow>();
        while (csv.Read())
        {
            if (rows.Count == MostRows)
            {
                throw new NotATableException($"More than {MostRows} rows.");
            }
            var cells = columns
                .Select((c, i) => (c, csv.TryGetField<string>(i, out var v) ? v ?? "" : ""))
                .DistinctBy(x => x.c)
                .ToDictionary(x => x.c, x => x.Item2);
            if (cells.Values.Any(v => v.Trim().Length > 0))
            {
                rows.Add(new(csv.Parser.RawRow, cells));
            }
        }
        return rows;
    }

    /// <summary>The cells of a text by row, whether or not it has a head; rows without anything in them are kept, so
    /// that rows can be counted.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Cells(string text)
    {
        using var csv = Open(text, blanks: true);
        var rows = new List<IReadOnlyList<string>>();
        while (rows.Count < MostRows && csv.Read())
        {
            rows.Add([.. csv.Parser.Record ?? []]);
        }
        return rows;
    }

    /// <summary>Writes a table with its head.</summary>
    public static string Write(IReadOnlyList<string> columns, IEnumerable<IReadOnlyList<string>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        // a cell that a spreadsheet would run as a formula is written as text
        using var csv = new CsvWriter(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape }
        );
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

    // the first row tells what divides the cells
    private static CsvReader Open(string text, bool blanks = false)
    {
        var whole = text.TrimStart('\uFEFF');
        var head = whole.Split('\n', 2)[0];
        return new(
            new StringReader(whole),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = Delimiters.MaxBy(d => head.Split(d).Length)!,
                BadDataFound = null,
                MissingFieldFound = null,
                IgnoreBlankLines = !blanks,
                PrepareHeaderForMatch = a => Key(a.Header),
            }
        );
    }

    /// <summary>A column's name as it is compared: case and blanks aside.</summary>
    public static string Key(string header) => header.Trim().ToLowerInvariant().Replace(' ', '_');
}
