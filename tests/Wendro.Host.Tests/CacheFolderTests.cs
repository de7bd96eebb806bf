using Wendro.Host.Work;

namespace Wendro.Host.Tests;

/// <summary>The cache folder: found again by another server, broken files made anew, other versions thrown away.</summary>
public sealed class CacheFolderTests : IDisposable
{
    private readonly string root = Directory.CreateTempSubdirectory("wendro-cache-").FullName;

    public void Dispose() => Directory.Delete(root, true);

    private async Task<CacheFolder> PutAsync(string key, byte[] bytes)
    {
        var folder = new CacheFolder(root);
        await folder.StartAsync(default);
        folder.Put(key, bytes);
        await folder.StopAsync(default);
        return folder;
    }

    private string[] Files => Directory.GetFiles(root, "*", SearchOption.AllDirectories);

    [Fact]
    public async Task What_was_put_away_is_found_by_the_next_server()
    {
        var bytes = Enumerable.Range(0, 50_000).Select(i => (byte)(i / 100)).ToArray();
        using (await PutAsync("a head", bytes)) { }

        using var next = new CacheFolder(root);
        Assert.Equal(bytes, next.Find("a head"));
        Assert.Null(next.Find("another head"));
        Assert.True(new FileInfo(Files.Single()).Length < bytes.Length / 2);
    }

    [Fact]
    public async Task What_is_not_whole_is_not_there()
    {
        using var folder = await PutAsync("a head", new byte[5_000]);
        var file = Files.Single();
        var kept = await File.ReadAllBytesAsync(file);
        kept[^1] ^= 1;
        await File.WriteAllBytesAsync(file, kept);
        Assert.Null(folder.Find("a head"));
        Assert.Empty(Files);
        await File.WriteAllTextAsync(file, "?");
        Assert.Null(folder.Find("a head"));
    }

    [Fact]
    public async Task What_another_version_made_is_thrown_away()
    {
        var old = Directory.CreateDirectory(Path.Combine(root, "another version"));
        await File.WriteAllTextAsync(Path.Combine(old.FullName, "kept"), "hair that fell otherwise");
        using var folder = await PutAsync("a head", [1, 2, 3]);
        Assert.False(old.Exists && Directory.Exists(old.FullName));
        Assert.NotNull(folder.Find("a head"));
    }

    [Fact]
    public async Task It_takes_no_more_room_than_it_may_and_the_newest_stay()
    {
        const int most = 40_000;
        using var folder = new CacheFolder(root, most);
        await folder.StartAsync(default);
        var noise = new Random(7);
        for (var i = 0; i < 30; i++)
        {
            var bytes = new byte[5_000];
            noise.NextBytes(bytes);
            folder.Put($"view {i}", bytes);
            while (folder.Find($"view {i}") is null)
            {
                await Task.Yield();
            }
        }

        await folder.StopAsync(default);
        Assert.True(Files.Sum(f => new FileInfo(f).Length) <= most * 1.25 + 6_000);
        Assert.NotNull(folder.Find("view 29"));
        Assert.Null(folder.Find("view 0"));
    }
}
