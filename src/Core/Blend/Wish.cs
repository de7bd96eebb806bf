namespace Wendro.Core.Blend;

/// <summary>What she wants, in figures the measures can be held against.</summary>
/// <param name="EndsLevel">Level of the light at the ends, 1..10.</param>
/// <param name="FaceFrameLift">How much lighter the face frame is than the rest from the front, levels, 0..5.</param>
/// <param name="LightShareLow">Least share of light hair seen, 0..1.</param>
/// <param name="LightShareHigh">Most share of light hair seen, 0..1.</param>
/// <param name="RootSoftness">Steepest rise of the mean level along the hair, levels a cm, 0.1..3.</param>
public sealed record Wish(
    double EndsLevel = 8,
    double FaceFrameLift = 1.0,
    double LightShareLow = 0.25,
    double LightShareHigh = 0.50,
    double RootSoftness = 0.6);
