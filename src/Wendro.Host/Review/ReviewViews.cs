using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Review;

/// <summary>One place along the hair of a zone.</summary>
/// <param name="Depth">Where along the hair.</param>
/// <param name="At">Where its middle lies, share of the length.</param>
/// <param name="Planned">Level planned.</param>
/// <param name="Forecast">Level by the minutes that really were.</param>
/// <param name="CameOut">Level that came out; null where nobody read it.</param>
/// <param name="Seen">Level as it looked, wet or dry.</param>
/// <param name="Evenness">How even; null where nobody read it.</param>
/// <param name="Spread">How far the reading may lie from the truth, standard deviation, levels.</param>
/// <param name="Undertone">The warm pigment seen; null where it is the level's own, or nobody read it.</param>
internal sealed record DepthView(
    Depth Depth,
    double At,
    double Planned,
    double Forecast,
    double? CameOut,
    double? Seen,
    Evenness? Evenness,
    double Spread,
    string? Undertone
);

/// <summary>A zone at the review.</summary>
/// <param name="Zone">Which.</param>
/// <param name="Words">What it is called.</param>
/// <param name="LengthCm">Mean length of its hair, cm.</param>
/// <param name="Depths">Root, middle, ends.</param>
/// <param name="Difference">Came out less planned where they differ most, levels; null where nobody read it.</param>
/// <param name="IsAsPlanned">Whether an eye would call it as planned; so, too, where nobody read it.</param>
/// <param name="Planned">Levels planned from the scalp to the ends, evenly spaced.</param>
/// <param name="CameOut">Levels that came out, or would by what happened where nobody read it.</param>
/// <param name="Causes">Why, the likeliest first.</param>
internal sealed record ReviewZone(
    Zone Zone,
    string Words,
    double LengthCm,
    IReadOnlyList<DepthView> Depths,
    double? Difference,
    bool IsAsPlanned,
    IReadOnlyList<double> Planned,
    IReadOnlyList<double> CameOut,
    IReadOnlyList<Cause> Causes
);

/// <summary>A change for the next visit.</summary>
/// <param name="Cause">What taught it.</param>
/// <param name="Zone">Where; null for all of it.</param>
/// <param name="Words">What to do.</param>
/// <param name="Edits">The one edit of a plan that does it; none where it is one of hands.</param>
/// <param name="IsKept">Whether it is kept for the next visit.</param>
internal sealed record NextTimeView(
    CauseKind Cause,
    Zone? Zone,
    Sentence Words,
    IReadOnlyList<PlanEdit> Edits,
    bool IsKept
);

/// <summary>Something to remember at the next visit, in one's own words.</summary>
/// <param name="Fact">Its number, by which it is taken back.</param>
internal sealed record NoteView(int Fact, string Words);

/// <summary>A measure as planned and as it came out, against what she wants.</summary>
internal sealed record CardBeside(
    CardMeasure Measure,
    double? Planned,
    double? CameOut,
    double Low,
    double High,
    bool WasMet,
    bool IsMet
);

/// <summary>A lifted level to tap, as hex: as wet as the hair is.</summary>
internal sealed record ReadColour(double Level, string Hex);

/// <summary>What is wrong with the hair as it came out, by the rules a plan is judged by.</summary>
/// <param name="WasPlanned">Whether the plan's own hair has it too.</param>
internal sealed record CameOutFinding(
    FindingKind Kind,
    Severity Severity,
    string Title,
    Sentence Text,
    Sentence Why,
    IReadOnlyList<PanelKey> Panels,
    bool WasPlanned
);

/// <summary>The review as it stands.</summary>
/// <param name="Facts">How many facts there are.</param>
/// <param name="Verdict">What came out, in a sentence.</param>
/// <param name="ReadsDarker">How much darker the hair reads as wet as it is, levels.</param>
/// <param name="EyeSpread">How far an eye's reading lies from the truth, standard deviation, levels.</param>
/// <param name="Correction">The one edit of the plan that lifts again what is short; none where it can't be, or is
/// planned.</param>
/// <param name="IsServed">Whether the service has done all its steps: it takes the plan anew for another.</param>
/// <param name="IsCorrecting">Whether a step that lifts again is planned and not done.</param>
/// <param name="Own">How her hair lifts by it; null where nothing tells.</param>
/// <param name="NextTime">What to do otherwise at the next visit.</param>
/// <param name="Notes">What is to be remembered then, in one's own words.</param>
/// <param name="Marks">What is wrong, at its places.</param>
/// <param name="Card">The measures, card beside card; none while nothing is read.</param>
/// <param name="Findings">What is wrong with the hair as it came out, worst first; none while nothing is read.</param>
/// <param name="Undertones">The warm pigments there are, darkest first.</param>
internal sealed record ReviewView(
    int Facts,
    StateSaid? State,
    double ReadsDarker,
    double EyeSpread,
    IReadOnlyList<Place> Seen,
    Sentence Verdict,
    IReadOnlyList<ReviewZone> Zones,
    IReadOnlyList<Choice> Choices,
    IReadOnlyList<PlanEdit> Correction,
    bool IsServed,
    bool IsCorrecting,
    StretchTest? Stretch,
    Decision? Decision,
    OwnLift? Own,
    IReadOnlyList<NextTimeView> NextTime,
    IReadOnlyList<NoteView> Notes,
    IReadOnlyList<ReviewMark> Marks,
    IReadOnlyList<CardBeside> Card,
    IReadOnlyList<CameOutFinding> Findings,
    DateTimeOffset? WashedAt,
    int? LastFact,
    IReadOnlyList<ReadColour> Colours,
    IReadOnlyList<string> Undertones
)
{
    private const int CurvePlaces = 24;

    public static ReviewView Of(ReviewContext at)
    {
        var (planned, review) = (at.Planned, at.Review);
        var found = at.Found;
        var darker = review.State is { } state ? ReviewInHand.ReadsDarker(state.Wetness) : 0;
        var readings = review.Readings.Values.ToArray();
        // What was lifted again came out of two coats: neither alone is to blame, and none tells of her hair.
        var once = readings.Where(r => at.Again.At(r.Zone) is null).ToArray();
        var cameOut = readings.Length == 0 ? null : HeadLevels.Of(planned.Reached.On, at.CameOut);
        var wrong = cameOut is null ? [] : planned.FindingsOf(cameOut);
        var marks = ReviewMarks.Of(planned, at.Service, at.Depths, review, wrong);
        var causes = new Causes(planned, at.Service, at.Depths, once, at.Weighed, marks);
        var damp = review.State?.Wetness != Wetness.Dry;
        var choices = NextActions.Of(planned, found, review.Stretch, damp);
        var lift = choices.FirstOrDefault(c => c.What == Wendro.Review.Decision.CorrectFirst);
        var correction =
            lift is not null && (at.Service.IsDone || !at.IsServed)
                ? Wendro.Review.Correction.Of(
                    planned,
                    lift,
                    at.IsServed ? at.Service.Step : planned.Plan.StepsOf().Count,
                    damp
                )
                : null;
        var zones = at
            .Depths.Zones.Where(z => planned.Plan.Zones[z].Excluded is null)
            .Select(z => ZoneOf(at, found, causes, z))
            .ToArray();
        return new(
            at.Facts.Count,
            review.State,
            darker,
            StrandTest.ReadingSpread,
            review.Seen.Order().ToArray(),
            found.Words,
            zones,
            choices,
            correction is null ? [] : [correction],
            at.IsServed && at.Service.IsDone,
            at.Again.Step is { } step && at.Service.Step <= step && review.Decision is not null,
            review.Stretch,
            review.Decision,
            LiftCalibration.Of(planned, at.Service, at.Depths, once),
            Wendro
                .Review.NextTime.Of(planned, zones.ToDictionary(z => z.Zone, z => z.Causes), review.Lessons)
                .Select(n => new NextTimeView(
                    n.Cause,
                    n.Zone,
                    n.Words,
                    n.Edit is { } edit ? [edit] : [],
                    review.Lessons.Contains((n.Cause, n.Zone))
                ))
                .ToArray(),
            review.Notes.Select(n => new NoteView(n.Fact, n.Words)).ToArray(),
            marks,
            cameOut is null ? [] : Cards(planned, cameOut, at.WeeksBetween),
            OfTheLook(planned, wrong),
            at.Service.WashedAt,
            review.Last?.Number,
            LiftedColours,
            Undertone.All
        );
    }

    private static CameOutFinding[] OfTheLook(PlannedHead planned, IReadOnlyList<Finding> wrong)
    {
        var before = planned.AllFindings.Select(f => f.Id).ToHashSet();
        return wrong
            .Where(f => BlendFault.OfTheLook.Contains(f.Kind) && f.Severity != Severity.Note)
            .Select(f => new CameOutFinding(
                f.Kind,
                f.Severity,
                f.Title,
                f.Text,
                f.Why,
                f.Panels,
                before.Contains(f.Id)
            ))
            .ToArray();
    }

    private static CardBeside[] Cards(PlannedHead planned, HeadLevels cameOut, double weeks) =>
        planned
            .Card(weeks)
            .Zip(planned.CardOf(cameOut, weeks))
            .Select(c => new CardBeside(
                c.First.Measure,
                c.First.Value,
                c.Second.Value,
                c.First.Low,
                c.First.High,
                c.First.Met,
                c.Second.Met
            ))
            .ToArray();

    private static ReviewZone ZoneOf(ReviewContext at, Differences found, Causes causes, Zone zone)
    {
        var worst = found.In(zone);
        var depths = Enum.GetValues<Depth>()
            .Select(d =>
            {
                var read = at.Review.Readings.GetValueOrDefault((zone, d));
                return new DepthView(
                    d,
                    Depths.Middle(d),
                    at.Depths.Planned(zone, d),
                    at.Depths.At(at.Happened.Levels, zone, d),
                    read?.Level,
                    read?.Seen,
                    read?.Evenness,
                    read?.Spread ?? StrandTest.ReadingSpread,
                    read?.Undertone
                );
            })
            .ToArray();
        return new(
            zone,
            Sentence.Capital(ZoneFacts.Words(zone)),
            at.Depths.LengthOf(zone),
            depths,
            worst?.Levels,
            worst?.IsAsPlanned ?? true,
            at.Depths.Along(at.Planned.Levels, zone, CurvePlaces),
            at.Depths.Along(at.CameOut.Levels, zone, CurvePlaces),
            causes.Of(zone)
        );
    }

    /// <summary>Levels 3 to 10 by halves, dry: what wet hair reads darker is counted after.</summary>
    private static readonly IReadOnlyList<ReadColour> LiftedColours = Enumerable
        .Range(6, 15)
        .Select(h => h / 2.0)
        .Select(level => new ReadColour(level, LevelColours.HexOf(LevelColours.Lifted(level))))
        .ToArray();
}
