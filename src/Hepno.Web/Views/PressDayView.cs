using Hepno.Core.Planning;
using NodaTime;

namespace Hepno.Web.Views;

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
    OrderId OrderId,
    LineId LineId,
    string Code,
    string Customer,
    string What,
    int Pieces,
    double TemperatureF,
    string Temperature,
    LocalDateTime HeatFrom,
    LocalDateTime Start,
    LocalDateTime End,
    LocalDateTime? DueAt,
    double LateMinutes,
    string Why,
    bool Running,
    PersonId PersonId,
    bool Moved,
    LocalDateTime? SetUpFrom,
    string Platens
);

/// <summary>One press on one day.</summary>
/// <param name="PressId">Which.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kind">What kind of press.</param>
/// <param name="HottestF">Its hottest that day, °F; 0 while it stays cold.</param>
/// <param name="Batches">What is pressed, as it follows.</param>
/// <param name="Heat">Its platen's temperature over the day.</param>
/// <param name="Out">Why nothing is done there that day: out of use, through when; empty where it is in use.</param>
public sealed record PressLaneView(
    PressId PressId,
    string Name,
    string Kind,
    double HottestF,
    IReadOnlyList<BatchView> Batches,
    IReadOnlyList<HeatPoint> Heat,
    string Out
);

/// <summary>One who works that day.</summary>
/// <param name="Id">Whom.</param>
/// <param name="Name">Name.</param>
/// <param name="Here">When; empty on a day off.</param>
public sealed record HandsView(PersonId Id, string Name, IReadOnlyList<Stretch> Here);

/// <summary>From, to: wall clock.</summary>
public sealed record Stretch(LocalDateTime From, LocalDateTime To);

/// <summary>Work without a place on this day.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Number.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Minutes">Minutes of pressing.</param>
/// <param name="Note">Why it is not here: what it waits for, or when it stands.</param>
/// <param name="Late">True when it will be late.</param>
public sealed record TrayView(OrderId OrderId, string Code, string What, double Minutes, string Note, bool Late);

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
    LocalDate Day,
    string Title,
    LocalDateTime? Open,
    LocalDateTime? Close,
    LocalDateTime Now,
    IReadOnlyList<PressLaneView> Lanes,
    IReadOnlyList<TrayView> Tray,
    double PressingMinutes,
    int HeatChanges,
    IReadOnlyList<HandsView> Hands,
    int LateCount,
    PlacedOrder? Promise
);
