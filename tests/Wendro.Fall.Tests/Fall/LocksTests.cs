using CsCheck;
using Wendro.Fall;
using Wendro.Head;

namespace Wendro.Tests.Fall;

public sealed class LocksTests
{
    /// <summary>Across the part counts as so much further, cm², down to 9 cm from the top of the head.</summary>
    private const double AcrossThePart = 40;

    [Fact]
    public void A_strand_belongs_to_the_lock_nearest_to_it_on_its_side_of_the_part() =>
        Gen.Select(Gen.Double[-4, 4], Gen.Double[-4, 4], Gen.Int[100, 900], Gen.Int[3, 200])
            .Sample(
                (front, back, count, locks) =>
                {
                    var strands = Strands.Sow(Given.Head, new PartLine(front, back), count, locks);
                    Assert.Equal(Math.Min(locks, count / 4), strands.LockCount);
                    double Away(int i, int l)
                    {
                        var (root, guide) = (strands.Scalp[i], strands.LockStart[l]);
                        var (x, y) = (strands.Scalp[guide].Map.X - root.Map.X, strands.Scalp[guide].Map.Y - root.Map.Y);
                        var across = strands.Side[guide] != strands.Side[i] && root.FromTopCm < 9;
                        return x * x + y * y + (across ? AcrossThePart : 0);
                    }

                    for (var i = 0; i < count; i++)
                    {
                        // A lock's guide is its own, whatever else is near.
                        if (strands.LockStart[strands.Lock[i]] != i)
                        {
                            var nearest = Enumerable.Range(0, strands.LockCount).Min(l => Away(i, l));
                            Assert.InRange(Away(i, strands.Lock[i]), nearest, nearest + 1e-3);
                        }
                    }
                },
                iter: 40
            );

    [Fact]
    public void Locks_follow_each_other_strand_by_strand()
    {
        var strands = Strands.Sow(Given.Head, PartLine.Central, 777, 101);
        Assert.Equal((0, 777), (strands.LockStart[0], strands.LockStart[^1]));
        Assert.All(
            Enumerable.Range(0, strands.LockCount),
            l =>
            {
                Assert.True(strands.LockStart[l] < strands.LockStart[l + 1]);
                Assert.All(
                    Enumerable.Range(strands.LockStart[l], strands.LockStart[l + 1] - strands.LockStart[l]),
                    i => Assert.Equal(l, strands.Lock[i])
                );
            }
        );
        Assert.All(strands.Normal, n => Assert.InRange(n.Length(), 0.999f, 1.001f));
    }
}
