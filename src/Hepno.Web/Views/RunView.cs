using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;

namespace Hepno.Web.Views;

/// <summary>A pass of the run: one decoration on every piece.</summary>
/// <param name="Pass">From 1.</param>
/// <param name="Place">Where, in words.</param>
/// <param name="Size">How large, in words.</param>
/// <param name="Temperature">What the cloth gets, in the shop's unit.</param>
/// <param name="TemperatureOther">The same in the other unit.</param>
/// <param name="SetPoint">What to set on this press, in the shop's unit; empty while not tested.</param>
/// <param name="DwellSeconds">Countdown, s.</param>
/// <param name="SlackSeconds">How much longer does no harm, s.</param>
/// <param name="Pressure">Word.</param>
/// <param name="Peel">When.</param>
/// <param name="PeelAfterSeconds">Cooling from opening to peel, s.</param>
/// <param name="Side">Which side up.</param>
/// <param name="Caution">What may go wrong; may be empty.</param>
/// <param name="Steps">All steps of a piece in this pass.</param>
/// <param name="SecondPressSeconds">Pressed again after peeling, s; 0 for none.</param>
/// <param name="PrePressSeconds">Pressed bare before laying, s; 0 for none.</param>
/// <param name="Where">Distance from a seam, in words.</param>
/// <param name="OnSizes">How large and where on each size of the run.</param>
/// <param name="Own">True where each piece has its own name or number.</param>
/// <param name="Dial">What to set the press's dial to for that pressure, as shown; empty while it was not noted for
/// this thickness, platen and pillow.</param>
/// <param name="Under">What to lay under the print and because of what; empty when it lies flat.</param>
/// <param name="Work">What is done where nothing is pressed: "Stitch", "Count"; empty at a press.</param>
/// <param name="At">Its place of work where that is another than the line's; else empty.</param>
/// <param name="Checks">What to look for on the first piece: what its artwork was doubted for, and a code to
/// scan.</param>
public sealed record RunPassView(
    int Pass,
    string Place,
    string Size,
    string Temperature,
    string TemperatureOther,
    string SetPoint,
    double DwellSeconds,
    double SlackSeconds,
    string Pressure,
    Peel Peel,
    double PeelAfterSeconds,
    string Side,
    string Caution,
    IReadOnlyList<WorkStep> Steps,
    double SecondPressSeconds,
    double PrePressSeconds,
    string Where,
    IReadOnlyList<OnSizeView> OnSizes,
    bool Own,
    string Dial,
    string Under,
    string Work,
    string At,
    IReadOnlyList<string> Checks
);

/// <summary>A print on one size of a run.</summary>
/// <param name="Garment">The size.</param>
/// <param name="Size">How large, in words.</param>
/// <param name="Where">Distance from a seam, in words.</param>
public sealed record OnSizeView(string Garment, string Size, string Where);

/// <summary>A run: the whole plan once, and its events folded.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Number.</param>
/// <param name="Customer">Who.</param>
/// <param name="Ends">When it is planned to end; empty when not planned.</param>
/// <param name="Pieces">Pieces wanted.</param>
/// <param name="Started">True once pressing began.</param>
/// <param name="Lines">Lines in the order of pressing, each with its passes.</param>
/// <param name="Reasons">Reasons a piece may be spoiled for, keys 1 to 9.</param>
/// <param name="State">Events, folded.</param>
public sealed record RunView(
    OrderId OrderId,
    string Code,
    string Customer,
    string Ends,
    int Pieces,
    bool Started,
    IReadOnlyList<RunLineView> Lines,
    IReadOnlyList<string> Reasons,
    RunState State
);

/// <summary>A line of a run.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Press">Which press.</param>
/// <param name="PressCautions">The maker's warnings.</param>
/// <param name="Passes">Decorations in the order of pressing.</param>
public sealed record RunLineView(
    LineId LineId,
    string What,
    string Press,
    string PressCautions,
    IReadOnlyList<RunPassView> Passes
);
