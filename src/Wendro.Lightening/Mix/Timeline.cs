using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Mix;

/// <summary>When one panel is worked, minutes into the work.</summary>
/// <param name="Panel">Which.</param>
/// <param name="From">When it is begun.</param>
/// <param name="To">When it is done.</param>
/// <param name="Step">In which step of the visit, from 0.</param>
public readonly record struct PanelTurn(PanelKey Panel, double From, double To, int Step = 0);

/// <summary>When one step of the visit is worked, minutes into the work.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="From">When it is begun.</param>
/// <param name="LaidAt">When all of it is laid.</param>
/// <param name="DoneAt">When the last of it has worked; where it is not rinsed before the next step, when that
/// begins.</param>
/// <param name="NextAt">When it is rinsed, washed, dried and read, and the next step can begin.</param>
public readonly record struct StepTurn(int Number, double From, double LaidAt, double DoneAt, double NextAt);

/// <summary>
/// The work on one time axis: bowls as they are mixed, panels as they are painted. Nothing is painted while a bowl is
/// mixed.
/// </summary>
/// <param name="Bowls">The bowls in the order they are mixed; their minutes count what hands rest between.</param>
/// <param name="Turns">The panels in working order.</param>
/// <param name="Steps">The steps of the visit in order; none where nobody told them apart.</param>
public sealed record Timeline(IReadOnlyList<Batch> Bowls, IReadOnlyList<PanelTurn> Turns, IReadOnlyList<StepTurn> Steps)
{
    /// <summary>
    /// Minutes from the first bowl to the last thing laid, waiting between steps in it; 0 where nothing is.
    /// </summary>
    public double Minutes => Math.Max(Turns.Count == 0 ? 0 : Turns[^1].To, Steps.Count == 0 ? 0 : Steps[^1].LaidAt);
}
