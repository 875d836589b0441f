using Hepno.Core.Orders;

namespace Hepno.Core.Shop;

/// <summary>The shop's book as one customer buys by it.</summary>
public static class BookForCustomer
{
    /// <summary>Who is exempt pays no tax, and fees are not taken of it; who has an account pays no deposit.</summary>
    public static ShopBook For(this ShopBook book, Customer? customer) =>
        customer is null || (customer.TaxExempt.Length == 0 && customer.AccountDays == 0)
            ? book
            : book with
            {
                Numbers = book.Numbers with
                {
                    Fees =
                        customer.TaxExempt.Length > 0
                            ? book.Numbers.Fees with
                            {
                                TaxShare = default,
                            }
                            : book.Numbers.Fees,
                    Terms =
                        customer.AccountDays > 0
                            ? book.Numbers.Terms with
                            {
                                DepositShare = default,
                            }
                            : book.Numbers.Terms,
                },
            };
}
