namespace Hepno.Core.Ids;

/// <summary>What the shop keeps under an id that recipes, layouts, stock and costs name it by: a machine, a material,
/// or somebody's price list or service.</summary>
/// <remarks>They share one kind of id, since a recipe or a layout is for any of them, whichever a method works
/// with.</remarks>
public interface IThing
{
    /// <summary>Its id, its own among all things.</summary>
    ThingId Id { get; }
}
