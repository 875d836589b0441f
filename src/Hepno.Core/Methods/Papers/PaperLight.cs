using Hepno.Core.Blanks;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Inkjet transfer paper for white and pale garments: mirrored, trimmed, peeled hot, pressed again.</summary>
public sealed class PaperLight : IDecorationMethod
{
    private const string Key = "paper-light";
    private const double FailurePrior = 0.04;

    private static readonly PaperPrints Paper = new(Key, PaperKind.Light, FailurePrior);

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Paper for light cloth";

    /// <inheritdoc/>
    public string Said => "an inkjet print, slightly felt; it fades";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <inheritdoc/>
    public int Order => 90;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new("felt a little", Wear: "fades", "cracks when stretched far", Look: "full colour, pale grounds show");

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("paper-printer", "An inkjet printer", 280, book.Of<PaperPrinter>()),
            StartUpItem.Thing("stock", "First papers", 45),
        ];

    /// <inheritdoc/>
    public LaidOn? LaidOn(AskInHand part, ShopBook book) => Paper.LaidOn(part, book);

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        Paper.Answer(
            ask,
            book,
            ask.Colourway.Class is ColourClass.Mid or ColourClass.Dark
                ?
                [
                    new(
                        "colour",
                        VerdictKind.No,
                        $"{ask.Colourway.Name} is {ask.Colourway.Class.ToString().ToLowerInvariant()}: this "
                            + "paper has no white",
                        WouldWork: "a white or very light blank, or opaque paper"
                    ),
                ]
                : []
        );
}
