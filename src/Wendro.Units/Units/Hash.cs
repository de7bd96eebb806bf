using System.Runtime.CompilerServices;

namespace Wendro.Units;

/// <summary>
/// A repeatable number for a seed and keys. Never a random stream, so that one change moves nothing else.
/// </summary>
public static class Hash
{
    /// <summary>Mixes two words into one (murmur-style finalisation).</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static uint Mix(uint a, uint b)
    {
        var h = a * 0x9E3779B1u ^ (b + 0x7F4A7C15u) * 0x85EBCA77u;
        h ^= h >> 15;
        h *= 0x2C1B3C6Du;
        h ^= h >> 12;
        h *= 0x297A2D39u;
        h ^= h >> 15;
        return h;
    }

    /// <summary>A number 0 ≤ h &lt; 1 for two keys.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static float Unit(int a, int b) => (Mix((uint)a, (uint)b) >> 8) * (1f / 16777216f);

    /// <summary>A number −1 ≤ h &lt; 1 for two keys.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static float Signed(int a, int b) => Unit(a, b) * 2 - 1;
}
