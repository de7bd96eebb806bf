using System.Numerics;
using System.Runtime.CompilerServices;

namespace Wendro.Fall;

/// <summary>
/// A picture being drawn: one 64-bit word a sample, depth 24 | strand 16 | place 8 | shade 8 | highlight 8, nearest
/// wins by one comparison.
/// </summary>
internal sealed class Canvas
{
    public const int Columns = View.Width * View.Across;
    public const int Rows = View.Height;
    public const uint NoStrand = 0xFFFF;
    private const float DepthScale = 131072;
    private const float DepthOrigin = 64;

    private Vector3[] points = [];

    public ulong[] Samples { get; } = new ulong[Columns * Rows];

    /// <summary>
    /// Room for projected points, kept from drawing to drawing: a shared pool would round it up and keep several.
    /// </summary>
    public Vector3[] PointsFor(int count)
    {
        if (points.Length < count)
        {
            points = new Vector3[count];
        }

        return points;
    }

    public void Clear() => Array.Fill(Samples, ulong.MaxValue);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static ulong DepthWord(float depth) =>
        (ulong)(uint)Math.Clamp((int)((depth + DepthOrigin) * DepthScale), 0, 0xFFFFFF) << 40;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static float DepthOf(ulong sample) => (sample >> 40) / DepthScale - DepthOrigin;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static uint StrandOf(ulong sample) => (uint)(sample >> 24) & 0xFFFF;

    /// <summary>A sample nothing was drawn on.</summary>
    public static bool IsEmpty(ulong sample) => sample == ulong.MaxValue;

    /// <summary>Fills triangles of the bust; grey goes where a strand's place would.</summary>
    public void Draw(Bust bust, float[] lit, View view)
    {
        var projected = new Vector3[bust.Points.Length];
        for (var i = 0; i < projected.Length; i++)
        {
            projected[i] = view.Project(bust.Points[i]);
        }

        // Every core fills its own bands of rows.
        const int bands = 8;
        var t = bust.Triangles;
        Parallel.For(
            0,
            bands,
            b =>
            {
                var (from, to) = (b * Rows / bands, (b + 1) * Rows / bands);
                for (var i = 0; i < t.Length; i += 3)
                {
                    var (p, q, r) = (projected[t[i]], projected[t[i + 1]], projected[t[i + 2]]);
                    if (
                        lit[t[i]] + lit[t[i + 1]] + lit[t[i + 2]] > 0
                        && MathF.Min(p.Y, MathF.Min(q.Y, r.Y)) < to + 1
                        && MathF.Max(p.Y, MathF.Max(q.Y, r.Y)) >= from - 1
                    )
                    {
                        Triangle((p, lit[t[i]]), (q, lit[t[i + 1]]), (r, lit[t[i + 2]]), from, to);
                    }
                }
            }
        );
    }

    private void Triangle(
        (Vector3 P, float Lit) a,
        (Vector3 P, float Lit) b,
        (Vector3 P, float Lit) c,
        int from,
        int to
    )
    {
        var (pa, pb, pc) = (a.P, b.P, c.P);
        var area = (pb.X - pa.X) * (pc.Y - pa.Y) - (pb.Y - pa.Y) * (pc.X - pa.X);
        if (MathF.Abs(area) < 1e-4f)
        {
            return;
        }

        // Shares of the three corners change by the same step from sample to sample.
        var inv = 1 / area;
        var (ux, uy) = ((pb.Y - pc.Y) * inv, (pc.X - pb.X) * inv);
        var (vx, vy) = ((pc.Y - pa.Y) * inv, (pa.X - pc.X) * inv);
        var x0 = Math.Max((int)MathF.Ceiling(MathF.Min(pa.X, MathF.Min(pb.X, pc.X)) - 0.5f), 0);
        var x1 = Math.Min((int)MathF.Floor(MathF.Max(pa.X, MathF.Max(pb.X, pc.X)) - 0.5f), Columns - 1);
        var y0 = Math.Max((int)MathF.Ceiling(MathF.Min(pa.Y, MathF.Min(pb.Y, pc.Y)) - 0.75f), from);
        var y1 = Math.Min((int)MathF.Floor(MathF.Max(pa.Y, MathF.Max(pb.Y, pc.Y)) - 0.25f), to - 1);

        if (x0 > x1)
        {
            return;
        }

        // Depth and light change evenly across a triangle, too.
        var (zx, gx) = (Across(pa.Z, pb.Z, pc.Z), Across(a.Lit, b.Lit, c.Lit) * 255);
        float Across(float at, float other, float third) => at * ux + other * vx - third * (ux + vx);
        for (var y = y0; y <= y1; y++)
        {
            var u = 1 + (x0 + 0.5f - pa.X) * ux + (y + 0.5f - pa.Y) * uy;
            var v = (x0 + 0.5f - pa.X) * vx + (y + 0.5f - pa.Y) * vy;
            var z = pa.Z * u + pb.Z * v + pc.Z * (1 - u - v);
            var grey = (a.Lit * u + b.Lit * v + c.Lit * (1 - u - v)) * 255 + 0.5f;
            var row = Samples.AsSpan(y * Columns + x0, Math.Max(x1 - x0 + 1, 0));
            for (var k = 0; k < row.Length; k++, u += ux, v += vx, z += zx, grey += gx)
            {
                var off = MiddleOf(x0 + k) - 0.5f;
                var (su, sv) = (u + off * uy, v + off * vy);
                if (su < -1e-3f || sv < -1e-3f || su + sv > 1.001f)
                {
                    continue;
                }

                var depth = DepthWord(z);
                if (depth < row[k])
                {
                    row[k] = depth | (ulong)NoStrand << 24 | (ulong)Math.Clamp((int)grey, 0, 255) << 16;
                }
            }
        }
    }

    /// <summary>Draws one piece of a strand within a band of columns.</summary>
    /// <param name="a">Start, projected.</param>
    /// <param name="b">End, projected.</param>
    /// <param name="width">Width at start and end, pixels.</param>
    /// <param name="place">Place at start and end, 0..63.</param>
    /// <param name="shade">Shade at start and end, 0..255.</param>
    /// <param name="shine">Highlight at start and end, 0..255.</param>
    /// <param name="strand">Which strand.</param>
    /// <param name="band">First column and one past the last.</param>
    public void Line(
        Vector3 a,
        Vector3 b,
        (float A, float B) width,
        (float A, float B) place,
        (float A, float B) shade,
        (float A, float B) shine,
        int strand,
        (int From, int To) band
    )
    {
        var dx = (b.X - a.X) / View.Across;
        var dy = b.Y - a.Y;
        var length = MathF.Sqrt(dx * dx + dy * dy);
        if (length < 1e-3f)
        {
            return;
        }

        var piece = new Piece(a, b, width, place, shade, shine, strand);
        if (MathF.Abs(dy) >= 0.5f * MathF.Abs(dx))
        {
            var lean = MathF.Min(length / MathF.Abs(dy), 2.4f) * View.Across * 0.5f;
            Steep(dy < 0 ? piece.Turned() : piece, lean, band);
        }
        else
        {
            var lean = MathF.Min(length / MathF.Abs(dx), 2.4f) * 0.5f;
            Flat(dx < 0 ? piece.Turned() : piece, lean, band);
        }
    }

    /// <summary>
    /// How far below its row's upper edge the middle of a sample lies, pixels: the two samples of a pixel lie on its
    /// diagonal, so that level edges get a step between, too.
    /// </summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static float MiddleOf(int column) => (column & 1) == 0 ? 0.25f : 0.75f;

    /// <summary>A piece that leans so little shows no step between samples: it is drawn row by row.</summary>
    private const float Upright = 0.2f;

    /// <summary>A piece more upright than level, from above down: row by row.</summary>
    private void Steep(in Piece of, float lean, (int From, int To) band)
    {
        var (a, b) = (of.A, of.B);
        var from = Math.Max((int)MathF.Ceiling(a.Y - 0.5f), 0);
        var to = Math.Min((int)MathF.Floor(b.Y - 0.5f), Rows - 1);
        var inv = 1 / (b.Y - a.Y);
        var aside = (b.X - a.X) * inv * 0.25f;
        var leans = MathF.Abs(aside) >= Upright;
        for (var y = from; y <= to; y++)
        {
            var t = (y + 0.5f - a.Y) * inv;
            var x = a.X + (b.X - a.X) * t;
            var half = (of.Width.A + (of.Width.B - of.Width.A) * t) * lean;
            var reach = leans ? half + MathF.Abs(aside) : half;
            var x0 = (int)MathF.Ceiling(x - reach - 0.5f);
            var x1 = (int)MathF.Floor(x + reach - 0.5f);

            // Never thinner than one sample.
            (x0, x1) = x0 > x1 ? ((int)x, (int)x) : (x0, x1);
            x0 = Math.Max(x0, band.From);
            x1 = Math.Min(x1, band.To - 1);
            if (x0 > x1)
            {
                continue;
            }

            var depth = DepthWord(a.Z + (b.Z - a.Z) * t);
            var row = Samples.AsSpan(y * Columns + x0, x1 - x0 + 1);
            var word = 0UL;
            for (var k = 0; k < row.Length; k++)
            {
                if (depth < row[k] && (!leans || IsOn(x0 + k, x, aside, MathF.Max(half, 0.5f))))
                {
                    row[k] = word = word == 0 ? depth | of.What(t) : word;
                }
            }
        }
    }

    /// <summary>Whether a sample lies on a leaning piece, whose middle is aside by so much for each sample.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static bool IsOn(int column, float x, float aside, float half) =>
        MathF.Abs(column + 0.5f - (x + ((column & 1) == 0 ? -aside : aside))) <= half;

    /// <summary>A piece more level than upright, from left to right: column by column.</summary>
    private void Flat(in Piece of, float lean, (int From, int To) band)
    {
        var (a, b) = (of.A, of.B);
        var from = Math.Max((int)MathF.Ceiling(a.X - 0.5f), band.From);
        var to = Math.Min((int)MathF.Floor(b.X - 0.5f), band.To - 1);
        var inv = 1 / (b.X - a.X);
        for (var x = from; x <= to; x++)
        {
            var t = (x + 0.5f - a.X) * inv;
            var y = a.Y + (b.Y - a.Y) * t - MiddleOf(x);
            var half = (of.Width.A + (of.Width.B - of.Width.A) * t) * lean;
            var y0 = (int)MathF.Ceiling(y - half);
            var y1 = (int)MathF.Floor(y + half);

            // Never thinner than one sample.
            (y0, y1) = y0 > y1 ? ((int)MathF.Round(y), (int)MathF.Round(y)) : (y0, y1);
            y0 = Math.Max(y0, 0);
            y1 = Math.Min(y1, Rows - 1);
            if (y0 > y1)
            {
                continue;
            }

            var depth = DepthWord(a.Z + (b.Z - a.Z) * t);
            var word = 0UL;
            for (var r = y0; r <= y1; r++)
            {
                ref var sample = ref Samples[r * Columns + x];
                if (depth < sample)
                {
                    sample = word = word == 0 ? depth | of.What(t) : word;
                }
            }
        }
    }

    /// <summary>A piece of a strand, projected.</summary>
    private readonly record struct Piece(
        Vector3 A,
        Vector3 B,
        (float A, float B) Width,
        (float A, float B) Place,
        (float A, float B) Shade,
        (float A, float B) Shine,
        int Strand
    )
    {
        /// <summary>The same from its other end.</summary>
        public Piece Turned() =>
            new(B, A, (Width.B, Width.A), (Place.B, Place.A), (Shade.B, Shade.A), (Shine.B, Shine.A), Strand);

        /// <summary>All of a sample but its depth: reckoned only where it is nearest.</summary>
        /// <param name="t">How far along, 0..1.</param>
        public ulong What(float t)
        {
            var p = (uint)(Place.A + (Place.B - Place.A) * t + 0.5f);
            var d = (uint)(Shade.A + (Shade.B - Shade.A) * t + 0.5f);
            var h = (uint)(Shine.A + (Shine.B - Shine.A) * t + 0.5f);
            return (ulong)(uint)Strand << 24 | (ulong)p << 16 | d << 8 | h;
        }
    }
}
