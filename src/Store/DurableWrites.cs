using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Wendro.Store;

/// <summary>
/// Every connection writes ahead and waits for the disk: an acknowledged change survives a kill and a power cut.
/// </summary>
internal sealed class DurableWrites : DbConnectionInterceptor
{
    /// <inheritdoc/>
    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData) => Set(connection);

    /// <inheritdoc/>
    public override Task ConnectionOpenedAsync(
        DbConnection connection,
        ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default
    )
    {
        Set(connection);
        return Task.CompletedTask;
    }

    private static void Set(DbConnection connection)
    {
        // Only to see whether the file is there: nothing is written, and a copied file may not be ahead-logged yet.
        if (new SqliteConnectionStringBuilder(connection.ConnectionString).Mode == SqliteOpenMode.ReadOnly)
        {
            return;
        }

        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL;";
        command.ExecuteNonQuery();
    }
}
