using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Hepno.Web.Tests;

public sealed class Shop : WebApplicationFactory<Program>
{
    private readonly string folder = Directory.CreateTempSubdirectory("hepno-web-").FullName;

    public Shop() => UseKestrel();

    public static string Root
    {
        get
        {
            var at = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(at!.FullName, "Hepno.slnx")))
            {
                at = at.Parent;
            }
            return at.FullName;
        }
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        builder.UseSetting("Hepno:Data", folder);
        builder.UseSetting("Hepno:Port", "0");
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && Directory.Exists(folder))
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
