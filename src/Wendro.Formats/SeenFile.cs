using System.Buffers.Binary;
using System.Runtime.InteropServices;
using Wendro.Fall;

namespace Wendro.Formats;

/// <summary>
/// A seen buffer as bytes, little-endian: "WSEN", version u16, width u16, height u16, samples across a pixel u8,
/// places u8,
/// angle u16, wear u8, tilt i8, strands u32, samples u32 (24 bytes); then counts u8 and grey u8 by pixel, strand u16,
/// place u8, shade u8,
/// shine u8 by sample.
/// </summary>
public static class SeenFile
{
    /// <summary>Version of the layout.</summary>
    public const ushort Version = 1;

    /// <summary>Length of the head, bytes.</summary>
    public const int HeadBytes = 24;

    /// <summary>Writes a seen buffer.</summary>
    /// <param name="seen">What is seen.</param>
    /// <param name="strands">How many strands the hair has.</param>
    public static byte[] Write(Seen seen, int strands)
    {
        ArgumentNullException.ThrowIfNull(seen);
        var pixels = View.Width * View.Height;
        var samples = seen.Strand.Length;
        var bytes = new byte[HeadBytes + pixels * 2 + samples * 5];
        "WSEN"u8.CopyTo(bytes);
        BinaryPrimitives.WriteUInt16LittleEndian(bytes.AsSpan(4), Version);
        BinaryPrimitives.WriteUInt16LittleEndian(bytes.AsSpan(6), View.Width);
        BinaryPrimitives.WriteUInt16LittleEndian(bytes.AsSpan(8), View.Height);
        bytes[10] = View.Across;
        bytes[11] = Places.Count;
        BinaryPrimitives.WriteUInt16LittleEndian(bytes.AsSpan(12), (ushort)seen.View.Angle);
        bytes[14] = (byte)seen.Wear;
        bytes[15] = (byte)(sbyte)seen.View.Tilt;
        BinaryPrimitives.WriteUInt32LittleEndian(bytes.AsSpan(16), (uint)strands);
        BinaryPrimitives.WriteUInt32LittleEndian(bytes.AsSpan(20), (uint)samples);
        var at = HeadBytes;
        seen.Counts.CopyTo(bytes, at);
        seen.Grey.CopyTo(bytes, at += pixels);
        MemoryMarshal.AsBytes(seen.Strand.AsSpan()).CopyTo(bytes.AsSpan(at += pixels));
        seen.Place.CopyTo(bytes, at += samples * 2);
        seen.Shade.CopyTo(bytes, at += samples);
        seen.Shine.CopyTo(bytes, at + samples);
        return bytes;
    }
}
