using Wendro.Blend;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>What one panel takes of one formula.</summary>
/// <param name="Panel">Which.</param>
/// <param name="Formula">Of which formula.</param>
/// <param name="HairGrams">Hair it reaches, g.</param>
/// <param name="Grams">Mixed product, waste in it, g.</param>
public sealed record PanelGrams(PanelKey Panel, FormulaId Formula, double HairGrams, double Grams);

/// <summary>What one area takes of its formula.</summary>
/// <param name="Step">In which step, from 0.</param>
/// <param name="Formula">Of which formula.</param>
/// <param name="HairGrams">Hair it reaches, g.</param>
/// <param name="Grams">Mixed product, waste in it, g.</param>
public sealed record AreaGrams(int Step, FormulaId Formula, double HairGrams, double Grams);

/// <summary>One area in the order of work: how long laying takes and what it takes.</summary>
/// <param name="Taken">What it takes.</param>
/// <param name="Minutes">Parting and laying, minutes.</param>
public sealed record AreaWork(AreaGrams Taken, double Minutes);

/// <summary>What such work usually takes.</summary>
/// <param name="FromGrams">At least, g.</param>
/// <param name="ToGrams">At most, g.</param>
/// <param name="Why">How that was reckoned.</param>
public sealed record UsualAmount(double FromGrams, double ToGrams, Sentence Why);

/// <summary>Grams: hair reached, times what lies on a gram of it, times what is wasted.</summary>
public static class Amounts
{
    /// <summary>A usual full service takes so much mixed product, g. Trade.</summary>
    public const double UsualFrom = 60,
        UsualTo = 140;

    /// <summary>
    /// Hair in the panels of the usual head, g: what a usual service is measured against. Model assumption.
    /// </summary>
    public const double UsualHairGrams = 122;

    /// <summary>
    /// Product that lies on a gram of hair where colours are melted down its length, g per g: thin and drawn out.
    /// Model assumption.
    /// </summary>
    public const double MeltedCoat = 1.2;

    private const int AcrossSteps = 12;
    private const int AlongSteps = 40;

    /// <summary>Product that lies on a gram of hair, g per g. Model assumption.</summary>
    public static double CoatOn(PaintedPanel painted)
    {
        ArgumentNullException.ThrowIfNull(painted);
        var paint = painted.Paint;
        return paint switch
        {
            { Shape: Shape.Scrunch } => 1.5,
            { Shape: Shape.Melt } => MeltedCoat,
            { Covering: Covering.Foil } => 1.9,
            { Teasing: not Teasing.None } => 2.3,
            { Face: Face.Both } => 2.5,
            _ => 2.2,
        };
    }

    /// <summary>
    /// Hair of a panel that one of its products reaches, g: along, across and through, what teasing holds back left
    /// away.
    /// </summary>
    public static double HairReached(Panel panel, PaintedPanel painted)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(painted);
        // A band is looked at where it lies: of a narrow one two or three rows of the whole length would tell little.
        var from = painted.Paint.BandCm is null ? 0 : Math.Max(0, painted.StartCm + Math.Min(0, painted.Paint.SlopeCm));
        var length = Math.Min(panel.LengthCm, painted.EndsAtCm) - from;
        if (length <= 0)
        {
            return 0;
        }

        var sum = 0.0;
        for (var i = 0; i < AlongSteps; i++)
        {
            var at = from + (i + 0.5) / AlongSteps * length;
            var reached = painted.ShareReached(at / panel.LengthCm);
            for (var j = 0; j < AcrossSteps; j++)
            {
                sum += reached * painted.CoverageAlong((j + 0.5) / AcrossSteps, at);
            }
        }

        var covered = sum / (AlongSteps * AcrossSteps) * length / panel.LengthCm;
        return panel.HairGrams * (1 - painted.HeldBack) * covered;
    }

    /// <summary>
    /// Product that lies on a gram of hair where it is laid over an area, g per g: worked into a root, or spread
    /// through wet lengths. Model assumption.
    /// </summary>
    public const double RootCoat = 2.2,
        LengthsCoat = 0.4;

    /// <summary>What a product laid over an area takes.</summary>
    /// <param name="area">The area.</param>
    /// <param name="hairGrams">Hair it reaches, g.</param>
    /// <param name="waste">What stays in bowls and on brushes, share of what lies on the hair.</param>
    public static AreaGrams OfArea(AreaCoat area, double hairGrams, double waste)
    {
        ArgumentNullException.ThrowIfNull(area);
        var coat = area.Area.ToCm is null ? LengthsCoat : RootCoat;
        return new(area.Step, area.Formula.Id, hairGrams, hairGrams * coat * (1 + waste));
    }

    /// <summary>What every product on a panel takes, in the order they are laid.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="waste">What stays in bowls and on brushes, share of what lies on the hair.</param>
    public static IEnumerable<PanelGrams> Of(PlannedPanel panel, double waste)
    {
        ArgumentNullException.ThrowIfNull(panel);
        return panel.Coats.Select(c =>
        {
            var hair = HairReached(panel.Panel, c.Painted);
            return new PanelGrams(panel.Panel.Key, c.Formula.Id, hair, hair * CoatOn(c.Painted) * (1 + waste));
        });
    }

    /// <summary>What such work usually takes: a usual service by how much hair is held against a usual head.</summary>
    /// <param name="panels">All panels.</param>
    public static UsualAmount Usual(IReadOnlyList<PlannedPanel> panels)
    {
        ArgumentNullException.ThrowIfNull(panels);
        var held = panels.Where(p => p.Coats.Count > 0).Sum(p => p.Panel.HairGrams);
        var share = held / UsualHairGrams;
        return new(
            UsualFrom * share,
            UsualTo * share,
            $"A full service usually takes {Quantity.Grams(UsualFrom, "0")} to {Quantity.Grams(UsualTo, "0")} "
                + $"mixed, on about {Quantity.Grams(UsualHairGrams, "0")} of hair in panels; here "
                + $"{Quantity.Grams(held, "0")} of hair are held, {share:P0} of it."
        );
    }
}
