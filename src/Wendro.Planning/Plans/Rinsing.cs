using System.Text.Json.Serialization;

namespace Wendro.Plans;

/// <summary>How the panels of a step are rinsed.</summary>
public enum Rinsing
{
    /// <summary>In as many rinses as end soonest, each panel within its window.</summary>
    [JsonStringEnumMemberName("inWaves")]
    InRinses,

    /// <summary>All at once when the last is painted.</summary>
    Once,
}
