using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Deeds;

/// <summary>By which way a line of an ask that is kept nowhere is made.</summary>
/// <param name="MethodId">Key of the method, or of a mix.</param>
/// <param name="LineId">Which line; null for the first.</param>
/// <param name="Each">The price a piece, or null for the policy's.</param>
internal sealed record SaidWay(MethodId MethodId, LineId? LineId = null, decimal? Each = null);

/// <summary>Ways said in a call, as decisions of an order.</summary>
internal static class ChosenWays
{
    private const decimal MostEach = 100_000;

    /// <summary>One decision a line that is named; refused where a line or a method is not known or named
    /// twice.</summary>
    /// <param name="ways">As said.</param>
    /// <param name="ask">Whose lines.</param>
    /// <param name="f">How figures are written.</param>
    /// <param name="at">Now (UTC).</param>
    public static IReadOnlyList<Decision> Decisions(IReadOnlyList<SaidWay> ways, Ask ask, FigureFormat f, Instant at)
    {
        var decisions = new List<Decision>();
        foreach (var (way, i) in ways.Select((w, i) => (w, i)))
        {
            var lineId = way.LineId ?? ask.Lines[0].Id;
            if (ask.Lines.All(l => l.Id != lineId))
            {
                throw RefusedException.NoSuch("line", lineId);
            }
            if (decisions.Any(d => d.LineId == lineId))
            {
                throw new RefusedException(
                    400,
                    "twice",
                    $"Line \"{lineId}\" is to be made by two ways.",
                    remedy: "Say one way a line.",
                    $"ways[{i}].lineId"
                );
            }
            var method = DecorationMethods.Find(way.MethodId) ?? throw RefusedException.NoSuch("method", way.MethodId);
            InRange(way.Each, f, $"ways[{i}].each");
            decisions.Add(new(lineId, method.Id, at, way.Each));
        }
        return decisions;
    }

    /// <summary>Refuses a price a piece that cannot be.</summary>
    public static void InRange(decimal? each, FigureFormat f, string field)
    {
        if (each is <= 0 or > MostEach)
        {
            throw new RefusedException(
                400,
                "range",
                $"A price of {Shown.Money(each.Value, f)} is outside 0.01 to 100,000.",
                remedy: "Type what a piece is sold at, before tax.",
                field
            );
        }
    }
}
