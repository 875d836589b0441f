using System.Text;
using Hepno.Core.Measures;
using Hepno.Formats;
using Hepno.Web.Deeds;
using Hepno.Web.Devices;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Hepno.Web.Endpoints;

/// <summary>A table before it is brought in.</summary>
/// <param name="Head">The file's columns.</param>
/// <param name="Columns">Hepno's columns and which of the file's stands for each.</param>
/// <param name="Rows">Its first rows, cell by cell.</param>
/// <param name="Count">Rows in all.</param>
/// <param name="Report">What it would bring; null while something is wrong.</param>
/// <param name="Problems">What is wrong, by row; at most 50.</param>
/// <param name="MoreProblems">How much more is wrong.</param>
internal sealed record CsvLook(
    IReadOnlyList<string> Head,
    IReadOnlyList<CsvColumn> Columns,
    IReadOnlyList<IReadOnlyList<string>> Rows,
    int Count,
    CsvReport? Report,
    IReadOnlyList<Problem> Problems,
    int MoreProblems
);

/// <summary>Tables out and in: customers, styles, materials, prices.</summary>
internal static class CsvEndpoints
{
    private const int LargestTable = 20_000_000;
    private const int ShownRows = 4;
    private const int LongestCell = 60;
    private const int MostProblems = 50;

    public static void MapCsv(this IEndpointRouteBuilder api)
    {
        var csv = api.MapGroup("/csv").WithTags("csv");
        csv.MapGet("{kind}", Out).WithName("csvOut").Produces(200, contentType: "text/csv");
        api.MapGet("/feed", (OpenShop shop) =>
                SimulatedSupplier.On(shop.Clock.Today(shop.Db.Read(OpenShop.Numbers).Identity.TimeZone))
            )
            .WithTags("csv")
            .WithName("supplierFeed")
            .WithSummary(
                "What a simulated supplier's feed says today: its catalogue as a table to bring in, and what it "
                    + "has in stock."
            );
        csv.MapPost("{kind}/look", Look)
            .WithName("csvLook")
            .Accepts<string>("text/csv")
            .WithMetadata(new BodyLimit(LargestTable));
        csv.MapPut("{kind}", In)
            .WithName("csvIn")
            .Accepts<string>("text/csv")
            .WithMetadata(new BodyLimit(LargestTable));
    }

    /// <summary>customers, styles, materials or prices as a table.</summary>
    internal static FileContentHttpResult Out(string kind, OpenShop shop) =>
        TypedResults.File(
            Encoding.UTF8.GetBytes(shop.Db.Read(c => CsvShelf.Out(c, kind))),
            "text/csv; charset=utf-8",
            $"hepno-{kind}.csv"
        );

    /// <summary>Brings a table in, every row or none; a row with the id or name of a thing that is here changes it.
    /// Columns the file calls otherwise are said as "ours:theirs", several times; the rest is found by name or by words
    /// others use.</summary>
    internal static async Task<CsvReport> In(
        string kind,
        OpenShop shop,
        HttpRequest request,
        [FromQuery] string[]? column
    )
    {
        var text = await TextOf(request);
        return shop.Db.Write(c =>
            CsvShelf.In(
                c,
                kind,
                text,
                CsvColumns.Match(kind, CsvTable.Head(text), Said(column)),
                request.Deed(shop.Clock, $"{kind} brought as a table") with
                {
                    Undoable = false,
                }
            )
        );
    }

    /// <summary>Looks what a table would bring: nothing is kept. Its columns, its first rows, and what would be new or
    /// change; or what is wrong, row by row.</summary>
    internal static async Task<CsvLook> Look(
        string kind,
        OpenShop shop,
        HttpRequest request,
        [FromQuery] string[]? column
    )
    {
        var text = await TextOf(request);
        var head = CsvTable.Head(text);
        var columns = CsvColumns.Match(kind, head, Said(column));
        var rows = CsvTable.Cells(text).Skip(1).Where(r => r.Any(cell => cell.Trim().Length > 0)).ToList();
        CsvReport? report = null;
        IReadOnlyList<Problem> problems =
        [
            .. columns
                .Where(x => x.Needed && x.Theirs is null)
                .Select(x => new Problem(
                    "no-column",
                    $"No column of the file is taken for {x.Name}.",
                    Where: x.Name,
                    "Choose which it is."
                )),
        ];
        if (problems.Count == 0)
        {
            try
            {
                report = shop.Db.Read(c => CsvShelf.In(c, kind, text, columns, null));
            }
            catch (RefusedException refused)
            {
                problems = refused.Problems;
            }
        }
        return new(
            head,
            columns,
            [
                .. rows.Take(ShownRows)
                    .Select(r =>
                        (IReadOnlyList<string>)
                            [
                                .. r.Take(head.Count)
                                    .Select(cell => cell.Length > LongestCell ? cell[..LongestCell] + "..." : cell),
                            ]
                    ),
            ],
            rows.Count,
            report,
            [.. problems.Take(MostProblems)],
            Math.Max(0, problems.Count - MostProblems)
        );
    }

    private static async Task<string> TextOf(HttpRequest request)
    {
        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, request.HttpContext.RequestAborted);
        return CsvText.Of(bytes.ToArray());
    }

    private static Dictionary<string, string> Said(string[]? columns) =>
        (columns ?? [])
            .Select(c => c.Split(':', 2))
            .Where(c => c.Length == 2)
            .DistinctBy(c => c[0])
            .ToDictionary(c => c[0], c => c[1]);
}
