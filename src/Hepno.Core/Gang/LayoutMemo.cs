using System.Collections.Concurrent;
using System.Globalization;

namespace Hepno.Core.Gang;

/// <summary>Remembers layouts of the usual orders: comparisons lay prints of the same sizes on the same film many
/// times, and the answer never changes.</summary>
public sealed class LayoutMemo
{
    // copies of all layouts kept, some 60 bytes each
    private const int Most = 200_000;

    private readonly ConcurrentDictionary<string, (GangFound Found, IReadOnlyList<string> Ids)> _known = new();
    private int _copies;

    /// <summary>Designs laid on a ground by the usual orders alone (<see cref="GangNest.OnePass"/>).</summary>
    /// <param name="ground">What they are laid on.</param>
    /// <param name="designs">What is laid.</param>
    public GangFound Lay(GangGround ground, IReadOnlyList<GangDesign> designs) =>
        Known(ground, designs) is var (found, ids) && ids.SequenceEqual(designs.Select(d => d.Id))
            ? found
            : Named(found, ids, designs);

    /// <summary>The same, its copies called as those that were laid first: where no copy is asked for by its
    /// name.</summary>
    public GangFound LayNameless(GangGround ground, IReadOnlyList<GangDesign> designs) => Known(ground, designs).Found;

    private (GangFound Found, IReadOnlyList<string> Ids) Known(GangGround ground, IReadOnlyList<GangDesign> designs)
    {
        var key = string.Create(
            CultureInfo.InvariantCulture,
            $"{ground.WidthIn:R} {ground.LengthIn:R} {ground.GapIn:R} {ground.MarginIn:R} {ground.IsCutShorter}{string.Concat(designs.Select(Shape))}"
        );
        if (_known.TryGetValue(key, out var known))
        {
            return known;
        }
        known = (GangNest.Lay(ground, designs, 1, steps: GangNest.OnePass), [.. designs.Select(d => d.Id)]);
        // what is left out is said by its name
        if (known.Found.LeftOut.Count == 0)
        {
            if (Interlocked.Add(ref _copies, known.Found.Placed.Count) > Most)
            {
                _known.Clear();
                _copies = known.Found.Placed.Count;
            }
            _known[key] = known;
        }
        return known;
    }

    private static string Shape(GangDesign d) =>
        string.Create(CultureInfo.InvariantCulture, $"|{d.WidthIn:R} {d.HeightIn:R} {d.Copies} {d.MayTurn} {d.Group}");

    private static GangFound Named(GangFound found, IReadOnlyList<string> ids, IReadOnlyList<GangDesign> designs)
    {
        var names = ids.Zip(designs).ToDictionary(x => x.First, x => x.Second.Id);
        return found with { Placed = [.. found.Placed.Select(p => p with { DesignId = names[p.DesignId] })] };
    }
}
