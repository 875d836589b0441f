namespace Hepno.Core.Tests;

/// <summary>Tables of cases under tests/cases: a heading line, then one case a line; quotes hold commas.</summary>
internal static class Cases
{
    public static IEnumerable<string[]> Rows(string name) =>
        File.ReadAllLines(Tree.Case(name)).Skip(1).Where(l => l.Length > 0).Select(Split);

    private static string[] Split(string line)
    {
        var cells = new List<string> { "" };
        var quoted = false;
        foreach (var c in line)
        {
            if (c == '"')
            {
                quoted = !quoted;
            }
            else if (c == ',' && !quoted)
            {
                cells.Add("");
            }
            else
            {
                cells[^1] += c;
            }
        }
        return [.. cells];
    }
}
