namespace Wendro.Core.Fall;

/// <summary>How she wears her hair.</summary>
public enum Wear
{
    Down,
    TiedHigh,
}
