using CsCheck;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

public sealed class GoalLookTests
{
    private static byte[] Look(Goal goal, PlannedHead? head = null)
    {
        var at = head ?? Given.Bare;
        return GoalLook.Of(at.Hair, at.Map, at.Looks.OnHead.Strands, at.Looks.Weights(Wear.Down), goal).Levels;
    }

    private static Tally Seen(byte[] levels, PlannedHead? head = null)
    {
        var at = head ?? Given.Bare;
        return Tally.Of(at.Looks.Weights(Wear.Down), at.Map, at.Looks.OnHead.Strands, levels, at.Hair);
    }

    [Fact]
    public void As_much_of_what_is_seen_is_light_as_she_wants() =>
        Gen.Double[0.1, 0.6]
            .Sample(
                share =>
                {
                    // The face is light in any case: without a lift there, the share is met.
                    var seen = Seen(Look(new Goal(0, share, share, 0.8) { EndsLevel = new(9) }));
                    Assert.InRange(seen.LightShare, share - 0.05, share + 0.05);
                },
                iter: 20
            );

    [Fact]
    public void Ends_are_as_light_as_she_wants_and_the_face_is_brighter()
    {
        var seen = Seen(Look(new Goal(1, 0.3, 0.5) { EndsLevel = new(9) }));
        Assert.InRange(seen.EndsLevel!.Value, 8.2, 9.3);
        double Front(Tally tally) =>
            tally.LevelFromFront(ZoneFacts.IsFaceFrame)!.Value
            - tally.LevelFromFront(z => !ZoneFacts.IsFaceFrame(z))!.Value;
        Assert.True(Front(seen) > Front(Seen(Look(new Goal(0, 0.3, 0.5) { EndsLevel = new(9) }))) + 0.3);
    }

    [Fact]
    public void Only_on_top_leaves_what_lies_underneath()
    {
        var natural = Level.ToByte(Given.Bare.Hair.NaturalLevel);
        int Nape(byte[] levels) =>
            Enumerable
                .Range(0, Given.Bare.Map.Zone.Length)
                .Count(i => Given.Bare.Map.Zone[i] == (byte)Zone.Nape && levels[(i + 1) * Places.Count - 1] > natural);
        Assert.Equal(0, Nape(Look(new Goal(0, 0.3, 0.4, Underneath: false) { EndsLevel = new(9) })));
        Assert.True(Nape(Look(new Goal(0, 0.5, 0.7) { EndsLevel = new(9) })) > 0);
    }

    [Fact]
    public void Softer_roots_rise_more_slowly()
    {
        double Steepest(double softness)
        {
            var seen = Seen(Look(new Goal(0, 0.6, 0.8, softness) { EndsLevel = new(9) }));
            return seen.Softness(Zone.UpperBack).Slope;
        }

        Assert.True(Steepest(0.3) < Steepest(1.4));
    }

    [Fact]
    public void What_is_lighter_already_stays()
    {
        var hair = HairProfile.Usual with
        {
            History = [new Band(0, 10, BandState.Natural, new(5)), new Band(10, 34, BandState.Lightened, new(9))],
        };
        var looks = new HairViews(
            Given.Head,
            hair.AsItFalls(),
            PartLine.Central,
            ViewCache.For(2, 8),
            Given.FewStrands
        );
        var head = PlannedHead.Of(looks, new Cutting(Given.Head, hair, _ => looks.OnHead.LengthAt), Plan.Fresh());
        var before = StrandLevels.Before(hair, head.Map, looks.OnHead.Lengths).Levels;
        var look = Look(new Goal { EndsLevel = new(7) }, head);
        Each.Of(before.Zip(look), p => Assert.True(p.Second >= p.First));
    }

    [Fact]
    public void White_hair_is_drawn_by_its_share_zone_by_zone_and_colour_covers_it()
    {
        var hair = HairProfile.Usual with
        {
            GreyShare = 0.3,
            ByZone = new Dictionary<Zone, ZoneHair>
            {
                [Zone.Crown] = new(GreyShare: 0.8),
                [Zone.Nape] = new(GreyShare: 0),
            },
            History = [new Band(0, 6, BandState.Natural, new(5)), new Band(6, 34, BandState.Coloured, new(5))],
        };
        var (map, lengths) = (Given.Bare.Map, Given.Usual.OnHead.Lengths);
        var tints = StrandLevels.Before(hair, map, lengths).Tints;
        bool White(int strand, int place) => tints[strand * Places.Count + place] == Tint.White.Index;
        double Share(Zone zone)
        {
            var there = Enumerable.Range(0, lengths.Length).Where(i => map.Zone[i] == (byte)zone).ToArray();
            return there.Count(i => White(i, 0)) / (double)there.Length;
        }

        Assert.InRange(Share(Zone.UpperBack), 0.22, 0.38);
        Assert.InRange(Share(Zone.Crown), 0.7, 0.9);
        Assert.Equal(0, Share(Zone.Nape));
        var one = Enumerable.Range(0, lengths.Length).First(i => White(i, 0) && lengths[i] > 20);
        Assert.False(White(one, Places.Count - 1));
        Each.Of(StrandLevels.Before(HairProfile.Usual, map, lengths).Tints, t => Assert.Equal(Tint.Natural.Index, t));
    }

    [Fact]
    public void A_zone_that_differs_lifts_from_where_it_is()
    {
        var hair = HairProfile.Usual with
        {
            ByZone = new Dictionary<Zone, ZoneHair>
            {
                [Zone.Crown] = new(NaturalLevel: new(3), Diameter: Diameter.Coarse),
            },
        };
        var looks = new HairViews(
            Given.Head,
            hair.AsItFalls(),
            PartLine.Central,
            ViewCache.For(2, 8),
            Given.FewStrands
        );
        var cutting = new Cutting(Given.Head, hair, _ => looks.OnHead.LengthAt);
        var head = PlannedHead.Of(looks, cutting, Plan.Fresh());
        foreach (var zone in new[] { Zone.Crown, Zone.UpperBack })
        {
            head = head.After(
                head.Plan.Apply(new PaintZone(zone, new PanelPaint(new Shape.Full(), 1, 1, 40, 40)), cutting).Plan,
                looks,
                cutting
            );
        }

        double Brightest(Zone zone) =>
            head.Panels.Where(p => p.Panel.Key.Zone == zone).Average(p => p.BrightestLevel(hair, Moment.Rinsed));
        Assert.True(Brightest(Zone.Crown) < Brightest(Zone.UpperBack) - 1.5);
        Assert.Equal(
            Diameter.Coarse,
            head.Panels.First(p => p.Panel.Key.Zone == Zone.Crown).LiftingOf(hair)!.Case.Diameter
        );

        // Measures asked for late are those that were counted along the way.
        var along = PlannedHead.Of(looks, cutting, Plan.Fresh());
        _ = along.Measures;
        foreach (var zone in new[] { Zone.Crown, Zone.UpperBack })
        {
            along = along.After(
                along.Plan.Apply(new PaintZone(zone, head.Plan.Zones[zone].Usual!), cutting).Plan,
                looks,
                cutting
            );
            _ = along.Findings;
        }

        Assert.Equal(head.Measures.LightShare, along.Measures.LightShare);
        Assert.Equal(head.Measures.EndsLevel, along.Measures.EndsLevel);
        Assert.Equal(head.Measures.RootSoftness, along.Measures.RootSoftness);
    }
}
