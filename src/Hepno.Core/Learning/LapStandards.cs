using Hepno.Core.PressFloor;
using Hepno.Core.Runs;

namespace Hepno.Core.Learning;

/// <summary>What the laps of a pass should take by the standards: the steps of the piece, parted where the platen
/// closes and opens.</summary>
public static class LapStandards
{
    /// <summary>Seconds by lap; a wait in which the operator does something else counts nowhere.</summary>
    /// <param name="steps">The pass's steps in order, those before the first and after the last decoration with
    /// it.</param>
    public static IReadOnlyDictionary<string, double> Seconds(IReadOnlyList<WorkStep> steps)
    {
        var last = steps.ToList().FindLastIndex(s => s.Code == "press");
        var again = steps.ToList().FindLastIndex(s => s.Code == "second-press");
        var laps = new Dictionary<string, double>();
        for (var i = 0; i < steps.Count; i++)
        {
            // close and open stand before and after every press
            string lap;
            if (Math.Abs(i - last) <= 1)
            {
                lap = StepLap.Press;
            }
            else if (again >= 0 && Math.Abs(i - again) <= 1)
            {
                lap = StepLap.Again;
            }
            else if (i < last)
            {
                lap = StepLap.Lay;
            }
            else
            {
                lap = StepLap.Peel;
            }

            laps[lap] =
                laps.GetValueOrDefault(lap)
                + (lap is StepLap.Press or StepLap.Again ? steps[i].Seconds : WorkSteps.Attended([steps[i]]));
        }
        return laps;
    }
}
