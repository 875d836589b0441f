using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Core.Runs;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>A verdict, or the taking back of one. The device makes the event's id; sending it again is the same
/// event.</summary>
internal sealed record RunEventBody(
    int PieceNo,
    int Attempt,
    int Pass,
    string Size,
    RunVerdict Verdict,
    string? Reason,
    string? TakesBack,
    double SecondsOnPiece,
    IReadOnlyList<LapBody>? Laps = null
);

/// <summary>What one step of pressing took: lay, press, peel or again.</summary>
internal sealed record LapBody(string Step, double Seconds);

/// <summary>Pieces a device has in its hands or takes next, each as piece, attempt and pass: "3.1.1".</summary>
internal sealed record InHandBody(IReadOnlyList<string> Pieces);

/// <summary>Pieces of the run that other devices have.</summary>
internal sealed record ElsewhereView(IReadOnlyList<string> Elsewhere);

/// <summary>Runs: an append-only log, folded.</summary>
internal static class RunEndpoints
{
    private const int LongestText = 64;
    private const int MostLaps = 20;
    private const int MostInHand = 200;
    private const int MostPieces = 60 * SizeRun.MostPieces;

    public static void MapRuns(this IEndpointRouteBuilder api)
    {
        var runs = api.MapGroup("/runs").WithTags("runs").OpenTo(Caller.Press);
        runs.MapGet("{id}", Get).WithName("run");
        runs.MapGet("{id}/sheet.pdf", Sheet).WithName("runSheetPdf").Produces(200, contentType: "application/pdf");
        runs.MapPost("{id}/start", Start).WithName("startRun");
        runs.MapPut("{id}/in-hand", InHand).WithName("piecesInHand");
        runs.MapPut("{id}/events/{eventId}", Add).WithName("addRunEvent");
    }

    /// <summary>The whole plan of a run and its events, folded.</summary>
    internal static RunView Get(OrderId id, OpenShop shop) => shop.Db.Read(c => RunViews.Run(c, shop, id));

    /// <summary>The run on paper: recipes to read, a box to tick for every piece.</summary>
    internal static FileContentHttpResult Sheet(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var run = RunViews.Run(connection, shop, id);
            var c = shop.Case(connection, id, shop.Book(connection));
            var n = c.Frozen!.Numbers;
            var lines = run
                .Lines.Select(l => new RunLinePrinted(
                    l.What,
                    $"{l.Press}. {l.PressCautions}".Trim(),
                    [.. l.Passes.Select(Printed)],
                    [.. c.Line(l.LineId).Asked.Sizes.Select(s => new SizePrinted(s.Size, s.Pieces))],
                    [
                        .. c.Run!.Pieces.Where(p => p.LineId == l.LineId && p.Says.Length > 0)
                            .Select(p => new NamePrinted(p.PieceNo, p.Size, p.Says)),
                    ]
                ))
                .ToList();
            return TypedResults.File(
                RunSheetPdf.Print(
                    new(
                        n.Identity.Paper,
                        n.Identity.Name,
                        Number: run.Code,
                        c.Order.Ask.DueAt is { } due ? $"wanted {Shown.Moment(due, n.Format)}" : "",
                        run.Customer,
                        string.Join('\n', c.Order.Ask.Details.ForTheShop()),
                        lines,
                        run.Reasons
                    )
                ),
                "application/pdf"
            );
        });

    private static PassPrinted Printed(RunPassView p)
    {
        var again = p.SecondPressSeconds > 0 ? $"; then covered, {p.SecondPressSeconds:0} s again" : "";
        var before = p.PrePressSeconds > 0 ? $"pre-press {p.PrePressSeconds:0} s; " : "";
        var peel =
            p.Peel == Core.Recipes.Peel.Hot
                ? "hot peel"
                : $"{p.Peel.ToString().ToLowerInvariant()} peel after {p.PeelAfterSeconds:0} s";
        // where sizes differ, each print is said with its sizes
        var sizes = string.Join(
            "; ",
            p.OnSizes.GroupBy(s => (s.Size, s.Where))
                .Select(g =>
                    $"{(p.OnSizes.DistinctBy(s => (s.Size, s.Where)).Count() == 1 ? "" : $"{string.Join(", ", g.Select(s => s.Garment))}: ")}{g.Key.Size}, "
                    + $"{g.Key.Where}"
                )
        );
        var title = $"{char.ToUpperInvariant(p.Place[0])}{p.Place[1..]} {sizes}{(p.Own ? ", each its own" : "")}";
        return p.Work.Length > 0
            ? new(title, p.Work, How: p.Side, p.Caution, string.Join("; ", p.Checks))
            : new(
                title,
                $"{p.Temperature}{(p.SetPoint.Length > 0 ? $", set {p.SetPoint}" : " at the dial's word")}, "
                    + $"{p.DwellSeconds:0} s, {p.Pressure}{(p.Dial.Length > 0 ? $" (dial {p.Dial})" : "")}, {peel}",
                How: $"{before}{p.Side}{(p.Under.Length > 0 ? $", {p.Under}" : "")}{again}",
                p.Caution,
                string.Join("; ", p.Checks)
            );
    }

    /// <summary>Begins pressing; again it is the same run.</summary>
    internal static Written Start(OrderId id, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c => new Written(
            id.Text,
            PressDeeds.StartRun(c, shop, id, request.Deed(shop.Clock, "pressing begun"))
        ));

    /// <summary>Adds an event and answers with the folded counts. Carries no version: events only ever
    /// accrue.</summary>
    internal static RunState Add(OrderId id, string eventId, RunEventBody body, OpenShop shop, HttpRequest request)
    {
        RefusedException.IfAny(Problems(eventId, body));
        return shop.Db.Write(connection =>
        {
            var c = shop.Case(connection, id, shop.Book(connection));
            if (c.Order.Facts.Pressing.StartedAt is null || c.Frozen is null)
            {
                throw new RefusedException(
                    409,
                    "not-begun",
                    $"Pressing of {c.Order.Code} has not begun.",
                    remedy: "Begin the run first."
                );
            }
            var pieces = c.Order.Ask.Pieces;
            var passes = body.PieceNo > pieces ? 0 : PassesOf(c.RunLines, body.PieceNo);
            if (body.Pass > passes)
            {
                throw new RefusedException(
                    400,
                    "unknown-piece",
                    $"Piece {body.PieceNo}, pass {body.Pass}: this run has {pieces} pieces, and that one "
                        + $"{passes} passes.",
                    remedy: "Read the run again.",
                    "pieceNo"
                );
            }
            RunStore.Add(
                connection,
                id,
                new RunEvent(
                    eventId,
                    request.Device(),
                    body.PieceNo,
                    body.Attempt,
                    body.Pass,
                    body.Size,
                    body.Verdict,
                    body.Reason,
                    body.TakesBack,
                    body.SecondsOnPiece
                )
                {
                    Laps = [.. (body.Laps ?? []).Select(l => new StepLap(l.Step, l.Seconds))],
                },
                shop.Clock.Utc
            );
            return RunReplay.After(c.RunLines, RunStore.Of(connection, id));
        });
    }

    /// <summary>Says which pieces this device has, in place of what it said before, and answers which others have: two
    /// devices are never given the same one.</summary>
    internal static ElsewhereView InHand(
        OrderId id,
        InHandBody body,
        OpenShop shop,
        PiecesInHand inHand,
        HttpRequest request
    )
    {
        if (
            body.Pieces.Count > MostInHand
            || body.Pieces.FirstOrDefault(p => p.Length is 0 or > LongestText) is not null
        )
        {
            throw new RefusedException(
                400,
                "pieces",
                $"{body.Pieces.Count} pieces in hand cannot be read.",
                remedy: $"At most {MostInHand}, each as piece, attempt and pass: 3.1.1.",
                "pieces"
            );
        }
        if (shop.Db.Read(c => Aggregates.Orders.Get(c, id)) is null)
        {
            throw RefusedException.NoSuch("order", id);
        }
        return new(inHand.Take(id.Text, request.Device(), body.Pieces));
    }

    private static int PassesOf(IReadOnlyList<RunLine> lines, int pieceNo)
    {
        foreach (var line in lines)
        {
            if (pieceNo <= line.Pieces)
            {
                return line.Passes;
            }
            pieceNo -= line.Pieces;
        }
        return 0;
    }

    private static IEnumerable<Problem> Problems(string eventId, RunEventBody body)
    {
        if (eventId.Length is < 8 or > LongestText)
        {
            yield return new(
                "bad-id",
                $"An event id of {eventId.Length} characters.",
                Where: "eventId",
                $"Between 8 and {LongestText}, made by the device."
            );
        }
        if (body.PieceNo is < 1 or > MostPieces || body.Attempt is < 1 or > 100 || body.Pass is < 1 or > 10)
        {
            yield return new(
                "range",
                $"Piece {body.PieceNo}, attempt {body.Attempt}, pass {body.Pass} cannot be.",
                Where: "pieceNo",
                "Pieces, attempts and passes count from 1."
            );
        }
        if (!double.IsFinite(body.SecondsOnPiece) || body.SecondsOnPiece is < 0 or > 86_400)
        {
            yield return new(
                "range",
                $"{body.SecondsOnPiece} s on a piece is outside 0 to 86,400.",
                Where: "secondsOnPiece",
                "Send the seconds since the verdict before."
            );
        }
        if (
            body.Laps is { } laps
            && (
                laps.Count > MostLaps
                || laps.Any(l => !StepLap.Steps.Contains(l.Step) || l.Seconds is not (>= 0 and <= 86_400))
            )
        )
        {
            yield return new(
                "laps",
                $"{laps.Count} steps of a piece cannot be read.",
                Where: "laps",
                $"At most {MostLaps}, each {string.Join(", ", StepLap.Steps)} with 0 to 86,400 s."
            );
        }
        if ((body.Verdict == RunVerdict.TakenBack) != (body.TakesBack is not null))
        {
            yield return new(
                "take-back",
                "A taking back names the event it takes back, and nothing else does.",
                Where: "takesBack",
                "Send its id, or null."
            );
        }
        if (body.Reason?.Length > LongestText || body.Size.Length > LongestText || body.TakesBack?.Length > LongestText)
        {
            yield return new(
                "too-long",
                "A text of the event is too long.",
                Where: "reason",
                $"At most {LongestText} characters."
            );
        }
    }
}
