using Hepno.Web.Drawings;
using Hepno.Web.Host;

return args switch
{
    _ when CopyVerbs.Knows(args) => CopyVerbs.Run(args),
    [DrawingApart.Verb, _] => DrawingApart.Run(args),
    _ => await Shell.RunAsync(args),
};

/// <summary>The program; named so that the tests can host it.</summary>
public partial class Program;
