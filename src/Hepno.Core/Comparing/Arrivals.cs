using Hepno.Core.Blanks;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>When what an order needs is here.</summary>
public static class Arrivals
{
    /// <summary>When the blank and everything bought would be here if ordered now, and which comes last; garments the
    /// customer brings (null) are taken to come the next working day.</summary>
    /// <param name="floor">Now and the open hours.</param>
    /// <param name="style">The blank; null where the customer brings it.</param>
    /// <param name="purchases">What is bought for it.</param>
    /// <param name="noBlank">True where the garment comes with what is bought.</param>
    public static (LocalDateTime At, string Cause) Arrival(
        this FloorPlan floor,
        Style? style,
        IReadOnlyList<Purchase> purchases,
        bool noBlank = false
    )
    {
        var bought = purchases
            .Where(p => p.Supplier.Length > 0)
            .Select(p => (At: floor.Hours.Parcel(floor.Now, p.LeadDays), Cause: $"print from {p.Supplier}"))
            .ToList();
        var things =
            noBlank && bought.Count > 0
                ? bought
                : bought.Append(
                    style is null
                        ? (At: floor.Hours.Parcel(floor.Now, 1), Cause: "their own garments")
                        : (
                            At: floor.Hours.Parcel(floor.Now, style.LeadDays, style.Buying?.CutOff),
                            Cause: $"blanks from {style.Supplier}"
                        )
                );
        return things.MaxBy(t => t.At);
    }
}
