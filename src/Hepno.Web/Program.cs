using Hepno.Web;

return args is ["backup" or "restore", ..] ? Copies.Run(args) : await Shell.RunAsync(args);

/// <summary>The program; named so that the tests can host it.</summary>
public partial class Program;
