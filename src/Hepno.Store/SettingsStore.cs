using System.Globalization;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The shop's numbers: one row.</summary>
internal static class SettingsStore
{
    private static readonly string[] Children =
    [
        "person",
        "person_day",
        "person_off",
        "fixed_cost",
        "learned_spoilage",
        "step_time",
        "cover_price",
    ];

    /// <summary>The zone of the shop's clock; UTC in a database without a shop.</summary>
    public static string TimeZone(SqliteConnection connection) =>
        connection.Query("SELECT time_zone FROM settings", r => r.Text("time_zone")).FirstOrDefault("UTC");

    public static Aggregate<ShopNumbers> Aggregate() =>
        new(
            "numbers",
            "settings",
            (connection, _) =>
            {
                var week = connection.Query("SELECT opens, closes FROM day_hours ORDER BY weekday", r => new DayHours(
                    r.TimeOrNull("opens"),
                    r.TimeOrNull("closes")
                ));
                var packagings = connection.Query("SELECT * FROM packaging ORDER BY position", r => new Packaging(
                    r.Text("name"),
                    r.Real("most_tees"),
                    r.Real("most_grams"),
                    r.Real("own_grams"),
                    r.Money("price_micros")
                ));
                var days = connection
                    .Query("SELECT * FROM person_day ORDER BY person_id, weekday", r =>
                        (Of: r.Text("person_id"), Hours: new DayHours(r.TimeOrNull("opens"), r.TimeOrNull("closes")))
                    )
                    .ToLookup(d => d.Of, d => d.Hours);
                var off = connection
                    .Query("SELECT * FROM person_off ORDER BY person_id, day", r =>
                        (Of: r.Text("person_id"), Day: r.Day("day"))
                    )
                    .ToLookup(d => d.Of, d => d.Day);
                var people = connection.Query("SELECT * FROM person ORDER BY position", r => new Person(
                    r.Text("id"),
                    r.Text("name"),
                    r.Money("wage_micros"),
                    r.Share("on_costs_micros"),
                    [.. days[r.Text("id")]],
                    r.TimeOrNull("lunch_from"),
                    r.Int("lunch_minutes"),
                    [.. off[r.Text("id")]]
                ));
                var costs = connection.Query("SELECT * FROM fixed_cost ORDER BY position", r => new FixedCost(
                    r.Text("name"),
                    r.Money("month_micros")
                ));
                var spoilage = connection.Query(
                    "SELECT * FROM learned_spoilage ORDER BY method_id",
                    r => new LearnedSpoilage(r.Text("method_id"), r.Real("share"))
                );
                var times = connection.Query("SELECT * FROM step_time ORDER BY code", r => new StepTime(
                    r.Text("code"),
                    r.Real("seconds")
                ));
                var covers = connection.Query("SELECT * FROM cover_price ORDER BY cover", r => new CoverPrice(
                    r.Word<Cover>("cover"),
                    r.Money("price_micros"),
                    r.Int("uses")
                ));
                return connection.Query("SELECT * FROM settings", r => new Versioned<ShopNumbers>(
                    new ShopNumbers(
                        new(
                            r.Text("shop_name"),
                            r.Text("address"),
                            r.Text("contact"),
                            new FigureFormat(
                                r.Text("sign"),
                                r.Flag("sign_after"),
                                r.Text("decimal_mark"),
                                r.Text("group_mark"),
                                r.Int("minor_digits"),
                                r.Flag("day_first"),
                                r.Flag("twelve_hours"),
                                r.Flag("metric"),
                                r.Flag("celsius"),
                                r.Text("language")
                            ),
                            r.Text("paper"),
                            r.Text("time_zone")
                        ),
                        new(
                            r.Money("wage_micros"),
                            r.Money("overhead_micros"),
                            r.Money("tariff_micros"),
                            r.Money("consumables_micros"),
                            r.Real("order_minutes"),
                            r.Real("artwork_minutes"),
                            costs,
                            r.Real("productive_share"),
                            spoilage,
                            r.Word<HandsWorth>("hands_worth"),
                            r.Money("hands_worth_micros"),
                            r.Real("complete_share")
                        ),
                        new(week, people),
                        new(
                            Policy(r, "retail", "margin_share_micros"),
                            Policy(r, "wholesale", "wholesale_margin_micros"),
                            r.Share("least_margin_micros"),
                            r.Money("minimum_charge_micros"),
                            r.Money("rounding_step_micros"),
                            r.Word<InversionRule>("inversion"),
                            r.Word<SizePricing>("size_pricing"),
                            r.Text("tier_steps") is { Length: > 0 } steps
                                ? [.. steps.Split(',').Select(t => int.Parse(t, CultureInfo.InvariantCulture))]
                                : PriceRules.UsualSteps,
                            r.Money("theirs_micros"),
                            r.Money("rule_of_thumb_micros")
                        ),
                        new(
                            r.Share("fee_share_micros"),
                            r.Money("fee_fixed_micros"),
                            r.Word<FeeBase>("fee_base"),
                            r.Share("tax_share_micros")
                        ),
                        new(
                            packagings.Count == 0 ? Packaging.Default : packagings,
                            r.Money("packing_micros"),
                            r.Real("parcel_minutes")
                        ),
                        new(
                            new FloorHabits(
                                r.Word<FloorPolicy>("floor_policy"),
                                r.Flag("first_piece"),
                                r.Int("rack_places"),
                                r.Flag("measured"),
                                r.Flag("cold_plate"),
                                r.Flag("hands_on_only"),
                                r.Word<SecondHabit>("second_habit"),
                                times.Count == 0 ? null : times,
                                covers.Count == 0 ? null : covers,
                                r.Flag("test_first"),
                                r.Flag("prepare_beside")
                            ),
                            r.Real("hands_factor"),
                            r.Real("swap_minutes"),
                            r.Real("dial_minutes"),
                            r.Flag("set_up_while_heating"),
                            r.Real("slow_tenth_share"),
                            r.Text("unattended") is { Length: > 0 } alone ? alone.Split('\n') : [],
                            r.Real("test_minutes")
                        ),
                        new(r.Share("deposit_share_micros"), r.Int("validity_days"))
                    ),
                    r.Long("version")
                ));
            },
            _ => "1",
            (connection, n, version) =>
            {
                var (retail, wholesale) = (n.Prices.Retail, n.Prices.Wholesale);
                var floor = n.Floor.Habits;
                connection.Put(
                    "settings",
                    1,
                    ("id", 1),
                    ("version", version),
                    ("shop_name", n.Identity.Name),
                    ("address", n.Identity.Address),
                    ("contact", n.Identity.Contact),
                    ("sign", n.Format.Sign),
                    ("sign_after", n.Format.SignAfter),
                    ("decimal_mark", n.Format.DecimalMark),
                    ("group_mark", n.Format.GroupMark),
                    ("minor_digits", n.Format.MinorDigits),
                    ("day_first", n.Format.DayFirst),
                    ("twelve_hours", n.Format.TwelveHours),
                    ("metric", n.Format.Metric),
                    ("celsius", n.Format.Celsius),
                    ("language", n.Format.Language),
                    ("paper", n.Identity.Paper),
                    ("time_zone", n.Identity.TimeZone),
                    ("wage_micros", n.Rates.Wage),
                    ("overhead_micros", n.Rates.OverheadPerHour),
                    ("tariff_micros", n.Rates.TariffPerKwh),
                    ("consumables_micros", n.Rates.ConsumablesPerStart),
                    ("packing_micros", n.Packing.PerPiece),
                    ("order_minutes", n.Rates.OrderMinutes),
                    ("artwork_minutes", n.Rates.ArtworkMinutes),
                    ("fee_share_micros", n.Fees.Share),
                    ("fee_fixed_micros", n.Fees.Fixed),
                    ("tax_share_micros", n.Fees.TaxShare),
                    ("margin_share_micros", retail.MarginShare),
                    ("minimum_charge_micros", n.Prices.MinimumCharge),
                    ("rounding_step_micros", n.Prices.RoundingStep),
                    ("deposit_share_micros", n.Terms.DepositShare),
                    ("validity_days", n.Terms.ValidityDays),
                    ("slow_tenth_share", n.Floor.SlowTenthShare),
                    ("retail_kind", retail.Kind),
                    ("retail_multiple_micros", retail.Multiple),
                    ("retail_of", retail.Of),
                    ("retail_hour_micros", retail.PerHour),
                    ("wholesale_kind", wholesale.Kind),
                    ("wholesale_margin_micros", wholesale.MarginShare),
                    ("wholesale_multiple_micros", wholesale.Multiple),
                    ("wholesale_of", wholesale.Of),
                    ("wholesale_hour_micros", wholesale.PerHour),
                    ("least_margin_micros", n.Prices.LeastMarginShare),
                    ("fee_base", n.Fees.Base),
                    ("inversion", n.Prices.Inversion),
                    ("parcel_minutes", n.Packing.ParcelMinutes),
                    ("size_pricing", n.Prices.SizePricing),
                    ("productive_share", n.Rates.ProductiveShare),
                    ("complete_share", n.Rates.CompleteShare),
                    ("test_minutes", n.Floor.TestMinutes),
                    ("tier_steps", string.Join(',', n.Prices.TierSteps)),
                    ("hands_factor", n.Floor.HandsFactor),
                    ("swap_minutes", n.Floor.SwapMinutes),
                    ("dial_minutes", n.Floor.DialMinutes),
                    ("set_up_while_heating", n.Floor.SetUpWhileHeating),
                    ("theirs_micros", n.Prices.TheirsPerPiece),
                    ("rule_of_thumb_micros", n.Prices.RuleOfThumb),
                    ("hands_worth", n.Rates.HandsWorth),
                    ("hands_worth_micros", n.Rates.HandsWorthAnHour),
                    ("unattended", string.Join('\n', n.Floor.Unattended)),
                    ("floor_policy", floor.Policy),
                    ("first_piece", floor.FirstPiece),
                    ("rack_places", floor.RackPlaces),
                    ("measured", floor.Measured),
                    ("cold_plate", floor.ColdPlate),
                    ("hands_on_only", floor.HandsOnOnly),
                    ("second_habit", floor.Second),
                    ("test_first", floor.TestFirst),
                    ("prepare_beside", floor.PrepareBeside)
                );
                connection.Execute("DELETE FROM packaging");
                foreach (var table in Children)
                {
                    connection.Execute($"DELETE FROM {table}");
                }
                for (var i = 0; i < n.Week.People.Count; i++)
                {
                    Write(connection, n.Week.People[i], i);
                }
                foreach (var s in n.Rates.Spoilage)
                {
                    connection.Put("learned_spoilage", 1, ("method_id", s.MethodId), ("share", s.Share));
                }
                foreach (var t in floor.Times ?? [])
                {
                    connection.Put("step_time", 1, ("code", t.Code), ("seconds", t.Seconds));
                }
                foreach (var cover in floor.Covers ?? [])
                {
                    connection.Put(
                        "cover_price",
                        1,
                        ("cover", cover.Cover),
                        ("price_micros", cover.Price),
                        ("uses", cover.Uses)
                    );
                }
                for (var i = 0; i < n.Rates.FixedCosts.Count; i++)
                {
                    connection.Put(
                        "fixed_cost",
                        1,
                        ("position", i),
                        ("name", n.Rates.FixedCosts[i].Name),
                        ("month_micros", n.Rates.FixedCosts[i].PerMonth)
                    );
                }
                for (var i = 0; i < n.Packing.Packagings.Count; i++)
                {
                    var p = n.Packing.Packagings[i];
                    connection.Put(
                        "packaging",
                        1,
                        ("position", i),
                        ("name", p.Name),
                        ("most_tees", p.MostTees),
                        ("most_grams", p.MostGrams),
                        ("own_grams", p.OwnGrams),
                        ("price_micros", p.Price)
                    );
                }
                for (var day = 0; day < n.Week.Days.Count; day++)
                {
                    connection.Put(
                        "day_hours",
                        1,
                        ("weekday", day),
                        ("opens", n.Week.Days[day].Open),
                        ("closes", n.Week.Days[day].Close)
                    );
                }
            },
            new(NumbersLift.Lift)
        );

    private static void Write(SqliteConnection connection, Person p, int position)
    {
        connection.Put(
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
            connection.Put(
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
            connection.Put("person_off", 2, ("person_id", p.Id), ("day", day));
        }
    }

    private static PricePolicy Policy(Rows.Row r, string channel, string margin) =>
        new(
            r.Word<PolicyKind>($"{channel}_kind"),
            r.Share(margin),
            r.Money($"{channel}_multiple_micros"),
            r.Word<MultipleBase>($"{channel}_of"),
            r.Money($"{channel}_hour_micros")
        );
}
