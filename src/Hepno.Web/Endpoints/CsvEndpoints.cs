using System.Text;
using Hepno.Web.Deeds;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>Tables out and in: customers, styles, materials, prices.</summary>
internal static class CsvEndpoints
{
    private const int LargestTable = 20_000_000;

    public static void MapCsv(this IEndpointRouteBuilder api)
    {
        var csv = api.MapGroup("/csv").WithTags("csv");
        csv.MapGet("{kind}", Out).WithName("csvOut").Produces(200, contentType: "text/csv");
        csv.MapPut("{kind}", In).WithName("csvIn").Accepts<string>("text/csv").WithMetadata(new BodyLimit(LargestTable));
    }

    /// <summary>customers, styles, materials or prices as a table.</summary>
    internal static FileContentHttpResult Out(string kind, Desk desk) => TypedResults.File(Encoding.UTF8.GetBytes(desk.Db.Read(c => CsvShelf.Out(c, kind))), "text/csv; charset=utf-8", $"hepno-{kind}.csv");

    /// <summary>Brings a table in, every row or none; a row with the id or name of a thing that is here changes it.</summary>
    internal static async Task<CsvReport> In(string kind, Desk desk, HttpRequest request)
    {
        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        var text = await reader.ReadToEndAsync(request.HttpContext.RequestAborted);
        return desk.Db.Write(c => CsvShelf.In(c, kind, text, request.Deed(desk.Clock, $"{kind} brought as a table") with { Undoable = false }));
    }
}
