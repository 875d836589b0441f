using Hepno.Core.Blanks;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>A style as typed.</summary>
internal sealed record StyleBody(
    string Name,
    string Supplier,
    GarmentKind Kind,
    IReadOnlyList<FabricBody> Fabric,
    double WeightGsm,
    double HeatCeilingF,
    decimal UnitPrice,
    decimal FreightPerOrder,
    int LeadDays,
    IReadOnlyList<ColourwayBody> Colourways,
    IReadOnlyList<StyleSizeBody> Sizes,
    bool Retired,
    IReadOnlyList<OnHandBody>? OnHand = null,
    ClothBody? Cloth = null,
    BuyingBody? Buying = null
)
{
    public Style ToCore(string id) =>
        new(
            new StyleId(id),
            Name.Trim(),
            Supplier: Supplier.Trim(),
            Kind,
            [.. Fabric.Select(f => new FabricShare(f.Fibre, f.Percent))],
            WeightGsm,
            HeatCeilingF,
            UnitPrice,
            FreightPerOrder,
            LeadDays,
            [.. Colourways.Select(c => new Colourway(new ColourwayId(c.Id), c.Name, c.Hex, c.Class))],
            [.. Sizes.Select(s => new StyleSize(s.Name, s.Surcharge))],
            Retired
        )
        {
            OnHand = [.. (OnHand ?? []).Select(o => new OnHand(o.ColourwayId, o.Size, o.Pieces))],
            Cloth = Cloth is { } c ? new(c.Thickness, c.Migration, [.. c.Features.Distinct()], c.Origin.Trim()) : null,
            Buying = Buying is { } b
                ? new(
                    [.. b.Tiers.Select(t => new PriceTier(t.FromPieces, t.FromValue, t.Price))],
                    b.FreeFreightFrom,
                    b.PackOf,
                    b.CutOff,
                    b.CodePrice,
                    b.CodeUntil,
                    b.ValueAtList
                )
                : null,
        };
}

/// <summary>What else is known of a style's cloth and make.</summary>
internal sealed record ClothBody(
    Thickness? Thickness,
    Migration Migration,
    IReadOnlyList<Feature> Features,
    string Origin = ""
);

/// <summary>How a style is bought beside its list price: null where nothing is said.</summary>
internal sealed record BuyingBody(
    IReadOnlyList<TierBody> Tiers,
    decimal? FreeFreightFrom,
    int PackOf,
    LocalTime? CutOff,
    decimal? CodePrice,
    LocalDate? CodeUntil,
    bool ValueAtList = false
);

/// <summary>A lower price from so many pieces, or from so much value; the other is 0.</summary>
internal sealed record TierBody(int FromPieces, decimal FromValue, decimal Price);

/// <summary>Pieces that lie in the shop.</summary>
internal sealed record OnHandBody(ColourwayId ColourwayId, string Size, int Pieces);

/// <summary>A fibre and its share, percent.</summary>
internal sealed record FabricBody(Fibre Fibre, double Percent);

/// <summary>A colour.</summary>
internal sealed record ColourwayBody(string Id, string Name, string Hex, ColourClass Class);

/// <summary>A size with its surcharge.</summary>
internal sealed record StyleSizeBody(string Name, decimal Surcharge);

/// <summary>A price list of bought film.</summary>
internal sealed record FilmBody(
    string Supplier,
    string Product,
    IReadOnlyList<FilmSizeBody> Sizes,
    decimal FreightPerOrder,
    int LeadDays,
    FilmByLayoutBody? ByLayout = null,
    TransferKind Kind = TransferKind.Film,
    bool SoldBelow = false
)
{
    public TransferPriceList ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            Product: Product.Trim(),
            [
                .. Sizes.Select(s => new TransferSize(
                    s.Name,
                    s.WidthIn,
                    s.HeightIn,
                    [.. s.Breaks.Select(b => b.ToCore())]
                )),
            ],
            FreightPerOrder,
            LeadDays
        )
        {
            ByLayout = ByLayout is not { } l
                ? null
                : new(
                    l.GapIn,
                    l.MarginIn,
                    l.Roll is not { } r
                        ? null
                        : new(
                            r.WidthIn,
                            r.StepIn,
                            [.. r.Steps.Select(b => b.ToCore())],
                            [.. r.Lengths.Select(s => new SetLength(s.LengthIn, s.Price))]
                        ),
                    [
                        .. l.Sheets.Select(s => new FilmSheet(
                            s.Name.Trim(),
                            s.WidthIn,
                            s.LengthIn,
                            [.. s.Breaks.Select(b => b.ToCore())]
                        )),
                    ]
                ),
            Kind = Kind,
            SoldBelow = SoldBelow,
        };
}

/// <summary>A transfer the shop keeps on hand.</summary>
internal sealed record KeptPrintBody(
    string Name,
    double WidthIn,
    double HeightIn,
    DesignId? DesignId,
    ThingId ProductId,
    int Keep,
    int GoodDays,
    IReadOnlyList<PrintLotBody> Lots
)
{
    public KeptPrint ToCore(string id) =>
        new KeptPrint(
            new KeptPrintId(id),
            Name.Trim(),
            WidthIn,
            HeightIn,
            DesignId,
            ProductId,
            Keep,
            GoodDays,
            [.. Lots.Select(l => new PrintLot(l.Count, l.On, l.Order.Trim()))]
        );
}

/// <summary>A piece of vinyl that was left over.</summary>
internal sealed record RemnantBody(
    ThingId VinylId,
    string Colour,
    double WidthIn,
    double LengthIn,
    LocalDate Since,
    string From = "",
    bool IsGone = false
)
{
    public VinylRemnant ToCore(string id) =>
        new VinylRemnant(new RemnantId(id), VinylId, Colour.Trim(), WidthIn, LengthIn, Since, From.Trim(), IsGone);
}

/// <summary>A piece of vinyl that an order uses.</summary>
internal sealed record RemnantUseView(RemnantId RemnantId, string Order);

/// <summary>Transfers counted in, or out when negative.</summary>
internal sealed record PrintLotBody(int Count, LocalDate On, string Order = "");

/// <summary>Film sold for layouts of one's own: a roll, sheets, or both.</summary>
internal sealed record FilmByLayoutBody(
    double GapIn,
    double MarginIn,
    FilmRollBody? Roll,
    IReadOnlyList<FilmSheetBody> Sheets
);

/// <summary>Film sold by length: steps with their price, or set lengths.</summary>
internal sealed record FilmRollBody(
    double WidthIn,
    double StepIn,
    IReadOnlyList<BreakBody> Steps,
    IReadOnlyList<SetLengthBody> Lengths
);

/// <summary>A sheet of film.</summary>
internal sealed record FilmSheetBody(string Name, double WidthIn, double LengthIn, IReadOnlyList<BreakBody> Breaks);

/// <summary>A size class with its price breaks.</summary>
internal sealed record FilmSizeBody(string Name, double WidthIn, double HeightIn, IReadOnlyList<BreakBody> Breaks);

/// <summary>From so many on, each costs so much.</summary>
internal sealed record BreakBody(int From, decimal Price)
{
    public PriceBreak ToCore() => new(From, Price);
}

/// <summary>A vinyl roll.</summary>
internal sealed record VinylBody(
    string Supplier,
    string Product,
    double UsableWidthIn,
    decimal PricePerFoot,
    double WeedingMarginIn,
    decimal FreightPerOrder,
    int LeadDays,
    bool SharedMargin = false,
    bool Blocks = false,
    VinylFinish Finish = VinylFinish.Plain
)
{
    public VinylFilm ToCore(string id) =>
        new VinylFilm(
            new ThingId(id),
            Supplier.Trim(),
            Product: Product.Trim(),
            UsableWidthIn,
            PricePerFoot,
            WeedingMarginIn,
            FreightPerOrder,
            LeadDays
        )
        {
            SharedMargin = SharedMargin,
            Blocks = Blocks,
            Finish = Finish,
        };
}

/// <summary>A price list of screen-printed transfers.</summary>
internal sealed record ScreenBody(
    string Supplier,
    string Product,
    ScreenFormula Formula,
    IReadOnlyList<ScreenSheetBody> Sheets,
    decimal SetUpPerColour,
    bool CountsWhite,
    int LeastSheets,
    decimal FreightPerOrder,
    int LeadDays
)
{
    public ScreenTransferList ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            Product: Product.Trim(),
            Formula,
            [
                .. Sheets.Select(s => new ScreenSheet(
                    s.Name,
                    s.WidthIn,
                    s.HeightIn,
                    [
                        .. s.Prices.Select(p => new ColourPrices(
                            p.Colours,
                            [.. p.Breaks.Select(k => new PriceBreak(k.From, k.Price))]
                        )),
                    ]
                )),
            ],
            SetUpPerColour,
            CountsWhite,
            LeastSheets,
            FreightPerOrder,
            LeadDays
        );
}

/// <summary>A sheet with its prices by colours.</summary>
internal sealed record ScreenSheetBody(
    string Name,
    double WidthIn,
    double HeightIn,
    IReadOnlyList<ColourPricesBody> Prices
);

/// <summary>Prices in so many colours.</summary>
internal sealed record ColourPricesBody(int Colours, IReadOnlyList<BreakBody> Breaks);

/// <summary>A transfer paper.</summary>
internal sealed record PaperBody(
    string Supplier,
    string Product,
    PaperKind Kind,
    double SheetWidthIn,
    double SheetHeightIn,
    double MarginIn,
    double MarksIn,
    double BleedIn,
    decimal SheetPrice,
    decimal FreightPerOrder,
    int LeadDays
)
{
    public TransferPaper ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            Product: Product.Trim(),
            Kind,
            SheetWidthIn,
            SheetHeightIn,
            MarginIn,
            MarksIn,
            BleedIn,
            SheetPrice,
            FreightPerOrder,
            LeadDays
        );
}

/// <summary>A screen printer that work is sent out to.</summary>
internal sealed record OutsidePrinterBody(
    string Supplier,
    decimal SetUpPerScreen,
    IReadOnlyList<ColourPricesBody> Prices,
    int LeastPieces,
    double SpareShare,
    decimal FreightThere,
    decimal FreightBack,
    int LeadDays,
    double MostWidthIn,
    double MostHeightIn,
    decimal? RepeatPerScreen = null,
    int KeepsMonths = 12,
    IReadOnlyList<OwnBlankBody>? Blanks = null
)
{
    public OutsidePrinter ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            SetUpPerScreen,
            [.. Prices.Select(p => new ColourPrices(p.Colours, [.. p.Breaks.Select(b => b.ToCore())]))],
            LeastPieces,
            SpareShare,
            FreightThere,
            FreightBack,
            LeadDays,
            MostWidthIn,
            MostHeightIn
        )
        {
            RepeatPerScreen = RepeatPerScreen,
            KeepsMonths = KeepsMonths,
            Blanks = Blanks is { Count: > 0 } own ? [.. own.Select(b => new OwnBlank(b.Kind, b.Price))] : [],
        };
}

/// <summary>A blank of its own.</summary>
internal sealed record OwnBlankBody(GarmentKind Kind, decimal Price);

/// <summary>A service that prints on demand.</summary>
internal sealed record PodServiceBody(
    string Supplier,
    IReadOnlyList<PodPriceBody> Prices,
    decimal FurtherPlacement,
    decimal PostageFirst,
    decimal PostageFurther,
    int MakingDays,
    int TransitDays,
    double OrderMinutes,
    double MostWidthIn,
    double MostHeightIn
)
{
    public PodService ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            [.. Prices.Select(p => new PodPrice(p.Kind, p.Price))],
            FurtherPlacement,
            PostageFirst,
            PostageFurther,
            MakingDays,
            TransitDays,
            OrderMinutes,
            MostWidthIn,
            MostHeightIn
        );
}

/// <summary>What it asks for one kind of garment.</summary>
internal sealed record PodPriceBody(GarmentKind Kind, decimal Price);

/// <summary>Cloth by the roll.</summary>
internal sealed record RollClothBody(
    string Supplier,
    string Product,
    double PolyesterPercent,
    double WeightGsm,
    double WidthIn,
    decimal PricePerFoot,
    double StepIn,
    double ShrinkShare,
    decimal FreightPerOrder,
    int LeadDays
)
{
    public RollCloth ToCore(string id) =>
        new(
            new ThingId(id),
            Supplier.Trim(),
            Product: Product.Trim(),
            PolyesterPercent,
            WeightGsm,
            WidthIn,
            PricePerFoot,
            StepIn,
            ShrinkShare,
            FreightPerOrder,
            LeadDays
        );
}
