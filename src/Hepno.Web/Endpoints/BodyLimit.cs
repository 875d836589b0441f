using Microsoft.AspNetCore.Http.Metadata;

namespace Hepno.Web.Endpoints;

/// <summary>Lets an endpoint take larger bodies than the others.</summary>
/// <param name="bytes">Largest body.</param>
internal sealed class BodyLimit(long bytes) : IRequestSizeLimitMetadata
{
    public long? MaxRequestBodySize => bytes;
}
