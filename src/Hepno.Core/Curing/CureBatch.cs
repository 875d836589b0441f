using Hepno.Core.Measures;
using Hepno.Core.Methods;
using NodaTime;

namespace Hepno.Core.Curing;

/// <summary>What the powder looked like when it came out of the heat.</summary>
public enum CureSign
{
    /// <summary>Nothing to see, or nobody looked: white alone shows no colour cue.</summary>
    NotSeen,

    /// <summary>Molten, glossy.</summary>
    Glossy,

    /// <summary>Dull or grainy: not molten everywhere.</summary>
    Dull,

    /// <summary>Yellowed or oily: too hot or too long.</summary>
    Yellowed,
}

/// <summary>A colour patch pressed to see whether a batch is cured.</summary>
public enum ControlPrint
{
    /// <summary>Not pressed yet.</summary>
    NotYet,

    /// <summary>It holds when pulled and stretched.</summary>
    Holds,

    /// <summary>It lifts, cracks or stays tacky.</summary>
    Lifts,
}

/// <summary>What a batch is held to be.</summary>
public enum CureVerdict
{
    /// <summary>Nothing against it.</summary>
    Open,

    /// <summary>Found under- or over-cured: everything from it is called back.</summary>
    Bad,
}

/// <summary>Prints of one place of one order in a batch.</summary>
/// <param name="OrderId">Which order.</param>
/// <param name="LineId">Which line.</param>
/// <param name="PlacementId">Which place of it.</param>
/// <param name="Prints">How many.</param>
/// <param name="WhiteOnly">True for white ink alone: it has no colour that shows when it is cured.</param>
public sealed record CuredPrints(OrderId OrderId, LineId LineId, PlacementId PlacementId, int Prints, bool WhiteOnly);

/// <summary>Film that was powdered and cured together: under-cured work looks fine and fails in the wash, so it stays
/// known which prints shared a heat (docs/trade 15.3).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Number">Counted from 1: "C-31".</param>
/// <param name="PrinterId">The film printer.</param>
/// <param name="At">When it came out, wall clock.</param>
/// <param name="StationId">The press, oven or conveyor; empty for one that is not on the Floor.</param>
/// <param name="TemperatureF">Heat, °F.</param>
/// <param name="Minutes">How long, min.</param>
/// <param name="By">Who; may be empty.</param>
/// <param name="Sign">What was seen.</param>
/// <param name="Before">The colour patch at the head of the film.</param>
/// <param name="After">The colour patch at its end.</param>
/// <param name="Prints">Whose prints, how many.</param>
/// <param name="Lots">Ink, film and powder with their lots, as they were in the printer.</param>
/// <param name="Use">What it took out of the printer.</param>
/// <param name="Verdict">What it is held to be.</param>
/// <param name="Why">Why; needed for bad.</param>
public sealed record CureBatch(
    string Id,
    int Number,
    ThingId PrinterId,
    LocalDateTime At,
    PressId StationId,
    double TemperatureF,
    double Minutes,
    string By,
    CureSign Sign,
    ControlPrint Before,
    ControlPrint After,
    IReadOnlyList<CuredPrints> Prints,
    IReadOnlyList<string> Lots,
    CureUse Use,
    CureVerdict Verdict,
    string Why
)
{
    /// <summary>Its number as written: "C-31".</summary>
    public string Code() => $"C-{Number}";

    /// <summary>True when its white prints wait: both colour patches, before and after them, must have been pressed and
    /// hold (docs/trade 12).</summary>
    public bool Holds() =>
        Verdict == CureVerdict.Open
        && Prints.Any(p => p.WhiteOnly)
        && (Before != ControlPrint.Holds || After != ControlPrint.Holds);

    /// <summary>A cure further below its powder's heat than this is doubted, °F.</summary>
    public const double ColdestBelowF = 20;

    /// <summary>What speaks against it, in words; empty for nothing.</summary>
    /// <param name="cureF">Heat its powder is cured at, °F.</param>
    /// <param name="f">How figures are written.</param>
    public string Doubt(double cureF, FigureFormat f)
    {
        if (Before == ControlPrint.Lifts)
        {
            return "the first patch lifts";
        }
        return After == ControlPrint.Lifts
            ? "the last patch lifts"
            : Sign switch
            {
                CureSign.Dull => "the powder was dull",
                CureSign.Yellowed => "it was yellowed",
                _ => TemperatureF < cureF - ColdestBelowF
                    ? $"{Shown.Temperature(TemperatureF, f)} is far below the {Shown.Temperature(cureF, f)} its powder is cured at"
                    : "",
            };
    }

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems() => [.. OfCure(), .. OfPrints(), .. OfUse()];

    private IEnumerable<Problem> OfCure()
    {
        if (PrinterId.IsNone)
        {
            yield return new(
                "empty",
                "The batch names no film printer.",
                Where: "printerId",
                "Choose the printer it came from."
            );
        }
        if (TemperatureF is not (>= 200 and <= 400))
        {
            yield return new(
                "absurd",
                $"{TemperatureF:0} °F is outside 200 to 400, where powder is cured.",
                Where: "temperatureF",
                "Type the heat of oven or platen; the powder's sheet names it."
            );
        }
        if (Minutes is not (>= 0.25 and <= 60))
        {
            yield return new(
                "absurd",
                $"{Minutes:0.##} min in the heat is outside 0.25 to 60.",
                Where: "minutes",
                "Two to four minutes are usual."
            );
        }
    }

    private IEnumerable<Problem> OfPrints()
    {
        if (Prints.Count is 0 or > 500)
        {
            yield return new(
                "empty",
                Prints.Count == 0 ? "No print is in the batch." : $"{Prints.Count} orders' prints in one batch.",
                Where: "prints",
                "Say whose prints were cured, at most 500 lines."
            );
        }
        foreach (var (p, i) in Prints.Select((p, i) => (p, i)))
        {
            if (p.Prints is < 1 or > 10_000)
            {
                yield return new(
                    "range",
                    $"{p.Prints} prints is outside 1 to 10,000.",
                    Where: $"prints[{i}].prints",
                    "Count them."
                );
            }
            if (Prints.Take(i).Any(o => (o.OrderId, o.LineId, o.PlacementId) == (p.OrderId, p.LineId, p.PlacementId)))
            {
                yield return new(
                    "twice",
                    "The same place of an order stands twice.",
                    Where: $"prints[{i}]",
                    "Add the two up."
                );
            }
        }
    }

    private IEnumerable<Problem> OfUse()
    {
        if (
            Use.ColourMl is not (>= 0 and < 1e6)
            || Use.WhiteMl is not (>= 0 and < 1e6)
            || Use.FilmIn is not (>= 0 and < 1e6)
            || Use.PowderG is not (>= 0 and < 1e6)
        )
        {
            yield return new(
                "range",
                "What it used is not a number of 0 or more.",
                Where: "use",
                "Leave it to the arithmetic."
            );
        }
        if (Verdict == CureVerdict.Bad && Why.Trim().Length == 0)
        {
            yield return new(
                "empty",
                "A batch is called bad without a reason.",
                Where: "why",
                "Say what was found: the customers will ask."
            );
        }
        if (Why.Length > 500 || By.Length > 100 || Lots.Count > 40 || Lots.Any(l => l.Length > 200))
        {
            yield return new(
                "too-long",
                "A reason of over 500, a name of over 100 or a lot of over 200 characters.",
                Where: "why",
                "Say it shorter."
            );
        }
    }
}
