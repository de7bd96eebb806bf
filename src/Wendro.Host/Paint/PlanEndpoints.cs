using Wendro.Blend;
using Wendro.Formats;
using Wendro.Formats.Pages;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Store;

namespace Wendro.Host.Paint;

/// <summary>An edit and the revision it was made from.</summary>
/// <param name="BaseRevision">The revision the edit was made from.</param>
/// <param name="Edit">The edit.</param>
/// <param name="Sequence">For previews: a number that grows; older ones are dropped.</param>
internal sealed record EditBody(int BaseRevision, PlanEdit Edit, long Sequence = 0);

/// <summary>The revision an undo or redo starts from.</summary>
internal sealed record StepBody(int BaseRevision);

/// <summary>The plan of a visit: read, edited, previewed, undone, redone.</summary>
internal static class PlanEndpoints
{
    private const int FewPanels = 4;

    public static void MapPlan(this IEndpointRouteBuilder app)
    {
        var plan = app.MapVisit("/plan", "Paint");

        plan.MapGet("", (VisitContext at) => Results.Ok(View(at)))
            .Produces<PlanView>()
            .WithName("GetPlan")
            .WithSummary("The plan, its panels, measures and findings");

        plan.MapGet("/panels", (VisitContext at) => Results.Ok(PanelView.Of(at.Head)))
            .Produces<IReadOnlyList<PanelView>>()
            .WithName("GetPanels")
            .WithSummary("The panels with areas, paint and levels");

        plan.MapGet(
                "/panels/{zone}/{row:int}/{column:int}/strip",
                (VisitContext at, string zone, int row, int column) =>
                    StripOf(at, PanelKey.Parse($"{zone}/{row}/{column}")) is { } strip
                        ? Results.Ok(strip)
                        : ProblemAnswers.NotFound("panel")
            )
            .Produces<Strip>()
            .WithName("GetStrip")
            .WithSummary("A panel hung flat: levels from scalp to ends, and depth");

        plan.MapGet(
                "/panels/{zone}/{row:int}/{column:int}/strip.svg",
                (VisitContext at, string zone, int row, int column) =>
                    PanelKey.Parse($"{zone}/{row}/{column}") is { } key && StripOf(at, key) is { } strip
                        ? Results.Text(
                            StripDrawing.ToSvg(strip, at.Head.PanelOf(key)!.Panel.LengthCm, $"{key.Words}, as painted"),
                            "image/svg+xml"
                        )
                        : ProblemAnswers.NotFound("panel")
            )
            .Produces<string>(contentType: "image/svg+xml")
            .WithName("GetStripDrawing")
            .WithSummary("A panel hung flat, as SVG");

        plan.MapGet("/measures", (VisitContext at) => Results.Ok(MeasuresView.Of(at.Head.Measures)))
            .Produces<MeasuresView>()
            .WithName("GetMeasures")
            .WithSummary("The measures, rinsed, worn down");

        plan.MapGet(
                "/findings",
                (VisitContext at, HeadCache heads, CancellationToken cancellationToken) =>
                    Results.Ok(FindingView.Of(at, heads.CuttingFor(at.Visit.Hair), cancellationToken))
            )
            .Produces<IReadOnlyList<FindingView>>()
            .WithName("GetFindings")
            .WithSummary("What is wrong, worst first, each with its fix");

        Changes(
                plan.MapPost(
                        "/edits",
                        async (
                            VisitContext at,
                            HttpRequest request,
                            OpenPlans plans,
                            CancellationToken cancellationToken
                        ) =>
                        {
                            var body = await JsonBody.ReadAsync<EditBody>(request);
                            return Changed(await plans.EditAsync(at, body.BaseRevision, body.Edit, cancellationToken));
                        }
                    )
                    .Accepts<EditBody>("application/json")
            )
            .WithName("PostEdit")
            .WithSummary("Changes the plan: the one door");

        Changes(
                plan.MapPost(
                        "/previews",
                        async (VisitContext at, HttpRequest request, OpenPlans plans) =>
                        {
                            var body = await JsonBody.ReadAsync<EditBody>(request);
                            return plans.Preview(at, body.BaseRevision, body.Edit, body.Sequence) is { } head
                                ? Results.Ok(Change(at, at with { Head = head }, []))
                                : Results.NoContent();
                        }
                    )
                    .Accepts<EditBody>("application/json")
            )
            .Produces(StatusCodes.Status204NoContent)
            .WithName("PostPreview")
            .WithSummary("What an edit would change; stores nothing. 204 where a newer preview came in meanwhile");

        Changes(
                plan.MapPost(
                        "/undo",
                        async (
                            VisitContext at,
                            HttpRequest request,
                            OpenPlans plans,
                            CancellationToken cancellationToken
                        ) =>
                            Changed(
                                await plans.UndoAsync(
                                    at,
                                    (await JsonBody.ReadAsync<StepBody>(request)).BaseRevision,
                                    cancellationToken
                                )
                            )
                    )
                    .Accepts<StepBody>("application/json")
            )
            .WithName("PostUndo")
            .WithSummary("Takes the last edit back, as a new revision");

        Changes(
                plan.MapPost(
                        "/redo",
                        async (
                            VisitContext at,
                            HttpRequest request,
                            OpenPlans plans,
                            CancellationToken cancellationToken
                        ) =>
                            Changed(
                                await plans.RedoAsync(
                                    at,
                                    (await JsonBody.ReadAsync<StepBody>(request)).BaseRevision,
                                    cancellationToken
                                )
                            )
                    )
                    .Accepts<StepBody>("application/json")
            )
            .WithName("PostRedo")
            .WithSummary("Brings back what was undone, as a new revision");
    }

    public static void MapHistory(this IEndpointRouteBuilder app) =>
        app.MapVisit("/plan/history", "Paint")
            .MapGet(
                "",
                async (VisitContext at, Revisions revisions, CancellationToken cancellationToken) =>
                    Results.Ok(await revisions.HistoryAsync(at.Visit.Id, cancellationToken))
            )
            .Produces<IReadOnlyList<StoredRevision>>()
            .WithName("GetHistory")
            .WithSummary("What was done to the plan, revision by revision, in words");

    public static void MapPlanFile(this IEndpointRouteBuilder app)
    {
        var file = app.MapVisit("/plan/file", "Paint");
        file.MapGet(
                "",
                (VisitContext at) =>
                    Results.File(PlanFile.Write(at.Visit.Hair, at.Stored.Plan), "application/json", "plan.wendro.json")
            )
            .WithName("GetPlanFile")
            .WithSummary("The plan as a file: docs/formats/plan.md");

        Changes(
                file.MapPost(
                        "",
                        async (
                            VisitContext at,
                            int baseRevision,
                            HttpRequest request,
                            OpenPlans plans,
                            CancellationToken cancellationToken
                        ) =>
                        {
                            var read = PlanFile.Read(await JsonBody.BytesAsync(request));
                            return Changed(await plans.TakeAsync(at, baseRevision, read.Plan, cancellationToken));
                        }
                    )
                    .Accepts<PlanFile>("application/json")
            )
            .WithName("PostPlanFile")
            .WithSummary("Takes a plan from a file as one revision; validated whole first");
    }

    private static RouteHandlerBuilder Changes(RouteHandlerBuilder route) =>
        route
            .Produces<PlanChange>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge)
            .ProducesProblem(StatusCodes.Status415UnsupportedMediaType);

    private static IResult Changed(Changed changed) => Results.Ok(Change(changed.Before, changed.After, changed.Lost));

    private static PlanChange Change(VisitContext before, VisitContext after, IReadOnlyList<PanelKey> lost)
    {
        var recut = !ReferenceEquals(before.Head.Map, after.Head.Map) && !SameCut(before.Head, after.Head);
        var panels = Enumerable
            .Range(0, after.Head.Panels.Count)
            .Where(i => recut || after.Head.Panels[i] != before.Head.Panels[i])
            .Select(i => PanelView.Of(after.Head, after.Head.Panels[i], i))
            .ToArray();
        if (panels.Length <= FewPanels)
        {
            panels = panels.Select(p => p with { Strip = StripOf(after, p.Key) }).ToArray();
        }

        var history = after.Stored.History;
        return new PlanChange(
            history.Revision,
            history.CanUndo,
            history.CanRedo,
            after.Stored.Undoes,
            after.Stored.Redoes,
            recut,
            lost,
            after.Head.Plan,
            panels,
            after.Head.Working.SequenceEqual(before.Head.Working) ? null : after.Head.Working,
            MeasuresView.Of(after.Head.Measures),
            FindingView.AtOnce(after.Head),
            VisitSafety.Cautions(after),
            recut ? null : StrandLevelsView.Between(before.Head, after.Head)
        );
    }

    private static Strip? StripOf(VisitContext at, PanelKey? key) =>
        key is { } one && at.Head.PanelOf(one) is { } panel ? Strip.Of(panel, at.Visit.Hair, Moment.Rinsed) : null;

    /// <summary>Whether the panels are the same pieces of hair, however their paint differs.</summary>
    private static bool SameCut(PlannedHead a, PlannedHead b) =>
        ReferenceEquals(a.Looks, b.Looks)
        && a.Panels.Count == b.Panels.Count
        && a.Panels.Zip(b.Panels).All(p => ReferenceEquals(p.First.Panel, p.Second.Panel));

    /// <summary>A plan as it is told.</summary>
    internal static PlanView View(VisitContext at)
    {
        var history = at.Stored.History;
        return new PlanView(
            at.Visit.Id,
            at.Visit.Client,
            at.Visit.About,
            at.Visit.StartsAt,
            at.Visit.Hair,
            history.Revision,
            history.CanUndo,
            history.CanRedo,
            at.Stored.Undoes,
            at.Stored.Redoes,
            at.Stored.Plan,
            PanelView.Of(at.Head),
            at.Head.Working,
            MeasuresView.Of(at.Head.Measures),
            FindingView.AtOnce(at.Head),
            VisitSafety.Stops(at),
            VisitSafety.Cautions(at),
            at.Head.Looks.Head.Chart.Outline.SelectMany(p => new[] { Math.Round(p.X, 3), Math.Round(p.Y, 3) })
                .ToArray(),
            at.Head.Looks.Head.ZonesFor(at.Stored.Plan.Part)
                .PartOnMap.SelectMany(p => new[] { Math.Round(p.X, 3), Math.Round(p.Y, 3) })
                .ToArray()
        );
    }
}
