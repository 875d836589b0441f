using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using NodaTime;

namespace Hepno.Core.Shop;

/// <summary>What cannot be kept of a line of an ask.</summary>
internal static class AskLineRules
{
    private const int MostPlacements = 6;
    private const int LongestId = 64;
    private const decimal MostMark = 100_000;

    /// <summary>What is wrong with a line; <paramref name="where"/> is its path.</summary>
    public static IEnumerable<Problem> Refusals(
        Ask ask,
        AskLine line,
        string where,
        AskLine? before,
        ShopBook book,
        LocalDateTime wall
    )
    {
        var style = book.Of<Style>().FirstOrDefault(s => s.Id == line.StyleId);
        return
        [
            .. Identity(line, where),
            .. Garment(line, where, style, before),
            .. Sizes(line, where, style),
            .. Prints(line, where, book.Places),
            .. Names(line, where),
            .. Given(line, where),
            .. Days(ask, line, where, before, wall.Date),
            .. Mark(line, where),
        ];
    }

    private static IEnumerable<Problem> Identity(AskLine line, string where)
    {
        if (line.Id.Text.Length is 0 or > LongestId)
        {
            yield return new(
                "bad-id",
                $"A line id of {line.Id.Text.Length} characters.",
                Where: $"{where}.id",
                $"Between 1 and {LongestId}, made by the device."
            );
        }
    }

    private static IEnumerable<Problem> Garment(AskLine line, string where, Style? style, AskLine? before)
    {
        if (line.StyleId is not null && style is null)
        {
            yield return new(
                "unknown-style",
                $"There is no style \"{line.StyleId}\" on the Shelf.",
                Where: $"{where}.styleId",
                "Choose one that is there, or add it."
            );
        }
        else if (style is { Retired: true } && before?.StyleId != style.Id)
        {
            yield return new(
                "retired-style",
                $"{style.Name} is no longer offered.",
                Where: $"{where}.styleId",
                "Choose another style."
            );
        }
        if (line.ColourwayId is not null && style?.Colourways.Any(c => c.Id == line.ColourwayId) != true)
        {
            yield return new(
                "unknown-colour",
                $"{style?.Name ?? "The style"} has no colour \"{line.ColourwayId}\".",
                Where: $"{where}.colourwayId",
                style is null
                    ? "Choose a style first."
                    : $"Its colours are {string.Join(", ", style.Colourways.Select(c => c.Name))}."
            );
        }
    }

    private static IEnumerable<Problem> Sizes(AskLine line, string where, Style? style)
    {
        for (var i = 0; i < line.Sizes.Count; i++)
        {
            var size = line.Sizes[i];
            if (size.Pieces is < 1 or > SizeRun.MostPieces)
            {
                yield return new(
                    "range",
                    $"{size.Pieces} pieces of {size.Size} is outside 1 to {SizeRun.MostPieces}.",
                    Where: $"{where}.sizes[{i}].pieces",
                    "Type whole pieces; leave a size out for none."
                );
            }
            if (style is not null && style.Sizes.All(s => s.Name != size.Size))
            {
                yield return new(
                    "unknown-size",
                    $"\"{size.Size}\" is not a size of {style.Name}.",
                    Where: $"{where}.sizes[{i}].size",
                    $"Its sizes are {string.Join(", ", style.Sizes.Select(s => s.Name))}."
                );
            }
        }
        foreach (var twice in line.Sizes.GroupBy(s => s.Size).Where(g => g.Count() > 1))
        {
            yield return new(
                "twice",
                $"The size {twice.Key} stands twice.",
                Where: $"{where}.sizes",
                "Add them up and write it once."
            );
        }
        if (line.Sizes.Sum(s => (long)s.Pieces) > SizeRun.MostPieces)
        {
            yield return new(
                "huge",
                $"{line.Sizes.Sum(s => (long)s.Pieces)} pieces is more than one line can hold.",
                Where: $"{where}.sizes",
                $"At most {SizeRun.MostPieces} pieces a line."
            );
        }
    }

    private static IEnumerable<Problem> Prints(AskLine line, string where, PlaceBook places) =>
        [
            .. HowMany(line, where),
            .. line.Placements.SelectMany((p, i) => PlacementRules.Refusals(p, $"{where}.placements[{i}]", places)),
            .. PlacementRules.Sharing(line.Placements, $"{where}.placements"),
        ];

    private static IEnumerable<Problem> HowMany(AskLine line, string where)
    {
        if (line.Placements.Count > MostPlacements)
        {
            yield return new(
                "placements",
                $"{line.Placements.Count} placements is more than Hepno takes yet.",
                Where: $"{where}.placements",
                $"At most {MostPlacements}."
            );
        }
    }

    private static IEnumerable<Problem> Names(AskLine line, string where)
    {
        var names = line.Names;
        for (var i = 0; i < names.Count; i++)
        {
            if (names[i].Problem($"Row {i + 1} of the names", where: $"{where}.names[{i}]") is { } problem)
            {
                yield return problem;
            }
        }
        if (names.Count > SizeRun.MostPieces)
        {
            yield return new(
                "huge",
                $"{names.Count} names is more than one line can hold.",
                Where: $"{where}.names",
                $"At most {SizeRun.MostPieces} pieces a line."
            );
        }
    }

    private static IEnumerable<Problem> Given(AskLine line, string where)
    {
        if (line.Given < 0 || line.Given > Math.Max(0, line.Pieces - 1))
        {
            yield return new(
                "range",
                $"{line.Given} of {line.Pieces} pieces given.",
                Where: $"{where}.given",
                "Fewer than all of them, or 0."
            );
        }
    }

    private static IEnumerable<Problem> Days(Ask ask, AskLine line, string where, AskLine? before, LocalDate today)
    {
        if (line.DueDate is { } own && ask.DueDate is { } due && own > due)
        {
            yield return new(
                "later-than-order",
                $"A line wanted on {own:yyyy-MM-dd} is after the order's {due:yyyy-MM-dd}.",
                Where: $"{where}.dueDate",
                "The order's day is its last one: move that, or take the line's own day out."
            );
        }
        if (line.DueDate is not null && ask.DueDate is null)
        {
            yield return new(
                "day-alone",
                "A line has a day and the order has none.",
                Where: $"{where}.dueDate",
                "Say the order's day too: its last one."
            );
        }
        if (line.DueDate is { } day && day < today && before?.DueDate != day)
        {
            yield return new(
                "past-due",
                $"{day:yyyy-MM-dd} is past.",
                Where: $"{where}.dueDate",
                "Type a day that is still to come."
            );
        }
    }

    private static IEnumerable<Problem> Mark(AskLine line, string where)
    {
        if (line.Mark is <= 0 or > MostMark)
        {
            yield return new(
                "range",
                $"A mark of {line.Mark:0.00} a piece is outside 0 to 100,000.",
                Where: $"{where}.mark",
                "Type the most they would pay for a piece, or leave it out."
            );
        }
    }
}
