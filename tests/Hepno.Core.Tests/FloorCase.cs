using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;

namespace Hepno.Core.Tests;

/// <summary>A small job for the floor, as a row of press-floor-best.csv: the solver in bench/best-order and the tests
/// build the same one from it.</summary>
public sealed record FloorCase(
    int Pieces,
    int Presses,
    int Operators,
    bool OpensItself,
    int Placements,
    int PrePress,
    int Dwell,
    int Slack,
    Peel Peel,
    int After,
    int Second,
    int Rack
)
{
    public const string Columns =
        "pieces,presses,operators,opensItself,placements,prePress,dwell,slack,peel,after,second,rack";

    public static FloorCase Drawn(int seed)
    {
        var random = new Random(seed);
        int One(params int[] of) => of[random.Next(of.Length)];
        var peel = (Peel)random.Next(3);
        var placements = One(1, 1, 2);
        return new(
            random.Next(2, placements == 2 ? 6 : 9),
            One(1, 2, 2),
            One(1, 1, 2),
            random.Next(4) == 0,
            placements,
            One(0, 5),
            One(8, 12, 15, 24, 60),
            One(0, 2, 3),
            peel,
            peel switch
            {
                Peel.Hot => 0,
                Peel.Warm => One(8, 10),
                _ => One(20, 60),
            },
            One(0, 0, 5, 8),
            One(1, 2, 8)
        );
    }

    public FloorJob Job()
    {
        var recipe = new Recipe(
            "r",
            "p",
            "",
            RecipeFabric.Cotton,
            310,
            Dwell,
            Slack,
            "medium",
            PrePress,
            Peel,
            After,
            Second,
            "",
            RecipeSource.Maker,
            default,
            ""
        );
        double? window = Peel switch
        {
            Peel.Hot => 3,
            Peel.Warm => 15,
            _ => null,
        };
        return new(
            Pieces,
            StepStandards.Default.Before(GarmentKind.Tee, PrePress),
            [
                .. Enumerable
                    .Range(0, Placements)
                    .Select(i => new FloorPass(
                        $"print {i + 1}",
                        310,
                        Slack,
                        window,
                        StepStandards.Default.Transfer(recipe, i == 0 ? 0 : 15)
                    )),
            ],
            [StepStandards.Default.After[0]],
            [.. Enumerable.Range(0, Presses).Select(i => new FloorPress($"press {i + 1}", OpensItself))]
        )
        {
            Operators = Operators,
            RackPlaces = Rack,
            FirstPiece = false,
        };
    }

    public static FloorCase Read(string[] c)
    {
        int At(int i) => int.Parse(c[i], CultureInfo.InvariantCulture);
        return new(
            At(0),
            At(1),
            At(2),
            c[3] == "True",
            At(4),
            At(5),
            At(6),
            At(7),
            Enum.Parse<Peel>(c[8]),
            At(9),
            At(10),
            At(11)
        );
    }

    public string Row() =>
        string.Join(
            ',',
            Pieces,
            Presses,
            Operators,
            OpensItself,
            Placements,
            PrePress,
            Dwell,
            Slack,
            Peel,
            After,
            Second,
            Rack
        );
}
