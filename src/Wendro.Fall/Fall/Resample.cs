using System.Numerics;

namespace Wendro.Fall;

/// <summary>Turns a path of any number of points into a strand's middle line of 32.</summary>
internal static class Resample
{
    /// <summary>
    /// Points at the strand's places up to a length, smoothed twice beyond the first sixth, which removes the kinks
    /// of contact.
    /// </summary>
    public static void Even(ReadOnlySpan<Vector3> path, float length, Span<Vector3> into)
    {
        var j = 1;
        var along = 0f;
        var span = path.Length < 2 ? 0 : (path[1] - path[0]).Length();
        for (var i = 0; i < Places.Points; i++)
        {
            var s = Places.ShareOfPoint(i) * length;
            while (j < path.Length - 1 && along + span < s)
            {
                along += span;
                j++;
                span = (path[j] - path[j - 1]).Length();
            }

            if (path.Length < 2)
            {
                into[i] = path[0] + new Vector3(0, -s, 0);
                continue;
            }

            into[i] = Vector3.Lerp(path[j - 1], path[j], span < 1e-5f ? 0 : MathF.Min((s - along) / span, 1.5f));
        }

        for (var pass = 0; pass < 2; pass++)
        {
            var before = into[4];
            for (var i = 5; i < Places.Points - 1; i++)
            {
                var here = into[i];
                into[i] = before * 0.25f + here * 0.5f + into[i + 1] * 0.25f;
                before = here;
            }
        }
    }
}
