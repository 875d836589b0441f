namespace Hepno.Core.Recipes;

/// <summary>Places of work of any shop, which need no machine of their own.</summary>
public static class Workbench
{
    /// <summary>Where work is done that needs no machine.</summary>
    public static Press Table { get; } =
        Press.Bench("table", "the table", new(0, Resale: 0, 1, ProductiveHoursAYear: 1, 0, DutyShare: 0, 0), "");

    /// <summary>Where dyed cloth is sewn; its machine is in the notions of a garment.</summary>
    public static Press Sewing { get; } =
        Press.Bench(
            "sewing",
            "the sewing table",
            new(0, Resale: 0, 1, ProductiveHoursAYear: 1, 0, DutyShare: 0, 0),
            ""
        );
}
