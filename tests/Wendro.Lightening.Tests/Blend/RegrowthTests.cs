using Wendro.Blend;
using Wendro.Colour;
using Wendro.Consult;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

public sealed class RegrowthTests
{
    private static PlannedHead Painted(PanelPaint paint) =>
        Given.Bare.Apply([.. ZoneFacts.All.Select(z => new PaintZone(z, paint))]);

    [Fact]
    public void A_line_shows_soon_and_a_soft_root_late()
    {
        var line = Painted(new PanelPaint(new Shape.Full(), 2, 0, 40, 40)).Measures;
        var soft = Painted(new PanelPaint(new Shape.V(9), 8, 10, 5, 8, SpreadCm: 2)).Measures;
        Assert.True(line.RegrowthWeeks < 7, $"{line.RegrowthWeeks:0.0}");
        Assert.True(soft.RegrowthWeeks > line.RegrowthWeeks + 5, $"{soft.RegrowthWeeks:0.0}");
        Assert.Equal(2.25 / 1.5 / StrandHistory.GrowthCm(1), Regrowth.Weeks(1.5), 1e-9);
        Assert.Equal(Regrowth.MostWeeks, Regrowth.Weeks(0));
    }

    [Fact]
    public void Colour_that_begins_at_the_scalp_shows_although_its_blend_is_flat()
    {
        // All one level from the scalp on: no rise anywhere, and still what grows is darker.
        var head = Painted(new PanelPaint(new Shape.Reverse(), 0, 1, 40, 40, BandCm: 75));
        Assert.True(head.Measures.RegrowthWeeks < 8, $"{head.Measures.RegrowthWeeks:0.0}");
    }

    [Fact]
    public void Grown_out_everything_has_moved_by_what_has_grown()
    {
        var head = Painted(new PanelPaint(new Shape.Full(), 6, 0.5, 40, 40));
        const double weeks = 12;
        var grown = StrandHistory.GrowthCm(weeks);
        var later = Regrowth.Grown(head.Reached.Hair, head.Looks.OnHead.Lengths, head.Map.Zone, head.Hair, weeks);
        var now = head.Reached.Hair;
        Assert.Equal(now, Regrowth.Grown(now, head.Looks.OnHead.Lengths, head.Map.Zone, head.Hair, 0));
        double Edge(byte[] levels, int i) =>
            Enumerable
                .Range(0, Places.Count)
                .Select(k => (S: Places.Share(k) * head.Looks.OnHead.Lengths[i], L: levels[i * Places.Count + k]))
                .First(x => x.L > Level.ToByte(6.5))
                .S;
        var painted = Enumerable
            .Range(0, head.Map.Panel.Length)
            .Where(i => head.Map.Panel[i] >= 0 && head.Looks.OnHead.Lengths[i] > 25 && head.Map.W[i] < 0.5)
            .Take(300)
            .ToArray();
        Assert.Equal(grown, painted.Average(i => Edge(later.Levels, i) - Edge(head.Levels, i)), 0.4);
        Assert.All(painted, i => Assert.Equal(Level.ToByte(5), later.Levels[i * Places.Count]));
        Assert.All(painted, i => Assert.Equal(Tint.Natural.Index, later.Tints[i * Places.Count]));
        Assert.All(painted, i => Assert.Equal(Tint.Lifted(1).Index, later.Tints[i * Places.Count + 50]));
        Assert.NotEqual(head.Drawn, head.DrawnAt(Moment.Later(weeks)));
    }

    [Fact]
    public void What_the_consultation_adds_is_said_with_the_plan()
    {
        var head = Painted(new PanelPaint(new Shape.Full(), 2, 0, 40, 40));
        var now = new DateTimeOffset(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);
        Finding[] Of(Consultation c) =>
            ConsultFindings.Of(c, head.Hair, head.Measures, FindingLimits.Usual, now).ToArray();
        var fresh = Of(Consultation.Fresh with { WeeksBetween = 12 });
        Assert.Equal(Severity.Alarm, Assert.Single(fresh, f => f.Kind == ConsultFault.TestsMissing).Severity);
        Assert.Contains(
            fresh,
            f =>
                f.Kind == ConsultFault.RegrowthShows && f.Text.ToString().Contains("every 12", StringComparison.Ordinal)
        );
        var tested = Of(
            Consultation.Fresh with
            {
                WeeksBetween = 2,
                Patch = new PatchTest(now.AddDays(-4), PatchResult.Clear),
            }
        );
        Assert.Empty(tested);
    }

    [Fact]
    public void The_card_thanks_and_blames_panels_that_are_there()
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.TopRight, new PanelPaint(new Shape.Full(), 2, 0, 40, 40)),
            new PaintZone(Zone.TopLeft, PanelPaint.Usual with { SpreadCm = 1 })
        );
        var card = head.Card(8);
        Assert.Equal(Enum.GetValues<CardMeasure>(), card.Select(l => l.Measure));
        Assert.All(card.SelectMany(l => l.Thank.Concat(l.Blame)), s => Assert.NotNull(head.PanelOf(s)));
        var face = card.Single(l => l.Measure == CardMeasure.Face);
        Assert.False(face.Met);
        Assert.Contains(face.Blame, b => ZoneFacts.IsFaceFrame(b.Zone));
        var soft = card.Single(l => l.Measure == CardMeasure.Softness);
        Assert.False(soft.Met);
        Assert.All(soft.Blame, b => Assert.Equal(head.Measures.SteepestZone, b.Zone));
        Assert.All(card.Where(l => l.Met), l => Assert.Empty(l.Blame));
        Assert.All(card, l => Assert.Equal(l.Value >= l.Low && l.Value <= l.High, l.Met));
        Assert.All(
            card.Single(l => l.Measure == CardMeasure.Light).Thank,
            t => Assert.NotEmpty(head.PanelOf(t)!.Coats)
        );
    }
}
