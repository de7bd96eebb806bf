using System.Globalization;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Bench;

/// <summary>
/// What each pattern lays on a client it suits, and on a medium head of straight hair at 35 cm: a table for
/// docs/techniques.md.
/// </summary>
internal static class PatternTable
{
    /// <summary>Prints the table as Markdown.</summary>
    public static void Print()
    {
        var heads = new Dictionary<HairProfile, (HairViews, Cutting)>();
        var keep = ViewCache.For(6, 24);
        (HairViews, Cutting) On(HairProfile hair)
        {
            if (!heads.TryGetValue(hair, out var head))
            {
                var looks = new HairViews(HeadForm.Usual, hair, PartLine.Central, keep, 14_000);
                heads[hair] = head = (looks, new Cutting(HeadForm.Usual, hair, _ => looks.OnHead.LengthAt));
            }

            return head;
        }

        Console.WriteLine(
            "| pattern | client | panels | painting, min | bowls | g | ends (wish) | light share | findings |"
        );
        Console.WriteLine("|---|---|---|---|---|---|---|---|---|");
        foreach (var pattern in StartingPatterns.All)
        {
            foreach (
                var (client, words) in new[]
                {
                    (FittingClient.For(pattern.Id), "fitting"),
                    (FittingClient.Medium, "medium, 35 cm"),
                }.DistinctBy(c => c.Item1)
            )
            {
                var (looks, cutting) = On(client.Hair);
                var fresh = client.Fresh();
                var steps = pattern.StepsFor(fresh, cutting, HouseRules.Usual);
                var plan = fresh.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), cutting).Plan;
                var head = PlannedHead.Of(looks, cutting, plan);
                var mix = PlannedMix.Of(head, BenchRules.Usual, [], []);
                var found = head
                    .AllFindings.Where(f => f.Severity != Severity.Note)
                    .Select(f => $"{(f.Severity == Severity.Alarm ? "**" + f.Title + "**" : f.Title)}")
                    .Distinct();
                Console.WriteLine(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"| {pattern.Name} | {words} "
                            + $"| {head.Panels.Count(p => p.Coats.Count > 0)} | {head.Minutes:0} "
                            + $"| {mix.Bowls.Count} | {mix.Grams:0} "
                            + $"| {head.Measures.EndsLevel:0.0} ({plan.Goal.EndsLevel.Value:0.0}) | "
                            + $"{head.Measures.LightShare:P0} | {string.Join(", ", found)} |"
                    )
                );
            }
        }
    }
}
