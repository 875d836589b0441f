using System.Globalization;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;
using Hepno.Core.Shop;

namespace Hepno.Store;

/// <summary>The row of the shop's numbers, a function a part.</summary>
internal static class SettingsRow
{
    public static ShopNumbers Read(Rows.Row r, SettingsLists lists) =>
        new(
            Identity(r),
            Rates(r, lists),
            new(lists.Days, lists.People),
            Prices(r),
            new(
                r.Share("fee_share_micros"),
                r.Money("fee_fixed_micros"),
                r.Word<FeeBase>("fee_base"),
                r.Share("tax_share_micros")
            ),
            new(
                lists.Packagings.Count == 0 ? Packaging.Default : lists.Packagings,
                r.Money("packing_micros"),
                r.Real("parcel_minutes")
            ),
            Floor(r, lists),
            new(r.Share("deposit_share_micros"), r.Int("validity_days"))
        );

    public static IEnumerable<(string Column, object? Value)> Columns(ShopNumbers n) =>
        [
            .. Columns(n.Identity),
            .. Columns(n.Rates),
            .. Columns(n.Prices),
            .. Columns(n.Floor),
            .. Columns(n.Floor.Habits),
            ("fee_share_micros", n.Fees.Share),
            ("fee_fixed_micros", n.Fees.Fixed),
            ("fee_base", n.Fees.Base),
            ("tax_share_micros", n.Fees.TaxShare),
            ("packing_micros", n.Packing.PerPiece),
            ("parcel_minutes", n.Packing.ParcelMinutes),
            ("deposit_share_micros", n.Terms.DepositShare),
            ("validity_days", n.Terms.ValidityDays),
        ];

    private static ShopIdentity Identity(Rows.Row r) =>
        new(
            r.Text("shop_name"),
            Address: r.Text("address"),
            r.Text("contact"),
            new FigureFormat(
                r.Text("sign"),
                r.Flag("sign_after"),
                r.Text("decimal_mark"),
                GroupMark: r.Text("group_mark"),
                r.Int("minor_digits"),
                r.Flag("day_first"),
                TwelveHours: r.Flag("twelve_hours"),
                r.Flag("metric"),
                Celsius: r.Flag("celsius")
            )
            {
                Language = r.Text("language"),
            },
            r.Text("paper"),
            TimeZone: r.Text("time_zone")
        );

    private static IEnumerable<(string, object?)> Columns(ShopIdentity s) =>
        [
            ("shop_name", s.Name),
            ("address", s.Address),
            ("contact", s.Contact),
            ("sign", s.Format.Sign),
            ("sign_after", s.Format.SignAfter),
            ("decimal_mark", s.Format.DecimalMark),
            ("group_mark", s.Format.GroupMark),
            ("minor_digits", s.Format.MinorDigits),
            ("day_first", s.Format.DayFirst),
            ("twelve_hours", s.Format.TwelveHours),
            ("metric", s.Format.Metric),
            ("celsius", s.Format.Celsius),
            ("language", s.Format.Language),
            ("paper", s.Paper),
            ("time_zone", s.TimeZone),
        ];

    private static CostRates Rates(Rows.Row r, SettingsLists lists) =>
        new(
            r.Money("wage_micros"),
            OverheadPerHour: r.Money("overhead_micros"),
            r.Money("tariff_micros"),
            ConsumablesPerStart: r.Money("consumables_micros"),
            r.Real("order_minutes"),
            ArtworkMinutes: r.Real("artwork_minutes"),
            lists.FixedCosts,
            r.Real("productive_share"),
            lists.Spoilage,
            r.Word<HandsWorth>("hands_worth"),
            r.Money("hands_worth_micros"),
            r.Real("complete_share")
        );

    private static IEnumerable<(string, object?)> Columns(CostRates c) =>
        [
            ("wage_micros", c.Wage),
            ("overhead_micros", c.OverheadPerHour),
            ("tariff_micros", c.TariffPerKwh),
            ("consumables_micros", c.ConsumablesPerStart),
            ("order_minutes", c.OrderMinutes),
            ("artwork_minutes", c.ArtworkMinutes),
            ("productive_share", c.ProductiveShare),
            ("hands_worth", c.HandsWorth),
            ("hands_worth_micros", c.HandsWorthAnHour),
            ("complete_share", c.CompleteShare),
        ];

    private static PriceRules Prices(Rows.Row r) =>
        new(
            Policy(r, "retail", "margin_share_micros"),
            Policy(r, "wholesale", "wholesale_margin_micros"),
            r.Share("least_margin_micros"),
            r.Money("minimum_charge_micros"),
            RoundingStep: r.Money("rounding_step_micros"),
            r.Word<InversionRule>("inversion"),
            r.Word<SizePricing>("size_pricing"),
            r.Text("tier_steps") is { Length: > 0 } steps
                ? [.. steps.Split(',').Select(t => int.Parse(t, CultureInfo.InvariantCulture))]
                : PriceRules.UsualSteps,
            r.Money("theirs_micros"),
            RuleOfThumb: r.Money("rule_of_thumb_micros")
        );

    private static IEnumerable<(string, object?)> Columns(PriceRules p) =>
        [
            .. Columns(p.Retail, "retail", "margin_share_micros"),
            .. Columns(p.Wholesale, "wholesale", "wholesale_margin_micros"),
            ("least_margin_micros", p.LeastMarginShare),
            ("minimum_charge_micros", p.MinimumCharge),
            ("rounding_step_micros", p.RoundingStep),
            ("inversion", p.Inversion),
            ("size_pricing", p.SizePricing),
            ("tier_steps", string.Join(',', p.TierSteps)),
            ("theirs_micros", p.TheirsPerPiece),
            ("rule_of_thumb_micros", p.RuleOfThumb),
        ];

    private static PricePolicy Policy(Rows.Row r, string channel, string margin) =>
        new(
            r.Word<PolicyKind>($"{channel}_kind"),
            r.Share(margin),
            r.Money($"{channel}_multiple_micros"),
            r.Word<MultipleBase>($"{channel}_of"),
            r.Money($"{channel}_hour_micros")
        );

    private static IEnumerable<(string, object?)> Columns(PricePolicy p, string channel, string margin) =>
        [
            ($"{channel}_kind", p.Kind),
            (margin, p.MarginShare),
            ($"{channel}_multiple_micros", p.Multiple),
            ($"{channel}_of", p.Of),
            ($"{channel}_hour_micros", p.PerHour),
        ];

    private static FloorRules Floor(Rows.Row r, SettingsLists lists) =>
        new(
            new FloorHabits
            {
                Policy = r.Word<FloorPolicy>("floor_policy"),
                FirstPiece = r.Flag("first_piece"),
                RackPlaces = r.Int("rack_places"),
                Measured = r.Flag("measured"),
                ColdPlate = r.Flag("cold_plate"),
                HandsOnOnly = r.Flag("hands_on_only"),
                Second = r.Word<SecondHabit>("second_habit"),
                Times = lists.Times,
                Covers = lists.Covers,
                TestFirst = r.Flag("test_first"),
                PrepareBeside = r.Flag("prepare_beside"),
            },
            r.Real("hands_factor"),
            SwapMinutes: r.Real("swap_minutes"),
            r.Real("dial_minutes"),
            r.Flag("set_up_while_heating"),
            r.Real("slow_tenth_share"),
            r.Text("unattended") is { Length: > 0 } alone ? [.. alone.Split('\n').Select(id => new ThingId(id))] : [],
            r.Real("test_minutes")
        );

    private static IEnumerable<(string, object?)> Columns(FloorRules f) =>
        [
            ("hands_factor", f.HandsFactor),
            ("swap_minutes", f.SwapMinutes),
            ("dial_minutes", f.DialMinutes),
            ("set_up_while_heating", f.SetUpWhileHeating),
            ("slow_tenth_share", f.SlowTenthShare),
            ("unattended", string.Join('\n', f.Unattended)),
            ("test_minutes", f.TestMinutes),
        ];

    private static IEnumerable<(string, object?)> Columns(FloorHabits h) =>
        [
            ("floor_policy", h.Policy),
            ("first_piece", h.FirstPiece),
            ("rack_places", h.RackPlaces),
            ("measured", h.Measured),
            ("cold_plate", h.ColdPlate),
            ("hands_on_only", h.HandsOnOnly),
            ("second_habit", h.Second),
            ("test_first", h.TestFirst),
            ("prepare_beside", h.PrepareBeside),
        ];
}
