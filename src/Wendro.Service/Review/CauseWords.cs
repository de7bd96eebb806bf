using Wendro.Units;

namespace Wendro.Review;

/// <summary>Causes in a few words.</summary>
public static class CauseWords
{
    /// <summary>What a cause is told as: those that nothing left behind can tell apart are told as one.</summary>
    public static CauseKind ToldAs(CauseKind kind) =>
        kind switch
        {
            CauseKind.LessPorous or CauseKind.Slack => CauseKind.ThinCoat,
            CauseKind.Tangle => CauseKind.Lump,
            CauseKind.FineHairline => CauseKind.MorePorous,
            CauseKind.Cooler or CauseKind.LowerCap => CauseKind.SlowerHair,
            CauseKind.Warmer => CauseKind.QuickerHair,
            _ => kind,
        };

    /// <summary>What a cause is called.</summary>
    public static Sentence Of(CauseKind kind) =>
        kind switch
        {
            CauseKind.RinsedSoon => "Rinsed too soon",
            CauseKind.RinsedLate => "Rinsed too late",
            CauseKind.MixedWeaker => "Mixed weaker",
            CauseKind.MixedStronger => "Mixed stronger",
            CauseKind.Dried => "It dried",
            CauseKind.ThinCoat => "Thin coat, held slack, or hair less porous there",
            CauseKind.Slack => "Held slack",
            CauseKind.Lump => "A lump of product, or a tangle",
            CauseKind.Tangle => "A tangle",
            CauseKind.CameThrough => "It came through",
            CauseKind.StartLower => "Begun too low",
            CauseKind.StartHigher => "Begun too high",
            CauseKind.LessPorous => "Hair less porous",
            CauseKind.MorePorous => "Hair finer or more porous there",
            CauseKind.FineHairline => "Fine hairline",
            CauseKind.SlowerHair => "The hair lifts more slowly or less far, or it was cool",
            CauseKind.QuickerHair => "The hair lifts more quickly, or it was warm",
            CauseKind.LowerCap => "The hair lifts less far",
            CauseKind.Cooler => "Cooler than usual",
            CauseKind.Warmer => "Warmer than usual",
            CauseKind.Unexplained => "Not explained",
        };
}
