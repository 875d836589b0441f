using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Hepno.Web.Wire;

/// <summary>What the API document says beyond what the endpoints say of themselves.</summary>
internal static class ApiDocument
{
    public static void Describe(OpenApiOptions options)
    {
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
                if (type == typeof(decimal))
                {
                    // money has a converter of its own, so its schema must be said
                    schema.Type =
                        type == context.JsonTypeInfo.Type
                            ? JsonSchemaType.Number
                            : JsonSchemaType.Number | JsonSchemaType.Null;
                    schema.Format = "double";
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
}
