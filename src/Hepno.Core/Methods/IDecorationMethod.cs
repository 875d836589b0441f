using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>A way of decorating: its feasibility, materials and steps, in one file.</summary>
public interface IDecorationMethod
{
    /// <summary>Key, as in docs/trade 1.</summary>
    MethodId Id { get; }

    /// <summary>Its name on screen.</summary>
    string Name { get; }

    /// <summary>What the customer is told it is, after "made as".</summary>
    string Said { get; }

    /// <summary>Share of attempts assumed to spoil the piece until the shop has learned its own; features of an ask may
    /// add to it.</summary>
    double SpoilageAssumed { get; }

    /// <summary>True where its print lies on the cloth with an edge that can be felt, and seen through what lies over
    /// it.</summary>
    bool HasEdge => false;

    /// <summary>True where it holds on another print as it does on cloth.</summary>
    bool HoldsOnPrint => true;

    /// <summary>True where what it was set up with is kept for the next time: screens, a stitch file.</summary>
    bool KeepsSetUp => false;

    /// <summary>Whether and how it would do the ask, each print lying on the cloth: ask <see cref="Layers.Answer"/>,
    /// which minds those that lie on others.</summary>
    MethodAnswer OnCloth(AskInHand ask, ShopBook book);
}
