namespace Hepno.Core.Ids;

/// <summary>An identity of any kind, for what writes and reads them.</summary>
public interface IId
{
    /// <summary>The id as it is written; never null, empty where it names nothing.</summary>
    string Text { get; }
}

/// <summary>An identity of one kind.</summary>
/// <typeparam name="TSelf">The kind.</typeparam>
public interface IId<TSelf> : IId
    where TSelf : struct, IId<TSelf>
{
    /// <summary>The id that is written so.</summary>
    static abstract TSelf From(string text);
}
