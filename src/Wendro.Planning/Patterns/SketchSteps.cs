using Wendro.Colour;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>What a pattern lays beside its panels: steps over areas, glosses, melts.</summary>
public sealed partial class Sketch
{
    /// <summary>Lays a colour over an area as a step of its own, after the others.</summary>
    /// <param name="kind">What it is for.</param>
    /// <param name="colour">What is laid.</param>
    /// <param name="area">Where.</param>
    /// <param name="why">One sentence.</param>
    public Sketch ThenOver(StepKind kind, Formula colour, Area area, string why) =>
        Step(why, new SetFormula(colour), new AddStep(new Step(kind, area, colour.Id)));

    /// <summary>Lays a colour over an area first, rinsed before anything is painted.</summary>
    /// <param name="kind">What it is for.</param>
    /// <param name="colour">What is laid.</param>
    /// <param name="area">Where.</param>
    /// <param name="why">One sentence.</param>
    public Sketch FirstOver(StepKind kind, Formula colour, Area area, string why) =>
        Step(why, new SetFormula(colour), new AddStep(new Step(kind, area, colour.Id), 0));

    /// <summary>Changes the step in which panels are painted.</summary>
    public Sketch Panels(Func<Step, Step> change, string why)
    {
        var steps = plan.StepsOf();
        var main = Enumerable.Range(0, steps.Count).First(i => steps[i].IsMain);
        return Step(why, new SetStep(main, change(steps[main])));
    }

    /// <summary>A colour of a reflect.</summary>
    public static Formula Colouring(
        FormulaId id,
        double level,
        Reflect reflect,
        ColourBase based = ColourBase.Demi,
        double minutes = 25
    ) =>
        Formula
            .Colouring(id, Math.Round(Math.Clamp(level, 1, 10), 1), based == ColourBase.Gloss ? 5 : 10, minutes)
            .Coloured(d => d with { Reflect = reflect, Base = based });

    /// <summary>
    /// A gloss in the wished tone, a little lighter than the light it goes on: it tones and costs hardly any level.
    /// </summary>
    /// <param name="id">Its letter.</param>
    /// <param name="on">Level of the light hair it goes on; null for the goal's.</param>
    /// <param name="reflect">Its reflect; null as wished.</param>
    public Formula Gloss(FormulaId id, double? on = null, Reflect? reflect = null) =>
        Colouring(id, (on ?? plan.Goal.EndsLevel) + GlossAbove, reflect ?? GoalTone, ColourBase.Gloss, 15);

    /// <summary>How much lighter than light hair a gloss is chosen, levels. Model assumption.</summary>
    private const double GlossAbove = 0.6;

    /// <summary>
    /// How much lighter than the goal light is lifted where a gloss follows that costs it again, levels. Model
    /// assumption.
    /// </summary>
    public const double GlossCosts = 0.3;

    /// <summary>How far a goal must be from neutral to be cool or warm.</summary>
    private const double ClearTone = 0.3;

    private Reflect GoalTone =>
        plan.Goal.Tone < -ClearTone ? Reflect.Pearl
        : plan.Goal.Tone > ClearTone ? Reflect.Gold
        : Reflect.Beige;

    /// <summary>Melts colours down the panels of zones that are picked.</summary>
    /// <param name="zones">Which zones.</param>
    /// <param name="formulas">From the root down.</param>
    /// <param name="seams">Where one meets the next, shares of the length.</param>
    /// <param name="startCm">Where the first begins, cm from the scalp.</param>
    /// <param name="why">One sentence.</param>
    public Sketch Melted(
        IEnumerable<Zone> zones,
        IReadOnlyList<FormulaId> formulas,
        IReadOnlyList<double> seams,
        double startCm,
        string why
    )
    {
        const double blur = 4;
        var keys = zones.Where(IsIn).SelectMany(z => cutting.Cut(plan, z).Panels).Select(p => p.Key).ToArray();
        var at = seams
            .Select((share, i) => Math.Max(startCm + (i + 1) * (blur + 0.5), Math.Round(share * Hair.Cut.LongestCm, 1)))
            .ToArray();
        return Step(why, new Melt(keys, formulas, at, blur, StartCm: startCm, Covering: Covering.Mesh));
    }
}
