using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Purchasing;
using Hepno.Core.Quoting;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;
using Hepno.Core.Shop;

namespace Hepno.Web.Views;

/// <summary>An order as the screens need it.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Version">Version to send with a change.</param>
/// <param name="Code">Number.</param>
/// <param name="Station">Where it stands.</param>
/// <param name="Ask">What is asked.</param>
/// <param name="Facts">What has happened.</param>
/// <param name="Customer">Who, or null.</param>
/// <param name="Lines">Its lines with garment and colour, in the order of the ask.</param>
/// <param name="Slip">The slip.</param>
/// <param name="QuoteSent">When the standing quote was sent (UTC), or null.</param>
/// <param name="Deposit">Deposit the quote asks for.</param>
/// <param name="Cautions">What the machines warn of that its prints are prepared on; empty before the list is made.</param>
public sealed record OrderView(
    string Id,
    long Version,
    string Code,
    Station Station,
    Ask Ask,
    OrderFacts Facts,
    Customer? Customer,
    IReadOnlyList<OrderLineView> Lines,
    SlipView Slip,
    DateTime? QuoteSent,
    decimal Deposit,
    IReadOnlyList<string> Cautions
)
{
    /// <summary>As a device of the press shows it: nothing of prices.</summary>
    internal OrderView AtThePress() =>
        this with
        {
            Slip = Slip.AtThePress(),
            Facts = Facts with
            {
                Choice = Facts.Choice with
                {
                    Decisions = [.. Facts.Choice.Decisions.Select(d => d with { TypedPrice = null })],
                },
            },
            Lines = [.. Lines.Select(l => l with { Last = null })],
        };
}

/// <summary>A line of an order as the screens need it.</summary>
/// <param name="Id">Which line of the ask.</param>
/// <param name="What">Pieces and garment, in words.</param>
/// <param name="Garment">Its style by name, as so many pieces; empty while none is said.</param>
/// <param name="Style">Which garment, or null.</param>
/// <param name="Colourway">Its colour, or null.</param>
/// <param name="Problems">What in it blocks comparing.</param>
/// <param name="MethodId">The method chosen, or null.</param>
/// <param name="Prints">Every print as it is made on the sizes of the run; empty while garment or sizes are not said.</param>
/// <param name="Drawn">Where its prints lie, size by size; empty while no garment is said.</param>
/// <param name="Notices">Prints larger than customary, what may be a slip of the pen in its list of names, and what its neck label lacks.</param>
/// <param name="Labels">Its neck labels, size by size; empty for none.</param>
/// <param name="Places">Where its garment can be printed, the customary size of each; all places while no garment is said; and those where a print is asked.</param>
/// <param name="Last">How it was made and sold before, when it is asked for again; else null.</param>
public sealed record OrderLineView(
    string Id,
    string What,
    string Garment,
    Style? Style,
    Colourway? Colourway,
    IReadOnlyList<Problem> Problems,
    string? MethodId,
    IReadOnlyList<PrintView> Prints,
    IReadOnlyList<SizeDrawn> Drawn,
    IReadOnlyList<string> Notices,
    IReadOnlyList<NeckLabel> Labels,
    IReadOnlyList<PlaceView> Places,
    LastTimeView? Last
)
{
    internal static OrderLineView From(LineCase l, LastTime? last, ShopBook book) =>
        new(
            l.Asked.Id,
            l.What,
            l.Style is null ? "" : GarmentNouns.Named(l.Style.Name, l.Style.Kind, l.Asked.Pieces),
            l.Style,
            l.Colourway,
            l.Problems,
            l.Decision?.MethodId,
            PrintView.Prints(l.Asked, l.Style),
            l.Style is null ? [] : SizeDrawn.Draw(l.Asked, l.Style.Kind),
            [
                .. l
                    .Asked.Placements.Select(p => PlacementRules.BeyondCustomary(p, l.Asked.Sizes, book.Numbers.Format))
                    .OfType<string>(),
                .. OwnPieces.Notices(l.Asked),
                .. l.Style is null ? [] : NeckLabel.Lacking(l.Asked, l.Style),
            ],
            l.Style is null ? [] : NeckLabel.Labels(l.Asked, l.Style, book.Numbers.Identity.Name, MakeQuote.Care),
            PlaceView.Places(l.Asked, l.Style, book.Places),
            last is null ? null : LastTimeView.From(last, book.Numbers)
        );
}

/// <summary>How a line was made and sold in the order it is asked for again from.</summary>
/// <param name="Each">What a piece was sold at, before tax.</param>
/// <param name="Said">Where, when, how and at what, in words.</param>
public sealed record LastTimeView(decimal Each, string Said)
{
    internal static LastTimeView From(LastTime t, ShopNumbers n)
    {
        var how = DecorationMethods.Find(t.MethodId)?.Name ?? t.MethodId;
        return new(
            t.Each,
            $"Last time, in {t.Code} of {Shown.DayAndYear(DateOnly.FromDateTime(WallClock.Local(t.At, n.Identity.TimeZone)), n.Format)}: {char.ToLowerInvariant(how[0])}{how[1..]}, at {Shown.Money(t.Each, n.Format)} a piece"
        );
    }
}

/// <summary>A print as it is made for some sizes.</summary>
/// <param name="PlacementId">Of which placement.</param>
/// <param name="Sizes">On which sizes.</param>
/// <param name="Pieces">On how many pieces.</param>
/// <param name="WidthIn">Width there, in.</param>
/// <param name="HeightIn">Height there, in.</param>
/// <param name="FromSeamIn">From the seam to its nearest edge, in.</param>
/// <param name="Fingers">The same in fingers.</param>
/// <param name="Where">From which seam, in words.</param>
public sealed record PrintView(
    string PlacementId,
    IReadOnlyList<string> Sizes,
    int Pieces,
    double WidthIn,
    double HeightIn,
    double FromSeamIn,
    double Fingers,
    string Where
)
{
    internal static IReadOnlyList<PrintView> Prints(AskLine line, Style? style) =>
        line.Pieces == 0
            ? []
            :
            [
                .. line.Placements.SelectMany(p =>
                    SizedPrints.Of(p, line.Sizes, line.Names).SelectMany(s => Prints(line, p, s, style))
                ),
            ];

    // sizes that take the same print may still hang it at another distance
    private static IEnumerable<PrintView> Prints(AskLine line, Placement p, SizedPrint s, Style? style)
    {
        var place = p.At();
        if (p.Place == Core.Orders.Places.AllOver && style is not null)
        {
            return s
                .Sizes.Select(z => (z, Flat: GarmentScale.Flat(style.Kind, z.Size)))
                .Select(x => new PrintView(
                    p.Id,
                    [x.z.Size],
                    x.z.Pieces,
                    x.Flat.WidthIn,
                    x.Flat.HeightIn,
                    0,
                    0,
                    place.Where
                ));
        }
        if (p.OnTopOf is not null && style is not null)
        {
            return SizeDrawn
                .Draw(line, style.Kind)
                .Where(d => s.Sizes.Any(z => z.Size == d.Size))
                .SelectMany(d =>
                    d.Prints.Where(x => x.PlacementId == p.Id).Select(x => (d.Size, d.Pieces, x.FromSeamIn))
                )
                .GroupBy(x => x.FromSeamIn)
                .Select(g => new PrintView(
                    p.Id,
                    [.. g.Select(x => x.Size)],
                    g.Sum(x => x.Pieces),
                    s.Print.WidthIn,
                    s.Print.HeightIn,
                    g.Key,
                    Core.Orders.Places.Fingers(g.Key),
                    place.WhereOn(style.Kind)
                ));
        }
        return s
            .Sizes.GroupBy(z => place.FromSeam(z.Size))
            .Select(g => new PrintView(
                p.Id,
                [.. g.Select(z => z.Size)],
                g.Sum(z => z.Pieces),
                s.Print.WidthIn,
                s.Print.HeightIn,
                g.Key,
                Core.Orders.Places.Fingers(g.Key),
                style is null ? place.Where : place.WhereOn(style.Kind)
            ));
    }
}

/// <summary>A place a garment can be printed at.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="WidthIn">The widest that every size of the run takes, in.</param>
/// <param name="WidestIn">The widest that its largest size takes, in.</param>
/// <param name="HeightIn">A customary height for the widest, in.</param>
/// <param name="TakesLayers">True where one print may lie on another.</param>
/// <param name="Offered">False where it is not offered for this garment, and a print is asked there all the same.</param>
public sealed record PlaceView(
    string Id,
    string Name,
    double WidthIn,
    double WidestIn,
    double HeightIn,
    bool TakesLayers,
    bool Offered
)
{
    internal static IReadOnlyList<PlaceView> Places(AskLine line, Style? style, PlaceBook places)
    {
        var sizes = line.Sizes.Select(s => s.Size).DefaultIfEmpty("M").ToList();
        PlaceView View(Place p, bool offered) =>
            new(
                p.Id,
                p.Name,
                sizes.Min(p.WidthOn),
                sizes.Max(p.WidthOn),
                Math.Min(sizes.Max(p.HeightOn), sizes.Max(p.WidthOn)),
                Core.Orders.Places.TakesLayers(p.Id),
                offered
            );
        var offered = places.Offered(style?.Kind);
        return
        [
            .. offered.Select(p => View(p, true)),
            .. line
                .Placements.Select(p => p.At())
                .DistinctBy(p => p.Id)
                .Where(p => offered.All(o => o.Id != p.Id))
                .Select(p => View(p, false)),
        ];
    }
}

/// <summary>An order found; Ended says in a word how it left the line where it was not handed over.</summary>
public sealed record Found(
    string Id,
    string Code,
    string Customer,
    int Pieces,
    string Due,
    Station Station,
    string Ended
);

/// <summary>What was written.</summary>
/// <param name="Id">Which thing.</param>
/// <param name="Version">The version it stands at now.</param>
public sealed record Written(string Id, long Version);

/// <summary>A list of names and numbers as read, with the size run it makes.</summary>
public sealed record OwnPiecesView(IReadOnlyList<OwnPiece> Names, IReadOnlyList<SizeCount> Sizes);

/// <summary>A size run as read.</summary>
public sealed record SizeRunView(IReadOnlyList<SizeCount> Sizes, int Pieces);

/// <summary>The quote as it would be, or as it was sent.</summary>
/// <param name="Sent">When it was sent (the shop's wall clock), or null for a preview.</param>
/// <param name="Quote">Its figures and words.</param>
/// <param name="Notes">Margin notes for the owner; never printed.</param>
/// <param name="Before">Earlier versions, the last one first.</param>
public sealed record QuoteView(
    DateTime? Sent,
    FrozenQuote Quote,
    IReadOnlyList<MarginNote> Notes,
    IReadOnlyList<QuoteVersion> Before
);

/// <summary>An earlier version of a quote.</summary>
/// <param name="Version">From 1.</param>
/// <param name="Sent">When, as shown.</param>
/// <param name="Withdrawn">When, as shown.</param>
/// <param name="Total">What it came to.</param>
/// <param name="Changed">What the next version says otherwise, in words.</param>
public sealed record QuoteVersion(
    int Version,
    string Sent,
    string Withdrawn,
    string Total,
    IReadOnlyList<string> Changed
);

/// <summary>A note beside the quote, for the owner alone.</summary>
/// <param name="Title">The figure or word it is about.</param>
/// <param name="Text">What it means.</param>
/// <param name="LineId">The line it is of; empty when it is of the whole order.</param>
public sealed record MarginNote(string Title, string Text, string LineId = "");

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
/// <param name="Dial">What to set the press's dial to for that pressure, as shown; empty while it was not noted for this thickness, platen and pillow.</param>
/// <param name="Under">What to lay under the print and because of what; empty when it lies flat.</param>
/// <param name="Work">What is done where nothing is pressed: "Stitch", "Count"; empty at a press.</param>
/// <param name="At">Its place of work where that is another than the line's; else empty.</param>
/// <param name="Checks">What to look for on the first piece: what its artwork was doubted for, and a code to scan.</param>
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
    string OrderId,
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
    string LineId,
    string What,
    string Press,
    string PressCautions,
    IReadOnlyList<RunPassView> Passes
);

/// <summary>A batch drawn on a press day.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="LineId">Line of it.</param>
/// <param name="Code">Number.</param>
/// <param name="Customer">Who.</param>
/// <param name="What">Garments, in words.</param>
/// <param name="Pieces">Pieces of this part.</param>
/// <param name="TemperatureF">Heat, °F.</param>
/// <param name="Temperature">Heat, as shown.</param>
/// <param name="HeatFrom">Platen begins to change its heat.</param>
/// <param name="Start">First piece.</param>
/// <param name="End">Last piece off.</param>
/// <param name="DueAt">Wanted, or null.</param>
/// <param name="LateMinutes">Late as planned.</param>
/// <param name="Why">Why; may be empty.</param>
/// <param name="Running">True when begun.</param>
/// <param name="PersonId">Whose hands; empty where nobody is named.</param>
/// <param name="Moved">True when the owner put it there.</param>
/// <param name="SetUpFrom">When hands begin to make the press ready, or null.</param>
/// <param name="Platens">Lower platens by pass where they are not the press's own throughout; else empty.</param>
public sealed record BatchView(
    string OrderId,
    string LineId,
    string Code,
    string Customer,
    string What,
    int Pieces,
    double TemperatureF,
    string Temperature,
    DateTime HeatFrom,
    DateTime Start,
    DateTime End,
    DateTime? DueAt,
    double LateMinutes,
    string Why,
    bool Running,
    string PersonId,
    bool Moved,
    DateTime? SetUpFrom,
    string Platens
);

/// <summary>One press on one day.</summary>
public sealed record PressLaneView(
    string PressId,
    string Name,
    string Kind,
    double HottestF,
    IReadOnlyList<BatchView> Batches,
    IReadOnlyList<HeatPoint> Heat
);

/// <summary>One who works that day.</summary>
/// <param name="Id">Whom.</param>
/// <param name="Name">Name.</param>
/// <param name="Here">When; empty on a day off.</param>
public sealed record HandsView(string Id, string Name, IReadOnlyList<Stretch> Here);

/// <summary>From, to: wall clock.</summary>
public sealed record Stretch(DateTime From, DateTime To);

/// <summary>Work without a place on this day.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Number.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Minutes">Minutes of pressing.</param>
/// <param name="Note">Why it is not here: what it waits for, or when it stands.</param>
/// <param name="Late">True when it will be late.</param>
public sealed record TrayView(string OrderId, string Code, string What, double Minutes, string Note, bool Late);

/// <summary>A day at the presses.</summary>
/// <param name="Day">Which day.</param>
/// <param name="Title">As shown.</param>
/// <param name="Open">Opening, or null when closed.</param>
/// <param name="Close">Closing.</param>
/// <param name="Now">Wall clock.</param>
/// <param name="Lanes">Presses.</param>
/// <param name="Tray">Work not on this day.</param>
/// <param name="PressingMinutes">Minutes under the presses.</param>
/// <param name="HeatChanges">Changes of heat.</param>
/// <param name="Hands">Who works that day; empty where nobody is named.</param>
/// <param name="LateCount">Orders late as planned.</param>
/// <param name="Promise">The order in hand: its promise with its chain, or null.</param>
public sealed record PressDayView(
    DateOnly Day,
    string Title,
    DateTime? Open,
    DateTime? Close,
    DateTime Now,
    IReadOnlyList<PressLaneView> Lanes,
    IReadOnlyList<TrayView> Tray,
    double PressingMinutes,
    int HeatChanges,
    IReadOnlyList<HandsView> Hands,
    int LateCount,
    PlacedOrder? Promise
);

/// <summary>One order waiting at Gather, as a lane.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Number.</param>
/// <param name="Customer">Who.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Threads">What it waits for.</param>
/// <param name="PressStart">When pressing starts as planned, or null before the yes.</param>
/// <param name="PromisedAt">Promised, or null.</param>
/// <param name="Late">True when planned past its due time.</param>
/// <param name="Spare">Room between the last arrival and pressing, or why there is none.</param>
public sealed record GatherLane(
    string OrderId,
    string Code,
    string Customer,
    string What,
    IReadOnlyList<GatherThread> Threads,
    DateTime? PressStart,
    DateTime? PromisedAt,
    bool Late,
    string Spare
);

/// <summary>A thing waited for, drawn to when it comes.</summary>
/// <param name="Id">Item, or approval or deposit.</param>
/// <param name="Text">What.</param>
/// <param name="Kind">buy, prepare or person.</param>
/// <param name="At">When it comes, or null for a person.</param>
/// <param name="Done">True when it is here.</param>
public sealed record GatherThread(string Id, string Text, string Kind, DateTime? At, bool Done);

/// <summary>Everything waited for.</summary>
public sealed record GatherView(DateTime Now, IReadOnlyList<DateTime> Days, IReadOnlyList<GatherLane> Lanes);

/// <summary>What an order came to against its quote.</summary>
/// <param name="Lines">Both sides, line by line.</param>
/// <param name="Earned">Profit of the whole order.</param>
/// <param name="Sentence">The result in one sentence.</param>
public sealed record LearnView(IReadOnlyList<LineHeld> Lines, Figure Earned, string Sentence);

/// <summary>What a line came to against its quote.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Held">Both sides.</param>
/// <param name="Price">Price a piece, dearer sizes averaged in.</param>
public sealed record LineHeld(string LineId, string What, Core.Learning.Held Held, decimal Price);

/// <summary>What to buy for a line, as drawn on Lay out.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="Band">The method's figures.</param>
/// <param name="Sentence">What is laid out, in one sentence.</param>
/// <param name="Blanks">Blanks bought.</param>
/// <param name="BlankCost">What they cost, freight included.</param>
/// <param name="Prints">What the prints cost in all, bought or from the shop's own rolls.</param>
/// <param name="Spares">What the bought spares and the missing ones mean, in words.</param>
/// <param name="Ways">Ways to have the blanks, the least money first.</param>
/// <param name="Vinyl">Pieces of vinyl that lie here for it, and what it leaves; null where none is cut.</param>
public sealed record LayoutView(
    string LineId,
    Band Band,
    string Sentence,
    IReadOnlyList<SizeCount> Blanks,
    Figure BlankCost,
    Figure Prints,
    string Spares,
    IReadOnlyList<BuyingWay> Ways,
    VinylPiecesView? Vinyl
);

/// <summary>What an undo did.</summary>
/// <param name="Said">In words.</param>
/// <param name="Kind">Kind of thing; empty when nothing was undone.</param>
/// <param name="Id">Which thing.</param>
/// <param name="Version">Its version now.</param>
public sealed record UndoView(string Said, string Kind, string Id, long Version);
