using Wendro.Hair;
using Wendro.Lift;

namespace Wendro.Plans;

/// <summary>The ways a painted head is lightened, held against what may be offered on its hair.</summary>
public static class OfferedTechniques
{
    /// <summary>
    /// Whether every way of lightening that a change brings may be offered; what was there by hand before may stay.
    /// </summary>
    /// <param name="before">The head before the change.</param>
    /// <param name="after">The head after it.</param>
    public static bool Keeps(PlannedHead before, PlannedHead after)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var offer = Offer.On(after.Hair);
        var there = Of(before).ToHashSet();
        return Of(after).All(w => there.Contains(w) || offer.Allows(w));
    }

    /// <summary>The ways a head is lightened, each once.</summary>
    public static IEnumerable<Way> Of(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        return head
            .Panels.SelectMany(p => p.Coats)
            .Where(c => c.Formula.Light is not null)
            .Select(c => new Way(
                c.Formula.Light!.FiguresOf(),
                c.Formula.Volume,
                c.Painted.Paint.Covering,
                c.Formula.LowHeat
            ))
            .Distinct();
    }
}
