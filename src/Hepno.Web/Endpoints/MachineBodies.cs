using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>A film printer with what it takes.</summary>
internal sealed record FilmPrinterBody(
    string Name,
    double RollWidthIn,
    double GapIn,
    double SpeedIn2PerMinute,
    double ColourMlPerIn2,
    decimal ColourPricePerMl,
    double WhiteMlPerIn2,
    decimal WhitePricePerMl,
    bool WhiteOnLight,
    decimal FilmPricePerIn2,
    double PowderGPerIn2,
    decimal PowderPricePerG,
    double CleaningMlPerDay,
    decimal CleaningPricePerMl,
    double PrintsPerDay,
    FilmCure Cure,
    EquipmentBody Equipment,
    string Cautions,
    double CureF = FilmPrinter.UsualCureF
)
{
    public FilmPrinter ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            RollWidthIn,
            GapIn,
            SpeedIn2PerMinute,
            ColourMlPerIn2,
            ColourPricePerMl,
            WhiteMlPerIn2,
            WhitePricePerMl,
            WhiteOnLight,
            FilmPricePerIn2,
            PowderGPerIn2,
            PowderPricePerG,
            CleaningMlPerDay,
            CleaningPricePerMl,
            PrintsPerDay,
            Cure,
            Equipment.ToCore(),
            Cautions
        )
        {
            CureF = CureF,
        };
}

/// <summary>A dye printer with what it takes.</summary>
internal sealed record DyePrinterBody(
    string Name,
    double SpeedIn2PerMinute,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    double SheetWidthIn,
    double SheetHeightIn,
    double SheetMarginIn,
    decimal SheetPrice,
    double TapeInPerPrint,
    decimal TapePricePerIn,
    decimal ProtectionPrice,
    EquipmentBody Equipment,
    string Cautions
)
{
    public DyePrinter ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            SpeedIn2PerMinute,
            InkMlPerIn2,
            InkPricePerMl,
            SheetWidthIn,
            SheetHeightIn,
            SheetMarginIn,
            SheetPrice,
            TapeInPerPrint,
            TapePricePerIn,
            ProtectionPrice,
            Equipment.ToCore(),
            Cautions
        );
}

/// <summary>An inkjet printer for transfer paper.</summary>
internal sealed record PaperPrinterBody(
    string Name,
    double SpeedIn2PerMinute,
    double WidestIn,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    EquipmentBody Equipment,
    string Cautions
)
{
    public PaperPrinter ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            SpeedIn2PerMinute,
            WidestIn,
            InkMlPerIn2,
            InkPricePerMl,
            Equipment.ToCore(),
            Cautions
        );
}

/// <summary>A direct-to-garment printer with what it takes.</summary>
internal sealed record GarmentPrinterBody(
    string Name,
    double SpeedIn2PerMinute,
    double MostWidthIn,
    double MostHeightIn,
    double ColourMlPerIn2,
    decimal ColourPricePerMl,
    double WhiteMlPerIn2,
    decimal WhitePricePerMl,
    double PretreatMlPerIn2,
    decimal PretreatPricePerMl,
    EquipmentBody Equipment,
    string Cautions
)
{
    public GarmentPrinter ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            SpeedIn2PerMinute,
            MostWidthIn,
            MostHeightIn,
            ColourMlPerIn2,
            ColourPricePerMl,
            WhiteMlPerIn2,
            WhitePricePerMl,
            PretreatMlPerIn2,
            PretreatPricePerMl,
            Equipment.ToCore(),
            Cautions
        );
}

/// <summary>An embroidery machine with its thread and backing.</summary>
internal sealed record StitchMachineBody(
    string Name,
    double StitchesPerMinute,
    int Heads,
    int Needles,
    double HoopWidthIn,
    double HoopHeightIn,
    bool TakesCaps,
    decimal ThreadPerThousand,
    decimal BackingPerPiece,
    decimal DigitisingPerDesign,
    EquipmentBody Equipment,
    string Cautions,
    decimal? AppliqueFilmPerIn2 = null,
    double ReachedShare = StitchMachine.UsuallyReached,
    double ColourChangeSeconds = StitchMachine.UsualColourChange
)
{
    public StitchMachine ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            StitchesPerMinute,
            Heads,
            Needles,
            HoopWidthIn,
            HoopHeightIn,
            TakesCaps,
            ThreadPerThousand,
            BackingPerPiece,
            DigitisingPerDesign,
            Equipment.ToCore(),
            Cautions
        )
        {
            AppliqueFilmPerIn2 = AppliqueFilmPerIn2,
            ReachedShare = ReachedShare,
            ColourChangeSeconds = ColourChangeSeconds,
        };
}

/// <summary>A calender with its roll printer.</summary>
internal sealed record CalenderBody(
    string Name,
    double PaperWidthIn,
    decimal PaperPricePerFoot,
    double PrintIn2PerMinute,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    double InPerMinute,
    decimal NotionsPerPiece,
    EquipmentBody Equipment,
    string Cautions
)
{
    public Calender ToCore(string id) =>
        new(
            new ThingId(id),
            Name.Trim(),
            PaperWidthIn,
            PaperPricePerFoot,
            PrintIn2PerMinute,
            InkMlPerIn2,
            InkPricePerMl,
            InPerMinute,
            NotionsPerPiece,
            Equipment.ToCore(),
            Cautions
        );
}

/// <summary>A cutter.</summary>
internal sealed record CutterBody(
    string Name,
    double CutWidthIn,
    double SpeedIn2PerMinute,
    EquipmentBody Equipment,
    string Cautions
)
{
    public Cutter ToCore(string id) =>
        new Cutter(new ThingId(id), Name.Trim(), CutWidthIn, SpeedIn2PerMinute, Equipment.ToCore(), Cautions);
}

/// <summary>A press.</summary>
internal sealed record PressBody(
    string Name,
    string Kind,
    double PlatenWidthIn,
    double PlatenHeightIn,
    double WarmUpMinutes,
    double RiseFPerMinute,
    double DropFPerMinute,
    double? OffsetF,
    EquipmentBody Equipment,
    string Cautions,
    IReadOnlyList<LowerBody>? Lowers = null,
    IReadOnlyList<PlatenMapBody>? Maps = null,
    IReadOnlyList<DialBody>? Dials = null,
    bool LoadsBeside = false,
    IReadOnlyList<AccessoryBody>? Accessories = null,
    double ColdBelowF = Core.Recipes.PlatenMap.ColdBelowF
)
{
    public Press ToCore(string id) =>
        new Press(
            new PressId(id),
            Name.Trim(),
            Kind,
            PlatenWidthIn,
            PlatenHeightIn,
            WarmUpMinutes,
            RiseFPerMinute,
            DropFPerMinute,
            OffsetF,
            Equipment.ToCore(),
            Cautions
        )
        {
            Lowers = Lowers is { Count: > 0 } lowers
                ? [.. lowers.Select(l => new LowerPlaten(l.Name.Trim(), l.WidthIn, l.HeightIn))]
                : [],
            Maps = Maps is { Count: > 0 } maps
                ? [.. maps.Select(m => new PlatenMap(m.Day, m.SetPointF, m.PointsF, m.Doubtful, m.By.Trim()))]
                : [],
            Dials = Dials is { Count: > 0 } dials
                ?
                [
                    .. dials.Select(d => new DialReading(
                        d.Pressure.Trim().ToLowerInvariant(),
                        d.Thickness,
                        d.Lower.Trim(),
                        d.Dial,
                        d.Pillow.Trim()
                    )),
                ]
                : [],
            LoadsBeside = LoadsBeside,
            Accessories = Accessories is { Count: > 0 } accessories
                ?
                [
                    .. accessories.Select(a => new Accessory(
                        a.Name.Trim(),
                        a.Kind,
                        a.WidthIn,
                        a.HeightIn,
                        a.ThicknessIn,
                        a.Uses,
                        a.Since
                    )),
                ]
                : [],
            ColdBelowF = ColdBelowF,
        }.Settled();
}

/// <summary>A pillow, foam or cover sheet; uses 0 for one nobody counts.</summary>
internal sealed record AccessoryBody(
    string Name,
    AccessoryKind Kind,
    double WidthIn,
    double HeightIn,
    double ThicknessIn,
    int Uses,
    LocalDate Since
);

/// <summary>What the dial says for a pressure on a thickness, lower platen and pillow; an empty platen is the press's
/// own, an empty pillow nothing.</summary>
internal sealed record DialBody(string Pressure, Thickness Thickness, string Lower, double Dial, string Pillow = "");

/// <summary>A lower platen.</summary>
internal sealed record LowerBody(string Name, double WidthIn, double HeightIn);

/// <summary>What a machine costs.</summary>
internal sealed record EquipmentBody(
    decimal PriceNew,
    decimal Resale,
    double UsefulYears,
    double ProductiveHoursAYear,
    double PowerKw,
    double DutyShare,
    decimal UpkeepPerHour
)
{
    public EquipmentHour ToCore() =>
        new(PriceNew, Resale, UsefulYears, ProductiveHoursAYear, PowerKw, DutyShare, UpkeepPerHour);
}

/// <summary>A recipe.</summary>
internal sealed record RecipeBody(
    ThingId ProductId,
    string Revision,
    RecipeFabric Fabric,
    double TemperatureF,
    double DwellSeconds,
    double DwellSlackSeconds,
    string Pressure,
    double PrePressSeconds,
    Peel Peel,
    double PeelAfterSeconds,
    double SecondPressSeconds,
    string Side,
    RecipeSource Source,
    LocalDate AsOf,
    string Caution,
    Cover Cover = Cover.None,
    bool NeverAgain = false,
    double? PeelWindowSeconds = null,
    IReadOnlyList<RecipeParameterBody>? Parameters = null
)
{
    public Recipe ToCore(string id) =>
        new Recipe(
            new RecipeId(id),
            ProductId,
            Revision,
            Fabric,
            TemperatureF,
            DwellSeconds,
            DwellSlackSeconds,
            Pressure,
            PrePressSeconds,
            Peel,
            PeelAfterSeconds,
            SecondPressSeconds,
            Side,
            Source,
            AsOf,
            Caution
        )
        {
            Cover = Cover,
            NeverAgain = NeverAgain,
            PeelWindowSeconds = PeelWindowSeconds,
            Parameters = Parameters is { Count: > 0 } parameters
                ? [.. parameters.Select(p => new RecipeParameter(p.Name.Trim(), p.Source, p.AsOf, p.Note.Trim()))]
                : [],
        };
}

/// <summary>A product tested on a blank.</summary>
internal sealed record SpotTestBody(
    ThingId ProductId,
    StyleId StyleId,
    ColourwayId ColourwayId,
    double TemperatureF,
    double DwellSeconds,
    string Pressure,
    LocalDate Day,
    string By,
    bool Sticks,
    bool Scorched,
    Bleeding Bleeding,
    string Feel,
    string Note,
    IReadOnlyList<WashBody>? Washes = null,
    string GarmentId = "",
    IReadOnlyList<TestPhotoBody>? Photos = null
)
{
    public SpotTest ToCore(string id) =>
        new(
            new SpotTestId(id),
            ProductId,
            StyleId,
            ColourwayId,
            TemperatureF,
            DwellSeconds,
            Pressure,
            Day,
            By.Trim(),
            Sticks,
            Scorched,
            Bleeding,
            Feel.Trim(),
            Note: Note.Trim()
        )
        {
            Washes = Washes is { Count: > 0 }
                ? [.. Washes.Select(w => new WashResult(w.Day, w.Washes, w.Verdict)).OrderBy(w => w.Washes)]
                : [],
            GarmentId = new TestGarmentId(GarmentId),
            Photos = Photos is { Count: > 0 } ? [.. Photos.Select(p => new TestPhoto(p.Id, p.Hash, p.Washes))] : [],
        };
}

/// <summary>A photograph that was sent before.</summary>
internal sealed record TestPhotoBody(string Id, string Hash, int Washes);

/// <summary>A garment kept for tests.</summary>
internal sealed record TestGarmentBody(string Name, string Fabric, int Pieces, string Note)
{
    public TestGarment ToCore(string id) =>
        new TestGarment(new TestGarmentId(id), Name.Trim(), Fabric: Fabric.Trim(), Pieces, Note.Trim());
}

/// <summary>Where one figure of a recipe comes from.</summary>
internal sealed record RecipeParameterBody(string Name, RecipeSource Source, LocalDate AsOf, string Note = "");

/// <summary>What a tested print looked like after some washes.</summary>
internal sealed record WashBody(LocalDate Day, int Washes, WashVerdict Verdict);
