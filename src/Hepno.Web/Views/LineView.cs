using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Web.Entry;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>How pressing an order's due time is.</summary>
public enum Urgency
{
    /// <summary>Waiting.</summary>
    Waiting,

    /// <summary>Due within a working day.</summary>
    Soon,

    /// <summary>Late.</summary>
    Late,
}

/// <summary>One order on the work line.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Code">Number as written.</param>
/// <param name="Customer">Who; empty while not said.</param>
/// <param name="Pieces">Pieces.</param>
/// <param name="Due">Due, as shown; empty while not said.</param>
/// <param name="Urgency">How pressing.</param>
/// <param name="Next">What it waits for.</param>
public sealed record Peg(string Id, string Code, string Customer, int Pieces, string Due, Urgency Urgency, string Next);

/// <summary>A station with the orders hanging there, most pressing first.</summary>
public sealed record StationView(Station Station, IReadOnlyList<Peg> Pegs);

/// <summary>The work line and everything the shell shows.</summary>
/// <param name="ShopName">The shop.</param>
/// <param name="Now">Wall clock, as shown.</param>
/// <param name="Today">Local date.</param>
/// <param name="Stations">Eight stations in the order of the work.</param>
/// <param name="Shelf">State of the Shelf, in a word or two.</param>
/// <param name="Floor">State of the Floor.</param>
/// <param name="Numbers">State of Numbers.</param>
/// <param name="Format">How figures are written.</param>
/// <param name="NewShop">True until the first day's set-up is done.</param>
/// <param name="LastBackup">When the last copy was made, as shown; empty when none.</param>
/// <param name="Seq">Last change this is of.</param>
/// <param name="Caller">Who asks: press for a device of the press, counter, or machine.</param>
/// <param name="Notices">What the owner must know wherever they are; none for the press.</param>
internal sealed record LineView(
    string ShopName,
    string Now,
    LocalDate Today,
    IReadOnlyList<StationView> Stations,
    string Shelf,
    string Floor,
    string Numbers,
    FigureFormat Format,
    bool NewShop,
    string LastBackup,
    long Seq,
    Caller Caller,
    IReadOnlyList<Notice> Notices
);
