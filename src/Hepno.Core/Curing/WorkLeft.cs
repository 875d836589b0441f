using Hepno.Core.Materials;
using Hepno.Core.Methods;

namespace Hepno.Core.Curing;

/// <summary>How far what is in a printer goes.</summary>
public static class WorkLeft
{
    private static readonly Supply[] OfFilm = [Supply.ColourInk, Supply.WhiteInk, Supply.Film, Supply.Powder];

    /// <summary>Prints that can still be made of waiting work, one after the other, and what runs out first; null when
    /// everything suffices.</summary>
    /// <param name="left">What is left of a supply, in its unit; null where it is not known: it then sets no
    /// limit.</param>
    /// <param name="work">Waiting prints in the order they will be printed, with what all of them take.</param>
    public static (int Prints, Supply? Short) Reckon(
        Func<Supply, double?> left,
        IReadOnlyList<(int Count, CureUse All)> work
    )
    {
        var (prints, used) = (0, CureUse.None);
        foreach (var (count, all) in work.Where(w => w.Count > 0))
        {
            var room = OfFilm
                .Where(s => left(s) is not null && all.Amount(s) > 0)
                .Select(s =>
                    (
                        Supply: s,
                        Prints: (int)Math.Floor(((left(s)!.Value - used.Amount(s)) / (all.Amount(s) / count)) + 1e-9)
                    )
                )
                .ToList();
            if (room.Count > 0 && room.MinBy(r => r.Prints) is { } scarcest && scarcest.Prints < count)
            {
                return (prints + Math.Max(0, scarcest.Prints), scarcest.Supply);
            }
            prints += count;
            used += all;
        }
        return (prints, null);
    }
}
