using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>Words that labels of edits share.</summary>
internal static class Say
{
    public static string The(Zone zone) => $"the {ZoneFacts.Words(zone)}";

    public static string Count(IReadOnlyList<PanelKey>? panels) =>
        panels?.Count == 1 ? "1 panel" : $"{panels?.Count ?? 0} panels";

    public static string Side(Side side) => side == Plans.Side.Left ? "left" : "right";
}
