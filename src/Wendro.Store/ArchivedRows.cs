using Microsoft.EntityFrameworkCore;
using Wendro.Formats.Archive;

namespace Wendro.Store;

/// <summary>Rows as parts of an archive, and back.</summary>
internal static class ArchivedRows
{
    public static ArchivedClient Of(ClientRow c) => new(c.Id, c.Name, c.About, c.CreatedAt);

    /// <summary>A visit with all that was planned and happened.</summary>
    /// <param name="db">Where it is kept.</param>
    /// <param name="v">The visit.</param>
    /// <param name="health">Whether with its answers about health.</param>
    /// <param name="cancellationToken">Cancels.</param>
    public static async Task<ArchivedVisit> OfAsync(
        StudioContext db,
        VisitRow v,
        bool health,
        CancellationToken cancellationToken
    )
    {
        var bowls = await db.Bowls.AsNoTracking().Where(b => b.VisitId == v.Id).ToListAsync(cancellationToken);
        var ids = bowls.Select(b => b.Id).ToArray();
        var events = await db
            .BowlEvents.AsNoTracking()
            .Where(e => ids.Contains(e.BowlId))
            .ToListAsync(cancellationToken);
        var service = await db.Services.AsNoTracking().SingleOrDefaultAsync(s => s.VisitId == v.Id, cancellationToken);
        return new(
            v.Id,
            v.ClientId,
            v.StartsAt,
            new(v.Hair),
            new(health ? v.Consultation : v.Consultation.WithoutHealth()),
            v.ConsultVersion,
            v.Taught is { } taught ? new(taught) : null,
            (
                await db
                    .Revisions.AsNoTracking()
                    .Where(r => r.VisitId == v.Id)
                    .OrderBy(r => r.Number)
                    .ToListAsync(cancellationToken)
            )
                .Select(Of)
                .ToArray(),
            bowls
                .OrderBy(b => b.Formula, StringComparer.Ordinal)
                .ThenBy(b => b.Ordinal)
                .Select(b => new ArchivedBowl(
                    b.Id,
                    b.Formula,
                    b.Ordinal,
                    b.At,
                    new(b.Meant),
                    new(b.Recipe),
                    events
                        .Where(e => e.BowlId == b.Id)
                        .OrderBy(e => e.Number)
                        .Select(e => new ArchivedBowlEvent(e.Number, e.At, e.Lot, new(e.Event)))
                        .ToArray()
                ))
                .ToArray(),
            (
                await db
                    .Ticks.AsNoTracking()
                    .Where(t => t.VisitId == v.Id)
                    .OrderBy(t => t.Id)
                    .ToListAsync(cancellationToken)
            )
                .Select(t => new ArchivedTick(t.Item, t.IsThere, t.At))
                .ToArray(),
            service is null
                ? null
                : new(
                    service.Revision,
                    service.At,
                    await FactsAsync(db.ServiceFacts, v.Id, f => f.Fact, cancellationToken)
                ),
            await FactsAsync(db.ReviewFacts, v.Id, f => f.Fact, cancellationToken),
            await FactsAsync(db.ToneFacts, v.Id, f => f.Fact, cancellationToken),
            (
                await db
                    .Photographs.AsNoTracking()
                    .Where(p => p.VisitId == v.Id)
                    .OrderBy(p => p.Number)
                    .ToListAsync(cancellationToken)
            )
                .Select(p => new ArchivedPhotograph(
                    p.Number,
                    p.Name,
                    p.Width,
                    p.Height,
                    p.Moment,
                    p.MayBeShown,
                    p.At,
                    p.From
                ))
                .ToArray(),
            await FactsAsync(db.KeepFacts, v.Id, f => f.Fact, cancellationToken),
            v.Sum is { } sum ? new(sum) : null
        );
    }

    /// <summary>Adds the rows of a visit, but for the visit's own.</summary>
    public static void Add(StudioContext db, ArchivedVisit v)
    {
        db.Revisions.AddRange(
            v.Plan.Select(r => new RevisionRow
            {
                VisitId = v.Id,
                Number = r.Number,
                Shows = r.Shows,
                Before = r.Before,
                Undone = r.Undone,
                What = r.What,
                Label = r.Label,
                At = r.At,
                Plan = r.Plan?.Value,
                Edit = r.Edit?.Value,
            })
        );
        foreach (var b in v.Bowls)
        {
            db.Bowls.Add(
                new()
                {
                    Id = b.Id,
                    VisitId = v.Id,
                    Formula = b.Formula,
                    Ordinal = b.Ordinal,
                    Meant = b.Meant.Value,
                    Recipe = b.Recipe.Value,
                    At = b.At,
                }
            );
            db.BowlEvents.AddRange(
                b.Events.Select(e => new BowlEventRow
                {
                    BowlId = b.Id,
                    Number = e.Number,
                    Event = e.Event.Value,
                    Lot = e.Lot,
                    At = e.At,
                })
            );
        }

        db.Ticks.AddRange(
            v.Tray.Select(t => new TickRow
            {
                VisitId = v.Id,
                Item = t.Item,
                IsThere = t.IsThere,
                At = t.At,
            })
        );
        if (v.Service is { } service)
        {
            db.Services.Add(
                new()
                {
                    VisitId = v.Id,
                    Revision = service.Revision,
                    At = service.At,
                }
            );
            AddFacts<ServiceFactRow, Wendro.Apply.ServiceFact>(db, v.Id, service.Facts);
        }

        AddFacts<ReviewFactRow, Wendro.Review.ReviewFact>(db, v.Id, v.Review);
        AddFacts<ToneFactRow, Wendro.Toning.ToneFact>(db, v.Id, v.Toning);
        AddFacts<KeepFactRow, Wendro.Record.RecordFact>(db, v.Id, v.Kept ?? []);
        db.Photographs.AddRange(
            v.Photographs.Select(p => new PhotographRow
            {
                VisitId = v.Id,
                Number = p.Number,
                Name = p.Name,
                Width = p.Width,
                Height = p.Height,
                Moment = p.Moment,
                From = p.From,
                MayBeShown = p.MayBeShown,
                At = p.At,
            })
        );
    }

    private static void AddFacts<TRow, TFact>(StudioContext db, Guid visit, IReadOnlyList<ArchivedFact<TFact>> facts)
        where TRow : FactRow<TFact>, new() =>
        db.Set<TRow>()
            .AddRange(
                facts.Select(f => new TRow
                {
                    VisitId = visit,
                    Number = f.Number,
                    SaidAs = f.SaidAs,
                    At = f.At,
                    Fact = f.Fact.Value,
                })
            );

    private static async Task<IReadOnlyList<ArchivedFact<TFact>>> FactsAsync<TRow, TFact>(
        DbSet<TRow> facts,
        Guid visit,
        Func<TRow, TFact> of,
        CancellationToken cancellationToken
    )
        where TRow : FactRow<TFact> =>
        (
            await facts
                .AsNoTracking()
                .Where(f => f.VisitId == visit)
                .OrderBy(f => f.Number)
                .ToListAsync(cancellationToken)
        )
            .Select(f => new ArchivedFact<TFact>(f.Number, f.SaidAs, f.At, new(of(f))))
            .ToArray();

    private static ArchivedRevision Of(RevisionRow r) =>
        new(
            r.Number,
            r.Shows,
            r.Before,
            r.Undone,
            r.What,
            r.Label,
            r.At,
            r.Plan is { } plan ? new(plan) : null,
            r.Edit is { } edit ? new(edit) : null
        );
}
