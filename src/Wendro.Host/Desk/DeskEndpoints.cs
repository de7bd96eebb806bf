using Wendro.Desk;
using Wendro.Host.Pipeline;
using Wendro.Scheduling;
using Wendro.Units;

namespace Wendro.Host.Desk;

/// <summary>A line as it is typed.</summary>
internal sealed record ReadQuestion(string Text);

/// <summary>How a line was read, and what it comes to.</summary>
/// <param name="Sum">Which sum: lift, time, developer, batch, rescue, tone, rinse, strength, mass, regrowth or
/// visits.</param>
/// <param name="ReadAs">How it was read, in words.</param>
/// <param name="Result">What it comes to, in a line.</param>
/// <param name="Why">How that came about.</param>
/// <param name="Question">The question as its own path takes it.</param>
/// <param name="Answer">The answer as its own path gives it.</param>
internal sealed record ReadAnswer(
    string Sum,
    Sentence ReadAs,
    Sentence Result,
    Sentence Why,
    object Question,
    object Answer
);

/// <summary>Quick sums at hand without a visit.</summary>
internal static class DeskEndpoints
{
    public static void MapDesk(this IEndpointRouteBuilder app)
    {
        var desk = app.MapGroup("/api/desk").WithTags("Desk");
        Sum<LiftQuestion, LiftAnswer>(desk, "/lift", "Level after some minutes", DeskSums.Of);
        Sum<TimeQuestion, TimeAnswer>(
            desk,
            "/time",
            "Minutes to a level, or why never and what would help",
            DeskSums.Of
        );
        Sum<DeveloperQuestion, DeveloperAnswer>(desk, "/developer", "A developer in between two at hand", DeskSums.Of);
        Sum<BatchQuestion, BatchAnswer>(desk, "/batch", "Lightener and developer for so many grams", DeskSums.Of);
        Sum<ScoopsQuestion, ScoopsAnswer>(
            desk,
            "/scoops",
            "Scoops as grams and back, by volume by weight",
            DeskSums.Of
        );
        Sum<RescueQuestion, RescueAnswer>(
            desk,
            "/rescue",
            "What restores the ratio after too much was poured",
            DeskSums.Of
        );
        Sum<ToneQuestion, ToneAnswer>(desk, "/tone", "What comes of a toner", DeskSums.Of);
        Sum<SuggestQuestion, SuggestAnswer>(
            desk,
            "/suggest",
            "Up to three shades in whole parts that bring hair nearest to a wanted colour, and what else comes near",
            DeskSums.Of
        );
        Sum<RinseQuestion, RinseAnswer>(desk, "/rinse", "The fewest rinse waves that meet every window", DeskSums.Of);
        Sum<ScheduleQuestion, Schedule>(
            desk,
            "/schedule",
            "When groups are painted and rinsed in waves, with one pair of hands, so that the last wave ends soonest",
            DeskSums.Of
        );
        Sum<StrengthQuestion, StrengthAnswer>(desk, "/strength", "Volume and per cent", DeskSums.Of);
        Sum<MassQuestion, MassAnswer>(desk, "/mass", "Grams and ounces", DeskSums.Of);
        Sum<RegrowthQuestion, RegrowthAnswer>(desk, "/regrowth", "Regrowth and months", DeskSums.Of);
        Sum<VisitsQuestion, VisitsAnswer>(desk, "/visits", "How many visits a level takes", DeskSums.Of);

        desk.MapPost(
                "/read",
                async (HttpRequest request) =>
                {
                    var read = ShortEntry.Read((await JsonBody.ReadAsync<ReadQuestion>(request)).Text);
                    return read.Problems.Count > 0
                        ? throw new BadInputException(read.Problems)
                        : Results.Ok(
                            new ReadAnswer(read.Sum, read.ReadAs, read.Result, read.Why, read.Question!, read.Answer!)
                        );
                }
            )
            .Accepts<ReadQuestion>("application/json")
            .Produces<ReadAnswer>()
            .ProducesValidationProblem()
            .WithName("PostDeskRead")
            .WithSummary("Understands a short line such as 25 vol 60 g from 20 40, and says how it read it");
    }

    private static void Sum<TQuestion, TAnswer>(
        RouteGroupBuilder desk,
        string path,
        string summary,
        Func<TQuestion, DeskResult<TAnswer>> sum
    )
        where TQuestion : notnull
        where TAnswer : class =>
        desk.MapPost(
                path,
                async (HttpRequest request) =>
                {
                    var result = sum(await JsonBody.ReadAsync<TQuestion>(request));
                    return result.Answer is { } answer
                        ? Results.Ok(answer)
                        : throw new BadInputException(result.Problems);
                }
            )
            .Accepts<TQuestion>("application/json")
            .Produces<TAnswer>()
            .ProducesValidationProblem()
            .WithName($"PostDesk{char.ToUpperInvariant(path[1])}{path[2..]}")
            .WithSummary(summary);
}
