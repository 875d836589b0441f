using System.Reflection;
using Hepno.Core.Ids;

namespace Hepno.Core.Tests;

/// <summary>Ids of different things are different types.</summary>
public class IdTests
{
    private static readonly Dictionary<string, Type> Kinds = new(StringComparer.OrdinalIgnoreCase)
    {
        ["OrderId"] = typeof(OrderId),
        ["LineId"] = typeof(LineId),
        ["PlacementId"] = typeof(PlacementId),
        ["CustomerId"] = typeof(CustomerId),
        ["DesignId"] = typeof(DesignId),
        ["StyleId"] = typeof(StyleId),
        ["PressId"] = typeof(PressId),
        ["MethodId"] = typeof(MethodId),
        ["ThingId"] = typeof(ThingId),
        ["RecipeId"] = typeof(RecipeId),
        ["ColourwayId"] = typeof(ColourwayId),
        ["PersonId"] = typeof(PersonId),
        ["RemnantId"] = typeof(RemnantId),
        ["KeptId"] = typeof(KeptPrintId),
        ["GarmentId"] = typeof(TestGarmentId),
        ["QuoteId"] = typeof(QuoteId),
        ["TemplateId"] = typeof(TemplateId),
    };

    // what a thing is to the one who names it
    private static readonly string[] OfThings =
    [
        "FilmId",
        "MachineId",
        "MakerId",
        "MaterialId",
        "PrinterId",
        "ProductId",
        "VinylId",
    ];

    [Fact]
    public void An_id_is_the_text_it_is_written_as()
    {
        LineId one = "1";
        Assert.Equal(("1", "1", false), (one.Text, $"{one}", one.IsNone));
        Assert.Equal(new LineId("1"), one);
        Assert.NotEqual(new LineId("a"), new LineId("A"));
    }

    [Fact]
    public void The_empty_id_and_none_said_name_nothing()
    {
        LineId none = default;
        Assert.Equal(("", true), (none.Text, none.IsNone));
        Assert.Equal(new LineId(""), none);
        Assert.NotEqual(new LineId(" "), none);
    }

    [Fact]
    public void Ids_are_ordered_sign_by_sign()
    {
        LineId[] ids = ["b", "", "B", "a10", "a2"];
        Assert.Equal(["", "B", "a10", "a2", "b"], ids.Order().Select(i => i.Text));
        Assert.True(ids[2] < ids[0] && ids[0] > ids[2] && ids[1] <= default(LineId) && ids[1] >= default(LineId));
    }

    [Fact]
    public void Ids_of_two_kinds_are_two_types() => Assert.Equal(Kinds.Count, Kinds.Values.Distinct().Count());

    [Fact]
    public void What_is_called_an_id_of_a_kind_is_of_its_type()
    {
        const BindingFlags Own =
            BindingFlags.Public
            | BindingFlags.NonPublic
            | BindingFlags.Instance
            | BindingFlags.Static
            | BindingFlags.DeclaredOnly;
        var texts =
            from type in typeof(IId).Assembly.GetTypes()
            // in a layout a design is a print by its key, not an artwork the shop keeps
            where type.Namespace != "Hepno.Core.Gang"
            from named in type.GetProperties(Own)
                .Select(p => (p.Name, Type: p.PropertyType))
                .Concat(
                    type.GetMethods(Own)
                        .Cast<MethodBase>()
                        .Concat(type.GetConstructors(Own))
                        .SelectMany(m => m.GetParameters())
                        .Select(p => (Name: p.Name ?? "", Type: p.ParameterType))
                )
            where
                named.Type == typeof(string)
                && (Kinds.ContainsKey(named.Name) || OfThings.Contains(named.Name, StringComparer.OrdinalIgnoreCase))
            select $"{type.FullName}: {named.Name}";
        Assert.Empty(texts.Distinct());
    }
}
