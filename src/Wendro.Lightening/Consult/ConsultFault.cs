using Wendro.Blend;

namespace Wendro.Consult;

/// <summary>What the consultation finds wrong with a plan.</summary>
public static class ConsultFault
{
    /// <summary>What grows shows before the client comes again.</summary>
    public static FindingKind RegrowthShows { get; } = new(nameof(RegrowthShows), 100);

    /// <summary>A test is missing.</summary>
    public static FindingKind TestsMissing { get; } = new(nameof(TestsMissing), 101, keepsSafe: true);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<FindingKind> All { get; } = FindingKind.Of(typeof(ConsultFault));
}
