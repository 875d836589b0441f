using System.Reflection;

namespace Hepno.Core.Things;

/// <summary>The kinds of things the shop keeps.</summary>
public static class ThingKinds
{
    /// <summary>All of them, in the order of their names: every record that is <see cref="IKept{TSelf}"/>.</summary>
    public static IReadOnlyList<ThingKind> All { get; } =
    [
        .. typeof(ThingKinds)
            .Assembly.GetTypes()
            .Where(IsKept)
            .Select(Described)
            .OrderBy(k => k.Name, StringComparer.Ordinal),
    ];

    private static bool IsKept(Type type) =>
        type is { IsAbstract: false, IsInterface: false }
        && type.GetInterfaces().Any(i => i.IsConstructedGenericType && i.GetGenericTypeDefinition() == typeof(IKept<>));

    private static ThingKind Described(Type type) =>
        (ThingKind)
            type.GetProperty(nameof(IKept<>.Described), BindingFlags.Public | BindingFlags.Static)!.GetValue(null)!;
}
