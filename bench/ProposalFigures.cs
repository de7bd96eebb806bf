using System.Diagnostics;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Placement;
using Wendro.Plans;

namespace Wendro.Bench;

/// <summary>How long it takes to find placements for the demo's clients, and how near they come.</summary>
internal static class ProposalFigures
{
    private const double MostSeconds = 3;

    public static void Print()
    {
        var head = HeadForm.Usual;
        Console.WriteLine();
        Console.WriteLine(
            "From look to placement, demo clients   time    looked up   heads judged   a second   distance by hand → found"
        );
        foreach (var file in Directory.GetFiles(Path.Combine(App.Root, "demo"), "*.json").Order())
        {
            var visit = VisitFile.Read(File.ReadAllBytes(file));
            var l = new HairViews(head, visit.Plan.AsWorn(visit.Hair), visit.Plan.Part, ViewCache.For(4, 16));
            var c = new Cutting(head, visit.Hair, _ => l.OnHead.LengthAt);
            var hand = PlanEdits.Make(visit.Plan, c, out _);
            var byHand = Proposal.OutcomeOf(PlannedHead.Of(l, c, hand));
            var clock = Stopwatch.StartNew();
            double lookedUp = 0;
            long judged = 0;
            var found = Search.Of(
                hand,
                l,
                c,
                HouseRules.Usual,
                p =>
                {
                    lookedUp = p.Evaluations > 0 && lookedUp == 0 ? clock.Elapsed.TotalSeconds : lookedUp;
                    judged = Math.Max(judged, p.Evaluations);
                }
            );
            var took = clock.Elapsed.TotalSeconds;
            Stopwatches.Judge(
                () =>
                    Console.WriteLine(
                        $"  {Path.GetFileNameWithoutExtension(file), -32} {took, 8:0.0} s {lookedUp, 9:0.0} s {judged, 12} "
                            + $"{judged / Math.Max(0.01, took - lookedUp), 10:0} {Aim.Distance(byHand, hand.Goal), 12:0.00} → "
                            + $"{found[0].Distance:0.00}, {found[1].Distance:0.00}, {found[2].Distance:0.00}"
                    ),
                took > MostSeconds,
                "every setting is looked at twice where an old edge may be softened first, and tied as well as down"
            );
        }
    }
}
