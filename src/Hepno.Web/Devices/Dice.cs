namespace Hepno.Web.Devices;

/// <summary>Numbers that look thrown, for the simulated devices: the same words give the same number on every
/// machine.</summary>
internal static class Dice
{
    public static int Seed(string words) =>
        (int)(words.Aggregate(2166136261u, (hash, letter) => (hash ^ letter) * 16777619u) >> 8);
}
