using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>What a line puts on the press.</summary>
public static class LineWork
{
    /// <summary>Seconds of hands at the press for one start by the press floor, at the shop's own pace; packing left
    /// out.</summary>
    public static double PressingSeconds(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book) =>
        LineFloor.MinutesOf(ask, decorations, book).AttendedInAll;

    /// <summary>The work an order puts on the press by one method's plan.</summary>
    /// <param name="id">Order.</param>
    /// <param name="lineId">Its line.</param>
    /// <param name="code">Its number as written.</param>
    /// <param name="ask">The ask.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="readyAt">When everything is here, wall clock.</param>
    /// <param name="readyCause">What comes last.</param>
    /// <param name="dueAt">When it is wanted.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static PressWork Of(
        OrderId id,
        LineId lineId,
        string code,
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        LocalDateTime readyAt,
        string readyCause,
        LocalDateTime? dueAt,
        ShopBook book
    )
    {
        var starts = (int)
            Math.Ceiling(ask.Pieces / decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance)) - 1e-9);
        var packing = book.Numbers.Floor.Standards().After[1].Seconds * book.Numbers.Floor.HandsFactor * ask.Pieces;
        // film cured under the hovering press takes the press too
        var perPiece =
            LineFloor.MinutesOf(ask, decorations, book, starts).SecondsAPiece
            + WorkSteps.PressHeld(decorations.SelectMany(d => d.Preparation));
        return new(
            id,
            lineId,
            code,
            starts,
            perPiece / 60,
            TemperatureF: decorations.Max(d => d.Recipe.TemperatureF),
            readyAt,
            readyCause,
            dueAt,
            packing / 60,
            SlowTenthMinutes: book.Numbers.Floor.SlowTenthShare * starts * perPiece / 60,
            null,
            decorations.Max(d => Pressed(d).WidthIn),
            decorations.Max(d => Pressed(d).HeightIn)
        )
        {
            Kind = ask.Style.Kind,
            Passes =
            [
                .. decorations.Select(d => new PressPass(
                    Pressed(d).WidthIn,
                    Pressed(d).HeightIn,
                    d.Placement.At().OpeningIn,
                    d.Recipe.Pressure
                )),
            ],
            CeilingF = ask.Style.HeatCeilingF,
            BenchId = LineFloor.BenchOf(decorations),
        };
    }

    private static PlatenBox Pressed(DecorationPlan d) => d.OnPlaten ?? new(d.Placement.WidthIn, d.Placement.HeightIn);
}
