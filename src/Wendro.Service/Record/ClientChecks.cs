using Wendro.Units;

namespace Wendro.Record;

/// <summary>Checks what a client is called.</summary>
public static class ClientChecks
{
    private const int LongestName = 100,
        LongestAbout = 400;

    /// <summary>What can't be so, by field.</summary>
    /// <param name="name">Her name.</param>
    /// <param name="about">A line about her.</param>
    public static IReadOnlyList<Problem> Of(string? name, string? about)
    {
        var problems = new List<Problem>();
        if (string.IsNullOrWhiteSpace(name) || name.Length > LongestName)
        {
            problems.Add(new("name", $"Between 1 and {LongestName} characters."));
        }

        if (about?.Length > LongestAbout)
        {
            problems.Add(new("about", $"At most {LongestAbout} characters."));
        }

        return problems;
    }
}
