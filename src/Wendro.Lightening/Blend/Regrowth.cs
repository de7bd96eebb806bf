using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Blend;

/// <summary>When what grows begins to show: a line is seen soon, a soft rise late. Model assumption.</summary>
public static class Regrowth
{
    /// <summary>
    /// The eye notices an edge once it has moved by as many cm as this many levels take to rise. Source: model
    /// assumption; a line at 1.5 a cm shows after 1.5 cm.
    /// </summary>
    public const double Levels = 2.25;

    /// <summary>Between how many weeks a forecast is given.</summary>
    public const double LeastWeeks = 2,
        MostWeeks = 40;

    /// <summary>
    /// Weeks until regrowth shows, 2..40, by the steepest rise of any zone: within its blend, or at the scalp where
    /// colour begins at once.
    /// </summary>
    /// <param name="down">What is seen worn down.</param>
    /// <param name="hair">Her hair.</param>
    public static double WeeksUntilItShows(Tally down, HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(down);
        ArgumentNullException.ThrowIfNull(hair);
        var steepest = 0.0;
        foreach (var zone in ZoneFacts.All)
        {
            var atScalp = Math.Abs((down.RootLevel(zone) ?? hair.In(zone).NaturalLevel) - hair.In(zone).NaturalLevel);
            steepest = Math.Max(steepest, Math.Max(down.Softness(zone).Slope, atScalp));
        }

        return Weeks(steepest);
    }

    /// <summary>Weeks until an edge that rises so many levels a cm is noticed, 2..40.</summary>
    public static double Weeks(double slope)
    {
        var cm = slope <= 0 ? double.PositiveInfinity : Levels / slope;
        return Math.Clamp(cm / StrandHistory.GrowthCm(1), LeastWeeks, MostWeeks);
    }

    /// <summary>
    /// All strands some weeks later: all has moved outwards by what has grown, natural hair has come at the scalp,
    /// ends were trimmed by as much.
    /// </summary>
    /// <param name="now">All strands as they are.</param>
    /// <param name="lengths">Length of every strand, cm.</param>
    /// <param name="zoneOf">Zone of every strand.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="weeks">Weeks, 0 or more.</param>
    public static StrandSamples Grown(StrandSamples now, float[] lengths, byte[] zoneOf, HairProfile hair, double weeks)
    {
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(lengths);
        ArgumentNullException.ThrowIfNull(zoneOf);
        ArgumentNullException.ThrowIfNull(hair);
        const int n = Fall.Places.Count;
        var grown = (float)StrandHistory.GrowthCm(weeks);
        var natural = ZoneFacts.All.Select(z => Units.Level.ToByte(hair.In(z).NaturalLevel)).ToArray();
        var white = ZoneFacts.All.Select(z => hair.In(z).GreyShare).ToArray();
        var later = StrandSamples.For(lengths.Length);
        for (var i = 0; i < lengths.Length; i++)
        {
            // White hair goes on growing white.
            var root = (PriorTreatment.IsWhite(i, white[zoneOf[i]]) ? Tint.White : Tint.Natural).Index;
            for (var k = 0; k < n; k++)
            {
                var s = Fall.Places.Share(k) * lengths[i] - grown;
                var at = i * n + k;
                later.Levels[at] = s < 0 ? natural[zoneOf[i]] : At(now.Levels.AsSpan(i * n, n), s / lengths[i]);
                later.Tints[at] = s < 0 ? root : Nearest(now.Tints.AsSpan(i * n, n), s / lengths[i]);
            }
        }

        return later;
    }

    /// <summary>A tint is one or the other: the nearer.</summary>
    private static byte Nearest(ReadOnlySpan<byte> strand, float share) =>
        strand[Math.Clamp((int)MathF.Round(Fall.Places.NumberOf(share) * (strand.Length - 1)), 0, strand.Length - 1)];

    private static byte At(ReadOnlySpan<byte> strand, float share)
    {
        var at = Fall.Places.NumberOf(share) * (strand.Length - 1);
        var k = Math.Clamp((int)at + 1, 1, strand.Length - 1);
        var t = Math.Clamp(at - (k - 1), 0, 1);
        return (byte)(strand[k - 1] + (strand[k] - strand[k - 1]) * t + 0.5f);
    }
}
