using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Orders;

/// <summary>A customer.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">Name, as spoken.</param>
/// <param name="Contact">Person, phone or mail.</param>
/// <param name="Address">Where parcels go, a line of it a line; may be empty.</param>
/// <param name="TaxExempt">What proves that they pay no sales tax: a certificate and its number; empty where they
/// do.</param>
/// <param name="AccountDays">Days they have to pay after the invoice; 0 where they pay as the shop's rules say.</param>
public sealed record Customer(
    CustomerId Id,
    string Name,
    string Contact,
    string Address = "",
    string TaxExempt = "",
    int AccountDays = 0
) : IKept<Customer>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Customer> Described { get; } =
        new("customer", noun: "customers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            Order = ListedBy.Text<Customer>(x => x.Name),
        };

    /// <summary>What the owner must put right before one can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Length is 0 or > 200)
        {
            yield return new(
                "empty",
                Name.Length == 0 ? "The customer has no name." : $"A name of {Name.Length} characters.",
                Where: "name",
                "Type a name of at most 200 characters."
            );
        }
        if (Contact.Length > 500)
        {
            yield return new(
                "too-long",
                $"A contact of {Contact.Length} characters.",
                Where: "contact",
                "At most 500."
            );
        }
        if (Address.Length > 500)
        {
            yield return new(
                "too-long",
                $"An address of {Address.Length} characters.",
                Where: "address",
                "At most 500."
            );
        }
        if (TaxExempt.Length > 200)
        {
            yield return new(
                "too-long",
                $"A proof of {TaxExempt.Length} characters.",
                Where: "taxExempt",
                "Name the certificate and its number, at most 200."
            );
        }
        if (AccountDays is < 0 or > 365)
        {
            yield return new(
                "range",
                $"{AccountDays} days to pay is outside 0 to 365.",
                Where: "accountDays",
                "30 is usual; 0 where they have no account."
            );
        }
    }
}
