using System.Globalization;
using PdfSharp.Drawing;
using Wendro.Care;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Record;

namespace Wendro.Formats.Pages;

/// <summary>For whom, and of which day, a sheet is.</summary>
/// <param name="Client">Her name.</param>
/// <param name="At">The visit's start, in the studio's time.</param>
public sealed record SheetOf(string Client, DateTimeOffset At)
{
    /// <summary>The day in words.</summary>
    public string Day => At.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);
}

/// <summary>What is printed and given away, as PDF in our own face.</summary>
public static class Sheets
{
    /// <summary>The media type.</summary>
    public const string MediaType = "application/pdf";

    /// <summary>After-care in a large face.</summary>
    /// <param name="of">For whom.</param>
    /// <param name="lines">What she does at home.</param>
    public static byte[] AfterCare(SheetOf of, IEnumerable<string> lines)
    {
        ArgumentNullException.ThrowIfNull(of);
        ArgumentNullException.ThrowIfNull(lines);
        using var sheet = new Sheet($"After-care for {of.Client}", 16);
        sheet.Title($"For {of.Client}");
        sheet.Text(of.Day);
        foreach (var line in lines.Where(l => !string.IsNullOrWhiteSpace(l)))
        {
            sheet.Point(line);
        }

        return sheet.Save();
    }

    /// <summary>What was said to the client, in the words used.</summary>
    /// <param name="of">For whom.</param>
    /// <param name="words">The words.</param>
    public static byte[] ClientNote(SheetOf of, string words)
    {
        ArgumentNullException.ThrowIfNull(of);
        using var sheet = new Sheet($"Note for {of.Client}", 14);
        sheet.Title($"For {of.Client}");
        sheet.Text(of.Day);
        sheet.Text(words);
        return sheet.Save();
    }

    /// <summary>What was done: steps, bowls as weighed, looks, what came out.</summary>
    /// <param name="of">For whom.</param>
    /// <param name="record">The record.</param>
    /// <param name="cameOut">The head as it left, as PNG: from three quarters and from behind, side by side.</param>
    public static byte[] RecipeCard(SheetOf of, VisitRecord record, byte[] cameOut)
    {
        ArgumentNullException.ThrowIfNull(of);
        ArgumentNullException.ThrowIfNull(record);
        using var sheet = new Sheet($"Recipe card of {of.Client}, {of.Day}");
        sheet.Title(of.Client);
        sheet.Text(
            record.ChairMinutes is { } minutes ? $"{of.Day}. {minutes:0} min in the chair. {record.Hands}" : of.Day
        );
        foreach (var step in record.Steps)
        {
            sheet.Heading(Capital(step.Words));
            sheet.Text(
                step.Longest is { } longest
                    ? $"{step.Panels} panels, on for {step.Shortest:0} to {longest:0} min."
                    : $"{step.Panels} panels."
            );
        }

        if (record.Bowls.Count > 0)
        {
            sheet.Heading("Bowls as weighed");
            sheet.Row(true, "What", "Poured", "Meant", "Lot");
            foreach (var bowl in record.Bowls)
            {
                sheet.Row(true, $"{bowl.Name}: {bowl.Words}", $"{bowl.Grams:0.0} g", string.Empty, string.Empty);
                foreach (var pour in bowl.Pours)
                {
                    sheet.Row(
                        false,
                        pour.Words,
                        $"{pour.Grams:0.0} g",
                        $"{pour.Meant:0.0} g",
                        pour.Lot ?? string.Empty
                    );
                }
            }
        }

        sheet.Heading("Came out");
        sheet.Text(record.Outcome.ToString());
        sheet.Picture(cameOut, PictureShare);
        if (record.Readings.Count > 0)
        {
            sheet.Row(true, "Where", "Planned", "Read", "Undertone");
            foreach (var reading in record.Readings)
            {
                sheet.Row(
                    false,
                    reading.Where,
                    $"{reading.Planned:0.0}",
                    $"{reading.CameOut:0.0}",
                    reading.Undertone ?? string.Empty
                );
            }
        }

        if (record.Toned.Count > 0)
        {
            sheet.Heading("Toned");
            foreach (var area in record.Toned)
            {
                sheet.Point($"{area.Name}, {area.Where}: {area.Shades}, {area.Minutes ?? area.Planned:0} min.");
            }
        }

        if (record.ToChange.Count > 0)
        {
            sheet.Heading("Next time");
            foreach (var change in record.ToChange)
            {
                sheet.Point(change.ToString());
            }
        }

        return sheet.Save();
    }

    /// <summary>How much of the sheet's width pictures of the head take.</summary>
    private const double PictureShare = 0.6;

    /// <summary>The chart of the panels with what each is painted with.</summary>
    /// <param name="of">For whom.</param>
    /// <param name="head">The head as planned.</param>
    public static byte[] Chart(SheetOf of, PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(of);
        ArgumentNullException.ThrowIfNull(head);
        using var sheet = new Sheet($"Chart of {of.Client}, {of.Day}");
        sheet.Title(of.Client);
        sheet.Text($"{of.Day}. Seen from above, the face at the top; numbered in the order they are painted.");
        var chart = new PanelChart(head);
        var (width, height) = PanelChart.Size;
        var scale = sheet.Width / width;
        sheet.Drawing(height * scale, on => Draw(on, chart, scale));
        foreach (var formula in head.Plan.Formulas.Where(f => head.Panels.Any(p => p.Coats.Any(c => c.Formula == f))))
        {
            sheet.Point($"{formula.Id}: {formula.Words}, {formula.Minutes.Value:0} min");
        }

        foreach (var zone in head.Panels.Where(p => p.Coats.Count > 0).GroupBy(p => p.Panel.Key.Zone))
        {
            sheet.Heading(Capital(ZoneFacts.Words(zone.Key)));
            foreach (
                var alike in zone.GroupBy(p => string.Join("; ", p.Coats.Select(c => PaintWords(c.Painted.Paint))))
            )
            {
                var starts = alike.Select(p => p.Painted!.StartCm).Order().ToArray();
                var from =
                    starts[^1] - starts[0] < 0.05
                        ? $"{starts[0]:0.0} cm from the scalp"
                        : $"{starts[0]:0.0} to {starts[^1]:0.0} cm from the scalp";
                sheet.Point($"{alike.Count()} panels: {alike.Key}, {from}");
            }
        }

        sheet.Text(Cautions.LeafletFirst);
        return sheet.Save();
    }

    private static string PaintWords(Wendro.Paint.PanelPaint paint) =>
        $"{paint.Formula}, {paint.Shape.Kind.ToString().ToLowerInvariant()}, "
        + $"{paint.Covering.ToString().ToLowerInvariant()}, blur {paint.BlurCm:0.#} cm";

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    private static void Draw(XGraphics on, PanelChart chart, double scale)
    {
        var pen = new XPen(XColors.Gray, 0.4);
        var font = Sheet.Font(6);
        foreach (var panel in chart.Panels)
        {
            var fill = new XSolidBrush(XColor.FromArgb(Convert.ToInt32(panel.Hex[1..], 16) | (255 << 24)));
            foreach (var outline in panel.Outlines)
            {
                var points = outline
                    .Select(p => PanelChart.At(p))
                    .Select(p => new XPoint(p.X * scale, p.Y * scale))
                    .ToArray();
                on.DrawPolygon(pen, fill, points, XFillMode.Winding);
            }
        }

        foreach (var panel in chart.Panels.Where(p => p.Number is not null))
        {
            var (x, y) = PanelChart.At(panel.Middle);
            on.DrawString(
                panel.Number!.Value.ToString(CultureInfo.InvariantCulture),
                font,
                PanelChart.IsLight(panel.Hex) ? XBrushes.Black : XBrushes.White,
                new XRect(x * scale - 10, y * scale - 4, 20, 8),
                XStringFormats.Center
            );
        }
    }
}
