using Wendro.Blend;
using Wendro.Hair;
using Wendro.Plans;

namespace Wendro.Patterns;

/// <summary>Some edits of a plan and why they are made.</summary>
/// <param name="Why">One sentence.</param>
/// <param name="Edits">In order.</param>
public sealed record PatternStep(string Why, IReadOnlyList<PlanEdit> Edits);

/// <summary>Families of work.</summary>
public enum PatternFamily
{
    WholeHead,
    FaceFirst,
    DarkHair,
    Curl,
    DepthAndColour,
    SecondVisits,
    AtHome,
}

/// <summary>A way to start a head: a list of plan edits with a sentence why, fitted to the client.</summary>
/// <param name="Id">Short name, for addresses.</param>
/// <param name="Name">What the studio calls it.</param>
/// <param name="For">What it is for, in a few words.</param>
/// <param name="Family">Which of the trade's families of work it belongs to.</param>
/// <param name="Sketch">Draws it on a head.</param>
/// <param name="Against">Why it does not suit a client; null where nothing speaks against it.</param>
public sealed record Pattern(
    string Id,
    string Name,
    string For,
    PatternFamily Family,
    Action<Sketch> Sketch,
    Func<HairProfile, string?> Against
)
{
    /// <summary>It suits everybody.</summary>
    internal static string? Always(HairProfile hair) => null;

    /// <summary>
    /// The steps that lead from a plan to this pattern, fitted to the client's head, length and part.
    /// </summary>
    /// <param name="plan">The plan as it is; its paint gives way.</param>
    /// <param name="cutting">The head and hair it is planned on.</param>
    /// <param name="house">How the studio usually works: what it mixes where the pattern says nothing.</param>
    public IReadOnlyList<PatternStep> StepsFor(Plan plan, Cutting cutting, HouseRules house)
    {
        var sketch = new Sketch(plan, cutting, house);
        Sketch(sketch);
        return sketch.Steps;
    }
}
