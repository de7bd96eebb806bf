using MathNet.Numerics.Interpolation;

namespace Wendro.Head;

/// <summary>
/// Where hair begins: height by azimuth round the skull's upright axis, the same left and right. Model assumption.
/// </summary>
public static class Hairline
{
    private static readonly double[] Degrees =
    [
        -12,
        0,
        12,
        25,
        36,
        46,
        56,
        66,
        74,
        81,
        87,
        98,
        108,
        116,
        126,
        140,
        155,
        180,
        205,
    ];

    private static readonly double[] Heights =
    [
        7.1,
        6.8,
        7.1,
        7.7,
        7.1,
        5.3,
        3.2,
        1.2,
        -0.8,
        -1.2,
        1.2,
        2.3,
        1.1,
        -2.0,
        -4.6,
        -6.9,
        -8.0,
        -8.4,
        -8.0,
    ];

    private static readonly CubicSpline Spline = CubicSpline.InterpolatePchipSorted(Degrees, Heights);

    private static readonly float[] Table = Enumerable
        .Range(0, 1801)
        .Select(i => (float)Spline.Interpolate(i * 0.1))
        .ToArray();

    /// <summary>
    /// Height of the hairline, cm, at an azimuth in degrees: 0 the middle of the forehead, 180 the nape; either side.
    /// </summary>
    public static double Height(double azimuthDegrees)
    {
        var a = Math.Min(Math.Abs(azimuthDegrees), 180) * 10;
        var i = Math.Min((int)a, 1799);
        return Table[i] + (Table[i + 1] - Table[i]) * (a - i);
    }
}
