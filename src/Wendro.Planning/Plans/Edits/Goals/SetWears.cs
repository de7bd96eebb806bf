using Wendro.Fall;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes the wears she uses.</summary>
[Kind("setWears")]
public sealed record SetWears(IReadOnlyList<Wear> Wears) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed how the hair is worn";

    internal override void Check(EditChecks on)
    {
        if (
            Wears is null
            || Wears.Count == 0
            || Wears.Distinct().Count() != Wears.Count
            || Wears.Any(w => !Enum.IsDefined(w) || !WearFacts.IsWorn(w))
        )
        {
            on.Say("wears", "Name each wear once.");
        }
        else if (!Wears.Contains(Wear.Down))
        {
            on.Say("wears", "Down is always one of them: the measures are taken there.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Wears = [.. Wears.Order()] };
}
