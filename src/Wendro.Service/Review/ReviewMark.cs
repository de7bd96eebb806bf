using Wendro.Apply;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>Who saw what is wrong at a place.</summary>
public enum SeenBy
{
    /// <summary>Marked at the review.</summary>
    Eye,

    /// <summary>Noted while it was painted.</summary>
    Chair,

    /// <summary>It follows from what was read.</summary>
    Readings,
}

/// <summary>Something wrong at a place.</summary>
/// <param name="What">What.</param>
/// <param name="Panel">Where.</param>
/// <param name="By">Who saw it.</param>
/// <param name="Words">In a sentence.</param>
public sealed record ReviewMark(Blemish What, PanelKey Panel, SeenBy By, Sentence Words);

/// <summary>What is wrong, marked at its places: by eye, at the chair, and by what was read.</summary>
public static class ReviewMarks
{
    /// <summary>A root this much lighter than what follows it is hot, levels. Model assumption.</summary>
    private const double HotFrom = 0.4;

    /// <summary>Orange: where lift stands still on the way, levels. Trade.</summary>
    private const double StuckFrom = 5.8,
        StuckTo = 7.2;

    /// <summary>Meant to come out this much lighter than orange it is stuck, levels. Model assumption.</summary>
    private const double StuckShort = 0.5;

    /// <summary>
    /// Less of the planned lift than this is a gap, share; where at least so much was planned, levels.
    /// </summary>
    private const double GapShare = 0.25,
        GapFrom = 1.5;

    /// <summary>The marks, zone by zone.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="review">The review as it stands.</param>
    /// <param name="cameOut">What is wrong with the hair as it came out; nothing where nothing was read.</param>
    public static IReadOnlyList<ReviewMark> Of(
        PlannedHead planned,
        ServiceInHand service,
        Depths depths,
        ReviewInHand review,
        IReadOnlyList<Finding> cameOut
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(review);
        ArgumentNullException.ThrowIfNull(cameOut);
        var byEye = review.Marked.Select(m => new ReviewMark(
            m.What,
            m.Panel,
            SeenBy.Eye,
            $"{Words(m.What)}, {m.Panel.Words}."
        ));
        return byEye
            .Concat(service.Marks.Select(m => AtChair(m.Mark)))
            .Concat(review.Readings.Keys.Select(r => r.Zone).Distinct().SelectMany(z => Read(z)))
            .Concat(Lines(cameOut))
            .DistinctBy(m => (m.What, m.Panel))
            .OrderBy(m => m.Panel.Zone)
            .ThenBy(m => m.Panel.Row)
            .ThenBy(m => m.Panel.Column)
            .ThenBy(m => m.What)
            .ToArray();

        IEnumerable<ReviewMark> Read(Zone zone)
        {
            var panels = Lightened.PanelsIn(planned, zone);
            if (panels.Count == 0)
            {
                yield break;
            }

            var middle = panels[panels.Count / 2].Panel.Key;
            var read = Enum.GetValues<Depth>()
                .Where(d => review.Readings.ContainsKey((zone, d)))
                .ToDictionary(d => d, d => review.Readings[(zone, d)]);
            if (
                read.GetValueOrDefault(Depth.Root) is { } root
                && read.GetValueOrDefault(Depth.Middle) is { } next
                && root.Level - next.Level >= HotFrom
                && depths.Planned(zone, Depth.Root) - depths.Planned(zone, Depth.Middle) < root.Level - next.Level
            )
            {
                yield return new(
                    Blemish.HotRoot,
                    middle,
                    SeenBy.Readings,
                    $"Hot root, {ZoneFacts.Words(zone)}: {root.Level:0.0} over {next.Level:0.0}."
                );
            }

            foreach (var (depth, r) in read)
            {
                var (was, meant) = (depths.Natural(zone, depth), depths.Planned(zone, depth));
                if (meant - was >= GapFrom && r.Level - was < GapShare * (meant - was))
                {
                    yield return new(
                        Blemish.Gap,
                        middle,
                        SeenBy.Readings,
                        $"Hardly lifted, {ZoneFacts.Words(zone)}: {r.Level:0.0} where {meant:0.0} was planned."
                    );
                }
                else if (r.Level is >= StuckFrom and <= StuckTo && meant - r.Level >= StuckShort)
                {
                    yield return new(
                        Blemish.Stuck,
                        middle,
                        SeenBy.Readings,
                        $"Stuck at {r.Level:0.0}, {ZoneFacts.Words(zone)}: {meant:0.0} was planned."
                    );
                }

                if (r.Evenness == Evenness.Spots)
                {
                    yield return new(Blemish.Spot, middle, SeenBy.Readings, $"Spots, {ZoneFacts.Words(zone)}.");
                }
            }
        }
    }

    /// <summary>What it is called.</summary>
    public static string Words(Blemish what) =>
        what switch
        {
            Blemish.Spot => "Spot",
            Blemish.CameThrough => "Came through",
            Blemish.Lump => "A lump of product",
            Blemish.Tangle => "A tangle",
            Blemish.HardLine => "Hard line",
            Blemish.HotRoot => "Hot root",
            Blemish.Gap => "Gap",
            Blemish.Stuck => "Stuck at 6 to 7",
        };

    private static ReviewMark AtChair(Marked mark) =>
        new(
            mark.What == Trouble.Spot ? Blemish.Spot : Blemish.CameThrough,
            mark.Panel,
            SeenBy.Chair,
            mark.What switch
            {
                Trouble.Spot => $"A spot fell at {mark.Panel.Words}.",
                Trouble.TurnedOver => $"{mark.Panel.Words} turned over on other hair.",
                Trouble.CameThrough => $"It came through at {mark.Panel.Words}.",
            }
        );

    /// <summary>Lines that the hair shows as it came out, by the rule a plan is judged by.</summary>
    private static IEnumerable<ReviewMark> Lines(IReadOnlyList<Finding> cameOut) =>
        cameOut
            .Where(f => f.Kind == BlendFault.HardLine && f.Severity == Severity.Alarm && f.Panels.Count > 0)
            .Select(f => new ReviewMark(Blemish.HardLine, f.Panels[f.Panels.Count / 2], SeenBy.Readings, f.Title));
}
