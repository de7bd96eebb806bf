using System.Globalization;
using System.Security;
using System.Text;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Formats.Pages;

/// <summary>A panel hung flat, scalp at the top, as SVG: how it will look, and its section cut through.</summary>
public static class StripDrawing
{
    private const double Wide = 104,
        Gap = 16,
        SectionWide = 40,
        Scale = 34,
        Margin = 12;

    private const int EachCm = 5;

    /// <summary>The strip, a centimetre of hair ten units; centimetres from the scalp at its left.</summary>
    /// <param name="strip">The strip.</param>
    /// <param name="lengthCm">How long its hair is, cm.</param>
    /// <param name="words">Which panel it is.</param>
    public static string ToSvg(Strip strip, double lengthCm, string words)
    {
        ArgumentNullException.ThrowIfNull(strip);
        var high = lengthCm * 10;
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"""
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {N(Scale + Wide + Gap + SectionWide + Margin)} {N(
                high + 2 * Margin
            )}" font-family="sans-serif" font-size="8" text-anchor="end">
            <title>{SecurityElement.Escape(words)}</title>

            """
        );
        for (var cm = 0; cm <= lengthCm; cm += EachCm)
        {
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<text x=\"{N(Scale - 6)}\" y=\"{N(Margin + cm * 10 + 3)}\">{cm} cm</text>\n"
            );
        }

        Cells(svg, "strip", Scale, Wide, high, strip.Rows, strip.Columns, strip.Levels, strip.Tints);
        Cells(
            svg,
            "section",
            Scale + Wide + Gap,
            SectionWide,
            high,
            strip.Rows,
            strip.Layers,
            strip.Section,
            strip.SectionTints
        );
        return svg.Append("</svg>\n").ToString();
    }

    /// <summary>Cells of one colour beside each other are drawn as one.</summary>
    private static void Cells(
        StringBuilder svg,
        string name,
        double left,
        double wide,
        double high,
        int rows,
        int columns,
        byte[] levels,
        byte[] tints
    )
    {
        svg.Append(CultureInfo.InvariantCulture, $"<g data-part=\"{name}\" shape-rendering=\"crispEdges\">\n");
        var (across, down) = (wide / columns, high / rows);
        for (var r = 0; r < rows; r++)
        {
            for (var c = 0; c < columns; )
            {
                var at = r * columns + c;
                var to = c + 1;
                while (to < columns && levels[at + to - c] == levels[at] && tints[at + to - c] == tints[at])
                {
                    to++;
                }

                var hex = LevelColours.HexOf(Palette.Raw.Colour(Level.FromByte(levels[at]), new Tint(tints[at])));
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<rect x=\"{N(left + c * across)}\" y=\"{N(Margin + r * down)}\" width=\"{N(
                        (to - c) * across
                    )}\" height=\"{N(down + 0.3)}\" fill=\"{hex}\"/>\n"
                );
                c = to;
            }
        }

        svg.Append("</g>\n");
    }

    private static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
}
