using System.Numerics;
using System.Runtime.CompilerServices;

namespace Wendro.Fall;

/// <summary>
/// Centimetres of strand in each 1 cm cell of space, blurred once: what light has to come through. Scaled to 14,000
/// strands.
/// </summary>
internal sealed class HairDensity
{
    private const int Nx = 56;
    private const int Ny = 96;
    private const int Nz = 56;

    /// <summary>Room it takes, bytes.</summary>
    public const long Bytes = Nx * Ny * Nz * sizeof(float);

    private static readonly Vector3 Origin = new(-28, -78, -36);
    private readonly float[] cells;

    private HairDensity(float[] cells) => this.cells = cells;

    public static HairDensity Of(Vector3[] points, int strands, int each)
    {
        var raw = new float[Nx * Ny * Nz];
        var scale = 14_000f / strands;
        for (var i = 0; i < strands; i++)
        {
            for (var k = 0; k < each - 1; k++)
            {
                var a = points[i * each + k];
                var b = points[i * each + k + 1];
                var c = (a + b) * 0.5f - Origin;
                var (x, y, z) = ((int)c.X, (int)c.Y, (int)c.Z);
                if ((uint)x < Nx && (uint)y < Ny && (uint)z < Nz)
                {
                    raw[(y * Nz + z) * Nx + x] += (b - a).Length() * scale;
                }
            }
        }

        Blur(raw, 1);
        Blur(raw, Nx);
        Blur(raw, Nx * Nz);
        return new HairDensity(raw);
    }

    /// <summary>Density at a point, cm of strand per cm³; none outside.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public float At(Vector3 p)
    {
        var q = p - Origin - new Vector3(0.5f);
        if (!(q.X >= 0 && q.Y >= 0 && q.Z >= 0 && q.X < Nx - 1 && q.Y < Ny - 1 && q.Z < Nz - 1))
        {
            return 0;
        }

        var (x, y, z) = ((int)q.X, (int)q.Y, (int)q.Z);
        var (fx, fy, fz) = (q.X - x, q.Y - y, q.Z - z);
        var i = (y * Nz + z) * Nx + x;
        var a = Mix(cells[i], cells[i + 1], fx);
        var b = Mix(cells[i + Nx], cells[i + Nx + 1], fx);
        var c = Mix(cells[i + Nx * Nz], cells[i + Nx * Nz + 1], fx);
        var d = Mix(cells[i + Nx * Nz + Nx], cells[i + Nx * Nz + Nx + 1], fx);
        return Mix(Mix(a, b, fz), Mix(c, d, fz), fy);
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static float Mix(float a, float b, float t) => a + (b - a) * t;

    private static void Blur(float[] f, int stride)
    {
        // ¼, ½, ¼ along one axis; cells at the rim keep what they have.
        var block =
            stride == 1 ? Nx
            : stride == Nx ? Nx * Nz
            : f.Length;
        for (var start = 0; start < f.Length; start += block)
        {
            for (var o = 0; o < stride; o++)
            {
                var before = f[start + o];
                for (var i = start + o + stride; i + stride < start + block; i += stride)
                {
                    var here = f[i];
                    f[i] = before * 0.25f + here * 0.5f + f[i + stride] * 0.25f;
                    before = here;
                }
            }
        }
    }
}
