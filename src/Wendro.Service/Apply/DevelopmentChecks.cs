using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>A reading at a look, and what it told.</summary>
/// <param name="Look">The reading.</param>
/// <param name="Minutes">How long the panel had worked, minutes.</param>
/// <param name="Expected">What was expected then, level.</param>
/// <param name="Own">How her hair lifts by it and all that is known.</param>
public sealed record DevelopmentCheck(Looked Look, double Minutes, double Expected, OwnLift Own);

/// <summary>What looks told of the client's hair: fitted as a strand test is, by lightener and covering.</summary>
internal sealed class DevelopmentChecks
{
    private readonly PlannedHead head;
    private readonly ServiceInHand service;
    private readonly IReadOnlyDictionary<PanelKey, PlannedPanel> panels;
    private readonly List<(LiftCase Case, DevelopmentCheck Told)> told;

    public DevelopmentChecks(
        PlannedHead head,
        ServiceInHand service,
        IReadOnlyDictionary<PanelKey, PlannedPanel> panels
    )
    {
        (this.head, this.service, this.panels) = (head, service, panels);
        told = ToldByLooks();
        All = told.Select(t => t.Told).ToArray();
    }

    /// <summary>Each look, in order.</summary>
    public IReadOnlyList<DevelopmentCheck> All { get; }

    /// <summary>How her hair lifts where a panel is painted alike, as looks have told; null where none has.</summary>
    public OwnLift? OwnAt(PanelKey panel) =>
        CaseAt(panel, StepAt(panel)) is { } here ? told.LastOrDefault(t => AreAlike(here, t.Case)).Told?.Own : null;

    private int StepAt(PanelKey panel) =>
        service.StandOf(panel) is { PaintedAt: not null } stand ? stand.Step : service.Step;

    private static bool AreAlike(LiftCase one, LiftCase other) =>
        one.Lightener == other.Lightener && one.Covering == other.Covering;

    private LiftCase? CaseAt(PanelKey panel, int step) =>
        panels.GetValueOrDefault(panel) is { } planned
        && planned.Coats.FirstOrDefault(c => c.Step == step && !c.Formula.IsDeposit) is { } light
            ? light.LiftingOf(head.Hair, panel.Zone, HairState.Of(head.Hair.In(panel.Zone))[0])?.Case
            : null;

    /// <summary>Looks of earlier steps count on: it is the same hair.</summary>
    private List<(LiftCase Case, DevelopmentCheck Told)> ToldByLooks()
    {
        var found = new List<(LiftCase Case, DevelopmentCheck Told)>();
        var readings = new List<(LiftCase Case, Reading Reading)>();
        foreach (var (at, look, step, stood) in service.Looks)
        {
            if (CaseAt(look.Panel, step) is not { } of || stood.PaintedAt is not { } painted)
            {
                continue;
            }

            var worked = Math.Clamp((at - painted).TotalMinutes, 0, Minutes.Longest);
            var known = found.LastOrDefault(t => AreAlike(t.Case, of)).Told?.Own ?? of.Own;
            var turns = CoatCourse.Of(service, stood, of.LowHeat, painted, at);
            var course = new LiftCourse(new(of with { Own = known }), turns.Where(t => t.AtMinute < worked).ToArray());
            var expected = course.After(new(worked)).Value;
            // Covered, warmed or painted again: as many minutes as would have brought it as far without.
            var alike = course.Unchanged(worked, Minutes.Longest);
            readings.Add((of with { Own = null }, new Reading(new(alike), look.Level)));
            var own = StrandTest.Fit(readings.Where(r => AreAlike(r.Case, of)).ToArray(), of.Own);
            found.Add((of, new(look, worked, expected, own)));
        }

        return found;
    }
}
