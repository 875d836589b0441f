namespace Hepno.Core.PressFloor;

/// <summary>What free hands can do, and what they do first.</summary>
internal sealed partial class FloorRun
{
    // what is possible now, in the order of the rule
    private readonly Choice[] _choices;
    private int _able;

    private bool Assign()
    {
        var o = -1;
        for (var i = 0; i < _operators; i++)
        {
            if (_freeAt[i] <= _now + Eps)
            {
                o = i;
                break;
            }
        }
        if (o < 0)
        {
            return false;
        }
        Gather();
        var skip = _genes is not null && _decision < _genes.Length ? _genes[_decision] : 0;
        if (_genes is not null && _decision == _genes.Length - 1)
        {
            PossibleAtLast = Possible(o);
        }
        var passed = false;
        for (var i = 0; i < _able; i++)
        {
            ref var choice = ref _choices[i];
            if (!Allowed(choice, o))
            {
                continue;
            }
            if (skip > 0)
            {
                skip--;
                passed = true;
                continue;
            }
            _decision++;
            Start(choice, o);
            return true;
        }
        // the search chose to wait
        _decision += passed ? 1 : 0;
        return false;
    }

    private int Possible(int o)
    {
        var count = 0;
        for (var i = 0; i < _able; i++)
        {
            count += Allowed(_choices[i], o) ? 1 : 0;
        }
        return count;
    }

    // first what the rule ranks first; equal ranks by how near the closing is or how long it waits, then the later step
    private void Add(Choice choice)
    {
        var place = _able++;
        while (place > 0 && Before(choice, _choices[place - 1]))
        {
            _choices[place] = _choices[place - 1];
            place--;
        }
        _choices[place] = choice;
    }

    private static bool Before(in Choice a, in Choice b)
    {
        if (a.Rank != b.Rank)
        {
            return a.Rank < b.Rank;
        }
        if (a.Tie != b.Tie)
        {
            return a.Tie < b.Tie;
        }
        return a.Step != b.Step ? a.Step > b.Step : a.Slot < b.Slot;
    }

    private void Gather()
    {
        _able = 0;
        for (var s = 0; s < _slots.Length; s++)
        {
            ref var slot = ref _slots[s];
            if (slot.Piece < 0 || slot.Busy || slot.ReadyAt > _now + Eps || _chain.Kind[slot.Step] != StepKind.OnPress)
            {
                continue;
            }
            var step = slot.Step;
            var head = _heads[slot.Head];
            if (_chain.Closes[step] && (head.Closed || head.HeatReadyAt > _now + Eps))
            {
                continue;
            }
            if (
                (_chain.ToRack[step] && _onRack >= _job.RackPlaces)
                || (_chain.KeepsPlace[step] && _onRack + _kept >= _job.RackPlaces)
            )
            {
                continue;
            }
            var urgent =
                _chain.Opens[step] || !double.IsPositiveInfinity(_chain.Window[step]) || Awaited(step, slot.Head);
            Add(
                new(urgent ? -1 : Rule.OnPress, Rule.Nearest ? _chain.ToClose[step] : slot.ReadyAt, step, s, slot.Piece)
            );
        }
        foreach (var i in _queued)
        {
            if (_from[i] == _to[i] || _readyAt[i][_from[i]] > _now + Eps)
            {
                continue;
            }
            var piece = _waiting[i][_from[i]];
            if (!Open(i, piece))
            {
                continue;
            }
            if (!_chain.HoldStart[i])
            {
                var rule = _chain.FromOpening[i] > 0 ? Rule.Peel : Rule.Off;
                var atOnce = rule == Rule.Peel && !double.IsPositiveInfinity(_chain.Window[i]);
                Add(new(atOnce ? -1 : rule, _readyAt[i][_from[i]], i, Slot: -1, piece));
                continue;
            }
            var press = FreeSlot(_chain.Temperature[i]);
            if (press >= 0 && !(Rule.Patient && !_chain.Second[i] && LastFree(press) && SecondSoon()))
            {
                Add(new(_chain.Second[i] ? Rule.Second : Rule.Load, _readyAt[i][_from[i]], i, Slot: press, piece));
            }
        }
    }

    // whether a piece may go on to a step at all: the order of placements, the batch, the first piece, the limit of
    // what is in work
    private bool Open(int step, int piece)
    {
        if (step == _entry)
        {
            if (_begun - _through >= (_job.Policy == FloorPolicy.OneAtATime ? 1 : _job.MaxInWork ?? int.MaxValue))
            {
                return false;
            }
            if (_job.FirstPiece && piece > 0 && _judged < (Rule.ByPlacement ? 1 : _job.Passes.Count))
            {
                return false;
            }
        }
        var pass = _chain.Pass[step];
        if (Rule.ByPlacement && pass > 0 && step == _chain.FirstPassStep[pass])
        {
            if (_to[step] < _pieces || (_job.FirstPiece && piece > 0 && _judged <= pass))
            {
                return false;
            }
        }
        return !(Rule.Batch && _chain.Second[step]) || (_job.FirstPiece && piece == 0) || _to[step] == _pieces;
    }

    private int FreeSlot(double temperatureF)
    {
        var best = -1;
        var bestCost = double.PositiveInfinity;
        for (var s = 0; s < _slots.Length; s++)
        {
            if (_slots[s].Piece >= 0)
            {
                continue;
            }
            var head = _heads[_slots[s].Head];
            var change = Change(_slots[s].Head, temperatureF);
            // the other lower of the press holds a piece of another heat
            if (change > 0 && Beside(s))
            {
                continue;
            }
            var cost = change + (head.Closed ? 1e-3 : 0);
            if (cost < bestCost - Eps)
            {
                (best, bestCost) = (s, cost);
            }
        }
        return best;
    }

    private bool LastFree(int slot)
    {
        for (var s = 0; s < _slots.Length; s++)
        {
            if (s != slot && _slots[s].Piece < 0)
            {
                return false;
            }
        }
        return true;
    }

    private bool SecondSoon()
    {
        foreach (var i in _queued)
        {
            if (
                _chain.FromOpening[i] > 0
                && i + 1 < _chain.Count
                && _chain.Second[i + 1]
                && _from[i] < _to[i]
                && _readyAt[i][_from[i]] <= _now + WorkSteps.ShortWaitSeconds
            )
            {
                return true;
            }
        }
        return false;
    }

    private bool Beside(int slot)
    {
        for (var s = 0; s < _slots.Length; s++)
        {
            if (s != slot && _slots[s].Head == _slots[slot].Head && _slots[s].Piece >= 0)
            {
                return true;
            }
        }
        return false;
    }

    private double Change(int head, double toF)
    {
        var press = _job.Presses[_use[head]];
        var from = _heads[head].AtF;
        return toF > from ? (toF - from) / press.RiseFPerMinute * 60 : (from - toF) / press.DropFPerMinute * 60;
    }

    private readonly record struct Choice(int Rank, double Tie, int Step, int Slot, int Piece);
}
