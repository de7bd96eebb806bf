namespace Wendro.Head;

/// <summary>Where she parts her hair: a straight line from the front hairline back to the crown.</summary>
/// <param name="FrontCm">Where it starts at the hairline, cm towards her left of the middle, −6..6.</param>
/// <param name="BackCm">Where it ends at the crown, cm towards her left of the middle, −3..3.</param>
/// <param name="ZigzagMm">How far it goes to and fro, mm either way, 0..15; zones and sections keep to its middle
/// line.</param>
public sealed record PartLine(double FrontCm = 0, double BackCm = 0, double ZigzagMm = 0)
{
    /// <summary>One turn of a zigzag part, cm.</summary>
    private const double TurnCm = 2.2;

    /// <summary>Where a part that was in the middle goes when it is moved to the other side, cm.</summary>
    private const double AsideCm = 4;

    /// <summary>The part in the middle.</summary>
    public static PartLine Central { get; } = new();

    /// <summary>Whether both sides are the same.</summary>
    public bool IsCentral => Math.Abs(FrontCm) < 1e-9 && Math.Abs(BackCm) < 1e-9;

    /// <summary>
    /// The part she makes for a change (no property: a record writes out its properties, and this one would never
    /// end): mirrored, or to her left where it was about the middle.
    /// </summary>
    public PartLine MovedOver() =>
        Math.Abs(FrontCm) < 1.5
            ? this with
            {
                FrontCm = AsideCm,
                BackCm = AsideCm / 4,
            }
            : this with
            {
                FrontCm = -FrontCm,
                BackCm = -BackCm,
            };

    /// <summary>Where hair really parts at a depth z: the middle line, or to and fro about it.</summary>
    public double FallsAt(double z)
    {
        var turn = z / TurnCm - Math.Floor(z / TurnCm);
        return OffsetAt(z) + ZigzagMm / 10 * (4 * Math.Abs(turn - 0.5) - 1);
    }

    /// <summary>
    /// Distance of the part from the middle of the head, measured over the top, at a depth z; cm towards her left.
    /// </summary>
    public double OffsetAt(double z)
    {
        const double front = 7.5;
        const double back = -5.6;
        var t = Math.Clamp((front - z) / (front - back), 0, 1);
        return FrontCm + (BackCm - FrontCm) * t;
    }
}
