using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Upkeep: what is due on which day, and what it makes an hour of a machine cost.</summary>
public class UpkeepTests
{
    // a Friday; the shop is open Monday to Friday
    private static readonly LocalDate Friday = new(2026, 6, 5);
    private static readonly IReadOnlyList<DayHours> Week = ShopNumbers.Default.Week.Days;
    private static readonly MachineUpkeep Printer = new(
        "skua",
        [
            new("nozzles", "Nozzle check", UpkeepEvery.Day, 3, 0.15m),
            new("head", "Head clean", UpkeepEvery.Week, 10, 2.40m),
            new("blade", "New blade", UpkeepEvery.AsNeeded, 5, 9, 6),
        ],
        []
    );

    private static string Due(MachineUpkeep u, LocalDate day) =>
        string.Join(' ', u.DueBy(day, Week).Select(d => d.Task.Id));

    [Fact]
    public void What_was_never_done_is_due_at_once_and_what_was_done_comes_round()
    {
        Assert.Equal("nozzles head", Due(Printer, Friday));
        var done = Printer with { Done = [new("nozzles", Friday, "Wren", ""), new("head", Friday, "Wren", "")] };
        Assert.Equal("", Due(done, Friday));
        // Saturday is closed: the daily check passes on to Monday
        Assert.Equal("", Due(done, Friday.PlusDays(1)));
        Assert.Equal(Friday.PlusDays(3), done.Next(done.Tasks[0], Friday, Week).On);
        Assert.Equal("nozzles", Due(done, Friday.PlusDays(3)));
        // a week on; the longest due first
        Assert.Equal("nozzles head", Due(done, Friday.PlusDays(7)));
    }

    [Fact]
    public void Its_minutes_and_money_are_in_the_hour_of_the_machine()
    {
        // 5 days × 52 = 260 checks of 3 min at 18.00 and 0.15: 273.00; 52 cleans of 10 min and 2.40: 280.80; 6 blades
        // of 5 min and 9.00: 63.00
        var hour = Printer.PerHour(18.00m, 5, 500);
        Assert.Equal(273.00m + 280.80m + 63.00m, hour.Parts[0].Value);
        Assert.Equal(616.80m / 500, hour.Value);
        // on the press: what tending costs an hour, times the hours a piece holds it
        var ask = MethodTests.Ask(20);
        var plan = new DtfBought().Answer(ask, MethodTests.Book).Decorations;
        decimal Rent(ShopBook book) => LineCost.Reckon(ask, plan, book).Stratum("press").Value;
        var tended = MethodTests.Book.With<MachineUpkeep>([
            Printer with
            {
                Id = new ThingId(MethodTests.Gannet.Id.Text),
            },
        ]);
        var minutes = LineFloor.MinutesOf(ask, plan, MethodTests.Book);
        var held = minutes.PrepHeld + minutes.Held.Sum();
        // the press of these tests is held 600 hours a year
        Assert.Equal(616.80m / 600 * (decimal)(held / 3600), Rent(tended) - Rent(MethodTests.Book), 9);
        Assert.Equal(
            Rent(MethodTests.Book),
            Rent(MethodTests.Book.With<MachineUpkeep>([Printer with { Id = "another" }]))
        );
    }

    [Fact]
    public void What_cannot_be_is_refused_by_name_and_the_usual_lists_can_be_kept()
    {
        Assert.Equal(
            "tasks[0].name",
            Assert.Single((Printer with { Tasks = [Printer.Tasks[0] with { Name = " " }] }).Problems()).Where
        );
        Assert.Equal(
            "tasks[1].name",
            Assert.Single((Printer with { Tasks = [Printer.Tasks[0], Printer.Tasks[0]] }).Problems()).Where
        );
        Assert.Equal(
            "tasks[0]",
            Assert.Single((Printer with { Tasks = [Printer.Tasks[0] with { Minutes = double.NaN }] }).Problems()).Where
        );
        Assert.Equal(
            "done[0].note",
            Assert.Single((Printer with { Done = [new("head", Friday, "", new('x', 501))] }).Problems()).Where
        );
        Assert.All(OwnPrintTests.Book.Machines().Concat(FurtherMethodTests.Book.Machines()), machine =>
        {
            Assert.NotEmpty(machine.UsualUpkeep);
            Assert.Empty(new MachineUpkeep(machine.Id, machine.UsualUpkeep, []).Problems());
        });
    }
}
