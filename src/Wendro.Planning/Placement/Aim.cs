using Wendro.Blend;

namespace Wendro.Placement;

/// <summary>What a proposal is good at beside coming near the wanted look.</summary>
public enum Strength
{
    Nearest,
    Soonest,
    SlowToGrowOut,
}

/// <summary>What a plan is judged by.</summary>
/// <param name="EndsLevel">Mean level of the light hair seen at the ends; null while nothing is light.</param>
/// <param name="LightShare">Share of seen hair that is light, 0..1.</param>
/// <param name="FaceFrameLift">Face frame above the rest from the front, levels.</param>
/// <param name="RootSoftness">Steepest rise of any zone, levels a cm.</param>
/// <param name="Balance">Left less right, levels.</param>
/// <param name="RegrowthWeeks">Weeks until regrowth shows.</param>
/// <param name="BackLight">Share of the seen hair of the back that is light, 0..1.</param>
/// <param name="DarkHairline">How much the hairline is darker than what lies behind when tied, levels; 0 where she
/// never ties it.</param>
/// <param name="Panels">Painted panels.</param>
/// <param name="Minutes">Painting minutes.</param>
/// <param name="Faults">Kinds of trouble its zones are in: bleeding, drying first.</param>
public readonly record struct Outcome(
    double? EndsLevel,
    double LightShare,
    double FaceFrameLift,
    double RootSoftness,
    double Balance,
    double RegrowthWeeks,
    double BackLight,
    double DarkHairline,
    int Panels,
    double Minutes,
    int Faults
);

/// <summary>
/// How near a plan comes to the wanted look, and what it costs: a sum of squares, each goal by how far off the eye
/// lets it pass.
/// Weights are model assumptions.
/// </summary>
public static class Aim
{
    /// <summary>How far off each goal may be to count as met: levels, share, levels, levels a cm.</summary>
    public const double EndsWithin = 0.5,
        ShareWithin = 0.05,
        FaceWithin = 0.25,
        SoftnessWithin = 0.15;

    /// <summary>Minutes and panels as much as these weigh one met-by-a-hair goal.</summary>
    private const double MinutesUnit = 240,
        PanelsUnit = 900;

    /// <summary>Share of the light wanted that the back must show at least. Model assumption.</summary>
    private const double BackShare = 0.5;

    /// <summary>What a zone in trouble weighs. Model assumption.</summary>
    private const double Fault = 0.6;

    /// <summary>How far from the wanted look, 0 or more: less is nearer. What it costs left aside.</summary>
    public static double Distance(in Outcome o, Goal goal) => Distance(o, goal, 0);

    /// <summary>
    /// The objective: distance, and what it costs, weighed by what the proposal is to be good at. The soonest may use
    /// up what the eye lets pass.
    /// </summary>
    public static double Score(in Outcome o, Goal goal, Strength strength)
    {
        var (slack, time) = strength == Strength.Soonest ? (0.9, 3.0) : (0, 0.5);
        var grow = strength == Strength.SlowToGrowOut ? 1.2 * Math.Max(0, 1 - o.RegrowthWeeks / 26) : 0;
        return Distance(o, goal, slack)
            + time * (o.Minutes / MinutesUnit + o.Panels / PanelsUnit)
            + grow
            + Fault * o.Faults;
    }

    /// <summary>How far beyond what the eye lets pass it is from the wanted look, 0 or more: 0 is met.</summary>
    public static double Beyond(in Outcome o, Goal goal) => Distance(o, goal, 1);

    private static double Distance(in Outcome o, Goal goal, double slack)
    {
        ArgumentNullException.ThrowIfNull(goal);
        double Square(double x)
        {
            var beyond = Math.Max(0, Math.Abs(x) - slack);
            return beyond * beyond;
        }

        var ends = o.EndsLevel is { } level ? (level - goal.EndsLevel) / EndsWithin : 3;
        var share =
            Math.Max(0, Math.Max(goal.LightShareLow - o.LightShare, o.LightShare - goal.LightShareHigh)) / ShareWithin;
        var face =
            o.FaceFrameLift < goal.FaceFrameLift
                ? (goal.FaceFrameLift - o.FaceFrameLift) / FaceWithin
                : 0.3 * Math.Max(0, o.FaceFrameLift - goal.FaceFrameLift - 0.5) / FaceWithin;
        var soft = Math.Max(0, o.RootSoftness - goal.RootSoftness) / SoftnessWithin;
        var sides = Math.Max(0, Math.Abs(o.Balance) - 0.15) / 0.1;
        var hairline = Math.Max(0, o.DarkHairline - 0.4) / 0.3;
        var back = Math.Max(0, BackShare * goal.LightShareLow - o.BackLight) / ShareWithin;
        return Square(ends)
            + Square(share)
            + Square(face)
            + Square(soft)
            + 0.5 * Square(sides)
            + 0.5 * Square(hairline)
            + 0.5 * Square(back);
    }
}
