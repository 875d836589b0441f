namespace Hepno.Core.Gang;

/// <summary>The most a sum can be under limits on other sums of the same things, none of them below nothing (the
/// simplex method, by the smallest index so that it ends).</summary>
internal static class LinearProgramme
{
    private const double Eps = 1e-9;

    // by the smallest index it ends where numbers are exact; rounded, it might go round for ever. What is reached by
    // then is less, never more, than the most
    private const int MostExchanges = 20_000;

    /// <summary>The most of worth · x where every row · x is at most its limit and x is not negative; limits are not
    /// negative. What rounding put over a limit is taken back, so no more is said than a real x reaches.</summary>
    /// <param name="worth">What one of each thing counts.</param>
    /// <param name="rows">One row for each limit.</param>
    /// <param name="limits">The limits.</param>
    public static double Most(double[] worth, double[][] rows, double[] limits)
    {
        if (At(worth, rows, limits) is not { } x)
        {
            return double.PositiveInfinity;
        }
        var over = rows.Select((row, i) => limits[i] > 0 ? Sum(row, x) / limits[i] : 0).Append(1).Max();
        return Sum(worth, x) / over;
    }

    private static double Sum(double[] a, double[] x)
    {
        var sum = 0.0;
        for (var i = 0; i < x.Length; i++)
        {
            sum += a[i] * x[i];
        }
        return sum;
    }

    // the x that reaches the most; null where nothing ends it
    private static double[]? At(double[] worth, double[][] rows, double[] limits)
    {
        var (n, m) = (worth.Length, rows.Length);
        // only the columns of what is at nothing are written down: the others are a one each
        var t = new double[m + 1, n + 1];
        for (var j = 0; j < n; j++)
        {
            t[m, j] = -worth[j];
            for (var i = 0; i < m; i++)
            {
                t[i, j] = rows[i][j];
            }
        }
        for (var i = 0; i < m; i++)
        {
            t[i, n] = limits[i];
        }
        int[] columns = [.. Enumerable.Range(0, n)],
            basis = [.. Enumerable.Range(n, m)];
        for (var exchanges = 0; ; exchanges++)
        {
            var enters = -1;
            for (var j = 0; j < n; j++)
            {
                enters = t[m, j] < -Eps && (enters < 0 || columns[j] < columns[enters]) ? j : enters;
            }
            if (enters < 0 || exchanges == MostExchanges)
            {
                var x = new double[n];
                for (var i = 0; i < m; i++)
                {
                    if (basis[i] < n)
                    {
                        x[basis[i]] = Math.Max(0, t[i, n]);
                    }
                }
                return x;
            }
            var leaves = -1;
            for (var i = 0; i < m; i++)
            {
                if (
                    t[i, enters] > Eps
                    && (
                        leaves < 0
                        || Ratio(i) < Ratio(leaves) - Eps
                        || (Ratio(i) < Ratio(leaves) + Eps && basis[i] < basis[leaves])
                    )
                )
                {
                    leaves = i;
                }
            }
            if (leaves < 0)
            {
                return null;
            }
            Exchange(t, leaves, enters, m, n);
            (columns[enters], basis[leaves]) = (basis[leaves], columns[enters]);

            double Ratio(int i) => t[i, n] / t[i, enters];
        }
    }

    private static void Exchange(double[,] t, int row, int column, int lastRow, int lastColumn)
    {
        var by = t[row, column];
        for (var j = 0; j <= lastColumn; j++)
        {
            t[row, j] /= by;
        }
        t[row, column] = 1 / by;
        for (var i = 0; i <= lastRow; i++)
        {
            var times = t[i, column];
            if (i == row || times == 0)
            {
                continue;
            }
            for (var j = 0; j <= lastColumn; j++)
            {
                t[i, j] -= j == column ? 0 : times * t[row, j];
            }
            t[i, column] = -times / by;
        }
    }
}
