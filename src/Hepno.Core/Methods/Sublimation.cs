using Hepno.Core.Blanks;

namespace Hepno.Core.Methods;

/// <summary>Dye sublimation, as far as its verdict: cloth, colour and machine decide.</summary>
public sealed class Sublimation : IDecorationMethod
{
    private const double VividPercent = 95;
    private const double FadedPercent = 65;

    /// <inheritdoc/>
    public string Id => "sublimation";

    /// <inheritdoc/>
    public string Name => "Dye sublimation";

    /// <inheritdoc/>
    public MethodAnswer Answer(AskInHand ask, ShopBook book)
    {
        List<Reason> reasons = [];
        var polyester = ask.Style.PercentOf(Fibre.Polyester);
        if (polyester < FadedPercent)
        {
            reasons.Add(new("fabric", VerdictKind.No, $"{polyester:0}% polyester: dye takes only to polyester", "a blank of at least two thirds polyester"));
        }
        else if (polyester < VividPercent)
        {
            reasons.Add(new("faded", VerdictKind.WithCare, $"{polyester:0}% polyester prints faded", "a blank of 95% polyester or more"));
        }
        if (ask.Colourway.Class is ColourClass.Mid or ColourClass.Dark)
        {
            reasons.Add(new("colour", VerdictKind.No, $"{ask.Colourway.Name} is {ask.Colourway.Class.ToString().ToLowerInvariant()}: dye has no white", "a white or very light blank"));
        }
        // no kind of machine on the Floor prints dye yet, whatever the cloth
        reasons.Add(new("no-dye-printer", VerdictKind.No, "no dye printer on the Floor", "a dye printer, or dye prints bought in"));
        return new(Verdict.Of(reasons), "", []);
    }
}
