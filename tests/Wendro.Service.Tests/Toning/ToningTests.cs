using CsCheck;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Tests.Toning;

/// <summary>What toners make of a head as it came out.</summary>
public sealed class ToningTests
{
    private static readonly Lazy<TonedHair> Lifted = new(() =>
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.LowerBack, PanelPaint.Usual with { StartCm = 6 }),
            new PaintZone(Zone.UpperBack, PanelPaint.Usual with { StartCm = 6 })
        );
        return new(head, head.Reached.Hair);
    });

    private static TonedHair Hair => Lifted.Value;

    private static ToneBowl Bowl(
        double depth,
        Reflect reflect,
        ColourBase based = ColourBase.Gloss,
        double volume = 5
    ) => new(new([new($"{depth} {reflect}", new(depth), reflect, 1)]), based, new(volume), 1);

    private static ToneArea Ends(ToneBowl bowl, double minutes = 10) =>
        new(1, "Ends", new(0.7, null, true), bowl, new(minutes), Zones: [Zone.LowerBack, Zone.UpperBack]);

    private static StrandSamples Toned(params ToneArea[] areas) => Hair.Toned(new(areas), a => a.Minutes);

    [Fact]
    public void What_it_does_besides_is_told_of_grey_of_copper_and_of_the_face()
    {
        AreaForecast Of(ToneArea area) => AreaForecast.Of(Hair, area)!;
        string Told(double grey, params AreaForecast[] areas) => string.Join(' ', ToneSideEffects.Of(areas, grey));
        var ends = Of(Ends(Bowl(8, Reflect.Ash), 20));
        Assert.Empty(ToneSideEffects.Of([ends with { RawLevel = 8 }], 0));
        Assert.Contains(
            "Grey stands out beside Ends",
            Told(0.4, ends with { Colour = new(0.35, 0.08, 60) }),
            StringComparison.Ordinal
        );
        var (r, g, b) = LevelColours.WhiteHair;
        Assert.Contains(
            "Grey blends into Ends",
            Told(0.4, ends with { Colour = Oklch.Of(r, g, b) }),
            StringComparison.Ordinal
        );
        var copper = ends with { RawLevel = 6, Neutralised = 0.31, Lifted = 1 };
        Assert.Contains("Copper calmed in Ends: 31", Told(0, copper), StringComparison.Ordinal);
        Assert.DoesNotContain("Copper", Told(0, copper with { Neutralised = 0.1 }), StringComparison.Ordinal);
        // The same hair as a face, cooler and warmer than the lengths.
        var face = ends with
        {
            Area = ends.Area with { Name = "Face", Zones = [Zone.FaceFrameLeft] },
        };
        var (cool, warm) = (new Oklch(0.7, 0.03, 80), new Oklch(0.7, 0.09, 80));
        Assert.Contains(
            "Cool face against warm Ends",
            Told(0, ends with { Colour = warm }, face with { Colour = cool }),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "Warm face against cool Ends",
            Told(0, ends with { Colour = cool }, face with { Colour = warm }),
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(
            "face",
            Told(0, ends with { Colour = warm }, face with { Colour = warm }),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_piece_is_toned_as_the_tables_of_colour_say()
    {
        foreach (var minutes in new[] { 3.0, 10, 20, 45 })
        {
            var forecast = AreaForecast.Of(Hair, Ends(Bowl(8, Reflect.Violet), minutes))!;
            Assert.Equal(1, forecast.Lifted, 0.2);
            var told = Toner.Of(
                new(
                    forecast.RawLevel,
                    null,
                    8,
                    Reflect.Violet,
                    forecast.Porosity,
                    Dryness.Damp,
                    minutes,
                    forecast.Lifted
                )
            );
            Assert.True(told.Colour.DeltaE(forecast.Colour) < 0.4, $"{told.Colour} {forecast.Colour}");
            Assert.Equal(told.Before, forecast.Raw);
        }
    }

    [Fact]
    public void Longer_takes_more_and_only_its_own_stretch_and_zones_change()
    {
        var (few, many) = (Toned(Ends(Bowl(8, Reflect.Ash), 4)), Toned(Ends(Bowl(8, Reflect.Ash), 20)));
        var raw = Hair.Head.Reached.Hair;
        var (changed, darker) = (0, 0);
        for (var i = 0; i < Hair.Head.Map.Zone.Length; i++)
        {
            var zone = (Zone)Hair.Head.Map.Zone[i];
            for (var k = 0; k < Places.Count; k++)
            {
                var at = (i * Places.Count) + k;
                if (zone is not (Zone.LowerBack or Zone.UpperBack) || Places.Share(k) < 0.4)
                {
                    Assert.Equal((raw.Levels[at], raw.Tints[at]), (many.Levels[at], many.Tints[at]));
                    continue;
                }

                Assert.True(many.Levels[at] <= few.Levels[at]);
                Assert.True(few.Levels[at] <= raw.Levels[at]);
                changed += many.Tints[at] != raw.Tints[at] ? 1 : 0;
                darker += many.Levels[at] < few.Levels[at] ? 1 : 0;
            }
        }

        Assert.True(changed > 1000 && darker > 1000, $"{changed} {darker}");
    }

    [Fact]
    public void What_overlaps_is_toned_twice_and_what_lies_by_turns_is_not()
    {
        var first = Ends(Bowl(9, Reflect.Pearl), 6);
        var twice = Toned(first, first with { Id = 2 });
        var once = Toned(first);
        Assert.True(Sum(twice) < Sum(once));
        Assert.True(Sum(once) < Sum(Hair.Head.Reached.Hair));
        var odd = Toned(first with { Takes = Takes.Odd });
        var even = Toned(first with { Takes = Takes.Even });
        var both = Toned(first with { Takes = Takes.Odd }, first with { Id = 2, Takes = Takes.Even });
        Assert.True(Sum(odd) > Sum(both) && Sum(even) > Sum(both));
        // Every other section and those between are the lightened pieces, and no hair is both.
        Assert.Equal(
            Sum(Hair.Head.Reached.Hair) - Sum(both),
            Sum(Hair.Head.Reached.Hair) - Sum(odd) + Sum(Hair.Head.Reached.Hair) - Sum(even)
        );

        static long Sum(StrandSamples hair) => hair.Levels.Sum(l => (long)l);
    }

    [Fact]
    public void A_toner_made_for_lighter_hair_does_nothing_and_says_so()
    {
        var area = Ends(Bowl(10, Reflect.Ash));
        var forecast = AreaForecast.Of(Hair, area)!;
        Assert.True(forecast.RawLevel < 9);
        Assert.Equal(forecast.Raw, forecast.Toned);
        Assert.Equal([ToneFault.DoesNothing], Found(area).Select(f => f.Kind));
    }

    [Fact]
    public void What_can_go_wrong_is_found_where_it_does_and_its_cure_mends_it()
    {
        // Much darker on light hair, without its warmth; the cure lays warmth first.
        var dark = Ends(Bowl(4, Reflect.Ash, ColourBase.Demi, 10), 20);
        var flat = Found(dark).Single(f => f.Kind == ToneFault.FlatOrGreen);
        Assert.Equal(["Warmth first", "Ends"], flat.Mended!.Areas.Select(a => a.Name));
        Assert.Empty(ToneChecks.Of(flat.Mended));
        Assert.DoesNotContain(
            Found(Ends(Bowl(4, Reflect.Copper, ColourBase.Demi, 10))),
            f => f.Kind == ToneFault.FlatOrGreen
        );

        // A permanent that lifts.
        var warm = Found(Ends(Bowl(6, Reflect.Natural, ColourBase.Permanent, 20)))
            .Single(f => f.Kind == ToneFault.WarmRoot);
        Assert.Equal(10, warm.Mended!.Areas[0].Bowl.Volume.Value);
        Assert.DoesNotContain(Found(warm.Mended.Areas[0]), f => f.Kind == ToneFault.WarmRoot);

        // Ash takes all warmth at last: put on last, and rinsed before.
        var area = Ends(Bowl(6, Reflect.Ash), 40);
        var forecast = AreaForecast.Of(Hair, area)!;
        Assert.NotNull(forecast.GrabsAt);
        var other = Ends(Bowl(8, Reflect.Beige)) with { Id = 2, Name = "Middle" };
        var grabs = Found(area, other).First(f => f.Kind == ToneFault.Grabs);
        Assert.Equal("Ends", grabs.Mended!.Areas[^1].Name);
        Assert.True(grabs.Mended.Areas[^1].Minutes < forecast.GrabsAt);

        // One that grabs before it can be watched is the wrong bowl, and no minutes mend it.
        Assert.Null(Found(Ends(Bowl(4, Reflect.Ash))).Single(f => f.Kind == ToneFault.Grabs).Mended);

        // Too long is too dark; rinsed earlier it is nearer.
        var shorter = Found(area).Single(f => f.Kind == ToneFault.TooDark);
        Assert.True(AreaForecast.Of(Hair, shorter.Mended!.Areas[0])!.DeltaE < forecast.DeltaE - 1);
    }

    [Fact]
    public void Dull_and_two_toned_and_not_the_tone_wanted_are_told_and_where_all_is_well_nothing_is()
    {
        // Ash, far deeper than the hair and far too long: hardly any colour is left, far down.
        var dull = Found(Ends(Bowl(6, Reflect.Ash), 40));
        Assert.Contains(dull, f => f.Kind == ToneFault.Muddy);
        // Copper beside ash, where one tone was wished; told to be so, nothing is said.
        var (warm, cool) = (Ends(Bowl(6, Reflect.Copper), 25), Ends(Bowl(7, Reflect.Ash), 20) with { Id = 2 });
        var apart = Found(warm, cool).Where(f => f.Kind == ToneFault.WarmBesideCool).ToArray();
        Assert.Equal([2], apart.Select(f => f.Area));
        Assert.DoesNotContain(Found(warm with { Wanted = new(1) }, cool), f => f.Kind == ToneFault.WarmBesideCool);
        Assert.Contains(Found(Ends(Bowl(8, Reflect.Copper))), f => f.Kind == ToneFault.WarmthLeft);
        var near = ToneSuggested.Of(AreaForecast.Of(Hair, Ends(Bowl(8, Reflect.Beige)))!, Shelf)[0];
        var best = Ends(near.Bowl) with { Minutes = near.Minutes };
        Assert.True(near.DeltaE < Oklch.HardlySeen, $"{near}");
        Assert.DoesNotContain(Found(best), f => f.Severity == Severity.Alarm || f.Kind == ToneFault.WarmthLeft);
    }

    [Fact]
    public void The_verdict_names_the_tone_and_who_is_away_from_what_is_wanted_and_how()
    {
        Assert.Equal("Nothing is chosen yet.", ToneVerdict.Of([]).ToString());
        var warm = AreaForecast.Of(Hair, Ends(Bowl(6, Reflect.Copper), 25))!;
        var (a, b) = (warm, warm with { Area = warm.Area with { Id = 2, Name = "Face" } });
        var pale = warm with { DeltaE = 0.5 };
        Assert.EndsWith("as wanted.", ToneVerdict.Of([pale]).ToString(), StringComparison.Ordinal);
        Assert.Contains("Ends and Face ", ToneVerdict.Of([a, b]).ToString(), StringComparison.Ordinal);
        var darker = warm with
        {
            Colour = warm.WantedColour with { Lightness = warm.WantedColour.Lightness - 0.1 },
            DeltaE = 10,
        };
        Assert.Contains("Ends darker than wanted", ToneVerdict.Of([darker]).ToString(), StringComparison.Ordinal);
        var cooler = warm with
        {
            Colour = warm.WantedColour with { Chroma = warm.WantedColour.Chroma - 0.05 },
            DeltaE = 5,
        };
        Assert.Contains("Ends cooler than wanted", ToneVerdict.Of([cooler]).ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public void What_can_be_added_has_a_number_of_its_own_and_fits_until_there_is_no_room()
    {
        var plan = new TonePlan([Ends(Bowl(8, Reflect.Pearl)) with { Id = 4 }]);
        var more = ToneStart.More(plan, Hair, Shelf);
        Assert.True(more.Count > 6);
        foreach (var area in more)
        {
            Assert.Equal(5, area.Id);
            Assert.Empty(ToneChecks.Of(plan with { Areas = [.. plan.Areas, area] }));
        }

        Assert.Equal(more.Count, more.Select(a => a.Name).Distinct().Count());
        Assert.Empty(ToneStart.More(TonePlan.Nothing, Hair, Shelf));
        var full = new TonePlan(
            Enumerable.Range(1, TonePlan.Most).Select(i => Ends(Bowl(8, Reflect.Pearl)) with { Id = i }).ToArray()
        );
        Assert.Empty(ToneStart.More(full, Hair, Shelf));
        // The map shows what the head has: panels of its zones that it takes.
        var lightened = more.Single(a => a.Name == "Pieces only");
        Assert.Equal(
            Hair.Head.Panels.Where(p => p.Light is not null).Select(p => p.Panel.Key),
            Hair.PanelsOf(lightened)
        );
        Each.Of(
            Hair.PanelsOf(more.Single(a => a.Name == "Depth beside the pieces")),
            k => Assert.Null(Hair.Head.PanelOf(k)!.Light)
        );
    }

    [Fact]
    public void A_shade_that_lifts_is_toned_with_a_milder_developer()
    {
        var strong = new ShadeProduct(
            "Permanent 6",
            new(),
            new(6),
            Reflect.Natural,
            ShadeBase.Permanent,
            1,
            new(40),
            new(30)
        );
        var bowl = ToneBowl.Of(strong);
        Assert.Equal((ToneChecks.StrongestVolume, ColourBase.Permanent), (bowl.Volume.Value, bowl.Base));
        Assert.Empty(ToneChecks.Of(new([Ends(bowl)])));
    }

    [Fact]
    public void What_stays_too_long_is_planned_so_or_put_on_later()
    {
        var (short_, long_) = (Ends(Bowl(8, Reflect.Beige), 6), Ends(Bowl(8, Reflect.Beige), 20) with { Id = 2 });
        var wrong = Found(short_, long_).Single(f => f.Kind == ToneFault.StaysLonger);
        Assert.Equal([2, 1], wrong.Mended!.Areas.Select(a => a.Id));
        Assert.DoesNotContain(Found([.. wrong.Mended.Areas]), f => f.Kind == ToneFault.StaysLonger);
        var alike = Enumerable.Range(1, 3).Select(i => Ends(Bowl(8, Reflect.Beige)) with { Id = i }).ToArray();
        var mended = Found(alike).First(f => f.Kind == ToneFault.StaysLonger).Mended!;
        Assert.Equal([14, 12, 10], mended.Areas.Select(a => a.Minutes.Value));
        Assert.DoesNotContain(Found([.. mended.Areas]), f => f.Kind == ToneFault.StaysLonger);
    }

    private static IReadOnlyList<ToneFinding> Found(params ToneArea[] areas)
    {
        var plan = new TonePlan(areas);
        return ToneFindings.Of(
            plan,
            areas.Select(a => AreaForecast.Of(Hair, a)!).ToArray(),
            ToneClock.Of(areas.Select(a => (a, 2.0)).ToArray()),
            Shelf
        );
    }

    private static IReadOnlyList<Product> Shelf { get; } =
    [
        // What stands first on a shelf is no toner for light hair.
        new ShadeProduct("Demi 3 natural", new(), new(3), Reflect.Natural, ShadeBase.Demi, 1, new(10), new(25)),
        .. GenericProducts.All,
        new ShadeProduct("Gloss 6 copper", new(), new(6), Reflect.Copper, ShadeBase.AcidGloss, 1, new(5), new(15)),
        new ShadeProduct("Gloss 9 violet", new(), new(9), Reflect.Violet, ShadeBase.AcidGloss, 1, new(5), new(10)),
    ];

    [Fact]
    public void The_offered_bowl_is_as_near_on_the_head_as_it_says()
    {
        var area = Ends(Bowl(7, Reflect.Natural));
        var offers = ToneSuggested.Of(AreaForecast.Of(Hair, area)!, Shelf);
        Assert.True(offers.Count > 1);
        foreach (var offer in offers)
        {
            var taken = AreaForecast.Of(Hair, area with { Bowl = offer.Bowl, Minutes = offer.Minutes })!;
            Assert.Equal(offer.DeltaE, taken.DeltaE, 0.4);
            Assert.Equal(5, offer.Bowl.Volume.Value);
        }

        Assert.True(offers[0].DeltaE <= AreaForecast.Of(Hair, area)!.DeltaE);
    }

    [Fact]
    public void Every_way_to_begin_can_be_taken_as_it_is_and_is_the_nearest_there_is()
    {
        var starts = ToneStart.Of(Hair, Shelf);
        Assert.True(starts.Count >= 3);
        foreach (var start in starts)
        {
            Assert.Empty(ToneChecks.Of(start.Plan));
            var clock = ToneClock.Of(
                start.Plan.Areas.Select(a => (a, ToneClock.LayMinutes(Hair.HairOf(a).ScalpCm2))).ToArray()
            );
            var forecasts = start.Plan.Areas.Select(a => AreaForecast.Of(Hair, a)!).ToArray();
            var found = ToneFindings.Of(start.Plan, forecasts, clock, Shelf).Select(f => f.Kind).ToArray();
            Assert.DoesNotContain(ToneFault.StaysLonger, found);
            Assert.DoesNotContain(ToneFault.DoesNothing, found);
            // No other single shade of the shelf would be nearer.
            var last = forecasts[^1];
            foreach (var gloss in Shelf.OfType<ShadeProduct>().Where(s => s.Base == ShadeBase.AcidGloss))
            {
                var with = AreaForecast.Of(Hair, last.Area with { Bowl = ToneBowl.Of(gloss) })!;
                Assert.True(last.DeltaE <= with.DeltaE + 0.3, $"{start.Words}: {gloss.Name}");
            }
        }

        Assert.Empty(ToneStart.Of(Hair, Shelf.Where(p => p is not ShadeProduct).ToArray()));
    }

    private static readonly Gen<(ToneArea Area, double Lay)[]> GenAreas = Gen.Select(
            Gen.Double[1, 40],
            Gen.Double[0.2, 6]
        )
        .Array[1, 6]
        .Select(all =>
            all.Select((a, i) => (Ends(Bowl(8, Reflect.Beige)) with { Id = i + 1, Minutes = new(a.Item1) }, a.Item2))
                .ToArray()
        );

    [Fact]
    public void One_pair_of_hands_puts_all_on_none_is_rinsed_early_and_longest_first_wastes_nothing() =>
        GenAreas.Sample(areas =>
        {
            var clock = ToneClock.Of(areas);
            var hands = 0.0;
            foreach (var (slot, (area, lay)) in clock.Slots.Zip(areas))
            {
                Assert.True(slot.From >= hands - 1e-9);
                Assert.Equal(slot.From + lay, slot.OnAt, 1e-9);
                Assert.True(slot.StaysMinutes >= area.Minutes - 1e-9);
                Assert.Equal(clock.RinseAt, slot.OnAt + slot.StaysMinutes, 1e-9);
                hands = slot.OnAt;
            }

            // Nobody could be done earlier in this order.
            var least = areas.Select((a, i) => areas.Take(i + 1).Sum(x => x.Lay) + a.Area.Minutes).Max();
            Assert.Equal(least, clock.RinseAt, 1e-9);
            var apart = areas
                .OrderByDescending(a => a.Area.Minutes.Value)
                .Select((a, i) => (a.Area with { Minutes = new(60 - 7.0 * i) }, a.Lay))
                .ToArray();
            Assert.All(
                ToneClock.Of(apart).Slots.Zip(apart),
                s => Assert.Equal(s.Second.Item1.Minutes.Value, s.First.StaysMinutes, 1e-9)
            );
        });
}
