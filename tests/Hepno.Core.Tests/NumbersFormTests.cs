using System.Text.Json;
using Hepno.Core.Costing;
using Hepno.Core.Shop;
using Hepno.Core.Things;

namespace Hepno.Core.Tests;

/// <summary>How the shop's numbers are described.</summary>
public class NumbersFormTests
{
    private static IEnumerable<Field> All => NumbersSection.All.SelectMany(s => s.Form);

    [Fact]
    public void Every_section_has_its_heading_and_each_field_a_name_of_its_own_there()
    {
        Assert.Equal(
            typeof(ShopNumbers).GetProperties().Where(p => p.SetMethod is not null).Select(p => p.Name).Order(),
            NumbersSection.All.Select(s => $"{char.ToUpperInvariant(s.Key[0])}{s.Key[1..]}").Order()
        );
        Assert.All(NumbersSection.All, s => Assert.Equal(s.Form.Count, s.Form.DistinctBy(f => f.Label).Count()));
        Assert.Equal(All.Count(), All.DistinctBy(f => f.Key).Count());
        Assert.All(All.Where(f => f.Least is not null), f => Assert.NotEmpty(f.Help));
    }

    // people and the seconds of steps have tables of their own, spoilage is learned, and which machines run at night is
    // said where they are kept
    [Fact]
    public void Whatever_is_kept_has_a_field_but_for_what_is_told_elsewhere()
    {
        var kept = Ways(typeof(ShopNumbers), "").ToList();
        var typed = All.Select(f => f.Shape == FieldShape.Hours ? f.Key[..f.Key.LastIndexOf('.')] : f.Key).Distinct();
        Assert.Equal(["rates.spoilage", "week.people", "floor.habits.times", "floor.unattended"], kept.Except(typed));
        Assert.Empty(typed.Except(kept));
    }

    [Fact]
    public void A_number_outside_its_range_is_refused_by_its_way_down()
    {
        var n = ShopNumbers.Default with
        {
            Rates = CostRates.Default with { OrderMinutes = double.NaN },
            Packing = ShopNumbers.Default.Packing with { PerPiece = -0.01m },
            Terms = ShopNumbers.Default.Terms with { ValidityDays = int.MaxValue },
        };
        Assert.Equal(
            ["packing.perPiece", "rates.orderMinutes", "terms.validityDays"],
            n.Problems().Select(p => p.Where).Order()
        );
        Assert.All(n.Problems(), p => Assert.NotEmpty(p.Remedy));
    }

    // down to what is no record of the numbers' own
    private static IEnumerable<string> Ways(Type record, string to) =>
        record
            .GetProperties()
            .Where(p => p.SetMethod is not null)
            .SelectMany(p =>
            {
                var way = $"{to}{JsonNamingPolicy.CamelCase.ConvertName(p.Name)}";
                return p.PropertyType is { IsClass: true } part && part.Assembly == record.Assembly
                    ? Ways(part, $"{way}.")
                    : [way];
            });
}
