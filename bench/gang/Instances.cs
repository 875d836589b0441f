using Hepno.Core.Gang;

/// <summary>What is laid to see how well: made by rule, the same every time.</summary>
internal static class Instances
{
    // prints as shops have them: fronts, backs, chests, sleeves, napes, labels, in
    private static readonly (double W, double H)[] Real =
    [
        (11, 12),
        (10, 10),
        (9, 11),
        (10, 7),
        (8, 8),
        (11, 4),
        (12, 14),
        (10.5, 13),
        (9, 3),
        (3.5, 3.5),
        (4, 3),
        (3, 4),
        (3.5, 2),
        (4, 4),
        (2.5, 11),
        (3, 3),
        (2, 8),
        (3, 1.5),
        (2.5, 1),
        (1.5, 1.5),
        (6, 6),
        (7, 5),
        (5, 8),
        (13, 9),
    ];

    /// <summary>A strip cut up without rest, by straight cuts and, where asked, pinwheels of five; its own length is the least there can be.</summary>
    public static (GangDesign[] Designs, GangGround Ground, double LeastIn) Perfect(
        int count,
        double width,
        double gap,
        bool pinwheels
    )
    {
        var random = new Random((count * 100) + (int)(width * 4) + (pinwheels ? 1 : 0));
        var (inner, length) = (width - 0.25 + gap, Math.Round(width * (0.8 + (2 * random.NextDouble())), 2));
        List<(double W, double H)> boxes = [(inner, length)];
        double Part(double of, double least, double most) =>
            Math.Round(of * (least + ((most - least) * random.NextDouble())), 2);
        while (boxes.Count < count)
        {
            var b = boxes.MaxBy(x => x.W * x.H * (0.5 + random.NextDouble()));
            boxes.Remove(b);
            if (pinwheels && random.Next(4) == 0 && Math.Min(b.W, b.H) > 4 && boxes.Count + 5 <= count)
            {
                var (x1, x2, y1, y2) = (
                    Part(b.W, 0.25, 0.45),
                    Part(b.W, 0.6, 0.8),
                    Part(b.H, 0.25, 0.45),
                    Part(b.H, 0.6, 0.8)
                );
                boxes.AddRange([(x2, y1), (b.W - x2, y2), (b.W - x1, b.H - y2), (x1, b.H - y1), (x2 - x1, y2 - y1)]);
            }
            else if (b.W > b.H * (0.6 + (0.8 * random.NextDouble())))
            {
                var x = Part(b.W, 0.25, 0.75);
                boxes.AddRange([(x, b.H), (b.W - x, b.H)]);
            }
            else
            {
                var y = Part(b.H, 0.25, 0.75);
                boxes.AddRange([(b.W, y), (b.W, b.H - y)]);
            }
        }
        return (
            [.. boxes.Select((b, i) => new GangDesign($"d{i}", b.W - gap, b.H - gap, 1))],
            new(width, null, gap, 0.125),
            length - gap + 0.25
        );
    }

    /// <summary>A mix as a shop lays it: a few designs in some copies each, 20 to 250 in all.</summary>
    public static GangDesign[] Shop(int seed)
    {
        var random = new Random(seed);
        var (wanted, designs) = (20 + random.Next(231), new List<GangDesign>());
        while (designs.Sum(d => d.Copies) < wanted)
        {
            var (w, h) = Real[random.Next(Real.Length)];
            designs.Add(
                new($"d{designs.Count}", w, h, Math.Min(wanted - designs.Sum(d => d.Copies), 1 + random.Next(24)))
            );
        }
        return [.. designs];
    }

    /// <summary>The way people do it: one design after the other, upright, in rows of its own height.</summary>
    public static double RowsByHand(GangDesign[] designs, double width, double gap, double margin) =>
        (2 * margin)
        - gap
        + designs.Sum(d =>
        {
            var across = Math.Max(1, (int)Math.Floor((width - (2 * margin) + gap) / (d.WidthIn + gap)));
            return ((d.Copies + across - 1) / across) * (d.HeightIn + gap);
        });

    /// <summary>A practised hand: kinds in rows of falling height, each turned where that helps, and what is lower goes into the first row with room, one upon another where they fit.</summary>
    public static double PractisedHand(GangDesign[] designs, double width, double gap, double margin)
    {
        var turned = new bool[designs.Length];
        var best = Shelves(designs, turned, width, gap, margin);
        // one kind after the other is turned over, as long as that saves film
        for (var better = true; better; )
        {
            better = false;
            for (var i = 0; i < designs.Length; i++)
            {
                turned[i] = !turned[i];
                var tried = Shelves(designs, turned, width, gap, margin);
                (best, better, turned[i]) = tried < best - 1e-9 ? (tried, true, turned[i]) : (best, better, !turned[i]);
            }
        }
        return best;
    }

    private static double Shelves(GangDesign[] designs, bool[] turned, double width, double gap, double margin)
    {
        var usable = width - (2 * margin) + gap;
        var pieces = designs
            .SelectMany(
                (d, i) =>
                    Enumerable.Repeat(
                        turned[i]
                            ? (W: d.HeightIn + gap, H: d.WidthIn + gap)
                            : (W: d.WidthIn + gap, H: d.HeightIn + gap),
                        d.Copies
                    )
            )
            .OrderByDescending(p => p.H)
            .ThenByDescending(p => p.W);
        // a row has columns: each as wide as its first piece, with what is left of the row's height
        var rows = new List<(double Height, double Left, List<(double W, double Left)> Columns)>();
        foreach (var (w, h) in pieces)
        {
            if (w > usable)
            {
                return double.PositiveInfinity;
            }
            var at = rows.FindIndex(r =>
                r.Left >= w - 1e-9 || r.Columns.Any(c => c.W >= w - 1e-9 && c.Left >= h - 1e-9)
            );
            if (at < 0)
            {
                rows.Add((h, usable - w, [(w, 0)]));
                continue;
            }
            var row = rows[at];
            var column = row.Columns.FindIndex(c => c.W >= w - 1e-9 && c.Left >= h - 1e-9);
            if (column >= 0)
            {
                row.Columns[column] = (row.Columns[column].W, row.Columns[column].Left - h);
                continue;
            }
            row.Columns.Add((w, row.Height - h));
            rows[at] = (row.Height, row.Left - w, row.Columns);
        }
        return rows.Sum(r => r.Height) - gap + (2 * margin);
    }
}
