using System.Buffers.Binary;
using System.Globalization;
using System.IO.Compression;

namespace Wendro.Browser.Tests;

/// <summary>A photograph as a camera in warm light would take it: hair above, a grey card below. PNG.</summary>
internal static class TestPicture
{
    private const int Width = 240,
        Height = 300,
        CardFrom = 190;

    /// <summary>Writes one.</summary>
    /// <param name="file">Where.</param>
    /// <param name="hex">The hair's colour in even daylight, #rrggbb.</param>
    public static void Write(string file, string hex)
    {
        double Of(int at) =>
            Math.Pow(int.Parse(hex.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) / 255.0, 2.2);
        double[] hair = [Of(1), Of(3), Of(5)];
        double[] light = [1.15, 1, 0.75];
        using var rows = new MemoryStream();
        for (var y = 0; y < Height; y++)
        {
            rows.WriteByte(0);
            for (var x = 0; x < Width; x++)
            {
                for (var c = 0; c < 3; c++)
                {
                    var linear = y < CardFrom ? hair[c] * (0.5 + 0.02 * (x % 11)) : 0.18;
                    rows.WriteByte((byte)Math.Round(255 * Math.Pow(Math.Min(1, linear * light[c]), 1 / 2.2)));
                }
            }
        }

        using var png = File.Create(file);
        png.Write([0x89, .. "PNG\r\n"u8, 0x1A, (byte)'\n']);
        byte[] size = new byte[13];
        BinaryPrimitives.WriteInt32BigEndian(size, Width);
        BinaryPrimitives.WriteInt32BigEndian(size.AsSpan(4), Height);
        (size[8], size[9]) = (8, 2);
        Chunk(png, "IHDR"u8, size);
        using var packed = new MemoryStream();
        using (var zlib = new ZLibStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            zlib.Write(rows.ToArray());
        }

        Chunk(png, "IDAT"u8, packed.ToArray());
        Chunk(png, "IEND"u8, []);
    }

    private static void Chunk(Stream png, ReadOnlySpan<byte> name, byte[] data)
    {
        byte[] whole = [.. name, .. data];
        Span<byte> four = stackalloc byte[4];
        BinaryPrimitives.WriteInt32BigEndian(four, data.Length);
        png.Write(four);
        png.Write(whole);
        BinaryPrimitives.WriteUInt32BigEndian(four, Crc(whole));
        png.Write(four);
    }

    private static uint Crc(byte[] bytes)
    {
        var crc = 0xFFFFFFFF;
        foreach (var b in bytes)
        {
            crc ^= b;
            for (var k = 0; k < 8; k++)
            {
                crc = (crc & 1) == 1 ? 0xEDB88320 ^ (crc >> 1) : crc >> 1;
            }
        }

        return crc ^ 0xFFFFFFFF;
    }
}
