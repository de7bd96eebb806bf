using System.Data;
using Microsoft.EntityFrameworkCore;
using Wendro.Photographs;

namespace Wendro.Store;

/// <summary>A photograph of a visit.</summary>
/// <param name="Name">Its content's name.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Moment">When in the visit it was taken.</param>
/// <param name="MayBeShown">Whether the client agreed that it is shown to others; else only for the record.</param>
/// <param name="At">When it was kept.</param>
/// <param name="From">From where it was taken; null where nobody said.</param>
public sealed record StoredPhotograph(
    string Name,
    int Width,
    int Height,
    PhotoMoment Moment,
    bool MayBeShown,
    DateTimeOffset At,
    PhotoFrom? From
);

/// <summary>Photographs of visits: what is known of them as rows, their content as files.</summary>
public sealed class PhotographStore(
    DbContextOptions<StudioContext> options,
    PhotographFolder folder,
    TimeProvider clock
)
{
    /// <summary>Most photographs of one visit.</summary>
    public const int MostOfVisit = 60;

    /// <summary>A visit's photographs in the order they were kept.</summary>
    public async Task<IReadOnlyList<StoredPhotograph>> OfAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db
            .Photographs.AsNoTracking()
            .Where(p => p.VisitId == visit)
            .OrderBy(p => p.Number)
            .Select(p => new StoredPhotograph(p.Name, p.Width, p.Height, p.Moment, p.MayBeShown, p.At, p.From))
            .ToListAsync(cancellationToken);
    }

    /// <summary>
    /// Keeps a photograph; one that the visit has already stays as it is, but for when and from where it was taken.
    /// </summary>
    /// <param name="visit">Of which visit.</param>
    /// <param name="jpeg">Its content, without metadata.</param>
    /// <param name="width">Pixels across.</param>
    /// <param name="height">Pixels down.</param>
    /// <param name="moment">When in the visit it was taken.</param>
    /// <param name="mayBeShown">Whether the client agreed that it is shown to others.</param>
    /// <param name="from">From where it was taken; null where nobody says.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <returns>Its name; null where the visit has as many as it may.</returns>
    public async Task<string?> KeepAsync(
        Guid visit,
        byte[] jpeg,
        int width,
        int height,
        PhotoMoment moment,
        bool mayBeShown,
        PhotoFrom? from,
        CancellationToken cancellationToken
    )
    {
        // The file first: a row never names what isn't there.
        var name = await folder.KeepAsync(jpeg, cancellationToken);
        await using var db = new StudioContext(options);
        await using var transaction = await db.Database.BeginTransactionAsync(
            IsolationLevel.Serializable,
            cancellationToken
        );
        var numbers = await db.Photographs.Where(p => p.VisitId == visit).ToListAsync(cancellationToken);
        if (numbers.FirstOrDefault(p => p.Name == name) is { } kept)
        {
            if (from is not null)
            {
                (kept.Moment, kept.From) = (moment, from);
                await db.SaveChangesAsync(cancellationToken);
                await transaction.CommitAsync(cancellationToken);
            }

            return name;
        }

        if (numbers.Count >= MostOfVisit)
        {
            await transaction.RollbackAsync(cancellationToken);
            await RemoveUnusedAsync(db, name, cancellationToken);
            return null;
        }

        db.Photographs.Add(
            new()
            {
                VisitId = visit,
                Number = numbers.Select(p => p.Number).DefaultIfEmpty(0).Max() + 1,
                Name = name,
                Width = width,
                Height = height,
                Moment = moment,
                From = from,
                MayBeShown = mayBeShown,
                At = clock.GetUtcNow(),
            }
        );
        await db.SaveChangesAsync(cancellationToken);
        await transaction.CommitAsync(cancellationToken);
        // Where another visit's last row of it was taken away meanwhile, the file went with it: now it stays.
        await folder.KeepAsync(jpeg, cancellationToken);
        return name;
    }

    /// <summary>A photograph's content; null where the visit has none of that name.</summary>
    public async Task<byte[]?> ContentAsync(Guid visit, string name, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Photographs.AnyAsync(p => p.VisitId == visit && p.Name == name, cancellationToken)
            ? await folder.FindAsync(name, cancellationToken)
            : null;
    }

    /// <summary>Notes whether the client agreed that one is shown to others; false where there is none.</summary>
    public async Task<bool> AgreeAsync(Guid visit, string name, bool mayBeShown, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db
                .Photographs.Where(p => p.VisitId == visit && p.Name == name)
                .ExecuteUpdateAsync(p => p.SetProperty(x => x.MayBeShown, mayBeShown), cancellationToken) == 1;
    }

    /// <summary>Takes one away, its content too where no other visit has it; false where there is none.</summary>
    public async Task<bool> RemoveAsync(Guid visit, string name, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        if (
            await db.Photographs.Where(p => p.VisitId == visit && p.Name == name).ExecuteDeleteAsync(cancellationToken)
            == 0
        )
        {
            return false;
        }

        await RemoveUnusedAsync(db, name, cancellationToken);
        return true;
    }

    private async Task RemoveUnusedAsync(StudioContext db, string name, CancellationToken cancellationToken)
    {
        if (!await db.Photographs.AnyAsync(p => p.Name == name, cancellationToken))
        {
            folder.Remove(name);
        }
    }
}
