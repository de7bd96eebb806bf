using Wendro.Section;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>
/// The bench while work goes on: bowls open and being mixed, and what minute it is. Panels are painted, areas laid and
/// waits waited in order; then it tells the whole timeline. While hands rinse a rinse the work rests, and bowls age.
/// </summary>
/// <param name="limits">What each formula's bowls are held to.</param>
/// <param name="mixingMinutes">What mixing one takes; nothing is painted meanwhile.</param>
/// <param name="weighed">Grams of bowls that were mixed already, by formula and ordinal.</param>
public sealed class BenchClock(
    Func<FormulaId, BowlLimits> limits,
    double mixingMinutes,
    IReadOnlyDictionary<(FormulaId Formula, int Ordinal), double>? weighed = null
)
{
    private readonly List<Open> all = [];
    private readonly Dictionary<FormulaId, Open> open = [];
    private readonly Dictionary<FormulaId, int> counts = [];
    private readonly List<PanelTurn> turns = [];
    private readonly List<StepTurn> steps = [];

    /// <summary>Minutes in which the work rested.</summary>
    private double rested;

    /// <summary>What minute of the work it is.</summary>
    public double Minute { get; private set; }

    /// <summary>What minute it is, rests counted: what bowls go by.</summary>
    private double WithRests => Minute + rested;

    /// <summary>Paints a panel, mixing what it needs first.</summary>
    public void Paint(PanelWork panel)
    {
        ArgumentNullException.ThrowIfNull(panel);
        var takes = panel
            .Takes.GroupBy(t => t.Formula)
            .Select(g => (Formula: g.Key, Grams: g.Sum(t => t.Grams)))
            .ToArray();
        var fresh = new HashSet<FormulaId>();
        while (
            takes
                .Where(t =>
                    !fresh.Contains(t.Formula)
                    && !Serves(open.GetValueOrDefault(t.Formula), WithRests + panel.Minutes, t.Grams)
                )
                .Select(t => (FormulaId?)t.Formula)
                .FirstOrDefault()
                is { } formula
        )
        {
            // Mixing takes time from what is open already: what no longer lasts is mixed anew in the next round.
            fresh.Add(formula);
            Mix(formula);
        }

        turns.Add(new(panel.Panel, Minute, Minute + panel.Minutes, panel.Step));
        Minute += panel.Minutes;
        foreach (var (formula, grams) in takes)
        {
            open[formula].Paint(panel.Panel, grams, WithRests);
        }
    }

    /// <summary>Lays a product over an area, in as many bowls as it takes.</summary>
    public void Lay(AreaWork area)
    {
        ArgumentNullException.ThrowIfNull(area);
        var held = limits(area.Taken.Formula);
        var bowls = Math.Max(
            1,
            (int)Math.Ceiling(Math.Max(area.Taken.Grams / held.MostGrams, area.Minutes / held.WindowMinutes) - 1e-9)
        );
        for (var i = 0; i < bowls; i++)
        {
            var bowl = Mix(area.Taken.Formula);
            Minute += area.Minutes / bowls;
            bowl.Lay(area.Taken.Grams / bowls, WithRests);
        }
    }

    /// <summary>Lets minutes go by.</summary>
    public void Wait(double minutes) => Minute += Math.Max(0, minutes);

    /// <summary>Hands are at something else for some minutes, at a rinse: nothing is painted, bowls age.</summary>
    public void Rest(double minutes) => rested += Math.Max(0, minutes);

    /// <summary>Notes a step.</summary>
    public void Note(StepTurn step) => steps.Add(step);

    /// <summary>The bowls in the order they are mixed, the panels painted from them, and the steps.</summary>
    public Timeline Timeline() => new(all.Select(b => b.Close()).ToArray(), turns, steps);

    private Open Mix(FormulaId formula)
    {
        var ordinal = counts[formula] = counts.GetValueOrDefault(formula) + 1;
        var bowl = new Open(
            formula,
            ordinal,
            WithRests,
            WithRests + mixingMinutes,
            limits(formula),
            weighed?.TryGetValue((formula, ordinal), out var grams) == true ? grams : null
        );
        Minute += mixingMinutes;
        all.Add(open[formula] = bowl);
        return bowl;
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

        public void Lay(double grams, double until)
        {
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
