using Wendro.Blend;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Tests.Patterns;

/// <summary>
/// What a pattern proposes on a client it suits is nothing a second pair of eyes would warn of at once.
/// </summary>
public sealed class PatternCareTests
{
    public static TheoryData<string> Ids => [.. StartingPatterns.All.Select(p => p.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void Nothing_graver_than_a_note_is_said_of_it_on_a_client_it_is_for(string id)
    {
        var pattern = StartingPatterns.Of(id)!;
        var client = FittingClient.For(id);
        Assert.Null(pattern.Against(client.Hair));
        var (looks, cutting) = Given.Looks(client.Hair, strands: HairOnHead.UsualStrands);
        var fresh = client.Fresh();
        var steps = pattern.StepsFor(fresh, cutting, HouseRules.Usual);
        var plan = fresh.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), cutting).Plan;
        var head = PlannedHead.Of(looks, cutting, plan);
        Assert.Contains(head.Panels, p => p.Coats.Count > 0);
        var graver = head
            .AllFindings.Where(f => f.Severity != Severity.Note)
            .Select(f => $"{f.Title}: {f.Text} {f.Why}");
        Assert.True(!graver.Any(), string.Join('\n', graver));
    }

    /// <summary>Ways that leave most of the head alone, and those in foil.</summary>
    private static readonly Dictionary<string, (int Panels, double Minutes)> Most = new()
    {
        ["face-block"] = (35, 45),
        ["hairline-express"] = (20, 30),
        ["tips-at-home"] = (35, 30),
        ["high-low-foil"] = (80, 120),
        ["zigzag-quadrants"] = (80, 120),
        ["lines-softened"] = (90, 75),
    };

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_person_can_paint_it_on_a_medium_head_and_it_aims_at_the_goal(string id)
    {
        var (looks, cutting) = MediumHead.Value;
        var fresh = Plan.Fresh(5);
        var steps = StartingPatterns.Of(id)!.StepsFor(fresh, cutting, HouseRules.Usual);
        var head = PlannedHead.Of(
            looks,
            cutting,
            fresh.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), cutting).Plan
        );
        var (panels, minutes) = Most.GetValueOrDefault(id, (70, 75));
        Assert.InRange(head.Panels.Count(p => p.Coats.Count > 0), 10, panels);
        Assert.True(head.Minutes <= minutes, $"{head.Minutes:0} min");
        if (head.Measures.EndsLevel is { } ends)
        {
            Assert.InRange(ends, fresh.Goal.EndsLevel - 0.4, fresh.Goal.EndsLevel + 0.4);
        }

        // Finer where it shows: the face is never cut coarser than what lies behind.
        foreach (var zone in head.Plan.Zones.Where(z => ZoneFacts.IsFaceFrame(z.Key) && z.Value.Excluded is null))
        {
            var face = zone.Value.Sections;
            Assert.True(
                face.Parting == Parting.Triangles
                    || face.ThicknessMm <= head.Plan.Zones[Zone.UpperBack].Sections.ThicknessMm
            );
        }
    }

    private static readonly Lazy<(HairViews, Cutting)> MediumHead = new(() => Given.Looks(FittingClient.Medium.Hair));
}
