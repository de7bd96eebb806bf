using Wendro.Core.Mix;
using Wendro.Core.Patterns;
using Wendro.Core.Plans;
using Wendro.Core.Units;
using Wendro.Host.Work;
using Wendro.Store;

namespace Wendro.Host.Section;

/// <summary>A pattern as it would be on a client: its head, and what it takes.</summary>
/// <param name="Head">The head with it.</param>
/// <param name="Panels">Panels it paints.</param>
/// <param name="Minutes">Minutes of mixing and painting.</param>
/// <param name="Grams">Lightener or colour and developer together, g.</param>
internal sealed record PatternOnClient(PlannedHead Head, int Panels, double Minutes, double Grams);

/// <summary>What a pattern takes on a client.</summary>
internal sealed record PatternFigures(int Panels, double Minutes, double Grams);

/// <summary>
/// Patterns tried on clients; the last few are kept, for a picture and its figures are asked for one by one.
/// </summary>
internal sealed class PatternHeads(Heads heads, Studio studio, ProductShelf shelf)
{
    private readonly Recent<(Guid Visit, int Revision, string Pattern), PatternOnClient> kept = new(3);

    /// <summary>A pattern on the client of a visit; null where there is no such pattern.</summary>
    public async Task<PatternOnClient?> OfAsync(AtWork at, string pattern, CancellationToken stop)
    {
        var rules = (await studio.RulesAsync(stop)).Rules;
        var (plan, cutting) = (at.Stored.Plan, heads.FreshCuttingFor(at.Visit.Hair));
        var own = (await studio.PatternsAsync(stop)).FirstOrDefault(p => p.Id.ToString() == pattern);
        var steps = own is not null
            ? OwnPattern.StepsFor(own.Why, own.Edits, plan, cutting, rules)
            : StartingPatterns.Of(pattern)?.StepsFor(plan, cutting, rules);
        if (steps is null)
        {
            return null;
        }

        var products = (await shelf.AllAsync(stop)).Select(p => p.Product).ToArray();
        return kept.GetOrMake(
            (at.Visit.Id, at.Stored.History.Revision, pattern),
            () =>
            {
                var with = plan.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), cutting).Plan;
                var looks = heads.LooksFor(with.AsWorn(at.Visit.Hair), with.Part);
                var head = PlannedHead.Of(looks, cutting, with);
                var mix = PlannedMix.Of(head, rules.Bench ?? BenchRules.Usual, products, []);
                return new(head, mix.Timeline.Turns.Count, mix.Timeline.Minutes, mix.Grams);
            }
        );
    }
}
