namespace Wendro.Photographs;

/// <summary>When in a visit a photograph was taken: the same set every time.</summary>
public enum PhotoMoment
{
    Before,
    Painted,
    Rinsed,
    Toned,
}
