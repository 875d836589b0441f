using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>A machine weighed against buying, as a body.</summary>
/// <param name="MachinePrice">Bought for.</param>
/// <param name="PrintsAMonth">Prints of a month.</param>
/// <param name="BoughtEach">A print bought.</param>
/// <param name="MadeEach">Material of one made here.</param>
/// <param name="MinutesEach">Attended minutes of one made here.</param>
/// <param name="Wage">An hour of hands.</param>
/// <param name="UpkeepAMonth">Upkeep and cleaning.</param>
/// <param name="SpaceAMonth">Room.</param>
/// <param name="LearningPrints">Prints until it is mastered.</param>
/// <param name="LearningShare">Share of those spoiled on top.</param>
/// <param name="LostEach">Lost with one.</param>
internal sealed record MakeOrBuyBody(
    decimal MachinePrice,
    double PrintsAMonth,
    decimal BoughtEach,
    decimal MadeEach,
    double MinutesEach,
    decimal Wage,
    decimal UpkeepAMonth = 0,
    decimal SpaceAMonth = 0,
    double LearningPrints = 0,
    double LearningShare = 0,
    decimal LostEach = 0
)
{
    public MakeOrBuyCase ToCore() =>
        new(
            MachinePrice,
            PrintsAMonth,
            BoughtEach,
            MadeEach,
            MinutesEach,
            Wage,
            UpkeepAMonth,
            SpaceAMonth,
            LearningPrints,
            LearningShare,
            LostEach
        );
}

/// <summary>Before money is spent: make or buy, what a way takes to begin with, and what a launch ties up.</summary>
internal static class WeighEndpoints
{
    private const int Days = 90;
    private const int Months = 3;

    public static void MapWeighing(this IEndpointRouteBuilder api)
    {
        api.MapGet("/make-or-buy", Start)
            .WithTags("weighing")
            .WithName("makeOrBuyStart")
            .WithSummary(
                "A film printer against bought film, from the shop's own figures and its orders of three months; "
                    + "null while there is no tee or no press."
            );
        api.MapPost("/compute/make-or-buy", Weigh)
            .WithTags("compute")
            .WithName("computeMakeOrBuy")
            .WithSummary("When a machine pays: break-even minutes, saving, months until it is paid back.");
        api.MapGet("/start-up", StartUps)
            .WithTags("weighing")
            .WithName("startUp")
            .WithSummary(
                "What each way takes to begin with: machines the shop has at its own price, the rest assumed."
            );
        api.MapPost("/recost", (Recosting all) => all.Begin())
            .WithTags("weighing")
            .WithName("recost")
            .WithSummary(
                "Begins re-costing every quote that stands at the prices of today; no price is changed by it."
            );
        api.MapGet("/recost/{id}", (string id, Recosting all) => all.Look(id))
            .WithTags("weighing")
            .WithName("recosted")
            .WithSummary(
                "How far re-costing has come; once it is done, which lines moved and which fell under the floor."
            );
        api.MapGet("/orders/{id}/launch", LaunchOf)
            .WithTags("orders")
            .WithName("launch")
            .WithSummary(
                "A line by one way as a launch: money tied up before the first sale, lost if nothing sells, and "
                    + "how many a month a sent-out way needs to take over."
            );
    }

    internal static MakeOrBuyStart? Start(OpenShop shop) =>
        shop.Db.Read(connection =>
            MakeOrBuyStart.Suggest(shop.Book(connection), FilmPrints(connection, shop) / Months)
        );

    internal static MakeOrBuy Weigh(MakeOrBuyBody body, OpenShop shop)
    {
        RefusedException.IfAny(body.ToCore().Problems());
        return shop.Db.Read(connection => MakeOrBuy.Reckon(body.ToCore(), shop.Book(connection).Numbers.Format));
    }

    internal static IReadOnlyList<StartUpBudget> StartUps(OpenShop shop) =>
        shop.Db.Read(connection => StartUp.Budgets(shop.Book(connection)));

    internal static Launch LaunchOf(OrderId id, OpenShop shop, LineId? line, MethodId method) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            var of = c.Line(line);
            var way = DecorationMethods.Find(method) ?? throw RefusedException.NoSuch("method", method);
            if (of.InHand is not { } inHand || book.Presses.Count == 0)
            {
                throw new RefusedException(
                    409,
                    "incomplete",
                    $"{c.Order.Code} cannot be compared yet.",
                    remedy: "Finish the ask first, and add a press on the Floor."
                );
            }
            var answer = way.Answer(inHand, book);
            return answer.Decorations.Count > 0
                ? Launch.Reckon(
                    inHand,
                    answer.Decorations,
                    shop.Ribbon(c, of, book, shop.Open(connection, book)),
                    book.Numbers.Format
                )
                : throw new RefusedException(
                    409,
                    "method-unfit",
                    $"{way.Name}: {answer.Verdict.Reasons.First(r => r.Kind == VerdictKind.No).Sentence}.",
                    remedy: "Look at a way that can do it.",
                    "method"
                );
        });

    private static double FilmPrints(SqliteConnection connection, OpenShop shop) =>
        OrderStore
            .PrintsSince(connection, shop.Clock.Utc - Duration.FromDays(Days))
            .Where(p => DecorationMethods.Uses(p.MethodId, m => m.IsFilm))
            .Sum(p => (double)p.Prints);
}
