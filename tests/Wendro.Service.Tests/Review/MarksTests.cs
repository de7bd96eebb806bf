using Wendro.Apply;
using Wendro.Blend;
using Wendro.Fixtures;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Section;
using Wendro.Units;
using Depth = Wendro.Review.Depth;

namespace Wendro.Tests.Review;

/// <summary>What is wrong, marked at its places; and what it says of causes, toners and the next visit.</summary>
public sealed class MarksTests
{
    private static readonly Lazy<(PlannedHead Head, Depths Depths)> Planned = new(() =>
    {
        var paint = PanelPaint.Usual with { StartCm = 6 };
        var head = Given.Bare.Apply(new PaintZone(Zone.LowerBack, paint), new PaintZone(Zone.UpperBack, paint));
        return (head, new Depths(head));
    });

    private static PlannedHead Head => Planned.Value.Head;

    private static Depths Read => Planned.Value.Depths;

    private static ServiceInHand Nothing => ServiceInHand.Of([new StepToDo([])], []);

    private static PanelKey Some => Head.Panels.First(p => p.Panel.Key.Zone == Zone.UpperBack).Panel.Key;

    private static ReviewInHand Of(params ReviewFact[] facts) =>
        ReviewInHand.Of(
            facts
                .Prepend(new StateSaid(Wetness.Dry, true, ReadingLight.Studio))
                .Select((f, i) => new RecordedFact<ReviewFact>(i + 1, Apply.ChairDay.Start.AddMinutes(i), f))
                .ToArray()
        );

    private static LevelRead At(Depth depth, double level, Evenness even = Evenness.Even, string? seen = null) =>
        new(Zone.LowerBack, depth, Level.Clamp(level), even, Undertone: seen);

    private static IReadOnlyList<ReviewMark> Marks(ReviewInHand review, ServiceInHand? service = null) =>
        ReviewMarks.Of(Head, service ?? Nothing, Read, review, []);

    [Fact]
    public void A_root_lighter_than_what_follows_is_hot_and_one_as_planned_is_not()
    {
        var (root, middle) = (Read.Planned(Zone.LowerBack, Depth.Root), Read.Planned(Zone.LowerBack, Depth.Middle));
        var mark = Assert.Single(Marks(Of(At(Depth.Root, middle + 0.6), At(Depth.Middle, middle))));
        Assert.Equal((Blemish.HotRoot, SeenBy.Readings, Zone.LowerBack), (mark.What, mark.By, mark.Panel.Zone));
        Assert.Empty(Marks(Of(At(Depth.Root, root), At(Depth.Middle, middle))));
    }

    [Fact]
    public void Hair_that_stopped_at_orange_is_stuck_and_hair_that_hardly_moved_is_a_gap()
    {
        var (was, meant) = (Read.Natural(Zone.LowerBack, Depth.Ends), Read.Planned(Zone.LowerBack, Depth.Ends));
        Assert.True(meant > 7.2, $"The plan has {meant}.");
        Assert.Equal(Blemish.Stuck, Assert.Single(Marks(Of(At(Depth.Ends, 6.5)))).What);
        Assert.Equal(Blemish.Gap, Assert.Single(Marks(Of(At(Depth.Ends, was + 0.2)))).What);
        Assert.Empty(Marks(Of(At(Depth.Ends, meant))));
    }

    [Fact]
    public void What_is_marked_by_eye_is_there_once_and_gone_when_it_is_taken_away()
    {
        var marked = Of(new PlaceMarked(Some, Blemish.Lump), new PlaceMarked(Some, Blemish.Lump));
        var mark = Assert.Single(Marks(marked));
        Assert.Equal((Blemish.Lump, Some, SeenBy.Eye), (mark.What, mark.Panel, mark.By));
        Assert.Empty(Marks(Of(new PlaceMarked(Some, Blemish.Lump), new PlaceMarked(Some, Blemish.Lump, Is: false))));
    }

    [Fact]
    public void A_line_that_came_out_hard_is_marked_by_the_rule_a_plan_is_judged_by()
    {
        var line = PanelPaint.Usual with { Shape = new Shape.Full(), StartCm = 4, BlurCm = 0 };
        var hard = Given.Bare.Apply(new PaintZone(Zone.TopLeft, line), new PaintZone(Zone.TopRight, line));
        var found = ReviewMarks.Of(hard, Nothing, new Depths(hard), Of(), hard.FindingsOf(hard.Reached));
        Assert.Contains(found, m => m.What == Blemish.HardLine && m.Panel.Zone == Zone.TopLeft);
        Assert.DoesNotContain(
            ReviewMarks.Of(hard, Nothing, new Depths(hard), Of(), []),
            m => m.What == Blemish.HardLine
        );
    }

    [Fact]
    public void Product_seen_to_come_through_is_the_likelier_cause_of_light_where_none_was_meant()
    {
        double Share(IReadOnlyList<ReviewMark> marks, Evenness even)
        {
            var readings = Enum.GetValues<Depth>()
                .Where(d => d != Depth.Root)
                .Select(d => new ZoneReading(
                    Zone.LowerBack,
                    d,
                    0,
                    Read.Planned(Zone.LowerBack, d) + 0.7,
                    even,
                    Apply.ChairDay.Start
                ))
                .ToArray();
            return new Causes(Head, Nothing, Read, readings, marks: marks)
                .Of(Zone.LowerBack)
                .Single(c => c.Kind == CauseKind.CameThrough)
                .Share;
        }

        var below = Head.Panels.First(p => p.Panel.Key.Zone == Zone.LowerBack).Panel.Key;
        var seen = Marks(Of(new PlaceMarked(below, Blemish.CameThrough)));
        Assert.True(Share(seen, Evenness.Spots) > 0.5);
        Assert.True(Share(seen, Evenness.Spots) > Share(seen, Evenness.Even));
        Assert.True(Share(seen, Evenness.Even) > 3 * Share([], Evenness.Even));
        // Seen elsewhere it tells nothing of this zone.
        Assert.Equal(
            Share([], Evenness.Even),
            Share(Marks(Of(new PlaceMarked(Some, Blemish.CameThrough))), Evenness.Even)
        );
    }

    [Fact]
    public void An_undertone_of_a_darker_level_is_what_the_toner_goes_by()
    {
        Sentence Why(string? undertone)
        {
            var review = Of(At(Depth.Ends, Read.Planned(Zone.LowerBack, Depth.Ends), seen: undertone));
            return NextActions
                .Of(Head, Differences.Of(Head, Read, review.Readings.Values), null)
                .Single(c => c.What == Decision.Tone)
                .Why;
        }

        Assert.Contains(
            "Lower back shows orange: a toner no lighter than 6",
            Why("orange").ToString(),
            StringComparison.Ordinal
        );
        Assert.DoesNotContain("shows", Why(null).ToString(), StringComparison.Ordinal);
        Assert.DoesNotContain("shows", Why("yellow").ToString(), StringComparison.Ordinal);
        var problem = Assert.Single(
            Of().Against(At(Depth.Ends, 7, seen: "puce"), []),
            p => p.Field == "fact.undertone"
        );
        Assert.Contains("yellow-orange", problem.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Lessons_are_kept_by_a_tap_and_ones_own_words_as_said()
    {
        var review = Of(
            new LessonKept(CauseKind.Dried, Zone.LowerBack),
            new LessonKept(CauseKind.SlowerHair, null),
            new LessonSaid(" Depth only underneath. "),
            new LessonKept(CauseKind.SlowerHair, null, Keeps: false)
        );
        Assert.Equal([(CauseKind.Dried, (Zone?)Zone.LowerBack)], review.Lessons);
        Assert.Equal("Depth only underneath.", Assert.Single(review.Notes).Words);
        Assert.NotEmpty(review.Against(new LessonSaid(" "), []));
        Assert.NotEmpty(review.Against(new LessonSaid(new string('a', LessonSaid.Longest + 1)), []));
    }

    [Fact]
    public void Visit_after_visit_forecasts_come_nearer_and_their_bands_hold()
    {
        var visits = MadeUpClients.Forecasts(clients: 10, visits: 3);
        Assert.True(visits[1].Off < visits[0].Off, $"{visits[0].Off} then {visits[1].Off}");
        Assert.InRange(visits[1].Off, 0, 0.35);
        Assert.InRange(visits.Average(v => v.Held), 0.7, 0.92);
    }
}
