using Wendro.Blend;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Placement;
using Wendro.Plans;

namespace Wendro.Host.Tests;

/// <summary>
/// From look to placement on the demo's clients: nearer than the plan made by hand, or saying what can't be met.
/// </summary>
public sealed class ProposalTests
{
    private static readonly string Demo = Path.Combine(Repository, "demo");

    private static string Repository
    {
        get
        {
            var at = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(at!.FullName, "Wendro.slnx")))
            {
                at = at.Parent;
            }

            return at.FullName;
        }
    }

    public static TheoryData<string> Clients =>
        [.. Directory.GetFiles(Demo, "*.json").Order().Select(f => Path.GetFileName(f)!)];

    [Theory]
    [MemberData(nameof(Clients))]
    public async Task A_proposal_beats_the_plan_made_by_hand(string client)
    {
        var visit = VisitFile.Read(await File.ReadAllBytesAsync(Path.Combine(Demo, client)));
        var looks = new HairViews(
            HeadForm.Usual,
            visit.Plan.AsWorn(visit.Hair),
            visit.Plan.Part,
            ViewCache.For(2, 8),
            5_000
        );
        var cutting = new Cutting(HeadForm.Usual, visit.Hair, _ => looks.OnHead.LengthAt);
        var plan = PlanEdits.Make(visit.Plan, cutting, out var problems);
        Assert.Empty(problems);
        var hand = Proposal.OutcomeOf(PlannedHead.Of(looks, cutting, plan));
        var found = Search.Of(plan, looks, cutting, HouseRules.Usual);
        Assert.Equal(3, found.Count);
        var nearest = found[0];
        Assert.True(
            nearest.Score < Aim.Score(hand, plan.Goal, Strength.Nearest),
            $"found {nearest.Score:0.00}, by hand {Aim.Score(hand, plan.Goal, Strength.Nearest):0.00}"
        );

        // Every wish is met within what the eye lets pass, or it is named with its reason.
        foreach (var f in found)
        {
            var (o, goal) = (f.Outcome, plan.Goal);
            Assert.Equal(
                f.Unmet.Any(u => u.Goal == "ends"),
                o.EndsLevel is not { } ends || Math.Abs(ends - goal.EndsLevel) > Aim.EndsWithin
            );
            Assert.Equal(
                f.Unmet.Any(u => u.Goal == "face frame"),
                o.FaceFrameLift < goal.FaceFrameLift - Aim.FaceWithin
            );
            Assert.Equal(
                f.Unmet.Any(u => u.Goal == "root softness"),
                o.RootSoftness > goal.RootSoftness + Aim.SoftnessWithin
            );
            Assert.All(f.Unmet, u => Assert.True(u.Because.Length > 15));
        }
    }
}
