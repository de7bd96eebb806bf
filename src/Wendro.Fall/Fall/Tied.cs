using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Where hair is held together: the middle of the knot, how thick it is, and the middle line of the tail that leaves
/// it.
/// </summary>
/// <param name="At">Middle of the knot.</param>
/// <param name="RadiusCm">How thick it is.</param>
/// <param name="Tail">Middle line of the tail.</param>
/// <param name="Holds">Which strands it holds.</param>
internal sealed record TieKnot(Vector3 At, float RadiusCm, Vector3[] Tail, bool[] Holds);

/// <summary>Where hair is tied and which of it. Model assumption.</summary>
/// <param name="Direction">From the skull's centre to the knot.</param>
/// <param name="OffCm">How far the knot stands off the head.</param>
/// <param name="Part">Share of a whole head's hair that its tail carries.</param>
internal sealed record Tie(Vector3 Direction, float OffCm, float Part)
{
    private static readonly Tie High = new(Vector3.Normalize(new Vector3(0, 0.52f, -0.85f)), 1.5f, 1);
    private static readonly Tie Low = new(Vector3.Normalize(new Vector3(0, -0.48f, -0.87f)), 1.4f, 1);
    private static readonly Tie Half = new(Vector3.Normalize(new Vector3(0, 0.36f, -0.93f)), 1.8f, 0.45f);

    /// <summary>The tie of a wear that has one.</summary>
    public static Tie Of(Wear wear) =>
        wear switch
        {
            Wear.TiedHigh => High,
            Wear.TiedLow => Low,
            Wear.HalfUp => Half,
            Wear.Down or Wear.OtherPart or Wear.Tucked or Wear.SweptBack or Wear.Wet =>
                throw new ArgumentOutOfRangeException(nameof(wear), wear, "This wear has no tie."),
        };

    /// <summary>
    /// Whether hair rooted at a place is tied: all of it, or half up what grows above a line rising to the back.
    /// </summary>
    public bool Takes(Vector3 root) => Part >= 1 || root.Y > 4 - 0.22f * (root.Z - 2);

    /// <summary>
    /// Which way hair is combed on its way to the knot: high over the head; low, the front over the ear.
    /// </summary>
    public Vector3 Middle(Vector3 from, int side, float above)
    {
        if (this != Low)
        {
            return Vector3.Normalize(from + Direction * 0.9f + new Vector3(side * 0.05f * (1 - above), 0.08f, 0));
        }

        var front = Curve.Smooth(-0.35f, 0.25f, from.Z);
        var straight = Vector3.Normalize(from + Direction * 0.9f);
        var overEar = Vector3.Normalize(new Vector3(side, 0.06f + 0.75f * above, -0.18f - 0.2f * above));
        return Vector3.Normalize(Vector3.Lerp(straight, overEar, front));
    }
}

/// <summary>
/// Hair tied back: combed over the head to the knot, then hanging as one tail; what is not tied hangs as it did.
/// Model assumption.
/// </summary>
internal sealed class Tied(HeadForm head, Strands strands, HairProfile hair, Tie tie, Texture texture)
{
    private const int P = Places.Points;
    private const float KnotRadius = 1.05f;
    private const int TailPoints = 48;
    private const float TailStep = 1.3f;

    /// <summary>By how much a tail of curls opens below its knot; a tail of tight ones is a puff.</summary>
    private const float FansOut = 0.8f,
        Puffs = 1.6f;
    private readonly Vector3 knotAt = Form.SkullCentre + tie.Direction * (Form.Radius(tie.Direction) + tie.OffCm);

    /// <summary>
    /// Middle lines of all strands, and how far each is combed straight; those too short to reach the knot stay
    /// loose.
    /// </summary>
    /// <param name="loose">Middle lines as they hang down.</param>
    /// <param name="lies">How far each lies straight as it hangs down, cm.</param>
    /// <param name="lengths">Length of every strand, cm.</param>
    public (Vector3[] Middle, float[] Combed, TieKnot Knot) Run(Vector3[] loose, float[] lies, float[] lengths)
    {
        var (line, across, along) = TailLine();
        var bulk = MathF.Sqrt(StrandSimulator.Bulk(hair) * tie.Part);
        var points = new Vector3[loose.Length];
        var holds = new bool[strands.Count];
        var combed = new float[strands.Count];
        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> path = stackalloc Vector3[28 + TailPoints];
                for (var i = chunk * strands.Count / 16; i < (chunk + 1) * strands.Count / 16; i++)
                {
                    var into = points.AsSpan(i * P, P);
                    if (!tie.Takes(strands.Scalp[i].Position))
                    {
                        loose.AsSpan(i * P, P).CopyTo(into);
                        combed[i] = lies[i];
                        continue;
                    }

                    holds[i] = true;
                    var count = ToKnot(i, path, bulk, out var way);
                    if (lengths[i] < way + 0.5f)
                    {
                        combed[i] = TooShort(i, loose.AsSpan(i * P, P), lies[i], path[..count], lengths[i], way, into);
                        continue;
                    }

                    for (var k = 1; k < TailPoints; k++)
                    {
                        path[count++] = InTail(i, k, line, across, along, bulk);
                    }

                    combed[i] = way;
                    Resample.Even(path[..count], Curls.MiddleLength(lengths[i], way, texture), into);
                }
            }
        );
        return (points, combed, new TieKnot(knotAt, KnotRadius, line, holds));
    }

    private int ToKnot(int i, Span<Vector3> path, float bulk, out float way)
    {
        const int steps = 28;
        var from = Vector3.Normalize(strands.Scalp[i].Position - Form.SkullCentre);
        var l = strands.Lock[i];
        var h = strands.Above[i];
        var middle = tie.Middle(from, strands.Side[i], h);
        var layer = bulk * (0.1f + 0.65f * (0.5f * Hash.Unit(l, 30) + 0.5f * h));

        // Hair arrives at the knot on the side it comes from.
        var (u, v) = Frame(tie.Direction);
        var arrive = from - tie.Direction * Vector3.Dot(from, tie.Direction);
        var angle = MathF.Atan2(Vector3.Dot(arrive, v), Vector3.Dot(arrive, u)) + 0.25f * Hash.Signed(i, 31);
        var within = KnotRadius * MathF.Sqrt(0.15f + 0.85f * Hash.Unit(i, 32));
        var end = knotAt + (u * MathF.Cos(angle) + v * MathF.Sin(angle)) * within;

        path[0] = strands.Scalp[i].Position + strands.Normal[i] * 0.03f;
        way = 0;
        for (var k = 1; k < steps; k++)
        {
            var t = k / (steps - 1f);
            var d = from * ((1 - t) * (1 - t)) + middle * (2 * t * (1 - t)) + tie.Direction * (t * t);
            d = Vector3.Normalize(d);
            var r = Form.SkullCentre + d * (RadiusOf(head, d) + layer * Curve.Smooth(0f, 0.3f, t) + 0.05f);
            path[k] = Vector3.Lerp(r, end, Curve.Smooth(0.62f, 1f, t));
            way += (path[k] - path[k - 1]).Length();
        }

        return steps;
    }

    /// <summary>How far the head reaches from the skull's centre in a direction, cm.</summary>
    public static float RadiusOf(HeadForm head, Vector3 d)
    {
        var r = 10.5f;
        for (var k = 0; k < 4; k++)
        {
            r -= head.Grid.At(Form.SkullCentre + d * r).W;
        }

        return r;
    }

    private float TooShort(
        int i,
        ReadOnlySpan<Vector3> loose,
        float lies,
        ReadOnlySpan<Vector3> path,
        float length,
        float way,
        Span<Vector3> into
    )
    {
        // What nearly reaches is tucked in; flyaways and tight curls are combed along; other short hair hangs out of
        // it.
        if (length > 0.72f * way || texture.Upright || HairOnHead.IsFlyaway(i))
        {
            Resample.Even(path, MathF.Min(length, way), into);
            return length;
        }

        loose.CopyTo(into);
        return lies;
    }

    /// <summary>
    /// The tail's middle: out of the knot, bending down, kept off the body; with frames carried along it.
    /// </summary>
    private (Vector3[] Line, Vector3[] Across, Vector3[] Along) TailLine()
    {
        var line = new Vector3[TailPoints];
        var across = new Vector3[TailPoints];
        var along = new Vector3[TailPoints];
        var at = knotAt;
        // A half-up tail is let go on the hair below it; a whole one springs from its knot, curls less far.
        var dir = Vector3.Normalize(
            tie.Direction * (tie.Part < 1 ? 0.3f : 1)
                + new Vector3(
                    0,
                    tie.Part < 1 ? -1
                        : texture.Coils ? -0.6f
                        : -0.1f,
                    0
                )
        );
        var (u, _) = Frame(dir);
        for (var k = 0; k < TailPoints; k++)
        {
            line[k] = at;
            along[k] = dir;
            u = Vector3.Normalize(u - dir * Vector3.Dot(u, dir));
            across[k] = u;
            dir = Vector3.Normalize(dir + new Vector3(0, -0.36f * TailStep, 0));
            at += dir * TailStep;
            var field = head.Grid.At(at);
            // A half-up tail lies on the hair that hangs below it.
            var room = Radius(k) + (tie.Part < 1 ? 1.1f : 0.4f);
            if (field.W < room)
            {
                var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
                at += n * (room - field.W);
                var inward = Vector3.Dot(dir, n);
                if (inward < 0)
                {
                    dir = Vector3.Normalize(dir - n * inward);
                }
            }
        }

        return (line, across, along);
    }

    private static float Radius(int k) => 1.2f + 1.1f * Curve.Smooth(0f, 20f, k * TailStep);

    private Vector3 InTail(int i, int k, Vector3[] line, Vector3[] across, Vector3[] along, float bulk)
    {
        var l = strands.Lock[i];
        var v = Vector3.Cross(along[k], across[k]);
        // Curls take room in a tail, and keep to their own curl.
        var spread = Radius(k) / 2.3f * bulk;
        if (texture.Coils)
        {
            spread *= texture.Volume * (1 + (texture.Upright ? Puffs : FansOut) * Curve.Smooth(0f, 8f, k * TailStep));
        }

        // Whole locks have their place in the tail, strands a place in their lock.
        var a = Hash.Unit(l, 33) * 2 * MathF.PI;
        var r = 1.55f * MathF.Sqrt(Hash.Unit(l, 34)) * spread;
        var b = Hash.Unit(i, 35) * 2 * MathF.PI;
        var q =
            (0.4f + 0.25f * Curve.Smooth(4f, 24f, k * TailStep))
            * MathF.Sqrt(Hash.Unit(i, 36))
            * (0.5f + spread)
            * (texture.Coils ? 1.2f - texture.Pull : 1);
        var x = r * MathF.Cos(a) + q * MathF.Cos(b);
        var y = r * MathF.Sin(a) + q * MathF.Sin(b);
        return line[k] + across[k] * x + v * y;
    }

    private static (Vector3 U, Vector3 V) Frame(Vector3 axis)
    {
        var u = Vector3.Normalize(Vector3.Cross(Vector3.UnitY, axis));
        return (u, Vector3.Cross(axis, u));
    }
}
