using Hepno.Core.Recipes;

namespace Hepno.Core.Materials;

/// <summary>A machine in which ink, film or paper is noted as it goes in.</summary>
public interface ITakesSupplies : IMachine
{
    /// <summary>Places it usually has (assumed), without products: its maker decides those.</summary>
    IReadOnlyList<SupplySlot> UsualSupplies { get; }
}
