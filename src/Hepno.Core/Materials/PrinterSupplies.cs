using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Materials;

/// <summary>What a printer uses up.</summary>
public enum Supply
{
    /// <summary>Colour ink, ml.</summary>
    ColourInk,

    /// <summary>White ink, ml.</summary>
    WhiteInk,

    /// <summary>Film on a roll, in.</summary>
    Film,

    /// <summary>Adhesive powder, g.</summary>
    Powder,

    /// <summary>Dye ink, ml.</summary>
    DyeInk,

    /// <summary>Transfer paper, sheets.</summary>
    Paper,
}

/// <summary>A place in a printer where one material goes.</summary>
/// <param name="Supply">Which.</param>
/// <param name="Takes">Products its maker allows there; empty while that was not said: nothing is refused then.</param>
/// <param name="Full">How much there is when it is full, in the supply's unit.</param>
/// <param name="LowAt">From how much on it is called low.</param>
public sealed record SupplySlot(Supply Supply, IReadOnlyList<string> Takes, double Full, double LowAt)
{
    /// <summary>As it is kept: products that were named.</summary>
    public SupplySlot Settled() => this with { Takes = [.. Takes.Select(t => t.Trim()).Where(t => t.Length > 0)] };

    /// <summary>True when a product may be loaded here; capitals do not matter.</summary>
    public bool Accepts(string product) =>
        Takes.Count == 0 || Takes.Any(t => string.Equals(t.Trim(), product.Trim(), StringComparison.OrdinalIgnoreCase));
}

/// <summary>A refill or a change of roll (docs/trade 2): what went in, of which lot, when.</summary>
/// <param name="Supply">Where.</param>
/// <param name="Product">What.</param>
/// <param name="Lot">The maker's lot; may be empty.</param>
/// <param name="At">When, wall clock.</param>
/// <param name="Level">How much is in the printer afterwards, in the supply's unit.</param>
/// <param name="By">Who; may be empty.</param>
public sealed record Loading(Supply Supply, string Product, string Lot, LocalDateTime At, double Level, string By)
{
    /// <summary>Product and lot, as written on a batch made with it.</summary>
    public string Named() => Lot.Length > 0 ? $"{Product}, lot {Lot}" : $"{Product}, no lot noted";
}

/// <summary>What a printer takes and what is in it.</summary>
/// <param name="Id">The printer.</param>
/// <param name="Slots">Its places, each once.</param>
/// <param name="Loadings">Refills and changes, oldest first.</param>
public sealed record PrinterSupplies(ThingId Id, IReadOnlyList<SupplySlot> Slots, IReadOnlyList<Loading> Loadings)
    : IKept<PrinterSupplies>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<PrinterSupplies> Described { get; } =
        new("supplies", noun: "supplies", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            Settled = x => x with { Slots = [.. x.Slots.Select(s => s.Settled())] },
            Order = ListedBy.Text<PrinterSupplies>(x => x.Id.Text),
        };

    private const int MostLoadings = 2000;

    /// <summary>Unit of a supply, as shown.</summary>
    public static string UnitOf(Supply supply) =>
        supply switch
        {
            Supply.Film => "in",
            Supply.Powder => "g",
            Supply.Paper => "sheets",
            _ => "ml",
        };

    /// <summary>Word for a supply, as in a sentence.</summary>
    public static string NameOf(Supply supply) =>
        supply switch
        {
            Supply.ColourInk => "colour ink",
            Supply.WhiteInk => "white ink",
            Supply.Film => "film",
            Supply.Powder => "powder",
            Supply.DyeInk => "dye ink",
            _ => "paper",
        };

    /// <summary>What is in a place now: the newest loading, of two in one minute the later noted; null while there is
    /// none.</summary>
    public Loading? In(Supply supply) => Loadings.Where(l => l.Supply == supply).OrderBy(l => l.At).LastOrDefault();

    /// <summary>What was in every place at a time.</summary>
    public IReadOnlyList<Loading> InAt(LocalDateTime at) =>
        [
            .. Slots
                .Select(s => Loadings.Where(l => l.Supply == s.Supply && l.At <= at).OrderBy(l => l.At).LastOrDefault())
                .OfType<Loading>(),
        ];

    /// <summary>Places in which a product lies that the printer does not take: its method is refused while it
    /// does.</summary>
    public IEnumerable<(SupplySlot Slot, Loading Loaded)> Mismatches() =>
        Slots
            .Select(s => (Slot: s, Loaded: In(s.Supply)))
            .Where(x => x.Loaded is not null && !x.Slot.Accepts(x.Loaded.Product))
            .Select(x => (x.Slot, x.Loaded!));

    /// <summary>How much is left in a place: what the newest loading left in it, less what was used since; never under
    /// 0; null while no loading was noted.</summary>
    /// <param name="supply">Which.</param>
    /// <param name="usedSince">What was used from a time on, in the supply's unit.</param>
    public double? Left(Supply supply, Func<LocalDateTime, double> usedSince) =>
        In(supply) is { } loaded ? Math.Max(0, loaded.Level - usedSince(loaded.At)) : null;

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var (slot, i) in Slots.Select((s, i) => (s, i)))
        {
            if (Slots.Take(i).Any(s => s.Supply == slot.Supply))
            {
                yield return new(
                    "twice",
                    $"There are two places for {NameOf(slot.Supply)}.",
                    Where: $"slots[{i}].supply",
                    "Keep one of them."
                );
            }
            if (slot.Full is not (> 0 and <= 1_000_000) || slot.LowAt is not (>= 0) || slot.LowAt > slot.Full)
            {
                yield return new(
                    "range",
                    $"{NameOf(slot.Supply)}: full at {slot.Full:0.##} and low at {slot.LowAt:0.##} "
                        + $"{UnitOf(slot.Supply)} cannot be.",
                    Where: $"slots[{i}]",
                    "Full is more than 0, low at most full."
                );
            }
            if (slot.Takes.Count > 50 || slot.Takes.Any(t => t.Trim().Length is 0 or > 100))
            {
                yield return new(
                    "name",
                    $"A product for {NameOf(slot.Supply)} has no name, or one of over 100 letters, or there are over 50.",
                    Where: $"slots[{i}].takes",
                    "Name what the maker allows."
                );
            }
        }
        if (Loadings.Count > MostLoadings)
        {
            yield return new(
                "many",
                $"{Loadings.Count} refills of one printer.",
                Where: "loadings",
                $"At most {MostLoadings}."
            );
        }
        foreach (var (loading, i) in Loadings.Select((l, i) => (l, i)))
        {
            if (Slots.FirstOrDefault(s => s.Supply == loading.Supply) is not { } slot)
            {
                yield return new(
                    "unknown-place",
                    $"The printer has no place for {NameOf(loading.Supply)}.",
                    Where: $"loadings[{i}].supply",
                    "Add the place first."
                );
                continue;
            }
            if (loading.Product.Trim().Length is 0 or > 100 || loading.Lot.Length > 60 || loading.By.Length > 100)
            {
                yield return new(
                    "name",
                    $"A refill of {NameOf(loading.Supply)} has no product, or a name that is too long.",
                    Where: $"loadings[{i}].product",
                    "Type what the label says, the lot in at most 60 letters."
                );
            }
            if (loading.Level is not (>= 0) || loading.Level > slot.Full)
            {
                yield return new(
                    "range",
                    $"{loading.Level:0.##} {UnitOf(loading.Supply)} of {NameOf(loading.Supply)} is outside 0 to "
                        + $"{slot.Full:0.##}, where it is full.",
                    Where: $"loadings[{i}].level",
                    "Type how much is in it now, or what it holds when full."
                );
            }
        }
    }
}
