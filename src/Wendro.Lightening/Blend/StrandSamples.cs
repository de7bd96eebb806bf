using Wendro.Fall;

namespace Wendro.Blend;

/// <summary>What every strand is at its 64 places: how light, and what colours it.</summary>
/// <param name="Levels">Level bytes, strands × 64.</param>
/// <param name="Tints">Tint bytes, strands × 64: what measures of level never look at.</param>
public sealed record StrandSamples(byte[] Levels, byte[] Tints)
{
    /// <summary>Room for so many strands.</summary>
    public static StrandSamples For(int strands) =>
        new(new byte[strands * Places.Count], new byte[strands * Places.Count]);

    /// <summary>The same, to be changed.</summary>
    public StrandSamples Copy() => new((byte[])Levels.Clone(), (byte[])Tints.Clone());

    /// <summary>Takes one strand over from another.</summary>
    public void CopyStrand(StrandSamples from, int strand)
    {
        ArgumentNullException.ThrowIfNull(from);
        var (at, n) = (strand * Places.Count, Places.Count);
        from.Levels.AsSpan(at, n).CopyTo(Levels.AsSpan(at, n));
        from.Tints.AsSpan(at, n).CopyTo(Tints.AsSpan(at, n));
    }

    /// <summary>Level and tint by turns, strands × 64 × 2 bytes: as they travel.</summary>
    public byte[] ByTurns()
    {
        var turns = new byte[Levels.Length * 2];
        for (var i = 0; i < Levels.Length; i++)
        {
            (turns[2 * i], turns[2 * i + 1]) = (Levels[i], Tints[i]);
        }

        return turns;
    }

    /// <summary>Equal when every place is.</summary>
    public bool Equals(StrandSamples? other) =>
        other is not null && Levels.AsSpan().SequenceEqual(other.Levels) && Tints.AsSpan().SequenceEqual(other.Tints);

    /// <inheritdoc/>
    public override int GetHashCode() => Levels.Length;
}
