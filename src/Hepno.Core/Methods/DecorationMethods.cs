namespace Hepno.Core.Methods;

/// <summary>All methods, in their order.</summary>
public static class DecorationMethods
{
    /// <summary>The methods Hepno knows: every one that there is, less mixes, which are made of them.</summary>
    public static IReadOnlyList<IDecorationMethod> All { get; } =
    [
        .. typeof(DecorationMethods)
            .Assembly.GetTypes()
            .Where(t => t.IsAssignableTo(typeof(IDecorationMethod)) && t.GetConstructor(Type.EmptyTypes) is not null)
            .Select(t => (IDecorationMethod)Activator.CreateInstance(t)!)
            .OrderBy(m => m.Order),
    ];

    /// <summary>A method by its key, a mix of them by its own, or null.</summary>
    public static IDecorationMethod? Find(MethodId id) =>
        All.FirstOrDefault(m => m.Id == id) ?? (IDecorationMethod?)Mixed.Find(id);

    /// <summary>True where a key names a method of which something holds, or a mix with one.</summary>
    public static bool Uses(MethodId? id, Func<IDecorationMethod, bool> which) =>
        id is { } way && Find(way) is { } method && (method is Mixed mix ? mix.Ways.Any(which) : which(method));
}
