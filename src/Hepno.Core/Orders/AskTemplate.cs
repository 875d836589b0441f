using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>Lines that are asked for often, to begin an ask from.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What the shop calls it: "the usual club tee".</param>
/// <param name="Lines">The lines; names, marks and days of the order they were taken from are left out.</param>
/// <param name="Retired">True when it is no longer offered.</param>
public sealed record AskTemplate(TemplateId Id, string Name, IReadOnlyList<AskLine> Lines, bool Retired)
{
    /// <summary>A template of an ask's lines.</summary>
    public static AskTemplate From(string id, string name, Ask ask) =>
        new(
            new TemplateId(id),
            name.Trim(),
            [
                .. ask.Lines.Select(l =>
                    l with
                    {
                        Mark = null,
                        Given = 0,
                        Names = [],
                        DueDate = null,
                        Placements = [.. l.Placements],
                    }
                ),
            ],
            false
        );

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Name.Length is 0 or > 100)
        {
            yield return new(
                "name",
                Name.Length == 0 ? "The template has no name." : $"A name of {Name.Length} characters.",
                Where: "name",
                "Call it what you would say, up to 100 letters."
            );
        }
        if (Lines.All(l => l.StyleId is null && l.Placements.Count == 0))
        {
            yield return new(
                "empty",
                "Nothing is said in this ask yet.",
                Where: "orderId",
                "Say a garment or a print first: that is what the template keeps."
            );
        }
    }
}
