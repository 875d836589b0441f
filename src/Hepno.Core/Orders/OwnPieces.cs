using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>A list of names and numbers as read, or what is wrong with it.</summary>
/// <param name="Pieces">A piece a row; empty when there are problems.</param>
/// <param name="Problems">What cannot be read, by row.</param>
public sealed record OwnPiecesReading(IReadOnlyList<OwnPiece> Pieces, IReadOnlyList<Problem> Problems);

/// <summary>Reading and checking lists of personalised pieces.</summary>
public static class OwnPieces
{
    private const int MostProblems = 20;

    private static readonly string[] SizeHeads = ["size", "sz"];
    private static readonly string[] NameHeads = ["name", "names", "text", "print name", "back name"];
    private static readonly string[] NumberHeads = ["number", "no", "no.", "num", "nr", "#"];

    /// <summary>Reads rows of a table: with a heading row its columns decide; without one a known size is the size,
    /// digits are the number, the rest is the name. All or nothing.</summary>
    /// <param name="rows">Cells by row; empty rows are passed over.</param>
    /// <param name="known">The style's sizes, smallest first.</param>
    public static OwnPiecesReading Read(IReadOnlyList<IReadOnlyList<string>> rows, IReadOnlyList<string> known)
    {
        var filled = rows.Select(
                (cells, i) => (Row: i + 1, Cells: (IReadOnlyList<string>)[.. cells.Select(c => c.Trim())])
            )
            .Where(r => r.Cells.Any(c => c.Length > 0))
            .ToList();
        var head = filled.Count > 0 ? Head(filled[0].Cells) : null;
        var problems = new List<Problem>();
        var pieces = new List<OwnPiece>();
        foreach (var (row, cells) in head is null ? filled : filled.Skip(1))
        {
            var (piece, problem) = head is null ? Guessed(cells, row, known) : ByHead(head, cells, row, known);
            if (problem is null)
            {
                pieces.Add(piece!);
            }
            else
            {
                problems.Add(problem);
            }
        }
        if (pieces.Count == 0 && problems.Count == 0)
        {
            problems.Add(
                new(
                    "empty",
                    "The list is empty.",
                    Where: "names",
                    $"A piece a row, for example {(known.Count > 0 ? known[0] : "M")}, FENNER, 7."
                )
            );
        }
        if (pieces.Count > SizeRun.MostPieces)
        {
            problems.Add(
                new(
                    "huge",
                    $"{pieces.Count} rows is more than one line can hold.",
                    Where: "names",
                    $"At most {SizeRun.MostPieces} pieces a line: split the list."
                )
            );
        }
        return problems.Count > 0 ? new([], [.. problems.Take(MostProblems)]) : new(pieces, []);
    }

    /// <summary>The size run that a list asks for, in the style's own order.</summary>
    public static IReadOnlyList<SizeCount> Sizes(IReadOnlyList<OwnPiece> pieces, IReadOnlyList<string> known) =>
        [.. known.Select(k => new SizeCount(k, pieces.Count(p => p.Size == k))).Where(s => s.Pieces > 0)];

    /// <summary>What of a line's list blocks comparing: counts that are not the run's, a print that a piece has no text
    /// for, a list that is printed nowhere.</summary>
    /// <param name="line">The line.</param>
    /// <param name="where">Where it stands in the ask, for the problem's field: "lines[0]".</param>
    public static IEnumerable<Problem> Blocks(AskLine line, string where)
    {
        var names = line.Names;
        var own = line.Placements.Where(p => p.Own != OwnText.None).ToList();
        if (names.Count == 0)
        {
            if (own.Count > 0 && line.Pieces > 0)
            {
                yield return new(
                    "no-names",
                    $"{own[0].At().Name}: each piece has its own {Word(own[0].Own)}, and there is no list.",
                    Where: $"{where}.names",
                    "Paste or type the list, a piece a row."
                );
            }
            yield break;
        }
        if (own.Count == 0)
        {
            yield return new(
                "names-nowhere",
                $"{names.Count} pieces have names or numbers, and no print shows them.",
                Where: $"{where}.placements",
                "Say which print is each piece's own, or clear the list."
            );
        }
        foreach (var size in line.Sizes.Select(s => s.Size).Union(names.Select(n => n.Size)))
        {
            var (asked, listed) = (
                line.Sizes.Where(s => s.Size == size).Sum(s => s.Pieces),
                names.Count(n => n.Size == size)
            );
            if (asked != listed)
            {
                yield return new(
                    "names-count",
                    $"{size}: {asked} {(asked == 1 ? "piece is" : "pieces are")} asked for, {listed} "
                        + $"{(listed == 1 ? "is" : "are")} on the list.",
                    Where: $"{where}.names",
                    "Mend the list, or the sizes."
                );
            }
        }
        foreach (var p in own)
        {
            var bare = names.Select((n, i) => (n, i)).Where(x => !x.n.Has(p.Own)).ToList();
            if (bare.Count > 0)
            {
                yield return new(
                    "names-missing",
                    $"{p.At().Name}: "
                        + $"{(bare.Count == 1 ? $"row {bare[0].i + 1} ({bare[0].n.Size}) has" : $"{bare.Count} rows have")} "
                        + $"no {Lacking(bare.Select(b => b.n), p.Own)}.",
                    Where: $"{where}.names",
                    "Fill it in, or put such pieces on a line of their own."
                );
            }
        }
    }

    /// <summary>What may be a slip of the pen: pieces alike, a number twice, a name too wide for its print. Nothing is
    /// blocked by it.</summary>
    public static IReadOnlyList<string> Notices(AskLine line)
    {
        var names = line.Names;
        var said = names
            .GroupBy(n => (n.Name.ToUpperInvariant(), n.Number))
            .Where(g => g.Count() > 1)
            .Select(g => $"{g.First().Says()} stands {Times(g.Count())}.")
            .ToList();
        // a number belongs to one player; the same piece twice is said already
        said.AddRange(
            names
                .Where(n => n.Number.Length > 0)
                .GroupBy(n => n.Number)
                .Where(g => g.DistinctBy(n => n.Name.ToUpperInvariant()).Count() > 1)
                .Select(g =>
                    $"Number {g.Key} stands {Times(g.Count())}: "
                    + $"{string.Join(", ", g.Select(n => n.Name.Length > 0 ? n.Name : n.Size))}."
                )
        );
        foreach (var p in line.Placements.Where(p => p.Own != OwnText.None))
        {
            foreach (var n in names.Where(n => n.Has(p.Own)))
            {
                var print = SizedPrints.On(p, n.Size);
                if (n.WidthIn(p.Own, print.HeightIn) is var wide && wide > print.WidthIn + 1e-9)
                {
                    said.Add(
                        $"{n.Says()} is pressed together to {print.WidthIn / wide * 100:0}% of its width to fit "
                            + $"the {p.At().Name.ToLowerInvariant()} of {n.Size}."
                    );
                }
            }
        }
        return said;
    }

    private static string Times(int count) => count == 2 ? "twice" : $"{count} times";

    private static string Word(OwnText own) =>
        own switch
        {
            OwnText.Name => "name",
            OwnText.Number => "number",
            _ => "name and number",
        };

    private static string Lacking(IEnumerable<OwnPiece> bare, OwnText own)
    {
        var (name, number) = (
            own != OwnText.Number && bare.Any(n => n.Name.Length == 0),
            own != OwnText.Name && bare.Any(n => n.Number.Length == 0)
        );
        if (name && number)
        {
            return "name or number";
        }
        return name ? "name" : "number";
    }

    private static Dictionary<string, int>? Head(IReadOnlyList<string> cells)
    {
        var head = new Dictionary<string, int>();
        for (var i = 0; i < cells.Count; i++)
        {
            var word = cells[i].ToLowerInvariant();
            string? column;
            if (SizeHeads.Contains(word))
            {
                column = "size";
            }
            else if (NameHeads.Contains(word))
            {
                column = "name";
            }
            else if (NumberHeads.Contains(word))
            {
                column = "number";
            }
            else
            {
                column = null;
            }

            if (column is not null)
            {
                head.TryAdd(column, i);
            }
        }
        return head.ContainsKey("size") && head.Count > 1 ? head : null;
    }

    private static (OwnPiece?, Problem?) ByHead(
        Dictionary<string, int> head,
        IReadOnlyList<string> cells,
        int row,
        IReadOnlyList<string> known
    )
    {
        string Cell(string column) => head.TryGetValue(column, out var i) && i < cells.Count ? cells[i] : "";
        var size = SizeRun.Known(Cell("size"), known);
        return size is null
            ? (null, NoSize(row, Cell("size"), cells, known))
            : Checked(new(size, Cell("name"), Number: Cell("number")), row);
    }

    private static (OwnPiece?, Problem?) Guessed(IReadOnlyList<string> cells, int row, IReadOnlyList<string> known)
    {
        string? size = null,
            number = null;
        var names = new List<string>();
        foreach (var cell in cells.Where(c => c.Length > 0))
        {
            if (size is null && SizeRun.Known(cell, known) is { } found)
            {
                size = found;
            }
            else if (number is null && cell.All(char.IsAsciiDigit))
            {
                number = cell;
            }
            else
            {
                names.Add(cell);
            }
        }
        if (size is null)
        {
            return (null, NoSize(row, "", cells, known));
        }
        return names.Count > 1
            ? (
                null,
                new(
                    "row",
                    $"Row {row}: \"{names[0]}\" and \"{names[1]}\" both look like a name.",
                    Where: $"names[{row}]",
                    "A row holds a size, a name and a number, each once; a heading row says which is which."
                )
            )
            : Checked(new(size, names.FirstOrDefault(""), number ?? ""), row);
    }

    private static Problem NoSize(int row, string said, IReadOnlyList<string> cells, IReadOnlyList<string> known) =>
        said.Length > 0
            ? new(
                "unknown-size",
                $"Row {row}: \"{said}\" is not a size of this style.",
                Where: $"names[{row}].size",
                $"Its sizes are {string.Join(", ", known)}."
            )
            : new(
                "no-size",
                $"Row {row}: no size in \"{string.Join(", ", cells.Where(c => c.Length > 0))}\".",
                Where: $"names[{row}].size",
                $"Name one of {string.Join(", ", known)}."
            );

    private static (OwnPiece?, Problem?) Checked(OwnPiece piece, int row) =>
        piece.Problem($"Row {row}", where: $"names[{row}]") is { } problem ? (null, problem) : (piece, null);
}
