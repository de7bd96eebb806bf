using CsCheck;
using Wendro.Head;

namespace Wendro.Tests.Head;

/// <summary>Outlines cut along lines: whatever the line does, its two sides are what was there.</summary>
public sealed class OutlineTests
{
    private static readonly Gen<Outline> AnyOutline = Gen.Select(Given.AnyZone, Given.AnyPart)
        .Select((zone, part) => Given.Head.ZonesFor(part).OutlinesOf(zone))
        .Where(o => o.Count > 0)
        .Select(o => o[0]);

    private static void Adds(Outline outline, Func<ScalpPoint, double> field, double level)
    {
        var (below, above) = (
            outline.Cut(Given.Head.Chart, field, level, true),
            outline.Cut(Given.Head.Chart, field, level, false)
        );
        Assert.Equal(
            outline.AreaCm2,
            below.Sum(o => o.AreaCm2) + above.Sum(o => o.AreaCm2),
            0.003 * outline.AreaCm2 + 0.02
        );
    }

    [Fact]
    public void A_slanted_line_cuts_it_in_two() =>
        Gen.Select(AnyOutline, Gen.Double[0, Math.PI], Gen.Double[0, 1])
            .Sample(
                (outline, angle, at) =>
                {
                    var (cos, sin) = (Math.Cos(angle), Math.Sin(angle));
                    double Field(ScalpPoint p) => p.Map.X * cos + p.Map.Y * sin;
                    var (low, high) = outline.RangeOf(Field);
                    var level = low + (high - low) * at;
                    Adds(outline, Field, level);
                    Assert.All(
                        outline.Cut(Given.Head.Chart, Field, level, true),
                        o => Assert.InRange(o.AreaCm2, 0, outline.AreaCm2 * 1.001)
                    );
                }
            );

    [Fact]
    public void A_line_that_turns_many_times_still_leaves_no_gap() =>
        Gen.Select(AnyOutline, Gen.Double[0.5, 4], Gen.Double[0, 3], Gen.Double[0.1, 0.9])
            .Sample(
                (outline, period, height, at) =>
                {
                    double Field(ScalpPoint p) => p.Map.Y + height * Math.Sin(p.Map.X * 2 * Math.PI / period);
                    var (low, high) = outline.RangeOf(Field);
                    Adds(outline, Field, low + (high - low) * at);
                },
                iter: 30
            );

    [Fact]
    public void A_line_that_nobody_can_follow_is_cut_straight() =>
        Gen.Select(AnyOutline, Gen.Int[1, 1000], Gen.Double[0.2, 0.8])
            .Sample(
                (outline, seed, at) =>
                {
                    // Jumps from place to place: there is no line at all.
                    double Field(ScalpPoint p) =>
                        p.Map.X + 3 * Wendro.Units.Hash.Signed((int)(p.Map.Y * 2) + seed, (int)(p.Map.X * 2));
                    var (low, high) = outline.RangeOf(Field);
                    Adds(outline, Field, low + (high - low) * at);
                },
                iter: 30
            );
}
