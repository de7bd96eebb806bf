using System.Globalization;
using System.Text;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Head;
using Wendro.Plans;

namespace Wendro.Formats.Pages;

/// <summary>A panel on the chart.</summary>
/// <param name="Key">Which.</param>
/// <param name="Outlines">Its corners on the crown map, cm.</param>
/// <param name="Hex">Its colour, #rrggbb.</param>
/// <param name="Number">When it is painted, from 1; null where it is left natural.</param>
/// <param name="Middle">Where its number stands.</param>
public sealed record ChartPanel(
    string Key,
    IReadOnlyList<IReadOnlyList<MapPoint>> Outlines,
    string Hex,
    int? Number,
    MapPoint Middle
);

/// <summary>The crown map with its panels as they will be, numbered in the order they are painted.</summary>
public sealed class PanelChart
{
    /// <summary>The map's edges, cm.</summary>
    private const double Left = -17,
        Right = 17,
        Front = 13,
        Behind = -20;

    private readonly ChartPanel[] panels;

    /// <param name="head">The head as planned.</param>
    public PanelChart(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var order = head
            .Working.Where(k => head.PanelOf(k)!.Coats.Count > 0)
            .Select((k, i) => (k, Number: i + 1))
            .ToDictionary(k => k.k, k => k.Number);
        panels = head
            .Panels.Select(p =>
            {
                var (level, tint) = p.Brightest(head.Hair, Moment.Rinsed);
                return new ChartPanel(
                    p.Panel.Key.ToString(),
                    p.Panel.Outlines.Select(o => (IReadOnlyList<MapPoint>)o.Corners.Select(c => c.Map).ToArray())
                        .ToArray(),
                    LevelColours.HexOf(Palette.Raw.Colour(level, tint)),
                    order.TryGetValue(p.Panel.Key, out var n) ? n : null,
                    p.Panel.Centre.Map
                );
            })
            .ToArray();
    }

    /// <summary>The panels.</summary>
    public IReadOnlyList<ChartPanel> Panels => panels;

    /// <summary>Width and height of the map, cm.</summary>
    public static (double Width, double Height) Size => (Right - Left, Front - Behind);

    /// <summary>A place of the map from its upper left corner, cm: her face at the top.</summary>
    public static (double X, double Y) At(MapPoint place) => (Right - place.X, Front - place.Y);

    /// <summary>Whether dark letters are read on a colour.</summary>
    public static bool IsLight(string hex)
    {
        ArgumentNullException.ThrowIfNull(hex);
        int Part(int at) => int.Parse(hex.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture);
        return 0.3 * Part(1) + 0.59 * Part(3) + 0.11 * Part(5) > 120;
    }

    /// <summary>The chart as SVG, a centimetre of the map ten units; each panel says its key.</summary>
    public string ToSvg()
    {
        static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
        var (width, height) = Size;
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"""
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {N(width * 10)} {N(
                height * 10
            )}" font-family="sans-serif" font-size="7" text-anchor="middle">
            <title>Panels as planned, numbered in the order they are painted</title>

            """
        );
        foreach (var panel in panels)
        {
            svg.Append(CultureInfo.InvariantCulture, $"<g data-panel=\"{panel.Key}\">");
            foreach (var outline in panel.Outlines)
            {
                var points = string.Join(' ', outline.Select(p => At(p)).Select(p => $"{N(p.X * 10)},{N(p.Y * 10)}"));
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<polygon points=\"{points}\" fill=\"{panel.Hex}\" stroke=\"#d8d8d2\" stroke-width=\"0.6\"/>"
                );
            }

            if (panel.Number is { } number)
            {
                var (x, y) = At(panel.Middle);
                var ink = IsLight(panel.Hex) ? "#111" : "#fff";
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<text x=\"{N(x * 10)}\" y=\"{N(y * 10 + 2.4)}\" fill=\"{ink}\">{number}</text>"
                );
            }

            svg.Append("</g>\n");
        }

        return svg.Append("</svg>\n").ToString();
    }
}
