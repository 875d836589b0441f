using Hepno.Core.Ids;

namespace Hepno.Core.Materials;

/// <summary>What recipes are kept for: a film, a vinyl, a printer's own prints.</summary>
public interface IRecipeProduct : IThing
{
    /// <summary>What it is called where a recipe is for it.</summary>
    string ProductName { get; }

    /// <summary>What its manual or data sheet warns of where prints of it are prepared; empty for nothing of its
    /// own.</summary>
    string PreparedWithCare => "";
}
