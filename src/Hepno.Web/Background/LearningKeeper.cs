using Hepno.Core.Learning;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Views;

namespace Hepno.Web.Background;

/// <summary>Reads the record of each order once it is handed over, and of all of them anew when the rule changed: in
/// the background, a few at a time.</summary>
internal sealed partial class LearningKeeper(OpenShop shop, ILogger<LearningKeeper> log) : BackgroundService
{
    private const int Batch = 50;

    // one order after another changes while somebody works: it is not read each time
    private static readonly TimeSpan Settled = TimeSpan.FromSeconds(2);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            var next = shop.Db.NextWrite;
            await Task.Delay(Settled, stoppingToken).ContinueWith(_ => { }, TaskScheduler.Default);
            try
            {
                while (!stoppingToken.IsCancellationRequested && Some())
                {
                    await Task.Yield();
                }
                await next.WaitAsync(stoppingToken);
            }
            catch (OperationCanceledException)
            {
                return;
            }
            catch (Exception failed) when (failed is not OutOfMemoryException)
            {
                // what is missing is read when somebody looks; the next write tries again
                LogFailed(failed);
                await Task.WhenAny(next, Task.Delay(Timeout.Infinite, stoppingToken));
            }
        }
    }

    /// <summary>Reads some that are missing; false when none was.</summary>
    private bool Some()
    {
        var read = shop.Db.Read(c =>
            LearnedStore
                .Missing(c, ShopLearning.Rule, Batch)
                .Select(m => (Order: m, Parts: LearningView.PartsOf(c, shop, m.OrderId)))
                .ToList()
        );
        if (read.Count == 0)
        {
            return false;
        }
        shop.Db.Write(c =>
        {
            foreach (var (order, parts) in read)
            {
                LearnedStore.Put(c, order, ShopLearning.Rule, parts);
            }
            return 0;
        });
        return true;
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "What was learned could not be kept")]
    private partial void LogFailed(Exception exception);
}
