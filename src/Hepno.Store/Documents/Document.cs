using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;

namespace Hepno.Store.Documents;

/// <summary>
/// What is written once and read for years: a sent quote, an earlier state of a thing, a thing in an archive. A JSON
/// object whose first member <c>v</c> is the version of its form;
/// what is null is left out. An older form is lifted from version to version before it is read, so that the core's
/// records need not remember what they once were.
/// </summary>
/// <typeparam name="T">What is kept.</typeparam>
/// <param name="fromFirst">Makes a document of version 2 of one of version 1 (until December 2026: without a number, in
/// either of two spellings, nulls written out); null where only the spelling is another.</param>
/// <param name="later">Each makes a document of the next version: the first of them of version 2 one of version 3.
/// Names are looked up in any spelling.</param>
public sealed class Document<T>(Action<JsonObject>? fromFirst = null, params Action<JsonObject>[] later)
{
    private const string VersionName = "v";
    private static readonly JsonNodeOptions AnySpelling = new() { PropertyNameCaseInsensitive = true };

    /// <summary>The version that is written now.</summary>
    public int Version => 2 + later.Length;

    /// <summary>What it is made of: a test pins it, so that a form is not changed under its number.</summary>
    public JsonTypeInfo Form => DocumentJson.Strict.GetTypeInfo(typeof(T));

    /// <summary>Writes one.</summary>
    public string Written(T value)
    {
        var text = JsonSerializer.Serialize(value, DocumentJson.Strict);
        var rest = text is "{}" ? "}" : $",{text.AsSpan(1)}";
        return $$"""{"{{VersionName}}":{{Version}}{{rest}}""";
    }

    /// <summary>Reads one of any version.</summary>
    /// <exception cref="JsonException">It is damaged, or of a version this program does not know.</exception>
    public T Read(string text) =>
        VersionOf(text) == Version ? Whole(JsonSerializer.Deserialize<T>(text, DocumentJson.Strict)) : Lifted(text);

    /// <summary>Writes one for the database.</summary>
    internal byte[] Packed(T value) => Packing.Pack(Written(value));

    /// <summary>Reads one of the database.</summary>
    internal T Unpacked(byte[] packed) => Read(Packing.Unpack(packed));

    private T Lifted(string text)
    {
        var document =
            JsonNode.Parse(text, AnySpelling) as JsonObject
            ?? throw new JsonException("A document is an object, and this is none.");
        JsonSerializerOptions options;
        try
        {
            options = IsHistory(document) ? DocumentJson.Lenient : DocumentJson.Strict;
            Lift(document, document[VersionName]?.GetValue<int>() ?? 1);
        }
        catch (Exception other) when (other is InvalidOperationException or ArgumentException)
        {
            throw new JsonException("A document is made otherwise than its version says.", other);
        }
        return Whole(document.Deserialize<T>(options));
    }

    // names with a capital are history's of version 1, which was never refused for what it lacked
    private static bool IsHistory(JsonObject document) =>
        document.FirstOrDefault().Key is { Length: > 0 } name && char.IsUpper(name[0]);

    private void Lift(JsonObject document, int version)
    {
        if (version < 1 || version > Version)
        {
            throw new JsonException($"A document of version {version}; this program knows {Version}.");
        }
        if (version == 1)
        {
            fromFirst?.Invoke(document);
        }
        foreach (var lift in later.Skip(version - 2))
        {
            lift(document);
        }
    }

    private static T Whole(T? read) => read ?? throw new JsonException("A document holds something, and this nothing.");

    private static int VersionOf(string text)
    {
        var reader = new Utf8JsonReader(Encoding.UTF8.GetBytes(text));
        return
            reader.Read()
            && reader.TokenType == JsonTokenType.StartObject
            && reader.Read()
            && reader.TokenType == JsonTokenType.PropertyName
            && reader.ValueTextEquals(VersionName)
            && reader.Read()
            && reader.TokenType == JsonTokenType.Number
            && reader.TryGetInt32(out var version)
            ? version
            : 1;
    }
}
