using System.Data;
using Microsoft.EntityFrameworkCore;

namespace Wendro.Store;

/// <summary>What went with a person.</summary>
/// <param name="Name">What she was called.</param>
/// <param name="Visits">How many visits.</param>
/// <param name="Photographs">How many photographs nobody else's visit has.</param>
/// <param name="Copies">How many kept copies of the whole data that held her were taken away.</param>
/// <param name="IsOverwritten">Whether what was freed is overwritten already; else it is once nobody reads any
/// more.</param>
public sealed record DeletedPerson(string Name, int Visits, int Photographs, int Copies, bool IsOverwritten);

/// <summary>Deletes a person with everything, so that nothing of her is left in the data.</summary>
public sealed class PersonDeletion(
    DbContextOptions<StudioContext> options,
    PhotographFolder photographs,
    SafetyCopies copies
)
{
    /// <summary>
    /// Deletes a client, her visits, plans with all revisions, what happened, and photographs. What was freed is
    /// overwritten: the file is written anew without it, and the log of writes emptied. Archives and backups that were
    /// saved elsewhere still hold her.
    /// </summary>
    /// <param name="client">Whom.</param>
    /// <param name="cancellationToken">Cancels; once it is done it is done.</param>
    /// <returns>What went; null if there is no such client.</returns>
    public async Task<DeletedPerson?> ForgetAsync(Guid client, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        string[] unused;
        ClientRow row;
        int visits;
        await using (
            var transaction = await db.Database.BeginTransactionAsync(IsolationLevel.Serializable, cancellationToken)
        )
        {
            if (
                await db.Clients.AsNoTracking().SingleOrDefaultAsync(c => c.Id == client, cancellationToken)
                is not { } found
            )
            {
                return null;
            }

            row = found;
            var hers = db.Visits.Where(v => v.ClientId == client).Select(v => v.Id);
            visits = await hers.CountAsync(cancellationToken);
            unused = await db
                .Photographs.Where(p => hers.Contains(p.VisitId))
                .Select(p => p.Name)
                .Distinct()
                .Where(n => !db.Photographs.Any(o => o.Name == n && !hers.Contains(o.VisitId)))
                .ToArrayAsync(cancellationToken);
            await db.Clients.Where(c => c.Id == client).ExecuteDeleteAsync(cancellationToken);
            await transaction.CommitAsync(cancellationToken);
        }

        foreach (var name in unused)
        {
            photographs.Remove(name);
        }

        // What was deleted still lies in free pages and in the log until both are written anew.
        await db.Database.ExecuteSqlRawAsync("VACUUM", CancellationToken.None);
        return new(row.Name, visits, unused.Length, copies.Purge(), await EmptyLogAsync(db));
    }

    private const int Tries = 40;
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    /// <summary>Empties the log of writes; whoever reads just then is waited for.</summary>
    private static async Task<bool> EmptyLogAsync(StudioContext db)
    {
        await db.Database.OpenConnectionAsync(CancellationToken.None);
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = "PRAGMA wal_checkpoint(TRUNCATE)";
        for (var t = 0; t < Tries; t++)
        {
            // 0: nobody was in the way.
            if (await command.ExecuteScalarAsync(CancellationToken.None) is 0L)
            {
                return true;
            }

            await Task.Delay(Between, CancellationToken.None);
        }

        return false;
    }
}
