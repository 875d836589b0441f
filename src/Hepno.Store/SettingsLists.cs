using Hepno.Core.Costing;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The lists of the shop's numbers, a table each.</summary>
internal sealed record SettingsLists(
    IReadOnlyList<DayHours> Days,
    IReadOnlyList<Person> People,
    IReadOnlyList<FixedCost> FixedCosts,
    IReadOnlyList<LearnedSpoilage> Spoilage,
    IReadOnlyList<Packaging> Packagings,
    IReadOnlyList<StepTime> Times,
    IReadOnlyList<CoverPrice> Covers
)
{
    // the days of the week are always seven: they are written over
    private static readonly string[] Emptied =
    [
        "packaging",
        "person",
        "person_day",
        "person_off",
        "fixed_cost",
        "learned_spoilage",
        "step_time",
        "cover_price",
    ];

    public static SettingsLists From(ShopNumbers n) =>
        new(
            n.Week.Days,
            n.Week.People,
            n.Rates.FixedCosts,
            n.Rates.Spoilage,
            n.Packing.Packagings,
            n.Floor.Habits.Times,
            n.Floor.Habits.Covers
        );

    public static SettingsLists Read(SqliteConnection c) =>
        new(
            c.Query("SELECT opens, closes FROM day_hours ORDER BY weekday", Hours),
            ReadPeople(c),
            c.Query("SELECT * FROM fixed_cost ORDER BY position", r => new FixedCost(
                r.Text("name"),
                r.Money("month_micros")
            )),
            c.Query("SELECT * FROM learned_spoilage ORDER BY method_id", r => new LearnedSpoilage(
                r.Id<MethodId>("method_id"),
                r.Real("share")
            )),
            c.Query("SELECT * FROM packaging ORDER BY position", r => new Packaging(
                r.Text("name"),
                r.Real("most_tees"),
                MostGrams: r.Real("most_grams"),
                r.Real("own_grams"),
                r.Money("price_micros")
            )),
            c.Query("SELECT * FROM step_time ORDER BY code", r => new StepTime(r.Text("code"), r.Real("seconds"))),
            c.Query("SELECT * FROM cover_price ORDER BY cover", r => new CoverPrice(
                r.Word<Cover>("cover"),
                r.Money("price_micros"),
                r.Int("uses")
            ))
        );

    public void Write(SqliteConnection c)
    {
        foreach (var table in Emptied)
        {
            c.Execute($"DELETE FROM {table}");
        }
        foreach (var (person, i) in People.Select((p, i) => (p, i)))
        {
            Write(c, person, i);
        }
        foreach (var s in Spoilage)
        {
            c.Put("learned_spoilage", 1, ("method_id", s.MethodId), ("share", s.Share));
        }
        foreach (var t in Times)
        {
            c.Put("step_time", 1, ("code", t.Code), ("seconds", t.Seconds));
        }
        foreach (var cover in Covers)
        {
            c.Put("cover_price", 1, ("cover", cover.Cover), ("price_micros", cover.Price), ("uses", cover.Uses));
        }
        foreach (var (cost, i) in FixedCosts.Select((f, i) => (f, i)))
        {
            c.Put("fixed_cost", 1, ("position", i), ("name", cost.Name), ("month_micros", cost.PerMonth));
        }
        foreach (var (packaging, i) in Packagings.Select((p, i) => (p, i)))
        {
            Write(c, packaging, i);
        }
        foreach (var (day, i) in Days.Select((d, i) => (d, i)))
        {
            c.Put("day_hours", 1, ("weekday", i), ("opens", day.Open), ("closes", day.Close));
        }
    }

    private static List<Person> ReadPeople(SqliteConnection c)
    {
        var days = c.Query("SELECT * FROM person_day ORDER BY person_id, weekday", r =>
                (Of: r.Text("person_id"), Hours: Hours(r))
            )
            .ToLookup(d => d.Of, d => d.Hours);
        var off = c.Query("SELECT * FROM person_off ORDER BY person_id, day", r =>
                (Of: r.Text("person_id"), Day: r.Day("day"))
            )
            .ToLookup(d => d.Of, d => d.Day);
        return c.Query("SELECT * FROM person ORDER BY position", r => new Person(
            r.Id<PersonId>("id"),
            Name: r.Text("name"),
            r.Money("wage_micros"),
            r.Share("on_costs_micros"),
            [.. days[r.Text("id")]],
            r.TimeOrNull("lunch_from"),
            r.Int("lunch_minutes"),
            [.. off[r.Text("id")]]
        ));
    }

    private static DayHours Hours(Rows.Row r) => new(r.TimeOrNull("opens"), r.TimeOrNull("closes"));

    private static void Write(SqliteConnection c, Packaging p, int position) =>
        c.Put(
            "packaging",
            1,
            ("position", position),
            ("name", p.Name),
            ("most_tees", p.MostTees),
            ("most_grams", p.MostGrams),
            ("own_grams", p.OwnGrams),
            ("price_micros", p.Price)
        );

    private static void Write(SqliteConnection c, Person p, int position)
    {
        c.Put(
            "person",
            1,
            ("position", position),
            ("id", p.Id),
            ("name", p.Name),
            ("wage_micros", p.Wage),
            ("on_costs_micros", p.OnCostsShare),
            ("lunch_from", p.LunchFrom),
            ("lunch_minutes", p.LunchMinutes)
        );
        for (var day = 0; day < p.Week.Count; day++)
        {
            c.Put(
                "person_day",
                2,
                ("person_id", p.Id),
                ("weekday", day),
                ("opens", p.Week[day].Open),
                ("closes", p.Week[day].Close)
            );
        }
        foreach (var day in p.DaysOff)
        {
            c.Put("person_off", 2, ("person_id", p.Id), ("day", day));
        }
    }
}
