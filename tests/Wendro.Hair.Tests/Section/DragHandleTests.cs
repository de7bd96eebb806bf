using CsCheck;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Tests.Section;

public sealed class DragHandleTests
{
    [Fact]
    public void A_panel_is_taken_hold_of_at_its_middle_and_its_upper_edge() =>
        Gen.Select(Given.AnyZone, Gen.Enum<Parting>(), Gen.Double[8, 20])
            .Sample(
                (zone, parting, thickness) =>
                {
                    var how = new ZoneCut(PartLine.Central, zone, new Sections(parting, thickness, 4, 2, false));
                    var cut = ZonePanels.Cut(Given.Head, how, HairProfile.Usual, _ => 30);
                    foreach (var panel in cut.Panels.Where(p => p.AreaCm2 > 3))
                    {
                        var grip = cut.GripOf(panel, Given.Head.Chart);
                        Assert.Equal(panel.Centre.Map, grip.Middle);
                        double Length(MapPoint v) => Math.Sqrt(v.X * v.X + v.Y * v.Y);

                        // The map keeps areas: half the thickness times half the width, whatever it does to shapes.
                        Assert.InRange(
                            Length(grip.Up) * Length(grip.Aside) * 4 / (panel.ThicknessMm / 10 * panel.WidthCm),
                            0.95,
                            1.05
                        );
                        Assert.InRange(Math.Abs(grip.Up.X * grip.Aside.X + grip.Up.Y * grip.Aside.Y), 0, 1e-6);
                    }
                },
                iter: 40
            );

    [Fact]
    public void Where_a_zigzag_turns_the_grip_is_as_long_as_elsewhere()
    {
        var how = new ZoneCut(PartLine.Central, Zone.TopLeft, new Sections(Parting.Zigzag, 239 / 13.0, 4, 2, false));
        var cut = ZonePanels.Cut(Given.Head, how, HairProfile.Usual, _ => 30);
        Each.Of(
            cut.Panels.Where(p => p.AreaCm2 > 3),
            panel =>
            {
                var grip = cut.GripOf(panel, Given.Head.Chart);
                var (up, aside) = (Math.Sqrt(grip.Up.X * grip.Up.X + grip.Up.Y * grip.Up.Y), grip.Aside);
                Assert.InRange(
                    up * Math.Sqrt(aside.X * aside.X + aside.Y * aside.Y) * 40 / (panel.ThicknessMm * panel.WidthCm),
                    0.95,
                    1.05
                );
            }
        );
    }

    [Fact]
    public void Half_way_up_from_the_middle_lies_nearer_the_part()
    {
        var how = new ZoneCut(PartLine.Central, Zone.UpperBack, new Sections(Parting.Horizontal, 12, 4, 0, false));
        var cut = ZonePanels.Cut(Given.Head, how, HairProfile.Usual, _ => 30);
        foreach (var panel in cut.Panels.Where(p => p.AreaCm2 > 3 && p.Key.Row is > 0 and < 4))
        {
            var grip = cut.GripOf(panel, Given.Head.Chart);
            var near = cut.At(
                Given.Head.Chart.At(new MapPoint(grip.Middle.X + grip.Up.X * 0.8, grip.Middle.Y + grip.Up.Y * 0.8))
            );
            Assert.Equal(panel.Key, cut.Panels[near!.Value.Panel].Key);
            Assert.InRange(near.Value.W, 0.02, 0.2);
        }
    }
}
