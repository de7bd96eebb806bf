using System.Runtime.CompilerServices;
using AnyAscii;
using Microsoft.EntityFrameworkCore;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Record;
using Wendro.Review;

namespace Wendro.Store;

/// <summary>A client as she is found.</summary>
/// <param name="Id">Which.</param>
/// <param name="Name">Her name.</param>
/// <param name="About">A line about her.</param>
/// <param name="Visits">How many visits she has.</param>
/// <param name="Last">Her latest visit; null where she has none.</param>
/// <param name="LastAt">When that is.</param>
public sealed record FoundClient(Guid Id, string Name, string About, int Visits, Guid? Last, DateTimeOffset? LastAt);

/// <summary>A visit of a client's page, or of a calendar.</summary>
/// <param name="Id">Which.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Her name.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Minutes">How long it is booked, minutes.</param>
/// <param name="Consultation">What was asked and answered.</param>
/// <param name="Taught">How her hair lifts by all that was known after it; null where it taught nothing.</param>
/// <param name="Sum">The visit in a few figures; null while it wasn't put away.</param>
public sealed record RegisteredVisit(
    Guid Id,
    Guid ClientId,
    string Client,
    DateTimeOffset StartsAt,
    double Minutes,
    Consultation Consultation,
    OwnLift? Taught,
    VisitSum? Sum
);

/// <summary>Clients and visits as they are looked up: found by name, by client, by date.</summary>
public sealed class Register(DbContextOptions<StudioContext> options)
{
    /// <summary>Most that are found at once.</summary>
    public const int Most = 30;

    /// <summary>
    /// Clients whose name, or line, has every word looked for; those whose name begins with it first. Without a word
    /// those who came last.
    /// </summary>
    public async Task<IReadOnlyList<FoundClient>> FindAsync(string words, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(words);
        await using var db = new StudioContext(options);
        var asked = Typed(words).Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        // Few enough to be read whole, and the database folds only English letters.
        var all = await db
            .Clients.AsNoTracking()
            .Select(c => new
            {
                c.Id,
                c.Name,
                c.About,
            })
            .ToListAsync(cancellationToken);
        bool Begins(string name) =>
            asked.Length > 0 && Typed(name).Split(' ').Any(n => n.StartsWith(asked[0], StringComparison.Ordinal));
        var found = all.Where(c =>
            {
                var text = Typed($"{c.Name} {c.About}");
                return asked.All(w => text.Contains(w, StringComparison.Ordinal));
            })
            .ToArray();
        var ids =
            asked.Length == 0
                ? await LatestAsync(db, cancellationToken)
                : found
                    .OrderByDescending(c => Begins(c.Name))
                    .ThenBy(c => c.Name, StringComparer.OrdinalIgnoreCase)
                    .Take(Most)
                    .Select(c => c.Id)
                    .ToArray();
        var visits = (
            await db
                .Visits.AsNoTracking()
                .Where(v => ids.Contains(v.ClientId))
                .Select(v => new
                {
                    v.Id,
                    v.ClientId,
                    v.StartsAt,
                })
                .ToListAsync(cancellationToken)
        ).ToLookup(v => v.ClientId);
        var named = found.ToDictionary(c => c.Id);
        return ids.Where(named.ContainsKey)
            .Select(id =>
            {
                var last = visits[id].MaxBy(v => v.StartsAt);
                return new FoundClient(
                    id,
                    named[id].Name,
                    named[id].About,
                    visits[id].Count(),
                    last?.Id,
                    last?.StartsAt
                );
            })
            .ToArray();
    }

    /// <summary>A client; null for none.</summary>
    public async Task<ClientRow?> ClientAsync(Guid client, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Clients.AsNoTracking().SingleOrDefaultAsync(c => c.Id == client, cancellationToken);
    }

    /// <summary>Changes what a client is called and the line about her; false if there is none.</summary>
    public async Task<bool> NameAsync(Guid client, string name, string about, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db
                .Clients.Where(c => c.Id == client)
                .ExecuteUpdateAsync(
                    s => s.SetProperty(c => c.Name, name).SetProperty(c => c.About, about),
                    cancellationToken
                ) == 1;
    }

    /// <summary>Visits of a client, the earliest first.</summary>
    public async Task<IReadOnlyList<RegisteredVisit>> OfClientAsync(Guid client, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await ReadAsync(db.Visits.Where(v => v.ClientId == client), cancellationToken);
    }

    /// <summary>Visits that start within a span of time, the earliest first.</summary>
    public async Task<IReadOnlyList<RegisteredVisit>> BetweenAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        return await ReadAsync(db.Visits.Where(v => v.StartsAt >= from && v.StartsAt < to), cancellationToken);
    }

    /// <summary>Visits that were put away, each in a few figures, one after another as they are read.</summary>
    /// <param name="since">Only those that started after this.</param>
    /// <param name="cancellationToken">Ends it.</param>
    public async IAsyncEnumerable<(DateTimeOffset At, VisitSum Sum)> SumsAsync(
        DateTimeOffset since,
        [EnumeratorCancellation] CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var rows = db
            .Visits.AsNoTracking()
            .Where(v => v.Sum != null && v.StartsAt > since)
            .Select(v => new { v.StartsAt, v.Sum })
            .AsAsyncEnumerable();
        await foreach (var row in rows.WithCancellation(cancellationToken))
        {
            yield return (row.StartsAt, row.Sum!);
        }
    }

    /// <summary>What is to be remembered of a client, in one's own words, by visit.</summary>
    public async Task<IReadOnlyList<(Guid Visit, string Words)>> NotesAsync(
        Guid client,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .ReviewFacts.AsNoTracking()
            .Where(f => db.Visits.Any(v => v.Id == f.VisitId && v.ClientId == client))
            .OrderBy(f => f.Number)
            .ToListAsync(cancellationToken);
        return rows.GroupBy(f => f.VisitId)
            .SelectMany(v =>
                ReviewInHand
                    .Of(v.Select(f => new Wendro.Units.RecordedFact<ReviewFact>(f.Number, f.At, f.Fact)).ToArray())
                    .Notes.Select(n => (v.Key, n.Words))
            )
            .ToArray();
    }

    /// <summary>A text as it is typed in haste: small Latin letters, without their marks.</summary>
    private static string Typed(string text) => text.Transliterate().ToLowerInvariant();

    private static async Task<IReadOnlyList<RegisteredVisit>> ReadAsync(
        IQueryable<VisitRow> visits,
        CancellationToken cancellationToken
    )
    {
        var rows = await visits
            .AsNoTracking()
            .OrderBy(v => v.StartsAt)
            .Select(v => new
            {
                v.Id,
                v.ClientId,
                v.Client.Name,
                v.StartsAt,
                v.Consultation,
                v.Taught,
                v.Sum,
            })
            .ToListAsync(cancellationToken);
        return rows.Select(v => new RegisteredVisit(
                v.Id,
                v.ClientId,
                v.Name,
                v.StartsAt,
                v.Consultation.MinutesToday,
                v.Consultation,
                v.Taught,
                v.Sum
            ))
            .ToArray();
    }

    private static async Task<Guid[]> LatestAsync(StudioContext db, CancellationToken cancellationToken) =>
        await db
            .Visits.GroupBy(v => v.ClientId)
            .Select(g => new { g.Key, Last = g.Max(v => v.StartsAt) })
            .OrderByDescending(g => g.Last)
            .Take(Most)
            .Select(g => g.Key)
            .ToArrayAsync(cancellationToken);
}
