using System.Text.Json;

namespace Hepno.Core.Measures;

/// <summary>Short names of days and months in one language. The screens read the same file, day-names.json.</summary>
/// <param name="Name">The language by its own name.</param>
/// <param name="Days">Sunday first.</param>
/// <param name="Months">January first.</param>
public sealed record DayNames(string Name, IReadOnlyList<string> Days, IReadOnlyList<string> Months)
{
    /// <summary>The language of a new shop.</summary>
    public const string English = "en";

    private static readonly JsonSerializerOptions Options = new() { PropertyNameCaseInsensitive = true };

    /// <summary>All languages dates can be written in, by their code.</summary>
    public static IReadOnlyDictionary<string, DayNames> All { get; } = Read();

    /// <summary>Names in a language; English where it is not known.</summary>
    public static DayNames In(string language) => All.GetValueOrDefault(language) ?? All[English];

    private static Dictionary<string, DayNames> Read()
    {
        using var file = typeof(DayNames).Assembly.GetManifestResourceStream("day-names.json")!;
        return JsonSerializer.Deserialize<Dictionary<string, DayNames>>(file, Options)!;
    }
}
