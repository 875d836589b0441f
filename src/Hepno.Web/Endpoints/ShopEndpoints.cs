using System.Text.Json;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Stock;
using Hepno.Core.Sending;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Devices;

namespace Hepno.Web.Endpoints;

/// <summary>A customer as typed.</summary>
internal sealed record CustomerBody(string Name, string Contact, string Address = "", string TaxExempt = "", int AccountDays = 0);

/// <summary>Everything known of a customer.</summary>
internal sealed record CustomerExport(Customer Customer, IReadOnlyList<OrderExport> Orders);

/// <summary>One of their orders.</summary>
internal sealed record OrderExport(string Code, DateTime CreatedAt, Ask Ask, OrderFacts Facts, IReadOnlyList<QuoteExport> Quotes);

/// <summary>A quote they were sent.</summary>
internal sealed record QuoteExport(DateTime SentAt, DateTime? WithdrawnAt, QuoteDocument Document);

/// <summary>A style as typed.</summary>
internal sealed record StyleBody(string Name, string Supplier, GarmentKind Kind, IReadOnlyList<FabricBody> Fabric, double WeightGsm, double HeatCeilingF, decimal UnitPrice, decimal FreightPerOrder, int LeadDays, IReadOnlyList<ColourwayBody> Colourways, IReadOnlyList<StyleSizeBody> Sizes, bool Retired, IReadOnlyList<OnHandBody>? OnHand = null, ClothBody? Cloth = null, BuyingBody? Buying = null)
{
    public Style ToCore(string id) => new(id, Name.Trim(), Supplier.Trim(), Kind, [.. Fabric.Select(f => new FabricShare(f.Fibre, f.Percent))], WeightGsm, HeatCeilingF, UnitPrice, FreightPerOrder, LeadDays,
        [.. Colourways.Select(c => new Colourway(c.Id, c.Name, c.Hex, c.Class))], [.. Sizes.Select(s => new StyleSize(s.Name, s.Surcharge))], Retired, OnHand?.Select(o => new OnHand(o.ColourwayId, o.Size, o.Pieces)).ToList(),
        Cloth is { } c ? new(c.Thickness, c.Migration, [.. c.Features.Distinct()], c.Origin.Trim()) : null,
        Buying is { } b ? new([.. b.Tiers.Select(t => new PriceTier(t.FromPieces, t.FromValue, t.Price))], b.FreeFreightFrom, b.PackOf, b.CutOff, b.CodePrice, b.CodeUntil) : null);
}

/// <summary>What else is known of a style's cloth and make.</summary>
internal sealed record ClothBody(Thickness? Thickness, Migration Migration, IReadOnlyList<Feature> Features, string Origin = "");

/// <summary>How a style is bought beside its list price: null where nothing is said.</summary>
internal sealed record BuyingBody(IReadOnlyList<TierBody> Tiers, decimal? FreeFreightFrom, int PackOf, TimeOnly? CutOff, decimal? CodePrice, DateOnly? CodeUntil);

/// <summary>A lower price from so many pieces, or from so much value; the other is 0.</summary>
internal sealed record TierBody(int FromPieces, decimal FromValue, decimal Price);

/// <summary>Pieces that lie in the shop.</summary>
internal sealed record OnHandBody(string ColourwayId, string Size, int Pieces);

/// <summary>A fibre and its share, percent.</summary>
internal sealed record FabricBody(Fibre Fibre, double Percent);

/// <summary>A colour.</summary>
internal sealed record ColourwayBody(string Id, string Name, string Hex, ColourClass Class);

/// <summary>A size with its surcharge.</summary>
internal sealed record StyleSizeBody(string Name, decimal Surcharge);

/// <summary>A price list of bought film.</summary>
internal sealed record FilmBody(string Supplier, string Product, IReadOnlyList<FilmSizeBody> Sizes, decimal FreightPerOrder, int LeadDays, FilmByLayoutBody? ByLayout = null, TransferKind Kind = TransferKind.Film)
{
    public TransferPriceList ToCore(string id) => new(id, Supplier.Trim(), Product.Trim(), [.. Sizes.Select(s => new TransferSize(s.Name, s.WidthIn, s.HeightIn, [.. s.Breaks.Select(b => b.ToCore())]))], FreightPerOrder, LeadDays,
        ByLayout is not { } l ? null : new(l.GapIn, l.MarginIn, l.Roll is not { } r ? null : new(r.WidthIn, r.StepIn, [.. r.Steps.Select(b => b.ToCore())], [.. r.Lengths.Select(s => new SetLength(s.LengthIn, s.Price))]),
            [.. l.Sheets.Select(s => new FilmSheet(s.Name.Trim(), s.WidthIn, s.LengthIn, [.. s.Breaks.Select(b => b.ToCore())]))]), Kind);
}

/// <summary>A transfer the shop keeps on hand.</summary>
internal sealed record KeptPrintBody(string Name, double WidthIn, double HeightIn, string? DesignId, string ProductId, int Keep, int GoodDays, IReadOnlyList<PrintLotBody> Lots);

/// <summary>A piece of vinyl that was left over.</summary>
internal sealed record RemnantBody(string VinylId, string Colour, double WidthIn, double LengthIn, DateOnly Since, string From = "", bool IsGone = false);

/// <summary>A piece of vinyl that an order uses.</summary>
internal sealed record RemnantUseView(string RemnantId, string Order);

/// <summary>Transfers counted in, or out when negative.</summary>
internal sealed record PrintLotBody(int Count, DateOnly On, string Order = "");

/// <summary>Film sold for layouts of one's own: a roll, sheets, or both.</summary>
internal sealed record FilmByLayoutBody(double GapIn, double MarginIn, FilmRollBody? Roll, IReadOnlyList<FilmSheetBody> Sheets);

/// <summary>Film sold by length: steps with their price, or set lengths.</summary>
internal sealed record FilmRollBody(double WidthIn, double StepIn, IReadOnlyList<BreakBody> Steps, IReadOnlyList<SetLengthBody> Lengths);

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
internal sealed record VinylBody(string Supplier, string Product, double UsableWidthIn, decimal PricePerFoot, double WeedingMarginIn, decimal FreightPerOrder, int LeadDays, bool SharedMargin = false, bool Blocks = false);

/// <summary>A price list of screen-printed transfers.</summary>
internal sealed record ScreenBody(string Supplier, string Product, ScreenFormula Formula, IReadOnlyList<ScreenSheetBody> Sheets, decimal SetUpPerColour, bool CountsWhite, int LeastSheets, decimal FreightPerOrder, int LeadDays)
{
    public ScreenTransferList ToCore(string id) => new(id, Supplier.Trim(), Product.Trim(), Formula, [.. Sheets.Select(s => new ScreenSheet(s.Name, s.WidthIn, s.HeightIn, [.. s.Prices.Select(p => new ColourPrices(p.Colours, [.. p.Breaks.Select(k => new PriceBreak(k.From, k.Price))]))]))],
        SetUpPerColour, CountsWhite, LeastSheets, FreightPerOrder, LeadDays);
}

/// <summary>A sheet with its prices by colours.</summary>
internal sealed record ScreenSheetBody(string Name, double WidthIn, double HeightIn, IReadOnlyList<ColourPricesBody> Prices);

/// <summary>Prices in so many colours.</summary>
internal sealed record ColourPricesBody(int Colours, IReadOnlyList<BreakBody> Breaks);

/// <summary>A film printer with what it takes.</summary>
internal sealed record FilmPrinterBody(string Name, double RollWidthIn, double GapIn, double SpeedIn2PerMinute, double ColourMlPerIn2, decimal ColourPricePerMl, double WhiteMlPerIn2, decimal WhitePricePerMl, bool WhiteOnLight, decimal FilmPricePerIn2, double PowderGPerIn2, decimal PowderPricePerG,
    double CleaningMlPerDay, decimal CleaningPricePerMl, double PrintsPerDay, FilmCure Cure, EquipmentBody Equipment, string Cautions)
{
    public FilmPrinter ToCore(string id) => new(id, Name.Trim(), RollWidthIn, GapIn, SpeedIn2PerMinute, ColourMlPerIn2, ColourPricePerMl, WhiteMlPerIn2, WhitePricePerMl, WhiteOnLight, FilmPricePerIn2, PowderGPerIn2, PowderPricePerG,
        CleaningMlPerDay, CleaningPricePerMl, PrintsPerDay, Cure, Equipment.ToCore(), Cautions);
}

/// <summary>A dye printer with what it takes.</summary>
internal sealed record DyePrinterBody(string Name, double SpeedIn2PerMinute, double InkMlPerIn2, decimal InkPricePerMl, double SheetWidthIn, double SheetHeightIn, double SheetMarginIn, decimal SheetPrice, double TapeInPerPrint, decimal TapePricePerIn, decimal ProtectionPrice, EquipmentBody Equipment, string Cautions)
{
    public DyePrinter ToCore(string id) => new(id, Name.Trim(), SpeedIn2PerMinute, InkMlPerIn2, InkPricePerMl, SheetWidthIn, SheetHeightIn, SheetMarginIn, SheetPrice, TapeInPerPrint, TapePricePerIn, ProtectionPrice, Equipment.ToCore(), Cautions);
}

/// <summary>An inkjet printer for transfer paper.</summary>
internal sealed record PaperPrinterBody(string Name, double SpeedIn2PerMinute, double WidestIn, double InkMlPerIn2, decimal InkPricePerMl, EquipmentBody Equipment, string Cautions)
{
    public PaperPrinter ToCore(string id) => new(id, Name.Trim(), SpeedIn2PerMinute, WidestIn, InkMlPerIn2, InkPricePerMl, Equipment.ToCore(), Cautions);
}

/// <summary>A direct-to-garment printer with what it takes.</summary>
internal sealed record GarmentPrinterBody(string Name, double SpeedIn2PerMinute, double MostWidthIn, double MostHeightIn, double ColourMlPerIn2, decimal ColourPricePerMl, double WhiteMlPerIn2, decimal WhitePricePerMl, double PretreatMlPerIn2, decimal PretreatPricePerMl, EquipmentBody Equipment, string Cautions)
{
    public GarmentPrinter ToCore(string id) => new(id, Name.Trim(), SpeedIn2PerMinute, MostWidthIn, MostHeightIn, ColourMlPerIn2, ColourPricePerMl, WhiteMlPerIn2, WhitePricePerMl, PretreatMlPerIn2, PretreatPricePerMl, Equipment.ToCore(), Cautions);
}

/// <summary>An embroidery machine with its thread and backing.</summary>
internal sealed record StitchMachineBody(string Name, double StitchesPerMinute, int Heads, int Needles, double HoopWidthIn, double HoopHeightIn, bool TakesCaps, decimal ThreadPerThousand, decimal BackingPerPiece, decimal DigitisingPerDesign, EquipmentBody Equipment, string Cautions, decimal? AppliqueFilmPerIn2 = null)
{
    public StitchMachine ToCore(string id) => new(id, Name.Trim(), StitchesPerMinute, Heads, Needles, HoopWidthIn, HoopHeightIn, TakesCaps, ThreadPerThousand, BackingPerPiece, DigitisingPerDesign, Equipment.ToCore(), Cautions, AppliqueFilmPerIn2);
}

/// <summary>A transfer paper.</summary>
internal sealed record PaperBody(string Supplier, string Product, PaperKind Kind, double SheetWidthIn, double SheetHeightIn, double MarginIn, double MarksIn, double BleedIn, decimal SheetPrice, decimal FreightPerOrder, int LeadDays)
{
    public TransferPaper ToCore(string id) => new(id, Supplier.Trim(), Product.Trim(), Kind, SheetWidthIn, SheetHeightIn, MarginIn, MarksIn, BleedIn, SheetPrice, FreightPerOrder, LeadDays);
}

/// <summary>A screen printer that work is sent out to.</summary>
internal sealed record OutsidePrinterBody(string Supplier, decimal SetUpPerScreen, IReadOnlyList<ColourPricesBody> Prices, int LeastPieces, double SpareShare, decimal FreightThere, decimal FreightBack, int LeadDays, double MostWidthIn, double MostHeightIn, decimal? RepeatPerScreen = null, int KeepsMonths = 12, IReadOnlyList<OwnBlankBody>? Blanks = null)
{
    public OutsidePrinter ToCore(string id) => new(id, Supplier.Trim(), SetUpPerScreen, [.. Prices.Select(p => new ColourPrices(p.Colours, [.. p.Breaks.Select(b => b.ToCore())]))], LeastPieces, SpareShare, FreightThere, FreightBack, LeadDays, MostWidthIn, MostHeightIn, RepeatPerScreen, KeepsMonths, Blanks is { Count: > 0 } own ? [.. own.Select(b => new OwnBlank(b.Kind, b.Price))] : null);
}

/// <summary>A blank of its own.</summary>
internal sealed record OwnBlankBody(GarmentKind Kind, decimal Price);

/// <summary>A service that prints on demand.</summary>
internal sealed record PodServiceBody(string Supplier, IReadOnlyList<PodPriceBody> Prices, decimal FurtherPlacement, decimal PostageFirst, decimal PostageFurther, int MakingDays, int TransitDays, double OrderMinutes, double MostWidthIn, double MostHeightIn)
{
    public PodService ToCore(string id) => new(id, Supplier.Trim(), [.. Prices.Select(p => new PodPrice(p.Kind, p.Price))], FurtherPlacement, PostageFirst, PostageFurther, MakingDays, TransitDays, OrderMinutes, MostWidthIn, MostHeightIn);
}

/// <summary>What it asks for one kind of garment.</summary>
internal sealed record PodPriceBody(GarmentKind Kind, decimal Price);

/// <summary>Cloth by the roll.</summary>
internal sealed record RollClothBody(string Supplier, string Product, double PolyesterPercent, double WeightGsm, double WidthIn, decimal PricePerFoot, double StepIn, double ShrinkShare, decimal FreightPerOrder, int LeadDays)
{
    public RollCloth ToCore(string id) => new(id, Supplier.Trim(), Product.Trim(), PolyesterPercent, WeightGsm, WidthIn, PricePerFoot, StepIn, ShrinkShare, FreightPerOrder, LeadDays);
}

/// <summary>A calender with its roll printer.</summary>
internal sealed record CalenderBody(string Name, double PaperWidthIn, decimal PaperPricePerFoot, double PrintIn2PerMinute, double InkMlPerIn2, decimal InkPricePerMl, double InPerMinute, decimal NotionsPerPiece, EquipmentBody Equipment, string Cautions)
{
    public Calender ToCore(string id) => new(id, Name.Trim(), PaperWidthIn, PaperPricePerFoot, PrintIn2PerMinute, InkMlPerIn2, InkPricePerMl, InPerMinute, NotionsPerPiece, Equipment.ToCore(), Cautions);
}

/// <summary>A cutter.</summary>
internal sealed record CutterBody(string Name, double CutWidthIn, double SpeedIn2PerMinute, EquipmentBody Equipment, string Cautions);

/// <summary>A press.</summary>
internal sealed record PressBody(string Name, string Kind, double PlatenWidthIn, double PlatenHeightIn, double WarmUpMinutes, double RiseFPerMinute, double DropFPerMinute, double? OffsetF, EquipmentBody Equipment, string Cautions, IReadOnlyList<LowerBody>? Lowers = null, IReadOnlyList<PlatenMapBody>? Maps = null, IReadOnlyList<DialBody>? Dials = null, bool LoadsBeside = false,
    IReadOnlyList<AccessoryBody>? Accessories = null);

/// <summary>A pillow, foam or cover sheet; uses 0 for one nobody counts.</summary>
internal sealed record AccessoryBody(string Name, AccessoryKind Kind, double WidthIn, double HeightIn, double ThicknessIn, int Uses, DateOnly Since);

/// <summary>What the dial says for a pressure on a thickness, lower platen and pillow; an empty platen is the press's own, an empty pillow nothing.</summary>
internal sealed record DialBody(string Pressure, Thickness Thickness, string Lower, double Dial, string Pillow = "");

/// <summary>A lower platen.</summary>
internal sealed record LowerBody(string Name, double WidthIn, double HeightIn);

/// <summary>What a machine costs.</summary>
internal sealed record EquipmentBody(decimal PriceNew, decimal Resale, double UsefulYears, double ProductiveHoursAYear, double PowerKw, double DutyShare, decimal UpkeepPerHour)
{
    public EquipmentHour ToCore() => new(PriceNew, Resale, UsefulYears, ProductiveHoursAYear, PowerKw, DutyShare, UpkeepPerHour);
}

/// <summary>A recipe.</summary>
internal sealed record RecipeBody(string ProductId, string Revision, RecipeFabric Fabric, double TemperatureF, double DwellSeconds, double DwellSlackSeconds, string Pressure, double PrePressSeconds, Peel Peel, double PeelAfterSeconds, double SecondPressSeconds, string Side, RecipeSource Source, DateOnly AsOf, string Caution, Cover Cover = Cover.None, bool NeverAgain = false, double? PeelWindowSeconds = null, IReadOnlyList<RecipeParameterBody>? Parameters = null);

/// <summary>A product tested on a blank.</summary>
internal sealed record SpotTestBody(string ProductId, string StyleId, string ColourwayId, double TemperatureF, double DwellSeconds, string Pressure, DateOnly Day, string By, bool Sticks, bool Scorched, Bleeding Bleeding, string Feel, string Note, IReadOnlyList<WashBody>? Washes = null, string GarmentId = "", IReadOnlyList<TestPhotoBody>? Photos = null)
{
    public SpotTest ToCore(string id) => new(id, ProductId, StyleId, ColourwayId, TemperatureF, DwellSeconds, Pressure, Day, By.Trim(), Sticks, Scorched, Bleeding, Feel.Trim(), Note.Trim(), Washes is { Count: > 0 } ? [.. Washes.Select(w => new WashResult(w.Day, w.Washes, w.Verdict)).OrderBy(w => w.Washes)] : null, GarmentId, Photos is { Count: > 0 } ? [.. Photos.Select(p => new TestPhoto(p.Id, p.Hash, p.Washes))] : null);
}

/// <summary>A photograph that was sent before.</summary>
internal sealed record TestPhotoBody(string Id, string Hash, int Washes);

/// <summary>A garment kept for tests.</summary>
internal sealed record TestGarmentBody(string Name, string Fabric, int Pieces, string Note);

/// <summary>Where one figure of a recipe comes from.</summary>
internal sealed record RecipeParameterBody(string Name, RecipeSource Source, DateOnly AsOf, string Note = "");

/// <summary>What a tested print looked like after some washes.</summary>
internal sealed record WashBody(DateOnly Day, int Washes, WashVerdict Verdict);

/// <summary>The shop's numbers.</summary>
internal sealed record NumbersBody(string ShopName, string Address, string Contact, FormatBody Format, string Paper, string TimeZone, decimal Wage, decimal OverheadPerHour, decimal TariffPerKwh, decimal ConsumablesPerStart, decimal PackingPerPiece, double OrderMinutes, double ArtworkMinutes,
    decimal FeeShare, decimal FeeFixed, decimal TaxShare, decimal MinimumCharge, decimal RoundingStep, decimal DepositShare, int ValidityDays, double SlowTenthShare, IReadOnlyList<DayBody> Week,
    PolicyBody Retail, PolicyBody Wholesale, decimal LeastMarginShare, FeeBase FeeBase, InversionRule Inversion, IReadOnlyList<PackagingBody>? Packagings = null, double ParcelMinutes = 4, SizePricing SizePricing = SizePricing.Averaged,
    IReadOnlyList<PersonBody>? People = null, IReadOnlyList<FixedCostBody>? FixedCosts = null, double ProductiveShare = 0.6, IReadOnlyList<int>? TierSteps = null,
    double HandsFactor = 1, IReadOnlyList<SpoilageBody>? Spoilage = null, double SwapMinutes = 3, double DialMinutes = 2, bool SetUpWhileHeating = true, decimal TheirsPerPiece = 0, FloorBody? Floor = null, decimal RuleOfThumb = 3);

/// <summary>How the shop works at its presses; times and covers in seconds and money.</summary>
internal sealed record FloorBody(FloorPolicy Policy, bool FirstPiece, int RackPlaces, bool Measured, bool ColdPlate, bool HandsOnOnly, SecondHabit Second, IReadOnlyList<StepTimeBody>? Times = null, IReadOnlyList<CoverPriceBody>? Covers = null, bool TestFirst = true, bool PrepareBeside = false)
{
    public FloorHabits ToCore() => new(Policy, FirstPiece, RackPlaces, Measured, ColdPlate, HandsOnOnly, Second, Times is { Count: > 0 } ? [.. Times.Select(t => new StepTime(t.Code, t.Seconds))] : null,
        Covers is { Count: > 0 } ? [.. Covers.Select(c => new CoverPrice(c.Cover, c.Price, c.Uses))] : null, TestFirst, PrepareBeside);
}

/// <summary>Seconds of one step.</summary>
internal sealed record StepTimeBody(string Code, double Seconds);

/// <summary>What a cover costs and how often it is used.</summary>
internal sealed record CoverPriceBody(Cover Cover, decimal Price, int Uses);

/// <summary>A share of spoiled attempts the shop has learned.</summary>
internal sealed record SpoilageBody(string MethodId, double Share);

/// <summary>One who works in the shop.</summary>
internal sealed record PersonBody(string Id, string Name, decimal Wage, decimal OnCostsShare, IReadOnlyList<DayBody> Week, TimeOnly? LunchFrom, int LunchMinutes, IReadOnlyList<DateOnly> DaysOff);

/// <summary>Something paid every month.</summary>
internal sealed record FixedCostBody(string Name, decimal PerMonth);

/// <summary>A mailer or box.</summary>
internal sealed record PackagingBody(string Name, double MostTees, double MostGrams, double OwnGrams, decimal Price);

/// <summary>The two rates of an hour of hands.</summary>
internal sealed record RatesView(Figure Labour, Figure Overhead);

/// <summary>A channel's price policy.</summary>
internal sealed record PolicyBody(PolicyKind Kind, decimal MarginShare, decimal Multiple, MultipleBase Of, decimal PerHour)
{
    public PricePolicy ToCore() => new(Kind, MarginShare, Multiple, Of, PerHour);
}

/// <summary>How figures are written.</summary>
internal sealed record FormatBody(string Sign, bool SignAfter, string DecimalMark, string GroupMark, int MinorDigits, bool DayFirst, bool TwelveHours, bool Metric, bool Celsius, string Language = DayNames.English);

/// <summary>Hours of one weekday; null when closed.</summary>
internal sealed record DayBody(TimeOnly? Open, TimeOnly? Close);

/// <summary>What the shop keeps: customers, the Shelf, the Floor and the Numbers.</summary>
internal static class ShopEndpoints
{
    public static void MapShop(this IEndpointRouteBuilder api)
    {
        Map(api, "customers", Aggregates.Customers, (string id, CustomerBody b) => new Customer(id, b.Name.Trim(), b.Contact.Trim(), b.Address.Trim(), b.TaxExempt.Trim(), b.AccountDays), Named);
        Map(api, "styles", Aggregates.Styles, (string id, StyleBody b) => b.ToCore(id), s => s.Problems());
        Map(api, "films", Aggregates.Films, (string id, FilmBody b) => b.ToCore(id), l => l.Problems());
        Map(api, "vinyls", Aggregates.Vinyls, (string id, VinylBody b) => new VinylFilm(id, b.Supplier.Trim(), b.Product.Trim(), b.UsableWidthIn, b.PricePerFoot, b.WeedingMarginIn, b.FreightPerOrder, b.LeadDays, b.SharedMargin, b.Blocks), v => v.Problems());
        Map(api, "screens", Aggregates.Screens, (string id, ScreenBody b) => b.ToCore(id), l => l.Problems());
        Map(api, "film-printers", Aggregates.FilmPrinters, (string id, FilmPrinterBody b) => b.ToCore(id), p => p.Problems());
        Map(api, "dye-printers", Aggregates.DyePrinters, (string id, DyePrinterBody b) => b.ToCore(id), p => p.Problems());
        Map(api, "paper-printers", Aggregates.PaperPrinters, (string id, PaperPrinterBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "garment-printers", Aggregates.GarmentPrinters, (string id, GarmentPrinterBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "stitch-machines", Aggregates.Stitchers, (string id, StitchMachineBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "papers", Aggregates.Papers, (string id, PaperBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "outside-printers", Aggregates.OutsidePrinters, (string id, OutsidePrinterBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "pod-services", Aggregates.PodServices, (string id, PodServiceBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "cloths", Aggregates.Cloths, (string id, RollClothBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "calenders", Aggregates.Calenders, (string id, CalenderBody b) => b.ToCore(id), x => x.Problems());
        Map(api, "cutters", Aggregates.Cutters, (string id, CutterBody b) => new Cutter(id, b.Name.Trim(), b.CutWidthIn, b.SpeedIn2PerMinute, b.Equipment.ToCore(), b.Cautions), c => c.Problems());
        Map(api, "presses", Aggregates.Presses, (string id, PressBody b) => new Press(id, b.Name.Trim(), b.Kind, b.PlatenWidthIn, b.PlatenHeightIn, b.WarmUpMinutes, b.RiseFPerMinute, b.DropFPerMinute, b.OffsetF, b.Equipment.ToCore(), b.Cautions, b.Lowers is { Count: > 0 } lowers ? [.. lowers.Select(l => new LowerPlaten(l.Name.Trim(), l.WidthIn, l.HeightIn))] : null,
            b.Maps is { Count: > 0 } maps ? [.. maps.Select(m => new PlatenMap(m.Day, m.SetPointF, m.PointsF, m.Doubtful, m.By.Trim()))] : null,
            b.Dials is { Count: > 0 } dials ? [.. dials.Select(d => new DialReading(d.Pressure.Trim().ToLowerInvariant(), d.Thickness, d.Lower.Trim(), d.Dial, d.Pillow.Trim()))] : null, b.LoadsBeside,
            b.Accessories is { Count: > 0 } accessories ? [.. accessories.Select(a => new Accessory(a.Name.Trim(), a.Kind, a.WidthIn, a.HeightIn, a.ThicknessIn, a.Uses, a.Since))] : null).Settled(), p => p.Problems());
        Map(api, "upkeep", Aggregates.Upkeep, (string id, UpkeepBody b) => new MachineUpkeep(id, [.. b.Tasks.Select(t => new UpkeepTask(t.Id, t.Name.Trim(), t.Every, t.Minutes, t.Cost, t.TimesAYear))], [.. b.Done.Select(d => new UpkeepDone(d.TaskId, d.Day, d.By.Trim(), d.Note.Trim()))]), u => u.Problems());
        Map(api, "kept-prints", Aggregates.KeptPrints, (string id, KeptPrintBody b) => new KeptPrint(id, b.Name.Trim(), b.WidthIn, b.HeightIn, b.DesignId, b.ProductId, b.Keep, b.GoodDays, [.. b.Lots.Select(l => new PrintLot(l.Count, l.On, l.Order.Trim()))]), k => k.Problems());
        Map(api, "remnants", Aggregates.Remnants, (string id, RemnantBody b) => new VinylRemnant(id, b.VinylId, b.Colour.Trim(), b.WidthIn, b.LengthIn, b.Since, b.From.Trim(), b.IsGone), r => r.Problems());
        api.MapGet("/remnant-uses", (Desk desk) => desk.Db.Read(c => RemnantStore.Uses(c).Select(u => new RemnantUseView(u.RemnantId, $"T-{u.Number}")).ToList())).WithTags("remnants").WithName("remnantUses").WithSummary("Which pieces of vinyl orders use.");
        api.MapGet("/drawer", (Desk desk) => desk.Db.Read(c => DrawerStore.All(c).Select(k => Views.DrawerView.Of(k, DateOnly.FromDateTime(desk.Clock.Wall(Desk.Numbers(c).TimeZone)))).ToList())).WithTags("kept-prints").WithName("drawer").WithSummary("Every transfer that lies in the drawer: what the shop counted in and copies left over of orders, less what orders took out.");
        Map(api, "test-garments", Aggregates.TestGarments, (string id, TestGarmentBody b) => new TestGarment(id, b.Name.Trim(), b.Fabric.Trim(), b.Pieces, b.Note.Trim()), g => g.Problems());
        Map(api, "supplies", Aggregates.Supplies, (string id, SuppliesBody b) => b.ToCore(id), s => s.Problems());
        Map(api, "spot-tests", Aggregates.SpotTests, (string id, SpotTestBody b) => b.ToCore(id), t => t.Problems());
        Map(api, "recipes", Aggregates.Recipes, (string id, RecipeBody b) => new Recipe(id, b.ProductId, b.Revision, b.Fabric, b.TemperatureF, b.DwellSeconds, b.DwellSlackSeconds, b.Pressure, b.PrePressSeconds, b.Peel, b.PeelAfterSeconds, b.SecondPressSeconds, b.Side, b.Source, b.AsOf, b.Caution, b.Cover, b.NeverAgain, b.PeelWindowSeconds,
            b.Parameters is { Count: > 0 } parameters ? [.. parameters.Select(p => new RecipeParameter(p.Name.Trim(), p.Source, p.AsOf, p.Note.Trim()))] : null), r => r.Problems());
        api.MapGet("/customers/find", FindCustomers).WithTags("customers").WithName("findCustomers");
        api.MapGet("/customers/{id}/record", (string id, Desk desk) => desk.Db.Read(c => Views.CustomerRecord.Of(c, desk, id))).WithTags("customers").WithName("customerRecord").WithSummary("A customer with past orders and what they earned.");
        api.MapGet("/customers/{id}/export", ExportCustomer).WithTags("customers").WithName("exportCustomer");
        api.MapPost("/customers/{id}/erase", EraseCustomer).WithTags("customers").WithName("eraseCustomer");
        MapPrices(api, "styles", Aggregates.Styles, ThingPrices.Of);
        MapPrices(api, "films", Aggregates.Films, ThingPrices.Of);
        MapPrices(api, "vinyls", Aggregates.Vinyls, ThingPrices.Of);
        MapPrices(api, "screens", Aggregates.Screens, ThingPrices.Of);
        MapPrices(api, "film-printers", Aggregates.FilmPrinters, p => [("colour, a ml", p.ColourPricePerMl), ("white, a ml", p.WhitePricePerMl), ("film, an in²", p.FilmPricePerIn2), ("powder, a g", p.PowderPricePerG), ("cleaning, a ml", p.CleaningPricePerMl)]);
        MapPrices(api, "dye-printers", Aggregates.DyePrinters, p => [("ink, a ml", p.InkPricePerMl), ("a sheet", p.SheetPrice), ("tape, an in", p.TapePricePerIn), ("protection paper, a sheet", p.ProtectionPrice)]);
        MapPrices(api, "paper-printers", Aggregates.PaperPrinters, ThingPrices.Of);
        MapPrices(api, "garment-printers", Aggregates.GarmentPrinters, ThingPrices.Of);
        MapPrices(api, "stitch-machines", Aggregates.Stitchers, ThingPrices.Of);
        MapPrices(api, "papers", Aggregates.Papers, ThingPrices.Of);
        MapPrices(api, "outside-printers", Aggregates.OutsidePrinters, ThingPrices.Of);
        MapPrices(api, "pod-services", Aggregates.PodServices, ThingPrices.Of);
        MapPrices(api, "cloths", Aggregates.Cloths, ThingPrices.Of);
        MapPrices(api, "calenders", Aggregates.Calenders, ThingPrices.Of);
        api.MapDelete("/styles/{id}", RetireStyle).WithTags("styles").WithName("retireStyle");
        api.MapGet("/numbers", GetNumbers).WithTags("numbers").WithName("numbers");
        api.MapGet("/numbers/rates", (Desk desk) => desk.Db.Read(c => new RatesView(Rates.Labour(Desk.Numbers(c)), Rates.Overhead(Desk.Numbers(c))))).WithTags("numbers").WithName("rates").WithSummary("The two rates of an hour of hands, opened to people and fixed costs.");
        api.MapGet("/carrier", () => SimulatedCarrier.Rates).WithTags("numbers").WithName("carrier").WithSummary("The carrier's zones and rates: a simulated carrier that ships with the program.");
        api.MapPut("/numbers", PutNumbers).WithTags("numbers").WithName("saveNumbers");
    }

    /// <summary>Customers whose name or contact holds the text, accents and case aside.</summary>
    internal static List<Customer> FindCustomers(Desk desk, string? text) => desk.Db.Read(c => CustomerStore.Find(c, text ?? "", 8));

    /// <summary>Everything Hepno knows of a customer, for the customer.</summary>
    internal static CustomerExport ExportCustomer(string id, Desk desk) => desk.Db.Read(c =>
    {
        var customer = Aggregates.Customers.Get(c, id) ?? throw RefusedException.NoSuch("customer", id);
        return new CustomerExport(customer.Value, [.. OrderStore.OfCustomer(c, id).Select(o => new OrderExport(o.Value.Code, o.Value.CreatedAt, o.Value.Ask, o.Value.Facts,
            [.. QuoteStore.Of(c, o.Value.Id).Select(q => new QuoteExport(q.SentAt, q.WithdrawnAt, JsonSerializer.Deserialize<Views.FrozenQuote>(QuoteStore.Json(c, q.Id), Json.Frozen)!.Document))]))]);
    });

    /// <summary>Forgets the person for good; orders and quotes keep their figures. Daily copies still hold the name until they are thirteen months old.</summary>
    internal static Views.Written EraseCustomer(string id, Desk desk, HttpRequest request)
    {
        var seen = request.Seen();
        var (done, files) = desk.Db.Write(c =>
        {
            var theirs = ForgetCustomer.FilesOf(c, id);
            return (new Views.Written(id, ForgetCustomer.Do(c, desk, id, seen, request.Deed(desk.Clock, "customer erased"))), theirs);
        });
        // only once the orders no longer name them
        foreach (var hash in files)
        {
            KeptFiles.Drop(desk.Db.Folder, hash);
        }
        return done;
    }

    /// <summary>Takes a style off the Shelf; one that open orders use stays.</summary>
    internal static Views.Written RetireStyle(string id, Desk desk, HttpRequest request)
    {
        var seen = request.Seen();
        return desk.Db.Write(connection =>
        {
            var style = Aggregates.Styles.Get(connection, id) ?? throw RefusedException.NoSuch("style", id);
            if (StyleStore.OpenOrdersOf(connection, id) is { Count: > 0 } used)
            {
                throw new RefusedException(409, "in-use", $"{style.Value.Name} is in use by {string.Join(", ", used.Select(n => $"T-{n}"))}.", "Close those orders or change their style first.");
            }
            return new Views.Written(id, Aggregates.Styles.Put(connection, style.Value with { Retired = true }, seen, request.Deed(desk.Clock, "style retired")));
        });
    }

    /// <summary>The shop's numbers; version 0 while they are the starting values.</summary>
    internal static Versioned<ShopNumbers> GetNumbers(Desk desk) => desk.Db.Read(c =>
    {
        var n = Desk.Numbers(c);
        // what is left to its starting value is shown as that value
        return new Versioned<ShopNumbers>(n with { Packagings = n.PackedIn(), TierSteps = n.Steps(), Floor = n.Habits() }, Aggregates.Numbers.Get(c, "1")?.Version ?? 0);
    });

    /// <summary>Changes the shop's numbers, all effective at once.</summary>
    internal static Views.Written PutNumbers(NumbersBody b, Desk desk, HttpRequest request)
    {
        var n = new ShopNumbers(b.ShopName.Trim(), b.Address, b.Contact, new FigureFormat(b.Format.Sign, b.Format.SignAfter, b.Format.DecimalMark, b.Format.GroupMark, b.Format.MinorDigits, b.Format.DayFirst, b.Format.TwelveHours, b.Format.Metric, b.Format.Celsius, b.Format.Language), b.Paper, b.TimeZone, b.Wage, b.OverheadPerHour, b.TariffPerKwh,
            b.ConsumablesPerStart, b.PackingPerPiece, b.OrderMinutes, b.ArtworkMinutes, b.FeeShare, b.FeeFixed, b.TaxShare, b.MinimumCharge, b.RoundingStep, b.DepositShare, b.ValidityDays, b.SlowTenthShare, [.. b.Week.Select(d => new DayHours(d.Open, d.Close))],
            b.Retail.ToCore(), b.Wholesale.ToCore(), b.LeastMarginShare, b.FeeBase, b.Inversion,
            b.Packagings is null ? null : [.. b.Packagings.Select(p => new Packaging(p.Name.Trim(), p.MostTees, p.MostGrams, p.OwnGrams, p.Price))], b.ParcelMinutes, b.SizePricing,
            b.People?.Select(p => new Person(p.Id, p.Name.Trim(), p.Wage, p.OnCostsShare, [.. p.Week.Select(d => new DayHours(d.Open, d.Close))], p.LunchFrom, p.LunchMinutes, [.. p.DaysOff.Distinct().Order()])).ToList(),
            b.FixedCosts?.Select(c => new FixedCost(c.Name.Trim(), c.PerMonth)).ToList(), b.ProductiveShare, b.TierSteps, b.HandsFactor, b.Spoilage?.Select(s => new LearnedSpoilage(s.MethodId, s.Share)).ToList(), b.SwapMinutes, b.DialMinutes, b.SetUpWhileHeating, b.TheirsPerPiece, b.Floor?.ToCore(), b.RuleOfThumb);
        RefusedException.IfAny(n.Problems().Concat(ShopClock.Knows(n.TimeZone) ? [] : [new Problem("unknown-zone", $"\"{n.TimeZone}\" is not a time zone.", "timeZone", "Write it like Europe/London.")]));
        return Save(desk, request, Aggregates.Numbers, "1", n.Settled());
    }

    private static void MapPrices<T>(IEndpointRouteBuilder api, string noun, Aggregate<T> aggregate, Func<T, IEnumerable<(string What, decimal Price)>> prices)
        where T : class =>
        api.MapGet($"/{noun}/{{id}}/prices", (string id, Desk desk) => desk.Db.Read(c => Views.PriceLine.Of(c, desk, aggregate, id, prices))).WithTags(noun).WithName($"{noun}-prices").WithSummary("Every price of it with the days it has held from, oldest first.");

    private static void Map<TBody, T>(IEndpointRouteBuilder api, string noun, Aggregate<T> aggregate, Func<string, TBody, T> toCore, Func<T, IEnumerable<Problem>> problems)
        where T : class
    {
        var group = api.MapGroup($"/{noun}").WithTags(noun);
        Delegate all = (Desk desk) => desk.Db.Read(aggregate.All);
        Delegate keep = (string id, TBody body, Desk desk, HttpRequest request) =>
        {
            var value = toCore(id, body);
            RefusedException.IfAny(problems(value));
            if (!request.IsSure())
            {
                RefusedException.IfAny(Doubts.Of(value));
            }
            return Save(desk, request, aggregate, id, value);
        };
        group.MapGet("", all).WithName($"{noun}All").WithSummary($"All {noun} with their versions.");
        group.MapPut("{id}", keep).WithName($"save-{noun}").WithSummary($"Keeps one of the {noun}; a new one needs no If-Match.");
    }

    private static Views.Written Save<T>(Desk desk, HttpRequest request, Aggregate<T> aggregate, string id, T value)
        where T : class => desk.Db.Write(connection =>
        {
            var before = aggregate.Get(connection, id);
            var seen = request.SeenOrNew(before is not null);
            if (before is not null && before.Version != seen)
            {
                throw Collision.Of(value, before.Value, aggregate.At(connection, id, seen), before.Version);
            }
            return new Views.Written(id, aggregate.Put(connection, value, seen, request.Deed(desk.Clock, $"{aggregate.Kind} changed")));
        });

    private static IEnumerable<Problem> Named(Customer customer)
    {
        if (customer.Name.Length is 0 or > 200)
        {
            yield return new("empty", customer.Name.Length == 0 ? "The customer has no name." : $"A name of {customer.Name.Length} characters.", "name", "Type a name of at most 200 characters.");
        }
        if (customer.Contact.Length > 500)
        {
            yield return new("too-long", $"A contact of {customer.Contact.Length} characters.", "contact", "At most 500.");
        }
        if (customer.Address.Length > 500)
        {
            yield return new("too-long", $"An address of {customer.Address.Length} characters.", "address", "At most 500.");
        }
        if (customer.TaxExempt.Length > 200)
        {
            yield return new("too-long", $"A proof of {customer.TaxExempt.Length} characters.", "taxExempt", "Name the certificate and its number, at most 200.");
        }
        if (customer.AccountDays is < 0 or > 365)
        {
            yield return new("range", $"{customer.AccountDays} days to pay is outside 0 to 365.", "accountDays", "30 is usual; 0 where they have no account.");
        }
    }
}
