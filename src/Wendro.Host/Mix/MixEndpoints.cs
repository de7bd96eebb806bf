using Wendro.Blend;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Mix;

/// <summary>A bowl to begin.</summary>
/// <param name="BaseRevision">The plan's revision its recipe was read at.</param>
/// <param name="Formula">Of which formula.</param>
/// <param name="Ordinal">Which bowl of it, from 1.</param>
internal sealed record BeginBowl(int BaseRevision, FormulaId Formula, int Ordinal);

/// <summary>Something that happened to a bowl.</summary>
/// <param name="After">How much had happened to it when this was seen: a second writer is refused.</param>
/// <param name="Event">What happened.</param>
internal sealed record BowlHappened(int After, BowlEvent Event);

/// <summary>A thing on the tray.</summary>
internal sealed record TrayTick(string Item, bool IsThere);

/// <summary>Mix: formulas, grams, bowls on the clock, their weighing, the tray.</summary>
internal static class MixEndpoints
{
    public static void MapMix(this IEndpointRouteBuilder app)
    {
        var mix = app.MapVisit("/mix", "Mix");

        mix.MapGet("", (MixContext at, HeadCache heads) => Results.Ok(MixView.Of(at, heads)))
            .Produces<MixView>()
            .WithName("GetMix")
            .WithSummary("The plan as bowls: grams, recipes, when to mix which, what to mind, the tray");

        mix.MapGet(
                "/coarser",
                (MixContext at, HeadCache heads, CancellationToken cancellationToken) =>
                    Results.Ok(
                        new CoarserView(
                            at.Visit.AllFindings().Any(f => f.Kind == MixFault.FirstOver)
                            && CoarserCut.For(at.Mix, heads.FreshCuttingFor(at.Work.Visit.Hair), cancellationToken)
                                is { } cut
                                ? CoarserCutView.Of(cut)
                                : null
                        )
                    )
            )
            .Produces<CoarserView>()
            .WithName("GetCoarserCut")
            .WithSummary(
                "Where the first panels are over before the last is painted: the coarser cut that looks nearest"
            );

        mix.MapPost(
                "/bowls",
                async (
                    MixContext at,
                    HttpRequest request,
                    MixContexts mixes,
                    HeadCache heads,
                    Bowls bowls,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<BeginBowl>(request);
                    if (at.Work.Stored.History.Revision != body.BaseRevision)
                    {
                        throw new StaleRevisionException(at.Work.Stored.History.Revision);
                    }

                    if (VisitSafety.Stops(at.Work) is { Count: > 0 } stops)
                    {
                        throw new StoppedException(stops);
                    }

                    if (
                        at.Mix.Bowls.FirstOrDefault(b =>
                            b.Batch.Formula == body.Formula && b.Batch.Ordinal == body.Ordinal
                        )
                        is not { } bowl
                    )
                    {
                        throw new BadInputException([new("ordinal", "The plan has no such bowl.")]);
                    }

                    await bowls.BeginAsync(
                        at.Work.Visit.Id,
                        body.Ordinal,
                        at.Work.Stored.Plan.FormulaOf(body.Formula)!,
                        bowl.Recipe,
                        cancellationToken
                    );
                    return Results.Ok(MixView.Of(await mixes.OfAsync(at.Work, cancellationToken), heads));
                }
            )
            .Accepts<BeginBowl>("application/json")
            .Produces<MixView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostBowl")
            .WithSummary("Begins a bowl: what is to go in is kept as it is now");

        mix.MapPost(
                "/bowls/{bowl:guid}/events",
                async (
                    VisitContext at,
                    Guid bowl,
                    HttpRequest request,
                    MixContexts mixes,
                    HeadCache heads,
                    Bowls bowls,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<BowlHappened>(request);
                    if (
                        (await bowls.OfAsync(at.Visit.Id, cancellationToken)).FirstOrDefault(b => b.Id == bowl)
                        is not { } row
                    )
                    {
                        return ProblemAnswers.NotFound("bowl");
                    }

                    if (row.Events.Count != body.After)
                    {
                        throw new StaleRevisionException(row.Events.Count);
                    }

                    if (row.InHand.Against(body.Event) is { Count: > 0 } problems)
                    {
                        throw new BadInputException(
                            problems.Select(p => p with { Field = $"event.{p.Field}" }).ToArray()
                        );
                    }

                    await bowls.AddAsync(row, body.Event, cancellationToken);
                    return Results.Ok(MixView.Of(await mixes.OfAsync(at, cancellationToken), heads));
                }
            )
            .Accepts<BowlHappened>("application/json")
            .Produces<MixView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostBowlEvent")
            .WithSummary(
                "Adds what happened to a bowl: tared, poured, restored, kept, adjusted once mixed, taken back"
            );

        mix.MapPost(
                "/tray",
                async (
                    MixContext at,
                    HttpRequest request,
                    MixContexts mixes,
                    HeadCache heads,
                    Bowls bowls,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<TrayTick>(request);
                    if (at.Mix.Tray().All(t => t.Id != body.Item))
                    {
                        throw new BadInputException([new("item", "There is no such thing on the tray.")]);
                    }

                    await bowls.TickAsync(at.Work.Visit.Id, body.Item, body.IsThere, cancellationToken);
                    return Results.Ok(MixView.Of(await mixes.OfAsync(at.Work, cancellationToken), heads));
                }
            )
            .Accepts<TrayTick>("application/json")
            .Produces<MixView>()
            .ProducesValidationProblem()
            .WithName("PostTrayTick")
            .WithSummary("Ticks a thing on the tray");
    }
}
