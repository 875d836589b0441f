namespace Hepno.Core.PressFloor;

/// <summary>What a step asks of the floor.</summary>
internal enum StepKind
{
    /// <summary>Hands away from the press.</summary>
    Off,

    /// <summary>Hands at a press.</summary>
    OnPress,

    /// <summary>The platen is closed and nobody is needed.</summary>
    Dwell,

    /// <summary>A press works by itself and nobody need open it in time.</summary>
    PressWait,

    /// <summary>Cooling, or a machine that works by itself.</summary>
    Wait,
}

/// <summary>The steps of a piece laid out for the simulation: which closes, which opens, which ends a hold of the
/// press.</summary>
internal sealed class FloorChain
{
    /// <summary>Part of a step that belongs to no pass: before the first and after the last.</summary>
    public const int Prep = -1;

    private readonly List<WorkStep> _steps = [];
    private readonly List<int> _pass = [];

    public FloorChain(FloorJob job)
    {
        _steps.AddRange(job.Before);
        _pass.AddRange(job.Before.Select(_ => Prep));
        FirstPassStep = new int[job.Passes.Count];
        for (var p = 0; p < job.Passes.Count; p++)
        {
            FirstPassStep[p] = _steps.Count;
            _steps.AddRange(job.Passes[p].Steps);
            _pass.AddRange(job.Passes[p].Steps.Select(_ => p));
            if (job.FirstPiece)
            {
                _steps.Add(new("judge", "Judge the first", FloorJob.JudgeSeconds, true, Press: false));
                _pass.Add(p);
            }
        }
        _steps.AddRange(job.After);
        _pass.AddRange(job.After.Select(_ => Prep));
        var n = _steps.Count;
        Count = n;
        Seconds = [.. _steps.Select(s => s.Seconds)];
        Pass = [.. _pass];
        Judge = [.. _steps.Select(s => s.Code == "judge")];
        Kind = [.. _steps.Select(KindOf)];
        HoldStart = new bool[n];
        HoldEnd = new bool[n];
        Closes = new bool[n];
        Opens = new bool[n];
        Second = new bool[n];
        Temperature = new double[n];
        Slack = new double[n];
        Window = new double[n];
        FromOpening = new double[n];
        ToClose = new double[n];
        KeepsPlace = new bool[n];
        ToRack = new bool[n];
        FromRack = new bool[n];
        for (var i = 0; i < n; i++)
        {
            var pass = job.Passes[Math.Max(0, Pass[i])];
            Temperature[i] = pass.TemperatureF;
            Slack[i] = pass.SlackSeconds;
            Window[i] = double.PositiveInfinity;
            var held = AtPress(i);
            // after lifting off, and for a further decoration, the piece comes to a press anew, be it the same one
            HoldStart[i] =
                held
                && (
                    i == 0
                    || !AtPress(i - 1)
                    || _steps[i - 1].Code == "unload"
                    || (Pass[i] > 0 && i == FirstPassStep[Pass[i]])
                );
            HoldEnd[i] = held && (i == n - 1 || !AtPress(i + 1));
            Closes[i] = i < n - 1 && Kind[i + 1] == StepKind.Dwell;
            Opens[i] = i > 0 && Kind[i - 1] == StepKind.Dwell;
        }
        for (var i = 0; i < n - 1; i++)
        {
            HoldEnd[i] |= HoldStart[i + 1];
        }
        for (var i = n - 2; i >= 0; i--)
        {
            ToClose[i] =
                AtPress(i) && !Closes[i] && AtPress(i + 1) && !HoldStart[i + 1]
                    ? Seconds[i] + ToClose[i + 1]
                    : Seconds[i];
        }
        Cooling(job);
        SecondPresses();
    }

    public int Count { get; }
    public double[] Seconds { get; }
    public int[] Pass { get; }
    public StepKind[] Kind { get; }
    public bool[] Judge { get; }
    public bool[] HoldStart { get; }
    public bool[] HoldEnd { get; }
    public bool[] Closes { get; }
    public bool[] Opens { get; }

    /// <summary>First step of a hold for a second press.</summary>
    public bool[] Second { get; }
    public double[] Temperature { get; }
    public double[] Slack { get; }

    /// <summary>How long after it may begin a peel must have begun, s; endless when it need not.</summary>
    public double[] Window { get; }

    /// <summary>For a step after cooling: seconds from the opening until it may begin; 0 elsewhere.</summary>
    public double[] FromOpening { get; }

    /// <summary>Hands from here until the platen is closed, s.</summary>
    public double[] ToClose { get; }

    /// <summary>Closings after which the piece must be on the rack at once, its peel window being shorter than lifting
    /// it off: its place is kept from then on.</summary>
    public bool[] KeepsPlace { get; }

    /// <summary>Steps that put a piece on the rack.</summary>
    public bool[] ToRack { get; }

    /// <summary>Steps that take it off the rack.</summary>
    public bool[] FromRack { get; }
    public int[] FirstPassStep { get; }

    public static bool IsDwell(WorkStep s) => s is { Hands: false, Press: true, ByItself: false };

    public WorkStep Step(int i) => _steps[i];

    private static StepKind KindOf(WorkStep s)
    {
        if (IsDwell(s))
        {
            return StepKind.Dwell;
        }
        if (s.Hands)
        {
            return s.Press ? StepKind.OnPress : StepKind.Off;
        }
        return s.Press ? StepKind.PressWait : StepKind.Wait;
    }

    private bool AtPress(int i) => Kind[i] is StepKind.OnPress or StepKind.Dwell or StepKind.PressWait;

    // cooling starts when the press opens: unloading is part of it, and so is waiting to be unloaded
    private void Cooling(FloorJob job)
    {
        for (var i = 1; i < Count; i++)
        {
            if (Opens[i] && i + 1 < Count && _steps[i + 1].Code == "peel" && AtPress(i + 1))
            {
                Window[i + 1] = job.Passes[Math.Max(0, Pass[i])].PeelWindowSeconds ?? double.PositiveInfinity;
            }
            if (Kind[i] != StepKind.Wait || _steps[i].ByItself || i == Count - 1)
            {
                continue;
            }
            var open = i - 1;
            while (open > 0 && !Opens[open] && !HoldStart[open])
            {
                open--;
            }
            if (Opens[open])
            {
                FromOpening[i + 1] = Seconds[(open + 1)..(i + 1)].Sum();
                Window[i + 1] = job.Passes[Math.Max(0, Pass[i])].PeelWindowSeconds ?? double.PositiveInfinity;
                ToRack[i - 1] = HoldEnd[i - 1];
                FromRack[i + 1] = HoldEnd[i - 1];
                KeepsPlace[open - 2] = HoldEnd[i - 1] && Window[i + 1] < Seconds[i - 1];
            }
        }
    }

    private void SecondPresses()
    {
        var start = -1;
        for (var i = 0; i < Count; i++)
        {
            start = HoldStart[i] ? i : start;
            if (_steps[i].Code == "second-press" && start >= 0)
            {
                Second[start] = true;
            }
        }
    }
}
