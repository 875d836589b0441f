namespace Hepno.Core.PressFloor;

/// <summary>One arrangement of a job.</summary>
/// <param name="Rule">What comes first.</param>
/// <param name="Use">Presses used.</param>
/// <param name="Operators">Hands used.</param>
/// <param name="Genes">By decision: how many possible things are passed over for the next; null for none.</param>
/// <param name="LeaveOut">True for the order made for one piece more, that piece left out.</param>
/// <param name="Ran">The job run so; null before.</param>
internal sealed record Arrangement(
    FloorRule Rule,
    int[] Use,
    int Operators,
    byte[]? Genes = null,
    bool LeaveOut = false,
    FloorRun? Ran = null
)
{
    /// <summary>What it takes, s.</summary>
    public double Makespan => Ran?.Makespan ?? double.PositiveInfinity;

    /// <summary>Runs so many pieces, or null when it cannot finish them.</summary>
    public FloorRun? Run(FloorJob job, FloorChain chain, int pieces, bool trace = false)
    {
        var run = new FloorRun(job, chain, Rule, Use, Operators, pieces + (LeaveOut ? 1 : 0), trace, Genes, LeaveOut);
        return run.Run() ? run : null;
    }
}
