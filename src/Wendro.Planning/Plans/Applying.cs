using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Result of an edit: the new plan, or what is wrong with the edit.</summary>
/// <param name="Plan">The plan after the edit; the old one if there are problems.</param>
/// <param name="Problems">Values that can't be taken; none if the edit was applied.</param>
/// <param name="Lost">Panels whose paint found no place after a new cut or on the other side.</param>
public sealed record Applied(Plan Plan, IReadOnlyList<Problem> Problems, IReadOnlyList<PanelKey> Lost)
{
    /// <summary>Whether the edit was applied.</summary>
    public bool Succeeded => Problems.Count == 0;
}

/// <summary>The one door for change.</summary>
public static class Applying
{
    /// <summary>Applies an edit to a plan.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="edit">The change.</param>
    /// <param name="cutting">The head it is planned on.</param>
    public static Applied Apply(this Plan plan, PlanEdit edit, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(edit);
        ArgumentNullException.ThrowIfNull(cutting);
        return edit.ApplyTo(plan, cutting);
    }
}
