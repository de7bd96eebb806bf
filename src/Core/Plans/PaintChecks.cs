using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>The part that looks at paint, and at which of several products is meant.</summary>
internal sealed partial class EditChecks
{
    private void Paint(PanelPaint? paint)
    {
        if (paint is null)
        {
            problems.Add(new("paint", "Paint is needed."));
            return;
        }

        var field = "paint";
        for (var (coat, n) = (paint, 0); coat is not null; (coat, n) = (coat.Next, n + 1))
        {
            if (n == PanelPaint.MostCoats)
            {
                problems.Add(new(field, $"At most {PanelPaint.MostCoats} products on one panel."));
                return;
            }

            Coat(coat, field);
            field += ".next";
        }
    }

    private void Coat(PanelPaint paint, string field)
    {
        Known(paint.Shape, $"{field}.shape");
        Known(paint.Face, $"{field}.face");
        Known(paint.Covering, $"{field}.covering");
        Known(paint.Pressure, $"{field}.pressure");
        Known(paint.Tension, $"{field}.tension");
        Known(paint.Teasing, $"{field}.teasing");
        Range(paint.StartCm, 0, 75, $"{field}.startCm", "cm");
        Range(paint.DropCm, 0, 40, $"{field}.dropCm", "cm");
        Range(paint.BlurCm, 0, 12, $"{field}.blurCm", "cm");
        Range(paint.MidsMm, 0, 40, $"{field}.midsMm", "mm");
        Range(paint.EndsMm, 0, 40, $"{field}.endsMm", "mm");
        Range(paint.SpreadCm, 0, 6, $"{field}.spreadCm", "cm");
        Range(paint.StartShare ?? 0, 0, 1, $"{field}.startShare", "of the length");
        Range(paint.SlopeCm, -20, 20, $"{field}.slopeCm", "cm");
        Range(paint.CentreU, 0.1, 0.9, $"{field}.centreU", "across the panel");
        Range(paint.CentreCm, 0, 40, $"{field}.centreCm", "cm");
        Range(paint.Strokes, 1, 9, $"{field}.strokes", string.Empty);
        Range(paint.StrokeShare, 0.05, 1, $"{field}.strokeShare", "of its room");
        Range(paint.MergeCm, 0, 60, $"{field}.mergeCm", "cm");
        Range(paint.BandCm ?? 1, 0.5, 75, $"{field}.bandCm", "cm");
        FormulaId(paint.Formula, $"{field}.formula");
    }

    /// <summary>The products of every panel named, and one of them by number.</summary>
    private void Panels(IReadOnlyList<string>? panels, int coat)
    {
        Panels(panels);
        Range(coat, 0, PanelPaint.MostCoats - 1, "coat", string.Empty);
        if (coat > 0 && coat < PanelPaint.MostCoats && KeysOf(panels).Any(k => CoatsOf(k) <= coat))
        {
            problems.Add(new("coat", $"Not all of these panels have {coat + 1} products."));
        }
    }

    private void MostCoats(IReadOnlyList<string>? panels, int more)
    {
        if (KeysOf(panels).Any(k => CoatsOf(k) + more > PanelPaint.MostCoats))
        {
            problems.Add(new("panels", $"At most {PanelPaint.MostCoats} products on one panel."));
        }
    }

    private static IEnumerable<PanelKey> KeysOf(IReadOnlyList<string>? panels) =>
        (panels ?? []).Select(PanelKey.Parse).OfType<PanelKey>();

    private int CoatsOf(PanelKey key) =>
        plan.Zones[key.Zone].Paint.GetValueOrDefault(key.ToString())?.Coats().Count ?? 0;

    private void Heights(SetHeights e)
    {
        Panels(e.Panels, e.Coat);
        Range(e.SlopeCm ?? 0, -20, 20, "slopeCm", "cm");
        Range(e.CentreCm ?? 0, 0, 40, "centreCm", "cm");
        if (e.StartCm is { } start)
        {
            Range(start, 0, 75, "startCm", "cm");
        }

        if (e.StartShare is { } share)
        {
            Range(share, 0, 1, "startShare", "of the length");
        }

        if (e.DropCm is { } drop)
        {
            Range(drop, 0, 40, "dropCm", "cm");
        }

        if (e.StartCm is not null && e.StartShare is not null)
        {
            problems.Add(new("startShare", "Give the start in cm or as a share, not both."));
        }

        if (e is { StartCm: null, StartShare: null, DropCm: null, SlopeCm: null, CentreCm: null })
        {
            problems.Add(new("startCm", "Give a start, a drop, a slope or a middle."));
        }
    }

    private void Strokes(SetStrokes e)
    {
        Panels(e.Panels, e.Coat);
        Range(e.Strokes ?? 1, 1, 9, "strokes", string.Empty);
        Range(e.StrokeShare ?? 1, 0.05, 1, "strokeShare", "of its room");
        Range(e.MergeCm ?? 0, 0, 60, "mergeCm", "cm");
        Range(e.CentreU ?? 0.5, 0.1, 0.9, "centreU", "across the panel");
        if (e is { Strokes: null, StrokeShare: null, MergeCm: null, CentreU: null })
        {
            problems.Add(new("strokes", "Give strokes, their width, where they meet, or where the middle lies."));
        }
    }

    private void Formula(SetFormula e)
    {
        if (e.Formula is null)
        {
            problems.Add(new("formula", "A formula is needed."));
            return;
        }

        problems.AddRange(FormulaChecks.Of(e.Formula).Select(p => p with { Field = $"formula.{p.Field}" }));
    }
}
