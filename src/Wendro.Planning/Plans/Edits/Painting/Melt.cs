using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Melts two or three formulas down each panel: root, middle, ends. Each seam is blurred with clean hands, and lies
/// higher or lower from panel to panel.
/// </summary>
/// <param name="Panels">Which panels.</param>
/// <param name="Formulas">Two or three, from the root down.</param>
/// <param name="SeamsCm">Where one meets the next, cm from the scalp: one fewer than formulas.</param>
/// <param name="BlurCm">How long each seam is, cm.</param>
/// <param name="SpreadCm">How far seams differ between panels, cm either way.</param>
/// <param name="StartCm">Where the first begins, cm from the scalp.</param>
/// <param name="Covering">What covers it.</param>
[Kind("melt")]
public sealed record Melt(
    IReadOnlyList<PanelKey> Panels,
    IReadOnlyList<FormulaId> Formulas,
    IReadOnlyList<double> SeamsCm,
    [property: Within(Melt.LeastBlurCm, Melt.MostBlurCm, "cm")] double BlurCm = 4,
    [property: Within(0, 6, "cm")] double SpreadCm = 1.5,
    [property: Within(0, 30, "cm")] double StartCm = 0.5,
    Covering Covering = Covering.Open
) : PlanEdit
{
    /// <summary>Shortest and longest seam, cm. Source: the trade.</summary>
    public const double LeastBlurCm = 3,
        MostBlurCm = 6;

    /// <summary>How far it goes through the section, mm: worked through. Model assumption.</summary>
    private const double ThroughMm = 40;

    /// <inheritdoc/>
    public override Sentence Label() => $"Melted {Formulas?.Count ?? 0} colours on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels);
        on.Within(this);
        on.Known(Covering, "covering");
        if (Formulas is not { Count: 2 or 3 })
        {
            on.Say("formulas", "Two or three, from the root down.");
            return;
        }

        foreach (var formula in Formulas)
        {
            on.HasFormula(formula, "formulas");
        }

        if (SeamsCm is null || SeamsCm.Count != Formulas.Count - 1)
        {
            on.Say("seamsCm", "One seam between each two colours.");
            return;
        }

        var above = StartCm;
        for (var i = 0; i < SeamsCm.Count; i++)
        {
            on.Range(SeamsCm[i], 0, 60, $"seamsCm[{i}]", "cm");
            if (!(SeamsCm[i] - above >= (i == 0 ? BlurCm / 2 : BlurCm)))
            {
                on.Say($"seamsCm[{i}]", "Each seam lies further down than the one above, by the blur at least.");
            }

            above = SeamsCm[i];
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        foreach (var key in Panels.Distinct())
        {
            // Neighbours go opposite ways, as heights do; all seams of a panel go together.
            var first = new PanelPaint(new Shape.Melt(), SeamsCm[0], SpreadCm: SpreadCm);
            var spread = Math.Round(first.StartOn(key, SeamsCm[0], plan.Seed) - SeamsCm[0], 1);
            var seams = SeamsCm.Select(s => Math.Max(StartCm + BlurCm / 2, s + spread)).ToArray();
            // At the face a sheet beneath keeps skin clean.
            var lies = ZoneFacts.IsFaceFrame(key.Zone) ? LiesOn.Film : LiesOn.Nothing;
            var coats = Formulas.Select((formula, i) => Coat(formula, i, seams) with { LiesOn = lies }).ToArray();
            plan = Panelwise.Each(plan, [key], _ => PanelPaint.Of(coats));
        }

        return plan;
    }

    private PanelPaint Coat(FormulaId formula, int number, double[] seams)
    {
        var start = number == 0 ? StartCm : Math.Max(StartCm, seams[number - 1] - BlurCm / 2);
        double? end = number < seams.Length ? seams[number] + BlurCm / 2 : null;
        return new PanelPaint(new Shape.Melt(), start, BlurCm, ThroughMm, ThroughMm, Covering: Covering)
        {
            Formula = formula,
            BandCm = end - start,
        };
    }
}
