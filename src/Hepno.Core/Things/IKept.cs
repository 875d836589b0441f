namespace Hepno.Core.Things;

/// <summary>A record of something the shop keeps; that it is one is all that has to be said of it anywhere.</summary>
/// <typeparam name="TSelf">The record.</typeparam>
public interface IKept<TSelf>
    where TSelf : class, IKept<TSelf>
{
    /// <summary>What it is as a kind of thing.</summary>
    static abstract ThingKind<TSelf> Described { get; }
}
