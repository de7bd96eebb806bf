using System.Numerics;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Waves stand in space: what hangs side by side swings together whatever its length, and both sides swing away from
/// the face together. Depth goes outwards only, so that no wave enters the head. Model assumption.
/// </summary>
internal static class Waves
{
    /// <summary>The axis waves go round, cm: x = 0 and this z.</summary>
    private const float AxisZ = -2.5f;

    /// <summary>Lays a wave over a strand.</summary>
    public static void Wave(in Curls.Strand of, Span<Vector3> into)
    {
        var texture = of.Texture;
        var free = of.Length - of.Lies;
        if (free <= 0)
        {
            return;
        }

        var l = of.Lock;
        var middle = into[into.Length * 5 / 8];
        var round = MathF.Atan2(middle.X, middle.Z - AxisZ);
        var slips = Hash.Unit(l, 28) < texture.Slips;
        var phase =
            round
            + 0.6f * MathF.Sin(3 * round)
            + 4
            + texture.Astray.Lock * Hash.Signed(l, 22)
            + texture.Astray.Strand * Hash.Signed(of.Number, 24)
            + (slips ? SlippedAstray * Hash.Signed(l, 29) : 0)
            + Ribbon(l, round);
        var turns = 2 * MathF.PI / texture.TurnCm * (1 + 0.08f * Hash.Signed(l, 21) + 0.1f * MathF.Sin(2 * round + 1));
        var wide = texture.SwingCm * (1 + 0.25f * Hash.Signed(l, 26));

        // Short hair ramps faster, so that a bob can be waved.
        var full = MathF.Min(texture.ToCm, 0.6f * free);
        for (var k = 0; k < into.Length; k++)
        {
            var along = of.At(k) - of.Lies;
            if (along <= 0)
            {
                continue;
            }

            var ramp = Curve.Smooth(0, full, along);
            var swing = wide * ramp * (1 - 0.4f * Curve.Smooth(0.8f, 1f, texture.ShareAt(k)));
            var n = Outwards(into[k]);
            var turn = phase - (into[k].Y + 6) * turns;
            into[k] +=
                new Vector3(-n.Z, 0, n.X) * (swing * MathF.Sin(turn))
                + n * (texture.Depth * swing * (1 + MathF.Cos(turn)) + (slips ? SlippedCm * ramp : 0));
        }
    }

    /// <summary>How wide a ribbon at the back is, and how far ribbons are out of step there, radians.</summary>
    private const float RibbonWide = 0.34f,
        RibbonsAstray = 0.9f;

    /// <summary>
    /// At the back, where nothing is set off from the face, locks go in ribbons, each in its own step.
    /// </summary>
    private static float Ribbon(int l, float round)
    {
        var ribbon = (int)MathF.Floor((round + MathF.PI) / RibbonWide + 0.35f * Hash.Signed(l, 31));
        return RibbonsAstray * Hash.Signed(ribbon, 30) * Curve.Smooth(1.7f, 2.3f, MathF.Abs(round));
    }

    /// <summary>How far a lock that slipped lies out over the others, cm, and out of step with them, radians.</summary>
    private const float SlippedCm = 0.45f,
        SlippedAstray = 1.3f;

    /// <summary>Ends that hang free above the shoulder turn in, no further than there is room.</summary>
    public static void TurnIn(in Curls.Strand of, Span<Vector3> into)
    {
        var end = Curve.Smooth(-14f, -11f, into[^1].Y);
        if (end <= 0)
        {
            return;
        }

        for (var k = into.Length * 2 / 3; k < into.Length; k++)
        {
            var turns = TurnInCm * Curve.Smooth(0.72f, 1.05f, of.Texture.ShareAt(k)) * end;
            if (turns <= 0)
            {
                continue;
            }

            var room = MathF.Max(of.Head.Grid.At(into[k]).W - Curls.Clear, 0);
            into[k] -= Outwards(into[k]) * MathF.Min(turns, room);
        }
    }

    private const float TurnInCm = 0.9f;

    private static Vector3 Outwards(Vector3 p)
    {
        var n = new Vector3(p.X, 0, p.Z - AxisZ);
        var far = n.Length();
        return far > 1e-3f ? n / far : Vector3.UnitZ;
    }
}
