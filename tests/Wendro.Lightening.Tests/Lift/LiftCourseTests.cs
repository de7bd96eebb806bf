using CsCheck;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

/// <summary>A lift that is covered, warmed or painted again while it works.</summary>
public sealed class LiftCourseTests
{
    private static LiftCase Open { get; } =
        new(new(4), Diameter.Medium, Porosity.Normal, false, Lightener.Clay, new(20), Covering.Open);

    private static double After(LiftCase of, double minutes, params LiftTurn[] turns) =>
        new LiftCourse(new(of), turns).After(new(minutes)).Value;

    [Fact]
    public void Where_nothing_changes_it_is_the_lift_itself() =>
        Gen.Select(Given.AnyLift, Gen.Double[0, 90], Gen.Double[0, 5])
            .Sample(
                (of, minutes, gain) =>
                {
                    var (lifting, course) = (new Lifting(of), new LiftCourse(new(of), []));
                    Assert.Equal(lifting.After(new(minutes)).Value, course.After(new(minutes)).Value, 1e-12);
                    Assert.Equal(lifting.DriesAtMinutes(), course.DriesAtMinutes(), 1e-9);
                    var target = Level.Clamp(of.From.Value + gain);
                    Assert.Equal(lifting.MinutesTo(target) ?? -1, course.MinutesTo(target) ?? -1, 1e-9);
                }
            );

    [Fact]
    public void What_changes_at_once_is_as_if_it_had_been_so_from_the_start() =>
        Gen.Select(Given.AnyLift, Gen.OneOfConst(Enum.GetValues<Covering>()), Gen.Bool, Gen.Double[0, 90])
            .Sample(
                (of, covering, heat, minutes) =>
                    Assert.Equal(
                        new Lifting(of with { Covering = covering, LowHeat = heat }).After(new(minutes)).Value,
                        After(of, minutes, new LiftTurn(0, covering, heat)),
                        1e-9
                    )
            );

    [Fact]
    public void A_turn_moves_nothing_that_was_before_it_and_the_level_never_falls() =>
        Gen.Select(Given.AnyLift, Gen.Double[1, 60], Gen.OneOfConst(Enum.GetValues<Covering>()), Gen.Bool, Gen.Bool)
            .Sample(
                (of, at, covering, heat, fresh) =>
                {
                    var turn = new LiftTurn(at, covering, heat, fresh);
                    Assert.Equal(After(of, at * 0.9), After(of, at * 0.9, turn), 1e-12);
                    Assert.Equal(After(of, at), After(of, at, turn), 1e-9);
                    var levels = Enumerable.Range(0, 30).Select(i => After(of, at + i * 3, turn)).ToArray();
                    Assert.Equal(levels.Order(), levels);
                }
            );

    [Fact]
    public void Minutes_to_a_level_end_at_that_level() =>
        Gen.Select(Given.AnyLift, Gen.Double[1, 60], Gen.Bool, Gen.Double[0.1, 4])
            .Sample(
                (of, at, fresh, gain) =>
                {
                    var course = new LiftCourse(new(of), [new(at, Covering.Film, IsFresh: fresh)]);
                    var target = Level.Clamp(of.From.Value + gain);
                    if (course.MinutesTo(target) is { } minutes and < Minutes.Longest)
                    {
                        Assert.Equal(target.Value, course.After(new(minutes)).Value, 1e-6);
                    }
                    else
                    {
                        Assert.True(course.After(new(Minutes.Longest)).Value <= target.Value + 1e-9);
                    }
                }
            );

    [Fact]
    public void Painted_again_it_goes_further_and_dries_later()
    {
        var dries = new Lifting(Open).DriesAtMinutes();
        Assert.Equal(48, dries, 1.0);
        var again = new LiftCourse(new(Open), [new(30, IsFresh: true)]);
        Assert.Equal(30 + dries, again.DriesAtMinutes(), 1e-9);
        Assert.True(again.After(new(70)).Value > After(Open, 70) + 0.1);
    }

    [Fact]
    public void Film_over_it_keeps_the_moisture_that_is_left_and_brings_none_back()
    {
        var open = new Lifting(Open).DriesAtMinutes();
        var soon = new LiftCourse(new(Open), [new(10, Covering.Film)]).DriesAtMinutes();
        var late = new LiftCourse(new(Open), [new(40, Covering.Film)]).DriesAtMinutes();
        var never = new LiftCourse(new(Open), [new(open + 1, Covering.Film)]).DriesAtMinutes();
        Assert.True(soon > late && late > open);
        Assert.Equal(open, never, 1e-9);
    }

    [Fact]
    public void Heat_counts_from_the_minute_it_is_on()
    {
        double[] levels =
        [
            After(Open, 25),
            After(Open, 25, new LiftTurn(20, LowHeat: true)),
            After(Open, 25, new LiftTurn(10, LowHeat: true)),
            After(Open, 25, new LiftTurn(10, LowHeat: true), new LiftTurn(20, LowHeat: false)),
        ];
        Assert.True(levels[0] < levels[1] && levels[1] < levels[2] && levels[3] < levels[2] && levels[3] > levels[0]);
    }

    [Fact]
    public void As_many_minutes_as_without_the_turn_are_told()
    {
        var course = new LiftCourse(new(Open), [new(12, Covering.Film)]);
        Assert.Equal(8, course.Unchanged(8, 240), 1e-9);
        var alike = course.Unchanged(30, 240);
        Assert.Equal(course.After(new(30)).Value, After(Open, alike), 1e-9);
        // What is painted again and again is further than it ever gets by itself.
        var far = new LiftCourse(new(Open), [new(40, IsFresh: true), new(80, IsFresh: true)]);
        Assert.Equal(240, far.Unchanged(120, 240));
    }
}
