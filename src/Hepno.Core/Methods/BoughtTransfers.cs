using Hepno.Core.Artwork;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>How full-colour transfers of one kind are bought: by size class, or laid out by oneself on a roll or
/// sheets.</summary>
/// <param name="MethodId">The method's key.</param>
/// <param name="Kind">Which price lists.</param>
/// <param name="Prior">Share of attempts assumed to spoil the piece.</param>
/// <param name="Word">What it is called in a sentence.</param>
/// <param name="Hold">What of an artwork it holds.</param>
internal sealed record BoughtTransfers(MethodId MethodId, TransferKind Kind, double Prior, string Word, PrintHold Hold)
{
    /// <summary>Whether and how an ask is done with them.</summary>
    public MethodAnswer Answer(AskInHand ask, ShopBook book)
    {
        var lists = book.Of<TransferPriceList>().Where(l => l.Kind == Kind).ToList();
        if (lists.Count == 0)
        {
            return MethodAnswer.No(
                new Reason(
                    "no-prices",
                    VerdictKind.No,
                    $"no {Word} prices on the Shelf",
                    WouldWork: "a supplier's price list, entered on the Shelf"
                )
            );
        }
        // what the owner has laid out stays what is reckoned with as long as the line needs the same prints
        return Settled(ask, book)
            ?? MethodAnswer.BestOf(
                [
                    .. lists.SelectMany(list =>
                        Answers(ask, book, list, LaidPrint.All(ask, SpareChance.In(book, Failure(ask, book)), list.Id))
                            .Select(a => a with { Of = $"{list.Product}, {list.Supplier}" })
                    ),
                ],
                ask
            );
    }

    /// <summary>What they are laid on.</summary>
    public LaidOn LaidOn(AskInHand part, ShopBook book) =>
        new(
            [.. book.Of<TransferPriceList>().Where(l => l.Kind == Kind)],
            SpareChance.In(book, Failure(part, book)),
            part
        );

    /// <summary>The share of attempts expected to spoil a piece.</summary>
    public double Failure(AskInHand ask, ShopBook book) => SpoilageChance.Reckon(MethodId, Prior, ask, book);

    private MethodAnswer? Settled(AskInHand ask, ShopBook book)
    {
        if (
            ask.Laid is not { } laid
            || book.Of<TransferPriceList>().FirstOrDefault(l => l.Id == laid.FilmId && l.Kind == Kind) is not { } list
            || list.Grounds().FirstOrDefault(g => g.Key == laid.On) is not { } on
        )
        {
            return null;
        }
        var (prints, reasons) = (
            LaidPrint.All(ask, SpareChance.In(book, Failure(ask, book)), list.Id),
            Reasons(ask, book, list)
        );
        return LaidFilm.Of(prints, on, laid) is { IsSettled: true } film && Verdict.From(reasons).Kind != VerdictKind.No
            ? ByLayout(ask, book, list, film, prints, reasons)
            : null;
    }

    private IEnumerable<MethodAnswer> Answers(
        AskInHand ask,
        ShopBook book,
        TransferPriceList list,
        IReadOnlyList<LaidPrint> prints
    )
    {
        var reasons = Reasons(ask, book, list);
        var possible = Verdict.From(reasons).Kind != VerdictKind.No;
        if (prints.All(p => p.Count == 0))
        {
            yield return possible ? OfDrawer(ask, book, list, prints, reasons) : MethodAnswer.No(reasons);
            yield break;
        }
        if (list.Sizes.Count > 0)
        {
            List<Reason> tooLarge =
            [
                .. ask
                    .Prints.Where(p => list.SmallestHolding(p.WidthIn, p.HeightIn) is null)
                    .Select(p => TooLarge(p, list, book)),
            ];
            yield return possible && tooLarge.Count == 0
                ? BySize(ask, book, list, prints, reasons)
                : MethodAnswer.No([.. reasons, .. tooLarge]);
        }
        foreach (var on in list.Grounds())
        {
            yield return !possible ? MethodAnswer.No(reasons)
            : LaidFilm.Of(prints, on, null, book.LayingFor(ask)) is { } film
                ? ByLayout(ask, book, list, film, prints, reasons)
            : MethodAnswer.No([
                .. reasons,
                new Reason(
                    "layout",
                    VerdictKind.No,
                    $"its prints do not go on {Called(on, list, book)}",
                    WouldWork: "a smaller print, fewer pieces at once, or film by size"
                ),
            ]);
        }
    }

    private List<Reason> Reasons(AskInHand ask, ShopBook book, TransferPriceList list) =>
        [
            .. Verdicts.Artwork(ask, ask.Prints, Hold, book.Numbers.Format),
            .. HeatVerdicts.Of(ask, book.RecipeFor(list.Id, ask), book, list.Product),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask),
        ];

    private static Reason TooLarge(Placement p, TransferPriceList list, ShopBook book)
    {
        var largest = list.Sizes.MaxBy(s => s.WidthIn * s.HeightIn)!;
        return new(
            "size-class",
            VerdictKind.No,
            $"{p.At().Name} {Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)}; {list.Supplier}'s largest "
                + $"is {Shown.Size(largest.WidthIn, largest.HeightIn, book.Numbers.Format)}",
            WouldWork: "a smaller print, or another supplier's list"
        );
    }

    private MethodAnswer BySize(
        AskInHand ask,
        ShopBook book,
        TransferPriceList list,
        IReadOnlyList<LaidPrint> prints,
        IReadOnlyList<Reason> reasons
    )
    {
        var buys = SizeBuy.Find(prints, list);
        prints = [.. prints.Select(p => buys.FirstOrDefault(b => b.MostKey == p.Key)?.Filled(p) ?? p)];
        var decorations = Decorations(ask, book, list, prints, null, laid =>
        {
            if (laid.Count == 0)
            {
                return (Lying(), []);
            }
            var p = laid.Print.Print;
            var place = p.At().Name;
            var size = list.SmallestHolding(p.WidthIn, p.HeightIn)!;
            var held = buys.First(b => b.Size == size).Break;
            var price = Figure.Input(
                "transfer-price",
                $"{size.Name}, from {held.From}",
                held.Price,
                FigureUnit.Money,
                Source(list)
            );
            return (
                laid.Each(price),
                [
                    new Purchase(
                        $"film-{p.Id}",
                        Text: $"{laid.Count} transfers {size.Name}, {place.ToLowerInvariant()} "
                            + $"{Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)}{(p.Own == OwnText.None ? "" : ", each its own name")}",
                        list.Supplier,
                        list.LeadDays,
                        laid.Count,
                        "transfers",
                        Figure.Of(
                            "buy",
                            place,
                            Money.Times(laid.Count, held.Price),
                            "transfers × price",
                            Figure.Input("count", "Transfers", laid.Count, FigureUnit.Count, laid.Why),
                            price
                        ),
                        null,
                        size
                    ),
                ]
            );
        });
        return new(Verdict.From(reasons), $"{list.Product} by size, {list.Supplier}", decorations);
    }

    private MethodAnswer ByLayout(
        AskInHand ask,
        ShopBook book,
        TransferPriceList list,
        LaidFilm film,
        IReadOnlyList<LaidPrint> prints,
        IReadOnlyList<Reason> reasons
    )
    {
        var decorations = Decorations(
            ask,
            book,
            list,
            prints,
            laid =>
                [
                    book
                        .Numbers.Floor.Standards()
                        .CutOut(
                            laid.Print.Print.WidthIn,
                            laid.Print.Print.HeightIn,
                            film.CutRound.GetValueOrDefault(laid.Key)
                        ),
                ],
            laid =>
                (
                    film.Shares.FirstOrDefault(s => s.DesignId == laid.Key) is { } share
                        ? laid.Each(share.ByArea with { Code = "transfer-price", Label = "Its part of the layout" })
                        : Lying(),
                    []
                )
        );
        var laid = new LaidPurchase(
            list.Id,
            On: film.On.Key,
            film.On.Ground,
            [.. film.Prints.Select(p => p.Design)],
            film.Bill,
            film.Found.UsedLengthIn,
            film.Found.Sheets,
            film.Found.OverFloor,
            film.IsSettled,
            film.On.Units(film.Bill),
            film.On.Roll?.Steps ?? film.On.Sheets
        );
        var roll = film.On.Roll is not null;
        var purchase = new Purchase(
            $"film-layout-{ask.Placements[0].Id}",
            Text: $"{film.Prints.Sum(p => p.Count)} prints on {Called(film.On, list, book)}",
            list.Supplier,
            list.LeadDays,
            roll ? film.Bill.BilledIn : film.Bill.Sheets,
            roll ? "in" : "sheets",
            film.Bill.Cost,
            null,
            null
        )
        {
            Laid = laid,
        };
        return new(
            Verdict.From(reasons),
            $"{list.Product} on {(roll ? "a roll" : $"sheets {film.On.Key}")}, {list.Supplier}",
            [decorations[0] with { Purchases = [purchase] }, .. decorations.Skip(1)]
        );
    }

    // every print lies in the drawer: nothing is bought
    private MethodAnswer OfDrawer(
        AskInHand ask,
        ShopBook book,
        TransferPriceList list,
        IReadOnlyList<LaidPrint> prints,
        IReadOnlyList<Reason> reasons
    ) =>
        new(
            Verdict.From(reasons),
            $"{list.Product} from the drawer",
            Decorations(ask, book, list, prints, null, _ => (Lying(), []))
        );

    private static Figure Lying() =>
        Figure.Input("transfer-price", "From the drawer", 0, FigureUnit.Money, "they lie here already");

    private List<DecorationPlan> Decorations(
        AskInHand ask,
        ShopBook book,
        TransferPriceList list,
        IReadOnlyList<LaidPrint> prints,
        Func<LaidPrint, IReadOnlyList<PressFloor.WorkStep>>? preparation,
        Func<LaidPrint, (Figure Print, IReadOnlyList<Purchase> Purchases)> print
    )
    {
        var (failure, steps, recipe) = (
            Failure(ask, book),
            book.Numbers.Floor.Standards(),
            book.RecipeFor(list.Id, ask)!
        );
        var freightPaid = prints.Any(p => p.Count > 0) ? list.FreightPerOrder : 0;
        var freight = FreightShare.Reckon(
            $"{char.ToUpperInvariant(Word[0])}{Word[1..]} freight",
            freightPaid,
            Source(list),
            ask
        );
        return [.. ask.Placements.Select((asked, i) => DecorationPlan.Of(ask, asked, steps, sized =>
                    {
                        var laid = prints.First(p =>
                            p.Print.Print.Id == sized.Print.Id && p.Print.Sizes.SequenceEqual(sized.Sizes)
                        );
                        var (each, purchases) = print(laid);
                        return new DecorationPlan(
                            sized.Print,
                            Figure.Sum("material", $"{sized.Print.At().Name} transfer", each, freight),
                            laid.Count + laid.Lying,
                            failure,
                            recipe,
                            steps.Transfer(recipe, i == 0 ? 0 : steps.Rethread(sized.Print.Seam(), ask.Style.Kind)),
                            preparation?.Invoke(laid) ?? [],
                            purchases,
                            Prepare: preparation is not null ? "Cut the film apart" : "",
                            SetUp: null,
                            BenchId: default
                        );
                    }))];
    }

    private static string Called(FilmGround on, TransferPriceList list, ShopBook book) =>
        on is { Roll: null, Ground.LengthIn: { } length }
            ? $"sheets {Shown.Size(on.Ground.WidthIn, length, book.Numbers.Format)} of "
                + $"{list.Product.ToLowerInvariant()}"
            : $"{list.Product.ToLowerInvariant()}, {Shown.Length(on.Ground.WidthIn, book.Numbers.Format)} wide";

    private static string Source(TransferPriceList list) => $"Shelf: {list.Supplier}";
}
