using Wendro.Core.Paint;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Mix;

/// <summary>One panel in the order of work: how long it takes and what it takes of which formula.</summary>
/// <param name="Panel">Which.</param>
/// <param name="Minutes">Parting, painting and covering it, minutes.</param>
/// <param name="Takes">Grams by formula.</param>
public sealed record PanelWork(PanelKey Panel, double Minutes, IReadOnlyList<Taken> Takes);

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
        var all = new List<Open>();
        var open = new Dictionary<FormulaId, Open>();
        var counts = new Dictionary<FormulaId, int>();
        var turns = new List<PanelTurn>();
        var clock = 0.0;
        foreach (var panel in work)
        {
            var takes = panel
                .Takes.GroupBy(t => t.Formula)
                .Select(g => (Formula: g.Key, Grams: g.Sum(t => t.Grams)))
                .ToArray();
            var fresh = new HashSet<FormulaId>();
            while (
                takes
                    .Where(t =>
                        !fresh.Contains(t.Formula)
                        && !Serves(open.GetValueOrDefault(t.Formula), clock + panel.Minutes, t.Grams)
                    )
                    .Select(t => (FormulaId?)t.Formula)
                    .FirstOrDefault()
                    is { } formula
            )
            {
                // Mixing takes time from what is open already: what no longer lasts is mixed anew in the next round.
                fresh.Add(formula);
                var ordinal = counts[formula] = counts.GetValueOrDefault(formula) + 1;
                var held = limits(formula);
                var bowl = new Open(
                    formula,
                    ordinal,
                    clock,
                    clock + mixingMinutes,
                    held,
                    weighed?.TryGetValue((formula, ordinal), out var grams) == true ? grams : null
                );
                clock += mixingMinutes;
                all.Add(open[formula] = bowl);
            }

            turns.Add(new(panel.Panel, clock, clock + panel.Minutes));
            clock += panel.Minutes;
            foreach (var (formula, grams) in takes)
            {
                open[formula].Paint(panel.Panel, grams, clock);
            }
        }

        return new(all.Select(b => b.Close()).ToArray(), turns);
    }

    /// <summary>
    /// How much less than was meant a weighed bowl may hold and still serve all its panels: each part was met within
    /// what the scale can tell, and
    /// the waste that was added covers it. g, and share of what it holds. Model assumption.
    /// </summary>
    private const double ShortGrams = 1,
        ShortShare = 0.02;

    private static bool Serves(Open? bowl, double until, double grams) =>
        bowl is not null && until <= bowl.LivesUntil + 1e-9 && bowl.Taken + grams <= bowl.Most + 1e-9;

    private sealed class Open(
        FormulaId formula,
        int ordinal,
        double mixAt,
        double readyAt,
        BowlLimits limits,
        double? weighed
    )
    {
        private readonly List<PanelKey> panels = [];
        private double? paintedUntil;

        public double Taken { get; private set; }

        public double LivesUntil { get; } = readyAt + limits.WindowMinutes;

        public double Most { get; } =
            weighed is { } grams ? grams + Math.Max(ShortGrams, ShortShare * grams) : limits.MostGrams;

        public void Paint(PanelKey panel, double grams, double until)
        {
            panels.Add(panel);
            Taken += grams;
            paintedUntil = until;
        }

        public Batch Close()
        {
            var grams = weighed ?? Math.Max(Taken, limits.LeastGrams);
            return new(
                formula,
                ordinal,
                grams,
                Math.Max(0, grams - Taken),
                mixAt,
                readyAt,
                paintedUntil ?? readyAt,
                LivesUntil,
                panels,
                Taken
            );
        }
    }
}
