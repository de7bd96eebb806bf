using System.Collections.Concurrent;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;

namespace Wendro.Tests.Blend;

/// <summary>Grey comes in hair by hair: what is drawn grows lighter with its share, what is measured does not.</summary>
public sealed class LockDrawingTests
{
    private static readonly ConcurrentDictionary<double, (HairViews Looks, Cutting Cutting)> Grey = new();

    private static (HairViews Looks, Cutting Cutting) Hair(double grey) =>
        Grey.GetOrAdd(grey, g => Given.Looks(HairProfile.Usual with { GreyShare = g }));

    private static PlannedHead With(double grey) => PlannedHead.Of(Hair(grey).Looks, Hair(grey).Cutting, Plan.Fresh());

    private static double MeanLightness(PlannedHead head)
    {
        var (levels, tints) = (head.Drawn.Levels, head.Drawn.Tints);
        var of = new double[256];
        for (var t = 0; t < Tint.Count; t++)
        {
            var (r, g, b) = Palette.Raw.Colour(head.Hair.NaturalLevel, new Tint((byte)t));
            of[t] = LevelColours.LightnessOf(r, g, b);
        }

        return tints.Average(t => of[t]);
    }

    [Trait("Category", "Long")]
    [Fact]
    public void The_greyer_the_lighter_it_is_drawn_and_nothing_measured_changes()
    {
        var heads = new[] { 0, 0.15, 0.4, 0.8, 1 }.Select(With).ToArray();
        var light = heads.Select(MeanLightness).ToArray();
        Each.Of(light.Zip(light.Skip(1)), p => Assert.True(p.Second > p.First + 1));
        Each.Of(heads, h => Assert.Equal(heads[0].Measures.MeanLevel, h.Measures.MeanLevel, 1e-9));
    }

    [Fact]
    public void At_fifteen_in_a_hundred_no_strand_is_as_white_as_white_hair_and_at_all_every_one_is()
    {
        Assert.DoesNotContain(With(0.15).Drawn.Tints, t => t == Tint.White.Index);
        Each.Of(With(1).Drawn.Tints, t => Assert.Equal(Tint.White.Index, t));
        Assert.Contains(With(0.15).Reached.Hair.Tints, t => t == Tint.White.Index);
    }

    [Fact]
    public void An_edit_draws_grey_as_a_whole_head_does()
    {
        var (looks, cutting) = Hair(0.4);
        var head = With(0.4).Apply(cutting, new PaintZone(Zone.TopLeft, PanelPaint.Usual));
        var fresh = PlannedHead.Of(looks, cutting, head.Plan);
        Assert.NotEqual(With(0).Drawn.Tints, head.Drawn.Tints);
        Assert.Equal(fresh.Drawn.Levels, head.Drawn.Levels);
        Assert.Equal(fresh.Drawn.Tints, head.Drawn.Tints);
    }
}
