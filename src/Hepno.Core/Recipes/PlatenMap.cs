using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Recipes;

/// <summary>A platen measured at nine points with a surface thermometer (docs/trade 5).</summary>
/// <param name="Day">When, local date.</param>
/// <param name="SetPointF">What the press was set to, °F.</param>
/// <param name="PointsF">Nine readings, °F: row by row from the far left to the near right.</param>
/// <param name="Doubtful">True for an infrared reading of bare metal or non-stick cloth: it is kept, and nothing is set
/// by it.</param>
/// <param name="By">Who measured; may be empty.</param>
public sealed record PlatenMap(
    LocalDate Day,
    double SetPointF,
    IReadOnlyList<double> PointsF,
    bool Doubtful = false,
    string By = ""
)
{
    /// <summary>Points of a map.</summary>
    public const int Points = 9;

    /// <summary>A map says something of recipes this near to its set-point, °F.</summary>
    public const double ReachF = 30;

    /// <summary>A point this far below the platen's own mean is a cold spot unless the press says otherwise,
    /// °F.</summary>
    public const double ColdBelowF = 10;

    /// <summary>Days until the next check (assumed).</summary>
    public const int CheckDays = 90;

    /// <summary>Names of the points, in their order.</summary>
    public static IReadOnlyList<string> Names { get; } =
    [
        "far left",
        "far middle",
        "far right",
        "middle left",
        "middle",
        "middle right",
        "near left",
        "near middle",
        "near right",
    ];

    /// <summary>Mean of the nine points, °F.</summary>
    public double MeanF() => PointsF.Average();

    /// <summary>Mean less set-point, °F: set 320, mean 305 is -15.</summary>
    public double OffsetF() => MeanF() - SetPointF;

    /// <summary>Hottest less coldest point, °F.</summary>
    public double SpreadF() => PointsF.Max() - PointsF.Min();

    /// <summary>Points that are further below the mean than allowed, by their place in the order.</summary>
    /// <param name="belowF">So far is allowed, °F.</param>
    public IReadOnlyList<int> ColdSpots(double belowF = ColdBelowF) =>
        [.. PointsF.Select((p, i) => (p, i)).Where(x => x.p < MeanF() - belowF).Select(x => x.i)];

    /// <summary>Points in whose ninth of a platen a print lies that is put in its middle.</summary>
    public static IEnumerable<int> Under(double platenWidthIn, double platenHeightIn, double widthIn, double heightIn)
    {
        static bool Reaches(int third, double platen, double print) => third == 1 || print > platen / 3;
        return Enumerable
            .Range(0, Points)
            .Where(i => Reaches(i % 3, platenWidthIn, widthIn) && Reaches(i / 3, platenHeightIn, heightIn));
    }

    /// <summary>The hottest point when the press is set to something, °F.</summary>
    public double HottestF(double setF) => setF + PointsF.Max() - SetPointF;

    /// <summary>True when it says something of a recipe's heat.</summary>
    public bool Reaches(double recipeF) => Math.Abs(SetPointF - recipeF) <= ReachF;

    /// <summary>Why nothing is measured at a set-point, or null.</summary>
    public static Problem? OutOfRange(double setPointF) =>
        setPointF is >= 150 and <= 500
            ? null
            : new(
                "range",
                $"A set-point of {setPointF:0} °F is outside 150 to 500.",
                Where: "setPointF",
                "Type what the dial says."
            );

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (OutOfRange(SetPointF) is { } set)
        {
            yield return set;
        }
        if (PointsF.Count != Points)
        {
            yield return new(
                "points",
                $"{PointsF.Count} readings.",
                Where: "pointsF",
                "Nine: three rows of three, from the far left to the near right."
            );
        }
        for (var i = 0; i < Math.Min(Points, PointsF.Count); i++)
        {
            if (PointsF[i] is not (>= 100 and <= 550))
            {
                yield return new(
                    "range",
                    $"{Names[i]}: {PointsF[i]:0} °F is outside 100 to 550.",
                    Where: $"pointsF[{i}]",
                    "Read it again once the needle stands still."
                );
            }
        }
        if (By.Length > 100)
        {
            yield return new("too-long", $"A name of {By.Length} characters.", Where: "by", "At most 100.");
        }
    }
}
