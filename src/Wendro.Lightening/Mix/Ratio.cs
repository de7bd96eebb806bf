namespace Wendro.Mix;

/// <summary>Lightener and developer in a bowl, g.</summary>
/// <param name="LightenerGrams">Lightener.</param>
/// <param name="DeveloperGrams">Developer.</param>
public sealed record Bowl(double LightenerGrams, double DeveloperGrams)
{
    /// <summary>All that is in it, g.</summary>
    public double TotalGrams => LightenerGrams + DeveloperGrams;
}

/// <summary>What restores a ratio after too much of one part was poured.</summary>
/// <param name="AddLightenerGrams">Lightener to add, g, 0 or more.</param>
/// <param name="AddDeveloperGrams">Developer to add, g, 0 or more.</param>
/// <param name="TotalGrams">All that is in the bowl then, g.</param>
/// <param name="Fits">Whether the bowl holds it.</param>
/// <param name="RatioNow">Parts of developer to one of lightener as it is now.</param>
public sealed record Rescue(
    double AddLightenerGrams,
    double AddDeveloperGrams,
    double TotalGrams,
    bool Fits,
    double RatioNow
);

/// <summary>Proportions that came out wrong and are made right by adding alone.</summary>
public static class Proportions
{
    /// <summary>How much of each part to add so that all stand as they were meant again.</summary>
    /// <param name="meant">Parts as meant, above 0.</param>
    /// <param name="there">What is there of each, g, 0 or more.</param>
    /// <returns>Grams there are then to each part as meant, and what to add of each, g, 0 or more.</returns>
    public static (double GramsAPart, IReadOnlyList<double> Adds) Restore(
        IReadOnlyList<double> meant,
        IReadOnlyList<double> there
    )
    {
        ArgumentNullException.ThrowIfNull(meant);
        ArgumentNullException.ThrowIfNull(there);
        var most = meant.Select((m, i) => there[i] / m).Max();
        return (most, meant.Select((m, i) => there[i] / m >= most ? 0 : m * most - there[i]).ToArray());
    }
}

/// <summary>Parts of lightener to parts of developer, by mass.</summary>
/// <param name="Lightener">Parts of lightener, above 0.</param>
/// <param name="Developer">Parts of developer, above 0.</param>
public sealed record Ratio(double Lightener, double Developer)
{
    /// <summary>So many grams mixed at this ratio.</summary>
    /// <param name="grams">All of it, g.</param>
    public Bowl Of(double grams)
    {
        var lightener = grams * Lightener / (Lightener + Developer);
        return new Bowl(lightener, grams - lightener);
    }

    /// <summary>What to add to a bowl so that it has this ratio again: nothing is taken out.</summary>
    /// <param name="bowl">What is in it.</param>
    /// <param name="holdsGrams">What it holds in all, g; null where nobody minds.</param>
    public Rescue Restore(Bowl bowl, double? holdsGrams)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        var (_, adds) = Proportions.Restore([Lightener, Developer], [bowl.LightenerGrams, bowl.DeveloperGrams]);
        var total = bowl.TotalGrams + adds.Sum();
        return new Rescue(
            adds[0],
            adds[1],
            total,
            holdsGrams is not { } holds || total <= holds,
            bowl.DeveloperGrams / bowl.LightenerGrams
        );
    }
}
