using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;

namespace Hepno.Web.Entry;

/// <summary>Where Hepno listens and which names it answers to: this machine only, or the shop's own network too: with
/// <c>--lan</c>, or where the owner said so under Numbers.</summary>
internal sealed class Listening
{
    private readonly string[] names;
    private readonly string mark;

    public Listening(IConfiguration configuration, string data)
    {
        mark = Path.Combine(data, "lan");
        Lan = configuration.GetValue<bool?>("Hepno:Lan") ?? LanNext;
        Private = Lan ? [.. PrivateAddresses()] : [];
        names =
        [
            "127.0.0.1",
            "localhost",
            "[::1]",
            .. (configuration["Hepno:Host"] ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries),
            .. Private.Select(Name),
        ];
    }

    /// <summary>True when other devices may be let in.</summary>
    public bool Lan { get; }

    /// <summary>What the owner said of the next start; told by a file of the data folder, for it must be known before
    /// the data is opened and belongs to this machine alone.</summary>
    public bool LanNext
    {
        get => File.Exists(mark);
        set
        {
            if (value)
            {
                File.WriteAllText(mark, "");
            }
            else
            {
                File.Delete(mark);
            }
        }
    }

    /// <summary>The machine's private addresses that are listened on.</summary>
    public IReadOnlyList<IPAddress> Private { get; }

    /// <summary>Whether a Host header names this program: stops a foreign name that was pointed here.</summary>
    public bool AnswersTo(string host) => names.Contains(host, StringComparer.OrdinalIgnoreCase);

    /// <summary>Whether the call comes from this machine.</summary>
    public static bool AtCounter(HttpContext context) =>
        context.Connection.RemoteIpAddress is { } from
        && IPAddress.IsLoopback(from.IsIPv4MappedToIPv6 ? from.MapToIPv4() : from);

    /// <summary>An address nobody outside the building can route to: 10/8, 172.16/12, 192.168/16, fc00::/7.</summary>
    public static bool IsPrivate(IPAddress address)
    {
        var b = address.GetAddressBytes();
        return address.AddressFamily switch
        {
            AddressFamily.InterNetwork => b[0] == 10
                || (b[0] == 172 && b[1] is >= 16 and < 32)
                || (b[0] == 192 && b[1] == 168),
            AddressFamily.InterNetworkV6 => address.IsIPv6UniqueLocal,
            _ => false,
        };
    }

    private static string Name(IPAddress address) =>
        address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{address}]" : address.ToString();

    private static IEnumerable<IPAddress> PrivateAddresses() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(i =>
                i.OperationalStatus == OperationalStatus.Up && i.NetworkInterfaceType != NetworkInterfaceType.Loopback
            )
            .SelectMany(i => i.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .Where(IsPrivate)
            .Distinct();
}
