using Hepno.Core.Recipes;

namespace Hepno.Web.Devices;

/// <summary>What a press says of itself.</summary>
/// <param name="Simulated">True for the stand-in that ships with the program.</param>
/// <param name="On">True when it heats.</param>
/// <param name="SetPointF">What it is set to, °F; null when it is off.</param>
/// <param name="HeatF">What its own display says, °F.</param>
/// <param name="MinutesUntil">Minutes until the set-point is reached, by the clock on the wall; 0 when it is there or
/// off.</param>
/// <param name="Faster">How much faster than a real one it runs; 1 for a real one.</param>
internal sealed record PressReadout(
    bool Simulated,
    bool On,
    double? SetPointF,
    double HeatF,
    double MinutesUntil,
    int Faster
);

/// <summary>A press that can be switched and read; a real one with a readout would answer the same two calls.</summary>
internal interface IPressReadout
{
    /// <summary>Sets it, or switches it off with null.</summary>
    void Set(Press press, double? setPointF, int faster);

    /// <summary>Reads it.</summary>
    PressReadout Read(Press press);
}
