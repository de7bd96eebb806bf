namespace Wendro.Fall;

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

    /// <summary>Hanging, with the part moved to the other side.</summary>
    OtherPart,

    /// <summary>The front tucked behind both ears, the rest hanging.</summary>
    Tucked,

    /// <summary>Combed back from the face without a part.</summary>
    SweptBack,

    /// <summary>Hanging, wet from rinsing: how it is read before toning, never how she wears it.</summary>
    Wet,
}

/// <summary>How she wears her hair's texture.</summary>
public enum Styling
{
    /// <summary>As it grows.</summary>
    Own,

    /// <summary>Blown or pressed straight.</summary>
    Straight,

    /// <summary>Waved.</summary>
    Waved,
}

/// <summary>What follows from a wear.</summary>
public static class WearFacts
{
    /// <summary>Whether hair is held by a tie.</summary>
    public static bool IsTied(Wear wear) => wear is Wear.TiedHigh or Wear.TiedLow or Wear.HalfUp;

    /// <summary>Whether a client can wear her hair so; wet it only is for a while.</summary>
    public static bool IsWorn(Wear wear) => wear != Wear.Wet;

    /// <summary>Whether the ears show.</summary>
    public static bool ShowsEars(Wear wear) => wear is Wear.TiedHigh or Wear.TiedLow or Wear.Tucked or Wear.SweptBack;
}
