using Hepno.Core.Costing;
using Hepno.Core.Shop;

namespace Hepno.Web.Views;

/// <summary>A section of the shop's numbers, as it is typed.</summary>
/// <param name="Key">Its name in JSON.</param>
/// <param name="Title">Its heading.</param>
/// <param name="Note">What must be known where it is typed; empty for nothing.</param>
/// <param name="Fields">In the order of its form; their keys go down from all the numbers.</param>
internal sealed record NumbersSectionView(string Key, string Title, string Note, IReadOnlyList<FieldView> Fields)
{
    public static NumbersSectionView From(NumbersSection s) =>
        new(s.Key, Title: s.Title, Note: s.Note, [.. s.Form.Select(FieldView.From)]);
}

/// <summary>How the shop's numbers are typed.</summary>
/// <param name="Sections">In the order they are shown.</param>
/// <param name="Person">The fields of one who works there.</param>
/// <param name="NewPerson">Somebody new, as the form begins.</param>
internal sealed record NumbersForm(
    IReadOnlyList<NumbersSectionView> Sections,
    IReadOnlyList<FieldView> Person,
    Person NewPerson
)
{
    public static NumbersForm Of(ShopNumbers numbers) =>
        new(
            [.. NumbersSection.All.Select(NumbersSectionView.From)],
            [.. Core.Costing.Person.Fields.Select(FieldView.From)],
            Core.Costing.Person.New(numbers.Rates.Wage, numbers.Week)
        );
}
