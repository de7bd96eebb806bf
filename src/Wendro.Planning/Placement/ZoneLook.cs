using Wendro.Blend;

namespace Wendro.Placement;

/// <summary>Samples seen and their level bytes.</summary>
internal readonly record struct SeenSum(long Samples, long Levels)
{
    public double Mean => Samples == 0 ? 0 : 1 + Levels * (9.0 / 255) / Samples;

    public static SeenSum operator +(SeenSum a, SeenSum b) => new(a.Samples + b.Samples, a.Levels + b.Levels);
}

/// <summary>What one zone adds to what is seen of a head, with one setting: sums that add up over zones.</summary>
internal readonly record struct ZoneLook(
    SeenSum All,
    SeenSum Front,
    SeenSum Left,
    SeenSum Right,
    SeenSum TiedBack,
    long Light,
    SeenSum Ends,
    double Slope,
    double AtScalp,
    bool IsFrame,
    bool IsBehind,
    bool IsBack,
    int Panels,
    double Minutes,
    int Faults
)
{
    /// <summary>What is seen of a whole head made of zones.</summary>
    public static Outcome Of(ReadOnlySpan<ZoneLook> zones)
    {
        SeenSum all = default,
            back = default,
            left = default,
            right = default,
            ends = default,
            frame = default,
            rest = default,
            band = default,
            behind = default;
        long light = 0,
            lightAtBack = 0;
        double steepest = 0,
            minutes = 0;
        int panels = 0,
            faults = 0;
        foreach (ref readonly var z in zones)
        {
            all += z.All;
            left += z.Left;
            right += z.Right;
            ends += z.Ends;
            light += z.Light;
            if (z.IsBack)
            {
                back += z.All;
                lightAtBack += z.Light;
            }

            faults += z.Faults;
            steepest = Math.Max(steepest, z.Slope);
            minutes += z.Minutes;
            panels += z.Panels;
            if (z.IsFrame)
            {
                frame += z.Front;
                band += z.TiedBack;
            }
            else
            {
                rest += z.Front;
                behind += z.IsBehind ? z.TiedBack : default;
            }
        }

        var scalp = steepest;
        foreach (ref readonly var z in zones)
        {
            scalp = Math.Max(scalp, z.AtScalp);
        }

        return new Outcome(
            ends.Samples < 20 ? null : ends.Mean,
            all.Samples == 0 ? 0 : (double)light / all.Samples,
            frame.Samples == 0 || rest.Samples == 0 ? 0 : frame.Mean - rest.Mean,
            steepest,
            left.Mean - right.Mean,
            Regrowth.Weeks(scalp),
            back.Samples == 0 ? 0 : (double)lightAtBack / back.Samples,
            band.Samples == 0 || behind.Samples == 0 ? 0 : behind.Mean - band.Mean,
            panels,
            minutes,
            faults
        );
    }
}
