namespace Wendro.Scheduling;

/// <summary>How large a rinse is that has to be before painting goes on.</summary>
internal enum RinseSize
{
    /// <summary>No more than what lets painting go on.</summary>
    Least,

    /// <summary>All that may be rinsed by then.</summary>
    Ready,

    /// <summary>Half between.</summary>
    Half,

    /// <summary>All that is painted, waited for.</summary>
    Whole,
}

/// <summary>Which panels are rinsed first.</summary>
internal enum RinsePriority
{
    /// <summary>What is over first.</summary>
    Over,

    /// <summary>What may be rinsed first.</summary>
    Ready,

    /// <summary>What was painted first.</summary>
    Painted,
}

/// <summary>How a schedule is made quickly.</summary>
/// <param name="Order">Groups in the order they are painted.</param>
/// <param name="Taking">How large early rinses are.</param>
/// <param name="First">Which panels are rinsed first.</param>
/// <param name="Eager">
/// For each group by its place in the order, the share of what may be rinsed that is rinsed before it though it could
/// wait, 0..1.
/// </param>
internal sealed record GreedyRules(
    IReadOnlyList<int> Order,
    RinseSize Taking,
    RinsePriority First,
    IReadOnlyList<double> Eager
);
