using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Opaque inkjet transfer paper: right-reading, cut out inside its bleed, its backing peeled before it is
/// pressed.</summary>
public sealed class PaperOpaque : IDecorationMethod
{
    private const string Key = "paper-opaque";
    private const double FailurePrior = 0.04;

    internal static readonly PaperPrints Paper = new(Key, PaperKind.Opaque, FailurePrior);

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Opaque paper";

    /// <inheritdoc/>
    public string Said => "an opaque inkjet print, like a thin plastic";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) => Paper.Answer(ask, book, []);
}
