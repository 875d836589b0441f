using System.Collections.Concurrent;
using System.Diagnostics;
using Hepno.Core.Gang;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Background;

/// <summary>Searches for better layouts that go on while the owner does something else; each can be looked at and
/// stopped, the best it found is kept for a while.</summary>
internal sealed class LayoutSearches
{
    // a search takes a core: more at once would starve the counter
    private const int MostAtOnce = 2;
    private const int MostKept = 20;
    private readonly ConcurrentDictionary<string, Search> searches = new();

    /// <summary>Begins one.</summary>
    /// <param name="of">Layings that will be tried at most.</param>
    /// <param name="longest">How long somebody waits: then it ends, the layings it tried are recorded and give the same
    /// layout again.</param>
    /// <param name="run">Does it; told after some layings how far it is, it asks whether to go on.</param>
    /// <param name="tried">Works out what a layout comes to.</param>
    /// <param name="from">What the layout takes that it is begun from.</param>
    public LayoutSearchView Begin(
        int of,
        TimeSpan longest,
        Func<Func<int, double, bool>, LineLayout> run,
        Func<LineLayout, TriedLayout> tried,
        LaidLength from
    )
    {
        if (searches.Values.Count(s => !s.IsDone) >= MostAtOnce)
        {
            throw new RefusedException(
                429,
                "busy",
                $"{MostAtOnce} layouts are being searched already.",
                remedy: "Stop one, or wait for it."
            );
        }
        foreach (var old in searches.Values.Where(s => s.IsDone).OrderByDescending(s => s.Began).Skip(MostKept))
        {
            searches.TryRemove(old.Id, out _);
        }
        var search = new Search(
            Guid.NewGuid().ToString("N"),
            of,
            longest,
            SystemClock.Instance.GetCurrentInstant(),
            from
        );
        searches[search.Id] = search;
        _ = Task.Run(() => search.Run(run, tried));
        return search.View();
    }

    public LayoutSearchView Look(string id) => Find(id).View();

    public LayoutSearchView Stop(string id)
    {
        var search = Find(id);
        search.Stop();
        return search.View();
    }

    private Search Find(string id) => searches.GetValueOrDefault(id) ?? throw RefusedException.NoSuch("search", id);

    private sealed class Search(string id, int of, TimeSpan longest, Instant began, LaidLength from)
    {
        private readonly Lock gate = new();
        private readonly List<SearchPoint> course = [];
        private readonly Stopwatch clock = Stopwatch.StartNew();
        private int steps;
        private volatile bool stopped;
        private TriedLayout? result;
        private RefusedException? refused;

        public string Id => id;

        public Instant Began => began;

        public bool IsDone { get; private set; }

        public void Stop() => stopped = true;

        public void Run(Func<Func<int, double, bool>, LineLayout> run, Func<LineLayout, TriedLayout> tried)
        {
            TriedLayout? found = null;
            try
            {
                found = tried(run(Told));
            }
            catch (RefusedException no)
            {
                refused = no;
            }
            finally
            {
                // whatever happens it ends: nobody waits for a search that is over
                lock (gate)
                {
                    (result, IsDone) = (found, true);
                    if (found is not null)
                    {
                        steps = found.Figures.Steps;
                        Note(
                            found.Figures.Steps,
                            found.Figures.FloorIn > 0 ? found.Figures.UsedIn : found.Figures.Sheets
                        );
                    }
                }
            }
        }

        public LayoutSearchView View()
        {
            lock (gate)
            {
                var isBetter = result?.Figures.Length().IsLessThan(from) == true;
                return refused is not null ? throw refused : new(id, steps, of, [.. course], IsDone, result, isBetter);
            }
        }

        private bool Told(int tried, double best)
        {
            lock (gate)
            {
                steps = tried;
                Note(tried, best);
            }
            return !stopped && clock.Elapsed < longest;
        }

        private void Note(int tried, double best)
        {
            if (course.Count == 0 || best < course[^1].Best - 1e-9)
            {
                course.Add(new(tried, best));
            }
        }
    }
}
