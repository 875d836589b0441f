using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Things;

namespace Hepno.Core.Tests;

/// <summary>How what the shop keeps is described.</summary>
public class ThingKindTests
{
    [Fact]
    public void Every_kind_has_words_of_its_own()
    {
        Assert.InRange(ThingKinds.All.Count, 20, 200);
        Assert.Equal(ThingKinds.All.Count, ThingKinds.All.DistinctBy(k => k.Name).Count());
        Assert.Equal(ThingKinds.All.Count, ThingKinds.All.DistinctBy(k => k.Noun).Count());
        Assert.Equal(ThingKinds.All.Count, ThingKinds.All.DistinctBy(k => k.ArchivedAs).Count());
        Assert.All(ThingKinds.All, k => Assert.Matches("^[a-z]+(-[a-z]+)*$", $"{k.Name}-{k.Noun}"));
        Assert.Equal("filmPrinters", FilmPrinter.Described.ArchivedAs);
    }

    [Fact]
    public void A_board_is_where_there_are_words_and_a_form()
    {
        Assert.All(ThingKinds.All.Where(k => k.Words is not null), k => Assert.NotEmpty(k.Form));
        Assert.All(ThingKinds.All.Where(k => k.Words is not null), k => Assert.NotEqual(ThingArea.Beside, k.Area));
    }

    [Fact]
    public void A_form_names_each_field_once_and_every_part_of_it()
    {
        foreach (var kind in ThingKinds.All.Where(k => k.Form.Count > 0))
        {
            var record = kind.Accept(new RecordOf());
            Assert.Equal(kind.Form.Count, kind.Form.DistinctBy(f => f.Key).Count());
            Assert.Equal(
                record
                    .GetProperties()
                    .Where(p => p.SetMethod is not null && p.Name != "Id")
                    .Select(p => p.Name)
                    .Order(),
                kind.Form.Select(f => f.Key.Split('.')[0])
                    .Distinct()
                    .Select(k => $"{char.ToUpperInvariant(k[0])}{k[1..]}")
                    .Order()
            );
            // what cannot be empty says what to do, and so does a range
            Assert.All(
                kind.Form.Where(f => f.Least is not null || f is { Shape: FieldShape.Text, MayBeEmpty: false }),
                f => Assert.NotEmpty(f.Help)
            );
        }
    }

    [Fact]
    public void A_field_says_its_unit_and_what_lies_outside_it()
    {
        var cutter = new Cutter(
            "c",
            "Tern",
            500,
            SpeedIn2PerMinute: 60,
            new EquipmentHour(300, Resale: 50, 4, ProductiveHoursAYear: 300, 0.1, DutyShare: 0.5, 0.2m),
            ""
        );
        var problem = Assert.Single(Cutter.Described.Problems(cutter));
        Assert.Equal(("cutWidthIn", "Widest cut, in: 500 is outside 0.01 to 120."), (problem.Where, problem.Sentence));
        Assert.Equal(
            ["equipment.resale"],
            Cutter
                .Described.Problems(cutter with { CutWidthIn = 20, Equipment = cutter.Equipment with { Resale = 400 } })
                .Select(p => p.Where)
        );
        Assert.Equal("Heats, % of the time", Cutter.Described.Form.Single(f => f.Key == "equipment.dutyShare").Label);
        // a share is said as it is shown
        var cloth = RollCloth.Described.Form.Single(f => f.Key == "shrinkShare");
        Assert.Equal(("Shrinks in the heat, %", 100.0), (cloth.Label, cloth.Unit.ShownTimes));
    }

    [Fact]
    public void Of_equals_the_second_order_decides()
    {
        var order = ListedBy.Text<(string A, int B)>(x => x.A).Then((a, b) => b.B.CompareTo(a.B));
        var sorted = new[] { ("b", 1), ("a", 1), ("a", 2) }.Order(Comparer<(string, int)>.Create(order));
        Assert.Equal([("a", 2), ("a", 1), ("b", 1)], sorted);
    }

    private sealed class RecordOf : IForEachKind<Type>
    {
        public Type Of<T>(ThingKind<T> kind)
            where T : class => typeof(T);
    }
}
