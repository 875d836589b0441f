namespace Hepno.Core.Methods;

/// <summary>All methods, in the order they are registered.</summary>
public static class DecorationMethods
{
    /// <summary>The methods Hepno knows.</summary>
    public static IReadOnlyList<IDecorationMethod> All { get; } =
    [
        new DtfBought(),
        new DtfMade(),
        new DigitalTransfer(),
        new ScreenTransfer(),
        new Htv(),
        new Sublimation(),
        new SublimationAllOver(),
        new SublimationCutSew(),
        new PaperLight(),
        new PaperOpaque(),
        new Dtg(),
        new Embroidery(),
        new Applique(),
        new ScreenOut(),
        new PodOut(),
    ];

    /// <summary>A method by its key, a mix of them by its own, or null.</summary>
    public static IDecorationMethod? Find(MethodId id) =>
        All.FirstOrDefault(m => m.Id == id) ?? (IDecorationMethod?)Mixed.Find(id);

    /// <summary>True where a key names a method, or a mix with it.</summary>
    public static bool Uses(MethodId? id, MethodId methodId) =>
        id is { } way && (way == methodId || Mixed.Find(way)?.Ways.Any(m => m.Id == methodId) == true);
}
