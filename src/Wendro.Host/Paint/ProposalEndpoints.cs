using Wendro.Blend;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Store;

namespace Wendro.Host.Paint;

/// <summary>A line of the blend card.</summary>
internal sealed record CardLineView(
    CardMeasure Measure,
    double? Value,
    double Low,
    double High,
    bool Met,
    IReadOnlyList<PanelKey> Thank,
    IReadOnlyList<PanelKey> Blame,
    string Words
);

/// <summary>The blend card: what she wants against what comes out, and when it has to be done again.</summary>
internal sealed record CardView(IReadOnlyList<CardLineView> Lines, double WeeksBetween, int Panels, double Minutes);

/// <summary>From look to placement, and the blend card.</summary>
internal static class ProposalEndpoints
{
    public static void MapProposals(this IEndpointRouteBuilder app)
    {
        var plan = app.MapVisit("/plan", "Paint");
        plan.MapGet("/card", (VisitContext at) => Results.Ok(Card(at)))
            .Produces<CardView>()
            .WithName("GetCard")
            .WithSummary("The measures against the wish, with which panels to thank or blame");

        plan.MapPost(
                "/proposals",
                async (VisitContext at, Proposals proposals, Studio studio, CancellationToken cancellationToken) =>
                {
                    if (VisitSafety.Stops(at) is { Count: > 0 } stops)
                    {
                        throw new StoppedException(stops);
                    }

                    return Results.Accepted(
                        $"/api/visits/{at.Visit.Id}/plan/proposals",
                        proposals.Begin(at, (await studio.RulesAsync(cancellationToken)).Rules).View
                    );
                }
            )
            .Produces<ProposalsView>(StatusCodes.Status202Accepted)
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostProposals")
            .WithSummary("Begins to search placements for the wanted look; read how far it is at the same address");

        plan.MapGet(
                "/proposals",
                async (Guid visit, Proposals proposals, Visits visits, CancellationToken cancellationToken) =>
                    await visits.FindAsync(visit, cancellationToken) is null
                        ? ProblemAnswers.NotFound("visit")
                        : Results.Ok(proposals.Of(visit)?.View ?? ProposalsView.None)
            )
            .Produces<ProposalsView>()
            .WithName("GetProposals")
            .WithSummary("How far the search is, and the three proposals when it is done; state none before the first");

        plan.MapDelete(
                "/proposals",
                (Guid visit, Proposals proposals) =>
                    proposals.Stop(visit) ? Results.NoContent() : ProblemAnswers.NotFound("search")
            )
            .Produces(StatusCodes.Status204NoContent)
            .WithName("StopProposals")
            .WithSummary("Ends the search early; the best so far is kept");

        plan.MapGet(
                "/proposals/{number:int}/levels",
                (Guid visit, int number, Proposals proposals) =>
                    proposals.Of(visit) is { } run && number >= 0 && number < run.Found.Count
                        ? Results.Bytes(run.Found[number].Drawn.Levels, "application/octet-stream")
                        : ProblemAnswers.NotFound("proposal")
            )
            .Produces<byte[]>(contentType: "application/octet-stream")
            .WithName("GetProposalLevels")
            .WithSummary("Level bytes to draw a proposal with, rinsed");

        plan.MapGet(
                "/proposals/{number:int}/hair",
                (Guid visit, int number, Proposals proposals) =>
                    proposals.Of(visit) is { } run && number >= 0 && number < run.Found.Count
                        ? Results.Bytes(run.Found[number].Drawn.ByTurns(), "application/octet-stream")
                        : ProblemAnswers.NotFound("proposal")
            )
            .Produces<byte[]>(contentType: "application/octet-stream")
            .WithName("GetProposalHair")
            .WithSummary("Level byte and tint byte by turns to draw a proposal with, rinsed");
    }

    private static CardView Card(VisitContext at)
    {
        var weeks = at.Visit.Consultation.WeeksBetween;
        return new(
            at.Head.Card(weeks)
                .Select(l => new CardLineView(l.Measure, l.Value, l.Low, l.High, l.Met, l.Thank, l.Blame, Words(l)))
                .ToArray(),
            weeks,
            at.Head.Panels.Count(p => p.Coats.Count > 0),
            at.Head.Minutes
        );
    }

    private static string Words(CardLine line)
    {
        static string Where(IReadOnlyList<Wendro.Section.PanelKey> panels) =>
            string.Join(", ", panels.Select(p => Wendro.Head.ZoneFacts.Words(p.Zone)).Distinct());
        return (line.Thank.Count, line.Blame.Count) switch
        {
            (0, 0) => string.Empty,
            (_, 0) => $"thanks to {Where(line.Thank)}",
            (0, _) => $"because of {Where(line.Blame)}",
            _ => $"thanks to {Where(line.Thank)}; held back by {Where(line.Blame)}",
        };
    }
}
