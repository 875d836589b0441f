using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;

namespace Hepno.Core.Materials;

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
) : IThing
{
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

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(Name, "name", what: "The machine", "Give it a name you would call across the room."),
            .. Ranges.Outside(
                (
                    StitchesPerMinute,
                    50,
                    3000,
                    "stitchesPerMinute",
                    "A speed",
                    "Stitches a minute, as it is set: 700 is usual."
                ),
                (Heads, 1, 24, "heads", "A number of heads", "1 for a machine with one head."),
                (Needles, 1, 20, "needles", "A number of needles", "Thread colours it holds."),
                (HoopWidthIn, 1, 60, "hoopWidthIn", "A hoop width", "The widest it stitches."),
                (HoopHeightIn, 1, 60, "hoopHeightIn", "A hoop height", "The tallest it stitches."),
                (
                    ReachedShare,
                    0.1,
                    1,
                    "reachedShare",
                    "A share of the speed",
                    "0.8 is usual: time a design, and divide what it should have taken by what it took."
                ),
                (ColourChangeSeconds, 0, 600, "colourChangeSeconds", "A change of colour", "Seconds: 8 is usual."),
                ((double)ThreadPerThousand, 0, 10, "threadPerThousand", "Thread", "Money for 1,000 stitches."),
                ((double)BackingPerPiece, 0, 50, "backingPerPiece", "Backing", "Money a piece."),
                (
                    (double)(AppliqueFilmPerIn2 ?? 0),
                    0,
                    5,
                    "appliqueFilmPerIn2",
                    "Applique film",
                    "Price of a sheet ÷ its in²; nothing where none is kept."
                ),
                ((double)DigitisingPerDesign, 0, 2000, "digitisingPerDesign", "Digitising", "Money once for a design.")
            ),
            .. Equipment.Problems(),
        ];
}
