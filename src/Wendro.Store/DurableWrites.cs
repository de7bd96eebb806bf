using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore.Diagnostics;
using SQLitePCL;

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

    /// <inheritdoc/>
    public override InterceptionResult ConnectionClosing(
        DbConnection connection,
        ConnectionEventData eventData,
        InterceptionResult result
    )
    {
        EndStatements(connection);
        return result;
    }

    /// <inheritdoc/>
    public override ValueTask<InterceptionResult> ConnectionClosingAsync(
        DbConnection connection,
        ConnectionEventData eventData,
        InterceptionResult result
    )
    {
        EndStatements(connection);
        return ValueTask.FromResult(result);
    }

    /// <summary>
    /// A request that is called off can leave its statement open. A connection that goes back to the pool so can't be
    /// handed on: whoever opens one next would get the error. All answers are read by now, so what is open is ended.
    /// </summary>
    internal static void EndStatements(DbConnection connection)
    {
        if (connection is SqliteConnection { State: System.Data.ConnectionState.Open, Handle: { } handle })
        {
            while (raw.sqlite3_next_stmt(handle, null) is { } left)
            {
                raw.sqlite3_finalize(left);
            }
        }
    }

    private static void Set(DbConnection connection)
    {
        // So that what is left open can be found when it is closed.
        ((SqliteConnection)connection).Handle!.enable_sqlite3_next_stmt(true);

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
