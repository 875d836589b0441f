using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>The withdrawn versions of a quote, and what each next one says otherwise.</summary>
internal static class QuoteVersions
{
    /// <summary>Versions before the one shown, the last one first.</summary>
    /// <param name="connection">Database.</param>
    /// <param name="shop">Where frozen quotes are read.</param>
    /// <param name="orderId">Order.</param>
    /// <param name="now">The quote shown.</param>
    /// <param name="nowId">Its id when it is sent; null for a preview.</param>
    public static IReadOnlyList<QuoteVersion> Before(
        SqliteConnection connection,
        OpenShop shop,
        OrderId orderId,
        FrozenQuote now,
        QuoteId? nowId
    )
    {
        var f = now.Numbers.Format;
        string At(Instant utc) => Shown.Moment(WallClock.Local(utc, now.Numbers.Identity.TimeZone), f);
        var earlier = QuoteStore
            .OfOrder(connection, orderId)
            .Where(q => q.Id != nowId)
            .Select(q => (Stored: q, Frozen: shop.Frozen(connection, q.Id)))
            .ToList();
        return
        [
            .. earlier
                .Select(
                    (q, i) =>
                        new QuoteVersion(
                            i + 1,
                            At(q.Stored.SentAt),
                            Withdrawn: q.Stored.WithdrawnAt is { } at ? At(at) : "",
                            Shown.Money(q.Frozen.Total, f),
                            Changes(q.Frozen, i + 1 < earlier.Count ? earlier[i + 1].Frozen : now, f)
                        )
                )
                .Reverse(),
        ];
    }

    /// <summary>What a later version says otherwise.</summary>
    public static IReadOnlyList<string> Changes(FrozenQuote a, FrozenQuote b, FigureFormat f)
    {
        var said = new List<string>();
        void Say<T>(string what, T before, T after)
        {
            if (!EqualityComparer<T>.Default.Equals(before, after))
            {
                said.Add($"{what} {before} → {after}");
            }
        }
        Say("lines", a.Lines.Count, b.Lines.Count);
        foreach (var line in b.Lines)
        {
            if (a.Lines.FirstOrDefault(l => l.LineId == line.LineId) is not { } was)
            {
                continue;
            }
            var name = b.Lines.Count == 1 ? "" : $"{line.Style.Name}: ";
            Say(
                $"{name}garment",
                $"{was.Style.Name}, {was.Colourway.Name}",
                $"{line.Style.Name}, {line.Colourway.Name}"
            );
            Say($"{name}pieces", a.AskOf(was).Pieces, b.AskOf(line).Pieces);
            Say(
                $"{name}prints",
                string.Join(", ", a.AskOf(was).Placements.Select(p => MakeQuote.Printed(p, f))),
                string.Join(", ", b.AskOf(line).Placements.Select(p => MakeQuote.Printed(p, f)))
            );
            Say(
                $"{name}method",
                DecorationMethods.Find(was.Band.MethodId)?.Name,
                DecorationMethods.Find(line.Band.MethodId)?.Name
            );
            Say($"{name}each", Shown.Money(was.Band.Outcome.Price, f), Shown.Money(line.Band.Outcome.Price, f));
        }
        Say("postage", Shown.Money(a.Postage, f), Shown.Money(b.Postage, f));
        Say("total", Shown.Money(a.Total, f), Shown.Money(b.Total, f));
        Say(
            "ready",
            a.ReadyAt is { } x ? Shown.Moment(x, f) : "open",
            b.ReadyAt is { } y ? Shown.Moment(y, f) : "open"
        );
        return said;
    }
}
