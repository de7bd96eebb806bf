using Wendro.Units;

namespace Wendro.Plans;

/// <summary>How many clients can be seen to at once.</summary>
/// <param name="Pairs">Pairs of hands, 1..9.</param>
/// <param name="Basins">Basins to rinse and wash at, 1..9.</param>
public sealed record SalonCapacity(
    [property: Within(1, SalonCapacity.Most, "pairs of hands")] int Pairs = 1,
    [property: Within(1, SalonCapacity.Most, "basins")] int Basins = 1
)
{
    /// <summary>The most of each.</summary>
    public const int Most = 9;

    /// <summary>Somebody who works alone.</summary>
    public static SalonCapacity Usual { get; } = new();

    /// <summary>What can't be taken, by field.</summary>
    public IReadOnlyList<Problem> Problems() => WithinAttribute.Outside(this).ToArray();
}
