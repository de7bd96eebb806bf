using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>A change that mends a finding.</summary>
/// <param name="Label">What it does, verb first.</param>
/// <param name="Edit">The change.</param>
/// <param name="Mends">Whether the finding is gone after it; otherwise it only gets better.</param>
/// <param name="Now">The figure that decides, as it is.</param>
/// <param name="After">The same after the change; null where the finding is gone and nothing is left to count.</param>
/// <param name="Measures">The measures after it.</param>
/// <param name="New">Findings it brings with it, none of them graver than the one it mends.</param>
public sealed record Fix(
    Sentence Label,
    PlanEdit Edit,
    bool Mends,
    Figure Now,
    double? After,
    Measures Measures,
    IReadOnlyList<string> New
);

/// <summary>Finds the smallest change that mends a finding, by trying it on the plan.</summary>
public static class Fixes
{
    /// <summary>The fix for a finding; null where no change of paint helps.</summary>
    /// <param name="finding">The finding.</param>
    /// <param name="head">The head it was found on.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="cancellationToken">Ends the search: something newer is wanted.</param>
    public static Fix? For(
        Finding finding,
        PlannedHead head,
        Cutting cutting,
        CancellationToken cancellationToken = default
    )
    {
        ArgumentNullException.ThrowIfNull(finding);
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(cutting);
        Fix? better = null,
            mended = null;
        var least = finding.Deciding.Value;
        var alarms = head.AllFindings.Count(f => f.Severity == Severity.Alarm);
        foreach (var (label, edit) in FixesToTry.For(finding, head))
        {
            cancellationToken.ThrowIfCancellationRequested();
            var applied = head.Plan.Apply(edit, cutting);
            if (!applied.Succeeded)
            {
                continue;
            }

            var after = head.After(applied.Plan, head.Looks, cutting);
            if (!OfferedTechniques.Keeps(head, after))
            {
                continue;
            }

            var brings = Worse(head, after);
            if (
                brings.Any(f => f.Severity < finding.Severity)
                || after.AllFindings.Count(f => f.Severity == Severity.Alarm) > alarms
            )
            {
                continue;
            }

            var still = after.AllFindings.FirstOrDefault(f => f.Id == finding.Id);
            Fix Made(bool mends) =>
                new(
                    label,
                    edit,
                    mends,
                    finding.Deciding,
                    still?.Deciding.Value,
                    after.Measures,
                    brings.Select(f => f.Title).ToArray()
                );
            if (still is null)
            {
                // One that brings nothing as grave is better than a smaller one that does.
                mended ??= Made(true);
                if (brings.All(f => f.Severity > finding.Severity))
                {
                    return Made(true);
                }
            }
            else if (still.IsBetterThan(least))
            {
                least = still.Deciding.Value;
                better = Made(false);
            }
        }

        return mended ?? better;
    }

    /// <summary>Findings that were not there before, or were less grave.</summary>
    private static Finding[] Worse(PlannedHead before, PlannedHead after) =>
        after
            .AllFindings.Where(f =>
                before.AllFindings.FirstOrDefault(b => b.Id == f.Id) is not { } was || was.Severity > f.Severity
            )
            .ToArray();
}
