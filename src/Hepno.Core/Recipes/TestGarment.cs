using Hepno.Core.Measures;

namespace Hepno.Core.Recipes;

/// <summary>A garment kept for tests: misprints, samples, odd sizes.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What it is: "white polyester tees, misprinted".</param>
/// <param name="Fabric">Its cloth in words, as on its label.</param>
/// <param name="Pieces">How many were ever put there; each test takes one.</param>
/// <param name="Note">Where it lies; may be empty.</param>
public sealed record TestGarment(TestGarmentId Id, string Name, string Fabric, int Pieces, string Note)
{
    /// <summary>How many are left after the tests that took one.</summary>
    public int Left(IReadOnlyList<SpotTest> tests) => Math.Max(0, Pieces - tests.Count(t => t.GarmentId == Id));

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Trim().Length is 0 or > 100)
        {
            yield return new(
                "empty",
                Name.Trim().Length == 0 ? "The test garment has no name." : $"A name of {Name.Length} letters.",
                Where: "name",
                "Say what it is, in at most 100 letters."
            );
        }
        if (Pieces is < 0 or > 10_000)
        {
            yield return new("range", $"{Pieces} pieces is outside 0 to 10,000.", Where: "pieces", "Count them.");
        }
        if (Fabric.Length > 100 || Note.Length > 500)
        {
            yield return new(
                "too-long",
                "A fabric of over 100 or a note of over 500 characters.",
                Where: "note",
                "Say it shorter."
            );
        }
    }
}
