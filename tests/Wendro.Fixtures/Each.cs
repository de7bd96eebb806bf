namespace Wendro.Fixtures;

/// <summary>For all of a list, which must hold something: a check of nothing is no check.</summary>
public static class Each
{
    public static void Of<T>(IEnumerable<T> all, Action<T> check)
    {
        var list = all.ToArray();
        Assert.NotEmpty(list);
        Assert.All(list, check);
    }
}
