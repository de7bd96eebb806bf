using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Includes a zone again.</summary>
[Kind("includeZone")]
public sealed record IncludeZone(Zone Zone) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Included {Say.The(Zone)}";

    internal override void Check(EditChecks on) => on.Known(Zone, "zone");

    internal override Edited Make(Plan plan, Cutting cutting) => plan.With(Zone, z => z.TakenIn());
}
