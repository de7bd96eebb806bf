using PdfSharp.Fonts;

namespace Wendro.Formats.Pages;

/// <summary>
/// The face of everything that is printed: it ships with the program, nothing is looked for on the machine.
/// </summary>
internal sealed class OurFont : IFontResolver
{
    /// <summary>What it is called.</summary>
    public const string Family = "Atkinson Hyperlegible Next";

    private const string Regular = "AtkinsonHyperlegibleNext_400Regular",
        Bold = "AtkinsonHyperlegibleNext_700Bold";

    private static readonly Lock Once = new();

    /// <summary>Has it used; to be called before the first sheet.</summary>
    public static void Use()
    {
        lock (Once)
        {
            GlobalFontSettings.FontResolver ??= new OurFont();
        }
    }

    /// <inheritdoc/>
    public FontResolverInfo ResolveTypeface(string familyName, bool bold, bool italic) => new(bold ? Bold : Regular);

    /// <inheritdoc/>
    public byte[] GetFont(string faceName)
    {
        using var stream = typeof(OurFont).Assembly.GetManifestResourceStream(faceName)!;
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        return memory.ToArray();
    }
}
