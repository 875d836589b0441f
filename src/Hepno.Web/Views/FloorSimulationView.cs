using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Shop;

namespace Hepno.Web.Views;

/// <summary>One arrangement of the pieces.</summary>
/// <param name="Policy">One at a time, or a stream.</param>
/// <param name="APiece">Seconds a piece, as shown.</param>
/// <param name="InAll">All pieces, as shown.</param>
/// <param name="MakespanSeconds">All pieces, s.</param>
/// <param name="Busy">How busy hands and press are, in words.</param>
/// <param name="TooLong">How much is pressed too long, in words.</param>
/// <param name="Order">In which order placements and second presses come, in words; empty where there is no
/// choice.</param>
/// <param name="Events">What happens in the first minutes, in order.</param>
public sealed record ArrangementView(
    FloorPolicy Policy,
    string APiece,
    string InAll,
    double MakespanSeconds,
    string Busy,
    string TooLong,
    string Order,
    IReadOnlyList<FloorEvent> Events
);

/// <summary>A change to the floor and what it would take off, as shown.</summary>
/// <param name="What">What is changed.</param>
/// <param name="SecondsAPiece">Seconds less a piece.</param>
/// <param name="Said">What it saves, or why it saves nothing.</param>
public sealed record FloorChangeView(string What, double SecondsAPiece, string Said);

/// <summary>A line's pieces on the press floor, in both arrangements, and what would help.</summary>
/// <param name="What">Which pieces.</param>
/// <param name="PressName">On which press.</param>
/// <param name="Pieces">How many.</param>
/// <param name="DrawnSeconds">How much of it the events cover, s.</param>
/// <param name="Arrangements">One at a time, and as a stream.</param>
/// <param name="Narrow">What holds it up, in words.</param>
/// <param name="ZeroOverDwell">What nothing pressed too long would cost, in words.</param>
/// <param name="Changes">What would help, most first.</param>
/// <param name="Source">Where the seconds come from.</param>
public sealed record FloorSimulationView(
    string What,
    string PressName,
    int Pieces,
    double DrawnSeconds,
    IReadOnlyList<ArrangementView> Arrangements,
    string Narrow,
    string ZeroOverDwell,
    IReadOnlyList<FloorChangeView> Changes,
    string Source
)
{
    private const double Drawn = 600;

    // a better order than the rules' is looked for where there are few pieces: somebody looks at it
    private const int FewPieces = 12;

    /// <summary>Simulates a line by its plan.</summary>
    internal static FloorSimulationView From(
        string what,
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book,
        bool cold = false
    )
    {
        var f = book.Numbers.Format;
        var warm = LineFloor.JobOf(ask, decorations, book);
        var job = cold ? LineFloor.FromCold(ask, book, warm) : warm;
        var heating = cold
            ? (job.Passes[0].TemperatureF - job.Presses[0].AtF!.Value) / job.Presses[0].RiseFPerMinute * 60
            : 0;
        var drawn = Drawn + heating;
        var arrangements = new[] { FloorPolicy.OneAtATime, FloorPolicy.Stream }
            .Select(policy =>
            {
                var by = job with { Policy = policy };
                var found = PressFloorSimulation.Run(
                    by,
                    job.Pieces <= FewPieces ? PressFloorSimulation.UsualSearch : 0,
                    trace: true
                );
                return (Job: by, Found: found, View: Drawing(by, found, f, drawn));
            })
            .ToList();
        var own = arrangements.First(w => w.Job.Policy == job.Policy);
        var zero = PressFloorSimulation.ZeroOverDwellCosts(own.Job, own.Found);
        return new(
            what,
            job.Presses[0].Name,
            job.Pieces,
            drawn,
            [.. arrangements.Select(w => w.View)],
            FloorHelp.Said(FloorHelp.NarrowOf(own.Job, own.Found)),
            ZeroOverDwell: own.Found.OverDwellSum == 0
                ? ""
                : $"not a second too long would cost {Shown.Duration(zero)} in all",
            [
                .. FloorHelp
                    .Changes(own.Job, own.Found)
                    .Append(LineFloor.PreparedBeside(ask, decorations, book))
                    .OfType<FloorChange>()
                    .OrderByDescending(c => c.SecondsInAll)
                    .Select(c => new FloorChangeView(
                        c.What,
                        c.SecondsAPiece,
                        c.SecondsInAll == 0
                            ? $"nothing: {c.Note}"
                            : $"{Shown.Duration(c.SecondsInAll)} in all{(c.Note.Length > 0 ? $"; {c.Note}" : "")}"
                    )),
            ],
            (cold ? $"from cold, {Shown.Duration(heating)} to heat; " : "")
                + (
                    book.Numbers.Floor.HandsFactor == 1
                        ? "starting times, assumed"
                        : $"starting times × {Shown.Number(book.Numbers.Floor.HandsFactor, 2, f)}, your pace"
                )
        );
    }

    private static ArrangementView Drawing(FloorJob job, FloorResult found, FigureFormat f, double drawn)
    {
        List<string> order = [];
        if (job.Passes.Count > 1)
        {
            order.Add(
                found.ByPlacement
                    ? "one placement of all pieces, then the next"
                    : "each piece goes through all its placements"
            );
        }
        if (job.Chain.Any(s => s.Code == "second-press") && job.Policy == FloorPolicy.Stream)
        {
            order.Add(found.Batch ? "second presses at the end, together" : "second presses as pieces are peeled");
        }
        return new(
            job.Policy,
            $"{Shown.Number(found.MakespanSeconds / job.Pieces, 0, f)} s",
            InAll: Shown.Duration(found.MakespanSeconds),
            found.MakespanSeconds,
            $"hands busy {Shown.Number(found.HandsShare * 100, 0, f)}% of the time, press "
                + $"{Shown.Number(found.PressShare * 100, 0, f)}%, {found.LargestRack} on the rack at most",
            TooLong: found.OverDwellSum == 0
                ? "nothing is pressed too long"
                : $"at most {Shown.Number(found.OverDwellLargest, 0, f)} s too long, within the slack",
            string.Join("; ", order),
            [.. found.Trace.Where(e => e.From < drawn)]
        );
    }
}
