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
public sealed record RollRows(
    double BoxWidthIn,
    double BoxHeightIn,
    bool Turned,
    int Across,
    int Rows,
    int Count,
    double LengthIn,
    double RollWidthIn
)
{
    // what stands at the far edges where neighbours share a margin
    private double OuterIn => LengthIn - (Rows * BoxHeightIn);

    /// <summary>The shorter of both orientations, or null when a box fits in neither.</summary>
    /// <param name="widthIn">Artwork width, in.</param>
    /// <param name="heightIn">Artwork height, in.</param>
    /// <param name="marginIn">Weeding margin, or half the gap between prints, on every side; it belongs to the box, so
    /// neighbours stand two margins apart, in.</param>
    /// <param name="rollWidthIn">Usable width of the roll, in.</param>
    /// <param name="count">Boxes, 1 or more.</param>
    /// <param name="shared">True when neighbours share one margin.</param>
    public static RollRows? Lay(
        double widthIn,
        double heightIn,
        double marginIn,
        double rollWidthIn,
        int count,
        bool shared = false
    )
    {
        // where it is shared, each box brings one margin, and one more stands at the far edges
        var (own, outer) = shared ? (marginIn, marginIn) : (2 * marginIn, 0);
        return Lay((widthIn + own, heightIn + own), outer, rollWidthIn, count, false);
    }

    /// <summary>The same boxes in another number; null for none.</summary>
    public RollRows? With(int count) =>
        count < 1 ? null : Lay((BoxWidthIn, BoxHeightIn), OuterIn, RollWidthIn, count, Turned);

    /// <summary>How many of the boxes go on a piece, all of them one way round.</summary>
    /// <param name="widthIn">Its width, in.</param>
    /// <param name="lengthIn">Its length, in.</param>
    public int RoomOn(double widthIn, double lengthIn)
    {
        int Way(double w, double h) =>
            Math.Max(0, (int)Math.Floor(((widthIn - OuterIn) / w) + 1e-9))
            * Math.Max(0, (int)Math.Floor(((lengthIn - OuterIn) / h) + 1e-9));
        return Math.Max(Way(BoxWidthIn, BoxHeightIn), Way(BoxHeightIn, BoxWidthIn));
    }

    private static RollRows? Lay((double W, double H) box, double outer, double rollWidthIn, int count, bool isTurned)
    {
        RollRows? Way(double w, double h, bool turned)
        {
            var across = (int)Math.Floor(((rollWidthIn - outer) / w) + 1e-9);
            if (across < 1)
            {
                return null;
            }
            var rows = (count + across - 1) / across;
            return new(w, h, turned, across, rows, count, (rows * h) + outer, rollWidthIn);
        }
        // turned only where that is shorter by more than rounding: equally long both ways stays as it lies
        var (asIs, turned) = (Way(box.W, box.H, isTurned), Way(box.H, box.W, !isTurned));
        return asIs is null || turned?.LengthIn < asIs.LengthIn - 1e-9 ? turned : asIs;
    }
}
