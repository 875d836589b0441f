namespace Hepno;

/// <summary>Where the tree lies that the tests were built from.</summary>
internal static class Tree
{
    /// <summary>Its folder.</summary>
    public static string Root { get; } = Found();

    /// <summary>A table or document under tests/cases.</summary>
    public static string Case(params string[] name) => Path.Combine([Root, "tests", "cases", .. name]);

    private static string Found()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at!.FullName, "Hepno.slnx")))
        {
            at = at.Parent;
        }
        return at.FullName;
    }
}
