using System.Numerics;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Wendro.Head;

/// <summary>
/// The form baked once: (gradient, distance) on a 1 cm grid, read trilinearly. Everything that falls reads the head
/// through this.
/// Size 57 × 87 × 47 cells; x −28..28, y −68..18, z −26..20 cm.
/// </summary>
public sealed class FormGrid
{
    private const int Nx = 57;
    private const int Ny = 87;
    private const int Nz = 47;
    private static readonly Vector3 Origin = new(-28, -68, -26);
    private readonly Vector4[] cells = new Vector4[Nx * Ny * Nz];

    internal FormGrid()
    {
        Parallel.For(
            0,
            Ny,
            y =>
            {
                for (var z = 0; z < Nz; z++)
                {
                    for (var x = 0; x < Nx; x++)
                    {
                        var p = Origin + new Vector3(x, y, z);
                        var n = Form.Normal(p);
                        if (!float.IsFinite(n.X))
                        {
                            n = Vector3.UnitY;
                        }

                        cells[(y * Nz + z) * Nx + x] = new Vector4(n, Form.Distance(p));
                    }
                }
            }
        );
    }

    /// <summary>
    /// Gradient (x, y, z; about unit length) and signed distance (w, cm) at a point; outside the grid, its nearest
    /// edge.
    /// </summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public Vector4 At(Vector3 p)
    {
        var q = Vector3.Clamp(p - Origin, Vector3.Zero, new Vector3(Nx - 1.001f, Ny - 1.001f, Nz - 1.001f));
        var x = (int)q.X;
        var y = (int)q.Y;
        var z = (int)q.Z;
        var fx = q.X - x;
        var fy = q.Y - y;
        var fz = q.Z - z;
        ref var c = ref Unsafe.Add(ref MemoryMarshal.GetArrayDataReference(cells), (y * Nz + z) * Nx + x);
        var a = Vector4.Lerp(c, Unsafe.Add(ref c, 1), fx);
        var b = Vector4.Lerp(Unsafe.Add(ref c, Nx), Unsafe.Add(ref c, Nx + 1), fx);
        var d = Vector4.Lerp(Unsafe.Add(ref c, Nx * Nz), Unsafe.Add(ref c, Nx * Nz + 1), fx);
        var e = Vector4.Lerp(Unsafe.Add(ref c, Nx * Nz + Nx), Unsafe.Add(ref c, Nx * Nz + Nx + 1), fx);
        return Vector4.Lerp(Vector4.Lerp(a, b, fz), Vector4.Lerp(d, e, fz), fy);
    }
}
