using Hepno.Core.Measures;

namespace Hepno.Core.Costing;

/// <summary>What one attempt at one decoration takes.</summary>
/// <param name="Id">Placement.</param>
/// <param name="Label">On screen.</param>
/// <param name="Material">Transfer or vinyl of one attempt, freight share included.</param>
/// <param name="FailureChance">Share of attempts that spoil the piece, seen right after the press, 0 to under
/// 1.</param>
/// <param name="AttendedSeconds">Attended seconds of one attempt.</param>
/// <param name="PressSeconds">Press-held seconds of one attempt.</param>
public sealed record Attempt(
    string Id,
    string Label,
    Figure Material,
    double FailureChance,
    double AttendedSeconds,
    double PressSeconds
)
{
    /// <summary>Attempts the bought material is enough for; 0 when bought exactly as used.</summary>
    public int Bought { get; init; }

    /// <summary>Money once for the design, whatever is ruined; null when there is none.</summary>
    public Figure? SetUp { get; init; }

    /// <summary>Attempts of a lower stage come first: what is sent out before what is stitched, that before what
    /// is pressed.</summary>
    public int Stage { get; init; }

    /// <summary>Money for a held hour of where it is done; null for the piece's own press.</summary>
    public Figure? Hour { get; init; }

    /// <summary>The attempt it lies on, which comes before it; null for the cloth.</summary>
    public string? Over { get; init; }

    /// <summary>What a transfer costs that is bought beyond those used; null for the material of an
    /// attempt.</summary>
    public Figure? OneMore { get; init; }

    /// <summary>What a machine takes for it, s, opened to its parts; null where its steps say it.</summary>
    public Figure? BenchTime { get; init; }
}

/// <summary>Everything the cost of a piece follows from.</summary>
/// <param name="Quantity">Good pieces wanted, 1 or more.</param>
/// <param name="Blank">Landed blank.</param>
/// <param name="Consumables">Sundries of one start.</param>
/// <param name="Packing">Packing of one good piece.</param>
/// <param name="PrepAttendedSeconds">Threading, inspecting and so on of one start.</param>
/// <param name="PrepPressSeconds">Press-held seconds of it.</param>
/// <param name="Decorations">Decorations in the order asked.</param>
/// <param name="Wage">Money an hour.</param>
/// <param name="OverheadPerHour">Money an attended hour.</param>
/// <param name="PressHour">Money for a held hour of the press.</param>
/// <param name="OrderMinutes">Hands for the whole order away from the pieces.</param>
/// <param name="FixedFees">Fixed fees of all payments of the order.</param>
public sealed record PieceInputs(
    int Quantity,
    Figure Blank,
    Figure Consumables,
    Figure Packing,
    double PrepAttendedSeconds,
    double PrepPressSeconds,
    IReadOnlyList<Attempt> Decorations,
    decimal Wage,
    decimal OverheadPerHour,
    Figure PressHour,
    Figure OrderMinutes,
    Figure FixedFees
)
{
    /// <summary>Where the seconds come from, in words.</summary>
    public string TimeSource { get; init; } = "standards, one at a time";

    /// <summary>What the stratum of decorations is called: Print, Stitches or Sent out (docs/trade
    /// 8).</summary>
    public string DecorationLabel { get; init; } = "Print";

    /// <summary>What is held while it is worked on: the press, a stitching machine, the table.</summary>
    public string Place { get; init; } = "The press";

    /// <summary>Blanks bought where they are more than the pieces; 0 for as many as are started.</summary>
    public int BlanksBought { get; init; }
}

/// <summary>The cost of one good piece.</summary>
/// <param name="Cost">The seven strata, in their order, summed.</param>
/// <param name="Sequence">Decorations in the cheapest order of pressing.</param>
/// <param name="StartsPerGood">Blanks started for one good piece.</param>
/// <param name="AttemptsPerGood">Attempts of each decoration of <paramref name="Sequence"/> for one good piece.</param>
/// <param name="HandsSeconds">Attended seconds a good piece, ruined attempts and order time included.</param>
/// <param name="PressSeconds">Press-held seconds a good piece.</param>
/// <param name="Materials">Blank, decorations and sundries: the base of a multiple on materials.</param>
public sealed record PieceCostResult(
    Figure Cost,
    IReadOnlyList<Attempt> Sequence,
    double StartsPerGood,
    IReadOnlyList<double> AttemptsPerGood,
    Figure HandsSeconds,
    double PressSeconds,
    decimal Materials
)
{
    /// <summary>One stratum by its code.</summary>
    public Figure Stratum(string code) => Cost.Parts.First(p => p.Code == code);

    /// <summary>Money for the hands of one good piece, at the wage.</summary>
    public decimal LabourAll(decimal wage) => Money.Times((double)HandsSeconds.Value / 3600, wage);
}

/// <summary>The strata of cost of a piece (docs/trade 8). Costs are never rounded.</summary>
public static class PieceCost
{
    /// <summary>Codes of the seven strata, in their fixed order.</summary>
    public static IReadOnlyList<string> Strata { get; } =
    ["blank", "decoration", "consumables", "labour", "press", "spoilage", "packing"];

    /// <summary>The cost of one good piece, pressed in the cheapest order.</summary>
    public static PieceCostResult Reckon(PieceInputs inputs) =>
        Reckon(
            inputs,
            Spoilage.CheapestOrder([.. inputs.Decorations.Select(d => (d, Spoilage.AttemptCost(d, inputs)))])
        );

    /// <summary>The cost of one good piece, pressed in the order given.</summary>
    public static PieceCostResult Reckon(PieceInputs inputs, IReadOnlyList<Attempt> sequence)
    {
        var survive = sequence.Select(d => 1 - d.FailureChance).ToArray();
        var starts = 1 / survive.Aggregate(1.0, (a, b) => a * b);
        var attempts = sequence.Select((_, i) => 1 / survive.Skip(i).Aggregate(1.0, (a, b) => a * b)).ToArray();
        var orderSeconds = (double)inputs.OrderMinutes.Value * 60 / inputs.Quantity;
        var materials = Materials(inputs, sequence);
        var cost = Figure.Sum(
            "cost",
            "Cost",
            inputs.Blank with
            {
                Code = "blank",
                Label = "Blank",
            },
            materials,
            inputs.Consumables with
            {
                Code = "consumables",
                Label = "Sundries",
            },
            Labour(inputs, sequence, orderSeconds),
            HeatAndRent(inputs, sequence, orderSeconds),
            Spoilage.Stratum(inputs, sequence, attempts),
            Packing(inputs)
        );
        var hands = HandsSeconds(inputs, sequence, starts, attempts, orderSeconds);
        var pressSeconds =
            (inputs.PrepPressSeconds * starts) + sequence.Select((d, i) => d.PressSeconds * attempts[i]).Sum();
        return new(
            cost,
            sequence,
            starts,
            attempts,
            hands,
            pressSeconds,
            inputs.Blank.Value + materials.Value + inputs.Consumables.Value
        );
    }

    private static Figure Labour(PieceInputs inputs, IReadOnlyList<Attempt> sequence, double orderSeconds)
    {
        var work = Timed(
            inputs,
            sequence,
            new("work", Label: "At the press and beside it", "Numbers: wage"),
            d => d.AttendedSeconds,
            inputs.PrepAttendedSeconds,
            inputs.Wage
        );
        return Figure.Sum(
            "labour",
            "Labour",
            [.. work.Parts, OrderTime(inputs, orderSeconds, inputs.Wage, "Numbers: wage")]
        );
    }

    private static Figure HeatAndRent(PieceInputs inputs, IReadOnlyList<Attempt> sequence, double orderSeconds)
    {
        var rent = Timed(
            inputs,
            sequence,
            new("overhead", Label: "Rent and the rest", "Numbers: overhead"),
            d => d.AttendedSeconds,
            inputs.PrepAttendedSeconds,
            inputs.OverheadPerHour
        );
        return Figure.Sum(
            "press",
            "Heat and rent",
            PressHeld(inputs, sequence),
            rent,
            OrderTime(inputs, orderSeconds, inputs.OverheadPerHour, "Numbers: overhead")
        );
    }

    // what an hour of each place is made of stands under its times
    private static Figure PressHeld(PieceInputs inputs, IReadOnlyList<Attempt> sequence)
    {
        var held = Timed(
            inputs,
            sequence,
            new("held", Label: inputs.Place, "Floor: an hour of it"),
            d => d.PressSeconds,
            inputs.PrepPressSeconds,
            inputs.PressHour.Value,
            d => d.Hour?.Value
        );
        return held with
        {
            Parts =
            [
                .. held.Parts,
                inputs.PressHour with
                {
                    Label = "An hour of it, as used above",
                },
                .. sequence.Select(d => d.Hour).OfType<Figure>().DistinctBy(x => x.Code),
                .. sequence
                    .Where(d => d.BenchTime is not null)
                    .Select(d =>
                        d.BenchTime! with
                        {
                            Code = $"bench-time-{d.Id}",
                            Label = $"{d.Label}, the machine's time in it",
                        }
                    ),
            ],
            How = "sum of the times above",
        };
    }

    private sealed record Rate(string Code, string Label, string Source);

    private static Figure Timed(
        PieceInputs inputs,
        IReadOnlyList<Attempt> sequence,
        Rate at,
        Func<Attempt, double> seconds,
        double prepSeconds,
        decimal rate,
        Func<Attempt, decimal?>? own = null
    ) =>
        Figure.Sum(
            at.Code,
            at.Label,
            [
                Figure.Time("prep", "Preparation and inspection", prepSeconds, inputs.TimeSource, rate, at.Source),
                .. sequence.Select(d =>
                    Figure.Time(d.Id, d.Label, seconds(d), inputs.TimeSource, own?.Invoke(d) ?? rate, at.Source)
                ),
            ]
        );

    private static Figure Materials(PieceInputs inputs, IReadOnlyList<Attempt> sequence) =>
        Figure.Sum(
            "decoration",
            inputs.DecorationLabel,
            [
                .. sequence.Select(d => d.Material),
                .. sequence.Where(d => d.SetUp is not null).Select(d => SetUpShare(d, inputs)),
            ]
        );

    private static Figure Packing(PieceInputs inputs) =>
        Figure.Sum(
            "packing",
            "Packing and sending",
            inputs.Packing,
            Figure.Of(
                "fixed-fees",
                "Fixed fees",
                inputs.FixedFees.Value / inputs.Quantity,
                "fees of the order ÷ pieces",
                inputs.FixedFees,
                Pieces(inputs)
            )
        );

    private static Figure Pieces(PieceInputs inputs) =>
        Figure.Input("pieces", "Pieces", inputs.Quantity, FigureUnit.Count, "the ask");

    private static Figure SetUpShare(Attempt d, PieceInputs inputs) =>
        Figure.Of(
            $"set-up-{d.Id}",
            label: $"{d.Label}, set-up",
            d.SetUp!.Value / inputs.Quantity,
            "set-up ÷ pieces",
            d.SetUp,
            Pieces(inputs)
        );

    private static Figure OrderTime(PieceInputs inputs, double orderSeconds, decimal rate, string source) =>
        Figure.Of(
            "order-time",
            "Order time",
            Money.Times(orderSeconds / 3600, rate),
            "minutes of the order ÷ pieces × rate",
            inputs.OrderMinutes,
            Pieces(inputs),
            Figure.Input("rate", "rate", rate, FigureUnit.MoneyAnHour, source)
        );

    private static Figure HandsSeconds(
        PieceInputs inputs,
        IReadOnlyList<Attempt> sequence,
        double starts,
        double[] attempts,
        double orderSeconds
    )
    {
        Figure Part(string code, string label, double seconds, double times) =>
            new(
                code,
                label,
                (decimal)(seconds * times),
                FigureUnit.Seconds,
                "seconds × attempts a good piece",
                Source: "",
                [
                    Figure.Input("seconds", "Attended", seconds, FigureUnit.Seconds, inputs.TimeSource),
                    Figure.Input("attempts", "Attempts a good piece", times, FigureUnit.Count, "spoilage"),
                ]
            );
        List<Figure> parts =
        [
            new(
                "order-time",
                "Order time",
                (decimal)orderSeconds,
                FigureUnit.Seconds,
                "minutes of the order ÷ pieces",
                Source: "",
                [inputs.OrderMinutes, Pieces(inputs)]
            ),
            Part("prep", "Preparation and inspection", inputs.PrepAttendedSeconds, starts),
            .. sequence.Select((d, i) => Part(d.Id, d.Label, d.AttendedSeconds, attempts[i])),
        ];
        return new("hands", "Hands a piece", parts.Sum(p => p.Value), FigureUnit.Seconds, "sum", Source: "", parts);
    }
}
