using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What she wants, in figures the measures can be held against.</summary>
/// <param name="FaceFrameLift">How much lighter the face frame is than the rest from the front, levels, 0..5.</param>
/// <param name="LightShareLow">Least share of light hair seen, 0..1.</param>
/// <param name="LightShareHigh">Most share of light hair seen, 0..1.</param>
/// <param name="RootSoftness">Steepest rise of the mean level along the hair, levels a cm, 0.1..3.</param>
/// <param name="MidsLevel">Level of the light at mid-length; null a little below the ends.</param>
/// <param name="Tone">−1 cool .. 0 as it lifts .. 1 warm.</param>
/// <param name="Underneath">Bright underneath as well; else only what lies on top.</param>
public sealed record Goal(
    [property: Within(0, 5, "levels")] double FaceFrameLift = 1.0,
    [property: Within(0, 1)] double LightShareLow = 0.25,
    [property: Within(0, 1)] double LightShareHigh = 0.50,
    [property: Within(0.1, 3, "levels a cm")] double RootSoftness = 0.6,
    Level? MidsLevel = null,
    [property: Within(-1, 1)] double Tone = 0,
    bool Underneath = true
)
{
    /// <summary>Level of the light at the ends.</summary>
    public Level EndsLevel { get; init; } = new(8);

    /// <summary>How much lower mids lie where nothing was said about them, levels. Model assumption.</summary>
    public const double MidsBelow = 0.7;

    /// <summary>Level of the light at mid-length (a method: a record writes out its properties).</summary>
    public Level MidsOf() => MidsLevel ?? Level.Clamp(EndsLevel - MidsBelow);

    /// <summary>What can't be so, by field.</summary>
    public IReadOnlyList<Problem> Problems()
    {
        var found = WithinAttribute.Outside(this).ToList();
        if (LightShareHigh < LightShareLow)
        {
            found.Add(new("lightShareHigh", "The most must not be below the least."));
        }

        return found;
    }
}
