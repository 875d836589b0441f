using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Purchasing;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>What it ties up to make a line before anybody has bought it (docs/trade 15.10).</summary>
/// <param name="Tied">Money for blanks, prints and set-ups before the first sale.</param>
/// <param name="LostPressed">Lost if nothing sells and all are made: everything.</param>
/// <param name="LostPlain">Lost if nothing sells and each is made when it is sold: prints and set-ups; plain blanks
/// keep their worth.</param>
/// <param name="SentOutFrom">Pieces of one order from which a way that is sent out is the cheapest, or else the best
/// for the shop: sold so many a month, it takes over; null where it never does.</param>
/// <param name="SentOutBy">That way; empty for none.</param>
/// <param name="Sentences">In words.</param>
public sealed record Launch(
    Figure Tied,
    Figure LostPressed,
    Figure LostPlain,
    int? SentOutFrom,
    string SentOutBy,
    IReadOnlyList<string> Sentences
)
{
    /// <summary>A line by one way as a launch.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="decorations">The way's plan.</param>
    /// <param name="ribbon">The cheapest way at every quantity.</param>
    /// <param name="f">How figures are written.</param>
    public static Launch Reckon(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        QuantityRibbon ribbon,
        FigureFormat f
    )
    {
        var brought = decorations.Any(d => d.BringsBlank);
        // what is paid before the first sale: a machine that wears is paid already, and freight comes once however many
        // spares it brings
        List<Figure> prints =
        [
            .. decorations.Select(d =>
                Figure.Of(
                    $"prints-{d.Placement.Id}",
                    d.Material.Label,
                    d.OneMore.Value * d.Prints(ask.Pieces),
                    "one × how many are made",
                    d.OneMore,
                    Figure.Input("count", "Made", d.Prints(ask.Pieces), FigureUnit.Count, "the ask, with spares")
                )
            ),
            .. decorations
                .Where(d => d.FreightShare is not null)
                .Select(d =>
                    Figure.Of(
                        $"freight-{d.Placement.Id}",
                        d.FreightShare!.Label,
                        d.FreightShare.Value * ask.Pieces,
                        "its share × pieces",
                        d.FreightShare,
                        Figure.Input("pieces", "Pieces", ask.Pieces, FigureUnit.Count, "the ask")
                    )
                ),
            .. decorations.Select(d => d.SetUp).OfType<Figure>(),
        ];
        var landed = LandedBlank.Reckon(ask);
        var blanks = Figure.Of(
            "blanks",
            "Blanks",
            brought ? 0 : landed.Value * ask.Pieces,
            brought ? "in the price of its print" : "landed × pieces",
            landed,
            Figure.Input("pieces", "Pieces", ask.Pieces, FigureUnit.Count, "the ask")
        );
        var tied = Figure.Sum("tied", "Tied up before the first sale", [blanks, .. prints]);
        var plain = Figure.Sum("lost-plain", "Lost if nothing sells, made as it is sold", prints);
        // a first stretch is few pieces, not many a month
        RibbonStretch? SentOut(IReadOnlyList<RibbonStretch> of) =>
            of.FirstOrDefault(s => s.From > 1 && DecorationMethods.Find(s.MethodId)?.IsSentOut == true);
        var cheapest = SentOut(ribbon.Cheapest);
        var over = cheapest ?? SentOut(ribbon.Best);
        var by = over is null ? "" : DecorationMethods.Find(over.MethodId)!.Name;
        return new(
            tied,
            tied with
            {
                Code = "lost-pressed",
                Label = "Lost if nothing sells, all made",
            },
            plain,
            over?.From,
            by,
            [
                $"{Shown.Money(tied.Value, f)} is tied up before the first sale",
                brought
                    ? $"{Shown.Money(tied.Value, f)} is lost if nothing sells"
                    : $"{Shown.Money(plain.Value, f)} is lost if nothing sells and each is made as it is sold, "
                        + $"{Shown.Money(tied.Value, f)} if all are made",
                over is null
                    ? "nothing sent out becomes better however many sell"
                    : $"from {over.From} sold a month, ordered together, \"{by.ToLowerInvariant()}\" takes over: "
                        + $"{(cheapest is null ? "it earns more" : "it costs less")}",
            ]
        );
    }
}
