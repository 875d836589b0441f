using System.Buffers.Binary;
using System.Diagnostics;
using System.Globalization;
using System.Runtime.InteropServices;
using Hepno.Core.Artwork;
using Hepno.Formats;

namespace Hepno.Web.Drawings;

/// <summary>
/// Draws a drawing that comes from outside in a process of its own: it gets so much time and memory and no more, and a
/// refused one
/// stops computing at once, which a thread cannot be made to do. What was drawn once is trusted and drawn in this
/// process.
/// </summary>
internal static class DrawingApart
{
    public const string Verb = "draw";

    private const int NotADrawing = 3;
    private const ulong MostMemory = 3_000_000_000;
    private const ulong MostSeconds = 12;

    // one at a time, as large pictures are
    private static readonly SemaphoreSlim Turn = new(1, 1);
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(20);

    /// <summary>Draws it for a print of some width.</summary>
    /// <param name="file">The file as it came.</param>
    /// <param name="widthIn">Print width, in.</param>
    /// <param name="stop">Ends it at once.</param>
    /// <exception cref="NotAPictureException">It is no drawing that can be taken.</exception>
    public static async Task<Raster> Read(byte[] file, double widthIn, CancellationToken stop)
    {
        await Turn.WaitAsync(stop);
        try
        {
            using var late = CancellationTokenSource.CreateLinkedTokenSource(stop);
            late.CancelAfter(Longest);
            using var apart = Process.Start(
                new ProcessStartInfo(
                    DotNet(),
                    [typeof(Program).Assembly.Location, Verb, widthIn.ToString("R", CultureInfo.InvariantCulture)]
                )
                {
                    RedirectStandardInput = true,
                    RedirectStandardOutput = true,
                    RedirectStandardError = true,
                }
            )!;
            try
            {
                var said = apart.StandardError.ReadToEndAsync(late.Token);
                await Send(apart, file, late.Token);
                var raster = await Received(apart.StandardOutput.BaseStream, late.Token);
                await apart.WaitForExitAsync(late.Token);
                return apart.ExitCode == 0 && raster is not null
                    ? raster
                    : throw Refused(apart.ExitCode, (await said).Split('\n'));
            }
            catch (OperationCanceledException) when (!stop.IsCancellationRequested)
            {
                throw Refused(-1, []);
            }
            finally
            {
                apart.Kill(entireProcessTree: true);
            }
        }
        finally
        {
            Turn.Release();
        }
    }

    /// <summary>The other side: reads the file from its input and writes width, height and pixels.</summary>
    public static int Run(string[] args)
    {
        Limit(resource: 0, MostSeconds);
        Limit(resource: 9, (ulong)Process.GetCurrentProcess().VirtualMemorySize64 + MostMemory);
        try
        {
            using var file = new MemoryStream();
            Console.OpenStandardInput().CopyTo(file);
            var raster = SvgDrawing.Read(file.ToArray(), double.Parse(args[1], CultureInfo.InvariantCulture));
            using var to = Console.OpenStandardOutput();
            Span<byte> size = stackalloc byte[8];
            BinaryPrimitives.WriteInt32LittleEndian(size, raster.Width);
            BinaryPrimitives.WriteInt32LittleEndian(size[4..], raster.Height);
            to.Write(size);
            to.Write(raster.Rgba);
            return 0;
        }
        catch (NotAPictureException not)
        {
            Console.Error.Write($"{not.Message}\n{not.Remedy}");
            return NotADrawing;
        }
    }

    private static async Task Send(Process apart, byte[] file, CancellationToken stop)
    {
        try
        {
            await apart.StandardInput.BaseStream.WriteAsync(file, stop);
            apart.StandardInput.Close();
        }
        catch (IOException)
        {
            // it ended before it had read all: its exit code says why
        }
    }

    private static async Task<Raster?> Received(Stream from, CancellationToken stop)
    {
        var size = new byte[8];
        if (await from.ReadAtLeastAsync(size, size.Length, throwOnEndOfStream: false, stop) < size.Length)
        {
            return null;
        }
        var (w, h) = (
            BinaryPrimitives.ReadInt32LittleEndian(size),
            BinaryPrimitives.ReadInt32LittleEndian(size.AsSpan(4))
        );
        var pixels = new byte[w * h * 4];
        return await from.ReadAtLeastAsync(pixels, pixels.Length, throwOnEndOfStream: false, stop) == pixels.Length
            ? new(w, h, pixels)
            : null;
    }

    private static NotAPictureException Refused(int code, string[] said) =>
        code == NotADrawing && said.Length == 2
            ? new(said[0], remedy: said[1])
            : new(
                "The drawing takes more time or memory to draw than Hepno gives it.",
                remedy: "Simplify it, or save it as PNG at print size."
            );

    // the program may be hosted by another, as in its tests
    private static string DotNet() =>
        Environment.ProcessPath is { } own && Path.GetFileNameWithoutExtension(own) == "dotnet"
            ? own
            : Path.GetFullPath(Path.Combine(RuntimeEnvironment.GetRuntimeDirectory(), "..", "..", "..", "dotnet"));

    private static void Limit(int resource, ulong most) => _ = SetLimit(resource, new() { Soft = most, Hard = most });

    [DllImport("libc", EntryPoint = "setrlimit")]
    private static extern int SetLimit(int resource, in ResourceLimit limit);

    private struct ResourceLimit
    {
        public ulong Soft;
        public ulong Hard;
    }
}
