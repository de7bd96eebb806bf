namespace Wendro.Core.Lift;

/// <summary>How a mixture holds: right keeps a soft peak.</summary>
public enum Consistency { Right, Runny, Stiff }

/// <summary>What is mixed for some of the panels, and how long it works: a lightener, or a deposit where a level to colour to is given.</summary>
/// <param name="Id">A letter, A to E.</param>
/// <param name="Lightener">What lightens; says nothing for a deposit.</param>
/// <param name="Volume">Developer, volume, 5..40.</param>
/// <param name="Minutes">Minutes until it is rinsed, 1..120.</param>
/// <param name="DepositLevel">The level it colours to, 1..10: a lowlight or root stretch; null for a lightener.</param>
/// <param name="Consistency">How it holds.</param>
public sealed record Formula(
    string Id,
    Lightener Lightener,
    double Volume,
    double Minutes,
    double? DepositLevel = null,
    Consistency Consistency = Consistency.Right)
{
    /// <summary>The usual start: clay, 30 vol, 40 minutes.</summary>
    public static Formula Usual { get; } = new("A", Lightener.Clay, 30, 40);

    /// <summary>Whether it colours instead of lightening.</summary>
    public bool IsDeposit => DepositLevel is not null;

    /// <summary>In plain words: "clay, 30 vol".</summary>
    public string Words => DepositLevel is { } level ? $"deposit level {level:0.#}, {Volume:0.#} vol" : $"{Remedies.Words(Lightener)}, {Volume:0.#} vol";
}
