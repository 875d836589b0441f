using Hepno.Core.Measures;

namespace Hepno.Core.Sending;

/// <summary>A mailer or box the shop sends in.</summary>
/// <param name="Name">Its name.</param>
/// <param name="MostTees">Folded tees it takes.</param>
/// <param name="MostGrams">Weight it carries, its own left out, g.</param>
/// <param name="OwnGrams">Its own weight, g.</param>
/// <param name="Price">Money for one.</param>
public sealed record Packaging(string Name, double MostTees, double MostGrams, double OwnGrams, decimal Price)
{
    /// <summary>Starting values (assumed).</summary>
    public static IReadOnlyList<Packaging> Default { get; } =
    [
        new("Mailer", 4, MostGrams: 1000, 25, 0.35m),
        new("Small box", 18, MostGrams: 6000, 220, 1.10m),
        new("Large box", 60, MostGrams: 18000, 480, 2.40m),
    ];

    /// <summary>What the owner must put right.</summary>
    /// <param name="where">Where it stands.</param>
    public IEnumerable<Problem> Problems(string where)
    {
        if (Name.Trim().Length is 0 or > 60)
        {
            yield return new(
                "name",
                $"A mailer or box is called by 1 to 60 characters, not {Name.Trim().Length}.",
                Where: $"{where}.name",
                "Type a short name."
            );
        }
        foreach (
            var (value, most, field, what) in new[]
            {
                (MostTees, 1000.0, "mostTees", "folded tees"),
                (MostGrams, 100_000, "mostGrams", "g"),
            }
        )
        {
            if (!(value > 0 && value <= most))
            {
                yield return new(
                    "range",
                    $"{Name}: {value:0.##} {what} is outside 1 to {most:0}.",
                    Where: $"{where}.{field}",
                    "Type what it holds."
                );
            }
        }
        if (OwnGrams is not (>= 0 and <= 20_000))
        {
            yield return new(
                "range",
                $"{Name}: its own weight of {OwnGrams:0.##} g is outside 0 to 20,000.",
                Where: $"{where}.ownGrams",
                "Weigh one empty."
            );
        }
        if (Price is < 0 or > 1000)
        {
            yield return new(
                "range",
                $"{Name}: a price of {Price:0.00} is outside 0 to 1,000.",
                Where: $"{where}.price",
                "Type what one costs."
            );
        }
    }
}
