using Wendro.Apply;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fixtures;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Units;
using Depth = Wendro.Review.Depth;
using Painted = Wendro.Apply.Painted;

namespace Wendro.Tests.Review;

/// <summary>What came out against what was planned.</summary>
public sealed class ReviewTests
{
    private static DateTimeOffset Start => Apply.ChairDay.Start;

    private static readonly PanelPaint Paint = PanelPaint.Usual with { StartCm = 8 };

    private static readonly Lazy<(PlannedHead Head, Depths Depths)> Planned = new(() =>
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.Nape, Paint),
            new PaintZone(Zone.LowerBack, Paint),
            new PaintZone(Zone.UpperBack, Paint)
        );
        return (head, new Depths(head));
    });

    private static PlannedHead Head => Planned.Value.Head;

    private static Depths Read => Planned.Value.Depths;

    private static ZoneReading At(Zone zone, Depth depth, double level, Evenness evenness = Evenness.Even) =>
        new(zone, depth, level, level, evenness, Start);

    private static double PlannedAt(Zone zone, Depth depth) => Read.At(Head.Levels, zone, depth);

    private static ServiceInHand Nothing => ServiceInHand.Of([new StepToDo([])], []);

    private static ReviewInHand Of(params ReviewFact[] facts) => ReviewInHand.Of(Kept(facts));

    private static RecordedFact<ReviewFact>[] Kept(params ReviewFact[] facts) =>
        facts.Select((f, i) => new RecordedFact<ReviewFact>(i + 1, Start.AddMinutes(i), f)).ToArray();

    [Theory]
    [InlineData(Wetness.Wet, 6.9)]
    [InlineData(Wetness.Damp, 6.7)]
    [InlineData(Wetness.Dry, 6.5)]
    public void Wet_hair_reads_darker_and_that_is_counted(Wetness wetness, double level)
    {
        var review = Of(
            new StateSaid(wetness, true, ReadingLight.Daylight),
            new LevelRead(Zone.Nape, Depth.Ends, new Level(6.5))
        );
        var reading = review.Readings[(Zone.Nape, Depth.Ends)];
        Assert.Equal(6.5, reading.Seen);
        Assert.Equal(level, reading.Level, 1e-9);
        // Dried since, what was read wet stays what it was read as.
        var dried = Of(
            new StateSaid(wetness, true, ReadingLight.Daylight),
            new LevelRead(Zone.Nape, Depth.Ends, new Level(6.5)),
            new StateSaid(Wetness.Dry, true, ReadingLight.Daylight)
        );
        Assert.Equal(level, dried.Readings[(Zone.Nape, Depth.Ends)].Level, 1e-9);
    }

    [Fact]
    public void The_last_reading_of_a_place_counts_and_what_is_taken_back_does_not()
    {
        ReviewFact[] facts =
        [
            new StateSaid(Wetness.Dry, true, ReadingLight.Studio),
            new LevelRead(Zone.Nape, Depth.Ends, new Level(6)),
            new LevelRead(Zone.Nape, Depth.Ends, new Level(7), Evenness.Patchy),
            new Walked(Place.Nape),
            new Walked(Place.Part),
            new Walked(Place.Part, Seen: false),
        ];
        var review = Of(facts);
        Assert.Equal(7, review.Readings[(Zone.Nape, Depth.Ends)].Level);
        Assert.Equal([Place.Nape], review.Seen);
        Assert.Equal(6, Of([.. facts, new Unsaid(3)]).Readings[(Zone.Nape, Depth.Ends)].Level);
        Assert.False(review.IsDone);
        Assert.True(Of([.. facts, new Decided(Decision.Tone)]).IsDone);
    }

    [Fact]
    public void Only_hair_that_springs_back_is_lifted_again_today()
    {
        var correct = new Decided(Decision.CorrectFirst);
        Assert.NotEmpty(Of().Against(correct, []));
        Assert.NotEmpty(Of(new Stretched(StretchTest.StaysLong)).Against(correct, []));
        Assert.NotEmpty(Of(new Stretched(StretchTest.Breaks)).Against(correct, []));
        Assert.Empty(Of(new Stretched(StretchTest.SpringsBack)).Against(correct, []));
        // Found out later that it breaks: what was decided doesn't stand.
        Assert.Null(Of(new Stretched(StretchTest.SpringsBack), correct, new Stretched(StretchTest.Breaks)).Decision);
    }

    [Fact]
    public void Nothing_is_read_before_it_is_said_how_wet_the_hair_is()
    {
        var read = new LevelRead(Zone.Nape, Depth.Ends, new Level(6));
        Assert.NotEmpty(Of().Against(read, []));
        Assert.Empty(Of(new StateSaid(Wetness.Wet, false, ReadingLight.Mixed)).Against(read, []));
        Assert.NotEmpty(Of().Against(new Unsaid(1), []));
        var twice = Kept(new Walked(Place.Part), new Unsaid(1));
        Assert.NotEmpty(ReviewInHand.Of(twice).Against(new Unsaid(1), twice));
        Assert.NotEmpty(ReviewInHand.Of(twice).Against(new Unsaid(2), twice));
    }

    [Fact]
    public void A_zone_is_read_where_it_was_painted_natural_at_the_root_and_lightest_at_the_ends()
    {
        Assert.Equal(5, PlannedAt(Zone.Nape, Depth.Root), 0.1);
        Assert.True(PlannedAt(Zone.Nape, Depth.Ends) > PlannedAt(Zone.Nape, Depth.Root) + 1.5);
        Assert.Equal(5, PlannedAt(Zone.Crown, Depth.Ends), 0.1);
        var curve = Read.Along(Head.Levels, Zone.Nape, 24);
        Assert.Equal(24, curve.Count);
        Assert.True(curve[^1] > curve[0] + 1.5);
    }

    [Fact]
    public void The_head_as_it_came_out_reads_as_it_was_read_and_only_there()
    {
        foreach (var off in new[] { -1.2, -0.5, 0.6 })
        {
            var wanted = PlannedAt(Zone.LowerBack, Depth.Ends) + off;
            var hair = ActualResult.Of(Head, Read, [At(Zone.LowerBack, Depth.Ends, wanted)]);
            Assert.Equal(wanted, Read.At(hair.Levels, Zone.LowerBack, Depth.Ends), 0.12);
            // Unpainted roots stay what they were, and so does every zone nobody read.
            Assert.Equal(PlannedAt(Zone.LowerBack, Depth.Root), Read.At(hair.Levels, Zone.LowerBack, Depth.Root), 0.05);
            Assert.Equal(PlannedAt(Zone.Nape, Depth.Ends), Read.At(hair.Levels, Zone.Nape, Depth.Ends), 1e-9);
        }

        Assert.Same(Head.Reached.Hair, ActualResult.Of(Head, Read, []));
    }

    [Fact]
    public void A_hot_root_is_seen_on_painted_hair_only()
    {
        var hair = ActualResult.Of(Head, Read, [At(Zone.Nape, Depth.Root, 6.5)]);
        Assert.Equal(6.5, Read.At(hair.Levels, Zone.Nape, Depth.Root), 0.1);
        var natural = Enumerable
            .Range(0, Head.Map.Zone.Length)
            .First(i => (Zone)Head.Map.Zone[i] == Zone.Nape && Head.Map.Panel[i] < 0);
        Assert.Equal(Head.Levels[natural * 64], hair.Levels[natural * 64]);
    }

    [Fact]
    public void What_is_less_lifted_is_less_warm_and_colour_on_it_stays()
    {
        var short1 = ActualResult.Of(Head, Read, [At(Zone.LowerBack, Depth.Ends, 5.2)]);
        var strand = Enumerable
            .Range(0, Head.Map.Zone.Length)
            .First(i =>
                (Zone)Head.Map.Zone[i] == Zone.LowerBack
                && new Tint(Head.Reached.Hair.Tints[i * 64 + 60]).Meaning.Lifted > 0.9
            );
        Assert.True(
            new Tint(short1.Tints[strand * 64 + 60]).Meaning.Lifted
                < new Tint(Head.Reached.Hair.Tints[strand * 64 + 60]).Meaning.Lifted
        );
    }

    [Fact]
    public void The_verdict_names_what_differs_the_worst_first()
    {
        Assert.Equal("Nothing is read yet.", Differences.Of(Head, Read, []).Words.ToString());
        var planned = PlannedAt(Zone.Nape, Depth.Ends);
        var fine = Differences.Of(Head, Read, [At(Zone.Nape, Depth.Ends, planned + 0.2)]);
        Assert.Empty(fine.Worst);
        Assert.StartsWith("As planned in the one zone", fine.Words.ToString(), StringComparison.Ordinal);
        var found = Differences.Of(
            Head,
            Read,
            [
                At(Zone.Nape, Depth.Ends, planned + 0.5),
                At(Zone.LowerBack, Depth.Ends, PlannedAt(Zone.LowerBack, Depth.Ends) - 0.7),
                At(Zone.LowerBack, Depth.Middle, PlannedAt(Zone.LowerBack, Depth.Middle) - 0.4),
                At(Zone.UpperBack, Depth.Ends, PlannedAt(Zone.UpperBack, Depth.Ends), Evenness.Spots),
            ]
        );
        Assert.Equal([Zone.LowerBack, Zone.Nape], found.Worst.Select(w => w.Zone));
        Assert.Equal(
            "As planned but for two: lower back 0.7 short, nape 0.5 over. Not even: upper back.",
            found.Words.ToString()
        );
    }

    [Fact]
    public void What_is_hardly_short_is_toned_more_is_lifted_again_and_far_off_on_another_day()
    {
        Decision Advised(double off, StretchTest? stretch)
        {
            var found = Differences.Of(Head, Read, [At(Zone.Nape, Depth.Ends, PlannedAt(Zone.Nape, Depth.Ends) + off)]);
            return NextActions.Of(Head, found, stretch).Single(c => c.IsAdvised).What;
        }

        Assert.Empty(NextActions.Of(Head, Differences.Of(Head, Read, []), null));
        Assert.Equal(Decision.Tone, Advised(0.1, null));
        Assert.Equal(Decision.Tone, Advised(-0.4, StretchTest.SpringsBack));
        Assert.Equal(Decision.CorrectFirst, Advised(-0.9, StretchTest.SpringsBack));
        Assert.Equal(Decision.AnotherDay, Advised(-0.9, StretchTest.StaysLong));
        Assert.Equal(Decision.AnotherDay, Advised(-0.1, StretchTest.Breaks));
        Assert.Equal(Decision.AnotherDay, Advised(-1.8, StretchTest.SpringsBack));
    }

    [Fact]
    public void Lifted_again_takes_longer_the_shorter_it_is_and_waits_for_the_stretch_test()
    {
        Choice Again(double off, StretchTest? stretch) =>
            NextActions
                .Of(
                    Head,
                    Differences.Of(Head, Read, [At(Zone.Nape, Depth.Ends, PlannedAt(Zone.Nape, Depth.Ends) + off)]),
                    stretch
                )
                .Single(c => c.What == Decision.CorrectFirst);
        Assert.True(Again(-0.6, null).Minutes < Again(-1.2, null).Minutes);
        Assert.InRange(Again(-0.6, null).Minutes!.Value, 2, 50);
        Assert.False(Again(-0.9, null).IsAllowed);
        Assert.False(Again(-0.9, StretchTest.Breaks).IsAllowed);
        Assert.True(Again(-0.9, StretchTest.SpringsBack).IsAllowed);
        Assert.NotEmpty(Again(-0.9, null).Panels);
        Assert.All(Again(-0.9, null).Panels.Append(default), p => Assert.Equal(Zone.Nape, p.Zone));
    }

    [Fact]
    public void Minutes_that_really_were_are_counted_each_panel_with_its_own()
    {
        var mix = PlannedMix.Of(Head, BenchRules.Usual, GenericProducts.All, []);
        var steps = ServiceClock.StepsOf(mix);
        var panels = steps[0].Panels.Take(4).ToArray();
        (double Minute, ServiceFact Fact)[] facts =
        [
            (0, new Seated()),
            .. panels.Select((p, i) => (1.0 + i, (ServiceFact)new Painted(p))),
            (16, new RinseBegun(panels)),
            (30, new RinseEnded()),
            (50, new Washed()),
        ];
        var service = ServiceInHand.Of(steps, Apply.ChairDay.Kept(facts));
        var first = Head.PanelOf(panels[0])!;
        // Begun at 16, the first slot four minutes later; painted at minute 1.
        Assert.Equal(19, ActualForecast.Of(service, Head, first, first.Coats[0])!.Value.Minutes, 1e-6);
        var untold = Head.Panels.First(p => p.Coats.Count > 0 && !panels.Contains(p.Panel.Key));
        Assert.Null(ActualForecast.Of(service, Head, untold, untold.Coats[0]));
        var happened = Head.After(Head.Plan, Head.Looks, Given.Cutting, ActualForecast.On(Head, service, Head.Laid));
        Assert.True(
            happened.PanelOf(panels[0])!.BrightestLevel(Head.Hair, Moment.Rinsed)
                < first.BrightestLevel(Head.Hair, Moment.Rinsed) - 0.1
        );
        Assert.Equal(
            untold.MeanLevel(Head.Hair, Moment.Rinsed),
            happened.PanelOf(untold.Panel.Key)!.MeanLevel(Head.Hair, Moment.Rinsed),
            1e-9
        );
    }

    [Fact]
    public void Causes_share_out_what_is_likely_and_what_is_as_planned_has_none()
    {
        ZoneReading[] readings =
        [
            At(Zone.LowerBack, Depth.Ends, PlannedAt(Zone.LowerBack, Depth.Ends) - 0.9),
            At(Zone.Nape, Depth.Ends, PlannedAt(Zone.Nape, Depth.Ends)),
            At(Zone.UpperBack, Depth.Ends, PlannedAt(Zone.UpperBack, Depth.Ends) + 0.1),
        ];
        var causes = new Causes(Head, Nothing, Read, readings).Of(Zone.LowerBack);
        Assert.Equal(1, causes.Sum(c => c.Share), 1e-9);
        Assert.Equal(causes.OrderByDescending(c => c.Share), causes);
        Assert.Equal(causes.Count, causes.Select(c => c.Kind).Distinct().Count());
        Assert.NotEqual(CauseKind.SlowerHair, causes[0].Kind);
        Assert.True(causes[0].Makes < -0.3);
        Assert.Empty(new Causes(Head, Nothing, Read, readings).Of(Zone.Nape));
        Assert.Empty(new Causes(Head, Nothing, Read, readings).Of(Zone.Crown));
        // Everywhere alike, it is the hair.
        var all = readings.Select(r => At(r.Zone, r.Depth, PlannedAt(r.Zone, r.Depth) - 0.8)).ToArray();
        Assert.Equal(CauseKind.SlowerHair, new Causes(Head, Nothing, Read, all).Of(Zone.LowerBack)[0].Kind);
        Assert.True(LiftCalibration.Of(Head, Nothing, Read, all)!.Speed < 0.95);
        Assert.InRange(LiftCalibration.Of(Head, Nothing, Read, readings)!.Speed, 0.85, 1.15);
        Assert.Null(LiftCalibration.Of(Head, Nothing, Read, readings[..2]));
    }

    [Fact]
    public void Of_a_hundred_hidden_causes_most_are_told_first()
    {
        var found = new MadeUpServices(11).Found(100);
        Assert.InRange(found.Count(f => f.Place == 1), 70, 100);
        Assert.InRange(found.Count(f => f.Place is 1 or 2), 90, 100);
        // Each kind was hidden, so that none is told by being the only one.
        Assert.True(found.Select(f => f.Kind).Distinct().Count() >= 7);
    }

    [Fact]
    public void What_a_likely_cause_teaches_is_a_change_that_a_plan_takes()
    {
        static Cause Of(CauseKind kind, double share = 0.8) => new(kind, CauseWords.Of(kind), "seen", share, -0.7, 0);
        IReadOnlyList<NextTime> For(params (Zone Zone, Cause Cause)[] causes) =>
            NextTime.Of(Head, causes.ToDictionary(c => c.Zone, c => (IReadOnlyList<Cause>)[c.Cause]), []);
        var film = For((Zone.LowerBack, Of(CauseKind.Dried))).Single();
        Assert.Equal("Film over the lower back.", film.Words.ToString());
        var covered = Head.Plan.Apply(film.Edit!, Given.Cutting);
        Assert.True(covered.Succeeded);
        var next = Head.After(covered.Plan, Head.Looks, Given.Cutting);
        Assert.All(
            next.Panels.Where(p => p.Panel.Key.Zone == Zone.LowerBack && p.Coats.Count > 0)
                .Append(next.Panels.First(p => p.Panel.Key.Zone == Zone.LowerBack && p.Coats.Count > 0)),
            p => Assert.Equal(Covering.Film, p.Coats[0].Painted.Paint.Covering)
        );
        // What was kept stays, whatever is likely since; it is not said twice.
        var kept = NextTime.Of(
            Head,
            new Dictionary<Zone, IReadOnlyList<Cause>> { [Zone.LowerBack] = [Of(CauseKind.Dried)] },
            [(CauseKind.Dried, Zone.LowerBack), (CauseKind.Dried, Zone.Nape), (CauseKind.SlowerHair, null)]
        );
        Assert.Equal(
            [(CauseKind.Dried, Zone.LowerBack), (CauseKind.Dried, Zone.Nape), (CauseKind.SlowerHair, (Zone?)null)],
            kept.Select(n => (n.Cause, n.Zone)).OrderBy(n => n.Zone is null).ThenByDescending(n => n.Zone)
        );
        // What is hardly likely teaches nothing, what isn't explained neither; what is of all the hair is said once.
        Assert.Empty(For((Zone.LowerBack, Of(CauseKind.Dried, 0.3))));
        Assert.Empty(For((Zone.LowerBack, Of(CauseKind.Unexplained))));
        Assert.Empty(For((Zone.Crown, Of(CauseKind.Dried))));
        Assert.Single(For((Zone.LowerBack, Of(CauseKind.SlowerHair)), (Zone.Nape, Of(CauseKind.SlowerHair))));
        foreach (
            var kind in Enum.GetValues<CauseKind>()
                .Select(CauseWords.ToldAs)
                .Distinct()
                .Where(k => k != CauseKind.Unexplained)
        )
        {
            Assert.Single(For((Zone.Nape, Of(kind))));
        }
    }

    [Fact]
    public void Every_cause_has_its_own_words()
    {
        var told = Enum.GetValues<CauseKind>().Select(CauseWords.ToldAs).Distinct().ToArray();
        Assert.Equal(told.Length, told.Select(k => CauseWords.Of(k).ToString()).Distinct().Count());
    }
}
