using CsCheck;
using Wendro.Head;

namespace Wendro.Tests.Head;

public sealed class ScalpTests
{
    [Fact]
    public void Hair_bearing_scalp_is_as_large_as_a_head_has() => Assert.InRange(Given.Head.ScalpCm2, 600, 720);

    [Fact]
    public void A_square_centimetre_on_the_map_is_one_on_the_head()
    {
        // Small squares of the map, put back on the head and measured there as two triangles in space.
        Gen.Select(Gen.Double[-11, 11], Gen.Double[-16, 11])
            .Sample(
                at =>
                {
                    // Small steps, since the head bends within a centimetre.
                    const int n = 5;
                    const double e = 1.0 / n;
                    System.Numerics.Vector3 At(int i, int j) =>
                        Given.Head.Chart.At(new MapPoint(at.Item1 + i * e, at.Item2 + j * e)).Position;
                    if (Given.Head.Chart.At(new MapPoint(at.Item1 + 0.5, at.Item2 + 0.5)).FromHairlineCm < 0.8)
                    {
                        return;
                    }

                    var area = 0.0;
                    for (var i = 0; i < n; i++)
                    {
                        for (var j = 0; j < n; j++)
                        {
                            var (a, b, c, d) = (At(i, j), At(i + 1, j), At(i + 1, j + 1), At(i, j + 1));
                            area +=
                                System.Numerics.Vector3.Cross(b - a, c - a).Length() / 2
                                + System.Numerics.Vector3.Cross(c - a, d - a).Length() / 2;
                        }
                    }

                    Assert.InRange(area, 0.98, 1.02);
                },
                iter: 1500
            );
    }

    [Fact]
    public void A_place_found_by_its_map_is_found_again_by_its_position() =>
        Gen.Select(Gen.Double[-10, 10], Gen.Double[-15, 10])
            .Sample(
                at =>
                {
                    var p = Given.Head.Chart.At(new MapPoint(at.Item1, at.Item2));
                    if (p.FromHairlineCm > 0)
                    {
                        var again = Given.Head.Chart.At(p.Position);
                        Assert.Equal(at.Item1, again.Map.X, 1e-2);
                        Assert.Equal(at.Item2, again.Map.Y, 1e-2);
                    }
                },
                iter: 300
            );

    [Fact]
    public void Left_and_right_are_alike() =>
        Gen.Select(Gen.Double[0.1, 10], Gen.Double[-15, 10])
            .Sample(
                at =>
                {
                    var left = Given.Head.Chart.At(new MapPoint(at.Item1, at.Item2));
                    var right = Given.Head.Chart.At(new MapPoint(-at.Item1, at.Item2));
                    Assert.Equal(left.FromTopCm, right.FromTopCm, 1e-9);
                    Assert.Equal(left.FromHairlineCm, right.FromHairlineCm, 1e-9);
                    Assert.Equal(left.OverTopCm, -right.OverTopCm, 1e-4);
                },
                iter: 200
            );
}
