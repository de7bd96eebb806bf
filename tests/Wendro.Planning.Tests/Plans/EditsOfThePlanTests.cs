using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;
using static Wendro.Tests.Plans.TwoProducts;

namespace Wendro.Tests.Plans;

/// <summary>Edits of the whole plan: what is left out, worn, thinned, and where old colour is followed.</summary>
public sealed class EditsOfThePlanTests
{
    [Fact]
    public void What_is_set_aside_and_left_out_keeps_its_reason_without_blanks_round_it()
    {
        var plan = Plan.Fresh()
            .Edited(
                new ExcludeZone(Zone.Nape, "  undercut "),
                new LeaveOut(Region.Veil, 1, " soft "),
                new Dismiss("stripes", Severity.Note, " wanted "),
                new Dismiss("solidBlock", Severity.Note, "a"),
                new Dismiss("solidBlock", Severity.Caution, "b")
            );
        Assert.Equal(("undercut", LeftOutBy.Hand), (plan.Zones[Zone.Nape].Excluded, plan.Zones[Zone.Nape].ExcludedBy));
        Assert.Equal("soft", Assert.Single(plan.Regions).Reason);
        Assert.Equal([("stripes", "wanted"), ("solidBlock", "b")], plan.SetAside.Select(d => (d.Finding, d.Reason)));

        // Another size of the same region is not another region; a second one is.
        plan = plan.Edited(new LeaveOut(Region.Veil, 2, "wide"), new LeaveOut(Region.BabyHair, 1, "new"));
        Assert.Equal([(Region.Veil, 2), (Region.BabyHair, 1)], plan.Regions.Select(r => (r.Region, r.SizeCm)));
        plan = plan.Edited(new IncludeRegion(Region.Veil), new Reinstate("stripes"));
        Assert.Equal([Region.BabyHair], plan.Regions.Select(r => r.Region));
        Assert.Equal(["solidBlock"], plan.SetAside.Select(d => d.Finding));
        Refused(plan, new IncludeRegion(Region.Veil), "region");
        Refused(plan, new Reinstate("stripes"), "finding");
    }

    [Fact]
    public void Wears_are_kept_in_one_order_down_among_them_and_each_once()
    {
        Assert.Equal(
            [Wear.Down, Wear.Tucked],
            Plan.Fresh().Edited(new SetWears([Wear.Tucked, Wear.Down])).Wears.ToArray()
        );
        Refused(Plan.Fresh(), new SetWears([Wear.Down, Wear.Down]), "wears");
        Refused(Plan.Fresh(), new SetWears([]), "wears");
        Refused(Plan.Fresh(), new SetWears([Wear.Down, (Wear)99]), "wears");
        Refused(
            Plan.Fresh(),
            new SetWears([Wear.Down, .. Enum.GetValues<Wear>().Where(w => !WearFacts.IsWorn(w))]),
            "wears"
        );
        Refused(Plan.Fresh(), new SetWears([Wear.TiedLow]), "wears");
    }

    [Fact]
    public void The_hairline_is_thinned_and_nothing_else_is_cut()
    {
        var plan = Plan.Fresh().Edited(new ThinHairline(6));
        Each.Of(
            ZoneFacts.All,
            z =>
                Assert.Equal(
                    ZoneFacts.IsHairline(z)
                        ? Plan.Fresh().Zones[z].Sections with
                        {
                            ThicknessMm = 6,
                        }
                        : Plan.Fresh().Zones[z].Sections,
                    plan.Zones[z].Sections
                )
        );
    }

    [Fact]
    public void Regrowth_is_touched_up_to_where_light_hair_begins_and_a_little_over()
    {
        var grown = HairProfile.Usual with
        {
            History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5))],
        };
        var (_, cutting) = Given.Looks(grown);
        var over = 8 + FindingLimits.Usual.OverlapCm;
        PanelPaint Touched(PanelPaint paint)
        {
            var plan = Plan.Fresh().Apply(new PaintPanels([Key], paint), cutting).Plan;
            return On(plan.Apply(new TouchUpRegrowth(), cutting).Plan, Key)!;
        }

        // Begun well above, it stays where it is; begun too near, it is moved up to a quarter of what has grown.
        var high = Touched(new PanelPaint(new Shape.V(9), 3, 6));
        Assert.Equal((3, over - 3, 5), (high.StartCm, high.BandCm, high.BlurCm));
        Assert.Equal(5 * 0.6, high.Shape.DropCm, 1e-9);
        var low = Touched(new PanelPaint(new Shape.V(1), 7, 4, SpreadCm: 0));
        Assert.Equal((2, over - 2, 4, 1), (low.StartCm, low.BandCm, low.BlurCm, low.Shape.DropCm));
        Assert.Equal(2, Touched(new PanelPaint(new Shape.V(1), 5.7)).StartCm);
        Assert.Equal(5.5, Touched(new PanelPaint(new Shape.V(1), 5.5)).StartCm);
    }

    [Fact]
    public void Dark_pieces_alone_give_nothing_light_to_follow_and_light_ones_nothing_dark()
    {
        Plan With(MarkKind kind, out Cutting cutting)
        {
            cutting = Given.Looks(HairProfile.Usual with { Marked = [new(kind, 5, -3, 3)] }).Cutting;
            return Plan.Fresh();
        }

        string? Field(Plan plan, PlanEdit edit, Cutting cutting) =>
            plan.Apply(edit, cutting).Problems.Select(p => p.Field).FirstOrDefault();
        var dark = With(MarkKind.OldDark, out var ofDark);
        Assert.Equal("edit", Field(dark, new FollowOldPieces(), ofDark));
        Assert.Null(Field(dark, new OnlyDarkPieces(), ofDark));
        var light = With(MarkKind.OldLight, out var ofLight);
        Assert.Null(Field(light, new FollowOldPieces(), ofLight));
        Assert.Equal("edit", Field(light, new OnlyDarkPieces(), ofLight));
    }

    [Fact]
    public void A_part_of_the_strands_stands_for_all_of_them()
    {
        var (all, scalp) = Given.Bare.HairOf(_ => true, (s, _) => s < 10 ? 1 : 0);
        var (some, same) = Given.Bare.HairOf(_ => true, (s, _) => s < 10 ? 1 : 0, every: 5);
        Assert.Equal(Given.Head.ScalpCm2, scalp, 1e-6);
        Assert.Equal(scalp, same, scalp * 0.01);
        Assert.Equal(all, some, all * 0.02);
        Assert.InRange(all, 20, 90);
    }
}
