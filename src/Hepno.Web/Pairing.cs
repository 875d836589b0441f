using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace Hepno.Web;

/// <summary>The code shown at the counter that lets one device in: six digits, five minutes, ten tries.</summary>
internal sealed class Pairing(TimeProvider time)
{
    public const int Tries = 10;
    public static readonly TimeSpan Lasts = TimeSpan.FromMinutes(5);

    private readonly Lock gate = new();
    private string? code;
    private DateTimeOffset ends;
    private int left;

    /// <summary>A new code; the one before no longer counts.</summary>
    public string Begin()
    {
        lock (gate)
        {
            code = RandomNumberGenerator.GetInt32(1_000_000).ToString("D6", CultureInfo.InvariantCulture);
            (ends, left) = (time.GetUtcNow() + Lasts, Tries);
            return code;
        }
    }

    /// <summary>True when it is the code; it is used up by that, by ten wrong ones and by five minutes.</summary>
    public bool Take(string tried)
    {
        lock (gate)
        {
            if (code is null || time.GetUtcNow() >= ends)
            {
                code = null;
                return false;
            }
            if (CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(code), Encoding.UTF8.GetBytes(tried)))
            {
                code = null;
                return true;
            }
            code = --left > 0 ? code : null;
            return false;
        }
    }

    /// <summary>What a device shows at the door from then on.</summary>
    public static string NewToken() => RandomNumberGenerator.GetHexString(64, lowercase: true);

    /// <summary>What is kept of it.</summary>
    public static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
