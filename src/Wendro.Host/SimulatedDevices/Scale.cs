using Wendro.Units;

namespace Wendro.Host.SimulatedDevices;

/// <summary>How a scale is.</summary>
public enum ScaleState
{
    Live,
    Lost,
    OverRange,
}

/// <summary>What a scale shows.</summary>
/// <param name="State">Whether it can be read.</param>
/// <param name="GrossGrams">All that stands on it, g, to 0.1; null where it can't be read.</param>
/// <param name="Grams">The same less its tare, g; null where it can't be read.</param>
/// <param name="Stable">Whether it has settled.</param>
public sealed record ScaleReading(ScaleState State, double? GrossGrams, double? Grams, bool Stable);

/// <summary>A bench scale.</summary>
public interface IScale
{
    /// <summary>What it shows now.</summary>
    ScaleReading Read();

    /// <summary>Sets what stands on it to nought.</summary>
    void Tare();
}

/// <summary>
/// A simulated bench scale, for there is no real one here: what is put on it comes in over time, the reading lags and
/// swings until it settles,
/// drifts a little and is never quite still. What lies on it stays there while it is unplugged.
/// </summary>
public sealed class SimulatedScale(TimeProvider clock) : IScale
{
    /// <summary>Most it can weigh, g.</summary>
    public const double MostGrams = 3000;

    private const double LagSeconds = 0.3;
    private const double SwingSeconds = 0.6;
    private const double SwingShare = 0.04;
    private const double DriftGrams = 0.02;
    private const double NoiseGrams = 0.02;
    private const double StepGrams = 0.1;
    private readonly Lock turn = new();
    private readonly long began = clock.GetTimestamp();
    private readonly List<Load> loads = [];
    private double rested;
    private double tare;
    private bool plugged = true;

    /// <inheritdoc/>
    public ScaleReading Read()
    {
        lock (turn)
        {
            var now = Now;
            if (!plugged)
            {
                return new(ScaleState.Lost, null, null, false);
            }

            var lies = rested + loads.Sum(l => l.Lies(now));
            if (lies > MostGrams)
            {
                return new(ScaleState.OverRange, null, null, false);
            }

            var felt = rested + loads.Sum(l => l.Felt(now));
            var still = loads.All(l => l.IsOver(now)) && loads.Sum(l => l.Unrest(now)) < StepGrams / 2;
            var drift = DriftGrams * Math.Sin(now / 70);
            var noise = NoiseGrams * Hash.Signed((int)(now * 8), 5);
            var gross = Math.Round((felt + drift + noise) / StepGrams) * StepGrams;
            return new(ScaleState.Live, Math.Round(gross, 1), Math.Round(gross - tare, 1), still);
        }
    }

    /// <inheritdoc/>
    public void Tare()
    {
        lock (turn)
        {
            tare = rested + loads.Sum(l => l.Lies(Now));
        }
    }

    /// <summary>Puts something on it.</summary>
    /// <param name="grams">How much, g, above 0.</param>
    /// <param name="seconds">How long that takes, 0 or more.</param>
    public void Pour(double grams, double seconds)
    {
        lock (turn)
        {
            Rest();
            loads.Add(new Load(Now, grams, Math.Max(seconds, 0.01)));
        }
    }

    /// <summary>Begins to pour at a rate, until <see cref="Stop"/>.</summary>
    /// <param name="gramsPerSecond">How fast, g/s, above 0.</param>
    public void Begin(double gramsPerSecond) => Pour(gramsPerSecond * 600, 600);

    /// <summary>Stops all pouring.</summary>
    public void Stop()
    {
        lock (turn)
        {
            for (var i = 0; i < loads.Count; i++)
            {
                loads[i] = loads[i].CutAt(Now);
            }
        }
    }

    /// <summary>Takes everything off.</summary>
    public void Clear()
    {
        lock (turn)
        {
            loads.Clear();
            rested = 0;
        }
    }

    /// <summary>Plugs it in, or out: its tare is forgotten, what lies on it is not.</summary>
    public void Plug(bool on)
    {
        lock (turn)
        {
            plugged = on;
            tare = 0;
        }
    }

    private double Now => clock.GetElapsedTime(began).TotalSeconds;

    /// <summary>What has long come to rest needs no more sums.</summary>
    private void Rest()
    {
        var now = Now;
        foreach (var load in loads.Where(l => l.IsOver(now - 10)).ToArray())
        {
            rested += load.Grams;
            loads.Remove(load);
        }
    }

    /// <summary>Something that comes on evenly over a time.</summary>
    private sealed record Load(double From, double Grams, double Seconds)
    {
        public bool IsOver(double now) => now >= From + Seconds;

        public double Lies(double now) => Grams * Math.Clamp((now - From) / Seconds, 0, 1);

        /// <summary>
        /// What a lagging, swinging spring shows of it: first-order response to a ramp, in closed form, and a swing
        /// that dies away.
        /// </summary>
        public double Felt(double now)
        {
            var t = now - From;
            if (t <= 0)
            {
                return 0;
            }

            var after = Math.Max(0, t - Seconds);
            var share =
                t <= Seconds
                    ? (t - LagSeconds * (1 - Math.Exp(-t / LagSeconds))) / Seconds
                    : 1 - LagSeconds / Seconds * (Math.Exp(-after / LagSeconds) - Math.Exp(-t / LagSeconds));
            return Grams * share + Swing(after) * Math.Sin(9 * t);
        }

        /// <summary>How far it can still be off, g, once all of it is on.</summary>
        public double Unrest(double now) =>
            Grams * LagSeconds / Seconds * Math.Exp(-(now - From - Seconds) / LagSeconds) + Swing(now - From - Seconds);

        private double Swing(double after) =>
            SwingShare * Grams / Math.Max(Seconds, LagSeconds) * Math.Exp(-after / SwingSeconds);

        public Load CutAt(double now) =>
            IsOver(now) ? this : this with { Grams = Lies(now), Seconds = Math.Max(0.01, now - From) };
    }
}
