using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>One piece decorated in several ways, each placement by its own: stitched on the chest and film on the
/// back.</summary>
/// <remarks>What is done elsewhere comes first, then what is stitched, then the press: a hoop or a printer's dryer
/// would spoil a pressed print.</remarks>
/// <param name="parts">Every placement's way; at least two different ones.</param>
public sealed class Mixed(IReadOnlyList<(PlacementId PlacementId, IDecorationMethod Method)> parts) : IDecorationMethod
{
    private const char Between = '+';
    private const char At = '@';

    /// <summary>Every placement's way.</summary>
    public IReadOnlyList<(PlacementId PlacementId, IDecorationMethod Method)> Parts => parts;

    /// <summary>The ways in it, each once.</summary>
    public IReadOnlyList<IDecorationMethod> Ways => [.. parts.Select(p => p.Method).DistinctBy(m => m.Id)];

    /// <summary>Placements with their ways, "htv@front+embroidery@chest": a key like any method's.</summary>
    public MethodId Id =>
        new MethodId(
            string.Join(Between, parts.Select(p => $"{p.Method.Id}{At}{Uri.EscapeDataString(p.PlacementId.Text)}"))
        );

    /// <summary>Its ways by the first words of their names, whole where those are the same.</summary>
    public string Name
    {
        get
        {
            var first = Ways.Select(m => m.Name.Split(',')[0]).ToList();
            var names = first.Distinct().Count() == first.Count ? first : [.. Ways.Select(m => m.Name)];
            return string.Join(" + ", names.Select((n, i) => i == 0 ? n : n.ToLowerInvariant()));
        }
    }

    /// <inheritdoc/>
    public string Said => string.Join(" and ", Ways.Select(m => m.Said));

    /// <summary>After every way that is not mixed.</summary>
    public int Order => int.MaxValue;

    /// <summary>What all of its ways are like.</summary>
    public PrintCharacter Character => PrintCharacter.Together(Ways.Select(m => m.Character));

    /// <summary>What any of its ways takes.</summary>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [.. Ways.SelectMany(m => m.StartUp(book)).DistinctBy(i => i.Price.Code)];

    /// <summary>What the first of its ways that lays anything lays its prints on.</summary>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) =>
        Ways.Select(way => PartOf(part, m => m.Id == way.Id) is { } mine ? way.LaidOn(mine, book) : null)
            .FirstOrDefault(laid => laid is not null);

    /// <summary>The largest of its ways; each attempt has its own way's share.</summary>
    public double SpoilageAssumed => Ways.Max(m => m.SpoilageAssumed);

    /// <summary>A mix by its key; null where it is none, names no known way or is all one way.</summary>
    public static Mixed? Find(MethodId id)
    {
        var parts = id.Text.Split(Between).Select(p => p.Split(At)).ToList();
        if (parts.Any(p => p.Length != 2))
        {
            return null;
        }
        var found = parts
            .Select(p =>
                (
                    PlacementId: Uri.UnescapeDataString(p[1]),
                    Method: DecorationMethods.All.FirstOrDefault(m => m.Id == new MethodId(p[0]))
                )
            )
            .ToList();
        return
            found.Any(p => p.Method is null)
            || found.DistinctBy(p => p.PlacementId).Count() < found.Count
            || found.DistinctBy(p => p.Method!.Id).Count() < 2
            ? null
            : new([.. found.Select(p => ((PlacementId)p.PlacementId, p.Method!))]);
    }

    /// <summary>The line with those placements alone that are done by one of its ways; null for none.</summary>
    public AskInHand? PartOf(AskInHand ask, Func<IDecorationMethod, bool> way) =>
        ask.Placements.Where(p => WayOf(p.Id) is { } m && way(m)).ToList() is { Count: > 0 } mine
            ? ask with
            {
                Placements = mine,
            }
            : null;

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) => OnCloth(ask, new(book), book);

    /// <summary>The same, with what its ways have answered for the line already.</summary>
    internal MethodAnswer OnCloth(AskInHand ask, PartAnswers found, ShopBook book)
    {
        if (Unsaid(ask) is { } unsaid)
        {
            return MethodAnswer.No(unsaid);
        }
        var answers = Ways.Select(m => (Method: m, Answer: found.OnCloth(m, PartOf(ask, w => w.Id == m.Id)!))).ToList();
        List<Reason> reasons =
        [
            .. answers.SelectMany(a => a.Answer.Verdict.Reasons).DistinctBy(r => (r.Code, r.Sentence)),
        ];
        if (answers.FirstOrDefault(a => a.Answer.Decorations.Any(d => d.IsOnTheirBlank())) is { Method: { } brings })
        {
            reasons.Add(
                new(
                    "their-blank-mixed",
                    VerdictKind.No,
                    $"{brings.Name.ToLowerInvariant()} comes on a blank of its own",
                    WouldWork: "one way for all of its prints"
                )
            );
        }
        if (Verdict.From(reasons).Kind == VerdictKind.No || answers.Any(a => a.Answer.Decorations.Count == 0))
        {
            return new(Verdict.From(reasons), "", []);
        }
        List<DecorationPlan> plans =
        [
            .. answers
                .SelectMany(a => a.Answer.Decorations.Select(d => d with { MethodId = a.Method.Id }))
                .OrderBy(Stage)
                .ThenBy(d => PlaceInAsk(ask, d)),
        ];
        var first = plans.FindIndex(d => d.Recipe.IsPressed());
        var standards = book.Numbers.Floor.Standards();
        // each way's first print was reckoned as the piece's first: a further one is threaded again
        plans =
        [
            .. plans.Select(
                (d, i) =>
                    i > first && first >= 0
                        ? d with
                        {
                            Steps = standards.ThreadedAgain(d.Steps, d.Placement.Seam(), ask.Style.Kind),
                        }
                        : d
            ),
        ];
        return new(
            Verdict.From(reasons),
            string.Join("; ", answers.Select(a => $"{PlacesOf(a.Answer)}: {a.Answer.Made}")),
            plans
        )
        {
            NotUsed = [.. answers.SelectMany(a => a.Answer.NotUsed)],
        };
    }

    private Reason? Unsaid(AskInHand ask)
    {
        if (ask.Placements.FirstOrDefault(p => WayOf(p.Id) is null) is { } unsaid)
        {
            return new(
                "not-mixed",
                VerdictKind.No,
                $"{unsaid.At().Name} has no way in this mix",
                WouldWork: "a way said for each placement"
            );
        }
        return parts.Where(p => ask.Placements.All(x => x.Id != p.PlacementId)).ToList() is [var gone, ..]
            ? new(
                "not-mixed",
                VerdictKind.No,
                $"a print that was to be {gone.Method.Said} is gone",
                WouldWork: "choose again"
            )
            : null;
    }

    /// <summary>When a decoration's turn comes: sent out, then stitched, then pressed.</summary>
    public static int Stage(DecorationPlan d)
    {
        if (d.BenchId == Workbench.Table.Id)
        {
            return 0;
        }
        return d.BenchId.IsNone ? 2 : 1;
    }

    private static string PlacesOf(MethodAnswer answer) =>
        string.Join(", ", answer.Decorations.Select(d => d.Placement.At().Name.ToLowerInvariant()).Distinct());

    private static int PlaceInAsk(AskInHand ask, DecorationPlan d) =>
        ask
            .Placements.Select((p, i) => (p.Id, i))
            .First(x => x.Id == (d.Finishes.IsNone ? d.Placement.Id : d.Finishes))
            .i;

    private IDecorationMethod? WayOf(PlacementId placementId) =>
        parts.FirstOrDefault(p => p.PlacementId == placementId).Method;
}
