using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Tests.Plans;

/// <summary>One side of the head copied to the other, panel by panel.</summary>
public sealed class MirrorSideTests
{
    private static readonly PanelPaint Given1 = new(new Shape.Slant(5), 8, 4, 5, 7, SpreadCm: 2);

    /// <summary>Panels of a zone across the middle, those of the left first, and the one opposite each.</summary>
    private static (Panel Panel, PanelKey Opposite)[] Across(Plan plan, Zone zone) =>
        Given.Cutting.Cut(plan, zone).Panels.Select(p => (p, Given.Cutting.Cut(plan, zone).Opposite(p.Key))).ToArray();

    [Theory]
    [InlineData(Side.Left)]
    [InlineData(Side.Right)]
    public void Across_the_middle_each_panel_goes_to_the_one_opposite_where_it_begins_and_turned_round(Side from)
    {
        var fresh = Plan.Fresh();
        var across = Across(fresh, Zone.UpperBack);
        var side = across.Where(p => p.Panel.Key != p.Opposite && p.Panel.Centre.Map.X > 0 == (from == Side.Left));
        var (painted, bare) = (side.First().Panel, side.Skip(1).First().Panel);
        var other = PanelPaint.Usual with { StartCm = 3 };
        var plan = fresh.Edited(
            new PaintZone(Zone.UpperBack, other),
            new PaintPanels([painted.Key], Given1),
            new ClearPanels([bare.Key]),
            new MirrorSide(from)
        );
        PanelPaint? On(PanelKey key) => plan.Zones[Zone.UpperBack].Of(key);
        var there = On(across.Single(p => p.Panel.Key == painted.Key).Opposite)!;
        Assert.Equal(Given1.StartOn(painted.Key, painted.LengthCm, plan.Seed), there.StartCm);
        Assert.NotEqual(Given1.StartCm, there.StartCm);
        Assert.Equal(
            Given1 with
            {
                Shape = new Shape.Slant(5, Flip: true),
                StartCm = there.StartCm,
                SpreadCm = 0,
            },
            there
        );

        // What gives stays as it is, and so does what lies in the middle; what is natural leaves natural.
        Assert.Equal(Given1, On(painted.Key));
        Assert.Null(On(across.Single(p => p.Panel.Key == bare.Key).Opposite));
        Each.Of(across.Where(p => p.Panel.Key == p.Opposite), p => Assert.Equal(other, On(p.Panel.Key)));
    }

    [Fact]
    public void A_side_gives_its_sections_and_its_paint_key_by_key()
    {
        var plan = Plan.Fresh()
            .Edited(
                new CutZone(Zone.SideLeft, Parting.DiagonalBack, 15, 3, 6, Bricklay: true),
                new PaintZone(Zone.SideLeft, Given1),
                new PaintZone(Zone.SideRight, PanelPaint.Usual),
                new PaintZone(Zone.TopRight, PanelPaint.Usual)
            );
        var mirrored = plan.Apply(new MirrorSide(Side.Left), Given.Cutting);
        var (left, right) = (mirrored.Plan.Zones[Zone.SideLeft], mirrored.Plan.Zones[Zone.SideRight]);
        Assert.Equal(plan.Zones[Zone.SideLeft], left);
        Assert.Equal((left.Sections, left.Usual), (right.Sections, right.Usual));
        Assert.Equal(
            left.Paint.Select(p => (p.Key with { Zone = Zone.SideRight }, p.Value)),
            right.Paint.Select(p => (p.Key, p.Value))
        );
        Assert.Empty(mirrored.Lost);

        // The other top was painted and this one is not: now neither is.
        Assert.Empty(mirrored.Plan.Zones[Zone.TopRight].Paint);
    }

    [Fact]
    public void Where_the_part_lies_aside_what_finds_no_panel_opposite_is_named()
    {
        var plan = Plan.Fresh()
            .Edited(new MovePart(-4, -2), new PaintZone(Zone.TopLeft, Given1), new PaintZone(Zone.TopRight, Given1));
        var (left, right) = (plan.Zones[Zone.TopLeft].Paint, plan.Zones[Zone.TopRight].Paint);
        var wide = left.Count > right.Count ? Side.Left : Side.Right;
        var lost = plan.Apply(new MirrorSide(wide), Given.Cutting).Lost;
        Assert.NotEmpty(lost);
        Each.Of(lost, k => Assert.Equal(wide == Side.Left, ZoneFacts.IsLeft(k.Zone)));
        Assert.DoesNotContain(lost, k => Given.Cutting.Cut(plan, ZoneFacts.Other(k.Zone)).Panels.Any(p => p.Key == k));
    }
}
