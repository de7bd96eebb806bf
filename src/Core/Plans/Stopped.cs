namespace Wendro.Core.Plans;

/// <summary>What a safety stop stops: laying product on hair. Cutting, leaving out and clearing stay free.</summary>
public static class Stopped
{
    /// <summary>Whether an edit lays product where there was none, or changes how it is laid.</summary>
    public static bool Paints(PlanEdit edit) => edit is
        PaintZone or PaintPanels or SetShape or SetHeights or SetBlur or SetDepth or SetFace or SetCovering
        or SetStrokes or SetBand or SetHandling or AddCoat or SwapCoats
        or UseFormula or SpreadHeights or AlternateRows or AlternatePanels or MirrorSide
        or Taper or MatchPart or RaiseFaceFrame or DropCrown or FollowOldPieces or TouchUpRegrowth
        || (edit is Together { Edits: { } edits } && edits.Any(e => e is not null && Paints(e)));

    /// <summary>Whether going from one plan to another, by undo or redo, brings product onto hair that has none.</summary>
    public static bool Paints(Plan from, Plan to)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        static int Painted(ZonePlan zone) => zone.Excluded is null ? zone.Paint.Count : 0;
        return to.Zones.Any(z => Painted(z.Value) > Painted(from.Zones[z.Key]));
    }
}
