using Wendro.Blend;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>An edit that mends what is wrong with a bowl.</summary>
/// <param name="Label">What it does.</param>
/// <param name="Edit">The edit.</param>
public sealed record MixFix(Sentence Label, PlanEdit Edit);

/// <summary>What mends a finding of the mix. What only a purchase or a new cut mends has none; an additive is
/// never left out for its lift.</summary>
public static class MixFixes
{
    /// <summary>The mildest edit after which the finding is gone; null where there is none.</summary>
    public static MixFix? For(Finding finding, PlannedMix mix)
    {
        ArgumentNullException.ThrowIfNull(finding);
        ArgumentNullException.ThrowIfNull(mix);
        if (FormulaId.Parse(finding.Of) is not { } id || mix.Head.Plan.FormulaOf(id) is not { } formula)
        {
            return null;
        }

        MixFix Set(string label, Formula changed) => new($"{id}: {label}", new SetFormula(changed));
        var ways = new Dictionary<FindingKind, Func<MixFix?>>
        {
            [MixFault.RunnyForDepth] = () =>
                Set(
                    $"mix 1 : {formula.PeakParts:0.##}",
                    formula with
                    {
                        Parts = 1,
                        DeveloperParts = formula.PeakParts,
                        Consistency = Consistency.Right,
                    }
                ),
            [MixFault.StrengthOverScalp] = () =>
                new($"Start {Quantity.Cm(1)} from the scalp", new SetHeights(finding.Panels, StartCm: 1)),
            [MixFault.HeatAgainstLeaflet] = () => Set("no heat", formula with { LowHeat = false }),
            [MixFault.PastLeaflet] = () =>
                Set(
                    $"rinse at {formula.LimitMinutes:0} min",
                    formula with
                    {
                        Minutes = new(formula.LimitMinutes ?? formula.Minutes),
                    }
                ),
            [MixFault.NoSuchDeveloper] = () =>
                Nearest(formula, mix) is { } volume
                    ? Set($"{volume.Value:0.#} vol", formula with { Volume = volume })
                    : null,
        };
        return ways.TryGetValue(finding.Kind, out var mend) && mend() is { } fix && MayBeOffered(fix, mix) ? fix : null;
    }

    /// <summary>Whether a formula put in another's place may be offered under all that covers it.</summary>
    private static bool MayBeOffered(MixFix fix, PlannedMix mix) =>
        fix.Edit is not SetFormula { Formula: var changed }
        || mix.Head.Plan.FormulaOf(changed.Id) is not { } now
        || changed.Volume <= now.Volume
        || mix.Head.Panels.SelectMany(p => p.Coats)
            .Where(c => c.Formula.Id == changed.Id)
            .All(c => Offer.On(mix.Head.Hair).Allows(changed, c.Painted.Paint.Covering));

    private static Volume? Nearest(Formula formula, PlannedMix mix) =>
        mix
            .Shelf.OfType<Mix.DeveloperProduct>()
            .Select(d => (Volume?)d.Volume)
            .MinBy(v => Math.Abs(v!.Value - formula.Volume));
}
