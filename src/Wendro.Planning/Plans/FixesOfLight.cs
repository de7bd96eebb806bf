using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>The part that brings light where it is missing, or takes it away where there is too much.</summary>
public static partial class FixesToTry
{
    private static IEnumerable<(Sentence Label, PlanEdit Edit)> PaintNape(PlannedHead head)
    {
        if (head.Plan.Zones[Zone.Nape].Excluded is not null)
        {
            yield break;
        }

        var paint =
            LightOf(head.Panels.Where(p => p.Panel.Key.Zone is Zone.LowerBack or Zone.UpperBack))
            ?? PanelPaint.Usual with
            {
                Formula = head.Plan.FirstLight().Id,
            };
        foreach (var start in new[] { 6.0, 4, 3, 2, 1.2 })
        {
            yield return (
                $"Paint the nape's underside from {Quantity.Cm(start)}",
                new PaintZone(
                    Zone.Nape,
                    paint with
                    {
                        Face = Face.Both,
                        StartCm = start,
                        StartShare = null,
                        SpreadCm = Math.Min(1, start / 2),
                        // Tied back, only its first centimetres show: what fades in further down is not seen.
                        BlurCm = start < 3 ? Math.Min(4, paint.BlurCm) : paint.BlurCm,
                        MidsMm = Math.Max(paint.MidsMm, LeastNapeMm),
                        Shape = paint.Shape with { DropCm = Math.Min(2, paint.Shape.DropCm) },
                    }
                )
            );
        }
    }

    /// <summary>How deep a nape is painted at least where it is to show tied back, mm. Model assumption.</summary>
    private const double LeastNapeMm = 9;

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> LetThrough(Finding finding, PlannedHead head)
    {
        foreach (
            var (name, pick) in new (string, Func<PanelKey, bool>)[]
            {
                ("every third panel", k => (k.Column + k.Row) % 3 == 2),
                ("every other panel", k => (k.Column + k.Row) % 2 == 1),
            }
        )
        {
            var left = PanelsOf(finding, head).Where(p => pick(p.Panel.Key)).Select(p => p.Panel.Key).ToArray();
            if (left.Length > 0)
            {
                yield return ($"Leave {name} natural", new ClearPanels(left));
            }
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Lower(Finding finding, PlannedHead head)
    {
        foreach (var fix in LetThrough(finding, head))
        {
            yield return fix;
        }

        foreach (var cm in new[] { 2.0, 4, 6, 8, 10 })
        {
            foreach (
                var fix in Labelled(
                    $"Start {Quantity.Cm(cm, "0")} lower behind the face",
                    Each(PanelsOf(finding, head), p => p.Painted!.Paint.Lowered(cm, p.Panel.LengthCm))
                )
            )
            {
                yield return fix;
            }
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Even(Finding finding, PlannedHead head)
    {
        var left = head.Measures.Balance > 0;
        var (weak, bright) = left ? (Side.Right, Side.Left) : (Side.Left, Side.Right);
        yield return (
            $"Paint the {weak.ToString().ToLowerInvariant()} side like the {bright.ToString().ToLowerInvariant()}",
            new MirrorSide(bright)
        );
        yield return (
            $"Paint the {bright.ToString().ToLowerInvariant()} side like the {weak.ToString().ToLowerInvariant()}",
            new MirrorSide(weak)
        );
        foreach (var cm in new[] { 1.0, 2, 3, 5 })
        {
            foreach (
                var fix in Labelled(
                    $"Start {Quantity.Cm(cm, "0")} lower on the {bright.ToString().ToLowerInvariant()}",
                    Each(PanelsOf(finding, head), p => p.Painted!.Paint.Lowered(cm, p.Panel.LengthCm))
                )
            )
            {
                yield return fix;
            }
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Raise(PlannedHead head)
    {
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        if (frame.Length == 0)
        {
            yield break;
        }

        var keys = Keys(frame);
        var bare = frame.Any(p => p.Painted is null);
        var model =
            LightOf(frame) ?? new PanelPaint(new Shape.Full(), 5, 5, 12, 20) { Formula = head.Plan.FirstLight().Id };
        model = model with { StartShare = null, SpreadCm = Math.Max(model.SpreadCm, 1) };
        var from = bare ? 5.5 : frame.Min(p => p.Painted!.StartCm);
        foreach (var start in new[] { 6.0, 5, 4.5, 4, 3.5, 3, 2.5, 2, 1.5, 1 }.Where(s => s < from))
        {
            Sentence label = bare
                ? (Sentence)$"Paint the face frame from {Quantity.Cm(start)}"
                : (Sentence)$"Raise to {Quantity.Cm(start)}";
            yield return (label, new PaintPanels(keys, model with { StartCm = start }));
        }

        foreach (var start in new[] { 3.0, 2, 1 })
        {
            yield return (
                bare
                    ? (Sentence)$"Paint from {Quantity.Cm(start)}, straight and deep"
                    : (Sentence)$"Raise to {Quantity.Cm(start)}, straight and deep",
                new PaintPanels(
                    keys,
                    model with
                    {
                        StartCm = start,
                        Shape = new Shape.Full(),
                        MidsMm = 16,
                        EndsMm = 24,
                    }
                )
            );
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Underside(PlannedHead head)
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

        var model =
            LightOf(frame) ?? new PanelPaint(new Shape.Full(), 3, 5, 8, 12) { Formula = head.Plan.FirstLight().Id };
        foreach (var start in new[] { 3.0, 2, 1.5, 1 })
        {
            yield return (
                $"Paint underside from {Quantity.Cm(start)}",
                new PaintPanels(
                    keys,
                    model with
                    {
                        Face = Face.Both,
                        StartCm = start,
                        StartShare = null,
                        SpreadCm = Math.Max(1, model.SpreadCm),
                    }
                )
            );
        }
    }
}
