using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Pieces of one size.</summary>
internal sealed record SizeBody(string Size, int Pieces);

/// <summary>One flat colour as measured: its own box and its paint as shares of the whole.</summary>
internal sealed record CutBody(string Hex, double WidthShare, double HeightShare, double PaintShare);

/// <summary>The flat colours of an artwork, the one with most paint first.</summary>
internal sealed record CutsBody(IReadOnlyList<CutBody> Colours);

/// <summary>One placement; lengths in inches, the thinnest line in points. With an artwork its height, figures and cuts
/// are measured, whatever is sent; without one it has no cuts. BySize: smaller on sizes that do not take it. Own: each
/// piece's own name or number instead of one artwork. Stitches: what its stitch file says, left out while there is
/// none. OnTopOf: the earlier placement of the same place that it is laid over, left out where it lies on the
/// cloth.</summary>
internal sealed record PlacementBody(
    string Id,
    string Place,
    double WidthIn,
    double HeightIn,
    double CoveragePercent,
    int Colours,
    bool Gradient,
    double ThinnestLinePt,
    DesignId? DesignId = null,
    bool BySize = false,
    OwnText Own = OwnText.None,
    CutsBody? Cuts = null,
    int? Stitches = null,
    PlacementId? OnTopOf = null,
    VinylFinish Finish = VinylFinish.Plain
)
{
    public Placement ToCore() =>
        new(new PlacementId(Id), Place, WidthIn, HeightIn, CoveragePercent, Colours, Gradient, ThinnestLinePt)
        {
            DesignId = DesignId,
            BySize = BySize,
            Own = Own,
            Stitches = Stitches,
            OnTopOf = OnTopOf,
            Finish = Finish,
        };

    public static PlacementBody From(Placement p) =>
        new(
            p.Id.Text,
            p.Place,
            p.WidthIn,
            p.HeightIn,
            p.CoveragePercent,
            p.Colours,
            p.Gradient,
            p.ThinnestLinePt,
            p.DesignId,
            p.BySize,
            p.Own,
            p.Cuts is { } cuts
                ? new([.. cuts.Colours.Select(c => new CutBody(c.Hex, c.WidthShare, c.HeightShare, c.PaintShare))])
                : null,
            p.Stitches,
            p.OnTopOf,
            p.Finish
        );
}

/// <summary>One personalised piece; name or number may be empty.</summary>
internal sealed record OwnPieceBody(string Size, string Name, string Number);

/// <summary>One line; null where nothing is said yet.</summary>
internal sealed record LineBody(
    string Id,
    StyleId? StyleId,
    ColourwayId? ColourwayId,
    IReadOnlyList<SizeBody> Sizes,
    IReadOnlyList<PlacementBody> Placements,
    decimal? Mark,
    int Given = 0,
    IReadOnlyList<OwnPieceBody>? Names = null,
    bool Theirs = false,
    LocalDate? DueDate = null
)
{
    public AskLine ToCore() =>
        new(
            new LineId(Id),
            StyleId,
            ColourwayId,
            [.. Sizes.Select(s => new SizeCount(s.Size, s.Pieces))],
            [.. Placements.Select(p => p.ToCore())]
        )
        {
            Mark = Mark,
            Given = Given,
            Names = Names is { Count: > 0 }
                ? [.. Names.Select(n => new OwnPiece(n.Size, n.Name.Trim(), Number: n.Number.Trim()))]
                : [],
            Theirs = Theirs,
            DueDate = DueDate,
        };

    public static LineBody From(AskLine l) =>
        new(
            l.Id.Text,
            l.StyleId,
            l.ColourwayId,
            [.. l.Sizes.Select(s => new SizeBody(s.Size, s.Pieces))],
            [.. l.Placements.Select(PlacementBody.From)],
            l.Mark,
            l.Given,
            [.. l.Names.Select(n => new OwnPieceBody(n.Size, n.Name, n.Number))],
            l.Theirs,
            l.DueDate
        );
}

/// <summary>How an order is sent: a zone of the carrier, and whether postage is in the price.</summary>
internal sealed record ShippingBody(string Zone, bool InThePrice);

/// <summary>An ask; null where nothing is said yet, also for details. Shipping is null when they collect it.</summary>
internal sealed record AskBody(
    CustomerId? CustomerId,
    IReadOnlyList<LineBody> Lines,
    LocalDate? DueDate,
    LocalTime? DueTime,
    AskDetails? Details,
    Channel Channel = Channel.Retail,
    ShippingBody? Shipping = null
)
{
    public Ask ToCore() =>
        new(
            CustomerId,
            [.. Lines.Select(l => l.ToCore())],
            DueDate,
            DueTime,
            Channel,
            Shipping is { } s ? new(s.Zone, s.InThePrice) : null
        )
        {
            Details = (Details ?? AskDetails.None).Settled(),
        };

    public static AskBody From(Ask a) =>
        new(
            a.CustomerId,
            [.. a.Lines.Select(LineBody.From)],
            a.DueDate,
            a.DueTime,
            a.Details,
            a.Channel,
            a.Shipping is { } s ? new(s.Zone, s.InThePrice) : null
        );
}
