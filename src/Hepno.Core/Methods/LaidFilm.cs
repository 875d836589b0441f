using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>A print of a line as it goes on film.</summary>
/// <param name="Key">Identity within the line's layout.</param>
/// <param name="Print">The placement and its pieces.</param>
/// <param name="Count">New prints needed, spares in it; those of the drawer off.</param>
/// <param name="Why">Where the number comes from.</param>
/// <param name="Lying">Prints of the drawer that are used for it.</param>
public sealed record LaidPrint(string Key, SizedPrint Print, int Count, string Why, int Lying = 0)
{
    /// <summary>It as a design of a layout.</summary>
    public LaidDesign Design => new(Key, Print.Print.WidthIn, Print.Print.HeightIn, Count);

    /// <summary>Money of one print where some of the drawer cost nothing.</summary>
    /// <param name="each">Money of a new one.</param>
    public Figure Each(Figure each) =>
        Lying == 0
            ? each
            : Figure.Of(
                each.Code,
                each.Label,
                each.Value * Count / (Count + Lying),
                "a new one × new ones ÷ all",
                each with
                {
                    Code = "new",
                    Label = "A new one",
                },
                Figure.Input("bought", "New ones", Count, FigureUnit.Count, Why),
                Figure.Input(
                    "all",
                    "All, with those of the drawer",
                    Count + Lying,
                    FigureUnit.Count,
                    "the drawer: nothing more is paid for them"
                )
            );

    /// <summary>Every print a line needs.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="chance">How often one fails, and how often they are to suffice.</param>
    /// <param name="filmId">On which film: transfers of the drawer on another are not used.</param>
    public static IReadOnlyList<LaidPrint> All(AskInHand ask, SpareChance chance, ThingId filmId) =>
        [
            .. ask.Placements.SelectMany(p =>
            {
                var prints = SizedPrints.Of(p, ask.Sizes, ask.Names);
                return prints.Select(s =>
                {
                    var (count, why) = DecorationPlan.Needed(s, chance);
                    var key =
                        prints.Count == 1 ? p.Id.Text : $"{p.Id} {string.Join(", ", s.Sizes.Select(z => z.Size))}";
                    var lying = Math.Min(count, ask.FromDrawer(key, filmId));
                    return new LaidPrint(
                        key,
                        s,
                        count - lying,
                        lying == 0 ? why : $"{why}; {lying} lie in the drawer",
                        lying
                    );
                });
            }),
        ];
}

/// <summary>A line's prints laid on a roll or on sheets of one price list.</summary>
/// <param name="On">What they lie on.</param>
/// <param name="Prints">What is laid.</param>
/// <param name="Found">Where; the layout settled for the line while it needs the same prints, else the usual orders
/// tried once.</param>
/// <param name="Bill">What the order pays for it.</param>
/// <param name="Shares">Each print's part.</param>
/// <param name="IsSettled">True for a layout settled for the line.</param>
/// <param name="CutRound">Share of a print's copies that are cut out round their outline; those not named are cut
/// straight.</param>
public sealed record LaidFilm(
    FilmGround On,
    IReadOnlyList<LaidPrint> Prints,
    GangFound Found,
    GangBill Bill,
    IReadOnlyList<GangShare> Shares,
    bool IsSettled,
    IReadOnlyDictionary<string, double> CutRound
)
{
    private static readonly IReadOnlyDictionary<string, double> Straight = new Dictionary<string, double>();

    /// <summary>Lays a line's prints; null where one does not go on it, or there are more than one layout
    /// holds.</summary>
    /// <param name="prints">What is laid.</param>
    /// <param name="on">On what.</param>
    /// <param name="settled">The layout settled for the line, or null.</param>
    /// <param name="lay">How they are laid where nothing is settled; null for the usual orders tried once.</param>
    public static LaidFilm? Of(
        IReadOnlyList<LaidPrint> prints,
        FilmGround on,
        LineLayout? settled,
        Func<GangGround, IReadOnlyList<GangDesign>, GangFound>? lay = null
    )
    {
        var mine =
            settled is not null && settled.On == on.Key && settled.IsFor([.. prints.Select(p => p.Design)])
                ? settled
                : null;
        prints = [.. prints.Where(p => p.Count > 0)];
        if (prints.Count == 0)
        {
            return null;
        }
        List<GangDesign> designs = [.. prints.Select(p => p.Design.Laid())];
        if (mine is null && GangProblems.Of(on.Ground, designs, GangNest.MostInAll).Any())
        {
            return null;
        }
        var found = mine?.FoundNeeded(on.Ground)
            ?? lay?.Invoke(on.Ground, designs)
            ?? GangNest.Lay(on.Ground, designs, 1, steps: GangNest.OnePass);
        return found.LeftOut.Count > 0 || on.Bill(found) is not { } bill
            ? null
            : new(
                on,
                prints,
                found,
                bill,
                GangBills.Shares(designs, bill),
                mine is not null,
                mine is null
                    ? Straight
                    : mine.CutRound(on.Ground.GapIn)
                        .ToDictionary(c => c.Key, c => (double)c.Value / mine.Copies.Count(x => x.Key == c.Key))
            );
    }
}

/// <summary>A layout that is bought, without where each copy lies.</summary>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet of it.</param>
/// <param name="Ground">What it is laid on.</param>
/// <param name="Designs">What is laid.</param>
/// <param name="Bill">What is billed.</param>
/// <param name="UsedLengthIn">Length used, in; of the last sheet where there are several.</param>
/// <param name="Sheets">Sheets begun; 1 on a roll.</param>
/// <param name="OverFloor">How far over what nothing can be under, a share.</param>
/// <param name="IsSettled">True for a layout settled for the line.</param>
/// <param name="Units">Steps or sheets bought; 0 for a set length.</param>
/// <param name="Breaks">The price list's breaks, by steps or sheets.</param>
public sealed record LaidPurchase(
    ThingId FilmId,
    string On,
    GangGround Ground,
    IReadOnlyList<LaidDesign> Designs,
    GangBill Bill,
    double UsedLengthIn,
    int Sheets,
    double OverFloor,
    bool IsSettled,
    int Units,
    IReadOnlyList<PriceBreak> Breaks
);
