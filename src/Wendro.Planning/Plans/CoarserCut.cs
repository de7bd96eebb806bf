using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>A coarser cut of a plan that hands can keep up with: found, tried, to be shown.</summary>
/// <param name="Label">What it does.</param>
/// <param name="Edit">The edit.</param>
/// <param name="Panels">Panels painted before, and after it.</param>
/// <param name="LastAtMinute">When the last panel is painted before, and after it, minutes.</param>
/// <param name="LevelsApart">How far what is seen of its zones lies from the plan as it is, levels, mean.</param>
/// <param name="Mends">Whether nothing is over before the last panel is painted any more; else it only comes
/// nearer.</param>
public sealed record CoarserCut(
    Sentence Label,
    PlanEdit Edit,
    (int Before, int After) Panels,
    (double Before, double After) LastAtMinute,
    double LevelsApart,
    bool Mends
)
{
    /// <summary>
    /// Of the cuts after which nothing is over before the last panel is painted, the one that looks nearest to the
    /// plan; where none does that, the one that comes nearest to it. Null where no cut helps or nothing is over.
    /// </summary>
    /// <param name="mix">The plan as bowls.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="cancellationToken">Ends the search: something newer is wanted.</param>
    public static CoarserCut? For(PlannedMix mix, Cutting cutting, CancellationToken cancellationToken = default)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(cutting);
        if (TooEarly(mix) is not { } now)
        {
            return null;
        }

        var tried = new List<(CoarserCut Cut, double TooEarly)>();
        foreach (var (label, edit) in FixesToTry.Coarser(mix.Head))
        {
            cancellationToken.ThrowIfCancellationRequested();
            if (mix.After(edit, cutting) is { } after)
            {
                var left = TooEarly(after);
                tried.Add((Of(label, edit, mix, after, left is null), left ?? 0));
            }
        }

        var mending = tried.Where(t => t.Cut.Mends).ToArray();
        return mending.Length > 0
            ? mending.MinBy(t => t.Cut.LevelsApart).Cut
            : tried.Where(t => t.TooEarly < now).OrderBy(t => t.TooEarly).Select(t => t.Cut).FirstOrDefault();
    }

    private static CoarserCut Of(Sentence label, PlanEdit edit, PlannedMix mix, PlannedMix after, bool mends) =>
        new(
            label,
            edit,
            (Painted(mix), Painted(after)),
            (Last(mix), Last(after)),
            mix.Head.Measures.LevelsFrom(after.Head.Measures),
            mends
        );

    private static int Painted(PlannedMix mix) => mix.Head.Panels.Count(p => p.Coats.Count > 0);

    private static double Last(PlannedMix mix) => mix.Timeline.Turns.Select(t => t.To).DefaultIfEmpty().Max();

    /// <summary>By how much the first panels are over too early, minutes; null where none is.</summary>
    private static double? TooEarly(PlannedMix mix) =>
        mix.AllFindings()
            .Where(f => f.Kind == MixFault.FirstOver)
            .Select(f => (double?)f.Evidence[0].Value)
            .DefaultIfEmpty()
            .Max();
}
