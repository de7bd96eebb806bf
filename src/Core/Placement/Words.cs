using Wendro.Core.Blend;
using Wendro.Core.Lift;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Core.Placement;

/// <summary>What a proposal is, what it can't do and what it gives up, in plain words.</summary>
internal static class Words
{
    /// <summary>How many weeks later regrowth must show to be worth a word. Model assumption.</summary>
    public const double WeeksThatCount = 1;

    public static string Of(Strength strength) =>
        strength switch
        {
            Strength.Nearest => "Nearest to the look",
            Strength.Soonest => "Soonest done",
            Strength.SlowToGrowOut => "Slowest to grow out",
        };

    /// <summary>Wishes not met within tolerance, and why.</summary>
    /// <param name="head">The plan on her head.</param>
    /// <param name="strength">What it is good at.</param>
    /// <param name="o">What comes out.</param>
    /// <param name="bare">What she has with nothing painted.</param>
    public static IReadOnlyList<Unmet> Unmet(PlannedHead head, Strength strength, in Outcome o, in Outcome bare)
    {
        var wish = head.Plan.Wish;
        var unmet = new List<Unmet>();
        if (o.EndsLevel is not { } ends || Math.Abs(ends - wish.EndsLevel) > Aim.EndsWithin)
        {
            unmet.Add(
                new("ends", wish.EndsLevel, o.EndsLevel ?? head.Hair.NaturalLevel, "level", WhyEnds(head, o.EndsLevel))
            );
        }

        if (o.LightShare < wish.LightShareLow - Aim.ShareWithin || o.LightShare > wish.LightShareHigh + Aim.ShareWithin)
        {
            var low = o.LightShare < wish.LightShareLow;
            unmet.Add(
                new(
                    "light share",
                    low ? wish.LightShareLow : wish.LightShareHigh,
                    o.LightShare,
                    "share",
                    low
                        ? "More light would need starts nearer the scalp or deeper sections, and so a steeper "
                            + "root or a darker face against it."
                        : "Less light would leave the ends or the face below the wish."
                )
            );
        }

        if (o.FaceFrameLift < wish.FaceFrameLift - Aim.FaceWithin)
        {
            unmet.Add(new("face frame", wish.FaceFrameLift, o.FaceFrameLift, "level", WhyFace(head, o)));
        }

        if (o.RootSoftness > wish.RootSoftness + Aim.SoftnessWithin)
        {
            unmet.Add(
                new(
                    "root softness",
                    wish.RootSoftness,
                    o.RootSoftness,
                    "level/cm",
                    bare.RootSoftness > wish.RootSoftness + Aim.SoftnessWithin
                        ? $"The old light begins in a line of {bare.RootSoftness:0.0} level/cm: no light softens "
                            + $"that. Deposit on it first."
                        : $"Lifting {wish.EndsLevel - head.Hair.NaturalLevel:0.0} levels within "
                            + $"{head.Hair.Cut.LongestCm:0} cm of hair can't rise more slowly without losing light."
                )
            );
        }

        // What the soonest leaves short it leaves for the sake of time, where the others do not.
        return strength == Strength.Soonest
            ? unmet.Select(u => u with { Because = $"Given up for time. {u.Because}" }).ToArray()
            : unmet;
    }

    private static string WhyEnds(PlannedHead head, double? ends)
    {
        var target = Level.Clamp(head.Plan.Wish.EndsLevel);
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
        o.LightShare > head.Plan.Wish.LightShareLow
            ? "The rest is light as well: a brighter face needs a darker rest, and less light over all."
            : $"The face frame reaches level "
                + $"{head.Down.LevelFromFront(Wendro.Core.Head.ZoneFacts.IsFaceFrame):0.0} as painted; this hair "
                + $"gives no more there.";

    /// <summary>What a proposal gives up against the others.</summary>
    public static IReadOnlyList<string> GivesUp(Proposal of, IReadOnlyList<Proposal> others)
    {
        var words = new List<string>();
        var soonest = others.MinBy(o => o.Outcome.Minutes)!;
        if (of.Outcome.Minutes > soonest.Outcome.Minutes + 3)
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
        var wish = of.Head.Plan.Wish;
        (string Words, double Worse)[] by =
        [
            (
                $"ends level {a.EndsLevel:0.0}",
                Math.Abs((a.EndsLevel ?? 1) - wish.EndsLevel) / Aim.EndsWithin
                    - Math.Abs((b.EndsLevel ?? 1) - wish.EndsLevel) / Aim.EndsWithin
            ),
            ($"face frame {a.FaceFrameLift:0.0} above the rest", (b.FaceFrameLift - a.FaceFrameLift) / Aim.FaceWithin),
            ($"{a.LightShare:P0} light", Outside(a.LightShare, wish) - Outside(b.LightShare, wish)),
            ($"root {a.RootSoftness:0.0} level/cm", (a.RootSoftness - b.RootSoftness) / Aim.SoftnessWithin),
        ];
        return by.MaxBy(x => x.Worse).Words;
    }

    private static double Outside(double share, Wish wish) =>
        Math.Max(0, Math.Max(wish.LightShareLow - share, share - wish.LightShareHigh)) / Aim.ShareWithin;
}
