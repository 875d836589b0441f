using Hepno.Store;

namespace Hepno.Web;

/// <summary>Behind the door: a device that is not this machine sees the pages, but is told nothing of the shop until it was let in.</summary>
internal sealed class Admission(RequestDelegate next, Db db)
{
    public const string Cookie = "hepno-let-in";
    public const string PairPath = "/api/devices/pair";

    public async Task InvokeAsync(HttpContext context)
    {
        var path = context.Request.Path;
        var open = !(path.StartsWithSegments("/api", StringComparison.Ordinal) || path.StartsWithSegments("/openapi", StringComparison.Ordinal)) || path.Equals(PairPath, StringComparison.Ordinal);
        if (open || Admits(context, db))
        {
            await next(context);
            return;
        }
        await Refusals.Refuse(401, [new("not-let-in", "This device has not been let in.", "", "At the counter, open Numbers and choose \"Let a device in\"; type its six digits here.")]).ExecuteAsync(context);
    }

    /// <summary>Whether the call comes from this machine or from a device that was let in and not shut out.</summary>
    public static bool Admits(HttpContext context, Db db) =>
        Reach.AtCounter(context) || (context.Request.Cookies[Cookie] is { Length: 64 } token && db.Read(c => PairedDeviceStore.Admitted(c, Pairing.Hash(token))) is not null);
}
