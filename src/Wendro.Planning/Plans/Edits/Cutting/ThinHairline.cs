using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Cuts face frame and fringe into thinner sections.</summary>
[Kind("thinHairline")]
public sealed record ThinHairline([property: Within(Sections.ThinnestMm, Sections.ThickestMm, "mm")] double ThicknessMm)
    : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Thinned the hairline to {Quantity.Mm(ThicknessMm)}";

    internal override void Check(EditChecks on) => on.Within(this);

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var thinned = ZoneFacts
            .All.Where(ZoneFacts.IsHairline)
            .Aggregate(
                plan,
                (p, zone) => p.With(zone, z => z with { Sections = z.Sections with { ThicknessMm = ThicknessMm } })
            );
        return PaintHandover.To(plan, thinned, cutting);
    }
}
