using CsCheck;
using NetTopologySuite.Geometries;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Tests.Section;

public sealed class SectionsTests
{
    private static ZonePanels Cut(Zone zone, Sections sections, PartLine? part = null) =>
        Cut(new ZoneCut(part ?? PartLine.Central, zone, sections));

    private static ZonePanels Cut(ZoneCut how, HairProfile? hair = null) =>
        ZonePanels.Cut(Given.Head, how, hair ?? HairProfile.Usual, _ => 30);

    [Fact]
    public void Without_leave_outs_panels_tile_their_zone() =>
        Gen.Select(Given.AnyZone, Given.AnySections, Given.AnyPart)
            .Sample(
                (zone, sections, part) =>
                {
                    var area = Given.Head.ZonesFor(part).AreaOf(zone);
                    var panels = Cut(zone, sections with { LeaveOutMm = 0 }, part).Panels.Sum(p => p.AreaCm2);
                    // Crumbs too small to be held, as at a pivot, are nobody's.
                    Assert.InRange(panels, area * 0.98 - 0.05, area * 1.01);
                },
                iter: 150
            );

    [Fact]
    public void Panels_and_leave_outs_together_tile_their_zone() =>
        Gen.Select(Given.AnyZone, Given.AnySections).Sample(TilesItsZone, iter: 60);

    [Fact]
    public void A_parting_whose_peaks_all_but_touch_the_part_loses_no_hair() =>
        TilesItsZone(Zone.TopLeft, new Sections(Parting.Zigzag, 14, 6.65571796954206, 10.549295774647888, false));

    private static void TilesItsZone(Zone zone, Sections sections)
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

        // A parting that can't be followed is laid a hair aside: a sliver of a small zone.
        var area = zones.AreaOf(zone);
        Assert.Equal(area, cut.Panels.Sum(p => p.AreaCm2) + area * left / all, 0.3 + area * 0.01);
    }

    [Fact]
    public void Panels_do_not_overlap()
    {
        var factory = new GeometryFactory();
        foreach (var zone in new[] { Zone.UpperBack, Zone.SideLeft, Zone.TopLeft, Zone.FaceFrameRight, Zone.Nape })
        {
            foreach (var parting in Enum.GetValues<Parting>())
            {
                var shapes = Cut(zone, new Sections(parting, 11, 4, 3, true))
                    .Panels.SelectMany(p => p.Outlines)
                    .Select(o =>
                        (Geometry)
                            factory
                                .CreatePolygon([
                                    .. o.Corners.Select(c => new Coordinate(c.Map.X, c.Map.Y)),
                                    new Coordinate(o.Corners[0].Map.X, o.Corners[0].Map.Y),
                                ])
                                .Buffer(0)
                    )
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
        Each.Of(
            cut.Panels.Where(p => p.Key.Row < 4),
            p =>
            {
                Assert.Equal(10, p.ThicknessMm, 1e-9);
                Assert.InRange(p.WidthCm, 3.2, 4.8);
            }
        );
    }

    [Fact]
    public void Diagonal_sections_slant_as_they_are_called()
    {
        double Slant(Parting parting)
        {
            // The middle row of the left side: how much higher its front end lies than its back end.
            var row = Cut(Zone.SideLeft, new Sections(parting, 10, 2, 0, false))
                .Panels.GroupBy(p => p.Key.Row)
                .Where(g => g.Count() > 2)
                .OrderByDescending(g => g.Count())
                .First()
                .OrderBy(p => p.Key.Column)
                .ToArray();
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
        double Edge(ZonePanels cut) =>
            cut
                .Panels.Where(p => p.Key.Row == 1)
                .SelectMany(p => p.Outlines)
                .Sum(o =>
                    o.Corners.Zip(o.Corners.Skip(1))
                        .Sum(c =>
                            Math.Sqrt(
                                Math.Pow(c.First.Map.X - c.Second.Map.X, 2)
                                    + Math.Pow(c.First.Map.Y - c.Second.Map.Y, 2)
                            )
                        )
                );
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
        Each.Of(left.Panels.Zip(right.Panels), p => Assert.Equal(p.First.AreaCm2, p.Second.AreaCm2, 1e-9));
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
            Each.Of(
                cut.Panels,
                p =>
                {
                    var other = Assert.Single(cut.Panels, o => o.Key == cut.Opposite(p.Key));
                    Assert.Equal(
                        (p.AreaCm2, p.LengthCm, p.HairGrams),
                        (other.AreaCm2, other.LengthCm, other.HairGrams)
                    );
                    Assert.Equal(p.Key, cut.Opposite(other.Key));
                }
            );
            Assert.InRange(
                Cut(zone, new Sections(parting, 8, 3.5, 0, true)).Panels.Sum(p => p.AreaCm2)
                    / Given.Head.ZonesFor(PartLine.Central).AreaOf(zone),
                0.99,
                1.01
            );
        }
    }

    [Fact]
    public void Woven_panels_share_their_hair_tooth_by_tooth() =>
        Gen.Select(Given.AnyZone, Given.AnySections)
            .Sample(
                (zone, sections) =>
                {
                    var plain = Cut(zone, sections with { Woven = false });
                    var woven = Cut(zone, sections with { Woven = true });
                    Assert.Equal(plain.Panels.Count * 2, woven.Panels.Count);
                    Each.Of(
                        plain.Panels,
                        p =>
                        {
                            var pair = woven
                                .Panels.Where(w => w.Key.Row == p.Key.Row && w.Key.Column / 2 == p.Key.Column)
                                .ToArray();
                            Assert.Equal(2, pair.Length);
                            Assert.InRange(pair.Sum(w => w.AreaCm2), p.AreaCm2 * 0.98 - 0.02, p.AreaCm2 * 1.02 + 0.02);
                        }
                    );

                    // Corner panels come out uneven; over a zone both groups have their share.
                    double Of(int group) => woven.Panels.Where(w => w.Key.Column % 2 == group).Sum(w => w.AreaCm2);
                    Assert.InRange(Of(0) / Of(1), 0.5, 2);
                },
                iter: 25
            );

    [Fact]
    public void Triangles_are_wide_at_one_end_and_pointed_at_the_other_by_turns()
    {
        var cut = Cut(Zone.UpperBack, new Sections(Parting.Triangles, 20, 3, 0, false));
        var row = cut.Panels.Where(p => p.Key.Row == 1).OrderBy(p => p.Key.Column).ToArray();
        Assert.True(row.Length >= 5 && row.Length % 2 == 1);
        (double Low, double High) Widths(Panel panel)
        {
            // Width near the foot and near the top of the row: outlines' corners by height.
            var corners = panel.Outlines.SelectMany(o => o.Corners).ToArray();
            var (low, high) = (corners.Min(c => -c.FromTopCm), corners.Max(c => -c.FromTopCm));
            double At(double from, double to) =>
                corners.Where(c => -c.FromTopCm >= from && -c.FromTopCm <= to) is var some && some.Any()
                    ? some.Max(c => c.Around < 0 ? c.Around + 360 : c.Around)
                        - some.Min(c => c.Around < 0 ? c.Around + 360 : c.Around)
                    : 0;
            return (At(low, low + 0.15 * (high - low)), At(high - 0.15 * (high - low), high));
        }

        var inner = row[1..^1].Select(Widths).ToArray();
        Each.Of(inner, w => Assert.True(Math.Max(w.Low, w.High) > 2.5 * Math.Min(w.Low, w.High), $"{w}"));
        Each.Of(
            inner.Zip(inner.Skip(1)),
            w => Assert.NotEqual(w.First.Low > w.First.High, w.Second.Low > w.Second.High)
        );
    }

    [Fact]
    public void Upright_sections_stand_and_slices_meet_at_the_crown()
    {
        var upright = Cut(Zone.SideLeft, new Sections(Parting.Vertical, 12, 10, 0, false));
        double Tall(Panel p) =>
            p.Outlines.SelectMany(o => o.Corners).Max(c => c.Position.Y)
            - p.Outlines.SelectMany(o => o.Corners).Min(c => c.Position.Y);
        double Deep(Panel p) =>
            p.Outlines.SelectMany(o => o.Corners).Max(c => c.Position.Z)
            - p.Outlines.SelectMany(o => o.Corners).Min(c => c.Position.Z);
        var middle = upright.Panels[upright.Panels.Count / 2];
        Assert.True(Tall(middle) > 3 * Deep(middle));
        var slices = Cut(Zone.Crown, new Sections(Parting.Pivot, 14, 10, 0, false));
        var tips = slices.Panels.Count(p =>
            p.Outlines.SelectMany(o => o.Corners).Min(c => Math.Sqrt(c.Map.X * c.Map.X + Math.Pow(c.Map.Y - 1.2, 2)))
            < 3.2
        );
        Assert.True(tips >= slices.Panels.Count * 0.7, $"{tips} of {slices.Panels.Count}");
        var widths = slices.Panels.Where(p => p.AreaCm2 > 2).Select(p => p.AreaCm2).ToArray();
        Assert.True(widths.Max() < 2.2 * widths.Min());
    }

    [Trait("Category", "Long")]
    [Fact]
    public void What_is_left_out_belongs_to_no_panel_and_the_rest_still_tiles() =>
        Gen.Select(Given.AnyZone, Given.AnySections, Given.AnyPart, Gen.Enum<Region>(), Gen.Double[0.3, 6])
            .Sample(LeftOutIsCutOut, iter: 60);

    [Fact]
    public void Lines_that_were_once_lost_on_the_way_are_followed()
    {
        // Round the end of a drop; and along a slanted row at the hairline.
        LeftOutIsCutOut(
            Zone.Crown,
            new Sections(Parting.Zigzag, 19.115384615384617, 4.944444444444445, 0, false),
            new PartLine(-3.53125, 1.0973174098658802),
            Region.Teardrop,
            5.630321362124418
        );
        LeftOutIsCutOut(
            Zone.FaceFrameRight,
            new Sections(Parting.DiagonalForward, 19.126984126984127, 7, 0, false),
            new PartLine(0, -0.031746031746031744),
            Region.Teardrop,
            2.988716172
        );
    }

    private static void LeftOutIsCutOut(Zone zone, Sections sections, PartLine part, Region region, double size)
    {
        var how = new ZoneCut(
            part,
            zone,
            sections with
            {
                LeaveOutMm = 0,
                Woven = false,
            },
            LeftOut: [new LeftOut(region, size, "wanted")]
        );
        var cut = Cut(how);
        var zones = Given.Head.ZonesFor(part);
        const double step = 0.15;
        var (inside, all, missing) = (0, 0, 0);
        var outlines = zones.OutlinesOf(zone);
        if (outlines.Count == 0)
        {
            return;
        }

        var corners = outlines.SelectMany(o => o.Corners).Select(c => c.Map).ToArray();
        var outside = new LeftOut(region, size, "wanted").Outside(zone, part);
        for (var x = corners.Min(c => c.X); x < corners.Max(c => c.X); x += step)
        {
            for (var y = corners.Min(c => c.Y); y < corners.Max(c => c.Y); y += step)
            {
                var p = Given.Head.Chart.At(new MapPoint(x, y));
                if (p.FromHairlineCm >= 0 && zones.At(p) == zone)
                {
                    all++;
                    var left = outside is not null && outside(p) < 0;
                    inside += left ? 1 : 0;
                    Assert.False(left && cut.At(p) is not null);
                    missing += !left && cut.At(p) is null ? 1 : 0;
                }
            }
        }

        var area = zones.AreaOf(zone);
        Assert.True(missing <= all * 0.02 + 3, $"{missing} of {all} belong nowhere");
        Assert.InRange(
            cut.Panels.Sum(p => p.AreaCm2),
            area * (all - inside) / Math.Max(all, 1) - 0.03 * area - 0.4,
            area * (all - inside) / Math.Max(all, 1) + 0.03 * area + 0.4
        );
    }

    [Fact]
    public void An_island_that_touches_no_edge_of_its_zone_is_cut_out_too()
    {
        var how = new ZoneCut(
            new PartLine(-3, -1.5),
            Zone.TopLeft,
            Sections.Usual with
            {
                LeaveOutMm = 0,
            },
            LeftOut: [new LeftOut(Region.Oval, 0.8, "an island")]
        );
        var whole = Cut(how with { LeftOut = [] }).Panels.Sum(p => p.AreaCm2);
        Assert.InRange(
            whole - Cut(how).Panels.Sum(p => p.AreaCm2),
            0.85 * Math.PI * 0.8 * 1.2,
            1.15 * Math.PI * 0.8 * 1.2
        );
    }

    [Fact]
    public void Quadrants_have_an_edge_in_the_middle_of_the_back()
    {
        foreach (var bricklay in new[] { true, false })
        {
            var cut = Cut(
                new ZoneCut(
                    PartLine.Central,
                    Zone.UpperBack,
                    new Sections(Parting.Horizontal, 10, 4, 0, bricklay),
                    SplitMiddle: true
                )
            );
            Each.Of(
                cut.Panels.SelectMany(p => p.Outlines),
                o => Assert.False(o.Corners.Any(c => c.Map.X > 0.15) && o.Corners.Any(c => c.Map.X < -0.15))
            );
        }
    }

    [Fact]
    public void A_cowlick_parts_the_panels_it_reaches_and_an_undercut_takes_them_out()
    {
        var cowlick = new Mark(MarkKind.Cowlick, 2.5, -8, 1.5);
        var how = new ZoneCut(PartLine.Central, Zone.UpperBack, new Sections(Parting.Horizontal, 10, 5, 0, false));
        var at = Given.Head.Chart.At(cowlick.Map);
        int Over(ZonePanels cut) =>
            cut.Panels.Count(p =>
                p.Outlines.Any(o =>
                    o.Corners.Min(c => c.Around < 0 ? c.Around + 360 : c.Around) < at.Around - 1.5
                    && o.Corners.Max(c => c.Around < 0 ? c.Around + 360 : c.Around) > at.Around + 1.5
                    && o.Corners.Max(c => c.FromTopCm) > at.FromTopCm - 1
                    && o.Corners.Min(c => c.FromTopCm) < at.FromTopCm + 1
                )
            );
        var with = HairProfile.Usual with { Marked = [cowlick] };
        Assert.True(Over(Cut(how)) > 0);
        Assert.Equal(0, Over(Cut(how, with)));

        var clipped = HairProfile.Usual with { Marked = [new Mark(MarkKind.Undercut, 0, -15, 12)] };
        Assert.InRange(
            Cut(how with { Zone = Zone.Nape }, clipped).Panels.Sum(p => p.AreaCm2),
            0,
            Given.Head.ZonesFor(PartLine.Central).AreaOf(Zone.Nape) * 0.1
        );
    }

    [Fact]
    public void Left_and_right_differ_where_their_hair_does()
    {
        var hair = HairProfile.Usual with
        {
            ByZone = new Dictionary<Zone, ZoneHair> { [Zone.SideRight] = new(Density: Density.Low) },
        };
        var how = new ZoneCut(PartLine.Central, Zone.SideLeft, Sections.Usual);
        var (left, right) = (Cut(how, hair), Cut(how with { Zone = Zone.SideRight }, hair));
        Assert.Equal(left.Panels.Sum(p => p.AreaCm2), right.Panels.Sum(p => p.AreaCm2));
        Assert.InRange(right.Panels.Sum(p => p.HairGrams) / left.Panels.Sum(p => p.HairGrams), 0.71, 0.74);
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
