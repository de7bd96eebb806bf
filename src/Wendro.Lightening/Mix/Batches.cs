using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>One panel in the order of work: how long it takes and what it takes of which formula.</summary>
/// <param name="Panel">Which.</param>
/// <param name="Minutes">Parting, painting and covering it, minutes.</param>
/// <param name="Takes">Grams by formula.</param>
/// <param name="Step">In which step of the visit, from 0.</param>
public sealed record PanelWork(PanelKey Panel, double Minutes, IReadOnlyList<PanelGrams> Takes, int Step = 0);

/// <summary>A bowl: when it is mixed, what is painted from it, when it ends.</summary>
/// <param name="Formula">Which formula.</param>
/// <param name="Ordinal">Which bowl of that formula, from 1.</param>
/// <param name="Grams">Lightener and developer together, g; an additive comes on top.</param>
/// <param name="ExtraGrams">Of these, more than the panels take: so that the least part can be weighed.</param>
/// <param name="MixAt">When mixing begins, minutes into the work.</param>
/// <param name="ReadyAt">When it is mixed.</param>
/// <param name="PaintedUntil">When its last panel is done.</param>
/// <param name="LivesUntil">When it must not be painted from any more.</param>
/// <param name="Panels">The panels painted from it.</param>
/// <param name="TakenGrams">What these take, g.</param>
public sealed record Batch(
    FormulaId Formula,
    int Ordinal,
    double Grams,
    double ExtraGrams,
    double MixAt,
    double ReadyAt,
    double PaintedUntil,
    double LivesUntil,
    IReadOnlyList<PanelKey> Panels,
    double TakenGrams
)
{
    /// <summary>Whether a panel is painted from it after its end: one panel alone takes longer than it lives.</summary>
    public bool Outlived => PaintedUntil > LivesUntil + 1e-9;
}

/// <summary>What a formula's bowls are held to.</summary>
/// <param name="WindowMinutes">How long one lives once mixed, minutes.</param>
/// <param name="LeastGrams">Least a bowl holds so that each of its parts can be weighed, g.</param>
/// <param name="MostGrams">Most it holds, g.</param>
public sealed record BowlLimits(double WindowMinutes, double LeastGrams, double MostGrams);

/// <summary>
/// Splits the work into bowls, so that none is painted from after its end. A bowl is mixed when the first panel that
/// needs it is next, and
/// serves as many of the following as it can: for panels in a fixed order no other split needs fewer.
/// </summary>
public static class Batches
{
    /// <summary>The bowls in the order they are mixed, and the panels painted from them, on one time axis.</summary>
    /// <param name="work">Panels in working order.</param>
    /// <param name="limits">What each formula's bowls are held to.</param>
    /// <param name="mixingMinutes">What mixing one takes; nothing is painted meanwhile.</param>
    /// <param name="weighed">Grams of bowls that were mixed already, by formula and ordinal: they serve what they
    /// can, not what was meant.</param>
    public static Timeline Of(
        IReadOnlyList<PanelWork> work,
        Func<FormulaId, BowlLimits> limits,
        double mixingMinutes,
        IReadOnlyDictionary<(FormulaId Formula, int Ordinal), double>? weighed = null
    )
    {
        ArgumentNullException.ThrowIfNull(work);
        ArgumentNullException.ThrowIfNull(limits);
        var clock = new BenchClock(limits, mixingMinutes, weighed);
        foreach (var panel in work)
        {
            clock.Paint(panel);
        }

        return clock.Timeline();
    }
}
