using CsCheck;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>What holds for any plan, however it was made.</summary>
public sealed class PlanSizesTests
{
    [Fact]
    public void Shares_seen_of_panels_sum_to_no_more_than_all()
    {
        Assert.InRange(Given.Bare.Measures.SeenShares.Sum(), 0.5, 1 + 1e-9);
        Each.Of(Given.Bare.Measures.SeenShares, s => Assert.InRange(s, 0, 1));
    }

    [Fact]
    public void No_level_falls_below_natural_or_passes_ten() =>
        Gen.Select(Given.AnyZone, Given.AnyPaint)
            .Sample(
                (zone, paint) =>
                {
                    var head = Given.Bare.Apply(new PaintZone(zone, paint));
                    var natural = Level.ToByte(head.Hair.NaturalLevel);
                    Assert.True(head.Levels.Min() >= natural);
                    Each.Of(
                        head.Panels,
                        p =>
                            Assert.InRange(
                                p.BrightestLevel(head.Hair, Moment.Rinsed),
                                // Ends that less than half the hair reaches count in the mean only.
                                p.MeanLevel(head.Hair, Moment.Rinsed) - 0.02,
                                10
                            )
                    );
                },
                iter: 60
            );

    [Fact]
    public void Levels_at_a_minute_lie_between_before_and_rinsed()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.UpperBack, PanelPaint.Usual));
        var (early, late) = (head.DrawnAt(Moment.At(new Minutes(10))), head.DrawnAt(Moment.At(new Minutes(25))));
        Assert.True(early.Levels.Zip(late.Levels).All(p => p.First <= p.Second));
        Assert.True(late.Levels.Zip(head.Drawn.Levels).All(p => p.First <= p.Second + 1));
        Assert.Contains(early.Levels.Zip(late.Levels), p => p.First < p.Second);
    }

    [Fact]
    public void Rows_are_counted_from_the_low_edge()
    {
        foreach (var zone in ZoneFacts.All)
        {
            var rows = Given
                .Bare.Cut[zone]
                .Panels.GroupBy(p => p.Key.Row)
                .OrderBy(g => g.Key)
                .Select(g =>
                    g.Max(p =>
                        zone is Zone.FaceFrameLeft or Zone.FaceFrameRight
                            ? p.Centre.FromHairlineCm
                            : p.Centre.Position.Y
                    )
                )
                .ToArray();
            Assert.True(rows.Length == 0 || rows[0] <= rows[^1] + 0.5, $"{zone}: {string.Join(' ', rows)}");
        }
    }

    [Fact]
    public void Grams_grow_with_area_and_add_up_to_a_head_of_hair()
    {
        var plain = Given.Bare.Apply(
            ZoneFacts.All.Select(z => (PlanEdit)new CutZone(z, Parting.Horizontal, 10, 4, 0, false)).ToArray()
        );
        Assert.InRange(plain.Panels.Sum(p => p.Panel.HairGrams), 100, 330);
        Each.Of(plain.Panels, p => Assert.True(p.Panel.HairGrams > 0));
    }

    [Fact]
    public void Hair_under_other_hair_is_hardly_seen_and_what_lies_on_top_is_not()
    {
        var head = Given.Bare.Apply(new SetWears([Wendro.Fall.Wear.Down]));
        bool[] Of(Func<PlannedPanel, bool> which) =>
            head.Panels.Select((p, i) => (p, i)).Where(x => which(x.p)).Select(x => head.HardlySeen[x.i]).ToArray();
        Assert.Contains(true, Of(p => p.Panel.Key.Zone == Zone.LowerBack));
        Assert.True(
            Of(p => p.Panel.Key.Zone is Zone.TopLeft or Zone.TopRight).Count(h => h)
                < Of(p => p.Panel.Key.Zone is Zone.TopLeft or Zone.TopRight).Length * 0.5
        );
        Assert.True(head.HardlySeen.Count(h => h) >= Given.Bare.HardlySeen.Count(h => h));
    }
}
