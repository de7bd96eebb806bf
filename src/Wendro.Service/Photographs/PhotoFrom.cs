namespace Wendro.Photographs;

/// <summary>
/// From where a photograph was taken: the same five every time, so that one visit can be held beside another.
/// </summary>
public enum PhotoFrom
{
    /// <summary>The parting, from above.</summary>
    Parting,

    /// <summary>The client's left side.</summary>
    Left,

    /// <summary>The client's right side.</summary>
    Right,

    /// <summary>The back, hair down.</summary>
    Back,

    /// <summary>Tied back, as the client ties it.</summary>
    Tied,
}
