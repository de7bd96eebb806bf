namespace Wendro.Mix;

/// <summary>When a weight on the bench scale stands, so that it is taken without a hand. House assumptions.</summary>
/// <param name="LeastBowlGrams">Lighter than this nothing counts as a bowl, g.</param>
/// <param name="MetMs">How long a weight within its mark must stand, ms.</param>
/// <param name="OverMs">How long one beyond its mark must stand, ms: a hand may still take some back.</param>
/// <param name="StillGrams">What changes by less still stands, g.</param>
/// <param name="MoreGrams">So much more on the scale while a question is open was poured, g.</param>
public sealed record Settling(double LeastBowlGrams, double MetMs, double OverMs, double StillGrams, double MoreGrams)
{
    /// <summary>As it is usually judged.</summary>
    public static Settling Usual { get; } = new(20, 700, 1300, 0.4, 0.3);
}
