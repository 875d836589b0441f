namespace Hepno.Core.Methods;

/// <summary>What a decoration is like on the garment (docs/trade 1), in words to say to a customer.</summary>
/// <param name="Feel">How it feels.</param>
/// <param name="Wear">How it lasts; the maker's claim until the shop's own wash log says more.</param>
/// <param name="Stretch">What it does on cloth that stretches.</param>
/// <param name="Look">How it looks.</param>
public sealed record PrintCharacter(string Feel, string Wear, string Stretch, string Look)
{
    /// <summary>What a method's decorations are like.</summary>
    /// <param name="methodId">Key of a method.</param>
    public static PrintCharacter Of(MethodId methodId) =>
        methodId.Text switch
        {
            "dtf-bought" or "dtf-made" => new(
                "a thin film",
                Wear: methodId == "dtf-made" ? "as good as its cure" : "long, by its maker's word",
                "stretches a little with the cloth",
                Look: "full colour, a slight shine"
            ),
            "digital-transfer" => new(
                "a thin film",
                Wear: "long, by its maker's word",
                "stretches a little with the cloth",
                Look: "full colour, an even ground"
            ),
            "screen-transfer" => new(
                "soft to firm",
                Wear: "long; the wrong formula cracks",
                "cracks unless its formula is for stretch",
                Look: "flat colours, solid"
            ),
            "htv" => new(
                "thick where layers lie",
                Wear: "long; corners lift when underpressed",
                "only stretch films go along",
                Look: "flat colours, sharp edges"
            ),
            "sublimation-allover" => new(
                "nothing to feel",
                Wear: "does not wash out",
                "stretches with the cloth",
                Look: "edge to edge; creases show white"
            ),
            "sublimation-cutsew" => new(
                "nothing to feel",
                Wear: "does not wash out; seams as well as they are sewn",
                "stretches with the cloth",
                Look: "edge to edge, seams and all"
            ),
            "sublimation" => new(
                "nothing to feel",
                Wear: "does not wash out",
                "stretches with the cloth",
                Look: "full colour, lighter on blends"
            ),
            "paper-light" => new(
                "felt a little",
                Wear: "fades",
                "cracks when stretched far",
                Look: "full colour, pale grounds show"
            ),
            "paper-opaque" => new(
                "like a thin plastic",
                Wear: "fades and cracks first of all",
                "cracks when stretched",
                Look: "full colour, a white edge where the cut is off"
            ),
            "dtg" => new("soft", Wear: "fades slowly", "stretches with the cloth", Look: "full colour, in the cloth"),
            "applique" => new(
                "a raised patch",
                Wear: "outlasts the garment where its edge is stitched",
                "puckers on light and stretching cloth",
                Look: "flat colours, a stitched edge"
            ),
            "embroidery" => new(
                "raised thread",
                Wear: "outlasts the garment",
                "puckers on light and stretching cloth",
                Look: "flat colours, rich"
            ),
            "screen-out" => new(
                "soft",
                Wear: "the longest of all prints",
                "goes along with the cloth",
                Look: "flat colours, solid"
            ),
            "pod-out" => new(
                "as the service prints",
                Wear: "unknown until washed here",
                "as the service prints",
                Look: "full colour, on a blank not ours"
            ),
            _ when Mixed.Find(methodId) is { } mix => Of([.. mix.Ways.Select(m => Of(m.Id))]),
            _ => throw new ArgumentOutOfRangeException(nameof(methodId), methodId, "No such method."),
        };

    private static PrintCharacter Of(IReadOnlyList<PrintCharacter> each)
    {
        string All(Func<PrintCharacter, string> of) => string.Join("; ", each.Select(of).Distinct());
        return new(All(c => c.Feel), Wear: All(c => c.Wear), All(c => c.Stretch), Look: All(c => c.Look));
    }
}
