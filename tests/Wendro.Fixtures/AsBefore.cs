using System.Globalization;

namespace Wendro.Fixtures;

/// <summary>
/// What came out once comes out for ever: plans are kept and judged again years later, so a figure that moves, moves for
/// every plan there is. What it was stands in tables beside the tests; a change there is made knowingly:
/// WENDRO_BEFORE=folder writes what comes out now.
/// </summary>
public static class AsBefore
{
    /// <param name="table">The table's path among the tests: what; figures.</param>
    /// <param name="figures">What comes out now; what is not a number is left empty.</param>
    /// <param name="within">How far a figure may be off what it was.</param>
    /// <param name="share">And how far as a share of it.</param>
    /// <param name="names">Whether rows of names alone, without a figure, are held too.</param>
    public static void Holds(
        string table,
        IEnumerable<(string What, double[] Figures)> figures,
        double within,
        double share = 0,
        bool names = true
    )
    {
        var now = figures.ToArray();
        if (Environment.GetEnvironmentVariable("WENDRO_BEFORE") is { Length: > 0 } folder)
        {
            var to = Path.Combine(folder, table);
            Directory.CreateDirectory(Path.GetDirectoryName(to)!);
            File.WriteAllLines(to, now.Select(n => string.Join(';', n.Figures.Select(Text).Prepend(n.What))));
        }

        var before = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, table))
            .Select(l => l.Split(';'))
            .Where(b => names || b.Length > 1)
            .ToArray();
        now = now.Where(n => names || n.Figures.Length > 0).ToArray();
        Assert.Equal(before.Select(b => b[0]), now.Select(n => n.What));
        foreach (var (was, (what, comes)) in before.Zip(now))
        {
            var stood = was[1..].Select(f => f.Length > 0 ? double.Parse(f, CultureInfo.InvariantCulture) : double.NaN);
            Assert.Equal(was.Length - 1, comes.Length);
            Assert.True(
                stood.Zip(comes).All(f => double.IsNaN(f.First) ? double.IsNaN(f.Second) : IsNear(f.First, f.Second)),
                $"{what}: {string.Join("; ", was[1..])} is {string.Join("; ", comes.Select(Text))}"
            );
        }

        bool IsNear(double a, double b) => Math.Abs(a - b) <= within + share * Math.Abs(a);
    }

    private static string Text(double figure) =>
        double.IsNaN(figure) ? string.Empty : figure.ToString("0.####", CultureInfo.InvariantCulture);
}
