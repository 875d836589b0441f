using Hepno.Core.Blanks;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>What a spot test came to.</summary>
/// <param name="Id">Which test.</param>
/// <param name="Verdict">Passed, failed, or to be looked at again.</param>
/// <param name="Said">In words, with what washes showed.</param>
internal sealed record SpotTestSaid(SpotTestId Id, TestVerdict Verdict, string Said);

/// <summary>How far a recipe can be relied on.</summary>
/// <param name="RecipeId">Which recipe.</param>
/// <param name="Confidence">The most its tests or its source give it, on any blank.</param>
/// <param name="Said">In words: how many tests, on what, how many washes.</param>
internal sealed record RecipeRelied(RecipeId RecipeId, Confidence Confidence, string Said);

/// <summary>How many of a test garment are left.</summary>
internal sealed record TestGarmentLeft(TestGarmentId Id, int Left);

/// <summary>What tests came to.</summary>
/// <param name="Tests">Every test's verdict.</param>
/// <param name="Recipes">What they make of every recipe.</param>
/// <param name="Garments">What is left on the shelf of test garments.</param>
internal sealed record TestsView(
    IReadOnlyList<SpotTestSaid> Tests,
    IReadOnlyList<RecipeRelied> Recipes,
    IReadOnlyList<TestGarmentLeft> Garments
);

/// <summary>What spot tests came to, and their photographs; the tests themselves are kept like everything else on the
/// Floor.</summary>
internal static class SpotTestEndpoints
{
    private const int LargestPhoto = 20 << 20;
    private const int LongestSide = 1400;

    public static void MapSpotTests(this IEndpointRouteBuilder api)
    {
        var tests = api.MapGroup("/spot-tests").WithTags("spot-tests");
        tests.MapGet("verdicts", Verdicts).WithName("spotTestVerdicts").OpenTo(Caller.Press);
        tests
            .MapPut("{id}/photos/{photoId}", Photograph)
            .WithName("addTestPhoto")
            .Accepts<byte[]>("image/png", "image/jpeg")
            .WithMetadata(new BodyLimit(LargestPhoto));
        tests
            .MapGet("{id}/photos/{photoId}", Photo)
            .WithName("testPhoto")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "image/png");
        tests.MapDelete("{id}/photos/{photoId}", TakeOff).WithName("removeTestPhoto");
    }

    /// <summary>The verdict of every test, what they make of every recipe, what is left of the test garments, by the
    /// core's rules.</summary>
    internal static TestsView Verdicts(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var tests = Aggregates.Of<SpotTest>().All(c).Select(t => t.Value).ToList();
            var book = shop.Book(c);
            return new TestsView(
                [.. tests.Select(t => new SpotTestSaid(t.Id, t.Verdict(), Said(t)))],
                [.. book.Of<Recipe>().Select(r => Relied(r, book, tests))],
                [
                    .. Aggregates
                        .Of<TestGarment>()
                        .All(c)
                        .Select(g => new TestGarmentLeft(g.Value.Id, g.Value.Left(tests))),
                ]
            );
        });

    /// <summary>Keeps a photograph with a test: upright, at most 1,400 pixels, without what the camera wrote into
    /// it.</summary>
    internal static async Task<Written> Photograph(
        string id,
        string photoId,
        int? washes,
        OpenShop shop,
        HttpRequest request
    )
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        var hash = KeptFiles.Keep(shop.Db.Folder, Upright(body.ToArray()));
        return shop.Db.Write(c =>
            Changed(c, id, request.Seen(), request.Deed(shop.Clock, "test photographed"), t =>
                t with
                {
                    Photos = [.. t.Photos.Where(p => p.Id != photoId), new(photoId, hash, washes ?? 0)],
                }
            )
        );
    }

    /// <summary>A photograph of a test.</summary>
    internal static FileContentHttpResult Photo(string id, string photoId, OpenShop shop)
    {
        var photo = shop.Db.Read(c => TestOf(c, id).Value.Photos.FirstOrDefault(p => p.Id == photoId));
        return photo is null || !KeptFiles.Has(shop.Db.Folder, photo.Hash)
            ? throw RefusedException.NoSuch("photograph", photoId)
            : TypedResults.File(KeptFiles.Read(shop.Db.Folder, photo.Hash), "image/png");
    }

    /// <summary>Takes a photograph off a test; what is in it stays for taking back.</summary>
    internal static Written TakeOff(string id, string photoId, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c =>
            Changed(c, id, request.Seen(), request.Deed(shop.Clock, "photograph taken off"), t =>
                t.Photos.All(p => p.Id != photoId)
                    ? throw RefusedException.NoSuch("photograph", photoId)
                    : t with
                    {
                        Photos = [.. t.Photos.Where(p => p.Id != photoId)],
                    }
            )
        );

    private static byte[] Upright(byte[] file)
    {
        try
        {
            return PictureFile.IsDrawing(file)
                ? throw new NotAPictureException("A drawing in lines is no photograph.", remedy: "Send a PNG or JPEG.")
                : PngPicture.Write(PictureFile.Read(file, LongestSide), LongestSide);
        }
        catch (NotAPictureException not)
        {
            throw new RefusedException(400, "not-a-picture", not.Message, not.Remedy, "file");
        }
    }

    private static Written Changed(
        Microsoft.Data.Sqlite.SqliteConnection c,
        string id,
        long seen,
        Deed deed,
        Func<SpotTest, SpotTest> change
    )
    {
        var then = change(TestOf(c, id).Value);
        RefusedException.IfAny(then.Problems());
        return new(id, Aggregates.Of<SpotTest>().Put(c, then, seen, deed));
    }

    private static Versioned<SpotTest> TestOf(Microsoft.Data.Sqlite.SqliteConnection c, string id) =>
        Aggregates.Of<SpotTest>().Get(c, id) ?? throw RefusedException.NoSuch("spot test", id);

    private static RecipeRelied Relied(Recipe recipe, ShopBook book, List<SpotTest> tests)
    {
        // on every blank it may be pressed on; the best of them says what the recipe can do
        var on = book.Of<Style>()
            .Where(s => !s.Retired && RecipeChoice.FabricOf(s) == recipe.Fabric)
            .SelectMany(s =>
                s.Colourways.Select(colour =>
                    (
                        Style: s,
                        Test: SpotTest.Find(recipe, s, colour, tests),
                        Confidence: RecipeConfidence.Judge(recipe, s, colour, tests)
                    )
                )
            )
            .Where(x => x.Test is not null)
            .DistinctBy(x => x.Test!.Id)
            .ToList();
        if (on.Count == 0)
        {
            return new(recipe.Id, RecipeConfidence.Untested(recipe), "not tested on any blank");
        }
        // failed on one cloth, its source still stands for the others
        var best = on.Select(x => x.Confidence).Append(RecipeConfidence.Untested(recipe)).Max();
        var washes = on.Max(x => x.Test!.Stands() ?? 0);
        var failed = on.Where(x => x.Confidence == Confidence.Failed).Select(x => x.Style.Name).Distinct().ToList();
        var count = $"{on.Count} {(on.Count == 1 ? "test" : "tests")}";
        var blanks = string.Join(", ", on.Select(x => x.Style.Name).Distinct());
        var washed = washes > 0 ? $", {washes} washes" : "";
        var fell = failed.Count > 0 ? $"; failed on {string.Join(", ", failed)}" : "";
        return new(recipe.Id, best, $"{count} on {blanks}{washed}{fell}");
    }

    private static string Said(SpotTest t)
    {
        var verdict = t.Verdict() switch
        {
            TestVerdict.Failed => t.Fault(),
            TestVerdict.LookAgain => "sticks; look again after a day",
            _ => "holds, clean after a day",
        };
        var last = t.Washes is { Count: > 0 } all ? all[^1] : null;
        var washes = last is null
            ? "; not washed yet"
            : $"; held {t.Stands()} "
                + $"washes{(last.Verdict == WashVerdict.Holds ? "" : $", {last.Verdict.ToString().ToLowerInvariant()} at {last.Washes}")}";
        return $"{verdict}{(t.Verdict() == TestVerdict.Failed && t.Washes.Count == 0 ? "" : washes)}{(t.Feel.Length > 0 ? $"; feels {t.Feel}" : "")}";
    }
}
