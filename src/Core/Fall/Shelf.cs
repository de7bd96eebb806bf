namespace Wendro.Core.Fall;

/// <summary>Things that are large and can be made again, the least recently used given up first. Safe to use from several threads.</summary>
/// <param name="capacity">How many are kept.</param>
public sealed class Shelf<T>(int capacity)
    where T : class
{
    private readonly Lock gate = new();
    private readonly LinkedList<(object Key, Lazy<T> Made)> recent = new();

    /// <summary>The thing of this key, made now if it is not there.</summary>
    public T GetOrMake(object key, Func<T> make)
    {
        Lazy<T> found;
        lock (gate)
        {
            var node = recent.First;
            while (node is not null && !node.Value.Key.Equals(key))
            {
                node = node.Next;
            }

            if (node is null)
            {
                node = new((key, new Lazy<T>(make)));
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
            found = node.Value.Made;
        }

        return found.Value;
    }
}

/// <summary>Where fallen hair and drawn views are kept, for all heads together.</summary>
/// <param name="Fallen">Hair as worn: some fourteen megabytes each.</param>
/// <param name="Seen">Views: some two megabytes each.</param>
public sealed record Shelves(Shelf<FallenHair> Fallen, Shelf<Seen> Seen)
{
    /// <summary>Room for a number of heads as worn and of views.</summary>
    public static Shelves For(int fallen, int views) => new(new(fallen), new(views));
}
