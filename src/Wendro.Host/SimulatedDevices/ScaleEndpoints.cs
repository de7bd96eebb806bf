using Wendro.Host.Pipeline;
using Wendro.Units;

namespace Wendro.Host.SimulatedDevices;

/// <summary>What hands do at the simulated scale.</summary>
public enum Hand
{
    Pour,
    Begin,
    Stop,
    Clear,
    Unplug,
    Plug,
}

/// <summary>A hand at the simulated scale.</summary>
/// <param name="Does">What it does.</param>
/// <param name="Grams">To pour: how much, g, above 0..5000.</param>
/// <param name="Seconds">To pour: how long that takes, 0..600 s.</param>
/// <param name="GramsPerSecond">To begin: how fast, g/s, above 0..100.</param>
internal sealed record HandAtScale(Hand Does, double Grams = 0, double Seconds = 0, double GramsPerSecond = 0);

/// <summary>The bench scale; and, since it is simulated, the hands that pour.</summary>
internal static class ScaleEndpoints
{
    public static void MapScale(this IEndpointRouteBuilder app)
    {
        app.MapHub<ScaleHub>("/hubs/scale");
        var scale = app.MapGroup("/api").WithTags("Stand-ins");
        scale
            .MapGet("/scale", (IScale at) => at.Read())
            .WithName("GetScale")
            .WithSummary("What the bench scale shows; /hubs/scale streams the same as \"reading\"");
        scale
            .MapPost(
                "/scale/tare",
                (IScale at) =>
                {
                    at.Tare();
                    return at.Read();
                }
            )
            .WithName("PostScaleTare")
            .WithSummary("Sets what stands on the scale to nought");

        scale
            .MapPost(
                "/stand-ins/scale",
                async (HttpRequest request, SimulatedScale at) =>
                {
                    var hand = await JsonBody.ReadAsync<HandAtScale>(request);
                    Refuse(hand);
                    switch (hand.Does)
                    {
                        case Hand.Pour:
                            at.Pour(hand.Grams, hand.Seconds);
                            break;
                        case Hand.Begin:
                            at.Begin(hand.GramsPerSecond);
                            break;
                        case Hand.Stop:
                            at.Stop();
                            break;
                        case Hand.Clear:
                            at.Clear();
                            break;
                        default:
                            at.Plug(hand.Does == Hand.Plug);
                            break;
                    }

                    return at.Read();
                }
            )
            .Accepts<HandAtScale>("application/json")
            .Produces<ScaleReading>()
            .ProducesValidationProblem()
            .WithName("PostHandAtScale")
            .WithSummary("The simulated scale's hands: pour, clear, pull the plug");
    }

    private static void Refuse(HandAtScale hand)
    {
        var problems = new List<Problem>();
        if (hand.Does == Hand.Pour)
        {
            Problem.Range(problems, "grams", hand.Grams, 0.01, 5000, "g");
            Problem.Range(problems, "seconds", hand.Seconds, 0, 600, "s");
        }

        if (hand.Does == Hand.Begin)
        {
            Problem.Range(problems, "gramsPerSecond", hand.GramsPerSecond, 0.01, 100, "g/s");
        }

        if (problems.Count > 0)
        {
            throw new BadInputException(problems);
        }
    }
}
