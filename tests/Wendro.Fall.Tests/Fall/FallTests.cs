using System.Numerics;
using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Tests.Fall;

public sealed class FallTests
{
    private static HairOnHead Hair(double hem, PartLine? part = null, Curl curl = Curl.Straight) =>
        new(
            Given.Head,
            HairProfile.Usual with
            {
                Cut = new Cut(hem),
                Curl = curl,
            },
            part ?? PartLine.Central,
            Given.FewStrands
        );

    [Theory]
    [InlineData(23)]
    [InlineData(34)]
    [InlineData(56)]
    public void Hair_ends_at_its_hem(double hem)
    {
        var worn = Hair(hem).Worn(Wear.Down);
        var lowest = worn.Points.Min(p => p.Y);
        Assert.InRange(lowest, HairOnHead.HemHeight(new Cut(hem)) - 3, HairOnHead.HemHeight(new Cut(hem)) + 1);
    }

    [Theory]
    [InlineData(Wear.Down, Curl.Straight)]
    [InlineData(Wear.Down, Curl.Wavy)]
    [InlineData(Wear.TiedHigh, Curl.Straight)]
    [InlineData(Wear.TiedLow, Curl.Straight)]
    [InlineData(Wear.HalfUp, Curl.Straight)]
    [InlineData(Wear.OtherPart, Curl.Straight)]
    [InlineData(Wear.Tucked, Curl.Straight)]
    [InlineData(Wear.SweptBack, Curl.Straight)]
    [InlineData(Wear.Down, Curl.Curly)]
    [InlineData(Wear.TiedHigh, Curl.Curly)]
    [InlineData(Wear.Tucked, Curl.Curly)]
    [InlineData(Wear.Down, Curl.Coily)]
    [InlineData(Wear.TiedLow, Curl.Coily)]
    public void Hair_does_not_enter_the_head(Wear wear, Curl curl)
    {
        var worn = Hair(34, curl: curl).Worn(wear);
        var inside = worn.Points.Count(p => p.Y > -9 && Given.Head.Grid.At(p).W < -0.35f);
        Assert.True(inside < worn.Points.Length * 0.004, $"{inside} of {worn.Points.Length}");
    }

    [Theory]
    [InlineData(Wear.Down)]
    [InlineData(Wear.TiedHigh)]
    [InlineData(Wear.TiedLow)]
    [InlineData(Wear.HalfUp)]
    [InlineData(Wear.OtherPart)]
    [InlineData(Wear.Tucked)]
    [InlineData(Wear.SweptBack)]
    public void Nothing_loops_above_the_crown(Wear wear) =>
        Assert.True(Hair(34).Worn(wear).Points.Max(p => p.Y) < 11.6 + 2.6);

    [Fact]
    public void Waves_swing_shorten_and_take_room()
    {
        var (straight, wavy) = (Hair(44).Worn(Wear.Down), Hair(44, curl: Curl.Wavy).Worn(Wear.Down));
        Assert.True(wavy.Points.Min(p => p.Y) > straight.Points.Min(p => p.Y) + 1);

        // A strand that swings turns aside and back again: its bends add up to more.
        double Bends(FallenHair hair) =>
            Enumerable
                .Range(0, hair.Strands.Count)
                .Average(i =>
                    Enumerable
                        .Range(i * hair.Each + 8, hair.Each - 10)
                        .Sum(k =>
                            Math.Acos(
                                Math.Clamp(
                                    Vector3.Dot(
                                        Vector3.Normalize(hair.Points[k] - hair.Points[k - 1]),
                                        Vector3.Normalize(hair.Points[k + 1] - hair.Points[k])
                                    ),
                                    -1,
                                    1
                                )
                            )
                        )
                );
        Assert.True(Bends(wavy) > Bends(straight) * 1.5, $"{Bends(wavy):0.00} {Bends(straight):0.00}");
        double Out(FallenHair hair) => hair.Points.Where(p => p.Y is > 0 and < 8).Average(p => Given.Head.Grid.At(p).W);
        Assert.True(Out(wavy) > Out(straight) + 0.1);
    }

    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    [InlineData(Curl.Curly)]
    public void No_hair_crosses_the_face(Curl curl)
    {
        var worn = Hair(34, curl: curl).Worn(Wear.Down);
        var across = Enumerable
            .Range(0, worn.Strands.Count)
            .Count(i =>
                worn.Points.AsSpan(i * worn.Each, worn.Each)
                    .ToArray()
                    .Any(p => p.Z > 4 && p.Y is < 3 and > -9 && MathF.Abs(p.X) < 3.2f)
            );
        Assert.True(across <= worn.Strands.Count / 500, $"{across} strands");
    }

    [Fact]
    public void A_strand_has_its_length_in_every_wear()
    {
        var hair = Hair(34);
        var (down, tied) = (hair.Worn(Wear.Down), hair.Worn(Wear.TiedHigh));
        Assert.Same(down.Lengths, tied.Lengths);
        var drawn = Enumerable.Range(0, tied.Strands.Count).Average(i => LengthOf(tied, i) / tied.Lengths[i]);
        Assert.InRange(drawn, 0.9, 1.08);
    }

    [Fact]
    public void Curls_turn_round_shorten_and_widen()
    {
        var (straight, curly) = (Hair(40).Worn(Wear.Down), Hair(40, curl: Curl.Curly).Worn(Wear.Down));
        Assert.True(curly.Points.Min(p => p.Y) > straight.Points.Min(p => p.Y) + 4);

        // A coil crosses its own middle line again and again: seen from the front it goes left and right by turns.
        double Turns(FallenHair hair) =>
            Enumerable
                .Range(0, hair.Strands.Count)
                .Average(i =>
                {
                    var xs = Enumerable
                        .Range(i * hair.Each + 1, hair.Each - 1)
                        .Select(k => hair.Points[k].X - hair.Points[k - 1].X)
                        .ToArray();
                    return xs.Skip(1).Zip(xs, (a, b) => Math.Sign(a) != Math.Sign(b) ? 1 : 0).Sum();
                });
        Assert.True(Turns(curly) > 6, $"{Turns(curly):0.0}");
        Assert.True(Turns(straight) < 5, $"{Turns(straight):0.0}");
        double Out(FallenHair hair) => hair.Points.Where(p => p.Y is > 0 and < 8).Average(p => Given.Head.Grid.At(p).W);
        Assert.True(Out(curly) > Out(straight) + 0.5);
    }

    [Fact]
    public void Tight_coils_stand_up_and_one_length_all_over_stays_one_length()
    {
        var cut = new Cut(34, EvenCm: 13);
        var hair = new HairOnHead(
            Given.Head,
            HairProfile.Usual with
            {
                Cut = cut,
                Curl = Curl.Coily,
            },
            PartLine.Central,
            Given.FewStrands
        );
        Assert.InRange(hair.Lengths.Average(), 11, 13.5);
        Assert.True(hair.Worn(Wear.Down).Points.Max(p => p.Y) > 11.6 + 4);
        Assert.True(hair.Worn(Wear.Down).Points.Min(p => p.Y) > -16);
    }

    [Fact]
    public void The_part_goes_to_the_other_side_and_her_strands_stay_the_same()
    {
        var hair = Hair(34, new PartLine(3, 1));
        var (down, other) = (hair.Worn(Wear.Down), hair.Worn(Wear.OtherPart));
        Assert.Same(down.Strands, other.Strands);
        Assert.Equal(-3, other.Part.FrontCm);

        // What grows between the two parts now falls to her left instead of her right.
        var between = Enumerable
            .Range(0, down.Strands.Count)
            .Where(i => down.Strands.Scalp[i] is { OverTopCm: < 1 and > -1, Position.Z: > 3 })
            .ToArray();
        double Ends(FallenHair worn) => between.Average(i => worn.Points[(i + 1) * worn.Each - 1].X);
        Assert.True(Ends(down) < -4 && Ends(other) > 4, $"{Ends(down):0.0} {Ends(other):0.0}");
    }

    [Fact]
    public void A_part_in_the_middle_goes_to_one_side() => Assert.True(new PartLine(0.4).MovedOver().FrontCm > 2);

    [Fact]
    public void Swept_back_nothing_falls_before_the_ears()
    {
        var worn = Hair(34).Worn(Wear.SweptBack);
        var front = Enumerable.Range(0, worn.Strands.Count).Count(i => worn.Points[(i + 1) * worn.Each - 1].Z > 2);
        Assert.True(front < worn.Strands.Count * 0.02, $"{front}");
    }

    [Fact]
    public void Tucked_hair_goes_behind_the_ear_and_clears_the_cheek()
    {
        var hair = Hair(34);
        int Cheek(FallenHair worn) => worn.Points.Count(p => p is { Y: < 0 and > -6, Z: > 1.5f });
        Assert.True(Cheek(hair.Worn(Wear.Tucked)) < Cheek(hair.Worn(Wear.Down)) * 0.1);
    }

    [Fact]
    public void A_fringe_falls_over_the_forehead_and_ends_level()
    {
        var cut = new Cut(34, FringeCm: 8);
        var hair = new HairOnHead(Given.Head, HairProfile.Usual with { Cut = cut }, PartLine.Central, Given.FewStrands);
        var worn = hair.Worn(Wear.Down);
        var ends = Enumerable
            .Range(0, worn.Strands.Count)
            .Where(i => Wendro.Fall.Fringe.Has(cut, worn.Strands.Scalp[i]) && !HairOnHead.IsFlyaway(i))
            .Select(i => worn.Points[(i + 1) * worn.Each - 1])
            .ToArray();
        Assert.True(ends.Length > 50);
        Each.Of(ends, p => Assert.True(p.Z > 4, $"{p}"));
        Assert.InRange(ends.Average(p => p.Y), -1.5, 2.5);
    }

    [Fact]
    public void Marks_clip_shorten_and_turn_the_hair()
    {
        HairOnHead With(params Mark[] marks) =>
            new(Given.Head, HairProfile.Usual with { Marked = marks }, PartLine.Central, Given.FewStrands);
        var plain = With();
        var nape = new Mark(MarkKind.Undercut, 0, -17, 5);
        var clipped = With(nape);
        for (var i = 0; i < plain.Strands.Count; i++)
        {
            if (nape.Outside(plain.Strands.Scalp[i]) < 0)
            {
                Assert.True(clipped.Lengths[i] < 1);
            }
            else
            {
                Assert.Equal(plain.Lengths[i], clipped.Lengths[i]);
            }
        }

        var front = new Mark(MarkKind.BabyHair, 0, 12, 3);
        var baby = With(front);
        Assert.Contains(Enumerable.Range(0, plain.Strands.Count), i => plain.Lengths[i] > 20 && baby.Lengths[i] < 6);
        var cowlick = With(new Mark(MarkKind.Cowlick, 4, 4, 3));
        var (still, turned) = (plain.Worn(Wear.Down), cowlick.Worn(Wear.Down));
        double Apart(Func<MapPoint, bool> where) =>
            Enumerable
                .Range(0, plain.Strands.Count)
                .Where(i => where(plain.Strands.Scalp[i].Map))
                .Average(i => (still.Points[i * 32 + 6] - turned.Points[i * 32 + 6]).Length());
        Assert.True(Apart(m => Math.Abs(m.X - 4) < 3 && Math.Abs(m.Y - 4) < 3) > 0.3);
        Assert.True(Apart(m => m.X < -4) < 1e-3);
    }

    [Fact]
    public void A_zigzag_part_goes_to_and_fro_and_keeps_its_middle()
    {
        var part = new PartLine(1, 0, 6);
        Gen.Float[-6, 7].Sample(z => Math.Abs(part.FallsAt(z) - part.OffsetAt(z)) <= 0.6001);
        var straight = Strands.Sow(Given.Head, part with { ZigzagMm = 0 }, 3_500, 340);
        var flipped = Enumerable.Range(0, 3_500).Count(i => straight.SidesOf(part)[i] != straight.Side[i]);
        Assert.InRange(flipped, 5, 150);
    }

    [Fact]
    public void Half_up_ties_the_upper_hair_and_lets_the_rest_hang()
    {
        var hair = Hair(40);
        var (down, half) = (hair.Worn(Wear.Down), hair.Worn(Wear.HalfUp));
        var held = half.Knot!.Holds;
        Assert.InRange(held.Count(h => h) / (double)held.Length, 0.3, 0.75);
        for (var i = 0; i < held.Length; i++)
        {
            if (!held[i])
            {
                Assert.Equal(down.Points[(i + 1) * down.Each - 1], half.Points[(i + 1) * half.Each - 1]);
            }
        }
    }

    [Fact]
    public void A_low_tie_lies_lower_than_a_high_one()
    {
        var hair = Hair(40);
        Assert.True(hair.Worn(Wear.TiedLow).Knot!.At.Y < hair.Worn(Wear.TiedHigh).Knot!.At.Y - 6);
    }

    [Theory]
    [InlineData(Wear.TiedHigh)]
    [InlineData(Wear.TiedLow)]
    public void Tied_hair_meets_at_the_knot(Wear wear)
    {
        var worn = Hair(40).Worn(wear);
        var reached = 0;
        for (var i = 0; i < worn.Strands.Count; i++)
        {
            reached += worn
                .Points.AsSpan(i * worn.Each, worn.Each)
                .ToArray()
                .Any(p => (p - worn.Knot!.At).Length() < 2.2f)
                ? 1
                : 0;
        }

        Assert.True(reached > worn.Strands.Count * 0.85, $"{reached} of {worn.Strands.Count}");
    }

    [Fact]
    public void Longer_on_top_than_at_the_nape_when_cut_to_one_hem()
    {
        var hair = Hair(34);
        var top = hair.LengthAt(Given.Head.Chart.At(new MapPoint(0.5, -3)));
        var nape = hair.LengthAt(Given.Head.Chart.At(new MapPoint(0, -17)));
        Assert.InRange(top, 30, 38);
        Assert.InRange(nape, 10, 18);
    }

    [Fact]
    public void The_same_hair_falls_the_same_way_again()
    {
        var (a, b) = (Hair(34).Worn(Wear.Down), Hair(34).Worn(Wear.Down));
        Assert.Equal(a.Points, b.Points);
    }

    [Fact]
    public void Both_sides_of_a_central_part_carry_as_much_hair()
    {
        var seen = Seen.Of(Hair(34).Worn(Wear.Down), View.Of(0, HairOnHead.HemHeight(new Cut(34))));
        var left = 0;
        var right = 0;
        var s = 0;
        for (var i = 0; i < seen.Counts.Length; i++)
        {
            (left, right) =
                i % View.Width >= View.Width / 2 ? (left + seen.Counts[i], right) : (left, right + seen.Counts[i]);
            s += seen.Counts[i];
        }

        Assert.Equal(seen.Strand.Length, s);
        Assert.InRange((double)left / right, 0.93, 1.07);
    }

    [Fact]
    public void There_are_no_bald_stripes()
    {
        // Seen from behind, every pixel within the outline of the head above the ears is hair.
        var view = View.Of(180, HairOnHead.HemHeight(new Cut(34)));
        var seen = Seen.Of(new HairOnHead(Given.Head, HairProfile.Usual, PartLine.Central).Worn(Wear.Down), view);
        var bald = 0;
        var all = 0;
        for (var y = -2f; y < 9f; y += 0.3f)
        {
            for (var x = -5f; x <= 5f; x += 0.3f)
            {
                var p = view.Project(new Vector3(x, y, -8));
                all++;
                bald += seen.Counts[(int)p.Y * View.Width + (int)p.X / View.Across] == 0 ? 1 : 0;
            }
        }

        Assert.True(bald <= all / 200, $"{bald} of {all}");
    }

    [Fact]
    public void Seen_is_the_same_whatever_is_painted()
    {
        var before = Given.Usual.Seen(Wear.Down, 0);
        Given.Bare.Apply(new Wendro.Plans.PaintZone(Zone.Crown, Wendro.Paint.PanelPaint.Usual));
        Assert.Same(before, Given.Usual.Seen(Wear.Down, 0));
    }

    [Fact]
    public void The_picture_is_as_light_as_its_level()
    {
        var looks = Given.Usual;
        var seen = looks.Seen(Wear.Down, 180);
        double Mean(double level)
        {
            var hair = StrandSamples.For(looks.OnHead.Strands.Count);
            Array.Fill(hair.Levels, Wendro.Units.Level.ToByte(level));
            var rgb = Picture.Colour(seen, hair);
            var sum = 0.0;
            var n = 0;
            for (var i = 0; i < seen.Counts.Length; i++)
            {
                if (seen.Counts[i] == 2)
                {
                    sum += Lightness(rgb[i * 3], rgb[i * 3 + 1], rgb[i * 3 + 2]);
                    n++;
                }
            }

            return sum / n;
        }

        Assert.InRange(Mean(4), 19, 33);
        Assert.InRange(Mean(8), 48, 66);
        Assert.True(Mean(10) > Mean(9) && Mean(9) > Mean(7));
    }

    private static double Lightness(byte r, byte g, byte b)
    {
        static double Linear(byte c) =>
            c / 255.0 <= 0.04045 ? c / 255.0 / 12.92 : Math.Pow((c / 255.0 + 0.055) / 1.055, 2.4);
        return Wendro.Colour.LevelColours.LightnessOf(Linear(r), Linear(g), Linear(b));
    }

    private static float LengthOf(FallenHair hair, int i)
    {
        var sum = 0f;
        for (var k = 1; k < hair.Each; k++)
        {
            sum += (hair.Points[i * hair.Each + k] - hair.Points[i * hair.Each + k - 1]).Length();
        }

        return sum;
    }
}
