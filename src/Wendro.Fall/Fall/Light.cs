using System.Numerics;
using System.Runtime.CompilerServices;
using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// How light falls on hair from where the viewer stands: two lobes along the strand, hair's own shade, rim. Model
/// assumption.
/// </summary>
internal readonly struct Light
{
    private readonly Vector3 eye;
    private readonly Vector3 key;
    private readonly Vector3 fill;
    private readonly Vector3 back;
    private readonly Vector3 half;

    public Light(View view)
    {
        eye = view.Eye;
        key = Vector3.Normalize(view.Right * -0.45f + view.Up * 0.85f + view.Eye * 0.62f);
        fill = Vector3.Normalize(view.Right * 0.8f + view.Up * 0.2f + view.Eye * 0.5f);
        back = Vector3.Normalize(view.Right * 0.3f + view.Up * 0.5f - view.Eye * 0.8f);
        half = Vector3.Normalize(key + view.Eye);
    }

    /// <summary>Shade and highlight bytes of a strand at a point.</summary>
    /// <param name="tangent">Along the strand, unit.</param>
    /// <param name="normal">Outward, unit.</param>
    /// <param name="open">1 in the open .. 0.14 deep in hair.</param>
    /// <param name="strand">Its number, for the small differences between hairs.</param>
    /// <param name="l">Its lock.</param>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public (float Shade, float Shine) On(Vector3 tangent, Vector3 normal, float open, int strand, int l)
    {
        var n = normal - tangent * Vector3.Dot(normal, tangent);
        var length = n.Length();
        n = length > 1e-4f ? n / length : normal;
        var lit = MathF.Max((Vector3.Dot(n, key) + 0.45f) / 1.45f, 0);
        var vis = MathF.Max((Vector3.Dot(n, eye) + 0.25f) / 1.25f, 0);
        var away = Math.Clamp(1 - Vector3.Dot(n, eye), 0f, 1f);
        var rim = away * away * MathF.Max(Vector3.Dot(n, back) + 0.3f, 0);
        var f = MathF.Max((Vector3.Dot(n, fill) + 0.3f) / 1.3f, 0);
        var along = Vector3.Dot(tangent, key);
        var sin = MathF.Sqrt(MathF.Max(1 - along * along, 0));

        var jitter = 0.04f * Hash.Signed(strand, 40) + 0.05f * Hash.Signed(l, 46);
        var wide = Lobe(tangent - n * 0.14f, jitter);
        wide *= wide;
        var wide10 = wide * wide * wide * wide * wide;
        var tight = Lobe(tangent + n * 0.16f, jitter);
        tight *= tight;
        tight *= tight;
        tight *= tight;
        tight *= tight;
        tight *= tight;

        var diffuse = 0.26f + lit * (0.46f + 0.56f * sin) + 0.26f * f + 0.75f * wide10 * lit * vis + 0.25f * rim;
        diffuse *= open * (1 + 0.12f * Hash.Signed(strand, 41)) * (1 + 0.1f * Hash.Signed(l, 42));
        var shine = 0.5f * tight * lit * vis * open * open;
        return (Coded(diffuse), MathF.Min(shine * 255, 255));
    }

    /// <summary>A shade as the byte that carries its square root.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static float Coded(float shade) =>
        MathF.Min(MathF.Sqrt(MathF.Max(shade, 0) * (float)(1 / LevelColours.BrightestShade)) * 255, 255);

    /// <summary>Sine of the angle between a shifted tangent and the half vector.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private float Lobe(Vector3 t, float jitter)
    {
        var d = Vector3.Dot(t, half) / t.Length() + jitter;
        return MathF.Sqrt(MathF.Max(1 - d * d, 0));
    }
}
