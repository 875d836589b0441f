using Hepno.Core.Comparing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Ways of a whole order: freight of one supplier once, what mixing loses, and figures that no unit
/// moves.</summary>
public class OrderWaysTests
{
    private static readonly ShopBook Book = OwnPrintTests.Book;

    private static List<AskInHand> Lines(params AskInHand[] alone) =>
        [.. alone.Select(l => l with { Others = [.. alone.Where(o => !ReferenceEquals(o, l))] })];

    // two lines of film from one supplier: each was reckoned with the whole freight, the order pays it once
    [Fact]
    public void Freight_of_one_supplier_is_paid_once_by_the_order()
    {
        var film = Book.With<FilmPrinter>([]).With<VinylFilm>([]).With<ScreenTransferList>([]);
        var lines = Lines(
            MethodTests.Ask(24, MethodTests.Front(9, 8, 6) with { Gradient = true }),
            MethodTests.Ask(12, MethodTests.Front(4, 3, 6) with { Gradient = true })
        );
        var ways = OrderWays.Find(lines, film)!;
        Assert.Equal(["dtf-bought", "dtf-bought"], ways.Each.Select(w => w.MethodId));
        var alone = lines.Sum(l =>
            LineCost.Reckon(l, new DtfBought().Answer(l, film).Decorations, film).Cost.Value * l.Pieces
        );
        Assert.Equal((double)(alone - film.Of<TransferPriceList>()[0].FreightPerOrder), (double)ways.EachTotal, 1e-9);
        Assert.Equal(("dtf-bought", ways.EachTotal), (ways.OneId, ways.OneTotal));
        Assert.Equal("the same way is the best for every line", ways.Sentences[1]);
    }

    // a photograph on one, a mark for vinyl alone on the other: mixing is all there is
    [Fact]
    public void It_says_where_no_single_way_does_every_line()
    {
        var book = Book.With<FilmPrinter>([])
            .With<ScreenTransferList>([])
            .With<TransferPriceList>([
                Book.Of<TransferPriceList>()[0] with
                {
                    Sizes = [new("4 × 4", 4, 4, [new(1, 0.80m)])],
                    ByLayout = null,
                },
            ]);
        var ways = OrderWays.Find(
            Lines(
                MethodTests.Ask(24, MethodTests.Front(3, 3, 6) with { Gradient = true }),
                MethodTests.Ask(24, MethodTests.Front(9, 8, 1))
            ),
            book
        )!;
        Assert.Equal(["dtf-bought", "htv"], ways.Each.Select(w => w.MethodId));
        Assert.Equal(("", 0m), (ways.OneId, ways.OneTotal));
        Assert.Equal("no single way can do every line", ways.Sentences[1]);
        Assert.Null(OrderWays.Find(Lines(MethodTests.Ask(24, MethodTests.Front(3, 3, 1))), book));
        Assert.Null(
            OrderWays.Find(
                Lines(
                    MethodTests.Ask(24, MethodTests.Front(3, 3, 1)),
                    MethodTests.Ask(24, MethodTests.Front(9, 8, 6) with { Gradient = true })
                ),
                book
            )
        );
    }

    [Fact]
    public void Each_best_way_is_a_plain_yes_before_one_with_care_and_then_the_least_cost()
    {
        var lines = Lines(
            MethodTests.Ask(36, MethodTests.Front(9, 8, 2)),
            MethodTests.Ask(12, MethodTests.Front(3, 3, 1))
        );
        var ways = OrderWays.Find(lines, Book)!;
        foreach (var (way, line) in ways.Each.Zip(lines))
        {
            var all = DecorationMethods
                .All.Select(m => (m.Id, Answer: m.Answer(line, Book)))
                .Where(x => x.Answer.Decorations.Count > 0)
                .Select(x =>
                    (
                        x.Id,
                        x.Answer.Verdict.Kind,
                        Total: LineCost.Reckon(line, x.Answer.Decorations, Book).Cost.Value * line.Pieces
                    )
                )
                .ToList();
            Assert.Equal(all.OrderBy(x => x.Kind).ThenBy(x => x.Total).First().Id, way.MethodId);
        }
        Assert.False(ways.OneId.IsNone);
        Assert.StartsWith("each line its best way (", ways.Sentences[0], StringComparison.Ordinal);
    }

    // inches and centimetres, Fahrenheit and Celsius are words: no figure of a comparison moves by more than 1e-9, and
    // none of its verdicts
    [Fact]
    public void No_unit_moves_a_figure()
    {
        var metric = Book with
        {
            Numbers = Book.Numbers with
            {
                Identity = Book.Numbers.Identity with
                {
                    Format = Book.Numbers.Format with { Metric = true, Celsius = true, DayFirst = true },
                },
            },
        };
        var ask = MethodTests.Ask(
            36,
            MethodTests.Front(9, 8, 2),
            MethodTests.Front(3, 3, 1) with
            {
                Id = "s",
                Place = "left-sleeve",
            }
        );
        Comparison By(ShopBook book) =>
            Comparer.Compare(
                ask,
                20m,
                new LocalDateTime(2026, 3, 20, 12, 0, 0),
                null,
                book,
                new(
                    new LocalDateTime(2026, 3, 9, 9, 0, 0),
                    new OpenHours(book.Numbers.Week.Days),
                    [.. book.Presses, .. book.Benches()],
                    []
                )
            );
        var (one, other) = (By(Book), By(metric));
        Assert.Equal(
            one.Bands.Select(b => (b.MethodId, b.Verdict.Kind, b.Promise?.At, b.LateMinutes)),
            other.Bands.Select(b => (b.MethodId, b.Verdict.Kind, b.Promise?.At, b.LateMinutes))
        );
        Assert.Equal(
            one.Folds.Select(f => (f.MethodId, f.Reasons[0].Code)),
            other.Folds.Select(f => (f.MethodId, f.Reasons[0].Code))
        );
        foreach (var (a, b) in one.Bands.Zip(other.Bands))
        {
            Same(a.Cost, b.Cost);
            Same(a.Hands, b.Hands);
            Same(a.Outcome.Profit, b.Outcome.Profit);
            Assert.Equal((double)a.Outcome.Price, (double)b.Outcome.Price, 1e-9);
        }
        static void Same(Figure a, Figure b)
        {
            Assert.Equal((a.Code, a.Unit, a.Parts.Count), (b.Code, b.Unit, b.Parts.Count));
            Assert.Equal((double)a.Value, (double)b.Value, 1e-9);
            foreach (var (x, y) in a.Parts.Zip(b.Parts))
            {
                Same(x, y);
            }
        }
    }
}
