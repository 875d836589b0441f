using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Purchasing;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>The cost of a piece of one line by one method's plan, with its share of what the order pays once.</summary>
public static class LineCost
{
    /// <summary>The cost of a piece.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <param name="failure">Share of attempts spoiled at every decoration; null for the plan's own.</param>
    public static PieceCostResult Reckon(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book,
        double? failure = null
    ) => Reckon(Inputs(ask, decorations, book), failure);

    /// <summary>The cost of a piece from what it follows from, at another share of spoiled attempts.</summary>
    /// <param name="inputs">What it follows from.</param>
    /// <param name="failure">Share of attempts spoiled at every decoration that can spoil at all; null for the plan's
    /// own.</param>
    internal static PieceCostResult Reckon(PieceInputs inputs, double? failure) =>
        PieceCost.Reckon(
            failure is { } f
                ? inputs with
                {
                    Decorations =
                    [
                        .. inputs.Decorations.Select(a => a.FailureChance == 0 ? a : a with { FailureChance = f }),
                    ],
                }
                : inputs
        );

    /// <summary>Everything the cost of a piece follows from.</summary>
    internal static PieceInputs Inputs(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book)
    {
        var n = book.Numbers;
        var blanks = BlanksToBuy.Count(ask.Sizes, decorations);
        var press = LineFloor.WorkplaceOf(ask, decorations, book);
        var floor = LineFloor.MinutesOf(ask, decorations, book);
        var folding = n.Floor.Standards().After[1].Seconds * n.Floor.HandsFactor;
        var attempts = decorations
            .Select(
                (d, i) =>
                    new Attempt(
                        d.Placement.Id.Text,
                        Label: $"{d.Placement.At().Name}{(d.Finishes.IsNone ? "" : ", finishing press")}",
                        d.Material,
                        d.FailureChance,
                        floor.Attended[i] + WorkSteps.Attended(n.Floor.Habits.Apart(d.Preparation)),
                        PressSeconds: floor.Held[i] + WorkSteps.PressHeld(d.Preparation)
                    )
                    {
                        Bought = d.Bought,
                        SetUp = d.SetUp,
                        Stage = Mixed.Stage(d),
                        Hour =
                            d.BenchId == (press.IsBench() ? press.Id : "")
                                ? null
                                : HourOf(LineFloor.Bench(d.BenchId, book), book) with
                                {
                                    Code = $"hour-{d.BenchId}",
                                    Label = $"An hour of {LineFloor.Bench(d.BenchId, book).Name}",
                                },
                        Over = d.Placement.OnTopOf?.Text,
                        OneMore = d.OneMore,
                        BenchTime = d.BenchTime,
                    }
            )
            .ToList();
        return new(
            ask.Pieces,
            decorations.Any(d => d.BringsBlank)
                ? Figure.Input(
                    "blank",
                    "Blank",
                    0,
                    FigureUnit.Money,
                    decorations.Any(d => d.BenchId == Workbench.Sewing.Id)
                        ? "the cloth it is sewn from is in its print"
                        : "in the price of the printed piece"
                )
                : Landed(ask, blanks),
            Sundries(decorations, n),
            Packing(ask, book),
            floor.PrepAttended + folding,
            PrepPressSeconds: floor.PrepHeld,
            attempts,
            n.Rates.Wage,
            n.Rates.OverheadPerHour,
            HourOf(press, book),
            OrderMinutes(ask, ask.Placements.Count, book),
            FixedFees(ask, book)
        )
        {
            TimeSource = floor.Source,
            DecorationLabel = DecorationLabel(press, book),
            Place = press.IsBench() ? press.Name : "The press",
            BlanksBought = ReferenceEquals(blanks, ask.Sizes) || ask.Theirs ? 0 : SizeRun.Total(blanks),
        };
    }

    // what is bought beyond the pieces counts for the supplier's tiers and bears its freight
    private static string DecorationLabel(Press press, ShopBook book)
    {
        if (press.Id == Workbench.Table.Id)
        {
            return "Sent out";
        }
        return book.Machines().FirstOrDefault(m => m.Workbench?.Id == press.Id)?.WorkbenchMakes ?? "Print";
    }

    private static Figure Landed(AskInHand ask, IReadOnlyList<SizeCount> blanks) =>
        ReferenceEquals(blanks, ask.Sizes)
            ? LandedBlank.Reckon(ask)
            : LandedBlank.Reckon(ask with { Sizes = blanks }, "the ask, and what may be spoiled where they are sent");

    private static Figure HourOf(Press place, ShopBook book) =>
        place.Equipment.Cost(
            book.Numbers.Rates.TariffPerKwh,
            tending: book.TendingOf(new ThingId(place.Id.Text), place.Equipment)
        );

    /// <summary>How the whole order is packed, or null when nothing the shop has carries it.</summary>
    public static PackingChoice? Packed(AskInHand ask, ShopBook book)
    {
        var zone = ask.Shipping is { } s ? book.Carrier?.Find(s.Zone) : null;
        if (ask.Shipping is not null && zone is null)
        {
            return null;
        }
        var choices = Parcels.Choices(
            [.. ask.Order.Select(l => (l.Style, l.Pieces))],
            book.Numbers.Packing.Packagings,
            book.Carrier?.Carrier ?? "",
            zone
        );
        return choices.Count > 0 ? choices[0] : null;
    }

    /// <summary>Fees on the line, with its pieces' share of postage where that is charged beside the price.</summary>
    public static FeeTerms Fees(AskInHand ask, ShopBook book) =>
        book.Numbers.Fees.Terms(
            ask.Shipping is { InThePrice: false } ? (Packed(ask, book)?.Postage.Value ?? 0) / ask.OrderPieces : 0
        );

    private static Figure Sundries(IReadOnlyList<DecorationPlan> decorations, ShopNumbers n)
    {
        var own = Figure.Input(
            "consumables",
            "Sundries",
            n.Rates.ConsumablesPerStart,
            FigureUnit.Money,
            "Numbers: sundries"
        );
        if (decorations.All(d => !d.Recipe.IsPressed()))
        {
            return Figure.Input("consumables", "Sundries", 0, FigureUnit.Money, "nothing is pressed");
        }
        // dye prints carry their papers in their own price
        var covers = decorations
            .Where(d => d.Steps.All(s => s.Code != "tape"))
            .Select(
                (d, i) =>
                    n.Floor.Habits.CoverCost(d.Recipe) is { } cost
                        ? cost with
                        {
                            Code = $"covers-{i + 1}",
                            Label = $"{d.Placement.At().Name} covers",
                        }
                        : null
            )
            .OfType<Figure>()
            .ToList();
        return covers.Count == 0 ? own : Figure.Sum("consumables", "Sundries", [own, .. covers]);
    }

    private static Figure Packing(AskInHand ask, ShopBook book)
    {
        var own = Figure.Input(
            "packing-material",
            "Bag, label and card",
            book.Numbers.Packing.PerPiece,
            FigureUnit.Money,
            "Numbers: packing"
        );
        if (ask.Shipping is null || Packed(ask, book) is not { } way)
        {
            return own;
        }
        var pieces = Figure.Input("order-pieces", "Pieces of the order", ask.OrderPieces, FigureUnit.Count, "the ask");
        List<Figure> parts =
        [
            own,
            Figure.Of(
                "parcels",
                way.Packaging.Name,
                way.Material.Value / ask.OrderPieces,
                "packaging ÷ pieces of the order",
                way.Material,
                pieces
            ),
        ];
        if (ask.Shipping.InThePrice)
        {
            parts.Add(
                Figure.Of(
                    "postage-share",
                    "Postage, in the price",
                    way.Postage.Value / ask.OrderPieces,
                    "postage ÷ pieces of the order",
                    way.Postage,
                    pieces
                )
            );
        }
        return Figure.Sum("packing-material", "Packing", parts);
    }

    // what the order takes once is shared by its pieces: this line bears its pieces' part of it
    private static Share ShareOf(AskInHand ask) => new((decimal)ask.Pieces / ask.OrderPieces);

    private static Figure OrderMinutes(AskInHand ask, int artworks, ShopBook book)
    {
        var n = book.Numbers;
        var parcels = ask.Shipping is null ? 0 : Packed(ask, book)?.Parcels ?? 0;
        List<Figure> order =
        [
            Figure.Input("order", "An order", n.Rates.OrderMinutes, FigureUnit.Count, "Numbers: order time"),
        ];
        if (parcels > 0)
        {
            order.Add(
                Figure.Input(
                    "parcels",
                    $"{parcels} × a parcel",
                    parcels * n.Packing.ParcelMinutes,
                    FigureUnit.Count,
                    "Numbers: packing time"
                )
            );
        }
        if (ask.Order.Count > 1)
        {
            order =
            [
                new(
                    "order-share",
                    $"The order's own, {ask.Pieces} of {ask.OrderPieces} pieces",
                    order.Sum(p => p.Value) * ShareOf(ask),
                    FigureUnit.Count,
                    "minutes × this line's share of the pieces",
                    Source: "",
                    order
                ),
            ];
        }
        var mine = Figure.Input(
            "artworks",
            $"{artworks} × an artwork",
            n.Rates.ArtworkMinutes * artworks,
            FigureUnit.Count,
            "Numbers: artwork time"
        );
        return new(
            "order-minutes",
            "Minutes of the order",
            order.Sum(p => p.Value) + mine.Value,
            FigureUnit.Count,
            "an order + each artwork",
            Source: "",
            [.. order, mine]
        );
    }

    private static Figure FixedFees(AskInHand ask, ShopBook book)
    {
        var n = book.Numbers;
        var payments = n.Terms.DepositShare.Part is > 0 and < 1 ? 2 : 1;
        List<Figure> parts =
        [
            Figure.Input("fee", "A payment", n.Fees.Fixed, FigureUnit.Money, "Numbers: fees"),
            Figure.Input("payments", "Payments", payments, FigureUnit.Count, "deposit and balance"),
        ];
        if (ask.Order.Count > 1)
        {
            parts.Add(
                Figure.Input(
                    "share",
                    $"{ask.Pieces} of {ask.OrderPieces} pieces",
                    ShareOf(ask).Part,
                    FigureUnit.Share,
                    "the ask"
                )
            );
        }
        return Figure.Of(
            "fees",
            "Fixed card fees",
            n.Fees.Fixed * payments * ShareOf(ask),
            ask.Order.Count > 1 ? "fee × payments × share" : "fee × payments",
            parts
        );
    }
}
