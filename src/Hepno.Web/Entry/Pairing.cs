using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Hepno.Store;

namespace Hepno.Web.Entry;

/// <summary>The code shown at the counter that lets one device in: six digits, five minutes, ten tries.</summary>
internal sealed class Pairing(TimeProvider time)
{
    public const int Tries = 10;
    public static readonly TimeSpan Lasts = TimeSpan.FromMinutes(5);

    private readonly Lock gate = new();
    private string? code;
    private DateTimeOffset ends;
    private int left;
    private DeviceRole role;

    /// <summary>A new code that lets a device in for something; the one before no longer counts.</summary>
    public string Begin(DeviceRole role)
    {
        lock (gate)
        {
            code = RandomNumberGenerator.GetInt32(1_000_000).ToString("D6", CultureInfo.InvariantCulture);
            (ends, left, this.role) = (time.GetUtcNow() + Lasts, Tries, role);
            return code;
        }
    }

    /// <summary>What the code lets a device in for, or null when it is not the code; it is used up by being right, by
    /// ten wrong ones and by five minutes.</summary>
    public DeviceRole? Take(string tried)
    {
        lock (gate)
        {
            if (code is null || time.GetUtcNow() >= ends)
            {
                code = null;
                return null;
            }
            if (CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(code), Encoding.UTF8.GetBytes(tried)))
            {
                code = null;
                return role;
            }
            code = --left > 0 ? code : null;
            return null;
        }
    }

    /// <summary>What a device shows at the door from then on.</summary>
    public static string NewToken() => RandomNumberGenerator.GetHexString(64, lowercase: true);

    /// <summary>What is kept of it.</summary>
    public static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
