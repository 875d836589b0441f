namespace Hepno.Core.Gang;

/// <summary>
/// Fills a strip from its beginning: always the lowest notch of the skyline, with the box that fits it best (same width
/// as the notch, flush with a neighbour), of several the first in
/// a given order, the way round it prefers. What a search varies is the order and the preference. Boxes already have
/// the gap on two sides.
/// </summary>
internal sealed class Skyline
{
    private const double Eps = 1e-7;
    private const int Flush = 5;
    private readonly double _width;
    private double _ceiling;
    private int _at;

    // what is left in the order: runs of equal boxes that prefer the same way round, each from where to how many
    private readonly int[] _left;
    private readonly int[] _many;
    private readonly Box[] _boxes;
    private int _runs;

    // the skyline as notches from left to right
    private readonly double[] _x;
    private readonly double[] _y;
    private readonly double[] _w;
    private int _notches;

    /// <param name="width">Width of the strip.</param>
    /// <param name="boxes">What is laid; equal ones share a kind.</param>
    public Skyline(double width, Box[] boxes)
    {
        (_width, _boxes) = (width, boxes);
        _left = new int[boxes.Length];
        _many = new int[boxes.Length];
        _x = new double[boxes.Length + 2];
        _y = new double[boxes.Length + 2];
        _w = new double[boxes.Length + 2];
        At = new Spot[boxes.Length];
    }

    /// <summary>Where each box came to lie.</summary>
    public Spot[] At { get; }

    /// <summary>Length used on the last sheet begun by the last laying.</summary>
    public double Length { get; private set; }

    /// <summary>Sheets begun by the last laying.</summary>
    public int Sheets { get; private set; }

    /// <summary>Boxes the last laying left over.</summary>
    public int LeftOver { get; private set; }

    /// <summary>Lays boxes in an order on some sheets and says how much area it wasted there; endless once that reaches
    /// a limit. What does not fit is left over.</summary>
    /// <param name="order">Boxes, all or some, the preferred first, each as <see cref="Entry"/>.</param>
    /// <param name="sheets">Sheets there are.</param>
    /// <param name="ceiling">Length of each.</param>
    /// <param name="limit">Given up once so much is wasted.</param>
    public double Lay(ReadOnlySpan<int> order, int sheets, double ceiling, double limit)
    {
        (_notches, _x[0], _y[0], _w[0]) = (1, 0, 0, _width);
        (Sheets, Length, _ceiling) = (1, 0, ceiling);
        _runs = Runs(order);
        var (n, waste) = (order.Length, 0.0);
        while (n > 0)
        {
            var s = Lowest();
            var (box, turned, right) = _y[s] >= ceiling - Eps ? (-1, false, false) : Best(s, _runs, order, out _at);
            if (box < 0)
            {
                if (_notches == 1)
                {
                    waste += (ceiling - _y[0]) * _width;
                    if (Sheets == sheets || waste >= limit)
                    {
                        break;
                    }
                    Sheets++;
                    (_y[0], Length) = (0, 0);
                    continue;
                }
                waste += Raise(s);
                if (waste >= limit)
                {
                    LeftOver = n;
                    return double.PositiveInfinity;
                }
                continue;
            }
            n--;
            _left[_at]++;
            if (--_many[_at] == 0)
            {
                // what is laid is taken out: the rest is scanned again and again
                _runs--;
                Array.Copy(_left, _at + 1, _left, _at, _runs - _at);
                Array.Copy(_many, _at + 1, _many, _at, _runs - _at);
            }
            var (w, h) = turned ? (_boxes[box].H, _boxes[box].W) : (_boxes[box].W, _boxes[box].H);
            At[box] = new(right ? _x[s] + _w[s] - w : _x[s], _y[s], turned, Sheets - 1);
            Length = Math.Max(Length, _y[s] + h);
            Put(s, At[box].X, w, _y[s] + h);
        }
        LeftOver = n;
        return n > 0 ? Math.Min(waste, limit) : 0;
    }

    /// <summary>The entries the last laying left over, of the order it was given.</summary>
    public IEnumerable<int> Rest(int[] order)
    {
        for (var run = 0; run < _runs; run++)
        {
            for (var i = 0; i < _many[run]; i++)
            {
                yield return order[_left[run] + i];
            }
        }
    }

    /// <summary>A box in an order, with the way round that is tried first.</summary>
    public static int Entry(int box, bool turned) => (box * 2) + (turned ? 1 : 0);

    private int Lowest()
    {
        var best = 0;
        for (var i = 1; i < _notches; i++)
        {
            best = _y[i] < _y[best] - Eps ? i : best;
        }
        return best;
    }

    // equal boxes side by side in the order fit alike: one of each run is looked at
    private int Runs(ReadOnlySpan<int> order)
    {
        var runs = 0;
        for (var i = 0; i < order.Length; i++)
        {
            if (
                i > 0
                && (order[i] & 1) == (order[i - 1] & 1)
                && _boxes[order[i] >> 1].Kind == _boxes[order[i - 1] >> 1].Kind
            )
            {
                _many[runs - 1]++;
                continue;
            }
            (_left[runs], _many[runs]) = (i, 1);
            runs++;
        }
        return runs;
    }

    private (int Box, bool Turned, bool Right) Best(int s, int runs, ReadOnlySpan<int> order, out int at)
    {
        var (width, room) = (_w[s], _ceiling - _y[s] + Eps);
        var wallLeft = s == 0 ? double.PositiveInfinity : _y[s - 1] - _y[s];
        var wallRight = s == _notches - 1 ? double.PositiveInfinity : _y[s + 1] - _y[s];
        // it is put against the higher wall
        var toRight = wallRight > wallLeft + Eps;
        var (wall, other) = toRight ? (wallRight, wallLeft) : (wallLeft, wallRight);
        var (best, bestScore, bestTurned) = (-1, -1, false);
        var (widest, least) = (width + Eps, width - Eps);
        at = -1;
        for (var i = 0; i < runs; i++)
        {
            var entry = order[_left[i]];
            ref readonly var box = ref _boxes[entry >> 1];
            var turned = box.MayTurn && (entry & 1) == 1;
            var (w, h) = turned ? (box.H, box.W) : (box.W, box.H);
            if (w <= widest && h <= room && Score(w, h, least, wall, other) is var score && score > bestScore)
            {
                (best, bestScore, bestTurned, at) = (entry >> 1, score, turned, i);
            }
            if (
                box.MayTurn
                && h <= widest
                && w <= room
                && Score(h, w, least, wall, other) is var otherWay
                && otherWay > bestScore
            )
            {
                (best, bestScore, bestTurned, at) = (entry >> 1, otherWay, !turned, i);
            }
            if (bestScore == Flush)
            {
                break;
            }
        }
        return (best, bestTurned, toRight);
    }

    // 5: fills the notch and ends flush with a wall; 4: fills it and stands over it; 3: fills it; 2: flush with the
    // wall beside it; 0: it fits
    private static int Score(double w, double h, double least, double wall, double other)
    {
        if (w >= least)
        {
            if (Math.Abs(h - wall) < Eps || Math.Abs(h - other) < Eps)
            {
                return Flush;
            }
            return h > wall ? 4 : 3;
        }
        return Math.Abs(h - wall) < Eps ? 2 : 0;
    }

    // nothing fits into the notch: it is filled up to its lower neighbour
    private double Raise(int s)
    {
        var l = s == 0 ? double.PositiveInfinity : _y[s - 1];
        var r = s == _notches - 1 ? double.PositiveInfinity : _y[s + 1];
        var lost = (Math.Min(Math.Min(l, r), _ceiling) - _y[s]) * _w[s];
        _y[s] = Math.Min(l, r);
        Merge(s);
        return lost;
    }

    private void Put(int s, double x, double w, double top)
    {
        if (w > _w[s] - Eps)
        {
            _y[s] = top;
            Merge(s);
            return;
        }
        var atLeft = x <= _x[s] + Eps;
        for (var i = _notches; i > s; i--)
        {
            (_x[i], _y[i], _w[i]) = (_x[i - 1], _y[i - 1], _w[i - 1]);
        }
        _notches++;
        if (atLeft)
        {
            (_w[s], _y[s]) = (w, top);
            _x[s + 1] += w;
            _w[s + 1] -= w;
            Merge(s);
        }
        else
        {
            _w[s] -= w;
            (_x[s + 1], _w[s + 1], _y[s + 1]) = (x, w, top);
            Merge(s + 1);
        }
    }

    // neighbours of one height are one notch
    private void Merge(int s)
    {
        if (s + 1 < _notches && Math.Abs(_y[s + 1] - _y[s]) < Eps)
        {
            _w[s] += _w[s + 1];
            Remove(s + 1);
        }
        if (s > 0 && Math.Abs(_y[s - 1] - _y[s]) < Eps)
        {
            _w[s - 1] += _w[s];
            Remove(s);
        }
    }

    private void Remove(int s)
    {
        _notches--;
        for (var i = s; i < _notches; i++)
        {
            (_x[i], _y[i], _w[i]) = (_x[i + 1], _y[i + 1], _w[i + 1]);
        }
    }

    /// <summary>A box with its gap.</summary>
    /// <param name="W">Width.</param>
    /// <param name="H">Height along the strip.</param>
    /// <param name="MayTurn">True when it may be turned.</param>
    /// <param name="Kind">Equal boxes have the same.</param>
    internal readonly record struct Box(double W, double H, bool MayTurn, int Kind);

    /// <summary>Where a box lies.</summary>
    internal readonly record struct Spot(double X, double Y, bool Turned, int Sheet);
}
