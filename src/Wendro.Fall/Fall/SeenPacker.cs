using System.Numerics;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>Turns a drawn picture into <see cref="Seen"/>: hair samples packed, the rest as grey.</summary>
internal static class SeenPacker
{
    private const int Bands = 8;
    private static readonly float[] Srgb = Enumerable
        .Range(0, 256)
        .Select(grey => 255 * MathF.Pow(grey / 255f, 1 / 1.35f))
        .ToArray();

    public static Seen From(Canvas canvas, ScreenDepth depth, FallenHair hair, View view)
    {
        var scalp = new ScalpUnderHair(hair);
        var counts = new byte[View.Width * View.Height];
        var grey = new byte[View.Width * View.Height];
        var parts = new Part[Bands];
        Parallel.For(
            0,
            Bands,
            b =>
            {
                var part = new Part();
                for (var y = b * View.Height / Bands; y < (b + 1) * View.Height / Bands; y++)
                {
                    var fade = Fade(view.RowOfWhole(y));
                    for (var x = 0; x < View.Width; x++)
                    {
                        Pixel(canvas, depth, scalp, view, (x, y, fade), part, counts, grey);
                    }
                }

                parts[b] = part;
            }
        );
        return new Seen(
            view,
            hair.Wear,
            counts,
            grey,
            Joined(parts, p => p.Strand),
            Joined(parts, p => p.Place),
            Joined(parts, p => p.Shade),
            Joined(parts, p => p.Shine)
        );
    }

    private static T[] Joined<T>(Part[] parts, Func<Part, T[]> of)
    {
        var all = new T[parts.Sum(p => p.Count)];
        var at = 0;
        foreach (var part in parts)
        {
            Array.Copy(of(part), 0, all, at, part.Count);
            at += part.Count;
        }

        return all;
    }

    private static void Pixel(
        Canvas canvas,
        ScreenDepth depth,
        ScalpUnderHair scalp,
        View view,
        (int X, int Y, float Fade) at,
        Part part,
        byte[] counts,
        byte[] grey
    )
    {
        var (x, y, fade) = at;
        var light = 0;
        var plain = 0;
        for (var s = 0; s < View.Across; s++)
        {
            var column = x * View.Across + s;
            var sample = canvas.Samples[y * Canvas.Columns + column];
            var strand = Canvas.StrandOf(sample);
            if (Canvas.IsEmpty(sample))
            {
                light += Seen.Surround;
                plain++;
                continue;
            }

            var d = Canvas.DepthOf(sample);
            if (strand != Canvas.NoStrand)
            {
                var factor = MathF.Sqrt(depth.Factor(column, y, d));
                part.Add((ushort)strand, (byte)(sample >> 16), ((sample >> 8) & 0xFF) * factor, sample & 0xFF);
                counts[y * View.Width + x]++;
                continue;
            }

            var bust = (int)((sample >> 16) & 0xFF);
            var under = scalp.At(view.Unproject(column + 0.5f, y + 0.5f, d));
            if (under.Strand is { } nearest)
            {
                part.Add((ushort)nearest, 0, Light.Coded(bust / 255f * under.Lit), 0);
                counts[y * View.Width + x]++;
                continue;
            }

            light += (int)((Srgb[bust] + (Seen.Surround - Srgb[bust]) * fade) * under.Lit);
            plain++;
        }

        grey[y * View.Width + x] = (byte)(plain == 0 ? 0 : light / plain);
    }

    /// <summary>The bust fades into the surround over the lowest 13 % of the picture.</summary>
    private static float Fade(float row) => Curve.Smooth(0.87f * View.Height, 0.995f * View.Height, row);

    /// <summary>Samples of a band of rows, with room for as many as it can hold.</summary>
    private sealed class Part
    {
        private const int Most = View.Width * View.Across * (View.Height / Bands + 1);

        public ushort[] Strand { get; } = new ushort[Most];

        public byte[] Place { get; } = new byte[Most];

        public byte[] Shade { get; } = new byte[Most];

        public byte[] Shine { get; } = new byte[Most];

        public int Count { get; private set; }

        public void Add(ushort strand, byte place, float shade, float shine)
        {
            Strand[Count] = strand;
            Place[Count] = place;
            Shade[Count] = (byte)MathF.Min(shade + 0.5f, 255);
            Shine[Count] = (byte)shine;
            Count++;
        }
    }
}

/// <summary>
/// Scalp that shows between strands is drawn as the nearest strand at its root, so that there are no bald stripes.
/// </summary>
internal sealed class ScalpUnderHair
{
    private const float CellCm = 0.4f;
    private const int Side = 120;

    /// <summary>
    /// Tangent of 60°, and a height, cm, that the hairline nowhere reaches down to within 60° of the face's middle.
    /// </summary>
    private const float BeforeTemple = 1.73f;
    private const float LowestBeforeTemple = 1.5f;
    private readonly FallenHair hair;
    private readonly int[] nearest = new int[Side * Side];

    public ScalpUnderHair(FallenHair hair)
    {
        this.hair = hair;
        Array.Fill(nearest, -1);
        for (var i = 0; i < hair.Strands.Count; i++)
        {
            var m = hair.Strands.Scalp[i].Map;
            nearest[Cell(m.X, m.Y)] = i;
        }

        // Cells nobody is rooted in take a neighbour's strand.
        for (var pass = 0; pass < 2; pass++)
        {
            for (var i = Side; i < nearest.Length - Side; i++)
            {
                if (nearest[i] < 0)
                {
                    nearest[i] = Math.Max(
                        Math.Max(nearest[i - 1], nearest[i + 1]),
                        Math.Max(nearest[i - Side], nearest[i + Side])
                    );
                }
            }
        }
    }

    /// <summary>What shows at a place of the bust.</summary>
    /// <param name="Strand">The strand that covers it; null where skin shows.</param>
    /// <param name="Lit">How light it is, as a share: skin near hair is darker, hair at the scalp lies in
    /// shade.</param>
    public readonly record struct Under(int? Strand, float Lit);

    private static readonly Under Skin = new(null, 1);

    /// <summary>How dark skin becomes under the first fine hair, share.</summary>
    private const float HairlineDark = 0.28f;

    /// <summary>What shows at a place of the bust.</summary>
    public Under At(Vector3 at)
    {
        if (at.Y < -9.5f || (at - Form.SkullCentre).LengthSquared() > 190)
        {
            return Skin;
        }

        // The face and the neck are most of what is not hair: they are told off by height alone, the face's middle
        // without an angle.
        var ahead = at.Z - Form.SkullCentre.Z;
        if (at.Y < LowestBeforeTemple && ahead > 0 && MathF.Abs(at.X) < BeforeTemple * ahead)
        {
            return Skin;
        }

        var azimuth = MathF.Atan2(at.X, ahead) * (180 / MathF.PI);
        if (at.Y < Hairline.Height(azimuth) - 0.5)
        {
            return Skin;
        }

        var p = hair.Head.Chart.At(at);
        var inside = (float)p.FromHairlineCm;

        // The hairline comes and goes slowly; before it only real fine strands are seen.
        var (x, y) = ((float)p.Map.X, (float)p.Map.Y);
        var begins = 0.5f + 0.1f * MathF.Sin(2.1f * x + 0.7f * y) + 0.1f * MathF.Sin(1.3f * y - 0.9f * x + 2);
        if (inside < begins)
        {
            return new(null, 1 - HairlineDark * Curve.Smooth(-0.3f, 0.7f, inside));
        }

        var n = nearest[Cell(p.Map.X, p.Map.Y)];
        if (n < 0)
        {
            return new(null, 1 - HairlineDark);
        }

        var z = p.Position.Z;
        var fromPart = Parts ? DrawnPart.From(hair.Part, p) : 1;
        return MathF.Abs(fromPart) < PartShowsCm * DrawnPart.Open(z, fromPart) * Curve.Smooth(-5.5f, -2f, z)
            ? new(null, 1)
            : new(n, 0.75f + 0.35f * (1 - Curve.Smooth(0.1f, 0.9f, MathF.Abs(fromPart))));
    }

    /// <summary>How far either side of the part scalp shows, cm.</summary>
    private const float PartShowsCm = 0.075f;

    private bool Parts => hair.Wear is Wear.Down or Wear.OtherPart or Wear.Tucked;

    private static int Cell(double x, double y) =>
        Math.Clamp((int)(y / CellCm) + Side / 2, 0, Side - 1) * Side
        + Math.Clamp((int)(x / CellCm) + Side / 2, 0, Side - 1);
}
