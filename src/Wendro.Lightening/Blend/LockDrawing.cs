using Wendro.Colour;
using Wendro.Fall;

namespace Wendro.Blend;

/// <summary>
/// The levels a picture is drawn with: each strand mixed with the mean of its lock at the same place, for a strand
/// stands for several hairs; white strands as white as their lock is. Drawing only.
/// </summary>
public static class LockDrawing
{
    /// <summary>Share of a strand's drawn level taken from its lock. Model assumption.</summary>
    public const double LockShare = 0.55;

    private const int N = Places.Count;

    /// <summary>Draws levels.</summary>
    /// <param name="strands">Strands and locks.</param>
    /// <param name="levels">Unmixed levels.</param>
    /// <param name="locks">Which locks to write; null for all.</param>
    /// <param name="into">Where to.</param>
    public static void Draw(Strands strands, byte[] levels, IReadOnlyCollection<int>? locks, byte[] into)
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(levels);
        ArgumentNullException.ThrowIfNull(into);
        if (locks is null)
        {
            Parallel.For(0, strands.LockCount, l => DrawLock(strands, levels, l, into));
            return;
        }

        foreach (var l in locks)
        {
            DrawLock(strands, levels, l, into);
        }
    }

    private static void DrawLock(Strands strands, byte[] levels, int l, byte[] into)
    {
        var (from, to) = (strands.LockStart[l], strands.LockStart[l + 1]);
        Span<int> sum = stackalloc int[N];
        sum.Clear();
        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                sum[k] += levels[i * N + k];
            }
        }

        Span<int> share = stackalloc int[N];
        for (var k = 0; k < N; k++)
        {
            share[k] = (int)(256 * LockShare * (0.55 + 0.45 * Places.Share(k)));
            sum[k] /= to - from;
        }

        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                into[i * N + k] = (byte)((levels[i * N + k] * (256 - share[k]) + sum[k] * share[k] + 128) >> 8);
            }
        }
    }

    /// <summary>Draws white strands as white as their lock is at the same place.</summary>
    /// <param name="strands">Strands and locks.</param>
    /// <param name="tints">Tints as they are.</param>
    /// <param name="locks">Which locks to write; null for all.</param>
    /// <param name="into">Where to: the same elsewhere.</param>
    public static void MixWhites(Strands strands, byte[] tints, IReadOnlyCollection<int>? locks, byte[] into)
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(tints);
        ArgumentNullException.ThrowIfNull(into);
        foreach (var l in locks ?? Enumerable.Range(0, strands.LockCount))
        {
            MixWhites(strands, tints, l, into);
        }
    }

    private static void MixWhites(Strands strands, byte[] tints, int l, byte[] into)
    {
        var (from, to) = (strands.LockStart[l], strands.LockStart[l + 1]);
        Span<int> white = stackalloc int[N];
        white.Clear();
        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                white[k] += tints[i * N + k] == Tint.White.Index ? 1 : 0;
            }
        }

        Span<byte> mixed = stackalloc byte[N];
        for (var k = 0; k < N; k++)
        {
            mixed[k] = Tint.Mixed(white[k] / (double)(to - from)).Index;
        }

        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                var tint = tints[i * N + k];
                into[i * N + k] = tint == Tint.White.Index ? mixed[k] : tint;
            }
        }
    }
}
