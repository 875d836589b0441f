using System.Buffers.Binary;
using System.IO.Compression;
using System.IO.Hashing;

namespace Hepno.Formats;

/// <summary>Writes a PNG of any length row by row: a picture of 22 × 240 in at 300 pixels an inch has 475 million
/// pixels and never lies in memory as a whole.</summary>
public sealed class PngBands : IDisposable
{
    private const int MostInChunk = 1 << 16;
    private static readonly byte[] Signature = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];

    private readonly Stream _to;
    private readonly int _stride;
    private readonly Chunks _chunks;
    private readonly ZLibStream _packed;
    private readonly byte[] _line;

    /// <summary>Begins a picture of straight-alpha sRGB.</summary>
    /// <param name="to">Where it is written.</param>
    /// <param name="width">Pixels across.</param>
    /// <param name="height">Rows that will be written.</param>
    /// <param name="pixelsAnInch">Its true scale.</param>
    public PngBands(Stream to, int width, int height, double pixelsAnInch)
    {
        (_to, _stride, _line) = (to, width * 4, new byte[(width * 4) + 1]);
        to.Write(Signature);
        Span<byte> head = stackalloc byte[13];
        BinaryPrimitives.WriteInt32BigEndian(head, width);
        BinaryPrimitives.WriteInt32BigEndian(head[4..], height);
        // 8 bits of red, green, blue and alpha
        (head[8], head[9]) = (8, 6);
        Chunk(to, "IHDR"u8, head);
        Chunk(to, "sRGB"u8, [0]);
        Span<byte> scale = stackalloc byte[9];
        var perMetre = (uint)Math.Round(pixelsAnInch / 0.0254);
        BinaryPrimitives.WriteUInt32BigEndian(scale, perMetre);
        BinaryPrimitives.WriteUInt32BigEndian(scale[4..], perMetre);
        scale[8] = 1;
        Chunk(to, "pHYs"u8, scale);
        _chunks = new(to);
        _packed = new(_chunks, CompressionLevel.Fastest, leaveOpen: true);
    }

    /// <summary>Writes whole rows, from the top.</summary>
    /// <param name="rows">Their pixels, 4 bytes each.</param>
    public void Write(ReadOnlySpan<byte> rows)
    {
        for (var at = 0; at < rows.Length; at += _stride)
        {
            // each pixel as its difference to its left neighbour: flat colours and clear film become zeros
            var row = rows.Slice(at, _stride);
            _line[0] = 1;
            row[..4].CopyTo(_line.AsSpan(1));
            for (var i = 4; i < _stride; i++)
            {
                _line[i + 1] = (byte)(row[i] - row[i - 4]);
            }
            _packed.Write(_line);
        }
    }

    /// <summary>Ends the picture; the stream stays open.</summary>
    public void Dispose()
    {
        _packed.Dispose();
        _chunks.Dispose();
        Chunk(_to, "IEND"u8, []);
    }

    private static void Chunk(Stream to, ReadOnlySpan<byte> kind, ReadOnlySpan<byte> data)
    {
        Span<byte> number = stackalloc byte[4];
        BinaryPrimitives.WriteInt32BigEndian(number, data.Length);
        to.Write(number);
        to.Write(kind);
        to.Write(data);
        var crc = new Crc32();
        crc.Append(kind);
        crc.Append(data);
        BinaryPrimitives.WriteUInt32BigEndian(number, crc.GetCurrentHashAsUInt32());
        to.Write(number);
    }

    /// <summary>What is packed, cut into chunks of the file.</summary>
    private sealed class Chunks(Stream to) : Stream
    {
        private readonly byte[] _held = new byte[MostInChunk];
        private int _count;

        public override bool CanRead => false;

        public override bool CanSeek => false;

        public override bool CanWrite => true;

        public override long Length => throw new NotSupportedException();

        public override long Position
        {
            get => throw new NotSupportedException();
            set => throw new NotSupportedException();
        }

        public override void Write(byte[] buffer, int offset, int count) => Write(buffer.AsSpan(offset, count));

        public override void Write(ReadOnlySpan<byte> buffer)
        {
            while (buffer.Length > 0)
            {
                var n = Math.Min(buffer.Length, MostInChunk - _count);
                buffer[..n].CopyTo(_held.AsSpan(_count));
                _count += n;
                buffer = buffer[n..];
                if (_count == MostInChunk)
                {
                    Send();
                }
            }
        }

        public override void Flush() { }

        public override int Read(byte[] buffer, int offset, int count) => throw new NotSupportedException();

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        protected override void Dispose(bool disposing)
        {
            Send();
            base.Dispose(disposing);
        }

        private void Send()
        {
            if (_count > 0)
            {
                Chunk(to, "IDAT"u8, _held.AsSpan(0, _count));
                _count = 0;
            }
        }
    }
}
