using System.Text.RegularExpressions;

namespace Wendro.Host.Tests;

/// <summary>
/// Dependencies point one way: Head ← Hair ← Section ← Paint ← Lift; Hair ← Fall; Lift and Fall ← Blend; Plans ties
/// them; Patterns are made of its edits.
/// </summary>
public sealed partial class ArchitectureTests
{
    private static readonly Dictionary<string, string[]> May = new()
    {
        ["Units"] = [],
        ["Hair"] = ["Units", "Head"],
        ["Head"] = ["Units"],
        ["Tone"] = ["Units", "Hair"],
        ["Section"] = ["Units", "Hair", "Head"],
        ["Paint"] = ["Units", "Hair", "Head", "Section"],
        ["Lift"] = ["Units", "Hair", "Head", "Tone", "Paint", "Section"],
        ["Care"] = ["Units", "Hair", "Paint", "Section", "Lift"],
        ["Fall"] = ["Units", "Hair", "Head", "Tone"],
        ["Blend"] = ["Units", "Hair", "Head", "Tone", "Paint", "Section", "Lift", "Timing", "Fall"],
        ["Mix"] = ["Units", "Hair", "Head", "Tone", "Paint", "Section", "Lift", "Fall", "Blend", "Timing"],
        ["Timing"] = ["Units", "Paint", "Section"],
        ["Consult"] = ["Units", "Hair", "Head", "Paint", "Section", "Lift", "Care", "Fall", "Blend"],
        ["Plans"] =
        [
            "Units",
            "Hair",
            "Head",
            "Tone",
            "Paint",
            "Section",
            "Lift",
            "Care",
            "Fall",
            "Blend",
            "Timing",
            "Mix",
            "Consult",
        ],
        ["Chair"] = ["Units"],
        ["Desk"] = ["Units", "Chair", "Hair", "Tone", "Paint", "Section", "Lift", "Care", "Mix", "Timing", "Consult"],
        ["Apply"] = ["Units", "Hair", "Head", "Section", "Paint", "Lift", "Blend", "Timing", "Mix", "Plans", "Chair"],
        ["Review"] =
        [
            "Units",
            "Hair",
            "Head",
            "Section",
            "Paint",
            "Lift",
            "Fall",
            "Tone",
            "Blend",
            "Timing",
            "Plans",
            "Apply",
        ],
        ["Toning"] = ["Units", "Hair", "Head", "Section", "Tone", "Lift", "Fall", "Blend", "Timing", "Mix", "Plans"],
        ["Photographs"] = ["Units", "Tone"],
        ["Keep"] =
        [
            "Units",
            "Hair",
            "Head",
            "Section",
            "Paint",
            "Lift",
            "Care",
            "Fall",
            "Tone",
            "Blend",
            "Mix",
            "Plans",
            "Placement",
            "Apply",
            "Review",
            "Toning",
        ],
        ["Visits"] =
        [
            "Units",
            "Apply",
            "Review",
            "Toning",
            "Keep",
            "Hair",
            "Section",
            "Blend",
            "Consult",
            "Plans",
            "Mix",
        ],
        ["Placement"] = ["Units", "Hair", "Head", "Paint", "Section", "Lift", "Fall", "Blend", "Timing", "Plans"],
        ["Patterns"] = ["Units", "Hair", "Head", "Tone", "Paint", "Section", "Lift", "Blend", "Plans"],
    };

    private static string Core
    {
        get
        {
            var at = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(at!.FullName, "Wendro.slnx")))
            {
                at = at.Parent;
            }

            return Path.Combine(at.FullName, "src", "Core");
        }
    }

    private static IEnumerable<(string Folder, string File, string Text)> Files() =>
        Directory
            .EnumerateFiles(Core, "*.cs", SearchOption.AllDirectories)
            .Select(f =>
                (
                    Folder: Path.GetRelativePath(Core, f).Split(Path.DirectorySeparatorChar)[0],
                    File: Path.GetFileName(f),
                    Text: File.ReadAllText(f)
                )
            )
            .Where(f => f.Folder is not ("obj" or "bin"));

    [Fact]
    public void Every_folder_uses_only_what_it_may()
    {
        foreach (var (folder, file, text) in Files())
        {
            Assert.True(May.ContainsKey(folder), $"{folder} has no rule");
            var uses = Uses().Matches(text).Select(m => m.Groups[1].Value).Where(u => u != folder);
            Assert.All(uses, u => Assert.True(May[folder].Contains(u), $"{folder}/{file} uses {u}"));
        }
    }

    [Fact]
    public void Core_asks_no_clock_no_dice_and_no_disk()
    {
        foreach (var (folder, file, text) in Files())
        {
            Assert.DoesNotMatch(
                @"DateTime\.|DateTimeOffset\.|TimeProvider|new Random|Random\.Shared|Guid\.New|System\.IO|File\.|Console\.|HttpClient",
                text + $"// {folder}/{file}"
            );
        }
    }

    [Fact]
    public void Files_stay_small() =>
        Assert.All(Files(), f => Assert.True(f.Text.Count(c => c == '\n') <= 450, $"{f.Folder}/{f.File} is long"));

    [GeneratedRegex(
        @"(?:using Wendro\.Core\.|(?<![\w.])(?:Wendro\.Core\.)?)(Units|Hair|Head|Tone|Section|Paint|Lift|Care|Fall|Blend|Timing|Mix|Desk|Consult|Plans|Visits|Patterns|Placement|Chair|Apply)(?:;|\.[A-Z]\w+)"
    )]
    private static partial Regex Uses();
}
