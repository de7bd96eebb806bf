namespace Wendro.Patterns;

/// <summary>The patterns a studio starts with: one for each of the trade's techniques.</summary>
public static class StartingPatterns
{
    /// <summary>All of them, family by family.</summary>
    public static IReadOnlyList<Pattern> All { get; } =
    [
        .. new[]
        {
            WholeHead.Patterns,
            FaceFirst.Patterns,
            DarkHair.Patterns,
            Curls.Patterns,
            DepthAndColour.Patterns,
            SecondVisits.Patterns,
            AtHome.Patterns,
        }.SelectMany(family => family),
    ];

    /// <summary>A pattern by its short name; null if there is none.</summary>
    public static Pattern? Of(string? id) => All.FirstOrDefault(p => p.Id == id);
}
