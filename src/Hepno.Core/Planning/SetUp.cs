using Hepno.Core.Recipes;

namespace Hepno.Core.Planning;

/// <summary>What hands take to make a press ready for another batch.</summary>
/// <param name="SwapMinutes">Change the lower platen.</param>
/// <param name="DialMinutes">Set the dial.</param>
/// <param name="WhileHeating">True when this is done while the press heats, false when one waits for the other.</param>
public sealed record SetUpTimes(double SwapMinutes = 3, double DialMinutes = 2, bool WhileHeating = true);

/// <summary>One pass of a batch as the press must stand for it.</summary>
/// <param name="WidthIn">Width of the print, in.</param>
/// <param name="HeightIn">Height of the print, in.</param>
/// <param name="OpeningIn">Width of the part that goes over the lower platen, in; null where the whole garment
/// does.</param>
/// <param name="Pressure">light, medium, firm or heavy.</param>
public sealed record PressPass(double WidthIn, double HeightIn, double? OpeningIn, string Pressure);

/// <summary>Making a press ready between two batches (docs/trade 11): the larger of heat and hands, or their
/// sum.</summary>
/// <param name="HeatMinutes">The platen's heat rises or falls.</param>
/// <param name="HandsMinutes">Lower platen and dial; these need an operator.</param>
/// <param name="TotalMinutes">From the last piece before to the first piece after.</param>
public sealed record SetUp(double HeatMinutes, double HandsMinutes, double TotalMinutes)
{
    /// <summary>Between two batches on a press; before the first of a day the press is cold and its own platen is
    /// on.</summary>
    /// <param name="press">The press.</param>
    /// <param name="before">The batch before on that day, or null for none.</param>
    /// <param name="work">The batch to come.</param>
    /// <param name="times">What hands take.</param>
    public static SetUp Between(Press press, PressWork? before, PressWork work, SetUpTimes times)
    {
        if (press.IsBench())
        {
            return new(0, HandsMinutes: 0, 0);
        }
        if (
            before is not null
            && before.OrderId == work.OrderId
            && before.LineId == work.LineId
            && before.Code == work.Code
        )
        {
            return new(0, HandsMinutes: 0, 0);
        }
        var heat = press.HeatMinutes(before?.TemperatureF, work.TemperatureF);
        var swapped = Lowers(press, work)[0] != (before is null ? "" : Lowers(press, before)[^1]);
        var dialled =
            swapped
            || before is null
            || before.TemperatureF != work.TemperatureF
            || Pressures(before)[^1] != Pressures(work)[0];
        var hands = (swapped ? times.SwapMinutes : 0) + (dialled ? times.DialMinutes : 0);
        return new(heat, HandsMinutes: hands, times.WhileHeating ? Math.Max(heat, hands) : heat + hands);
    }

    /// <summary>Minutes a piece of a batch takes on a press, the platens changed between its passes shared
    /// in.</summary>
    public static double MinutesPerPiece(Press press, PressWork work, SetUpTimes times) =>
        work.MinutesPerPiece
        + (Swaps(press, work) * (times.SwapMinutes + times.DialMinutes) / Math.Max(1, work.Pieces));

    /// <summary>How often the lower platen is changed between a batch's passes.</summary>
    public static int Swaps(Press press, PressWork work)
    {
        var lowers = Lowers(press, work);
        return Enumerable.Range(1, lowers.Count - 1).Count(i => lowers[i] != lowers[i - 1]);
    }

    /// <summary>The lower platen of each pass; empty for the press's own.</summary>
    public static IReadOnlyList<string> Lowers(Press press, PressWork work) =>
        work.Passes is { Count: > 0 } passes
            ? [.. passes.Select(p => press.LowerFor(p.WidthIn, p.HeightIn, p.OpeningIn)?.Name ?? "")]
            : [""];

    private static IReadOnlyList<string> Pressures(PressWork work) =>
        work.Passes is { Count: > 0 } passes ? [.. passes.Select(p => p.Pressure)] : [""];
}
