using System.Collections.Concurrent;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Web.Devices;

/// <summary>Presses that ship with the program and say that they are made up: they warm and cool as their figures on
/// the Floor say. What they are set to is forgotten when the program ends, as a plug pulled. They go by the machine's
/// own clock, whatever day the program is told it is.</summary>
internal sealed class SimulatedPress(TimeProvider time) : IPressReadout
{
    private readonly ConcurrentDictionary<PressId, Setting> _settings = new();

    /// <inheritdoc/>
    public void Set(Press press, double? setPointF, int faster) =>
        _settings[press.Id] = new(setPointF, HeatOf(press), faster, Now);

    /// <inheritdoc/>
    public PressReadout Read(Press press)
    {
        var heat = HeatOf(press);
        var set = _settings.TryGetValue(press.Id, out var s) ? s : new(null, FromF: Press.RoomF, 1, Now);
        return new(
            true,
            On: set.SetPointF is not null,
            set.SetPointF,
            heat,
            MinutesUntil: set.SetPointF is { } f ? PlatenHeat.MinutesUntil(press, heat, setF: f) / set.Faster : 0,
            set.Faster
        );
    }

    private Instant Now => Instant.FromDateTimeOffset(time.GetUtcNow());

    private double HeatOf(Press press) =>
        _settings.TryGetValue(press.Id, out var s)
            ? PlatenHeat.After(press, s.FromF, s.SetPointF, minutes: (Now - s.At).TotalMinutes * s.Faster)
            : Press.RoomF;

    private sealed record Setting(double? SetPointF, double FromF, int Faster, Instant At);
}
