namespace Wendro.Core.Head;

/// <summary>Where she parts her hair: a straight line from the front hairline back to the crown.</summary>
/// <param name="FrontCm">Where it starts at the hairline, cm towards her left of the middle, −6..6.</param>
/// <param name="BackCm">Where it ends at the crown, cm towards her left of the middle, −3..3.</param>
public sealed record PartLine(double FrontCm = 0, double BackCm = 0)
{
    /// <summary>The part in the middle.</summary>
    public static PartLine Central { get; } = new();

    /// <summary>Whether both sides are the same.</summary>
    public bool IsCentral => Math.Abs(FrontCm) < 1e-9 && Math.Abs(BackCm) < 1e-9;

    /// <summary>Distance of the part from the middle of the head, measured over the top, at a depth z; cm towards her left.</summary>
    public double OffsetAt(double z)
    {
        const double front = 7.5;
        const double back = -5.6;
        var t = Math.Clamp((front - z) / (front - back), 0, 1);
        return FrontCm + (BackCm - FrontCm) * t;
    }
}
