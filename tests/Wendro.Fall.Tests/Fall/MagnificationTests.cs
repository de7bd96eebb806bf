using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Section;

namespace Wendro.Tests.Fall;

/// <summary>Closer, from below, wet, and with hair pinned up: what is seen is the same hair.</summary>
public sealed class MagnificationTests
{
    private static readonly HairViews Looks = Given.Usual;

    [Fact]
    public void Closer_anywhere_is_drawn_and_shows_what_lies_there()
    {
        Gen.Select(
                Gen.Int[1, Magnification.Most],
                Gen.Int[0, Magnification.Places],
                Gen.Int[0, Magnification.Places],
                Gen.Int[0, 23]
            )
            .Sample(
                (steps, across, down, turn) =>
                {
                    var closer = new Magnification((byte)steps, (byte)across, (byte)down);
                    var near = Looks.Seen(Wear.Down, turn * 15, closer: closer);
                    var far = View.Of(turn * 15, HairOnHead.HemHeight(Looks.Hair.Cut));
                    Assert.Equal(far.PixelsPerCm * closer.Times, near.View.PixelsPerCm, 1e-3);

                    // The middle of a close picture is a place of the whole one.
                    var at = near.View.Unproject(View.Width, View.Height / 2f, 0);
                    var p = far.Project(at);
                    Assert.InRange(p.X, 0, View.Width * View.Across);
                    Assert.InRange(p.Y, 0, View.Height);
                },
                iter: 40
            );
    }

    [Fact]
    public void The_same_strands_are_seen_close_up_as_from_afar()
    {
        var far = Looks.Seen(Wear.Down, 180);
        var near = Looks.Seen(Wear.Down, 180, closer: new Magnification(2, 12, 6));
        var (all, close) = (far.Strand.ToHashSet(), near.Strand.Distinct().ToArray());
        Assert.True(close.Length > 200);
        Assert.True(close.Count(s => all.Contains(s)) > 0.75 * close.Length);
    }

    [Fact]
    public void Pinned_up_nothing_that_lies_over_a_panel_hangs_and_more_of_it_is_seen()
    {
        var head = Given.Bare;
        var open = new PanelKey(Zone.LowerBack, 0, 0);
        var up = head.Map.PinnedUp(new HashSet<Zone>(), open, head.Panels);
        Assert.True(up.HoldsAny);
        var zones = head.Map.Zone;
        Each.Of(
            Enumerable.Range(0, zones.Length).Where(i => ZoneFacts.Over(Zone.LowerBack).Contains((Zone)zones[i])),
            i => Assert.NotEqual(0, up.Clip[i])
        );
        int Of(Seen seen) => seen.Strand.Count(s => (Zone)zones[s] == Zone.LowerBack);
        Assert.True(Of(Looks.Seen(Wear.Down, 180, pinned: up)) > 2 * Of(Looks.Seen(Wear.Down, 180)));

        // What is clipped up stays near the head.
        var worn = Looks.Worn(Wear.Down, up);
        Each.Of(
            Enumerable.Range(0, zones.Length).Where(i => up.Clip[i] != 0),
            i => Assert.True((worn.Points[i * worn.Each + worn.Each - 1] - Form.SkullCentre).Length() < 16)
        );
    }

    [Fact]
    public void Wet_hair_is_darker_closer_together_and_shines()
    {
        var (dry, wet) = (Looks.Seen(Wear.Down, 180), Looks.Seen(Wear.Wet, 180));
        Assert.True(wet.Shade.Average(s => s) < 0.92 * dry.Shade.Average(s => s));
        Assert.True(wet.Shine.Count(s => s > 120) > dry.Shine.Count(s => s > 120));
        Assert.True(wet.Strand.Length < dry.Strand.Length);
        Assert.False(WearFacts.IsWorn(Wear.Wet));
    }

    [Fact]
    public void Hair_lies_straight_first_and_keeps_its_length()
    {
        foreach (var curl in Enum.GetValues<Curl>())
        {
            var on = new HairOnHead(Given.Head, HairProfile.Usual with { Curl = curl }, PartLine.Central, 2_000);
            var worn = on.Worn(Wear.Down);
            var (drawn, told) = (0.0, 0.0);
            for (var i = 0; i < on.Strands.Count; i++)
            {
                told += on.Lengths[i];
                for (var k = 1; k < worn.Each; k++)
                {
                    drawn += (worn.Points[i * worn.Each + k] - worn.Points[i * worn.Each + k - 1]).Length();
                }
            }

            Assert.InRange(drawn / told, 0.85, 1.12);
        }
    }
}
