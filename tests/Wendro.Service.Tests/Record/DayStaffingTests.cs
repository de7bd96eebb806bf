using CsCheck;
using Wendro.Apply;
using Wendro.Plans;
using Wendro.Record;

namespace Wendro.Tests.Record;

/// <summary>Few hands and basins for a day's visits.</summary>
public sealed class DayStaffingTests
{
    private static readonly DateTimeOffset Nine = new(2031, 11, 3, 9, 0, 0, TimeSpan.Zero);

    private static StaffedVisit Visit(double at, params (HandWork Does, double From, double To)[] hands) =>
        new(Guid.NewGuid(), Nine.AddMinutes(at), hands.Select(h => new HandSpan(h.Does, h.From, h.To)).ToArray());

    [Fact]
    public void Painting_while_another_is_rinsed_is_a_clash_and_a_later_start_parts_them()
    {
        var first = Visit(0, (HandWork.Paint, 0, 60), (HandWork.Rinse, 90, 110));
        // Fits into the gap between, but for its last ten minutes.
        var second = Visit(60, (HandWork.Paint, 5, 40));
        var day = DayStaffing.Of([second, first]);
        var clash = Assert.Single(day.Clashes);
        Assert.Equal([first.Visit, second.Visit], clash.Visits);
        Assert.Equal((Nine.AddMinutes(90), Nine.AddMinutes(100), 10), (clash.From, clash.To, clash.Minutes));
        // Painting must wait for the rinse: from minute 110, which is 45 later.
        Assert.Equal(new LaterStart(second.Visit, 45), Assert.Single(day.Later));
    }

    [Fact]
    public void Visits_that_take_turns_do_not_clash_and_a_moments_overlap_is_not_minded()
    {
        var first = Visit(0, (HandWork.Paint, 0, 30), (HandWork.Rinse, 60, 80));
        var second = Visit(30, (HandWork.Mix, 0, 5), (HandWork.Paint, 5, 30 + DayStaffing.Minded / 2));
        var day = DayStaffing.Of([first, second]);
        Assert.Empty(day.Clashes);
        Assert.Empty(day.Later);
        Assert.Empty(DayStaffing.Of([]).Clashes);
    }

    [Fact]
    public void Two_pairs_of_hands_see_to_two_at_once_and_lack_a_third()
    {
        var three = new[] { 0, 10, 20 }.Select(at => Visit(at, (HandWork.Paint, 0, 60))).ToArray();
        Assert.Empty(DayStaffing.Of(three[..2], new SalonCapacity(2)).Clashes);
        var day = DayStaffing.Of(three, new SalonCapacity(2));
        var lack = Assert.Single(day.Clashes);
        Assert.Equal((Nine.AddMinutes(20), Nine.AddMinutes(60), 40), (lack.From, lack.To, lack.Minutes));
        Assert.Equal(new LaterStart(three[2].Visit, 40), Assert.Single(day.Later));
        Assert.Throws<ArgumentOutOfRangeException>(() => DayStaffing.Of(three, new SalonCapacity(0)));
    }

    [Fact]
    public void With_hands_for_both_one_basin_still_takes_them_one_after_the_other()
    {
        (HandWork, double, double)[] hands =
        [
            (HandWork.Paint, 0, 60),
            (HandWork.Rinse, 90, 100),
            (HandWork.Wash, 100, 106),
            (HandWork.Read, 106, 119),
        ];
        var two = new[] { 0, 8 }.Select(at => Visit(at, hands)).ToArray();
        var day = DayStaffing.Of(two, new SalonCapacity(2, 1));
        var lack = Assert.Single(day.Clashes);
        // The first is at the basin till 106, the second comes to it at 98.
        Assert.Equal((Nine.AddMinutes(98), Nine.AddMinutes(106), 8), (lack.From, lack.To, lack.Minutes));
        Assert.Equal((StaffingShortage.Basins, 2), (lack.Lacks, lack.Visits.Count));
        Assert.Equal(new LaterStart(two[1].Visit, 10), Assert.Single(day.Later));
        Assert.Empty(DayStaffing.Of(two, new SalonCapacity(2, 2)).Clashes);
        // Where hands lack, more basins help nobody, and it is told once.
        var alone = DayStaffing.Of(two, new SalonCapacity(1, 1));
        Assert.Equal(Told(alone), Told(DayStaffing.Of(two, new SalonCapacity(1, 2))));
        Each.Of(alone.Clashes, c => Assert.Equal(StaffingShortage.Hands, c.Lacks));
        Assert.Throws<ArgumentOutOfRangeException>(() => DayStaffing.Of(two, new SalonCapacity(1, 0)));

        static IEnumerable<(DateTimeOffset, DateTimeOffset, double, StaffingShortage)> Told(DayStaffing day) =>
            day.Clashes.Select(c => (c.From, c.To, c.Minutes, c.Lacks));
    }

    [Fact]
    public void Waits_close_to_each_other_are_told_as_one()
    {
        var first = Visit(0, (HandWork.Paint, 0, 30), (HandWork.Rinse, 35, 60));
        var second = Visit(0, (HandWork.Paint, 20, 50));
        var clash = Assert.Single(DayStaffing.Of([first, second]).Clashes);
        Assert.Equal((Nine.AddMinutes(20), Nine.AddMinutes(50), 25), (clash.From, clash.To, clash.Minutes));
    }

    [Fact]
    public void Where_hands_are_never_free_no_later_start_is_offered()
    {
        var first = Visit(0, (HandWork.Paint, 0, 400));
        var second = Visit(10, (HandWork.Paint, 0, 30));
        Assert.Null(Assert.Single(DayStaffing.Of([first, second]).Later).Minutes);
    }

    [Fact]
    public void A_later_start_that_is_offered_clashes_with_none_before() =>
        Gen.Select(Gen.Int[0, 300], Gen.Int[1, 60], Gen.Int[0, 60], Gen.Int[1, 40])
            .Array[2, 5]
            .Sample(told =>
            {
                var visits = told.Select(v =>
                        Visit(
                            v.Item1,
                            (HandWork.Paint, 0, v.Item2),
                            (HandWork.Rinse, v.Item2 + v.Item3, v.Item2 + v.Item3 + v.Item4)
                        )
                    )
                    .OrderBy(v => v.StartsAt)
                    .ToArray();
                var day = DayStaffing.Of(visits);
                Assert.Equal(day.Clashes.Count > 0, day.Later.Count > 0);
                foreach (var clash in day.Clashes)
                {
                    Assert.True(clash.Minutes > DayStaffing.Minded && clash.Visits.Count > 1);
                    Assert.True((clash.To - clash.From).TotalMinutes >= clash.Minutes - 1e-6);
                }

                foreach (var later in day.Later.Where(l => l.Minutes is not null))
                {
                    var n = Array.FindIndex(visits, v => v.Visit == later.Visit);
                    var moved = visits[n] with { StartsAt = visits[n].StartsAt.AddMinutes(later.Minutes!.Value) };
                    Assert.DoesNotContain(
                        DayStaffing.Of(visits[..n].Append(moved)).Clashes,
                        c => c.Visits.Contains(moved.Visit)
                    );
                }
            });
}
