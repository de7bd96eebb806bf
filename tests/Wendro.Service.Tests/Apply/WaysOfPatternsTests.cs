using Wendro.Apply;
using Wendro.Fixtures;
using Wendro.Head;
using Wendro.Plans;

namespace Wendro.Tests.Apply;

/// <summary>Patterns as they are worked, against the clock; and the better way where there is one.</summary>
public sealed class WaysOfPatternsTests
{
    [Theory]
    [InlineData("wide-narrow")]
    [InlineData("heavy-front")]
    [InlineData("oval-out")]
    [InlineData("four-quarters")]
    public void In_open_air_rinses_keep_every_panel_in_time_where_one_rinse_does_not(string pattern)
    {
        var ways = WaysTable.Of(pattern);
        Assert.Empty(ways.AsPlanned.Visit.Outside);
        Assert.InRange(ways.AsPlanned.Visit.Rinses.Count(), 2, 4);
        Assert.True(Assert.Single(ways.Ways, w => w.Kind == ServiceOptionKind.AtOnce).Visit.Outside.Count > 0);
        Assert.Empty(ways.FreedBy);
        Assert.Null(ways.Conflict);

        // The named better way is no longer and takes no more of anything.
        var (best, planned) = (ways.Best, ways.AsPlanned);
        Assert.True(Math.Round(best.Visit.Minutes) <= Math.Round(planned.Visit.Minutes));
        Assert.Empty(best.Visit.Outside);
    }

    [Fact]
    public void Foils_left_on_beneath_a_base_are_over_and_rinsing_before_it_frees_them()
    {
        var ways = WaysTable.Of("zigzag-quadrants");
        Assert.NotEmpty(ways.AsPlanned.Visit.Outside);
        Assert.NotNull(ways.Conflict);
        var freed = ways.FreedBy[0];
        Assert.IsType<SetStep>(freed.Edit);
        Assert.Empty(freed.Visit.Outside);
        Assert.False(freed.IsStronger);
    }

    [Fact]
    public void Another_order_ends_sooner_keeps_low_before_high_and_the_hairline_last()
    {
        var ways = WaysTable.Of("zigzag-quadrants");
        var way = Assert.Single(ways.Ways, w => w.Kind == ServiceOptionKind.ByOrder);
        Assert.True(way.Visit.Minutes < ways.AsPlanned.Visit.Minutes - 1);
        // Where the plan has it so, low stays before high and the hairline last.
        var (before, order) = (Worked(ways.AsPlanned), Worked(way));
        Assert.NotEqual(before, order);
        (Zone First, Zone Then)[] usual =
        [
            (Zone.Nape, Zone.LowerBack),
            (Zone.UpperBack, Zone.Crown),
            (Zone.Crown, Zone.FaceFrameLeft),
            (Zone.SideRight, Zone.FringeRight),
        ];
        Each.Of(
            usual.Where(u => before.Contains(u.First) && before.IndexOf(u.First) < before.IndexOf(u.Then)).ToArray(),
            u => Assert.True(order.IndexOf(u.First) < order.IndexOf(u.Then), $"{u}")
        );

        static List<Zone> Worked(ServiceOption way) =>
            way.Visit.Steps.SelectMany(s => s.Panels.Select(p => p.Panel.Zone)).Distinct().ToList();
    }
}
