using Wendro.Colour;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>Ways to begin a toning, each made of what is on the shelf.</summary>
/// <param name="Words">What it is, in a few words.</param>
/// <param name="Plan">The plan.</param>
public sealed record ToneStart(string Words, TonePlan Plan)
{
    /// <summary>Where middle and ends usually meet, and where the middle begins, shares of the length. Trade.</summary>
    private const double MiddleFrom = 0.2,
        EndsFrom = 0.6;

    /// <summary>How long each usually stays, minutes: porous ends shorter. Trade.</summary>
    private const double MiddleMinutes = 12,
        EndsMinutes = 10,
        RootMinutes = 15,
        FaceMinutes = 8;

    /// <summary>How far a root is usually drawn down, cm. Trade.</summary>
    private const double RootCm = 4;

    /// <summary>The ways there are; none where the shelf has no shade.</summary>
    /// <param name="hair">The hair as it came out.</param>
    /// <param name="shelf">What the studio owns.</param>
    public static IReadOnlyList<ToneStart> Of(TonedHair hair, IReadOnlyList<Product> shelf)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(shelf);
        if (shelf.OfType<ShadeProduct>().FirstOrDefault() is not { } any)
        {
            return [];
        }

        var bowl = ToneBowl.Of(any);
        var (over, middle, ends, face) = (Pieces(bowl), Middle(bowl), Ends(bowl), Face(bowl));
        var starts = new List<ToneStart>
        {
            new("Middle and ends", InOrder(hair, shelf, middle, ends)),
            new("All lightened pieces alike", InOrder(hair, shelf, over)),
            new(
                "Lengths, then the face alone",
                InOrder(hair, shelf, middle with { Zones = Lengths }, ends with { Zones = Lengths }, face)
            ),
            new("Two depths by turns, face last", InOrder(hair, shelf, [.. TwoDepths(over), face])),
        };
        if (RootShade(hair, shelf) is { } shade)
        {
            starts.Insert(
                1,
                new("Root drawn down, middle, ends", InOrder(hair, shelf, Root(ToneBowl.Of(shade)), middle, ends))
            );
        }

        return starts.Where(s => s.Plan.Areas.Count > 0).ToArray();
    }

    /// <summary>
    /// Areas that can be added to a plan, each with the last one's bowl to begin with; what grows between and the root
    /// with a shade as deep as what grows, where there is one. None where there is nothing to begin with, or no room.
    /// </summary>
    /// <param name="plan">The plan.</param>
    /// <param name="hair">The hair as it came out.</param>
    /// <param name="shelf">What the studio owns.</param>
    public static IReadOnlyList<ToneArea> More(TonePlan plan, TonedHair hair, IReadOnlyList<Product> shelf)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(shelf);
        if (plan.Areas.Count is 0 or >= TonePlan.Most)
        {
            return [];
        }

        var bowl = plan.Areas[^1].Bowl;
        var deep = RootShade(hair, shelf) is { } shade ? ToneBowl.Of(shade) : bowl;
        var pieces = Pieces(bowl);
        ToneArea[] offered =
        [
            Root(deep),
            Middle(bowl),
            Ends(bowl),
            Face(bowl),
            pieces with
            {
                Name = "Pieces only",
            },
            pieces with
            {
                Name = "Depth beside the pieces",
                Takes = Takes.Between,
                Bowl = deep,
            },
            pieces with
            {
                Name = "Every other section",
                Takes = Takes.Odd,
            },
            pieces with
            {
                Name = "Sections between",
                Takes = Takes.Even,
            },
            pieces with
            {
                Takes = Takes.All,
            },
        ];
        return offered.Select(a => a with { Id = plan.Areas.Max(p => p.Id) + 1 }).ToArray();
    }

    private static ToneArea Pieces(ToneBowl bowl) =>
        new(1, "All over", ToneStretch.Whole, bowl, new(EndsMinutes), Takes: Takes.Lightened);

    private static ToneArea Root(ToneBowl bowl) => new(1, "Root", new(0, RootCm), bowl, new(RootMinutes));

    private static ToneArea Middle(ToneBowl bowl) =>
        new(1, "Middle", new(MiddleFrom, EndsFrom, true), bowl, new(MiddleMinutes));

    private static ToneArea Ends(ToneBowl bowl) => new(1, "Ends", new(EndsFrom, null, true), bowl, new(EndsMinutes));

    private static ToneArea Face(ToneBowl bowl) =>
        new(1, "Face", new(MiddleFrom, null, true), bowl, new(FaceMinutes), Zones: FaceZones);

    private static readonly Zone[] Lengths = ZoneFacts.All.Where(z => !ZoneFacts.IsHairline(z)).ToArray();

    private static readonly Zone[] FaceZones = ZoneFacts.All.Where(ZoneFacts.IsHairline).ToArray();

    /// <summary>Alternate sections: the deeper by turns, the lighter between.</summary>
    private static ToneArea[] TwoDepths(ToneArea over) =>
        [
            over with
            {
                Name = Deeper,
                Takes = Takes.Odd,
                Zones = Lengths,
                Minutes = new(MiddleMinutes),
            },
            over with
            {
                Name = "Lighter sections",
                Takes = Takes.Even,
                Zones = Lengths,
            },
        ];

    private const string Deeper = "Deeper sections";

    /// <summary>How much deeper the deeper of two depths is wanted, levels. Trade.</summary>
    private const double DeeperBy = 1;

    /// <summary>
    /// Areas that have something to tone, each with the nearest bowl: put on one after another and rinsed at once,
    /// what goes on earlier stays as much longer as the others take.
    /// </summary>
    private static TonePlan InOrder(TonedHair hair, IReadOnlyList<Product> shelf, params ToneArea[] areas)
    {
        var ordered = new List<ToneArea>();
        var (next, lay) = (0.0, 0.0);
        foreach (var area in areas.Reverse())
        {
            var timed = area with { Minutes = new(Math.Max(area.Minutes, Math.Ceiling(next + lay))) };
            if (AreaForecast.Of(hair, timed) is not { } forecast)
            {
                continue;
            }

            var isRoot = area.Along is { From: <= 0, To: not null };
            if (!isRoot && forecast.Lifted < AreaForecast.CountsAsPiece)
            {
                continue;
            }

            if (area.Name == Deeper)
            {
                timed = timed with
                {
                    Wanted = new(hair.Head.Plan.Goal.Tone, Level.Clamp(forecast.RawLevel - DeeperBy)),
                };
                forecast = AreaForecast.Of(hair, timed)!;
            }

            var mixed = isRoot ? timed : Nearest(timed, forecast, shelf);
            if (ToneFindings.DoesNothing(mixed.Bowl, forecast.RawLevel))
            {
                continue;
            }

            ordered.Insert(0, mixed);
            (next, lay) = (timed.Minutes, ToneClock.LayMinutes(hair.HairOf(timed).ScalpCm2));
        }

        return new(ordered.Select((a, i) => a with { Id = i + 1 }).ToArray());
    }

    private static ToneArea Nearest(ToneArea area, AreaForecast forecast, IReadOnlyList<Product> shelf) =>
        ToneSuggested.Of(forecast, shelf, minutesAside: 0) is [var best, ..] ? area with { Bowl = best.Bowl } : area;

    /// <summary>
    /// A shade as deep as what grows, or a little deeper, cool rather than warm; null where none is: on hair darker
    /// than itself it would do nothing.
    /// </summary>
    private static ShadeProduct? RootShade(TonedHair hair, IReadOnlyList<Product> shelf)
    {
        var natural = hair.Head.Hair.NaturalLevel;
        return shelf
            .OfType<ShadeProduct>()
            .Where(s => s.Base != ShadeBase.AcidGloss && natural - s.Depth is >= -RootLighterBy and <= RootDeeperBy)
            .OrderBy(s => Math.Abs(s.Depth - natural))
            .ThenBy(s => s.Reflect == Reflect.Ash ? 0 : 1)
            .FirstOrDefault();
    }

    /// <summary>A root shade is at most so much lighter, and deeper, than what grows, levels. Trade.</summary>
    private const double RootLighterBy = 0.5,
        RootDeeperBy = 1.5;
}
