using System.Text;

namespace Wendro.Store;

/// <summary>Names as one types them in haste: small letters, without their marks.</summary>
internal static class Loosely
{
    /// <summary>
    /// Letters with marks, by the letter they are typed as. The program runs without a table of the world's letters;
    /// these are the Latin ones.
    /// </summary>
    private static readonly Dictionary<char, string> Plain = new (string Plain, string Marked)[]
    {
        ("a", "àáâãäåāăą"),
        ("c", "çćčĉċ"),
        ("d", "ďđð"),
        ("e", "èéêëēĕėęě"),
        ("g", "ğĝġģ"),
        ("h", "ĥħ"),
        ("i", "ìíîïĩīĭįı"),
        ("j", "ĵ"),
        ("k", "ķ"),
        ("l", "łĺļľ"),
        ("n", "ñńņň"),
        ("o", "òóôõöøōŏő"),
        ("r", "ŕŗř"),
        ("s", "śŝşšș"),
        ("t", "ţťŧț"),
        ("u", "ùúûüũūŭůűų"),
        ("w", "ŵ"),
        ("y", "ýÿŷ"),
        ("z", "źżž"),
        ("ae", "æ"),
        ("oe", "œ"),
        ("ss", "ß"),
        ("th", "þ"),
    }
        .SelectMany(p => p.Marked.Select(m => (m, p.Plain)))
        .ToDictionary(p => p.m, p => p.Plain);

    /// <summary>A text as it is typed in haste.</summary>
    public static string Typed(string text)
    {
        var typed = new StringBuilder(text.Length);
        foreach (var letter in text.ToLowerInvariant())
        {
            typed.Append(Plain.TryGetValue(letter, out var plain) ? plain : letter);
        }

        return typed.ToString();
    }
}
