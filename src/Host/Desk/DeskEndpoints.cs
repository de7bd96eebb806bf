using Wendro.Core.Care;
using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Units;
using Wendro.Host.Frame;

namespace Wendro.Host.Desk;

/// <summary>How light hair is after some minutes?</summary>
/// <param name="Level">Level to start from, 1..10.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Porosity">Porosity.</param>
/// <param name="Lightener">What lightens.</param>
/// <param name="Volume">Developer, 5..40 vol.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Minutes">How long, 0..600.</param>
/// <param name="Coloured">Whether the hair carries artificial colour.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="Coat">Share of the coat the work takes, 0..1.</param>
internal sealed record LiftQuestion(
    double Level,
    Diameter Diameter,
    Porosity Porosity,
    Lightener Lightener,
    double Volume,
    Covering Covering,
    double Minutes,
    bool Coloured = false,
    bool LowHeat = false,
    double Coat = 1);

/// <summary>How light it is then.</summary>
internal sealed record LiftAnswer(double Level, double Gain, double Cap, string Undertone, double DriesAtMinutes, IReadOnlyList<string> Cautions);

/// <summary>How long to a level?</summary>
internal sealed record TimeQuestion(
    double Level,
    Diameter Diameter,
    Porosity Porosity,
    Lightener Lightener,
    double Volume,
    Covering Covering,
    double TargetLevel,
    bool Coloured = false,
    bool LowHeat = false,
    double Coat = 1);

/// <summary>How long, or why never and what would help.</summary>
internal sealed record TimeAnswer(bool Reachable, double? Minutes, bool WithinLimit, string Because, IReadOnlyList<Remedy> Remedies);

/// <summary>Quick sums at hand without a visit.</summary>
internal static class DeskEndpoints
{
    public static void MapDesk(this IEndpointRouteBuilder app)
    {
        var desk = app.MapGroup("/api/desk").WithTags("Desk");

        desk.MapPost("/lift", async (HttpRequest request) =>
            {
                var q = await Body.ReadAsync<LiftQuestion>(request);
                Check(Of(q.Level, q.Volume, q.Coat), Minutes.IsValid(q.Minutes) ? null : new("minutes", "Between 0 and 600 minutes."));
                var of = new LiftCase(new Level(q.Level), q.Diameter, q.Porosity, q.Coloured, q.Lightener, new Volume(q.Volume), q.Covering, q.LowHeat, q.Coat);
                var lifting = new Lifting(of);
                var level = lifting.After(new Minutes(q.Minutes)).Value;
                return Results.Ok(new LiftAnswer(
                    level, lifting.Gain(q.Minutes), lifting.Cap, Undertone.At(level), lifting.DriesAtMinutes(), Cautions.For(of, q.Minutes)));
            })
            .Accepts<LiftQuestion>("application/json").Produces<LiftAnswer>().ProducesValidationProblem()
            .WithName("PostDeskLift").WithSummary("Level after some minutes");

        desk.MapPost("/time", async (HttpRequest request) =>
            {
                var q = await Body.ReadAsync<TimeQuestion>(request);
                Check(Of(q.Level, q.Volume, q.Coat), Level.IsValid(q.TargetLevel) ? null : new("targetLevel", "A level lies between 1 and 10."));
                var of = new LiftCase(new Level(q.Level), q.Diameter, q.Porosity, q.Coloured, q.Lightener, new Volume(q.Volume), q.Covering, q.LowHeat, q.Coat);
                var answer = Remedies.TimeTo(of, new Level(q.TargetLevel));
                return Results.Ok(new TimeAnswer(answer.Reachable, answer.Minutes, answer.WithinLimit, answer.Because, answer.Remedies));
            })
            .Accepts<TimeQuestion>("application/json").Produces<TimeAnswer>().ProducesValidationProblem()
            .WithName("PostDeskTime").WithSummary("Minutes to a level, or why never and what would help");
    }

    private static List<Problem> Of(double level, double volume, double coat)
    {
        var problems = new List<Problem>();
        if (!Level.IsValid(level))
        {
            problems.Add(new("level", "A level lies between 1 and 10."));
        }

        if (!Volume.IsValid(volume))
        {
            problems.Add(new("volume", "A developer lies between 5 and 40 vol."));
        }

        if (!(coat is >= 0 and <= 1))
        {
            problems.Add(new("coat", "Between 0 and 1."));
        }

        return problems;
    }

    private static void Check(List<Problem> problems, Problem? another)
    {
        if (another is not null)
        {
            problems.Add(another);
        }

        if (problems.Count > 0)
        {
            throw new BadInputException(problems);
        }
    }
}
