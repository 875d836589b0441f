namespace Hepno.Web.Entry;

/// <summary>Who calls, from the one who may least to the one who may most; each may do what those before it
/// may.</summary>
internal enum Caller
{
    /// <summary>A device that was not let in, or was shut out.</summary>
    Stranger,

    /// <summary>A device let in for the press: run, day, recipes, receiving, counting.</summary>
    Press,

    /// <summary>A device let in for the counter: everything that is not done at the machine itself.</summary>
    Counter,

    /// <summary>The machine Hepno runs on.</summary>
    Machine,
}

/// <summary>Says of an endpoint who may call it. An endpoint that says nothing is open to the counter alone.</summary>
/// <param name="Least">The caller who may least of those it is open to.</param>
internal sealed record OpenTo(Caller Least);

/// <summary>Opens endpoints by name.</summary>
internal static class Opening
{
    /// <summary>Opens it to some caller and those who may more.</summary>
    public static TBuilder OpenTo<TBuilder>(this TBuilder endpoint, Caller least)
        where TBuilder : IEndpointConventionBuilder => endpoint.WithMetadata(new OpenTo(least));
}
