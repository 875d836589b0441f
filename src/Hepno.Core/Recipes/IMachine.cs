using Hepno.Core.Costing;
using Hepno.Core.Ids;

namespace Hepno.Core.Recipes;

/// <summary>A machine of the Floor, whichever: found by that, and listed nowhere.</summary>
public interface IMachine : IThing
{
    /// <summary>The shop's name for it.</summary>
    string Name { get; }

    /// <summary>What an hour of it costs.</summary>
    EquipmentHour Equipment { get; }

    /// <summary>What its manual warns of.</summary>
    string Cautions { get; }

    /// <summary>What it usually wants done (assumed; the maker's manual decides).</summary>
    IReadOnlyList<UpkeepTask> UsualUpkeep { get; }

    /// <summary>The place of work without heat that comes with it; null for none.</summary>
    Press? Workbench => null;

    /// <summary>What a piece gets there, as its cost is headed.</summary>
    string WorkbenchMakes => "Print";
}
