namespace Hepno.Core.Gang;

/// <summary>Chance that is the same on every machine (splitmix64).</summary>
internal sealed class Chance(int seed)
{
    private ulong _state = (ulong)(uint)seed;

    /// <summary>A whole number under n.</summary>
    public int Below(int n) => (int)(Next() % (ulong)n);

    /// <summary>0 to under 1.</summary>
    public double Share() => (Next() >> 11) * (1.0 / (1UL << 53));

    private ulong Next()
    {
        _state += 0x9E3779B97F4A7C15;
        var z = _state;
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        return z ^ (z >> 31);
    }
}
