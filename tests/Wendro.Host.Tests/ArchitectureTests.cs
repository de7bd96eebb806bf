using System.Text.RegularExpressions;

namespace Wendro.Host.Tests;

/// <summary>
/// What the compiler can't hold of how the house is built. Projects see only what stands beneath them by their
/// references; within a project no two rooms may need each other.
/// </summary>
public sealed partial class ArchitectureTests
{
    /// <summary>Projects that compute and nothing else: what they must not touch stands in BannedSymbols.txt.</summary>
    private static readonly string[] Domain =
    [
        "Wendro.Units",
        "Wendro.Scheduling",
        "Wendro.Hair",
        "Wendro.Fall",
        "Wendro.Lightening",
        "Wendro.Planning",
        "Wendro.Service",
    ];

    private static string Source => Path.Combine(App.Root, "src");

    private static (string Room, string File, string Text)[] Files() =>
        [
            .. Domain.SelectMany(project =>
                Directory
                    .EnumerateFiles(Path.Combine(Source, project), "*.cs", SearchOption.AllDirectories)
                    .Select(f => (Parts: Path.GetRelativePath(Source, f).Split(Path.DirectorySeparatorChar), File: f))
                    .Where(f => f.Parts.Length > 2 && f.Parts[1] is not ("obj" or "bin"))
                    .Select(f => (f.Parts[1], Path.GetFileName(f.File), File.ReadAllText(f.File)))
            ),
        ];

    [Fact]
    public void No_two_rooms_need_each_other()
    {
        var files = Files();
        var rooms = files.Select(f => f.Room).ToHashSet();
        var uses = files
            .GroupBy(f => f.Room)
            .ToDictionary(
                g => g.Key,
                g =>
                    g.SelectMany(f => Uses().Matches(f.Text).Select(m => m.Groups[1].Value))
                        .Where(rooms.Contains)
                        .Where(u => u != g.Key)
                        .ToHashSet()
            );
        foreach (var room in rooms)
        {
            var reached = new HashSet<string>();
            var todo = new Stack<string>(uses[room]);
            while (todo.TryPop(out var next))
            {
                if (reached.Add(next))
                {
                    foreach (var more in uses[next])
                    {
                        todo.Push(more);
                    }
                }
            }

            Assert.False(reached.Contains(room), $"{room} needs itself by way of others");
        }
    }

    [Fact]
    public void A_rooms_namespace_is_its_folder() =>
        Each.Of(
            Files(),
            f => Assert.Contains($"\nnamespace Wendro.{f.Room};", $"\n{f.Text}", StringComparison.Ordinal)
        );

    [Fact]
    public void Files_stay_small() =>
        Each.Of(Files(), f => Assert.True(f.Text.Count(c => c == '\n') <= 450, $"{f.Room}/{f.File} is long"));

    [GeneratedRegex(@"\bWendro\.(\w+)")]
    private static partial Regex Uses();
}
