using Wendro.Core.Head;

namespace Wendro.Core.Apply;

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
            Prepared { What: Preparation.Combed } => "combed through",
            Prepared => "sounds tried",
            Mixed m => $"bowl of {m.Formula} mixed",
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
            Covered c => $"{ZoneFacts.Words(c.Zone)} covered",
            Heated { On: true } => "heat on",
            Heated => "heat off",
            Looked l => $"level {l.Level.Value:0.0} at {l.Panel.Words}",
            Felt f => f.How switch
            {
                Comfort.Nothing => "nothing felt",
                Comfort.Tingling => "it tingles",
                Comfort.Burning => "it burns",
            },
            Paused => "paused",
            Resumed => "went on",
            Hands { Pairs: 2 } => "second pair of hands",
            Hands => "one pair of hands",
            WaveBegun w => $"rinsing {w.Panels.Count} panels",
            WaveEnded => "rinsed",
            Washed => "washed and read",
            PlanTaken p => $"plan {p.Revision} taken",
            _ => "taken back",
        };
    }
}
