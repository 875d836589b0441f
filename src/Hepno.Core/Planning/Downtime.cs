using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>Days on which a machine is out of use: what waits for it waits for its return, and every promise says so
/// (docs/trade 11).</summary>
/// <param name="Id">Identity.</param>
/// <param name="MachineId">Which machine.</param>
/// <param name="From">The first day.</param>
/// <param name="Until">The last day, as it is counted on.</param>
/// <param name="Why">What is the matter; may be empty.</param>
/// <param name="CalledOff">True where it is in use after all.</param>
public sealed record Downtime(
    ThingId Id,
    ThingId MachineId,
    LocalDate From,
    LocalDate Until,
    string Why,
    bool CalledOff
) : IKept<Downtime>
{
    private const int MostDays = 731;
    private static readonly LocalDate Earliest = new(2000, 1, 1);
    private static readonly LocalDate Latest = new(2199, 12, 31);

    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Downtime> Described { get; } =
        new("downtime", noun: "downtimes", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            IsReadAtPress = true,
            Area = ThingArea.Floor,
            Words = new(
                "downtime",
                Many: "Machines out of use",
                Add: "Put a machine out of use",
                "Every machine is in use. Days of repair or upkeep noted here move what waits for the machine."
            ),
            Fields = new FieldList<Downtime>()
                .Machine(x => x.MachineId, "Machine", help: "Choose which machine is out of use.")
                .Shaped(x => x.From, "From", FieldShape.Day)
                .Shaped(x => x.Until, "Last day", FieldShape.Day)
                .Text(x => x.Why, "What is the matter")
                .AtMost(200, "reason")
                .Flag(x => x.CalledOff, "On these days", start: false, yes: "it is in use after all", no: "out of use"),
            Rules = x => x.DayProblems(),
            Order = (a, b) => b.From.CompareTo(a.From),
        };

    /// <summary>Days on which a machine is out of use.</summary>
    /// <param name="all">All that is known of the shop's machines.</param>
    /// <param name="machine">Which one.</param>
    public static IReadOnlyList<DateInterval> Of(IReadOnlyList<Downtime> all, ThingId machine) =>
        [.. all.Where(d => d.MachineId == machine && !d.CalledOff).Select(d => new DateInterval(d.From, d.Until))];

    /// <summary>True where it takes its machine out of use on a day.</summary>
    public bool Holds(LocalDate day) => !CalledOff && day >= From && day <= Until;

    private IEnumerable<Problem> DayProblems()
    {
        if (From < Earliest || Until > Latest)
        {
            yield return new(
                "range",
                $"{(From < Earliest ? From : Until):uuuu-MM-dd} is no day a shop plans for.",
                Where: From < Earliest ? "from" : "until",
                "Type a day of this year or the next."
            );
        }
        else if (Until < From || Period.DaysBetween(From, Until) > MostDays)
        {
            yield return new(
                "order",
                $"Out of use from {From:uuuu-MM-dd} to {Until:uuuu-MM-dd} cannot be.",
                Where: "until",
                "The last day is the first or a later one, within two years."
            );
        }
    }
}
