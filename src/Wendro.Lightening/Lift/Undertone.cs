namespace Wendro.Lift;

/// <summary>The warm pigment laid bare at a level. Source: trade.</summary>
public static class Undertone
{
    private static readonly string[] Names =
    [
        "deep red-brown",
        "deep red-brown",
        "red-brown",
        "red",
        "red-orange",
        "orange",
        "yellow-orange",
        "yellow",
        "light yellow",
        "palest yellow",
    ];

    /// <summary>Undertone of the nearest whole level.</summary>
    /// <param name="level">1..10.</param>
    public static string At(double level) =>
        Names[Math.Clamp((int)Math.Round(level, MidpointRounding.AwayFromZero), 1, 10) - 1];

    /// <summary>All of them, darkest first.</summary>
    public static IReadOnlyList<string> All { get; } = Names.Distinct().ToArray();

    /// <summary>
    /// The level an undertone belongs to, in words as <see cref="At"/> says it; null for none of them.
    /// </summary>
    public static double? LevelOf(string undertone)
    {
        var at = Array.LastIndexOf(Names, undertone);
        return at < 0 ? null : at + 1;
    }
}
