using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Recipes;

namespace Hepno.Core.PressFloor;

/// <summary>Seconds each step takes: the shop's own where it has typed them, else the starting ones (docs/trade 6,
/// "assumed").</summary>
/// <param name="habits">How the shop works.</param>
public sealed class StepStandards(FloorHabits habits)
{
    /// <summary>The starting ones.</summary>
    public static StepStandards Default { get; } = new(new());

    /// <summary>Seconds of one step.</summary>
    /// <param name="code">One of <see cref="KnownStep.All"/>.</param>
    public double this[string code] =>
        habits.Times.FirstOrDefault(t => t.Code == code)?.Seconds ?? KnownStep.ByCode[code].Seconds;

    /// <summary>Pull the garment onto the platen.</summary>
    public double Thread(GarmentKind kind) =>
        this[
            kind switch
            {
                GarmentKind.Hoodie or GarmentKind.ZipHoodie or GarmentKind.Jacket => "thread-hooded",
                GarmentKind.Joggers or GarmentKind.Cap or GarmentKind.Socks => "thread-narrow",
                GarmentKind.Tote or GarmentKind.DrawstringBag => "thread-bag",
                _ => "thread-tee",
            }
        ];

    /// <summary>Pull it on again for a further placement.</summary>
    /// <param name="seam">At which seam it sits, a usual place.</param>
    /// <param name="kind">The garment.</param>
    public double Rethread(string seam, GarmentKind kind) =>
        seam.EndsWith("sleeve", StringComparison.Ordinal) ? this["thread-narrow"] : Thread(kind);

    /// <summary>The steps of a pressed decoration with the piece threaded again before it, where they do not lay it
    /// anew already.</summary>
    public IReadOnlyList<WorkStep> ThreadedAgain(IReadOnlyList<WorkStep> steps, string seam, GarmentKind kind) =>
        steps.Count > 0 && steps[0].Code is "thread" or "reload" or "jig"
            ? steps
            : [new("thread", "Thread again", Rethread(seam, kind), true, Press: true), .. steps];

    /// <summary>The steps of a pressed decoration that lies on another: the piece is laid on again instead of threaded,
    /// and held to the print beneath.</summary>
    public IReadOnlyList<WorkStep> OnTop(IReadOnlyList<WorkStep> steps)
    {
        var again = new WorkStep("reload", "Re-load", this["reload"], true, Press: true);
        IEnumerable<WorkStep> laid = steps.Any(s => s.Code == "thread")
            ? steps.Select(s => s.Code == "thread" ? again : s)
            : [again, .. steps];
        return
        [
            .. laid.Select(
                (s, i) =>
                    s.Code == "position" && laid.Take(i).All(x => x.Code != "position")
                        ? s with
                        {
                            Label = "Position on the print beneath",
                            Seconds = s.Seconds + this["further-layer"],
                        }
                        : s
            ),
        ];
    }

    /// <summary>Steps before the first decoration of a piece: thread, lint-roll, pre-press.</summary>
    public IReadOnlyList<WorkStep> Before(GarmentKind kind, double prePressSeconds)
    {
        List<WorkStep> steps =
        [
            new("thread", "Thread", Thread(kind), true, Press: true),
            new("lint", "Lint-roll", this["lint"], true, Press: true),
        ];
        if (prePressSeconds > 0)
        {
            steps.AddRange([
                new("close", "Close", this["close"], true, Press: true),
                new("pre-press", "Pre-press", prePressSeconds, false, Press: true),
                new("open", "Open", this["open"], true, Press: true),
            ]);
        }
        return steps;
    }

    /// <summary>Steps after the last decoration of a piece: inspect, fold and bag.</summary>
    public IReadOnlyList<WorkStep> After =>
        [
            new("inspect", "Inspect", this["inspect"], true, Press: false),
            new("fold", "Fold and bag", this["fold"], true, Press: false),
        ];

    /// <summary>Position, press and peel one transfer, with its second press.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else
    /// 0.</param>
    public IReadOnlyList<WorkStep> Transfer(Recipe recipe, double rethreadSeconds)
    {
        var steps = Laid(rethreadSeconds, Position);
        steps.AddRange(Covered(recipe));
        steps.AddRange(Pressed(recipe.DwellSeconds));
        steps.AddRange(Peeled(recipe.Peel, recipe.PeelAfterSeconds));
        steps.AddRange(Second(recipe));
        return steps;
    }

    /// <summary>Lay and press vinyl layer by layer; lower layers get a short tack press.</summary>
    /// <param name="recipe">How the last layer is pressed.</param>
    /// <param name="layers">Layers, 1 or more.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else
    /// 0.</param>
    /// <param name="close">True when each layer is cut inside its own box: no corners align it.</param>
    public IReadOnlyList<WorkStep> Layers(Recipe recipe, int layers, double rethreadSeconds, bool close = false)
    {
        const double TackSeconds = 3;
        var steps = new List<WorkStep>();
        for (var layer = 1; layer <= layers; layer++)
        {
            var last = layer == layers;
            steps.AddRange(
                layer == 1
                    ? Laid(rethreadSeconds, Position)
                    : Laid(0, Position + this["further-layer"] + (close ? this["close-layer"] : 0))
            );
            steps.AddRange(Covered(recipe));
            steps.AddRange(Pressed(last ? recipe.DwellSeconds : TackSeconds));
            steps.AddRange(Peeled(recipe.Peel, recipe.PeelAfterSeconds));
            if (!last)
            {
                steps.Add(new("reload", "Re-load", this["reload"], true, Press: true));
            }
        }
        steps.AddRange(Second(recipe));
        return steps;
    }

    /// <summary>Weed one layer of one piece: 20 s + 0.8 s for each in² times how fine it is.</summary>
    /// <param name="areaIn2">Cut area, in².</param>
    /// <param name="thinnestLinePt">Thinnest line: under 6 pt counts as fine (3), under 12 as text (2), else plain
    /// (1).</param>
    public WorkStep Weed(double areaIn2, double thinnestLinePt) =>
        new(
            "weed",
            "Weed",
            this["weed"]
                + (
                    this["weed-in2"]
                    * areaIn2
                    * thinnestLinePt switch
                    {
                        < 6 => 3,
                        < 12 => 2,
                        _ => 1,
                    }
                ),
            true,
            Press: false
        );

    /// <summary>Position, tape down, press and lift one dye print; its paper comes off hot.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else
    /// 0.</param>
    public IReadOnlyList<WorkStep> Taped(Recipe recipe, double rethreadSeconds) =>
        [
            .. Laid(rethreadSeconds, Position),
            new("tape", "Tape down", this["tape"], true, Press: true),
            Cover,
            .. Pressed(recipe.DwellSeconds),
            .. Peeled(recipe.Peel, recipe.PeelAfterSeconds),
            .. Second(recipe),
        ];

    /// <summary>Press a whole garment, side by side, the press set down several times on each: pull it over its form,
    /// tape it down, press and move it on; the sheets come off hot.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="sides">Sides printed.</param>
    /// <param name="positions">Times the press is set down on a side.</param>
    /// <param name="kind">The garment.</param>
    public IReadOnlyList<WorkStep> AllOver(Recipe recipe, int sides, int positions, GarmentKind kind)
    {
        List<WorkStep> steps = [Jigged(1)];
        for (var side = 0; side < sides; side++)
        {
            if (side > 0)
            {
                steps.Add(new("thread", "Turn it over", Thread(kind), true, Press: true));
            }
            steps.AddRange([
                new("position", "Lay the sheets on", Position, true, Press: true),
                new("tape", "Tape down", this["tape"], true, Press: true),
            ]);
            for (var at = 0; at < positions; at++)
            {
                if (at > 0)
                {
                    steps.Add(new("reload", "Move it on", this["reload"], true, Press: true));
                }
                steps.AddRange([Cover, .. Pressed(recipe.DwellSeconds)]);
            }
            steps.Add(new("peel", "Peel", this["peel"], true, Press: true));
        }
        return [.. steps, Unload];
    }

    /// <summary>Join the sheets of a print larger than a sheet: 45 s a seam (docs/trade 6).</summary>
    /// <param name="seams">Joinings.</param>
    public WorkStep Joined(int seams) => new("join", "Join the sheets", this["join"] * seams, true, Press: false);

    /// <summary>Pull pieces over their jigs and off again.</summary>
    /// <param name="jigs">How many a piece needs: two for a pair.</param>
    public WorkStep Jigged(int jigs) => new("jig", "Jig in and out, gloves on", this["jig"] * jigs, true, Press: true);

    /// <summary>A machine's printing of one piece's box, by itself.</summary>
    /// <param name="boxIn2">Printed box, in².</param>
    /// <param name="in2PerMinute">Speed, in² a minute.</param>
    public static WorkStep Print(double boxIn2, double in2PerMinute) =>
        new("print", "Print", boxIn2 / in2PerMinute * 60, false, Press: false, true);

    /// <summary>Powder, cure and cut one own film print apart.</summary>
    /// <param name="cure">Where it is cured.</param>
    /// <param name="prints">Prints that share setting the press again after hovering.</param>
    /// <param name="cut">How it is cut out.</param>
    public IReadOnlyList<WorkStep> PowderAndCure(FilmCure cure, int prints, WorkStep cut) =>
        cure == FilmCure.Oven
            ?
            [
                new("powder", "Powder", this["powder"], true, Press: false),
                new("cure", "Cure in the oven", this["cure-oven"], false, Press: false, true),
                cut,
            ]
            :
            [
                new("powder", "Powder", this["powder"], true, Press: false),
                new("cure", "Cure under the hovering press", this["cure-press"], false, Press: true, true),
                new("re-set", "Set the press for it and back", 2 * this["re-set"] / prints, false, Press: true, true),
                cut,
            ];

    /// <summary>Type one piece's own name or number into the artwork and read it back against the list.</summary>
    public WorkStep SetOwn => new("set-own", "Set and check the name", this["set-name"], true, Press: false);

    /// <summary>Find the piece's own print and hold it against the size (docs/trade 6).</summary>
    public WorkStep FindOwn => new("find-own", "Find its name", this["find-name"], true, Press: true);

    /// <summary>Trim one paper print by scissors: 1 s an in of outline, at least 20 (docs/trade 6).</summary>
    /// <param name="outlineIn">Length of the cut, in.</param>
    public WorkStep Trim(double outlineIn) =>
        new("trim", "Trim", Math.Max(this["trim-least"], outlineIn * this["trim-in"]), true, Press: false);

    /// <summary>Lift an opaque print off its backing.</summary>
    public WorkStep LiftBacking => new("lift-backing", "Peel the backing off", this["peel"], true, Press: false);

    /// <summary>Spray the pretreatment on one piece and dry it under the press.</summary>
    public IReadOnlyList<WorkStep> Pretreated =>
        [
            new("spray", "Spray the pretreatment", this["spray"], true, Press: false),
            new("dry-spray", "Dry it under the press", this["dry-spray"], false, Press: true, true),
        ];

    /// <summary>Lay a printed piece under the press and cure it; nothing is positioned or peeled.</summary>
    /// <param name="recipe">How it is cured.</param>
    public IReadOnlyList<WorkStep> Cured(Recipe recipe) =>
        [
            new("reload", "Lay it under the press", this["reload"], true, Press: true),
            .. Covered(recipe),
            .. Pressed(recipe.DwellSeconds),
            Unload,
        ];

    /// <summary>Hoop one piece, stitch it and take it out; the next is hooped meanwhile.</summary>
    /// <param name="stitchSeconds">Seconds of the machine.</param>
    public IReadOnlyList<WorkStep> Stitched(double stitchSeconds) =>
        [
            new("hoop", "Hoop", this["hoop"], true, Press: false),
            new("frame", "Frame onto the machine", this["frame"], true, Press: true),
            new("stitch", "Stitch", stitchSeconds, false, Press: true, true),
            new("unload", "Frame off", this["frame"], true, Press: true),
            new("trim-threads", "Trim threads, tear the backing off", this["trim-threads"], true, Press: false),
        ];

    /// <summary>Feed printed paper and cloth through the drum together; the hands stay at it.</summary>
    /// <param name="seconds">Length of one garment's cloth ÷ the drum's speed.</param>
    public static WorkStep Calendered(double seconds) =>
        new("calender", "Feed paper and cloth through the calender", seconds, true, Press: false);

    /// <summary>Cut the parts of one garment out.</summary>
    /// <param name="outlineIn">Length of the cut, in.</param>
    public WorkStep CutOut(double outlineIn) =>
        new("cut-out", "Cut the parts out", outlineIn * this["cut-out-in"], true, Press: false);

    /// <summary>Sew one garment together.</summary>
    public WorkStep Sewn => new("sew", "Sew", this["sew"], true, Press: true);

    /// <summary>The same with a film laid and smoothed at each stop, one for every colour.</summary>
    /// <param name="stitchSeconds">Seconds of the machine.</param>
    /// <param name="films">Films laid.</param>
    public IReadOnlyList<WorkStep> Appliqued(double stitchSeconds, int films) =>
        [
            .. Stitched(stitchSeconds)
                .SelectMany(s =>
                    s.Code == "stitch"
                        ?
                        [
                            new WorkStep(
                                "lay-film",
                                "Lay the films at their stops",
                                this["lay-film"] * films,
                                true,
                                Press: true
                            ),
                            s,
                        ]
                        : new[] { s }
                ),
        ];

    /// <summary>Finish applique under the press: laid on, covered, pressed, lifted off; nothing is peeled.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first at the press, else
    /// 0.</param>
    public IReadOnlyList<WorkStep> Finished(Recipe recipe, double rethreadSeconds) =>
        [
            .. rethreadSeconds > 0
                ? [new WorkStep("thread", "Thread again", rethreadSeconds, true, Press: true)]
                : Array.Empty<WorkStep>(),
            .. Covered(recipe),
            .. Pressed(recipe.DwellSeconds),
            Unload,
        ];

    /// <summary>Count one piece in that others have decorated.</summary>
    public IReadOnlyList<WorkStep> CameBack =>
        [new("count-in", "Count in what came back", this["count-in"], true, Press: true)];

    /// <summary>Count one blank out to those who decorate it.</summary>
    public WorkStep SentOut => new("count-out", "Count out and pack to send", this["count-out"], true, Press: false);

    /// <summary>Take the maker's label out before one of the shop's is printed in its place.</summary>
    /// <param name="tears">True where it is made to be torn out.</param>
    public WorkStep Untagged(bool tears) =>
        new(
            "untag",
            tears ? "Tear the label out" : "Unpick the label",
            this[tears ? "untag-tear" : "untag-cut"],
            true,
            Press: false
        );

    /// <summary>Cut one print out of its sheet or roll.</summary>
    public WorkStep CutApart => new("cut-apart", "Cut apart", this["cut-apart"], true, Press: false);

    /// <summary>Cut one film print out of its layout: straight, or as long as paper takes round its outline where
    /// another lies in its corners.</summary>
    /// <param name="widthIn">Its width, in.</param>
    /// <param name="heightIn">Its height, in.</param>
    /// <param name="round">Share of its copies that are cut round, 0 to 1.</param>
    public WorkStep CutOut(double widthIn, double heightIn, double round) =>
        round == 0
            ? CutApart
            : CutApart with
            {
                Seconds = (round * Trim(2 * (widthIn + heightIn)).Seconds) + ((1 - round) * CutApart.Seconds),
            };

    private double Position => this[habits.Measured ? "position-measured" : "position-eye"];

    private WorkStep Cover => new("cover", "Cover", this["cover"], true, Press: true);

    private static List<WorkStep> Laid(double rethreadSeconds, double positionSeconds)
    {
        var steps = new List<WorkStep>();
        if (rethreadSeconds > 0)
        {
            steps.Add(new("thread", "Thread again", rethreadSeconds, true, Press: true));
        }
        steps.Add(new("position", "Position", positionSeconds, true, Press: true));
        return steps;
    }

    private IEnumerable<WorkStep> Covered(Recipe recipe) => recipe.Cover == Recipes.Cover.None ? [] : [Cover];

    private IEnumerable<WorkStep> Pressed(double dwellSeconds) =>
        [
            new("close", "Close", this["close"], true, Press: true),
            new("press", "Press", dwellSeconds, false, Press: true),
            new("open", "Open", this["open"], true, Press: true),
        ];

    // cooling starts when the press opens, so unloading is part of it
    private IEnumerable<WorkStep> Peeled(Peel peel, double afterSeconds) =>
        peel == Peel.Hot
            ? [new("peel", "Peel", this["peel"], true, Press: true), Unload]
            :
            [
                Unload,
                new(
                    "cool",
                    "Cool on the rack",
                    Math.Max(0, Cooling(peel, afterSeconds) - this["unload"]),
                    false,
                    Press: false
                ),
                new("peel", "Peel", this["peel"], true, Press: false),
            ];

    // what is said for a table is not waited for on a cold plate
    private double Cooling(Peel peel, double afterSeconds) =>
        peel == Peel.Cold && habits.ColdPlate ? Math.Min(afterSeconds, this["cold-plate"]) : afterSeconds;

    private WorkStep Unload => new("unload", "Lift off", this["unload"], true, Press: true);

    private IEnumerable<WorkStep> Second(Recipe recipe) =>
        recipe.SecondPressSeconds <= 0
            ? []
            :
            [
                new("reload", "Re-load", this["reload"], true, Press: true),
                Cover,
                .. Pressed(recipe.SecondPressSeconds)
                    .Select(s => s.Code == "press" ? s with { Code = "second-press", Label = "Second press" } : s),
                Unload,
            ];
}
