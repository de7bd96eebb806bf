using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>One thing that may be so: what of the lift it changes, and how common it is.</summary>
internal sealed record Hypothesis(
    CauseKind Kind,
    double Prior,
    bool EverywhereAlike,
    Func<Lightened, Lifting> Lifts,
    Func<Lightened, Sentence> Evidence
)
{
    public double ShiftCm { get; init; }

    /// <summary>Levels it adds below the root, whatever was painted there.</summary>
    public double AddsLevels { get; init; }
}

/// <summary>
/// What may be so, each run through the lift's own model in the sizes it comes in. How common each is, is a model
/// assumption.
/// </summary>
internal static class Hypotheses
{
    /// <summary>A fact that makes less than this tells nothing, levels.</summary>
    private const double HardlyTold = 0.12;

    public static Hypothesis Unknown { get; } =
        new(CauseKind.Unexplained, 0.06, false, l => l.Really, _ => "Nothing the model knows makes it.");

    /// <summary>What is known to have happened: it alone explains it, or part of it.</summary>
    public static IEnumerable<Hypothesis> Known(Lightened here)
    {
        var lift = here.Planned.Gain(here.PlannedMinutes);
        var byTime = here.Planned.Gain(here.Alike) - lift;
        var byMix = here.Really.Gain(here.PlannedMinutes) - lift;
        if (Math.Abs(byTime) >= HardlyTold)
        {
            yield return new(
                byTime < 0 ? CauseKind.RinsedSoon : CauseKind.RinsedLate,
                0.6,
                false,
                l => l.Really,
                l =>
                    l.Worked is { } w
                        ? (Sentence)$"It worked {w.Minutes:0} min, planned were {l.PlannedMinutes:0}."
                        : "The chair tells nothing of it."
            );
        }

        if (Math.Abs(byMix) >= HardlyTold)
        {
            yield return new(
                byMix < 0 ? CauseKind.MixedWeaker : CauseKind.MixedStronger,
                0.6,
                false,
                l => l.Really,
                _ => "The bowl was weighed otherwise than the recipe."
            );
        }
    }

    /// <summary>How even hair looks where a cause was at work: shares of even, patchy, spots. Model
    /// assumption.</summary>
    private static (double Even, double Patchy, double Spots) Look(CauseKind kind) =>
        kind switch
        {
            CauseKind.ThinCoat => (0.55, 0.4, 0.05),
            CauseKind.Slack => (0.25, 0.65, 0.1),
            CauseKind.Dried => (0.65, 0.3, 0.05),
            CauseKind.Lump or CauseKind.Tangle => (0.2, 0.2, 0.6),
            CauseKind.CameThrough => (0.2, 0.2, 0.6),
            CauseKind.MixedWeaker or CauseKind.MixedStronger => (0.8, 0.15, 0.05),
            CauseKind.Unexplained => (0.7, 0.2, 0.1),
            _ => (0.88, 0.09, 0.03),
        };

    /// <summary>How likely a zone looks as even as it does, given a cause.</summary>
    public static double ShareLooking(CauseKind kind, Evenness evenness)
    {
        var (even, patchy, spots) = Look(kind);
        return evenness switch
        {
            Evenness.Even => even,
            Evenness.Patchy => patchy,
            Evenness.Spots => spots,
        };
    }

    /// <summary>How common what leaves marks is: seldom, unless somebody saw it.</summary>
    private const double UnseenMark = 0.015,
        SeenMark = 0.45;

    /// <summary>What leaves marks at its places, more likely where somebody noted it.</summary>
    private static IEnumerable<Hypothesis> Marking(IReadOnlyList<ReviewMark> marks)
    {
        foreach (
            var (kind, seen, words) in new (CauseKind, Blemish, Sentence)[]
            {
                (CauseKind.CameThrough, Blemish.CameThrough, "Product that came through makes it."),
                (CauseKind.Lump, Blemish.Lump, "A lump of product makes it."),
                (CauseKind.Tangle, Blemish.Tangle, "Hair not combed through makes it: it takes up more."),
            }
        )
        {
            var noted = marks.FirstOrDefault(m => m.What == seen && m.By != SeenBy.Readings);
            foreach (var levels in new[] { 0.35, 0.7 })
            {
                yield return new(
                    kind,
                    (noted is null ? UnseenMark : SeenMark) / 2,
                    false,
                    l => l.Really,
                    _ => noted?.Words ?? words
                )
                {
                    AddsLevels = levels,
                };
            }
        }
    }

    /// <summary>What may be so besides.</summary>
    /// <param name="here">The zone's usual coat.</param>
    /// <param name="marks">What was marked in the zone.</param>
    public static IEnumerable<Hypothesis> Possible(Lightened here, IReadOnlyList<ReviewMark> marks)
    {
        foreach (var marking in Marking(marks))
        {
            yield return marking;
        }

        var open = here.Coat.Painted.Paint.Covering == Covering.Open;
        var dries = here.Planned.DriesAtMinutes();
        var late = here.Alike > 0.7 * dries;
        foreach (var share in new[] { 0.6, 0.4, 0.25 })
        {
            yield return new(
                CauseKind.Dried,
                (open ? (late ? 0.2 : 0.1) : 0.02) / 3,
                false,
                l =>
                    l.With(c =>
                        c with
                        {
                            Figures = c.FiguresOf() with { DryingMinutes = c.FiguresOf().DryingMinutes * share },
                        }
                    ),
                l =>
                    open
                        ? (Sentence)
                            $"Nothing was laid over it; open it is dry at {l.Planned.DriesAtMinutes():0} min, in a "
                            + $"draught at {l.Planned.DriesAtMinutes() * share:0}."
                        : "It was covered: it hardly dries."
            );
        }

        foreach (var share in new[] { 0.8, 0.65, 0.5 })
        {
            yield return new(
                CauseKind.ThinCoat,
                0.12 / 3,
                false,
                l => l.With(c => c with { Coverage = c.Coverage * share }),
                _ => $"A coat that takes {share * 100:0} % of what it should makes it."
            );
        }

        foreach (var share in new[] { 0.8, 0.6 })
        {
            yield return new(
                CauseKind.Slack,
                0.04 / 2,
                false,
                l => l.With(c => c with { Coverage = c.Coverage * share }),
                _ => "Held slack, the brush reaches less deep here and deeper there."
            );
        }

        foreach (var (kind, porosity) in Porosities(here.Really.Case.Porosity))
        {
            yield return new(
                kind,
                0.07,
                false,
                l => l.With(c => c with { Porosity = porosity }),
                _ => $"Hair of {porosity.ToString().ToLowerInvariant()} porosity there would make it."
            );
        }

        if (ZoneFacts.IsHairline(here.Zone))
        {
            yield return new(
                CauseKind.FineHairline,
                0.12,
                false,
                l => l.With(c => c with { Diameter = Diameter.Fine, Coverage = 1, Mixture = c.Mixture * 1.15 }),
                _ => "Hair at the hairline is finer than the rest."
            );
        }

        foreach (
            var (kind, shift) in new[]
            {
                (CauseKind.StartLower, 2.5),
                (CauseKind.StartLower, 4.5),
                (CauseKind.StartHigher, -2.5),
                (CauseKind.StartHigher, -4.5),
            }
        )
        {
            yield return new(
                kind,
                0.03,
                false,
                l => l.Really,
                _ =>
                    $"Begun {Quantity.Cm(Math.Abs(shift), "0")} {(shift > 0 ? "lower" : "higher")}, only the upper "
                    + "part differs so."
            )
            {
                ShiftCm = shift,
            };
        }

        foreach (
            var (kind, speed) in new[]
            {
                (CauseKind.SlowerHair, 0.82),
                (CauseKind.SlowerHair, 0.65),
                (CauseKind.QuickerHair, 1.25),
                (CauseKind.QuickerHair, 1.6),
            }
        )
        {
            yield return new(
                kind,
                0.06,
                true,
                l =>
                    l.With(c =>
                        c with
                        {
                            Own = (c.Own ?? OwnLift.Unread) with { Speed = (c.Own?.Speed ?? 1) * speed },
                        }
                    ),
                _ =>
                    $"Everywhere {(speed < 1 ? "less" : "more")} than planned, as hair that lifts at {speed * 100:0} % "
                    + "would."
            );
        }

        foreach (var levels in new[] { -0.5, -1.0 })
        {
            yield return new(
                CauseKind.LowerCap,
                0.03,
                true,
                l =>
                    l.With(c =>
                        c with
                        {
                            Own = (c.Own ?? OwnLift.Unread) with { CapLevels = (c.Own?.CapLevels ?? 0) + levels },
                        }
                    ),
                _ => $"Everywhere it stops sooner, as hair that can be lifted {-levels:0.0} level less would."
            );
        }

        foreach (var (kind, by) in new[] { (CauseKind.Cooler, 0.75), (CauseKind.Warmer, 1.3) })
        {
            yield return new(
                kind,
                0.03,
                true,
                l => l.With(c => c with { Mixture = c.Mixture * by }),
                _ =>
                    by < 1
                        ? "A room four degrees cooler makes all of it slower."
                        : (Sentence)"A room four degrees warmer makes all of it quicker."
            );
        }
    }

    private static IEnumerable<(CauseKind, Porosity)> Porosities(Porosity now)
    {
        if (now > Porosity.Low)
        {
            yield return (CauseKind.LessPorous, now - 1);
        }

        if (now < Porosity.High)
        {
            yield return (CauseKind.MorePorous, now + 1);
        }
    }
}
