using Wendro.Blend;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Placement;

/// <summary>What a proposal is, what it can't do and what it gives up, in plain words.</summary>
internal static class Words
{
    /// <summary>How many weeks later regrowth must show to be worth a word. Model assumption.</summary>
    public const double WeeksThatCount = 1;

    /// <summary>How many minutes more are worth a word. Model assumption.</summary>
    public const double MinutesThatCount = 3;

    /// <summary>
    /// Proposals by what they are: the nearest; of the others each by what none of the three is better at, which may be
    /// both, or nothing. No two are called alike.
    /// </summary>
    /// <param name="all">The nearest, the soonest and the slowest to grow out, as they were searched for.</param>
    public static Proposal[] Named(IReadOnlyList<Proposal> all)
    {
        var (nearest, quick, lasting) = (all[0], all[1], all[2]);
        var soonest = new[] { quick, lasting }.FirstOrDefault(p => IsSoonest(p, all));
        var slowest = new[] { lasting, quick }.FirstOrDefault(p => IsSlowest(p, all));
        return
        [
            nearest with
            {
                Name = "Nearest to the look",
            },
            quick with
            {
                Name = By(quick, "Another way"),
            },
            lasting with
            {
                Name = By(lasting, "A third way"),
            },
        ];

        string By(Proposal of, string neither) =>
            (ReferenceEquals(of, soonest), ReferenceEquals(of, slowest)) switch
            {
                (true, true) => "Soonest done and slowest to grow out",
                (true, false) => "Soonest done",
                (false, true) => "Slowest to grow out",
                (false, false) => neither,
            };
    }

    /// <summary>Whether none is done sooner by minutes that count.</summary>
    private static bool IsSoonest(Proposal of, IReadOnlyList<Proposal> all) =>
        all.All(o => of.Outcome.Minutes <= o.Outcome.Minutes + MinutesThatCount);

    /// <summary>Whether none grows out slower by weeks that count.</summary>
    private static bool IsSlowest(Proposal of, IReadOnlyList<Proposal> all) =>
        all.All(o => of.Outcome.RegrowthWeeks >= o.Outcome.RegrowthWeeks - WeeksThatCount);

    /// <summary>Wishes not met within tolerance, and why.</summary>
    /// <param name="of">Whose.</param>
    /// <param name="all">It and the others.</param>
    /// <param name="bare">What she has with nothing painted.</param>
    public static IReadOnlyList<Unmet> Unmet(Proposal of, IReadOnlyList<Proposal> all, in Outcome bare)
    {
        var (head, o) = (of.Head, of.Outcome);
        var goal = head.Plan.Goal;
        var unmet = new List<Unmet>();
        if (o.EndsLevel is not { } ends || Math.Abs(ends - goal.EndsLevel) > Aim.EndsWithin)
        {
            unmet.Add(
                new("ends", goal.EndsLevel, o.EndsLevel ?? head.Hair.NaturalLevel, "level", WhyEnds(head, o.EndsLevel))
            );
        }

        if (o.LightShare < goal.LightShareLow - Aim.ShareWithin || o.LightShare > goal.LightShareHigh + Aim.ShareWithin)
        {
            var low = o.LightShare < goal.LightShareLow;
            unmet.Add(
                new(
                    "light share",
                    low ? goal.LightShareLow : goal.LightShareHigh,
                    o.LightShare,
                    "share",
                    low
                        ? "More light would need starts nearer the scalp or deeper sections, and so a steeper "
                            + "root or a darker face against it."
                        : "Less light would leave the ends or the face below the wish."
                )
            );
        }

        if (o.FaceFrameLift < goal.FaceFrameLift - Aim.FaceWithin)
        {
            unmet.Add(new("face frame", goal.FaceFrameLift, o.FaceFrameLift, "level", WhyFace(head, o)));
        }

        if (o.RootSoftness > goal.RootSoftness + Aim.SoftnessWithin)
        {
            unmet.Add(
                new(
                    "root softness",
                    goal.RootSoftness,
                    o.RootSoftness,
                    "level/cm",
                    bare.RootSoftness > goal.RootSoftness + Aim.SoftnessWithin
                        ? $"The old light begins in a line of {bare.RootSoftness:0.0} level/cm: no light softens "
                            + $"that. Deposit on it first."
                        : $"Lifting {goal.EndsLevel - head.Hair.NaturalLevel:0.0} levels within "
                            + $"{head.Hair.Cut.LongestCm:0} cm of hair can't rise more slowly without losing light."
                )
            );
        }

        // What the soonest leaves short it leaves for the sake of time, where the others do not.
        return of.Strength == Strength.Soonest && IsSoonest(of, all)
            ? unmet.Select(u => u with { Because = $"Given up for time. {u.Because}" }).ToArray()
            : unmet;
    }

    private static string WhyEnds(PlannedHead head, double? ends)
    {
        var target = Level.Clamp(head.Plan.Goal.EndsLevel);
        var strongest = head.Panels.Select(p => p.LiftingOf(head.Hair)).OfType<Lifting>().MaxBy(l => l.MostGain);
        if (ends > target.Value)
        {
            return "The hair is lighter than that already, or lifts further than the mildest mixture in the "
                + "house rules.";
        }

        if (strongest is null)
        {
            return "Nothing within the house rules lightens this hair.";
        }

        var answer = Remedies.TimeTo(strongest.Case, target);
        return answer.Reachable
            ? $"{answer.Because} The seen ends are a mean: they hold finer lights below that."
            : $"{answer.Because} {(answer.Remedies.Count > 0 ? answer.Remedies[0].Words : string.Empty)}";
    }

    private static string WhyFace(PlannedHead head, in Outcome o) =>
        o.LightShare > head.Plan.Goal.LightShareLow
            ? "The rest is light as well: a brighter face needs a darker rest, and less light over all."
            : $"The face frame reaches level "
                + $"{head.Down.LevelFromFront(Wendro.Head.ZoneFacts.IsFaceFrame):0.0} as painted; this hair "
                + $"gives no more there.";

    /// <summary>What a proposal gives up against the others.</summary>
    public static IReadOnlyList<string> GivesUp(Proposal of, IReadOnlyList<Proposal> others)
    {
        var words = new List<string>();
        var soonest = others.MinBy(o => o.Outcome.Minutes)!;
        if (of.Outcome.Minutes > soonest.Outcome.Minutes + MinutesThatCount)
        {
            words.Add(
                $"{of.Outcome.Minutes - soonest.Outcome.Minutes:0} minutes and "
                    + $"{of.Outcome.Panels - soonest.Outcome.Panels} panels more than \"{soonest.Name}\""
            );
        }

        var nearest = others.MinBy(o => o.Distance)!;
        if (of.Distance > nearest.Distance + 0.1)
        {
            words.Add($"further from the look: {Off(of, nearest)}");
        }

        var slowest = others.MaxBy(o => o.Outcome.RegrowthWeeks)!;
        if (of.Outcome.RegrowthWeeks < slowest.Outcome.RegrowthWeeks - WeeksThatCount)
        {
            words.Add(
                $"regrowth shows {slowest.Outcome.RegrowthWeeks - of.Outcome.RegrowthWeeks:0} weeks sooner than "
                    + $"with \"{slowest.Name}\""
            );
        }

        return words.Count > 0 ? words : ["nothing the others have"];
    }

    private static string Off(Proposal of, Proposal than)
    {
        var (a, b) = (of.Outcome, than.Outcome);
        var goal = of.Head.Plan.Goal;
        (string Words, double Worse)[] by =
        [
            (
                $"ends level {a.EndsLevel:0.0}",
                Math.Abs((a.EndsLevel ?? 1) - goal.EndsLevel) / Aim.EndsWithin
                    - Math.Abs((b.EndsLevel ?? 1) - goal.EndsLevel) / Aim.EndsWithin
            ),
            ($"face frame {a.FaceFrameLift:0.0} above the rest", (b.FaceFrameLift - a.FaceFrameLift) / Aim.FaceWithin),
            ($"{a.LightShare:P0} light", Outside(a.LightShare, goal) - Outside(b.LightShare, goal)),
            ($"root {a.RootSoftness:0.0} level/cm", (a.RootSoftness - b.RootSoftness) / Aim.SoftnessWithin),
        ];
        return by.MaxBy(x => x.Worse).Words;
    }

    private static double Outside(double share, Goal goal) =>
        Math.Max(0, Math.Max(goal.LightShareLow - share, share - goal.LightShareHigh)) / Aim.ShareWithin;
}
