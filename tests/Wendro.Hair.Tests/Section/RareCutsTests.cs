using Wendro.Hair;
using Wendro.Head;
using Wendro.Section;

namespace Wendro.Tests.Section;

/// <summary>Partings that only just touch a corner: found by chance once, kept.</summary>
public sealed class RareCutsTests
{
    [Theory]
    [InlineData(4.657E-70)]
    [InlineData(0)]
    [InlineData(0.1)]
    public void A_hair_left_out_is_none(double leaveOutMm)
    {
        var cut = Cut(
            new ZoneCut(
                PartLine.Central,
                Zone.TopLeft,
                new Sections(Parting.Zigzag, 31.393939393939394, 4.961538461538462, leaveOutMm, true)
            )
        );
        Assert.Equal(Given.Head.ZonesFor(PartLine.Central).AreaOf(Zone.TopLeft), cut.Panels.Sum(p => p.AreaCm2), 0.5);
    }

    [Theory]
    [InlineData(0.3)]
    [InlineData(14 / 27.0)]
    [InlineData(0.6)]
    public void Nothing_is_taken_twice_beside_a_part_aside(double babyHairCm)
    {
        var part = new PartLine(1.9392802899506165, 1.3816804203446367);
        var cut = Cut(
            new ZoneCut(
                part,
                Zone.FringeRight,
                new Sections(Parting.Zigzag, 10.954443792555352, 3.0161497147940715, 0, false),
                LeftOut: [new LeftOut(Region.BabyHair, babyHairCm, "new hair")]
            )
        );
        Assert.InRange(cut.Panels.Sum(p => p.AreaCm2), 0, Given.Head.ZonesFor(part).AreaOf(Zone.FringeRight) * 1.01);
    }

    private static ZonePanels Cut(ZoneCut how) => ZonePanels.Cut(Given.Head, how, HairProfile.Usual, _ => 30);
}
