using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Formats;
using Hepno.Web.Views;

namespace Hepno.Web.Deeds;

/// <summary>Writes the quote of an order: the preview and the sent one are made by the same function.</summary>
internal static class MakeQuote
{
    public const string Care = "Wait a day before the first wash. Wash inside out and cold, dry low or on the line. Never iron on the print.";

    private static readonly int[] TierSteps = [12, 24, 36, 48, 72, 144];
    private const int MostTiers = 5;

    public static FrozenQuote Of(OrderCase c, Comparison comparison, ShopBook book, DateTime wall)
    {
        var n = book.Numbers;
        var f = n.Format;
        var band = comparison.Bands.FirstOrDefault(b => b.MethodId == c.Order.Facts.Decision?.MethodId) ?? throw Unfit(c, comparison);
        var ask = c.InHand!;
        var goods = Money.Charged(band.Outcome.Price * ask.Pieces, f.MinorDigits);
        var tax = Money.Charged(goods * n.TaxShare, f.MinorDigits);
        var total = goods + tax;
        var deposit = Money.Charged(total * n.DepositShare, f.MinorDigits);
        var validUntil = DateOnly.FromDateTime(wall).AddDays(n.ValidityDays);
        var document = Document(c, band, ask, book, goods, tax, total, deposit, validUntil, wall);
        return new(c.Order.Ask, ask.Style, ask.Colourway, band, n, document, goods, tax, total, deposit, band.Promise?.At, validUntil, Comparer.PressingSeconds(ask, band.Decorations), typeof(Comparer).Assembly.GetName().Version!.ToString());
    }

    /// <summary>The garment in the customer's words: "Navy tee".</summary>
    public static string Garment(Style style, Colourway colourway, int pieces) => $"{colourway.Name.ToLowerInvariant()} {Noun(style.Kind, pieces)}";

    public static string Noun(GarmentKind kind, int pieces) => kind.ToString().ToLowerInvariant() + (pieces == 1 ? "" : "s");

    /// <summary>What is printed where: "Front 10 × 11 in, five colours, 3 in below the collar seam".</summary>
    public static string Printed(Placement p, FigureFormat f)
    {
        var place = Places.Find(p.Place)!;
        return $"{place.Name} {Shown.Size(p.WidthIn, p.HeightIn, f)}, {(p.Gradient ? "full colour" : p.Colours == 1 ? "one colour" : $"{p.Colours} colours")}, {Shown.Length(place.FromSeamIn, f)} {place.Where}";
    }

    private static RefusedException Unfit(OrderCase c, Comparison comparison)
    {
        var fold = comparison.Folds.FirstOrDefault(x => x.MethodId == c.Order.Facts.Decision?.MethodId);
        return fold is null ? new RefusedException(409, "no-method", "No method is chosen yet.", "Choose one under Compare.")
            : new RefusedException(409, "method-unfit", $"{fold.Name} cannot do it any more: {fold.Reasons[0].Sentence}.", $"Would work: {fold.Reasons[0].WouldWork}. Or choose another method under Compare.");
    }

    private static QuoteDocument Document(OrderCase c, Band band, AskInHand ask, ShopBook book, decimal goods, decimal tax, decimal total, decimal deposit, DateOnly validUntil, DateTime wall)
    {
        var n = book.Numbers;
        var f = n.Format;
        var garment = Garment(ask.Style, ask.Colourway, ask.Pieces);
        var where = string.Join(" and ", ask.Placements.Select(p => Places.Find(p.Place)!.Name.ToLowerInvariant()));
        var ready = band.Promise is { } promise ? Shown.Moment(promise.At, f) : "to be agreed";
        var fabric = string.Join(", ", ask.Style.Fabric.Select(x => $"{x.Percent.ToString("0.#", CultureInfo.InvariantCulture)}% {x.Fibre.ToString().ToLowerInvariant()}"));
        List<Stated> totals = [new("Before tax", Shown.Money(goods, f))];
        if (n.TaxShare > 0)
        {
            totals.Add(new($"Sales tax, {Shown.Number((double)n.TaxShare * 100, 2, f)}%", Shown.Money(tax, f)));
        }
        totals.Add(new("Total", Shown.Money(total, f)));
        if (deposit > 0)
        {
            totals.Add(new("Deposit to begin", Shown.Money(deposit, f)));
        }
        var days = $"Ready {ready} if you say yes{(deposit > 0 ? " and the deposit is here" : "")} by the end of today; a later yes moves it by as many working days.";
        var terms = (deposit > 0 ? $"{Shown.Money(deposit, f)} to begin, {Shown.Money(total - deposit, f)} when you collect. " : "Paid when you collect. ") + "Counts and sizes may change until the prints are ordered. We replace any piece we spoil.";
        return new(n.Paper, n.ShopName, n.Address, n.Contact, c.Order.Code, $"{Shown.DayAndYear(DateOnly.FromDateTime(wall), f)}, good until {Shown.DayAndYear(validUntil, f)}", c.Customer?.Name ?? "", c.Customer?.Contact ?? "",
            $"{ask.Pieces} {garment}, printed {where}",
            [new("each", Shown.Money(band.Outcome.Price, f)), new("in all, before tax", Shown.Money(goods, f)), new("ready to collect", ready)],
            $"{ask.Style.Name}, {ask.Colourway.Name.ToLowerInvariant()}, {fabric}", [.. ask.Placements.Select(p => Printed(p, f))], [.. ask.Sizes.Select(s => new SizePrinted(s.Size, s.Pieces))],
            ask.Pieces.ToString(CultureInfo.InvariantCulture), Shown.Bare(band.Outcome.Price, f), Shown.Bare(goods, f), totals, n.TaxShare > 0 ? 2 : 1,
            [new("When", days), new("Terms", terms), new("Looking after it", Care)],
            // a price somebody said holds for these pieces alone
            c.Order.Facts.Decision?.TypedPrice is null ? Tiers(band, ask, book) : []);
    }

    private static List<TierPrinted> Tiers(Band band, AskInHand ask, ShopBook book)
    {
        var f = book.Numbers.Format;
        var method = DecorationMethods.Find(band.MethodId)!;
        var steps = TierSteps.Append(ask.Pieces).Distinct().Order().ToList();
        var mine = steps.IndexOf(ask.Pieces);
        var from = Math.Clamp(mine - 2, 0, Math.Max(0, steps.Count - MostTiers));
        var tiers = new List<TierPrinted>();
        foreach (var q in steps.Skip(from).Take(MostTiers))
        {
            var at = ask with { Sizes = SizeRun.ScaledTo(ask.Sizes, q) };
            var answer = method.Answer(at, book);
            if (answer.Decorations.Count > 0)
            {
                var price = q == ask.Pieces ? band.Outcome.Price : UnitPrice.Of(Comparer.CostOf(at, answer.Decorations, book), q, book.Numbers, ask.Channel).Price;
                tiers.Add(new(q.ToString(CultureInfo.InvariantCulture), Shown.Bare(price, f), Shown.Bare(price * q, f), q == ask.Pieces));
            }
        }
        return tiers;
    }
}
