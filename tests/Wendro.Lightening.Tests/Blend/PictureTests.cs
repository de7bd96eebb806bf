using Wendro.Blend;
using Wendro.Fall;

namespace Wendro.Tests.Blend;

/// <summary>What is drawn, and the bytes it is drawn from.</summary>
public sealed class PictureTests
{
    [Fact]
    public void A_picture_at_twice_the_size_shows_the_same_head()
    {
        var head = Given.Bare;
        var once = Picture.Colour(Given.Usual.Seen(Wear.Down, 30), head.Drawn);
        var twice = Picture.Twice(Given.Usual, Wear.Down, 30, View.UsualTilt, head.Drawn);
        Assert.Equal(once.Length * 4, twice.Length);
        var apart = 0.0;
        for (var y = 0; y < View.Height; y += 7)
        {
            for (var x = 0; x < View.Width; x += 7)
            {
                var sum = 0;
                for (var k = 0; k < 4; k++)
                {
                    sum += twice[((y * 2 + k / 2) * View.Width * 2 + x * 2 + k % 2) * 3];
                }

                apart += Math.Abs(once[(y * View.Width + x) * 3] - sum / 4.0);
            }
        }

        Assert.InRange(apart / (View.Height / 7 * (View.Width / 7)), 0, 9);
    }

    [Fact]
    public void What_every_strand_is_travels_by_turns_and_is_taken_over_strand_by_strand()
    {
        var (one, other) = (StrandSamples.For(3), StrandSamples.For(3));
        for (var i = 0; i < one.Levels.Length; i++)
        {
            (one.Levels[i], one.Tints[i]) = ((byte)(i % 251), (byte)(i % 241 + 3));
        }

        var turns = one.ByTurns();
        Assert.Equal(2 * one.Levels.Length, turns.Length);
        Assert.Equal(one.Levels, turns.Where((_, i) => i % 2 == 0));
        Assert.Equal(one.Tints, turns.Where((_, i) => i % 2 == 1));

        other.CopyStrand(one, 1);
        var middle = Places.Count..(2 * Places.Count);
        Assert.Equal(one.Levels[middle], other.Levels[middle]);
        Assert.Equal(one.Tints[middle], other.Tints[middle]);
        Each.Of(other.Levels[..Places.Count].Concat(other.Levels[middle.End..]), l => Assert.Equal(0, l));
        Each.Of(other.Tints[..Places.Count].Concat(other.Tints[middle.End..]), t => Assert.Equal(0, t));
        Assert.NotEqual(one, other);
        Assert.Equal(one, one.Copy());
    }
}
