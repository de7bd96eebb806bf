using System.Numerics;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Tests.Fall;

/// <summary>What makes hair read as hair, in figures: the part, waves, hems, the shoulder.</summary>
public sealed class LooksLikeHairTests
{
    private static FallenHair Worn(Curl curl, double hem, PartLine? part = null, Wear wear = Wear.Down) =>
        new HairOnHead(
            Given.Head,
            HairProfile.Usual with
            {
                Curl = curl,
                Cut = new Cut(hem, 2),
            },
            part ?? PartLine.Central,
            4_000
        ).Worn(wear);

    [Theory]
    [InlineData(0, 0)]
    [InlineData(2.5, 0)]
    [InlineData(0, 8)]
    public void The_part_is_a_line_that_no_root_lies_in(double aside, double zigzagMm)
    {
        var part = new PartLine(aside, aside / 2, zigzagMm);
        var hair = Worn(Curl.Straight, 34, part);
        var roots = Enumerable
            .Range(0, hair.Strands.Count)
            .Where(i => hair.Strands.Scalp[i].Position.Z > -1.5)
            .Select(i =>
                (
                    // From the line as it is drawn: by hand, it wanders half a millimetre.
                    From: DrawnPart.From(part, hair.Strands.Scalp[i]),
                    Moved: (hair.Points[i * hair.Each] - hair.Strands.Scalp[i].Position).X,
                    Drawn: DrawnPart.From(part, hair.Strands.Scalp[i])
                        - (hair.Strands.Scalp[i].OverTopCm - part.FallsAt(hair.Strands.Scalp[i].Position.Z))
                )
            )
            .Where(r => Math.Abs(r.From) < 0.11)
            .ToArray();
        Each.Of(roots, r => Assert.True(Math.Abs(r.From + r.Moved) > 0.06, $"{r.From:0.000} {r.Moved:0.000}"));
        Each.Of(roots, r => Assert.InRange(Math.Abs(r.Drawn), 0, 0.06));
    }

    /// <summary>How far strands at the back swing from their own middle, cm, and how much of that together.</summary>
    private static (double Swing, double Together) SwingOf(FallenHair hair)
    {
        const int from = 8,
            heights = 19,
            turn = 11;
        var strands = new List<double[]>();
        for (var i = 0; i < hair.Strands.Count; i++)
        {
            var at = new double[heights];
            var found = 0;
            for (var k = 1; k < hair.Each && found < heights; k++)
            {
                var (a, b) = (hair.Points[i * hair.Each + k - 1], hair.Points[i * hair.Each + k]);
                while (found < heights && a.Y >= -from - found && b.Y < -from - found && b.Z < -6)
                {
                    at[found] = a.X + (b.X - a.X) * (a.Y + from + found) / (a.Y - b.Y);
                    found++;
                }
            }

            if (found == heights && Math.Abs(at[9]) < 4)
            {
                strands.Add(
                    Enumerable
                        .Range(turn / 2, heights - turn + 1)
                        .Select(y => at[y] - at.Skip(y - turn / 2).Take(turn).Average())
                        .ToArray()
                );
            }
        }

        Assert.True(strands.Count > 100, $"{strands.Count} strands");
        var rows = Enumerable.Range(0, strands[0].Length).ToArray();
        var swing = rows.Average(y => strands.Average(s => Math.Abs(s[y])));
        return (swing, rows.Average(y => Math.Abs(strands.Average(s => s[y]))) / swing);
    }

    [Fact]
    public void Waves_that_hang_side_by_side_swing_together()
    {
        var (wavy, straight) = (SwingOf(Worn(Curl.Wavy, 50)), SwingOf(Worn(Curl.Straight, 50)));
        Assert.True(wavy.Swing > 2 * straight.Swing, $"{wavy} {straight}");
        // In ribbons: side by side, but the whole back is not one curtain.
        Assert.True(wavy.Together is > 0.5 and < 0.84, $"{wavy} {straight}");
    }

    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    public void Long_hair_passes_the_shoulder_without_loops(Curl curl)
    {
        var hair = Worn(curl, 52);
        var up = 0;
        var all = 0;
        for (var i = 0; i < hair.Strands.Count; i++)
        {
            for (var k = 1; k < hair.Each; k++)
            {
                var (a, b) = (hair.Points[i * hair.Each + k - 1], hair.Points[i * hair.Each + k]);
                if (a.Y is < -8 and > -26)
                {
                    all++;
                    up += b.Y > a.Y + 0.05 ? 1 : 0;
                }
            }
        }

        Assert.True(up < all * 0.01, $"{up} of {all} pieces rise");
    }

    [Fact]
    public void One_lock_goes_one_way_over_the_shoulder()
    {
        var hair = Worn(Curl.Straight, 52);
        var torn = 0;
        for (var l = 0; l < hair.Strands.LockCount; l++)
        {
            var ends = Enumerable
                .Range(hair.Strands.LockStart[l], hair.Strands.LockStart[l + 1] - hair.Strands.LockStart[l])
                .Select(i => hair.Points[i * hair.Each + hair.Each - 1])
                .Where(p => Math.Abs(p.X) > 5)
                .ToArray();
            var front = ends.Count(p => p.Z > -4.8f);
            torn += Math.Min(front, ends.Length - front) > ends.Length * 0.2 ? 1 : 0;
        }

        Assert.True(torn < hair.Strands.LockCount * 0.05, $"{torn} locks are torn apart");
    }

    /// <summary>Seen from the side, the shoulder is bare up to the neck where hair hangs only before it and behind.</summary>
    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    public void Long_hair_lies_on_the_shoulder_too(Curl curl)
    {
        var hair = Worn(curl, 52);
        var onTop = Enumerable
            .Range(0, hair.Strands.Count)
            .Count(i =>
                hair.Points.AsSpan(i * hair.Each, hair.Each)
                    .ToArray()
                    .Any(p => Math.Abs(p.X) > 12 && p.Y > -19 && Given.Head.Grid.At(p).W < 2.5f)
            );
        Assert.True(onTop > hair.Strands.Count * 0.1, $"{onTop} of {hair.Strands.Count} strands");
    }

    /// <summary>From the side hair divides on the shoulder, not above it: no bare wedge opens up to the neck.</summary>
    [Theory]
    [InlineData(Curl.Straight, 38)]
    [InlineData(Curl.Wavy, 44)]
    public void From_the_side_hair_covers_the_top_of_the_shoulder(Curl curl, double hem)
    {
        var hair = Worn(curl, hem);
        Assert.InRange(BareAt(hair, -11), 0, 0.5);
    }

    /// <summary>How much of the shoulder's side is bare at a height between hair before it and behind, cm.</summary>
    private static double BareAt(FallenHair hair, float height)
    {
        var depths = new List<float>();
        for (var i = 0; i < hair.Strands.Count; i++)
        {
            for (var k = 1; k < hair.Each; k++)
            {
                var (a, b) = (hair.Points[i * hair.Each + k - 1], hair.Points[i * hair.Each + k]);
                if (a.Y > height != b.Y > height && a.X > 5)
                {
                    depths.Add(Vector3.Lerp(a, b, (height - a.Y) / (b.Y - a.Y)).Z);
                }
            }
        }

        depths.Sort();
        return depths.Zip(depths.Skip(1), (a, b) => a is > -9 and < 0 ? b - a : 0).Max();
    }

    /// <summary>Hair so long lies on the shoulder whole, however much of it is left: it does not graze it.</summary>
    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    public void What_is_worn_goes_on_from_where_it_was_combed_as_if_it_fell_anew(Curl curl)
    {
        var hair = HairProfile.Usual with { Curl = curl, Cut = new Cut(66, 2) };
        var strands = HairOnHead.Sow(Given.Head, hair, PartLine.Central, 4_000);
        var march = new StrandSimulator(Given.Head, strands, PartLine.Central, strands.Side, hair, Texture.Of(curl));
        var (worn, anew) = (new Vector3[StrandSimulator.Most], new Vector3[StrandSimulator.Most]);
        var (carried, moved) = (0, 0);
        for (var i = 0; i < strands.Count; i++)
        {
            march.Comb(i, 90, HairOnHead.HemHeight(hair.Cut), worn, out var length, out var shoulder);
            if (shoulder is { } from)
            {
                // Some are cut shorter than they were combed.
                var line = length * (i % 3 == 0 ? 0.9f : 1);
                var combed = worn.ToArray();
                var count = march.Wear(i, from, line, worn);
                Assert.Equal(march.Run(i, line, float.MinValue, anew, out _), count);
                Assert.Equal(anew[..count], worn[..count]);
                carried++;
                moved += combed[count / 2 + 10] == worn[count / 2 + 10] ? 0 : 1;
            }
        }

        Assert.True(carried > strands.Count / 10, $"{carried} of {strands.Count}");
        Assert.True(moved > carried / 2, $"{moved} of {carried} lie otherwise than combed");
    }

    [Fact]
    public void What_lies_on_the_shoulder_never_slips_off_behind_it()
    {
        var hair = Worn(Curl.Wavy, 44);
        Assert.DoesNotContain(Ends(hair), e => Math.Abs(e.X) > 11.5 && e.Z < -5);
    }

    /// <summary>What slides off the shoulder behind hangs on: it does not leave it aslant, over the hair beside it.</summary>
    [Theory]
    [InlineData(38)]
    [InlineData(44)]
    public void What_slides_off_the_shoulder_behind_does_not_leave_it_aslant(double hem)
    {
        var hair = Worn(Curl.Straight, hem);
        var aslant = Enumerable
            .Range(0, hair.Strands.Count)
            .SelectMany(i => Enumerable.Range(i * hair.Each, hair.Each - 1))
            .Select(k => (From: hair.Points[k], To: hair.Points[k + 1]))
            .Where(s => s.From is { Y: < -9 and > -15, Z: < -5.5f } && Math.Abs(s.From.X) > 6)
            .Select(s => (Math.Abs(s.From.X) - Math.Abs(s.To.X)) / (s.To - s.From).Length())
            .Order()
            .ToArray();
        Assert.True(aslant.Length > 1000);
        Assert.InRange(aslant[aslant.Length * 99 / 100], 0, 0.38);
    }

    [Fact]
    public void Shoulder_length_hair_only_grazes_the_shoulder_and_long_hair_lies_on_it()
    {
        var (grazes, lies) = (Outermost(34), Outermost(52));
        Assert.True(grazes < 11.5 && lies > 13, $"{grazes:0.0} and {lies:0.0} cm from the middle");

        static double Outermost(double hem)
        {
            var aside = Ends(Worn(Curl.Straight, hem))
                .Where(e => e.Z > -4.6 && e.Y < -13)
                .Select(e => Math.Abs(e.X))
                .Order()
                .ToArray();
            return aside[aside.Length * 95 / 100];
        }
    }

    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    public void Hair_swept_back_closes_over_the_middle_behind(Curl curl)
    {
        var hair = Worn(curl, 38, wear: Wear.SweptBack);
        var over = Enumerable
            .Range(0, hair.Strands.Count)
            .Where(i => hair.Strands.Scalp[i].Position is { Z: > 0, Y: > 5 })
            .Count(i =>
                hair.Points.AsSpan(i * hair.Each, hair.Each)
                    .ToArray()
                    .Any(p => p is { Y: > -6 and < -3, Z: < -8 } && Math.Abs(p.X) < 1)
            );
        Assert.True(over > hair.Strands.Count / 100, $"{over} strands from the front");
    }

    [Fact]
    public void Tight_curls_do_not_stand_out_over_the_face()
    {
        var hair = Worn(Curl.Coily, 30);
        var rise = Enumerable
            .Range(0, hair.Strands.Count)
            .Where(i => hair.Strands.Scalp[i] is { FromHairlineCm: < 1.5, Position.Z: > 4 })
            .Average(i =>
                Vector3.Normalize(hair.Points[i * hair.Each + hair.Each * 3 / 4] - hair.Points[i * hair.Each]).Y
            );
        Assert.InRange(rise, 0.1, 0.35);
    }

    /// <summary>Swept back, hair rises to the middle as the head does: there is no notch along it.</summary>
    [Theory]
    [InlineData(Curl.Straight)]
    [InlineData(Curl.Wavy)]
    public void Swept_back_no_notch_opens_along_the_middle(Curl curl)
    {
        var hair = Worn(curl, 44, wear: Wear.SweptBack);
        float Top(float from, float to) =>
            hair.Points.Where(p => p.Z is > -4 and < 0 && Math.Abs(p.X) >= from && Math.Abs(p.X) < to).Max(p => p.Y);
        Assert.True(Top(0, 0.4f) > Top(0.8f, 1.6f) - 0.1f, $"{Top(0, 0.4f):0.00} beside {Top(0.8f, 1.6f):0.00}");
    }

    /// <summary>Tight curls that are cut to a hem are cut to a round outline: no peak over the forehead.</summary>
    [Theory]
    [InlineData(24)]
    [InlineData(35)]
    public void Tight_curls_cut_to_a_hem_stand_out_over_the_forehead_no_further_than_above_the_ears(double hem)
    {
        var hair = Worn(Curl.Coily, hem);
        double OutOf(Func<ScalpPoint, bool> rooted) =>
            Enumerable
                .Range(0, hair.Strands.Count)
                .Where(i => rooted(hair.Strands.Scalp[i]))
                .Select(i => (double)(hair.Points[(i + 1) * hair.Each - 1] - hair.Points[i * hair.Each]).Length())
                .Order()
                .ToArray()
                is { Length: > 20 } far
                ? far[far.Length * 9 / 10]
                : throw new InvalidOperationException("hardly any strands");
        var forehead = OutOf(p => p is { FromHairlineCm: < 2, Position.Z: > 5 });
        var side = OutOf(p => p.Position is { Y: > 2 and < 5, Z: > -4 and < 1 });
        Assert.InRange(forehead / side, 0.7, 1.15);
    }

    private static Vector3[] Ends(FallenHair hair) =>
        Enumerable.Range(1, hair.Strands.Count).Select(i => hair.Points[i * hair.Each - 1]).ToArray();

    /// <summary>It is cut combed straight down: lying out over the shoulder makes no hair longer.</summary>
    [Fact]
    public void What_lies_out_over_the_shoulder_ends_above_where_it_was_cut()
    {
        var hair = Worn(Curl.Straight, 52);
        var hem = HairOnHead.HemHeight(new Cut(52, 2));
        var ends = Enumerable
            .Range(0, hair.Strands.Count)
            .Where(i => !HairOnHead.IsFlyaway(i))
            .Select(i => (At: hair.Points[i * hair.Each + hair.Each - 1], Cut: hem + 2 * hair.Strands.Above[i]))
            .Where(p => p.At.Y < -30 && p.At.Z > -4 && Math.Abs(p.At.X) > 11)
            .ToArray();
        var above = ends.Average(p => p.At.Y - p.Cut);
        Assert.True(above > 0.5, $"{ends.Length} ends lie {above:0.00} cm above where they were cut");
    }

    [Theory]
    [InlineData(Curl.Curly)]
    [InlineData(Curl.Coily)]
    public void A_tail_of_curls_opens_below_its_knot(Curl curl)
    {
        var (curls, straight) = (WidthOfTail(curl), WidthOfTail(Curl.Straight));
        Assert.True(curls > 2.2 * straight, $"{curls:0.0} cm, straight {straight:0.0} cm");
    }

    /// <summary>How far apart a tail's strands lie from side to side 5 to 9 cm below the knot, cm: nine in ten.</summary>
    private static double WidthOfTail(Curl curl)
    {
        var hair = Worn(curl, 45, wear: Wear.TiedHigh);
        var aside = hair
            .Points.Where(p => p.Z < hair.Knot!.At.Z - 0.5f && p.Y < hair.Knot.At.Y - 5)
            .Where(p => p.Y > hair.Knot!.At.Y - 9)
            .Select(p => (double)p.X)
            .Order()
            .ToArray();
        return aside[(int)(aside.Length * 0.95)] - aside[(int)(aside.Length * 0.05)];
    }
}
