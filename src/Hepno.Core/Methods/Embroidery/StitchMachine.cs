using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>An embroidery machine with its thread and backing (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="StitchesPerMinute">As set.</param>
/// <param name="Heads">Pieces stitched at once.</param>
/// <param name="Needles">Thread colours it holds.</param>
/// <param name="HoopWidthIn">Widest that can be stitched, in.</param>
/// <param name="HoopHeightIn">Tallest that can be stitched, in.</param>
/// <param name="TakesCaps">True with a cap frame.</param>
/// <param name="ThreadPerThousand">Money for the thread of 1,000 stitches, bobbin in it.</param>
/// <param name="BackingPerPiece">Money for the backing under one.</param>
/// <param name="DigitisingPerDesign">Money once for turning a design into stitches.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record StitchMachine(
    ThingId Id,
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
    EquipmentHour Equipment,
    string Cautions
) : IKept<StitchMachine>, IMachine, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<StitchMachine> Described { get; } =
        new("stitch-machine", noun: "stitch-machines", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "machine",
                Many: "Embroidery machines",
                Add: "Add an embroidery machine",
                "No embroidery machine: stitching stays folded."
            ),
            Fields = new FieldList<StitchMachine>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(
                    x => x.StitchesPerMinute,
                    "Stitches a minute, as set",
                    Unit.None,
                    700,
                    (50, 3000),
                    "Stitches a minute, as it is set: 700 is usual."
                )
                .Number(
                    x => x.ReachedShare,
                    "Share of that speed reached",
                    Unit.None,
                    UsuallyReached,
                    (0.1, 1),
                    "0.8 is usual: time a design, and divide what it should have taken by what it took."
                )
                .Number(
                    x => x.ColourChangeSeconds,
                    "A change of colour",
                    Unit.Seconds,
                    UsualColourChange,
                    (0, 600),
                    "Seconds: 8 is usual."
                )
                .Number(x => x.Heads, "Heads", Unit.None, 1, (1, 24), "1 for a machine with one head.")
                .Number(x => x.Needles, "Thread colours it holds", Unit.None, 12, (1, 20), "Thread colours it holds.")
                .Number(x => x.HoopWidthIn, "Widest hoop", Unit.In, 12, (1, 60), "The widest it stitches.")
                .Number(x => x.HoopHeightIn, "Tallest hoop", Unit.In, 8, (1, 60), "The tallest it stitches.")
                .Flag(x => x.TakesCaps, "Cap frame", start: false, yes: "it has one", no: "none")
                .Money(
                    x => x.ThreadPerThousand,
                    "Thread",
                    Unit.MoneyFor("1,000 stitches"),
                    (0, 10),
                    "Money for 1,000 stitches.",
                    priceOf: "1,000 stitches"
                )
                .Money(
                    x => x.BackingPerPiece,
                    "Backing",
                    Unit.MoneyFor("a piece"),
                    (0, 50),
                    "Money a piece.",
                    priceOf: "backing"
                )
                .Money(
                    x => x.DigitisingPerDesign,
                    "Digitising",
                    Unit.MoneyFor("a design"),
                    (0, 2000),
                    "Money once for a design.",
                    priceOf: "digitising"
                )
                .Money(
                    x => x.AppliqueFilmPerIn2,
                    "Applique film",
                    Unit.MoneyFor("an in²"),
                    (0, 5),
                    "Price of a sheet ÷ its in²; nothing where none is kept.",
                    priceOf: "applique film, an in²",
                    mayBeEmpty: true
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 6, ProductiveHoursAYear: 800, 0.3, DutyShare: 0.5, 0.2m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual",
                    start: "Needle and levers: hands out while it runs, hair tied. The maker’s manual decides.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            ArchivedAs = "stitchers",
            AtPrices = (x, levels) =>
                x with
                {
                    ThreadPerThousand = x.ThreadPerThousand * levels.Ink,
                    BackingPerPiece = x.BackingPerPiece * levels.Ink,
                    AppliqueFilmPerIn2 = x.AppliqueFilmPerIn2 * levels.Film,
                },
            Order = ListedBy.Text<StitchMachine>(x => x.Name),
        };

    /// <summary>Money for an in² of the film that applique is cut from; null where none is
    /// kept.</summary>
    public decimal? AppliqueFilmPerIn2 { get; init; }

    /// <summary>Share of that speed that is reached over a design, 0 to 1: stops, trims and slow corners
    /// (assumed four fifths).</summary>
    public double ReachedShare { get; init; } = StitchMachine.UsuallyReached;

    /// <summary>A change of thread colour, s (assumed 8).</summary>
    public double ColourChangeSeconds { get; init; } = StitchMachine.UsualColourChange;

    /// <summary>Share of the speed that is reached where nobody says otherwise.</summary>
    public const double UsuallyReached = 0.8;

    /// <summary>Seconds of a change of colour where nobody says otherwise.</summary>
    public const double UsualColourChange = 8;

    /// <summary>Seconds of the machine for one piece: stitches ÷ (speed × what of it is reached) and each change of
    /// colour, shared by its heads (docs/trade 2).</summary>
    /// <param name="stitches">Stitches of the design.</param>
    /// <param name="colours">Thread colours.</param>
    public Figure Time(Figure stitches, int colours)
    {
        var source = $"Floor: {Name}";
        var seconds =
            (((double)stitches.Value / (StitchesPerMinute * ReachedShare) * 60) + (ColourChangeSeconds * (colours - 1)))
            / Heads;
        return new(
            "stitch-time",
            "Stitching, a piece",
            (decimal)seconds,
            FigureUnit.Seconds,
            "(stitches ÷ (speed × reached) × 60 + changes × a change) ÷ heads",
            Source: "",
            [
                stitches.Named(),
                Figure.Input("speed", "Stitches a minute, as set", StitchesPerMinute, FigureUnit.Count, source),
                Figure.Input("reached", "Of that speed reached", ReachedShare, FigureUnit.Share, source),
                Figure.Input("changes", "Changes of colour", colours - 1, FigureUnit.Count, "the ask"),
                Figure.Input("change", "A change", ColourChangeSeconds, FigureUnit.Seconds, source),
                Figure.Input("heads", "Heads", Heads, FigureUnit.Count, source),
            ]
        );
    }

    /// <summary>Its id as a place of work.</summary>
    public PressId BenchId() => new(Id.Text);

    /// <summary>It as a place of work that orders are planned at.</summary>
    public Press Bench() => Press.Bench(BenchId(), Name, Equipment, Cautions);

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("hook", "Oil the hook", UpkeepEvery.Day, 2, 0.02m),
            new("needles", "Change the needles", UpkeepEvery.Month, 15, 4.00m),
        ];

    /// <inheritdoc/>
    Press? IMachine.Workbench => Bench();

    /// <inheritdoc/>
    string IMachine.WorkbenchMakes => "Stitches";

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"applique of {Name}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
