using Wendro.Fall;

namespace Wendro.Blend;

/// <summary>
/// How much of every place of every strand is seen in one wear, over front, both sides and back: the seen buffers
/// added up once,
/// so that a measure after an edit reads only the strands that changed.
/// </summary>
public sealed class SeenWeights
{
    /// <summary>Length of a bin along the hair, cm.</summary>
    public const double BinCm = 0.5;

    /// <summary>Bins kept along the hair.</summary>
    public const int Bins = 160;

    private SeenWeights(float[] lengths, int[] start, byte[] place, byte[] bin, ushort[] all, ushort[] front) =>
        (Lengths, Start, Place, Bin, All, Front) = (lengths, start, place, bin, all, front);

    private SeenWeights(float[] lengths, int cells)
        : this(
            lengths,
            new int[lengths.Length + 1],
            new byte[cells],
            new byte[cells],
            new ushort[cells],
            new ushort[cells]
        ) { }

    /// <summary>Length of every strand, cm.</summary>
    public float[] Lengths { get; }

    /// <summary>First cell of each strand, and one past the last.</summary>
    public int[] Start { get; }

    /// <summary>Place along the strand of each cell.</summary>
    public byte[] Place { get; }

    /// <summary>Half centimetre from the scalp of each cell.</summary>
    public byte[] Bin { get; }

    /// <summary>Samples seen of each cell in all four views.</summary>
    public ushort[] All { get; }

    /// <summary>Samples seen of each cell from the front.</summary>
    public ushort[] Front { get; }

    /// <summary>Adds the views up.</summary>
    /// <param name="seen">Views of one wear; the one at angle 0 is the front.</param>
    /// <param name="lengths">Length of every strand, cm.</param>
    public static SeenWeights Of(IReadOnlyList<Seen> seen, float[] lengths)
    {
        ArgumentNullException.ThrowIfNull(seen);
        ArgumentNullException.ThrowIfNull(lengths);
        var all = new ushort[lengths.Length * Places.Count];
        var front = new ushort[lengths.Length * Places.Count];
        foreach (var view in seen)
        {
            for (var s = 0; s < view.Strand.Length; s++)
            {
                var cell = view.Strand[s] * Places.Count + view.Place[s];
                all[cell]++;
                if (view.View.Angle == 0)
                {
                    front[cell]++;
                }
            }
        }

        var weights = new SeenWeights(lengths, all.Count(w => w > 0));
        var at = 0;
        for (var i = 0; i < lengths.Length; i++)
        {
            weights.Start[i] = at;
            for (var k = 0; k < Places.Count; k++)
            {
                var cell = i * Places.Count + k;
                if (all[cell] > 0)
                {
                    weights.Place[at] = (byte)k;
                    weights.Bin[at] = (byte)Math.Min(Places.Share(k) * lengths[i] / BinCm, Bins - 1);
                    weights.All[at] = all[cell];
                    weights.Front[at] = front[cell];
                    at++;
                }
            }
        }

        weights.Start[lengths.Length] = at;
        return weights;
    }

    /// <summary>Room it takes, bytes.</summary>
    public long Bytes => Place.LongLength * 6 + Start.LongLength * 4;

    /// <summary>What is seen of each cell, as bytes to put away.</summary>
    internal byte[] Pack() =>
        new BlobPacking().Add<int>(Start).Add<byte>(Place).Add<byte>(Bin).Add<ushort>(All).Add<ushort>(Front).Bytes;

    /// <summary>What was put away; null where it is not whole or belongs to other hair.</summary>
    internal static SeenWeights? Unpack(byte[] bytes, float[] lengths)
    {
        var read = new BlobPacking.Reader(bytes);
        var (start, place, bin) = (read.Next<int>(), read.Next<byte>(), read.Next<byte>());
        var (all, front) = (read.Next<ushort>(), read.Next<ushort>());
        return
            read.IsWhole
            && start.Length == lengths.Length + 1
            && start[^1] == place.Length
            && bin.Length == place.Length
            && all.Length == place.Length
            && front.Length == place.Length
            ? new SeenWeights(lengths, start, place, bin, all, front)
            : null;
    }

    /// <summary>Samples seen of one strand.</summary>
    public int OfStrand(int strand)
    {
        var sum = 0;
        for (var c = Start[strand]; c < Start[strand + 1]; c++)
        {
            sum += All[c];
        }

        return sum;
    }
}
