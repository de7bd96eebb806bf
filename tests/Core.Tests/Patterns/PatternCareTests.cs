using Wendro.Core.Blend;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Patterns;
using Wendro.Core.Plans;
using Wendro.Core.Section;

namespace Wendro.Core.Tests.Patterns;

/// <summary>
/// What a pattern proposes on a client it suits is nothing a second pair of eyes would warn of at once.
/// </summary>
public sealed class PatternCareTests
{
    private static readonly HairProfile[] Heads =
    [
        HairProfile.Usual,
        HairProfile.Usual with
        {
            NaturalLevel = new(3.5),
            Density = Density.High,
        },
        HairProfile.Usual with
        {
            Curl = Curl.Curly,
        },
        HairProfile.Usual with
        {
            GreyShare = 0.3,
        },
        HairProfile.Usual with
        {
            History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5))],
        },
        HairProfile.Usual with
        {
            History = [new(0, 6, BandState.Natural, new(5)), new(6, 34, BandState.Lightened, new(8), 0.3)],
        },
        HairProfile.Usual with
        {
            Cut = new Cut(22, 0, 2),
        },
    ];

    public static TheoryData<string> Ids => [.. StartingPatterns.All.Select(p => p.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void It_keeps_off_the_scalp_stays_dry_beneath_and_does_not_overlap(string id)
    {
        var pattern = StartingPatterns.Of(id)!;
        var hair = Heads.First(h => pattern.Against(h) is null);
        var (looks, cutting) = hair == HairProfile.Usual ? (Given.Usual, Given.Cutting) : Given.Looks(hair);
        var plan = Plan.Fresh(5)
            .Apply(
                new Together(
                    pattern.StepsFor(Plan.Fresh(5), cutting, HouseRules.Usual).SelectMany(s => s.Edits).ToArray()
                ),
                cutting
            )
            .Plan;
        var head = PlannedHead.Of(looks, cutting, plan);
        Assert.Contains(head.Panels, p => p.Coats.Count > 0);
        Assert.Empty(
            head.AllFindings.Where(f =>
                    new[]
                    {
                        BlendFault.ScalpContact,
                        BlendFault.BleedThrough,
                        BlendFault.HotRoot,
                        BlendFault.LowlightOnTop,
                    }.Contains(f.Kind) || (f.Kind == BlendFault.Overlap && f.Severity != Severity.Note)
                )
                .Select(f => f.Text)
        );
        Assert.True(head.Minutes < 180, $"{head.Minutes:0} min");
    }

    /// <summary>Ways that leave most of the head alone, and the two that are two processes yet.</summary>
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
    public void A_person_can_paint_it_on_a_medium_head_and_it_aims_at_the_wish(string id)
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
            Assert.InRange(ends, fresh.Wish.EndsLevel - 0.4, fresh.Wish.EndsLevel + 0.4);
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

    private static readonly Lazy<(HairLooks, Cutting)> MediumHead = new(() =>
        Given.Looks(HairProfile.Usual with { Cut = new Cut(35) })
    );
}
