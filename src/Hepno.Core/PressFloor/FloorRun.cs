namespace Hepno.Core.PressFloor;

/// <summary>
/// One run of pieces over the floor under one rule: from event to event, hands that are free take the first thing that
/// waits, if it can be done without
/// carrying a closed press past its slack or a hot piece past its peel window (docs/trade 6). Exact and reproducible:
/// nothing is drawn.
/// </summary>
internal sealed partial class FloorRun
{
    private const double Eps = 1e-9;
    private readonly FloorJob _job;
    private readonly FloorChain _chain;
    private readonly FloorRule _own;
    private readonly IReadOnlyList<int> _use;
    private readonly int _operators;
    private readonly int _pieces;

    // pieces that wait for a step away from a press, or to come to one: by step, first ready first
    private readonly int[][] _waiting;
    private readonly double[][] _readyAt;
    private readonly double[] _opened;
    private readonly int[] _from;
    private readonly int[] _to;
    private readonly int[] _queued;
    private readonly int[] _windowed;
    private readonly int _entry;
    private readonly bool _windows;
    private readonly int _real;
    private readonly int[] _passBegun;
    private readonly Slot[] _slots;
    private readonly Head[] _heads;
    private readonly double[] _freeAt;
    private readonly double[] _workedUntil;
    private readonly List<FloorEvent>? _trace;
    private readonly byte[]? _genes;
    private double _now;
    private int _begun;
    private int _finished;
    private int _through;
    private int _onRack;
    private int _kept;
    private int _judged;
    private double _finishSum;
    private int _closed;
    private int _decision;

    // what the genes say is counted in one order, whichever rule finishes
    private FloorRule Rule => _genes is not null && _decision < _genes.Length ? FloorRule.Lead : _own;

    /// <summary>Prepares a run.</summary>
    /// <param name="job">The job.</param>
    /// <param name="chain">Its steps laid out.</param>
    /// <param name="rule">What comes first.</param>
    /// <param name="use">Which of its presses are used.</param>
    /// <param name="operators">How many of its hands are used.</param>
    /// <param name="pieces">How many pieces.</param>
    /// <param name="trace">True to keep every event.</param>
    /// <param name="leaveOut">True to leave the last piece out of all that is counted: what the others take in an order
    /// made for one more.</param>
    /// <param name="genes">By decision: how many possible things are passed over for the next; null for none.</param>
    public FloorRun(
        FloorJob job,
        FloorChain chain,
        FloorRule rule,
        IReadOnlyList<int> use,
        int operators,
        int pieces,
        bool trace,
        byte[]? genes = null,
        bool leaveOut = false
    )
    {
        (_job, _chain, _own, _use, _operators, _pieces, _genes) = (job, chain, rule, use, operators, pieces, genes);
        _waiting = new int[chain.Count][];
        _readyAt = new double[chain.Count][];
        _from = new int[chain.Count];
        _to = new int[chain.Count];
        _opened = new double[pieces];
        for (var i = 0; i < chain.Count; i++)
        {
            if (chain.HoldStart[i] || chain.Kind[i] == StepKind.Off)
            {
                _waiting[i] = new int[pieces];
                _readyAt[i] = new double[pieces];
            }
        }
        _queued = [.. Enumerable.Range(0, chain.Count).Where(i => _waiting[i] is not null)];
        _windowed = [.. _queued.Where(i => chain.FromOpening[i] > 0 && !double.IsPositiveInfinity(chain.Window[i]))];
        _entry = _queued[0];
        _windows = chain.Window.Any(w => !double.IsPositiveInfinity(w));
        _real = pieces - (leaveOut ? 1 : 0);
        _passBegun = new int[job.Passes.Count];
        _heads =
        [
            .. use.Select(p => new Head { AtF = job.Presses[p].AtF ?? chain.Temperature[chain.FirstPassStep[0]] }),
        ];
        _slots =
        [
            .. use.SelectMany(
                (p, head) =>
                    Enumerable
                        .Range(0, job.Presses[p].LoadsBeside ? 2 : 1)
                        .Select(_ => new Slot { Head = head, Piece = -1 })
            ),
        ];
        _choices = new Choice[chain.Count + _slots.Length];
        _freeAt = new double[operators];
        _workedUntil = new double[operators];
        _scratch = new double[operators];
        _trace = trace ? [] : null;
        HandsByPart = new double[job.Passes.Count + 1];
        HandsOnByPart = new double[job.Passes.Count + 1];
        HeldByPart = new double[job.Passes.Count + 1];
    }

    public double Makespan { get; private set; }
    public double OverDwellLargest { get; private set; }
    public double OverDwellSum { get; private set; }
    public int LargestRack { get; private set; }

    /// <summary>Attended seconds by part: the passes, then what belongs to none.</summary>
    public double[] HandsByPart { get; }

    /// <summary>Press-held seconds by part.</summary>
    public double[] HeldByPart { get; }

    /// <summary>Hands busy by part, s.</summary>
    public double[] HandsOnByPart { get; }

    /// <summary>When a piece is through, the mean of all, s.</summary>
    public double MeanFinish => _finishSum / _real;

    /// <summary>True when a further placement was begun before every piece had the one before.</summary>
    public bool PlacementsMixed { get; private set; }

    /// <summary>True when a second press was begun before every piece had its first.</summary>
    public bool SecondsMixed { get; private set; }

    /// <summary>How many things were possible at the last of the genes' decisions.</summary>
    public int PossibleAtLast { get; private set; }
    public IReadOnlyList<FloorEvent> Trace => _trace ?? [];

    /// <summary>Choices made: a search tries others at some of them.</summary>
    public int Decisions => _decision;

    /// <summary>Runs to the end; false when the rule cannot finish without breaking a limit.</summary>
    public bool Run()
    {
        Admit();
        while (_finished < _real)
        {
            do
            {
                while (Assign()) { }
            } while (Advance());
            if (_finished == _real)
            {
                break;
            }
            var next = NextEvent();
            if (double.IsPositiveInfinity(next))
            {
                return false;
            }
            _now = next;
            Advance();
        }
        return true;
    }

    // pieces not begun wait at the first step that wants hands; a machine's work before it is under way for all
    private void Admit()
    {
        var ready = _chain.Seconds[.._entry].Sum();
        for (var i = 0; i < _pieces; i++)
        {
            (_waiting[_entry][i], _readyAt[_entry][i]) = (i, ready);
        }
        _to[_entry] = _pieces;
    }

    private bool OpensItself(int head) => _job.Presses[_use[head]].OpensItself;

    private void Start(in Choice choice, int o)
    {
        var (step, piece) = (choice.Step, choice.Piece);
        if (choice.Slot < 0 || _chain.HoldStart[step])
        {
            Mixing(step, piece);
            _from[step]++;
            _begun += step == _entry ? 1 : 0;
        }
        var from = _now;
        var until = from + _chain.Seconds[step];
        var part = _chain.Pass[step] < 0 ? HandsByPart.Length - 1 : _chain.Pass[step];
        if (choice.Slot >= 0)
        {
            ref var slot = ref _slots[choice.Slot];
            ref var head = ref _heads[slot.Head];
            if (_chain.HoldStart[step])
            {
                slot.Piece = piece;
                slot.Step = step;
                slot.HeldFrom = from;
                var change = Change(slot.Head, _chain.Temperature[step]);
                if (change > 0)
                {
                    head.HeatReadyAt = Math.Max(head.HeatReadyAt, from) + change;
                    head.AtF = _chain.Temperature[step];
                    _trace?.Add(new("press", _use[slot.Head], piece, "heat", "Change the heat", from, from + change));
                }
            }
            slot.Busy = true;
            slot.ReadyAt = until;
            if (_chain.Closes[step])
            {
                head.Closed = true;
                _closed++;
            }
            _kept += _chain.KeepsPlace[step] ? 1 : 0;
            if (_chain.Opens[step] && piece < _real)
            {
                var over = from - slot.DueAt;
                OverDwellLargest = Math.Max(OverDwellLargest, over);
                OverDwellSum += over;
            }
            if (_chain.ToRack[step])
            {
                _onRack++;
                _kept -= _chain.Window[step + 2] < _chain.Seconds[step] ? 1 : 0;
                LargestRack = Math.Max(LargestRack, _onRack);
            }
            Note("press", _use[slot.Head], piece, step, from, until);
        }
        else if (_chain.FromRack[step])
        {
            _onRack--;
            if (piece < _real)
            {
                _trace?.Add(new("rack", 0, piece, "cool", "Cool on the rack", _opened[piece], from));
            }
        }
        // a short wait in which nothing else could be done is attended
        var idle = from - _workedUntil[o];
        _freeAt[o] = until;
        if (piece < _real)
        {
            HandsByPart[part] += until - from + (idle < WorkSteps.ShortWaitSeconds ? idle : 0);
            HandsOnByPart[part] += until - from;
            _workedUntil[o] = until;
        }
        Note("hands", o, piece, step, from, until);
        if (choice.Slot < 0)
        {
            Passed(piece, step, until);
        }
    }

    private void Note(string lane, int index, int piece, int step, double from, double until)
    {
        if (piece < _real)
        {
            _trace?.Add(new(lane, index, piece, _chain.Step(step).Code, _chain.Step(step).Label, from, until));
        }
    }

    // told from what happens: a rule that leaves it open may well do one placement after the other
    private void Mixing(int step, int piece)
    {
        var pass = Math.Max(0, _chain.Pass[step]);
        var first = step == (pass == 0 ? _entry : _chain.FirstPassStep[pass]);
        if (!(_job.FirstPiece && piece == 0))
        {
            PlacementsMixed |= first && pass > 0 && _passBegun[pass - 1] < _pieces;
            SecondsMixed |= _chain.Second[step] && _passBegun[pass] < _pieces;
        }
        _passBegun[pass] += first ? 1 : 0;
    }

    // the piece goes on to what follows a step away from the press, or waits for it
    private void Passed(int piece, int step, double at)
    {
        _judged += _chain.Judge[step] ? 1 : 0;
        var next = step + 1;
        while (true)
        {
            if (next == _chain.Count)
            {
                _through++;
                if (piece < _real)
                {
                    _finished++;
                    _finishSum += at;
                    Makespan = Math.Max(Makespan, at);
                }
                return;
            }
            if (_chain.Judge[next] && piece > 0)
            {
                next++;
                continue;
            }
            if (_chain.Kind[next] != StepKind.Wait)
            {
                break;
            }
            var cooled = next + 1 < _chain.Count && _chain.FromOpening[next + 1] > 0;
            at = cooled ? Math.Max(at, _opened[piece] + _chain.FromOpening[next + 1]) : at + _chain.Seconds[next];
            next++;
        }
        var (pieces, ready) = (_waiting[next], _readyAt[next]);
        var place = _to[next]++;
        while (place > _from[next] && ready[place - 1] > at + Eps)
        {
            (pieces[place], ready[place]) = (pieces[place - 1], ready[place - 1]);
            place--;
        }
        (pieces[place], ready[place]) = (piece, at);
    }

    private double NextEvent()
    {
        var next = _wake;
        _wake = double.PositiveInfinity;
        foreach (var at in _freeAt)
        {
            next = at > _now + Eps && at < next ? at : next;
        }
        foreach (ref readonly var slot in _slots.AsSpan())
        {
            next = slot.Piece >= 0 && slot.ReadyAt > _now + Eps && slot.ReadyAt < next ? slot.ReadyAt : next;
        }
        foreach (var head in _heads)
        {
            next = head.HeatReadyAt > _now + Eps && head.HeatReadyAt < next ? head.HeatReadyAt : next;
        }
        foreach (var i in _queued)
        {
            if (_from[i] == _to[i])
            {
                continue;
            }
            var at = _readyAt[i][_from[i]];
            next = at > _now + Eps && at < next ? at : next;
        }
        return next;
    }

    // what is over by now: steps at presses, dwells; true where something was, as after a step that takes no time
    private bool Advance()
    {
        var moved = false;
        for (var s = 0; s < _slots.Length; s++)
        {
            ref var slot = ref _slots[s];
            while (
                slot.Piece >= 0
                && slot.ReadyAt <= _now + Eps
                && (slot.Busy || _chain.Kind[slot.Step] is StepKind.Dwell or StepKind.PressWait)
            )
            {
                moved = true;
                if (!StepOver(ref slot))
                {
                    break;
                }
            }
        }
        return moved;
    }

    // false when the slot waits for hands
    private bool StepOver(ref Slot slot)
    {
        var step = slot.Step;
        var at = slot.ReadyAt;
        if (_chain.Kind[step] == StepKind.Dwell && !slot.Busy)
        {
            slot.DueAt = at;
            if (!OpensItself(slot.Head))
            {
                slot.Step++;
                return false;
            }
            // it opens by itself: the opening takes nobody and no time
            slot.Step++;
            Opened(ref slot, at);
            step = slot.Step;
        }
        else if (_chain.Opens[step])
        {
            Opened(ref slot, at);
        }
        slot.Busy = false;
        var part = _chain.Pass[step] < 0 ? HeldByPart.Length - 1 : _chain.Pass[step];
        // laid on beside the heat, a piece holds the press only while the platen is down
        if (
            slot.Piece < _real
            && (
                !_job.Presses[_use[slot.Head]].LoadsBeside
                || _chain.Closes[step]
                || _chain.Opens[step]
                || _chain.Kind[step] is StepKind.Dwell or StepKind.PressWait
            )
        )
        {
            HeldByPart[part] += at - slot.HeldFrom;
        }
        slot.HeldFrom = at;
        if (_chain.HoldEnd[step])
        {
            var piece = slot.Piece;
            slot.Piece = -1;
            Passed(piece, step, at);
            return false;
        }
        slot.Step++;
        var kind = _chain.Kind[slot.Step];
        if (kind is StepKind.Dwell or StepKind.PressWait)
        {
            slot.ReadyAt = at + _chain.Seconds[slot.Step];
            Note("press", _use[slot.Head], slot.Piece, slot.Step, at, slot.ReadyAt);
            return slot.ReadyAt <= _now + Eps;
        }
        slot.ReadyAt = at;
        return false;
    }

    private void Opened(ref Slot slot, double at)
    {
        _heads[slot.Head].Closed = false;
        _closed--;
        _opened[slot.Piece] = at;
    }

    private struct Slot
    {
        public int Head;
        public int Piece;
        public int Step;
        public bool Busy;
        public double ReadyAt;
        public double DueAt;
        public double HeldFrom;
    }

    private struct Head
    {
        public bool Closed;
        public double AtF;
        public double HeatReadyAt;
    }
}
