using CsCheck;
using NetTopologySuite.Geometries;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Paint;

namespace Wendro.Core.Tests.Paint;

public sealed class SectionsTests
{
    private static ZonePanels Cut(Zone zone, Sections sections, PartLine? part = null) =>
        ZonePanels.Cut(Given.Head, part ?? PartLine.Central, zone, sections, HairProfile.Usual, _ => 30);

    [Fact]
    public void Without_leave_outs_panels_tile_their_zone() => Gen.Select(Given.AnyZone, Given.AnySections, Given.AnyPart).Sample(
        (zone, sections, part) =>
        {
            var area = Given.Head.ZonesFor(part).AreaOf(zone);
            var panels = Cut(zone, sections with { LeaveOutMm = 0 }, part).Panels.Sum(p => p.AreaCm2);
            Assert.InRange(panels, area * 0.99 - 0.05, area * 1.01);
        },
        iter: 150);

    [Fact]
    public void Panels_and_leave_outs_together_tile_their_zone() => Gen.Select(Given.AnyZone, Given.AnySections).Sample(
        (zone, sections) =>
        {
            var zones = Given.Head.ZonesFor(PartLine.Central);
            var cut = Cut(zone, sections);
            const double step = 0.08;
            var (left, all) = (0, 0);
            var corners = zones.OutlinesOf(zone).SelectMany(o => o.Corners).Select(c => c.Map).ToArray();
            for (var x = corners.Min(c => c.X); x < corners.Max(c => c.X); x += step)
            {
                for (var y = corners.Min(c => c.Y); y < corners.Max(c => c.Y); y += step)
                {
                    var p = Given.Head.Chart.At(new MapPoint(x, y));
                    if (p.FromHairlineCm >= 0 && zones.At(p) == zone)
                    {
                        all++;
                        left += cut.At(p) is null ? 1 : 0;
                    }
                }
            }

            var area = zones.AreaOf(zone);
            Assert.InRange((cut.Panels.Sum(p => p.AreaCm2) + area * left / all) / area, 0.985, 1.015);
        },
        iter: 10);

    [Fact]
    public void Panels_do_not_overlap()
    {
        var factory = new GeometryFactory();
        foreach (var zone in new[] { Zone.UpperBack, Zone.SideLeft, Zone.TopLeft, Zone.FaceFrameRight, Zone.Nape })
        {
            foreach (var parting in Enum.GetValues<Parting>())
            {
                var shapes = Cut(zone, new Sections(parting, 11, 4, 3, true)).Panels
                    .SelectMany(p => p.Outlines)
                    .Select(o => (Geometry)factory.CreatePolygon(
                        [.. o.Corners.Select(c => new Coordinate(c.Map.X, c.Map.Y)), new Coordinate(o.Corners[0].Map.X, o.Corners[0].Map.Y)]).Buffer(0))
                    .ToArray();
                var union = NetTopologySuite.Operation.Union.UnaryUnionOp.Union(shapes);
                Assert.InRange(union.Area / shapes.Sum(s => s.Area), 0.995, 1.0001);
            }
        }
    }

    [Fact]
    public void A_place_in_a_panels_outline_belongs_to_that_panel()
    {
        foreach (var zone in ZoneFacts.All)
        {
            var cut = Cut(zone, Sections.Usual);
            var right = cut.Panels.Count(p => cut.At(p.Centre) is { } at && cut.Panels[at.Panel].Key == p.Key);
            Assert.True(right >= cut.Panels.Count * 0.8, $"{zone}: {right} of {cut.Panels.Count}");
        }
    }

    [Fact]
    public void Sections_are_as_thick_and_panels_as_wide_as_they_were_asked_for()
    {
        var cut = Cut(Zone.UpperBack, new Sections(Parting.Horizontal, 10, 4, 0, false));
        Assert.All(cut.Panels.Where(p => p.Key.Row < 4), p =>
        {
            Assert.Equal(10, p.ThicknessMm, 1e-9);
            Assert.InRange(p.WidthCm, 3.2, 4.8);
        });
    }

    [Fact]
    public void Diagonal_sections_slant_as_they_are_called()
    {
        double Slant(Parting parting)
        {
            // The middle row of the left side: how much higher its front end lies than its back end.
            var row = Cut(Zone.SideLeft, new Sections(parting, 10, 2, 0, false)).Panels.GroupBy(p => p.Key.Row)
                .Where(g => g.Count() > 2).OrderByDescending(g => g.Count()).First().OrderBy(p => p.Key.Column).ToArray();
            return row[0].Centre.Position.Y - row[^1].Centre.Position.Y;
        }

        Assert.True(Slant(Parting.DiagonalBack) > Slant(Parting.Horizontal) + 0.8);
        Assert.True(Slant(Parting.DiagonalForward) < Slant(Parting.Horizontal) - 0.8);
    }

    [Fact]
    public void Zigzag_partings_go_up_and_down_and_keep_the_thickness()
    {
        var straight = Cut(Zone.UpperBack, new Sections(Parting.Horizontal, 12, 10, 0, false));
        var zigzag = Cut(Zone.UpperBack, new Sections(Parting.Zigzag, 12, 10, 0, false));
        double Edge(ZonePanels cut) => cut.Panels.Where(p => p.Key.Row == 1).SelectMany(p => p.Outlines).Sum(o => o.Corners.Zip(o.Corners.Skip(1))
            .Sum(c => Math.Sqrt(Math.Pow(c.First.Map.X - c.Second.Map.X, 2) + Math.Pow(c.First.Map.Y - c.Second.Map.Y, 2))));
        Assert.True(Edge(zigzag) > Edge(straight) * 1.05);
        Assert.Equal(straight.Panels.Sum(p => p.AreaCm2), zigzag.Panels.Sum(p => p.AreaCm2), 1.0);
    }

    [Fact]
    public void Bricklay_moves_every_other_row_by_half_a_panel()
    {
        var plain = Cut(Zone.UpperBack, new Sections(Parting.Horizontal, 10, 4, 0, false));
        var laid = Cut(Zone.UpperBack, new Sections(Parting.Horizontal, 10, 4, 0, true));
        int In(ZonePanels cut, int row) => cut.Panels.Count(p => p.Key.Row == row);
        Assert.Equal(In(plain, 0), In(laid, 0));
        Assert.Equal(In(plain, 1) + 1, In(laid, 1));
        var first = laid.Panels.First(p => p.Key is { Row: 1, Column: 0 });
        var second = laid.Panels.First(p => p.Key is { Row: 1, Column: 1 });
        Assert.InRange(first.WidthCm / second.WidthCm, 0.45, 0.55);
    }

    [Fact]
    public void Two_sides_are_cut_alike_when_the_part_is_central()
    {
        var left = Cut(Zone.TopLeft, Sections.Usual);
        var right = Cut(Zone.TopRight, Sections.Usual);
        Assert.Equal(left.Panels.Count, right.Panels.Count);
        Assert.All(left.Panels.Zip(right.Panels), p => Assert.Equal(p.First.AreaCm2, p.Second.AreaCm2, 1e-9));
    }

    [Theory]
    [InlineData(Zone.Nape)]
    [InlineData(Zone.LowerBack)]
    [InlineData(Zone.UpperBack)]
    [InlineData(Zone.Crown)]
    public void Rows_across_the_back_are_alike_on_both_sides_to_the_last_bit(Zone zone)
    {
        foreach (var parting in Enum.GetValues<Parting>())
        {
            var cut = Cut(zone, new Sections(parting, 8, 3.5, 2, true));
            Assert.All(cut.Panels.GroupBy(p => p.Key.Row), row =>
            {
                var columns = row.OrderBy(p => p.Key.Column).ToArray();
                Assert.All(columns.Zip(columns.Reverse()), pair =>
                {
                    Assert.Equal(pair.First.AreaCm2, pair.Second.AreaCm2);
                    Assert.Equal((pair.First.LengthCm, pair.First.HairGrams), (pair.Second.LengthCm, pair.Second.HairGrams));
                });
            });
            Assert.InRange(
                Cut(zone, new Sections(parting, 8, 3.5, 0, true)).Panels.Sum(p => p.AreaCm2) / Given.Head.ZonesFor(PartLine.Central).AreaOf(zone), 0.99, 1.01);
        }
    }

    [Theory]
    [InlineData("sideLeft/2/1", true)]
    [InlineData("SideLeft/2/1", false)]
    [InlineData("sideLeft/2", false)]
    [InlineData("sideLeft/-1/0", false)]
    [InlineData("", false)]
    public void A_key_is_read_as_it_is_written(string text, bool valid)
    {
        var key = PanelKey.Parse(text);
        Assert.Equal(valid, key is not null);
        if (valid)
        {
            Assert.Equal(text, key.ToString());
        }
    }
}
