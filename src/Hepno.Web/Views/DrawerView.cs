using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>Transfers of the drawer.</summary>
/// <param name="Print">What they are, with what was put in and taken out.</param>
/// <param name="OnHand">How many lie there.</param>
/// <param name="Oldest">When the oldest was printed; null for an empty drawer.</param>
/// <param name="IsOld">True when that is longer ago than it keeps.</param>
internal sealed record DrawerView(KeptPrint Print, int OnHand, LocalDate? Oldest, bool IsOld)
{
    public static DrawerView From(KeptPrint k, LocalDate today) => new(k, k.OnHand(), k.Oldest(), k.IsOld(today));
}
