using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Section;

namespace Wendro.Core.Mix;

/// <summary>When one panel is worked, minutes into the work.</summary>
/// <param name="Panel">Which.</param>
/// <param name="From">When it is begun.</param>
/// <param name="To">When it is done.</param>
public readonly record struct PanelTurn(PanelKey Panel, double From, double To);

/// <summary>
/// The work on one time axis: bowls as they are mixed, panels as they are painted. Nothing is painted while a bowl is
/// mixed.
/// </summary>
/// <param name="Bowls">The bowls in the order they are mixed.</param>
/// <param name="Turns">The panels in working order.</param>
public sealed record Timeline(IReadOnlyList<Batch> Bowls, IReadOnlyList<PanelTurn> Turns)
{
    /// <summary>Minutes from the first bowl to the last panel; 0 where nothing is painted.</summary>
    public double Minutes => Turns.Count == 0 ? 0 : Turns[^1].To;

    /// <summary>
    /// When the first panel of a zone is begun and the last is done; null where nothing of it is painted.
    /// </summary>
    public (double From, double To)? Of(Zone zone)
    {
        var turns = Turns.Where(t => t.Panel.Zone == zone).ToArray();
        return turns.Length == 0 ? null : (turns[0].From, turns[^1].To);
    }
}
