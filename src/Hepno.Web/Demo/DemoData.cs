using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>Tern &amp; Tallow in Skerry Quay: invented, relative to now, made through the same deeds as everything
/// else.</summary>
internal static class DemoData
{
    private const string Device = "demo";

    public static void Fill(OpenShop shop) =>
        shop.Db.Write(connection =>
        {
            if (Aggregates.Numbers.Get(connection, "1") is not null)
            {
                return 0;
            }
            Shop(connection, shop);
            Customers(connection, shop);
            DemoOrders.Fill(connection, shop);
            return 0;
        });

    internal static Deed At(OpenShop shop, string name, double hoursAgo = 0) =>
        new(name, Device, shop.Clock.Utc - Duration.FromHours(hoursAgo), false);

    internal static LocalDate Today(SqliteConnection c, OpenShop shop) =>
        shop.Clock.Today(OpenShop.Numbers(c).Identity.TimeZone);

    private static void Shop(SqliteConnection c, OpenShop shop)
    {
        var deed = At(shop, "demo data", 200);
        DemoNumbers.Put(c, deed);
        DemoStyles.Put(c, deed);
        DemoBought.PutTransfers(c, shop, deed);
        DemoMachines.PutPrintersAndPresses(c, shop, deed);
        DemoMachines.PutDesktopAndStitching(c, deed);
        DemoBought.PutPapersAndServices(c, deed);
        DemoMachines.PutCalenderAndCutter(c, shop, deed);
        DemoRecipes.Put(c, shop, deed);
        DemoTests.Put(c, shop, deed);
    }

    private static void Customers(SqliteConnection c, OpenShop shop)
    {
        foreach (
            var (id, name, contact) in new[]
            {
                ("rowing", "Skerry Quay Rowing", "Mara Fell, kit secretary"),
                ("bakery", "Lantern Street Bakery", "Odo Brandt"),
                ("choir", "Northmoor Choir", "Isaura Łowe"),
                ("boatyard", "Pell's Boatyard", "Ansel Pell"),
                ("school", "Gorse Lane School", "the office"),
                ("vets", "Beacon Hill Vets", "Dr. Tove Őrr"),
                ("ferry", "Narrows Ferry", "Calla Roe, the ticket hut"),
                ("brewers", "Salt Lane Brewers", "Ivo Hask"),
            }
        )
        {
            Aggregates.Customers.Put(
                c,
                new(
                    new CustomerId(id),
                    name,
                    contact,
                    id is "rowing" or "ferry"
                        ? $"{name}\n{(id == "rowing" ? "The Boathouse, 2 Slip Road" : "Pier Hut, North Narrows")}\nSkerry Quay"
                        : ""
                ),
                0,
                At(shop, "demo data", 199)
            );
        }
    }
}
