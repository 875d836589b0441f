using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Hepno.Web.Endpoints;

/// <summary>What of an order is printed or taken along: quote, confirmation, slip, placement sheet, names, label, care
/// card.</summary>
internal static class OrderPapers
{
    public static void MapOrderPapers(this IEndpointRouteBuilder orders)
    {
        orders.MapGet("{id}/quote.pdf", QuotePage).WithName("quotePdf").Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/confirmation.pdf", Confirmation)
            .WithName("confirmationPdf")
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/packing-slip.pdf", Slip)
            .WithName("packingSlipPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/placement.pdf", Placements)
            .WithName("placementPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/names.csv", Names)
            .WithName("namesCsv")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "text/csv");
        orders
            .MapGet("{id}/label.pdf", (OrderId id, OpenShop shop) =>
                shop.Db.Read(c =>
                    TypedResults.File(
                        LabelPdf.Print(SendViews.Labels(shop.Case(c, id, shop.Book(c)), shop.Book(c).Carrier!)),
                        "application/pdf"
                    )
                )
            )
            .WithName("labelPdf")
            .OpenTo(Caller.Press)
            .WithSummary("An address label of 4 × 6 in for each parcel.")
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/care-card.pdf", CareCardPage)
            .WithName("careCardPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
    }

    /// <summary>Where each print lies on each size, at true size on paper: to lay on the garment.</summary>
    internal static FileContentHttpResult Placements(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            var sheet = PlacementViews.Sheet(c, book.Numbers);
            return sheet.Lines.Any(l => l.Prints.Count > 0)
                ? TypedResults.File(PlacementSheetPdf.Print(sheet), "application/pdf")
                : throw new RefusedException(
                    409,
                    "no-prints",
                    $"{c.Order.Code} has no print to place yet.",
                    remedy: "Say the garment, the sizes and where it is printed."
                );
        });

    /// <summary>The lists of names and numbers of all lines, for who cuts or prints them.</summary>
    internal static FileContentHttpResult Names(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var order = Aggregates.Orders.Get(connection, id)?.Value ?? throw RefusedException.NoSuch("order", id);
            var rows = order.Ask.Lines.SelectMany(
                (l, i) =>
                    l.Names.Select(n =>
                        new[]
                        {
                            (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture),
                            n.Size,
                            n.Name,
                            n.Number,
                        }
                    )
            );
            return TypedResults.File(
                System.Text.Encoding.UTF8.GetBytes(CsvTable.Write(["line", "size", "name", "number"], rows)),
                "text/csv",
                $"{order.Code} names.csv"
            );
        });

    /// <summary>The quote's page: the very bytes that were sent, or a preview.</summary>
    internal static FileContentHttpResult QuotePage(OrderId id, OpenShop shop) =>
        shop.Db.Read(c =>
            TypedResults.File(
                QuoteStore.Pdf(c, id) ?? QuotePdf.Print(OrderViews.Quote(c, shop, id).Quote.Document),
                "application/pdf"
            )
        );

    /// <summary>The order's confirmation: what was said yes to, what is paid and what is left.</summary>
    internal static FileContentHttpResult Confirmation(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var c = shop.Case(connection, id, shop.Book(connection));
            return c.Frozen is null || c.Order.Facts.Gathering.Approval is null
                ? throw new RefusedException(
                    409,
                    "not-there",
                    $"Nobody has said yes to {c.Order.Code} yet.",
                    remedy: "Take their yes under Gather first."
                )
                : TypedResults.File(
                    QuotePdf.Print(QuoteWords.Confirmation(c, shop.Clock.Wall(c.Frozen.Numbers.Identity.TimeZone))),
                    "application/pdf"
                );
        });

    /// <summary>The packing slip of what is counted.</summary>
    internal static FileContentHttpResult Slip(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var c = shop.Case(connection, id, shop.Book(connection));
            if (c.Frozen is null || c.Order.Facts.Sending.Counted.Count == 0)
            {
                throw new RefusedException(
                    409,
                    "not-there",
                    $"Nothing of {c.Order.Code} is counted into a box yet.",
                    remedy: "Count the pieces under Send first."
                );
            }
            var (n, q) = (c.Frozen.Numbers, c.Frozen);
            var slip = new PackingSlip(
                n.Identity.Paper,
                n.Identity.Name,
                ShopLine: n.Identity.Address,
                c.Order.Code,
                Date: Shown.DayAndYear(shop.Clock.Today(n.Identity.TimeZone), n.Format),
                c.Customer?.Name ?? "",
                CustomerContact: QuoteWords.Beside(c),
                [
                    .. q
                        .Lines.Select(l =>
                            (Line: l, Counted: c.Order.Facts.Sending.Counted.Where(x => x.LineId == l.LineId).ToList())
                        )
                        .Where(l => l.Counted.Count > 0)
                        .Select(l => new PackedLine(
                            $"{l.Counted.Sum(x => x.Pieces)} "
                                + $"{MakeQuote.Garment(l.Line.Style, l.Line.Colourway, l.Counted.Sum(x => x.Pieces))}",
                            [.. q.AskOf(l.Line).Placements.Select(p => MakeQuote.Printed(p, n.Format))],
                            [.. l.Counted.Select(x => new SizePrinted(x.Size, x.Pieces))]
                        )),
                ],
                MakeQuote.Care
            );
            return TypedResults.File(PackingSlipPdf.Print(slip), "application/pdf");
        });

    /// <summary>A care card of 4 × 6 in to put in.</summary>
    internal static FileContentHttpResult CareCardPage(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            shop.Case(connection, id, shop.Book(connection));
            var n = OpenShop.Numbers(connection);
            return TypedResults.File(
                LabelPdf.Print(
                    new CareCard(n.Identity.Name, n.Identity.Contact, [.. MakeQuote.CareRules.Select(r => $"{r}.")])
                ),
                "application/pdf"
            );
        });
}
