using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using NodaTime;

namespace Hepno.Web.Wire;

/// <summary>What the API document says beyond what the endpoints say of themselves.</summary>
internal static class ApiDocument
{
    public static void Describe(OpenApiOptions options)
    {
        options.CreateSchemaReferenceId = type =>
            Spelled(Nullable.GetUnderlyingType(type.Type) ?? type.Type) is null
                ? OpenApiOptions.CreateDefaultSchemaReferenceId(type)
                : null;
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Servers?.Clear();
                document.Info.Title = "Hepno";
                document.Info.Version = "1";
                return Task.CompletedTask;
            }
        );
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
                if (Spelled(type) is { } spelled)
                {
                    schema.Type = type == context.JsonTypeInfo.Type ? spelled.Type : spelled.Type | JsonSchemaType.Null;
                    schema.Format = spelled.Format;
                }
                if (
                    context.JsonTypeInfo is { Kind: JsonTypeInfoKind.Enumerable, ElementType: { } element }
                    && Spelled(element) is { } each
                )
                {
                    schema.Items = new OpenApiSchema { Type = each.Type, Format = each.Format };
                }
                if (
                    schema.Properties is { Count: > 0 } properties
                    && type != typeof(Microsoft.AspNetCore.Mvc.ProblemDetails)
                )
                {
                    // every field is always sent, computed ones too; and bodies must name every field
                    schema.Required = properties.Keys.ToHashSet();
                }
                return Task.CompletedTask;
            }
        );
    }

    // what has a converter of its own: its schema must be said
    private static (JsonSchemaType Type, string? Format)? Spelled(Type type)
    {
        if (type == typeof(decimal) || type == typeof(Share))
        {
            return (JsonSchemaType.Number, "double");
        }
        if (type.IsAssignableTo(typeof(IId)))
        {
            return (JsonSchemaType.String, null);
        }
        if (type == typeof(LocalDate))
        {
            return (JsonSchemaType.String, "date");
        }
        if (type == typeof(LocalTime))
        {
            return (JsonSchemaType.String, "time");
        }
        return type == typeof(LocalDateTime) || type == typeof(Instant) ? (JsonSchemaType.String, "date-time") : null;
    }
}
