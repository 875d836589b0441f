namespace Hepno.Core.Gang;

/// <summary>Equal boxes in rows across a roll of vinyl or film.</summary>
/// <param name="BoxWidthIn">Width of a box as placed, margins included, in.</param>
/// <param name="BoxHeightIn">Height along the roll of a box as placed, in.</param>
/// <param name="Turned">True when the artwork lies turned by a quarter.</param>
/// <param name="Across">Boxes in a full row.</param>
/// <param name="Rows">Rows.</param>
/// <param name="Count">Boxes in all; the last row may be part full.</param>
/// <param name="LengthIn">Length used, in.</param>
/// <param name="RollWidthIn">Usable width, in.</param>
public sealed record RollRows(double BoxWidthIn, double BoxHeightIn, bool Turned, int Across, int Rows, int Count, double LengthIn, double RollWidthIn)
{
    /// <summary>The shorter of both orientations, or null when a box fits in neither.</summary>
    /// <param name="widthIn">Artwork width, in.</param>
    /// <param name="heightIn">Artwork height, in.</param>
    /// <param name="marginIn">Weeding margin, or half the gap between prints, on every side; it belongs to the box, so neighbours stand two margins apart, in.</param>
    /// <param name="rollWidthIn">Usable width of the roll, in.</param>
    /// <param name="count">Boxes, 1 or more.</param>
    /// <param name="shared">True when neighbours share one margin.</param>
    public static RollRows? Lay(double widthIn, double heightIn, double marginIn, double rollWidthIn, int count, bool shared = false)
    {
        // where it is shared, each box brings one margin, and one more stands at the far edges
        var (own, outer) = shared ? (marginIn, marginIn) : (2 * marginIn, 0);
        RollRows? Way(double w, double h, bool turned)
        {
            var across = (int)Math.Floor(((rollWidthIn - outer) / w) + 1e-9);
            if (across == 0)
            {
                return null;
            }
            var rows = (count + across - 1) / across;
            return new(w, h, turned, across, rows, count, (rows * h) + outer, rollWidthIn);
        }
        var (boxW, boxH) = (widthIn + own, heightIn + own);
        return new[] { Way(boxW, boxH, false), Way(boxH, boxW, true) }.Where(w => w is not null).MinBy(w => w!.LengthIn);
    }
}
