using Wendro.Head;

namespace Wendro.Fall;

/// <summary>
/// A part as it is seen: no comb draws a ruler's line, so its middle wanders a little and it lies open by more here and
/// less there. Model assumption.
/// </summary>
internal static class DrawnPart
{
    /// <summary>How far its middle wanders, cm.</summary>
    private const float WandersCm = 0.05f;

    /// <summary>By how much of its width it lies wider or narrower open.</summary>
    private const float Opens = 0.35f;

    /// <summary>How far off its middle a place on the scalp lies, cm; above 0 to the client's left.</summary>
    public static float From(PartLine part, in ScalpPoint at) =>
        (float)(at.OverTopCm - part.FallsAt(at.Position.Z)) - WandersCm * Wanders(at.Position.Z, 2.5f);

    /// <summary>How much of its width it lies open.</summary>
    /// <param name="z">How far forward on the head, cm.</param>
    /// <param name="side">Above 0 left of it, below 0 right of it.</param>
    public static float Open(float z, float side) => 1 + Opens * Wanders(z, MathF.Sign(side));

    private static float Wanders(float z, float phase) =>
        0.65f * MathF.Sin(1.1f * z + phase) + 0.35f * MathF.Sin(3.7f * z + 2.1f * phase);
}
