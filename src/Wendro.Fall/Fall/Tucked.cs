using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// The front and sides combed back behind both ears and let go there; what grows behind them hangs as it did. Model
/// assumption.
/// </summary>
internal sealed class Tucked(HeadForm head, Strands strands, HairProfile hair, Texture texture)
{
    private const int P = Places.Points;
    private const int Steps = 20;
    private readonly float bulk = MathF.Sqrt(StrandSimulator.Bulk(hair));

    /// <summary>Middle lines, and how far each is combed straight.</summary>
    /// <param name="march">Lets hair fall on from the ear.</param>
    /// <param name="loose">Middle lines as they hang down.</param>
    /// <param name="lies">How far each lies straight as it hangs down, cm.</param>
    /// <param name="lengths">Lengths of the strands, cm.</param>
    public (Vector3[] Middle, float[] Combed) Run(StrandSimulator march, Vector3[] loose, float[] lies, float[] lengths)
    {
        var middle = (Vector3[])loose.Clone();
        var combed = (float[])lies.Clone();
        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> path = stackalloc Vector3[Steps + StrandSimulator.Most];
                for (var i = chunk * strands.Count / 16; i < (chunk + 1) * strands.Count / 16; i++)
                {
                    if (!Takes(strands.Scalp[i]) || Fringe.Has(hair.Cut, strands.Scalp[i]))
                    {
                        continue;
                    }

                    var way = ToEar(march, i, path);
                    // Coils are as short as they are drawn up: what does not reach the ear stands as it did.
                    var straight = texture.Coils ? 0 : way;
                    if (Curls.MiddleLength(lengths[i], straight, texture) < way + 1)
                    {
                        continue;
                    }

                    var whole = MathF.Max(Curls.MiddleLength(lengths[i], straight, texture), way + 0.5f);

                    var side = (float)strands.Side[i];
                    var down = Vector3.Normalize(new Vector3(-0.1f * side, -1, -0.25f));
                    var count =
                        Steps
                        + march.Run(i, path[Steps - 1], down, way, whole, float.MinValue, path[(Steps - 1)..], out _)
                        - 1;
                    combed[i] = straight;
                    Resample.Even(path[..count], whole, middle.AsSpan(i * P, P));
                }
            }
        );
        return (middle, combed);
    }

    /// <summary>What grows in front of the ears.</summary>
    private static bool Takes(in ScalpPoint root) => root.Position.Z > Landmarks.EarLineZ(root.Position.Y) + 0.4;

    private float ToEar(StrandSimulator march, int i, Span<Vector3> path)
    {
        var side = (float)strands.Side[i];
        var h = strands.Above[i];
        var from = Vector3.Normalize(strands.Scalp[i].Position - Form.SkullCentre);
        var ear = Vector3.Normalize(
            new Vector3(0.9f * side, -0.2f - 0.12f * Hash.Unit(strands.Lock[i], 37), -0.42f - 0.1f * h)
        );
        var over = Vector3.Normalize(from * 0.6f + new Vector3(side, 0.25f + 0.55f * h, -0.05f));
        var layer = bulk * texture.Volume * (0.1f + 0.5f * (0.5f * Hash.Unit(strands.Lock[i], 30) + 0.5f * h));
        var way = 0f;
        path[0] = march.OffPart(i) + strands.Normal[i] * 0.03f;
        for (var k = 1; k < Steps; k++)
        {
            var t = k / (Steps - 1f);
            var d = Vector3.Normalize(from * ((1 - t) * (1 - t)) + over * (2 * t * (1 - t)) + ear * (t * t));
            path[k] = Form.SkullCentre + d * (Tied.RadiusOf(head, d) + layer * Curve.Smooth(0f, 0.35f, t) + 0.05f);
            way += (path[k] - path[k - 1]).Length();
        }

        return way;
    }
}
