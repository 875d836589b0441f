using System.Text.Json;
using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>A file a copy holds.</summary>
/// <param name="Hash">SHA-256 of its bytes, hex.</param>
/// <param name="Bytes">How many.</param>
public sealed record CopiedFile(string Hash, long Bytes);

/// <summary>What a copy holds, written beside it: every part with its hash.</summary>
/// <param name="Format">Of this description.</param>
/// <param name="MadeAt">When (UTC).</param>
/// <param name="Why">What it was made for: daily, asked, before-0043, before-restore.</param>
/// <param name="Data">What the database holds.</param>
/// <param name="Database">The database, unpacked.</param>
/// <param name="Files">Artwork, attachments, photographs.</param>
/// <param name="Lost">Hashes of files that the data names and that were gone or damaged when it was copied.</param>
public sealed record CopyManifest(
    int Format,
    Instant MadeAt,
    string Why,
    DatabaseFacts Data,
    CopiedFile Database,
    IReadOnlyList<CopiedFile> Files,
    IReadOnlyList<string> Lost
)
{
    /// <summary>The format this program writes.</summary>
    public const int Known = 1;

    /// <summary>Its name inside a copy.</summary>
    public const string FileName = "copy.json";

    private static readonly JsonSerializerOptions Json = TimesJson.Added(
        new(JsonSerializerDefaults.Web)
        {
            RespectRequiredConstructorParameters = true,
            RespectNullableAnnotations = true,
            WriteIndented = true,
        }
    );

    /// <summary>As it is written.</summary>
    public byte[] Written() => JsonSerializer.SerializeToUtf8Bytes(this, Json);

    /// <summary>As it was written.</summary>
    /// <exception cref="UnfitCopyException">It is no such description, or a newer one.</exception>
    public static CopyManifest Read(byte[] written)
    {
        try
        {
            var read = JsonSerializer.Deserialize<CopyManifest>(written, Json);
            return read is { Format: Known } ? read : throw new UnfitCopyException("it was made by a newer Hepno.");
        }
        catch (JsonException)
        {
            throw new UnfitCopyException("its list of contents cannot be read.");
        }
    }
}
