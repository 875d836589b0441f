using Hepno.Web;

return await Shell.RunAsync(args);

public partial class Program;
