using Wendro.Blend;
using Wendro.Consult;
using Wendro.Mix;

namespace Wendro.Plans;

/// <summary>Every kind of finding a plan can have, from all the rooms that find them.</summary>
public static class FindingKinds
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<FindingKind> All { get; } = [.. BlendFault.All, .. ConsultFault.All, .. MixFault.All];

    /// <summary>Whether a finding, told by its id, keeps people safe, so that it can't be set aside.</summary>
    public static bool KeepsSafe(string id)
    {
        ArgumentNullException.ThrowIfNull(id);
        return All.Any(k => k.KeepsSafe && k.Name == id.Split(':')[0]);
    }
}
