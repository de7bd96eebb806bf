using System.Collections.Immutable;
using CsCheck;
using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Placement;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Units;

namespace Wendro.Tests.Record;

public class NextVisitTests
{
    private static readonly Plan Painted = PaintedPlan(Given.Bare.Plan);

    private static readonly PlannedHead Served = PlannedHead.Of(Given.Usual, Given.Cutting, Painted);

    private static Plan PaintedPlan(Plan plan) =>
        new Zone[] { Zone.SideLeft, Zone.SideRight, Zone.UpperBack, Zone.FaceFrameLeft, Zone.FaceFrameRight }.Aggregate(
            plan,
            (p, z) =>
                p.Apply(
                    new PaintZone(z, new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 8, 4, 6, 8)),
                    Given.Cutting
                ).Plan
        );

    private static (PlannedHead Head, Cutting Cutting) Next(
        PlannedHead served,
        double weeks,
        double trimmed = 0,
        PartLine? part = null
    )
    {
        var hair = RegrownHair.Of(ResultingHair.Of(served, served.Reached.Hair), weeks, trimmed);
        var (looks, cutting) = Given.Looks(hair, part);
        var plan = served.Plan with
        {
            Part = part ?? served.Plan.Part,
            Zones = served.Plan.Zones.ToImmutableSortedDictionary(
                z => z.Key,
                z => z.Value with { Paint = z.Value.Paint.Clear(), Usual = null }
            ),
        };
        return (PlannedHead.Of(looks, cutting, plan), cutting);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(8)]
    [InlineData(20)]
    public void The_next_visit_begins_with_what_came_out_moved_by_growth(double weeks)
    {
        // Trimmed by what grew: then it is the very hair that a look ahead shows.
        var (next, _) = Next(Served, weeks, StrandHistory.GrowthCm(weeks));
        var ahead = Regrowth.Grown(
            Served.Reached.Hair,
            Served.Looks.OnHead.Lengths,
            Served.Map.Zone,
            Served.Hair,
            weeks
        );
        var expected = HeadLevels.Of(Served.Reached.On, ahead).Measures;
        var found = next.Measures;
        Assert.InRange(found.MeanLevel - expected.MeanLevel, -0.15, 0.15);
        Assert.InRange(found.LightShare - expected.LightShare, -0.06, 0.06);
        Assert.Equal(expected.ZoneLevels.Keys.Order(), found.ZoneLevels.Keys.Order());
        Each.Of(expected.ZoneLevels, z => Assert.InRange(found.ZoneLevels[z.Key] - z.Value, -0.5, 0.5));
    }

    [Fact]
    public void Pieces_lie_where_panels_were_painted_and_nowhere_else()
    {
        var left = ResultingHair.Of(Served, Served.Reached.Hair);
        var pieces = left.Pieces!;
        Each.Of(Served.Panels, p => Assert.Equal(p.Coats.Count > 0, pieces.NumberAt(p.Panel.Centre.Map) >= 0));
        Each.Of(pieces.All, p => Assert.InRange(p.Outline.Count, 3, Piece.MostCorners));
        Assert.Empty(ConsultChecks.Of(left));
        Assert.Contains(left.Bands, b => b.State == BandState.Lightened && b.Share < 1);
    }

    [Fact]
    public void Nothing_done_leaves_the_hair_as_it_was()
    {
        var left = ResultingHair.Of(Given.Bare, Given.Bare.Reached.Hair);
        Assert.Equal(Given.Bare.Hair, left);
    }

    [Fact]
    public void Bands_shift_by_growth_and_a_trim_shortens_from_the_hem() =>
        Gen.Select(Gen.Double[0, 52], Gen.Double[0, 30])
            .Sample(
                (weeks, trimmed) =>
                {
                    var left = ResultingHair.Of(Served, Served.Reached.Hair);
                    var now = RegrownHair.Of(left, weeks, trimmed);
                    var grown = StrandHistory.GrowthCm(weeks);
                    Assert.Equal(Math.Clamp(left.Cut.HemCm + grown - trimmed, 16, 75), now.Cut.HemCm, 0.051);
                    Assert.Empty(ConsultChecks.Of(now));
                    foreach (var piece in now.Pieces!.All)
                    {
                        Assert.Empty(StrandHistory.Problems(piece.Bands, now.Cut.LongestCm));
                        var was = left.Pieces!.All.First(p => p.Outline.SequenceEqual(piece.Outline));
                        var (from, before) = (LightFrom(piece), LightFrom(was));
                        Assert.InRange(from - before - grown, -0.11, 0.11);
                    }
                },
                iter: 40
            );

    private static double LightFrom(Piece piece) => piece.Bands.First(b => b.State == BandState.Lightened).FromCm;

    [Fact]
    public void While_the_goal_stands_nothing_is_proposed()
    {
        var (next, cutting) = Next(WithGoal(Served), 0);
        var back = RefreshPlan.Of(next, Served.Plan, cutting);
        Assert.Empty(back.Edits);
        Assert.Empty(back.Panels);
    }

    [Fact]
    public void Grown_out_it_is_brought_back_by_the_fewest_panels()
    {
        var (next, cutting) = Next(WithGoal(Served), 26);
        var back = RefreshPlan.Of(next, Served.Plan, cutting);
        var goal = next.Plan.Goal;
        Assert.Single(back.Edits);
        Assert.InRange(back.Panels.Count, 1, back.OfPanels - 1);
        var applied = next.Plan.Apply(back.Edits[0], cutting);
        Assert.True(applied.Succeeded, string.Join("; ", applied.Problems));
        var after = Aim.Beyond(back.After, goal);
        Assert.True(after <= Aim.Beyond(back.AfterAll, goal) + 0.03);
        Assert.True(after < Aim.Beyond(back.Now, goal));
        Assert.Equal(back.After, Proposal.OutcomeOf(next.After(applied.Plan, next.Looks, cutting)));

        // One panel fewer does not bring it back.
        Each.Of(
            back.Panels,
            key =>
            {
                var fewer = applied.Plan.Apply(new ClearPanels([key]), cutting).Plan;
                var without = Proposal.OutcomeOf(next.After(fewer, next.Looks, cutting));
                Assert.True(Aim.Beyond(without, goal) > Aim.Beyond(back.AfterAll, goal));
            }
        );
    }

    /// <summary>The same head with a wish that it just meets.</summary>
    private static PlannedHead WithGoal(PlannedHead head)
    {
        var m = head.Measures;
        var goal = new Goal(
            Math.Max(0, m.FaceFrameLift - 0.1),
            Math.Max(0, m.LightShare - 0.02),
            Math.Min(1, m.LightShare + 0.1),
            Math.Clamp(m.RootSoftness + 0.1, 0.1, 3)
        )
        {
            EndsLevel = Level.Clamp(m.EndsLevel ?? 7),
        };
        return head.After(head.Plan with { Goal = goal }, head.Looks, Given.Cutting);
    }

    [Fact]
    public void A_piece_that_was_missed_is_painted_whole_and_one_that_grew_only_where_it_grew()
    {
        var missed = Served.Panels.First(p => p.Coats.Count > 0).Panel.Key;
        var served = Served.After(
            Served.Plan.Apply(new ClearPanels([missed]), Given.Cutting).Plan,
            Given.Usual,
            Given.Cutting
        );
        var (next, cutting) = Next(served, 12);
        var wanted = next.After(
            next.Plan with
            {
                Goal = next.Plan.Goal with { LightShareLow = 0.9, LightShareHigh = 1 },
            },
            next.Looks,
            cutting
        );
        var back = RefreshPlan.Of(wanted, Painted, cutting);
        var plan = wanted.Plan.Apply(back.Edits[0], cutting).Plan;
        Assert.Contains(missed, back.Panels);
        Assert.Null(plan.Zones[missed.Zone].Of(missed)!.BandCm);
        var grown = back.Panels.Where(k => k != missed).Select(k => plan.Zones[k.Zone].Of(k)!).ToArray();
        Each.Of(grown, p => Assert.InRange(p.BandCm!.Value, 2, 5));
    }

    [Fact]
    public void The_other_part_mirrors_it()
    {
        var left = new PartLine(4, 1);
        var (looks, cutting) = Given.Looks(HairProfile.Usual, left);
        var plan = Given.Bare.Plan with { Part = left };
        var only = plan.Apply(
            new PaintZone(Zone.SideLeft, new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 5, 4, 6, 8)),
            cutting
        );
        var served = PlannedHead.Of(looks, cutting, only.Plan);
        var (next, now) = Next(served, 8, part: new PartLine(-4, -1));
        var wanted = next.After(
            next.Plan with
            {
                Goal = next.Plan.Goal with { LightShareLow = 0.9, LightShareHigh = 1 },
            },
            next.Looks,
            now
        );
        var back = RefreshPlan.Of(wanted, served.Plan, now);
        Assert.True(back.IsMirrored);
        Assert.NotEmpty(back.Panels);
        Assert.All(back.Panels, k => Assert.Equal(Zone.SideRight, k.Zone));
    }

    [Fact]
    public void What_is_of_the_day_is_asked_anew_and_what_never_passes_stays()
    {
        var then = new Consultation(
            new(DateTimeOffset.UnixEpoch, PatchResult.Clear, "Clay"),
            Reacted: true,
            Scalp: Scalp.Calm,
            Salts: Salts.Yes,
            Adult: true,
            Words: "promised",
            WeeksBetween: 10
        );
        var next = then.ForNextVisit();
        Assert.Equal((true, Salts.Yes, true, 10.0), (next.Reacted, next.Salts, next.Adult, next.WeeksBetween));
        Assert.Equal(then.Patch, next.Patch);
        Assert.Null(next.Scalp);
        Assert.Null(next.Words);
        Assert.Null((then with { Reacted = false, Salts = Salts.None }).ForNextVisit().Reacted);
        Assert.Null((then with { Reacted = false, Salts = Salts.None }).ForNextVisit().Salts);
    }

    private static readonly Lazy<(PlannedHead Head, Cutting Cutting)> TenWeeks = new(() => Next(Served, 10));

    private static PlannedHead With(PlanEdit edit)
    {
        var (next, cutting) = TenWeeks.Value;
        var applied = next.Plan.Apply(edit, cutting);
        Assert.True(applied.Succeeded, string.Join("; ", applied.Problems));
        return next.After(applied.Plan, next.Looks, cutting);
    }

    [Fact]
    public void Painted_over_old_pieces_a_panel_is_the_mean_of_its_strands_and_darkens_nowhere()
    {
        var head = With(new PaintZone(Zone.UpperBack, new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 3, 4, 6, 8)));
        var (panels, strands) = head.MeansOf(Zone.UpperBack);
        Assert.InRange(panels - strands, -0.35, 0.35);
        var before = StrandLevels.Before(head.Hair, head.Map, head.Looks.OnHead.Lengths).Levels;
        Assert.All(before.Zip(head.Levels), l => Assert.True(l.Second >= l.First));
    }

    [Fact]
    public void Overlap_is_told_of_panels_that_lie_on_old_light_and_of_no_others()
    {
        var paint = new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 5, 4, 6, 8);
        var over = With(new PaintZone(Zone.UpperBack, paint)).AllFindings.Single(f => f.Kind == BlendFault.Overlap);
        Assert.All(over.Panels, k => Assert.Equal(Zone.UpperBack, k.Zone));
        // The crown was left natural last time.
        Assert.DoesNotContain(With(new PaintZone(Zone.Crown, paint)).AllFindings, f => f.Kind == BlendFault.Overlap);
    }

    [Fact]
    public void A_touch_up_ends_where_each_piece_begins_and_leaves_what_was_missed_whole()
    {
        var paint = new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 2, 3, 6, 8);
        var head = With(
            new Together([
                new PaintZone(Zone.UpperBack, paint),
                new PaintZone(Zone.Crown, paint),
                new TouchUpRegrowth(),
            ])
        );
        Each.Of(
            head.Panels.Where(p => p.Coats.Count > 0).ToArray(),
            p =>
            {
                var band = p.Painted!.Paint.BandCm;
                if (p.Panel.Key.Zone == Zone.Crown)
                {
                    Assert.Null(band);
                }
                else
                {
                    Assert.InRange(p.Painted.StartCm + band!.Value, 9, 14);
                }
            }
        );
    }

    [Theory]
    [InlineData(false, Zone.SideLeft)]
    [InlineData(true, Zone.SideRight)]
    public void Old_pieces_are_followed_where_they_lie_or_on_the_other_side(bool mirrored, Zone where)
    {
        var one = PlannedHead.Of(
            Given.Usual,
            Given.Cutting,
            Given
                .Bare.Plan.Apply(
                    new PaintZone(Zone.SideLeft, new PanelPaint(Shape.Usual(ShapeKind.Full, 0), 6, 4, 6, 8)),
                    Given.Cutting
                )
                .Plan
        );
        var (next, cutting) = Next(one, 10);
        var paint = new PanelPaint(Shape.Usual(ShapeKind.V, 4), 4, 3, 6, 8);
        var edit = new Together([
            new PaintZone(Zone.SideLeft, paint),
            new PaintZone(Zone.SideRight, paint),
            new PaintZone(Zone.UpperBack, paint),
            new FollowOldPieces(mirrored),
        ]);
        var plan = next.Plan.Apply(edit, cutting).Plan;
        Assert.Equal([where], plan.Zones.Where(z => z.Value.Paint.Count > 0).Select(z => z.Key));
    }

    [Fact]
    public void What_was_placed_by_plan_is_followed_and_not_softened()
    {
        var hair = RegrownHair.Of(ResultingHair.Of(Served, Served.Reached.Hair), 10);
        Assert.Contains(hair.Bands, b => b is { State: BandState.Lightened, Share: < 1 });
        string Advised(HairProfile of) =>
            Verdict.Of(of, new Goal(), Consultation.Fresh, 60, DateTimeOffset.UnixEpoch).Advised.Technique;
        Assert.StartsWith("Correction", Advised(hair with { Pieces = null }), StringComparison.Ordinal);
        Assert.DoesNotContain("Correction", Advised(hair), StringComparison.Ordinal);
    }

    [Fact]
    public void Hair_knows_whether_it_begins_with_what_was_left()
    {
        var left = ResultingHair.Of(Served, Served.Reached.Hair);
        Assert.True(RegrownHair.IsBegunWith(RegrownHair.Of(left, 8), left, 8));
        Assert.True(RegrownHair.IsBegunWith(RegrownHair.Of(left, 8, 12), left, 8));
        Assert.False(RegrownHair.IsBegunWith(HairProfile.Usual, left, 8));
        Assert.False(RegrownHair.IsBegunWith(RegrownHair.Of(left, 8) with { Pieces = null }, left, 8));
    }

    [Fact]
    public void Old_pieces_that_were_marked_stay_where_nobody_worked_and_move_outwards()
    {
        var worked = Served.Panels.First(p => p.Coats.Count > 0).Panel.Centre.Map;
        var elsewhere = Served.Panels.First(p => p.Panel.Key.Zone == Zone.Crown).Panel.Centre.Map;
        Mark At(MapPoint place) => new(MarkKind.OldLight, place.X, place.Y, 1, StartCm: 6);
        var left = ResultingHair.Of(Served, Served.Reached.Hair) with { Marked = [At(worked), At(elsewhere)] };
        var kept = Assert.Single(RegrownHair.Of(left, 8).Marks);
        Assert.Equal(elsewhere, kept.Map);
        Assert.Equal(6 + StrandHistory.GrowthCm(8), kept.StartCm!.Value, 1e-9);
    }
}
