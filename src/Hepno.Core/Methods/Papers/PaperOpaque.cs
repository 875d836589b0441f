using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Opaque inkjet transfer paper: right-reading, cut out inside its bleed, its backing peeled before it is
/// pressed.</summary>
public sealed class PaperOpaque : IDecorationMethod
{
    private const string Key = "paper-opaque";
    private const double FailurePrior = 0.04;

    private static readonly PaperPrints Paper = new(Key, PaperKind.Opaque, FailurePrior);

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
    public int Order => 100;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "like a thin plastic",
            Wear: "fades and cracks first of all",
            "cracks when stretched",
            Look: "full colour, a white edge where the cut is off"
        );

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("paper-printer", "An inkjet printer", 280, book.Of<PaperPrinter>()),
            StartUpItem.Machine("cutter", "A cutter", 380, book.Of<Cutter>()),
            StartUpItem.Thing("stock", "First papers", 60),
        ];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) => Paper.LaidOn(part, book);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) => Paper.Answer(ask, book, []);
}
