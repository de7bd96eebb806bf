using CsCheck;
using Wendro.Colour;
using Wendro.Desk;
using Wendro.Hair;

namespace Wendro.Tests.Colour;

/// <summary>Which shades in which parts bring hair nearest to a wanted colour.</summary>
public sealed class TonerSuggestionTests
{
    private static readonly TonerShade[] Shelf =
    [
        .. from depth in new[] { 7.0, 8, 9, 10 }
        from reflect in new[] { Reflect.Natural, Reflect.Ash, Reflect.Violet, Reflect.Beige, Reflect.Gold }
        select new TonerShade(depth, reflect),
    ];

    private static ToneCase Hair(double level, double minutes = 15) =>
        new(level, null, 10, Reflect.Natural, Porosity.Normal, Dryness.Damp, minutes);

    private static double Apart(Oklch a, Oklch b)
    {
        static (double X, double Y) Plane(Oklch c) =>
            (c.Chroma * Math.Cos(c.Hue * Math.PI / 180), c.Chroma * Math.Sin(c.Hue * Math.PI / 180));
        var ((ax, ay), (bx, by)) = (Plane(a), Plane(b));
        return 100 * Math.Sqrt(Math.Pow(a.Lightness - b.Lightness, 2) + Math.Pow(ax - bx, 2) + Math.Pow(ay - by, 2));
    }

    private static readonly Gen<Oklch> AnyColour = Gen.Select(
            Gen.Double[0.3, 0.9],
            Gen.Double[0, 0.15],
            Gen.Double[0, 360]
        )
        .Select(c => new Oklch(c.Item1, c.Item2, c.Item3));

    [Fact]
    public void One_shade_in_the_bowl_is_that_shade_and_parts_only_count_against_each_other()
    {
        var hair = Hair(9);
        var alone = Toner.Of(hair with { Depth = 9, Reflect = Reflect.Violet });
        Assert.Equal(alone, Toner.Of(hair, [new(9, Reflect.Violet, 3)]));
        Assert.Equal(alone, Toner.Of(hair, [new(9, Reflect.Violet), new(9, Reflect.Violet, 2)]) with { });
        var mixed = Toner.Of(hair, [new(9, Reflect.Violet, 1), new(9, Reflect.Gold, 2)]);
        Assert.Equal(mixed, Toner.Of(hair, [new(9, Reflect.Violet, 2), new(9, Reflect.Gold, 4)]));
        Assert.NotEqual(mixed.Hex, alone.Hex);
    }

    [Fact]
    public void A_shade_too_dark_for_the_bowls_hair_does_its_share_and_one_too_light_does_nothing()
    {
        var nothing = Toner.Of(Hair(7), [new(9, Reflect.Ash)]);
        Assert.Equal(nothing.Before, nothing.Hex);
        // Half a bowl that does nothing is half as strong.
        var half = Toner.Of(Hair(7), [new(9, Reflect.Ash), new(7, Reflect.Ash)]);
        var whole = Toner.Of(Hair(7), [new(7, Reflect.Ash)]);
        Assert.InRange(half.Neutralised, whole.Neutralised * 0.3, whole.Neutralised * 0.8);
    }

    [Trait("Category", "Long")]
    [Fact]
    public void None_is_worse_than_the_best_shade_alone() =>
        Gen.Select(Gen.Double[6, 10], AnyColour, Gen.Int[1, 3])
            .Sample(
                (level, wanted, most) =>
                {
                    var found = TonerSuggestion.Of(Hair(level), wanted, Shelf, most);
                    var best = Shelf.Min(s => Apart(Toner.Of(Hair(level), [s]).Colour, wanted));
                    Assert.True(found[0].DeltaE <= best + 1e-6, $"{found[0].DeltaE} {best}");
                    Assert.InRange(found[0].Shades.Count, 1, most);
                    Assert.Equal(Apart(found[0].Toned.Colour, wanted), found[0].DeltaE, 1e-6);
                    Assert.All(
                        found.SelectMany(f => f.Shades),
                        s => Assert.True(s.Parts is >= 1 and <= TonerSuggestion.MostParts && s.Parts % 1 == 0)
                    );
                    // Others are others, and come no nearer.
                    Assert.Equal(found.OrderBy(f => Math.Round(f.DeltaE, 5)), found);
                },
                iter: 200
            );

    [Trait("Category", "Long")]
    [Fact]
    public void What_some_mixture_reaches_is_reached_within_what_is_not_seen()
    {
        var random = new Random(20);
        var near = 0;
        for (var i = 0; i < 200; i++)
        {
            var hair = Hair(7.5 + 2.5 * random.NextDouble(), 5 + 20 * random.NextDouble());
            var shades = Enumerable
                .Range(0, 1 + random.Next(3))
                .Select(_ => Shelf[random.Next(Shelf.Length)] with { Parts = 0.05 + random.NextDouble() })
                .ToArray();
            var wanted = Toner.Of(hair, shades).Colour;
            near += TonerSuggestion.Of(hair, wanted, Shelf)[0].DeltaE < 0.5 ? 1 : 0;
        }

        Assert.InRange(near, 190, 200);
    }

    [Fact]
    public void On_a_small_shelf_it_is_what_trying_every_bowl_finds() =>
        Gen.Select(AnyColour, Gen.Double[7, 10])
            .Sample(
                (wanted, level) =>
                {
                    TonerShade[] shelf = [Shelf[1], Shelf[7], Shelf[13], Shelf[19]];
                    var least = double.PositiveInfinity;
                    for (var bowl = 1; bowl < 11 * 11 * 11 * 11; bowl++)
                    {
                        int[] parts = [bowl % 11, bowl / 11 % 11, bowl / 121 % 11, bowl / 1331];
                        if (parts.Sum() <= TonerSuggestion.MostParts && parts.Count(p => p > 0) <= 3)
                        {
                            var shades = shelf
                                .Select((s, n) => s with { Parts = parts[n] })
                                .Where(s => s.Parts > 0)
                                .ToArray();
                            least = Math.Min(least, Apart(Toner.Of(Hair(level), shades).Colour, wanted));
                        }
                    }

                    Assert.Equal(least, TonerSuggestion.Of(Hair(level), wanted, shelf)[0].DeltaE, 1e-5);
                },
                iter: 12
            );

    [Fact]
    public void The_desk_tells_what_is_wrong_with_a_question()
    {
        var fine = new SuggestQuestion(
            9,
            Porosity.Normal,
            Dryness.Damp,
            15,
            new(0.8, 0.05, 80),
            [new(9, Reflect.Pearl), new(9, Reflect.Beige)]
        );
        Assert.NotNull(DeskSums.Of(fine).Answer);
        Assert.Equal(
            ["most", "wanted.lightness", "shades[1].depth", "undertone"],
            DeskSums
                .Of(
                    fine with
                    {
                        Most = 4,
                        Wanted = new(2, 0.05, 80),
                        Shades = [new(9, Reflect.Pearl), new(11, Reflect.Ash)],
                        Undertone = "plaid",
                    }
                )
                .Problems.Select(p => p.Field)
                .OrderBy(f => Array.IndexOf(["most", "wanted.lightness", "shades[1].depth", "undertone"], f))
        );
        Assert.NotEmpty(DeskSums.Of(fine with { Shades = [] }).Problems);
        var tone = new ToneQuestion(9, Porosity.Normal, Dryness.Damp, 15);
        Assert.Equal(["depth", "reflect"], DeskSums.Of(tone).Problems.Select(p => p.Field));
        Assert.NotEmpty(DeskSums.Of(tone with { Shades = [] }).Problems);
        Assert.Equal(
            ["shades[0].depth", "shades[0].parts"],
            DeskSums.Of(tone with { Shades = [new(0, Reflect.Ash, 0)] }).Problems.Select(p => p.Field)
        );
        Assert.Equal(
            DeskSums.Of(tone with { Depth = 9, Reflect = Reflect.Ash }).Answer!.Hex,
            DeskSums.Of(tone with { Shades = [new(9, Reflect.Ash, 2)] }).Answer!.Hex
        );
    }
}
