using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Patterns;

/// <summary>Each technique, built on a client it suits, leaves its marks in what comes out.</summary>
public sealed class TechniqueTests
{
    private static readonly Dictionary<HairProfile, (HairViews Looks, Cutting Cutting)> Kept = [];
    private static readonly HairProfile Dark = HairProfile.Usual with
    {
        NaturalLevel = new(3.5),
        Density = Density.High,
    };
    private static readonly HairProfile Bob = HairProfile.Usual with { Cut = new Cut(22, 0, 2) };
    private static readonly HairProfile Grown = HairProfile.Usual with
    {
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5))],
    };
    private static readonly HairProfile Striped = HairProfile.Usual with
    {
        History = [new(0, 6, BandState.Natural, new(5)), new(6, 34, BandState.Lightened, new(8), 0.3)],
    };

    private static (PlannedHead Head, Cutting Cutting) On(string id, HairProfile? hair = null, params PlanEdit[] first)
    {
        hair ??= HairProfile.Usual;
        var (looks, cutting) =
            hair == HairProfile.Usual ? (Given.Usual, Given.Cutting)
            : Kept.TryGetValue(hair, out var kept) ? kept
            : Kept[hair] = Given.Looks(hair);
        Assert.Null(StartingPatterns.Of(id)!.Against(hair));
        var plan = first.Aggregate(Plan.Fresh(), (p, e) => p.Apply(e, cutting).Plan);
        var applied = plan.Apply(
            new Together(
                StartingPatterns.Of(id)!.StepsFor(plan, cutting, HouseRules.Usual).SelectMany(s => s.Edits).ToArray()
            ),
            cutting
        );
        Assert.Empty(applied.Problems);
        return (PlannedHead.Of(looks, cutting, applied.Plan), cutting);
    }

    private static PlannedHead After((PlannedHead Head, Cutting Cutting) on, params PlanEdit[] edits) =>
        on.Head.Apply(on.Cutting, edits);

    /// <summary>
    /// Mean level of some strands of some zones between two distances from the scalp, cm, through the section.
    /// </summary>
    private static double Mean(
        PlannedHead head,
        Func<Zone, bool> which,
        double fromCm,
        double toCm,
        double wFrom = 0,
        double wTo = 1,
        byte[]? levels = null
    )
    {
        double sum = 0,
            n = 0;
        for (var i = 0; i < head.Looks.OnHead.Lengths.Length; i++)
        {
            var w = head.Map.W[i];
            if (!which((Zone)head.Map.Zone[i]) || head.Map.Panel[i] < 0 || w < wFrom || w > wTo)
            {
                continue;
            }

            for (var k = 0; k < Places.Count; k++)
            {
                var s = Places.Share(k) * head.Looks.OnHead.Lengths[i];
                if (s >= fromCm && s <= toCm)
                {
                    sum += Level.FromByte((levels ?? head.Levels)[i * Places.Count + k]);
                    n++;
                }
            }
        }

        Assert.True(n > 20, "too little hair there");
        return sum / n;
    }

    private static byte[] Before(PlannedHead head) =>
        StrandLevels.Before(head.Hair, head.Map, head.Looks.OnHead.Lengths).Levels;

    private static bool Upper(Zone z) =>
        z is Zone.UpperBack or Zone.Crown or Zone.SideLeft or Zone.SideRight or Zone.TopLeft or Zone.TopRight;

    private static IEnumerable<PlannedPanel> In(PlannedHead head, Zone zone) =>
        head.Panels.Where(p => p.Panel.Key.Zone == zone && p.Coats.Count > 0);

    [Fact]
    public void Scrunching_lights_only_the_outer_shell_and_more_passes_are_lighter()
    {
        var (head, cutting) = On("curl-shell", HairProfile.Usual with { Curl = Curl.Curly });
        Assert.True(Mean(head, Upper, 18, 40, 0, 0.2) > 5.4);
        Assert.Equal(5, Mean(head, Upper, 0, 60, 0.55, 1), 0.02);
        var once = After(
            (head, cutting),
            new SetStrokes(In(head, Zone.UpperBack).Select(p => p.Panel.Key).ToArray(), Strokes: 1)
        );
        var often = After(
            (head, cutting),
            new SetStrokes(In(head, Zone.UpperBack).Select(p => p.Panel.Key).ToArray(), Strokes: 5)
        );
        Assert.True(Mean(often, z => z == Zone.UpperBack, 15, 40) > Mean(once, z => z == Zone.UpperBack, 15, 40) + 0.1);
    }

    [Fact]
    public void Little_light_on_dark_hair_and_film_keeps_it_working()
    {
        var on = On("quiet-dark", Dark);
        Assert.InRange(on.Head.Measures.LightShare, 0.02, 0.5);
        var keys = on.Head.Panels.Where(p => p.Light is not null).Select(p => p.Panel.Key).ToArray();
        Assert.True(After(on, new SetCovering(keys, Covering.Open)).Measures.LightShare < on.Head.Measures.LightShare);
    }

    [Fact]
    public void The_fold_is_light_behind_the_hairline_only_and_the_ends_stay()
    {
        var (head, _) = On("hairline-express");
        Assert.True(Mean(head, ZoneFacts.IsFaceFrame, 6, 10) > 6);
        Assert.Equal(5, Mean(head, ZoneFacts.IsFaceFrame, 24, 40), 0.05);
        Assert.Equal(0, head.Panels.Count(p => !ZoneFacts.IsHairline(p.Panel.Key.Zone) && p.Coats.Count > 0));
    }

    [Fact]
    public void Grey_is_blended_from_near_the_root_the_same_on_both_sides()
    {
        var (head, _) = On("grey-blend", HairProfile.Usual with { GreyShare = 0.35 });
        Each.Of(In(head, Zone.TopLeft), p => Assert.True(p.Painted!.StartCm < 6));
        Assert.True(Math.Abs(head.Measures.Balance) < 0.15);
        Assert.DoesNotContain(
            head.Findings,
            f => new[] { BlendFault.PartMismatch, BlendFault.WeakSide }.Contains(f.Kind)
        );
    }

    [Fact]
    public void Reverse_darkens_the_roots_and_leaves_the_ends()
    {
        var (head, _) = On(
            "shadow-mesh",
            HairProfile.Usual with
            {
                History = [new(0, 34, BandState.Lightened, new(8.5))],
            }
        );
        Assert.True(Mean(head, Upper, 2, 8) < Mean(head, Upper, 2, 8, levels: Before(head)) - 2);
        Assert.Equal(Mean(head, Upper, 28, 40, levels: Before(head)), Mean(head, Upper, 28, 40), 0.05);
        Assert.Equal([StepKind.Base, StepKind.Lighten], head.Plan.Steps!.Select(x => x.Kind));
        Assert.True(Mean(head, Upper, 12, 14) > Mean(head, Upper, 4, 6), "feathered out downwards");
    }

    [Fact]
    public void Two_products_side_by_side_in_a_bob()
    {
        var (head, _) = On("woven-bob", Bob);
        var means = In(head, Zone.UpperBack)
            .GroupBy(p => p.Formula!.Id)
            .ToDictionary(g => g.Key, g => g.Average(p => p.MeanLevel(head.Hair, Moment.Rinsed)));
        Assert.True(
            means[FormulaId.A] > means[FormulaId.B] + 0.3,
            $"{means[FormulaId.A]:0.0} {means[FormulaId.B]:0.0}"
        );
        Each.Of(In(head, Zone.UpperBack), p => Assert.True(p.Painted!.HeldBack > 0));
    }

    [Fact]
    public void Thicker_panels_stay_darker()
    {
        var on = On("thick-all-over");
        var s = on.Head.Plan.Zones[Zone.UpperBack].Sections;
        var thin = After(on, CutZone.As(Zone.UpperBack, s with { ThicknessMm = s.ThicknessMm / 2 }));
        Assert.True(thin.MeansOf(Zone.UpperBack).Panels > on.Head.MeansOf(Zone.UpperBack).Panels + 0.2);
        Assert.True(
            In(on.Head, Zone.FaceFrameLeft).Average(p => p.MeanLevel(on.Head.Hair, Moment.Rinsed))
                > In(on.Head, Zone.UpperBack).Average(p => p.MeanLevel(on.Head.Hair, Moment.Rinsed))
        );
    }

    [Fact]
    public void A_block_at_the_face_stands_against_what_is_behind()
    {
        var (head, _) = On("face-block");
        Assert.True(head.Measures.FaceFrameLift >= 1, $"{head.Measures.FaceFrameLift:0.00}");
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.FrontNotBrighter);
        Assert.True(
            Mean(head, ZoneFacts.IsHairline, 10, 40)
                > Mean(head, z => z is Zone.SideLeft or Zone.SideRight, 10, 40) + 0.5
        );
    }

    [Fact]
    public void Alternate_heights_lower_the_stripe_finding_and_foil_reaches_where_open_air_dries_first()
    {
        var on = On("high-low-foil", null, new SetGoal(new Goal { EndsLevel = new(8.3) }));
        var keys = In(on.Head, Zone.UpperBack).Select(p => p.Panel.Key).ToArray();
        double Rows(PlannedHead head) =>
            head.Findings.FirstOrDefault(f => f.Id == $"Stripes:{Zone.UpperBack}")?.Evidence[0].Value ?? 0;
        Assert.True(Rows(on.Head) < Rows(After(on, new SetHeights(keys, StartCm: 8), new SetBlur(keys, 1))));
        Assert.DoesNotContain(on.Head.Findings, f => f.Kind == BlendFault.DriesFirst);
        var open = After(
            on,
            new SetCovering(
                on.Head.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Panel.Key).ToArray(),
                Covering.Open
            )
        );
        Assert.Contains(open.Findings, f => f.Kind == BlendFault.DriesFirst);
    }

    [Fact]
    public void What_lies_under_the_oval_stays_and_weaker_low_catches_up_under_film()
    {
        var (head, _) = On("oval-out");
        var natural = Level.ToByte(5);
        var outside = Enumerable.Range(0, head.Map.Panel.Length).Where(i => head.Map.Panel[i] < 0).ToArray();
        Assert.NotEmpty(outside);
        Each.Of(outside, i => Assert.Equal(natural, head.Levels[i * Places.Count + Places.Count - 1]));
        var (low, high) = (
            In(head, Zone.LowerBack).Average(p => p.BrightestLevel(head.Hair, Moment.Rinsed)),
            In(head, Zone.UpperBack).Average(p => p.BrightestLevel(head.Hair, Moment.Rinsed))
        );
        Assert.True(Math.Abs(low - high) < 0.6, $"{low:0.0} {high:0.0}");
    }

    [Fact]
    public void Deposit_softens_old_stripes()
    {
        var (head, cutting) = On("lines-softened", Striped);
        var bare = After(
            (head, cutting),
            new Together([new RemoveStep(0), .. ZoneFacts.All.Select(z => new ClearZone(z))])
        );
        double Contrast(PlannedHead h) => h.Down.Ribbons(Zone.UpperBack)!.Value.Contrast;
        Assert.True(
            Mean(head, z => z == Zone.UpperBack, 8, 12) < Mean(bare, z => z == Zone.UpperBack, 8, 12),
            "old light is darker where it began"
        );
        Assert.True(head.Down.Softness(Zone.UpperBack).Slope < bare.Down.Softness(Zone.UpperBack).Slope);
        Assert.True(Contrast(head) > 0.2, "light and depth side by side are left");

        // Two processes: the old edge is coloured and rinsed before light is laid.
        Assert.Equal([StepKind.Deposit, StepKind.Lighten], head.Plan.Steps!.Select(x => x.Kind));
        Assert.True(head.Plan.Steps![0].Rinse);
    }

    [Fact]
    public void Higher_after_a_cut_and_nothing_on_the_undercut()
    {
        var (head, _) = On("raised-after-cut", Bob with { Marked = [new(MarkKind.Undercut, 0, -17, 5.5)] });
        Assert.DoesNotContain(head.Panels, p => p.Panel.Key.Zone == Zone.Nape && p.Coats.Count > 0);
        double Start(PlannedHead h) => In(h, Zone.UpperBack).Average(p => p.Painted!.StartCm / p.Panel.LengthCm);
        Assert.True(Start(head) < Start(On("thick-all-over", Bob).Head) - 0.05);
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.CrownTooHigh);
    }

    [Fact]
    public void Tips_only_few_pieces_soon_done()
    {
        var (head, _) = On("tips-at-home", Bob);
        Assert.InRange(head.Panels.Count(p => p.Coats.Count > 0), 8, 60);
        Assert.True(head.Minutes < 45, $"{head.Minutes:0}");
        Assert.Equal(5, Mean(head, Upper, 0, 4), 0.01);
        var tips = Enumerable
            .Range(0, head.Map.Panel.Length)
            .Where(i =>
                head.Map.Panel[i] >= 0 && head.Panels[head.Map.Panel[i]].Coats.Count > 0 && head.Map.W[i] < 0.15
            )
            .ToArray();
        Assert.True(
            tips.Average(i => Level.FromByte(head.Levels[i * Places.Count + Places.Count - 1])) > 6,
            "short strands have tips of their own"
        );
    }

    [Fact]
    public void Both_sides_of_the_part_match()
    {
        var (head, _) = On("wide-narrow");
        Assert.DoesNotContain(
            head.Findings,
            f => new[] { BlendFault.PartMismatch, BlendFault.WeakSide, BlendFault.CrownTooHigh }.Contains(f.Kind)
        );
        Assert.Equal(2, head.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Formula!.Volume).Distinct().Count());
    }

    [Fact]
    public void V_over_v_leaves_depth_under_brightness()
    {
        var (head, _) = On("heavy-front");
        Assert.True(
            Mean(head, z => z == Zone.SideLeft, 18, 30, 0, 0.3)
                > Mean(head, z => z == Zone.SideLeft, 18, 30, 0.8, 1) + 0.8
        );
        double Share(Zone zone) => head.Down.Ribbons(zone)!.Value.LightShare;
        Assert.True(Share(Zone.TopLeft) > Share(Zone.LowerBack), "tapering to the back");
    }

    [Fact]
    public void Only_dark_pieces_are_refreshed_and_light_ones_are_left_alone()
    {
        var (head, _) = On("refresh-dark", Grown);
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.Overlap);
        Assert.Equal(Mean(head, Upper, 14, 40, levels: Before(head)), Mean(head, Upper, 14, 40), 0.02);
        Assert.True(Mean(head, Upper, 4, 8) > Mean(head, Upper, 4, 8, levels: Before(head)));
    }

    [Fact]
    public void The_root_keeps_her_level_while_the_rest_lifts_in_foil()
    {
        var (head, _) = On("zigzag-quadrants", Dark);
        Assert.Equal(3.5, Mean(head, Upper, 0, 2), 0.1);
        Assert.True(Mean(head, Upper, 20, 40, 0, 0.6) > 6);
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.ScalpContact);

        // The base goes on while the foils work; only what no foil holds takes it.
        Assert.Equal([StepKind.Lighten, StepKind.Base, StepKind.Gloss], head.Plan.Steps!.Select(x => x.Kind));
        Assert.False(head.Plan.Steps![0].Rinse);
        Assert.True(head.Plan.Steps![1].Area!.Between);
    }

    [Fact]
    public void Three_colours_melt_down_each_strand_in_seams_of_different_heights()
    {
        var (head, _) = On(
            "triangle-melt",
            HairProfile.Usual with
            {
                History = [new(0, 34, BandState.Lightened, new(8.5))],
            }
        );
        bool Back(Zone z) => z is Zone.UpperBack or Zone.LowerBack or Zone.Crown;
        var (root, middle, ends) = (Mean(head, Back, 6, 9), Mean(head, Back, 15, 19), Mean(head, Back, 28, 40));
        Assert.True(root < middle - 0.2 && middle < ends - 0.2, $"{root:0.0} {middle:0.0} {ends:0.0}");
        Assert.True(ends < 8.5);
        var melts = In(head, Zone.UpperBack);
        Each.Of(melts, p => Assert.Equal([FormulaId.C, FormulaId.B, FormulaId.A], p.Coats.Select(c => c.Formula.Id)));
        Each.Of(melts, p => Assert.Equal(ShapeKind.Melt, p.Painted!.Paint.Shape.Kind));
        Assert.True(melts.Select(p => p.Coats[1].Painted.StartCm).Distinct().Count() > 3, "seams at different heights");
        Assert.Equal(StepKind.Base, head.Plan.Steps![0].Kind);
        Assert.True(
            Mean(head, ZoneFacts.IsFaceFrame, 6, 40) > Mean(head, Back, 6, 40) + 0.3,
            "face pieces step lighter"
        );
    }

    [Fact]
    public void Regrowth_blends_into_light_ends_without_overlap()
    {
        var (head, cutting) = On("regrowth-blend", Grown);
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.Overlap);

        // No lightener reaches the light ends; two glosses, darker behind and lightest at the face, cost them little.
        Assert.InRange(Mean(head, Upper, 16, 40, levels: Before(head)) - Mean(head, Upper, 16, 40), 0, 0.8);
        Assert.Equal([StepKind.Lighten, StepKind.Gloss, StepKind.Gloss], head.Plan.Steps!.Select(x => x.Kind));
        var bare = After(
            (head, cutting),
            new Together(ZoneFacts.All.Select(z => (PlanEdit)new ClearZone(z)).ToArray())
        );
        // Where the old line is seen at all, it is softer.
        Each.Of(
            ZoneFacts.All.Where(z => bare.Down.Softness(z).Slope >= 1.5),
            z => Assert.True(head.Down.Softness(z).Slope < bare.Down.Softness(z).Slope, $"{z}")
        );
    }

    [Fact]
    public void One_hand_all_over_the_quarters_alike()
    {
        var (head, _) = On("four-quarters");
        Assert.True(Math.Abs(head.Measures.Balance) < 0.2);
        Assert.Single(head.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Formula!.Id).Distinct());
        Assert.InRange(head.Measures.LightShare, 0.15, 0.7);
    }

    [Fact]
    public void Staggered_lines_have_no_edge_and_meet_where_the_panel_is_held()
    {
        var on = On("staggered-lines");
        var keys = on.Head.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Panel.Key).ToArray();
        Assert.DoesNotContain(on.Head.Findings, f => f.Kind == BlendFault.Stripes);
        var straight = After(on, new SetShape(keys, ShapeKind.Full), new SetBlur(keys, 3));
        Assert.True(on.Head.Measures.RootSoftness < straight.Measures.RootSoftness);
        Assert.True(on.Head.Measures.RegrowthWeeks > straight.Measures.RegrowthWeeks);
        var higher = After(on, new SetStrokes(keys, MergeCm: 7));
        Assert.True(
            Mean(higher, Upper, 15, 20) > Mean(on.Head, Upper, 15, 20) + 0.1,
            "held nearer the scalp, solid begins higher"
        );
    }

    [Fact]
    public void Underside_paint_closes_the_dark_hairline_when_tied()
    {
        var on = On("thick-all-over", null, new SetWears([Wear.Down, Wear.TiedHigh]));
        var frame = on
            .Head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone))
            .Select(p => p.Panel.Key)
            .ToArray();
        var dark = After(on, new SetFace(frame, Face.Surface), new SetDepth(frame, 4, 4));
        var both = After((dark, on.Cutting), new SetFace(frame, Face.Both), new SetDepth(frame, 4, 4));
        Assert.True(
            both.Tied!.LevelOf(ZoneFacts.IsFaceFrame) > dark.Tied!.LevelOf(ZoneFacts.IsFaceFrame) + 0.05,
            $"{both.Tied!.LevelOf(ZoneFacts.IsFaceFrame)} {dark.Tied!.LevelOf(ZoneFacts.IsFaceFrame)}"
        );
    }
}
