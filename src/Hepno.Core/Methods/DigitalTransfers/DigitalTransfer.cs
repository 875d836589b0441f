using Hepno.Core.Artwork;
using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Full-colour digital transfers bought by sheet: printed and blocked, not film.</summary>
public sealed class DigitalTransfer : IDecorationMethod
{
    private const string Key = "digital-transfer";
    private const double FailurePrior = 0.015;

    private static readonly BoughtTransfers Bought = new(
        Key,
        TransferKind.Digital,
        FailurePrior,
        "digital transfer",
        PrintHold.Digital
    );

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Digital transfers";

    /// <inheritdoc/>
    public string Said => "a full-colour transfer, printed and blocked";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public int Order => 30;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "a thin film",
            Wear: "long, by its maker's word",
            "stretches a little with the cloth",
            Look: "full colour, an even ground"
        );

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [.. StartUpItem.Pressed(book), StartUpItem.Thing("stock", "A first order, to try it", 120)];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) => Bought.LaidOn(part, book);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) => Bought.Answer(ask, book);
}
