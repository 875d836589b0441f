using Hepno.Core.Comparing;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Prices and rates tried at other levels, as factors; 1 or nothing is as now.</summary>
/// <param name="Blank">Garments.</param>
/// <param name="Film">Bought transfers, film, vinyl and paper.</param>
/// <param name="Ink">Ink, powder and thread.</param>
/// <param name="SentOut">What is sent out.</param>
/// <param name="Wage">The wage.</param>
/// <param name="Overhead">Rent and the rest.</param>
/// <param name="Spoilage">Spoiled attempts.</param>
internal sealed record WhatIfQuery(
    double? Blank,
    double? Film,
    double? Ink,
    double? SentOut,
    double? Wage,
    double? Overhead,
    double? Spoilage
)
{
    /// <summary>What is tried, or null for nothing.</summary>
    public WhatIf? ToCore()
    {
        var factors = new[]
        {
            (WhatIfInput.Blank, Blank),
            (WhatIfInput.Film, Film),
            (WhatIfInput.Ink, Ink),
            (WhatIfInput.SentOut, SentOut),
            (WhatIfInput.Wage, Wage),
            (WhatIfInput.Overhead, Overhead),
            (WhatIfInput.Spoilage, Spoilage),
        }
            .Where(x => x.Item2 is { } factor && factor != 1)
            .ToDictionary(x => x.Item1, x => x.Item2!.Value);
        return factors.Count == 0 ? null : new(factors);
    }
}

/// <summary>The method chosen for a line; the first one when no line is named.</summary>
internal sealed record ChooseBody(MethodId MethodId, LineId? LineId = null, string Why = "");

/// <summary>The larger quantity of a price break, taken for a line.</summary>
internal sealed record LargerBody(int Pieces, LineId? LineId = null);

/// <summary>Another method of a line, offered to the customer beside the quoted one or not.</summary>
internal sealed record OfferBody(MethodId MethodId, bool Offered, LineId? LineId = null);

/// <summary>The id of the new order, made on the screen.</summary>
internal sealed record AgainBody(string Id);

/// <summary>A price a piece the owner says, or null for the policy's.</summary>
internal sealed record PriceBody(decimal? Each, LineId? LineId = null);

/// <summary>Who said yes.</summary>
internal sealed record ApproveBody(string By);

/// <summary>What was paid, or why the order goes on without.</summary>
internal sealed record DepositBody(decimal Amount, string? OverrideReason);

/// <summary>Whether a gathered thing is here.</summary>
internal sealed record TickBody(bool Done);

/// <summary>Pieces of a line and size counted into the box.</summary>
internal sealed record CountedBody(LineId LineId, string Size, int Pieces);

/// <summary>Everything counted into the box.</summary>
internal sealed record CountBody(IReadOnlyList<CountedBody> Sizes);

/// <summary>Who takes the risk of a line of own garments, or that its cloth was tested.</summary>
internal sealed record RiskBody(LineId LineId, string AcceptedBy, bool SpotTested);

/// <summary>Who took the pieces.</summary>
internal sealed record HandOverBody(string To);

/// <summary>Where a line is put on the press day; no press leaves it to the plan again.</summary>
internal sealed record MoveBody(LineId LineId, PressId? PressId, LocalDateTime From);

/// <summary>What a move, or an order taken on, changed in the plan.</summary>
/// <param name="Id">Order.</param>
/// <param name="Version">Its version now.</param>
/// <param name="Changes">Who becomes ready when, in sentences; empty when nothing else moved.</param>
internal sealed record MovedView(string Id, long Version, IReadOnlyList<string> Changes);
