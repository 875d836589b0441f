using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Recipes;

/// <summary>A garment kept for tests: misprints, samples, odd sizes.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What it is: "white polyester tees, misprinted".</param>
/// <param name="Fabric">Its cloth in words, as on its label.</param>
/// <param name="Pieces">How many were ever put there; each test takes one.</param>
/// <param name="Note">Where it lies; may be empty.</param>
public sealed record TestGarment(TestGarmentId Id, string Name, string Fabric, int Pieces, string Note)
    : IKept<TestGarment>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<TestGarment> Described { get; } =
        new("test-garment", noun: "test-garments", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "test garment",
                Many: "Test garments",
                Add: "Add test garments",
                "Keep misprints: a test on a customer's garment is one garment too few."
            ),
            Fields = new FieldList<TestGarment>()
                .Named(x => x.Name, "What it is", help: "Say what it is, in at most 100 letters.")
                .Text(x => x.Fabric, "Its cloth, as on the label")
                .Number(x => x.Pieces, "Pieces put there", Unit.None, 1, (0, 10_000), "Count them.")
                .Text(x => x.Note, "Where it lies"),
            Rules = x => x.Lengths(),
            IsReadAtPress = true,
            Order = ListedBy.Text<TestGarment>(x => x.Fabric).Then(ListedBy.Text<TestGarment>(x => x.Name)),
        };

    /// <summary>How many are left after the tests that took one.</summary>
    public int Left(IReadOnlyList<SpotTest> tests) => Math.Max(0, Pieces - tests.Count(t => t.GarmentId == Id));

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    /// <summary>What is said at too great length.</summary>
    private IEnumerable<Problem> Lengths()
    {
        if (Name.Length > 100)
        {
            yield return new(
                "too-long",
                $"A name of {Name.Length} letters.",
                Where: "name",
                "Say what it is, in at most 100 letters."
            );
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
