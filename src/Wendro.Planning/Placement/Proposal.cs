using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Plans;

namespace Wendro.Placement;

/// <summary>A goal that a proposal does not meet.</summary>
/// <param name="Goal">Which.</param>
/// <param name="Wanted">What she wants.</param>
/// <param name="Reached">What comes out.</param>
/// <param name="Unit">Of what.</param>
/// <param name="Because">Why not.</param>
public sealed record Unmet(
    [property: JsonPropertyName("wish")] string Goal,
    double Wanted,
    double Reached,
    string Unit,
    string Because
);

/// <summary>A plan proposed for the wanted look.</summary>
/// <param name="Strength">What it is good at.</param>
/// <param name="Name">That, in words.</param>
/// <param name="Edit">The plan as one edit.</param>
/// <param name="Head">The plan on her head, judged in full.</param>
/// <param name="Outcome">What comes out.</param>
/// <param name="LookedUp">What the search took it for: sums over every second strand.</param>
/// <param name="Distance">How far from the wanted look: less is nearer.</param>
/// <param name="Score">The objective it was found by.</param>
/// <param name="Unmet">Wishes it does not meet, and why.</param>
/// <param name="GivesUp">What it gives up against the others, in words.</param>
public sealed record Proposal(
    Strength Strength,
    string Name,
    Together Edit,
    PlannedHead Head,
    Outcome Outcome,
    Outcome LookedUp,
    double Distance,
    double Score,
    IReadOnlyList<Unmet> Unmet,
    IReadOnlyList<string> GivesUp
)
{
    /// <summary>Zones that lie behind the hairline when hair is tied back.</summary>
    internal static bool IsBehind(Zone zone) =>
        !ZoneFacts.IsFaceFrame(zone) && zone is not Zone.Nape and not Zone.LowerBack;

    /// <summary>Zones of the back of the head.</summary>
    internal static bool IsBack(Zone zone) => zone is Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown;

    /// <summary>What a planned head comes out as.</summary>
    public static Outcome OutcomeOf(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var m = head.Measures;
        return new(
            m.EndsLevel,
            m.LightShare,
            m.FaceFrameLift,
            m.RootSoftness,
            m.Balance,
            m.RegrowthWeeks,
            head.Down.LightShareOf(IsBack),
            head.Tied?.LevelOf(IsBehind) - head.Tied?.LevelOf(ZoneFacts.IsFaceFrame) ?? 0,
            head.Panels.Count(p => p.Coats.Count > 0),
            head.Minutes,
            head.AllFindings.Where(f => f.Kind == BlendFault.BleedThrough || f.Kind == BlendFault.DriesFirst)
                .Sum(f => f.Zones.Count)
        );
    }
}
