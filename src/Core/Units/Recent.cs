namespace Wendro.Core.Units;

/// <summary>
/// Things that are large and can be made again, the least recently used given up first. Safe to use from several
/// threads.
/// </summary>
/// <param name="capacity">How many are kept.</param>
public sealed class Recent<TKey, T>(int capacity)
    where TKey : notnull
    where T : class
{
    private readonly Lock gate = new();
    private readonly LinkedList<(TKey Key, Lazy<T> Made)> recent = new();
    private readonly Dictionary<TKey, LinkedListNode<(TKey Key, Lazy<T> Made)>> found = [];

    /// <summary>
    /// The thing of this key, made now if it is not there. Nobody who asks for another waits for its making.
    /// </summary>
    public T GetOrMake(TKey key, Func<T> make)
    {
        Lazy<T> made;
        lock (gate)
        {
            if (found.TryGetValue(key, out var node))
            {
                recent.Remove(node);
            }
            else
            {
                node = new((key, new Lazy<T>(make)));
                found[key] = node;
                if (recent.Count >= capacity)
                {
                    found.Remove(recent.Last!.Value.Key);
                    recent.RemoveLast();
                }
            }

            recent.AddFirst(node);
            made = node.Value.Made;
        }

        return made.Value;
    }
}
