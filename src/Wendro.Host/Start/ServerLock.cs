namespace Wendro.Host.Start;

/// <summary>
/// Says in the data folder where it is served: an address, and beside it a file that is held while the server runs.
/// </summary>
internal sealed class ServerLock : IDisposable
{
    private const string Address = "serving",
        Hold = "serving.held";

    private readonly FileStream held;

    private ServerLock(FileStream held) => this.held = held;

    /// <summary>Says it; null where another server says so already.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="address">Where it is served.</param>
    public static ServerLock? Say(string folder, string address)
    {
        if (Take(folder) is not { } held)
        {
            return null;
        }

        File.WriteAllText(Path.Combine(folder, Address), address);
        return new(held);
    }

    /// <summary>Where a folder's data is served; null where it isn't.</summary>
    public static string? AddressIn(string folder)
    {
        var path = Path.Combine(folder, Address);
        if (!File.Exists(path))
        {
            return null;
        }

        // Held by nobody: whoever wrote it is gone.
        using var free = Take(folder);
        return free is null ? File.ReadAllText(path) : null;
    }

    /// <inheritdoc/>
    public void Dispose() => held.Dispose();

    private static FileStream? Take(string folder)
    {
        try
        {
            return new(Path.Combine(folder, Hold), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (IOException)
        {
            return null;
        }
    }
}
