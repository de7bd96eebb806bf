using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>
/// Made-up clients whose hair lifts in its own way: a strand test with three readings, then visit after visit. Each
/// visit is forecast by what is known before it, lived by what is true (a little otherwise each day), read by eye,
/// and teaches the next.
/// </summary>
public static class MadeUpClients
{
    /// <summary>How much otherwise her hair lifts from visit to visit: standard deviation of the logarithm.</summary>
    private const double FromDayToDay = 0.06;

    private const double Eye = 0.17;

    /// <summary>Forecasts before a visit.</summary>
    /// <param name="Off">How far off they were, levels.</param>
    /// <param name="Half">Half as wide as the band is, levels.</param>
    /// <param name="Held">Share of bands that held the truth.</param>
    public readonly record struct Before(double Off, double Half, double Held);

    /// <summary>How good forecasts were before each visit, for so many clients.</summary>
    /// <param name="clients">How many clients.</param>
    /// <param name="visits">How many visits each.</param>
    public static IReadOnlyList<Before> Forecasts(int clients, int visits)
    {
        var made = Enumerable.Range(0, visits).Select(_ => new List<(double Off, double Half)>()).ToArray();
        for (var c = 0; c < clients; c++)
        {
            var chance = new Random(100 + c);
            double Normal(double spread) =>
                spread
                * Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble()))
                * Math.Cos(2 * Math.PI * chance.NextDouble());
            var prior = OwnLift.Unread;
            var own = new OwnLift(Math.Exp(Normal(prior.SpeedSpread)), Normal(prior.CapSpread), 0, 0, 0);
            var known = Strand(own, Normal);
            for (var v = 0; v < visits; v++)
            {
                var today = own with { Speed = own.Speed * Math.Exp(Normal(FromDayToDay)) };
                var visit = new MadeUpServices(1000 * c + v, known, today);
                made[v].AddRange(visit.Forecasts().Select(f => (Math.Abs(f.Forecast - f.Truth), f.Half)));
                known = (visit.Teaches() ?? known).Later();
            }
        }

        return made.Select(v => new Before(
                v.Average(f => f.Off),
                v.Average(f => f.Half),
                v.Count(f => f.Off <= f.Half) / (double)v.Count
            ))
            .ToArray();
    }

    /// <summary>Prints how far off the forecast was before each visit, and how often its band held the truth.</summary>
    public static void Print()
    {
        const int clients = 40;
        Console.WriteLine($"{clients} made-up clients, three readings of a strand, then visits; before each visit:");
        var visits = Forecasts(clients, 6);
        for (var v = 0; v < visits.Count; v++)
        {
            Console.WriteLine(
                $"  after {v} visits: forecast off by {visits[v].Off:0.00} levels, the band (eight in ten) holds "
                    + $"{visits[v].Held * 100:0} %, ± {visits[v].Half:0.00}"
            );
        }
    }

    private static OwnLift Strand(OwnLift own, Func<double, double> normal)
    {
        var hair = FittingClient.Medium.Hair;
        var test = new StrandTest(Lightener.Clay, new Volume(20), Covering.Film, []);
        var lifting = new Lifting(test.CaseOf(hair) with { Own = own });
        var readings = new[] { 15.0, 30, 45 }
            .Select(m => new Reading(new(m), Level.Clamp(lifting.After(new(m)).Value + normal(Eye))))
            .ToArray();
        return (test with { Readings = readings }).OwnOf(hair)!;
    }
}
