using Hepno.Core.Blanks;

namespace Hepno.Core.Tests;

public class GarmentNounsTests
{
    [Theory]
    [InlineData("Hollin 150", GarmentKind.Tee, 36, "Hollin 150 tees")]
    [InlineData("Hollin 150", GarmentKind.Tee, 1, "Hollin 150 tee")]
    [InlineData("Merrow Tee", GarmentKind.Tee, 36, "Merrow Tees")]
    [InlineData("Cove cap", GarmentKind.Cap, 1, "Cove cap")]
    [InlineData("Cove caps", GarmentKind.Cap, 12, "Cove caps")]
    [InlineData("Tees", GarmentKind.Tee, 2, "Tees")]
    [InlineData("Fell joggers", GarmentKind.Joggers, 12, "Fell joggers")]
    [InlineData("Fell", GarmentKind.Joggers, 12, "Fell joggers")]
    [InlineData("Strand", GarmentKind.Socks, 1, "Strand socks")]
    [InlineData("Manatee", GarmentKind.Tee, 2, "Manatee tees")]
    [InlineData("Holm hoodie", GarmentKind.ZipHoodie, 2, "Holm hoodies")]
    [InlineData("Reed", GarmentKind.DrawstringBag, 3, "Reed drawstring bags")]
    public void A_style_by_its_name_says_its_kind_once(string name, GarmentKind kind, int pieces, string said) =>
        Assert.Equal(said, GarmentNouns.Named(name, kind, pieces));
}
