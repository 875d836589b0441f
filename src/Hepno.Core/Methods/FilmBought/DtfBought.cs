using Hepno.Core.Artwork;
using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Full-colour film transfers bought by size class, or laid out by oneself on a roll or sheets.</summary>
public sealed class DtfBought : IDecorationMethod
{
    private const string Key = "dtf-bought";
    private const double FailurePrior = 0.015;

    private static readonly BoughtTransfers Bought = new(Key, TransferKind.Film, FailurePrior, "film", PrintHold.Film);

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Film, bought in";

    /// <inheritdoc/>
    public string Said => "a thin film print in full colour";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public int Order => 10;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "a thin film",
            Wear: "long, by its maker's word",
            "stretches a little with the cloth",
            Look: "full colour, a slight shine"
        );

    /// <inheritdoc/>
    public bool IsFilm => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [.. StartUpItem.Pressed(book), StartUpItem.Thing("stock", "A first order, to try it", 120)];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) => Bought.LaidOn(part, book);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) => Bought.Answer(ask, book);
}
