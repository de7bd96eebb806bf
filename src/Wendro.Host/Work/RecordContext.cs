using Wendro.Blend;
using Wendro.Consult;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Record;
using Wendro.Review;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>A visit's record at work.</summary>
/// <param name="Tone">What came out, and how it was toned.</param>
/// <param name="Record">The record.</param>
/// <param name="Facts">How many facts were said.</param>
/// <param name="Kept">What was said when it was put away.</param>
/// <param name="Next">When each service is due again.</param>
/// <param name="Care">After-care, as written here.</param>
internal sealed record RecordContext(
    ToneContext Tone,
    VisitRecord Record,
    int Facts,
    RecordInHand Kept,
    IReadOnlyList<ServiceInterval> Next,
    IReadOnlyList<Sentence> Care
);

/// <summary>Writes a visit's record from all that was kept of it.</summary>
internal sealed class RecordContexts(ToneContexts tones, Services services, Bowls bowls, RecordFacts keepings)
{
    /// <summary>The record of a visit as it stands.</summary>
    public async Task<RecordContext> OfAsync(VisitContext at, CancellationToken cancellationToken)
    {
        var visit = at.Visit.Id;
        var tone = await tones.OfAsync(at, cancellationToken);
        var review = tone.Review;
        var cameOut = HeadLevels.Of(review.Planned.Reached.On, review.CameOut);
        var next = ServiceInterval.Of(review.Planned, cameOut.Measures, tone.Toning.Plan);
        var facts = (await services.OfAsync(visit, cancellationToken))?.Facts ?? [];
        var record = RecordOf(at, tone, await BowlsAsync(at, tone, cancellationToken), facts);
        var said = await keepings.FactsOfAsync(visit, cancellationToken);
        return new(
            tone,
            record,
            said.Count,
            RecordInHand.Of(said),
            next,
            AfterCare.Of(
                review.Planned,
                LiftedMost(review),
                cameOut.Measures.EndsLevel,
                tone.Toning.Plan,
                tone.Toning.Plan.Areas.SelectMany(a => a.Bowl.Shades.Shades).Select(s => s.Reflect).ToHashSet(),
                next
            )
        );
    }

    private static VisitRecord RecordOf(
        VisitContext at,
        ToneContext tone,
        IReadOnlyList<RecordBowl> weighed,
        IReadOnlyList<RecordedFact<Wendro.Apply.ServiceFact>> facts
    )
    {
        var review = tone.Review;
        var found = review.Found;
        var steps = VisitRecord.StepsOf(review.Planned.Plan, review.Service);
        var toned = tone.Toning.Stands.Values.Select(s => s.OffAt).Max();
        var rinsed = steps.Select(s => s.To).Max();
        var done = toned > rinsed || rinsed is null ? toned : rinsed;
        var seated = review.Service.SeatedAt ?? (facts.Count > 0 ? facts[0].At : null);
        return new(
            seated,
            done,
            (done - seated)?.TotalMinutes,
            steps,
            weighed,
            VisitRecord.LooksOf(review.Service),
            VisitRecord.ReadingsOf(found),
            found.Words,
            VisitRecord.TonedOf(tone.Toning),
            VisitRecord.HandsOf(facts, review.Service),
            VisitRecord.HappenedAt(review.Service),
            MixStock.Cost(VisitRecord.PouredOf(weighed), tone.Shelf),
            Promised(at, review),
            ToChange(review)
        );
    }

    /// <summary>
    /// What was said to the client before, in the words used: as kept when the visit was put away, so that neither
    /// later rules nor answers left out of an archive make another promise of it.
    /// </summary>
    public static string Promised(VisitContext at, ReviewContext review) =>
        at.Visit.Sum?.Promised
        ?? at.Visit.Consultation.Words
        ?? Verdict
            .Of(
                at.Visit.Hair,
                review.Planned.Plan.Goal,
                at.Visit.Consultation,
                review.Planned.Minutes,
                at.Visit.StartsAt
            )
            .WordsForTheClient;

    /// <summary>What to do otherwise next time: lessons that were kept, and one's own words.</summary>
    public static IReadOnlyList<Sentence> ToChange(ReviewContext review) =>
        [
            .. NextTime
                .Of(review.Planned, new Dictionary<Zone, IReadOnlyList<Cause>>(), review.Review.Lessons)
                .Select(n => n.Words),
            .. review.Review.Notes.Select(n => (Sentence)n.Words),
        ];

    private async Task<IReadOnlyList<RecordBowl>> BowlsAsync(
        VisitContext at,
        ToneContext tone,
        CancellationToken cancellationToken
    )
    {
        var lots = await bowls.LotsAsync(at.Visit.Id, cancellationToken);
        var lightened = (await bowls.OfAsync(at.Visit.Id, cancellationToken)).Select(b =>
            VisitRecord.BowlOf(
                $"{b.Formula}, bowl {b.Ordinal}",
                b.Meant.Words,
                b.At,
                b.InHand,
                lots.Where(l => l.Key.Bowl == b.Id).ToDictionary(l => l.Key.Product, l => l.Value)
            )
        );
        var toners = tone
            .Toning.Plan.Areas.Where(a => tone.Toning.Weighed.ContainsKey(a.Id))
            .Select(a =>
                VisitRecord.BowlOf(
                    a.Name,
                    Wendro.Toning.ToneSuggested.Parts(a.Bowl.Shades),
                    null,
                    tone.Toning.BowlOf(a.Id, tone.RecipeOf(a, tone.Hair.HairOf(a).HairGrams)),
                    new Dictionary<string, string>()
                )
            );
        return lightened.Concat(toners).Where(b => b.Pours.Count > 0).ToArray();
    }

    private static double LiftedMost(ReviewContext review) =>
        review
            .Depths.Zones.Where(z => review.Planned.Plan.Zones[z].Excluded is null)
            .Select(z => review.Depths.At(review.CameOut.Levels, z, Depth.Ends) - review.Depths.Natural(z, Depth.Ends))
            .DefaultIfEmpty()
            .Max();
}
