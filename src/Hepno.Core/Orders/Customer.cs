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
);
