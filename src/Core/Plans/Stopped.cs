namespace Wendro.Core.Plans;

/// <summary>What a safety stop stops: laying product on hair. Cutting, leaving out and clearing stay free.</summary>
public static class Stopped
{
    /// <summary>Whether an edit lays product where there was none, or changes how it is laid.</summary>
    public static bool Paints(PlanEdit edit) => edit is
        PaintZone or PaintPanels or SetShape or SetHeights or SetBlur or SetDepth or SetFace or SetCovering
        or UseFormula or SpreadHeights or AlternateRows or MirrorSide;
}
