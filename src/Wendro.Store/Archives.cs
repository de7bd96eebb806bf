using System.Data;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Formats.Archive;

namespace Wendro.Store;

/// <summary>What becomes of one thing of an archive.</summary>
public enum Becomes
{
    /// <summary>It was not here.</summary>
    New,

    /// <summary>It is here and the archive has more, or other, of it.</summary>
    Changed,

    /// <summary>It is here just so.</summary>
    Same,

    /// <summary>What is here has gone on since: it stays.</summary>
    NewerHere,

    /// <summary>It can't be taken; it says why.</summary>
    Refused,
}

/// <summary>One thing of an archive.</summary>
/// <param name="What">client, visit, product, pattern, toner or rules.</param>
/// <param name="Id">Its id; null for rules.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Becomes">What becomes of it.</param>
/// <param name="Why">Why it is refused; null where it isn't.</param>
public sealed record ArchiveItem(string What, Guid? Id, string Name, Becomes Becomes, string? Why = null);

/// <summary>A whole studio in one file, out and in.</summary>
public sealed class Archives(DbContextOptions<StudioContext> options, PhotographFolder photographs)
{
    /// <summary>Writes the studio as it stands at one moment.</summary>
    /// <param name="to">Where to.</param>
    /// <param name="health">Whether with answers about health.</param>
    /// <param name="cancellationToken">Cancels.</param>
    public async Task WriteAsync(Stream to, bool health, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        // One moment is read: what is added meanwhile is not half in it, and nobody who adds is held up.
        await db.Database.OpenConnectionAsync(cancellationToken);
        await using var moment = ((SqliteConnection)db.Database.GetDbConnection()).BeginTransaction(deferred: true);
        await db.Database.UseTransactionAsync(moment, cancellationToken);
        using var archive = new ArchiveWriter(to);
        var clients = await db.Clients.AsNoTracking().OrderBy(c => c.Id).ToListAsync(cancellationToken);
        var visits = await db.Visits.AsNoTracking().OrderBy(v => v.Id).Select(v => v.Id).ToListAsync(cancellationToken);
        var all = await db.Photographs.Select(p => p.Name).Distinct().OrderBy(n => n).ToListAsync(cancellationToken);
        // One whose content is gone from the disk can't be shown here either, and would keep its visit from coming in.
        var names = all.Where(photographs.Has).ToHashSet(StringComparer.Ordinal);
        archive.Add(
            new ArchiveManifest(ArchiveFile.Name, ArchiveFile.Version, health, clients.Count, visits.Count, names.Count)
        );
        archive.Add(clients.Select(ArchivedRows.Of).ToArray());
        archive.Add(await StudioAsync(db, cancellationToken));
        foreach (var id in visits)
        {
            var row = await db.Visits.AsNoTracking().SingleAsync(v => v.Id == id, cancellationToken);
            var visit = await ArchivedRows.OfAsync(db, row, health, cancellationToken);
            archive.Add(visit with { Photographs = visit.Photographs.Where(p => names.Contains(p.Name)).ToArray() });
        }

        foreach (var name in all.Where(names.Contains))
        {
            if (await photographs.FindAsync(name, cancellationToken) is { } jpeg)
            {
                archive.Add(name, jpeg);
            }
        }
    }

    /// <summary>What would become of everything in an archive; changes nothing.</summary>
    /// <param name="archive">The archive.</param>
    /// <param name="check">What is wrong with a visit beyond its form; null for nothing.</param>
    /// <param name="cancellationToken">Cancels.</param>
    public async Task<IReadOnlyList<ArchiveItem>> LookAsync(
        ArchiveReader archive,
        Func<ArchivedVisit, string?> check,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        return await GoThroughAsync(db, archive, v => Lacking(v, archive) ?? check(v), takes: false, cancellationToken);
    }

    /// <summary>Takes what an archive has that is new or more than is here: all of it, or nothing.</summary>
    /// <inheritdoc cref="LookAsync"/>
    public async Task<IReadOnlyList<ArchiveItem>> TakeAsync(
        ArchiveReader archive,
        Func<ArchivedVisit, string?> check,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        // Looked through first, which takes its time; only then is everybody else who writes held up.
        var looked = new Dictionary<Guid, string?>();
        string? Once(ArchivedVisit v) =>
            looked.TryGetValue(v.Id, out var wrong) ? wrong : looked[v.Id] = Lacking(v, archive) ?? check(v);
        await GoThroughAsync(db, archive, Once, takes: false, cancellationToken);
        db.ChangeTracker.Clear();
        await using var transaction = await db.Database.BeginTransactionAsync(
            IsolationLevel.Serializable,
            cancellationToken
        );
        var items = await GoThroughAsync(db, archive, Once, takes: true, cancellationToken);
        await db.SaveChangesAsync(cancellationToken);
        await transaction.CommitAsync(cancellationToken);
        return items;
    }

    private static async Task<ArchivedStudio> StudioAsync(StudioContext db, CancellationToken cancellationToken)
    {
        var studio = await db.Studio.AsNoTracking().SingleOrDefaultAsync(cancellationToken);
        return new(
            studio?.RulesVersion ?? 0,
            studio is null ? null : new(studio.Rules),
            (await db.Patterns.AsNoTracking().ToListAsync(cancellationToken))
                .OrderBy(p => p.Id)
                .Select(p => new ArchivedPattern(p.Id, p.Name, p.Why, new(p.Edits), p.At))
                .ToArray(),
            (await db.OwnToners.AsNoTracking().ToListAsync(cancellationToken))
                .OrderBy(t => t.Id)
                .Select(t => new ArchivedToner(t.Id, t.Name, new(t.Plan), t.At))
                .ToArray(),
            (await db.Products.AsNoTracking().ToListAsync(cancellationToken))
                .OrderBy(p => p.Key, StringComparer.Ordinal)
                .Select(p => new ArchivedProduct(p.Id, p.Version, new(p.Product)))
                .ToArray()
        );
    }

    private async Task<IReadOnlyList<ArchiveItem>> GoThroughAsync(
        StudioContext db,
        ArchiveReader archive,
        Func<ArchivedVisit, string?> check,
        bool takes,
        CancellationToken cancellationToken
    )
    {
        var items = new List<ArchiveItem>();
        var clients = await db.Clients.ToDictionaryAsync(c => c.Id, cancellationToken);
        var named = new Dictionary<Guid, string>();
        foreach (var c in archive.Clients)
        {
            var item = Client(db, clients.GetValueOrDefault(c.Id), c, named.ContainsKey(c.Id), takes);
            items.Add(item);
            if (item.Becomes != Becomes.Refused)
            {
                named[c.Id] = c.Name;
            }
        }

        items.AddRange(await ArchivedShelf.GoThroughAsync(db, archive.Studio, takes, cancellationToken));
        foreach (var (id, row) in clients)
        {
            named.TryAdd(id, row.Name);
        }

        if (takes)
        {
            await db.SaveChangesAsync(cancellationToken);
            db.ChangeTracker.Clear();
        }

        var seen = new HashSet<Guid>();
        foreach (var file in archive.Visits)
        {
            var visit = archive.Visit(file);
            var name = named.GetValueOrDefault(visit.ClientId);
            var wrong =
                !seen.Add(visit.Id) ? "the archive has it twice."
                : name is null ? "neither the archive nor this studio has its client."
                : null;
            items.Add(
                wrong is not null
                    ? new("visit", visit.Id, Called(visit, name), Becomes.Refused, $"{file}: {wrong}")
                    : await VisitAsync(db, archive, visit, (file, Called(visit, name)), check, takes, cancellationToken)
            );
        }

        return items;
    }

    private static string Called(ArchivedVisit visit, string? client) =>
        FormattableString.Invariant($"{client ?? "nobody"}, {visit.StartsAt.UtcDateTime:yyyy-MM-dd}");

    /// <summary>A photograph the archive names and doesn't have, or another content under its name.</summary>
    private static string? Lacking(ArchivedVisit visit, ArchiveReader archive) =>
        visit.Photographs.FirstOrDefault(p => archive.Photograph(p.Name) is null) is { } lacking
            ? $"its photograph {lacking.Name} is missing, or is not what it was."
            : null;

    private static ArchiveItem Client(StudioContext db, ClientRow? here, ArchivedClient c, bool twice, bool takes)
    {
        if (twice || string.IsNullOrWhiteSpace(c.Name) || c.Name.Length > 100 || c.About.Length > 400)
        {
            return new(
                "client",
                c.Id,
                c.Name,
                Becomes.Refused,
                $"clients.json: {(twice ? "twice in it." : "a name of 1 to 100 letters, a line of up to 400.")}"
            );
        }

        if (here is null)
        {
            if (takes)
            {
                db.Clients.Add(
                    new()
                    {
                        Id = c.Id,
                        Name = c.Name,
                        About = c.About,
                        CreatedAt = c.CreatedAt,
                    }
                );
            }

            return new("client", c.Id, c.Name, Becomes.New);
        }

        if (here.Name == c.Name && here.About == c.About)
        {
            return new("client", c.Id, c.Name, Becomes.Same);
        }

        if (takes)
        {
            (here.Name, here.About) = (c.Name, c.About);
        }

        return new("client", c.Id, c.Name, Becomes.Changed);
    }

    private async Task<ArchiveItem> VisitAsync(
        StudioContext db,
        ArchiveReader archive,
        ArchivedVisit visit,
        (string File, string Name) called,
        Func<ArchivedVisit, string?> check,
        bool takes,
        CancellationToken cancellationToken
    )
    {
        var row = await db.Visits.AsNoTracking().SingleOrDefaultAsync(v => v.Id == visit.Id, cancellationToken);
        var merged = row is null
            ? new ArchivedMerge(Becomes.New, visit)
            : ArchivedMerge.Of(await ArchivedRows.OfAsync(db, row, health: true, cancellationToken), visit);
        var wrong =
            merged.Diverged is { } where ? $"{where} went on differently here."
            : merged.Becomes is Becomes.New or Becomes.Changed ? check(visit)
            : null;
        if (wrong is not null)
        {
            return new("visit", visit.Id, called.Name, Becomes.Refused, $"{called.File}: {wrong}");
        }

        if (takes && merged.Becomes is (Becomes.New or Becomes.Changed))
        {
            await db.Visits.Where(v => v.Id == visit.Id).ExecuteDeleteAsync(cancellationToken);
            await KeepAsync(db, archive, merged.Visit, cancellationToken);
        }

        return new("visit", visit.Id, called.Name, merged.Becomes);
    }

    private async Task KeepAsync(
        StudioContext db,
        ArchiveReader archive,
        ArchivedVisit visit,
        CancellationToken cancellationToken
    )
    {
        // Contents first: a row never names what isn't there.
        foreach (var photograph in visit.Photographs)
        {
            if (archive.Photograph(photograph.Name) is { } jpeg)
            {
                await photographs.KeepAsync(jpeg, cancellationToken);
            }
        }

        db.Visits.Add(
            new()
            {
                Id = visit.Id,
                ClientId = visit.ClientId,
                StartsAt = visit.StartsAt,
                Hair = visit.Hair.Value,
                Consultation = visit.Consultation.Value,
                ConsultVersion = visit.ConsultVersion,
                Taught = visit.Taught?.Value,
                Sum = visit.Sum?.Value,
            }
        );
        ArchivedRows.Add(db, visit);
        await db.SaveChangesAsync(cancellationToken);
        db.ChangeTracker.Clear();
    }
}
