namespace Wendro.Plans;

/// <summary>Which of her sides.</summary>
public enum Side
{
    Left,
    Right,
}
