using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Recipes;

/// <summary>How dye of the cloth behaved under a print.</summary>
public enum Bleeding
{
    /// <summary>Not looked at after a day yet: dye rises slowly.</summary>
    NotLooked,

    /// <summary>Clean after a day.</summary>
    Clean,

    /// <summary>The cloth's dye shows through.</summary>
    Bled,
}

/// <summary>What a print looked like after some washes.</summary>
public enum WashVerdict
{
    /// <summary>As new.</summary>
    Holds,

    /// <summary>Paler, whole.</summary>
    Fades,

    /// <summary>Cracks.</summary>
    Cracks,

    /// <summary>Comes off at the edges or in places.</summary>
    Lifts,
}

/// <summary>What a test came to.</summary>
public enum TestVerdict
{
    /// <summary>Holds, unscorched, no dye through it.</summary>
    Passed,

    /// <summary>Looks right so far, but dark polyester has to be looked at after a day.</summary>
    LookAgain,

    /// <summary>Not like this.</summary>
    Failed,
}

/// <summary>A tested print after some washes.</summary>
/// <param name="Day">When it was looked at.</param>
/// <param name="Washes">Washes by then, 1 or more.</param>
/// <param name="Verdict">How it looked.</param>
public sealed record WashResult(LocalDate Day, int Washes, WashVerdict Verdict);

/// <summary>A photograph of a test.</summary>
/// <param name="Id">Identity within the test.</param>
/// <param name="Hash">The kept file.</param>
/// <param name="Washes">After how many washes; 0 for as it was pressed.</param>
public sealed record TestPhoto(string Id, string Hash, int Washes);

/// <summary>A product pressed on a scrap or test garment before it is pressed for a customer (docs/trade 5).</summary>
/// <param name="Id">Identity.</param>
/// <param name="ProductId">The film, vinyl or printer.</param>
/// <param name="StyleId">The blank.</param>
/// <param name="ColourwayId">Its colour; empty for any.</param>
/// <param name="TemperatureF">What the cloth got, °F.</param>
/// <param name="DwellSeconds">Press time, s.</param>
/// <param name="Pressure">light, medium, firm or heavy.</param>
/// <param name="Day">When.</param>
/// <param name="By">Who tested; may be empty.</param>
/// <param name="Sticks">True when it sticks: nothing lifts when pulled and stretched.</param>
/// <param name="Scorched">True when the cloth shines or is scorched.</param>
/// <param name="Bleeding">The cloth's dye.</param>
/// <param name="Feel">How it feels, in words; may be empty.</param>
/// <param name="Note">Anything else; may be empty.</param>
public sealed record SpotTest(
    SpotTestId Id,
    ThingId ProductId,
    StyleId StyleId,
    ColourwayId ColourwayId,
    double TemperatureF,
    double DwellSeconds,
    string Pressure,
    LocalDate Day,
    string By,
    bool Sticks,
    bool Scorched,
    Bleeding Bleeding,
    string Feel,
    string Note
) : IKept<SpotTest>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<SpotTest> Described { get; } =
        new("spot-test", noun: "spot-tests", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            Files = x => x.Photos.Select(p => p.Hash),
            Settled = x => x with { Washes = [.. x.Washes.OrderBy(w => w.Washes)] },
            Order = (a, b) => b.Day.CompareTo(a.Day),
        };

    /// <summary>What washes showed, oldest first.</summary>
    public IReadOnlyList<WashResult> Washes { get; init; } = [];

    /// <summary>The test garment it took; empty for a scrap.</summary>
    public TestGarmentId GarmentId { get; init; }

    /// <summary>Photographs.</summary>
    public IReadOnlyList<TestPhoto> Photos { get; init; } = [];

    /// <summary>A wash this early that shows is a failure of the setting, not of age.</summary>
    private const int EarlyWashes = 10;

    private const int MostPhotos = 12;
    private const int HashLetters = 64;

    /// <summary>A test at a heat this near to a recipe's says something of it, °F.</summary>
    private const double NearF = 5;

    /// <summary>What it came to.</summary>
    public TestVerdict Verdict()
    {
        if (
            !Sticks
            || Scorched
            || Bleeding == Bleeding.Bled
            || Washes.Any(w => w.Washes <= EarlyWashes && w.Verdict is WashVerdict.Cracks or WashVerdict.Lifts)
        )
        {
            return TestVerdict.Failed;
        }
        return Bleeding == Bleeding.NotLooked ? TestVerdict.LookAgain : TestVerdict.Passed;
    }

    /// <summary>Why it failed, in words; empty when it did not.</summary>
    public string Fault()
    {
        if (!Sticks)
        {
            return "it does not stick";
        }
        if (Scorched)
        {
            return "it scorches";
        }
        if (Bleeding == Bleeding.Bled)
        {
            return "the cloth's dye comes through";
        }
        return Verdict() == TestVerdict.Failed ? "it did not outlive ten washes" : "";
    }

    /// <summary>Washes it is known to stand: the most after which it still held; null while no wash was looked
    /// at.</summary>
    public int? Stands() =>
        Washes is { Count: > 0 } washes
            ? washes.Where(w => w.Verdict == WashVerdict.Holds).Select(w => w.Washes).DefaultIfEmpty(0).Max()
            : null;

    /// <summary>True when it says something of a recipe on a blank's colour.</summary>
    public bool Says(Recipe recipe, Style style, Colourway colour) =>
        ProductId == recipe.ProductId
        && StyleId == style.Id
        && (ColourwayId.IsNone || ColourwayId == colour.Id)
        && Math.Abs(TemperatureF - recipe.TemperatureF) <= NearF;

    /// <summary>The newest test that says something of a recipe on a blank's colour, of several on one day the worst;
    /// null: "spot-test first".</summary>
    public static SpotTest? Find(Recipe recipe, Style style, Colourway colour, IReadOnlyList<SpotTest> tests) =>
        tests.Where(t => t.Says(recipe, style, colour)).OrderBy(t => t.Day).ThenBy(t => t.Verdict()).LastOrDefault();

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems() => [.. OfPressing(), .. OfWords(), .. OfPhotos(), .. OfWashes()];

    private IEnumerable<Problem> OfPressing()
    {
        if (ProductId.IsNone || StyleId.IsNone)
        {
            yield return new(
                "empty",
                ProductId.IsNone ? "The test names no product." : "The test names no blank.",
                Where: ProductId.IsNone ? "productId" : "styleId",
                "Choose what was pressed on what."
            );
        }
        if (TemperatureF is not (>= 200 and <= 450))
        {
            yield return new(
                "absurd",
                $"{TemperatureF:0} °F is outside 200 to 450, where transfers are pressed.",
                Where: "temperatureF",
                "Type what the cloth got."
            );
        }
        if (DwellSeconds is not (>= 2 and <= 240))
        {
            yield return new(
                "absurd",
                $"{DwellSeconds:0.#} s under the press is outside 2 to 240.",
                Where: "dwellSeconds",
                "Type how long it was pressed."
            );
        }
        if (!Recipe.Pressures.Contains(Pressure))
        {
            yield return new(
                "unknown-word",
                $"\"{Pressure}\" is not a pressure.",
                Where: "pressure",
                $"Use {string.Join(", ", Recipe.Pressures)}."
            );
        }
    }

    private IEnumerable<Problem> OfWords()
    {
        if (By.Length > 100 || Feel.Length > 500 || Note.Length > 2000)
        {
            yield return new(
                "too-long",
                "A name of over 100, a feel of over 500 or a note of over 2,000 characters.",
                Where: "note",
                "Say it shorter."
            );
        }
    }

    private IEnumerable<Problem> OfPhotos()
    {
        if (Photos is { Count: > MostPhotos })
        {
            yield return new(
                "many",
                $"{Photos.Count} photographs of one test.",
                Where: "photos",
                $"At most {MostPhotos}: take one off first."
            );
        }
        foreach (
            var (photo, i) in Photos
                .Select((p, i) => (p, i))
                .Where(x =>
                    x.p.Id.Length is 0 or > 64
                    || x.p.Hash.Length != HashLetters
                    || !x.p.Hash.All(char.IsAsciiHexDigitLower)
                    || x.p.Washes is < 0 or > 1000
                )
        )
        {
            yield return new(
                "photo",
                $"Photograph \"{photo.Id}\" names no kept file, or {photo.Washes} washes.",
                Where: $"photos[{i}]",
                "Send the photograph itself; washes are 0 to 1,000."
            );
        }
    }

    private IEnumerable<Problem> OfWashes()
    {
        foreach (var (wash, i) in Washes.Select((w, i) => (w, i)).Where(x => x.w.Washes is < 1 or > 1000))
        {
            yield return new(
                "range",
                $"{wash.Washes} washes is outside 1 to 1,000.",
                Where: $"washes[{i}].washes",
                "Count from the first."
            );
        }
    }
}
