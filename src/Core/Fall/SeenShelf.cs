namespace Wendro.Core.Fall;

/// <summary>Views already drawn, the least recently used given up first. Safe to use from several threads.</summary>
/// <param name="capacity">How many views are kept.</param>
public sealed class SeenShelf(int capacity)
{
    private readonly Lock gate = new();
    private readonly LinkedList<(object Key, Lazy<Seen> Seen)> recent = new();

    /// <summary>The view, drawn now if it is not there.</summary>
    public Seen GetOrDraw(object key, Func<Seen> draw)
    {
        Lazy<Seen> found;
        lock (gate)
        {
            var node = recent.First;
            while (node is not null && !node.Value.Key.Equals(key))
            {
                node = node.Next;
            }

            if (node is null)
            {
                node = new((key, new Lazy<Seen>(draw)));
                if (recent.Count >= capacity)
                {
                    recent.RemoveLast();
                }
            }
            else
            {
                recent.Remove(node);
            }

            recent.AddFirst(node);
            found = node.Value.Seen;
        }

        return found.Value;
    }
}
