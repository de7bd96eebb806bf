using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>A plan with two products on two panels, and what an edit made of it.</summary>
internal static class TwoProducts
{
    public static readonly PanelKey Key = PanelKey.Of("crown/0/0");
    public static readonly PanelKey Beside = PanelKey.Of("crown/0/1");

    /// <summary>Two products on a panel, no value of theirs the usual one.</summary>
    public static readonly PanelPaint First = new(
        new Shape.W(6, 0.4, 2),
        9,
        4,
        5,
        7,
        SpreadCm: 2,
        StartShare: 0.25,
        SlopeCm: 1,
        BandCm: 12,
        Tension: Tension.Slack
    );

    public static readonly PanelPaint Second = new(
        Shape.Usual(ShapeKind.Staggered, 5),
        11,
        3,
        4,
        6,
        Face.Underside,
        Covering.Film,
        SpreadCm: 1,
        Teasing: Teasing.Light
    )
    {
        Formula = FormulaId.B,
    };

    public static readonly Plan TwoPainted = Plan.Fresh()
        .Edited(
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Powder, 20, 35)),
            new PaintPanels([Key, Beside], PanelPaint.Of([First, Second])!)
        );

    public static PanelPaint? On(Plan plan, PanelKey key) => plan.Zones[key.Zone].Of(key);

    /// <summary>The edit gets a word by this field, and the plan stays as it was.</summary>
    public static void Refused(Plan plan, PlanEdit edit, string field)
    {
        var applied = plan.Apply(edit, Given.Cutting);
        Assert.Contains(applied.Problems, p => p.Field == field);
        Assert.Same(plan, applied.Plan);
    }
}
