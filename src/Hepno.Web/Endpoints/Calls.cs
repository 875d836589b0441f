using System.Globalization;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>What every changing call carries: the device, and the version it has seen.</summary>
internal static class Calls
{
    private const int LongestDevice = 64;

    public static string Device(this HttpRequest request)
    {
        var device = request.Headers["Hepno-Device"].ToString();
        return device.Length is 0 or > LongestDevice ? "unnamed" : device;
    }

    /// <summary>The version in If-Match; without one the call is refused with 428.</summary>
    public static long Seen(this HttpRequest request)
    {
        var text = request.Headers.IfMatch.ToString().Trim('"');
        if (text.Length == 0)
        {
            throw new RefusedException(
                428,
                "no-version",
                "The call does not say which version it has seen.",
                remedy: "Send it in If-Match, for example If-Match: \"7\".",
                "If-Match"
            );
        }
        return long.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var version)
            ? version
            : throw new RefusedException(
                400,
                "bad-version",
                $"If-Match \"{(text.Length > 20 ? text[..20] : text)}\" is not a version.",
                remedy: "Send the number the thing was read with.",
                "If-Match"
            );
    }

    /// <summary>The version in If-Match, or 0 for something new.</summary>
    public static long SeenOrNew(this HttpRequest request, bool exists)
    {
        if (exists)
        {
            return request.Seen();
        }
        return request.Headers.IfMatch.Count == 0 ? 0 : request.Seen();
    }

    public static Deed Deed(this HttpRequest request, ShopClock clock, string name, bool undoable = true) =>
        new(name, request.Device(), clock.Utc, undoable);

    /// <summary>True when the owner was asked about an odd value and says that it is so.</summary>
    public static bool IsSure(this HttpRequest request) => request.Headers["Hepno-Sure"] == "true";
}
