using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What machines away from the press warn of, said where their work is ticked off.</summary>
public static class PrepareCautions
{
    /// <summary>Each machine's name and what its manual warns of, once; of decorations that take no machine,
    /// nothing.</summary>
    /// <param name="decorations">What is prepared.</param>
    /// <param name="book">The shop's shelf and floor.</param>
    public static IReadOnlyList<string> Sentences(IEnumerable<DecorationPlan> decorations, ShopBook book) =>
        [
            .. decorations
                .SelectMany(d => Machines(d, book))
                .Where(m => m.Cautions.Length > 0)
                .Select(m => $"{m.Name}: {m.Cautions}")
                .Distinct(),
        ];

    private static IEnumerable<(string Name, string Cautions)> Machines(DecorationPlan d, ShopBook book)
    {
        var product = d.Recipe.ProductId;
        bool Cut() =>
            d.Preparation.Any(s => s.Code == "weed")
            || book.Of<TransferPaper>().Any(p => p.Id == product && p.Kind == PaperKind.Opaque);
        return
        [
            .. book.Machines().Where(m => m.Id == product || m.Id == d.Machine?.Id).Select(m => (m.Name, m.Cautions)),
            .. book
                .Things.All<IRecipeProduct>()
                .Where(p => p.Id == product)
                .Select(p => (p.ProductName, p.PreparedWithCare)),
            .. book.Of<TransferPaper>().Any(p => p.Id == product)
                ? book.Of<PaperPrinter>().Take(1).Select(p => (p.Name, p.Cautions))
                : [],
            .. Cut() ? book.Of<Cutter>().Take(1).Select(c => (c.Name, c.Cautions)) : [],
        ];
    }
}
