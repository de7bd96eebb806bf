using System.Collections.Concurrent;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Tests.Blend;

/// <summary>What was put away comes back the very same; what is broken or another's is made anew.</summary>
public sealed class BlobCacheTests
{
    private sealed class Drawer : IBlobCache
    {
        public ConcurrentDictionary<string, byte[]> Kept { get; } = new();

        public int Found { get; private set; }

        public byte[]? Find(string key)
        {
            if (!Kept.TryGetValue(key, out var bytes))
            {
                return null;
            }

            Found++;
            return bytes;
        }

        public void Put(string key, byte[] bytes) => Kept[key] = bytes;
    }

    private static HairViews Looks(Drawer drawer, HairProfile? hair = null) =>
        new(Given.Head, hair ?? HairProfile.Usual, PartLine.Central, ViewCache.Within(1 << 24, 1 << 24, drawer), 2_000);

    [Fact]
    public void The_same_bytes_come_back()
    {
        var drawer = new Drawer();
        var first = Looks(drawer);
        var (seen, weights, lengths) = (first.Seen(Wear.Down, 30), first.Weights(Wear.Down), first.OnHead.Lengths);
        Assert.Equal(0, drawer.Found);
        var again = Looks(drawer);
        Assert.Equal(lengths, again.OnHead.Lengths);
        Assert.Equal(seen.Strand, again.Seen(Wear.Down, 30).Strand);
        Assert.Equal(seen.Shade, again.Seen(Wear.Down, 30).Shade);
        Assert.Equal(weights.All, again.Weights(Wear.Down).All);
        Assert.Equal(weights.Start, again.Weights(Wear.Down).Start);
        Assert.True(drawer.Found >= 3);

        // Hair that was put away falls as it did: another wear of it is the same whether lengths were found or cut.
        Assert.Equal(first.Worn(Wear.TiedHigh).Points, again.Worn(Wear.TiedHigh).Points);
    }

    [Fact]
    public void Other_hair_does_not_find_it_and_what_is_cut_short_is_made_anew()
    {
        var drawer = new Drawer();
        var seen = Looks(drawer).Seen(Wear.Down, 30);
        var keys = drawer.Kept.Keys.ToArray();
        _ = Looks(drawer, HairProfile.Usual with { Cut = new Cut(40) }).Seen(Wear.Down, 30);
        Assert.Equal(0, drawer.Found);
        Assert.True(drawer.Kept.Count > keys.Length);
        foreach (var key in drawer.Kept.Keys)
        {
            drawer.Kept[key] = drawer.Kept[key][..^3];
        }

        Assert.Equal(seen.Strand, Looks(drawer).Seen(Wear.Down, 30).Strand);
    }
}
