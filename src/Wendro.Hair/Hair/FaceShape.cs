namespace Wendro.Hair;

/// <summary>The shape of a face, as it moves where light and depth lie about it.</summary>
public enum FaceShape
{
    Oval,
    Round,
    Square,
    Long,
    Heart,
}
