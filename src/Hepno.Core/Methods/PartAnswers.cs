using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What ways answer for one line at one count and for parts of it, each asked once: mixes ask the same ways
/// for the same prints again and again.</summary>
/// <param name="book">The shop's shelf, floor and numbers.</param>
public sealed class PartAnswers(ShopBook book)
{
    private readonly Dictionary<(MethodId Way, string Prints), MethodAnswer> _found = [];

    /// <summary>Whether and how a way would do the line or a part of it, with what lies on what.</summary>
    public MethodAnswer Answer(IDecorationMethod way, AskInHand part) =>
        Layers.Over(way, OnCloth(way, part), part, book);

    /// <summary>The same, each print lying on the cloth.</summary>
    internal MethodAnswer OnCloth(IDecorationMethod way, AskInHand part)
    {
        if (way is Mixed mix)
        {
            return mix.OnCloth(part, this, book);
        }
        var key = (way.Id, string.Join(' ', part.Placements.Select(p => p.Id)));
        return _found.TryGetValue(key, out var known) ? known : _found[key] = way.OnCloth(part, book);
    }
}
