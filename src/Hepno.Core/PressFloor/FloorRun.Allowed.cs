namespace Hepno.Core.PressFloor;

/// <summary>What may be begun: nothing that would carry a closed press past its slack or a hot piece past its peel
/// window.</summary>
internal sealed partial class FloorRun
{
    // openings and peels that are due while a choice is weighed
    private Due[] _due = new Due[16];
    private int _dues;

    // when each pair of hands is free in what is tried
    private readonly double[] _scratch;

    // a press that must be closed later for another's opening: when it may be looked at again
    private double _wake = double.PositiveInfinity;
    private double _wakeAt;

    // would every other opening and peel that is due still find free hands in time?
    private bool Allowed(in Choice choice, int o)
    {
        var done = _now + _chain.Seconds[choice.Step];
        if (!_windows && _closed == 0 && !_chain.Closes[choice.Step])
        {
            return true;
        }
        _dues = 0;
        for (var s = 0; s < _slots.Length; s++)
        {
            ref readonly var slot = ref _slots[s];
            if (slot.Piece >= 0 && s != choice.Slot)
            {
                AddDue(slot);
            }
        }
        foreach (var i in _windowed)
        {
            for (var w = _from[i] + (choice.Slot < 0 && choice.Step == i ? 1 : 0); w < _to[i]; w++)
            {
                Expect(
                    new(
                        _readyAt[i][w],
                        Latest: _opened[_waiting[i][w]] + _chain.FromOpening[i] + _chain.Window[i],
                        _chain.Seconds[i]
                    )
                );
            }
        }
        _wakeAt = double.PositiveInfinity;
        if (_chain.Opens[choice.Step])
        {
            AddPeel(choice.Step + 1, done);
        }
        else if (_chain.Closes[choice.Step])
        {
            Later(
                done
                    + _chain.Seconds[choice.Step + 1]
                    + (
                        (OpensItself(_slots[choice.Slot].Head) && !Rule.AwaitsOpen) || Rule.Punctual
                            ? 0
                            : _chain.Slack[choice.Step + 1]
                    )
            );
            AddDwell(choice.Step + 1, done + _chain.Seconds[choice.Step + 1], _slots[choice.Slot].Head);
        }
        if (_dues == 0)
        {
            return true;
        }
        for (var i = 0; i < _operators; i++)
        {
            _scratch[i] = i == o ? done : Math.Max(_now, _freeAt[i]);
        }
        for (var d = 0; d < _dues; d++)
        {
            ref readonly var due = ref _due[d];
            var free = 0;
            for (var i = 1; i < _operators; i++)
            {
                free = _scratch[i] < _scratch[free] ? i : free;
            }
            var start = Math.Max(_scratch[free], due.Ready);
            if (start > due.Latest + Eps)
            {
                _wake = Math.Min(_wake, _wakeAt);
                return false;
            }
            _scratch[free] = start + due.Seconds;
        }
        return true;
    }

    // the most pressing first
    private void Expect(in Due due)
    {
        if (_dues == _due.Length)
        {
            Array.Resize(ref _due, 2 * _dues);
        }
        var place = _dues++;
        while (
            place > 0
            && (
                due.Latest < _due[place - 1].Latest
                || (due.Latest == _due[place - 1].Latest && due.Ready < _due[place - 1].Ready)
            )
        )
        {
            _due[place] = _due[place - 1];
            place--;
        }
        _due[place] = due;
    }

    // two presses would come due together: the second is closed just so much later that its opening can come after the
    // other's
    private void Later(double latest)
    {
        for (var i = 0; i < _dues; i++)
        {
            var wake = _now + _due[i].Ready + _due[i].Seconds - latest;
            _wakeAt = wake > _now + Eps && wake < _wakeAt ? wake : _wakeAt;
        }
    }

    private void AddDue(in Slot slot)
    {
        var step = slot.Step;
        if (_chain.Kind[step] == StepKind.Dwell)
        {
            AddDwell(step, slot.ReadyAt, slot.Head);
        }
        else if (slot.Busy && _chain.Closes[step])
        {
            AddDwell(step + 1, slot.ReadyAt + _chain.Seconds[step + 1], slot.Head);
        }
        else if (slot.Busy && _chain.Opens[step])
        {
            AddPeel(step + 1, slot.ReadyAt);
        }
        else if (!slot.Busy && _chain.Opens[step])
        {
            AddDwell(step - 1, slot.ReadyAt, slot.Head);
        }
        else if (!slot.Busy && Awaited(step, slot.Head))
        {
            AddAwaited(step, slot.ReadyAt);
        }
        else if (!slot.Busy && !double.IsPositiveInfinity(_chain.Window[step]))
        {
            Expect(new(slot.ReadyAt, Latest: slot.ReadyAt + _chain.Window[step], _chain.Seconds[step]));
        }
        else
        {
            // opened and lifted off or waiting to be: its warm peel is still to come
            AddWarm(step, _opened[slot.Piece]);
        }
    }

    private void AddDwell(int dwell, double ends, int head)
    {
        if (Awaited(dwell + 2, head))
        {
            AddAwaited(dwell + 2, ends);
        }
        else if (OpensItself(head))
        {
            AddPeel(dwell + 2, ends);
        }
        else
        {
            AddOpening(dwell, ends);
        }
    }

    // what hands do at a press that has opened by itself; a peel in its window is due by that alone
    private bool Awaited(int step, int head) =>
        Rule.AwaitsOpen
        && OpensItself(head)
        && step < _chain.Count
        && step > 1
        && _chain.Opens[step - 1]
        && _chain.Kind[step] == StepKind.OnPress
        && double.IsPositiveInfinity(_chain.Window[step]);

    private void AddAwaited(int step, double opened)
    {
        Expect(new(opened, Latest: opened + (Rule.Punctual ? 0 : _chain.Slack[step]), _chain.Seconds[step]));
        AddWarm(step, opened);
    }

    private void AddOpening(int dwell, double ends)
    {
        var open = dwell + 1;
        Expect(new(ends, Latest: ends + (Rule.Punctual ? 0 : _chain.Slack[dwell]), _chain.Seconds[open]));
        AddPeel(open + 1, ends + _chain.Seconds[open]);
    }

    // what must be peeled soon after it opened keeps hands bound
    private void AddPeel(int step, double opened)
    {
        if (step < _chain.Count && !double.IsPositiveInfinity(_chain.Window[step]))
        {
            var ready = opened + _chain.FromOpening[step];
            Expect(new(ready, ready + _chain.Window[step], Seconds: _chain.Seconds[step]));
            return;
        }
        AddWarm(step, opened);
    }

    // warm: lifted off first, then peeled from the rack; both must find hands
    private void AddWarm(int step, double opened)
    {
        var lifting = 0.0;
        for (
            var i = step;
            i < _chain.Count && _chain.Kind[i] != StepKind.Dwell && (i == step || !_chain.HoldStart[i]);
            i++
        )
        {
            if (_chain.FromOpening[i] > 0)
            {
                if (!double.IsPositiveInfinity(_chain.Window[i]))
                {
                    // done in one go, begun no later than leaves time to lift off; where the window is narrower than
                    // that, begun before it opens
                    var latest = opened + _chain.FromOpening[i] + _chain.Window[i] - lifting;
                    Expect(new(Math.Min(opened + _chain.FromOpening[i], latest), latest, lifting + _chain.Seconds[i]));
                }
                return;
            }
            lifting += _chain.Kind[i] == StepKind.OnPress ? _chain.Seconds[i] : 0;
        }
    }

    private readonly record struct Due(double Ready, double Latest, double Seconds);
}
