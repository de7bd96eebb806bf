using System.Collections.Concurrent;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Patterns;

public sealed class PatternsTests
{
    private static readonly Band[] Stripes =
    [
        new(0, 4, BandState.Natural, new(5)),
        new(4, 30, BandState.Lightened, new(8), 0.3),
    ];

    private static readonly Dictionary<string, HairProfile> Heads = new()
    {
        ["straight dark"] = HairProfile.Usual with { NaturalLevel = new(3), Cut = new Cut(44) },
        ["wavy, striped"] = HairProfile.Usual with { Curl = Curl.Wavy, Cut = new Cut(40, 6), History = Stripes },
        ["fine bob"] = HairProfile.Usual with { NaturalLevel = new(7), Diameter = Diameter.Fine, Cut = new Cut(22) },
        ["curly"] = HairProfile.Usual with { Curl = Curl.Curly, Density = Density.High, Cut = new Cut(36, 8) },
        ["coily, undercut"] = HairProfile.Usual with
        {
            Curl = Curl.Coily,
            Cut = new Cut(30, EvenCm: 14),
            Marked = [new Mark(MarkKind.Undercut, 0, -16, 7)],
        },
        ["grey"] = HairProfile.Usual with { GreyShare = 0.3, Cut = new Cut(28) },
    };

    private static readonly ConcurrentDictionary<HairProfile, Cutting> Kept = new();

    /// <summary>Cuts already made are kept: patterns share many.</summary>
    private static Cutting On(HairProfile hair) =>
        Kept.GetOrAdd(hair, h => new(Given.Head, h, _ => _ => h.Cut.LongestCm * 0.8));

    private static Plan Laid(string id, HairProfile hair, PartLine? part = null)
    {
        var plan = Plan.Fresh() with { Part = part ?? PartLine.Central };
        var edits = StartingPatterns
            .Of(id)!
            .StepsFor(plan, On(hair), HouseRules.Usual)
            .SelectMany(s => s.Edits)
            .ToArray();
        var applied = plan.Apply(new Together(edits), On(hair));
        Assert.Empty(applied.Problems);
        return applied.Plan;
    }

    /// <summary>A client each technique is meant for.</summary>
    private static HairProfile Fitting(Pattern pattern) => Heads.Values.First(h => pattern.Against(h) is null);

    private static IEnumerable<Panel> Panels(Plan plan, HairProfile hair) =>
        ZoneFacts.All.Where(z => plan.Zones[z].Excluded is null).SelectMany(z => On(hair).Cut(plan, z).Panels);

    private static PanelPaint? Paint(Plan plan, PanelKey key) => plan.Zones[key.Zone].Of(key);

    [Fact]
    public void Every_technique_has_one_pattern_and_someone_it_suits()
    {
        Assert.Equal(
            [6, 2, 3, 1, 3, 5, 1],
            Enum.GetValues<PatternFamily>().Select(f => StartingPatterns.All.Count(p => p.Family == f))
        );
        Assert.Equal(21, StartingPatterns.All.Select(p => p.Id).Distinct().Count());
        Assert.Equal(21, StartingPatterns.All.Select(p => p.Name).Distinct().Count());
        Each.Of(StartingPatterns.All, p => Assert.NotNull(Fitting(p)));
    }

    public static TheoryData<string> Ids => [.. StartingPatterns.All.Select(p => p.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void It_is_laid_on_every_head_whatever_was_there_and_in_one_step(string id)
    {
        PartLine[] parts = [PartLine.Central, new(-3, -1), new(4, 1, 6)];
        foreach (var (hair, i) in Heads.Values.Select((h, i) => (h, i)))
        {
            var part = parts[i % parts.Length];
            var used = Plan.Fresh() with { Part = part };
            used = used.Apply(new PaintZone(Zone.Crown, PanelPaint.Usual), On(hair)).Plan;
            used = used.Apply(new LeaveOut(Region.Veil, 1, "before"), On(hair)).Plan;
            var steps = StartingPatterns.Of(id)!.StepsFor(used, On(hair), HouseRules.Usual);
            Each.Of(steps, s => Assert.True(s.Why.Length > 5 && s.Edits.Count > 0));
            var applied = used.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), On(hair));
            Assert.Empty(applied.Problems);
            Assert.NotEmpty(Panels(applied.Plan, hair));
            Assert.Equal(part, applied.Plan.Part);
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void What_it_leaves_natural_stays_so_and_its_sizes_can_be_held(string id)
    {
        var pattern = StartingPatterns.Of(id)!;
        var hair = Fitting(pattern);
        var plan = Laid(id, hair);
        Each.Of(plan.Zones.Values, z => Assert.InRange(z.Sections.ThicknessMm, 4, 40));
        Each.Of(
            Panels(plan, hair).Where(p => Paint(plan, p.Key) is not null),
            p => Assert.InRange(Paint(plan, p.Key)!.StartOn(p.Key, p.LengthCm, plan.Seed), 0, p.LengthCm + 2)
        );
    }

    [Fact]
    public void Each_has_the_marks_of_its_technique()
    {
        Plan On(string id) => Laid(id, Fitting(StartingPatterns.Of(id)!));
        IEnumerable<Sections> Cut(Plan plan) =>
            plan.Zones.Where(z => z.Value.Excluded is null).Select(z => z.Value.Sections);

        Assert.Equal(Frame.Tiers, On("curl-shell").Frame);
        Each.Of(On("curl-shell").Zones[Zone.UpperBack].Paint.Values, p => Assert.IsType<Shape.Scrunch>(p.Shape));
        Each.Of(On("quiet-dark").Zones[Zone.LowerBack].Paint.Values, p => Assert.Equal(Covering.Film, p.Covering));
        Each.Of(On("hairline-express").Zones, z => Assert.Equal(ZoneFacts.IsHairline(z.Key), z.Value.Excluded is null));
        Each.Of(
            On("grey-blend").Zones[Zone.UpperBack].Paint.Values,
            p => Assert.Equal(Wendro.Lift.Lightener.Half, On("grey-blend").FormulaOf(p.Formula)!.Light!.Lightener)
        );
        Assert.True(On("shadow-mesh").Zones[Zone.UpperBack].Sections is { ThicknessMm: <= 9, LeaveOutMm: >= 10 });
        Assert.True(On("woven-bob").Zones[Zone.UpperBack].Sections.Woven);
        Assert.Equal(2, On("woven-bob").Zones[Zone.UpperBack].Paint.Values.Select(p => p.Formula).Distinct().Count());
        Assert.Equal(Parting.Triangles, On("woven-bob").Zones[Zone.FaceFrameLeft].Sections.Parting);
        var thick = On("thick-all-over");
        Assert.True(
            thick.Zones[Zone.UpperBack].Sections.ThicknessMm
                > 1.8 * thick.Zones[Zone.FaceFrameLeft].Sections.ThicknessMm
        );
        Assert.Equal(RowOrder.HighFirst, On("face-block").Zones[Zone.FaceFrameLeft].Sections.Order);
        Assert.Equal(2, On("face-block").Formulas.Count(f => !f.IsDeposit));
        Each.Of(
            On("high-low-foil").Zones[Zone.UpperBack].Paint.GroupBy(p => p.Key.Row % 2),
            g => Assert.Single(g.Select(p => p.Value.StartShare).Distinct())
        );
        Assert.Contains(On("oval-out").Regions, r => r.Region == Region.Oval);
        Assert.True(On("oval-out").FormulaOf(FormulaId.A)!.Volume < On("oval-out").FormulaOf(FormulaId.B)!.Volume);
        Assert.Contains(Cut(On("lines-softened")), s => s.Woven);
        Assert.NotNull(On("raised-after-cut").Zones[Zone.Nape].Excluded);
        Assert.True(On("raised-after-cut").Zones[Zone.UpperBack].Sections.Bricklay);
        Each.Of(On("tips-at-home").Zones[Zone.SideLeft].Paint.Values, p => Assert.True(p.StartShare >= 0.6));
        var wide = On("wide-narrow");
        Assert.True(wide.Zones[Zone.SideLeft].Sections.WidthCm > 1.5 * wide.Zones[Zone.TopLeft].Sections.WidthCm);
        var heavy = On("heavy-front");
        Assert.True(heavy.Zones[Zone.Nape].Sections.LeaveOutMm > heavy.Zones[Zone.TopLeft].Sections.LeaveOutMm);
        Assert.True(heavy.Zones[Zone.LowerBack].Usual!.StartShare > heavy.Zones[Zone.TopLeft].Usual!.StartShare);
        var refresh = On("refresh-dark").Zones[Zone.UpperBack];
        Each.Of(refresh.Paint.Keys, k => Assert.Equal(1, k.Column % 2));
        Assert.Equal(Frame.Quadrants, On("zigzag-quadrants").Frame);
        Assert.Equal(Parting.Zigzag, On("zigzag-quadrants").Zones[Zone.Crown].Sections.Parting);
        Assert.Contains(On("zigzag-quadrants").Regions, r => r.Region == Region.Veil);
        Assert.Contains(On("triangle-melt").Regions, r => r.Region == Region.Teardrop);
        Assert.Equal(Parting.Triangles, On("triangle-melt").Zones[Zone.UpperBack].Sections.Parting);
        Assert.True(On("regrowth-blend").Zones[Zone.Crown].Usual is { StartCm: <= 3, Face: Face.Both });
        Assert.Equal(Parting.DiagonalBack, On("four-quarters").Zones[Zone.LowerBack].Sections.Parting);
        Assert.Equal(Parting.Horizontal, On("four-quarters").Zones[Zone.TopLeft].Sections.Parting);
        Each.Of(
            On("staggered-lines").Zones[Zone.UpperBack].Paint.Values,
            p => Assert.Equal(5, Assert.IsType<Shape.Staggered>(p.Shape).Lines)
        );
    }

    [Fact]
    public void It_is_fitted_to_hair_length_and_part()
    {
        var usual = Laid("wide-narrow", HairProfile.Usual).Zones[Zone.UpperBack].Sections;
        var dense = Laid("wide-narrow", HairProfile.Usual with { Density = Density.High })
            .Zones[Zone.UpperBack]
            .Sections;
        var curly = Laid("wide-narrow", HairProfile.Usual with { Curl = Curl.Curly }).Zones[Zone.UpperBack].Sections;
        Assert.True(dense.ThicknessMm < usual.ThicknessMm && curly.ThicknessMm > usual.ThicknessMm);

        double Drop(double hem) =>
            Laid("wide-narrow", HairProfile.Usual with { Cut = new Cut(hem) })
                .Zones[Zone.UpperBack]
                .Usual!.Shape.DropCm;
        Assert.True(Drop(50) > 1.8 * Drop(25));

        // Parted on her left, more hair falls to her right: that side gets thinner sections and more pieces.
        var aside = Laid("wide-narrow", HairProfile.Usual, new PartLine(3, 1));
        Assert.True(aside.Zones[Zone.TopRight].Sections.ThicknessMm < aside.Zones[Zone.TopLeft].Sections.ThicknessMm);
    }

    [Fact]
    public void The_heavier_side_of_the_part_is_known_and_offered_more()
    {
        Assert.Null(Heavier.SideOf(PartLine.Central));
        var plan = Plan.Fresh() with { Part = new PartLine(3.5, 1) };
        Assert.Equal(Side.Right, Heavier.SideOf(plan.Part));
        var (left, right) = Heavier.Grams(Panels(plan, HairProfile.Usual));
        Assert.True(right > left * 1.1, $"{left:0} {right:0}");
        var before = Panels(plan, HairProfile.Usual)
            .Count(p => !ZoneFacts.IsAcross(p.Key.Zone) && !ZoneFacts.IsLeft(p.Key.Zone));
        var after = plan.Apply(new Together(Heavier.Edits(plan)), On(HairProfile.Usual)).Plan;
        Assert.True(
            Panels(after, HairProfile.Usual)
                .Count(p => !ZoneFacts.IsAcross(p.Key.Zone) && !ZoneFacts.IsLeft(p.Key.Zone)) > before
        );
        Assert.Empty(Heavier.Edits(after));
    }

    [Fact]
    public void It_says_whom_it_does_not_suit() =>
        Assert.Contains(
            "curls",
            StartingPatterns.Of("curl-shell")!.Against(HairProfile.Usual),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_pattern_after_another_is_as_if_it_were_the_first()
    {
        var hair = HairProfile.Usual;
        static Plan Bare(Plan plan) => plan with { Formulas = [.. plan.Formulas.Where(f => f.Id == FormulaId.A)] };
        Plan Lay(Plan plan, string id) =>
            plan.Apply(
                new Together(
                    StartingPatterns
                        .Of(id)!
                        .StepsFor(plan, On(hair), HouseRules.Usual)
                        .SelectMany(s => s.Edits)
                        .ToArray()
                ),
                On(hair)
            ).Plan;
        foreach (var second in new[] { "thick-all-over", "oval-out", "four-quarters", "hairline-express" })
        {
            foreach (var first in StartingPatterns.All.Select(p => p.Id))
            {
                var (after, alone) = (Bare(Lay(Lay(Plan.Fresh(), first), second)), Bare(Lay(Plan.Fresh(), second)));
                Assert.Equal(alone.Formulas.ToArray(), after.Formulas.ToArray());
                Assert.Equal(alone.Working, after.Working);
                Assert.Equal(alone.Regions, after.Regions);
                Each.Of(
                    ZoneFacts.All,
                    z =>
                    {
                        var (a, b) = (alone.Zones[z], after.Zones[z]);
                        Assert.Equal((a.Excluded, a.Paint.Count), (b.Excluded, b.Paint.Count));
                        Assert.True(a.Paint.SequenceEqual(b.Paint), $"{first}, then {second}: {z}");
                    }
                );
            }
        }
    }

    [Fact]
    public void What_a_hand_left_out_stays_out_and_the_houses_formula_is_mixed()
    {
        var hair = HairProfile.Usual;
        var house = HouseRules.Usual with
        {
            Formula = Wendro.Lift.Formula.Lightening(FormulaId.A, Wendro.Lift.Lightener.Cream, 20, 35),
            BabyHairCm = 0.5,
        };
        var plan = Plan.Fresh(1, house).Apply(new ExcludeZone(Zone.SideLeft, "eczema"), On(hair)).Plan;
        foreach (var pattern in StartingPatterns.All)
        {
            var laid = plan.Apply(
                new Together(pattern.StepsFor(plan, On(hair), house).SelectMany(s => s.Edits).ToArray()),
                On(hair)
            );
            Assert.Empty(laid.Problems);
            Assert.Equal("eczema", laid.Plan.Zones[Zone.SideLeft].Excluded);
            Assert.Contains(laid.Plan.Regions, r => r is { Region: Region.BabyHair, SizeCm: 0.5, By: LeftOutBy.Hand });
        }

        var thick = StartingPatterns.Of("thick-all-over")!.StepsFor(plan, On(hair), house);
        Assert.Contains(
            thick.SelectMany(s => s.Edits),
            e => e is SetFormula { Formula.Light.Lightener: Wendro.Lift.Lightener.Cream }
        );
    }

    [Fact]
    public void An_own_pattern_brings_back_what_it_was_kept_from()
    {
        var hair = HairProfile.Usual;
        foreach (var id in new[] { "zigzag-quadrants", "tips-at-home", "refresh-dark" })
        {
            var kept = Laid(id, hair);
            var some = kept.Zones[Zone.Crown].Paint.Keys.Take(1).ToArray();
            kept = some.Length > 0 ? kept.Apply(new ClearPanels(some), On(hair)).Plan : kept;
            var steps = OwnPattern.StepsFor(
                "as we do",
                OwnPattern.From(kept, On(hair)),
                Plan.Fresh(),
                On(hair),
                HouseRules.Usual
            );
            var again = Plan.Fresh().Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), On(hair)).Plan;
            Assert.Equal(kept.Working, again.Working);
            Assert.Equal(
                kept.Regions.Select(r => (r.Region, r.SizeCm)),
                again.Regions.Select(r => (r.Region, r.SizeCm))
            );
            Each.Of(
                ZoneFacts.All,
                z =>
                {
                    Assert.Equal(
                        (kept.Zones[z].Sections, kept.Zones[z].Excluded),
                        (again.Zones[z].Sections, again.Zones[z].Excluded)
                    );
                    Assert.Equal(
                        kept.Zones[z].Excluded is null ? kept.Zones[z].Paint.Keys : [],
                        again.Zones[z].Excluded is null ? again.Zones[z].Paint.Keys : []
                    );
                }
            );
        }
    }
}
