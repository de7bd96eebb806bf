using Wendro.Hair;
using Wendro.Head;
using Wendro.Section;

namespace Wendro.Tests.Section;

/// <summary>
/// A plan opened again is cut as it was: its paint is kept by panel, so panels that lie elsewhere or are counted
/// otherwise would be another plan.
/// </summary>
public sealed class CutAsBeforeTests
{
    private const double Within = 0.02;

    private static readonly Zone[] Zones = [Zone.UpperBack, Zone.TopLeft, Zone.SideRight, Zone.FaceFrameLeft];

    /// <summary>A part aside and a slanted one, so that nothing is cut alike by being symmetrical.</summary>
    private static readonly PartLine Part = new(2.3, 0.8, 4);

    private static IEnumerable<ZoneCut> Cuts()
    {
        foreach (var zone in Zones)
        {
            foreach (var parting in Enum.GetValues<Parting>())
            {
                yield return new(Part, zone, new(parting, 15, 3.4, 5, Bricklay: true));
                yield return new(
                    Part,
                    zone,
                    new(parting, 19, 4.2, 0, Bricklay: false, Woven: true, RowOrder.HighFirst),
                    SplitMiddle: true
                );
            }
        }
    }

    private static IEnumerable<(string What, double[] Figures)> Cut()
    {
        foreach (var how in Cuts())
        {
            var s = how.Sections;
            var cut = ZonePanels.Cut(Given.Head, how, HairProfile.Usual, p => 30 + p.Position.Y);
            foreach (var panel in cut.Panels)
            {
                var grip = cut.GripOf(panel, Given.Head.Chart);
                yield return (
                    $"{s.Parting}{(s.Woven ? " woven" : "")} {panel.Key}",
                    [
                        panel.AreaCm2,
                        panel.ThicknessMm,
                        panel.WidthCm,
                        panel.LengthCm,
                        panel.Centre.Map.X,
                        panel.Centre.Map.Y,
                        grip.Up.X,
                        grip.Up.Y,
                        panel.Outlines.Count,
                    ]
                );
            }
        }
    }

    [Fact]
    public void What_was_cut_once_is_cut_the_same_for_ever() => AsBefore.Holds("Section/cut.csv", Cut(), Within);
}
