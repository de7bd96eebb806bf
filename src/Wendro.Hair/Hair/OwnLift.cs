using Wendro.Units;

namespace Wendro.Hair;

/// <summary>
/// How this client's hair lifts against the tables, as her strand tests tell it, and how sure that is.
/// </summary>
/// <param name="Speed">Factor on the speed of lift, above 0; 1 as tabled.</param>
/// <param name="CapLevels">Offset of what a product lifts at most, levels; 0 as tabled.</param>
/// <param name="SpeedSpread">Standard deviation of the natural logarithm of <paramref name="Speed"/>.</param>
/// <param name="CapSpread">Standard deviation of <paramref name="CapLevels"/>, levels.</param>
/// <param name="Together">Correlation of the two, −1..1.</param>
public sealed record OwnLift(
    [property: Within(0.1, 10)] double Speed,
    [property: Within(-5, 5, "levels")] double CapLevels,
    [property: Within(0, 2)] double SpeedSpread,
    [property: Within(0, 5, "levels")] double CapSpread,
    [property: Within(-1, 1)] double Together
)
{
    /// <summary>Before any reading: clients differ by about this much. Model assumption.</summary>
    public static OwnLift Unread { get; } = new(1, 0, 0.3, 0.6, 0);

    /// <summary>
    /// The same at a later visit: hair, water and season change a little. Spreads in the logarithm of speed and in
    /// levels. Model assumption.
    /// </summary>
    public OwnLift Later() =>
        this with
        {
            SpeedSpread = double.Hypot(SpeedSpread, SpeedDrift),
            CapSpread = double.Hypot(CapSpread, CapDrift),
        };

    private const double SpeedDrift = 0.14,
        CapDrift = 0.15;
}
