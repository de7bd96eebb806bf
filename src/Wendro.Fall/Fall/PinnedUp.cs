using System.Numerics;
using System.Security.Cryptography;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Hair clipped up, so that what lies beneath is seen as when sectioned: it lies along the head to a clip and is
/// wound round it. It belongs to seeing, never to paint.
/// </summary>
/// <param name="Clip">By strand: 0 hangs as it is worn, any other number is the clip that holds it.</param>
public sealed record PinnedUp(byte[] Clip)
{
    private const int Steps = 14;

    /// <summary>
    /// How far a clip stands off the head, how wide and how high hair is wound round it, length of a turn, cm.
    /// </summary>
    private const float OffCm = 1.2f,
        WoundCm = 1.7f,
        HighCm = 0.9f,
        TurnCm = 6;

    /// <summary>What tells two apart, in a few letters.</summary>
    public string Key { get; } = Convert.ToHexStringLower(SHA256.HashData(Clip))[..16];

    /// <summary>Whether anything is held.</summary>
    public bool HoldsAny => Clip.Any(c => c != 0);

    /// <summary>Lays what is clipped up over strands that hang.</summary>
    internal void Lay(Strands strands, HeadForm head, float[] lengths, Texture texture, Vector3[] points)
    {
        var clips = Clip.Select((clip, strand) => (clip, strand))
            .Where(c => c.clip != 0)
            .GroupBy(c => c.clip)
            .ToDictionary(g => g.Key, g => At(strands, head, g.Select(c => c.strand)));
        Parallel.For(
            0,
            16,
            chunk =>
            {
                for (var i = chunk * strands.Count / 16; i < (chunk + 1) * strands.Count / 16; i++)
                {
                    if (clips.TryGetValue(Clip[i], out var clip))
                    {
                        Strand(
                            strands,
                            head,
                            lengths[i],
                            texture,
                            i,
                            clip,
                            points.AsSpan(i * texture.Points, texture.Points)
                        );
                    }
                }
            }
        );
    }

    /// <summary>Where a clip sits: over the middle of what it holds, a little higher.</summary>
    private static (Vector3 Place, Vector3 Out) At(Strands strands, HeadForm head, IEnumerable<int> held)
    {
        var sum = held.Aggregate(
            Vector3.Zero,
            (s, i) => s + Vector3.Normalize(strands.Scalp[i].Position - Form.SkullCentre)
        );
        var mean = sum.LengthSquared() > 1e-6f ? Vector3.Normalize(sum) : Vector3.UnitY;
        var d = Vector3.Normalize(mean + new Vector3(0, 0.3f, 0));
        return (Form.SkullCentre + d * (Tied.RadiusOf(head, d) + OffCm), d);
    }

    private static void Strand(
        Strands strands,
        HeadForm head,
        float length,
        Texture texture,
        int i,
        (Vector3 Place, Vector3 Out) clip,
        Span<Vector3> into
    )
    {
        Span<Vector3> path = stackalloc Vector3[Steps];
        var from = Vector3.Normalize(strands.Scalp[i].Position - Form.SkullCentre);
        var layer = 0.25f + 0.6f * Hash.Unit(strands.Lock[i], 30);
        path[0] = strands.Scalp[i].Position + strands.Normal[i] * 0.03f;
        var way = 0f;
        for (var k = 1; k < Steps; k++)
        {
            var t = k / (Steps - 1f);
            var d = Vector3.Normalize(Vector3.Lerp(from, clip.Out, t));
            var over = Form.SkullCentre + d * (Tied.RadiusOf(head, d) + layer * Curve.Smooth(0f, 0.4f, t) + 0.05f);
            path[k] = Vector3.Lerp(over, clip.Place, Curve.Smooth(0.75f, 1f, t));
            way += (path[k] - path[k - 1]).Length();
        }

        var u = Vector3.Normalize(
            Vector3.Cross(clip.Out, MathF.Abs(clip.Out.Y) < 0.9f ? Vector3.UnitY : Vector3.UnitX)
        );
        var v = Vector3.Cross(clip.Out, u);
        var begins = 2 * MathF.PI * Hash.Unit(strands.Lock[i], 33);
        var up = Hash.Signed(strands.Lock[i], 34);
        var height = HighCm * up;

        // Wound round like a ball of wool.
        var radius = WoundCm * (0.35f + 0.65f * Hash.Unit(i, 35)) * MathF.Sqrt(1 - 0.85f * up * up);
        for (var p = 0; p < into.Length; p++)
        {
            var s = texture.ShareAt(p) * length;
            if (s <= way)
            {
                var at = s / way * (Steps - 1);
                var k = Math.Min((int)at, Steps - 2);
                into[p] = Vector3.Lerp(path[k], path[k + 1], at - k);
                continue;
            }

            var turn = begins + (s - way) / TurnCm * 2 * MathF.PI;
            var wound = radius * Curve.Smooth(0f, 3f, s - way);
            into[p] =
                clip.Place
                + (u * MathF.Cos(turn) + v * MathF.Sin(turn)) * wound
                + clip.Out * (height * Curve.Smooth(0f, 2f, s - way));
        }
    }
}
