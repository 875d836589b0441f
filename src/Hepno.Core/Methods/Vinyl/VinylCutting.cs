using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Methods;

/// <summary>One colour's film of a print.</summary>
/// <param name="Hex">Its colour as measured; empty where it was typed.</param>
/// <param name="Rows">Its boxes in rows across the roll.</param>
/// <param name="PaintIn2">What of one box is painted, in².</param>
public sealed record VinylLayer(string Hex, RollRows Rows, double PaintIn2)
{
    private static readonly string[] Ordinals = ["first", "second", "third", "fourth"];

    /// <summary>A colour of a print in words: "first colour".</summary>
    /// <param name="layer">Which, from 0.</param>
    public static string NameOf(int layer) => $"{Ordinals[layer]} colour";
}

/// <summary>
/// How the colours of a print are cut (docs/trade 2): as one block, every colour inside the whole print's box, so that
/// the corners align the layers; or close, each colour inside its own box, which saves film and takes longer to align.
/// What costs less at the shop's wage is done.
/// </summary>
/// <param name="Layers">The colours, most paint first.</param>
/// <param name="IsClose">True when each is cut inside its own box.</param>
/// <param name="Film">Money of film that cutting close saves, for all cuts; null where it is not known to
/// differ.</param>
/// <param name="Aligning">Money of hands that cutting close takes more, for all pieces.</param>
public sealed record VinylCutting(IReadOnlyList<VinylLayer> Layers, bool IsClose, decimal? Film, decimal Aligning)
{
    private const double SecondsAnHour = 3600;

    /// <summary>The cheaper way; null where the print does not go on the roll.</summary>
    /// <param name="p">The print.</param>
    /// <param name="pieces">Pieces it is pressed on.</param>
    /// <param name="film">The roll.</param>
    /// <param name="widthIn">Width of it that is cut, in.</param>
    /// <param name="count">Cuts of each colour.</param>
    /// <param name="alignSeconds">What aligning a layer that is cut close takes more, s.</param>
    /// <param name="wage">Money for an hour of hands.</param>
    public static VinylCutting? Cheaper(
        Placement p,
        int pieces,
        VinylFilm film,
        double widthIn,
        int count,
        double alignSeconds,
        decimal wage
    )
    {
        RollRows? Laid(double share, double shareDown) =>
            RollRows.Lay(
                p.WidthIn * share,
                p.HeightIn * shareDown,
                film.WeedingMarginIn,
                widthIn,
                count,
                film.SharedMargin
            );
        if (Laid(1, 1) is not { } whole)
        {
            return null;
        }
        var paint = p.AreaIn2 * p.CoveragePercent / 100;
        // colours typed over what was measured, and pieces of their own names, have no boxes of their own
        var cuts =
            p.Own == OwnText.None && p.Cuts?.Colours is { } measured && measured.Count == p.Colours ? measured : null;
        List<VinylLayer> block =
        [
            .. Enumerable
                .Range(0, p.Colours)
                .Select(i => new VinylLayer(cuts?[i].Hex ?? "", whole, paint * (cuts?[i].PaintShare ?? 1))),
        ];
        if (cuts is null || p.Colours == 1)
        {
            return new(block, false, null, Aligning: 0);
        }
        List<VinylLayer> close =
        [
            .. cuts.Select(c => new VinylLayer(c.Hex, Laid(c.WidthShare, c.HeightShare)!, paint * c.PaintShare)),
        ];
        var saved = Money.Times(
            (block.Sum(l => l.Rows.LengthIn) - close.Sum(l => l.Rows.LengthIn)) / Units.InchesPerFoot,
            film.PricePerFoot
        );
        var aligning = Money.Times(alignSeconds * (p.Colours - 1) * pieces / SecondsAnHour, wage);
        if (saved <= 0)
        {
            return new(block, false, null, Aligning: 0);
        }
        return saved > aligning ? new(close, true, saved, aligning) : new(block, false, saved, aligning);
    }

    /// <summary>Which way and why, in a sentence; empty where there is only one.</summary>
    public string Said(FigureFormat f)
    {
        if (Film is not { } film)
        {
            return "";
        }
        return IsClose
            ? $"Each colour is cut close: {Shown.Money(film, f)} less of film for {Shown.Money(Aligning, f)} more "
                + "of aligning."
            : $"The colours are cut as one block: close would save {Shown.Money(film, f)} of film and take "
                + $"{Shown.Money(Aligning, f)} more of aligning.";
    }
}
