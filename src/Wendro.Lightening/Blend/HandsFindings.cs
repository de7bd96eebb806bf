using Wendro.Fall;
using Wendro.Paint;
using Wendro.Timing;

namespace Wendro.Blend;

/// <summary>What is more than hands can do.</summary>
internal static class HandsFindings
{
    /// <summary>Panels and minutes of painting that a person does, in open air and in foil. Model assumption.</summary>
    private const int OpenPanels = 70,
        FoilPanels = 80;

    private const double OpenMinutes = 75,
        FoilMinutes = 120;

    /// <summary>Beyond this many times as much nobody paints it. Model assumption.</summary>
    private const double NobodyFrom = 1.5;

    public static IEnumerable<Finding> MoreThanHands(FindingContext head)
    {
        var foil = head.Painted.Count(p => p.Coats.Any(c => c.Painted.Paint.Covering == Covering.Foil));
        var foiled = foil * 2 > head.Painted.Count;
        var (panels, minutes) = foiled ? (FoilPanels, FoilMinutes) : (OpenPanels, OpenMinutes);
        var takes = head.Painted.Sum(p => PaintingTime.Seconds(p.Panel, p.Coats.Select(c => c.Painted).ToArray())) / 60;
        var times = Math.Max((double)head.Painted.Count / panels, takes / minutes);
        if (times <= 1)
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.MoreThanHands,
            times > NobodyFrom ? Severity.Alarm : Severity.Caution,
            "More than hands can do",
            $"{head.Painted.Count} panels take {takes:0} min to paint; "
                + $"{(foiled ? "in foil" : "by hand")} up to {panels} panels and {minutes:0} min is what a "
                + "person does. The first are done before the last are painted.",
            "Panels and minutes of painting as a share of the most for this way of working, the larger of both.",
            Findings.Zones(head.Painted),
            Findings.Keys(head.Painted),
            Wear.Down,
            [
                new("share of what hands do", times, "×"),
                new("panels", head.Painted.Count, "panels"),
                new("painting", takes, "min"),
            ]
        );
    }
}
