using System.Globalization;
using Hepno.Store;
using Hepno.Store.Copies;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Held;

/// <summary>A copy that could not be made.</summary>
/// <param name="Since">Since when (UTC).</param>
/// <param name="Why">Why, as a sentence.</param>
/// <param name="Remedy">What would help.</param>
internal sealed record CopyTrouble(Instant Since, string Why, string Remedy);

/// <summary>Makes, tries and puts back the shop's copies while it runs. What fails is told on every screen until one
/// succeeds, and stops nothing.</summary>
internal sealed partial class Copying(OpenShop shop, ILogger<Copying> log)
{
    private const string Uploaded = "uploaded-";
    private const string Daily = "daily";

    // one at a time: a copy sweeps away what others left half made
    private readonly Lock gate = new();
    private readonly HashSet<string> looked = [];
    private CopyManifest? newest;

    /// <summary>What keeps copies in the data folder from being made, or null.</summary>
    public CopyTrouble? Trouble { get; private set; }

    /// <summary>What keeps copies in the second folder from being made, or null.</summary>
    public CopyTrouble? SecondTrouble { get; private set; }

    /// <summary>What the last good copy holds, or null when there is none.</summary>
    public CopyManifest? Last => newest ??= shop.Db.Backups.All().FirstOrDefault(c => c.Manifest is not null)?.Manifest;

    /// <summary>The second folder, or null.</summary>
    public CopyFolder? Second => Settings().SecondFolder is { } folder ? new(folder) : null;

    public CopySettings Settings() => shop.Db.Read(CopyingStore.Get);

    /// <summary>Sees that there is a good copy of today wherever one is wanted, thins the old ones, and once a month
    /// puts one back aside.</summary>
    public void Look()
    {
        lock (gate)
        {
            Trouble = Tried(Trouble, shop.Db.Folder, () => Today(shop.Db.Backups));
            SecondTrouble = Second is { } second
                ? Tried(SecondTrouble, second.Root, () => Today(Reached(second)))
                : null;
            var settings = Settings();
            if (settings.TrialAt is not { } at || Month(at) != Month(shop.Clock.Utc))
            {
                Trial(settings);
            }
        }
    }

    /// <summary>Makes one now, in both folders.</summary>
    /// <returns>What kept it from being made in the data folder, or null.</returns>
    public CopyTrouble? Now()
    {
        lock (gate)
        {
            Trouble = Tried(Trouble, shop.Db.Folder, () => Make(shop.Db.Backups, Stamped("asked"), "asked"));
            SecondTrouble = Second is { } second
                ? Tried(SecondTrouble, second.Root, () => Make(Reached(second), Stamped("asked"), "asked"))
                : null;
            return Trouble;
        }
    }

    /// <summary>Names the second folder, or none, and makes its first copy.</summary>
    public void NameSecond(string? folder)
    {
        lock (gate)
        {
            if (folder is not null)
            {
                Make(new(folder), CopyFolder.OfDay(shop.Clock.Utc.InUtc().Date), Daily);
            }
            Keep(Settings() with { SecondFolder = folder });
            SecondTrouble = null;
        }
    }

    /// <summary>Says how many months earlier states of orders are kept; 0 for ever.</summary>
    public void KeepHistory(int months) => Keep(Settings() with { HistoryMonths = months });

    /// <summary>Takes an archive in that somebody sent, to be looked at and put back by the name it gets.</summary>
    public async Task<string> Upload(Stream archive, CancellationToken stop)
    {
        var name = $"{Uploaded}{Guid.NewGuid():N}";
        await using var file = File.Create(Path.Combine(shop.Db.Folder, "tmp", name));
        await archive.CopyToAsync(file, stop);
        return name;
    }

    /// <summary>Checks every part of a copy and says what it would put back.</summary>
    /// <exception cref="UnfitCopyException">It cannot be put back.</exception>
    public CopyManifest Checked(string name)
    {
        using var copy = Unpack(name);
        return copy.Manifest;
    }

    /// <summary>Puts a copy in place of what is there; a copy of that is made first.</summary>
    /// <exception cref="UnfitCopyException">It cannot be put back.</exception>
    public CopyManifest PutBack(string name)
    {
        lock (gate)
        {
            using var copy = Unpack(name);
            Make(shop.Db.Backups, Stamped("before-restore"), "before-restore");
            shop.Db.Replace(copy, shop.Clock.Utc);
            shop.Forget();
            return copy.Manifest;
        }
    }

    private static YearMonth Month(Instant at) => at.InUtc().Date.ToYearMonth();

    private string Stamped(string why) =>
        $"{why}-{shop.Clock.Utc.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture)}";

    private Unpacked Unpack(string name) =>
        name.StartsWith(Uploaded, StringComparison.Ordinal)
            ? Restoring.Unpack(
                Path.Combine(shop.Db.Folder, "tmp", Path.GetFileName(name)),
                shop.Db.Folder,
                Path.Combine(shop.Db.Folder, "tmp")
            )
            : Restoring.Unpack(
                Path.Combine(shop.Db.Backups.Root, Path.GetFileName(name)),
                shop.Db.Folder,
                Path.Combine(shop.Db.Folder, "tmp")
            );

    // nothing changed since the last good one: that one is today's too
    private void Today(CopyFolder folder)
    {
        var name = CopyFolder.OfDay(shop.Clock.Utc.InUtc().Date);
        var once = Path.Combine(folder.Root, name);
        if (looked.Contains(once))
        {
            return;
        }
        var newest = folder.All().FirstOrDefault(c => c.Manifest is not null);
        var stands =
            newest is not null
            && (newest.Name == name || newest.Manifest!.Data.Seq == shop.Db.Read(ChangeStore.Last))
            && folder.IsWhole(newest.Name);
        if (!stands)
        {
            Make(folder, name, Daily);
            folder.Thin();
        }
        looked.Add(once);
    }

    private void Make(CopyFolder folder, string name, string why)
    {
        newest = folder.Make(shop.Db.Folder, name, why, shop.Clock.Utc);
    }

    // a stick that is not plugged in is not a new folder on the disk below it
    private static CopyFolder Reached(CopyFolder second) =>
        Directory.Exists(second.Root) ? second : throw new IOException($"{second.Root} is not there.");

    private CopyTrouble? Tried(CopyTrouble? before, string folder, Action copy)
    {
        try
        {
            copy();
            return null;
        }
        catch (Exception failed)
            when (failed
                    is IOException
                        or UnauthorizedAccessException
                        or SqliteException
                        or UnfitCopyException
                        or DataTroubleException
            )
        {
            LogFailed(failed, folder);
            var said = DataTrouble.Of(failed, folder);
            return new(
                before?.Since ?? shop.Clock.Utc,
                said?.Sentence
                    ?? (
                        failed is UnfitCopyException unfit
                            ? $"{char.ToUpperInvariant(unfit.Why[0])}{unfit.Why[1..]}"
                            : failed.Message
                    ),
                said?.Remedy ?? "It is tried again every ten minutes, and under Numbers, Copies."
            );
        }
    }

    private void Trial(CopySettings settings)
    {
        if (shop.Db.Backups.All().FirstOrDefault(c => c.Manifest is not null) is not { } newest)
        {
            return;
        }
        var (well, said) = (true, "");
        try
        {
            var m = Checked(newest.Name);
            said =
                $"{newest.Name} was put back aside: {m.Data.Orders} orders, {m.Data.Customers} customers, "
                + $"{m.Files.Count} files, every row as it was copied.";
        }
        catch (Exception failed) when (failed is UnfitCopyException or IOException)
        {
            LogFailed(failed, newest.Name);
            (well, said) = (
                false,
                $"{newest.Name} could not be put back aside: "
                    + $"{(failed is UnfitCopyException unfit ? unfit.Why : failed.Message)}"
            );
            looked.Clear();
        }
        Keep(settings with { TrialAt = shop.Clock.Utc, TrialWell = well, TrialSaid = said });
    }

    private void Keep(CopySettings settings) =>
        shop.Db.Write(c =>
        {
            CopyingStore.Put(c, settings);
            return 0;
        });

    [LoggerMessage(Level = LogLevel.Warning, Message = "No copy in {Folder}")]
    private partial void LogFailed(Exception exception, string folder);
}

/// <summary>Looks after the copies at start and every ten minutes, and forgets old changes.</summary>
internal sealed partial class DailyCopies : BackgroundService
{
    private const int MostThinned = 500;

    private static readonly TimeSpan First = TimeSpan.FromSeconds(5);
    private static readonly TimeSpan Then = TimeSpan.FromMinutes(10);

    private readonly OpenShop shop;
    private readonly Copying copying;
    private readonly ILogger<DailyCopies> log;
    private readonly TaskCompletionSource started = new();

    public DailyCopies(OpenShop shop, Copying copying, ILogger<DailyCopies> log, IHostApplicationLifetime life)
    {
        (this.shop, this.copying, this.log) = (shop, copying, log);
        // what is registered last runs first: the demo's shop, which is filled then, is whole before it is copied
        life.ApplicationStarted.Register(started.SetResult);
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await started.Task.WaitAsync(stoppingToken);
        var wait = First;
        while (
            await Task.Delay(wait, stoppingToken).ContinueWith(t => t.IsCompletedSuccessfully, TaskScheduler.Default)
        )
        {
            wait = Then;
            try
            {
                copying.Look();
                shop.Db.Write(c =>
                {
                    ChangeStore.Trim(c, shop.Clock.Utc);
                    return 0;
                });
                if (copying.Settings().HistoryMonths is > 0 and var months)
                {
                    // a few at a time: nobody waits for it
                    while (
                        shop.Db.Write(c => UndoStore.Thin(c, MonthsBefore(shop.Clock.Utc, months), MostThinned))
                        == MostThinned
                    )
                    {
                        await Task.Yield();
                    }
                }
            }
            catch (Exception failed) when (DataTrouble.Of(failed, shop.Db.Folder) is not null)
            {
                // the shop goes on; whoever next writes is told in words
                LogTrouble(failed);
            }
        }
    }

    private static Instant MonthsBefore(Instant at, int months) =>
        at.InUtc().LocalDateTime.PlusMonths(-months).InUtc().ToInstant();

    [LoggerMessage(Level = LogLevel.Warning, Message = "The data folder cannot be looked after")]
    private partial void LogTrouble(Exception exception);
}
