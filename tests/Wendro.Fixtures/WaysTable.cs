using System.Globalization;
using Wendro.Apply;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>
/// How patterns whose clock is known at the chair come out against it, and the better way where there is one: a table
/// for docs/techniques.md.
/// </summary>
public static class WaysTable
{
    /// <summary>The ways through a visit of one pattern, on a client it is for.</summary>
    /// <param name="id">The pattern.</param>
    /// <param name="strands">Strands sampled.</param>
    public static ServiceOptions Of(string id, int strands = 3_500)
    {
        var pattern = StartingPatterns.Of(id)!;
        var client = FittingClient.For(id);
        var looks = new HairViews(HeadForm.Usual, client.Hair, PartLine.Central, ViewCache.For(6, 24), strands);
        var cutting = new Cutting(HeadForm.Usual, client.Hair, _ => looks.OnHead.LengthAt);
        var fresh = client.Fresh();
        var edits = pattern.StepsFor(fresh, cutting, HouseRules.Usual).SelectMany(s => s.Edits).ToArray();
        var head = PlannedHead.Of(looks, cutting, fresh.Apply(new Together(edits), cutting).Plan);
        return ServiceOptions.Of(PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []), cutting);
    }

    /// <summary>Prints the table as Markdown.</summary>
    public static void Print()
    {
        Console.WriteLine("| pattern | way | chair, min | waves at | bowls | vol | outside | better |");
        Console.WriteLine("|---|---|---|---|---|---|---|---|");
        foreach (var id in new[] { "wide-narrow", "heavy-front", "zigzag-quadrants", "oval-out", "four-quarters" })
        {
            var ways = Of(id);
            foreach (var way in ways.Ways)
            {
                var rinses = string.Join(
                    ", ",
                    way.Visit.Rinses.Select(w => w.StartsAt.ToString("0", CultureInfo.InvariantCulture))
                );
                var volumes = string.Join(", ", way.Volumes.Select(v => v.ToString("0", CultureInfo.InvariantCulture)));
                var label = $"{way.Label}{(way.IsStronger ? " (an offer)" : string.Empty)}";
                var best = way == ways.Best ? "best" : string.Empty;
                Console.WriteLine(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"| {StartingPatterns.Of(id)!.Name} | {label} | {way.Visit.Minutes:0} | {rinses} "
                            + $"| {way.Bowls} | {volumes} | {way.Visit.Outside.Count} | {best} |"
                    )
                );
            }

            if (ways.NotByDeveloper is { } why)
            {
                Console.WriteLine($"  {why}");
            }

            foreach (var freed in ways.FreedBy)
            {
                Console.WriteLine(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"  freed by: {freed.Label}: {freed.Visit.Outside.Count} outside, "
                            + $"{freed.Visit.Minutes:0} min, {freed.LevelsApart:0.0} level apart"
                    )
                );
            }
        }
    }
}
