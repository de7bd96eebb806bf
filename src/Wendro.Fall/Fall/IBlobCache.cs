using System.Buffers;
using System.Runtime.InteropServices;

namespace Wendro.Fall;

/// <summary>
/// Where what takes long to make is put away by a key and may be found again later: it can be lost at any time and is
/// then made anew.
/// </summary>
public interface IBlobCache
{
    /// <summary>What was put away; null where it is not there, or not whole.</summary>
    byte[]? Find(string key);

    /// <summary>Puts something away, or not.</summary>
    void Put(string key, byte[] bytes);
}

/// <summary>Arrays of plain values one after the other as bytes: a count of values each, then the values.</summary>
public sealed class BlobPacking
{
    private readonly ArrayBufferWriter<byte> into = new();

    /// <summary>All of them.</summary>
    public byte[] Bytes => into.WrittenSpan.ToArray();

    /// <summary>Adds an array.</summary>
    public BlobPacking Add<T>(ReadOnlySpan<T> values)
        where T : unmanaged
    {
        into.Write(BitConverter.GetBytes(values.Length));
        into.Write(MemoryMarshal.AsBytes(values));
        return this;
    }

    /// <summary>Reads arrays in the order they were added.</summary>
    /// <param name="bytes">The bytes.</param>
    public sealed class Reader(byte[] bytes)
    {
        private int at;

        /// <summary>Whether all was read, and all of it was there.</summary>
        public bool IsWhole => at == bytes.Length;

        /// <summary>The next array; empty where it is not whole.</summary>
        public T[] Next<T>()
            where T : unmanaged
        {
            var size = Marshal.SizeOf<T>();
            if (at < 0 || at + sizeof(int) > bytes.Length)
            {
                at = -1;
                return [];
            }

            var count = BitConverter.ToInt32(bytes, at);
            if (count < 0 || (long)at + sizeof(int) + (long)count * size > bytes.Length)
            {
                at = -1;
                return [];
            }

            var values = MemoryMarshal.Cast<byte, T>(bytes.AsSpan(at + sizeof(int), count * size)).ToArray();
            at += sizeof(int) + count * size;
            return values;
        }
    }
}
