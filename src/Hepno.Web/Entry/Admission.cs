using Hepno.Store;
using Hepno.Web.Wire;

namespace Hepno.Web.Entry;

/// <summary>Behind the door and after routing: whether the caller may do what the address was found to mean. Addresses
/// are never compared as text.</summary>
internal sealed class Admission(RequestDelegate next, Db db, AppFiles files)
{
    public const string Cookie = "hepno-let-in";
    private const int TokenLength = 64;

    public async Task InvokeAsync(HttpContext context)
    {
        var endpoint = context.GetEndpoint();
        // what is no endpoint is a file of the program's own, or nothing
        Caller least;
        if (endpoint is null)
        {
            least = files.Holds(context.Request) ? Caller.Stranger : Caller.Counter;
        }
        else
        {
            least = endpoint.Metadata.GetMetadata<OpenTo>()?.Least ?? Caller.Counter;
        }

        var caller = least == Caller.Stranger ? Caller.Stranger : CallerOf(context, db);
        if (caller >= least)
        {
            await next(context);
            return;
        }
        await Refusal(caller, least).ExecuteAsync(context);
    }

    /// <summary>Who calls: this machine, a device that was let in and not shut out, or a stranger.</summary>
    public static Caller CallerOf(HttpContext context, Db db)
    {
        if (Listening.AtCounter(context))
        {
            return Caller.Machine;
        }
        return context.Request.Cookies[Cookie] is not { Length: TokenLength } token
            ? Caller.Stranger
            : db.Read(c => PairedDeviceStore.Admitted(c, Pairing.Hash(token))) switch
            {
                null => Caller.Stranger,
                { Role: DeviceRole.Press } => Caller.Press,
                _ => Caller.Counter,
            };
    }

    private static IResult Refusal(Caller caller, Caller least)
    {
        if (caller == Caller.Stranger)
        {
            return Refusals.Refuse(
                401,
                [
                    new(
                        "not-let-in",
                        "This device has not been let in.",
                        Where: "",
                        "At the counter, open Numbers and choose \"Let a device in\"; type its six digits here."
                    ),
                ]
            );
        }
        return least == Caller.Machine
            ? Refusals.Refuse(
                403,
                [new("machine", "That is done at the machine Hepno runs on only.", Where: "", "Go to that machine.")]
            )
            : Refusals.Refuse(
                403,
                [
                    new(
                        "press-only",
                        "This device was let in for the press, and that is done at the counter.",
                        Where: "",
                        "Do it at the counter, or make this a counter device there: Numbers, Devices."
                    ),
                ]
            );
    }
}
