using Wendro.Units;

namespace Wendro.Tests.Units;

public sealed class LruCacheTests
{
    [Fact]
    public void What_was_not_used_longest_is_given_up_first()
    {
        var recent = new LruCache<string, object>(2);
        var made = new List<string>();
        object Get(string key) =>
            recent.GetOrMake(
                key,
                () =>
                {
                    made.Add(key);
                    return new object();
                }
            );

        var a = Get("a");
        Get("b");
        Assert.Same(a, Get("a"));
        Get("c");
        Assert.Same(a, Get("a"));
        Get("b");
        Assert.Equal(["a", "b", "c", "b"], made);
    }

    [Fact]
    public void Many_who_ask_at_once_wait_for_one_making()
    {
        var recent = new LruCache<string, object>(4);
        var made = 0;
        var got = new object[32];
        Parallel.For(
            0,
            got.Length,
            i =>
                got[i] = recent.GetOrMake(
                    "same",
                    () =>
                    {
                        Interlocked.Increment(ref made);
                        return new object();
                    }
                )
        );
        Assert.Equal(1, made);
        Each.Of(got, g => Assert.Same(got[0], g));
    }

    [Fact]
    public void Room_is_counted_in_bytes_as_they_grow_and_the_last_asked_for_stays()
    {
        var recent = new LruCache<string, byte[][]>(100, b => b.Sum(x => (long)x.Length));
        var made = new List<string>();
        byte[][] Get(string key, int size) =>
            recent.GetOrMake(
                key,
                () =>
                {
                    made.Add(key);
                    return [new byte[size]];
                }
            );

        var a = Get("a", 40);
        Get("b", 40);
        Assert.Same(a, Get("a", 40));

        // Grown since it was made: told when it is asked for again.
        a[0] = new byte[70];
        Assert.Same(a, Get("a", 40));
        Get("b", 40);
        Get("huge", 500);
        Get("huge", 500);
        Assert.Equal(["a", "b", "b", "huge"], made);
    }

    [Fact]
    public void What_could_not_be_made_is_tried_again()
    {
        var recent = new LruCache<string, object>(2);
        Assert.Throws<InvalidOperationException>(() =>
            recent.GetOrMake("a", () => throw new InvalidOperationException("not today"))
        );
        var made = new object();
        Assert.Same(made, recent.GetOrMake("a", () => made));
        Assert.Same(made, recent.GetOrMake("a", () => new object()));
    }
}
