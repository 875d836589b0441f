using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Shop;

namespace Hepno.Store.Documents;

/// <summary>The shop's numbers were one long list until November 2026, in documents of version 1: lifted to their
/// parts.</summary>
internal static class NumbersLift
{
    // the list's names, and what they are called in their part where that is another name
    private static readonly Dictionary<string, string[]> Parts = new()
    {
        [nameof(ShopNumbers.Identity)] = ["ShopName Name", "Address", "Contact", "Format", "Paper", "TimeZone"],
        [nameof(ShopNumbers.Rates)] =
        [
            "Wage",
            "OverheadPerHour",
            "TariffPerKwh",
            "ConsumablesPerStart",
            "OrderMinutes",
            "ArtworkMinutes",
            "FixedCosts",
            "ProductiveShare",
            "Spoilage",
            "HandsWorth",
            "HandsWorthAnHour",
        ],
        [nameof(ShopNumbers.Week)] = ["Week Days", "People"],
        [nameof(ShopNumbers.Prices)] =
        [
            "Retail",
            "Wholesale",
            "LeastMarginShare",
            "MinimumCharge",
            "RoundingStep",
            "Inversion",
            "SizePricing",
            "TierSteps",
            "TheirsPerPiece",
            "RuleOfThumb",
        ],
        [nameof(ShopNumbers.Fees)] = ["FeeShare Share", "FeeFixed Fixed", "FeeBase Base", "TaxShare"],
        [nameof(ShopNumbers.Packing)] = ["Packagings", "PackingPerPiece PerPiece", "ParcelMinutes"],
        [nameof(ShopNumbers.Floor)] =
        [
            "Floor Habits",
            "HandsFactor",
            "SwapMinutes",
            "DialMinutes",
            "SetUpWhileHeating",
            "SlowTenthShare",
            "Unattended",
        ],
        [nameof(ShopNumbers.Terms)] = ["DepositShare", "ValidityDays"],
    };

    // what the list always had: every list without it is damaged, not old
    private static readonly string[] Always =
    [
        "ShopName",
        "Address",
        "Contact",
        "Format",
        "Paper",
        "TimeZone",
        "Wage",
        "OverheadPerHour",
        "TariffPerKwh",
        "ConsumablesPerStart",
        "PackingPerPiece",
        "OrderMinutes",
        "ArtworkMinutes",
        "FeeShare",
        "FeeFixed",
        "TaxShare",
        "MinimumCharge",
        "RoundingStep",
        "DepositShare",
        "ValidityDays",
        "SlowTenthShare",
        "Week",
    ];

    // what stood in the program when the list fell into parts: what a list had not yet was this
    private static readonly string Start = Resource();

    /// <summary>Puts the numbers of a document in their parts, when it has them as a list.</summary>
    /// <param name="document">What holds them under "numbers".</param>
    public static void Within(JsonObject document)
    {
        if (document["numbers"] is JsonObject numbers)
        {
            Lift(numbers, "$.numbers");
        }
    }

    /// <summary>Puts a document that is the numbers in its parts, when it is a list.</summary>
    /// <exception cref="JsonException">It lost what every list had.</exception>
    public static void Lift(JsonObject numbers) => Lift(numbers, "$");

    private static void Lift(JsonObject numbers, string where)
    {
        if (numbers.ContainsKey(nameof(ShopNumbers.Identity)))
        {
            AddWhatCameWithVersion2(numbers);
            return;
        }
        var lost = Always.Where(n => !numbers.ContainsKey(n)).Select(JsonNamingPolicy.CamelCase.ConvertName).ToList();
        if (lost.Count > 0)
        {
            throw new JsonException(
                $"The numbers miss properties including: {string.Join(", ", lost.Select(n => $"'{n}'"))}",
                where,
                null,
                null
            );
        }
        // wholesale without a policy had the one for retail
        numbers["Wholesale"] ??= numbers["Retail"]?.DeepClone();
        var parts = JsonNode.Parse(Start, numbers.Options)!.AsObject();
        foreach (var (part, names) in Parts)
        {
            var into = parts[part]!;
            foreach (var name in names.Select(n => n.Split(' ')).Where(n => numbers[n[0]] is not null))
            {
                into[name[^1]] = numbers[name[0]]!.DeepClone();
            }
        }
        // the list goes only now: what it is read from must not be what it is written to
        numbers.Clear();
        foreach (var (name, part) in parts.ToList())
        {
            parts.Remove(name);
            numbers[name] = part;
        }
    }

    // parts were written for a day before documents had versions
    private static void AddWhatCameWithVersion2(JsonObject parts)
    {
        var start = JsonNode.Parse(Start)!;
        foreach (var (part, name) in new[] { ("rates", "completeShare"), ("floor", "testMinutes") })
        {
            if (parts[part] is JsonObject had)
            {
                had[name] ??= start[part]![name]!.DeepClone();
            }
        }
    }

    private static string Resource()
    {
        using var file = typeof(NumbersLift).Assembly.GetManifestResourceStream("numbers-start.json")!;
        using var text = new StreamReader(file);
        return text.ReadToEnd();
    }
}
