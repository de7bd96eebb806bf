namespace Wendro.Fall;

/// <summary>Where along a strand something lies: finer near the scalp, where paint begins, than at the ends.</summary>
public static class Places
{
    /// <summary>Points a strand's middle line is kept in, before its texture is laid on.</summary>
    public const int Points = 32;

    /// <summary>Places along a strand at which its level is known.</summary>
    public const int Count = 64;

    private static readonly float[] PointShares =
    [
        .. Enumerable.Range(0, Points).Select(i => (float)ShareAt(i / (Points - 1.0))),
    ];

    private static readonly float[] Shares = Enumerable
        .Range(0, Count)
        .Select(i => (float)ShareAt(i / (Count - 1.0)))
        .ToArray();

    /// <summary>Share of the strand's length, 0..1, at a place 0..63: 0.62 q² + 0.38 q.</summary>
    public static float Share(int place) => Shares[place];

    /// <summary>Share of the strand's length, 0..1, at a point 0..31 of its middle line.</summary>
    public static float ShareOfPoint(int point) => PointShares[point];

    /// <summary>Share of the length at q = 0..1 along the numbering.</summary>
    public static double ShareAt(double q) => (0.62 * q + 0.38) * q;

    /// <summary>Where along the numbering, 0..1, a share of the length lies.</summary>
    public static float NumberOf(float share)
    {
        // Solves 0.62 q² + 0.38 q = share.
        return (MathF.Sqrt(0.38f * 0.38f + 4 * 0.62f * MathF.Max(share, 0)) - 0.38f) / (2 * 0.62f);
    }
}
