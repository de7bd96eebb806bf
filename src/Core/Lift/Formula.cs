namespace Wendro.Core.Lift;

/// <summary>What is mixed for some of the panels, and how long it works.</summary>
/// <param name="Id">A letter, A to E.</param>
/// <param name="Lightener">What lightens.</param>
/// <param name="Volume">Developer, volume, 5..40.</param>
/// <param name="Minutes">Minutes until it is rinsed, 1..120.</param>
public sealed record Formula(string Id, Lightener Lightener, double Volume, double Minutes)
{
    /// <summary>The usual start: clay, 30 vol, 40 minutes.</summary>
    public static Formula Usual { get; } = new("A", Lightener.Clay, 30, 40);

    /// <summary>In plain words: "clay, 30 vol".</summary>
    public string Words => $"{Remedies.Words(Lightener)}, {Volume:0.#} vol";
}
