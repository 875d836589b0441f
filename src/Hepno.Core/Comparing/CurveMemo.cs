using System.Collections.Concurrent;

namespace Hepno.Core.Comparing;

/// <summary>Remembers cost and price at other quantities while a line is looked at: they are the same at whatever count
/// it is compared.</summary>
public sealed class CurveMemo
{
    private readonly ConcurrentDictionary<MethodId, IReadOnlyList<CurvePoint>> _known = new();

    /// <summary>A way's curve, found once.</summary>
    /// <param name="methodId">Its key.</param>
    /// <param name="find">Finds it.</param>
    public IReadOnlyList<CurvePoint> Of(MethodId methodId, Func<IReadOnlyList<CurvePoint>> find) =>
        _known.GetOrAdd(methodId, _ => find());
}
