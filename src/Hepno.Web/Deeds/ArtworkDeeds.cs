using System.Collections.Concurrent;
using Hepno.Core.Artwork;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Drawings;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What is done to artworks: a picture taken in, its ground knocked out.</summary>
internal static class ArtworkDeeds
{
    private const long LeftBehind = 150_000_000;

    // pictures that are being measured, by artwork
    private static readonly ConcurrentDictionary<string, MeasuringNow> Measuring = new();

    /// <summary>Share of an artwork's measuring that is done, 0 to 1; null when it is not being measured.</summary>
    public static double? Progress(string id) => Measuring.TryGetValue(id, out var now) ? now.Share : null;

    /// <summary>Stops measuring an artwork; nothing of it is kept. False when it is not being measured.</summary>
    public static bool Stop(string id)
    {
        if (!Measuring.TryGetValue(id, out var now))
        {
            return false;
        }
        now.Stop.Cancel();
        return true;
    }

    /// <summary>Reads and measures a picture, outside any transaction.</summary>
    /// <param name="shop">Where files are kept.</param>
    /// <param name="id">Identity of the artwork.</param>
    /// <param name="name">Its name.</param>
    /// <param name="widthIn">Print width.</param>
    /// <param name="file">The file.</param>
    /// <param name="gone">Ends it: who sent it went away.</param>
    public static async Task<Design> Measured(
        OpenShop shop,
        string id,
        string name,
        double widthIn,
        byte[] file,
        CancellationToken gone = default
    )
    {
        // not disposed: who stops it may come while it ends
        var stop = CancellationTokenSource.CreateLinkedTokenSource(gone);
        var now = Measuring[id] = new(stop);
        try
        {
            var facts = PictureFile.Look(file);
            var raster =
                facts.Kind == "svg"
                    ? await DrawingApart.Read(file, widthIn, stop.Token)
                    : await Task.Run(() => PictureFile.Read(file, widthIn), stop.Token);
            var report = await Task.Run(() => Reported(raster, widthIn, facts.Kind == "svg", now), stop.Token)
                ?? throw new RefusedException(
                    400,
                    "nothing-painted",
                    "Nothing in the picture is painted: it is all clear.",
                    remedy: "Send the picture with the print in it.",
                    "file"
                );
            report = report with { MirroredText = facts.Kind == "svg" && SvgLettering.RunsBackwards(file) };
            return new(
                new DesignId(id),
                name,
                facts.Kind,
                KeptFiles.Keep(shop.Db.Folder, file),
                file.Length,
                widthIn,
                report,
                Rights.Unsaid
            );
        }
        catch (OperationCanceledException)
        {
            throw new RefusedException(
                409,
                "stopped",
                "Measuring was stopped; the picture was not taken in.",
                remedy: "Send it again when it is wanted.",
                "file"
            );
        }
        catch (NotAPictureException not)
        {
            throw new RefusedException(400, "not-a-picture", not.Message, not.Remedy, "file");
        }
        finally
        {
            Measuring.TryRemove(new(id, now));
            // a large picture leaves hundreds of megabytes behind: on the shop's small machine they go back at once
            if (GC.GetTotalMemory(false) > LeftBehind)
            {
                GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive);
            }
        }
    }

    // a very large one at half its pixels each way
    private static ArtworkReport? Reported(Raster whole, double widthIn, bool vector, MeasuringNow now)
    {
        var halved = (long)whole.Width * whole.Height > ArtworkReport.MostMeasured;
        var raster = halved ? whole.Halved() : whole;
        var report = ArtworkReport.Measure(raster, widthIn, vector, now.Come);
        if (report is null)
        {
            return null;
        }
        report = report with { Code = CodeReader.Find(raster) };
        return halved ? report.Doubled(whole.Width, heightPx: whole.Height) : report;
    }

    /// <summary>Keeps an artwork; asks that are not quoted yet and use it are described by it anew.</summary>
    public static long Keep(SqliteConnection connection, Design design, long seen, Deed deed)
    {
        RefusedException.IfAny(design.Problems());
        var version = Aggregates.Designs.Put(connection, design, seen, deed);
        Describe(connection, design, deed);
        return version;
    }

    /// <summary>Describes the placements of every ask that is not quoted yet by an artwork as it is now.</summary>
    public static void Describe(SqliteConnection connection, Design design, Deed deed)
    {
        foreach (
            var order in OrderStore
                .Open(connection)
                .Where(o =>
                    o.Value.Ask.Lines.Any(l => l.Placements.Any(p => p.DesignId == design.Id))
                    && QuoteStore.Standing(connection, o.Value.Id) is null
                )
        )
        {
            var ask = order.Value.Ask with
            {
                Lines =
                [
                    .. order.Value.Ask.Lines.Select(l =>
                        l with
                        {
                            Placements =
                            [
                                .. l.Placements.Select(p => p.DesignId == design.Id ? design.Described(p) : p),
                            ],
                        }
                    ),
                ],
            };
            Aggregates.Orders.Put(
                connection,
                order.Value with
                {
                    Ask = ask,
                },
                order.Version,
                deed with
                {
                    Undoable = false,
                }
            );
        }
    }

    /// <summary>The artwork with its flat ground made clear; the file as it came is kept beside.</summary>
    public static async Task<Design> KnockedOut(OpenShop shop, Design design)
    {
        if (design.Report.Ground is not { } ground)
        {
            throw new RefusedException(
                409,
                "no-ground",
                $"{design.Name} has no flat ground to knock out.",
                remedy: "Ask for the picture with a clear ground."
            );
        }
        var cut = await Task.Run(() =>
            PngPicture.Write(
                FlatGround.KnockedOut(
                    PictureFile.Read(KeptFiles.Read(shop.Db.Folder, design.Hash), design.WidthIn),
                    ground
                )
            )
        );
        return (await Measured(shop, design.Id.Text, design.Name, design.WidthIn, cut)) with
        {
            Rights = design.Rights,
            NextTime = design.NextTime,
            CameAs = design.CameAs ?? design.Hash,
        };
    }

    private sealed class MeasuringNow(CancellationTokenSource stop)
    {
        public CancellationTokenSource Stop { get; } = stop;

        public double Share { get; private set; }

        public void Come(double share)
        {
            Stop.Token.ThrowIfCancellationRequested();
            Share = share;
        }
    }
}
