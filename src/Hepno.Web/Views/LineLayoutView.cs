using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>The layout of a line's prints on one roll or sheet, as it is settled or as the usual orders give
/// it.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll ("roll") or which sheet of it.</param>
/// <param name="Text">What that is, in words.</param>
/// <param name="Ground">Its measures.</param>
/// <param name="Designs">What is laid, and what could fill its room.</param>
/// <param name="Copies">Where every copy lies.</param>
/// <param name="Figures">Length, cost and the least possible.</param>
/// <param name="Shares">Each design's part, both ways.</param>
/// <param name="ShareCaution">What to mind about equal shares; empty where designs are of like size.</param>
/// <param name="Room">What would go into the room already paid for, and into the next step: the line's designs, and
/// what the shop keeps on hand and has too few of.</param>
/// <param name="Lying">Transfers of the line's designs that lie in the drawer.</param>
/// <param name="Next">The next step or sheet.</param>
/// <param name="Choices">Everything it could be laid on, the least money first.</param>
/// <param name="IsSettled">True when it is the layout settled for the line.</param>
/// <param name="Stale">Why a settled layout holds no longer; empty while it does.</param>
/// <param name="IsLocked">True once its film is here, or is bought on another order's layout.</param>
/// <param name="JoinedTo">The order on whose layout its film is bought; empty for its own.</param>
/// <param name="Together">Numbers of other orders whose film is bought on this layout.</param>
/// <param name="Joins">Waiting orders on the same film that could be bought with it.</param>
/// <param name="IsOwn">True for the roll of the shop's own printer: nothing of it is ordered.</param>
/// <param name="IsByOutline">True when prints are laid by their own outlines: they may lie in one another's empty
/// corners.</param>
/// <param name="HasOutlines">True when a print leaves corners of its box empty.</param>
/// <param name="CutRound">Money for cutting prints out round their outline instead of straight, opened; null where none
/// is, and where all are anyway.</param>
public sealed record LineLayoutView(
    LineId LineId,
    ThingId FilmId,
    string On,
    string Text,
    GangGround Ground,
    IReadOnlyList<LaidDesignView> Designs,
    IReadOnlyList<LaidCopy> Copies,
    LayoutFigures Figures,
    IReadOnlyList<LayoutShare> Shares,
    string ShareCaution,
    IReadOnlyList<LayoutRoom> Room,
    IReadOnlyList<LyingPrints> Lying,
    LayoutStep? Next,
    IReadOnlyList<LayoutChoice> Choices,
    bool IsSettled,
    string Stale,
    bool IsLocked,
    string JoinedTo,
    IReadOnlyList<string> Together,
    IReadOnlyList<LayoutJoin> Joins,
    bool IsOwn,
    bool IsByOutline,
    bool HasOutlines,
    Figure? CutRound
);

/// <summary>A design as it is drawn.</summary>
/// <param name="Key">Identity within the layout.</param>
/// <param name="Name">Place and sizes.</param>
/// <param name="DesignId">Its artwork; null where only figures were typed.</param>
/// <param name="Print">Hash of the picture that is printed; empty without one.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
/// <param name="Needed">Prints needed, spares in it.</param>
/// <param name="Extra">Laid on top, for the shop's stock.</param>
/// <param name="MayTurn">True when it may lie turned.</param>
/// <param name="Why">Where the number comes from.</param>
/// <param name="Outline">Its own outline; null where it fills its box.</param>
public sealed record LaidDesignView(
    string Key,
    string Name,
    DesignId? DesignId,
    string Print,
    double WidthIn,
    double HeightIn,
    int Needed,
    int Extra,
    bool MayTurn,
    string Why,
    IReadOnlyList<OutlinePart>? Outline
);

/// <summary>What a layout comes to.</summary>
/// <param name="UsedIn">Length used, in; of the last sheet where there are several.</param>
/// <param name="FloorIn">No layout can be shorter, in; 0 on sheets.</param>
/// <param name="Sheets">Sheets begun.</param>
/// <param name="FloorSheets">No layout can have fewer.</param>
/// <param name="OverFloor">How far over that it is, a share.</param>
/// <param name="Utilisation">Share of the used ground that is printed.</param>
/// <param name="BilledIn">Length billed, in; 0 for sheets.</param>
/// <param name="Bought">Sheets bought; 0 for a roll.</param>
/// <param name="Cost">Money for all of it, opened; null where nothing is long enough.</param>
/// <param name="ForOrder">Of it, what the order pays: extra copies that need more film pay for that themselves.</param>
/// <param name="Waste">Money of it that no print lies on.</param>
/// <param name="WasteShare">That as a share of the cost.</param>
/// <param name="Steps">Layings tried.</param>
public sealed record LayoutFigures(
    double UsedIn,
    double FloorIn,
    int Sheets,
    int FloorSheets,
    double OverFloor,
    double Utilisation,
    double BilledIn,
    int Bought,
    Figure? Cost,
    decimal ForOrder,
    decimal Waste,
    double WasteShare,
    int Steps
)
{
    /// <summary>How much it takes.</summary>
    internal LaidLength Length() => new(UsedIn, Sheets);

    internal static LayoutFigures Reckon(FilmGround on, GangFound found, GangFound needed)
    {
        var (bill, order) = (on.Bill(found), on.Bill(needed));
        return new(
            found.UsedLengthIn,
            FloorIn: found.FloorLengthIn,
            found.Sheets,
            found.FloorSheets,
            found.OverFloor,
            found.Utilisation,
            bill?.BilledIn ?? 0,
            bill?.Sheets ?? 0,
            bill?.Cost,
            order?.Cost.Value ?? 0,
            bill?.Waste ?? 0,
            bill is { Cost.Value: > 0 } ? (double)(bill.Waste / bill.Cost.Value) : 0,
            found.Steps
        );
    }
}

/// <summary>A design's part of what the order pays for the layout.</summary>
/// <param name="Key">Which design.</param>
/// <param name="Name">Its name.</param>
/// <param name="ByArea">One copy, by area, opened: what the estimate has.</param>
/// <param name="AllByArea">All its copies, by area.</param>
/// <param name="Equally">One copy, every copy alike, opened.</param>
/// <param name="AllEqually">All its copies, every copy alike.</param>
public sealed record LayoutShare(
    string Key,
    string Name,
    Figure ByArea,
    decimal AllByArea,
    Figure Equally,
    decimal AllEqually
);

/// <summary>How many copies of a design would go somewhere.</summary>
/// <param name="Key">Which design.</param>
/// <param name="Name">Its name.</param>
/// <param name="Free">Into what is billed already.</param>
/// <param name="Next">Into the next step or sheet, those in it.</param>
/// <param name="Wanted">For what the shop keeps on hand: how many more it would like to have; null for a design of the
/// line.</param>
/// <param name="OnHand">How many of it lie in the drawer.</param>
/// <param name="Fills">How many of it would be laid into the free room.</param>
public sealed record LayoutRoom(string Key, string Name, int Free, int Next, int? Wanted, int OnHand, int Fills);

/// <summary>Transfers in the drawer that are a design of the line.</summary>
/// <param name="KeptId">Which.</param>
/// <param name="Key">Which design.</param>
/// <param name="Name">Its name.</param>
/// <param name="Count">How many are free to use.</param>
/// <param name="Used">How many of them this line uses.</param>
/// <param name="CanUse">How many of them it could use.</param>
/// <param name="Oldest">When the oldest was printed.</param>
/// <param name="IsOld">True when that is longer ago than it keeps.</param>
public sealed record LyingPrints(
    KeptPrintId KeptId,
    string Key,
    string Name,
    int Count,
    int Used,
    int CanUse,
    LocalDate? Oldest,
    bool IsOld
);

/// <summary>A waiting order whose film could be bought with this one's.</summary>
/// <param name="OrderId">Which.</param>
/// <param name="LineId">Which line of it.</param>
/// <param name="Code">Its number as written.</param>
/// <param name="Customer">Who waits.</param>
/// <param name="Prints">How many prints it needs.</param>
/// <param name="Apart">Both bought apart, freight with each.</param>
/// <param name="AsOne">Both on one layout, one freight.</param>
/// <param name="Saves">Money saved in all, opened.</param>
/// <param name="Mine">Of it, this order's.</param>
/// <param name="Theirs">Of it, the other's.</param>
/// <param name="Waits">What it waits for; empty when they can be bought as one now.</param>
public sealed record LayoutJoin(
    OrderId OrderId,
    LineId LineId,
    string Code,
    string Customer,
    int Prints,
    decimal Apart,
    decimal AsOne,
    Figure Saves,
    decimal Mine,
    decimal Theirs,
    string Waits
);

/// <summary>The next step of a roll or the next sheet.</summary>
/// <param name="Text">What it is: "20 ft", "another sheet".</param>
/// <param name="BilledIn">Length it would be, in; 0 for sheets.</param>
/// <param name="More">Money it costs more, opened; negative where a price break makes it cheaper.</param>
public sealed record LayoutStep(string Text, double BilledIn, Figure More);

/// <summary>Something the line could be laid on.</summary>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet of it.</param>
/// <param name="Text">In words.</param>
/// <param name="Cost">Money, by the usual orders; null where it does not go on it.</param>
/// <param name="WhyNot">Why it does not; empty where it does.</param>
public sealed record LayoutChoice(ThingId FilmId, string On, string Text, Figure? Cost, string WhyNot);

/// <summary>A layout tried: nothing is kept.</summary>
/// <param name="Copies">Where every copy lies, the moved one where it snapped to.</param>
/// <param name="Figures">What it comes to.</param>
/// <param name="Problems">What is wrong with it; empty for a sound layout.</param>
/// <param name="More">Money it costs more than the layout that is there; negative where it saves, null where one of
/// them cannot be billed.</param>
/// <param name="CutRound">Money for cutting prints out round their outline instead of straight, opened; null where none
/// is.</param>
/// <param name="InAll">Money it costs more with the cutting counted on both sides; negative where it saves, null where
/// one of them cannot be billed.</param>
public sealed record TriedLayout(
    IReadOnlyList<LaidCopy> Copies,
    LayoutFigures Figures,
    IReadOnlyList<Problem> Problems,
    decimal? More,
    Figure? CutRound,
    decimal? InAll
);

/// <summary>A search for a better layout, as far as it has come.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Steps">Layings tried.</param>
/// <param name="Of">Layings that will be tried.</param>
/// <param name="Course">Best length, or sheets, after so many layings: each time it got better.</param>
/// <param name="IsDone">True when it ended or was stopped.</param>
/// <param name="Result">What it found; null while it goes on.</param>
/// <param name="IsBetter">True when what it found takes less than the layout it was begun from.</param>
public sealed record LayoutSearchView(
    string Id,
    int Steps,
    int Of,
    IReadOnlyList<SearchPoint> Course,
    bool IsDone,
    TriedLayout? Result,
    bool IsBetter
);

/// <summary>The best after some layings.</summary>
public sealed record SearchPoint(int Steps, double Best);
