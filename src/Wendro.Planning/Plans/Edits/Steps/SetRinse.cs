using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Chooses how panels are rinsed: in rinses, or all at once when the last is painted.</summary>
/// <param name="Rinse">Which.</param>
[Kind("setRinse")]
public sealed record SetRinse(Rinsing Rinse) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => Rinse is Rinsing.Once ? "Rinsed once, at the end" : "Rinsed in waves";

    internal override void Check(EditChecks on) => on.Known(Rinse, "rinse");

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Rinse = Rinse };
}
