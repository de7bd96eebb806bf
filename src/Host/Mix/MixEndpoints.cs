using Wendro.Core.Blend;
using Wendro.Core.Mix;
using Wendro.Core.Plans;
using Wendro.Core.Units;
using Wendro.Host.Consult;
using Wendro.Host.Frame;
using Wendro.Host.Paint;
using Wendro.Store;

namespace Wendro.Host.Mix;

/// <summary>A bowl to begin.</summary>
/// <param name="BaseRevision">The plan's revision its recipe was read at.</param>
/// <param name="Formula">Of which formula.</param>
/// <param name="Ordinal">Which bowl of it, from 1.</param>
internal sealed record BeginBowl(int BaseRevision, string Formula, int Ordinal);

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
        var mix = app.MapGroup("/api/visits/{visit:guid}/mix")
            .WithTags("Mix")
            .ProducesProblem(StatusCodes.Status404NotFound);

        mix.MapGet(
                "",
                async (Guid visit, MixDesk desk, CancellationToken stop) =>
                    await desk.OpenAsync(visit, stop) is { } at ? Results.Ok(desk.View(at)) : Answers.NotFound("visit")
            )
            .Produces<MixView>()
            .WithName("GetMix")
            .WithSummary("The plan as bowls: grams, recipes, when to mix which, what to mind, the tray");

        mix.MapPost(
                "/bowls",
                async (Guid visit, HttpRequest request, MixDesk desk, Bowls bowls, CancellationToken stop) =>
                {
                    var body = await Body.ReadAsync<BeginBowl>(request);
                    if (await desk.OpenAsync(visit, stop) is not { } at)
                    {
                        return Answers.NotFound("visit");
                    }

                    if (at.Work.Stored.History.Revision != body.BaseRevision)
                    {
                        throw new StaleRevisionException(at.Work.Stored.History.Revision);
                    }

                    if (ConsultWords.Stops(at.Work) is { Count: > 0 } stops)
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
                        visit,
                        body.Ordinal,
                        at.Work.Stored.Plan.FormulaOf(body.Formula)!,
                        bowl.Recipe,
                        stop
                    );
                    return Results.Ok(desk.View((await desk.OpenAsync(visit, stop))!));
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
                async (Guid visit, Guid bowl, HttpRequest request, MixDesk desk, Bowls bowls, CancellationToken stop) =>
                {
                    var body = await Body.ReadAsync<BowlHappened>(request);
                    if ((await bowls.OfAsync(visit, stop)).FirstOrDefault(b => b.Id == bowl) is not { } row)
                    {
                        return Answers.NotFound("bowl");
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

                    await bowls.AddAsync(row, body.Event, stop);
                    return await desk.OpenAsync(visit, stop) is { } at
                        ? Results.Ok(desk.View(at))
                        : Answers.NotFound("visit");
                }
            )
            .Accepts<BowlHappened>("application/json")
            .Produces<MixView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostBowlEvent")
            .WithSummary("Adds what happened to a bowl: tared, poured, restored, kept, taken back");

        mix.MapPost(
                "/tray",
                async (Guid visit, HttpRequest request, MixDesk desk, Bowls bowls, CancellationToken stop) =>
                {
                    var body = await Body.ReadAsync<TrayTick>(request);
                    if (await desk.OpenAsync(visit, stop) is not { } at)
                    {
                        return Answers.NotFound("visit");
                    }

                    if (at.Mix.Tray().All(t => t.Id != body.Item))
                    {
                        throw new BadInputException([new("item", "There is no such thing on the tray.")]);
                    }

                    await bowls.TickAsync(visit, body.Item, body.IsThere, stop);
                    return Results.Ok(desk.View((await desk.OpenAsync(visit, stop))!));
                }
            )
            .Accepts<TrayTick>("application/json")
            .Produces<MixView>()
            .ProducesValidationProblem()
            .WithName("PostTrayTick")
            .WithSummary("Ticks a thing on the tray");
    }
}

/// <summary>A mix at work.</summary>
internal sealed record MixAtWork(
    AtWork Work,
    PlannedMix Mix,
    IReadOnlyList<StoredBowl> Bowls,
    IReadOnlySet<string> Ticked
);

/// <summary>Brings plan, shelf, bench and what was weighed together.</summary>
internal sealed class MixDesk(PlanDesk plans, Heads heads, Studio studio, ProductShelf shelf, Bowls bowls)
{
    /// <summary>The mix as it stands; null if there is no such visit.</summary>
    public async Task<MixAtWork?> OpenAsync(Guid visit, CancellationToken stop)
    {
        if (await plans.OpenAsync(visit, stop) is not { } at)
        {
            return null;
        }

        var rules = (await studio.RulesAsync(stop)).Rules;
        var products = (await shelf.AllAsync(stop)).Select(p => p.Product).ToArray();
        var rows = await bowls.OfAsync(visit, stop);
        var mix = PlannedMix.Of(
            at.Head,
            rules.Bench ?? BenchRules.Usual,
            products,
            rows.Select(b => new BegunBowl(b.Meant, b.Ordinal, b.InHand)).ToArray()
        );
        return new(at, mix, rows, await bowls.TickedAsync(visit, stop));
    }

    /// <summary>What is told of it.</summary>
    public MixView View(MixAtWork at)
    {
        var mix = at.Mix;
        var formulas = mix.Formulas();
        var findings = mix.AllFindings();
        return new(
            at.Work.Visit.Client,
            at.Work.Visit.StartsAt,
            at.Work.Stored.History.Revision,
            formulas.Select(f => FormulaView.Of(f, mix)).ToArray(),
            formulas.Sum(f => f.HairGrams),
            mix.Grams,
            Amounts.Usual(mix.Head.Panels),
            formulas.Any(f => f.Cost is not null) ? formulas.Sum(f => f.Cost ?? 0) : null,
            mix.Bowls.Select(b => BowlView.Of(b, mix, at.Bowls)).ToArray(),
            mix.Left.Select(b => $"{b.Meant.Id}, bowl {b.Ordinal}: {b.InHand.PouredGrams:0.#} g").ToArray(),
            findings.OrderBy(f => mix.Head.IsSetAside(f)).Select(f => MixFindingView.Of(f, mix)).ToArray(),
            PlanCautions.Of(mix.Head),
            mix.Tray().Select(t => new TrayView(t.Id, t.Words, t.Count, t.Why, at.Ticked.Contains(t.Id))).ToArray(),
            findings.Any(f => f.Kind == FindingKind.UnevenRecipe) ? Forecast(at) : null,
            Offers.Of(mix.Shelf)
        );
    }

    private WeighedForecast Forecast(MixAtWork at)
    {
        var planned = at.Mix.Head.Measures;
        var weighed = heads.Make(at.Work.Visit.Hair, at.Mix.AsWeighed(), at.Mix.Head).Measures;
        return new(planned.EndsLevel, weighed.EndsLevel, planned.MeanLevel, weighed.MeanLevel);
    }
}
