using System.Numerics;

namespace Wendro.Head;

/// <summary>Distance from the middle of the head, measured over the top in a plane across it; cm, + her left.</summary>
internal sealed class OverTop
{
    private const float Front = 9;
    private const float Step = 0.5f;
    private const int Planes = 41;
    private const int Rolls = 101;
    private const double RollDegrees = 1.25;
    private readonly double[] lengths = new double[Planes * Rolls];

    public OverTop() => Parallel.For(0, Planes, FillPlane);

    public double At(Vector3 p)
    {
        var roll = Math.Atan2(Math.Abs(p.X), p.Y - Form.SkullCentre.Y) * (180 / Math.PI) / RollDegrees;
        var plane = Math.Clamp((Front - p.Z) / Step, 0, Planes - 1.001);
        roll = Math.Clamp(roll, 0, Rolls - 1.001);
        var i = (int)plane;
        var j = (int)roll;
        var fi = plane - i;
        var fj = roll - j;
        var a = lengths[i * Rolls + j] * (1 - fj) + lengths[i * Rolls + j + 1] * fj;
        var b = lengths[(i + 1) * Rolls + j] * (1 - fj) + lengths[(i + 1) * Rolls + j + 1] * fj;
        return Math.CopySign(a * (1 - fi) + b * fi, p.X);
    }

    private void FillPlane(int i)
    {
        var z = Front - i * Step;
        var along = 0.0;
        var before = Vector2.Zero;
        for (var j = 0; j < Rolls; j++)
        {
            var roll = j * RollDegrees * Math.PI / 180;
            var d = new Vector3((float)Math.Sin(roll), (float)Math.Cos(roll), 0);
            var centre = new Vector3(0, Form.SkullCentre.Y, z);
            // A bisection, since a plane near the face may cut the form close to its centre.
            float low = 0,
                high = 14;
            for (var k = 0; k < 24; k++)
            {
                var mid = (low + high) / 2;
                (low, high) = Form.Distance(centre + d * mid) < 0 ? (mid, high) : (low, mid);
            }

            var here = new Vector2(d.X, d.Y) * low;
            along += j == 0 ? 0 : (here - before).Length();
            before = here;
            lengths[i * Rolls + j] = along;
        }
    }
}
