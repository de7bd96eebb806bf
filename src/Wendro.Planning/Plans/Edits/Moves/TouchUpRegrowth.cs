using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Ends all light paint where hair is light already. Needs a lightened band.</summary>
[Kind("touchUpRegrowth")]
public sealed record TouchUpRegrowth : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Touched up the regrowth";

    internal override void Check(EditChecks on) => OldLight.Check(on);

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        return Painted.Each(
            plan,
            Painted.In(plan, cutting, _ => true),
            (panel, paint) =>
                // A piece that was missed has no light hair to keep off.
                OldLight.Under(panel, cutting.Hair)
                    is not { } old
                    ? paint
                    : PanelPaint.Of(
                        paint
                            .Coats()
                            .Select(coat =>
                                plan.FormulaOf(coat.Formula)!.IsDeposit ? coat : Ended(plan, panel, coat, old)
                            )
                            .ToArray()
                    )
        );
    }

    /// <summary>
    /// How near the old light hair a start may lie before it is moved up, as a share of what has grown. Model
    /// assumption.
    /// </summary>
    private const double TooNear = 0.7;

    /// <summary>How much of what has grown the lowest point may take up, as a share. Model assumption.</summary>
    private const double LowestWithin = 0.6;

    /// <summary>It may only fade out on hair that is light already.</summary>
    private static PanelPaint Ended(Plan plan, Panel panel, PanelPaint coat, Band old)
    {
        var start = coat.StartOn(panel.Key, panel.LengthCm, plan.Seed);
        var next = start > old.FromCm * TooNear ? OldLight.Above(coat, old) : coat;
        var begins = next.StartOn(panel.Key, panel.LengthCm, plan.Seed);
        return next with
        {
            Shape = next.Shape with
            {
                DropCm = Math.Min(next.Shape.DropCm, Math.Max(0, (old.FromCm - begins) * LowestWithin)),
            },
            BlurCm = Math.Min(next.BlurCm, Math.Max(0.5, old.FromCm - begins)),
            BandCm = Math.Max(0.5, old.FromCm + plan.LimitsOf().OverlapCm - begins),
        };
    }
}
