using PdfSharp.Drawing;
using PdfSharp.Pdf;

namespace Wendro.Formats.Pages;

/// <summary>A sheet of A4 that is written from the top; where it is full another follows.</summary>
internal sealed class Sheet : IDisposable
{
    private const double Margin = 56,
        Leading = 1.38;

    private readonly PdfDocument document = new();
    private readonly double size;
    private PdfPage page = null!;
    private XGraphics on = null!;
    private double y;

    /// <param name="title">What it is, for whoever files it.</param>
    /// <param name="size">How large its text is, points.</param>
    public Sheet(string title, double size = 11)
    {
        OurFont.Use();
        this.size = size;
        document.Info.Title = title;
        document.Info.Creator = "Wendro";
        Turn();
    }

    /// <summary>Room across, points.</summary>
    public double Width => page.Width.Point - 2 * Margin;

    /// <summary>A title, large.</summary>
    public void Title(string words) => Write(words, size * 2, true, size * 0.5);

    /// <summary>A heading.</summary>
    public void Heading(string words)
    {
        // A heading does not stand alone at the foot of a page.
        Need(size * (0.7 + 2.4 * Leading));
        y += size * 0.7;
        Write(words, size * 1.2, true, size * 0.2);
    }

    /// <summary>A paragraph.</summary>
    public void Text(string words) => Write(words, size, false, size * 0.4);

    /// <summary>A point of a list.</summary>
    public void Point(string words)
    {
        Need(size * Leading);
        on.DrawEllipse(XBrushes.Black, Margin, y + size * 0.55, size * 0.28, size * 0.28);
        Write(words, size, false, size * 0.45, size * 1.1);
    }

    /// <summary>A line of cells; the first is as wide as what the others leave.</summary>
    public void Row(bool bold, params string[] cells)
    {
        var font = Font(size, bold);
        var each = Width * 0.62 / Math.Max(1, cells.Length - 1);
        var first = Width - each * (cells.Length - 1);
        var lines = cells.Select((c, i) => Broken(c, font, (i == 0 ? first : each) - 6)).ToArray();
        var rows = lines.Max(l => l.Count);
        Need(rows * size * Leading + 4);
        for (var i = 0; i < cells.Length; i++)
        {
            var x = Margin + (i == 0 ? 0 : first + each * (i - 1));
            for (var n = 0; n < lines[i].Count; n++)
            {
                on.DrawString(lines[i][n], font, XBrushes.Black, x, y + size + n * size * Leading);
            }
        }

        y += rows * size * Leading + 4;
        on.DrawLine(new XPen(XColors.LightGray, 0.5), Margin, y, Margin + Width, y);
        y += 2;
    }

    /// <summary>A drawing across the sheet.</summary>
    /// <param name="height">How high, points.</param>
    /// <param name="draw">Draws it, its top left corner at 0, 0.</param>
    public void Drawing(double height, Action<XGraphics> draw)
    {
        Need(height);
        var state = on.Save();
        on.TranslateTransform(Margin, y);
        draw(on);
        on.Restore(state);
        y += height + size;
    }

    /// <summary>A picture.</summary>
    /// <param name="png">It, as PNG.</param>
    /// <param name="share">How much of the sheet's width it takes, 0..1.</param>
    public void Picture(byte[] png, double share)
    {
        using var stream = new MemoryStream(png);
        using var image = XImage.FromStream(stream);
        var width = Width * share;
        var height = width * image.PixelHeight / image.PixelWidth;
        Drawing(height, on => on.DrawImage(image, 0, 0, width, height));
    }

    /// <summary>The sheet as a file.</summary>
    public byte[] Save()
    {
        on.Dispose();
        using var memory = new MemoryStream();
        document.Save(memory, closeStream: false);
        return memory.ToArray();
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        on.Dispose();
        document.Dispose();
    }

    /// <summary>Our face in a size, points.</summary>
    public static XFont Font(double size, bool bold = false) =>
        new(OurFont.Family, size, bold ? XFontStyleEx.Bold : XFontStyleEx.Regular);

    private void Write(string words, double points, bool bold, double after, double indent = 0)
    {
        var font = Font(points, bold);
        foreach (var line in Broken(words, font, Width - indent))
        {
            Need(points * Leading);
            on.DrawString(line, font, XBrushes.Black, Margin + indent, y + points);
            y += points * Leading;
        }

        y += after;
    }

    private List<string> Broken(string words, XFont font, double width)
    {
        var lines = new List<string>();
        foreach (var paragraph in words.ReplaceLineEndings("\n").Split('\n'))
        {
            var line = string.Empty;
            foreach (var word in paragraph.Split(' ').SelectMany(w => Fitting(w, font, width)))
            {
                var longer = line.Length == 0 ? word : $"{line} {word}";
                if (line.Length > 0 && on.MeasureString(longer, font).Width > width)
                {
                    lines.Add(line);
                    longer = word;
                }

                line = longer;
            }

            lines.Add(line);
        }

        return lines;
    }

    /// <summary>A word too long for a line is broken where the line ends.</summary>
    private IEnumerable<string> Fitting(string word, XFont font, double width)
    {
        while (word.Length > 1 && on.MeasureString(word, font).Width > width)
        {
            var fits = word.Length - 1;
            while (fits > 1 && on.MeasureString(word[..fits], font).Width > width)
            {
                fits--;
            }

            yield return word[..fits];
            word = word[fits..];
        }

        yield return word;
    }

    private void Need(double height)
    {
        if (y + height > page.Height.Point - Margin)
        {
            on.Dispose();
            Turn();
        }
    }

    private void Turn()
    {
        page = document.AddPage();
        page.Size = PdfSharp.PageSize.A4;
        on = XGraphics.FromPdfPage(page);
        y = Margin;
    }
}
