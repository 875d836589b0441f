using Hepno.Core.Blanks;
using Hepno.Core.Materials;

namespace Hepno.Web.Deeds;

/// <summary>Every price of a thing, by what it is of: what is drawn through time and told apart when a table changes
/// it.</summary>
internal static class ThingPrices
{
    public static IEnumerable<(string What, decimal Price)> Prices(Style s) =>
        [
            ("a piece", s.UnitPrice),
            .. (s.Buying?.Tiers ?? []).Select(t => (t.From(), t.Price)),
            .. s.Buying?.CodePrice is { } code ? [("with the code", code)] : Array.Empty<(string, decimal)>(),
            .. s.Sizes.Where(z => z.Surcharge > 0).Select(z => ($"{z.Name} on top", z.Surcharge)),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(TransferPriceList l) =>
        [
            .. l.Sizes.SelectMany(z => z.Breaks.Select(b => ($"{z.Name} from {b.From}", b.Price))),
            .. (l.ByLayout?.Roll?.Steps ?? []).Select(b => ($"roll, a step from {b.From}", b.Price)),
            .. (l.ByLayout?.Roll?.Lengths ?? []).Select(s => ($"roll of {s.LengthIn:0.##} in", s.Price)),
            .. (l.ByLayout?.Sheets ?? []).SelectMany(z =>
                z.Breaks.Select(b => ($"sheet {z.Name} from {b.From}", b.Price))
            ),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(VinylFilm v) => [("a foot", v.PricePerFoot)];

    public static IEnumerable<(string What, decimal Price)> Prices(ScreenTransferList l) =>
        [
            ("set-up, a colour", l.SetUpPerColour),
            .. l.Sheets.SelectMany(z =>
                z.Prices.SelectMany(p => p.Breaks.Select(b => ($"{z.Name} in {p.Colours} from {b.From}", b.Price)))
            ),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(PaperPrinter p) => [("ink, a ml", p.InkPricePerMl)];

    public static IEnumerable<(string What, decimal Price)> Prices(GarmentPrinter p) =>
        [
            ("colour, a ml", p.ColourPricePerMl),
            ("white, a ml", p.WhitePricePerMl),
            ("pretreatment, a ml", p.PretreatPricePerMl),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(StitchMachine m) =>
        [
            ("1,000 stitches", m.ThreadPerThousand),
            ("backing", m.BackingPerPiece),
            ("digitising", m.DigitisingPerDesign),
            .. m.AppliqueFilmPerIn2 is { } film ? [("applique film, an in²", film)] : Array.Empty<(string, decimal)>(),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(TransferPaper p) => [("a sheet", p.SheetPrice)];

    public static IEnumerable<(string What, decimal Price)> Prices(RollCloth x) => [("a foot", x.PricePerFoot)];

    public static IEnumerable<(string What, decimal Price)> Prices(Calender x) =>
        [
            ("paper, a foot", x.PaperPricePerFoot),
            ("ink, a ml", x.InkPricePerMl),
            ("thread, tape and label", x.NotionsPerPiece),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(OutsidePrinter p) =>
        [
            ("a screen", p.SetUpPerScreen),
            .. p.RepeatPerScreen is { } again ? [("a screen again", again)] : Array.Empty<(string, decimal)>(),
            .. p.Blanks.Select(b => ($"its {Core.Blanks.GarmentNouns.For(b.Kind, 1)}", b.Price)),
            .. p.Prices.SelectMany(c => c.Breaks.Select(b => ($"in {c.Colours} from {b.From}", b.Price))),
        ];

    public static IEnumerable<(string What, decimal Price)> Prices(PodService s) =>
        [
            .. s.Prices.Select(p => (Core.Blanks.GarmentNouns.For(p.Kind, 1), p.Price)),
            ("a further print", s.FurtherPlacement),
        ];
}
