using Wendro.Fall;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Tests.Plans;

/// <summary>Where artists disagree, a house rule changes what it says it changes.</summary>
public sealed class TechniquePreferencesTests
{
    [Fact]
    public void Front_first_works_the_front_before_the_back_in_every_frame()
    {
        Each.Of(
            Enum.GetValues<Frame>(),
            frame =>
            {
                var order = new TechniquePreferences(FrontFirst: true).OrderFor(frame)!;
                Assert.Equal(ZoneFacts.All, order.Order());
                Assert.Equal([Zone.Nape, Zone.LowerBack, Zone.UpperBack, Zone.Crown], order.TakeLast(4).Order());
            }
        );
        Assert.Equal(Zone.Nape, Plan.Fresh().Working[0]);
        Assert.NotEqual(Zone.Nape, Fresh(new TechniquePreferences(FrontFirst: true)).Working[0]);
        Assert.NotEqual(Zone.Nape, With("four-quarters", new TechniquePreferences(FrontFirst: true)).Working[0]);
    }

    [Fact]
    public void The_hairline_is_built_from_a_stable_line_or_from_the_face()
    {
        Assert.Equal(RowOrder.HighFirst, Plan.Fresh().Zones[Zone.FaceFrameLeft].Sections.Order);
        var other = new TechniquePreferences(HairlineFrontToBack: true);
        Assert.Equal(RowOrder.LowFirst, Fresh(other).Zones[Zone.FaceFrameLeft].Sections.Order);
        Assert.Equal(RowOrder.LowFirst, With("thick-all-over", other).Zones[Zone.FaceFrameLeft].Sections.Order);
    }

    [Fact]
    public void Ends_on_the_surface_are_skimmed_but_not_at_the_face()
    {
        var plan = With("thick-all-over", new TechniquePreferences(EndsOnSurface: true));
        Each.Of(PaintOf(plan, Zone.UpperBack), p => Assert.True(p.EndsMm <= TechniquePreferences.SurfaceMm));
        Each.Of(PaintOf(plan, Zone.FaceFrameLeft), p => Assert.True(p.EndsMm > TechniquePreferences.SurfaceMm));
        Each.Of(
            PaintOf(With("thick-all-over", TechniquePreferences.Usual), Zone.UpperBack),
            p => Assert.True(p.EndsMm > TechniquePreferences.SurfaceMm)
        );
    }

    [Fact]
    public void Undersides_are_painted_only_where_she_ties_it_back_if_ever()
    {
        bool Beneath(Plan plan) => PaintOf(plan, Zone.Nape).Any(p => p.Face != Face.Surface);
        Assert.True(Beneath(With("four-quarters", TechniquePreferences.Usual)));
        Assert.False(Beneath(With("four-quarters", new TechniquePreferences(UndersideNever: true))));
        Assert.False(
            Beneath(With("four-quarters", TechniquePreferences.Usual, Plan.Fresh() with { Wears = [Wear.Down] }))
        );
    }

    [Fact]
    public void A_crown_meant_to_be_brightest_begins_higher_and_the_second_look_allows_it()
    {
        var (low, high) = (
            With("four-quarters", TechniquePreferences.Usual),
            With("four-quarters", new TechniquePreferences(TopBrightest: true))
        );
        Assert.True(
            PaintOf(high, Zone.Crown).Max(p => p.StartShare) < PaintOf(low, Zone.Crown).Max(p => p.StartShare) * 0.6
        );
        Assert.True(
            Fresh(new TechniquePreferences(TopBrightest: true)).LimitsOf().CrownCm > Plan.Fresh().LimitsOf().CrownCm
        );
    }

    [Fact]
    public void Where_all_is_rinsed_once_fresh_plans_say_so_and_any_can_choose()
    {
        var plan = Fresh(new TechniquePreferences(RinsedOnce: true));
        Assert.Equal(Rinsing.Once, plan.Rinse);
        Assert.Equal(Rinsing.InRinses, Plan.Fresh().Rinse);
        var chosen = plan.Apply(new SetRinse(Rinsing.InRinses), Given.Cutting);
        Assert.True(chosen.Succeeded);
        Assert.Equal(plan with { Rinse = Rinsing.InRinses }, chosen.Plan);
        Assert.False(plan.Apply(new SetRinse((Rinsing)7), Given.Cutting).Succeeded);
    }

    private static Plan Fresh(TechniquePreferences schools) =>
        Plan.Fresh(1, HouseRules.Usual with { Schools = schools });

    private static IEnumerable<PanelPaint> PaintOf(Plan plan, Zone zone) =>
        plan.Zones[zone].Paint.Values.Concat(plan.Zones[zone].Usual is { } usual ? [usual] : []);

    private static Plan With(string pattern, TechniquePreferences schools, Plan? on = null)
    {
        var plan = on ?? Fresh(schools);
        var steps = StartingPatterns
            .Of(pattern)!
            .StepsFor(plan, Given.Cutting, HouseRules.Usual with { Schools = schools });
        return plan.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), Given.Cutting).Plan;
    }
}
