using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Apply;

/// <summary>What happened, in words for people.</summary>
public static class ServiceWords
{
    /// <summary>A fact in a few words.</summary>
    public static string Of(ServiceFact fact)
    {
        ArgumentNullException.ThrowIfNull(fact);
        return fact switch
        {
            Seated => "client in the chair",
            Prepared { What: Preparation.PartSet } => "part set",
            Prepared => "combed through",
            Mixed m => $"bowl of {m.Formula} mixed",
            BowlGone b => $"bowl of {b.Formula} gone",
            Added a => $"{a.Panel.Words} painted too",
            Painted p => $"{p.Panel.Words} painted",
            PaintedUpTo p => $"painted up to {p.Panel.Words}",
            AreaLaid => "laid on",
            PutOff { Now: true } p => $"{p.Panel.Words} now",
            PutOff p => $"{p.Panel.Words} later",
            LeftNatural p => $"{p.Panel.Words} left natural",
            Marked { What: Trouble.CameThrough } m => $"came through at {m.Panel.Words}",
            Marked { What: Trouble.TurnedOver } m => $"{m.Panel.Words} turned over",
            Marked m => $"a spot at {m.Panel.Words}",
            Recoated r => $"{r.Panel.Words} painted again",
            Covered { With: Covering.Open } c => $"{Count(c.Panels)} opened",
            Covered { With: Covering.Mesh } c => $"mesh over {Count(c.Panels)}",
            Covered { With: Covering.Film } c => $"film over {Count(c.Panels)}",
            Covered c => $"foil round {Count(c.Panels)}",
            Heated { On: true } => "heat on",
            Heated => "heat off",
            Looked l => $"level {l.Level.Value:0.0} at {l.Panel.Words}",
            ComfortReported f => f.How switch
            {
                Comfort.Nothing => "nothing felt",
                Comfort.Tingling => "it tingles",
                Comfort.Burning => "it burns",
            },
            Paused => "paused",
            Resumed => "went on",
            AssistantChanged { Pairs: 2, Does: Help.Mixes } => "somebody mixes",
            AssistantChanged { Pairs: 2, Does: Help.Rinses } => "somebody rinses",
            AssistantChanged { Pairs: 2 } => "second pair of hands",
            AssistantChanged => "one pair of hands",
            RinseBegun w => $"rinsing {w.Panels.Count} panels",
            RinseEnded => "rinsed",
            Washed => "washed and read",
            WentOn => "on to the next step",
            PlanTaken p => $"plan {p.Revision} taken",
            _ => "taken back",
        };
    }

    private static string Count(IReadOnlyList<PanelKey> panels) =>
        panels.Count == 1 ? panels[0].Words : $"{panels.Count} panels";

    /// <summary>What a look told and how much it counted.</summary>
    public static string Of(DevelopmentCheck told)
    {
        ArgumentNullException.ThrowIfNull(told);
        var off = told.Look.Level.Value - told.Expected;
        var how =
            Math.Abs(off) < HardlyTold ? "as expected"
            : off > 0 ? $"{off:0.0} more than expected"
            : $"{-off:0.0} less than expected";
        return $"Level {told.Look.Level.Value:0.0} after {told.Minutes:0} min, {how}. Counted with what is "
            + $"known already: the hair lifts at {told.Own.Speed * 100:0} % of the tables' speed, and windows of what "
            + "is painted alike move with it.";
    }

    /// <summary>A difference that is not worth a word, levels.</summary>
    private const double HardlyTold = 0.05;
}
