using System.Text.Json.Serialization;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>How back and front are made to end together.</summary>
public enum ServiceOptionKind
{
    /// <summary>The plan as it is.</summary>
    AsPlanned,

    /// <summary>The plan as it is, all rinsed in one rinse at the end: what rinses are worth.</summary>
    AtOnce,

    /// <summary>The plan as it is, in rinses, where it would be rinsed once.</summary>
    [JsonStringEnumMemberName("inWaves")]
    InRinses,

    /// <summary>The same developers, zones worked in another order that ends sooner.</summary>
    ByOrder,

    /// <summary>One strength for all, rinsed in rinses in the order painted.</summary>
    ByRinse,

    /// <summary>Weaker where it is painted first, stronger where it is painted last, rinsed at once.</summary>
    ByDeveloper,

    /// <summary>Weaker first, and in rinses.</summary>
    Both,
}

/// <summary>One way through a visit, tried out.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Label">What it does.</param>
/// <param name="Edit">The change of the plan that makes it so; null for the plan as it is.</param>
/// <param name="Visit">The visit on the clock.</param>
/// <param name="LevelsApart">How far what is seen of its zones lies from the plan as it is, levels, mean.</param>
/// <param name="IsStronger">Whether something is mixed stronger than planned: only an offer.</param>
public sealed record ServiceOption(
    ServiceOptionKind Kind,
    Sentence Label,
    PlanEdit? Edit,
    VisitOnClock Visit,
    double LevelsApart,
    bool IsStronger = false
)
{
    /// <summary>Bowls it takes.</summary>
    public int Bowls => Visit.Mix.Bowls.Count;

    /// <summary>Developers it mixes with, volume, weakest first.</summary>
    public IReadOnlyList<double> Volumes =>
        Visit
            .Mix.Formulas()
            .Where(f => !f.Formula.IsDeposit)
            .Select(f => f.Formula.Volume.Value)
            .Distinct()
            .Order()
            .ToArray();
}
