using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Leaves all of a zone natural; a new cut brings nothing back.</summary>
[Kind("clearZone")]
public sealed record ClearZone(Zone Zone) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Cleared {Say.The(Zone)}";

    internal override void Check(EditChecks on) => on.Known(Zone, "zone");

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(Zone, z => z with { Usual = null, Paint = z.Paint.Clear() });
}
