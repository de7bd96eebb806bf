using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Patterns;
using Wendro.Core.Plans;
using Wendro.Formats;

namespace Wendro.Host.Tests;

/// <summary>
/// A picture of every technique on a client it suits: kept in docs/techniques where WENDRO_SHOTS is set; otherwise a
/// few are drawn and looked at.
/// </summary>
public sealed class TechniquePictures
{
    private static readonly HairProfile Long = HairProfile.Usual with
    {
        NaturalLevel = new(5),
        Cut = new Cut(44, 4, 6),
        Curl = Curl.Wavy,
    };
    private static readonly HairProfile Straight = HairProfile.Usual with
    {
        NaturalLevel = new(4.5),
        Cut = new Cut(38, 2, 4),
    };
    private static readonly HairProfile Dark = HairProfile.Usual with
    {
        NaturalLevel = new(3),
        Density = Density.High,
        Cut = new Cut(42, 4),
    };
    private static readonly HairProfile Bob = HairProfile.Usual with { NaturalLevel = new(6), Cut = new Cut(22, 0, 2) };

    /// <summary>Who each technique is shown on, and how.</summary>
    private static (HairProfile Hair, Wear Wear, int Left, int Right) ShownOn(string pattern) =>
        pattern switch
        {
            "curl-shell" => (
                HairProfile.Usual with
                {
                    NaturalLevel = new(4),
                    Curl = Curl.Curly,
                    Density = Density.High,
                    Cut = new Cut(36, 9, 6),
                },
                Wear.Down,
                30,
                180
            ),
            "quiet-dark" or "zigzag-quadrants" => (Dark, Wear.Down, 30, 180),
            "hairline-express" => (Straight, Wear.TiedHigh, 30, 90),
            "grey-blend" => (Straight with { GreyShare = 0.35, Cut = new Cut(30, 2, 3) }, Wear.Down, 30, 180),
            "shadow-mesh" or "triangle-melt" => (
                Long with
                {
                    Curl = Curl.Straight,
                    History = [new(0, 3, BandState.Natural, new(5)), new(3, 44, BandState.Lightened, new(8.5))],
                },
                Wear.Down,
                30,
                180
            ),
            "woven-bob" or "raised-after-cut" or "tips-at-home" => (Bob, Wear.Down, 30, 180),
            "face-block" => (Straight, Wear.Down, 0, 30),
            "lines-softened" => (
                Straight with
                {
                    History = [new(0, 6, BandState.Natural, new(4.5)), new(6, 38, BandState.Lightened, new(8), 0.3)],
                },
                Wear.Down,
                30,
                180
            ),
            "refresh-dark" or "regrowth-blend" => (
                Long with
                {
                    History =
                    [
                        new(0, 9, BandState.Natural, new(5)),
                        new(9, 44, BandState.Lightened, new(8.5), pattern == "refresh-dark" ? 0.5 : 1),
                    ],
                },
                Wear.Down,
                30,
                180
            ),
            "high-low-foil" or "heavy-front" or "staggered-lines" => (Straight, Wear.Down, 30, 180),
            _ => (Long, Wear.Down, 30, 180),
        };

    [Fact]
    public async Task Every_technique_can_be_seen()
    {
        var folder = Environment.GetEnvironmentVariable("WENDRO_SHOTS") is { Length: > 0 } shots
            ? Path.Combine(shots, "..", "techniques")
            : null;
        if (folder is not null)
        {
            Directory.CreateDirectory(folder);
        }

        foreach (var pattern in StartingPatterns.All.Where((_, i) => folder is not null || i % 7 == 0))
        {
            var (hair, wear, left, right) = ShownOn(pattern.Id);
            Assert.Null(pattern.Against(hair));
            var looks = new HairLooks(
                HeadForm.Usual,
                hair,
                PartLine.Central,
                KeptViews.For(2, 8),
                folder is null ? 3_000 : HairOnHead.UsualStrands
            );
            var cutting = new Cutting(HeadForm.Usual, hair, _ => looks.OnHead.LengthAt);
            var applied = Plan.Fresh(7)
                .Apply(
                    new Together(
                        pattern.StepsFor(Plan.Fresh(7), cutting, HouseRules.Usual).SelectMany(s => s.Edits).ToArray()
                    ),
                    cutting
                );
            Assert.Empty(applied.Problems);
            var head = PlannedHead.Of(looks, cutting, applied.Plan);
            byte[] Seen(int angle, Moment moment) => Picture.Colour(looks.Seen(wear, angle), head.DrawnAt(moment));
            var differs = Seen(left, Moment.Before)
                .Zip(Seen(left, Moment.Rinsed))
                .Count(p => Math.Abs(p.First - p.Second) > 12);
            Assert.True(differs > 3_000, $"{pattern.Name} is hardly seen: {differs}");
            if (folder is not null)
            {
                await File.WriteAllBytesAsync(
                    Path.Combine(folder, $"{pattern.Id}.png"),
                    PictureFile.Png([Seen(left, Moment.Rinsed), Seen(right, Moment.Rinsed)], 190)
                );
            }
        }
    }
}
