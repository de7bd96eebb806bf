using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>
/// Made-up clients whose hair lifts faster or slower, more or less than the tables say, and whose colourist reads
/// with an error.
/// </summary>
public static class SyntheticClients
{
    /// <summary>How wrong the 40-minute forecast is, and how often its band holds the truth.</summary>
    /// <param name="Readings">Readings before it.</param>
    /// <param name="MeanError">Mean distance from the truth, levels.</param>
    /// <param name="Covered">Share of clients whose truth the band holds.</param>
    public sealed record Error(int Readings, double MeanError, double Covered);

    /// <summary>
    /// Errors of the 40-minute forecast over clients (speed 0.6–1.5, cap ±1, reading noise ±0.25), by number of
    /// readings.
    /// </summary>
    public static IReadOnlyList<Error> Errors(int clients, params int[] readings) =>
        readings
            .Select(n =>
            {
                var (sum, covered) = (0.0, 0);
                for (var i = 0; i < clients; i++)
                {
                    var of = new LiftCase(
                        new Level(3 + 3 * Hash.Unit(i, 1)),
                        Diameter.Medium,
                        Porosity.Normal,
                        false,
                        Lightener.Clay,
                        new Volume(30),
                        Covering.Film
                    );
                    var (speed, cap) = (0.6 + 0.9 * Hash.Unit(i, 2), Hash.Signed(i, 3));
                    double Truth(double minutes) =>
                        new Lifting(of with { Own = new OwnLift(speed, cap, 0, 0, 0) })
                            .After(new Minutes(minutes))
                            .Value;
                    var seen = Enumerable
                        .Range(0, n)
                        .Select(k => new Reading(
                            new(10 + 10 * k),
                            new(Math.Clamp(Truth(10 + 10 * k) + 0.25 * Hash.Signed(i, 10 + k), 1, 10))
                        ))
                        .Select(r => (of, r))
                        .ToArray();
                    var forecast = Forecast.Of(of with { Own = StrandTest.Fit(seen) }, 40);
                    sum += Math.Abs(forecast.Level - Truth(40));
                    covered += forecast.Low <= Truth(40) && Truth(40) <= forecast.High ? 1 : 0;
                }

                return new Error(n, sum / clients, covered / (double)clients);
            })
            .ToArray();
}
