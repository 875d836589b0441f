using Hepno.Core.Quoting;
using Hepno.Web.Wire;

namespace Hepno.Web.Held;

/// <summary>Lines as calls name them.</summary>
internal static class CaseLines
{
    /// <summary>A line by its id, or refused with 404; the first one when none is named.</summary>
    public static LineCase Line(this OrderCase c, LineId? id) =>
        id is { } named
            ? c.Lines.FirstOrDefault(l => l.Asked.Id == named) ?? throw RefusedException.NoSuch("line", named)
            : c.Lines[0];
}
