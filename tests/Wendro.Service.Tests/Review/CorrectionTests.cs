using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Units;
using Depth = Wendro.Review.Depth;

namespace Wendro.Tests.Review;

/// <summary>What is short is lifted again from what was read; what is not lifted again stays held against the plan.</summary>
public sealed class CorrectionTests
{
    private const double Short = 0.9;

    private static readonly Lazy<PlannedHead> Planned = new(() =>
        Given.Bare.Apply(
            new PaintZone(Zone.Nape, PanelPaint.Usual with { StartCm = 8 }),
            new PaintZone(Zone.UpperBack, PanelPaint.Usual with { StartCm = 8 })
        )
    );

    private static PlannedHead Head => Planned.Value;

    private static readonly Lazy<Depths> Reading = new(() => new(Head));

    private static ZoneReading Read(Zone zone, double off) =>
        new(
            zone,
            Depth.Ends,
            0,
            Reading.Value.Planned(zone, Depth.Ends) + off,
            Evenness.Even,
            new(2031, 5, 6, 12, 0, 0, TimeSpan.Zero)
        );

    private static Choice Lift(bool damp) =>
        NextActions
            .Of(Head, Differences.Of(Head, Reading.Value, [Read(Zone.Nape, -Short)]), StretchTest.SpringsBack, damp)
            .Single(c => c.What == Decision.CorrectFirst);

    private static PlannedHead Corrected(bool damp = false) => Head.Apply(Correction.Of(Head, Lift(damp), 1, damp)!);

    private static PlannedPanel Nape(PlannedHead head) => Lightened.PanelsIn(head, Zone.Nape)[0];

    [Fact]
    public void The_next_step_lays_the_same_mixture_under_film_on_what_is_short_and_nowhere_else()
    {
        var head = Corrected();
        Assert.Equal(2, head.Plan.StepsOf().Count);
        Assert.Equal(1, HairAsRead.AgainIn(head));
        Assert.Null(HairAsRead.AgainIn(Head));
        foreach (var panel in Lightened.PanelsIn(head, Zone.Nape))
        {
            var (first, again) = (panel.Coats[0], panel.Coats[1]);
            Assert.Equal((0, 1), (first.Step, again.Step));
            Assert.Equal(Covering.Film, again.Painted.Paint.Covering);
            Assert.Equal((first.Formula.Mixture, first.Formula.Volume), (again.Formula.Mixture, again.Formula.Volume));
            Assert.Equal(first.Painted.Paint.Shape, again.Painted.Paint.Shape);
            Assert.Equal(Math.Ceiling(Lift(false).Minutes!.Value), again.Formula.Minutes.Value);
        }

        Each.Of(Lightened.PanelsIn(head, Zone.UpperBack), p => Assert.Single(p.Coats));
        // Diluted on damp hair it takes longer, and the plan says that it is.
        Assert.True(Lift(true).Minutes > Lift(false).Minutes);
        Assert.True(Nape(Corrected(damp: true)).Coats[1].Damp);
        // What may not be lifted again is not planned.
        Assert.Null(Correction.Of(Head, Lift(false) with { IsAllowed = false }, 1, false));
    }

    [Fact]
    public void It_begins_with_what_was_read_and_ends_where_the_plan_meant_to()
    {
        var head = Corrected();
        var shares = HairAsRead.SharesOf(
            head,
            new Depths(head),
            1,
            [Read(Zone.Nape, -Short), Read(Zone.UpperBack, -Short)]
        );
        Assert.InRange(shares[Zone.Nape], 0.2, 0.95);
        var laid = HairAsRead.On(head, head.Laid, 1, shares);
        var asRead = head.After(head.Plan, Given.Usual, Given.Cutting, laid);
        // With the first step as it was read, both together reach what the first was to reach alone.
        Assert.Equal(
            Reading.Value.Planned(Zone.Nape, Depth.Ends),
            new Depths(asRead).Planned(Zone.Nape, Depth.Ends),
            0.15
        );
        Assert.True(
            new Depths(head).Planned(Zone.Nape, Depth.Ends) > new Depths(asRead).Planned(Zone.Nape, Depth.Ends)
        );
        // A zone that is not lifted again stays as it was planned, however short it was read.
        Assert.Equal(
            Reading.Value.Planned(Zone.UpperBack, Depth.Ends),
            new Depths(asRead).Planned(Zone.UpperBack, Depth.Ends)
        );
    }

    [Fact]
    public void The_window_of_a_later_step_begins_where_the_one_before_left_off()
    {
        var head = Corrected();
        var panel = Nape(head);
        var (first, again) = (panel.Coats[0], panel.Coats[1]);
        var natural = HairState.Of(head.Hair.In(Zone.Nape))[0];
        var left = first.LiftingOf(head.Hair, Zone.Nape, natural)!.After(first.Formula.Minutes);
        var on = again.LiftingOf(head.Hair, Zone.Nape, natural with { Level = left })!;
        var window = PanelWindow.Of(panel, head.Hair, 1)!;
        Assert.Equal(on.After(again.Formula.Minutes).Value, window.Target, 1e-9);
        Assert.True(window.Target > left);
        Assert.Equal(PanelWindow.Of(Nape(Head), Head.Hair, 0), PanelWindow.Of(panel, head.Hair, 0));
    }

    [Theory]
    [InlineData(Condition.Sound, Lightener.Clay, 40, false, 40, "")]
    [InlineData(Condition.Sound, Lightener.Clay, 40, true, 40, " without heat")]
    [InlineData(Condition.Sound, Lightener.Powder, 40, true, 30, " with 30 vol")]
    [InlineData(Condition.Dry, Lightener.Clay, 40, true, 20, " with 20 vol, without heat")]
    [InlineData(Condition.Dry, Lightener.Powder, 30, false, 20, " with 20 vol")]
    [InlineData(Condition.Dry, Lightener.Clay, 20, false, 20, "")]
    public void What_is_laid_again_is_no_stronger_than_may_be_offered(
        Condition condition,
        Lightener lightener,
        double volume,
        bool heat,
        double again,
        string milder
    )
    {
        var (looks, cutting) = Given.Looks(HairProfile.Usual with { Condition = condition });
        var head = PlannedHead
            .Of(looks, cutting, Plan.Fresh())
            .Apply(
                cutting,
                new SetFormula(
                    Formula.Lightening(FormulaId.A, lightener, volume, 12) with
                    {
                        LowHeat = heat,
                        HeatConfirmed = heat,
                    }
                ),
                new PaintZone(Zone.Nape, PanelPaint.Usual with { StartCm = 8 })
            );
        var depths = new Depths(head);
        var read = Read(Zone.Nape, 0) with { Level = depths.Planned(Zone.Nape, Depth.Ends) - Short };
        var lift = NextActions
            .Of(head, Differences.Of(head, depths, [read]), StretchTest.SpringsBack)
            .Single(c => c.What == Decision.CorrectFirst);
        Assert.Contains($"the same mixture{milder}", lift.Why.ToString(), StringComparison.OrdinalIgnoreCase);
        var corrected = head.Apply(cutting, Correction.Of(head, lift, 1, damp: false)!);
        Assert.Equal(again, Nape(corrected).Coats[1].Formula.Volume.Value);
        Assert.True(OfferedTechniques.Keeps(head, corrected));

        // Nor is film over it offered for the next visit with what is stronger than that.
        var film = NextTime.For(head, Zone.Nape, CauseKind.Dried)!;
        Assert.Equal($"Film over the nape{milder}.", film.Words.ToString());
        Assert.Equal(milder.Length > 0, film.Edit is null);
    }
}
