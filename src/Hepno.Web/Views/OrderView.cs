using Hepno.Core.Orders;
using NodaTime;

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
/// <param name="Cautions">What the machines warn of that its prints are prepared on; empty before the list is
/// made.</param>
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
    Instant? QuoteSent,
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

/// <summary>An order found; KnownBy is what it is found by beside number and customer, and Ended says in a word how it
/// left the line where it was not handed over.</summary>
public sealed record Found(
    string Id,
    string Code,
    string Customer,
    string KnownBy,
    int Pieces,
    string Due,
    Station Station,
    string Ended
);

/// <summary>What was written.</summary>
/// <param name="Id">Which thing.</param>
/// <param name="Version">The version it stands at now.</param>
public sealed record Written(string Id, long Version);

/// <summary>What an undo did.</summary>
/// <param name="Said">In words.</param>
/// <param name="Kind">Kind of thing; empty when nothing was undone.</param>
/// <param name="Id">Which thing.</param>
/// <param name="Version">Its version now.</param>
public sealed record UndoView(string Said, string Kind, string Id, long Version);
