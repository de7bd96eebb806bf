using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Tests.Fall;

public sealed class SeenTests
{
    private static int[] RowsWithHair(Seen seen) =>
        Enumerable
            .Range(0, View.Height)
            .Where(y => Enumerable.Range(0, View.Width).Any(x => seen.Counts[y * View.Width + x] > 0))
            .ToArray();

    [Theory]
    [InlineData(Wear.Down)]
    [InlineData(Wear.TiedHigh)]
    public void Samples_are_counted_and_name_strands_and_places_there_are(Wear wear)
    {
        foreach (var angle in View.Measured)
        {
            var seen = Given.Usual.Seen(wear, angle);
            Assert.Equal(seen.Strand.Length, seen.Counts.Sum(c => c));
            Each.Of(seen.Counts, c => Assert.InRange(c, 0, View.Across));
            Each.Of(seen.Strand, s => Assert.InRange(s, 0, Given.Usual.OnHead.Strands.Count - 1));
            Each.Of(seen.Place, p => Assert.InRange(p, 0, Places.Count - 1));
        }
    }

    [Fact]
    public void Where_there_is_neither_hair_nor_head_there_is_the_surround()
    {
        var seen = Given.Usual.Seen(Wear.Down, 0);
        Assert.Equal(Seen.Surround, seen.Grey[0]);
        Assert.Equal(Seen.Surround, seen.Grey[View.Width - 1]);
        Assert.NotEqual(Seen.Surround, seen.Grey[View.Height / 2 * View.Width + View.Width / 2]);
    }

    [Fact]
    public void Longer_hair_reaches_lower_in_centimetres()
    {
        float Lowest(double hem)
        {
            var (looks, _) = Given.Looks(HairProfile.Usual with { Cut = HairProfile.Usual.Cut with { HemCm = hem } });
            var seen = looks.Seen(Wear.Down, 180);
            return seen.View.TopCm - RowsWithHair(seen)[^1] / seen.View.PixelsPerCm;
        }

        Assert.True(Lowest(50) < Lowest(30) - 10);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(30)]
    public void Tight_curls_stay_in_the_picture(int angle)
    {
        var hair = HairProfile.Usual with { Curl = Curl.Coily, Cut = new Cut(30, 6, 4), Density = Density.High };

        // All the strands of a picture: of few, none stands up as far.
        var looks = new HairViews(Given.Head, hair, PartLine.Central, ViewCache.For(1, 1), HairOnHead.UsualStrands);
        var seen = looks.Seen(Wear.Down, angle);
        Assert.NotEqual(0, RowsWithHair(seen)[0]);
        Each.Of(
            Enumerable.Range(0, View.Height),
            y => Assert.Equal(0, seen.Counts[y * View.Width] + seen.Counts[(y + 1) * View.Width - 1])
        );
    }

    [Fact]
    public void Tied_high_uncovers_the_neck()
    {
        int Below(Wear wear)
        {
            var seen = Given.Usual.Seen(wear, 0);
            var from = (int)((seen.View.TopCm + 12) * seen.View.PixelsPerCm) * View.Width;
            return seen.Counts.Skip(from).Sum(c => c);
        }

        Assert.True(Below(Wear.TiedHigh) < Below(Wear.Down) * 0.5);
    }

    [Fact]
    public void A_view_names_its_angle_within_a_turn() =>
        Assert.Equal((350, 10), (View.Of(-10, 0).Angle, View.Of(730, 0).Angle));

    [Fact]
    public void A_point_is_found_again_where_it_was_drawn()
    {
        foreach (var angle in new[] { 0, 37, 180, 291 })
        {
            var view = View.Of(angle, -20);
            var p = new System.Numerics.Vector3(3, 5, -4);
            var q = view.Project(p);
            Assert.True((view.Unproject(q.X, q.Y, q.Z) - p).Length() < 1e-3f);
        }
    }
}
