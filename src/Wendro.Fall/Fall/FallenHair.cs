using System.Numerics;
using Wendro.Head;

namespace Wendro.Fall;

/// <summary>
/// Hair as it hangs in one wear: every strand as a number of points, with the room it takes. Depends on hair, head,
/// part and wear, never on paint.
/// </summary>
public sealed class FallenHair
{
    internal FallenHair(
        Strands strands,
        Wear wear,
        Vector3[] points,
        Texture texture,
        float[] lengths,
        HeadForm head,
        PartLine part,
        TieKnot? knot
    )
    {
        Strands = strands;
        Wear = wear;
        Points = points;
        Texture = texture;
        Each = texture.Points;
        Shares = Enumerable.Range(0, Each).Select(texture.ShareAt).ToArray();
        Lengths = lengths;
        Density = HairDensity.Of(points, strands.Count, Each);
        Head = head;
        Part = part;
        Knot = knot;
        Surface = new Surface(this);
    }

    /// <summary>Room it takes, bytes: points, normals, openness, density.</summary>
    public long Bytes => Points.LongLength * 17 + HairDensity.Bytes;

    /// <summary>The strands that fell.</summary>
    public Strands Strands { get; }

    /// <summary>How the hair is worn.</summary>
    public Wear Wear { get; }

    /// <summary>strands × <see cref="Each"/> points, cm; a strand's first is its root.</summary>
    public Vector3[] Points { get; }

    /// <summary>How many points a strand has: more where it curls.</summary>
    public int Each { get; }

    /// <summary>How it hangs.</summary>
    internal Texture Texture { get; }

    /// <summary>Share of its strand's length, 0..1, at which each point lies.</summary>
    public IReadOnlyList<float> Shares { get; }

    /// <summary>Length of every strand, cm: the cut, the same in every wear.</summary>
    public float[] Lengths { get; }

    /// <summary>How full of hair space is, for shade.</summary>
    internal HairDensity Density { get; }

    /// <summary>The head under it.</summary>
    public HeadForm Head { get; }

    /// <summary>Where it is parted in this wear.</summary>
    public PartLine Part { get; }

    /// <summary>Where it is tied, if it is.</summary>
    internal TieKnot? Knot { get; }

    /// <summary>Which way the hair faces and how open it lies.</summary>
    internal Surface Surface { get; }
}
