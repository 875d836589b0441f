using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Hepno.Core.Shop;

namespace Hepno.Store.Documents;

/// <summary>The shop's numbers as history, sent quotes and archives keep them: in their parts. What was written before, as one long list, is lifted to them.</summary>
public sealed class NumbersDocument : JsonConverter<ShopNumbers>
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

    private JsonSerializerOptions? plain;

    /// <inheritdoc/>
    public override ShopNumbers? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var written = JsonNode.Parse(ref reader)?.AsObject();
        if (written is null)
        {
            return null;
        }
        string Named(string name) => options.PropertyNamingPolicy?.ConvertName(name) ?? name;
        var isLongList = !written.ContainsKey(Named(nameof(ShopNumbers.Identity)));
        return (isLongList ? Lifted(written, Named, options) : written).Deserialize<ShopNumbers>(Plain(options));
    }

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, ShopNumbers value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, value, Plain(options));

    // what a list has not, or has as null, was its starting value; wholesale without a policy had the one for retail
    private JsonObject Lifted(JsonObject list, Func<string, string> named, JsonSerializerOptions options)
    {
        var lost = Always.Select(named).Where(n => !list.ContainsKey(n)).ToList();
        if (lost.Count > 0)
        {
            throw new JsonException(
                $"The numbers miss properties including: {string.Join(", ", lost.Select(n => $"'{n}'"))}"
            );
        }
        var parts = JsonSerializer.SerializeToNode(ShopNumbers.Default, Plain(options))!.AsObject();
        list[named("Wholesale")] ??= list[named("Retail")]?.DeepClone();
        foreach (var (part, names) in Parts)
        {
            var into = parts[named(part)]!;
            foreach (var name in names.Select(n => n.Split(' ')).Where(n => list[named(n[0])] is not null))
            {
                into[named(name[^1])] = list[named(name[0])]!.DeepClone();
            }
        }
        return parts;
    }

    private JsonSerializerOptions Plain(JsonSerializerOptions options)
    {
        if (plain is null)
        {
            var without = new JsonSerializerOptions(options);
            without.Converters.Remove(this);
            plain = without;
        }
        return plain;
    }
}
