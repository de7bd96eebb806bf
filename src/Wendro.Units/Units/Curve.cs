using System.Runtime.CompilerServices;

namespace Wendro.Units;

/// <summary>The one smooth step used wherever something fades in.</summary>
public static class Curve
{
    /// <summary>0 below a, 1 above b, smooth between (3t² − 2t³). With a ≥ b it is a step at a.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static float Smooth(float a, float b, float x)
    {
        if (b <= a)
        {
            return x < a ? 0 : 1;
        }

        var t = Math.Clamp((x - a) / (b - a), 0f, 1f);
        return t * t * (3 - 2 * t);
    }

    /// <inheritdoc cref="Smooth(float, float, float)"/>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static double Smooth(double a, double b, double x)
    {
        if (b <= a)
        {
            return x < a ? 0 : 1;
        }

        var t = Math.Clamp((x - a) / (b - a), 0, 1);
        return t * t * (3 - 2 * t);
    }
}
