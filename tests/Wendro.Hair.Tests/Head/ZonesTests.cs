using CsCheck;
using Wendro.Head;

namespace Wendro.Tests.Head;

public sealed class ZonesTests
{
    [Fact]
    public void Zones_tile_the_scalp_wherever_the_part_lies() =>
        Given.AnyPart.Sample(
            part =>
            {
                var zones = Given.Head.ZonesFor(part);
                var sum = ZoneFacts.All.Sum(zones.AreaOf);
                Assert.InRange(sum / Given.Head.ScalpCm2, 0.995, 1.005);
            },
            iter: 12
        );

    [Fact]
    public void A_zone_is_as_large_as_the_places_that_say_they_lie_in_it()
    {
        var zones = Given.Head.ZonesFor(new PartLine(2, 1));
        const double step = 0.2;
        var found = ZoneFacts.All.ToDictionary(z => z, _ => 0);
        for (var x = -16.05; x < 16; x += step)
        {
            for (var y = -20.05; y < 14; y += step)
            {
                var p = Given.Head.Chart.At(new MapPoint(x, y));
                if (p.FromHairlineCm >= 0)
                {
                    found[zones.At(p)]++;
                }
            }
        }

        Each.Of(
            ZoneFacts.All,
            z => Assert.Equal(zones.AreaOf(z), found[z] * step * step, zones.AreaOf(z) * 0.03 + 0.6)
        );
    }

    [Fact]
    public void A_central_part_makes_two_equal_sides()
    {
        var zones = Given.Head.ZonesFor(PartLine.Central);
        Each.Of(ZoneFacts.All, z => Assert.Equal(zones.AreaOf(z), zones.AreaOf(ZoneFacts.Other(z)), 1e-9));
    }

    [Fact]
    public void The_face_frame_is_claimed_first_and_is_two_centimetres_deep()
    {
        var zones = Given.Head.ZonesFor(PartLine.Central);
        foreach (var outline in zones.OutlinesOf(Zone.FaceFrameLeft))
        {
            Each.Of(outline.Corners, c => Assert.InRange(c.FromHairlineCm, -0.1, Landmarks.FaceFrameCm + 0.05));
        }
    }
}
