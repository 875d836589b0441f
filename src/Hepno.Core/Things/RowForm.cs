namespace Hepno.Core.Things;

/// <summary>A cell of a typed row.</summary>
/// <param name="Key">Its name in JSON, in the row.</param>
/// <param name="Shape">Text, a number, one of some, or rows within the row.</param>
public sealed record RowCell(string Key, FieldShape Shape)
{
    /// <summary>What it may be.</summary>
    public IReadOnlyList<FieldOption> Options { get; init; } = [];

    /// <summary>True where a row may end before it.</summary>
    public bool MayBeLeftOut { get; init; }

    /// <summary>How the rows within are typed.</summary>
    public RowForm? Rows { get; init; }
}

/// <summary>How rows are typed and read: each on a line, or one behind the other within a line.</summary>
/// <param name="Cells">Its cells in their order.</param>
/// <param name="Example">A row that is right, for who typed one that is not.</param>
public sealed record RowForm(IReadOnlyList<RowCell> Cells, string Example)
{
    /// <summary>What stands between two cells.</summary>
    public string CellBreak { get; init; } = ", ";

    /// <summary>What stands between two rows.</summary>
    public string RowBreak { get; init; } = "\n";

    /// <summary>Prices by number, one behind the other: "24 2.90, 72 1.80".</summary>
    public static RowForm PriceBreaks { get; } =
        new([new("from", FieldShape.Number), new("price", FieldShape.Number)], "24 2.90, 72 1.80")
        {
            CellBreak = " ",
            RowBreak = ", ",
        };
}
