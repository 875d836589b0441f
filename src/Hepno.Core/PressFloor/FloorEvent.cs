namespace Hepno.Core.PressFloor;

/// <summary>One stretch of what happens on the floor.</summary>
/// <param name="Lane">hands, press or rack.</param>
/// <param name="Index">Which pair of hands or press, from 0.</param>
/// <param name="Piece">Which piece, from 0.</param>
/// <param name="Code">Stable word of the step.</param>
/// <param name="Label">What is done.</param>
/// <param name="From">Begins, s from the start.</param>
/// <param name="Until">Ends, s from the start.</param>
public sealed record FloorEvent(
    string Lane,
    int Index,
    int Piece,
    string Code,
    string Label,
    double From,
    double Until
);
