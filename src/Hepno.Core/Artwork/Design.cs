using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Artwork;

/// <summary>An artwork: its picture as it came and what was measured on it.</summary>
/// <param name="Id">Identity, made on the screen.</param>
/// <param name="Name">What the shop calls it.</param>
/// <param name="Kind">png, jpeg or svg.</param>
/// <param name="Hash">SHA-256 of the file that is printed, in hex.</param>
/// <param name="Bytes">Its size.</param>
/// <param name="WidthIn">Print width it was measured at, in.</param>
/// <param name="Report">What was measured.</param>
/// <param name="Rights">Whose it is.</param>
public sealed record Design(
    DesignId Id,
    string Name,
    string Kind,
    string Hash,
    long Bytes,
    double WidthIn,
    ArtworkReport Report,
    Rights Rights
)
{
    /// <summary>SHA-256 of the file as it came, where a mend made another; null where it is printed as it
    /// came.</summary>
    public string? CameAs { get; init; }

    /// <summary>What to do otherwise when it is printed again; may be empty.</summary>
    public string NextTime { get; init; } = "";

    /// <summary>A placement described by this picture instead of by typed numbers: its height, paint, colours and
    /// thinnest line follow from the width.</summary>
    public Placement Described(Placement p) =>
        p with
        {
            HeightIn = Math.Round(Report.HeightIn(p.WidthIn), 3),
            CoveragePercent = Math.Clamp(Math.Round(Report.Coverage() * 100, 1), 0.1, 100),
            Colours = Math.Clamp(Report.Colours.Count, 1, 20),
            Gradient = Report.Colours.LooksGradient,
            Cuts = Report.Cuts(),
            ThinnestLinePt = Math.Clamp(
                Math.Round(
                    Report.ThinnestLine is { } line
                        ? Report.Pt(line.WidthPx, p.WidthIn)
                        : Report.LookedForPt * p.WidthIn / WidthIn,
                    2
                ),
                0.01,
                100
            ),
        };

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Trim().Length is 0 or > 200)
        {
            yield return new(
                "empty",
                Name.Trim().Length == 0 ? "The artwork has no name." : $"A name of {Name.Length} characters.",
                Where: "name",
                "Call it what you would say across the counter, up to 200 letters."
            );
        }
        if (WidthIn is not (> 0 and <= Places.Absurd))
        {
            yield return new(
                "range",
                $"A print width of {WidthIn:0.##} in is outside 0 to {Places.Absurd:0}.",
                Where: "widthIn",
                "Type how wide it is printed."
            );
        }
        if (Rights.Seats is < 1 or > 100_000)
        {
            yield return new(
                "range",
                $"A licence for {Rights.Seats} computers.",
                Where: "rights.seats",
                "Type how many it is for, or leave it out."
            );
        }
        foreach (
            var (text, field) in new[]
            {
                (Rights.Whose, "whose"),
                (Rights.SaidBy, "saidBy"),
                (Rights.Proof, "proof"),
                (NextTime, "nextTime"),
            }
        )
        {
            if (text.Length > 500)
            {
                yield return new(
                    "too-long",
                    $"{text.Length} characters.",
                    Where: field == "nextTime" ? field : $"rights.{field}",
                    "At most 500."
                );
            }
        }
    }
}
