using System.Collections.Immutable;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Timing;

namespace Wendro.Blend;

/// <summary>What really lies on a panel where it differs from what was planned.</summary>
/// <param name="Formula">The mixture as it came out of its bowl; null as planned.</param>
/// <param name="Works">When it was laid and how long it worked; null as planned.</param>
public sealed record CoatOverride(Formula? Formula = null, Exposure? Works = null);

/// <summary>
/// What was laid otherwise than planned, coat by coat: it lies over the plan and changes nothing in it. Immutable.
/// </summary>
public sealed class ActualApplication
{
    private readonly ImmutableDictionary<(PanelKey Panel, int Coat), CoatOverride> coats;

    private ActualApplication(ImmutableDictionary<(PanelKey Panel, int Coat), CoatOverride> coats) =>
        this.coats = coats;

    /// <summary>All as planned.</summary>
    public static ActualApplication Planned { get; } = new(ImmutableDictionary<(PanelKey, int), CoatOverride>.Empty);

    /// <summary>
    /// The same with one coat laid otherwise; what is already known of it stays where nothing new is said.
    /// </summary>
    /// <param name="panel">On which panel.</param>
    /// <param name="coat">Which of its products, from 0.</param>
    /// <param name="laid">What really lies there.</param>
    public ActualApplication With(PanelKey panel, int coat, CoatOverride laid)
    {
        ArgumentNullException.ThrowIfNull(laid);
        var known = coats.GetValueOrDefault((panel, coat));
        return new(coats.SetItem((panel, coat), new(laid.Formula ?? known?.Formula, laid.Works ?? known?.Works)));
    }

    /// <summary>One coat as it really lies.</summary>
    /// <param name="panel">On which panel.</param>
    /// <param name="coat">Which of its products, from 0.</param>
    /// <param name="painted">Where it lies.</param>
    /// <param name="formula">What was planned.</param>
    public Coat Coat(PanelKey panel, int coat, PaintedPanel painted, Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var known = coats.GetValueOrDefault((panel, coat));
        return new(painted, known?.Formula ?? formula, known?.Works ?? Exposure.Lasting(formula.Minutes));
    }
}
