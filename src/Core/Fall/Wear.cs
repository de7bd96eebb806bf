namespace Wendro.Core.Fall;

/// <summary>How she wears her hair.</summary>
public enum Wear
{
    /// <summary>Hanging from the part.</summary>
    Down,

    /// <summary>All of it tied at the crown.</summary>
    TiedHigh,

    /// <summary>All of it tied at the nape.</summary>
    TiedLow,

    /// <summary>The upper hair tied at the back of the head, the rest hanging.</summary>
    HalfUp,
}
