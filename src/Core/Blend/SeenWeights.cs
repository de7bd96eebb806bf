using Wendro.Core.Fall;

namespace Wendro.Core.Blend;

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

    private SeenWeights(float[] lengths, int cells)
    {
        Lengths = lengths;
        Start = new int[lengths.Length + 1];
        Place = new byte[cells];
        Bin = new byte[cells];
        All = new ushort[cells];
        Front = new ushort[cells];
    }

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
