using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Lays a colour where the marked old light pieces begin, blurred downwards, so that their edge goes.
/// </summary>
/// <param name="Formula">The colour.</param>
[Kind("softenOldPieces")]
public sealed record SoftenOldPieces(FormulaId Formula) : PlanEdit
{
    /// <summary>How far above an edge the colour begins, and how far it reaches, cm. Source: the trade.</summary>
    private const double AboveCm = 1.5,
        ReachCm = 5,
        BlurCm = 2;

    /// <summary>Where a piece begins that nobody measured, cm. Model assumption.</summary>
    private const double UsualCm = 4;

    private const double ThroughMm = 40;

    /// <inheritdoc/>
    public override Sentence Label() => $"Softened the old pieces with {Formula}";

    internal override void Check(EditChecks on)
    {
        OldPieces.Check(on, MarkKind.OldLight);
        on.HasFormula(Formula, "formula");
        if (on.Plan.FormulaOf(Formula) is { IsDeposit: false })
        {
            on.Say("formula", "A colour softens an edge: lightener does not.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        foreach (var zone in ZoneFacts.All.Where(z => plan.Zones[z].Excluded is null))
        {
            foreach (var panel in cutting.Cut(plan, zone).Panels)
            {
                if (OldPieces.Under(panel, cutting.Hair, MarkKind.OldLight, mirrored: false) is { } piece)
                {
                    plan = Panelwise.Each(plan, [panel.Key], _ => Softening(piece));
                }
            }
        }

        return plan;
    }

    private PanelPaint Softening(Mark piece) =>
        new PanelPaint(
            new Shape.Full(),
            Math.Max(0, (piece.StartCm ?? UsualCm) - AboveCm),
            BlurCm,
            ThroughMm,
            ThroughMm
        )
        {
            Formula = Formula,
            BandCm = ReachCm,
        };
}
