using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Patterns;
using Wendro.Plans;

namespace Wendro.Host.Tests;

/// <summary>
/// A picture of every technique on a client it is done on, from where its marks are, raw and toned: kept in docs/techniques where WENDRO_SHOTS is set; otherwise a
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

    private static readonly HairProfile Blonde = Straight with
    {
        NaturalLevel = new(5),
        History = [new(0, 3, BandState.Natural, new(5)), new(3, 38, BandState.Lightened, new(8.5))],
    };

    private static readonly HairProfile OldPieces = Straight with
    {
        NaturalLevel = new(5),
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 38, BandState.Lightened, new(8.5), 0.3)],
    };

    private static readonly HairProfile Curly = HairProfile.Usual with
    {
        NaturalLevel = new(4),
        Curl = Curl.Curly,
        Density = Density.High,
        Cut = new Cut(38, 9, 6),
    };

    /// <summary>From where a technique's marks are seen.</summary>
    /// <param name="Angle">Degrees round the head.</param>
    /// <param name="Wear">How it is worn.</param>
    /// <param name="Tilt">Degrees above eye height.</param>
    /// <param name="Closer">How close, and where.</param>
    /// <param name="Pinned">Zones clipped up.</param>
    private sealed record From(
        int Angle,
        Wear Wear = Wear.Down,
        int Tilt = View.UsualTilt,
        Magnification Closer = default,
        params Zone[] Pinned
    );

    private static readonly Magnification Face = new(1, 12, 8),
        Back = new(1, 12, 10),
        Top = new(1, 12, 12),
        Lengths = new(2, 12, 14);

    private static readonly Zone[] AboveRidge =
    [
        Zone.Crown,
        Zone.TopLeft,
        Zone.TopRight,
        Zone.FringeLeft,
        Zone.FringeRight,
    ];

    private static readonly Zone[] AboveNape = [Zone.LowerBack, Zone.UpperBack, .. AboveRidge];

    /// <summary>Who each technique is shown on, and from where its marks are.</summary>
    private static (HairProfile Hair, From First, From Second) ShownOn(string pattern) =>
        pattern switch
        {
            "wide-narrow" => (Long, new(180, Closer: Back), new(180, Closer: Back, Pinned: AboveRidge)),
            "four-quarters" => (Straight, new(150, Closer: Back), new(90, Closer: Face)),
            "thick-all-over" => (Long, new(30, Closer: Face), new(180, Closer: Back)),
            "heavy-front" => (Long, new(0, Closer: Face), new(135)),
            "staggered-lines" => (Straight, new(180, Closer: Lengths), new(30, Closer: Face)),
            "oval-out" => (Straight, new(180, Tilt: 60, Closer: Top), new(150, Closer: Back)),
            "face-block" => (Straight, new(0, Closer: Face), new(60, Closer: Face)),
            "hairline-express" => (Straight, new(45, Wear.TiedHigh, Closer: new(2, 13, 6)), new(30, Closer: Face)),
            "quiet-dark" => (Dark, new(30, Closer: Face), new(180, Closer: Back, Pinned: AboveRidge)),
            "zigzag-quadrants" => (Dark, new(150, Closer: Back), new(0, Tilt: 60, Closer: Top)),
            "high-low-foil" => (Straight, new(180, Closer: Back), new(30, Closer: Face)),
            "curl-shell" => (Curly, new(30, Closer: Face), new(180, Closer: Back)),
            "shadow-mesh" => (Blonde, new(180, Closer: Back), new(0, Tilt: 60, Closer: Top)),
            "triangle-melt" => (Blonde, new(180, Closer: Back), new(30, Closer: Face)),
            "woven-bob" => (Bob, new(45, Closer: Face), new(180, Closer: Back, Pinned: AboveNape)),
            "grey-blend" => (
                Straight with
                {
                    GreyShare = 0.45,
                    Cut = new Cut(30, 2, 3),
                },
                new(30, Closer: Face),
                new(0, Tilt: 60, Closer: Top)
            ),
            "raised-after-cut" => (
                Bob with
                {
                    Marked = [new(MarkKind.Undercut, 0, -17, 5)],
                },
                new(150, Closer: Back),
                new(180, Closer: Back, Pinned: AboveNape)
            ),
            "refresh-dark" => (OldPieces, new(180, Closer: Back), new(60, Closer: Face)),
            "regrowth-blend" => (
                Long with
                {
                    History = [new(0, 9, BandState.Natural, new(5)), new(9, 44, BandState.Lightened, new(8.5))],
                },
                new(30, Closer: Face),
                new(180, Tilt: 45, Closer: Top)
            ),
            "lines-softened" => (OldPieces, new(180, Closer: Back), new(30, Closer: Face)),
            "tips-at-home" => (Bob with { Curl = Curl.Wavy }, new(30, Closer: Face), new(135, Closer: Back)),
            _ => throw new ArgumentOutOfRangeException(nameof(pattern), pattern, "No one is shown for it yet."),
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
            var (hair, first, second) = ShownOn(pattern.Id);
            Assert.Null(pattern.Against(hair));
            var looks = new HairViews(
                HeadForm.Usual,
                hair,
                PartLine.Central,
                ViewCache.For(2, 8),
                folder is null ? 3_000 : HairOnHead.UsualStrands
            );
            var cutting = new Cutting(HeadForm.Usual, hair, _ => looks.OnHead.LengthAt);
            var fresh = Plan.Fresh(7);
            var applied = fresh.Apply(
                new Together(pattern.StepsFor(fresh, cutting, HouseRules.Usual).SelectMany(s => s.Edits).ToArray()),
                cutting
            );
            Assert.Empty(applied.Problems);
            var head = PlannedHead.Of(looks, cutting, applied.Plan);
            byte[] Seen(From from, Moment moment, Palette palette) =>
                Picture.Colour(
                    looks.Seen(
                        from.Wear,
                        from.Angle,
                        from.Tilt,
                        from.Closer,
                        from.Pinned.Length == 0 ? null : head.Map.PinnedUp(from.Pinned.ToHashSet(), null, head.Panels)
                    ),
                    head.DrawnAt(moment),
                    palette
                );
            var differs = Seen(first, Moment.Before, Palette.Raw)
                .Zip(Seen(first, Moment.Rinsed, Palette.Raw))
                .Count(p => Math.Abs(p.First - p.Second) > 12);
            Assert.True(differs > 3_000, $"{pattern.Name} is hardly seen: {differs}");
            if (folder is not null)
            {
                var toned = Palette.AsToned(ToneOf(pattern.Id));
                await File.WriteAllBytesAsync(
                    Path.Combine(folder, $"{pattern.Id}.png"),
                    PictureFile.Png(
                        [
                            Seen(first, Moment.Rinsed, Palette.Raw),
                            Seen(first, Moment.Rinsed, toned),
                            Seen(second, Moment.Rinsed, Palette.Raw),
                            Seen(second, Moment.Rinsed, toned),
                        ],
                        230
                    )
                );
            }
        }
    }

    /// <summary>How cool or warm an artist would tone it, −1..1.</summary>
    private static double ToneOf(string pattern) =>
        pattern switch
        {
            "grey-blend" or "lines-softened" => -0.5,
            "quiet-dark" or "curl-shell" => 0.3,
            _ => 0,
        };
}
