using Wendro.Blend;
using Wendro.Colour;
using Wendro.Consult;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Paint;

/// <summary>A finding, its fix where one was looked for, and why it was set aside.</summary>
internal sealed record FindingView(
    string Id,
    FindingKind Kind,
    Severity Severity,
    string Title,
    Sentence Text,
    Sentence Why,
    IReadOnlyList<Zone> Zones,
    IReadOnlyList<PanelKey> Panels,
    Wear Wear,
    int Angle,
    IReadOnlyList<Figure> Evidence,
    Stretch? Along,
    bool CanDismiss,
    FixView? Fix,
    string? SetAside
)
{
    /// <summary>Cores that look for fixes: one is left for whoever edits meanwhile.</summary>
    private static readonly int Spared = Math.Max(1, Environment.ProcessorCount - 1);

    /// <summary>What the plan alone shows, at once: no fixes, nothing that looks at every wear.</summary>
    public static IReadOnlyList<FindingView> AtOnce(PlannedHead head) =>
        head.Findings.Select(f => Of(f, null, null)).ToArray();

    /// <summary>All of it, each with its fix; what was set aside comes last.</summary>
    public static IReadOnlyList<FindingView> Of(VisitContext at, Cutting cutting, CancellationToken cancellationToken)
    {
        var head = at.Head;
        var painted = head.Panels.Any(p => p.Coats.Count > 0);
        var all = head
            .AllFindings.Concat(
                painted
                    ? ConsultFindings.Of(
                        at.Visit.Consultation,
                        at.Visit.Hair,
                        head.Measures,
                        head.Plan.LimitsOf(),
                        at.Now
                    )
                    : []
            )
            .Concat(painted && head.HiddenWork() is { } hidden ? [hidden] : [])
            .OrderBy(f => head.IsSetAside(f))
            .ThenBy(f => f.Severity)
            .ThenBy(f => f.Kind.Order)
            .ToArray();
        var fixes = new Fix?[all.Length];
        Parallel.For(
            0,
            all.Length,
            new ParallelOptions { CancellationToken = cancellationToken, MaxDegreeOfParallelism = Spared },
            i =>
            {
                if (!head.IsSetAside(all[i]))
                {
                    fixes[i] = Fixes.For(all[i], head, cutting, cancellationToken);
                }
            }
        );
        return all.Select(
                (f, i) =>
                    Of(f, fixes[i], head.IsSetAside(f) ? head.Plan.SetAside.First(d => d.Finding == f.Id).Reason : null)
            )
            .ToArray();
    }

    private static FindingView Of(Finding f, Fix? fix, string? setAside) =>
        new(
            f.Id,
            f.Kind,
            f.Severity,
            f.Title,
            f.Text,
            f.Why,
            f.Zones,
            f.Panels,
            f.Wear,
            View.AngleFor(f.Zones),
            f.Evidence,
            f.Along,
            !f.Kind.KeepsSafe,
            fix is null
                ? null
                : new FixView(
                    fix.Label,
                    fix.Edit,
                    fix.Mends,
                    fix.Now,
                    fix.After,
                    fix.New,
                    MeasuresView.Of(fix.Measures)
                ),
            setAside
        );
}

/// <summary>An edit that mends a finding, and what it does.</summary>
/// <param name="Label">What it does.</param>
/// <param name="Edit">The edit, to be sent as it is.</param>
/// <param name="Mends">Whether the finding is gone after it; otherwise it only gets better.</param>
/// <param name="Now">The figure that decides, as it is.</param>
/// <param name="After">The same after the edit; null where nothing is left to count.</param>
/// <param name="Brings">Lesser findings it brings with it.</param>
/// <param name="Measures">The measures after it.</param>
internal sealed record FixView(
    Sentence Label,
    PlanEdit Edit,
    bool Mends,
    Figure Now,
    double? After,
    IReadOnlyList<string> Brings,
    MeasuresView Measures
);
