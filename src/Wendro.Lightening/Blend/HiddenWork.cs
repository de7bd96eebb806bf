using Wendro.Fall;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>Work nobody sees: asked for by itself, for it looks at every way she wears her hair.</summary>
public static class HiddenWork
{
    /// <summary>The finding; null where little time goes into it.</summary>
    /// <param name="minutes">Minutes spent on panels hardly seen in any wear she uses.</param>
    /// <param name="panels">Those panels.</param>
    /// <param name="limits">How long is too long.</param>
    public static Finding? Of(double minutes, IReadOnlyList<PanelKey> panels, FindingLimits limits)
    {
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(limits);
        return minutes <= limits.HiddenMinutes
            ? null
            : new Finding(
                BlendFault.HiddenWork,
                Severity.Note,
                "Work nobody sees",
                $"{minutes:0} minutes go into {Findings.Panels(panels.Count).ToLowerInvariant()} hardly seen in "
                    + $"any wear.",
                $"Painting time of panels that make up under a fifth of what their hair would if all were seen "
                    + $"alike; more than {limits.HiddenMinutes:0} minutes counts.",
                [],
                panels,
                Wear.Down,
                [new("hidden work", minutes, "min"), new("panels", panels.Count, "panels")]
            );
    }
}
