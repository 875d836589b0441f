using System.Globalization;
using System.Reflection;
using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Metadata;

namespace Hepno.Web.Wire;

/// <summary>What every call is held to before its handler runs: names in its address that can be kept, days of a
/// calendar, a body where one is needed.</summary>
internal static class Edge
{
    public const long LargestBody = 1_000_000;

    private const int LongestName = 200;

    /// <summary>Holds all calls of a group to it.</summary>
    public static RouteGroupBuilder Guarded(this RouteGroupBuilder api) =>
        api.AddEndpointFilterFactory(
            static (factory, next) =>
            {
                var nullability = new NullabilityInfoContext();
                var parameters = factory.MethodInfo.GetParameters();
                var needed = parameters
                    .Select(p =>
                        !p.ParameterType.IsValueType && nullability.Create(p).ReadState != NullabilityState.Nullable
                    )
                    .ToArray();
                return context =>
                {
                    Names(context.HttpContext.Request.RouteValues);
                    for (var i = 0; i < parameters.Length; i++)
                    {
                        var (name, value) = (parameters[i].Name!, context.Arguments[i]);
                        if (value is null && needed[i])
                        {
                            throw new RefusedException(
                                400,
                                "empty-body",
                                "The body says nothing.",
                                remedy: "Send JSON with the fields of the API document."
                            );
                        }
                        if (EdgeJson.Wrong(value) is { } wrong)
                        {
                            throw new RefusedException(400, "range", $"\"{name}\" {wrong.What}.", wrong.Remedy, name);
                        }
                    }
                    return next(context);
                };
            }
        );

    /// <summary>Keeps a JSON body at hand, so that a refusal can say the value it is of.</summary>
    public static Task AtHand(HttpContext context, RequestDelegate next)
    {
        // an archive is too long for that, and says itself what of it cannot be read
        if (
            context.Request.HasJsonContentType()
            && context.GetEndpoint()?.Metadata.GetMetadata<IRequestSizeLimitMetadata>() is null
        )
        {
            context.Request.EnableBuffering(LargestBody);
        }
        return next(context);
    }

    /// <summary>The value a path of the serializer names in the body at hand, as it was typed; empty where it cannot be
    /// told.</summary>
    public static async Task<string> Typed(HttpRequest request, string path)
    {
        if (!request.Body.CanSeek || path.Length == 0)
        {
            return "";
        }
        request.Body.Position = 0;
        try
        {
            using var body = await JsonDocument.ParseAsync(request.Body);
            var at = body.RootElement;
            foreach (var step in path.Replace("]", "", StringComparison.Ordinal).Split(['.', '[']))
            {
                at =
                    at.ValueKind == JsonValueKind.Array
                        ? at[int.Parse(step, CultureInfo.InvariantCulture)]
                        : at.GetProperty(step);
            }
            if (at.ValueKind is JsonValueKind.Array or JsonValueKind.Object)
            {
                return "";
            }
            return at.GetRawText() is { Length: > 60 } text ? $"{text[..57]}..." : at.GetRawText();
        }
        catch (Exception elsewhere)
            when (elsewhere
                    is JsonException
                        or KeyNotFoundException
                        or FormatException
                        or IndexOutOfRangeException
                        or InvalidOperationException
            )
        {
            return "";
        }
    }

    private static void Names(RouteValueDictionary names)
    {
        foreach (var (key, value) in names)
        {
            if (value is string name && !Fits(name))
            {
                var shown = string.Concat(
                    name.EnumerateRunes().Take(20).Select(r => IsSeen(r) ? r.ToString() : $"\\{r.Value:x4}")
                );
                throw new RefusedException(
                    400,
                    "bad-id",
                    $"\"{shown}\" in the address is no {key}.",
                    remedy: $"Letters, digits and signs that can be seen, at most {LongestName} of them.",
                    key
                );
            }
        }
    }

    private static bool Fits(string name) =>
        name.Length <= LongestName && name.Trim().Length > 0 && name.EnumerateRunes().All(IsSeen);

    // half a pair is read as the sign that stands for what cannot be read
    private static bool IsSeen(Rune r) =>
        r != Rune.ReplacementChar && !Rune.IsControl(r) && Rune.GetUnicodeCategory(r) != UnicodeCategory.Format;
}
