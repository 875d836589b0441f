using Hepno.Core.Blanks;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Demo;

/// <summary>Blanks of the demo shop.</summary>
internal static class DemoStyles
{
    private static readonly IReadOnlyList<StyleSize> Sizes =
    [
        new("XS", 0),
        new("S", 0),
        new("M", 0),
        new("L", 0),
        new("XL", 0),
        new("2XL", 1.80m),
        new("3XL", 3.10m),
    ];

    public static void Put(SqliteConnection c, Deed deed)
    {
        Style[] styles =
        [
            Hollin,
            Brae,
            Fell,
            Sprint,
            Loft,
            Minnow,
            Haul,
            Cove,
            Galley,
            Fulmar,
            Holm,
            Squall,
            Links,
            Strand,
        ];
        foreach (var style in styles)
        {
            Aggregates.Styles.Put(c, style, 0, deed);
        }
    }

    private static Style Hollin =>
        new(
            "hollin",
            "Hollin 150",
            Supplier: "Corran Mill",
            GarmentKind.Tee,
            [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)],
            150,
            HeatCeilingF: 330,
            3.40m,
            FreightPerOrder: 12m,
            1,
            [
                new("navy", "Navy", Hex: "#2b3b5e", ColourClass.Dark),
                new("white", "White", Hex: "#fcfaf5", ColourClass.White),
                new("sage", "Sage", Hex: "#a9b69d", ColourClass.Mid),
            ],
            Sizes,
            false
        );

    private static Style Brae =>
        new(
            "brae",
            "Brae 180",
            Supplier: "Corran Mill",
            GarmentKind.Tee,
            [new(Fibre.Cotton, 100)],
            180,
            HeatCeilingF: 380,
            4.70m,
            FreightPerOrder: 12m,
            1,
            [
                new("black", "Black", Hex: "#22252b", ColourClass.Dark),
                new("sand", "Sand", Hex: "#d6c59b", ColourClass.Pale),
                new("white", "White", Hex: "#fcfaf5", ColourClass.White),
            ],
            Sizes,
            false
        );

    private static Style Fell =>
        new(
            "fell",
            "Fell 280",
            Supplier: "Brisling & Daughter",
            GarmentKind.Hoodie,
            [new(Fibre.Cotton, 80), new(Fibre.Polyester, 20)],
            280,
            HeatCeilingF: 340,
            13.20m,
            FreightPerOrder: 14m,
            2,
            [
                new("slate", "Slate", Hex: "#4a5b68", ColourClass.Dark),
                new("storm", "Storm", Hex: "#8b949b", ColourClass.Mid),
            ],
            Sizes,
            false
        );

    private static Style Sprint =>
        new(
            "sprint",
            "Sprint 140",
            Supplier: "Brisling & Daughter",
            GarmentKind.Tee,
            [new(Fibre.Polyester, 100)],
            140,
            HeatCeilingF: 400,
            5.10m,
            FreightPerOrder: 14m,
            2,
            [
                new("white", "White", Hex: "#fcfaf5", ColourClass.White),
                new("kelp", "Kelp", Hex: "#3c5a4a", ColourClass.Dark),
            ],
            Sizes,
            false
        );

    private static Style Loft =>
        new(
            "loft",
            "Loft 240",
            Supplier: "Corran Mill",
            GarmentKind.Sweatshirt,
            [new(Fibre.Cotton, 70), new(Fibre.Polyester, 30)],
            240,
            HeatCeilingF: 340,
            9.80m,
            FreightPerOrder: 12m,
            1,
            [new("oat", "Oat", Hex: "#dfd3bb", ColourClass.Pale), new("ink", "Ink", Hex: "#22293a", ColourClass.Dark)],
            Sizes,
            false
        );

    private static Style Minnow =>
        new(
            "minnow",
            "Minnow 150",
            Supplier: "Corran Mill",
            GarmentKind.Tee,
            [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)],
            150,
            HeatCeilingF: 330,
            2.90m,
            FreightPerOrder: 12m,
            1,
            [
                new("navy", "Navy", Hex: "#2b3b5e", ColourClass.Dark),
                new("white", "White", Hex: "#fcfaf5", ColourClass.White),
            ],
            [new("YS", 0), new("YM", 0), new("YL", 0)],
            false
        )
        {
            Cloth = new(Thickness.Thin, Migration.ByCloth, [Feature.TearAwayLabel]),
            Buying = new([new(10, 0, Price: 2.70m), new(0, 250, Price: 2.55m)], 250, 1, new(15, 0)),
        };

    private static Style Haul =>
        new(
            "haul",
            "Haul tote",
            Supplier: "Brisling & Daughter",
            GarmentKind.Tote,
            [new(Fibre.Cotton, 100)],
            220,
            HeatCeilingF: 390,
            2.60m,
            FreightPerOrder: 14m,
            2,
            [new("natural", "Natural", Hex: "#e6dcc4", ColourClass.Pale)],
            [new("One size", 0)],
            false
        );

    private static Style Cove =>
        new(
            "cove",
            "Cove cap",
            Supplier: "Halyard Headwear",
            GarmentKind.Cap,
            [new(Fibre.Cotton, 100)],
            260,
            HeatCeilingF: 340,
            4.10m,
            FreightPerOrder: 11m,
            3,
            [
                new("navy", "Navy", Hex: "#2b3b5e", ColourClass.Dark),
                new("stone", "Stone", Hex: "#c9bfa8", ColourClass.Pale),
            ],
            [new("One size", 0)],
            false
        );

    private static Style Galley =>
        new(
            "galley",
            "Galley apron",
            Supplier: "Halyard Headwear",
            GarmentKind.Apron,
            [new(Fibre.Cotton, 65), new(Fibre.Polyester, 35)],
            245,
            HeatCeilingF: 350,
            6.30m,
            FreightPerOrder: 11m,
            3,
            [new("charcoal", "Charcoal", Hex: "#3b3f45", ColourClass.Dark)],
            [new("One size", 0)],
            false
        );

    private static Style Fulmar =>
        new(
            "fulmar",
            "Fulmar jersey",
            Supplier: "Brisling & Daughter",
            GarmentKind.Tee,
            [new(Fibre.Polyester, 100)],
            150,
            HeatCeilingF: 300,
            7.40m,
            FreightPerOrder: 14m,
            2,
            [new("navy", "Navy", Hex: "#22304f", ColourClass.Dark)],
            Sizes,
            false
        )
        {
            Cloth = new(Thickness.Thin, Migration.High, []),
        };

    private static Style Holm =>
        new(
            "holm",
            "Holm 270",
            Supplier: "Corran Mill",
            GarmentKind.Hoodie,
            [new(Fibre.Cotton, 50), new(Fibre.Polyester, 50)],
            270,
            HeatCeilingF: 370,
            12.60m,
            FreightPerOrder: 12m,
            1,
            [new("black", "Black", Hex: "#24262b", ColourClass.Dark)],
            Sizes,
            false
        )
        {
            Cloth = new(Thickness.Middle, Migration.None, [Feature.Hood]),
        };

    private static Style Squall =>
        new(
            "squall",
            "Squall jacket",
            Supplier: "Halyard Headwear",
            GarmentKind.Jacket,
            [new(Fibre.Nylon, 100)],
            120,
            HeatCeilingF: 280,
            19.80m,
            FreightPerOrder: 11m,
            3,
            [new("navy", "Navy", Hex: "#26324c", ColourClass.Dark)],
            Sizes,
            false
        )
        {
            Cloth = new(null, Migration.ByCloth, [Feature.Zip, Feature.Hood, Feature.Coated]),
        };

    private static Style Links =>
        new(
            "links",
            "Links polo",
            Supplier: "Corran Mill",
            GarmentKind.Polo,
            [new(Fibre.Cotton, 60), new(Fibre.Polyester, 40)],
            210,
            HeatCeilingF: 340,
            8.90m,
            FreightPerOrder: 12m,
            1,
            [
                new("bottle", "Bottle green", Hex: "#2b4a3c", ColourClass.Dark),
                new("white", "White", Hex: "#fcfaf5", ColourClass.White),
            ],
            Sizes,
            false
        );

    private static Style Strand =>
        new(
            "strand",
            "Strand socks",
            Supplier: "Halyard Headwear",
            GarmentKind.Socks,
            [new(Fibre.Polyester, 96), new(Fibre.Elastane, 4)],
            160,
            HeatCeilingF: 400,
            2.10m,
            FreightPerOrder: 11m,
            3,
            [new("white", "White", Hex: "#fcfaf5", ColourClass.White)],
            [new("One size", 0)],
            false
        );
}
