using CsCheck;
using Hepno.Core.Comparing;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Prices and rates tried at other levels, which of them moves a cost most, and the old rule of thumb beside
/// the price.</summary>
public class WhatIfTests
{
    private static readonly AskInHand Ask = MethodTests.Ask(
        40,
        MethodTests.Front(9, 8, 2),
        MethodTests.Front(3, 3, 1) with
        {
            Id = "s",
            Place = "left-sleeve",
        }
    );
    private static readonly ShopBook Book = OwnPrintTests.Book.With<OutsidePrinter>([
        new(
            "quayside",
            "Quayside",
            28m,
            [new(1, [new(24, 2.30m)]), new(3, [new(24, 3.40m)])],
            24,
            0.02,
            12m,
            10m,
            7,
            14,
            16
        ),
    ]) with
    {
        Memo = new(),
    };

    private static decimal? Cost(string methodId, WhatIf tried)
    {
        var (ask, book) = (tried.Of(Ask), tried.Of(Book));
        return DecorationMethods.Find(new MethodId(methodId))!.Answer(ask, book).Decorations is { Count: > 0 } plans
            ? LineCost.Reckon(ask, plans, book).Cost.Value
            : null;
    }

    // the stratum that an input feeds is as many times as large as the input; what it does not feed stays
    [Theory]
    [InlineData("dtf-bought", WhatIfInput.Blank, "blank")]
    [InlineData("dtf-bought", WhatIfInput.Film, "decoration")]
    [InlineData("screen-out", WhatIfInput.SentOut, "decoration")]
    [InlineData("htv", WhatIfInput.Wage, "labour")]
    public void An_input_twice_as_dear_doubles_its_stratum_alone(string methodId, WhatIfInput input, string stratum)
    {
        var tried = WhatIf.Only(input, 2);
        var method = DecorationMethods.Find(new MethodId(methodId))!;
        var (ask, then) = (tried.Of(Ask), tried.Of(Book));
        var (now, dearer) = (
            LineCost.Reckon(Ask, method.Answer(Ask, Book).Decorations, Book),
            LineCost.Reckon(ask, method.Answer(ask, then).Decorations, then)
        );
        foreach (var code in new[] { "blank", "decoration", "consumables", "labour", "packing" })
        {
            Assert.Equal(
                (double)now.Stratum(code).Value * (code == stratum ? 2 : 1),
                (double)dearer.Stratum(code).Value,
                1e-9
            );
        }
    }

    [Fact]
    public void Spoilage_tried_is_a_multiple_of_what_is_assumed()
    {
        var three = WhatIf.Only(WhatIfInput.Spoilage, 3).Of(Book);
        foreach (var method in DecorationMethods.All)
        {
            foreach (var (now, then) in method.Answer(Ask, Book).Decorations.Zip(method.Answer(Ask, three).Decorations))
            {
                Assert.Equal(Math.Min(0.9, now.FailureChance * 3), then.FailureChance, 1e-12);
            }
        }
        Assert.All(new Htv().Answer(Ask, WhatIf.Only(WhatIfInput.Spoilage, 0).Of(Book)).Decorations, d =>
            Assert.Equal(0, d.FailureChance)
        );
    }

    [Fact]
    public void What_is_tried_is_kept_nowhere_and_as_it_is_changes_nothing() =>
        Gen.Select(Gen.Enum<WhatIfInput>(), Gen.Double[1, 3])
            .Sample(
                (input, factor) =>
                {
                    foreach (var method in new[] { "dtf-bought", "dtf-made", "htv", "screen-out" })
                    {
                        var now = Cost(method, new(new Dictionary<WhatIfInput, double>()));
                        Assert.Equal(now, Cost(method, WhatIf.Only(input, 1)));
                        Assert.True(
                            Cost(method, WhatIf.Only(input, factor)) >= now - 1e-9m,
                            $"{method}: {input} at {factor} is cheaper"
                        );
                    }
                },
                iter: 40
            );

    [Theory]
    [InlineData(WhatIfInput.Wage, 0)]
    [InlineData(WhatIfInput.Blank, 10.01)]
    [InlineData(WhatIfInput.Spoilage, -0.1)]
    [InlineData(WhatIfInput.Film, double.NaN)]
    public void What_is_absurd_is_not_tried(WhatIfInput input, double factor) =>
        Assert.Equal("range", Assert.Single(WhatIf.Only(input, factor).Problems()).Code);

    [Fact]
    public void Every_input_has_a_name() =>
        Assert.Equal(
            Enum.GetValues<WhatIfInput>().Length,
            Enum.GetValues<WhatIfInput>().Select(WhatIf.NameOf).Distinct().Count()
        );

    [Fact]
    public void Swings_stand_by_what_they_move_and_leave_out_what_moves_nothing()
    {
        var swings = Swing.Reckon(new DtfBought(), Ask, Book);
        Assert.Equal(swings.OrderByDescending(s => Math.Abs(s.High - s.Low)), swings);
        Assert.DoesNotContain(swings, s => s.Input is WhatIfInput.Ink or WhatIfInput.SentOut);
        Assert.Contains(Swing.Reckon(new DtfMade(), Ask, Book), s => s.Input == WhatIfInput.Ink);
        var wage = swings.Single(s => s.Input == WhatIfInput.Wage);
        Assert.Equal(
            (
                Cost("dtf-bought", WhatIf.Only(WhatIfInput.Wage, 0.8)),
                Cost("dtf-bought", WhatIf.Only(WhatIfInput.Wage, 1.2))
            ),
            (wage.Low, wage.High)
        );
        Assert.All(swings, s => Assert.True(s.Low <= s.Now && s.Now <= s.High));
        Assert.Empty(Swing.Reckon(new Sublimation(), Ask, Book));
    }

    // blank, print and sundries three times over, fees not thought of
    [Fact]
    public void The_rule_of_thumb_is_named_beside_the_price()
    {
        var n = Book.Numbers;
        var cost = LineCost.Reckon(Ask, new DtfBought().Answer(Ask, Book).Decorations, Book);
        var rule = RuleOfThumb.Reckon(20m, cost, n.Fees.Terms(), 3, n.Rates.Wage, n.Format)!;
        Assert.Equal(cost.Materials * 3, rule.Price.Value);
        Assert.Equal(rule.Price.Value, rule.Price.Parts[0].Value * rule.Price.Parts[1].Value);
        Assert.Equal(cost.Materials, rule.Price.Parts[0].Parts.Sum(p => p.Value));
        Assert.Equal(Outcome.At(rule.Price.Value, cost, n.Fees.Terms(), n.Rates.Wage).ProfitAnHour.Value, rule.AnHour);
        Assert.Contains(
            rule.Price.Value > 20 ? "more than this price" : "less than this price",
            rule.Sentence,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "the same as this price",
            RuleOfThumb.Reckon(rule.Price.Value, cost, n.Fees.Terms(), 3, n.Rates.Wage, n.Format)!.Sentence,
            StringComparison.Ordinal
        );
        Assert.Null(RuleOfThumb.Reckon(20m, cost, n.Fees.Terms(), 0, n.Rates.Wage, n.Format));
        Assert.Equal(
            "prices.ruleOfThumb",
            Assert.Single((n with { Prices = n.Prices with { RuleOfThumb = 21 } }).Problems()).Where
        );
    }

    // sold at 20 with no fees: a cost of 15 leaves a quarter, today's own cost what it leaves
    [Fact]
    public void A_sent_line_is_re_costed_against_the_price_it_was_sent_at()
    {
        var plain = Book with
        {
            Numbers = Book.Numbers with
            {
                Fees = Book.Numbers.Fees with { Share = default, Fixed = 0 },
                Prices = Book.Numbers.Prices with { LeastMarginShare = new(0.2m) },
            },
        };
        var cost = LineCost.Reckon(Ask, new DtfBought().Answer(Ask, plain).Decorations, plain).Cost.Value;
        var price = cost / 0.75m;
        var now = Recosted.Reckon(Ask, "dtf-bought", price, cost, plain, new());
        Assert.Equal((cost, false), (now.CostNow, now.FellUnder));
        Assert.Equal((0.25, 0.25), ((double)now.MarginThen.Part, (double)now.MarginNow.Part));
        // a floor over both is not fallen under; one between is; what was under before is not said again
        Recosted At(decimal floor, decimal then) =>
            Recosted.Reckon(
                Ask,
                "dtf-bought",
                price,
                then,
                plain with
                {
                    Numbers = plain.Numbers with
                    {
                        Prices = plain.Numbers.Prices with { LeastMarginShare = new(floor) },
                    },
                },
                new()
            );
        Assert.True(At(0.3m, price * 0.6m).FellUnder);
        Assert.False(At(0.3m, price * 0.8m).FellUnder);
        // a way that is gone has no cost
        Assert.Equal(
            (null, true),
            (
                Recosted.Reckon(Ask, "dtf-bought", price, cost, plain.With<TransferPriceList>([]), new()).CostNow,
                Recosted.Reckon(Ask, "painted", price, cost, plain, new()).FellUnder
            )
        );
    }
}
