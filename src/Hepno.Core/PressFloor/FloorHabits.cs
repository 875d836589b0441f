using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.PressFloor;

/// <summary>Whether a piece is pressed again after peeling.</summary>
public enum SecondHabit
{
    /// <summary>As its product's recipe says.</summary>
    AsRecipe,

    /// <summary>Always, unless the product forbids it.</summary>
    Always,

    /// <summary>Never, whatever the recipe says.</summary>
    Never,
}

/// <summary>What a cover costs.</summary>
/// <param name="Cover">Which.</param>
/// <param name="Price">Money for one.</param>
/// <param name="Uses">Presses it lasts.</param>
public sealed record CoverPrice(Cover Cover, decimal Price, int Uses);

/// <summary>How the shop works at its presses.</summary>
public sealed record FloorHabits
{
    /// <summary>One piece at a time, or a stream.</summary>
    public FloorPolicy Policy { get; init; } = FloorPolicy.Stream;

    /// <summary>True when the first piece of each print is judged before the others.</summary>
    public bool FirstPiece { get; init; } = true;

    /// <summary>Pieces that may cool at once.</summary>
    public int RackPlaces { get; init; } = 8;

    /// <summary>True when prints are placed by fold-line or ruler, not by eye.</summary>
    public bool Measured { get; init; }

    /// <summary>True when cold peels cool on a cold plate.</summary>
    public bool ColdPlate { get; init; }

    /// <summary>True when labour is charged for busy hands alone: the owner does other work in short
    /// waits.</summary>
    public bool HandsOnOnly { get; init; }

    /// <summary>Second presses.</summary>
    public SecondHabit Second { get; init; } = SecondHabit.AsRecipe;

    /// <summary>Step times of the shop's own; the starting ones hold for the others.</summary>
    public IReadOnlyList<StepTime> Times { get; init; } = [];

    /// <summary>What covers cost; those not named are in the sundries.</summary>
    public IReadOnlyList<CoverPrice> Covers { get; init; } = [];

    /// <summary>True when an assumed recipe nobody tested waits for a test piece before the run.</summary>
    public bool TestFirst { get; init; } = true;

    /// <summary>True when weeding, trimming and cutting apart are done at the press, while pieces are
    /// pressed and cool.</summary>
    public bool PrepareBeside { get; init; }

    /// <summary>Seconds of a second press that the shop does of its own accord.</summary>
    public const double UsualSecondSeconds = 8;

    /// <summary>Steps of a preparation that are done at the press, in the gaps: hands, no machine.</summary>
    public IEnumerable<WorkStep> Beside(IEnumerable<WorkStep> preparation) =>
        PrepareBeside ? preparation.Where(s => s is { Hands: true, Press: false }) : [];

    /// <summary>Steps of a preparation that are done before, apart from the press.</summary>
    public IEnumerable<WorkStep> Apart(IEnumerable<WorkStep> preparation) =>
        PrepareBeside ? preparation.Where(s => s is not { Hands: true, Press: false }) : preparation;

    /// <summary>A recipe as this shop presses it.</summary>
    public Recipe Of(Recipe recipe) =>
        Second switch
        {
            SecondHabit.Always when recipe is { SecondPressSeconds: 0, NeverAgain: false } => recipe with
            {
                SecondPressSeconds = UsualSecondSeconds,
            },
            SecondHabit.Never => recipe with { SecondPressSeconds = 0 },
            _ => recipe,
        };

    /// <summary>Covers one press of a recipe and its second take, opened to their parts; null where they cost nothing
    /// apart.</summary>
    public Figure? CoverCost(Recipe recipe)
    {
        var used = new[]
        {
            (recipe.Cover, "first press"),
            (recipe.SecondPressSeconds > 0 ? Cover.Sheet : Cover.None, "second press"),
        };
        List<Figure> parts = [];
        foreach (var (cover, when) in used)
        {
            if (cover != Cover.None && Covers.FirstOrDefault(c => c.Cover == cover) is { } price)
            {
                parts.Add(
                    Figure.Of(
                        $"cover-{parts.Count + 1}",
                        label: $"{CoverWords.For(cover)}, {when}",
                        price.Price / price.Uses,
                        "price ÷ uses",
                        Figure.Input("price", CoverWords.For(cover), price.Price, FigureUnit.Money, "Numbers: covers"),
                        Figure.Input("uses", "Uses", price.Uses, FigureUnit.Count, "Numbers: covers")
                    )
                );
            }
        }
        return parts.Count == 0 ? null : Figure.Sum("covers", "Covers", parts);
    }

    /// <summary>Its fields, in the order of its form; step times have a table of their own.</summary>
    public static FieldList<FloorHabits> Fields { get; } =
        new FieldList<FloorHabits>()
            .Choice(
                x => x.Policy,
                "Pieces are pressed",
                FloorPolicy.Stream,
                [(FloorPolicy.Stream, "as a stream"), (FloorPolicy.OneAtATime, "one at a time")]
            )
            .Choice(
                x => x.Second,
                "Second press",
                SecondHabit.AsRecipe,
                [
                    (SecondHabit.AsRecipe, "as the product says"),
                    (SecondHabit.Always, "always, unless forbidden"),
                    (SecondHabit.Never, "never"),
                ]
            )
            .Flag(x => x.FirstPiece, "The first piece of a print", true, "is judged first", no: "goes with the rest")
            .Flag(x => x.Measured, "Prints are placed", false, "by fold-line or ruler", no: "by eye")
            .Flag(x => x.ColdPlate, "Cold peels cool", false, "on a cold plate", no: "on a table")
            .Flag(x => x.TestFirst, "A recipe nobody tested", true, "waits for a test piece", no: "is only warned of")
            .Flag(
                x => x.PrepareBeside,
                "Weeding, trimming, cutting apart",
                false,
                "at the press, in the gaps",
                no: "before pressing"
            )
            .Flag(x => x.HandsOnOnly, "Labour is charged", false, "for busy hands alone", no: "with the short waits")
            .Number(x => x.RackPlaces, "Places on the rack", Unit.None, 8, (1, 1000), "8 is usual for one rack.")
            .Rows(
                x => x.Covers,
                "Covers, a line each: what, price, presses it lasts",
                new RowForm(
                    [
                        new("cover", FieldShape.Choice) { Options = CoverWords.Options },
                        new("price", FieldShape.Number),
                        new("uses", FieldShape.Number),
                    ],
                    "Cover sheet, 12.00, 200"
                ),
                lines: 2
            );

    /// <summary>What fields do not say by themselves.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var (time, i) in Times.Select((t, i) => (t, i)))
        {
            if (KnownStep.All.All(k => k.Code != time.Code))
            {
                yield return new(
                    "unknown-word",
                    $"\"{time.Code}\" is not a step.",
                    Where: $"times[{i}].code",
                    $"Use one of {string.Join(", ", KnownStep.All.Select(k => k.Code))}."
                );
            }
            if (time.Seconds is not (>= 0 and <= 3600))
            {
                yield return new(
                    "range",
                    $"{time.Seconds:0.##} s for {time.Code} is outside 0 to 3,600.",
                    Where: $"times[{i}].seconds",
                    "Time it with a clock."
                );
            }
        }
        foreach (
            var (cover, i) in Covers
                .Select((c, i) => (c, i))
                .Where(x => x.c.Price is < 0 or > 10_000 || x.c.Uses is < 1 or > 100_000 || x.c.Cover == Cover.None)
        )
        {
            yield return new(
                "range",
                $"{CoverWords.For(cover.Cover)} at {cover.Price:0.00} for {cover.Uses} uses cannot be kept.",
                Where: $"covers[{i}]",
                "Type a price of 0 or more and at least one use."
            );
        }
    }
}
