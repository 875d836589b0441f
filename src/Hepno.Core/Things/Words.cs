using System.Text.Json;

namespace Hepno.Core.Things;

/// <summary>How words of an enumeration are spelled where they are kept and sent.</summary>
public static class Words
{
    /// <summary>Like this: "hover-press".</summary>
    public static string Of<TWord>(TWord word)
        where TWord : struct, Enum => JsonNamingPolicy.KebabCaseLower.ConvertName(word.ToString());
}
