using System.Collections.Concurrent;
using Wendro.Blend;
using Wendro.Host.Work;
using Wendro.Placement;
using Wendro.Plans;

namespace Wendro.Host.Paint;

/// <summary>
/// Searches for placements under way or done, one a visit. What is found is kept until the next search, or until
/// others push it out.
/// </summary>
internal sealed class Proposals(HeadCache heads)
{
    private const int MostKept = 4;
    private readonly ConcurrentDictionary<Guid, Run> runs = new();

    /// <summary>Begins a search; one under way for the visit is stopped.</summary>
    public Run Begin(VisitContext at, HouseRules house)
    {
        Stop(at.Visit.Id);
        var run = new Run(at.Stored.History.Revision);
        runs[at.Visit.Id] = run;
        foreach (
            var (visit, old) in runs.Where(r => r.Value.Done && r.Key != at.Visit.Id)
                .OrderBy(r => r.Value.Began)
                .Take(Math.Max(0, runs.Count - MostKept))
        )
        {
            if (runs.TryRemove(new(visit, old)))
            {
                old.Dispose();
            }
        }

        var looks = heads.LooksFor(at.Stored.Plan.AsWorn(at.Visit.Hair), at.Stored.Plan.Part);
        run.Search(cancellationToken =>
            Search.Of(at.Stored.Plan, looks, heads.FreshCuttingFor(at.Visit.Hair), house, run.Tell, cancellationToken)
        );
        return run;
    }

    /// <summary>The last search of a visit; null if there was none.</summary>
    public Run? Of(Guid visit) => runs.GetValueOrDefault(visit);

    /// <summary>Ends a search early: the best so far is kept. False if there is none.</summary>
    public bool Stop(Guid visit)
    {
        if (Of(visit) is not { } run)
        {
            return false;
        }

        run.Stop();
        return true;
    }

    /// <summary>One search.</summary>
    internal sealed class Run(int revision) : IDisposable
    {
        private static long count;
        private readonly CancellationTokenSource stop = new();
        private volatile Progress progress = new(0, 0, null);
        private volatile IReadOnlyList<(ProposalView View, StrandSamples Drawn)>? found;
        private volatile string? failed;

        public long Began { get; } = Interlocked.Increment(ref count);

        public bool Done => found is not null || failed is not null;

        public IReadOnlyList<(ProposalView View, StrandSamples Drawn)> Found => found ?? [];

        public ProposalsView View =>
            new(
                revision,
                failed is not null ? "failed"
                    : found is not null ? "done"
                    : "searching",
                progress.Share,
                progress.Evaluations,
                progress.Best,
                failed,
                Found.Select(f => f.View).ToArray()
            );

        public void Tell(Progress now) => progress = now;

        public void Stop() => stop.Cancel();

        public void Dispose() => stop.Dispose();

        public void Search(Func<CancellationToken, IReadOnlyList<Proposal>> search) =>
            Task.Factory.StartNew(
                () =>
                {
                    try
                    {
                        found = search(stop.Token).Select(p => (ProposalView.Of(p), p.Head.Drawn)).ToArray();
                    }
                    catch (Exception problem)
                    {
                        failed = "The search failed. Nothing was changed; try again.";
                        Serilog.Log.Error(problem, "search for placements");
                    }
                },
                CancellationToken.None,
                TaskCreationOptions.LongRunning,
                TaskScheduler.Default
            );
    }
}

/// <summary>A search: how far it is, and what it found.</summary>
/// <param name="Revision">The plan's revision it was begun from.</param>
/// <param name="State">none, searching, done or failed.</param>
/// <param name="Share">Share of it that is done, 0..1.</param>
/// <param name="Evaluations">Whole heads judged so far.</param>
/// <param name="Best">Least distance from the wanted look so far.</param>
/// <param name="Problem">What went wrong; null if nothing did.</param>
/// <param name="Found">Three proposals when done.</param>
internal sealed record ProposalsView(
    int Revision,
    string State,
    double Share,
    long Evaluations,
    double? Best,
    string? Problem,
    IReadOnlyList<ProposalView> Found
)
{
    /// <summary>Nothing was searched yet.</summary>
    public static ProposalsView None { get; } = new(0, "none", 0, 0, null, null, []);
}

/// <summary>One proposal with its measures, what it does not meet and what it gives up.</summary>
internal sealed record ProposalView(
    Strength Strength,
    string Name,
    PlanEdit Edit,
    MeasuresView Measures,
    int Panels,
    double Minutes,
    double Distance,
    IReadOnlyList<Unmet> Unmet,
    IReadOnlyList<string> GivesUp,
    IReadOnlyList<string> Findings
)
{
    public static ProposalView Of(Proposal p) =>
        new(
            p.Strength,
            p.Name,
            p.Edit,
            MeasuresView.Of(p.Head.Measures),
            p.Outcome.Panels,
            p.Outcome.Minutes,
            p.Distance,
            p.Unmet,
            p.GivesUp,
            p.Head.Findings.Select(f => f.Title).Distinct().ToArray()
        );
}
