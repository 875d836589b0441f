using Hepno.Core.Blanks;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>A way of decorating: its feasibility, materials and steps, in a folder of its own with the machine and the
/// material it is made with. That it is one is all that has to be said of it anywhere.</summary>
public interface IDecorationMethod
{
    /// <summary>Key, as in docs/trade 1.</summary>
    MethodId Id { get; }

    /// <summary>Its name on screen.</summary>
    string Name { get; }

    /// <summary>What the customer is told it is, after "made as".</summary>
    string Said { get; }

    /// <summary>Its place among the ways, which are listed in one order everywhere; of two that are equal the one with the
    /// lower number leads.</summary>
    int Order { get; }

    /// <summary>What its decorations are like.</summary>
    PrintCharacter Character { get; }

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

    /// <summary>True where it is done elsewhere, whole.</summary>
    bool IsSentOut => false;

    /// <summary>True where its print stands up and keeps a platen off what lies on it.</summary>
    bool StandsUp => false;

    /// <summary>True where its print is film, whoever made it.</summary>
    bool IsFilm => false;

    /// <summary>True where it is cut from a roll whose ends are kept and used up.</summary>
    bool UsesPieces => false;

    /// <summary>What it takes to begin with it.</summary>
    IReadOnlyList<StartUpItem> StartUp(ShopBook book);

    /// <summary>What prints of a line can be laid on; null where it lays nothing.</summary>
    /// <param name="part">The line, with those prints alone that are done this way.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    LaidOn? LaidOn(AskInHand part, ShopBook book) => null;

    /// <summary>Screens a print is set up with; 0 where there are none.</summary>
    int Screens(Placement print, Colourway colourway) => 0;

    /// <summary>Whether and how it would do the ask, each print lying on the cloth: ask <see cref="Layers.Answer"/>,
    /// which minds those that lie on others.</summary>
    MethodAnswer OnCloth(AskInHand ask, ShopBook book);
}
