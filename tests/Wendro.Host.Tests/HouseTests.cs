using System.Text.RegularExpressions;

namespace Wendro.Host.Tests;

/// <summary>
/// The server's and the page's folders use one another one way only.
/// </summary>
public sealed partial class HouseTests
{
    /// <summary>
    /// What a stage of the server may use: what every request passes, and a visit at work. No stage uses another.
    /// </summary>
    private static readonly string[] OfAStage = ["Pipeline", "Work"];

    private static readonly Dictionary<string, string[]> HostMay = new()
    {
        ["Pipeline"] = [],
        ["Work"] = ["Pipeline"],
        ["SimulatedDevices"] = ["Pipeline"],
        // The day tells who is in the chair; the next panel at the chair is shown as Paint shows it.
        ["Day"] = [.. OfAStage, "Apply"],
        ["Apply"] = [.. OfAStage, "Paint"],
        ["Review"] = OfAStage,
        ["Record"] = OfAStage,
        ["Tone"] = OfAStage,
        ["Photographs"] = OfAStage,
        ["Consult"] = OfAStage,
        ["Section"] = OfAStage,
        ["Paint"] = OfAStage,
        ["Mix"] = OfAStage,
        ["Shelf"] = ["Pipeline"],
        ["Desk"] = ["Pipeline"],
        ["Start"] = ["Pipeline", "Work", "Paint", "SimulatedDevices"],
    };

    private static readonly Dictionary<string, string[]> PageMay = new()
    {
        ["api"] = [],
        ["style"] = [],
        ["views"] = ["api", "style"],
        ["shell"] = ["api", "style", "views"],
        ["visit"] = ["api", "style", "views", "shell"],
        ["weighing"] = ["api", "style", "views"],
        ["stages"] = ["api", "style", "views", "shell", "visit", "weighing"],
    };

    [Fact]
    public void The_servers_rooms_use_only_what_they_may()
    {
        var host = Path.Combine(App.Root, "src", "Wendro.Host");
        foreach (var (room, file) in Files(host, "*.cs"))
        {
            Assert.True(HostMay.ContainsKey(room), $"{room} has no rule");
            Assert.All(
                UsesOfHost().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value).Where(u => u != room),
                u => Assert.True(HostMay[room].Contains(u), $"{file} uses {u}")
            );
        }
    }

    [Fact]
    public void The_pages_folders_use_only_what_they_may_and_no_stage_uses_another()
    {
        var page = Path.Combine(App.Root, "src", "web", "src");
        foreach (var (room, file) in Files(page, "*.ts").Concat(Files(page, "*.tsx")))
        {
            Assert.True(PageMay.ContainsKey(room), $"{room} has no rule");
            foreach (var import in Imports().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value))
            {
                var target = Path.GetRelativePath(
                        page,
                        Path.GetFullPath(Path.Combine(Path.GetDirectoryName(file)!, import))
                    )
                    .Split(Path.DirectorySeparatorChar);
                if (target[0] == ".." && file.EndsWith(".test.ts", StringComparison.Ordinal))
                {
                    // A test may read a fixture of the server's.
                    Assert.Contains("Fixtures", import, StringComparison.Ordinal);
                    continue;
                }

                if (target[0] != room)
                {
                    Assert.True(PageMay[room].Contains(target[0]), $"{file} uses {target[0]}");
                }
                else if (room == "stages")
                {
                    var own = Path.GetRelativePath(page, file).Split(Path.DirectorySeparatorChar)[1];
                    Assert.True(own == target[1], $"{file} uses the stage {target[1]}");
                }
            }
        }
    }

    /// <summary>Files in the rooms of a house, with their room; those at the door belong to none.</summary>
    private static IEnumerable<(string Room, string File)> Files(string house, string pattern) =>
        Directory
            .EnumerateFiles(house, pattern, SearchOption.AllDirectories)
            .Select(f => (Parts: Path.GetRelativePath(house, f).Split(Path.DirectorySeparatorChar), File: f))
            .Where(f => f.Parts.Length > 1 && f.Parts[0] is not ("obj" or "bin"))
            .Select(f => (f.Parts[0], f.File));

    [GeneratedRegex(@"Wendro\.Host\.(\w+)")]
    private static partial Regex UsesOfHost();

    [GeneratedRegex("from \"(\\.[^\"]+)\"")]
    private static partial Regex Imports();
}
