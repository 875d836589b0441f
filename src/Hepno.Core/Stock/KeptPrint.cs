using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Stock;

/// <summary>Transfers of one day in the drawer.</summary>
/// <param name="Count">How many were put there, or taken out when negative.</param>
/// <param name="On">When they were printed, or came.</param>
/// <param name="Order">With which order; empty for none.</param>
public sealed record PrintLot(int Count, LocalDate On, string Order = "");

/// <summary>A transfer the shop keeps on hand: neck labels and small marks it fills sheets with, and copies left over
/// of an order's design.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What it is.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
/// <param name="DesignId">Its artwork, or null.</param>
/// <param name="ProductId">On which film it is printed: it is pressed by that film's recipe.</param>
/// <param name="Keep">How many the shop likes to have: a layout's free room is filled up to that; 0 for what is only
/// left over.</param>
/// <param name="GoodDays">Days it keeps, stored dry; the maker's word decides.</param>
/// <param name="Lots">What was put in and taken out, oldest first.</param>
public sealed record KeptPrint(
    KeptPrintId Id,
    string Name,
    double WidthIn,
    double HeightIn,
    DesignId? DesignId,
    ThingId ProductId,
    int Keep,
    int GoodDays,
    IReadOnlyList<PrintLot> Lots
) : IKept<KeptPrint>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<KeptPrint> Described { get; } =
        new("kept-print", noun: "kept-prints", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            Order = ListedBy.Text<KeptPrint>(x => x.Name),
        };

    /// <summary>Days a transfer is taken to keep until the shop says otherwise (assumed).</summary>
    public const int UsualDays = 365;

    private const double SameIn = 0.02;

    /// <summary>How many lie in the drawer.</summary>
    public int OnHand() => Math.Max(0, Lots.Sum(l => l.Count));

    /// <summary>When the oldest that still lies there was printed; what was there first is taken first. Null for an
    /// empty drawer.</summary>
    public LocalDate? Oldest()
    {
        var taken = -Lots.Where(l => l.Count < 0).Sum(l => l.Count);
        foreach (var lot in Lots.Where(l => l.Count > 0).OrderBy(l => l.On))
        {
            taken -= lot.Count;
            if (taken < 0)
            {
                return lot.On;
            }
        }
        return null;
    }

    /// <summary>True when the oldest is older than it keeps.</summary>
    public bool IsOld(LocalDate today) => Oldest() is { } on && on.PlusDays(GoodDays) < today;

    /// <summary>How many more the shop would like to have.</summary>
    public int Wanted() => Math.Max(0, Keep - OnHand());

    /// <summary>True when it is this print: the same artwork in the same size on the same film.</summary>
    public bool Is(DesignId? designId, double widthIn, double heightIn, ThingId productId) =>
        designId is not null
        && designId == DesignId
        && productId == ProductId
        && Math.Abs(widthIn - WidthIn) <= SameIn
        && Math.Abs(heightIn - HeightIn) <= SameIn;

    /// <summary>It as a design that fills a layout: no order needs it.</summary>
    public LaidDesign Filling() => new(KeyOf(Id), WidthIn, HeightIn, 0);

    /// <summary>Its key on a layout.</summary>
    public static string KeyOf(KeptPrintId id) => $"kept {id}";

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Length is 0 or > 100)
        {
            yield return new(
                "empty",
                Name.Length == 0 ? "The transfer has no name." : $"A name of {Name.Length} letters.",
                Where: "name",
                "Say what it is, in at most 100 letters."
            );
        }
        if (WidthIn is not (> 0 and <= 40) || HeightIn is not (> 0 and <= 40))
        {
            yield return new(
                "range",
                $"{WidthIn:0.##} × {HeightIn:0.##} in is outside 0 to 40.",
                Where: "widthIn",
                "Type its printed size."
            );
        }
        if (ProductId.IsNone)
        {
            yield return new(
                "empty",
                $"{Name} is on no film.",
                Where: "productId",
                "Choose the film it is printed on."
            );
        }
        if (Keep is < 0 or > 10_000 || GoodDays is < 1 or > 3650)
        {
            yield return new(
                "range",
                $"{Keep} to keep or {GoodDays} days is out of range.",
                Where: "keep",
                "0 to 10,000 transfers, 1 to 3,650 days."
            );
        }
        if (Lots.Sum(l => (long)l.Count) is < 0 or > 100_000 || Lots.Any(l => l.Count is < -10_000 or > 10_000))
        {
            yield return new(
                "range",
                $"{Lots.Sum(l => (long)l.Count)} transfers in the drawer cannot be.",
                Where: "lots",
                "Count them again."
            );
        }
    }
}
