using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>One product on a panel, with its mixture.</summary>
/// <param name="Painted">Where it lies.</param>
/// <param name="Formula">What it is.</param>
/// <param name="Works">When it was laid and how long it works.</param>
/// <param name="Step">In which step of the visit it is laid, from 0.</param>
/// <param name="Damp">Whether the hair is damp or just rinsed when it is laid.</param>
public sealed record Coat(PaintedPanel Painted, Formula Formula, Exposure Works, int Step = 0, bool Damp = false)
{
    /// <summary>Share of its speed that lightener keeps on damp hair, diluted. Model assumption.</summary>
    public const double DampSpeed = 0.7;

    /// <summary>
    /// Share of its coat that a stiff mixture leaves behind: it catches instead of gliding. Model assumption.
    /// </summary>
    public const double StiffCoat = 0.85;

    /// <summary>A coat as its formula means it.</summary>
    public static Coat Planned(PaintedPanel painted, Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return new(painted, formula, Exposure.Lasting(formula.Minutes));
    }

    /// <summary>How much of its coat lies where it is painted, 0..1.</summary>
    public double Thickness => Formula.Consistency == Consistency.Stiff ? StiffCoat : 1;

    /// <summary>The lifting of hair in a state, at full coverage; null for a colour.</summary>
    public Lifting? LiftingOf(HairProfile hair, Zone zone, HairState state)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Formula.CaseOn(hair.In(zone), state, Painted.Paint.Covering, ZoneFacts.IsHairline(zone)) is { } of
            ? new Lifting(Damp ? of with { Mixture = of.Mixture * DampSpeed } : of)
            : null;
    }
}

/// <summary>A product laid over a whole area.</summary>
/// <param name="Area">Where.</param>
/// <param name="Formula">What it is.</param>
/// <param name="Works">When it was laid and how long it works.</param>
/// <param name="Step">In which step of the visit it is laid, from 0.</param>
public sealed record AreaCoat(Area Area, Formula Formula, Exposure Works, int Step)
{
    /// <summary>Whether it reaches hair of a zone.</summary>
    public bool Reaches(Zone zone) => Area.Reaches(zone);

    /// <summary>How much of it lies at a distance from the scalp, 0..1.</summary>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="length">Length of the hair, cm.</param>
    /// <param name="strayCm">How much lower one strand's edges lie than the area's, cm.</param>
    public double CoverageAlong(double s, double length, double strayCm = 0) => Area.CoverageAlong(s, length, strayCm);
}

/// <summary>
/// One of all the things that lie on a panel, in the order they are laid: a painted coat, or a product laid over a
/// whole area.
/// </summary>
public sealed record Layer
{
    private Layer(Coat? coat, AreaCoat? area) => (Coat, Area) = (coat, area);

    /// <summary>What is painted; null for an area.</summary>
    public Coat? Coat { get; }

    /// <summary>What lies over an area; null for paint.</summary>
    public AreaCoat? Area { get; }

    /// <summary>What it is.</summary>
    public Formula Formula => Coat?.Formula ?? Area!.Formula;

    /// <summary>When it was laid and how long it works.</summary>
    public Exposure Works => Coat?.Works ?? Area!.Works;

    /// <summary>In which step of the visit it is laid, from 0.</summary>
    public int Step => Coat?.Step ?? Area!.Step;

    /// <summary>A painted coat.</summary>
    public static Layer Of(Coat coat) => new(coat, null);

    /// <summary>A product over an area.</summary>
    public static Layer Of(AreaCoat area) => new(null, area);

    /// <summary>The lifting of hair in a state, at full coverage; only of what lightens.</summary>
    public Lifting LiftingOf(HairProfile hair, Zone zone, HairState state)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Coat is { } coat
            ? coat.LiftingOf(hair, zone, state)!
            : new(Formula.CaseOn(hair.In(zone), state, Area!.Area.Covering, ZoneFacts.IsHairline(zone))!);
    }
}
