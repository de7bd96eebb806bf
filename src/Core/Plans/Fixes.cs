using Wendro.Core.Blend;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>A change that mends a finding.</summary>
/// <param name="Label">What it does, verb first.</param>
/// <param name="Edit">The change.</param>
/// <param name="Mends">Whether the finding is gone after it; otherwise it only gets better.</param>
public sealed record Fix(string Label, PlanEdit Edit, bool Mends);

/// <summary>Finds the smallest change that mends a finding, by trying it on the plan.</summary>
public static class Fixes
{
    /// <summary>The fix for a finding; null where no change of paint helps.</summary>
    public static Fix? For(Finding finding, PlannedHead head, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(finding);
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(cutting);
        Fix? better = null;
        var least = finding.Evidence[0].Value;
        var alarms = head.Findings.Count(f => f.Severity == Severity.Alarm);
        foreach (var (label, edit) in Candidates(finding, head))
        {
            var applied = head.Plan.Apply(edit, cutting);
            if (!applied.Succeeded)
            {
                continue;
            }

            var after = head.After(applied.Plan, head.Looks, cutting);
            var still = after.Findings.FirstOrDefault(f => f.Id == finding.Id);
            if (after.Findings.Count(f => f.Severity == Severity.Alarm) > alarms)
            {
                continue;
            }

            if (still is null)
            {
                return new Fix(label, edit, true);
            }

            if (IsBetter(finding.Kind, still.Evidence[0].Value, least))
            {
                least = still.Evidence[0].Value;
                better = new Fix(label, edit, false);
            }
        }

        return better;
    }

    /// <summary>The first figure of a finding should rise where light is missing and fall where there is too much of something.</summary>
    private static bool IsBetter(FindingKind kind, double now, double before) =>
        kind is FindingKind.HardLine or FindingKind.Stripes ? now < before - 1e-6 : now > before + 0.02;

    private static IEnumerable<(string Label, PlanEdit Edit)> Candidates(Finding finding, PlannedHead head) => finding.Kind switch
    {
        FindingKind.HardLine => Soften(finding, head),
        FindingKind.FrontNotBrighter => Raise(head),
        FindingKind.Stripes => Spread(finding, head),
        FindingKind.DriesFirst => KeepMoist(finding, head),
        _ => Underside(head),
    };

    private static IEnumerable<(string, PlanEdit)> Soften(Finding finding, PlannedHead head)
    {
        var painted = Painted(head, p => finding.Zones.Contains(p.Zone));
        var keys = Keys(painted);
        var now = painted.Max(p => p.Painted!.Paint.BlurCm);
        foreach (var blur in new[] { 3.0, 4, 5, 6, 8, 10, 12 }.Where(b => b > now))
        {
            yield return ($"Blur {blur:0} cm", new SetBlur(keys, blur));
        }

        // Where blur alone is not enough, the same paint at different heights is.
        foreach (var spread in new[] { 2.0, 3, 4, 6 })
        {
            yield return ($"Spread heights {spread:0} cm", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Raise(PlannedHead head)
    {
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        if (frame.Length == 0)
        {
            yield break;
        }

        var keys = Keys(frame);
        var bare = frame.Any(p => p.Painted is null);
        var model = frame.Select(p => p.Painted?.Paint).FirstOrDefault(p => p is not null)
            ?? new PanelPaint(Shape.Full, 5, 0, 5, 12, 20, Formula: head.Plan.Formulas[0].Id);
        model = model with { StartShare = null, SpreadCm = Math.Max(model.SpreadCm, 1) };
        var from = bare ? 5.5 : frame.Min(p => p.Painted!.StartCm);
        foreach (var start in new[] { 6.0, 5, 4.5, 4, 3.5, 3, 2.5, 2, 1.5, 1 }.Where(s => s < from))
        {
            var label = bare ? $"Paint the face frame from {start:0.#} cm" : $"Raise to {start:0.#} cm";
            yield return (label, new PaintPanels(keys, model with { StartCm = start }));
        }

        foreach (var start in new[] { 3.0, 2, 1 })
        {
            yield return (
                bare ? $"Paint from {start:0.#} cm, straight and deep" : $"Raise to {start:0.#} cm, straight and deep",
                new PaintPanels(keys, model with { StartCm = start, Shape = Shape.Full, DropCm = 0, MidsMm = 16, EndsMm = 24 }));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Spread(Finding finding, PlannedHead head)
    {
        var keys = Keys(Painted(head, p => finding.Zones.Contains(p.Zone)));
        foreach (var spread in new[] { 1.0, 1.5, 2, 3, 4 })
        {
            yield return ($"Spread heights {spread:0.#} cm", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(string, PlanEdit)> KeepMoist(Finding finding, PlannedHead head)
    {
        var panels = head.Panels.Where(p => finding.Panels.Contains(p.Panel.Key)).ToArray();
        var keys = Keys(panels);
        var now = panels[0].Painted!.Paint.Covering;
        foreach (var covering in new[] { Covering.Film, Covering.Foil }.Where(c => c > now))
        {
            yield return ($"Cover with {Remedies.Words(covering)}", new SetCovering(keys, covering));
        }

        var formula = panels[0].Formula!;
        foreach (var volume in new[] { 20.0, 30, 40 }.Where(v => v > formula.Volume))
        {
            yield return ($"{formula.Id}: {volume:0} vol", new SetFormula(formula with { Volume = volume }));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Underside(PlannedHead head)
    {
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        if (frame.Length == 0)
        {
            yield break;
        }

        var keys = Keys(frame);
        if (frame.All(p => p.Painted is not null))
        {
            yield return ("Paint underside", new SetFace(keys, Face.Both));
        }

        var model = frame.Select(p => p.Painted?.Paint).FirstOrDefault(p => p is not null)
            ?? new PanelPaint(Shape.Full, 3, 0, 5, 8, 12, Formula: head.Plan.Formulas[0].Id);
        foreach (var start in new[] { 3.0, 2, 1.5, 1 })
        {
            yield return (
                $"Paint underside from {start:0.#} cm",
                new PaintPanels(keys, model with { Face = Face.Both, StartCm = start, StartShare = null, SpreadCm = Math.Max(1, model.SpreadCm) }));
        }
    }

    private static PlannedPanel[] Painted(PlannedHead head, Func<PanelKey, bool> which) =>
        head.Panels.Where(p => p.Painted is not null && which(p.Panel.Key)).ToArray();

    private static string[] Keys(IEnumerable<PlannedPanel> panels) => panels.Select(p => p.Panel.Key.ToString()).ToArray();
}
