using System.Globalization;
using System.Text.RegularExpressions;
using Hepno.Core.Measures;

namespace Hepno.Core.Blanks;

/// <summary>Pieces of one size.</summary>
/// <param name="Size">Name of the size, as the style has it.</param>
/// <param name="Pieces">How many, 0 or more.</param>
public sealed record SizeCount(string Size, int Pieces);

/// <summary>A size run as read from text, or why it cannot be read.</summary>
/// <param name="Sizes">Counts in the style's own order; empty when there is a problem.</param>
/// <param name="Problem">What is wrong, or null.</param>
public sealed record SizeRunReading(IReadOnlyList<SizeCount> Sizes, Problem? Problem);

/// <summary>Reading and scaling size runs.</summary>
public static partial class SizeRun
{
    /// <summary>Most pieces in one line.</summary>
    public const int MostPieces = 2000;

    private static readonly string[] Endings = ["XXXXXL=5XL", "XXXXL=4XL", "XXXL=3XL", "XXL=2XL"];

    /// <summary>Pieces of all sizes together.</summary>
    public static int Total(IReadOnlyList<SizeCount> sizes) => sizes.Sum(s => s.Pieces);

    /// <summary>Reads what was typed or pasted: <c>S 4, M 10</c>, <c>5s 11m 2 2xl</c>, <c>5/11/12</c> in the style's
    /// order, or two rows or columns of a spreadsheet.</summary>
    /// <param name="text">The text as it came.</param>
    /// <param name="known">The style's sizes, smallest first.</param>
    public static SizeRunReading Parse(string text, IReadOnlyList<string> known)
    {
        if (text.Contains('-', StringComparison.Ordinal) || text.Contains('\u2212', StringComparison.Ordinal))
        {
            return Wrong(
                "negative",
                $"\"{Short(text)}\" holds a count below 0.",
                "Type how many of each size, for example S 4, M 10."
            );
        }
        if (Fraction().Match(text) is { Success: true } part)
        {
            return Wrong("fraction", $"{part.Value} is not a whole number of pieces.", "Type whole pieces.");
        }
        var tokens = Separator().Split(text.Trim()).Where(t => t.Length > 0).ToList();
        if (tokens.Count == 0)
        {
            return Wrong(
                "empty",
                "No sizes are typed.",
                $"Type how many of each: {(known.Count > 0 ? known[0] : "M")} 4 and so on."
            );
        }
        var items = new List<(string? Size, int? Count)>();
        foreach (var token in tokens)
        {
            if (int.TryParse(token, NumberStyles.None, CultureInfo.InvariantCulture, out var n))
            {
                items.Add((null, n));
            }
            else if (token.All(char.IsAsciiDigit))
            {
                return Wrong(
                    "huge",
                    $"{Short(token)} pieces is more than one order can hold.",
                    $"At most {MostPieces} pieces a line."
                );
            }
            else if (Known(token, known) is { } size)
            {
                items.Add((size, null));
            }
            else if (
                Joined().Match(token) is { Success: true } joined
                && Known(joined.Groups[2].Value, known) is { } of
                && int.TryParse(joined.Groups[1].Value, NumberStyles.None, CultureInfo.InvariantCulture, out var count)
            )
            {
                items.Add((of, count));
            }
            else
            {
                return Unknown(token, known);
            }
        }
        var reading = Pair(items, known);
        // "9XL 2" means a size that is not there, not nine of XL and a lone 2
        return
            reading.Problem?.Code == "unpaired"
            && tokens.FirstOrDefault(t => ExtendedSize().IsMatch(t) && Known(t, known) is null) is { } missing
            ? Unknown(missing, known)
            : reading;
    }

    /// <summary>The same mix at another total (largest remainder), for "what if they took 48".</summary>
    /// <param name="sizes">The run as asked, at least one piece.</param>
    /// <param name="total">Pieces wanted, 1 or more.</param>
    public static IReadOnlyList<SizeCount> ScaledTo(IReadOnlyList<SizeCount> sizes, int total)
    {
        var now = Total(sizes);
        if (now == total || now == 0)
        {
            return sizes;
        }
        var shares = Money.Shown([.. sizes.Select(s => (decimal)s.Pieces * total / now)], 0);
        return [.. sizes.Select((s, i) => s with { Pieces = (int)shares[i] })];
    }

    private static SizeRunReading Pair(List<(string? Size, int? Count)> items, IReadOnlyList<string> known)
    {
        var counts = new Dictionary<string, int>();
        string? twice = null;
        void Add(string size, int count)
        {
            if (!counts.TryAdd(size, count))
            {
                twice = size;
            }
        }
        var sizes = items.Where(i => i.Count is null).Select(i => i.Size!).ToList();
        var numbers = items.Where(i => i.Size is null).Select(i => i.Count!.Value).ToList();
        foreach (var (size, count) in items.Where(i => i is { Size: not null, Count: not null }))
        {
            Add(size!, count!.Value);
        }
        if (sizes.Count == 0 && numbers.Count > 0 && counts.Count == 0)
        {
            if (numbers.Count != known.Count)
            {
                return Wrong(
                    "which-sizes",
                    $"{numbers.Count} counts stand without sizes, and this style has {known.Count} sizes.",
                    $"Name them: {string.Join(", ", known.Select(k => $"{k} 0"))}."
                );
            }
            for (var i = 0; i < numbers.Count; i++)
            {
                Add(known[i], numbers[i]);
            }
        }
        else if (sizes.Count != numbers.Count)
        {
            var lone = sizes.Count > numbers.Count ? sizes[^1] : numbers[^1].ToString(CultureInfo.InvariantCulture);
            return Wrong(
                "unpaired",
                $"\"{lone}\" stands alone: every size needs its count.",
                "Write it like S 4, M 10, 2XL 2."
            );
        }
        else
        {
            // "S 4 M 10", "4 S 10 M" and a row of sizes over a row of counts all pair the n-th size with the n-th count
            for (var i = 0; i < sizes.Count; i++)
            {
                Add(sizes[i], numbers[i]);
            }
        }
        if (twice is not null)
        {
            return Wrong("twice", $"The size {twice} stands twice.", "Add them up and write it once.");
        }
        var total = counts.Values.Sum(c => (long)c);
        if (total > MostPieces)
        {
            return Wrong(
                "huge",
                $"{total} pieces is more than one line can hold.",
                $"At most {MostPieces} pieces a line: split the order."
            );
        }
        if (total == 0)
        {
            return Wrong("zero", "All counts are 0.", "Type at least one piece.");
        }
        return new(
            [.. known.Where(k => counts.GetValueOrDefault(k) > 0).Select(k => new SizeCount(k, counts[k]))],
            null
        );
    }

    private static SizeRunReading Unknown(string token, IReadOnlyList<string> known) =>
        Wrong(
            "unknown-size",
            $"\"{Short(token)}\" is not a size of this style.",
            $"Its sizes are {string.Join(", ", known)}."
        );

    /// <summary>The style's size that a word means ("xxl" is 2XL), or null.</summary>
    public static string? Known(string token, IReadOnlyList<string> known)
    {
        var upper = token.ToUpperInvariant();
        upper = Endings.FirstOrDefault(e => e.StartsWith(upper + "=", StringComparison.Ordinal))?[(upper.Length + 1)..]
            ?? upper;
        return known.FirstOrDefault(k => k.Equals(upper, StringComparison.OrdinalIgnoreCase));
    }

    private static string Short(string text) => text.Length <= 40 ? text : text[..40] + "...";

    private static SizeRunReading Wrong(string code, string sentence, string remedy) =>
        new([], new Problem(code, sentence, "sizes", remedy));

    [GeneratedRegex(@"[\s,;:/=]+")]
    private static partial Regex Separator();

    [GeneratedRegex("^[2-9]XL$", RegexOptions.IgnoreCase)]
    private static partial Regex ExtendedSize();

    [GeneratedRegex(@"\d+[.]\d+")]
    private static partial Regex Fraction();

    [GeneratedRegex(@"^(\d+)[×]?([a-zA-Z].*|\d+[xX].*)$")]
    private static partial Regex Joined();
}
