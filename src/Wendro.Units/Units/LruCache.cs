namespace Wendro.Units;

/// <summary>
/// Things that are large and can be made again, the least recently used given up first. Safe to use from several
/// threads.
/// </summary>
/// <param name="room">How much room there is, in bytes, or in things where nobody says how large one is. The last one
/// asked for is kept, however large.</param>
/// <param name="sizeOf">How large one is, bytes; null counts each as one.</param>
public sealed class LruCache<TKey, T>(long room, Func<T, long>? sizeOf = null)
    where TKey : notnull
    where T : class
{
    private readonly Lock gate = new();
    private readonly LinkedList<Kept> recent = new();
    private readonly Dictionary<TKey, LinkedListNode<Kept>> found = [];
    private long taken;

    /// <summary>
    /// The thing of this key, made now if it is not there. Nobody who asks for another waits for its making.
    /// </summary>
    public T GetOrMake(TKey key, Func<T> make)
    {
        Kept kept;
        lock (gate)
        {
            if (found.TryGetValue(key, out var node))
            {
                recent.Remove(node);
            }
            else
            {
                node = new(new Kept(key, new Lazy<T>(make)));
                found[key] = node;
            }

            recent.AddFirst(node);
            kept = node.Value;
            // Where each counts as one there is nothing to wait for.
            Weigh(kept, sizeOf is null ? 1 : kept.Size);
        }

        T made;
        try
        {
            made = kept.Made.Value;
        }
        catch
        {
            Forget(kept);
            throw;
        }

        if (sizeOf is not null)
        {
            lock (gate)
            {
                Weigh(kept, sizeOf(made));
            }
        }

        return made;
    }

    /// <summary>What could not be made is tried again by whoever asks next.</summary>
    private void Forget(Kept kept)
    {
        lock (gate)
        {
            if (found.TryGetValue(kept.Key, out var node) && ReferenceEquals(node.Value, kept))
            {
                recent.Remove(node);
                found.Remove(kept.Key);
                taken -= kept.Size;
            }
        }
    }

    /// <summary>What it takes now, and gives up what there is no room for.</summary>
    private void Weigh(Kept kept, long size)
    {
        if (!found.TryGetValue(kept.Key, out var node) || !ReferenceEquals(node.Value, kept))
        {
            return;
        }

        taken += size - kept.Size;
        kept.Size = size;
        while (taken > room && recent.Count > 1)
        {
            var last = recent.Last!.Value;
            recent.RemoveLast();
            found.Remove(last.Key);
            taken -= last.Size;
        }
    }

    private sealed class Kept(TKey key, Lazy<T> made)
    {
        public TKey Key { get; } = key;
        public Lazy<T> Made { get; } = made;
        public long Size { get; set; }
    }
}
