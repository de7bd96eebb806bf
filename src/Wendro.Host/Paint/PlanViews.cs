using Wendro.Blend;
using Wendro.Colour;
using Wendro.Consult;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Paint;

/// <summary>A panel as it is cut and painted.</summary>
/// <param name="Key">zone/row/column.</param>
/// <param name="Zone">Its zone.</param>
/// <param name="Row">Row, from 0 at the low edge.</param>
/// <param name="Column">Column, from 0 at her face (at the back: her left).</param>
/// <param name="Words">Its name in plain words.</param>
/// <param name="AreaCm2">Area on the head, cm².</param>
/// <param name="ThicknessMm">Thickness of its section, mm.</param>
/// <param name="WidthCm">Width, cm.</param>
/// <param name="LengthCm">Mean length of its hair, cm.</param>
/// <param name="HairGrams">Its hair, g.</param>
/// <param name="Outlines">Outlines on the crown map: x, y, x, y … in cm, +x her left, +y her face.</param>
/// <param name="Paint">Its paint; null while it is left natural.</param>
/// <param name="StartCm">Where the paint begins, spread and share resolved, cm; null while natural.</param>
/// <param name="Coats">Each product in the order they are laid.</param>
/// <param name="MeanLevel">Mean level over its hair by mass, rinsed.</param>
/// <param name="BrightestLevel">Level where its paint is thickest, rinsed.</param>
/// <param name="BrightestTint">What colours it there: an index of tints.</param>
/// <param name="LevelSpread">Half the width of that forecast's band, levels; 0 while natural.</param>
/// <param name="SeenShare">Share of the hair seen worn down that it makes up, 0..1.</param>
/// <param name="Minutes">Minutes its painting takes; 0 while natural.</param>
/// <param name="Grip">Where it can be taken hold of on the map: middle, up to its upper edge, aside to its end; x, y
/// each, cm.</param>
/// <param name="Strip">The panel hung flat; only where few panels are told.</param>
internal sealed record PanelView(
    PanelKey Key,
    Zone Zone,
    int Row,
    int Column,
    string Words,
    double AreaCm2,
    double ThicknessMm,
    double WidthCm,
    double LengthCm,
    double HairGrams,
    IReadOnlyList<IReadOnlyList<double>> Outlines,
    PanelPaint? Paint,
    double? StartCm,
    IReadOnlyList<CoatView> Coats,
    double MeanLevel,
    double BrightestLevel,
    byte BrightestTint,
    double LevelSpread,
    double SeenShare,
    double Minutes,
    IReadOnlyList<double> Grip,
    Strip? Strip = null
)
{
    public static IReadOnlyList<PanelView> Of(PlannedHead head) =>
        head.Panels.Select((p, i) => Of(head, p, i)).ToArray();

    public static PanelView Of(PlannedHead head, PlannedPanel p, int index)
    {
        var hair = head.Hair;
        var brightest = p.Brightest(hair, Moment.Rinsed);
        return new PanelView(
            p.Panel.Key,
            p.Panel.Key.Zone,
            p.Panel.Key.Row,
            p.Panel.Key.Column,
            p.Panel.Key.Words,
            p.Panel.AreaCm2,
            p.Panel.ThicknessMm,
            p.Panel.WidthCm,
            p.Panel.LengthCm,
            p.Panel.HairGrams,
            p.Panel.Outlines.Select(OutlineView.Of).ToArray(),
            p.Painted?.Paint,
            p.Painted?.StartCm,
            p.Coats.Select(c => new CoatView(c.Painted.StartCm, EdgeOf(c.Painted), c.Formula.Words)).ToArray(),
            p.MeanLevel(hair, Moment.Rinsed),
            brightest.Level,
            brightest.Tint.Index,
            p.LiftingOf(hair) is { } lifting ? Forecast.Of(lifting.Case, p.Light!.Works.For.Value).HalfWidth : 0,
            head.Measures.SeenShares[index],
            PlannedHead.MinutesOf(p),
            GripOf(head.Cut[p.Panel.Key.Zone].GripOf(p.Panel, head.Looks.Head.Chart))
        );
    }

    /// <summary>The upper edge at 33 places across, cm from the scalp.</summary>
    private static double[] EdgeOf(PaintedPanel painted) =>
        Enumerable.Range(0, EdgePlaces).Select(i => Math.Round(painted.UpperEdge(i / (EdgePlaces - 1.0)), 2)).ToArray();

    private const int EdgePlaces = 33;

    private static double[] GripOf(DragHandle grip) =>
        new[] { grip.Middle.X, grip.Middle.Y, grip.Up.X, grip.Up.Y, grip.Aside.X, grip.Aside.Y }
            .Select(v => Math.Round(v, 3))
            .ToArray();
}

/// <summary>One product on a panel.</summary>
/// <param name="StartCm">Where it begins, spread and share resolved, cm from the scalp.</param>
/// <param name="Edge">Its upper edge at 33 places across, cm from the scalp.</param>
/// <param name="Words">What it is, in plain words.</param>
internal sealed record CoatView(double StartCm, IReadOnlyList<double> Edge, string Words);

/// <summary>An outline on the crown map as plain numbers.</summary>
internal static class OutlineView
{
    public static IReadOnlyList<double> Of(Outline outline) =>
        outline.Corners.SelectMany(c => new[] { Math.Round(c.Map.X, 3), Math.Round(c.Map.Y, 3) }).ToArray();
}

/// <summary>The measures, rinsed, worn down.</summary>
internal sealed record MeasuresView(
    double? EndsLevel,
    double LightShare,
    double FaceFrameLift,
    double RootSoftness,
    Zone? SteepestZone,
    double SteepestAtCm,
    double Balance,
    double MeanLevel,
    double MeanLightness,
    double Gradient,
    double RibbonContrast,
    double RegrowthWeeks,
    IReadOnlyDictionary<string, double> ZoneLevels
)
{
    public static MeasuresView Of(Measures m) =>
        new(
            m.EndsLevel,
            m.LightShare,
            m.FaceFrameLift,
            m.RootSoftness,
            m.SteepestZone,
            m.SteepestAtCm,
            m.Balance,
            m.MeanLevel,
            LevelColours.Lightness(m.MeanLevel),
            m.Gradient,
            m.RibbonContrast,
            m.RegrowthWeeks,
            m.ZoneLevels.ToDictionary(z => Name(z.Key), z => z.Value)
        );

    private static string Name(Zone zone) => char.ToLowerInvariant(zone.ToString()[0]) + zone.ToString()[1..];
}

/// <summary>A plan as it stands, with its panels, measures and findings.</summary>
internal sealed record PlanView(
    Guid VisitId,
    string Client,
    string About,
    DateTimeOffset StartsAt,
    HairProfile Hair,
    int Revision,
    bool CanUndo,
    bool CanRedo,
    string? Undoes,
    string? Redoes,
    Plan Plan,
    IReadOnlyList<PanelView> Panels,
    IReadOnlyList<PanelKey> Working,
    MeasuresView Measures,
    IReadOnlyList<FindingView> Findings,
    IReadOnlyList<string> Stops,
    IReadOnlyList<string> Cautions,
    IReadOnlyList<double> ScalpOutline,
    IReadOnlyList<double> PartLine
);

/// <summary>What an edit, an undo or a preview changed.</summary>
/// <param name="Revision">The plan's revision.</param>
/// <param name="CanUndo">Whether there is something to undo.</param>
/// <param name="CanRedo">Whether there is something to redo.</param>
/// <param name="Undoes">What undo would take back, in words.</param>
/// <param name="Redoes">What redo would bring back, in words.</param>
/// <param name="Recut">Whether panels were cut anew: then panels, strand map and levels are to be read again.</param>
/// <param name="Lost">Panels whose paint found no place.</param>
/// <param name="Plan">The plan.</param>
/// <param name="Panels">Panels that changed.</param>
/// <param name="Working">All panels in the order they are worked; null where that did not change.</param>
/// <param name="Measures">The measures.</param>
/// <param name="Findings">The findings the plan alone shows; fixes, and the rest, are read by themselves.</param>
/// <param name="Strands">Levels that changed, to be drawn; null after a new cut.</param>
internal sealed record PlanChange(
    int Revision,
    bool CanUndo,
    bool CanRedo,
    string? Undoes,
    string? Redoes,
    bool Recut,
    IReadOnlyList<PanelKey> Lost,
    Plan Plan,
    IReadOnlyList<PanelView> Panels,
    IReadOnlyList<PanelKey>? Working,
    MeasuresView Measures,
    IReadOnlyList<FindingView> Findings,
    IReadOnlyList<string> Cautions,
    StrandLevelsView? Strands
);

/// <summary>Level bytes of some strands.</summary>
/// <param name="Ranges">First strand and number of strands, by turns.</param>
/// <param name="Levels">Level bytes, 64 a strand, base64.</param>
/// <param name="Tints">Tint bytes, 64 a strand, base64.</param>
internal sealed record StrandLevelsView(IReadOnlyList<int> Ranges, byte[] Levels, byte[] Tints)
{
    /// <summary>The locks in which anything differs.</summary>
    public static StrandLevelsView Between(PlannedHead before, PlannedHead after)
    {
        var strands = after.Looks.OnHead.Strands;
        var ranges = new List<int>();
        var (levels, tints) = (new MemoryStream(), new MemoryStream());
        for (var l = 0; l < strands.LockCount; l++)
        {
            var (from, to) = (strands.LockStart[l], strands.LockStart[l + 1]);
            var (at, count) = (from * Places.Count, (to - from) * Places.Count);
            if (
                Differ(after.Drawn.Levels, before.Drawn.Levels, at, count)
                || Differ(after.Drawn.Tints, before.Drawn.Tints, at, count)
            )
            {
                ranges.Add(from);
                ranges.Add(to - from);
                levels.Write(after.Drawn.Levels.AsSpan(at, count));
                tints.Write(after.Drawn.Tints.AsSpan(at, count));
            }
        }

        return new StrandLevelsView(ranges, levels.ToArray(), tints.ToArray());
    }

    private static bool Differ(byte[] a, byte[] b, int at, int count) =>
        !a.AsSpan(at, count).SequenceEqual(b.AsSpan(at, count));
}
