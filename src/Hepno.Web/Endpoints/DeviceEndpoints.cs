using Hepno.Core.Measures;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;

namespace Hepno.Web.Endpoints;

/// <summary>What a device is let in for.</summary>
internal sealed record RoleBody(DeviceRole Role);

/// <summary>What a device says to be let in.</summary>
internal sealed record PairBody(string Code, string Name);

/// <summary>An address of this machine on the shop's network, and its square code.</summary>
internal sealed record AddressView(string Url, QrCode Qr);

/// <summary>Whether the shop's own network may reach Hepno.</summary>
internal sealed record ReachBody(bool Lan);

/// <summary>Whether other devices can come in now and from the next start on, from where, and who is in.</summary>
internal sealed record DevicesView(
    bool Lan,
    bool LanNext,
    bool AtCounter,
    IReadOnlyList<AddressView> Addresses,
    IReadOnlyList<DeviceView> Devices
);

/// <summary>A device that was let in. RoleTold is false where it became a press device without its owner's word: it was
/// let in before there were roles.</summary>
internal sealed record DeviceView(
    string Id,
    string Name,
    string PairedAt,
    bool ShutOut,
    DeviceRole Role,
    bool RoleTold
);

/// <summary>The code that lets one device in.</summary>
internal sealed record PairingView(string Code, int Seconds, int Tries);

/// <summary>Tablets and other machines of the shop's own network.</summary>
internal static class DeviceEndpoints
{
    private const int LongestName = 60;

    public static void MapDevices(this IEndpointRouteBuilder api)
    {
        var devices = api.MapGroup("/devices").WithTags("devices").ProducesProblem(401).ProducesProblem(403);
        devices.MapGet("", All).WithName("devices");
        devices.MapPut("reach", SetReach).WithName("setReach").OpenTo(Caller.Machine);
        devices.MapPost("code", Begin).WithName("letDeviceIn").OpenTo(Caller.Machine);
        devices.MapPost("pair", Pair).WithName("pairDevice").OpenTo(Caller.Stranger);
        devices.MapPut("{id}/role", SetRole).WithName("setDeviceRole").OpenTo(Caller.Machine);
        devices.MapDelete("{id}", ShutOut).WithName("shutDeviceOut").OpenTo(Caller.Machine);
    }

    /// <summary>Where the shop's other devices find Hepno, and which were let in.</summary>
    internal static DevicesView All(HttpContext context, OpenShop shop, Listening reach, IServer server) =>
        shop.Db.Read(c =>
        {
            var n = OpenShop.Numbers(c);
            return new DevicesView(
                reach.Lan,
                reach.LanNext,
                Listening.AtCounter(context),
                [.. Urls(server).Select(u => new AddressView(u, QrCode.Of(u)))],
                [
                    .. PairedDeviceStore
                        .All(c)
                        .Select(d => new DeviceView(
                            d.Id,
                            d.Name,
                            Shown.Moment(WallClock.Local(d.PairedAt, n.Identity.TimeZone), n.Format),
                            d.ShutOut,
                            d.Role,
                            d.RoleTold
                        )),
                ]
            );
        });

    /// <summary>Says whether other devices of the shop's network reach Hepno from its next start on. Only at the
    /// machine itself.</summary>
    internal static ReachBody SetReach(ReachBody body, Listening reach)
    {
        reach.LanNext = body.Lan;
        return new(reach.LanNext);
    }

    /// <summary>Makes the six digits that let one device in, for the press or for the counter. Only at the machine
    /// itself.</summary>
    internal static PairingView Begin(RoleBody body, Pairing pairing) =>
        new(pairing.Begin(body.Role), (int)Pairing.Lasts.TotalSeconds, Pairing.Tries);

    /// <summary>Lets the calling device in for its code; from then on its cookie does.</summary>
    internal static DeviceView Pair(PairBody body, HttpContext context, OpenShop shop, Pairing pairing)
    {
        var name = body.Name.Trim();
        if (name.Length is 0 or > LongestName)
        {
            throw new RefusedException(
                400,
                "name",
                name.Length == 0 ? "The device has no name." : $"A name of {name.Length} characters.",
                remedy: $"Type a name of at most {LongestName} characters, for example Tablet at press 1.",
                "name"
            );
        }
        var role = pairing.Take(body.Code.Replace(" ", "", StringComparison.Ordinal))
            ?? throw new RefusedException(
                403,
                "code",
                $"\"{(body.Code.Length > 12 ? body.Code[..12] : body.Code)}\" is not the code, or it is used up.",
                remedy: "Make a new one at the counter: Numbers, Let a device in. It holds five minutes and ten tries.",
                "code"
            );
        var token = Pairing.NewToken();
        var device = new PairedDevice(Guid.NewGuid().ToString("N"), name, shop.Clock.Utc, false, role);
        shop.Db.Write(c =>
        {
            PairedDeviceStore.Add(c, device, Pairing.Hash(token));
            return 0;
        });
        context.Response.Cookies.Append(
            Admission.Cookie,
            token,
            new CookieOptions
            {
                HttpOnly = true,
                SameSite = SameSiteMode.Strict,
                Path = "/",
                MaxAge = TimeSpan.FromDays(400),
            }
        );
        return new(device.Id, device.Name, "", false, role, true);
    }

    /// <summary>Says what a device may do: what is done at the press, or everything of the counter. Only at the machine
    /// itself.</summary>
    internal static Views.Written SetRole(string id, RoleBody body, OpenShop shop) =>
        shop.Db.Write(c => PairedDeviceStore.SetRole(c, id, body.Role, shop.Clock.Utc))
            ? new(id, 2)
            : throw RefusedException.NoSuch("device", id);

    /// <summary>Shuts a device out for good. Only at the machine itself.</summary>
    internal static Views.Written ShutOut(string id, OpenShop shop) =>
        shop.Db.Write(c => PairedDeviceStore.ShutOut(c, id, shop.Clock.Utc))
            ? new(id, 2)
            : throw RefusedException.NoSuch("device", id);

    /// <summary>The addresses other devices use.</summary>
    public static IEnumerable<string> Urls(IServer server) =>
        (server.Features.Get<IServerAddressesFeature>()?.Addresses ?? []).Where(a => !new Uri(a).IsLoopback);
}
